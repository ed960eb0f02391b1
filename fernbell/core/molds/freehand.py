"""A plan of any outline: hearts, leaves, cutters, what was drawn or cut out of a mesh."""

import math
from collections.abc import Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import LinearRing, LineString, Polygon
from shapely.geometry import Point as ShapelyPoint
from shapely.geometry.base import BaseGeometry

from fernbell.core.errors import CoreError
from fernbell.core.molds.plan import Loop, Plan, Point
from fernbell.core.working import Given, figure_text

_FINEST_MM, _ROOM_MM = 0.01, 0.01
"""Points of an outline nearer to a straight line than this are left out when it is moved."""


@dataclass(frozen=True, slots=True)
class Freehand(Plan):
    """A polygon around its middle, counter-clockwise, its first corner not repeated [mm]."""

    corners: Loop

    @property
    def length_mm(self) -> float:
        """Of the box around it."""
        return _reach([x for x, _ in self.corners])

    @property
    def width_mm(self) -> float:
        """Of the box around it."""
        return _reach([y for _, y in self.corners])

    @property
    def area_mm2(self) -> float:
        """By the shoelace."""
        return shoelace(self.corners)

    @property
    def perimeter_mm(self) -> float:
        """Side by side."""
        return sum(math.dist(*side) for side in sides(self.corners))

    @property
    def area_text(self) -> str:
        """Summed up: nobody adds so many corners by hand."""
        return figure_text(self.area_mm2)

    @property
    def perimeter_text(self) -> str:
        """Summed up."""
        return figure_text(self.perimeter_mm)

    @property
    def measures(self) -> tuple[Given, ...]:
        """Its box."""
        return (Given("length", self.length_mm, "mm"), Given("width", self.width_mm, "mm"))

    def grown(self, by_mm: float) -> "Freehand":
        """Parallel to its edge; CoreError where it falls apart or nothing is left."""
        return _grown(self.corners, by_mm)

    @property
    def room_mm(self) -> float:
        """Until it falls apart or is gone."""
        return _room(self.corners)

    def scaled(self, by: float) -> "Freehand":
        """Every corner."""
        return Freehand(tuple((x * by, y * by) for x, y in self.corners))

    def towards(self, other: "Freehand", share: float) -> "Freehand":
        """Corner by corner; both have as many."""
        if share in (0, 1):
            return other if share else self
        return Freehand(_towards(self.corners, other.corners, share))

    def wall_to(self, above: "Freehand", height_mm: float) -> float:
        """Side by side in two triangles each, the mean of both ways to divide it."""
        low, high = (np.array(one.corners) for one in (self, above))
        lower = np.column_stack([low, np.zeros(len(low))])
        upper = np.column_stack([high, np.full(len(high), height_mm)])
        next_lower, next_upper = np.roll(lower, -1, axis=0), np.roll(upper, -1, axis=0)
        one_way = _triangles(lower, next_lower, upper) + _triangles(next_lower, next_upper, upper)
        other = _triangles(lower, next_lower, next_upper) + _triangles(lower, next_upper, upper)
        return (one_way + other) / 2

    def moved_in(
        self, by_mm: float, below: "Freehand", above: "Freehand", height_mm: float
    ) -> "Freehand":
        """Parallel to its edge by the thickness over the cosine of how the wall leans all round."""
        between = below.towards(above, 0.5)
        lean = (above.area_mm2 - below.area_mm2) / between.perimeter_mm / height_mm
        return evenly(self.grown(-by_mm * math.hypot(1, lean)).corners, len(self.corners))

    def outline(self) -> Loop:
        """Its corners."""
        return tuple((round(x, 2), round(y, 2)) for x, y in self.corners)


# Outlines of many corners stay while something else is dragged.
@lru_cache(maxsize=512)
def _towards(corners: Loop, others: Loop, share: float) -> Loop:
    pairs = zip(corners, others, strict=True)
    return tuple((x0 + share * (x1 - x0), y0 + share * (y1 - y0)) for (x0, y0), (x1, y1) in pairs)


def sides(loop: Loop) -> Sequence[tuple[Point, Point]]:
    """The sides of a polygon.

    Args:
        loop: its corners, shape (n, 2) [mm].
    Returns:
        from a corner to the next, shape (n, 2, 2) [mm].
    Source:
        definition.
    """
    return list(zip(loop, (*loop[1:], loop[0]), strict=True))


@lru_cache(maxsize=512)
def shoelace(loop: Loop) -> float:
    """Area of a polygon; A = 1/2 sum (x y' - x' y).

    Args:
        loop: its corners, shape (n, 2) [mm].
    Returns:
        the area, negative where it goes round clockwise [mm²].
    Source:
        geometry, exact.
    """
    return sum(x0 * y1 - x1 * y0 for (x0, y0), (x1, y1) in sides(loop)) / 2


