"""How a dessert is divided: by wedge, by a grid, by count, or by weight."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal

from fernbell.core.desserts import practice
from fernbell.core.errors import OutOfRange, check_range
from fernbell.core.molds import Mold, Ring
from fernbell.core.working import Given, Working, figure_text

_MOST_WEDGES, _MOST_SIDE = 60, 40
_WEDGE_EDGE_MM = 52.0
_PORTION_SIDE_MM = 60.0
"""Outer edge of a wedge, and side of a square, into which desserts are first divided."""
_LONGEST_TO_SHORTEST = 2.0
"""Pieces cut by weight from a frame are at most twice as long as wide, where that can be."""


@dataclass(frozen=True, slots=True)
class Wedges:
    """Equal wedges of a round dessert; one wedge is the whole of it."""

    count: int
    cut: Literal["wedges"] = "wedges"

    def __post_init__(self) -> None:
        check_range("count", self.count, least=1, most=_MOST_WEDGES)


@dataclass(frozen=True, slots=True)
class Grid:
    """Equal pieces of a framed dessert, columns along its length."""

    columns: int
    rows: int
    cut: Literal["grid"] = "grid"

    def __post_init__(self) -> None:
        check_range("columns", self.columns, least=1, most=_MOST_SIDE)
        check_range("rows", self.rows, least=1, most=_MOST_SIDE)

    @property
    def count(self) -> int:
        """How many portions."""
        return self.columns * self.rows


@dataclass(frozen=True, slots=True)
class ByCount:
    """So many equal portions, cut as squarely as that number allows."""

    count: int
    cut: Literal["by count"] = "by count"

    def __post_init__(self) -> None:
        check_range("count", self.count, least=1, most=_MOST_SIDE * _MOST_SIDE)


@dataclass(frozen=True, slots=True)
class ByWeight:
    """As many equal portions as come nearest to a weight."""

    portion_g: float
    cut: Literal["by weight"] = "by weight"

    def __post_init__(self) -> None:
        check_range("portion_g", self.portion_g, least=5, most=5000)


Division = Wedges | Grid
Portions = Wedges | Grid | ByCount | ByWeight


def portions_for(mold: Mold) -> Division:
    """How a dessert in this mold is divided until the chef says otherwise.

    Args:
        mold: the mold [Mold].
    Returns:
        one wedge of individual rings, wedges of 52 mm at the edge of others, squares of 60 mm
        in frames [1].
    Source:
        common practice.
    """
    if isinstance(mold, Ring):
        single = mold.diameter_mm < practice.INDIVIDUAL_BELOW.value
        edge = mold.perimeter_mm / _WEDGE_EDGE_MM
        return Wedges(1 if single else min(_MOST_WEDGES, round(edge)))
    columns = max(1, round(mold.length_mm / _PORTION_SIDE_MM))
    return Grid(columns, max(1, round(mold.width_mm / _PORTION_SIDE_MM)))


def divide(
    portions: Portions, mold: Mold, plain_g: float | None, garnish_g: float
) -> tuple[Division, Working | None]:
    """Where the knife goes: wedges of a ring, a grid of a frame.

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
        return _equal(mold, portions.count), None
    if portions.portion_g <= garnish_g:
        allowed = f"more than {figure_text(garnish_g)}, its garnish"
        raise OutOfRange("portion_g", portions.portion_g, allowed)
    if not plain_g or plain_g < 0:
        return portions_for(mold), None
    exact = plain_g / (portions.portion_g - garnish_g)
    division = _nearest(mold, exact)
    return division, _number_working(portions.portion_g, plain_g, garnish_g, exact, division)


def _equal(mold: Mold, count: int) -> Division:
    if isinstance(mold, Ring):
        if count > _MOST_WEDGES:
            raise OutOfRange("portions", count, f"at most {_MOST_WEDGES} wedges")
        return Wedges(count)
    grids = [grid for grid in _grids() if grid.count == count]
    if not grids:
        raise OutOfRange("portions", count, "rows times columns of at most 40 each")
    return min(grids, key=lambda grid: _stretch(mold, grid))


def _nearest(mold: Mold, exact: float) -> Division:
    if isinstance(mold, Ring):
        return Wedges(min(_MOST_WEDGES, max(1, round(exact))))
    square = [one for one in _grids() if _stretch(mold, one) <= _LONGEST_TO_SHORTEST]
    return min(
        square or list(_grids()),
        key=lambda one: (abs(math.log(one.count / exact)), _stretch(mold, one)),
    )


def _grids() -> Iterator[Grid]:
    sides = range(1, _MOST_SIDE + 1)
    return (Grid(columns, rows) for columns in sides for rows in sides)


def _stretch(mold: Mold, grid: Grid) -> float:
    """Longer side of a piece over its shorter side [1]."""
    plan = mold.plan
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
        rule="portions = weight without garnish / (wanted weight − its garnish), as can be cut",
        arithmetic=f"{figure_text(plain_g)} / ({figure_text(portion_g)} − "
        f"{figure_text(garnish_g)}) = {figure_text(exact)} portions; cut into {division.count}",
        source="common practice",
    )
