"""Meringues: sugar for each part of white sets how firm and how dry."""

from fernbell.core.families.family import Dial, Failure, Family, Job, StarterLine, bands, window
from fernbell.core.families.making import (
    BURNS,
    EGG,
    OFF_OVERNIGHT,
    STEAM,
    chill,
    losses,
    rest,
    step,
)
from fernbell.core.formulas import LegKind, OvenLeg, ratio
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
SHELLS = Dial(
    ratio(
        "sugar-white",
        "Sugar for each part of white",
        (LineRole.SUGAR,),
        (LineRole.WHITE,),
        percent=False,
    ),
    "grams of sugar for each gram of white",
    bands(1.6, "spread", 2.3, "shells", 3.1, "dome and crack", 4),
    (LineRole.SUGAR,),
)
_SUGARS = {"sugars": window(40, 74, "Below it weeps and falls, above it stays grainy.")}
_DRIED = {"sugars": window(76, 98, "Below it is not dry.")}
_WHITE = StarterLine("white", 100, "whip", "air", overrun_percent=700)
_SUGAR = StarterLine("sugar", 190, "whip", "the dial sets it")
_ACID = StarterLine("tartar", 0.5, "whip", "steadies the foam", optional=True)
_DRY = step(
    "dry",
    "In a falling oven, overnight; keep dry.",
    110,
    30,
    tool="oven",
    sign="lifts off",
    then=(OvenLeg(LegKind.FALLING, 80, 120), OFF_OVERNIGHT),
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
                step(
                    "syrup",
                    "Cook the syrup; in a thin stream onto the whipping whites.",
                    (118, 121),
                    caution=BURNS,
                ),
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
                step("dry", "Overnight in the cooling oven.", 80, 180, then=(OFF_OVERNIGHT,)),
            ),
            losses=losses(30, 6),
            windows=_DRIED,
            notes=("A thin coat of chocolate keeps cream from softening it.",),
            measured_density_g_ml=0.25,
        ),
        Job(
            key="soft",
            name="soft-centered, a shell of it",
            dial=DIAL,
            band="pipes and dries",
            aim=1.8,
            parts=(
                _WHITE,
                _SUGAR,
                StarterLine("starch", 6, "fold", "the soft middle"),
                StarterLine("lemon", 4, "fold", "steadies it"),
            ),
            steps=(
                step("whip", "Grease-free bowl; sugar a spoon at a time.", 20, 8, sign="no grit"),
                step("fold", "Starch and juice folded in; shaped 4 cm high.", 20),
                step(
                    "bake",
                    "Into the hot oven, turned down at once; it cracks a little.",
                    150,
                    5,
                    tool="oven",
                    then=(OvenLeg(LegKind.THEN, 115, 75), OFF_OVERNIGHT),
                ),
            ),
            losses=losses(14, 5),
            windows={"sugars": window(58, 82, "Below it weeps, above it is dry through.")},
            measured_density_g_ml=0.28,
            notes=("Filled at service: cream softens it within the hour.",),
        ),
        Job(
            key="macaron",
            name="macaron shells",
            dial=SHELLS,
            band="shells",
            aim=2.75,
            parts=(
                StarterLine("almond-flour", 150, "sift", "body", slot="with"),
                StarterLine("icing-sugar", 150, "sift", "body; a smooth skin"),
                StarterLine("white", 55, "sift", "loosens the paste"),
                StarterLine("white", 55, "whip", "air", overrun_percent=600),
                StarterLine("sugar", 150, "syrup", "cooks the whites; the dial sets it"),
                StarterLine("water", 45, "syrup", "dissolves the sugar"),
            ),
            steps=(
                step("sift", "Almonds and icing sugar ground and sifted; raw whites in.", 20),
                step("whip", "Whites to soft peaks while the syrup cooks.", 20),
                step("syrup", "Syrup onto the whipping whites.", (114, 118), caution=BURNS),
                step("fold", "Folded into the paste until it falls in a ribbon.", 35),
                step("crust", "Piped; they dry until a finger does not stick.", 22, wait=rest(30)),
                step("bake", "Turned half-way; feet by the sixth minute.", (140, 155), (12, 15)),
                step("mature", "Filled, they soften: cold, closed.", 4, wait=chill(720, 2880)),
            ),
            losses=losses(19, 5),
            windows={"sugars": window(48, 66, "Below they spread, above they are only sugar.")},
            measured_density_g_ml=0.55,
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
