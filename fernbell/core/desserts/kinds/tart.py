"""A shell of paste, caramel on its floor, ganache to just below the rim."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

TART = DessertKind(
    "tart",
    "Tart",
    "a shell of paste, filled to just below the rim",
    Turned((WallPoint(0, 220), WallPoint(25, 240))),
    (
        KindPart("lining", "paste", jobs=("paste.short", "paste.nut", "paste.cocoa")),
        KindPart("tier", "caramel", {"height_mm": 6.0}),
        KindPart("fill", "ganache", shares={"level_mm": 0.9}, jobs=("ganache.slice",)),
        KindPart("garnish", "crisp"),
    ),
)