def drawn_round(points: Sequence[Point]) -> Freehand:
    """The plan of an outline drawn anywhere: moved to its middle, counter-clockwise.

    Args:
        points: corners in either sense, shape (n, 2) [mm].
    Returns:
        the plan [mm].
    Raises:
        CoreError: fewer than three corners, an outline that crosses itself, or no area.
    Source:
        geometry.
    """
    if len(points) < 3:
        raise CoreError("outline", f"{len(points)} points", "at least 3 points")
    polygon = Polygon(points)
    if not polygon.is_valid:
        raise CoreError("outline", "an edge that crosses itself", "an outline that does not")
    if polygon.area < 1:
        raise CoreError("outline", f"{polygon.area:.2g} mm²", "an outline with an area")
    return _around_its_middle(polygon)


def evenly(corners: Loop, count: int) -> Freehand:
    """The outline through so many points, as far from each other along it, the first due east.

    Args:
        corners: an outline around the origin, counter-clockwise, shape (n, 2) [mm].
        count: how many points [1].
    Returns:
        the plan through them, with the area of the outline [mm].
    Source:
        definition.
    """
    points = spaced(corners, count)
    by = math.sqrt(abs(shoelace(corners) / shoelace(points)))
    return Freehand(points).scaled(by)


def spaced(corners: Loop, count: int) -> Loop:
    """So many points on an outline, as far from each other along it, the first due east.

    Args:
        corners: an outline around the origin, counter-clockwise, shape (n, 2) [mm].
        count: how many points [1].
    Returns:
        the points [mm].
    Source:
        definition.
    """
    ring = LinearRing(corners)
    east = ring.intersection(LineString([(0.0, 0.0), (1e4, 0.0)]))
    begin = ring.project(east if isinstance(east, ShapelyPoint) else ShapelyPoint(1e4, 0.0))
    ways = (begin + ring.length * np.arange(count) / count) % ring.length
    found = shapely.get_coordinates(shapely.line_interpolate_point(ring, ways))
    return tuple((float(x), float(y)) for x, y in found)


def _triangles(
    first: NDArray[np.float64], second: NDArray[np.float64], third: NDArray[np.float64]
) -> float:
    """Area of triangles by their corners, shape (n, 3) each [mm²]."""
    return float(np.linalg.norm(np.cross(second - first, third - first), axis=1).sum() / 2)


@lru_cache(maxsize=256)
def _room(corners: Loop) -> float:
    whole = Polygon(corners)
    kept, gone = 0.0, float(shapely.length(shapely.maximum_inscribed_circle(whole)))
    while gone - kept > _ROOM_MM:
        by = (kept + gone) / 2
        if _is_one(_moved(whole, -by)):
            kept = by
        else:
            gone = by
    return kept


def _moved(whole: Polygon, by_mm: float) -> BaseGeometry:
    """Corners that stand out stay sharp, those that stand in become round."""
    if by_mm > 0:
        return whole.buffer(by_mm, join_style="mitre", mitre_limit=4.0)
    return whole.buffer(by_mm)


def _is_one(shape: BaseGeometry) -> bool:
    return isinstance(shape, Polygon) and not shape.is_empty


@lru_cache(maxsize=256)
def _grown(corners: Loop, by_mm: float) -> Freehand:
    moved = _moved(Polygon(corners), by_mm)
    if not isinstance(moved, Polygon) or moved.is_empty:
        said = "nothing is left inside" if moved.is_empty else "it falls apart inside"
        raise CoreError("thickness_mm", f"{figure_text(-by_mm)} mm", f"less: {said}")
    return Freehand(corners_of(moved.simplify(_FINEST_MM)))


def _around_its_middle(polygon: Polygon) -> Freehand:
    x0, y0, x1, y1 = polygon.bounds
    middle_x, middle_y = (x0 + x1) / 2, (y0 + y1) / 2
    return Freehand(tuple((x - middle_x, y - middle_y) for x, y in corners_of(polygon)))


def corners_of(polygon: Polygon) -> Loop:
    """The outer edge of a polygon as core keeps one.

    Args:
        polygon: the polygon [mm].
    Returns:
        its corners, counter-clockwise, shape (n, 2) [mm].
    Source:
        definition.
    """
    ring = polygon.exterior
    around = ring.coords[:-1] if ring.is_ccw else ring.coords[:-1][::-1]
    return tuple((float(x), float(y)) for x, y in around)


def _reach(values: Sequence[float]) -> float:
    """As far to both sides as to the further one, since the middle is the origin [mm]."""
    return 2 * max(max(values), -min(values))
