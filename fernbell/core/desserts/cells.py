"""The pieces a knife parts a dessert into, seen from above, and what each has of a solid."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import cached_property
from itertools import pairwise
from typing import Any

import numpy as np
import shapely
from numpy.typing import NDArray
from shapely.geometry import LinearRing, LineString, MultiLineString, Polygon

from fernbell.core.desserts.division import Division, Slices, Wedges
from fernbell.core.molds import MM2_PER_CM2, Extrusion, Loop, Plan, Solid

_LEVELS = 8
"""Heights at which a solid that is not upright is looked at."""
_FAR = 1e4
_AROUND_MM = 100.0
_POINT = 1e-9

Shares = NDArray[np.float64]
"""What each piece has, of one whole, shape (n,) [0 to 1]."""


@dataclass(frozen=True)
class Cells:
    """Pieces of a plan, from above, narrowed by half a knife at each cut [mm].

    They reach on beyond the plan, so that what lies on its very edge is in one of them.
    """

    polygons: tuple[Polygon, ...]
    whole: Polygon

    @cached_property
    def clipped(self) -> tuple[Polygon, ...]:
        """Each as far as the plan goes."""
        return tuple(one.intersection(self.whole) for one in self.polygons)

    def outlines(self) -> tuple[Loop, ...]:
        """The edge of each, of what is in several parts the largest."""
        return tuple(map(_edge, self.clipped))

    @property
    def count(self) -> int:
        """How many."""
        return len(self.polygons)

    @cached_property
    def _array(self) -> NDArray[np.object_]:
        return np.array(self.polygons, dtype=object)

    def evenly(self) -> Shares:
        """As much to each."""
        return np.full(self.count, 1 / self.count)

    def by_plan(self, plan: Plan, x_mm: float = 0.0) -> Shares:
        """By area of a plan that stands so far to the right."""
        return self._of(shapely.area, _filled(plan, x_mm))

    def by_volume(self, solid: Solid, x_mm: float = 0.0) -> Shares:
        """By volume, level by level."""
        if solid.is_upright:
            return self.by_plan(solid.plan_at(0.0), x_mm)
        levels = _levels(solid)
        weights = np.array([solid.volume_between(low, high) for low, high in levels])
        each = [self.by_plan(solid.plan_at((low + high) / 2), x_mm) for low, high in levels]
        return np.asarray(weights @ np.array(each) / weights.sum())

    def by_edge(self, plan: Plan) -> Shares:
        """By the length of an edge."""
        return self._of(shapely.length, _filled(plan).exterior)

    def _of(self, measure: Callable[[Any], Any], shape: Polygon | LinearRing) -> Shares:
        """What each has of a shape's area or length; of a point as much to each."""
        whole = float(measure(shape))
        if whole < _POINT:
            return self.evenly()
        return np.asarray(measure(shapely.intersection(self._array, shape)) / whole)

    def by_surface(self, solid: Solid, *, top_only: bool) -> Shares:
        """By what is seen of a standing solid: its top, and its wall where that is coated too."""
        top = solid.plan_at(solid.height_mm)
        if top_only:
            return self.by_plan(top)
        if isinstance(solid, Extrusion) and solid.bare_ends:
            # Its cut ends carry none: it goes by the length.
            return self.by_plan(solid.from_above)
        area, own = top.area_mm2, self.by_plan(top)
        found = own * area
        for low, high in _levels(solid):
            wall = solid.wall_between(low, high) * MM2_PER_CM2
            found = found + self.by_edge(solid.plan_at((low + high) / 2)) * wall
            area += wall
        return np.asarray(found / area)


def cells_of(division: Division, plan: Plan, knife_mm: float) -> Cells:
    """Part a plan where the knife goes.

    Args:
        division: how it is divided [Division].
        plan: the dessert from above [mm].
        knife_mm: how wide a cut is [mm].
    Returns:
        its pieces, in the order of the division [mm].
    Source:
        geometry.
    """
    whole = _filled(plan)
    strokes, _ = division.knife(plan)
    if not strokes:
        return Cells((whole.buffer(_AROUND_MM),), whole)
    pieces = _sectors(strokes) if isinstance(division, Wedges) else _boxes(division, plan)
    lines = MultiLineString([LineString(stroke) for stroke in strokes])
    cut = lines.buffer(knife_mm / 2, cap_style="flat") if knife_mm else Polygon()
    return Cells(tuple(piece.difference(cut) for piece in pieces), whole)


def _edge(piece: Polygon) -> Loop:
    parts = [one for one in getattr(piece, "geoms", [piece]) if isinstance(one, Polygon)]
    largest = max(parts, key=lambda one: one.area, default=Polygon())
    return tuple((round(x, 2), round(y, 2)) for x, y in list(largest.exterior.coords)[:-1])


def _sectors(strokes: Sequence[tuple[tuple[float, float], tuple[float, float]]]) -> list[Polygon]:
    """Between each stroke from the middle and the next, clockwise."""
    turns = [math.atan2(x, y) for _, (x, y) in strokes]
    found = []
    for start, end in zip(turns, (*turns[1:], turns[0]), strict=True):
        wide = (end - start) % (2 * math.pi) or 2 * math.pi
        steps = max(2, math.ceil(wide / 0.2))
        rim = [start + wide * step / steps for step in range(steps + 1)]
        found.append(Polygon([(0, 0), *((_FAR * math.sin(at), _FAR * math.cos(at)) for at in rim)]))
    return found


def _boxes(division: Division, plan: Plan) -> list[Polygon]:
    """Slices along y, or columns and rows."""
    long_, wide = plan.length_mm, plan.width_mm
    if isinstance(division, Slices):
        ends = division.ends(wide)
        return [shapely.box(-_FAR, low, _FAR, high) for low, high in ends]
    assert not isinstance(division, Wedges)
    xs = [long_ * (i / division.columns - 0.5) for i in range(division.columns + 1)]
    ys = [wide * (i / division.rows - 0.5) for i in range(division.rows + 1)]
    return [shapely.box(x0, y0, x1, y1) for y0, y1 in pairwise(ys) for x0, x1 in pairwise(xs)]


def _filled(plan: Plan, x_mm: float = 0.0) -> Polygon:
    hole = plan.hole()
    loops = [
        [(x + x_mm, y) for x, y in loop] for loop in (plan.outline(), *([hole] if hole else []))
    ]
    return Polygon(loops[0], loops[1:])


def _levels(solid: Solid) -> list[tuple[float, float]]:
    if solid.is_upright:
        return [(0.0, solid.height_mm)]
    ends = [solid.height_mm * step / _LEVELS for step in range(_LEVELS + 1)]
    return list(pairwise(ends))
