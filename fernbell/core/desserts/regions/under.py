"""What the finished dessert is set on: it raises all that is drawn above it."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.block import solid_volume
from fernbell.core.desserts.regions.flat import FromSheet, piece_of
from fernbell.core.desserts.regions.region import UNDER, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Solid


@dataclass(frozen=True, slots=True, kw_only=True)
class Under(Region):
    """A solid on the board, outside the mold [mm]."""

    part: str
    name: str
    formula: str
    solid: Solid

    layer = None
    goes_by = "by volume"
    drawn = UNDER

    @property
    def thick_mm(self) -> float:
        """Its height [mm]."""
        return self.solid.height_mm

    @property
    def across_mm(self) -> float:
        """Its longest way across [mm]."""
        return self.solid.across_mm

    @property
    def raises_mm(self) -> float:
        """By its height."""
        return self.solid.height_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume."""
        del near
        working = solid_volume(f"Volume of {name}", self.solid)
        return Takes(working.figure, working, working)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Its section, on the board."""
        del near
        yield self.solid.section(0.0, self.solid.height_mm)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its edge."""
        del near
        return self.solid.across_mm, self.solid.height_mm

    def from_sheet(self) -> FromSheet | None:
        """Its outline."""
        return FromSheet(piece_of(self.solid.plan_at(0.0)), 1, self.thick_mm)

    def hidden_edge(self) -> Loop | None:
        """Its edge, seen where it stands out."""
        return self.solid.plan_at(0.0).outline()
