"""How a formula is made in batches: as few and as even as its vessels allow, each for whole
desserts, in the order in which they are filled.
"""

import math
from bisect import bisect_left, bisect_right
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from itertools import accumulate, pairwise

from fernbell.core.errors import CoreError
from fernbell.core.planning.equipment import VESSELS, Vessel
from fernbell.core.planning.needs import Need
from fernbell.core.working import figure_text
from fernbell.starter.practice import practice

MOST_BATCHES = 500
_ALMOST = 1e-9
_HALVINGS = 50


@dataclass(frozen=True, slots=True)
class Filled:
    """So many alike that are filled with so much each [g], from the `first` of them.

    What is filled in another `turn` is filled when the molds are free again; `day` is the one of
    its service.
    """

    name: str
    count: int
    each_g: float
    first: int = 1
    turn: int = 0
    day: int = 0


@dataclass(frozen=True, slots=True)
class Fed:
    """What a batch is for: so many of these, from the first of them that is filled."""

    name: str
    count: int
    first: int


@dataclass(frozen=True, slots=True)
class BatchOf:
    """One batch: what it is for, what it is made at, in which vessels, and what is left of it [g].

    More is made than is wanted where a vessel takes no less. `day` is that of the first service it
    is for.
    """

    wanted_g: float
    made_g: float
    vessels: tuple[str, ...]
    feeds: tuple[Fed, ...]
    day: int = 0

    @property
    def left_g(self) -> float:
        """What nobody asked for [g]."""
        return self.made_g - self.wanted_g


@dataclass(frozen=True, slots=True)
class Split:
    """A formula in batches; `limit` says what keeps a batch from being larger, `way` what is in
    the way where a dessert has to be filled from two.
    """

    batches: tuple[BatchOf, ...]
    limit: str = ""
    way: str = ""


@dataclass(frozen=True, slots=True)
class Limit:
    """The most of a formula that goes into a kind of vessel at once, and why [g]."""

    most_g: float
    says: str


def limits(
    needs: Sequence[Need], vessels: Sequence[Vessel], sets_min: float | None = None
) -> tuple[Limit, ...]:
    """What the equipment allows of a formula, the tightest first.

    Args:
        needs: vessels it goes through, and room a gram [Need].
        vessels: what the kitchen has [Vessel].
        sets_min: how long it can be filled before it sets; None where it does not [min].
    Returns:
        limits; none where the kitchen has no such vessel [g].
    Source:
        volume balance; how fast hands fill is the kitchen's.
    """
    found = []
    for need in needs:
        own = [one for one in vessels if one.kind == need.kind]
        if own:
            most, takes = _most(own)
            found.append(Limit(most / need.room_per_g, f"{takes}: {need.why}"))
    hands = [one for one in vessels if one.kind == "hands"]
    if sets_min is not None and hands:
        pace = sum(one.most * one.number for one in hands)
        says = f"it sets in {figure_text(sets_min)} min; {figure_text(pace)} g are filled in one"
        found.append(Limit(pace * sets_min, says))
    return tuple(sorted(found, key=lambda one: one.most_g))


def _most(own: Sequence[Vessel]) -> tuple[float, str]:
    """What a batch has room in, in the unit of the kind, and how that is said."""
    largest = max(own, key=lambda one: one.size)
    if largest.kind == "tray":
        return largest.number, f"there are {largest.number} × {largest.name}"
    if VESSELS[largest.kind].together:
        most = sum(one.most * one.number for one in own)
        names = " and ".join(f"{one.number} × {one.name}" for one in own)
        take = "takes" if sum(one.number for one in own) == 1 else "take"
        return most, f"{names} {take} {figure_text(most)} trays at once"
    unit = VESSELS[largest.kind].unit
    return largest.most, f"{largest.name} takes {figure_text(largest.most)} {unit}"


def split(
    filled: Sequence[Filled],
    needs: Sequence[Need],
    vessels: Sequence[Vessel],
    sets_min: float | None = None,
) -> Split:
    """Batches of a formula for everything that is filled with it.

    Args:
        filled: what takes it, in the order of filling, shape (n,) [g].
        needs: vessels it goes through, and room a gram [Need].
        vessels: what the kitchen has [Vessel].
        sets_min: how long it can be filled before it sets; None where it does not [min].
    Returns:
        as few batches as go, as even as whole desserts allow [g].
    Raises:
        CoreError: more than 500 batches.
    Source:
        counting: the largest batch is made as small as their number allows.
    """
    total = sum(one.count * one.each_g for one in filled)
    found = limits(needs, vessels, sets_min)
    if not total:
        return Split(())
    most = found[0].most_g if found else math.inf
    if total / most > MOST_BATCHES:
        allowed = f"at most {MOST_BATCHES}; {found[0].says}"
        raise CoreError("batches", math.ceil(total / most), allowed)
    largest = max(filled, key=lambda one: one.each_g if one.count else 0.0)
    if largest.each_g > most * (1 + _ALMOST):
        way = (
            f"{largest.name} takes {figure_text(largest.each_g)} g at once; {found[0].says}: take "
            "a larger one, or fill it from two batches"
        )
        even = tuple(one for turn in _turns(filled) for one in _even(turn, most, needs, vessels))
        return Split(even, found[0].says, way)
    batches = tuple(
        _batch(
            sum(fed.count * grams for fed, grams in part),
            tuple(fed for fed, _ in part),
            needs,
            vessels,
            min(one.day for one in turn),
        )
        for turn in _turns(filled)
        for part in _parts(turn, most)
    )
    return Split(batches, found[0].says if found and len(batches) > 1 else "")


