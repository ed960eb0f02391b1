"""A disc with a hole: what is seen of a savarin from above."""

import math
from dataclasses import dataclass

from fernbell.core.errors import CoreError
from fernbell.core.molds.plan import Loop, Plan, disc
from fernbell.core.working import Given, figure_text

_OPEN_MM = 1e-9
"""What is left inside a shell is more than this, or nothing."""


@dataclass(frozen=True, slots=True)
class Annulus(Plan):
    """A disc with a hole in its middle [mm]."""

    length_mm: float
    hole_mm: float

    @property
    def width_mm(self) -> float:
        """Its diameter."""
        return self.length_mm

    @property
    def area_mm2(self) -> float:
        """A = pi / 4 (D² - d²)."""
        return math.pi / 4 * (self.length_mm**2 - self.hole_mm**2)

    @property
    def perimeter_mm(self) -> float:
        """P = pi (D + d): both edges."""
        return math.pi * (self.length_mm + self.hole_mm)

    @property
    def area_text(self) -> str:
        """π/4 × (D² − d²)."""
        return f"π/4 × ({figure_text(self.length_mm)}² − {figure_text(self.hole_mm)}²)"

    @property
    def perimeter_text(self) -> str:
        """π × (D + d)."""
        return f"π × ({figure_text(self.length_mm)} + {figure_text(self.hole_mm)})"

    @property
    def measures(self) -> tuple[Given, ...]:
        """Both diameters."""
        return (Given("across", self.length_mm, "mm"), Given("hole", self.hole_mm, "mm"))

    def grown(self, by_mm: float) -> "Annulus":
        """Wider all round, its hole narrower."""
        wide, hole = self.length_mm + 2 * by_mm, max(0.0, self.hole_mm - 2 * by_mm)
        if wide - hole <= _OPEN_MM:
            most = figure_text((self.length_mm - self.hole_mm) / 4)
            allowed = f"less than {most} mm: nothing is left inside"
            raise CoreError("thickness_mm", f"{figure_text(-by_mm)} mm", allowed)
        return Annulus(wide, hole)

    @property
    def room_mm(self) -> float:
        """Half of what is between its edges."""
        return (self.length_mm - self.hole_mm) / 4

    def scaled(self, by: float) -> "Annulus":
        """Both diameters."""
        return Annulus(self.length_mm * by, self.hole_mm * by)

    def towards(self, other: "Annulus", share: float) -> "Annulus":
        """Both diameters."""
        length = self.length_mm + share * (other.length_mm - self.length_mm)
        return Annulus(length, self.hole_mm + share * (other.hole_mm - self.hole_mm))

    def wall_to(self, above: "Annulus", height_mm: float) -> float:
        """Two frustums."""
        outside = math.hypot((above.length_mm - self.length_mm) / 2, height_mm)
        inside = math.hypot((above.hole_mm - self.hole_mm) / 2, height_mm)
        wide, hole = self.length_mm + above.length_mm, self.hole_mm + above.hole_mm
        return math.pi / 2 * (wide * outside + hole * inside)

    def moved_in(
        self, by_mm: float, below: "Annulus", above: "Annulus", height_mm: float
    ) -> "Annulus":
        """Both walls by the thickness over the cosine of how they lean."""
        outside = math.hypot(1, (above.length_mm - below.length_mm) / 2 / height_mm)
        inside = math.hypot(1, (above.hole_mm - below.hole_mm) / 2 / height_mm)
        return Annulus(self.length_mm - 2 * by_mm * outside, self.hole_mm + 2 * by_mm * inside)

    def outline(self) -> Loop:
        """Its outer edge."""
        return disc(self.length_mm).outline()

    def hole(self) -> Loop | None:
        """The edge of its hole."""
        return disc(self.hole_mm).outline() if self.hole_mm else None
