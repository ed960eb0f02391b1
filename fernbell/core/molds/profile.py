"""The wall of a solid as it is cut: straight pieces and arcs from the floor up, one half of it.

x is the distance from the middle, z the height above the floor. Every integral a solid asks for
has a closed form on both kinds of piece.
"""

import math
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache

from shapely.geometry import Polygon
from shapely.geometry.base import BaseGeometry

from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.molds.oval import Oval
from fernbell.core.molds.plan import Loop, Point
from fernbell.core.working import figure_text

_ARC_STEPS = 24
"""Straight pieces an arc is drawn in; 0.05 mm off a quarter circle at a radius of 100 mm."""
_FINE_STEPS = 200
"""Straight pieces an arc is taken for where it is worked on: some 0.002 % of its area."""
_SAME_MM = 1e-9
_MOST_WRITTEN = 8


@dataclass(frozen=True, slots=True)
class Straight:
    """A straight piece of wall from one point up to another; x, z and s in [mm]."""

    x0: float
    z0: float
    x1: float
    z1: float

    @property
    def _slope(self) -> float:
        return (self.x1 - self.x0) / (self.z1 - self.z0)

    def x_at(self, z: float) -> float:
        """Half the width at a height."""
        return self.x0 + self._slope * (z - self.z0)

    def area(self, low: float, high: float) -> float:
        """∫ x dz: the mean of both ends × the height."""
        return (self.x_at(low) + self.x_at(high)) / 2 * (high - low)

    def square(self, low: float, high: float) -> float:
        """∫ x² dz: the frustum's (a² + a b + b²) / 3 × the height."""
        a, b = self.x_at(low), self.x_at(high)
        return (a * a + a * b + b * b) / 3 * (high - low)

    def length(self, low: float, high: float) -> float:
        """∫ ds: as it slants."""
        return math.hypot(self.x_at(high) - self.x_at(low), high - low)

    def turned(self, low: float, high: float) -> float:
        """∫ x ds: the mean of both ends × the slant."""
        return (self.x_at(low) + self.x_at(high)) / 2 * self.length(low, high)

    def points(self, low: float, high: float, steps: int) -> Iterator[Point]:
        """Where it is drawn through, after its lower end."""
        del low, steps
        yield self.x_at(high), high

    def up_to(self, high: float) -> "Straight":
        """The same, cut off at a height."""
        return Straight(self.x0, self.z0, self.x_at(high), high)

    def area_text(self, low: float, high: float) -> str:
        """∫ x dz written out."""
        ends = f"({figure_text(self.x_at(low))} + {figure_text(self.x_at(high))})"
        return f"{ends} / 2 × {figure_text(high - low)}"

    def square_text(self, low: float, high: float) -> str:
        """∫ x² dz written out."""
        a, b, high_text = self.x_at(low), self.x_at(high), figure_text(high - low)
        if abs(a - b) < _SAME_MM:
            return f"{figure_text(a)}² × {high_text}"
        first, last = figure_text(a), figure_text(b)
        return f"({first}² + {first} × {last} + {last}²) / 3 × {high_text}"

    def turned_text(self, low: float, high: float) -> str:
        """∫ x ds written out."""
        ends = f"({figure_text(self.x_at(low))} + {figure_text(self.x_at(high))})"
        return f"{ends} / 2 × {figure_text(self.length(low, high))}"


