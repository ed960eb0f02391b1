"""From a job to a formula: the starter, with what the kitchen has, its dial set, at a size."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from types import MappingProxyType

from fernbell.core.errors import Lacking, OutOfRange, UnknownKey
from fernbell.core.families.agreeing import agreeing
from fernbell.core.families.altitude import at_altitude
from fernbell.core.families.dialing import turn, weighable
from fernbell.core.families.experience import Experience, by_experience
from fernbell.core.families.family import Family, Job, StarterLine, Tool
from fernbell.core.families.stuffs import STUFFS, choices, nearest, widened
from fernbell.core.families.warmth import COLDEST_C, SET_AT_C, WARMEST_C, firm_share, solid_share
from fernbell.core.field import Field
from fernbell.core.formulas import Book, Formula, Line, Lines, Step, lines_of
from fernbell.core.pantry import Ingredient, chocolate_kind, soaks_up
from fernbell.starter.practice import practice

Pairs = tuple[tuple[StarterLine, Ingredient], ...]

USUAL_FINISHED_G = practice("finished, first")
FINISHED = Field(
    "finished_g", "Finished", most=100_000, open_least=True, step=50, first=USUAL_FINISHED_G
)
HOLDS_AT = Field(
    "holds_at_c", "Must hold at", least=COLDEST_C, most=WARMEST_C, empty=f"{SET_AT_C:g}"
)
"""What can be wished for beside a job."""


@dataclass(frozen=True, slots=True)
class Wish:
    """What is chosen beside the job: ingredients by slot, options left out, size, dial.

    Without a size it is half a kilogram, without a value of the dial the job's aim. A ganache
    that has to hold at another temperature than 18 °C is set firmer or softer for it. `way` names
    one of the job's schools.
    """

    picks: Mapping[str, str]
    without: tuple[str, ...] = ()
    finished_g: float = USUAL_FINISHED_G
    dial: float | None = None
    holds_at_c: float | None = None
    way: str = ""

    def __post_init__(self) -> None:
        if self.holds_at_c is not None:
            solid_share(self.holds_at_c)
        FINISHED.check(self.finished_g)


@dataclass(frozen=True, slots=True)
class Proposal:
    """A proposed formula, why each line stands in it, its method and its kind.

    `picked` is what stands for each choice of the sentence.
    """

    formula: Formula
    why: Mapping[str, str]
    picked: Mapping[str, str]
    steps: tuple[Step, ...]
    kind: str


def propose(
    family: Family,
    job: Job,
    wish: Wish,
    pantry: tuple[Ingredient, ...],
    altitude_m: float = 0.0,
    learned: Mapping[str, tuple[Experience, ...]] = MappingProxyType({}),
) -> Proposal:
    """Propose a formula for a job.

    Args:
        family: the family the job is of [Family].
        job: the job [Job].
        wish: what is chosen beside it [Wish].
        pantry: what the kitchen has, with make-ups, shape (n,) [Ingredient].
        altitude_m: height of the kitchen above the sea [m].
        learned: the kitchen's own batches for this job, by key of their chocolate [Experience].
    Returns:
        the formula, weighable, with reasons [Proposal].
    Raises:
        CoreError: the pantry has nothing like a line of it.
        OutOfRange: the dial cannot be set so with these.
        UnknownKey: a pick that is not in the pantry, a way there is not.
    Source:
        starters are this project's own; the dial's source is its own.
    """
    _refuse_strange(job, wish, pantry)
    chocolate = _chocolate(job, wish, pantry)
    if chocolate is not None:
        job = job.of_kind(chocolate_kind(chocolate))
        job = by_experience(job, learned.get(chocolate.key, ()))
    job = at_altitude(job.made(wish.way), altitude_m)
    parts = [one for one in job.parts if not (one.optional and one.stuff in wish.without)]
    taken = [_picked(part, wish, pantry) for part in parts]
    pairs = _soaked(tuple(zip(parts, taken, strict=True)))
    kind = job.kind or family.kind
    formula = _starter(f"{family.name}, {job.name}", kind, job, pairs)
    book = Book(tuple({one.key: one for one in taken}.values()), (formula,))
    ready = lines_of(book, formula.key, altitude_m=altitude_m)
    there = replace(ready, formula=_set(job, wish, ready))
    factor = wish.finished_g / there.mix().finished_g
    sized = weighable(ready, there.weighed(line.mass_g * factor for line in there.formula.lines))
    why = {line.key: part.why for line, (part, _) in zip(sized.lines, pairs, strict=True)}
    picked = {part.slot: of.key for part, of in pairs if part.slot}
    # What the dial takes out altogether is left out.
    made = replace(sized, lines=tuple(line for line in sized.lines if line.mass_g))
    steps = agreeing(job, replace(ready, formula=made))
    return Proposal(made, why, picked, steps, kind)


def _refuse_strange(job: Job, wish: Wish, pantry: tuple[Ingredient, ...]) -> None:
    """Refuse a pick for a choice there is not, or of what the kitchen has not."""
    here = {one.key for one in pantry}
    for slot, key in wish.picks.items():
        if slot not in job.slots:
            raise UnknownKey("picks", slot, f"one of {', '.join(job.slots) or 'none: no choice'}")
        if key not in here:
            raise UnknownKey(slot, key, "in the pantry")


def _chocolate(job: Job, wish: Wish, pantry: tuple[Ingredient, ...]) -> Ingredient | None:
    """The chocolate that is chosen for it; None where none goes in."""
    for part in job.parts:
        if STUFFS[part.stuff].chocolate is not None:
            return _picked(part, wish, pantry)
    return None


def _soaked(pairs: Pairs) -> Pairs:
    """Leaves bring the water they are soaked in; what powder blooms in is on a line."""
    soaked = {part.stage for part, of in pairs if soaks_up(of)}
    return tuple(
        (part, of) for part, of in pairs if not (part.stuff == "water" and part.stage in soaked)
    )


def _set(job: Job, wish: Wish, ready: Lines) -> Formula:
    """The dial where it is wished; the job's own place, or the nearest its band allows."""
    place = _place(job, wish, ready)
    try:
        return turn(job.dial, ready, place)
    except OutOfRange as refused:
        band = job.dial.band(job.band)
        if wish.dial is not None or refused.limits is None:
            raise
        nearest_ = min(max(place, refused.limits.least), refused.limits.most)
        if not band.least <= nearest_ <= band.most:
            raise
        return turn(job.dial, ready, nearest_)


