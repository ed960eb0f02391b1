"""Where the knife goes: wedges from the middle, a grid along two sides, slices of what is long."""

import math
from dataclasses import dataclass
from functools import cache
from itertools import pairwise
from typing import TYPE_CHECKING, ClassVar, Literal, Self

from shapely.geometry import LineString, Polygon

from fernbell.core.desserts import practice
from fernbell.core.errors import OutOfRange
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Loop, Plan, Point, Solid, Symmetry, box
from fernbell.starter.practice import practice as figure

Stroke = tuple[Point, Point]
"""One stroke of the knife, from a point to another [mm]."""

_CIRCLE_STEPS = 96
_FAR_MM = 1e4
_GARNISH_SITS = figure("garnish sits")
"""How far out on a wedge its garnish sits, as a share of the radius; common practice."""

MOST_WEDGES, MOST_SIDE = 60, 40
_TRIMMED_MM = 0.1
"""What stands over less than this is no end to trim."""
_WEDGE_EDGE_MM = figure("wedge edge")
_PORTION_SIDE_MM = figure("portion side")
"""Outer edge of a wedge, and side of a square, into which desserts are first divided."""
_SLICE_MM = figure("slice thickness")
_LONGEST_TO_SHORTEST = figure("longest to shortest")
"""Pieces cut by weight from a frame are at most twice as long as wide, where that can be."""


@dataclass(frozen=True, slots=True)
class WayWords:
    """A way of dividing: how it is called, what is entered, and what a portion of it is."""

    cut: str
    title: str
    fields: tuple[Field, ...]
    pieces: str = "pieces"


class Counted:
    """So many equal pieces, told by their number."""

    __slots__ = ()

    called: ClassVar[str]

    if TYPE_CHECKING:
        count: int

        def __init__(self, count: int) -> None: ...

    def says(self) -> str:
        """'12 wedges'."""
        return f"{self.count} {self.called}"

    def served(self, plan: Plan) -> float:
        """How much of it is portions, not ends [0 to 1]."""
        del plan
        return 1.0

    @classmethod
    def equal(cls, mold: Solid, count: int) -> Self:
        """So many; OutOfRange where nobody can cut them."""
        del mold
        if count > MOST_WEDGES:
            raise OutOfRange("portions", count, f"at most {MOST_WEDGES} {cls.called}")
        return cls(count)

    @classmethod
    def nearest(cls, mold: Solid, exact: float) -> Self:
        """The number nearest to an exact one [pieces]."""
        del mold
        return cls(min(MOST_WEDGES, max(1, round(exact))))


