"""Molds a new kitchen may start with."""

from dataclasses import dataclass

from fernbell.core.molds import Frame, Ring


@dataclass(frozen=True, slots=True)
class NamedMold:
    """A mold as it hangs on the wall."""

    slug: str
    name: str
    mold: Ring | Frame


MOLDS = (
    NamedMold("ring-20", "Ring 20 cm, 4.5 high", Ring(200, 45)),
    NamedMold("ring-16", "Ring 16 cm, 4.5 high", Ring(160, 45)),
    NamedMold("ring-8", "Ring 8 cm, 5 high", Ring(80, 50)),
    NamedMold("frame-18", "Frame 18 × 18, rounded", Frame(180, 180, 45, 12)),
    NamedMold("frame-57", "Frame 57 × 37", Frame(570, 370, 40)),
)
