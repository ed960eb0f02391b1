"""What is strewn on the open top: sugar to burn, cocoa, crumbs; so many grams on an area."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.region import COAT, Surroundings
from fernbell.core.desserts.regions.wash import Wash
from fernbell.core.molds import Loop, box


@dataclass(frozen=True, slots=True, kw_only=True)
class Crust(Wash):
    """So many grams on 100 cm² of the top, over what coats it [mm]."""

    over_mm: float = 0.0

    drawn = COAT

    def _high(self, near: Surroundings) -> float:
        """How thick it lies [mm]."""
        return self.on_100_cm2_g / (near.density_g_ml(self) or 1.0) / 10

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """A thin line over the top."""
        outer = near.outer
        half = outer.plan_at(outer.height_mm).length_mm / 2
        low = outer.height_mm + self.over_mm
        yield (box(-half, half, low, low + self._high(near)),)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """Its upper side."""
        outer = near.outer
        return outer.across_mm, outer.height_mm + self.over_mm + self._high(near)
