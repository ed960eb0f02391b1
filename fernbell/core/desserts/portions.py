"""How a dessert is divided: by wedge, by a grid, by count, or by weight."""

import math
from collections.abc import Mapping
from dataclasses import dataclass
from typing import ClassVar, Literal

from fernbell.core.desserts import practice
from fernbell.core.desserts.division import (
    DIVISIONS,
    MOST_SIDE,
    MOST_WEDGES,
    Division,
    Grid,
    Slices,
    WayWords,
    Wedges,
)
from fernbell.core.errors import OutOfRange
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Solid, Symmetry
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True)
class ByCount:
    """So many equal portions, cut as squarely as that number allows."""

    count: int
    cut: Literal["by count"] = "by count"

    words: ClassVar[WayWords] = WayWords(
        "by count", "So many", (Field("count", "Number", least=1, most=MOST_SIDE * MOST_SIDE),)
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


@dataclass(frozen=True, slots=True)
class ByThickness:
    """Slices so thick, as many as there are; what is over is trimmed off both ends."""

    slice_mm: float
    cut: Literal["by thickness"] = "by thickness"

    words: ClassVar[WayWords] = WayWords(
        "by thickness", "So thick", (Field("slice_mm", "Thick", least=5, most=300),), "slices"
    )

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)


Portions = Wedges | Grid | Slices | ByCount | ByWeight | ByThickness
WAYS = (*DIVISIONS, ByCount, ByWeight, ByThickness)
"""Every way a dessert can be divided."""
_DIVISION: Mapping[Symmetry, type[Division]] = {one.symmetry: one for one in DIVISIONS}


def division_in(mold: Solid) -> type[Division]:
    """How a dessert out of this mold is cut at all.

    Args:
        mold: the mold [Solid].
    Returns:
        wedges of what is round, a grid of what has two sides, slices of what is long [Division].
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
    if isinstance(division, Slices):
        thick = division.each_mm or mold.from_above.width_mm / division.count
        return Slices(division.count), ByThickness(min(300, max(5, round(thick, 1)))), grams
    if not isinstance(division, Grid):
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
    own = division_in(mold)
    if isinstance(portions, Wedges | Grid | Slices):
        kept = isinstance(portions, own)
        return portions if kept else own.nearest(mold, portions.count), None
    if isinstance(portions, ByCount):
        return own.equal(mold, portions.count), None
    if isinstance(portions, ByThickness):
        return _so_thick(portions.slice_mm, mold)
    if portions.portion_g <= garnish_g:
        allowed = f"more than {figure_text(garnish_g)}, its garnish"
        raise OutOfRange("portion_g", portions.portion_g, allowed)
    if not plain_g or plain_g < 0:
        return portions_for(mold), None
    exact = plain_g / (portions.portion_g - garnish_g)
    division = own.nearest(mold, exact)
    return division, _number_working(portions.portion_g, plain_g, garnish_g, exact, division)


def _so_thick(slice_mm: float, mold: Solid) -> tuple[Division, Working | None]:
    """Slices so thick of what is long; anything else is divided as is usual."""
    if mold.symmetry != "long":
        return portions_for(mold), None
    length = mold.from_above.width_mm
    exact = length / slice_mm
    count = min(MOST_WEDGES, max(1, math.floor(exact + 1e-9)))
    ends = max(0.0, length - count * slice_mm)
    working = Working(
        figure="Slices so thick",
        value=exact,
        unit="slices",
        given=(Given("length", length, "mm"), Given("thickness", slice_mm, "mm")),
        law="slices = length / thickness, whole ones; the rest is trimmed off both ends",
        arithmetic=f"{figure_text(length)} / {figure_text(slice_mm)} = {figure_text(exact)}; "
        f"{count} slices, {figure_text(ends / 2)} mm off each end",
        source=GEOMETRY,
    )
    return Slices(count, each_mm=min(slice_mm, length)), working


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