@dataclass(frozen=True, slots=True)
class Wedges(Counted):
    """Equal wedges of a round dessert; one wedge is the whole of it."""

    count: int
    cut: Literal["wedges"] = "wedges"

    symmetry: ClassVar[Symmetry] = "round"
    called: ClassVar[str] = "wedges"
    words: ClassVar[WayWords] = WayWords(
        "wedges", "Wedges", (Field("count", "Number", least=1, most=MOST_WEDGES),), "wedges"
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def usual(cls, mold: Solid) -> "Wedges":
        """One of an individual mold, wedges of 52 mm at the edge of others."""
        if practice.is_individual(mold.longest_mm):
            return cls(1)
        edge = mold.from_above.perimeter_mm / _WEDGE_EDGE_MM
        return cls(min(MOST_WEDGES, round(edge)))

    def centers(self, plan: Plan) -> tuple[Point, ...]:
        """Where the middle of each portion's garnish sits on a plan [mm]."""
        if self.count > 1 and not plan.is_round and not plan.hole():
            return _between(plan.outline(), _of_one_area(plan.outline(), self.count)[0])
        # One portion is the whole: its garnish sits in the middle.
        reach = 0.0 if self.count == 1 else _GARNISH_SITS * plan.length_mm / 2
        turns = ((i + 0.5) / self.count for i in range(self.count))
        return tuple(
            (reach * math.sin(2 * math.pi * turn), reach * math.cos(2 * math.pi * turn))
            for turn in turns
        )

    def knife(self, plan: Plan) -> tuple[tuple[Stroke, ...], Loop]:
        """Where the knife goes on a plan, and the outline of the first portion [mm]."""
        radius, count = plan.length_mm / 2, self.count
        if count == 1:
            return (), ()
        if not plan.is_round and not plan.hole():
            return _of_one_area(plan.outline(), count)

        def rim(turn: float) -> Point:
            x, y = math.sin(2 * math.pi * turn), math.cos(2 * math.pi * turn)
            return round(radius * x, 2), round(radius * y, 2)

        steps = max(4, _CIRCLE_STEPS // count)
        arc = tuple(rim(step / steps / count) for step in range(steps + 1))
        return tuple(((0.0, 0.0), rim(i / count)) for i in range(count)), ((0.0, 0.0), *arc)


@dataclass(frozen=True, slots=True)
class Grid:
    """Equal pieces of a dessert with two sides, columns along its length."""

    columns: int
    rows: int
    cut: Literal["grid"] = "grid"

    symmetry: ClassVar[Symmetry] = "rectangular"
    called: ClassVar[str] = "a grid"
    words: ClassVar[WayWords] = WayWords(
        "grid",
        "Along and across",
        (
            Field("columns", "Along", least=1, most=MOST_SIDE),
            Field("rows", "Across", least=1, most=MOST_SIDE),
        ),
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @property
    def count(self) -> int:
        """How many portions."""
        return self.columns * self.rows

    def says(self) -> str:
        """'4 × 3, along and across'."""
        return f"{self.columns} × {self.rows}, along and across"

    def served(self, plan: Plan) -> float:
        """How much of it is portions: all of it [0 to 1]."""
        del plan
        return 1.0

    @classmethod
    def usual(cls, mold: Solid) -> "Grid":
        """Squares of 60 mm."""
        plan = mold.from_above
        columns = max(1, round(plan.length_mm / _PORTION_SIDE_MM))
        return cls(columns, max(1, round(plan.width_mm / _PORTION_SIDE_MM)))

    @classmethod
    def equal(cls, mold: Solid, count: int) -> "Grid":
        """So many, as squarely as that number allows; OutOfRange where no grid has it."""
        grids = [grid for grid in _grids() if grid.count == count]
        if not grids:
            raise OutOfRange("portions", count, "rows times columns of at most 40 each")
        plan = mold.from_above
        return min(grids, key=lambda grid: _stretch(plan, grid))

    @classmethod
    def nearest(cls, mold: Solid, exact: float) -> "Grid":
        """The number nearest to an exact one [pieces] that is cut into no slivers."""
        plan = mold.from_above
        square = [grid for grid in _grids() if _stretch(plan, grid) <= _LONGEST_TO_SHORTEST]
        return min(
            square or _grids(),
            key=lambda one: (abs(math.log(one.count / exact)), _stretch(plan, one)),
        )

    def centers(self, plan: Plan) -> tuple[Point, ...]:
        """Where the middle of each portion's garnish sits on a plan [mm]."""
        return tuple(
            (
                plan.length_mm * ((column + 0.5) / self.columns - 0.5),
                plan.width_mm * ((row + 0.5) / self.rows - 0.5),
            )
            for row in range(self.rows)
            for column in range(self.columns)
        )

    def knife(self, plan: Plan) -> tuple[tuple[Stroke, ...], Loop]:
        """Where the knife goes on a plan, and the outline of the first portion [mm]."""
        length, width, columns, rows = plan.length_mm, plan.width_mm, self.columns, self.rows
        xs = [length * (i / columns - 0.5) for i in range(columns + 1)]
        ys = [width * (i / rows - 0.5) for i in range(rows + 1)]
        lines = (
            *(((x, ys[0]), (x, ys[-1])) for x in xs[1:-1]),
            *(((xs[0], y), (xs[-1], y)) for y in ys[1:-1]),
        )
        return lines, box(xs[0], xs[1], ys[-2], ys[-1])


@dataclass(frozen=True, slots=True)
class Slices(Counted):
    """Equal slices of what is long, cut across; so thick, what is over is trimmed off its ends."""

    count: int
    cut: Literal["slices"] = "slices"
    each_mm: float | None = None

    symmetry: ClassVar[Symmetry] = "long"
    called: ClassVar[str] = "slices"
    words: ClassVar[WayWords] = WayWords(
        "slices", "Slices", (Field("count", "Number", least=1, most=MOST_WEDGES),), "slices"
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def usual(cls, mold: Solid) -> "Slices":
        """One of an individual mold, slices of 25 mm of others."""
        if practice.is_individual(mold.longest_mm):
            return cls(1)
        return cls.nearest(mold, mold.from_above.width_mm / _SLICE_MM)

    def ends(self, length_mm: float) -> tuple[tuple[float, float], ...]:
        """Where each slice begins and ends, from the middle of what is so long [mm]."""
        each = min(self.each_mm or math.inf, length_mm / self.count)
        start = -each * self.count / 2
        return tuple((start + i * each, start + (i + 1) * each) for i in range(self.count))

    def served(self, plan: Plan) -> float:
        """How much of it is slices, not ends [0 to 1]."""
        ends = self.ends(plan.width_mm)
        return (ends[-1][1] - ends[0][0]) / plan.width_mm

    def centers(self, plan: Plan) -> tuple[Point, ...]:
        """Where the middle of each portion's garnish sits on a plan [mm]."""
        return tuple((0.0, (low + high) / 2) for low, high in self.ends(plan.width_mm))

    def knife(self, plan: Plan) -> tuple[tuple[Stroke, ...], Loop]:
        """Where the knife goes on a plan, and the outline of the first portion [mm]."""
        half, ends = plan.length_mm / 2, self.ends(plan.width_mm)
        if self.count == 1 and not self.each_mm:
            return (), ()
        ys = [ends[0][0], *(high for _, high in ends)]
        trimmed = ys[0] > _TRIMMED_MM - plan.width_mm / 2
        strokes = tuple(((-half, y), (half, y)) for y in (ys if trimmed else ys[1:-1]))
        return strokes, box(-half, half, *ends[-1])


Division = Wedges | Grid | Slices
DIVISIONS: tuple[type[Division], ...] = (Wedges, Grid, Slices)


def _of_one_area(edge: Loop, count: int) -> tuple[tuple[Stroke, ...], Loop]:
    """Strokes from the middle that share any outline out evenly, from its top round [mm].

    The edge is walked clockwise; where the area swept has grown by one share, the knife goes.
    """
    start = max(range(len(edge)), key=lambda at: (edge[at][1], -abs(edge[at][0])))
    walk = [edge[(start - step) % len(edge)] for step in range(len(edge) + 1)]
    swept = [0.0]
    for (x0, y0), (x1, y1) in pairwise(walk):
        swept.append(swept[-1] + (x1 * y0 - x0 * y1) / 2)
    ends = []
    for i in range(count):
        wanted = swept[-1] * i / count
        at = next(at for at in range(1, len(swept)) if swept[at] >= wanted)
        share = (wanted - swept[at - 1]) / ((swept[at] - swept[at - 1]) or 1.0)
        (x0, y0), (x1, y1) = walk[at - 1], walk[at]
        ends.append((at, (round(x0 + share * (x1 - x0), 2), round(y0 + share * (y1 - y0), 2))))
    (first, begin), (last, end) = ends[0], ends[1]
    portion = ((0.0, 0.0), begin, *walk[first:last], end)
    return tuple(((0.0, 0.0), one) for _, one in ends), portion


def _between(edge: Loop, strokes: tuple[Stroke, ...]) -> tuple[Point, ...]:
    """Where the garnish sits on a portion of an outline: half way between its cuts [mm]."""
    turns = [math.atan2(x, y) for _, (x, y) in strokes]
    whole, found = Polygon(edge), []
    for begin, end in zip(turns, (*turns[1:], turns[0]), strict=True):
        turn = begin + ((end - begin) % (2 * math.pi) or 2 * math.pi) / 2
        ray = LineString([(0.0, 0.0), (_FAR_MM * math.sin(turn), _FAR_MM * math.cos(turn))])
        reach = _GARNISH_SITS * float(whole.intersection(ray).length)
        found.append((reach * math.sin(turn), reach * math.cos(turn)))
    return tuple(found)


@cache
def _grids() -> tuple[Grid, ...]:
    sides = range(1, MOST_SIDE + 1)
    return tuple(Grid(columns, rows) for columns in sides for rows in sides)


def _stretch(plan: Plan, grid: Grid) -> float:
    """Longer side of a piece over its shorter side [1]."""
    sides = plan.length_mm / grid.columns, plan.width_mm / grid.rows
    return max(sides) / min(sides)
