"""A closed triangle mesh of what a mold holds, cut into outlines level by level."""

import io
from dataclasses import dataclass
from itertools import pairwise
from typing import Any

import numpy as np
import shapely
import trimesh
from numpy.typing import NDArray
from shapely.geometry import MultiPolygon, Polygon
from shapely.ops import polygonize

from fernbell.core.errors import CoreError
from fernbell.core.molds.freehand import corners_of, evenly
from fernbell.core.molds.scanned import Scanned, Slice
from fernbell.core.working import figure_text

MOST_BYTES = 25_000_000
MOST_FACES = 200_000
"""A mesh of so many faces is cut in about a second; more shows nothing a kitchen could see."""
UNITS = {"mm": 1.0, "cm": 10.0, "m": 1000.0, "in": 25.4}
"""An STL file does not say in what it is measured."""
_LARGEST_MM, _SMALLEST_MM = 1000.0, 10.0
_LEVELS, _POINTS = 48, 96
_OFF_MOST = 0.01
"""What the slices hold may differ from the mesh by this share, or something was not seen."""
_LID_MM = 1e-4
_BESIDE_MM, _END_MM, _MOST_LIDS = 0.02, 1e-3, 10

Floats = NDArray[np.float64]


@dataclass(frozen=True, slots=True)
class ReadMesh:
    """A mold out of a mesh, and what the mesh itself holds [ml]."""

    mold: Scanned
    faces: int
    volume_ml: float


def read_stl(data: bytes, unit: str) -> ReadMesh:
    """A mold from an STL file of what it holds, its floor lowest.

    Args:
        data: the file, text or binary [bytes].
        unit: 'mm', 'cm', 'm' or 'in' [text].
    Returns:
        the mold, moved to the middle of its box, and its true volume [ml].
    Raises:
        CoreError: too large, no mesh, open, hollow or in two pieces, or a size no mold has.
    Source:
        geometry.
    """
    if unit not in UNITS:
        raise CoreError("unit", unit, "mm, cm, m or in")
    if len(data) > MOST_BYTES:
        size, most = len(data) / 1e6, MOST_BYTES / 1e6
        raise CoreError("file", f"{size:.0f} MB", f"at most {most:.0f} MB; save it coarser")
    triangles = _triangles(data) * UNITS[unit]
    if len(triangles) > MOST_FACES:
        raise CoreError("file", f"{len(triangles)} faces", f"at most {MOST_FACES}; save it coarser")
    _check_size(triangles, unit)
    _check_closed(triangles)
    low, high = triangles.min(axis=(0, 1)), triangles.max(axis=(0, 1))
    middle = (low + high) / 2
    triangles = triangles - np.array([middle[0], middle[1], low[2]])
    mold = _sliced(triangles, float(high[2] - low[2]))
    volume = abs(_signed_mm3(triangles)) / 1000
    off = mold.capacity_ml / volume - 1
    if abs(off) > _OFF_MOST:
        held = f"{figure_text(mold.capacity_ml)} ml by its slices, {figure_text(volume)} ml in all"
        raise CoreError("file", held, "a body without holes or undercut rooms inside")
    return ReadMesh(mold, len(triangles), volume)


def _triangles(data: bytes) -> Floats:
    """Corners of every face, shape (n, 3, 3)."""
    allowed = "a closed body as STL, text or binary"
    if not (_is_whole_binary(data) or _is_text(data)):
        raise CoreError("file", "not an STL file, or one cut short", allowed)
    try:
        read: Any = trimesh.load(io.BytesIO(data), file_type="stl", process=False)
        triangles = np.asarray(read.triangles, dtype=float)
    except (ValueError, KeyError, IndexError, AttributeError, TypeError) as error:
        raise CoreError("file", "not an STL file", allowed) from error
    if len(triangles) < 4 or not np.isfinite(triangles).all():
        raise CoreError("file", f"{len(triangles)} faces", allowed)
    return triangles


def _is_whole_binary(data: bytes) -> bool:
    """Whether it is as long as its number of faces says: 84 bytes, and 50 a face."""
    return len(data) >= 84 and len(data) == 84 + 50 * int.from_bytes(data[80:84], "little")


def _is_text(data: bytes) -> bool:
    return data[:5].lower() == b"solid" and data.isascii()


