"""Free outlines: hearts, petals, leaves; rows of them, alike or turned head to tail."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from functools import cached_property, lru_cache
from itertools import pairwise

import shapely
from shapely.affinity import rotate, translate
from shapely.geometry import MultiPolygon, Polygon

from fernbell.core.cutting.blank import TOUCHING_MM, Blank, Layout, Place, turned
from fernbell.core.cutting.raw import Room
from fernbell.core.errors import CoreError
from fernbell.core.molds import Loop

_FIRST_TURNS = (0.0, 90.0)
_LATER_TURNS = tuple(float(turn) for turn in range(15, 180, 15) if turn != 90)
_OFFSETS = 6
"""Into so many shares of a row the next one is shifted."""
_HALVINGS = 16
_LEAST_MM = 0.01
"""What is left between two outlines where the cut takes nothing: they are polygons."""


@dataclass(frozen=True)
class FreeBlank(Blank):
    """A piece of any outline about its middle, counter-clockwise [mm]."""

    edge: Loop
    called: str = "outline"

    bound_source = "area: pieces on the sheet"

    def __post_init__(self) -> None:
        polygon = Polygon(self.edge) if len(self.edge) >= 3 else Polygon()
        if not polygon.is_valid or polygon.area < _LEAST_MM**2:
            raise CoreError("edge", "no outline", "a closed outline that does not cross itself")

    @cached_property
    def polygon(self) -> Polygon:
        """Its edge, moved so that the middle of its box is the origin."""
        whole = Polygon(self.edge)
        left, low, right, high = whole.bounds
        return translate(whole, -(left + right) / 2, -(low + high) / 2)

    @property
    def area_mm2(self) -> float:
        """Its area [mm²]."""
        return float(self.polygon.area)

    @property
    def size_words(self) -> str:
        """Of the box around it."""
        left, low, right, high = self.polygon.bounds
        return f"{(right - left) / 10:.3g} × {(high - low) / 10:.3g} cm"

    @property
    def least_mm(self) -> float:
        """The narrowest box around it [mm]."""
        corners = list(shapely.minimum_rotated_rectangle(self.polygon).exterior.coords)
        return float(min(math.dist(a, b) for a, b in pairwise(corners)))

    def outline(self, turn_deg: float = 0.0) -> Loop:
        """Its corners, turned."""
        return turned(tuple(self.polygon.exterior.coords)[:-1], turn_deg)

    def most(self, room: Room, kerf_mm: float) -> int:
        """By area, none where its narrowest box is wider than the room [1]."""
        del kerf_mm
        if self.least_mm > min(room.long_mm, room.wide_mm) + TOUCHING_MM:
            return 0
        return int((room.area_mm2 + TOUCHING_MM) / self.area_mm2)

    def layouts(self, room: Room, kerf_mm: float) -> Iterator[Layout]:
        """Rows of it as it lies and turned a quarter."""
        for turn in _FIRST_TURNS:
            yield from self._turned(room, kerf_mm, turn)

    def search(self, room: Room, kerf_mm: float, count: int, start: int) -> Layout | None:
        """Turned a twelfth of half a circle further with each try."""
        if start >= len(_LATER_TURNS):
            return None
        laid = self._turned(room, kerf_mm, _LATER_TURNS[start])
        best = max(laid, key=lambda one: len(one.places))
        return best if len(best.places) >= count else None

    def _turned(self, room: Room, kerf_mm: float, turn: float) -> Iterator[Layout]:
        for heads in ((turn,), (turn, turn + 180)):
            for shifted in _lattices(self, heads, kerf_mm):
                words = "rows of them" if len(heads) == 1 else "head to tail"
                said = f"{words}, turned {turn:g}°" if turn else words
                yield Layout(said, _filled(self, room, shifted))


@dataclass(frozen=True, slots=True)
class _Lattice:
    """One or two pieces that repeat along a row, and from row to row [mm]."""

    motif: tuple[Place, ...]
    along_mm: float
    over_mm: float
    up_mm: float


@lru_cache(maxsize=256)
def _lattices(piece: FreeBlank, heads: tuple[float, ...], kerf: float) -> tuple[_Lattice, ...]:
    """Rows set so near to each other as they go, for several shifts from row to row."""
    shapes = [rotate(piece.polygon, turn, origin=(0, 0)) for turn in heads]
    wide = sum(_width(shape) + kerf for shape in shapes)
    motif: tuple[Place, ...]
    if len(shapes) == 1:
        along = _apart(shapes[0], shapes[0], (1.0, 0.0), wide, kerf)
        row, motif = shapes, (Place(0.0, 0.0, heads[0]),)
    else:
        to_next = _apart(shapes[0], shapes[1], (1.0, 0.0), wide, kerf)
        along = to_next + _apart(shapes[1], shapes[0], (1.0, 0.0), wide, kerf)
        row = [shapes[0], translate(shapes[1], to_next)]
        motif = (Place(0.0, 0.0, heads[0]), Place(to_next, 0.0, heads[1]))
    repeated = MultiPolygon([translate(one, step * along) for step in range(-2, 3) for one in row])
    own = MultiPolygon(row)
    high = own.bounds[3] - own.bounds[1] + kerf
    found = []
    for part in range(_OFFSETS):
        over = along * part / _OFFSETS
        up = _apart(repeated, translate(own, over), (0.0, 1.0), high, kerf)
        # A row may reach past the next one: then it would have to be clear of two.
        if _is_clear(repeated, translate(own, 2 * over), (0.0, 2.0), up, kerf):
            found.append(_Lattice(motif, along, over, up))
    return tuple(found)


def _width(shape: Polygon) -> float:
    return float(shape.bounds[2] - shape.bounds[0])


def _apart(
    one: Polygon, other: Polygon, way: tuple[float, float], most_mm: float, kerf: float
) -> float:
    """How far another has to be moved until it is clear of one, and stays so beyond [mm].

    Looked for from afar, where it is clear, inwards: the first touch is where it stays.
    """
    steps = 24
    clear = most_mm
    for step in range(steps - 1, -1, -1):
        nearer = most_mm * step / steps
        if not _is_clear(one, other, way, nearer, kerf):
            break
        clear = nearer
    else:
        return clear
    low = nearer
    for _ in range(_HALVINGS):
        middle = (low + clear) / 2
        if _is_clear(one, other, way, middle, kerf):
            clear = middle
        else:
            low = middle
    return clear


def _is_clear(
    one: Polygon, other: Polygon, way: tuple[float, float], by_mm: float, kerf: float
) -> bool:
    placed = translate(other, way[0] * by_mm, way[1] * by_mm)
    return bool(one.distance(placed) >= max(kerf, _LEAST_MM))


def _filled(piece: FreeBlank, room: Room, lattice: _Lattice) -> tuple[Place, ...]:
    """All places of a lattice whose boxes lie in the room, row by row from its lower left."""
    boxes = [rotate(piece.polygon, one.turn_deg, origin=(0, 0)).bounds for one in lattice.motif]
    left = min(one.x_mm + at[0] for one, at in zip(lattice.motif, boxes, strict=True))
    low = min(at[1] for at in boxes)
    rows = int(room.wide_mm / max(lattice.up_mm, 1.0)) + 2
    places = []
    for row in range(rows):
        over = (row * lattice.over_mm) % lattice.along_mm
        for step in range(-1, int(room.long_mm / max(lattice.along_mm, 1.0)) + 2):
            for one, at in zip(lattice.motif, boxes, strict=True):
                x = one.x_mm - left + over + step * lattice.along_mm
                y = row * lattice.up_mm - low
                inside = (
                    x + at[0] >= -TOUCHING_MM
                    and x + at[2] <= room.long_mm + TOUCHING_MM
                    and y + at[1] >= -TOUCHING_MM
                    and y + at[3] <= room.wide_mm + TOUCHING_MM
                )
                if inside:
                    places.append(Place(x, y, one.turn_deg))
    return tuple(places)