@dataclass(frozen=True, slots=True)
class Arc:
    """An arc of a circle that bulges outwards, from one height up to another; all in [mm]."""

    center_x: float
    center_z: float
    radius: float
    z0: float
    z1: float

    def _out(self, z: float) -> float:
        return math.sqrt(max(0.0, self.radius**2 - (z - self.center_z) ** 2))

    def _angle(self, z: float) -> float:
        return math.asin(max(-1.0, min(1.0, (z - self.center_z) / self.radius)))

    def _segment(self, low: float, high: float) -> float:
        """∫ sqrt(R² - u²) du."""
        ends = (
            (u * self._out(z) + self.radius**2 * self._angle(z)) / 2
            for z in (low, high)
            for u in (z - self.center_z,)
        )
        first, last = ends
        return last - first

    def x_at(self, z: float) -> float:
        """Half the width at a height."""
        return self.center_x + self._out(z)

    def area(self, low: float, high: float) -> float:
        """∫ x dz: a rectangle and the circle's part beside it."""
        return self.center_x * (high - low) + self._segment(low, high)

    def square(self, low: float, high: float) -> float:
        """∫ x² dz."""
        u0, u1, c = low - self.center_z, high - self.center_z, self.center_x
        cap = self.radius**2 * (u1 - u0) - (u1**3 - u0**3) / 3
        return c * c * (high - low) + 2 * c * self._segment(low, high) + cap

    def length(self, low: float, high: float) -> float:
        """∫ ds: radius × angle."""
        return self.radius * (self._angle(high) - self._angle(low))

    def turned(self, low: float, high: float) -> float:
        """∫ x ds; a zone of a sphere has the area of the cylinder around it."""
        return self.center_x * self.length(low, high) + self.radius * (high - low)

    def points(self, low: float, high: float, steps: int) -> Iterator[Point]:
        """Where it is drawn through, after its lower end."""
        first, last = self._angle(low), self._angle(high)
        for step in range(1, steps):
            angle = first + (last - first) * step / steps
            yield (
                self.center_x + self.radius * math.cos(angle),
                self.center_z + self.radius * math.sin(angle),
            )
        yield self.x_at(high), high

    def up_to(self, high: float) -> "Arc":
        """The same, cut off at a height."""
        return replace(self, z1=high)

    def area_text(self, low: float, high: float) -> str:
        """∫ x dz written out."""
        beside = self._segment_text(low, high)
        if abs(self.center_x) < _SAME_MM:
            return beside
        return f"{figure_text(self.center_x)} × {figure_text(high - low)} + {beside}"

    def _segment_text(self, low: float, high: float) -> str:
        """∫ sqrt(R² - u²) du written out: the sector, and a triangle at each end."""
        turn = figure_text(self._angle(high) - self._angle(low))
        text = f"{figure_text(self.radius)}² × {turn} rad"
        for z, way in ((high, 1), (low, -1)):
            up, out = z - self.center_z, self._out(z)
            if abs(up * out) > _SAME_MM:
                sign = "+" if up * way > 0 else "−"
                text += f" {sign} {figure_text(abs(up))} × {figure_text(out)}"
        return f"({text}) / 2"

    def square_text(self, low: float, high: float) -> str:
        """∫ x² dz written out."""
        u0, u1 = _near(low - self.center_z), _near(high - self.center_z)
        whole = f"{figure_text(self.radius)}² × {figure_text(high - low)}"
        cap = f"{whole} − ({_cube(u1)} − {_cube(u0)}) / 3"
        if abs(self.center_x) < _SAME_MM:
            return cap
        c = figure_text(self.center_x)
        beside = f"2 × {c} × {self._segment_text(low, high)}"
        return f"{c}² × {figure_text(high - low)} + {beside} + {cap}"

    def turned_text(self, low: float, high: float) -> str:
        """∫ x ds written out."""
        zone = f"{figure_text(self.radius)} × {figure_text(high - low)}"
        if abs(self.center_x) < _SAME_MM:
            return zone
        return f"{figure_text(self.center_x)} × {figure_text(self.length(low, high))} + {zone}"


Piece = Straight | Arc | Oval


def _cube(text: str) -> str:
    return f"({text})³" if text.startswith("-") else f"{text}³"


def _near(distance: float) -> str:
    """A distance from a circle's middle; at it where floats are."""
    return figure_text(0.0 if abs(distance) < _SAME_MM else distance)


