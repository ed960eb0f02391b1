"""Mousse: a base, what sets it, and air folded in."""

from fernbell.core.families.chocolate_mousse import CHOCOLATE_MOUSSES
from fernbell.core.families.family import (
    Admits,
    Dial,
    Failure,
    Family,
    Job,
    StarterLine,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import BLOOM, BURNS, COOLING, EGG, chill, freeze, losses, step
from fernbell.core.families.mousse_parts import (
    BLOOM_WATER,
    COOK,
    GELATIN,
    GELATIN_LINE,
    SWEET,
    cream,
    fold,
)
from fernbell.core.pantry import LineRole

FROZEN = Dial(
    reading("fat"),
    "fat in the whole: it and sugar keep it soft when frozen",
    bands(8, "icy", 16, "cuts", 27, "rich", 34, "waxy", 45),
    (LineRole.CREAM,),
)
_WINDOWS = {
    "fat": window(8, 32, "Below it is icy and thin, above it is heavy and splits when folded."),
    "sweetness": SWEET,
}
_MILKY = Admits((LineRole.MILK, LineRole.CREAM), sour=False, most={"milk_fat": 20})
_ANGLAISE = (
    StarterLine("milk", 200, "anglaise", "the liquid", slot="on", admits=_MILKY),
    StarterLine("yolk", 60, "anglaise", "body"),
    StarterLine("sugar", 60, "anglaise", "sweetness"),
)
_BODY = Admits((LineRole.CREAM,), sour=False, least={"milk_fat": 18})
_PARFAIT_CREAM = Admits(
    (LineRole.CREAM,), sour=False, least={"milk_fat": 29}, most={"milk_fat": 36}
)
_SIPHON = "Never above the fill line; never opened under pressure; the charger the maker names."

MOUSSE = Family(
    "mousse",
    "Mousse",
    "mousse",
    (
        Job(
            key="anglaise",
            name="a ring, on custard",
            dial=GELATIN,
            band="slices",
            aim=1.0,
            parts=(*_ANGLAISE, GELATIN_LINE, BLOOM_WATER, cream(300)),
            steps=(
                BLOOM,
                COOK,
                step("melt", "Gelatin in, off the heat.", 70, caution=COOLING),
                *fold((25, 32), "Custard"),
            ),
            losses=losses(2, 3),
            windows=_WINDOWS,
        ),
        Job(
            key="fruit",
            name="a ring, on fruit",
            dial=GELATIN,
            band="slices",
            aim=0.92,
            parts=(
                StarterLine("puree", 300, "fruit", "flavor and water", slot="with"),
                StarterLine("sugar", 60, "fruit", "sweetness"),
                GELATIN_LINE,
                BLOOM_WATER,
                cream(330, 110),
            ),
            steps=(
                BLOOM,
                step("fruit", "Warm a third of the purée with the sugar; gelatin in.", 60),
                step("cool", "The cold rest in.", 26),
                *fold(26, "Fruit"),
            ),
            losses=losses(0, 3),
            windows={
                "fat": window(7, 25, "Below it is icy, above it hides the fruit."),
                "sweetness": SWEET,
            },
            notes=("Raw pineapple, kiwi, papaya and fig dissolve gelatin: boil them first.",),
        ),
        Job(
            key="meringue",
            name="a ring, fruit on Italian meringue",
            dial=GELATIN,
            band="slices",
            aim=0.92,
            parts=(
                StarterLine("puree", 300, "fruit", "flavor and water", slot="with"),
                GELATIN_LINE,
                BLOOM_WATER,
                StarterLine("sugar", 100, "syrup", "cooks the whites"),
                StarterLine("water", 30, "syrup", "dissolves the sugar"),
                StarterLine("white", 60, "whip", "air", overrun_percent=450),
                cream(200),
            ),
            steps=(
                BLOOM,
                step("fruit", "A third of the purée warm, gelatin in, the rest in.", 60),
                step("whip", "Whites to soft peaks while the syrup cooks.", 20),
                step(
                    "syrup",
                    "Syrup onto the whipping whites; they pass 72 °C; whip to 30 °C.",
                    (118, 121),
                    caution=BURNS,
                ),
                *fold(26, "Fruit and meringue"),
            ),
            losses=losses(2, 3),
            windows={
                "fat": window(5, 22, "Below it is icy, above it is heavy."),
                "sweetness": window(10, 30, "Below it tastes flat, above it cloys."),
            },
        ),
        Job(
            key="siphon",
            name="a siphon foam, on fruit",
            dial=GELATIN,
            band="spoons",
            aim=0.6,
            parts=(
                StarterLine("puree", 300, "warm", "flavor", slot="with", overrun_percent=200),
                StarterLine("sugar", 40, "warm", "sweetness"),
                StarterLine("gelatin", 5, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 28, "bloom", "blooms the gelatin"),
                StarterLine("cream", 120, "cream", "roundness", slot="cream", overrun_percent=200),
            ),
            steps=(
                BLOOM,
                step("warm", "Purée and sugar warm; gelatin in; strain.", 60),
                step(
                    "fill",
                    "Cream in; into the siphon to its line, charge, shake, chill.",
                    4,
                    wait=chill(120, 720),
                    caution=_SIPHON,
                ),
            ),
            losses=losses(0, 5),
            windows={"sweetness": SWEET, "fat": window(3, 30, "Below it runs, above it butters.")},
        ),
        Job(
            key="siphon-dairy",
            name="a siphon foam, on cream",
            dial=GELATIN,
            band="spoons",
            aim=0.5,
            parts=(
                StarterLine(
                    "cream", 250, "cream", "body", slot="on", overrun_percent=190, admits=_BODY
                ),
                StarterLine("milk", 150, "warm", "lightens it", overrun_percent=190),
                StarterLine("sugar", 40, "warm", "sweetness"),
                StarterLine("vanilla", 2, "warm", "flavor", optional=True, strained_percent=100),
                StarterLine("gelatin", 3.5, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 20, "bloom", "blooms the gelatin"),
            ),
            steps=(
                BLOOM,
                step("warm", "Milk, sugar and vanilla warm; gelatin in; cream in; strain.", 60),
                step(
                    "fill",
                    "Into the siphon to its line, charge, shake, chill.",
                    4,
                    wait=chill(120, 720),
                    caution=_SIPHON,
                ),
            ),
            losses=losses(0, 5),
            windows={"sweetness": SWEET, "fat": window(8, 30, "Below it runs, above it butters.")},
        ),
        Job(
            key="parfait",
            name="a frozen parfait",
            dial=FROZEN,
            band="cuts",
            aim=24.5,
            parts=(
                StarterLine("sugar", 96, "syrup", "keeps it soft"),
                StarterLine("water", 35, "syrup", "dissolves the sugar"),
                StarterLine("yolk", 75, "foam", "foam", overrun_percent=300),
                StarterLine(
                    "cream",
                    270,
                    "fold",
                    "air and fat",
                    slot="cream",
                    overrun_percent=90,
                    admits=_PARFAIT_CREAM,
                ),
            ),
            steps=(
                step("syrup", "Cook the syrup.", (118, 121), caution=BURNS),
                step(
                    "foam",
                    "Syrup onto whipping yolks; over steam, whip to cool.",
                    (82, 85),
                    caution=EGG,
                ),
                step("fold", "Cold foam, cream in three turns.", 15),
                step("freeze", "Into the lined loaf.", -18, wait=freeze(360)),
            ),
            losses=losses(5, 3),
            windows={
                "sugars": window(17, 26, "Below it freezes hard, above it never sets."),
                "sweetness": window(16, 32, "Below it tastes of fat, above it cloys."),
                "ice": window(None, 45, "Above it cuts like ice."),
            },
            notes=(
                "Out of the freezer about 10 min before slicing; a knife dipped in hot water.",
                "Wrapped, it keeps its taste two to three weeks at -18 °C; never frozen again.",
                "Trailed ganache stays softer frozen than plain chocolate.",
            ),
        ),
        *CHOCOLATE_MOUSSES,
    ),
    (
        Failure("flat", "folded hot, overworked, cream too stiff or melted", "Keep to the window."),
        Failure(
            "specks of gelatin or chocolate",
            "the base too cold",
            "Rewarm the base by a few degrees before folding.",
        ),
        Failure("grainy", "cream whipped stiff", "Soft peaks, 2-6 °C, a chilled bowl."),
        Failure("weeps after thawing", "too little set, frozen slowly", "More set; blast freezer."),
    ),
    (EGG, COOLING),
    flavor="cream",
)
