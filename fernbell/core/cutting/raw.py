"""The sheet that pieces are cut from."""

from dataclasses import dataclass

from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.starter.practice import practice

RAW_FIELDS = (
    Field("length_mm", "Sheet, long", least=20, most=2000, first=practice("sheet, long")),
    Field("width_mm", "Sheet, wide", least=20, most=2000, first=practice("sheet, wide")),
    Field("edge_mm", "Edge trimmed off", most=200, first=practice("sheet edge")),
    Field("kerf_mm", "Between cuts", most=20, step=0.5, first=practice("between cuts")),
)
"""What is asked of a sheet; a sheet to begin with is common practice."""


@dataclass(frozen=True, slots=True)
class RawSheet:
    """A sheet so long and wide, of which an edge is trimmed off all round; between pieces as much
    is left as the cut takes [mm].
    """

    length_mm: float
    width_mm: float
    edge_mm: float = 0.0
    kerf_mm: float = 0.0

    def __post_init__(self) -> None:
        check_fields(self, RAW_FIELDS)
        if 2 * self.edge_mm >= min(self.length_mm, self.width_mm):
            allowed = f"less than {min(self.length_mm, self.width_mm) / 2:g} mm, half of the sheet"
            raise CoreError("edge_mm", f"{self.edge_mm:g} mm", allowed)

    @property
    def room(self) -> "Room":
        """What is left inside its edges [mm]."""
        return Room(self.length_mm - 2 * self.edge_mm, self.width_mm - 2 * self.edge_mm)

    @property
    def area_mm2(self) -> float:
        """The whole sheet, its edges too [mm²]."""
        return self.length_mm * self.width_mm


@dataclass(frozen=True, slots=True)
class Room:
    """A rectangle that pieces are laid in, its lower left corner the origin [mm]."""

    long_mm: float
    wide_mm: float

    @property
    def area_mm2(self) -> float:
        """Long × wide [mm²]."""
        return self.long_mm * self.wide_mm
