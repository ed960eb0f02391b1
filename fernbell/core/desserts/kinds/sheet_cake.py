"""Sponge and cream in turn in a frame, cut on a grid."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Frame

SHEET_CAKE = DessertKind(
    "sheet cake",
    "Sheet cake",
    "sponge and cream in turn, cut on a grid",
    Frame(360, 260, 40),
    (
        KindPart("tier", "sponge", {"height_mm": 12.0}),
        KindPart("tier", "cream", {"height_mm": 8.0}),
        KindPart("tier", "sponge", {"height_mm": 12.0}),
        KindPart("coat", "ganache", {"thickness_mm": 3.0, "top_only": True, "least_pour_g": 0.0}),
    ),
)
