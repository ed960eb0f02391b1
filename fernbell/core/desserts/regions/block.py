"""A solid of one formula that stands in the mold: a base, or a layer of an insert."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.flat import FromSheet, piece_of
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Plan, Solid, box, moved
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True, kw_only=True)
class Block(Region):
    """A solid standing at a height above the board, perhaps off the middle [mm].

    `others_mm` are where more of it stand beside it; `on_board` says that it stands on the board
    or on what does; `edge_shown` that its edge is drawn from above.
    """

    part: str
    layer: str | None
    name: str
    formula: str
    solid: Solid
    low_mm: float
    x_mm: float = 0.0
    on_board: bool = False
    edge_shown: bool = False
    others_mm: tuple[float, ...] = ()

    goes_by = "by volume"
    drawn = SOLID
    takes_room = True
    is_of_the_mold = True

    @property
    def floor_mm(self) -> float:
        """Its top, where it stands on the board [mm]."""
        return self.high_mm if self.on_board else 0.0

    @property
    def high_mm(self) -> float:
        """Its top above the board [mm]."""
        return self.low_mm + self.solid.height_mm

    @property
    def thick_mm(self) -> float:
        """Its height [mm]."""
        return self.solid.height_mm

    @property
    def across_mm(self) -> float:
        """Its longest way across [mm]."""
        return self.solid.across_mm

    @property
    def is_apart(self) -> bool:
        """Where one stands alone."""
        return not self.others_mm

    @property
    def middles_mm(self) -> tuple[float, ...]:
        """Where each of it stands, to the right of the middle [mm]."""
        return (self.x_mm, *self.others_mm)

    @property
    def plan(self) -> Plan:
        """Its outline from above, on its underside [mm]."""
        return self.solid.plan_at(0.0)

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The part of it between two heights [ml]."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return 0.0
        ends = (min(end - self.low_mm, self.solid.height_mm) for end in (low, high))
        return len(self.middles_mm) * self.solid.volume_between(*ends)

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume."""
        del near
        working = solid_volume(f"Volume of {name}", self.solid)
        if self.others_mm:
            working = _several(name, working, len(self.middles_mm))
        return Takes(working.figure, working, working)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Its section."""
        del near
        loops = self.solid.section(0.0, self.solid.height_mm)
        yield tuple(self._placed(loop, x) for x in self.middles_mm for loop in loops)

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """Its box, cut off where it stands out of the filling; its section where it is hollow."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return ()
        if not self.solid.is_upright or self.plan.hole():
            top = self.solid.height_mm
            loops = self.solid.section(low - self.low_mm, min(top, high - self.low_mm))
            return tuple(self._placed(loop, x) for x in self.middles_mm for loop in loops)
        half = self.across_mm / 2
        ends = ((max(x - half, -half_mm), min(x + half, half_mm)) for x in self.middles_mm)
        return tuple(box(x0, x1, low, high) for x0, x1 in ends if x1 > x0)

    def _placed(self, loop: Loop, middle_mm: float) -> Loop:
        return tuple((x + middle_mm, z + self.low_mm) for x, z in loop)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its further side and its top."""
        del near
        return self.across_mm + 2 * max(map(abs, self.middles_mm)), self.high_mm

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By its own volume, where it stands [1]."""
        del near
        each = [cells.by_volume(self.solid, x) for x in self.middles_mm]
        return np.asarray(sum(each) / len(each))

    def from_sheet(self) -> FromSheet | None:
        """Its outline, where its sides are upright."""
        if not self.solid.is_upright or self.plan.hole():
            return None
        return FromSheet(piece_of(self.plan), len(self.middles_mm), self.thick_mm)

    def hidden_edge(self) -> Loop | None:
        """The lowest of a stack shows its edge."""
        return moved(self.plan.outline(), self.x_mm) if self.edge_shown else None


def _several(name: str, one: Working, count: int) -> Working:
    value = count * one.value
    return Working(
        figure=f"Volume of {name}, {count} side by side",
        value=value,
        unit="ml",
        given=(Given("one", one.value, "ml"), Given("side by side", count, "")),
        law="volume = one × how many",
        arithmetic=f"{figure_text(one.value)} × {count} = {figure_text(value)} ml",
        source=GEOMETRY,
        steps=(one,),
    )


def solid_volume(figure: str, solid: Solid) -> Working:
    """Volume of a solid.

    Args:
        figure: what it is called [text].
        solid: the solid [Solid].
    Returns:
        the working [ml].
    Source:
        geometry, exact.
    """
    height = solid.height_mm
    volume = solid.volume_between(0.0, height)
    return Working(
        figure=figure,
        value=volume,
        unit="ml",
        given=(*solid.measures(), Given("thickness", height, "mm")),
        law=f"volume = {solid.volume_law('thickness')}",
        arithmetic=f"{solid.volume_text(0.0, height)} = {figure_text(volume)} ml",
        source=GEOMETRY,
    )
