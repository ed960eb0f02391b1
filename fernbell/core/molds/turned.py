"""Turned about an axis: a profile of straight pieces and arcs. Domes, cones, tapered pans."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Literal

from fernbell.core.errors import CoreError, check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.plan import Loop, Plan, disc
from fernbell.core.molds.profile import Profile, through
from fernbell.core.molds.solid import HEIGHT, MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.words import FormWords, Start, Table
from fernbell.core.working import Given, figure_text

MOST_POINTS = 40
_POINT = (
    Field("height_mm", "At height", most=300),
    Field("diameter_mm", "Diameter, inside", most=1000),
    Field("radius_mm", "Arc up to it, radius", most=2000),
)
_POINT_MM = 1e-6
"""What comes to a point is drawn so wide from above."""


class Revolved(Solid):
    """What is the same for all of them; r is half the width of the profile."""

    __slots__ = ()

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def profile(self) -> Profile:
            """Its wall as it is cut."""

    @property
    def height_mm(self) -> float:
        """That of the profile."""
        return self.profile.height_mm

    @property
    def symmetry(self) -> Symmetry:
        """Round."""
        return "round"

    @property
    def seen_at_mm(self) -> float:
        """The rim, or the widest level of what is closed."""
        return self.profile.widest_mm if self.profile.is_closed else self.height_mm

    def area_at(self, z_mm: float) -> float:
        """π r²."""
        self._inside(z_mm, z_mm)
        return math.pi * self.profile.x_at(z_mm) ** 2

    def perimeter_at(self, z_mm: float) -> float:
        """2 π r."""
        self._inside(z_mm, z_mm)
        return 2 * math.pi * self.profile.x_at(z_mm)

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """π ∫ r² dz."""
        self._inside(low_mm, high_mm)
        return _volume(self.profile, low_mm, high_mm)

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """2 π ∫ r ds."""
        self._inside(low_mm, high_mm)
        whole = self.profile.total(low_mm, high_mm, lambda piece, *to: piece.turned(*to))
        return 2 * math.pi * whole / MM2_PER_CM2

    def plan_at(self, z_mm: float) -> Plan:
        """A disc."""
        self._inside(z_mm, z_mm)
        return disc(max(_POINT_MM, 2 * self.profile.x_at(z_mm)))

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """The profile and its mirror image."""
        return (self.profile.mirrored(low_mm, high_mm),)

    def to_height(self, height_mm: float) -> "Revolution":
        """The profile cut off, or carried straight up."""
        return Revolution(self.profile.to_height(height_mm))

    def inset(self, by_mm: float) -> "Revolution":
        """The profile inside the shell: what is nearest to a wall lies in the cut."""
        return Revolution(self.profile.inset(by_mm))

    def measures(self) -> tuple[Given, ...]:
        """Across the floor and the rim."""
        floor, rim = (2 * self.profile.x_at(z) for z in (0.0, self.seen_at_mm))
        return (Given("across the floor", floor, "mm"), Given(f"across the {self.seen}", rim, "mm"))

    def volume_law(self, height: str) -> str:
        """The integral of its sections."""
        return f"π × ∫ radius² over the {height}, piece by piece"

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """π × (…) / 1 000."""
        pieces = self.profile.text(low_mm, high_mm, lambda piece, *to: piece.square_text(*to))
        return f"π × ({pieces}) / 1 000"

    def area_text(self, z_mm: float) -> str:
        """π/4 × across²."""
        return f"π/4 × {figure_text(2 * self.profile.x_at(z_mm))}²"

    def wall_law(self) -> str:
        """Pappus, piece by piece."""
        return "2π × ∫ radius along the slant"

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """2π × (…)."""
        pieces = self.profile.text(low_mm, high_mm, lambda piece, *to: piece.turned_text(*to))
        return f"2π × ({pieces})"

    def edge_text(self) -> str:
        """π × across the rim."""
        return f"π × {figure_text(2 * self.profile.x_at(self.seen_at_mm))}"

    def stretched(self, share: float) -> "Revolved":
        """The profile wider by as much, its arcs in straight pieces."""
        wall = self.profile.wider(1.0)
        by = math.sqrt(share * self.capacity_ml / Revolution(wall).capacity_ml)
        return Revolution(wall.wider(by))

    def size_words(self) -> str:
        """'Ø 20 cm', at the rim."""
        return f"Ø {2 * self.profile.x_at(self.height_mm) / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Turned Ø 120 × 60 mm', at the rim."""
        rim = figure_text(2 * self.profile.x_at(self.height_mm))
        return f"Turned Ø {rim} × {figure_text(self.height_mm)} mm"


