"""A profile drawn out along a length: log molds with a round or a pointed floor, flat ends."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Literal

from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.oval import Oval
from fernbell.core.molds.plan import Loop, RoundedBox
from fernbell.core.molds.profile import Profile, through
from fernbell.core.molds.solid import HEIGHT, MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.words import Alternative, Alternatives, FormWords, Start
from fernbell.core.working import Given, figure_text

_FIELDS = (
    Field("length_mm", "Length, inside", least=20, most=1000),
    Field("width_mm", "Width at the rim", least=20, most=1000),
    HEIGHT,
)
_FLOOR = Alternatives(
    "floor", "Floor", (Alternative("round", "round"), Alternative("pointed", "pointed"))
)
_POINT_MM = 1e-6
"""What comes to a point is drawn so wide from above."""


class Extruded(Solid):
    """What is the same for all of them; w is twice half the width of the profile."""

    __slots__ = ()
    bare_ends: bool = False

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def length_mm(self) -> float:
            """Along the axis [mm]."""

        @property
        @abstractmethod
        def profile(self) -> Profile:
            """Its wall as it is cut across."""

    @property
    def symmetry(self) -> Symmetry:
        """It is sliced."""
        return "long"

    @property
    def seen_at_mm(self) -> float:
        """The rim, or the widest level of what is closed."""
        return self.profile.widest_mm if self.profile.is_closed else self.height_mm

    def area_at(self, z_mm: float) -> float:
        """l w."""
        self._inside(z_mm, z_mm)
        return 2 * self.length_mm * self.profile.x_at(z_mm)

    def perimeter_at(self, z_mm: float) -> float:
        """2 (l + w)."""
        self._inside(z_mm, z_mm)
        return 2 * (self.length_mm + 2 * self.profile.x_at(z_mm))

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """l ∫ w dz."""
        return self.length_mm * self._end_mm2(low_mm, high_mm) / MM3_PER_ML

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """2 l ∫ ds + 2 ∫ w dz: both flanks as they curve, and both ends."""
        ends = 0.0 if self.bare_ends else 2 * self._end_mm2(low_mm, high_mm)
        slant = self.profile.total(low_mm, high_mm, lambda piece, *to: piece.length(*to))
        return (2 * self.length_mm * slant + ends) / MM2_PER_CM2

    def plan_at(self, z_mm: float) -> RoundedBox:
        """A rectangle, its length away from the cook: a log is cut across."""
        self._inside(z_mm, z_mm)
        return RoundedBox(max(_POINT_MM, 2 * self.profile.x_at(z_mm)), self.length_mm)

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """The profile and its mirror image."""
        return (self.profile.mirrored(low_mm, high_mm),)

    def to_height(self, height_mm: float) -> "Extrusion":
        """The profile cut off, or carried straight up."""
        return Extrusion(self.length_mm, self.profile.to_height(height_mm))

    def inset(self, by_mm: float) -> "Extrusion":
        """The profile inside the shell, shorter at both ends."""
        if 2 * by_mm >= self.length_mm:
            most = figure_text(self.length_mm / 2)
            allowed = f"less than {most} mm: nothing is left inside"
            raise CoreError("thickness_mm", f"{by_mm:g} mm", allowed)
        return Extrusion(self.length_mm - 2 * by_mm, self.profile.inset(by_mm))

    def measures(self) -> tuple[Given, ...]:
        """Its length, and its width at the rim."""
        rim = 2 * self.profile.x_at(self.height_mm)
        return (Given("length", self.length_mm, "mm"), Given("width at the rim", rim, "mm"))

    def volume_law(self, height: str) -> str:
        """The length of its section."""
        return f"length × ∫ width over the {height}, piece by piece"

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """l × 2 × (…) / 1 000."""
        return f"{figure_text(self.length_mm)} × {self._end_text(low_mm, high_mm)} / 1 000"

    def area_text(self, z_mm: float) -> str:
        """l × w."""
        return f"{figure_text(self.length_mm)} × {figure_text(2 * self.profile.x_at(z_mm))}"

    def wall_law(self) -> str:
        """Flanks and ends."""
        flanks = "2 × length × flank"
        return f"{flanks}, the ends bare" if self.bare_ends else f"{flanks} + 2 × end"

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """2 × l × flank + 2 × end."""
        slant = self.profile.total(low_mm, high_mm, lambda piece, *to: piece.length(*to))
        end = figure_text(self._end_mm2(low_mm, high_mm))
        flanks = f"2 × {figure_text(self.length_mm)} × {figure_text(slant)}"
        return flanks if self.bare_ends else f"{flanks} + 2 × {end}"

    def edge_text(self) -> str:
        """2 × (l + w)."""
        width = figure_text(2 * self.profile.x_at(self.height_mm))
        return f"2 × ({figure_text(self.length_mm)} + {width})"

    def stretched(self, share: float) -> "Extrusion":
        """Length and width by as much, its arcs in straight pieces."""
        wall = self.profile.wider(1.0)
        by = math.sqrt(share * self.capacity_ml / Extrusion(self.length_mm, wall).capacity_ml)
        return Extrusion(self.length_mm * by, wall.wider(by))

    def size_words(self) -> str:
        """'50 × 8 cm', at the rim."""
        width = 2 * self.profile.x_at(self.seen_at_mm)
        return f"{self.length_mm / 10:.3g} × {width / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Gutter 500 × 80 × 60 mm'."""
        sides = (self.length_mm, 2 * self.profile.x_at(self.height_mm), self.height_mm)
        return f"Gutter {' × '.join(figure_text(side) for side in sides)} mm"

    def _end_mm2(self, low_mm: float, high_mm: float) -> float:
        self._inside(low_mm, high_mm)
        return 2 * self.profile.total(low_mm, high_mm, lambda piece, *to: piece.area(*to))

    def _end_text(self, low_mm: float, high_mm: float) -> str:
        pieces = self.profile.text(low_mm, high_mm, lambda piece, *to: piece.area_text(*to))
        return f"2 × ({pieces})"


