"""How pieces are cut from sheets: how many sheets, where each piece lies, what is left over."""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

from fernbell.core.cutting.apart import check_apart
from fernbell.core.cutting.blank import Blank, Layout, Place
from fernbell.core.cutting.raw import RawSheet, Room
from fernbell.core.errors import CoreError, check_range
from fernbell.core.molds import Loop

MOST_PIECES, MOST_ON_ONE = 10_000, 4000
ROUNDS = 8
"""Turns of searching; each tries a few arrangements and may be the last."""
_TRIES = 6
"""Arrangements tried in a turn."""


@dataclass(frozen=True, slots=True)
class ToCut:
    """So many pieces of one form, and what they are called."""

    name: str
    piece: Blank
    count: int


@dataclass(frozen=True, slots=True)
class Laid:
    """A piece on a sheet: which of those wanted, and where."""

    wanted: int
    place: Place


@dataclass(frozen=True, slots=True)
class CutSheet:
    """One sheet in the order of cutting, and so many alike.

    `offcut_mm` is where the rectangle begins that stays whole at its far end, None for none.
    """

    pieces: tuple[Laid, ...]
    alike: int
    offcut_mm: float | None


@dataclass(frozen=True, slots=True)
class CutPlan:
    """Sheets and what is cut from each; `ways` how each form is laid, `bounds` the most of it
    that could be on one sheet.

    `turn` of `turns` of searching are done; with `done` no more are worth while.
    """

    raw: RawSheet
    wanted: tuple[ToCut, ...]
    sheets: tuple[CutSheet, ...]
    ways: tuple[str, ...]
    on_one: tuple[int, ...]
    bounds: tuple[int, ...]
    turn: int
    turns: int
    done: bool

    @property
    def number(self) -> int:
        """How many sheets."""
        return sum(one.alike for one in self.sheets)

    def outline(self, one: Laid) -> Loop:
        """The edge of a piece about its middle, turned as it lies [mm]."""
        return self.wanted[one.wanted].piece.outline(one.place.turn_deg)

    @property
    def pieces_mm2(self) -> float:
        """What is cut out of all of them [mm²]."""
        return sum(one.piece.area_mm2 * one.count for one in self.wanted)

    @property
    def offcut_mm2(self) -> float:
        """Rectangles that stay whole [mm²]."""
        wide = self.raw.width_mm
        ends = (
            (self.raw.length_mm - one.offcut_mm) * wide * one.alike
            for one in self.sheets
            if one.offcut_mm is not None
        )
        return sum(ends)

    @property
    def trim_mm2(self) -> float:
        """What is neither piece nor offcut [mm²]."""
        return self.number * self.raw.area_mm2 - self.pieces_mm2 - self.offcut_mm2


def fits_on_one(piece: Blank, raw: RawSheet, turns: int = 0) -> tuple[Layout, bool]:
    """The most pieces of one form that were found to fit on a sheet.

    Args:
        piece: what is cut [Blank].
        raw: the sheet [RawSheet].
        turns: how many turns are searched [1].
    Returns:
        how they are laid, in the order of cutting, and whether searching on is no use [mm].
    Raises:
        CoreError: not one fits.
    Source:
        grid, rows in gaps, stretched rows, search; never above the bound of the piece.
    """
    check_range("turns", turns, most=ROUNDS)
    room, kerf = raw.room, raw.kerf_mm
    most = piece.most(room, kerf)
    if most > MOST_ON_ONE:
        raise CoreError(
            "piece", piece.size_words, f"so large that at most {MOST_ON_ONE} lie on one"
        )
    best = _measured(piece, room, kerf, _regular(piece, room, kerf))
    if not best.places:
        raise CoreError("piece", piece.size_words, _allowed(room))
    for start in range(turns * _TRIES):
        if len(best.places) >= most:
            break
        found = piece.search(room, kerf, len(best.places) + 1, start)
        if found:
            better = _measured(piece, room, kerf, [found])
            best = better if len(better.places) > len(best.places) else best
    return replace(best, places=_by_column(best.places)), len(
        best.places
    ) >= most or turns >= ROUNDS


def plan_cut(wanted: Sequence[ToCut], raw: RawSheet, turns: int = 0) -> CutPlan:
    """Lay pieces on as few sheets as are found, the largest first.

    What a sheet has left at its far end takes the next form; a search goes on only while one
    sheet fewer is within the bound.

    Args:
        wanted: forms and how many of each, shape (n,) [ToCut].
        raw: what they are cut from [RawSheet].
        turns: how many turns are searched [1].
    Returns:
        sheets, in the order of cutting [CutPlan].
    Raises:
        CoreError: nothing is wanted, too many are, or one does not fit.
    Source:
        grid, rows in gaps, stretched rows, search; checked by distance before it is returned.
    """
    check_range("turns", turns, most=ROUNDS)
    if not wanted or not any(one.count for one in wanted):
        raise CoreError("count", 0, f"1 to {MOST_PIECES:,}".replace(",", " "))
    total = sum(one.count for one in wanted)
    if total > MOST_PIECES:
        raise CoreError("count", total, f"at most {MOST_PIECES:,}".replace(",", " "))
    order = sorted(range(len(wanted)), key=lambda at: -wanted[at].piece.area_mm2)
    laid: list[_Open] = []
    ways, on_one, bounds, done = [""] * len(wanted), [0] * len(wanted), [0] * len(wanted), True
    for at in order:
        one = wanted[at]
        best, enough = _best(one, raw, turns)
        ways[at], on_one[at] = best.way, len(best.places)
        bounds[at] = one.piece.most(raw.room, raw.kerf_mm)
        done = done and enough
        _lay(laid, at, one, best, raw)
    sheets = tuple(_alike([one.sheet(wanted, raw) for one in laid]))
    return CutPlan(
        raw, tuple(wanted), sheets, tuple(ways), tuple(on_one), tuple(bounds), turns, ROUNDS,
        done or turns >= ROUNDS,
    )  # fmt: skip


