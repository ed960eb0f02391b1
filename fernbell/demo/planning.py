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
    Vessel("Two who fill", "hands", 400, number=2),
)


@dataclass(frozen=True, slots=True)
class DemoOrderLine:
    """So much of a demo dessert, by its slug."""

    dessert: str
    count: int
    by: Literal["desserts", "trays", "covers"]


FULL_NIGHT = "Full night, 96 covers"
FULL_NIGHT_LINES = (
    DemoOrderLine("reedbed", 48, "covers"),
    DemoOrderLine("foghorn", 24, "desserts"),
    DemoOrderLine("beekeeper", 24, "covers"),
    DemoOrderLine("lanterns", 48, "covers"),
)
