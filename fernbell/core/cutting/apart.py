"""Whether pieces lie on their sheet and clear of each other: measured, not trusted."""

import math
from collections.abc import Sequence

import numpy as np
from scipy.spatial import cKDTree
from shapely import STRtree
from shapely.geometry import Polygon

from fernbell.core.cutting.blank import Blank, Place
from fernbell.core.cutting.discs import RoundBlank
from fernbell.core.cutting.raw import Room
from fernbell.core.errors import CoreError

_MEASURED_MM = 1e-3
"""A measure is as good as this: outlines are polygons rounded to 0.01 mm."""

Placed = tuple[Blank, Place]


def nearest_mm(pieces: Sequence[Placed]) -> float:
    """How near the two nearest pieces are.

    Args:
        pieces: each with its place, shape (n,) [mm].
    Returns:
        the distance; infinite for fewer than two, negative where they overlap, by about as
        much [mm].
    Source:
        geometry: discs by their middles, others by their outlines.
    """
    if len(pieces) < 2:
        return float("inf")
    across = {one.across_mm for one, _ in pieces if isinstance(one, RoundBlank)}
    if len(across) == 1 and all(isinstance(one, RoundBlank) for one, _ in pieces):
        middles = np.array([(at.x_mm, at.y_mm) for _, at in pieces])
        return float(cKDTree(middles).query(middles, k=2)[0][:, 1].min()) - across.pop()
    polygons = [_polygon(one, at) for one, at in pieces]
    tree = STRtree(polygons)
    found = float("inf")
    for first, second in zip(*tree.query_nearest(polygons, exclusive=True), strict=True):
        one, other = polygons[first], polygons[second]
        apart = float(one.distance(other))
        shared = one.intersection(other).area if not apart else 0.0
        found = min(found, -math.sqrt(shared) if shared > _MEASURED_MM else apart)
    return found


def out_mm(pieces: Sequence[Placed], room: Room) -> float:
    """How far the one furthest out reaches over the edge of its room.

    Args:
        pieces: each with its place, shape (n,) [mm].
        room: where they have to lie [mm].
    Returns:
        the distance, negative where all lie inside [mm].
    Source:
        geometry.
    """
    found = -float("inf")
    for one, at in pieces:
        left, low, right, high = one.bounds(at.turn_deg)
        x, y = at.x_mm, at.y_mm
        found = max(found, -left - x, -low - y, right + x - room.long_mm, high + y - room.wide_mm)
    return found


def check_apart(pieces: Sequence[Placed], room: Room, kerf_mm: float) -> None:
    """Refuse pieces of which any two are nearer than the cut takes, or any lies over the edge.

    Args:
        pieces: each with its place, shape (n,) [mm].
        room: where they have to lie [mm].
        kerf_mm: what has to be between them [mm].
    Returns:
        nothing [None].
    Raises:
        CoreError: by how much.
    Source:
        geometry.
    """
    near, out = nearest_mm(pieces), out_mm(pieces, room)
    if near < kerf_mm - _MEASURED_MM:
        raise CoreError("pieces", f"{near:.4g} mm apart", f"{kerf_mm:g} mm apart")
    if out > _MEASURED_MM:
        raise CoreError("pieces", f"{out:.4g} mm over the edge", "on the sheet")


def _polygon(piece: Blank, place: Place) -> Polygon:
    loop = piece.outline(place.turn_deg)
    return Polygon([(x + place.x_mm, y + place.y_mm) for x, y in loop])
