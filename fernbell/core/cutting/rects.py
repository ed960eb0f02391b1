"""Rectangles: lengthwise, crosswise, or both, every cut straight through."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.cutting.blank import TOUCHING_MM, Blank, Layout, Place, boxed, how_many, turned
from fernbell.core.cutting.guillotine import parted
from fernbell.core.cutting.raw import Room
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Loop

_FIELDS = (
    Field("long_mm", "Long", most=20_000, open_least=True),
    Field("wide_mm", "Wide", most=20_000, open_least=True),
)
_UM = 1000


@dataclass(frozen=True, slots=True)
class RectBlank(Blank):
    """A rectangle: a plank, a band, a strip, a sheet to be rolled [mm]."""

    long_mm: float
    wide_mm: float

    bound_source = "area: pieces with their cuts, on the sheet with one cut more"

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)

    @property
    def area_mm2(self) -> float:
        """l w [mm²]."""
        return self.long_mm * self.wide_mm

    @property
    def size_words(self) -> str:
        """'24 × 7 cm'."""
        return f"{self.long_mm / 10:.3g} × {self.wide_mm / 10:.3g} cm"

    @property
    def least_mm(self) -> float:
        """Its shorter side [mm]."""
        return min(self.long_mm, self.wide_mm)

    def outline(self, turn_deg: float = 0.0) -> Loop:
        """Its corners."""
        return turned(boxed(self.long_mm, self.wide_mm), turn_deg)

    def most(self, room: Room, kerf_mm: float) -> int:
        """By area, none where it does not lie in it [1]."""
        if self.least_mm > min(room.long_mm, room.wide_mm) + TOUCHING_MM:
            return 0
        piece = (self.long_mm + kerf_mm) * (self.wide_mm + kerf_mm)
        return int(((room.long_mm + kerf_mm) * (room.wide_mm + kerf_mm) + TOUCHING_MM) / piece)

    def layouts(self, room: Room, kerf_mm: float) -> Iterator[Layout]:
        """All one way, all the other, and both in blocks that a knife can part."""
        yield self._rows("all lengthwise", room, kerf_mm, self.long_mm, self.wide_mm, 0.0)
        yield self._rows("all crosswise", room, kerf_mm, self.wide_mm, self.long_mm, 90.0)
        # Rooms are rounded down and pieces up, so that none overlaps by a thousandth.
        sides = [int((side + kerf_mm + TOUCHING_MM) * _UM) for side in (room.long_mm, room.wide_mm)]
        piece = [math.ceil((side + kerf_mm) * _UM - TOUCHING_MM) for side in self._sides]
        places = tuple(
            Place(
                left / _UM + (self.wide_mm if crosswise else self.long_mm) / 2,
                low / _UM + (self.long_mm if crosswise else self.wide_mm) / 2,
                90.0 if crosswise else 0.0,
            )
            for left, low, crosswise in parted((sides[0], sides[1]), (piece[0], piece[1]))
        )
        yield Layout("lengthwise and crosswise", places)

    @property
    def _sides(self) -> tuple[float, float]:
        return self.long_mm, self.wide_mm

    def _rows(
        self, way: str, room: Room, kerf: float, long_: float, wide: float, turn: float
    ) -> Layout:
        places = tuple(
            Place(long_ / 2 + x * (long_ + kerf), wide / 2 + y * (wide + kerf), turn)
            for y in range(how_many(room.wide_mm, wide, wide + kerf))
            for x in range(how_many(room.long_mm, long_, long_ + kerf))
        )
        return Layout(way, places)
