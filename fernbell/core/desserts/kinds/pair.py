"""Two shells with a filling between them."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Ring

_BAKED = ("paste.short", "paste.nut", "paste.cocoa")

PAIR = DessertKind(
    "pair",
    "Sandwich pair",
    "two discs or shells with a filling",
    Ring(45, 22),
    (
        KindPart("tier", "paste", {"height_mm": 8.0}, jobs=_BAKED),
        KindPart("tier", "ganache", {"height_mm": 5.0}),
        KindPart("tier", "paste", {"height_mm": 8.0}, jobs=_BAKED),
    ),
    usual_in_it=False,
)
