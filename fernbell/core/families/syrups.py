"""Syrups by Brix and Baumé."""

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
from fernbell.core.families.making import BURNS, losses, step
from fernbell.core.pantry import SWEETS, LineRole

DIAL = Dial(
    reading("brix"),
    "what is dissolved, as a refractometer sees it",
    bands(10, "poaches", 32, "soaks", 46, "glazes fruit", 52, "keeps", 67, "crystallizes", 78),
    SWEETS,
)
_THIN = Admits(
    (LineRole.WATER, LineRole.FRUIT, LineRole.ALCOHOL), most={"alcohol": 22}, most_solids=18
)
_WATER = StarterLine("water", 250, "boil", "the liquid", slot="on", admits=_THIN)
_SUGAR = StarterLine("sugar", 250, "boil", "the dial sets it")
_BOIL = step("boil", "To the boil, clear; cool covered.", 100, caution=BURNS)
_SWEET = {"water-activity": window(0.8, 0.995, "Below it crystallizes.")}

SYRUPS = Family(
    "syrup",
    "Syrups",
    "syrup",
    (
        Job(
            key="soak",
            name="soaking sponge",
            dial=DIAL,
            band="soaks",
            aim=40,
            parts=(
                _WATER,
                _SUGAR,
                StarterLine("spirit", 25, "flavor", "flavor, once cool", optional=True),
            ),
            steps=(_BOIL, step("flavor", "Spirit in below 40 °C, away from flame.", 38)),
            losses=losses(1, 2),
            windows=_SWEET,
            boils=("boil",),
        ),
        Job(
            key="thirty",
            name="keeping, 30 °Bé",
            dial=DIAL,
            band="keeps",
            aim=55,
            parts=(
                _WATER,
                _SUGAR,
                StarterLine("glucose", 40, "boil", "keeps it from crystals", optional=True),
            ),
            steps=(_BOIL,),
            losses=losses(1, 2),
            windows=_SWEET,
            boils=("boil",),
        ),
        Job(
            key="poach",
            name="poaching fruit",
            dial=DIAL,
            band="poaches",
            aim=22,
            parts=(_WATER, _SUGAR, StarterLine("lemon", 15, "boil", "keeps fruit light")),
            steps=(_BOIL,),
            losses=losses(2, 2),
            windows=_SWEET,
            boils=("boil",),
        ),
    ),
    (
        Failure("crystals", "too strong, stirred, dirty pan", "Water in, boil; glucose or acid."),
        Failure("ferments", "too weak to keep", "Stronger, or chill and use within days."),
    ),
    (BURNS, "Spirit near flame: off the heat."),
    flavor="neutral",
)
