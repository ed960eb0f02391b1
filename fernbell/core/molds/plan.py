"""The shape seen from above: any outline, and the rounded rectangle with its closed forms."""

import math
from abc import ABC, abstractmethod
from dataclasses import dataclass
from functools import lru_cache
from typing import TYPE_CHECKING, Self

import shapely
from scipy.integrate import quad
from shapely.geometry import Polygon

from fernbell.core.errors import CoreError, check_range
from fernbell.core.working import Given, figure_text

Point = tuple[float, float]
Loop = tuple[Point, ...]
"""A closed polygon, its first point not repeated, shape (n, 2) [mm]."""

_OPEN_MM = 1e-9
"""What is left inside a shell is more than this, or nothing."""
_QUARTER_STEPS = 24
"""Straight pieces in a quarter circle; 0.05 mm off the true arc at a radius of 100 mm."""


class Plan(ABC):
    """A shape from above, centered on the origin; lengths along x, as it is cut, widths along y.

    `length_mm` and `width_mm` are those of the least box around it.
    """

    __slots__ = ()

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def length_mm(self) -> float:
            """How far it reaches along x [mm]."""

        @property
        @abstractmethod
        def width_mm(self) -> float:
            """How far it reaches along y [mm]."""

    @property
    def is_round(self) -> bool:
        """Whether it is a disc."""
        return False

    @property
    @abstractmethod
    def area_mm2(self) -> float:
        """Its area [mm²]."""

    @property
    @abstractmethod
    def perimeter_mm(self) -> float:
        """Its edge [mm]."""

    @property
    @abstractmethod
    def area_text(self) -> str:
        """Its area written out, in mm², without the result."""

    @property
    @abstractmethod
    def perimeter_text(self) -> str:
        """Its edge written out, in mm, without the result."""

    @property
    @abstractmethod
    def measures(self) -> tuple[Given, ...]:
        """What is measured of it, as inputs of a working [mm]."""

    @abstractmethod
    def grown(self, by_mm: float) -> "Plan":
        """The plan with its edge moved outwards by `by_mm`, inwards if negative [mm]."""

    @abstractmethod
    def scaled(self, by: float) -> "Plan":
        """Everything across by as much [1]."""

    @abstractmethod
    def towards(self, other: Self, share: float) -> Self:
        """The outline so far on the way to another of its kind [1]."""

    @abstractmethod
    def wall_to(self, above: Self, height_mm: float) -> float:
        """Wall from it straight up to another of its kind, so much higher [mm] → [mm²]."""

    @abstractmethod
    def moved_in(self, by_mm: float, below: Self, above: Self, height_mm: float) -> Self:
        """Inside a thickness on a wall that leans from one outline to another, so high [mm]."""

    @abstractmethod
    def outline(self) -> Loop:
        """Its edge, counter-clockwise, rounded to 0.01 mm, shape (n, 2) [mm]."""

    def hole(self) -> Loop | None:
        """The edge of a hole in it, if it has one, shape (n, 2) [mm]."""
        return None

    @property
    @abstractmethod
    def room_mm(self) -> float:
        """How far its edge can be moved inwards before nothing is left [mm]."""

    @property
    def longest_mm(self) -> float:
        """The longer side of the box around it [mm]."""
        return max(self.length_mm, self.width_mm)

    @property
    def size_words(self) -> str:
        """'Ø 20 cm', '57 × 37 cm'."""
        if self.is_round:
            return f"Ø {self.length_mm / 10:.3g} cm"
        return f"{self.length_mm / 10:.3g} × {self.width_mm / 10:.3g} cm"


