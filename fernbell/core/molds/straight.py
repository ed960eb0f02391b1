"""Molds with upright walls: the round ring and the rectangular frame."""

from dataclasses import dataclass
from typing import Literal

from fernbell.core.errors import MoldOverflow, check_range
from fernbell.core.molds.plan import Plan, disc

MM3_PER_ML = 1000.0
MM2_PER_CM2 = 100.0

# A volume that exceeds the brim by less than this share is the brim: floats, not mousse.
_BRIM_TOLERANCE = 1e-9


class _Upright:
    """What every mold answers; here the area is the same at every depth."""

    __slots__ = ()
    height_mm: float

    @property
    def plan(self) -> Plan:
        """The inner outline seen from above."""
        raise NotImplementedError

    @property
    def perimeter_mm(self) -> float:
        """Length of the inner wall seen from above [mm]."""
        return self.plan.perimeter_mm

    @property
    def capacity_ml(self) -> float:
        """Volume to the brim; V = A H [ml]."""
        return self.volume_at(self.height_mm)

    def volume_at(self, depth_mm: float) -> float:
        """Volume below a depth [mm], 0 to the height; V = A h [ml]. OutOfRange above the brim."""
        return self.plan.area_mm2 * self._inside(depth_mm) / MM3_PER_ML

    def depth_of(self, volume_ml: float) -> float:
        """Depth at which a volume [ml] stands; h = H V / V(H) [mm]. MoldOverflow above the brim."""
        check_range("volume_ml", volume_ml)
        capacity = self.capacity_ml
        if volume_ml > capacity * (1 + _BRIM_TOLERANCE):
            raise MoldOverflow(volume_ml, capacity)
        return self.height_mm * min(volume_ml / capacity, 1.0)

    def wall_at(self, depth_mm: float) -> float:
        """Wetted wall at a depth [mm]; P h [cm²]. OutOfRange above the brim."""
        return self.perimeter_mm * self._inside(depth_mm) / MM2_PER_CM2

    def free_surface_at(self, depth_mm: float) -> float:
        """Open surface at a depth [mm]; A [cm²]. OutOfRange above the brim."""
        self._inside(depth_mm)
        return self.plan.area_mm2 / MM2_PER_CM2

    def _inside(self, depth_mm: float) -> float:
        return check_range("depth_mm", depth_mm, most=self.height_mm)


@dataclass(frozen=True, slots=True)
class Ring(_Upright):
    """A round ring by its inner measures [mm]."""

    diameter_mm: float
    height_mm: float
    kind: Literal["ring"] = "ring"

    def __post_init__(self) -> None:
        check_range("diameter_mm", self.diameter_mm, least=20, most=1000)
        check_range("height_mm", self.height_mm, least=5, most=300)

    @property
    def plan(self) -> Plan:
        """The inner outline seen from above."""
        return disc(self.diameter_mm)


@dataclass(frozen=True, slots=True)
class Frame(_Upright):
    """A rectangular frame by its inner measures [mm]."""

    length_mm: float
    width_mm: float
    height_mm: float
    corner_radius_mm: float = 0.0
    kind: Literal["frame"] = "frame"

    def __post_init__(self) -> None:
        check_range("length_mm", self.length_mm, least=20, most=1000)
        check_range("width_mm", self.width_mm, least=20, most=1000)
        check_range("height_mm", self.height_mm, least=5, most=300)
        check_range(
            "corner_radius_mm", self.corner_radius_mm, most=min(self.length_mm, self.width_mm) / 2
        )

    @property
    def plan(self) -> Plan:
        """The inner outline seen from above."""
        return Plan(self.length_mm, self.width_mm, self.corner_radius_mm)


Mold = Ring | Frame
