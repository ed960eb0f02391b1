"""A base, an insert, mousse around it, a glaze over it."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Ring

ENTREMET = DessertKind(
    "entremet",
    "Entremet",
    "a base and a frozen insert in mousse, glazed",
    Ring(180, 45),
    (
        KindPart("base", "sponge"),
        KindPart("insert", "fruit", jobs=("fruit.insert",)),
        KindPart("fill", "mousse"),
        KindPart("coat", "glaze"),
        KindPart("garnish", "crisp"),
    ),
)
