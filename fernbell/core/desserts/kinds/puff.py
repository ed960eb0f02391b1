"""A hollow shell with a disc of craquelin, filled with cream."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Puff

PUFF = DessertKind(
    "puff",
    "Puffs",
    "piped, capped with a disc, filled through the foot",
    Puff(45, 18),
    (
        KindPart("puff", "paste", jobs=("paste.choux",)),
        KindPart("fill", "cream"),
        KindPart("disc", "crumble", jobs=("paste.craquelin",)),
    ),
)
