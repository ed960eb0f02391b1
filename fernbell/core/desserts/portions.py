"""How a dessert is divided: by wedge, by a grid, by count, or by weight."""

import math
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import ClassVar, Literal

from fernbell.core.desserts import practice
from fernbell.core.errors import OutOfRange
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Loop, Plan, Point, Solid, Symmetry, box
from fernbell.core.working import Given, Working, figure_text
from fernbell.starter.practice import practice as figure

Stroke = tuple[Point, Point]
"""One stroke of the knife, from a point to another [mm]."""

_CIRCLE_STEPS = 96
_GARNISH_SITS = figure("garnish sits")
"""How far out on a wedge its garnish sits, as a share of the radius; common practice."""

_MOST_WEDGES, _MOST_SIDE = 60, 40
_WEDGE_EDGE_MM = figure("wedge edge")
_PORTION_SIDE_MM = figure("portion side")
"""Outer edge of a wedge, and side of a square, into which desserts are first divided."""
_LONGEST_TO_SHORTEST = figure("longest to shortest")
"""Pieces cut by weight from a frame are at most twice as long as wide, where that can be."""


@dataclass(frozen=True, slots=True)
class WayWords:
    """A way of dividing: how it is called, what is entered, and what a portion of it is."""

    cut: str
    title: str
    fields: tuple[Field, ...]
    pieces: str = "pieces"


