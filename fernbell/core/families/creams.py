"""Creams: whipped, lightened with custard, and buttercreams of three schools."""

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
from fernbell.core.families.making import BLOOM, BURNS, COOLING, EGG, STEAM, chill, losses, step
from fernbell.core.pantry import SWEETS, LineRole

_WHIPS = Admits((LineRole.CREAM,), sour=False, least={"milk_fat": 33}, most={"milk_fat": 41})
_MILKY = Admits((LineRole.MILK, LineRole.CREAM), sour=False, most={"milk_fat": 20})
_LOOSENS = Admits((LineRole.CREAM, LineRole.MILK), sour=False)
CHANTILLY = Dial(
    reading("fat"),
    "fat in the whole: it holds the air",
    bands(20, "does not hold", 28, "whips", 36, "holds long", 44, "butter", 55),
    (LineRole.CREAM,),
)
DIPLOMAT = Dial(
    reading("gelatin-water"),
    "gelatin of 200 bloom on the water",
    bands(0.2, "spoons", 0.6, "pipes", 1.2, "cuts", 2, "rubber", 3),
    (LineRole.GELATIN,),
)
BUTTERCREAM = Dial(
    reading("fat"),
    "fat in the whole",
    bands(18, "loose", 28, "spreads", 40, "pipes sharp", 52, "greasy", 70),
    (LineRole.BUTTER,),
)
PLAIN = Dial(
    reading("sweetness"),
    "sweetness, sugar being 100",
    bands(25, "butter", 40, "spreads", 67, "stiff", 80),
    SWEETS,
)
SWEET = window(5, 26, "Below it tastes flat, above it cloys.")
_BUTTER = StarterLine("butter", 250, "butter", "the dial sets it; soft", overrun_percent=25)
_BEAT = step("butter", "Soft butter in below 30 °C, spoon by spoon; whip on.", 27, tool="whisk")
_FAT = window(24, 56, "Below it does not hold, above it is greasy.")

