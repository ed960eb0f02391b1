"""Desserts of the demo kitchen."""

from dataclasses import dataclass

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Core,
    Dessert,
    Disc,
    Fill,
    Garnish,
    Insert,
    Layer,
    Lining,
    PuffShell,
    Roll,
    Slices,
    Soak,
    Tier,
    Wedges,
)
from fernbell.core.molds import Ring
from fernbell.starter.molds import MOLDS


@dataclass(frozen=True, slots=True)
class DemoSize:
    """Another size of a dessert, by the mold it is made in."""

    mold: str
    count: int


@dataclass(frozen=True, slots=True)
class DemoDessert:
    """A dessert of the demo kitchen, its formulas named by slug."""

    slug: str
    mold: str
    count: int
    dessert: Dessert
    sizes: tuple[DemoSize, ...] = ()


REEDBED = Dessert(
    name="Reedbed",
    mold=Ring(200, 45),
    parts=(
        Garnish(key="clusters", formula="barley-clusters", piece_g=1.5, pieces_per_portion=1),
        Coat(
            key="glaze", formula="amber-glaze", thickness_mm=2, runoff_percent=30, least_pour_g=900
        ),
        Fill(key="mousse", formula="barley-mousse"),
        Insert(
            key="heart",
            layers=(
                Layer(key="cremeux", formula="malt-cremeux", height_mm=6),
                Layer(key="quince", formula="quince-set", height_mm=10),
            ),
            across_mm=160,
            lift_mm=20,
            name="Quince heart",
        ),
        Base(key="sponge", formula="brown-butter-sponge", height_mm=9, across_mm=184),
        Base(key="crumble", formula="rye-base", height_mm=7, across_mm=184),
        Band(key="strip", formula="reed-strip", height_mm=15, thickness_mm=2, overlap_mm=10),
    ),
    portions=Wedges(12),
)

_HUNG = {mold.slug: mold.mold for mold in MOLDS}

HEDGEROW = Dessert(
    name="Hedgerow log",
    mold=_HUNG["sheet-40"],
    parts=(
        Garnish(key="tuile", formula="poppy-tuile", piece_g=4, pieces_per_portion=1),
        Coat(
            key="glaze",
            formula="hedgerow-glaze",
            thickness_mm=2,
            runoff_percent=30,
            least_pour_g=600,
        ),
        Core(key="heart", formula="blackcurrant-set", across_mm=22),
        Soak(key="syrup", formula="bay-syrup", on_100_cm2_g=6),
        Roll(
            key="roll",
            layers=(
                Layer(key="mousse", formula="yogurt-mousse", height_mm=7),
                Layer(key="sheet", formula="poppy-roulade", height_mm=8),
            ),
            trim_mm=12,
            knots=2,
            name="Poppy-seed roll",
        ),
    ),
    portions=Slices(15),
)

BEEKEEPER = Dessert(
    name="Beekeeper's tart",
    mold=_HUNG["tart-24"],
    parts=(
        Garnish(key="honeycomb", formula="honeycomb", piece_g=4, pieces_per_portion=1),
        Fill(key="ganache", formula="dark-ganache", level_mm=22),
        Tier(key="caramel", formula="honey-caramel", height_mm=7),
        Lining(key="shell", formula="buckwheat-paste", thickness_mm=3),
    ),
    portions=Wedges(12),
)

FOGHORN = Dessert(
    name="Foghorn domes",
    mold=_HUNG["dome-8"],
    parts=(
        Coat(key="spray", formula="fog-spray", thickness_mm=1, runoff_percent=20),
        Fill(key="mousse", formula="white-mousse"),
        Insert(
            key="curd",
            layers=(Layer(key="buckthorn", formula="buckthorn-curd", height_mm=14),),
            across_mm=44,
            lift_mm=11,
        ),
        Base(key="crisp", formula="pumpkin-crisp", height_mm=4, across_mm=72),
    ),
    portions=Wedges(1),
    built="upside down",
)

CUPS = Dessert(
    name="Interval cups",
    mold=_HUNG["cup-7"],
    parts=(
        Garnish(key="crumb", formula="oat-crumb", piece_g=4, pieces_per_portion=1),
        Tier(key="cream", formula="elder-cream", height_mm=28),
        Tier(key="jelly", formula="rhubarb-jelly", height_mm=12),
        Tier(key="base", formula="oat-crumb", height_mm=12, name="Oat crumb, pressed"),
    ),
    portions=Wedges(1),
)

LANTERNS = Dessert(
    name="Rhubarb lanterns",
    mold=_HUNG["puff-6"],
    parts=(
        Disc(key="craquelin", formula="craquelin", across_mm=45, thickness_mm=2, spare_percent=5),
        Fill(key="diplomat", formula="diplomat"),
        Tier(key="compote", formula="rhubarb-compote", height_mm=8),
        PuffShell(key="choux", formula="choux", wall_mm=6),
    ),
    portions=Wedges(1),
)

DESSERTS = (
    DemoDessert("hedgerow", "sheet-40", 4, HEDGEROW),
    DemoDessert("beekeeper", "tart-24", 6, BEEKEEPER),
    DemoDessert("foghorn", "dome-8", 24, FOGHORN),
    DemoDessert("lanterns", "puff-6", 100, LANTERNS, (DemoSize("puff-3", 100),)),
    DemoDessert("cups", "cup-7", 40, CUPS),
    DemoDessert("reedbed", "ring-20", 6, REEDBED),
)
