"""Meringues: sugar for each part of white sets how firm and how dry."""

from fernbell.core.families.family import Dial, Failure, Family, Job, StarterLine, bands, window
from fernbell.core.families.making import BURNS, EGG, STEAM, losses, rest, step
from fernbell.core.formulas import ratio
from fernbell.core.pantry import LineRole

DIAL = Dial(
    ratio(
        "sugar-white",
        "Sugar for each part of white",
        (LineRole.SUGAR,),
        (LineRole.WHITE,),
        percent=False,
    ),
    "grams of sugar for each gram of white",
    bands(0.5, "soft", 1.2, "topping", 1.7, "pipes and dries", 2.3, "heavy", 3),
    (LineRole.SUGAR,),
)
_SUGARS = {"sugars": window(40, 74, "Below it weeps and falls, above it stays grainy.")}
_DRIED = {"sugars": window(76, 98, "Below it is not dry.")}
_WHITE = StarterLine("white", 100, "whip", "air", overrun_percent=500)
_SUGAR = StarterLine("sugar", 190, "whip", "the dial sets it")
_ACID = StarterLine("tartar", 0.5, "whip", "steadies the foam", optional=True)
_DRY = step(
    "dry", "In a falling oven, overnight; keep dry.", 90, 120, tool="oven", sign="lifts off"
)

MERINGUES = Family(
    "meringue",
    "Meringues",
    "meringue",
    (
        Job(
            key="french",
            name="French, baked",
            dial=DIAL,
            band="pipes and dries",
            aim=1.9,
            parts=(_WHITE, _SUGAR, _ACID),
            steps=(
                step("whip", "Grease-free bowl; sugar a spoon at a time.", 20, 8, sign="no grit"),
                _DRY,
            ),
            losses=losses(30, 5),
            windows=_DRIED,
            measured_density_g_ml=0.25,
        ),
        Job(
            key="swiss",
            name="Swiss",
            dial=DIAL,
            band="pipes and dries",
            aim=1.8,
            parts=(_WHITE, _SUGAR, _ACID),
            steps=(
                step(
                    "whip",
                    "Whites and sugar over steam to 72 °C, then whipped to cool.",
                    72,
                    8,
                    caution=STEAM,
                    sign="no grit",
                ),
                step("pipe", "Pipe, dry or torch.", 30),
            ),
            losses=losses(2, 5),
            windows=_SUGARS,
        ),
        Job(
            key="italian",
            name="Italian",
            dial=DIAL,
            band="pipes and dries",
            aim=1.9,
            parts=(
                _WHITE,
                StarterLine("sugar", 190, "syrup", "the dial sets it; cooks the whites"),
                StarterLine("water", 60, "syrup", "dissolves the sugar"),
            ),
            steps=(
                step("whip", "Whites to soft peaks.", 20),
                step("syrup", "Syrup to 118-121 °C onto the whipping whites.", 119, caution=BURNS),
                step("cool", "Whip to 30 °C.", 30),
            ),
            losses=losses(11, 5),
            windows=_SUGARS,
        ),
        Job(
            key="dried",
            name="dried shards, thin",
            dial=DIAL,
            band="pipes and dries",
            aim=1.75,
            parts=(
                _WHITE,
                _SUGAR,
                StarterLine("starch", 8, "fold", "keeps them dry", optional=True),
            ),
            steps=(
                step("whip", "Grease-free bowl; sugar a spoon at a time.", 20, 8, sign="no grit"),
                step("fold", "Starch folded in; spread 2 mm.", 20),
                step("dry", "Overnight in the cooling oven.", 80, 180, wait=rest(480)),
            ),
            losses=losses(30, 6),
            windows=_DRIED,
            notes=("A thin coat of chocolate keeps cream from softening it.",),
            measured_density_g_ml=0.25,
        ),
    ),
    (
        Failure("weeps, gritty", "sugar not dissolved, grease", "Slow sugar; a clean bowl."),
        Failure("falls", "whipped stiff before the sugar", "Sugar from soft peaks on."),
        Failure("browns", "oven too hot", "80-90 °C; the door ajar."),
    ),
    (EGG, BURNS),
    flavor="cream",
)