@dataclass(frozen=True, slots=True)
class RoundedBox(Plan):
    """A rectangle with rounded corners, of which a disc is the roundest."""

    length_mm: float
    width_mm: float
    corner_radius_mm: float = 0.0

    def __post_init__(self) -> None:
        check_range("length_mm", self.length_mm, most=2000, open_least=True)
        check_range("width_mm", self.width_mm, most=2000, open_least=True)
        check_range(
            "corner_radius_mm", self.corner_radius_mm, most=min(self.length_mm, self.width_mm) / 2
        )

    @property
    def is_round(self) -> bool:
        """Whether the plan is a disc."""
        return self.length_mm == self.width_mm == 2 * self.corner_radius_mm

    @property
    def area_mm2(self) -> float:
        """A = l w - (4 - pi) r² [mm²]."""
        return self.length_mm * self.width_mm - (4 - math.pi) * self.corner_radius_mm**2

    @property
    def perimeter_mm(self) -> float:
        """P = 2 (l + w) - (8 - 2 pi) r [mm]."""
        straight = 2 * (self.length_mm + self.width_mm)
        return straight - (8 - 2 * math.pi) * self.corner_radius_mm

    @property
    def area_text(self) -> str:
        """Its area written out, in mm², without the result."""
        length, width = figure_text(self.length_mm), figure_text(self.width_mm)
        if self.is_round:
            return f"π/4 × {length}²"
        if self.corner_radius_mm == 0:
            return f"{length} × {width}"
        return f"({length} × {width} − (4 − π) × {figure_text(self.corner_radius_mm)}²)"

    @property
    def perimeter_text(self) -> str:
        """Its edge written out, in mm, without the result."""
        length, width = figure_text(self.length_mm), figure_text(self.width_mm)
        if self.is_round:
            return f"π × {length}"
        if self.corner_radius_mm == 0:
            return f"2 × ({length} + {width})"
        return f"2 × ({length} + {width}) − (8 − 2π) × {figure_text(self.corner_radius_mm)}"

    @property
    def measures(self) -> tuple[Given, ...]:
        """Its diameter, or its sides and corner radius, as inputs of a working [mm]."""
        if self.is_round:
            return (Given("across", self.length_mm, "mm"),)
        return (
            Given("length", self.length_mm, "mm"),
            Given("width", self.width_mm, "mm"),
            Given("corner radius", self.corner_radius_mm, "mm"),
        )

    def grown(self, by_mm: float) -> "RoundedBox":
        """Sides and corners moved outwards by as much."""
        return RoundedBox(
            self.length_mm + 2 * by_mm,
            self.width_mm + 2 * by_mm,
            max(0.0, self.corner_radius_mm + by_mm),
        )

    @property
    def room_mm(self) -> float:
        """Half of its shorter side."""
        return min(self.length_mm, self.width_mm) / 2

    def scaled(self, by: float) -> "RoundedBox":
        """Length, width and corners."""
        return RoundedBox(self.length_mm * by, self.width_mm * by, self.corner_radius_mm * by)

    def towards(self, other: "RoundedBox", share: float) -> "RoundedBox":
        """Length, width and corners."""
        now = (self.length_mm, self.width_mm, self.corner_radius_mm)
        then = (other.length_mm, other.width_mm, other.corner_radius_mm)
        return RoundedBox(*(a + share * (b - a) for a, b in zip(now, then, strict=True)))

    def wall_to(self, above: "RoundedBox", height_mm: float) -> float:
        """Four flat sides as they lean, and the corners: ∫ r dz × ∫ sqrt(1 + lean²) dθ."""
        end, side, corner = self._leans(above, height_mm)
        ends = (self._straight_y + above._straight_y) * math.hypot(1, end + corner)
        along = (self._straight_x + above._straight_x) * math.hypot(1, side + corner)
        radius = (self.corner_radius_mm + above.corner_radius_mm) / 2
        if not radius:
            return (ends + along) * height_mm
        turned = quad(_leaning, 0, math.pi / 2, args=(end, side, corner))[0]
        return (ends + along + 4 * radius * float(turned)) * height_mm

    @property
    def _straight_x(self) -> float:
        return self.length_mm - 2 * self.corner_radius_mm

    @property
    def _straight_y(self) -> float:
        return self.width_mm - 2 * self.corner_radius_mm

    def _leans(self, above: "RoundedBox", height_mm: float) -> tuple[float, float, float]:
        """How far corners go out along x and y, and their radius grows, for one mm up [1]."""
        end, side = (above._straight_x - self._straight_x), (above._straight_y - self._straight_y)
        corner = above.corner_radius_mm - self.corner_radius_mm
        return end / 2 / height_mm, side / 2 / height_mm, corner / height_mm

    def moved_in(
        self, by_mm: float, below: "RoundedBox", above: "RoundedBox", height_mm: float
    ) -> "RoundedBox":
        """Ends and sides each by the thickness over the cosine of how they lean."""
        end, side, corner = below._leans(above, height_mm)
        length = self.length_mm - 2 * by_mm * math.hypot(1, end + corner)
        width = self.width_mm - 2 * by_mm * math.hypot(1, side + corner)
        if min(length, width) <= _OPEN_MM:
            room = by_mm + min(length, width) / 2
            allowed = f"less than {figure_text(max(0.0, room))} mm: nothing is left inside"
            raise CoreError("thickness_mm", f"{by_mm:g} mm", allowed)
        radius = max(0.0, self.corner_radius_mm - by_mm)
        return RoundedBox(length, width, min(radius, length / 2, width / 2))

    def outline(self) -> Loop:
        """Arcs in pieces of 3.75 degrees."""
        return _rounded_outline(self)


