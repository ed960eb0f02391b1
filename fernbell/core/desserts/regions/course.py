"""A layer from wall to wall, between two heights of what it is poured or pressed into."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.flat import FromSheet, piece_of
from fernbell.core.desserts.regions.outlines import around
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Solid
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True, kw_only=True)
class Course(Region):
    """What is between two heights of a mold, less what was there before it [mm]."""

    part: str
    name: str
    formula: str
    mold: Solid
    low_mm: float
    high_mm: float
    before: tuple[Region, ...]

    layer = None
    goes_by = "by volume"
    drawn = SOLID
    takes_room = True
    is_of_the_mold = True

    @property
    def thick_mm(self) -> float:
        """Its height [mm]."""
        return self.high_mm - self.low_mm

    @property
    def floor_mm(self) -> float:
        """The next one stands on it [mm]."""
        return self.high_mm

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The part of it between two heights [ml]."""
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        if high <= low:
            return 0.0
        taken = sum(one.volume_between(low, high) for one in self.before)
        return self.mold.volume_between(low, high) - taken

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume."""
        low, high = self.low_mm, self.high_mm
        taken = [
            (near.name(one), inside)
            for one in self.before
            if (inside := one.volume_between(low, high))
        ]
        volume = self.volume_between(low, high)
        less = "".join(f" − {figure_text(inside)}" for _, inside in taken)
        working = Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("from", low, "mm"),
                Given("to", high, "mm"),
                *(Given(one, inside, "ml") for one, inside in taken),
            ),
            law=f"volume = {self.mold.volume_law('its height')} − what stands in it",
            arithmetic=f"{self.mold.volume_text(low, high)}{less} = {figure_text(volume)} ml",
            source=GEOMETRY,
        )
        return Takes(working.figure, working, working)

    def _loops(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        half = self.mold.across_mm / 2
        standing = [one.holes(low_mm, high_mm, half) for one in self.before]
        return around(self.mold.section(low_mm, high_mm), standing)

    def from_sheet(self) -> FromSheet | None:
        """From wall to wall, where the wall is upright."""
        if not self.mold.is_upright or self.before:
            return None
        return FromSheet(piece_of(self.mold.plan_at(self.low_mm)), 1, self.thick_mm)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """From wall to wall."""
        del near
        yield self._loops(self.low_mm, self.high_mm)

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """All of it between the heights."""
        del half_mm
        low, high = max(self.low_mm, low_mm), min(self.high_mm, high_mm)
        return self._loops(low, high) if high > low else ()

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """From wall to wall, to its top."""
        del near
        return self.mold.across_mm, self.high_mm