def arc_between(x0: float, z0: float, x1: float, z1: float, radius: float) -> Arc:
    """The arc from one point up to another that bulges outwards.

    Args:
        x0: half the width below [mm].
        z0: height below [mm].
        x1: half the width above [mm].
        z1: height above [mm].
        radius: of the circle [mm].
    Returns:
        the arc [mm].
    Raises:
        OutOfRange: a circle too small to reach from one to the other without overhanging.
    Source:
        geometry, exact.
    """
    chord = math.hypot(x1 - x0, z1 - z0)
    least = ((x1 - x0) ** 2 + (z1 - z0) ** 2) / (2 * (z1 - z0))
    if radius < least * (1 - 1e-6):
        # RoundedBox up, so that what is asked for is taken.
        allowed = f"0, or at least {figure_text(math.ceil(least * 100) / 100)}"
        raise OutOfRange("radius_mm", radius, allowed)
    rise = math.sqrt(max(0.0, radius**2 - chord**2 / 4)) / chord
    center_x = (x0 + x1) / 2 - rise * (z1 - z0)
    center_z = (z0 + z1) / 2 + rise * (x1 - x0)
    return Arc(center_x, center_z, radius, z0, z1)


@dataclass(frozen=True, slots=True)
class Profile:
    """Pieces of a wall end to end [mm], the first on the floor, which reaches to `floor_x`."""

    floor_x: float
    pieces: tuple[Piece, ...]

    @property
    def height_mm(self) -> float:
        """Where the last piece ends [mm]."""
        return self.pieces[-1].z1 if self.pieces else 0.0

    @property
    def is_closed(self) -> bool:
        """Whether it comes to a point on top."""
        return self.x_at(self.height_mm) < _SAME_MM

    @property
    def widest_mm(self) -> float:
        """The height at which it is widest [mm]."""
        return _widest(self)

    def x_at(self, z: float) -> float:
        """Half the width at a height [mm]."""
        for piece in self.pieces:
            if z <= piece.z1:
                return piece.x_at(z)
        return self.pieces[-1].x_at(self.height_mm) if self.pieces else self.floor_x

    def between(self, low: float, high: float) -> Iterator[tuple[Piece, float, float]]:
        """The pieces between two heights, and from where to where each of them [mm]."""
        for piece in self.pieces:
            start, end = max(low, piece.z0), min(high, piece.z1)
            if end > start:
                yield piece, start, end

    def to_height(self, height_mm: float) -> "Profile":
        """Cut off at a height, or carried straight up to it [mm]."""
        kept = tuple(piece.up_to(end) for piece, _, end in self.between(0.0, height_mm))
        if height_mm > self.height_mm + _SAME_MM:
            rim = self.x_at(self.height_mm)
            kept += (Straight(rim, self.height_mm, rim, height_mm),)
        return Profile(self.floor_x, kept)

    def wider(self, by: float) -> "Profile":
        """Every width by a factor; arcs, no longer circles, in straight pieces [1]."""
        return through([(x * by, z) for x, z in self.outline(0.0, self.height_mm, _FINE_STEPS)])

    def outline(self, low: float, high: float, steps: int = _ARC_STEPS) -> list[Point]:
        """Points of the wall from one height up to another, shape (n, 2) [mm]."""
        points = [(self.x_at(low), low)]
        for piece, start, end in self.between(low, high):
            points.extend(piece.points(start, end, steps))
        return points

    def mirrored(self, low: float, high: float, middle_x: float = 0.0) -> Loop:
        """The outline and its mirror image, about a middle [mm]."""
        return _mirrored(self, low, high, middle_x)

    def total(self, low: float, high: float, of: Callable[[Piece, float, float], float]) -> float:
        """An integral of the pieces between two heights."""
        return sum(of(*part) for part in self.between(low, high))

    def text(self, low: float, high: float, of: Callable[[Piece, float, float], str]) -> str:
        """The same written out piece by piece; where there are many, only how many."""
        parts = list(self.between(low, high))
        if len(parts) > _MOST_WRITTEN:
            return f"the sum of {len(parts)} pieces"
        return " + ".join(of(*part) for part in parts) or "0"

    def inset(self, by_mm: float) -> "Profile":
        """The profile inside a shell of a thickness on wall and floor; outside if negative [mm].

        A rim stays open: the wall is carried on above it before the shell is taken off.
        """
        return _inset(self, by_mm)


