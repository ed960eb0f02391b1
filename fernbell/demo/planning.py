"""What the demo kitchen makes things in, and the order of a full night."""

from dataclasses import dataclass
from typing import Literal

from fernbell.core.planning import Vessel

VESSELS = (
    Vessel("Mixer, 20 l", "mixer", 12_000, 1500),
    Vessel("Mixer, 5 l", "mixer", 3500, 250),
    Vessel("Bowl, 36 cm", "bowl", 6000, number=3),
    Vessel("Bowl, 24 cm", "bowl", 2500, number=6),
    Vessel("Pot, 8 l", "pot", 8000, number=2),
    Vessel("Pot, 3 l", "pot", 3000, number=3),
    Vessel("Siphon, 1 l", "siphon", 1000, 250, number=2),
    Vessel("Tray, 60 × 40", "tray", 600, 400, number=20),
    Vessel("Oven, 6 trays", "oven", 6, number=2),
    Vessel("Stove", "stove", 4),
    Vessel("Blast freezer", "blast", 40),
    Vessel("Freezer", "freezer", 60),
    Vessel("Fridge", "fridge", 240),
    Vessel("Two who fill", "hands", 400, number=2),
)


@dataclass(frozen=True, slots=True)
class DemoOrderLine:
    """So much of a demo dessert, by its slug."""

    dessert: str
    count: int
    by: Literal["desserts", "trays", "covers"]


@dataclass(frozen=True, slots=True)
class DemoHand:
    """Somebody of the demo kitchen, and when they are in."""

    name: str
    skill: Literal[1, 2, 3]
    comes: str
    leaves: str


HANDS = (
    DemoHand("Ottilie", 3, "08:30", "21:30"),
    DemoHand("Bram", 2, "08:30", "21:30"),
    DemoHand("Junia", 1, "09:00", "21:00"),
)
OWNED = {"dome-8": 2, "tart-24": 4, "ring-20": 8}
"""Molds that are counted: how many trays or rings of each there are."""
SERVED_IN_DAYS, SERVED_AT, WAVES, EVERY_MIN = 2, "20:15", 3, 10

FULL_NIGHT = "Full night, 96 covers"
FULL_NIGHT_LINES = (
    DemoOrderLine("reedbed", 48, "covers"),
    DemoOrderLine("foghorn", 24, "desserts"),
    DemoOrderLine("beekeeper", 24, "covers"),
    DemoOrderLine("lanterns", 48, "covers"),
)
