"""Glazes, coats and sprays: what runs, sets and shines."""

from fernbell.core.families.family import (
    Admits,
    Dial,
    Failure,
    Family,
    Job,
    Setting,
    StarterLine,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import BLOOM, BURNS, EGG, by_brix, chill, losses, rest, step
from fernbell.core.formulas import Step, Until, ratio
from fernbell.core.pantry import LineRole

_COVERS = Admits((LineRole.CREAM, LineRole.MILK), most={"milk_fat": 42})
_WETS = Admits((LineRole.WATER, LineRole.FRUIT, LineRole.MILK), most_solids=30)
MIRROR = Dial(
    reading("gelatin-water"),
    "gelatin of 200 bloom on the water",
    bands(1.5, "slides off", 4, "coats", 6.8, "sets early", 10),
    (LineRole.GELATIN,),
)
DARK = Dial(
    reading("solids"),
    "what is not water",
    bands(45, "runs", 56, "coats", 70, "drags", 80),
    (LineRole.WATER, LineRole.CREAM, LineRole.MILK),
)
NEUTRAL = Dial(
    reading("brix"),
    "what is dissolved, as a refractometer sees it",
    bands(40, "runs", 58, "brushes", 68, "drags", 76),
    Until.BRIX,
)
SPRAY = Dial(
    reading("fat"),
    "fat in the whole: how fine it sprays",
    bands(38, "clogs", 50, "sprays", 64, "runs", 80),
    (LineRole.COCOA_BUTTER,),
)
_STIRRED = (LineRole.WATER, LineRole.FRUIT, LineRole.WHITE, LineRole.EGG, LineRole.MILK)
ICING = Dial(
    ratio(
        "liquid-sugar",
        "Liquid on the sugar",
        _STIRRED,
        (LineRole.SUGAR,),
    ),
    "grams of liquid on 100 g of icing sugar",
    bands(8, "pipes", 15, "flows", 22, "glazes", 32, "runs off", 45),
    _STIRRED,
)
SOLIDS = window(52, 78, "Below it runs off and freezes hard, above it drags and stays thick.")

_SYRUP = step("syrup", "Water, sugar and glucose to a full boil.", 103, caution=BURNS)
_BLEND = step(
    "blend",
    "Over the chocolate, condensed milk and gelatin; blend without air; film.",
    (70, 80),
    tool="hand blender",
    wait=chill(600, 4320),
)


def _mirror(celsius: float | tuple[float, float]) -> tuple[Step, ...]:
    """The method of a mirror that is poured so warm."""
    return (
        BLOOM,
        _SYRUP,
        _BLEND,
        step("warm", "Warm until it runs again; let it cool to the pour.", 40),
        step(
            "pour",
            "Onto the cake straight from the freezer, on something narrower; save what runs off.",
            celsius,
        ),
    )


_GELATIN = (
    StarterLine("gelatin", 12, "bloom", "the dial sets it: it holds on the wall", slot="set"),
    StarterLine("water", 66, "bloom", "blooms the gelatin; it follows it"),
)

GLAZES = Family(
    "glaze",
    "Glazes",
    "glaze",
    (
        Job(
            key="mirror",
            name="a mirror",
            dial=MIRROR,
            band="coats",
            aim=5.4,
            parts=(
                StarterLine("water", 110, "syrup", "dissolves the sugar"),
                StarterLine("sugar", 150, "syrup", "gloss"),
                StarterLine("glucose", 150, "syrup", "gloss and flow"),
                StarterLine("condensed", 100, "blend", "covers"),
                *_GELATIN,
                StarterLine("milk-chocolate", 150, "blend", "color and covering", slot="with"),
            ),
            steps=_mirror(35),
            losses=losses(1, 4),
            windows={"solids": SOLIDS},
            boils=("syrup",),
            by_kind={
                "dark": Setting(steps=_mirror((32, 38))),
                "white": Setting(steps=_mirror((30, 35))),
                "compound white": Setting(steps=_mirror((30, 35))),
            },
        ),
        Job(
            key="dark",
            name="a dark cream glaze",
            dial=DARK,
            band="coats",
            aim=63,
            parts=(
                StarterLine("water", 110, "syrup", "dissolves the sugar"),
                StarterLine("sugar", 180, "syrup", "gloss"),
                StarterLine("glucose", 40, "syrup", "flow"),
                StarterLine("cream", 130, "syrup", "covers", slot="on", admits=_COVERS),
                StarterLine("cocoa", 60, "syrup", "color", slot="with"),
                StarterLine("gelatin", 9, "bloom", "holds on the wall", slot="set"),
                StarterLine("water", 50, "bloom", "blooms the gelatin"),
            ),
            steps=(
                BLOOM,
                _SYRUP,
                step("blend", "Gelatin in at 70 °C; strain; film.", 70, wait=chill(600, 4320)),
                step("pour", "Used at 40 °C.", 40),
            ),
            losses=losses(6, 4),
            boils=("syrup",),
            windows={
                "gelatin-water": window(
                    1.8, 6.5, "Below it slides off the wall, above it sets before it ran."
                )
            },
        ),
        Job(
            key="neutral",
            name="a clear glaze",
            dial=NEUTRAL,
            band="brushes",
            aim=63,
            parts=(
                StarterLine("water", 250, "boil", "the liquid"),
                StarterLine("sugar", 260, "boil", "sweetness; pectin NH needs it"),
                StarterLine("glucose", 60, "boil", "shine"),
                StarterLine("pectin-nh", 7, "boil", "sets, and melts again"),
                StarterLine("lemon", 20, "acid", "pectin NH needs acid"),
            ),
            steps=(
                step(
                    "boil",
                    "Pectin mixed with the sugar, rained in; boil to the sign.",
                    103,
                    caution=BURNS,
                ),
                step("acid", "Lemon in; film.", 90, wait=chill(60, 10080)),
                step("brush", "Melt to 60 °C and brush or spray.", 60),
            ),
            losses=by_brix(63, 3, 12),
            boils=("boil",),
            windows={"solids": window(50, 74, "Below it weeps, above it is sticky.")},
        ),
        Job(
            key="spray",
            name="a velvet spray",
            dial=SPRAY,
            band="sprays",
            aim=57,
            parts=(
                StarterLine("dark", 350, "melt", "color", slot="with"),
                StarterLine("cocoa-butter", 150, "melt", "the dial sets it: 70 to 30"),
            ),
            steps=(
                step("melt", "Melt, strain.", 45),
                step("spray", "Warm, from 30 cm onto a frozen surface.", 42),
            ),
            losses=losses(0, 8),
            windows={"water": window(None, 2, "Any water seizes chocolate.")},
            notes=("Frozen surface, or it runs. Mask on, air out.",),
            kind="chocolate",
        ),
        Job(
            key="icing",
            name="a sugar icing",
            dial=ICING,
            band="flows",
            aim=18,
            parts=(
                StarterLine("icing-sugar", 250, "stir", "body"),
                StarterLine("lemon", 45, "stir", "the dial sets it", slot="on", admits=_WETS),
            ),
            steps=(step("stir", "Sift, stir until it shines; use at once.", 30, wait=rest(1, 30)),),
            losses=losses(0, 3),
            windows={
                "solids": window(70, 95, "Below it runs off and stays wet, above it crumbles.")
            },
        ),
        Job(
            key="royal",
            name="a royal icing",
            dial=ICING,
            band="flows",
            aim=18,
            parts=(
                StarterLine("icing-sugar", 250, "beat", "body"),
                StarterLine("white", 42, "beat", "the dial sets it: it dries hard"),
                StarterLine("lemon", 2, "beat", "keeps it white", optional=True),
            ),
            steps=(
                step(
                    "beat",
                    "Pasteurized white, sugar sifted in, beaten slowly to peaks; cover with a damp "
                    "cloth.",
                    20,
                    5,
                    caution=EGG,
                ),
                step("pipe", "Stiff for lines; let down with a few drops to flood.", 20),
            ),
            losses=losses(0, 5),
            windows={"solids": window(70, 95, "Below it runs, above it crumbles.")},
            notes=("It dries hard: overnight, uncovered, away from moisture.",),
        ),
        Job(
            key="whole",
            name="an icing of whole egg",
            dial=ICING,
            band="flows",
            aim=21,
            parts=(
                StarterLine("icing-sugar", 250, "beat", "body"),
                StarterLine("egg", 50, "beat", "the dial sets it: softer than white alone"),
                StarterLine("lemon", 3, "beat", "freshness", optional=True),
            ),
            steps=(
                step(
                    "beat",
                    "Pasteurized egg, sugar sifted in, beaten until it ribbons.",
                    20,
                    5,
                    caution=EGG,
                ),
                step("dry", "Brushed on; dried in a cooling oven until it is matt.", (80, 100), 20),
            ),
            losses=losses(0, 5),
            windows={"solids": window(70, 95, "Below it runs, above it crumbles.")},
        ),
    ),
    (
        Failure("slides off", "frost, too hot, too little set", "Wipe; 35 °C; frozen hard."),
        Failure("thick, drags", "too cold", "Warm by two degrees; a spoon of syrup."),
        Failure("bubbles", "air blended in", "Blade under the surface; film; overnight; strain."),
    ),
    (BURNS,),
    flavor="amber",
)
