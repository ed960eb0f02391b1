"""What every mold, glass and shell answers; a solid knows nothing of desserts.

A family of shapes is one file with a subclass of `Solid`. What is derived (the brim, depths,
free surfaces) is written here once. Heights are above the floor; outside 0 to the rim they are
refused.
"""

from abc import ABC, abstractmethod
from typing import TYPE_CHECKING, ClassVar, Literal

from scipy.optimize import brentq

from fernbell.core.errors import MoldOverflow, check_range
from fernbell.core.field import Field
from fernbell.core.molds.plan import Loop, Plan
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

MM3_PER_ML = 1000.0
MM2_PER_CM2 = 100.0

# A volume that exceeds the brim by less than this share is the brim: floats, not mousse.
_BRIM_TOLERANCE = 1e-9

HEIGHT = Field("height_mm", "Height", least=5, most=300)
"""How high a mold can be."""

Symmetry = Literal["round", "rectangular", "long"]
"""How a solid looks from above and is divided: from the middle, along two sides, or in slices."""


class Solid(ABC):
    """A room with a floor and a rim."""

    __slots__ = ()

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def height_mm(self) -> float:
            """From the floor to the rim [mm]."""

        @property
        @abstractmethod
        def symmetry(self) -> Symmetry:
            """How it looks from above."""

    is_upright: ClassVar[bool] = False
    """Whether it looks the same at every height."""
    is_straight: ClassVar[bool] = False
    """Whether its wall goes straight from its floor to its rim."""
    in_halves: ClassVar[bool] = False
    """Whether what it holds is molded in two and joined."""
    seen: ClassVar[str] = "rim"
    """What its edge and open surface are taken at, in words."""

    @abstractmethod
    def area_at(self, z_mm: float) -> float:
        """Area of the level section at a height [mm] → [mm²]."""

    @abstractmethod
    def perimeter_at(self, z_mm: float) -> float:
        """Edge of the level section at a height [mm] → [mm]."""

    @abstractmethod
    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """Volume between two heights [mm] → [ml]."""

    @abstractmethod
    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """Wall between two heights [mm] as it slants → [cm²]; the floor is not of it."""

    @abstractmethod
    def plan_at(self, z_mm: float) -> Plan:
        """Outline from above at a height [mm]."""

    @abstractmethod
    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """Outlines of the cut through the middle, between two heights [mm]: one, or two where it
        is hollow.
        """

    @abstractmethod
    def to_height(self, height_mm: float) -> "Solid":
        """The same walls to another height [mm]; above the rim they go straight up."""

    @abstractmethod
    def inset(self, by_mm: float) -> "Solid":
        """The solid inside a shell of a thickness [mm] on wall and floor, or outside if negative.

        CoreError where nothing is left inside.
        """

    @abstractmethod
    def stretched(self, share: float) -> "Solid":
        """The same height, everything across by as much as makes it hold `share` times [1]."""

    @abstractmethod
    def size_words(self) -> str:
        """Its size as it is called in the kitchen: 'Ø 20 cm'."""

    @abstractmethod
    def words_in_full(self) -> str:
        """What it is with all its measures: 'Ring Ø 200 × 45 mm'."""

    @abstractmethod
    def measures(self) -> tuple[Given, ...]:
        """Its measures across as inputs of a working; its height is told beside them [mm]."""

    @abstractmethod
    def volume_law(self, height: str) -> str:
        """The law of its volume in words, its height called so: 'area × height'."""

    @abstractmethod
    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """The arithmetic of a volume between two heights [mm], in ml, without its result."""

    @abstractmethod
    def area_text(self, z_mm: float) -> str:
        """The arithmetic of the area at a height [mm], in mm², without its result."""

    @abstractmethod
    def wall_law(self) -> str:
        """The law of its wall in words: 'edge × height'."""

    @abstractmethod
    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """The arithmetic of the wall between two heights [mm], in mm², without its result."""

    @abstractmethod
    def edge_text(self) -> str:
        """The arithmetic of its edge all round, in mm, without its result."""

    def wall_in_full(self) -> str:
        """The arithmetic of its whole wall, in mm², with what its edge is made of."""
        return f"({self.wall_text(0.0, self.height_mm)})"

    def workings(self) -> tuple[Working, Working, Working, Working]:
        """What it holds [ml], its edge [mm], its open surface and its wall [cm²], worked out."""
        top, at, across = self.height_mm, self.seen_at_mm, self.measures()
        given = (*across, Given("height", top, "mm"))
        edge, surface = self.perimeter_at(at), self.free_surface_at(at)
        wall, walls = self.wall_between(0.0, top), f"{self.wall_in_full()} / 100"
        volume, law = self.volume_text(0.0, top), f"volume = {self.volume_law('height')}"
        seen, area = self.seen, f"{self.area_text(at)} / 100"
        return (
            _worked("Holds", self.capacity_ml, "ml", given, law, volume),
            _worked("Edge all round", edge, "mm", across, f"edge of the {seen}", self.edge_text()),
            _worked("Open surface", surface, "cm²", across, f"area of the {seen}", area),
            _worked("Wall", wall, "cm²", given, f"wall = {self.wall_law()}", walls),
        )

    def depth_law(self) -> str:
        """The law of its depth in words."""
        return "the depth below which the volume is what was poured in"

    def depth_text(self, volume_ml: float, depth_mm: float) -> str:
        """The arithmetic of a depth, with its result: the volume below it, checked."""
        below = f"{self.volume_text(0.0, depth_mm)} = {figure_text(volume_ml)} ml"
        return f"{below} at {figure_text(depth_mm)} mm"

    @property
    def capacity_ml(self) -> float:
        """Volume to the brim [ml]."""
        return self.volume_between(0.0, self.height_mm)

    @property
    def stands_on_rim(self) -> bool:
        """Whether what it holds is turned out onto its rim: its floor is less than a quarter."""
        return self.area_at(0.0) < self.area_at(self.height_mm) / 4

    @property
    def seen_at_mm(self) -> float:
        """The height its edge and open surface are taken at: the rim, where it is open [mm]."""
        return self.height_mm

    @property
    def from_above(self) -> Plan:
        """Its outline from above: that of the rim, where it is open."""
        return self.plan_at(self.seen_at_mm)

    @property
    def across_mm(self) -> float:
        """How wide it is in the cut [mm]."""
        return self.from_above.length_mm

    @property
    def shaped_mm(self) -> float:
        """How wide it is shaped, where an oven makes it wider later [mm]."""
        return self.across_mm

    @property
    def longest_mm(self) -> float:
        """The longest way across it [mm]."""
        return self.from_above.longest_mm

    def free_surface_at(self, z_mm: float) -> float:
        """Open surface of what stands so high [mm] → [cm²]."""
        return self.area_at(z_mm) / MM2_PER_CM2

    def depth_of(self, volume_ml: float) -> float:
        """Depth at which a volume [ml] stands → [mm]; MoldOverflow above the brim.

        Bracketing root (scipy brentq), exact at 0 and at the brim.
        """
        share = self._filled(volume_ml)
        if share in (0.0, 1.0):
            return share * self.height_mm
        wanted = share * self.capacity_ml

        def off(depth_mm: float) -> float:
            return self.volume_between(0.0, depth_mm) - wanted

        return float(brentq(off, 0.0, self.height_mm, xtol=1e-10))

    def _filled(self, volume_ml: float) -> float:
        """Share of what it holds [0 to 1]."""
        check_range("volume_ml", volume_ml)
        capacity = self.capacity_ml
        if volume_ml > capacity * (1 + _BRIM_TOLERANCE):
            raise MoldOverflow(volume_ml, capacity)
        return min(volume_ml / capacity, 1.0)

    def _inside(self, low_mm: float, high_mm: float) -> float:
        """How far the one height is below the other; refused outside the solid [mm]."""
        check_range("height_mm", low_mm, most=self.height_mm)
        check_range("height_mm", high_mm, least=low_mm, most=self.height_mm)
        return high_mm - low_mm


def _worked(
    figure: str, value: float, unit: str, given: tuple[Given, ...], law: str, sum_: str
) -> Working:
    arithmetic = f"{sum_} = {figure_text(value)} {unit}"
    return Working(figure, value, unit, given, law, arithmetic, GEOMETRY)
