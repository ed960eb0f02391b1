"""Layers in a glass."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

CUP = DessertKind(
    "cup",
    "Cup",
    "layers by height in a glass",
    Turned((WallPoint(0, 44), WallPoint(7, 58, 7), WallPoint(80, 70))),
    (
        KindPart("tier", "crumble", {"height_mm": 10.0}),
        KindPart("tier", "fruit", {"height_mm": 10.0}),
        KindPart("tier", "cream", {"height_mm": 30.0}),
        KindPart("garnish", "crumble"),
    ),
)
