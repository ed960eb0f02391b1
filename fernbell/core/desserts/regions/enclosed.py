"""Another dessert inside this one: what is filled in goes around it."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.block import solid_volume
from fernbell.core.desserts.regions.region import HELD, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Solid


@dataclass(frozen=True, slots=True, kw_only=True)
class Enclosed(Region):
    """The outside of another dessert, so far above the board [mm]; it is weighed by itself."""

    part: str
    name: str
    solid: Solid
    low_mm: float

    layer = None
    formula = ""
    goes_by = "by itself"
    drawn = HELD
    takes_room = True

    @property
    def thick_mm(self) -> float:
        """Its height [mm]."""
        return self.solid.height_mm

    @property
    def high_mm(self) -> float:
        """Its top above the board [mm]."""
        return self.low_mm + self.solid.height_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """The room it takes."""
        del near
        working = solid_volume(f"Room of {name}", self.solid)
        return Takes(working.figure, working, working)

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The part of it between two heights [ml]."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return 0.0
        top = self.solid.height_mm
        return self.solid.volume_between(low - self.low_mm, min(top, high - self.low_mm))

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """None of its own: it is drawn as it is made."""
        del near
        return iter(())

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """Its section between two heights."""
        del half_mm
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return ()
        top = self.solid.height_mm
        loops = self.solid.section(low - self.low_mm, min(top, high - self.low_mm))
        return tuple(tuple((x, z + self.low_mm) for x, z in loop) for loop in loops)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its side and its top."""
        del near
        return self.solid.across_mm, self.high_mm
