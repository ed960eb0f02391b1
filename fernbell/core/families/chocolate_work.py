"""Chocolate work: modeling paste, shells, sheets and feathers. Only couverture tempers."""

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
from fernbell.core.families.making import losses, rest, step
from fernbell.core.formulas import ratio
from fernbell.core.pantry import LineRole

PASTE = Dial(
    ratio("syrup-chocolate", "Syrup on chocolate", (LineRole.SYRUP,), (LineRole.CHOCOLATE,)),
    "grams of glucose syrup on 100 g of chocolate",
    bands(20, "crumbles", 32, "models", 48, "sticks", 65),
    (LineRole.SYRUP,),
)
FLUID = Dial(
    reading("fat"),
    "fat in the whole: how thin it flows",
    bands(28, "thick", 34, "sheets", 40, "shells", 46, "dips thin", 56, "sprays", 70),
    (LineRole.COCOA_BUTTER,),
)
_DRY = {"water": window(None, 2, "Any water seizes chocolate.")}
_COUVERTURE = StarterLine("dark", 480, "temper", "snap and gloss", slot="with")
_TEMPER = step(
    "temper",
    "Melt, cool, rewarm to the figures on the pack; hold between the second and the third.",
    31.5,
    sign="sets glossy on a knife in minutes",
)
_ROOM = "Room 18-22 °C, below 55 % humidity."


def _thin(grams: float) -> StarterLine:
    return StarterLine("cocoa-butter", grams, "temper", "the dial sets it: flow")


CHOCOLATE_WORK = Family(
    "chocolate",
    "Chocolate work",
    "chocolate",
    (
        Job(
            key="paste",
            name="modeling paste",
            dial=PASTE,
            band="models",
            aim=40,
            parts=(
                StarterLine("dark", 300, "melt", "body", slot="with"),
                StarterLine("glucose", 120, "fold", "the dial sets it: pliable"),
            ),
            steps=(
                step("melt", "Chocolate melted, cooled.", 38),
                step("fold", "Syrup at the same 38 °C; fold, stop when it holds.", 38),
                step("rest", "Wrapped thin at 18-20 °C.", 19, wait=rest(180, 1440)),
            ),
            losses=losses(0, 3),
            windows={"sweetness": window(20, 70, "Below it is bitter, above it only sweet.")},
            notes=(
                "Keeps a week below 22 °C, a month chilled; takes up odors.",
                "Colored with fat-based color only, sold as edible.",
            ),
            kind="crisp",
        ),
        Job(
            key="shells",
            name="shells",
            dial=FLUID,
            band="shells",
            aim=42,
            parts=(_COUVERTURE, _thin(20)),
            steps=(
                _TEMPER,
                step("brush", "Three to four thin coats; cold between.", 31, wait=rest(20)),
                step("join", "Halves on a warm tray about 3 s, joined.", 20),
            ),
            losses=losses(0, 12),
            windows=_DRY,
            notes=(_ROOM,),
        ),
        Job(
            key="sheets",
            name="sheets and bands",
            dial=FLUID,
            band="sheets",
            aim=39.5,
            parts=(_COUVERTURE, _thin(4)),
            steps=(_TEMPER, step("spread", "1.5 mm on acetate; cut as it dulls; weight it.", 28)),
            losses=losses(0, 15),
            windows=_DRY,
            notes=(_ROOM,),
        ),
        Job(
            key="feathers",
            name="feathers",
            dial=FLUID,
            band="shells",
            aim=41,
            parts=(_COUVERTURE, _thin(10)),
            steps=(
                _TEMPER,
                step("dip", "A knife dipped and drawn on film; bend before it sets.", 31),
            ),
            losses=losses(0, 25),
            windows=_DRY,
            notes=(_ROOM, "Gold dust in spirit or cocoa butter at 32 °C."),
        ),
    ),
    (
        Failure("thick and dull", "water got in, overheated", "Use it for ganache; dry tools."),
        Failure("bloom, soft, sticks to film", "out of temper", "Temper again."),
        Failure("paste crumbles", "worked cold, chocolate too hot", "Warm by hand; 38 °C both."),
    ),
    ("Cooling spray freezes skin: gloves, air. Gold dust and colors must be sold as edible.",),
    flavor="dark-chocolate",
)
