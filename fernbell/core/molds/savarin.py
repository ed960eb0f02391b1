"""A gutter bent round: savarins and other rings with a hole. Volumes and walls by Pappus."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Literal

from fernbell.core.errors import CoreError, check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.annulus import Annulus
from fernbell.core.molds.gutter import rounded_floor
from fernbell.core.molds.plan import Loop
from fernbell.core.molds.profile import Profile
from fernbell.core.molds.solid import HEIGHT, MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import Given, figure_text

_FIELDS = (
    Field("diameter_mm", "Diameter at the rim", least=30, most=1000),
    Field("hole_mm", "Diameter of the hole at the rim", least=5, most=900),
    HEIGHT,
)
_POINT_MM = 1e-6
"""What comes to a point is drawn so wide from above."""


class Bent(Solid):
    """What is the same for all of them; the middle of the section goes round at a radius R."""

    __slots__ = ()

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def profile(self) -> Profile:
            """The wall of the section, from its middle outwards."""

        @property
        @abstractmethod
        def middle_mm(self) -> float:
            """R: from the axis to the middle of the section [mm]."""

    @property
    def symmetry(self) -> Symmetry:
        """Round."""
        return "round"

    @property
    def _way(self) -> float:
        return 2 * math.pi * self.middle_mm

    def _end_mm2(self, low_mm: float, high_mm: float) -> float:
        self._inside(low_mm, high_mm)
        return 2 * self.profile.total(low_mm, high_mm, lambda piece, *to: piece.area(*to))

    def _slant_mm(self, low_mm: float, high_mm: float) -> float:
        self._inside(low_mm, high_mm)
        return 2 * self.profile.total(low_mm, high_mm, lambda piece, *to: piece.length(*to))

    def area_at(self, z_mm: float) -> float:
        """2 π R w."""
        self._inside(z_mm, z_mm)
        return self._way * 2 * self.profile.x_at(z_mm)

    def perimeter_at(self, z_mm: float) -> float:
        """4 π R: outside and inside."""
        self._inside(z_mm, z_mm)
        return 2 * self._way

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """2 π R ∫ w dz."""
        return self._way * self._end_mm2(low_mm, high_mm) / MM3_PER_ML

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """2 π R × the wall of the section."""
        return self._way * self._slant_mm(low_mm, high_mm) / MM2_PER_CM2

    def plan_at(self, z_mm: float) -> Annulus:
        """A disc with a hole."""
        self._inside(z_mm, z_mm)
        half = max(_POINT_MM, self.profile.x_at(z_mm))
        return Annulus(2 * (self.middle_mm + half), 2 * (self.middle_mm - half))

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """Cut on both sides of the hole."""
        right, left = (
            self.profile.mirrored(low_mm, high_mm, middle)
            for middle in (self.middle_mm, -self.middle_mm)
        )
        return left, right

    def to_height(self, height_mm: float) -> "Torus":
        """The profile cut off, or carried straight up."""
        return Torus(self.profile.to_height(height_mm), self.middle_mm)

    def inset(self, by_mm: float) -> "Torus":
        """The profile inside the shell."""
        return Torus(self.profile.inset(by_mm), self.middle_mm)

    def stretched(self, share: float) -> "Torus":
        """The middle further out, the section wider, by as much."""
        wall = self.profile.wider(1.0)
        by = math.sqrt(share * self.capacity_ml / Torus(wall, self.middle_mm).capacity_ml)
        return Torus(wall.wider(by), self.middle_mm * by)

    def measures(self) -> tuple[Given, ...]:
        """How far out its middle goes round, and how wide it is at the rim."""
        wide = 2 * self.profile.x_at(self.height_mm)
        return (Given("middle at", self.middle_mm, "mm"), Given("width at the rim", wide, "mm"))

    def volume_law(self, height: str) -> str:
        """Pappus."""
        return f"2π × radius of its middle × ∫ width over the {height} (Pappus)"

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """2π × R × 2 × (…) / 1 000."""
        pieces = self.profile.text(low_mm, high_mm, lambda piece, *to: piece.area_text(*to))
        return f"2π × {figure_text(self.middle_mm)} × 2 × ({pieces}) / 1 000"

    def area_text(self, z_mm: float) -> str:
        """2π × R × w."""
        width = figure_text(2 * self.profile.x_at(z_mm))
        return f"2π × {figure_text(self.middle_mm)} × {width}"

    def wall_law(self) -> str:
        """Pappus."""
        return "2π × radius of its middle × wall of its section"

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """2π × R × s."""
        slant = figure_text(self._slant_mm(low_mm, high_mm))
        return f"2π × {figure_text(self.middle_mm)} × {slant}"

    def edge_text(self) -> str:
        """Both edges."""
        return f"2 × 2π × {figure_text(self.middle_mm)}"

    def size_words(self) -> str:
        """'Ø 18 cm', at the rim."""
        return f"Ø {self.plan_at(self.height_mm).length_mm / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Ring with a hole Ø 180 / 60 × 30 mm'."""
        rim = self.plan_at(self.height_mm)
        across = f"{figure_text(rim.length_mm)} / {figure_text(rim.hole_mm)}"
        return f"Savarin Ø {across} × {figure_text(self.height_mm)} mm"


@dataclass(frozen=True, slots=True)
class Torus(Bent):
    """Any profile about any middle [mm]."""

    profile: Profile
    middle_mm: float

    @property
    def height_mm(self) -> float:
        """That of the profile."""
        return self.profile.height_mm

    def __post_init__(self) -> None:
        reach = max(x for x, _ in self.profile.outline(0.0, self.profile.height_mm))
        if reach >= self.middle_mm:
            room = figure_text(2 * self.middle_mm)
            raise CoreError("hole", f"a section {figure_text(2 * reach)} mm wide", f"below {room}")


@dataclass(frozen=True, slots=True)
class Savarin(Bent):
    """By the inner diameters of its rim and its height; its floor is round [mm]."""

    diameter_mm: float
    hole_mm: float
    height_mm: float
    form: Literal["savarin"] = "savarin"

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)
        check_range("hole_mm", self.hole_mm, most=self.diameter_mm - 10)

    @classmethod
    def words(cls) -> FormWords:
        """A half torus of 18 cm to begin with."""
        starts = (Start("Savarin", cls(180, 60, 30)), Start("Small savarin", cls(75, 25, 22)))
        return FormWords("savarin", "Savarin", starts, _FIELDS)

    @property
    def middle_mm(self) -> float:
        """Half way between hole and rim."""
        return (self.diameter_mm + self.hole_mm) / 4

    @property
    def profile(self) -> Profile:
        """Half a circle, an arc of one, or one with upright walls over it."""
        return _profile((self.diameter_mm - self.hole_mm) / 4, self.height_mm)


@lru_cache(maxsize=256)
def _profile(half_mm: float, height_mm: float) -> Profile:
    return rounded_floor(half_mm, height_mm)