@lru_cache(maxsize=256)
def disc(diameter_mm: float) -> RoundedBox:
    """A disc as a plan.

    Args:
        diameter_mm: its diameter [mm].
    Returns:
        the plan [mm].
    Raises:
        OutOfRange: a diameter of 0 or less, or above 2000.
    Source:
        geometry, exact.
    """
    return RoundedBox(diameter_mm, diameter_mm, diameter_mm / 2)


def clearance(inner: Plan, outer: Plan, shift_mm: float = 0.0) -> float:
    """Least distance from the edge of an inner plan to the outer edge.

    Between rounded rectangles exact: the signed distance to a convex shape is convex, so its
    largest value over a rounded rectangle is at a corner's center, plus the corner's radius.
    Between other shapes by their outlines.

    Args:
        inner: the smaller plan [mm].
        outer: the plan around it, same axes [mm].
        shift_mm: how far the inner one's center lies along x from the outer's [mm].
    Returns:
        distance, negative where the inner one stands out [mm].
    Source:
        geometry, exact.
    """
    if not (isinstance(inner, RoundedBox) and isinstance(outer, RoundedBox)):
        return _clearance_of_outlines(inner, outer, shift_mm)
    corner_x = inner.length_mm / 2 - inner.corner_radius_mm + abs(shift_mm)
    corner_y = inner.width_mm / 2 - inner.corner_radius_mm
    return -(_signed_distance(corner_x, corner_y, outer) + inner.corner_radius_mm)


def _leaning(angle: float, end: float, side: float, corner: float) -> float:
    return math.hypot(1, end * math.cos(angle) + side * math.sin(angle) + corner)


def _filled(plan: Plan, shift_mm: float = 0.0) -> Polygon:
    hole = plan.hole()
    return Polygon(moved(plan.outline(), shift_mm), [moved(hole, shift_mm)] if hole else [])


# Outlines of many corners stay while something else is dragged.
@lru_cache(maxsize=1024)
def _clearance_of_outlines(inner: Plan, outer: Plan, shift_mm: float) -> float:
    within, around = _filled(inner, shift_mm), _filled(outer)
    if around.contains(within):
        return float(within.boundary.distance(around.boundary))
    return -float(max(shapely.distance(shapely.points(within.exterior.coords), around)))


def _signed_distance(x: float, y: float, plan: RoundedBox) -> float:
    """Distance of a point of the first quadrant to the plan's edge, negative inside [mm]."""
    dx = x - (plan.length_mm / 2 - plan.corner_radius_mm)
    dy = y - (plan.width_mm / 2 - plan.corner_radius_mm)
    outside = math.hypot(max(dx, 0.0), max(dy, 0.0))
    return outside + min(max(dx, dy), 0.0) - plan.corner_radius_mm


def box(x0: float, x1: float, y0: float, y1: float) -> Loop:
    """A rectangle.

    Args:
        x0: its left side [mm].
        x1: its right side [mm].
        y0: its lower side [mm].
        y1: its upper side [mm].
    Returns:
        corners, counter-clockwise from the lower left, shape (4, 2) [mm].
    Source:
        geometry.
    """
    return ((x0, y0), (x1, y0), (x1, y1), (x0, y1))


def moved(loop: Loop, by_mm: float) -> Loop:
    """A closed polygon moved along x.

    Args:
        loop: corners, shape (n, 2) [mm].
        by_mm: how far, negative to the left [mm].
    Returns:
        corners, shape (n, 2) [mm].
    Source:
        geometry.
    """
    return tuple((x + by_mm, y) for x, y in loop) if by_mm else loop


@lru_cache(maxsize=256)
def _rounded_outline(plan: RoundedBox) -> Loop:
    radius = plan.corner_radius_mm
    x0, y0 = plan.length_mm / 2 - radius, plan.width_mm / 2 - radius
    centers = ((x0, y0), (-x0, y0), (-x0, -y0), (x0, -y0))
    if radius == 0:
        return tuple((round(x, 2), round(y, 2)) for x, y in centers)
    return tuple(
        (
            round(x + radius * math.cos((quarter + step / _QUARTER_STEPS) * math.pi / 2), 2),
            round(y + radius * math.sin((quarter + step / _QUARTER_STEPS) * math.pi / 2), 2),
        )
        for quarter, (x, y) in enumerate(centers)
        for step in range(_QUARTER_STEPS + 1)
    )
