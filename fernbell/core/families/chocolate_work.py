"""Chocolate work: modeling paste, shells, sheets and feathers. Only couverture tempers."""

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
from fernbell.core.formulas import Figure, Mix
from fernbell.core.formulas.figures.figure import whole
from fernbell.core.pantry import LineRole
from fernbell.core.working import COMMON_PRACTICE


def _models(least: float, most: float) -> Dial:
    """The dial of a modeling paste that models between two shares of syrup [%]."""
    return Dial(
        Figure(
            "syrup-whole",
            "Syrup on the whole",
            "%",
            _syrup,
            whole,
            "glucose syrup, its water counted",
            "the whole",
            100,
            COMMON_PRACTICE,
        ),
        "glucose syrup on the whole, its water counted",
        bands(12, "crumbles", least, "models", most, "sticks", 58),
        (LineRole.SYRUP,),
    )


def _syrup(mix: Mix) -> float:
    # Water beside it is the same syrup, thinner.
    return mix.of((LineRole.SYRUP, LineRole.WATER))


def _flows(name: str, least: float, lever: LineRole = LineRole.COCOA_BUTTER) -> Dial:
    """The dial of chocolate that flows as a use asks, from a share of fat on [%]."""
    return Dial(
        reading("fat"),
        "fat in the whole: how thin it flows",
        bands(24, "thick", least, name, 47, "dips thin", 56, "sprays", 70),
        (lever,),
    )


_DRY = {"water": window(None, 2, "Any water seizes chocolate.")}
_COUVERTURE = StarterLine("dark", 480, "temper", "snap and gloss", slot="with")
_TEMPER = step(
    "temper",
    "Melt, cool, rewarm to the figures on the pack; hold between the second and the third.",
    sign="sets glossy on a knife in minutes",
)
_ROOM = "Room 18-22 °C, below 55 % humidity."


def _thin(grams: float) -> StarterLine:
    return StarterLine("cocoa-butter", grams, "temper", "the dial sets it: flow")


def _compound(name: str, least: float) -> dict[str, Setting]:
    """Compound as it comes, thinned with a little oil: no cocoa butter, no tempering."""
    setting = Setting(
        dial=_flows(name, least - 6, LineRole.OIL),
        aim=35.5,
        parts=(_COUVERTURE, StarterLine("oil", 8, "temper", "the dial sets it: flow")),
    )
    return dict.fromkeys(("compound dark or milk", "compound white"), setting)


CHOCOLATE_WORK = Family(
    "chocolate",
    "Chocolate work",
    "chocolate",
    (
        Job(
            key="paste",
            name="modeling paste",
            dial=_models(33, 42),
            band="models",
            aim=38,
            parts=(
                StarterLine("dark", 300, "both", "body", slot="with"),
                StarterLine("glucose", 180, "both", "the dial sets it: pliable"),
            ),
            steps=(
                step(
                    "both",
                    "Chocolate melted and cooled, syrup warmed: both at the same.",
                    38,
                    alike="glucose syrup",
                ),
                step("fold", "Syrup in; fold, stop when it holds.", 38),
                step("rest", "Wrapped thin at 18-20 °C.", 19, wait=rest(180, 1440)),
            ),
            losses=losses(0, 3),
            windows={"sweetness": window(20, 70, "Below it is bitter, above it only sweet.")},
            notes=(
                "Keeps a week below 22 °C, a month chilled; takes up odors.",
                "Colored with fat-based color only, sold as edible.",
            ),
            kind="crisp",
            by_kind={
                "milk": Setting(dial=_models(30, 35), aim=32.5),
                "white": Setting(dial=_models(25, 30), aim=28.5),
                "compound dark or milk": Setting(dial=_models(27, 35), aim=31),
                "compound white": Setting(dial=_models(23, 30), aim=27),
            },
        ),
        Job(
            key="shells",
            name="shells",
            dial=_flows("shells", 38),
            band="shells",
            aim=42,
            parts=(_COUVERTURE, _thin(20)),
            steps=(
                _TEMPER,
                step("brush", "Three to four thin coats; cold between.", wait=rest(20)),
                step("join", "Halves on a warm tray about 3 s, joined.", 20),
            ),
            losses=losses(0, 12),
            by_kind=_compound("shells", 38),
            windows=_DRY,
            notes=(_ROOM,),
        ),
        Job(
            key="sheets",
            name="sheets and bands",
            dial=_flows("sheets", 33),
            band="sheets",
            aim=39.5,
            parts=(_COUVERTURE, _thin(4)),
            steps=(_TEMPER, step("spread", "1.5 mm on acetate; cut as it dulls; weight it.")),
            losses=losses(0, 15),
            by_kind=_compound("sheets", 33),
            windows=_DRY,
            notes=(_ROOM,),
        ),
        Job(
            key="feathers",
            name="feathers",
            dial=_flows("feathers", 36),
            band="feathers",
            aim=41,
            parts=(_COUVERTURE, _thin(10)),
            steps=(
                _TEMPER,
                step("dip", "A knife dipped and drawn on film; bend before it sets."),
            ),
            losses=losses(0, 25),
            by_kind=_compound("feathers", 36),
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
