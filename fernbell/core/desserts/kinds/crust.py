"""Crumb pressed into a springform, a cream set in it."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Ring

CRUST = DessertKind(
    "crumb crust",
    "Crumb crust",
    "crumb pressed to a thickness, cream set in it",
    Ring(240, 70),
    (
        KindPart("lining", "crumble", {"thickness_mm": 6.0, "height_mm": 40.0}),
        KindPart("fill", "cream", {"level_mm": 38.0}),
    ),
    usual_in_it=False,
)
