"""A gutter of mousse with a bar in it, a plank for a base, glazed."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Gutter

MOLDED_LOG = DessertKind(
    "molded log",
    "Log, molded",
    "mousse and a bar in a gutter, on a plank",
    Gutter(300, 80, 65),
    (
        KindPart("base", "sponge", {"height_mm": 8.0}),
        KindPart("insert", "fruit"),
        KindPart("fill", "mousse"),
        KindPart("coat", "glaze"),
    ),
    built="upside down",
)