# What is asked again and again while something else is dragged is worked out once.
@lru_cache(maxsize=256)
def _inset(profile: Profile, by_mm: float) -> Profile:
    wall = profile.outline(0.0, profile.height_mm, _FINE_STEPS)
    (x0, z0), (x1, z1) = wall[-2], wall[-1]
    closed = profile.is_closed
    if not closed:
        further = 2 * abs(by_mm) / math.hypot(x1 - x0, z1 - z0)
        wall.append((max(0.0, x1 + further * (x1 - x0)), z1 + further * (z1 - z0)))
    whole = Polygon([*wall, *((-x, z) for x, z in reversed(wall))])
    left = whole.buffer(-by_mm, join_style="mitre")
    top = left.bounds[3] if closed and not left.is_empty else profile.height_mm
    points = _right_side(left, top)
    if len(points) < 2 or (points[-1][0] <= _SAME_MM and not closed):
        raise CoreError("thickness_mm", f"{by_mm:g} mm", "less: nothing is left inside")
    if closed:
        points.append((0.0, top))
    floor = points[0][1]
    return through([(x, z - floor) for x, z in points])


@lru_cache(maxsize=256)
def _widest(profile: Profile) -> float:
    return max(profile.outline(0.0, profile.height_mm, _FINE_STEPS))[1]


@lru_cache(maxsize=1024)
def _mirrored(profile: Profile, low: float, high: float, middle_x: float) -> Loop:
    wall = profile.outline(low, high)
    right = ((middle_x + x, z) for x, z in wall)
    return (*right, *((middle_x - x, z) for x, z in reversed(wall)))


def _right_side(shape: BaseGeometry, rim: float) -> list[Point]:
    """The wall of a symmetric polygon from its lowest point up to the rim, shape (n, 2) [mm]."""
    below = shape.intersection(Polygon([(-1e5, -1e5), (1e5, -1e5), (1e5, rim), (-1e5, rim)]))
    if below.is_empty or not isinstance(below, Polygon):
        return []
    right = below.intersection(Polygon([(0, -1e5), (1e5, -1e5), (1e5, rim), (0, rim)]))
    if right.is_empty or not isinstance(right, Polygon):
        return []
    points = [(x, z) for x, z in right.exterior.coords[:-1] if x > _SAME_MM or z < rim - 1e-6]
    floor = min(z for _, z in points)
    start = max((x, z) for x, z in points if z < floor + 1e-6)
    wall = sorted({start, *((x, z) for x, z in points if x > _SAME_MM and z > floor)}, key=_height)
    return [point for at, point in enumerate(wall) if at == 0 or point[1] - wall[at - 1][1] > 1e-9]


def _height(point: Point) -> float:
    return point[1]


def through(points: Sequence[Point], radii: Sequence[float] = ()) -> Profile:
    """The profile through points, the first on the floor.

    Args:
        points: half the width and the height of each, rising, shape (n, 2) [mm].
        radii: of the arc that leads up to each point but the first, 0 where it is straight,
            shape (n - 1,) [mm].
    Returns:
        the profile [mm].
    Raises:
        CoreError: points that do not rise.
        OutOfRange: an arc that cannot be.
    Source:
        geometry.
    """
    pieces: list[Piece] = []
    arcs = radii or [0.0] * (len(points) - 1)
    for (x0, z0), (x1, z1), radius in zip(points, points[1:], arcs, strict=False):
        if z1 <= z0:
            raise CoreError("profile", f"{z1:g} after {z0:g} mm", "heights that rise")
        straight = Straight(x0, z0, x1, z1)
        pieces.append(arc_between(x0, z0, x1, z1, radius) if radius else straight)
    return Profile(points[0][0], tuple(pieces))
