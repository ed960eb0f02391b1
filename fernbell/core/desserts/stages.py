"""The building: what stands after each stage, in order, and the wait that follows it."""

from collections.abc import Iterable, Iterator, Sequence
from dataclasses import dataclass, replace

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.holding import held_steps
from fernbell.core.desserts.laid import Taken, laid, parts_of
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.core.desserts.regions import Shape, ShapeKey, liner_sheet, strip_length
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.formulas import Wait, wait_words
from fernbell.core.formulas.method import WaitKind
from fernbell.core.working import COMMON_PRACTICE, Working, figure_text

OF_THE_BODY = ("line", "trim", "unmold", "join", "thaw", "hold")
"""Codes of the build steps that no part makes."""
_JOINING = (
    "both rims on a warm tray for about 3 s, pressed together at once; the seam wiped with a "
    "gloved finger"
)
_COLD = {WaitKind.CHILL, WaitKind.FREEZE, WaitKind.THAW}


@dataclass(frozen=True, slots=True)
class Stage:
    """One stage of the building.

    `shows` are the shapes of the cut that stand after it, by their place in its section, and
    `fresh` those that are new. `working` is of the figure in `says`, where one was worked out.
    `aside` says that it stands by itself, on a board of its own. `ahead` says what the formulas
    used here need before; `laid` is what it takes, told once. The wait begins when the stage is
    done; `wait_source` says who asks for it. `flat` is drawn instead of what it shows, where it is
    not yet as it will be cut; `lowered_mm` says how much lower it is drawn while what raises it is
    not under it yet. `parts` are those it has to do with; what is done `at_service` is not done
    before.
    """

    code: str
    title: str
    says: str
    shows: tuple[int, ...]
    fresh: tuple[int, ...]
    in_mold: bool
    turned: bool
    aside: bool = False
    working: Working | None = None
    ahead: tuple[str, ...] = ()
    wait: Wait | None = None
    wait_says: str = ""
    wait_source: str = ""
    cold: bool = False
    flat: tuple[Shape, ...] = ()
    lowered_mm: float = 0.0
    laid: tuple[Taken, ...] = ()
    parts: tuple[str, ...] = ()
    at_service: bool = False


def build_stages(made: MeasuredDessert, section: Sequence[Shape]) -> tuple[Stage, ...]:
    """The stages of the building, in the order of the hands.

    Upright: base, seal pour, insert, main pour. Upside down: main pour, insert, the rest of the
    fill, base. Inserts are frozen before either begins.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        section: its shapes, by whose place a stage names them [Shape].
    Returns:
        stages, the first first [Stage].
    Source:
        common practice; waits are the methods' own where they name one.
    """
    body = made.body
    if not body.solids and body.rest is None and not made.holds:
        return ()
    steps = [step for part in body.parts for step in part.steps(made)]
    steps += held_steps(made, tuple(section))
    readings = made.near.readings
    place = {shape.key: at for at, shape in enumerate(section)}
    turned = not body.is_upright
    stages: list[Stage] = []
    standing: tuple[int, ...] = ()
    beside, inside = _beside(steps), list(_in_the_mold(body, steps))
    for step in beside:
        stages.append(_stage(step, (), place, readings, aside=True))
    for step in inside:
        stage = _stage(step, standing, place, readings, in_mold=True, turned=turned)
        standing = stage.shows
        stages.append(stage)
    feet = {place[made.shape(one)]: one.raises_mm for one in body.regions if one.raises_mm}
    frozen = any(one.wait and one.wait.kind is WaitKind.FREEZE for one in stages)
    outside = list(_out_of_the_mold(body, steps, readings, frozen=frozen))
    for step in outside:
        # What is served in its glass never leaves it.
        stage = _stage(step, standing, place, readings, in_mold=body.served_in_it)
        standing = stage.shows
        stages.append(stage)
    every = [*beside, *inside, *outside]
    return tuple(
        replace(
            one,
            laid=what,
            lowered_mm=_lacking(one, feet),
            parts=parts_of(step),
            at_service=step.moment is Moment.SERVICE,
        )
        for one, step, what in zip(stages, every, laid(made, every), strict=True)
    )


def _lacking(stage: Stage, feet: dict[int, float]) -> float:
    return sum(high for at, high in feet.items() if at not in stage.shows)


def _at(steps: Iterable[BuildStep], moment: Moment) -> list[BuildStep]:
    return [step for step in steps if step.moment is moment]


def _beside(steps: Iterable[BuildStep]) -> list[BuildStep]:
    """What is made beside the mold, part by part; what follows a step comes right after it."""
    every = _at(steps, Moment.BESIDE)
    found = [step for step in every if not step.after]
    for step in every:
        if step.after:
            before = [at for at, one in enumerate(found, start=1) if one.code == step.after]
            found.insert(before[0] if before else len(found), step)
    return found


def _stage(
    step: BuildStep,
    standing: tuple[int, ...],
    place: dict[ShapeKey, int],
    readings: Readings,
    *,
    aside: bool = False,
    in_mold: bool = False,
    turned: bool = False,
) -> Stage:
    """The step with what stands after it and the wait that follows."""
    wait, source = _wait(step, readings)
    fresh = tuple(place[key] for key in step.fresh)
    return Stage(
        code=step.code,
        title=step.title,
        says=step.says,
        shows=(*standing, *fresh),
        fresh=fresh,
        aside=aside,
        in_mold=in_mold,
        turned=turned,
        working=step.working,
        ahead=tuple(_ahead(step, readings)),
        wait=wait,
        wait_says=wait_words(wait) if wait else "",
        wait_source=source,
        cold=wait is not None and wait.kind in _COLD,
        flat=step.flat,
    )


