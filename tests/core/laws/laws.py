"""What must hold between a saved dessert and its answer; a law knows nothing else.

Each law yields what is wrong in words. Areas, volumes and sums are its own (integrator.py).
"""

import math
from collections.abc import Callable, Iterator

from fernbell.core.desserts import Coat, PartResult, Piped, Roll, Solved, Strewn
from fernbell.core.molds import Frame, Halves, Ring, Turned
from fernbell.core.working import Working
from tests.core.laws.grid import COUNT, Case
from tests.core.laws.integrator import turned_mm3
from tests.core.test_arithmetic import WRITTEN, stated, worked_out

Law = Callable[[Case], Iterator[str]]
ROUND = (Ring, Turned, Halves)
_DRAWN = 0.006
"""What a drawing may be off: arcs are drawn by straight lines."""


def _off(told: float, own: float, share: float, least: float = 1e-6) -> bool:
    return abs(told - own) > share * abs(own) + least


def _named(result: PartResult) -> str:
    return result.part + (f"/{result.layer}" if result.layer else "")


def _rolled(case: Case) -> Roll | None:
    return next((part for part in case.dessert.parts if isinstance(part, Roll)), None)


def _served_share(case: Case, result: PartResult) -> float:
    """Of a roll without its ends, unless they are set on; of anything else all."""
    roll = _rolled(case)
    with_it = {part.key for part in case.dessert.parts if part.rule in ("roll", "core", "soak")}
    if roll is None or result.part not in with_it:
        return 1.0
    xs, ys = zip(*case.dessert.mold.from_above.outline(), strict=True)
    wide = (min if roll.narrow else max)(max(xs) - min(xs), max(ys) - min(ys))
    left = max(1.0, wide - 2 * roll.trim_mm) + roll.knots * min(roll.trim_mm, wide / 2)
    return min(1.0, left / wide)


def what_is_served_sums_to_the_finished_weight(case: Case) -> Iterator[str]:
    """Every part by what of it comes to the table, and what is held."""
    answer = case.answer
    if answer.finished is None:
        return
    own = sum(one.mass.value * _served_share(case, one) for one in answer.parts if one.mass)
    own += sum(one.mass.value for one in answer.holds if one.mass)
    if _off(answer.finished.value, own, 1e-4 if _rolled(case) else 1e-9):
        yield f"finished {answer.finished.value:.2f} g, its parts {own:.2f} g"


def portions_sum_to_the_finished_weight(case: Case) -> Iterator[str]:
    """No portion is lighter or heavier than its share."""
    answer = case.answer
    if answer.portion is None or answer.finished is None:
        return
    own = answer.portion.value * answer.portions
    if _off(own, answer.finished.value, 1e-9):
        yield f"{answer.portions} portions are {own:.2f} g of {answer.finished.value:.2f} g"


def no_less_is_made_than_is_served(case: Case) -> Iterator[str]:
    """What is made of a part is what is on all desserts, and spare."""
    for one in case.answer.parts:
        if one.mass and one.make and one.make.value < one.mass.value * COUNT * (1 - 1e-9):
            yield f"{_named(one)}: {one.make.value:.2f} g made, {one.mass.value * COUNT:.2f} g used"


def sheets_make_what_parts_ask_for(case: Case) -> Iterator[str]:
    """Of every formula the sheet names each use, and they are what the parts make."""
    asked: dict[str, float] = {}
    for one in case.answer.parts:
        if one.make:
            asked[one.formula] = asked.get(one.formula, 0.0) + one.make.value
    for sheet in case.sheets:
        uses = sum(use.mass_g for use in sheet.uses)
        if uses < asked.get(sheet.formula, 0.0) * (1 - 1e-9) - 1e-6:
            yield f"sheet of {sheet.formula}: {uses:.2f} g for {asked[sheet.formula]:.2f} g"
    if not case.answer.holds and (missing := set(asked) - {one.formula for one in case.sheets}):
        yield f"no sheet of {missing}"


def a_working_gives_its_figure(case: Case) -> Iterator[str]:
    """The sum that is written down, worked out again."""
    answer = case.answer
    own = (x for one in answer.parts for x in (one.measure, one.volume, one.mass, one.make))
    whole = (answer.finished, answer.height, answer.surface, answer.portion, answer.liner)
    for working in _with_steps(one for one in (*own, *whole) if one):
        equation = stated(working)
        # What is raised to a least pour says both; what is counted is whole.
        if equation is None or any(one in working.arithmetic for one in (", raised to", "→")):
            continue
        value, error = worked_out(equation[0])
        if abs(value - working.value) > error + WRITTEN * abs(working.value) + 1e-9:
            yield f"{working.figure}: {working.arithmetic}, told {working.value:.6g}"


