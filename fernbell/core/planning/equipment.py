"""What a kitchen makes things in, on and with: least and most of each."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Literal

from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields

VesselKind = Literal[
    "bowl",
    "mixer",
    "pot",
    "siphon",
    "tray",
    "oven",
    "hands",
    "stove",
    "blast",
    "freezer",
    "fridge",
]


@dataclass(frozen=True, slots=True)
class VesselWords:
    """A kind of vessel: its title, the unit of its least and most and what they mean.

    The figures are those of a usual one to begin with, common practice, to be changed. A batch is
    in one vessel, or `together` in all there are, and then its room is counted in trays.
    """

    kind: VesselKind
    title: str
    unit: str
    least: float
    most: float
    least_says: str
    most_says: str
    together: bool = False


VESSELS: Mapping[VesselKind, VesselWords] = {
    one.kind: one
    for one in (
        VesselWords("bowl", "Bowl", "ml", 0, 4000, "folds well from", "folds well up to"),
        VesselWords("mixer", "Mixer", "ml", 250, 3500, "the whisk reaches from", "whipped, up to"),
        VesselWords("pot", "Pot", "ml", 0, 5000, "does not scorch from", "holds to its rim"),
        VesselWords("siphon", "Siphon", "ml", 250, 1000, "charges well from", "fill line"),
        VesselWords("tray", "Tray", "mm", 400, 600, "short side", "long side", together=True),
        VesselWords("oven", "Oven", "trays", 0, 2, "", "bakes at once", together=True),
        VesselWords("hands", "Filling", "g", 0, 400, "", "fills in a minute"),
        VesselWords("stove", "Stove", "rings", 0, 4, "", "at once", together=True),
        VesselWords("blast", "Blast freezer", "l", 0, 120, "", "of shelf", together=True),
        VesselWords("freezer", "Freezer", "l", 0, 300, "", "of shelf", together=True),
        VesselWords("fridge", "Fridge", "l", 0, 500, "", "of shelf", together=True),
    )
}
LEAST = Field("least", "Least", most=1e6)
MOST = Field("most", "Most", most=1e6, open_least=True)
NUMBER = Field("number", "How many", least=1, most=200, first=1)
SIDES = (Field("least", "Short side", least=50, most=2000), Field("most", "Long side", most=2000))
"""Of a tray: from the smallest that something is cut from, its edge trimmed off."""


@dataclass(frozen=True, slots=True)
class Vessel:
    """So many alike; least and most in the unit of its kind: ml, trays, grams filled in a minute.

    Of a tray they are its sides.
    """

    name: str
    kind: VesselKind
    most: float
    least: float = 0.0
    number: int = 1

    def __post_init__(self) -> None:
        is_tray = self.kind == "tray"
        check_fields(self, (*(SIDES if is_tray else (LEAST, MOST)), NUMBER))
        if self.least > self.most:
            unit, most = VESSELS[self.kind].unit, "long side" if is_tray else "most"
            raise CoreError("least", f"{self.least:g} {unit}", f"at most {self.most:g}, its {most}")

    @property
    def size(self) -> float:
        """By which one is larger than another: what it takes at most, of a tray its area [mm²]."""
        return self.most * self.least if self.kind == "tray" else self.most
