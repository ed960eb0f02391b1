"""Upright walls: the same outline at every height. The round ring, the frame, and any prism."""

import math
from abc import abstractmethod
from dataclasses import dataclass
from typing import TYPE_CHECKING, Literal, Self

from fernbell.core.errors import CoreError, check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.plan import Loop, Plan, RoundedBox, box, disc
from fernbell.core.molds.solid import HEIGHT, MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import Given, figure_text

_OPEN_MM = 1e-9
"""What is left inside a shell is more than this, or nothing."""

_RING = (Field("diameter_mm", "Diameter, inside", least=20, most=1000), HEIGHT)
_FRAME = (
    Field("length_mm", "Length, inside", least=20, most=1000),
    Field("width_mm", "Width, inside", least=20, most=1000),
    HEIGHT,
    Field("corner_radius_mm", "Corner radius", most=500),
)


class Upright(Solid):
    """What is the same for all of them: A h, P h."""

    __slots__ = ()
    is_upright = True
    seen = "plan"

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def plan(self) -> Plan:
            """Its outline from above."""

    @property
    def symmetry(self) -> Symmetry:
        """A disc is round; all others have two sides."""
        return "round" if self.plan.is_round else "rectangular"

    @property
    def across_mm(self) -> float:
        """That of the plan."""
        return self.plan.length_mm

    def area_at(self, z_mm: float) -> float:
        """A."""
        self._inside(z_mm, z_mm)
        return self.plan.area_mm2

    def perimeter_at(self, z_mm: float) -> float:
        """P."""
        self._inside(z_mm, z_mm)
        return self.plan.perimeter_mm

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """A h."""
        return self.plan.area_mm2 * self._inside(low_mm, high_mm) / MM3_PER_ML

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """P h."""
        return self.plan.perimeter_mm * self._inside(low_mm, high_mm) / MM2_PER_CM2

    def depth_of(self, volume_ml: float) -> float:
        """h = H V / V(H)."""
        return self.height_mm * self._filled(volume_ml)

    def plan_at(self, z_mm: float) -> Plan:
        """The plan."""
        self._inside(z_mm, z_mm)
        return self.plan

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """A box as long as the plan."""
        half = self.plan.length_mm / 2
        return (box(-half, half, low_mm, high_mm),)

    def to_height(self, height_mm: float) -> "Prism":
        """The plan, so high."""
        return Prism(self.plan, height_mm)

    def inset(self, by_mm: float) -> "Prism":
        """The plan with its edge moved inwards, standing that much higher."""
        room = min(self.plan.length_mm, self.plan.width_mm) / 2
        if by_mm >= min(room, self.height_mm) - _OPEN_MM:
            most = figure_text(min(room, self.height_mm))
            allowed = f"less than {most} mm: nothing is left inside"
            raise CoreError("thickness_mm", f"{by_mm:g} mm", allowed)
        return Prism(self.plan.grown(-by_mm), self.height_mm - by_mm)

    def measures(self) -> tuple[Given, ...]:
        """Those of the plan."""
        return self.plan.measures

    def volume_law(self, height: str) -> str:
        """Area × height."""
        return f"area × {height}"

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """A × h / 1 000."""
        return f"{self.plan.area_text} × {figure_text(high_mm - low_mm)} / 1 000"

    def area_text(self, z_mm: float) -> str:
        """A, at every height."""
        del z_mm
        return self.plan.area_text

    def wall_law(self) -> str:
        """Edge × height."""
        return "edge × height"

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """P × h."""
        return f"{figure_text(self.plan.perimeter_mm)} × {figure_text(high_mm - low_mm)}"

    def depth_law(self) -> str:
        """By proportion."""
        return "depth = height × volume / what the mold holds; the walls are upright"

    def depth_text(self, volume_ml: float, depth_mm: float) -> str:
        """H × V / V(H)."""
        whole = f"{figure_text(self.height_mm)} × {figure_text(volume_ml)}"
        return f"{whole} / {figure_text(self.capacity_ml)} = {figure_text(depth_mm)} mm"

    def edge_text(self) -> str:
        """P."""
        return self.plan.perimeter_text

    def wall_in_full(self) -> str:
        """P × H."""
        return f"({self.plan.perimeter_text}) × {figure_text(self.height_mm)}"


@dataclass(frozen=True, slots=True)
class Prism(Upright):
    """Any plan with upright walls: a base, a frozen layer, what stands in a ring [mm]."""

    plan: Plan
    height_mm: float

    def stretched(self, share: float) -> Self:
        """Length, width and corners by the root of the share."""
        return type(self)(self.plan.scaled(math.sqrt(share)), self.height_mm)

    def size_words(self) -> str:
        """As it is seen from above."""
        return self.plan.size_words

    def words_in_full(self) -> str:
        """Its size."""
        return self.size_words()


@dataclass(frozen=True, slots=True)
class Ring(Upright):
    """A round ring by its inner measures [mm]."""

    diameter_mm: float
    height_mm: float
    form: Literal["ring"] = "ring"

    def __post_init__(self) -> None:
        check_fields(self, _RING)

    @classmethod
    def words(cls) -> FormWords:
        """A ring of 18 cm to begin with."""
        starts = (Start("Ring", cls(180, 45)), Start("Round cutter", cls(60, 30)))
        return FormWords("ring", "Ring", starts, _RING)

    @property
    def plan(self) -> RoundedBox:
        """A disc."""
        return disc(self.diameter_mm)

    def stretched(self, share: float) -> Self:
        """The diameter by the root of the share."""
        return type(self)(self.diameter_mm * math.sqrt(share), self.height_mm)

    def size_words(self) -> str:
        """'Ø 20 cm'."""
        return f"Ø {self.diameter_mm / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Ring Ø 200 × 45 mm'."""
        return f"Ring Ø {figure_text(self.diameter_mm)} × {figure_text(self.height_mm)} mm"


@dataclass(frozen=True, slots=True)
class Frame(Upright):
    """A rectangular frame by its inner measures [mm]."""

    length_mm: float
    width_mm: float
    height_mm: float
    corner_radius_mm: float = 0.0
    form: Literal["frame"] = "frame"

    def __post_init__(self) -> None:
        check_fields(self, _FRAME)
        roundest = min(self.length_mm, self.width_mm) / 2
        check_range("corner_radius_mm", self.corner_radius_mm, most=roundest)

    @classmethod
    def words(cls) -> FormWords:
        """A frame of 30 × 20 cm to begin with."""
        starts = (
            Start("Frame", cls(300, 200, 45)),
            Start("Square ring", cls(180, 180, 45, 12)),
            Start("Bar", cls(120, 35, 35, 4)),
            Start("Sheet pan", cls(570, 370, 20)),
        )
        return FormWords("frame", "Frame", starts, _FRAME)

    @property
    def plan(self) -> RoundedBox:
        """A rounded rectangle."""
        return RoundedBox(self.length_mm, self.width_mm, self.corner_radius_mm)

    @property
    def symmetry(self) -> Symmetry:
        """Two sides, however round its corners."""
        return "rectangular"

    def stretched(self, share: float) -> Self:
        """Length, width and corners by the root of the share."""
        by = math.sqrt(share)
        corner = self.corner_radius_mm * by
        return type(self)(self.length_mm * by, self.width_mm * by, self.height_mm, corner)

    def size_words(self) -> str:
        """'57 × 37 cm'."""
        return f"{self.length_mm / 10:.3g} × {self.width_mm / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Frame 570 × 370 × 40 mm'."""
        sides = (self.length_mm, self.width_mm, self.height_mm)
        return f"Frame {' × '.join(figure_text(side) for side in sides)} mm"
