"""Custards: set by yolk, egg or starch, and by the heat they take."""

from dataclasses import replace

from fernbell.core.families.bavarois import BAVAROIS
from fernbell.core.families.citrus import CITRUS_CUSTARDS
from fernbell.core.families.custard_parts import BOIL, COOK, FAT, LIGHT, SWEET, VANILLA
from fernbell.core.families.family import (
    Admits,
    Dial,
    Failure,
    Family,
    Job,
    StarterLine,
    Way,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import BLOOM, COOLING, EGG, STEAM, chill, losses, step
from fernbell.core.families.mousse_parts import GELATIN
from fernbell.core.formulas import ratio
from fernbell.core.pantry import LineRole

DAIRY = (LineRole.MILK, LineRole.CREAM)
YOLK = Dial(
    ratio("yolk-liquid", "Yolk on milk and cream", (LineRole.YOLK,), DAIRY),
    "grams of yolk on 100 g of milk and cream",
    bands(4, "thin", 12, "coats the spoon", 22, "rich", 32, "eggy", 45),
    (LineRole.YOLK,),
)
BRULEE = Dial(
    ratio("yolk-liquid", "Yolk on milk and cream", (LineRole.YOLK,), DAIRY),
    "grams of yolk on 100 g of milk and cream",
    bands(6, "does not set", 14, "wobbles", 24, "firm", 32, "eggy", 45),
    (LineRole.YOLK,),
)
EGGS = Dial(
    ratio("egg-liquid", "Egg on milk and cream", (LineRole.EGG, LineRole.YOLK), DAIRY),
    "grams of egg on 100 g of milk and cream",
    bands(12, "does not set", 26, "trembles", 38, "unmolds", 52, "rubber", 80),
    (LineRole.EGG,),
)
STARCH = Dial(
    ratio("starch-milk", "Starch on milk", (LineRole.STARCH, LineRole.FLOUR), DAIRY),
    "grams of starch on 100 g of milk",
    bands(3, "pours", 6.5, "spoons", 8, "pipes", 10.5, "bakes", 14, "pasty", 20),
    (LineRole.STARCH, LineRole.FLOUR),
)
BUTTERED = Dial(
    reading("fat"),
    "fat in the whole, most of it butter",
    bands(8, "soft", 18, "holds", 28, "greasy", 40),
    (LineRole.BUTTER,),
)
WINE = Dial(
    ratio("yolk-wine", "Yolk on wine", (LineRole.YOLK,), (LineRole.ALCOHOL,)),
    "grams of yolk on 100 g of wine",
    bands(25, "thin", 60, "ribbon", 110, "heavy", 180),
    (LineRole.YOLK,),
)
# Juice, wine, vinegar and sour milk curdle with egg or starch at the boil.
_MILKY = Admits((LineRole.MILK, LineRole.CREAM), sour=False, most={"milk_fat": 36})
_RICH = Admits((LineRole.CREAM,), sour=False, least={"milk_fat": 30})
_MILKY_CREAM = Admits((LineRole.CREAM,), sour=False, least={"milk_fat": 18})
_WINY = Admits((LineRole.ALCOHOL,), most={"alcohol": 22}, most_solids=30)
_MILK = StarterLine("milk", 500, "boil", "the liquid", slot="on", admits=_MILKY)
_PASTRY = (
    _MILK,
    VANILLA,
    StarterLine("yolk", 90, "mix", "body"),
    StarterLine("sugar", 110, "mix", "sweetness"),
    StarterLine("starch", 45, "mix", "the dial sets it: it thickens at the boil"),
)
_PASTRY_STEPS = (
    BOIL,
    step("mix", "Yolks, sugar and starch whisked smooth; half the hot milk in; back.", 60),
    step("hold", "It must boil; whisking.", 100, (1, 2), sign="slow bubbles"),
)
_COOL = step("cool", "Film touching, thin on a tray.", 4, wait=chill(60, 2880), caution=COOLING)
_BATH = "Fill at the oven, water to half their height."
_WOBBLES = "In the bath; out when the middle still wobbles."
_SLOW_BATH = step("bake", _WOBBLES, 100, (60, 90), tool="oven", sign="wobbles", caution=STEAM)
_HOT_BATH = step("bake", _WOBBLES, (150, 160), (30, 40), tool="oven", sign="wobbles", caution=STEAM)


CUSTARDS = Family(
    "custard",
    "Custards",
    "custard",
    (
        Job(
            key="anglaise",
            name="an anglaise",
            dial=YOLK,
            band="coats the spoon",
            aim=18,
            parts=(
                _MILK,
                VANILLA,
                StarterLine("yolk", 90, "cook", "the dial sets it"),
                StarterLine("sugar", 90, "cook"),
            ),
            steps=(
                BOIL,
                COOK,
                step("cool", "Ice bath.", 4, wait=chill(30, 2880), caution=COOLING),
            ),
            losses=losses(3, 3),
            windows={"sweetness": SWEET, "fat": FAT},
        ),
        Job(
            key="pastry",
            name="pastry cream",
            dial=STARCH,
            band="pipes",
            aim=9,
            parts=(
                *_PASTRY,
                StarterLine("butter", 40, "butter", "shine and a short melt", optional=True),
            ),
            steps=(*_PASTRY_STEPS, step("butter", "Butter in at 60 °C.", 60), _COOL),
            losses=losses(5, 4),
            windows={"sweetness": SWEET, "fat": FAT},
        ),
        Job(
            key="mousseline",
            name="mousseline",
            dial=BUTTERED,
            band="holds",
            aim=24,
            parts=(
                replace(_MILK, admits=LIGHT),
                *_PASTRY[1:],
                StarterLine("butter", 220, "whip", "the dial sets it", overrun_percent=20),
            ),
            steps=(
                *_PASTRY_STEPS,
                _COOL,
                step(
                    "whip",
                    "Butter and custard at the same 20 °C: a fifth of the custard first, then all.",
                    20,
                    6,
                    tool="whisk",
                ),
            ),
            losses=losses(5, 4),
            windows={"sweetness": SWEET},
        ),
        Job(
            key="brulee",
            name="crème brûlée",
            dial=BRULEE,
            band="wobbles",
            aim=19,
            parts=(
                StarterLine("cream", 400, "warm", "the liquid", slot="on", admits=_RICH),
                StarterLine("milk", 100, "warm", "lightens it"),
                VANILLA,
                StarterLine("yolk", 95, "mix", "the dial sets it"),
                StarterLine("sugar", 75, "mix", "sweetness"),
            ),
            steps=(
                step("warm", "Warm cream and milk with vanilla.", 60),
                step("mix", "Onto yolks and sugar without foam; strain.", 45),
                step("fill", "Ramekins three quarters full. " + _BATH),
                _SLOW_BATH,
                step("cool", "Cold; burn the sugar at service.", 4, wait=chill(120, 2880)),
            ),
            losses=losses(4, 2),
            ways=(Way("100 °C, longer", (_SLOW_BATH,)), Way("150-160 °C, shorter", (_HOT_BATH,))),
            windows={
                "sweetness": SWEET,
                "fat": window(15, 38, "Below it is thin, above it coats."),
            },
            notes=("Torch: nothing that burns near, gas off at once.",),
        ),
        Job(
            key="baked",
            name="a baked custard",
            dial=EGGS,
            band="unmolds",
            aim=43,
            parts=(
                StarterLine("milk", 400, "warm", "the liquid", slot="on", admits=LIGHT),
                StarterLine("cream", 100, "warm", "roundness"),
                VANILLA,
                StarterLine("egg", 200, "mix", "the dial sets it"),
                StarterLine("sugar", 100, "mix", "sweetness"),
            ),
            steps=(
                step("warm", "Warm milk, cream, vanilla.", 60),
                step("mix", "Onto egg and sugar without foam; strain. " + _BATH, 45),
                step(
                    "bake", "Until the middle still wobbles.", 150, 40, tool="oven", sign="wobbles"
                ),
                step("cool", "Cold, overnight for unmolding.", 4, wait=chill(240, 2880)),
            ),
            losses=losses(4, 2),
            windows={
                "sweetness": SWEET,
                "fat": window(3, 20, "Below it is thin, above it is heavy."),
            },
        ),
        Job(
            key="set",
            name="a cream set with gelatin",
            dial=GELATIN,
            band="spoons",
            aim=0.62,
            parts=(
                StarterLine("cream", 300, "cream", "body", slot="on", admits=_MILKY_CREAM),
                StarterLine("milk", 200, "warm", "lightens it"),
                StarterLine("sugar", 50, "warm", "sweetness"),
                VANILLA,
                StarterLine("gelatin", 3, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 18, "bloom", "blooms the gelatin"),
            ),
            steps=(
                BLOOM,
                step("warm", "Milk, sugar and vanilla hot, not boiling; gelatin in; strain.", 70),
                step("cream", "Cold cream in; stir over ice until it just thickens.", 14),
                step("set", "Into its cups.", 4, wait=chill(240, 2880), caution=COOLING),
            ),
            losses=losses(1, 3),
            windows={
                "sweetness": SWEET,
                "fat": window(8, 30, "Below it is thin, above it coats the tongue."),
            },
            notes=("To unmold it, a little firmer: 0.75.",),
        ),
        Job(
            key="sabayon",
            name="sabayon",
            dial=WINE,
            band="ribbon",
            aim=80,
            parts=(
                StarterLine("wine", 150, "whisk", "flavor and the liquid", slot="on", admits=_WINY),
                StarterLine("yolk", 120, "whisk", "the dial sets it", overrun_percent=440),
                StarterLine("sugar", 80, "whisk", "sweetness"),
            ),
            steps=(
                step(
                    "whisk",
                    "Over steam, the bowl not touching the water, to the ribbon.",
                    82,
                    8,
                    tool="whisk",
                    sign="ribbon",
                    caution=STEAM,
                ),
            ),
            losses=losses(4, 4),
            windows={"sweetness": window(14, 36, "Below it is sharp, above it cloys.")},
            notes=("Served at once.",),
        ),
        *BAVAROIS,
        *CITRUS_CUSTARDS,
    ),
    (
        Failure("curdled", "above 85 °C", "Strain, blend; start again if it smells of egg."),
        Failure("thins later", "not boiled: yolk eats the starch", "1-2 min at the boil."),
        Failure(
            "cracked or watery",
            "oven too hot, water in",
            "Lower; a calibrated oven; rotate half-way; cover the bath.",
        ),
        Failure("full of holes", "foam on it, too hot", "Strain, skim, lower oven."),
        Failure("mousseline curdles", "butter or base too cold", "Warm the bowl, whip on."),
    ),
    (EGG, COOLING, STEAM),
    flavor="cream",
)