def _starter(name: str, kind: str, job: Job, pairs: Pairs) -> Formula:
    """The starter as it stands, with what the kitchen has."""
    lines = tuple(
        Line(
            f"line-{at}",
            part.mass_g,
            of.key,
            overrun_percent=part.overrun_percent,
            stage=part.stage,
            strained_percent=part.strained_percent,
            soaked=soaks_up(of),
        )
        for at, (part, of) in enumerate(pairs)
    )
    based = tuple(job.base and job.base in (part.slot, part.stuff) for part, _ in pairs)
    return Formula(
        key="draft",
        name=name,
        lines=lines,
        base_lines=tuple(line.key for line, own in zip(lines, based, strict=True) if own),
        losses=job.losses,
        gas_kept=job.gas_kept,
        measured_density_g_ml=job.measured_density_g_ml,
        kind=kind,
        waits=tuple(step.wait for step in job.steps if step.wait),
    )


def _place(job: Job, wish: Wish, ready: Lines) -> float:
    """Where the dial is to stand."""
    value = job.aim if wish.dial is None else wish.dial
    if wish.holds_at_c is not None and Tool.HOLDS_AT in job.tools:
        firm = firm_share(ready.mix(), wish.holds_at_c)
        if not firm > 0:
            raise Lacking(
                HOLDS_AT.name, f"At {wish.holds_at_c:g} °C nothing in it is firm any more."
            )
        value /= firm
    return value


def _picked(part: StarterLine, wish: Wish, pantry: tuple[Ingredient, ...]) -> Ingredient:
    chosen = wish.picks.get(part.slot) if part.slot else None
    if chosen is None:
        return nearest(STUFFS[part.stuff], pantry)
    return next(one for one in pantry if one.key == chosen)


def slot_choices(job: Job, pantry: tuple[Ingredient, ...]) -> dict[str, tuple[Ingredient, ...]]:
    """What can be chosen for each slot of a job, the nearest first.

    Args:
        job: the job [Job].
        pantry: what the kitchen has, shape (n,) [Ingredient].
    Returns:
        ingredients by slot [Ingredient].
    Source:
        told by the make-up.
    """
    return {part.slot: choices(widened(part), pantry) for part in job.parts if part.slot}