def _with_steps(workings: Iterator[Working]) -> Iterator[Working]:
    for working in workings:
        yield working
        yield from _with_steps(iter(working.steps))


def all_that_is_weighed_is_drawn(case: Case) -> Iterator[str]:
    """And nothing is drawn that has no grams; what is brushed on soaks into what is drawn."""
    answer, cut = case.answer, case.answer.cut
    drawn = {(one.part, one.layer) for one in (*cut.section, *cut.top.garnish) if one.loops}
    soaks = {part.key for part in case.dessert.parts if part.rule == "soak"}
    # A sauce is drawn around the foot of what is one portion.
    soaks |= {part.key for part in case.dessert.parts if part.rule == "sauce"}
    held = {(one.key, None) for one in case.dessert.holds}
    weighed = {
        (one.part, one.layer)
        for one in answer.parts
        if one.mass and one.mass.value > 0.01 and one.part not in soaks
    }
    for key in weighed - drawn:
        yield f"{key} is weighed and not drawn"
    for key in {one for one in drawn - weighed - held if one[0] not in soaks}:
        result = next(one for one in answer.parts if (one.part, one.layer) == key)
        if result.mass and result.mass.value <= 0.01:
            continue
        yield f"{key} is drawn and not weighed"


def a_turned_section_holds_what_is_told(case: Case) -> Iterator[str]:
    """In what is round: the outline of a part, turned about the middle, is its volume."""
    if not isinstance(case.dessert.mold, ROUND) or _rolled(case) or case.dessert.holds:
        return
    if not case.answer.cut.level_mm:
        return
    rules = {part.key: part.rule for part in case.dessert.parts}
    whole = {"base", "tier", "insert", "fill", "lining", "coat", "foot"}
    if "puff" in rules.values():
        return
    for one in case.answer.parts:
        part = next(x for x in case.dessert.parts if x.key == one.part)
        if rules[one.part] not in whole or one.volume is None or one.volume.value <= 0:
            continue
        if getattr(part, "abreast", 1) > 1 or getattr(part, "offset_mm", 0.0):
            continue
        own = _swept_ml(case.answer, one)
        if _off(one.volume.value, own, _tolerance(case, part), 0.2):
            yield f"{_named(one)}: told {one.volume.value:.2f} ml, drawn {own:.2f} ml"


def _swept_ml(answer: Solved, one: PartResult) -> float:
    shapes = [x for x in answer.cut.section if (x.part, x.layer) == (one.part, one.layer)]
    return sum(turned_mm3(shape.loops) for shape in shapes) / 1000


def _tolerance(case: Case, part: object) -> float:
    """Where a wall leans outwards over the board, the foot of a coat is counted twice."""
    leaning = isinstance(case.dessert.mold, Turned | Halves)
    return 0.05 if isinstance(part, Coat) and leaning else _DRAWN


def a_coat_is_the_body_at_its_distance(case: Case) -> Iterator[str]:
    """By hand for a box with rounded corners and a cylinder (Steiner 1840), coat over coat."""
    mold = case.dessert.mold
    if not isinstance(mold, Ring | Frame) or _rolled(case) or case.dessert.holds:
        return
    high = case.answer.cut.level_mm - sum(
        getattr(part, "height_mm", 0.0) for part in case.dessert.parts if part.rule == "foot"
    )
    under = 0.0
    coats = [part for part in reversed(case.dessert.parts) if isinstance(part, Coat)]
    if any(coat.top_only or coat.dipped for coat in coats):
        return
    for coat in coats:
        own = _around(mold, high, under + coat.thickness_mm) - _around(mold, high, under)
        told = next(one for one in case.answer.parts if one.part == coat.key).volume
        if told and _off(told.value, own / 1000, 1e-6):
            yield f"{coat.key}: told {told.value:.3f} ml, by hand {own / 1000:.3f} ml"
        under += coat.thickness_mm


