"""A thin sheet with cream, rolled about a frozen core, cream over it: two thirds in, one out."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Frame

ROLLED_LOG = DessertKind(
    "rolled log",
    "Log, rolled",
    "a sheet with cream, rolled about a core",
    Frame(390, 290, 20),
    (
        KindPart("core", "fruit"),
        KindPart("roll", "sponge", spread=("cream",), jobs=("sponge.roulade",)),
        KindPart("soak", "syrup", jobs=("syrup.soak",)),
        KindPart(
            "coat", "cream", {"thickness_mm": 4.0, "runoff_percent": 0.0, "least_pour_g": 0.0}
        ),
    ),
)
