"""Molds and desserts of the demo kitchen."""

from dataclasses import dataclass

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    Layer,
    Wedges,
)
from fernbell.core.molds import Frame, Ring


@dataclass(frozen=True, slots=True)
class DemoMold:
    """A mold and how many of it hang in the kitchen."""

    slug: str
    name: str
    mold: Ring | Frame


@dataclass(frozen=True, slots=True)
class DemoDessert:
    """A dessert of the demo kitchen, its formulas named by slug."""

    slug: str
    mold: str
    count: int
    dessert: Dessert


MOLDS = (
    DemoMold("ring-20", "Ring 20 cm, 4.5 high", Ring(200, 45)),
    DemoMold("ring-16", "Ring 16 cm, 4.5 high", Ring(160, 45)),
    DemoMold("ring-8", "Ring 8 cm, 5 high", Ring(80, 50)),
    DemoMold("frame-18", "Frame 18 × 18, rounded", Frame(180, 180, 45, 12)),
    DemoMold("frame-57", "Frame 57 × 37", Frame(570, 370, 40)),
)

REEDBED = Dessert(
    name="Reedbed",
    mold=Ring(200, 45),
    parts=(
        Garnish("clusters", "barley-clusters", piece_g=1.5, pieces_per_portion=1),
        Coat("glaze", "amber-glaze", thickness_mm=2, runoff_percent=30, least_pour_g=900),
        Fill("mousse", "barley-mousse"),
        Insert(
            "heart",
            (
                Layer("cremeux", "malt-cremeux", height_mm=6),
                Layer("quince", "quince-set", height_mm=10),
            ),
            across_mm=160,
            lift_mm=20,
            name="Quince heart",
        ),
        Base("sponge", "brown-butter-sponge", height_mm=9, across_mm=184),
        Base("crumble", "rye-base", height_mm=7, across_mm=184),
        Band("strip", "reed-strip", height_mm=15, thickness_mm=2, overlap_mm=10),
    ),
    portions=Wedges(12),
)

DESSERTS = (DemoDessert("reedbed", "ring-20", 6, REEDBED),)
