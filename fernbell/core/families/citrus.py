"""Curds and citrus tarts: egg set on sharp juice."""

from fernbell.core.families.family import Admits, Dial, Job, StarterLine, bands, window
from fernbell.core.families.making import COOLING, EGG, chill, losses, step
from fernbell.core.formulas import ratio
from fernbell.core.pantry import LineRole

CURD = Dial(
    ratio("egg-juice", "Egg on juice", (LineRole.EGG, LineRole.YOLK), (LineRole.FRUIT,)),
    "grams of egg on 100 g of juice",
    bands(60, "runs", 110, "spreads", 170, "stands", 230, "eggy", 300),
    (LineRole.EGG, LineRole.YOLK),
)
CITRUS = Dial(
    ratio(
        "egg-juice-cream",
        "Egg on juice and cream",
        (LineRole.EGG, LineRole.YOLK),
        (LineRole.FRUIT, LineRole.CREAM),
    ),
    "grams of egg on 100 g of juice and cream",
    bands(45, "does not set", 75, "cuts", 115, "rubber", 170),
    (LineRole.EGG,),
)
# What is sharp enough to be a curd: lemon, lime, passion fruit; an orange needs a lemon beside it.
_SHARP = Admits((LineRole.FRUIT,), least={"acids": 0.8}, most_solids=30)

CITRUS_CUSTARDS = (
    Job(
        key="curd",
        name="a citrus curd",
        dial=CURD,
        band="spreads",
        aim=135,
        parts=(
            StarterLine("lemon", 150, "cook", "sharpness", slot="on", admits=_SHARP),
            StarterLine("egg", 165, "cook", "the dial sets it"),
            StarterLine("yolk", 40, "cook", "rounder"),
            StarterLine("sugar", 170, "cook", "sweetness; keeps the egg from curdling"),
            StarterLine("butter", 160, "butter", "body; it sets cold"),
        ),
        steps=(
            step(
                "cook",
                "Juice, sugar and egg whisked; cook stirring until it coats; strain.",
                (82, 84),
                tool="spatula",
                sign="coats the spoon",
                caution=EGG,
            ),
            step("butter", "Cool; butter in, blend.", (40, 45), tool="hand blender"),
            step("cool", "Film touching.", 4, wait=chill(120, 4320), caution=COOLING),
        ),
        losses=losses(3, 4),
        windows={
            "sweetness": window(14, 36, "Below it is sharp, above it cloys."),
            "fat": window(12, 40, "Below it runs, above it is butter."),
        },
    ),
    Job(
        key="citrus",
        name="a baked citrus tart filling",
        dial=CITRUS,
        band="cuts",
        aim=92,
        parts=(
            StarterLine("lemon", 140, "mix", "sharpness", slot="on", admits=_SHARP),
            StarterLine("egg", 250, "mix", "the dial sets it"),
            StarterLine("sugar", 190, "mix", "sweetness"),
            StarterLine("cream", 130, "mix", "roundness"),
        ),
        steps=(
            step("mix", "Sugar and juice; egg, then cream, without foam; strain, skim.", 20),
            step(
                "bake",
                "Into the baked shell, in the oven; out when the middle still trembles.",
                (110, 130),
                (25, 40),
                tool="oven",
                sign="70-72 °C in the middle",
            ),
            step("cool", "Cold before it is cut.", 4, wait=chill(120, 1440, placed=True)),
        ),
        losses=losses(3, 2),
        windows={
            "sweetness": window(14, 34, "Below it is sharp, above it cloys."),
            "fat": window(5, 20, "Below it is thin, above it is heavy."),
        },
    ),
)