CREAMS = Family(
    "cream",
    "Creams",
    "cream",
    (
        Job(
            key="chantilly",
            name="Chantilly",
            dial=CHANTILLY,
            band="whips",
            aim=33,
            parts=(
                StarterLine(
                    "cream",
                    400,
                    "whip",
                    "air; 2-6 °C",
                    slot="on",
                    overrun_percent=110,
                    admits=_WHIPS,
                ),
                StarterLine(
                    "mascarpone",
                    40,
                    "whip",
                    "the longer hold",
                    optional=True,
                    overrun_percent=110,
                ),
                StarterLine("icing-sugar", 40, "whip", "sweetness"),
            ),
            steps=(
                step("whip", "Chilled bowl, cream at 2-6 °C, to soft peak.", 4, sign="soft peak"),
            ),
            losses=losses(0, 3),
            windows={"sweetness": SWEET},
        ),
        Job(
            key="crumb",
            name="whipped with crumbs",
            dial=CHANTILLY,
            band="whips",
            aim=31,
            parts=(
                StarterLine(
                    "cream",
                    300,
                    "whip",
                    "air; 2-6 °C",
                    slot="on",
                    overrun_percent=110,
                    admits=_WHIPS,
                ),
                StarterLine("mascarpone", 60, "whip", "holds the crumbs", overrun_percent=110),
                StarterLine("icing-sugar", 20, "whip", "sweetness"),
                StarterLine("crumbs", 45, "fold", "flavor; they drink", slot="with"),
            ),
            steps=(
                step("whip", "Chilled bowl, cream at 2-6 °C, to soft peak.", 4, sign="soft peak"),
                step(
                    "fold",
                    "Crumbs in, what is for the base set aside first; the last turns by hand.",
                    4,
                ),
                step("rest", "The crumbs drink: firmer after an hour.", 4, wait=chill(60, 720)),
            ),
            losses=losses(0, 3),
            windows={"sweetness": SWEET},
        ),
        Job(
            key="diplomat",
            name="diplomat",
            dial=DIPLOMAT,
            band="pipes",
            aim=0.9,
            parts=(
                StarterLine("milk", 250, "boil", "the liquid", slot="on", admits=_MILKY),
                StarterLine("yolk", 45, "mix", "body"),
                StarterLine("sugar", 60, "mix", "sweetness"),
                StarterLine("starch", 22, "mix", "thickens"),
                StarterLine("gelatin", 4, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 22, "bloom", "blooms the gelatin"),
                StarterLine("cream", 200, "fold", "air", slot="cream", overrun_percent=90),
            ),
            steps=(
                BLOOM,
                step("boil", "Milk to the boil.", 100),
                step("mix", "Yolks, sugar, starch; half the hot milk in; back.", 60),
                step("hold", "It must boil; gelatin in at 70 °C.", 100, (1, 2), caution=COOLING),
                step("fold", "Custard at 20 °C, smooth; soft cream in.", 20, tool="spatula"),
                step("set", "Pipe at once, or chill.", 4, wait=chill(60, 1440)),
            ),
            losses=losses(4, 4),
            windows={
                "sweetness": SWEET,
                "fat": window(8, 24, "Below it is thin, above it is heavy."),
            },
        ),
        Job(
            key="meringue",
            name="a buttercream, on meringue",
            dial=BUTTERCREAM,
            band="pipes sharp",
            aim=43,
            parts=(
                StarterLine("white", 100, "whip", "air", overrun_percent=400),
                StarterLine("sugar", 170, "syrup", "cooks the whites"),
                StarterLine("water", 55, "syrup", "dissolves the sugar"),
                _BUTTER,
            ),
            steps=(
                step("whip", "Whites to soft peaks.", 20),
                step("syrup", "Syrup onto the whipping whites.", (118, 121), caution=BURNS),
                _BEAT,
            ),
            losses=losses(8, 4),
            windows={"sweetness": window(14, 42, "Below it tastes of butter, above it cloys.")},
            notes=("Least sweet; the Swiss way heats whites and sugar to 72 °C over steam.",),
        ),
        Job(
            key="custard",
            name="a buttercream, on custard",
            dial=BUTTERCREAM,
            band="spreads",
            aim=35,
            parts=(
                StarterLine("milk", 200, "boil", "the liquid", slot="on", admits=_MILKY),
                StarterLine("yolk", 50, "mix", "body"),
                StarterLine("sugar", 110, "mix", "sweetness"),
                StarterLine("starch", 18, "mix", "thickens"),
                _BUTTER,
            ),
            steps=(
                step("boil", "Milk to the boil.", 100),
                step("mix", "Yolks, sugar, starch; half the hot milk in; back.", 60),
                step("hold", "It must boil; cool to 20 °C.", 100, (1, 2), caution=COOLING),
                _BEAT,
            ),
            losses=losses(4, 4),
            windows={"sweetness": window(10, 36, "Below it tastes of butter, above it cloys.")},
        ),
        Job(
            key="plain",
            name="a buttercream, plain sugar",
            dial=PLAIN,
            band="spreads",
            aim=52,
            parts=(
                StarterLine("butter", 250, "butter", "soft", overrun_percent=30),
                StarterLine("icing-sugar", 240, "butter", "the dial sets it"),
                StarterLine("cream", 40, "loosen", "loosens", slot="on", admits=_LOOSENS),
            ),
            steps=(
                step("butter", "Soft butter beaten pale; sifted sugar in three turns.", 20, 8),
                step("loosen", "Cream in; too much acid liquid curdles it.", 20),
            ),
            losses=losses(0, 4),
            windows={"fat": _FAT},
            notes=(
                "No egg to cook; the sweetest: one to two parts of sugar to one of butter.",
                "A spoon of lemon at most: more acid liquid curdles it.",
            ),
        ),
    ),
    (
        Failure(
            "buttercream curdled",
            "butter or base too cold, too much acid liquid",
            "Warm the bowl, whip on; add slowly.",
        ),
        Failure("over-whipped", "warm, or whipped long", "A spoon of liquid cream, by hand."),
        Failure("runs", "butter too warm", "Chill the bowl ten minutes; whip again."),
    ),
    (EGG, COOLING, STEAM),
    flavor="cream",
)
