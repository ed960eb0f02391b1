"""Where things sit on a dessert as it is seen from above: along its edge, or all over it."""

import math
from functools import lru_cache
from itertools import pairwise

import shapely
from shapely.geometry import Polygon

from fernbell.core.errors import CoreError
from fernbell.core.molds import Loop, Plan, spaced

MOST_PLACES = 2000
_POINT_MM = 0.1
_BENT = 12
"""How many fewer are tried where an edge is bent or has corners."""
_MIDDLE: Loop = ((0.0, 0.0),)


def along_edge(plan: Plan, in_mm: float, count: int) -> Loop:
    """Places along an edge, as far from each other.

    Args:
        plan: what is seen from above [Plan].
        in_mm: how far inside the edge they are, negative outside [mm].
        count: how many [1].
    Returns:
        the places; the middle where there is one, or no edge so far inside [mm].
    Source:
        geometry.
    """
    line = _line(plan, in_mm)
    return _spaced(line.outline(), count) if line and count > 1 else _MIDDLE


def side_by_side(plan: Plan, in_mm: float, every_mm: float) -> Loop:
    """Places along an edge, no nearer to each other than so far.

    Args:
        plan: what is seen from above [Plan].
        in_mm: how far inside the edge they are [mm].
        every_mm: how far from one to the next at least [mm].
    Returns:
        as many as have room, one in the middle where the edge is not that long [mm].
    Source:
        geometry.
    """
    line = _line(plan, in_mm)
    if line is None:
        return _MIDDLE
    most = min(MOST_PLACES, math.floor(line.perimeter_mm / every_mm + 1e-9))
    # Straight from one to the next is shorter than along the edge.
    counts = range(most, max(1, most - _BENT), -1)
    tried = (_spaced(line.outline(), count) for count in counts)
    return next((places for places in tried if _apart(places) >= every_mm - 1e-6), _MIDDLE)


def _line(plan: Plan, in_mm: float) -> Plan | None:
    try:
        line = plan.grown(-in_mm)
    except CoreError:
        return None
    # Of an empty mold there is a point.
    return line if line.perimeter_mm > _POINT_MM else None


def _apart(places: Loop) -> float:
    return min(math.dist(*ends) for ends in pairwise([*places, places[0]]))


def all_over(plan: Plan, in_mm: float, every_mm: float) -> Loop:
    """Places all over a plan, in rows that stand in each other's gaps.

    Args:
        plan: what is seen from above [Plan].
        in_mm: how far inside the edge they stay [mm].
        every_mm: how far from one to the next [mm].
    Returns:
        those that have room, at least one in the middle [mm].
    Source:
        geometry: the hexagonal grid with one in the middle.
    """
    inner = _line(plan, in_mm)
    if inner is None:
        return _MIDDLE
    if plan.length_mm * plan.width_mm / every_mm**2 > MOST_PLACES:
        raise CoreError("across_mm", every_mm, f"so wide that at most {MOST_PLACES} have room")
    hole = inner.hole()
    return _hexagonal(inner.outline(), (hole,) if hole else (), every_mm) or _MIDDLE


# Where things sit stays while anything else is dragged.
@lru_cache(maxsize=64)
def _spaced(outline: Loop, count: int) -> Loop:
    return spaced(outline, count)


@lru_cache(maxsize=64)
def _hexagonal(outline: Loop, holes: tuple[Loop, ...], every_mm: float) -> Loop:
    xs, ys = [x for x, _ in outline], [y for _, y in outline]
    row = every_mm * math.sqrt(3) / 2
    grid = [
        (column * every_mm + (every_mm / 2 if at % 2 else 0.0), at * row)
        for at in range(math.ceil(min(ys) / row), math.floor(max(ys) / row) + 1)
        for column in range(math.floor(min(xs) / every_mm), math.ceil(max(xs) / every_mm) + 1)
    ]
    # What lies on the edge is inside: floats are not off by more.
    within = shapely.covers(Polygon(outline, holes).buffer(1e-6), shapely.points(grid))
    return tuple(point for point, inside in zip(grid, within, strict=True) if inside)
