"""Discs: grid, rows set in the gaps of the next both ways, the same stretched, then a search."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy.optimize import minimize

from fernbell.core.cutting.blank import TOUCHING_MM, Blank, Layout, Place, how_many
from fernbell.core.cutting.raw import Room
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Loop, disc

_ACROSS = Field("across_mm", "Across", most=5000, open_least=True)
_LATTICE = math.sqrt(3) / 2
"""From row to row where every disc touches six others, in diameters."""
_TIGHTER = 1 + 1e-5
"""The search keeps discs so much further apart than they must be: its answer is never exact."""


@dataclass(frozen=True, slots=True)
class RoundBlank(Blank):
    """A disc cut with a round cutter [mm]."""

    across_mm: float

    bound_source = "Oler (1961): discs in a rectangle; from memory"

    def __post_init__(self) -> None:
        check_fields(self, (_ACROSS,))

    @property
    def area_mm2(self) -> float:
        """π/4 d² [mm²]."""
        return math.pi / 4 * self.across_mm**2

    @property
    def size_words(self) -> str:
        """'Ø 16 cm'."""
        return f"Ø {self.across_mm / 10:.3g} cm"

    @property
    def least_mm(self) -> float:
        """Its diameter [mm]."""
        return self.across_mm

    def outline(self, turn_deg: float = 0.0) -> Loop:
        """A circle."""
        del turn_deg
        return disc(self.across_mm).outline()

    def bounds(self, turn_deg: float = 0.0) -> tuple[float, float, float, float]:
        """Half of its diameter each way [mm]."""
        del turn_deg
        half = self.across_mm / 2
        return -half, -half, half, half

    def most(self, room: Room, kerf_mm: float) -> int:
        """2/√3 a b + a + b + 1, of the room their middles have in distances [1]."""
        apart = self.across_mm + kerf_mm
        a, b = (side - self.across_mm for side in (room.long_mm, room.wide_mm))
        if min(a, b) < -TOUCHING_MM:
            return 0
        a, b = max(0.0, a) / apart, max(0.0, b) / apart
        return math.floor(2 / math.sqrt(3) * a * b + a + b + 1 + 1e-9)

    def layouts(self, room: Room, kerf_mm: float) -> Iterator[Layout]:
        """Each along the sheet and across it."""
        apart = self.across_mm + kerf_mm
        yield self._rows("grid", room, apart, 0.0, apart)
        for way, lies in (("along", room), ("across", Room(room.wide_mm, room.long_mm))):
            swapped = lies is not room
            row = self._rows(f"rows in the gaps, {way}", lies, apart, apart / 2, apart * _LATTICE)
            yield _across(row) if swapped else row
            for pitch in self._stretches(lies, apart):
                high = math.sqrt(apart**2 - (pitch / 2) ** 2)
                spread = self._rows(f"rows stretched, {way}", lies, pitch, pitch / 2, high)
                yield _across(spread) if swapped else spread

    def _rows(self, way: str, room: Room, pitch: float, shift: float, high: float) -> Layout:
        """Rows so far apart, every other one shifted."""
        across = self.across_mm
        places = [
            Place(across / 2 + (row % 2) * shift + at * pitch, across / 2 + row * high)
            for row in range(how_many(room.wide_mm, across, high))
            for at in range(how_many(room.long_mm - (row % 2) * shift, across, pitch))
        ]
        return Layout(way, tuple(places))

    def _stretches(self, room: Room, apart: float) -> Iterator[float]:
        """From disc to disc where a row takes the whole length, so that rows come closer."""
        free = room.long_mm - self.across_mm
        for number in range(1, how_many(room.long_mm, self.across_mm, apart) + 1):
            for gaps in (number - 1, number - 0.5):
                # Beyond √3 a disc would touch the next but one row.
                if gaps and apart - TOUCHING_MM <= free / gaps <= math.sqrt(3) * apart:
                    yield max(apart, free / gaps)

    def search(self, room: Room, kerf_mm: float, count: int, start: int) -> Layout | None:
        """Pushed apart from where chance has put them."""
        found = _pushed_apart(
            room.long_mm - self.across_mm,
            room.wide_mm - self.across_mm,
            self.across_mm + kerf_mm,
            count,
            start,
        )
        if found is None:
            return None
        half = self.across_mm / 2
        return Layout("searched", tuple(Place(x + half, y + half) for x, y in found))


def _across(layout: Layout) -> Layout:
    """Laid along the other side of the sheet."""
    return Layout(layout.way, tuple(Place(one.y_mm, one.x_mm) for one in layout.places))


# The same try is asked for again whenever a plan goes on from where it was.
@lru_cache(maxsize=512)
def _pushed_apart(
    long_mm: float, wide_mm: float, apart_mm: float, count: int, start: int
) -> tuple[tuple[float, float], ...] | None:
    """Middles in a rectangle, no two nearer than so far [mm]; None where they do not come apart.

    The overlap, squared and summed, is let down to nothing (L-BFGS-B).
    """
    if min(long_mm, wide_mm) < 0 or count < 2:
        return None
    sides = np.array([long_mm, wide_mm]) / apart_mm
    chance = np.random.default_rng(start)
    first, second = np.triu_indices(count, 1)

    def overlap(flat: NDArray[np.float64]) -> tuple[float, NDArray[np.float64]]:
        points = flat.reshape(count, 2)
        between = points[first] - points[second]
        lack = np.maximum(0.0, _TIGHTER**2 - np.einsum("ij,ij->i", between, between))
        pull = -4 * lack[:, None] * between
        slope = np.zeros_like(points)
        for axis in (0, 1):
            slope[:, axis] = np.bincount(first, pull[:, axis], count) - np.bincount(
                second, pull[:, axis], count
            )
        return float(lack @ lack), slope.ravel()

    limits = [(0.0, float(side)) for side in np.tile(sides, count)]
    begin = (chance.random((count, 2)) * sides).ravel()
    done = minimize(
        overlap, begin, jac=True, method="L-BFGS-B", bounds=limits,
        options={"maxiter": 2000, "ftol": 1e-16, "gtol": 1e-12},
    )  # fmt: skip
    points = done.x.reshape(count, 2)
    between = points[first] - points[second]
    if float(np.min(np.einsum("ij,ij->i", between, between))) < 1.0:
        return None
    ordered = sorted((points * apart_mm).tolist())
    return tuple((float(x), float(y)) for x, y in ordered)