def _check_size(triangles: Floats, unit: str) -> None:
    sides = np.ptp(triangles.reshape(-1, 3), axis=0)
    said = " × ".join(figure_text(float(side)) for side in sides)
    if sides.max() > _LARGEST_MM or sides.min() < _SMALLEST_MM:
        allowed = f"{_SMALLEST_MM:g} to {_LARGEST_MM:g} mm each way; another unit than {unit}?"
        raise CoreError("unit", f"{said} mm", allowed)


def _check_closed(triangles: Floats) -> None:
    corners = triangles.reshape(-1, 3)
    welded = trimesh.Trimesh(corners, np.arange(len(corners)).reshape(-1, 3), process=True)
    if not welded.is_watertight:
        edges = np.sort(welded.edges, axis=1)
        _, times = np.unique(edges, axis=0, return_counts=True)
        open_edges = int((times != 2).sum())
        raise CoreError("file", f"an open mesh, {open_edges} edges bare", "a closed body")
    if not welded.is_winding_consistent:
        raise CoreError("file", "faces that look both ways", "a closed body, all faces outwards")


def _signed_mm3(triangles: Floats) -> float:
    first, second, third = triangles[:, 0], triangles[:, 1], triangles[:, 2]
    return float(np.einsum("ij,ij->i", first, np.cross(second, third)).sum() / 6)


def _sliced(triangles: Floats, height: float) -> Scanned:
    """Outlines at levels evenly up the mesh, and beside every lid between them."""
    flat = triangles[np.ptp(triangles[:, :, 2], axis=1) < _LID_MM, :, 2]
    lids = np.unique(np.round(flat.mean(axis=1), 2)) if len(flat) else np.array([])
    beside = {float(lid) + by for lid in lids[:_MOST_LIDS] for by in (-_BESIDE_MM, _BESIDE_MM)}
    steps = [height * step / _LEVELS for step in range(_LEVELS + 1)]
    even = {z for z in steps if z in (0.0, height) or not _is_lid(z, lids)}
    levels = sorted(even | {z for z in beside if _BESIDE_MM < z < height - _BESIDE_MM})
    apart = [b for a, b in pairwise([-1.0, *levels]) if b - a > _BESIDE_MM / 2]
    inside = (min(max(z, _END_MM), height - _END_MM) for z in apart)
    outlines = [_outline(triangles, z) for z in inside]
    return Scanned(tuple(Slice(round(z, 3), one) for z, one in zip(apart, outlines, strict=True)))


def _is_lid(z: float, lids: Floats) -> bool:
    """Whether a level would lie in a lid, where there is no one outline."""
    return bool(len(lids)) and float(np.abs(lids - z).min()) < 2 * _BESIDE_MM


def _outline(triangles: Floats, z: float) -> tuple[float, ...]:
    """The one outline at a height, through as many points as all others, x and y in turn."""
    whole = shapely.union_all(list(polygonize(_cut(triangles, z))))
    at = f"at {figure_text(z)} mm"
    if isinstance(whole, MultiPolygon):
        allowed = "one body at every height; a tray is entered as one of its cavities"
        raise CoreError("file", f"{len(whole.geoms)} bodies {at}", allowed)
    if not isinstance(whole, Polygon) or whole.is_empty:
        raise CoreError("file", f"nothing {at}", "a closed body")
    plan = evenly(corners_of(whole), _POINTS)
    return tuple(round(value, 2) for point in plan.corners for value in point)


def _cut(triangles: Floats, z: float) -> Floats:
    """Where a level plane cuts the faces, shape (n, 2, 2) [mm].

    An edge is cut from its lower end up, so that both its faces find the same point.
    """
    above = triangles[:, :, 2] >= z
    cut = triangles[above.any(axis=1) & ~above.all(axis=1)]
    ends = np.stack([cut, np.roll(cut, -1, axis=1)], axis=2)
    crossing = (ends[:, :, 0, 2] >= z) != (ends[:, :, 1, 2] >= z)
    edges = ends[crossing].reshape(-1, 2, 3)
    swapped = edges[:, 0, 2] > edges[:, 1, 2]
    edges[swapped] = edges[swapped][:, ::-1]
    low, high = edges[:, 0], edges[:, 1]
    share = (z - low[:, 2]) / (high[:, 2] - low[:, 2])
    points = low[:, :2] + share[:, None] * (high[:, :2] - low[:, :2])
    segments = points.reshape(-1, 2, 2)
    between: Floats = segments[np.any(segments[:, 0] != segments[:, 1], axis=1)]
    return between
