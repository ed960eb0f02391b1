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

_HUNG = {mold.slug: mold.mold for mold in MOLDS}

HEDGEROW = Dessert(
    name="Hedgerow log",
    mold=_HUNG["sheet-40"],
    parts=(
        Garnish("tuile", "poppy-tuile", piece_g=4, pieces_per_portion=1),
        Coat("glaze", "hedgerow-glaze", thickness_mm=2, runoff_percent=30, least_pour_g=600),
        Core("heart", "blackcurrant-set", across_mm=22),
        Soak("syrup", "bay-syrup", on_100_cm2_g=6),
        Roll(
            "roll",
            (
                Layer("mousse", "yogurt-mousse", height_mm=7),
                Layer("sheet", "poppy-roulade", height_mm=8),
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
        Garnish("honeycomb", "honeycomb", piece_g=4, pieces_per_portion=1),
        Fill("ganache", "dark-ganache", level_mm=22),
        Tier("caramel", "honey-caramel", height_mm=7),
        Lining("shell", "buckwheat-paste", thickness_mm=3),
    ),
    portions=Wedges(12),
)

FOGHORN = Dessert(
    name="Foghorn domes",
    mold=_HUNG["dome-8"],
    parts=(
        Coat("spray", "fog-spray", thickness_mm=1, runoff_percent=20),
        Fill("mousse", "white-mousse"),
        Insert(
            "curd",
            (Layer("buckthorn", "buckthorn-curd", height_mm=14),),
            across_mm=44,
            lift_mm=11,
        ),
        Base("crisp", "pumpkin-crisp", height_mm=4, across_mm=72),
    ),
    portions=Wedges(1),
    built="upside down",
)

CUPS = Dessert(
    name="Interval cups",
    mold=_HUNG["cup-7"],
    parts=(
        Garnish("crumb", "oat-crumb", piece_g=4, pieces_per_portion=1),
        Tier("cream", "elder-cream", height_mm=28),
        Tier("jelly", "rhubarb-jelly", height_mm=12),
        Tier("base", "oat-crumb", height_mm=12, name="Oat crumb, pressed"),
    ),
    portions=Wedges(1),
)

LANTERNS = Dessert(
    name="Rhubarb lanterns",
    mold=_HUNG["puff-6"],
    parts=(
        Disc("craquelin", "craquelin", across_mm=45, thickness_mm=2, spare_percent=5),
        Fill("diplomat", "diplomat"),
        Tier("compote", "rhubarb-compote", height_mm=8),
        PuffShell("choux", "choux", wall_mm=6),
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
