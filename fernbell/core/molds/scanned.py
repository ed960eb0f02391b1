"""A mold cut out of a mesh: its outlines level by level, each through as many points."""

import math
from dataclasses import dataclass
from functools import cached_property
from itertools import pairwise
from typing import Literal

import numpy as np
import shapely
from shapely.geometry import Polygon

from fernbell.core.errors import CoreError, check_range
from fernbell.core.molds.freehand import Freehand, corners_of, evenly
from fernbell.core.molds.plan import Loop
from fernbell.core.molds.solid import HEIGHT, Symmetry
from fernbell.core.molds.tapered import Level, Prismatoid, Tapered
from fernbell.core.molds.words import FormWords
from fernbell.core.working import figure_text

MOST_LEVELS, MOST_POINTS = 80, 160


@dataclass(frozen=True, slots=True)
class Slice:
    """An outline at a height above the floor: x and y in turn, counter-clockwise [mm]."""

    z_mm: float
    xy_mm: tuple[float, ...]

    @property
    def corners(self) -> Loop:
        """Its corners, shape (n, 2)."""
        return tuple(zip(self.xy_mm[::2], self.xy_mm[1::2], strict=True))


@dataclass(frozen=True)
class Scanned(Tapered):
    """Slices from the floor up, as a mesh was cut [mm]; corner goes straight to corner."""

    slices: tuple[Slice, ...]
    form: Literal["scan"] = "scan"

    seen = "widest level"

    def __post_init__(self) -> None:
        _check_slices(self.slices)
        HEIGHT.check(self.height_mm)

    @classmethod
    def words(cls) -> FormWords:
        """It begins with a file."""
        return FormWords("scan", "From a mesh", (), ())

    @property
    def symmetry(self) -> Symmetry:
        """Round where it is about as wide as long; common practice."""
        wide, long_ = sorted((self.rim.length_mm, self.rim.width_mm))
        return "round" if long_ < 1.25 * wide else "rectangular"

    @property
    def height_mm(self) -> float:
        """That of the last slice."""
        return self.slices[-1].z_mm

    @cached_property
    def levels(self) -> tuple[Level, ...]:
        """Its slices as outlines."""
        return tuple(Level(one.z_mm, Freehand(one.corners)) for one in self.slices)

    def inset(self, by_mm: float) -> Prismatoid:
        """What is further from wall and floor than the thickness, level by level."""
        return Prismatoid(tuple(Level(z, plan) for z, plan in _eroded(self, by_mm)))

    def size_words(self) -> str:
        """Its box, where it is widest."""
        return self.from_above.size_words

    def words_in_full(self) -> str:
        """'Scanned 12 × 8 cm, 60 mm high'."""
        return f"Scanned {self.from_above.size_words}, {figure_text(self.height_mm)} mm high"


def _check_slices(slices: tuple[Slice, ...]) -> None:
    if not 2 <= len(slices) <= MOST_LEVELS:
        raise CoreError("slices", f"{len(slices)} slices", f"2 to {MOST_LEVELS} slices")
    counts = {len(one.xy_mm) for one in slices}
    if len(counts) > 1 or not counts <= {2 * n for n in range(3, MOST_POINTS + 1)}:
        raise CoreError("slices", "outlines of different points", "outlines of as many points each")
    heights = [one.z_mm for one in slices]
    if heights[0] != 0 or any(b <= a for a, b in pairwise(heights)):
        raise CoreError("slices", "heights out of order", "heights that rise from 0")
    for value in (value for one in slices for value in one.xy_mm):
        check_range("slices", value, least=-1000, most=1000)


_WAYS = (-1.0, -0.7, 0.0, 0.7, 1.0)
"""Where a ball of a thickness is cut to see how far a wall reaches in, as shares of it."""
_OPEN_SHARE = 0.02
"""A top smaller than this share of the widest outline is no rim; what is closed has a lid."""


def _eroded(mold: Scanned, by_mm: float) -> list[tuple[float, Freehand]]:
    """Outlines inside a shell, from its floor up; outside where the thickness is negative [mm].

    A level of it is what all levels of the mold leave that are no further than the thickness, each
    moved in by what is left of the ball there.
    """
    top, count = mold.height_mm, len(mold.slices[0].corners)
    closed = mold.rim.area_mm2 < _OPEN_SHARE * mold.from_above.area_mm2
    highest = top - by_mm if closed else top
    steps = _STEPS if highest > by_mm else 0
    found = []
    for z in map(float, np.linspace(by_mm, highest, steps)):
        reach = [
            Polygon(mold.plan_at(min(max(z + way * by_mm, 0.0), top)).outline()).buffer(
                -by_mm * math.sqrt(1 - way * way), join_style="mitre"
            )
            for way in _WAYS
        ]
        left = shapely.intersection_all(reach) if by_mm > 0 else shapely.union_all(reach)
        if isinstance(left, Polygon) and left.area > _LEAST_MM2:
            found.append((z, evenly(corners_of(left), count)))
    if len(found) < 2:
        raise CoreError("thickness_mm", f"{by_mm:g} mm", "less: nothing is left inside")
    floor = found[0][0]
    return [(z - floor, plan) for z, plan in found]


_LEAST_MM2, _STEPS = 1.0, 25