@dataclass(frozen=True, slots=True)
class Revolution(Revolved):
    """Any profile, turned [mm]."""

    profile: Profile


@dataclass(frozen=True, slots=True)
class WallPoint:
    """A point of a wall: so wide at such a height; an arc of a radius leads up to it, or none."""

    height_mm: float
    diameter_mm: float
    radius_mm: float = 0.0

    def __post_init__(self) -> None:
        check_fields(self, _POINT)


@dataclass(frozen=True, slots=True)
class Turned(Revolved):
    """A round mold by heights and inner diameters, from the floor up [mm]."""

    points: tuple[WallPoint, ...]
    form: Literal["turned"] = "turned"

    def __post_init__(self) -> None:
        if not 2 <= len(self.points) <= MOST_POINTS:
            raise CoreError("points", f"{len(self.points)} points", f"2 to {MOST_POINTS} points")
        if self.points[0].height_mm != 0:
            raise CoreError("points", f"{self.points[0].height_mm:g} mm", "0 mm high at the floor")
        HEIGHT.check(self.profile.height_mm)
        check_range(
            "diameter_mm", max(point.diameter_mm for point in self.points), least=20, most=1000
        )
        for place, point in enumerate(self.points[1:], 1):
            # Only the floor may be closed: what is poured must pass all above it; common practice.
            check_range(f"points.{place}.diameter_mm", point.diameter_mm, least=5, most=1000)

    @classmethod
    def words(cls) -> FormWords:
        """A dome of 12 cm to begin with."""
        starts = (
            Start("Dome", cls((WallPoint(0, 0), WallPoint(60, 120, 60)))),
            Start("Half sphere", cls((WallPoint(0, 0), WallPoint(35, 70, 35)))),
            Start("Tart pan", cls((WallPoint(0, 220), WallPoint(25, 240)))),
            Start("Springform", cls((WallPoint(0, 240), WallPoint(70, 240)))),
            Start("Cone", cls((WallPoint(0, 0), WallPoint(90, 70)))),
            Start("Cut cone", cls((WallPoint(0, 40), WallPoint(45, 70)))),
            Start("Ramekin", cls((WallPoint(0, 74), WallPoint(8, 84, 12), WallPoint(45, 86)))),
            Start("Glass", cls((WallPoint(0, 44), WallPoint(12, 58, 14), WallPoint(85, 70)))),
        )
        table = Table(
            "points",
            "The wall, from the floor up",
            _POINT,
            2,
            MOST_POINTS,
            ("diameter_mm",),
            across="diameter_mm",
            up="height_mm",
            per=2.0,
        )
        return FormWords("turned", "Turned", starts, (), tables=(table,))

    @property
    def profile(self) -> Profile:
        """Through its points."""
        return _profile(self.points)


@lru_cache(maxsize=256)
def _profile(points: tuple[WallPoint, ...]) -> Profile:
    halves = [(point.diameter_mm / 2, point.height_mm) for point in points]
    return through(halves, [point.radius_mm for point in points[1:]])


@lru_cache(maxsize=2048)
def _volume(profile: Profile, low_mm: float, high_mm: float) -> float:
    whole = profile.total(low_mm, high_mm, lambda piece, *to: piece.square(*to))
    return math.pi * whole / MM3_PER_ML