@dataclass(frozen=True, slots=True)
class Wedges:
    """Equal wedges of a round dessert; one wedge is the whole of it."""

    count: int
    cut: Literal["wedges"] = "wedges"

    symmetry: ClassVar[Symmetry] = "round"
    called: ClassVar[str] = "wedges"
    words: ClassVar[WayWords] = WayWords(
        "wedges", "Wedges", (Field("count", "Number", least=1, most=_MOST_WEDGES),), "wedges"
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def usual(cls, mold: Solid) -> "Wedges":
        """One of an individual mold, wedges of 52 mm at the edge of others."""
        if practice.is_individual(mold.across_mm):
            return cls(1)
        edge = mold.perimeter_at(mold.height_mm) / _WEDGE_EDGE_MM
        return cls(min(_MOST_WEDGES, round(edge)))

    @classmethod
    def equal(cls, mold: Solid, count: int) -> "Wedges":
        """So many; OutOfRange where nobody can cut them."""
        del mold
        if count > _MOST_WEDGES:
            raise OutOfRange("portions", count, f"at most {_MOST_WEDGES} wedges")
        return cls(count)

    @classmethod
    def nearest(cls, mold: Solid, exact: float) -> "Wedges":
        """The number nearest to an exact one [pieces]."""
        del mold
        return cls(min(_MOST_WEDGES, max(1, round(exact))))

    def centers(self, plan: Plan) -> tuple[Point, ...]:
        """Where the middle of each portion's garnish sits on a plan [mm]."""
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
            Field("columns", "Along", least=1, most=_MOST_SIDE),
            Field("rows", "Across", least=1, most=_MOST_SIDE),
        ),
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @property
    def count(self) -> int:
        """How many portions."""
        return self.columns * self.rows

    @classmethod
    def usual(cls, mold: Solid) -> "Grid":
        """Squares of 60 mm."""
        plan = mold.plan_at(mold.height_mm)
        columns = max(1, round(plan.length_mm / _PORTION_SIDE_MM))
        return cls(columns, max(1, round(plan.width_mm / _PORTION_SIDE_MM)))

    @classmethod
    def equal(cls, mold: Solid, count: int) -> "Grid":
        """So many, as squarely as that number allows; OutOfRange where no grid has it."""
        grids = [grid for grid in _grids() if grid.count == count]
        if not grids:
            raise OutOfRange("portions", count, "rows times columns of at most 40 each")
        plan = mold.plan_at(mold.height_mm)
        return min(grids, key=lambda grid: _stretch(plan, grid))

    @classmethod
    def nearest(cls, mold: Solid, exact: float) -> "Grid":
        """The number nearest to an exact one [pieces] that is cut into no slivers."""
        plan = mold.plan_at(mold.height_mm)
        square = [grid for grid in _grids() if _stretch(plan, grid) <= _LONGEST_TO_SHORTEST]
        return min(
            square or list(_grids()),
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
class ByCount:
    """So many equal portions, cut as squarely as that number allows."""

    count: int
    cut: Literal["by count"] = "by count"

    words: ClassVar[WayWords] = WayWords(
        "by count", "So many", (Field("count", "Number", least=1, most=_MOST_SIDE * _MOST_SIDE),)
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)


@dataclass(frozen=True, slots=True)
class ByWeight:
    """As many equal portions as come nearest to a weight."""

    portion_g: float
    cut: Literal["by weight"] = "by weight"

    words: ClassVar[WayWords] = WayWords(
        "by weight", "So heavy", (Field("portion_g", "About", least=5, most=5000, step=5),)
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)


Division = Wedges | Grid
Portions = Wedges | Grid | ByCount | ByWeight
WAYS = (Wedges, Grid, ByCount, ByWeight)
"""Every way a dessert can be divided."""
_DIVISION: Mapping[Symmetry, type[Wedges] | type[Grid]] = {
    one.symmetry: one for one in (Wedges, Grid)
}


def division_in(mold: Solid) -> type[Wedges] | type[Grid]:
    """How a dessert out of this mold is cut at all.

    Args:
        mold: the mold [Solid].
    Returns:
        wedges of what is round, a grid of what has two sides [Division].
    Source:
        common practice.
    """
    return _DIVISION[mold.symmetry]


def portions_for(mold: Solid) -> Division:
    """How a dessert in this mold is divided until the chef says otherwise.

    Args:
        mold: the mold [Solid].
    Returns:
        one wedge of individual rings, wedges of 52 mm at the edge of others, squares of 60 mm
        in frames [1].
    Source:
        common practice.
    """
    return division_in(mold).usual(mold)


def said_each_way(division: Division, mold: Solid, portion_g: float | None) -> tuple[Portions, ...]:
    """The same portions said each way that is of use for a mold.

    Args:
        division: how it is divided [Division].
        mold: the mold it is made in [Solid].
        portion_g: weight of a portion, None where unknown [g].
    Returns:
        as it is divided, by count where that is another thing, by weight [Portions].
    Source:
        definition.
    """
    grams = ByWeight(min(5000, max(5, round(portion_g or practice.PORTION_ABOUT.value))))
    if isinstance(division, Wedges):
        return division, grams
    return division, ByCount(division.count), grams


def divide(
    portions: Portions, mold: Solid, plain_g: float | None, garnish_g: float
) -> tuple[Division, Working | None]:
    """Where the knife goes: wedges of what is round, a grid of what has two sides.

    By weight, n = m / (portion - garnish): every portion carries its own garnish.

    Args:
        portions: how it is to be divided [Portions].
        mold: the mold it was made in [mm].
        plain_g: weight of one dessert without garnish, None where unknown [g].
        garnish_g: garnish on one portion [g].
    Returns:
        the division, and the working of its number where it goes by weight [1].
    Raises:
        OutOfRange: a portion no heavier than its garnish, or more than 60 wedges.
    Source:
        common practice.
    """
    if isinstance(portions, Wedges | Grid):
        return portions, None
    if isinstance(portions, ByCount):
        return division_in(mold).equal(mold, portions.count), None
    if portions.portion_g <= garnish_g:
        allowed = f"more than {figure_text(garnish_g)}, its garnish"
        raise OutOfRange("portion_g", portions.portion_g, allowed)
    if not plain_g or plain_g < 0:
        return portions_for(mold), None
    exact = plain_g / (portions.portion_g - garnish_g)
    division = division_in(mold).nearest(mold, exact)
    return division, _number_working(portions.portion_g, plain_g, garnish_g, exact, division)


def _grids() -> Iterator[Grid]:
    sides = range(1, _MOST_SIDE + 1)
    return (Grid(columns, rows) for columns in sides for rows in sides)


def _stretch(plan: Plan, grid: Grid) -> float:
    """Longer side of a piece over its shorter side [1]."""
    sides = plan.length_mm / grid.columns, plan.width_mm / grid.rows
    return max(sides) / min(sides)


def _number_working(
    portion_g: float, plain_g: float, garnish_g: float, exact: float, division: Division
) -> Working:
    return Working(
        figure="Portions by weight",
        value=exact,
        unit="portions",
        given=(
            Given("wanted weight", portion_g, "g"),
            Given("one dessert without garnish", plain_g, "g"),
            Given("garnish on a portion", garnish_g, "g"),
        ),
        law="portions = weight without garnish / (wanted weight − its garnish), as can be cut",
        arithmetic=f"{figure_text(plain_g)} / ({figure_text(portion_g)} − "
        f"{figure_text(garnish_g)}) = {figure_text(exact)} portions; cut into {division.count}",
        source="common practice",
    )
