"""A solid of one formula that stands in the mold: a base, or a layer of an insert."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Plan, Solid, box, moved
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True)
class Block(Region):
    """A solid standing at a height above the board, perhaps off the middle [mm].

    `on_board` says that it stands on the board or on what does; `edge_shown` that its edge is
    drawn from above.
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

    goes_by = "by volume"
    drawn = SOLID
    takes_room = True
    is_of_the_mold = True
    is_apart = True

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
    def plan(self) -> Plan:
        """Its outline from above, on its underside [mm]."""
        return self.solid.plan_at(0.0)

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The part of it between two heights [ml]."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return 0.0
        ends = (min(end - self.low_mm, self.solid.height_mm) for end in (low, high))
        return self.solid.volume_between(*ends)

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume."""
        del near
        working = solid_volume(f"Volume of {name}", self.solid)
        return Takes(working.figure, working, working)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Its section."""
        del near
        loops = self.solid.section(0.0, self.solid.height_mm)
        yield tuple(self._placed(loop) for loop in loops)

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """Its box, cut off where it stands out of the filling; its section where it is hollow."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return ()
        if not self.solid.is_upright or self.plan.hole():
            loops = self.solid.section(low - self.low_mm, high - self.low_mm)
            return tuple(self._placed(loop) for loop in loops)
        half = self.across_mm / 2
        x0, x1 = max(self.x_mm - half, -half_mm), min(self.x_mm + half, half_mm)
        return (box(x0, x1, low, high),) if x1 > x0 else ()

    def _placed(self, loop: Loop) -> Loop:
        return tuple((x + self.x_mm, z + self.low_mm) for x, z in loop)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its further side and its top."""
        del near
        return self.across_mm + 2 * abs(self.x_mm), self.high_mm

    def hidden_edge(self) -> Loop | None:
        """The lowest of a stack shows its edge."""
        return moved(self.plan.outline(), self.x_mm) if self.edge_shown else None


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
