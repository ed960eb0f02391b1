"""Distances seen on the cut, and how near a solid comes to the wall."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING

from fernbell.core.desserts.practice import is_short
from fernbell.core.desserts.regions import Block
from fernbell.core.molds import Point

if TYPE_CHECKING:
    from fernbell.core.desserts.body import Body


@dataclass(frozen=True, slots=True)
class Dimension:
    """A measured distance in the section; `short` where it ought to be more."""

    part: str
    layer: str | None
    what: str
    start: Point
    end: Point
    value_mm: float
    short: bool = False

    def raised(self, by_mm: float) -> "Dimension":
        """The same so much higher [mm]."""
        (x0, y0), (x1, y1) = self.start, self.end
        return replace(self, start=(x0, y0 + by_mm), end=(x1, y1 + by_mm))


def heights(body: "Body") -> Iterator[Dimension]:
    """How high every solid is, at its right side.

    Args:
        body: what stands in the mold [Body].
    Returns:
        one dimension a solid, from the board up [Dimension].
    Source:
        geometry.
    """
    for block in body.blocks:
        edge = block.x_mm + block.across_mm / 2
        start, end = (edge, block.low_mm), (edge, block.high_mm)
        yield Dimension(block.part, block.layer, "height", start, end, block.thick_mm)


def upright(
    part: str, what: str, x: float, low_mm: float, high_mm: float, least_mm: float
) -> Dimension:
    """A distance upwards.

    Args:
        part: whose it is [key].
        what: 'below' or 'above' [text].
        x: where it is drawn [mm].
        low_mm: its lower end [mm].
        high_mm: its upper end [mm].
        least_mm: what it ought to be [mm].
    Returns:
        the dimension [mm].
    Source:
        geometry.
    """
    gap = high_mm - low_mm
    return Dimension(part, None, what, (x, low_mm), (x, high_mm), gap, is_short(gap, least_mm))


def beside(body: "Body", block: Block, least_mm: float) -> Dimension:
    """The gap between a solid and the wall, drawn on the side where it is least.

    Args:
        body: what it stands in [Body].
        block: the solid [Block].
        least_mm: what it ought to be [mm].
    Returns:
        the dimension [mm].
    Source:
        geometry.
    """
    gap, rim = body.gap(block), body.mold.height_mm
    middle, reach = (block.low_mm + block.high_mm) / 2, block.across_mm / 2
    x = max(block.middles_mm, key=abs)
    half = body.mold.plan_at(min(middle, rim)).length_mm / 2
    wall, edge = (half, x + reach) if x > 0 else (-half, x - reach)
    short = is_short(gap, least_mm)
    return Dimension(block.part, block.layer, "side", (wall, middle), (edge, middle), gap, short)
