"""Confections: marshmallow by its gelatin, nougat by how hot its sugar is cooked."""

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
from fernbell.core.families.making import BLOOM, BURNS, EGG, cooked_to, losses, rest, step
from fernbell.core.formulas import Until
from fernbell.core.pantry import LineRole

MARSHMALLOW = Dial(
    reading("gelatin-whole"),
    "gelatin of 200 bloom on the whole",
    bands(2, "soft", 4, "springs", 6, "rubber", 9),
    (LineRole.GELATIN,),
)
NOUGAT = Dial(
    reading("boils"),
    "how hot it is cooked: the water left goes with it",
    bands(118, "sticks", 128, "soft", 140, "snaps", 152),
    Until.TEMPERATURE,
    "temperatures of common practice; the boiling curve of syrups",
)

CONFECTIONS = Family(
    "confection",
    "Confections",
    "crisp",
    (
        Job(
            key="marshmallow",
            name="marshmallow",
            dial=MARSHMALLOW,
            band="springs",
            aim=4.8,
            parts=(
                StarterLine("sugar", 200, "syrup", "body"),
                StarterLine("invert", 90, "syrup", "keeps it from crystals"),
                StarterLine("water", 65, "syrup", "dissolves the sugar"),
                StarterLine("invert", 110, "whip", "soft; it goes in cold", overrun_percent=500),
                StarterLine("gelatin", 22, "bloom", "the dial sets it", slot="set"),
                StarterLine("water", 120, "bloom", "blooms the gelatin"),
            ),
            steps=(
                BLOOM,
                step("syrup", "Cook the syrup.", (110, 113), caution=BURNS),
                step(
                    "whip",
                    "Onto the cold invert sugar and the gelatin; whip until tripled and lukewarm.",
                    (30, 35),
                    10,
                    tool="whisk",
                    sign="a firm ribbon",
                ),
                step("frame", "Into an oiled frame, dusted; cut the next day.", 20, wait=rest(480)),
            ),
            losses=losses(6, 6),
            windows={
                "sugars": window(40, 80, "Below it does not keep, above it grains."),
                "gelatin-water": window(8, 30, "Below it weeps, above it is rubber."),
            },
            kind="meringue",
        ),
        Job(
            key="nougat",
            name="nougat with nuts",
            dial=NOUGAT,
            band="soft",
            aim=134,
            parts=(
                StarterLine("honey", 150, "cook", "flavor; keeps it soft"),
                StarterLine("sugar", 200, "cook", "body"),
                StarterLine("glucose", 50, "cook", "keeps it from crystals"),
                StarterLine("water", 60, "cook", "dissolves the sugar"),
                StarterLine("white", 40, "whip", "air", overrun_percent=400),
                StarterLine("nuts", 250, "nuts", "roasted and warm", slot="with"),
            ),
            steps=(
                step("whip", "Whites whipping while the sugar cooks.", 20),
                step("cook", "Honey and sugar, in a thin stream onto the whites.", caution=BURNS),
                step("dry", "Whipped warm over steam until a drop is firm cold.", 75, (15, 25)),
                step("nuts", "Warm nuts in; between wafers, rolled 15 mm.", 70, caution=BURNS),
                step("cut", "Cut when cold, wrapped at once.", 20, wait=rest(240)),
            ),
            losses=cooked_to(134, 6, 10),
            windows={
                "sugars": window(35, 75, "Below it is nut paste, above it is only sugar."),
                "fat": window(8, 40, "Below it is hard, above it crumbles."),
            },
        ),
    ),
    (
        Failure("grains", "syrup stirred, too little invert", "Invert or glucose; clean sides."),
        Failure("weeps, sticks", "cooked too cool, a damp day", "Two degrees more; dust and wrap."),
        Failure("nougat too hard", "cooked too hot", "Warm it, knead a spoon of honey in."),
    ),
    (BURNS, EGG),
    flavor="cream",
)