def _even(
    turn: Sequence[Filled], most_g: float, needs: Sequence[Need], vessels: Sequence[Vessel]
) -> Iterator[BatchOf]:
    """Batches alike, of which each goes into everything, as one is not enough for a dessert."""
    total = sum(one.count * one.each_g for one in turn)
    number = math.ceil(total / most_g * (1 - _ALMOST))
    feeds = tuple(Fed(one.name, one.count, one.first) for one in turn)
    for _ in range(number):
        yield _batch(total / number, feeds, needs, vessels, min(one.day for one in turn))


def _turns(filled: Sequence[Filled]) -> Iterator[list[Filled]]:
    """What is filled together, turn after turn."""
    for turn in sorted({one.turn for one in filled if one.count}):
        yield [one for one in filled if one.turn == turn and one.count]


Part = list[tuple[Fed, float]]


def _parts(filled: Sequence[Filled], most_g: float) -> list[Part]:
    """What each batch is for, in the order of filling: as few as can be, and as even."""
    units = [one.each_g for one in filled for _ in range(one.count)]
    starts = [0, *accumulate(one.count for one in filled)]
    groups = []
    for begin, end in pairwise([0, *_ends(units, most_g)]):
        part: Part = []
        for at, one in enumerate(filled):
            low, high = max(begin, starts[at]), min(end, starts[at + 1])
            if high > low:
                part.append((Fed(one.name, high - low, low - starts[at] + one.first), one.each_g))
        groups.append(part)
    return groups


def _ends(units: Sequence[float], most_g: float) -> list[int]:
    """Behind which unit each batch ends: at even shares where that fits, else so that the largest
    is as small as their number allows.
    """
    sums = [0.0, *accumulate(units)]
    number = len(_full(sums, most_g))
    even = [_nearest(sums, sums[-1] * share / number) for share in range(1, number)]
    ends = [*even, len(units)]
    groups = [sums[b] - sums[a] for a, b in pairwise([0, *ends])]
    if min(groups) > 0 and max(groups) <= most_g * (1 + _ALMOST):
        return ends
    low, high = max(units), most_g
    for _ in range(_HALVINGS):
        middle = (low + high) / 2
        low, high = (low, middle) if len(_full(sums, middle)) <= number else (middle, high)
    return _full(sums, high)


def _nearest(sums: Sequence[float], wanted: float) -> int:
    """Where a running sum comes nearest to a value."""
    at = min(max(1, bisect_left(sums, wanted)), len(sums) - 1)
    return at if sums[at] - wanted < wanted - sums[at - 1] else at - 1


def _full(sums: Sequence[float], most_g: float) -> list[int]:
    """Ends of batches each as full as goes: no other way needs fewer."""
    ends, at = [], 0
    while at < len(sums) - 1:
        reach = sums[at] + most_g * (1 + _ALMOST)
        at = max(at + 1, bisect_right(sums, reach) - 1)
        ends.append(at)
    return ends


def _chargers(need: Need, room_ml: float) -> str:
    """How many gas chargers what is in a siphon takes; nothing for any other vessel."""
    if need.kind != "siphon":
        return ""
    number = math.ceil(room_ml / practice("charger") - _ALMOST)
    return f", {number} charger{'s' if number > 1 else ''}; never opened under pressure"


def _batch(
    grams: float,
    feeds: tuple[Fed, ...],
    needs: Sequence[Need],
    vessels: Sequence[Vessel],
    day: int,
) -> BatchOf:
    """A batch in the smallest vessels that hold it; topped up to what they take at least."""
    made = grams
    names: list[str] = []
    for need in needs:
        own = sorted((one for one in vessels if one.kind == need.kind), key=lambda one: one.size)
        if not own:
            continue
        room = grams * need.room_per_g
        if VESSELS[need.kind].together:
            names += _several(own, room)
            continue
        holds = [one for one in own if one.most * (1 + _ALMOST) >= room] or own[-1:]
        fits = [one for one in holds if one.least <= room] or [
            min(holds, key=lambda one: one.least)
        ]
        names.append(f"{fits[0].name}{_chargers(need, room)}")
        made = max(made, fits[0].least / need.room_per_g)
    return BatchOf(grams, made, tuple(names), feeds, day)


def _several(own: Sequence[Vessel], room: float) -> Iterator[str]:
    """Of the largest as many as it takes and as there are, then of the next."""
    for one in reversed(own):
        each = 1 if one.kind == "tray" else one.most
        number = min(one.number, math.ceil(room / each - _ALMOST))
        if number > 0:
            yield f"{number} × {one.name}" if number > 1 else one.name
        room -= number * each
