"""An order: a dessert in one size or several, each worked out, their sheets merged."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace

from fernbell.core.desserts.dessert import Dessert, formulas_used
from fernbell.core.desserts.judge import judge_batches
from fernbell.core.desserts.masses import total
from fernbell.core.desserts.measure import MeasuredDessert, PartResult
from fernbell.core.desserts.part import Part
from fernbell.core.desserts.solve import Size, Solved, measured, size_of
from fernbell.core.formulas import (
    Batch,
    Book,
    FormulaReading,
    Sheet,
    Wanted,
    batches,
    read_formulas,
)
from fernbell.core.working import Working

Sized = tuple[Dessert, int]


@dataclass(frozen=True, slots=True)
class Take:
    """What one formula brings to the whole order, before the losses of its sheet."""

    formula: str
    name: str
    make: Working


@dataclass(frozen=True, slots=True)
class SolvedOrder:
    """Every size, what the order takes together, and one batch a formula."""

    sizes: tuple[Size, ...]
    takes: tuple[Take, ...]
    batches: tuple[Batch, ...]

    @property
    def sheets(self) -> tuple[Sheet, ...]:
        """Scaled sheets of the batches; written out only where they are read."""
        return tuple(batch.sheet() for batch in self.batches)


def solve(dessert: Dessert, book: Book, count: int = 1) -> tuple[Solved, tuple[Sheet, ...]]:
    """Work out a dessert of one size, part by part, each by its own rule.

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
    order = solve_order(((dessert, count),), book)
    return order.sizes[0].solved(), order.sheets


def solve_order(sizes: Sequence[Sized], book: Book) -> SolvedOrder:
    """Work out every size of an order and merge what they take.

    Args:
        sizes: desserts and how many of each, shape (n,) [1].
        book: the formulas and ingredients they refer to [Book].
    Returns:
        each size worked out, and one scaled sheet a formula for all [ml, g, mm].
    Raises:
        OutOfRange: a count below 1 or above 5000, or a part too short for a frame.
        FormulaCircle: a formula contains itself.
        UnknownKey: a part points at no formula.
    Source:
        mass balance.
    """
    merged = merge_order(sizes, book)
    said = tuple(judge_batches(merged.batches))
    return SolvedOrder(
        sizes=tuple(size_of(one, said) for one in merged.each),
        takes=_takes(merged.demands, merged.readings),
        batches=merged.batches,
    )


@dataclass(frozen=True, slots=True)
class Merged:
    """Every size measured, and one batch a formula for what they take together."""

    each: tuple[MeasuredDessert, ...]
    readings: Mapping[str, FormulaReading]
    demands: tuple[Wanted, ...]
    batches: tuple[Batch, ...]


def merge_order(sizes: Sequence[Sized], book: Book) -> Merged:
    """Measure every size of an order and merge what they take, nothing judged or drawn.

    Args:
        sizes: desserts and how many of each, shape (n,) [1].
        book: the formulas and ingredients they refer to [Book].
    Returns:
        each size measured, and one batch a formula for all [g].
    Raises:
        OutOfRange: a count below 1 or above 5000, or a part too short for a frame.
        FormulaCircle: a formula contains itself.
        UnknownKey: a part points at no formula.
    Source:
        mass balance.
    """
    readings = read_formulas(book, [key for dessert, _ in sizes for key in formulas_used(dessert)])
    each = [measured(dessert, readings, count) for dessert, count in sizes]
    jugs = _other_pours(each)
    if len(each) > 1:
        each = [_shared_pour(one, others) for one, others in zip(each, jugs, strict=True)]
    demands = tuple(_demands(each))
    poured = (replace(one, others_g=others) for one, others in zip(each, jugs, strict=True))
    return Merged(tuple(poured), readings, demands, batches(book, readings, demands))


def _poured(one: MeasuredDessert) -> Iterator[tuple[Part, PartResult, float]]:
    """Parts that are poured from a jug, with what they pour [g]."""
    for part in one.body.parts:
        for result in one.parts:
            if result.part == part.key and result.mass is not None:
                grams = part.poured_g(result.mass.value, one.count)
                if grams is not None:
                    yield part, result, grams


def _other_pours(each: Sequence[MeasuredDessert]) -> list[Mapping[str, float]]:
    """By size, and by part of it, what the other sizes pour of the same formula [g]."""
    poured = [tuple(_poured(one)) for one in each]
    jugs: dict[str, list[tuple[int, float]]] = {}
    for at, own in enumerate(poured):
        for _, result, grams in own:
            jugs.setdefault(result.formula, []).append((at, grams))
    return [
        {
            part.key: sum(grams for other, grams in jugs[result.formula] if other != at)
            for part, result, _ in own
        }
        for at, own in enumerate(poured)
    ]


def _shared_pour(one: MeasuredDessert, others_g: Mapping[str, float]) -> MeasuredDessert:
    """The same, made for a jug the other sizes are poured from too."""
    exchanged = {
        part.key: replace(
            result, make=part.make(result.name, result.mass, one.count, others_g[part.key])
        )
        for part, result, _ in _poured(one)
        if result.mass is not None
    }
    return replace(one, parts=tuple(exchanged.get(part.part, part) for part in one.parts))


def _demands(each: Sequence[MeasuredDessert]) -> Iterator[Wanted]:
    for one in each:
        size = f", {one.dessert.mold.size_words()}" if len(each) > 1 else ""
        yield from _wanted(one, size)


def _wanted(one: MeasuredDessert, where: str) -> Iterator[Wanted]:
    """What it is made of, and what the desserts are made of that it holds."""
    for part in one.parts:
        if part.make is not None:
            yield Wanted(part.formula, part.make.value, f"{part.name}{where}")
    for held in one.holds:
        yield from _wanted(held.made, f", {held.name}{where}")


def _takes(demands: Sequence[Wanted], readings: Mapping[str, FormulaReading]) -> tuple[Take, ...]:
    """Demands summed by formula, in the order in which they are first wanted."""
    by_formula: dict[str, list[tuple[str, float]]] = {}
    for demand in demands:
        by_formula.setdefault(demand.formula, []).append((demand.purpose, demand.mass_g))

    def take(key: str, named: list[tuple[str, float]]) -> Take:
        name = readings[key].formula.name
        return Take(key, name, total(f"{name}, whole order", "g", tuple(named)))

    return tuple(take(key, named) for key, named in by_formula.items())