@dataclass(frozen=True, slots=True)
class Extrusion(Extruded):
    """Any profile along any length [mm]."""

    length_mm: float
    profile: Profile
    bare_ends: bool = False
    """Whether its ends are cut, and no wall."""

    @property
    def height_mm(self) -> float:
        """That of the profile."""
        return self.profile.height_mm


@dataclass(frozen=True, slots=True)
class Gutter(Extruded):
    """A log mold by its inner measures [mm]: a round floor (a half cylinder, or a U where it is
    higher than half its width), or a pointed one.
    """

    length_mm: float
    width_mm: float
    height_mm: float
    floor: Literal["round", "pointed"] = "round"
    form: Literal["gutter"] = "gutter"

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)

    @classmethod
    def words(cls) -> FormWords:
        """A log of 50 cm to begin with."""
        starts = (
            Start("Half-round gutter", cls(500, 80, 40)),
            Start("U gutter", cls(500, 80, 65)),
            Start("Pointed gutter", cls(500, 80, 70, "pointed")),
        )
        return FormWords("gutter", "Gutter", starts, _FIELDS, (_FLOOR,))

    @property
    def profile(self) -> Profile:
        """Its wall."""
        return _profile(self.width_mm, self.height_mm, self.floor)


@lru_cache(maxsize=256)
def _profile(width_mm: float, height_mm: float, floor: str) -> Profile:
    half = width_mm / 2
    if floor == "pointed":
        return through([(0.0, 0.0), (half, height_mm)])
    return rounded_floor(half, height_mm)


def rounded_floor(half_mm: float, height_mm: float) -> Profile:
    """The wall over a round floor: an arc, or half a circle with upright walls over it.

    Args:
        half_mm: half its width at the rim [mm].
        height_mm: its height [mm].
    Returns:
        the profile [mm].
    Source:
        geometry.
    """
    if height_mm > half_mm:
        points = [(0.0, 0.0), (half_mm, half_mm), (half_mm, height_mm)]
        return through(points, [half_mm, 0.0])
    radius = (half_mm**2 + height_mm**2) / (2 * height_mm)
    return through([(0.0, 0.0), (half_mm, height_mm)], [radius])


def lying(diameter_mm: float, length_mm: float) -> Extrusion:
    """A cylinder on its side, its ends cut.

    Args:
        diameter_mm: across [mm].
        length_mm: from end to end [mm].
    Returns:
        the solid, its ends no part of its wall [mm].
    Source:
        geometry.
    """
    half = diameter_mm / 2
    lower, upper = Oval(half, half, half, 0.0, half), Oval(half, half, half, half, diameter_mm)
    return Extrusion(length_mm, Profile(0.0, (lower, upper)), bare_ends=True)
