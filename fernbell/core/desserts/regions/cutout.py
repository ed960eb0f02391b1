"""A disc of a sheet, area × thickness; drawn as it lies on top."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from shapely import intersection
from shapely.geometry import Polygon, box

from fernbell.core.cutting import RoundBlank
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.desserts.regions.outlines import loops_of, skin
from fernbell.core.desserts.regions.pieces import disc_at
from fernbell.core.desserts.regions.region import COAT, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop
from fernbell.core.molds import box as loop_box
from fernbell.core.working import GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True, kw_only=True)
class Cutout(Region):
    """A disc so wide and thin, over what lies under it [mm]."""

    part: str
    name: str
    formula: str
    wide_mm: float
    thick_mm: float
    under_mm: float

    layer = None
    goes_by = "by area"
    drawn = COAT

    @property
    def across_mm(self) -> float:
        """As it is cut [mm]."""
        return self.wide_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """π/4 d² t."""
        del near
        wide, thin = self.wide_mm, self.thick_mm
        volume = math.pi / 4 * wide**2 * thin / MM3_PER_ML
        working = Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("across", wide, "mm"),
                Given("thickness", thin, "mm"),
            ),
            law="volume = π/4 × across² × thickness",
            arithmetic=f"π/4 × {figure_text(wide)}² × {figure_text(thin)} / 1 000 = "
            f"{figure_text(volume)} ml",
            source=GEOMETRY,
        )
        return Takes(working.figure, working, working)

    def from_sheet(self) -> FromSheet:
        """The disc."""
        return FromSheet(RoundBlank(self.wide_mm), 1, self.thick_mm)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """On a flat top as it was cut; over what is round as it sinks down."""
        outer, half = near.outer, self.wide_mm / 2
        top = outer.height_mm + self.under_mm
        if outer.is_upright:
            yield (loop_box(-half, half, top, top + self.thick_mm),)
            return
        whole = [Polygon(loop) for loop in skin(outer, self.under_mm, self.thick_mm)]
        over = box(-half, outer.height_mm / 3, half, top + self.thick_mm + 1)
        yield tuple(loop for one in whole for loop in loops_of(intersection(one, over)))

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """As it was cut, or as far as what it sinks down on reaches."""
        return (disc_at(0.0, 0.0, min(self.wide_mm, near.outer.across_mm) / 2),)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its edge, and over the top."""
        return self.wide_mm, near.outer.height_mm + self.under_mm + self.thick_mm
