"""The shape seen from above: a rectangle with rounded corners, of which a disc is the roundest."""

import math
from dataclasses import dataclass
from functools import lru_cache

from fernbell.core.errors import check_range
from fernbell.core.working import Given, figure_text

Point = tuple[float, float]
Loop = tuple[Point, ...]
"""A closed polygon, its first point not repeated, shape (n, 2) [mm]."""

_QUARTER_STEPS = 24
"""Straight pieces in a quarter circle; 0.05 mm off the true arc at a radius of 100 mm."""


@dataclass(frozen=True, slots=True)
class Plan:
    """A rounded rectangle, centered on the origin, its length along x."""

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

    def grown(self, by_mm: float) -> "Plan":
        """The plan with its edge moved outwards by `by_mm`, inwards if negative [mm]."""
        return Plan(
            self.length_mm + 2 * by_mm,
            self.width_mm + 2 * by_mm,
            max(0.0, self.corner_radius_mm + by_mm),
        )


@lru_cache(maxsize=256)
def disc(diameter_mm: float) -> Plan:
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
    return Plan(diameter_mm, diameter_mm, diameter_mm / 2)


def clearance(inner: Plan, outer: Plan, shift_mm: float = 0.0) -> float:
    """Least distance from the edge of an inner plan to the outer edge.

    The signed distance to a convex shape is convex, so its largest value over a rounded
    rectangle is at a corner's center, plus the corner's radius.

    Args:
        inner: the smaller plan [mm].
        outer: the plan around it, same axes [mm].
        shift_mm: how far the inner one's center lies along x from the outer's [mm].
    Returns:
        distance, negative where the inner one stands out [mm].
    Source:
        geometry, exact.
    """
    corner_x = inner.length_mm / 2 - inner.corner_radius_mm + abs(shift_mm)
    corner_y = inner.width_mm / 2 - inner.corner_radius_mm
    return -(_signed_distance(corner_x, corner_y, outer) + inner.corner_radius_mm)


def _signed_distance(x: float, y: float, plan: Plan) -> float:
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
def outline(plan: Plan) -> Loop:
    """The edge of a plan as a closed polygon, counter-clockwise, first point not repeated.

    Args:
        plan: the shape [mm].
    Returns:
        corners, rounded to 0.01 mm, shape (n, 2) [mm].
    Source:
        geometry; arcs in pieces of 3.75 degrees.
    """
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
