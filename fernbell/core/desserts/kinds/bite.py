"""A foam around a frozen soaked biscuit in small cavities, dipped."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

BITE = DessertKind(
    "siphon bite",
    "Siphon bites",
    "a foam around a soaked biscuit in cavities, dipped",
    Turned((WallPoint(0, 0), WallPoint(22, 44, 22))),
    (
        KindPart("insert", "sponge", shares={"across_mm": 0.85}),
        KindPart("soak", "syrup"),
        KindPart("fill", "mousse", jobs=("mousse.siphon",)),
        KindPart(
            "coat",
            "chocolate",
            {"thickness_mm": 1.0, "runoff_percent": 50.0, "least_pour_g": 0.0, "dipped": True},
            jobs=("glaze.spray",),
        ),
    ),
    built="upside down",
    usual_in_it=False,
)
