"""Mousse: a base, what sets it, and air folded in."""

from fernbell.core.families.family import (
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
from fernbell.core.formulas import HOLD_SOURCE, Step
from fernbell.core.pantry import LineRole

_BANDS = bands(0.1, "flows", 0.35, "spoons", 0.7, "slices", 1.35, "firm", 1.9, "rubber", 3)
GELATIN = Dial(
    reading("hold"),
    "gelatin on the water and cocoa on the whole, as much as holds a clean slice is 1",
    _BANDS,
    (LineRole.GELATIN,),
    HOLD_SOURCE,
)
COCOA = Dial(
    reading("hold"),
    "gelatin on the water and cocoa on the whole, as much as holds a clean slice is 1",
    _BANDS,
    (LineRole.CHOCOLATE, LineRole.COCOA_BUTTER),
    HOLD_SOURCE,
)
FROZEN = Dial(
    reading("fat"),
    "fat in the whole: it and sugar keep it soft when frozen",
    bands(8, "icy", 14, "cuts", 24, "rich", 34, "waxy", 45),
    (LineRole.CREAM,),
)
RICH = window(8, 32, "Below it is icy and thin, above it is heavy and splits when folded.")
SWEET = window(8, 26, "Below it tastes flat, above it cloys.")
_WINDOWS = {"fat": RICH, "sweetness": SWEET}
_CHOCOLATE_FAT = window(14, 38, "Below it is thin, above it is heavy and splits when folded.")

_CREAM = StarterLine("cream", 300, "fold", "air; soft peak", slot="cream", overrun_percent=90)
_GELATIN = StarterLine("gelatin", 8, "bloom", "the dial sets it", slot="set")
_WATER = StarterLine("water", 44, "bloom", "blooms the gelatin")
_ANGLAISE = (
    StarterLine("milk", 200, "anglaise", "the liquid", slot="on"),
    StarterLine("yolk", 60, "anglaise", "body"),
    StarterLine("sugar", 60, "anglaise", "sweetness"),
)
_COOK = step(
    "anglaise",
    "Yolks and sugar whisked; half the hot milk to temper; cook stirring, never boiling; strain.",
    83,
    tool="spatula",
    sign="coats the spoon",
    caution=EGG,
)


def _fold(celsius: float, base: str) -> tuple[Step, ...]:
    return (
        step(
            "fold",
            f"{base} at {celsius:g} °C: a little cream to loosen, then the rest in two turns.",
            celsius,
            tool="spatula",
            sign="streaks are better than a flat mousse",
        ),
        step("set", "Into the ring; overnight for its true texture.", 4, wait=freeze(360, 1440)),
    )


_MELT = step("melt", "Melt the chocolate.", 45)
_SYRUP = step("syrup", "Cook the syrup.", 118, sign="118-121 °C", caution=BURNS)

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
            parts=(*_ANGLAISE, _GELATIN, _WATER, _CREAM),
            steps=(
                BLOOM,
                _COOK,
                step("melt", "Gelatin in, off the heat.", 70, caution=COOLING),
                *_fold(28, "Custard"),
            ),
            losses=losses(2, 3),
            windows=_WINDOWS,
        ),
        Job(
            key="chocolate",
            name="a ring, chocolate on custard",
            dial=COCOA,
            band="slices",
            aim=1.05,
            parts=(
                StarterLine("milk", 110, "anglaise", "the liquid", slot="on"),
                StarterLine("yolk", 45, "anglaise", "body"),
                StarterLine("sugar", 20, "anglaise", "sweetness"),
                StarterLine(
                    "dark", 200, "melt", "the dial sets it: it sets as it cools", slot="with"
                ),
                StarterLine(
                    "cream", 300, "fold", "air; soft peak", slot="cream", overrun_percent=90
                ),
            ),
            steps=(_MELT, _COOK, *_fold(38, "Chocolate custard")),
            losses=losses(2, 3),
            windows=_WINDOWS,
        ),
        Job(
            key="white",
            name="a ring, white or milk chocolate",
            dial=GELATIN,
            band="slices",
            aim=1.1,
            parts=(
                StarterLine("milk", 110, "anglaise", "the liquid", slot="on"),
                StarterLine("yolk", 35, "anglaise", "body"),
                StarterLine(
                    "gelatin", 5, "bloom", "the dial sets it: their butter sets less", slot="set"
                ),
                StarterLine("water", 27, "bloom", "blooms the gelatin"),
                StarterLine("white-chocolate", 200, "melt", "flavor and set", slot="with"),
                StarterLine(
                    "cream", 300, "fold", "air; soft peak", slot="cream", overrun_percent=90
                ),
            ),
            steps=(BLOOM, _MELT, _COOK, *_fold(32, "Chocolate custard")),
            losses=losses(2, 3),
            windows={
                "fat": _CHOCOLATE_FAT,
                "sweetness": window(8, 30, "Below it is flat, above it cloys."),
            },
            notes=("White and milk bases fold at 30-35 °C.",),
        ),
        Job(
            key="bombe",
            name="a ring, on yolk foam",
            dial=COCOA,
            band="slices",
            aim=1.05,
            parts=(
                StarterLine("sugar", 55, "syrup", "cooks the yolks"),
                StarterLine("water", 20, "syrup", "dissolves the sugar"),
                StarterLine("yolk", 75, "foam", "foam", overrun_percent=120),
                StarterLine("dark", 210, "melt", "the dial sets it", slot="with"),
                StarterLine(
                    "cream", 330, "fold", "air; soft peak", slot="cream", overrun_percent=90
                ),
            ),
            steps=(
                _MELT,
                _SYRUP,
                step(
                    "foam",
                    "Syrup onto the whipping yolks; to at least 72 °C over steam, whip to cool.",
                    72,
                    caution=EGG,
                ),
                *_fold(40, "Chocolate"),
            ),
            losses=losses(2, 3),
            windows={"fat": _CHOCOLATE_FAT, "sweetness": SWEET},
        ),
        Job(
            key="classic",
            name="cups, chocolate with yolks and butter",
            dial=COCOA,
            band="slices",
            aim=1.1,
            parts=(
                StarterLine("dark", 200, "melt", "the dial sets it", slot="with"),
                StarterLine("butter", 50, "melt", "melts on the tongue"),
                StarterLine("yolk", 60, "yolks", "binds; over steam"),
                StarterLine("sugar", 50, "whites", "holds the foam"),
                StarterLine("white", 150, "whites", "air", overrun_percent=350),
                StarterLine("cream", 120, "fold", "roundness", slot="cream", overrun_percent=80),
            ),
            steps=(
                step("melt", "Melt chocolate and butter.", 45),
                step("yolks", "Yolks whisked over steam; into the chocolate.", 72, caution=EGG),
                step(
                    "whites",
                    "Whites and sugar over steam to 72 °C, then whipped to soft peaks.",
                    72,
                    caution=EGG,
                ),
                step("fold", "At 40 °C, by thirds.", 40, tool="spatula"),
                step("set", "Into cups.", 4, wait=chill(120, 1440)),
            ),
            losses=losses(0, 3),
            windows={
                "fat": RICH,
                "sweetness": window(8, 28, "Below it is bitter, above it cloys."),
            },
        ),
        Job(
            key="fruit",
            name="a ring, on fruit",
            dial=GELATIN,
            band="slices",
            aim=1.0,
            parts=(
                StarterLine("puree", 300, "fruit", "flavor and water", slot="with"),
                StarterLine("sugar", 60, "fruit", "sweetness"),
                _GELATIN,
                _WATER,
                StarterLine(
                    "cream", 300, "fold", "air; soft peak", slot="cream", overrun_percent=90
                ),
            ),
            steps=(
                BLOOM,
                step("fruit", "Warm a third of the purée with the sugar; gelatin in.", 60),
                step("cool", "The cold rest in.", 26),
                *_fold(26, "Fruit"),
            ),
            losses=losses(0, 3),
            windows={
                "fat": window(7, 25, "Below it is icy, above it hides the fruit."),
                "sweetness": SWEET,
            },
            notes=("Raw pineapple, kiwi, papaya and fig dissolve gelatin: boil them first.",),
        ),
        Job(
            key="ganache",
            name="a ring, on ganache",
            dial=COCOA,
            band="slices",
            aim=0.95,
            parts=(
                StarterLine("dark", 200, "melt", "the dial sets it", slot="with"),
                StarterLine("cream", 150, "pour", "makes the ganache", slot="on"),
                StarterLine("cream", 300, "fold", "air; soft peak", overrun_percent=90),
            ),
            steps=(
                _MELT,
                step("pour", "Hot cream over it in three turns; stir from the middle.", 80),
                *_fold(36, "Ganache"),
            ),
            losses=losses(0, 3),
            windows={
                "fat": window(15, 40, "Below it is thin, above it splits when folded."),
                "sweetness": SWEET,
            },
        ),
        Job(
            key="meringue",
            name="a ring, fruit on Italian meringue",
            dial=GELATIN,
            band="slices",
            aim=1.0,
            parts=(
                StarterLine("puree", 300, "fruit", "flavor and water", slot="with"),
                _GELATIN,
                _WATER,
                StarterLine("sugar", 100, "syrup", "cooks the whites"),
                StarterLine("water", 30, "syrup", "dissolves the sugar"),
                StarterLine("white", 60, "whip", "air", overrun_percent=450),
                StarterLine(
                    "cream", 200, "fold", "air; soft peak", slot="cream", overrun_percent=90
                ),
            ),
            steps=(
                BLOOM,
                step("fruit", "A third of the purée warm, gelatin in, the rest in.", 60),
                step("whip", "Whites to soft peaks while the syrup cooks.", 20),
                step(
                    "syrup",
                    "Syrup onto the whipping whites; they pass 72 °C; whip to 30 °C.",
                    118,
                    caution=BURNS,
                ),
                *_fold(26, "Fruit and meringue"),
            ),
            losses=losses(2, 3),
            windows={
                "fat": window(5, 22, "Below it is icy, above it is heavy."),
                "sweetness": window(10, 30, "Below it tastes flat, above it cloys."),
            },
        ),
        Job(
            key="siphon",
            name="a siphon foam",
            dial=GELATIN,
            band="spoons",
            aim=0.6,
            parts=(
                StarterLine("puree", 300, "warm", "flavor", slot="with"),
                StarterLine("sugar", 40, "warm", "sweetness"),
                StarterLine("gelatin", 5, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 28, "bloom", "blooms the gelatin"),
                StarterLine("cream", 120, "cream", "roundness", slot="cream", overrun_percent=250),
            ),
            steps=(
                BLOOM,
                step("warm", "Purée and sugar warm; gelatin in; strain.", 60),
                step(
                    "fill",
                    "Cream in; into the siphon to its line, charge, shake, chill.",
                    4,
                    wait=chill(120, 720),
                    caution="Never above the fill line; never opened under pressure.",
                ),
            ),
            losses=losses(0, 5),
            windows={"sweetness": SWEET},
        ),
        Job(
            key="parfait",
            name="a frozen parfait",
            dial=FROZEN,
            band="cuts",
            aim=23,
            parts=(
                StarterLine("sugar", 95, "syrup", "keeps it soft"),
                StarterLine("water", 35, "syrup", "dissolves the sugar"),
                StarterLine("yolk", 85, "foam", "foam", overrun_percent=150),
                StarterLine("cream", 320, "fold", "air and fat", slot="cream", overrun_percent=90),
            ),
            steps=(
                _SYRUP,
                step("foam", "Syrup onto whipping yolks; over steam, whip to cool.", 82),
                step("fold", "Cold foam, cream in three turns.", 15),
                step("freeze", "Into the lined loaf.", -18, wait=freeze(360)),
            ),
            losses=losses(4, 3),
            windows={
                "sweetness": window(16, 32, "Below it freezes hard, above it never sets."),
                "ice": window(None, 45, "Above it cuts like ice."),
            },
            notes=("Stands about 10 min before slicing.",),
        ),
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
