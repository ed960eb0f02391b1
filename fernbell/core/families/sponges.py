"""Sponges: egg for each part of flour sets how supple; fat and sugar keep it so."""

from fernbell.core.families.family import (
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
from fernbell.core.families.making import losses, rest, step
from fernbell.core.formulas import ratio
from fernbell.core.pantry import LineRole

EGG = (LineRole.EGG, LineRole.YOLK, LineRole.WHITE)
DRY = (LineRole.FLOUR, LineRole.STARCH, LineRole.NUT, LineRole.COCOA)
DIAL = Dial(
    ratio("egg-flour", "Egg for each part of flour", EGG, DRY, percent=False),
    "grams of egg for each gram of flour, starch, nut and cocoa",
    bands(0.7, "cakes", 1.3, "slices", 2.0, "rolls", 3.2, "omelette", 5),
    EGG,
)
BROWNIE = Dial(
    reading("fat"),
    "fat in the whole",
    bands(12, "cakey", 21, "moist", 31, "fudge", 38, "greasy", 48),
    (LineRole.BUTTER,),
)
_WINDOWS = {
    "sugars": window(12, 40, "Below it is dry and tight, above it sticks and falls."),
    "fat": window(2, 32, "Below it cracks when rolled, above it is greasy."),
}
_SUGAR = StarterLine("sugar", 125, "foam", "moist; steadies the foam")
_BAKE = step(
    "bake", "Spread, bake at once; wrap when cool.", 180, 18, tool="oven", sign="springs back"
)
_SHEET = step(
    "bake", "Thin sheet, hot and short.", (220, 230), (6, 7), tool="oven", sign="pale gold"
)

_BROWNIE_STEPS = (
    step("melt", "Melt chocolate and butter.", 45),
    step("mix", "Egg and sugar whisked, not foamed; in.", 30),
    step("fold", "Flour, briefly.", 28),
    step("bake", "Until a crumb clings to the needle.", 165, (20, 25), tool="oven"),
)


def _brownie(sugar_g: float) -> tuple[StarterLine, ...]:
    return (
        StarterLine("dark", 150, "melt", "flavor", slot="with"),
        StarterLine("butter", 140, "melt", "the dial sets it"),
        StarterLine("egg", 130, "mix", "binds"),
        StarterLine("sugar", sugar_g, "mix", "moist; the crust"),
        StarterLine("flour", 80, "fold", "structure"),
    )


SPONGES = Family(
    "sponge",
    "Sponges",
    "sponge",
    (
        Job(
            key="genoise",
            name="génoise",
            dial=DIAL,
            band="slices",
            aim=1.7,
            parts=(
                StarterLine("egg", 220, "foam", "air; the dial sets it", overrun_percent=250),
                _SUGAR,
                StarterLine("flour", 100, "fold", "structure"),
                StarterLine("starch", 30, "fold", "tender", optional=True),
                StarterLine("butter", 25, "fold", "keeps it supple", optional=True),
            ),
            steps=(
                step("foam", "Egg and sugar warmed to 45 °C, whipped to the ribbon.", 45, 10),
                step("fold", "Sifted flour in three turns; melted butter last.", 50),
                _BAKE,
            ),
            losses=losses(10, 3),
            windows=_WINDOWS,
            measured_density_g_ml=0.28,
        ),
        Job(
            key="joconde",
            name="joconde",
            dial=DIAL,
            band="slices",
            aim=1.65,
            parts=(
                StarterLine("egg", 150, "foam", "air", overrun_percent=120),
                StarterLine("almond-flour", 110, "foam", "moist, flavor", slot="with"),
                StarterLine("icing-sugar", 100, "foam", "sweetness"),
                StarterLine("white", 90, "whites", "air", overrun_percent=400),
                StarterLine("sugar", 25, "whites", "steadies the foam"),
                StarterLine("flour", 32, "fold", "structure"),
                StarterLine("butter", 22, "fold", "supple"),
            ),
            steps=(
                step("foam", "Egg, almonds, icing sugar whipped.", 20, 8),
                step("whites", "Whites and sugar to soft peaks.", 20),
                step("fold", "Whites in, flour, melted butter last.", 45),
                _SHEET,
            ),
            losses=losses(12, 4),
            windows=_WINDOWS,
            measured_density_g_ml=0.38,
        ),
        Job(
            key="brownie",
            name="brownie",
            dial=BROWNIE,
            band="moist",
            aim=27,
            parts=_brownie(170),
            steps=_BROWNIE_STEPS,
            losses=losses(7, 3),
            windows={"sugars": window(18, 42, "Below it is bread, above it sinks.")},
            measured_density_g_ml=0.8,
            by_kind=dict.fromkeys(
                ("milk", "white", "compound dark or milk", "compound white"),
                # What sugar their chocolate brings is not put in again.
                Setting(parts=_brownie(120)),
            ),
        ),
        Job(
            key="brownie-mass",
            name="brownie, unsweetened chocolate",
            dial=BROWNIE,
            band="moist",
            aim=26,
            parts=(
                StarterLine("cocoa-mass", 90, "melt", "flavor; it brings no sugar", slot="with"),
                StarterLine("butter", 150, "melt", "the dial sets it"),
                StarterLine("egg", 150, "mix", "binds"),
                StarterLine("sugar", 250, "mix", "all of its sweetness; the crust"),
                StarterLine("flour", 80, "fold", "structure"),
            ),
            steps=_BROWNIE_STEPS,
            losses=losses(7, 3),
            windows={"sugars": window(18, 44, "Below it is bread, above it sinks.")},
            measured_density_g_ml=0.8,
        ),
        Job(
            key="roulade",
            name="a roulade",
            dial=DIAL,
            band="rolls",
            aim=2.4,
            parts=(
                StarterLine("egg", 240, "foam", "air; the dial sets it", overrun_percent=250),
                _SUGAR,
                StarterLine("flour", 70, "fold", "structure"),
                StarterLine("starch", 30, "fold", "supple", optional=True),
                StarterLine("oil", 20, "fold", "keeps it from cracking", optional=True),
            ),
            steps=(
                step("foam", "Egg and sugar whipped to the ribbon.", 45, 10),
                step("fold", "Sifted flour; a little foam into the oil, back.", 25),
                _SHEET,
                step("roll", "Roll warm in paper, or brush with syrup first.", 40, wait=rest(20)),
            ),
            losses=losses(12, 3),
            windows=_WINDOWS,
            measured_density_g_ml=0.26,
        ),
    ),
    (
        Failure(
            "cracks when rolled",
            "overbaked, thick, dry",
            "Shorter and hotter; roll warm, or syrup first.",
        ),
        Failure("falls", "foam short, oven cold, opened", "To the ribbon; oven on in time."),
        Failure("lumps of flour", "not sifted, folded late", "Sift twice; fold from below."),
    ),
    flavor="barley",
)