def _in_the_mold(body: Body, steps: list[BuildStep]) -> Iterator[BuildStep]:
    """From the empty mold to the last thing that goes into it; what closes it is frozen."""
    yield from _lining(body)
    bases, filling = _at(steps, Moment.BOARD), _filling(body, steps)
    inside = [*bases, *filling] if body.is_upright else [*filling, *bases[::-1]]
    closing = [step for step in inside if step.moment is not Moment.SET]
    for step in inside:
        if body.rest and not body.is_hollow and step is closing[-1]:
            formulas = (*step.formulas, body.rest.formula)
            yield replace(step, formulas=formulas, usual=practice.WHOLE_FREEZE)
        else:
            yield step


def _is_bare(body: Body) -> bool:
    """Whether nothing is made in it: a plate, a box that others are set in."""
    return not body.solids and body.rest is None


def _lining(body: Body) -> Iterator[BuildStep]:
    """A strip all round upright walls, a sheet in what is long; nothing sticks to the others."""
    mold = body.mold
    if body.formed or body.lining or _is_bare(body):
        return
    if mold.is_upright:
        edge = mold.perimeter_at(mold.height_mm)
        liner = strip_length("Liner strip", edge, practice.LINER_OVERLAP.value)
        size = f"{figure_text(liner.value)} × {figure_text(mold.height_mm)} mm"
        yield BuildStep(
            Moment.BOARD, "line", "Line the mold", f"acetate strip {size}", working=liner
        )
    elif mold.symmetry == "long":
        round_ = liner_sheet(mold)
        size = f"{figure_text(mold.from_above.width_mm)} × {figure_text(round_.value)} mm"
        yield BuildStep(
            Moment.BOARD, "line", "Line the mold", f"acetate sheet {size}", working=round_
        )


def _filling(body: Body, steps: list[BuildStep]) -> Iterator[BuildStep]:
    """Pours and stacks in turn: one is set when the pour it rests on has been made."""
    pours, waiting = _at(steps, Moment.POUR), _at(steps, Moment.SET)
    thin = practice.THINNEST_POUR.value
    if not body.is_upright:
        waiting = waiting[::-1]
    for pour in pours:
        while waiting and body.is_upright and waiting[0].low_mm < pour.low_mm + thin:
            yield waiting.pop(0)
        yield pour
        if not body.is_upright and pour is not pours[-1]:
            while waiting and waiting[0].high_mm > pour.low_mm - thin:
                yield waiting.pop(0)
    yield from waiting


def _out_of_the_mold(
    body: Body, steps: list[BuildStep], readings: Readings, *, frozen: bool
) -> Iterator[BuildStep]:
    """Unmolding and finishing; what was frozen thaws before the garnish."""
    turning = "" if body.is_upright else ", turned over"
    unmold = BuildStep(Moment.OVER, "unmold", "Unmold", f"onto a board{turning}")
    if body.roll:
        kept = ("kept for knots", "one set on as a knot", "both set on as knots")[body.roll.knots]
        says = f"{figure_text(body.roll.trim_mm)} mm off each end, {kept}"
        unmold = BuildStep(Moment.OVER, "trim", "Trim", says)
    over = _at(steps, Moment.OVER)
    if _is_bare(body):
        # A plate or a box: nothing is made in it.
        yield from (*over, *_at(steps, Moment.SERVICE))
        return
    if body.mold.in_halves:
        over = [BuildStep(Moment.OVER, "join", "Join the halves", _JOINING), *over]
    if body.served_in_it or body.is_hollow:
        yield from (*over, *_at(steps, Moment.SERVICE))
        return
    *before, last = unmold, *over
    thaw = practice.THAW_SMALL if body.is_individual else practice.THAW
    yield from before
    if not frozen or (body.rest is None and not _at(steps, Moment.BESIDE)):
        yield last
    elif _own_waits(last, readings):
        yield last
        says = "in the fridge, slowly and evenly"
        yield BuildStep(Moment.OVER, "thaw", "Thaw", says, usual=thaw)
    else:
        yield replace(last, usual=thaw)
    yield from _at(steps, Moment.SERVICE)


def _wait(step: BuildStep, readings: Readings) -> tuple[Wait | None, str]:
    """The longest wait a method asks for once it is in place, or the usual one."""
    own = _own_waits(step, readings)
    if own:
        wait, name = max(own, key=lambda one: one[0].least_min)
        return wait, f"the method of {name}"
    return step.usual, COMMON_PRACTICE if step.usual else ""


def _own_waits(step: BuildStep, readings: Readings) -> list[tuple[Wait, str]]:
    """Waits of the methods that begin now, and whose they are."""
    return [
        (wait, readings[key].formula.name)
        for key in step.formulas
        for wait in readings[key].formula.waits
        if wait.placed
    ]


def _ahead(step: BuildStep, readings: Readings) -> Iterator[str]:
    for key in dict.fromkeys(step.formulas):
        formula = readings[key].formula
        for wait in formula.waits:
            if not wait.placed and wait.least_min >= practice.AHEAD_FROM.value:
                yield f"{formula.name}: {wait_words(wait)} first"
