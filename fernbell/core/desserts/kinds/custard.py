"""A custard baked in a ramekin, three quarters full."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

CUSTARD = DessertKind(
    "baked custard",
    "Baked custard",
    "a ramekin three quarters full; one is one portion",
    Turned((WallPoint(0, 70), WallPoint(6, 82, 6), WallPoint(35, 84))),
    (
        KindPart(
            "fill",
            "custard",
            shares={"level_mm": 0.75},
            jobs=("custard.brulee", "custard.baked"),
        ),
    ),
)
