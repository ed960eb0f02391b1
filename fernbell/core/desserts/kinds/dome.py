"""Small domes, built upside down in cavities on a crisp disc, sprayed."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

DOME = DessertKind(
    "dome",
    "Domes",
    "one portion each, upside down in cavities, sprayed",
    Turned((WallPoint(0, 0), WallPoint(40, 80, 40))),
    (
        KindPart("base", "crumble", {"height_mm": 5.0}),
        KindPart("insert", "fruit"),
        KindPart("fill", "mousse"),
        KindPart(
            "coat",
            "chocolate",
            {"thickness_mm": 1.0, "runoff_percent": 20.0, "least_pour_g": 0.0},
            jobs=("glaze.spray",),
        ),
    ),
    built="upside down",
)