def _around(mold: Ring | Frame, high: float, d: float) -> float:
    """A t + P h t + pi t² h + pi/4 P t² + 2/3 pi t³ of what stands on a board [mm³]."""
    if isinstance(mold, Ring):
        area, edge = math.pi / 4 * mold.diameter_mm**2, math.pi * mold.diameter_mm
    else:
        a, b, r = mold.length_mm, mold.width_mm, mold.corner_radius_mm
        area, edge = a * b - (4 - math.pi) * r**2, 2 * (a + b) - (8 - 2 * math.pi) * r
    side = edge * high * d + math.pi * d**2 * high
    return area * d + side + math.pi / 4 * edge * d**2 + 2 / 3 * math.pi * d**3


def a_roll_is_what_lies_flat(case: Case) -> Iterator[str]:
    """Each layer as it is drawn on the sheet × its thickness; the log holds all of them."""
    roll = _rolled(case)
    if roll is None:
        return
    flat = next(one for one in case.answer.cut.views if one.title.startswith("Flat"))
    section = 0.0
    for layer in roll.layers:
        result = next(one for one in case.answer.parts if one.layer == layer.key)
        (shape,) = (one for one in flat.shapes if one.layer == layer.key)
        xs, ys = zip(*(point for loop in shape.loops for point in loop), strict=True)
        own = (max(xs) - min(xs)) * (max(ys) - min(ys)) * layer.height_mm / 1000
        section += (max(ys) - min(ys)) * layer.height_mm
        if result.volume and _off(result.volume.value, own, 1e-6):
            yield f"{layer.key}: told {result.volume.value:.1f} ml, lying flat {own:.1f} ml"
    core = next((part for part in case.dessert.parts if part.rule == "core"), None)
    across = math.sqrt(getattr(core, "across_mm", 0.0) ** 2 + 4 * section / math.pi)
    foot = sum(getattr(p, "height_mm", 0.0) for p in case.dessert.parts if p.rule == "foot")
    raised = sum(p.thickness_mm for p in case.dessert.parts if isinstance(p, Coat))
    told = case.answer.cut.level_mm - foot - raised
    if _off(told, across, 1e-6):
        yield f"rolled {told:.2f} mm, by its layers {across:.2f}"


def mounds_are_what_is_drawn(case: Case) -> Iterator[str]:
    """As many as are seen from above, each turned about its own middle."""
    for part in case.dessert.parts:
        if not isinstance(part, Piped):
            continue
        seen = next(one for one in case.answer.cut.top.garnish if one.part == part.key)
        told = next(one for one in case.answer.parts if one.part == part.key)
        drawn = [one for one in case.answer.cut.section if one.part == part.key and one.loops]
        if not drawn or told.volume is None:
            continue
        loop = drawn[0].loops[0]
        middle = (min(x for x, _ in loop) + max(x for x, _ in loop)) / 2
        one_mm3 = turned_mm3([[(x - middle, z) for x, z in loop]])
        if _off(told.volume.value, len(seen.loops) * one_mm3 / 1000, 0.025):
            yield f"{part.key}: told {told.volume.value:.2f} ml, drawn {len(seen.loops)} mounds"


def strewn_lies_on_the_top_that_is_drawn(case: Case) -> Iterator[str]:
    """In what is round: grams by the area as wide as the line that is drawn."""
    if not isinstance(case.dessert.mold, ROUND) or _rolled(case):
        return
    for part in case.dessert.parts:
        if not isinstance(part, Strewn):
            continue
        (shape,) = (one for one in case.answer.cut.section if one.part == part.key)
        xs = [x for loop in shape.loops for x, _ in loop]
        own = math.pi / 4 * (max(xs) - min(xs)) ** 2 / 10_000 * part.on_100_cm2_g
        told = next(one for one in case.answer.parts if one.part == part.key).mass
        if told and _off(told.value, own, 1e-3, 0.01):
            yield f"{part.key}: told {told.value:.2f} g, on what is drawn {own:.2f} g"


LAWS: tuple[Law, ...] = (
    what_is_served_sums_to_the_finished_weight,
    portions_sum_to_the_finished_weight,
    no_less_is_made_than_is_served,
    sheets_make_what_parts_ask_for,
    a_working_gives_its_figure,
    all_that_is_weighed_is_drawn,
    a_turned_section_holds_what_is_told,
    a_coat_is_the_body_at_its_distance,
    a_roll_is_what_lies_flat,
    mounds_are_what_is_drawn,
    strewn_lies_on_the_top_that_is_drawn,
)