@lru_cache(maxsize=256)
def _regular(piece: Blank, room: Room, kerf_mm: float) -> tuple[Layout, ...]:
    return tuple(piece.layouts(room, kerf_mm))


def _best(one: ToCut, raw: RawSheet, turns: int) -> tuple[Layout, bool]:
    """How most of it are laid; searched only where that may save a sheet."""
    plain, _ = fits_on_one(one.piece, raw)
    most = one.piece.most(raw.room, raw.kerf_mm)
    sheets = math.ceil(one.count / len(plain.places))
    if sheets < 2 or math.ceil(one.count / most) >= sheets:
        return plain, True
    found, enough = fits_on_one(one.piece, raw, turns)
    saved = math.ceil(one.count / len(found.places)) < sheets
    return (found if saved else plain), enough or saved


@dataclass(slots=True)
class _Open:
    """A sheet as far as it is laid; behind `used_mm` it is whole."""

    pieces: list[Laid]
    used_mm: float

    def sheet(self, wanted: Sequence[ToCut], raw: RawSheet) -> CutSheet:
        """In the order of cutting, and what stays whole of it."""
        least = min(one.piece.least_mm for one in wanted)
        ends = raw.edge_mm + self.used_mm + raw.kerf_mm
        offcut = ends if raw.length_mm - ends >= least else None
        return CutSheet(tuple(self.pieces), 1, offcut)


def _lay(laid: list[_Open], at: int, one: ToCut, best: Layout, raw: RawSheet) -> None:
    """Put pieces into what open sheets have left, then on new ones."""
    left, kerf = one.count, raw.kerf_mm
    for sheet in laid:
        begin = sheet.used_mm + kerf
        rest = Room(raw.room.long_mm - begin, raw.room.wide_mm)
        if left and min(rest.long_mm, rest.wide_mm) >= one.piece.least_mm:
            left -= _put(sheet, at, one, _first(one.piece, rest, kerf, left), begin, raw.edge_mm)
    while left:
        full = left >= len(best.places)
        layout = best if full else _first(one.piece, raw.room, kerf, left, best)
        sheet = _Open([], 0.0)
        left -= _put(sheet, at, one, layout, 0.0, raw.edge_mm)
        laid.append(sheet)


def _put(sheet: _Open, at: int, one: ToCut, layout: Layout, begin_mm: float, edge_mm: float) -> int:
    for place in layout.places:
        sheet.pieces.append(Laid(at, place.moved(begin_mm + edge_mm, edge_mm)))
    if layout.places:
        sheet.used_mm = begin_mm + _reach(one.piece, layout.places)
    return len(layout.places)


@lru_cache(maxsize=256)
def _first(piece: Blank, room: Room, kerf: float, count: int, best: Layout | None = None) -> Layout:
    """As many of so many as fit, taking as little of the sheet's length as can be."""
    ways = [*_regular(piece, room, kerf), *([best] if best else [])]
    kept = [replace(way, places=_by_column(way.places)[:count]) for way in ways if len(way.places)]
    shortest = sorted(kept, key=lambda way: _reach(piece, way.places))
    return _measured(piece, room, kerf, shortest)


def _reach(piece: Blank, places: Sequence[Place]) -> float:
    """How far along the sheet pieces reach [mm]."""
    return max(place.x_mm + piece.bounds(place.turn_deg)[2] for place in places)


def _by_column(places: Sequence[Place]) -> tuple[Place, ...]:
    return tuple(sorted(places, key=lambda one: (round(one.x_mm, 3), one.y_mm)))


def _alike(sheets: Sequence[CutSheet]) -> Iterator[CutSheet]:
    """Sheets that are cut the same way, counted together."""
    counted: dict[CutSheet, int] = {}
    for sheet in sheets:
        counted[sheet] = counted.get(sheet, 0) + 1
    return (replace(sheet, alike=number) for sheet, number in counted.items())


def _measured(piece: Blank, room: Room, kerf_mm: float, ways: Sequence[Layout]) -> Layout:
    """The way that lays most, measured for itself; one whose pieces touch is none."""
    for way in sorted(ways, key=lambda one: -len(one.places)):
        try:
            check_apart([(piece, place) for place in way.places], room, kerf_mm)
        except CoreError:
            continue
        return way
    return Layout("", ())


def _allowed(room: Room) -> str:
    return (
        f"small enough for what the edge leaves of the sheet, {room.long_mm / 10:.4g} × "
        f"{room.wide_mm / 10:.4g} cm"
    )
