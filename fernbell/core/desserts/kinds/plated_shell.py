"""A thin shell over a cream on a plate, petals around it, a hot sauce poured at the table."""

from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Turned, WallPoint

PLATED_SHELL = DessertKind(
    "plated shell",
    "Plated shell",
    "a shell with petals, a hot sauce at the table",
    Turned((WallPoint(0, 0), WallPoint(40, 80, 40))),
    (
        KindPart("lining", "chocolate", {"thickness_mm": 2.0}, jobs=("chocolate.shells",)),
        KindPart("tier", "mousse", shares={"height_mm": 0.5}),
        KindPart(
            "leaf",
            "chocolate",
            {"pieces": 5, "long_mm": 45.0, "wide_mm": 30.0, "standing": True},
        ),
        KindPart("sauce", "ganache", {"hot": True}, jobs=("ganache.sauce", "ganache.pour")),
    ),
    built="upside down",
    usual_in_it=False,
)
