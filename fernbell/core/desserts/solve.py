"""What a dessert takes: volume and mass of every part, weights, portions, sheets, findings."""

from collections.abc import Iterable
from dataclasses import dataclass

from fernbell.core.desserts.cut import Cut, draw
from fernbell.core.desserts.judge import judge
from fernbell.core.desserts.layout import Layout, lay_out
from fernbell.core.desserts.masses import for_all, portion_mass, total
from fernbell.core.desserts.measure import PartResult, Pour, measure_parts
from fernbell.core.desserts.parts import Dessert, Insert
from fernbell.core.desserts.practice import LINER_OVERLAP
from fernbell.core.desserts.volumes import exposed_surface, strip_length
from fernbell.core.errors import check_range
from fernbell.core.findings import Finding
from fernbell.core.formulas import Book, Demand, Sheet, read_formulas, sheets
from fernbell.core.working import Working

__all__ = ["PartResult", "Pour", "Solved", "solve"]

MOST_DESSERTS = 5000


@dataclass(frozen=True, slots=True)
class Solved:
    """Everything that follows from a dessert and a count; None where a density is unknown."""

    count: int
    parts: tuple[PartResult, ...]
    finished: Working | None
    finished_all: Working | None
    height: Working
    surface: Working
    liner: Working
    portions: int
    portion: Working | None
    findings: tuple[Finding, ...]
    cut: Cut


def solve(dessert: Dessert, book: Book, count: int = 1) -> tuple[Solved, tuple[Sheet, ...]]:
    """Work out a dessert, part by part, each by its own rule.

    Args:
        dessert: parts in a mold [Dessert].
        book: the formulas and ingredients it refers to [Book].
        count: how many of it are made [1].
    Returns:
        volumes, masses, findings and the cut; and one scaled sheet a formula [ml, g, mm].
    Raises:
        OutOfRange: a count below 1 or above 5000, or a part too short for a frame.
        FormulaCircle: a formula contains itself.
        UnknownKey: a part points at no formula.
    Source:
        geometry, volume and mass balance; each working names its own.
    """
    check_range("count", count, least=1, most=MOST_DESSERTS)
    layout = lay_out(dessert)
    readings = read_formulas(book, _formulas_used(layout))
    parts = measure_parts(dessert, layout, readings, count)
    finished = _finished(parts)
    made = sheets(book, readings, _demands(parts))
    portions, plan = dessert.portions.count, dessert.mold.plan
    portion = portion_mass(finished, portions) if finished else None
    solved = Solved(
        count=count,
        parts=_from_the_top(dessert, parts),
        finished=finished,
        finished_all=for_all(f"All {count} desserts", finished, count) if finished else None,
        height=_height(layout),
        surface=exposed_surface(plan, layout.top_mm, top_only=False),
        liner=strip_length("Liner strip", plan.perimeter_mm, LINER_OVERLAP.value),
        portions=portions,
        portion=portion,
        findings=judge(dessert, layout, readings, parts, count, portion, made),
        cut=draw(dessert, layout, readings),
    )
    return solved, made


def _formulas_used(layout: Layout) -> Iterable[str]:
    yield from (block.formula for block in layout.blocks)
    if layout.fill:
        yield layout.fill.formula
    yield from (part.formula for part in layout.coats)
    yield from (part.formula for part in layout.bands)
    yield from (part.formula for part in layout.garnishes)


def _demands(parts: tuple[PartResult, ...]) -> list[Demand]:
    return [
        Demand(part.formula, part.make.value, part.name) for part in parts if part.make is not None
    ]


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
