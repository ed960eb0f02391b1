"""What a dessert takes: volume and mass of every part, weights, portions, findings, the cut."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from fernbell.core.desserts.cut import Cut, draw
from fernbell.core.desserts.judge import judge
from fernbell.core.desserts.layout import Layout, lay_out
from fernbell.core.desserts.masses import for_all, portion_mass, total
from fernbell.core.desserts.measure import PartResult, Pour, measure_garnish, measure_parts
from fernbell.core.desserts.parts import Dessert, Insert
from fernbell.core.desserts.portions import Division, divide
from fernbell.core.desserts.practice import LINER_OVERLAP
from fernbell.core.desserts.stages import Stage, build_stages
from fernbell.core.desserts.volumes import exposed_surface, strip_length
from fernbell.core.desserts.words import cut_words
from fernbell.core.errors import check_range
from fernbell.core.findings import Finding
from fernbell.core.formulas import FormulaReading
from fernbell.core.working import Working

__all__ = ["Measured", "PartResult", "Pour", "Solved", "formulas_used", "measured", "work_out"]

MOST_DESSERTS = 5000
_BUILDING_ORDER = ("base", "insert", "fill", "coat", "band", "garnish")

Readings = Mapping[str, FormulaReading]


@dataclass(frozen=True, slots=True)
class Solved:
    """Everything that follows from a dessert and a count; None where a density is unknown.

    `division` is where the knife goes, `division_working` its number where it goes by weight;
    `stages` is the building, `words` the cut as it is read aloud.
    """

    count: int
    parts: tuple[PartResult, ...]
    finished: Working | None
    finished_all: Working | None
    height: Working
    surface: Working
    liner: Working
    portions: int
    division: Division
    division_working: Working | None
    portion: Working | None
    findings: tuple[Finding, ...]
    cut: Cut
    stages: tuple[Stage, ...]
    words: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Measured:
    """A dessert laid out, divided and measured, before it is judged and drawn."""

    dessert: Dessert
    count: int
    layout: Layout
    division: Division
    division_working: Working | None
    parts: tuple[PartResult, ...]


def formulas_used(dessert: Dessert) -> Iterable[str]:
    """Keys of the formulas a dessert names, bottom first.

    Args:
        dessert: parts in a mold [Dessert].
    Returns:
        keys, perhaps more than once [key].
    Source:
        definition.
    """
    rank = {rule: place for place, rule in enumerate(_BUILDING_ORDER)}
    upwards = dessert.parts[::-1]
    for part in sorted(upwards, key=lambda one: rank[one.rule]):
        if isinstance(part, Insert):
            yield from (layer.formula for layer in reversed(part.layers))
        else:
            yield part.formula


def measured(dessert: Dessert, readings: Readings, count: int) -> Measured:
    """Lay out, measure and divide a dessert.

    Args:
        dessert: parts in a mold [Dessert].
        readings: the formulas they are made of [g/ml].
        count: how many of it are made [1].
    Returns:
        volumes and masses, part by part [ml, g].
    Raises:
        OutOfRange: a count below 1 or above 5000, a part too short for a frame, a portion
            lighter than its garnish.
    Source:
        geometry, volume and mass balance; each working names its own.
    """
    check_range("count", count, least=1, most=MOST_DESSERTS)
    layout = lay_out(dessert)
    body = measure_parts(dessert, layout, readings, count)
    garnish_g = sum(one.piece_g * one.pieces_per_portion for one in layout.garnishes)
    plain = _finished(body)
    division, working = divide(
        dessert.portions, dessert.mold, plain.value if plain else None, garnish_g
    )
    parts = body + measure_garnish(layout, readings, division.count, count)
    return Measured(dessert, count, layout, division, working, parts)


def work_out(one: Measured, readings: Readings, others_g: Mapping[str, float]) -> Solved:
    """Everything that follows from what was measured.

    Args:
        one: the dessert, measured [ml, g].
        readings: the formulas its parts are made of [g/ml].
        others_g: by coat, what other sizes of the order pour of the same [g].
    Returns:
        totals, findings, cut, stages and words [g, mm].
    Source:
        geometry, volume and mass balance; each working names its own.
    """
    dessert, layout, parts, count = one.dessert, one.layout, one.parts, one.count
    finished = _finished(parts)
    portions, plan = one.division.count, dessert.mold.plan
    portion = portion_mass(finished, portions) if finished else None
    names = {(part.part, part.layer): part.name for part in parts}
    return Solved(
        count=count,
        parts=_from_the_top(dessert, parts),
        finished=finished,
        finished_all=for_all(f"All {count} desserts", finished, count) if finished else None,
        height=_height(layout),
        surface=exposed_surface(plan, layout.top_mm, top_only=False),
        liner=strip_length("Liner strip", plan.perimeter_mm, LINER_OVERLAP.value),
        portions=portions,
        division=one.division,
        division_working=one.division_working,
        portion=portion,
        findings=judge(dessert, layout, readings, parts, count, portions, portion, others_g),
        cut=draw(dessert, layout, readings, one.division),
        stages=build_stages(dessert, layout, parts, readings),
        words=cut_words(dessert, layout, names, portions),
    )


def _finished(parts: tuple[PartResult, ...]) -> Working | None:
    """The sum of all parts, None while one of them is unknown or there is none."""
    named = tuple((part.name, part.mass.value) for part in parts if part.mass is not None)
    if not named or len(named) < len(parts):
        return None
    return total("Finished weight", "g", named)


def _height(layout: Layout) -> Working:
    top = "to the top of the fill" if layout.fill else "top of the highest part"
    coats = tuple(("coat on top", coat.thickness_mm) for coat in layout.coats)
    return total("Finished height", "mm", ((top, layout.top_mm), *coats))


def _from_the_top(dessert: Dessert, parts: tuple[PartResult, ...]) -> tuple[PartResult, ...]:
    """Results in the order of the shelf: parts, and layers within an insert, from the top down."""
    place: dict[tuple[str, str | None], int] = {}
    for part in dessert.parts:
        place[part.key, None] = len(place)
        if isinstance(part, Insert):
            for layer in part.layers:
                place[part.key, layer.key] = len(place)
    return tuple(sorted(parts, key=lambda one: place[one.part, one.layer]))
