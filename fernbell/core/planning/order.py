"""Several desserts and sizes together: every formula once, in the batches its vessels ask for."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from itertools import accumulate, groupby
from typing import Literal

from fernbell.core.desserts import Dessert
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.order import Merged, merge_order
from fernbell.core.errors import check_range
from fernbell.core.formulas import Batch, Book, Sheet, Step, Wanted, batches
from fernbell.core.planning.equipment import Vessel
from fernbell.core.planning.needs import needs, on_trays
from fernbell.core.planning.splitting import BatchOf, Filled, Split, split
from fernbell.starter.hands import KEEPS_MIN

_ALMOST_G = 1e-6
_LONG_MIN = 120
"""What keeps longer is made once for all lots [min]."""
_DAY_MIN = 1440
_NO_LESS = "left over: its vessel takes no less"


@dataclass(frozen=True, slots=True)
class Ordered:
    """So many of a dessert in one size, and what it is called; in lots where molds are few.

    `days` are those on which each lot is served, from the first; all on one where none are named.
    """

    name: str
    dessert: Dessert
    count: int
    lots: tuple[int, ...] = ()
    days: tuple[int, ...] = ()


def in_lots(count: int, at_once: int | None) -> tuple[int, ...]:
    """How many are molded together, lot after lot.

    Args:
        count: desserts [1].
        at_once: that there are molds for; None where there are enough [1].
    Returns:
        as few lots as go, and as even; none where one is enough [1].
    Source:
        counting.
    """
    if at_once is None or count <= at_once:
        return ()
    number = -(-count // at_once)
    return tuple(count * (at + 1) // number - count * at // number for at in range(number))


CountedBy = Literal["desserts", "trays", "covers"]


def how_many(count: int, by: CountedBy, *, cavities: int, portions: int) -> int:
    """Desserts that are made for so many desserts, trays or covers.

    Args:
        count: what is ordered [1].
        by: what that counts [text].
        cavities: desserts in a tray [1].
        portions: of one dessert [1].
    Returns:
        whole desserts [1].
    Source:
        counting.
    """
    if by == "trays":
        return count * cavities
    return -(-count // portions) if by == "covers" else count


@dataclass(frozen=True, slots=True)
class WeighedBatch:
    """One batch: what is weighed of each line of its sheet, in their order [g], and for what."""

    batch: BatchOf
    masses_g: tuple[float, ...]


@dataclass(frozen=True, slots=True)
class MadeFormula:
    """A formula for the whole order: its sheet, and its batches.

    `left_g` is what is made and nobody asked for: of whole eggs, and of what a vessel takes at
    least.
    """

    sheet: Sheet
    batches: tuple[WeighedBatch, ...]
    limit: str
    way: str
    left_g: float


@dataclass(frozen=True, slots=True)
class PlannedOrder:
    """Everything an order takes, formula by formula in the order of making."""

    order: Merged
    made: tuple[MadeFormula, ...]


def plan_order(
    lines: Sequence[Ordered],
    book: Book,
    vessels: Sequence[Vessel] = (),
    *,
    jobs: Mapping[str, str] | None = None,
    sets_min: Mapping[str, float] | None = None,
    methods: Mapping[str, Sequence[Step]] | None = None,
    keeps_min: Mapping[str, int | None] | None = None,
) -> PlannedOrder:
    """Merge an order and split every formula into batches.

    Args:
        lines: desserts and how many of each, shape (n,) [Ordered].
        book: the formulas and ingredients they refer to [Book].
        vessels: what the kitchen has [Vessel].
        jobs: what formulas were set for, by key, where known [key].
        sets_min: how long formulas can be filled before they set, by key [min].
        methods: steps of formulas, by key, where known [Step].
        keeps_min: how long formulas keep until they are used, by key; of services on several days
            what keeps less than to the next is made for each [min].
    Returns:
        every formula once, its losses counted once, in batches [g].
    Raises:
        OutOfRange: a count below 1 or above 5000.
        CoreError: more than 500 batches of a formula.
        FormulaCircle: a formula contains itself.
        UnknownKey: a part points at no formula.
    Source:
        mass balance; counting.
    """
    check_range("lines", len(lines), least=1, most=200)
    order = merge_order([(one.dessert, one.count) for one in lines], book)
    filled = _filled(order.each, lines)
    trays = on_trays(order.each, order.batches, vessels, methods or {})

    def splits(batches_: Sequence[Batch]) -> dict[str, Split]:
        """What holds others first, so that they are known to be made for its batches."""
        parts: dict[str, Split] = {}
        for batch in reversed(batches_):
            key, sets = batch.formula.key, (sets_min or {}).get(batch.formula.key)
            every = [*filled.get(key, ()), *_nested(key, batches_, parts)]
            fresh = _made_fresh(batch.formula.kind, sets)
            need = needs(book, batch.reading, (jobs or {}).get(key, ""), trays.get(key, ()))
            turns = _in_turns(every, (keeps_min or {}).get(key), fresh=fresh)
            parts[key] = split(turns, need, vessels, sets)
        return parts

    topped: dict[str, float] = {}
    parts = splits(order.batches)
    while more := _topped(order.batches, parts, topped):
        topped |= more
        wanted = (Wanted(key, grams, _NO_LESS) for key, grams in topped.items() if grams)
        made = batches(book, order.readings, (*order.demands, *wanted))
        order = replace(order, batches=made)
        parts = splits(made)
    return PlannedOrder(
        order, tuple(_made(batch, parts[batch.formula.key]) for batch in order.batches)
    )


def _topped(
    made: Sequence[Batch], parts: Mapping[str, Split], known: Mapping[str, float]
) -> dict[str, float]:
    """What vessels ask for beyond what is wanted, where that was not counted yet [g].

    Of a formula within one that grows itself nothing is said before that has grown.
    """
    found: dict[str, float] = {}
    for batch in reversed(made):
        key = batch.formula.key
        above = {
            one.formula.key for one in made if any(x.formula == key for x in one.formula.lines)
        }
        more = sum(one.left_g for one in parts[key].batches)
        if abs(more - known.get(key, 0.0)) > _ALMOST_G and not above & found.keys():
            found[key] = more
    return found


def _made_fresh(kind: str, sets_min: float | None) -> bool:
    """Whether it does not keep until the molds are free again."""
    return (sets_min or KEEPS_MIN.get(kind, _LONG_MIN)) < _LONG_MIN


def _in_turns(filled: Sequence[Filled], keeps_min: int | None, *, fresh: bool) -> list[Filled]:
    """What is filled from batches of its own: on days too far apart, and lots of what is fresh."""
    first: dict[int, int] = {}
    for day in sorted({one.day for one in filled}):
        began = max(first.values(), default=day)
        # Within a day it is made sooner or later.
        near = keeps_min is None or (day - began + 1) * _DAY_MIN <= keeps_min
        first[day] = began if near and not fresh else day
    turns = [(first[one.day], one.turn if fresh else 0) for one in filled]
    place = {turn: at for at, turn in enumerate(sorted(set(turns)))}
    return [
        one if one.turn == place[turn] else replace(one, turn=place[turn])
        for one, turn in zip(filled, turns, strict=True)
    ]


def _filled(sizes: Sequence[MeasuredDessert], lines: Sequence[Ordered]) -> dict[str, list[Filled]]:
    """By formula, what is filled with it: each dessert as often as it is made, lot by lot."""
    found: dict[str, list[Filled]] = {}
    for made, line in zip(sizes, lines, strict=True):
        lots = line.lots or (made.count,)
        days = line.days or (0,) * len(lots)
        firsts = [1, *(1 + reached for reached in accumulate(lots))]
        turns = [days[:at].count(day) for at, day in enumerate(days)]
        for formula, grams in _grams(made):
            each_g = grams / made.count
            found.setdefault(formula, []).extend(
                Filled(line.name, number, each_g, first, turn, day)
                for number, first, turn, day in zip(lots, firsts[:-1], turns, days, strict=True)
            )
    return found


def _grams(made: MeasuredDessert) -> Iterator[tuple[str, float]]:
    """What is made of each formula for one size: its parts of it together [g]."""
    total: dict[str, float] = {}
    for part in made.parts:
        if part.make is not None:
            total[part.formula] = total.get(part.formula, 0.0) + part.make.value
    yield from total.items()
    for held in made.holds:
        yield from _grams(held.made)


def _nested(key: str, made: Sequence[Batch], parts: Mapping[str, Split]) -> Iterator[Filled]:
    """What goes into the batches of other formulas."""
    for other in made:
        for line, exact_g in zip(other.formula.lines, other.exact_g, strict=True):
            if line.formula == key and exact_g:
                yield from _within(other.formula.name, exact_g, parts[other.formula.key].batches)


def _within(name: str, exact_g: float, outer: Sequence[BatchOf]) -> Iterator[Filled]:
    """What of a formula goes into the batches of another, those of a day together."""
    if not outer:
        yield Filled(name, 1, exact_g)
    total = sum(one.made_g for one in outer)
    first = 1
    for day, alike in groupby(outer, key=lambda one: one.day):
        own = list(alike)
        share = sum(one.made_g for one in own) / total
        yield Filled(name, len(own), exact_g * share / len(own), first, day=day)
        first += len(own)


def _made(batch: Batch, parts: Split) -> MadeFormula:
    """Its sheet's lines shared out over its batches, each rounded to the scale."""
    sheet = batch.sheet()
    total = sum(one.made_g for one in parts.batches)
    shares = [one.made_g / total for one in parts.batches]
    lines = [
        _shared(line.mass_g, shares, one.weigh_step_g)
        for line, one in zip(sheet.lines, batch.weighed, strict=True)
    ]
    weighed = tuple(
        WeighedBatch(one, tuple(line[at] for line in lines)) for at, one in enumerate(parts.batches)
    )
    left = sheet.spare_g + sum(one.left_g for one in parts.batches)
    return MadeFormula(sheet, weighed, parts.limit, parts.way, max(0.0, left))


def _shared(mass_g: float, shares: Sequence[float], step_g: float) -> list[float]:
    """A line of the sheet over its batches, each on the scale; together they are the line [g].

    Of batches that are alike the first weigh a step more where it does not come out even, so that
    few differ. Eggs that are whole in the sheet are so over the sum, and weighed in each batch.
    """
    found: list[float] = []
    given, reached = 0.0, 0.0
    for share, alike in groupby(shares, key=lambda one: round(one, 9)):
        number = len(list(alike))
        reached += share * number
        last = len(found) + number == len(shares)
        end = mass_g if last else round(mass_g * reached / step_g) * step_g
        found += _evenly(end - given, number, step_g)
        given = end
    return found


def _evenly(mass_g: float, number: int, step_g: float) -> list[float]:
    """So much in so many alike, on the scale; what is no whole step is in the last [g]."""
    steps = int(mass_g / step_g + _ALMOST_G)
    each, more = divmod(steps, number)
    found = [round((each + (at < more)) * step_g, 6) for at in range(number)]
    return [*found[:-1], round(mass_g - sum(found[:-1]), 6)]
