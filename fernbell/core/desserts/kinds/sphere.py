"""Two molded halves, filled and joined."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Halves

SPHERE = DessertKind(
    "sphere",
    "Shell of two halves",
    "a thin shell, half filled, its halves joined",
    Halves(80, 40, 40),
    (
        KindPart("lining", "chocolate", {"thickness_mm": 2.0}, jobs=("chocolate.shells",)),
        KindPart("fill", "mousse", shares={"level_mm": 0.5}),
    ),
)
