"""A high cake of layers in cream, coated thinly, drips down its edge, a piped border."""

from fernbell.core.desserts.division import Wedges
from fernbell.core.desserts.kinds.kind import DessertKind, KindPart
from fernbell.core.molds import Ring

DRIP_CAKE = DessertKind(
    "drip cake",
    "Drip cake",
    "a high cake, drips counted along its edge",
    Ring(180, 100),
    (
        KindPart("tier", "sponge", shares={"height_mm": 0.2}),
        KindPart("tier", "cream", shares={"height_mm": 0.15}),
        KindPart("tier", "sponge", shares={"height_mm": 0.2}),
        KindPart("tier", "cream", shares={"height_mm": 0.15}),
        KindPart("tier", "sponge", shares={"height_mm": 0.2}),
        KindPart(
            "coat", "cream", {"thickness_mm": 4.0, "runoff_percent": 0.0, "least_pour_g": 0.0}
        ),
        KindPart("drip", "ganache", jobs=("ganache.drip",)),
        KindPart("piped", "cream", {"across_mm": 24.0, "height_mm": 18.0}),
    ),
    portions=Wedges(20),
    usual_in_it=False,
)
