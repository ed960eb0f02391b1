"""A loaf of frozen mousse, chocolate trailed between its two fills."""

from fernbell.core.desserts.division import Grid
from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Loaf

PARFAIT = DessertKind(
    "parfait",
    "Frozen parfait",
    "two fills and a trail, frozen in a loaf pan",
    Loaf(250, 110, 230, 80, 70, 8),
    (
        KindPart("tier", "mousse", shares={"height_mm": 0.45}, jobs=("mousse.parfait",)),
        KindPart("tier", "ganache", {"height_mm": 3.0}),
        KindPart("fill", "mousse", jobs=("mousse.parfait",)),
    ),
    portions=Grid(10, 1),
)
