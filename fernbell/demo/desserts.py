"""Desserts of the demo kitchen."""

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
from fernbell.core.molds import Ring


@dataclass(frozen=True, slots=True)
class DemoDessert:
    """A dessert of the demo kitchen, its formulas named by slug."""

    slug: str
    mold: str
    count: int
    dessert: Dessert


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
