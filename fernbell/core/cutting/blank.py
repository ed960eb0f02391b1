"""A piece to be cut, and a way of laying many of it: what every form of piece answers."""

import math
from abc import ABC, abstractmethod
from collections.abc import Iterator
from dataclasses import dataclass
from typing import ClassVar

from fernbell.core.cutting.raw import Room
from fernbell.core.molds import Loop, box

TOUCHING_MM = 1e-6
"""Pieces nearer than this touch; floats, not millimeters."""


@dataclass(frozen=True, slots=True)
class Place:
    """Where the middle of a piece lies, and how far it is turned to the left [mm, °]."""

    x_mm: float
    y_mm: float
    turn_deg: float = 0.0

    def moved(self, x_mm: float, y_mm: float) -> "Place":
        """The same elsewhere [mm]."""
        return Place(self.x_mm + x_mm, self.y_mm + y_mm, self.turn_deg)


@dataclass(frozen=True, slots=True)
class Layout:
    """A way of laying pieces, in the order in which they are cut; `way` names it."""

    way: str
    places: tuple[Place, ...]


class Blank(ABC):
    """What a disc, a rectangle and a free outline answer about being cut from a sheet."""

    __slots__ = ()

    bound_source: ClassVar[str]
    """Where the bound on their number comes from."""

    @property
    @abstractmethod
    def area_mm2(self) -> float:
        """Its area [mm²]."""

    @property
    @abstractmethod
    def size_words(self) -> str:
        """Such as 'Ø 16 cm'."""

    @property
    @abstractmethod
    def least_mm(self) -> float:
        """The narrowest it can lie [mm]: a strip less wide holds none."""

    @abstractmethod
    def outline(self, turn_deg: float = 0.0) -> Loop:
        """Its edge about its middle, turned so far, counter-clockwise, shape (n, 2) [mm]."""

    def bounds(self, turn_deg: float = 0.0) -> tuple[float, float, float, float]:
        """The box around it: left, lower, right and upper side about its middle [mm]."""
        xs, ys = zip(*self.outline(turn_deg), strict=True)
        return min(xs), min(ys), max(xs), max(ys)

    @abstractmethod
    def layouts(self, room: Room, kerf_mm: float) -> Iterator[Layout]:
        """Regular ways of laying as many as fit, such as a grid; perhaps none."""

    @abstractmethod
    def most(self, room: Room, kerf_mm: float) -> int:
        """No way can lay more than this [1]."""

    def search(self, room: Room, kerf_mm: float, count: int, start: int) -> Layout | None:
        """One try at laying so many, each `start` another; None where it did not come off."""
        del room, kerf_mm, count, start
        return None


def turned(loop: Loop, turn_deg: float) -> Loop:
    """An outline turned to the left about the origin.

    Args:
        loop: a closed polygon, shape (n, 2) [mm].
        turn_deg: how far [°].
    Returns:
        the polygon [mm].
    Source:
        geometry.
    """
    if not turn_deg:
        return loop
    cos, sin = math.cos(math.radians(turn_deg)), math.sin(math.radians(turn_deg))
    return tuple((x * cos - y * sin, x * sin + y * cos) for x, y in loop)


def boxed(long_mm: float, wide_mm: float) -> Loop:
    """A rectangle about the origin.

    Args:
        long_mm: along x [mm].
        wide_mm: along y [mm].
    Returns:
        its corners, shape (4, 2) [mm].
    Source:
        geometry.
    """
    return box(-long_mm / 2, long_mm / 2, -wide_mm / 2, wide_mm / 2)


def how_many(room_mm: float, one_mm: float, pitch_mm: float) -> int:
    """How many fit in a row, one after another.

    Args:
        room_mm: how long the row may be [mm].
        one_mm: how long one is [mm].
        pitch_mm: from one to the next [mm].
    Returns:
        the number, 0 where not even one fits [1].
    Source:
        counting.
    """
    if one_mm > room_mm + TOUCHING_MM:
        return 0
    return math.floor((room_mm - one_mm + TOUCHING_MM) / pitch_mm) + 1
