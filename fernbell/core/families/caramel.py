"""Caramel: the final temperature sets the water left, and that the texture."""

from dataclasses import replace

from fernbell.core.families.family import (
    Admits,
    Dial,
    Failure,
    Family,
    Job,
    StarterLine,
    Tool,
    Way,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import BURNS, chill, cooked_to, losses, rest, step
from fernbell.core.formulas import Step, Until
from fernbell.core.pantry import LineRole

DIAL = Dial(
    reading("boils"),
    "where it boils at the end: the water left goes with it",
    bands(
        101.5,
        "runs",
        103,
        "sauces",
        106,
        "fills",
        112,
        "thick",
        116.5,
        "chews",
        122,
        "firm",
        130,
        "hard",
        140,
    ),
    Until.TEMPERATURE,
    "temperatures of common practice; the boiling curve of syrups",
)
FAT = Dial(
    reading("fat"),
    "fat in the whole",
    bands(10, "soft", 30, "creams", 45, "greasy", 60),
    (LineRole.BUTTER,),
)
POURED = Dial(
    reading("water"),
    "water left: it is not boiled again, the cream sets it",
    bands(8, "stands", 16, "spreads", 24, "sauces", 34, "runs", 45),
    (LineRole.CREAM, LineRole.MILK, LineRole.FRUIT),
)
TOFFEE = Dial(
    reading("water"),
    "water left: it is stirred on a low heat, not measured by the boil",
    bands(6, "firm", 11, "spreads", 18, "runs", 30),
    (LineRole.CONDENSED,),
)
_FAT = window(5, 38, "Below it sticks, above it sweats fat.")
_WATER = window(4, 38, "Below it is hard when cold, above it runs out of the slice.")
SWEET = window(25, 75, "Below it is cream with sugar, above it only sweet.")

_WET = step(
    "caramel",
    "Wet: sugar, glucose and water on low heat until clear, then high, unstirred, to amber.",
    170,
    sign="amber",
    caution=BURNS,
)
_DRY = step(
    "caramel",
    "Dry: sugar into the hot pot a third at a time, shaken, not stirred, to amber; glucose last.",
    170,
    sign="amber",
    caution=BURNS,
)
_WAYS = (
    Way(
        "wet", (_WET,), (StarterLine("water", 60, "caramel", "dissolves the sugar; it boils off"),)
    ),
    Way("dry", (_DRY,)),
)
_STOP = step(
    "stop",
    "Off the heat, warm cream at once, stirring. It boils up: a pot of four times the volume.",
    caution=BURNS,
)
_STOP_BUTTER = step(
    "stop",
    "Off the heat, warm cream at once, stirring, then the butter. It boils up: a pot of four times "
    "the volume.",
    caution=BURNS,
)
_COOK_ON = "Cook on, stirring, until the thermometer says so."
_BUTTER_IN = "Butter in from 100-115 °C; cook on, stirring, until the thermometer says so."
_SALTED = step("salt", "Salt in; change the bowl, ice bath, blend.", 60, tool="hand blender")

# Sugar that colors: lactose, polyols and maltodextrin make no caramel.
_COLORS = Admits((LineRole.SUGAR,), least={"sucrose": 80})
_CREAMY = Admits((LineRole.CREAM, LineRole.MILK, LineRole.FRUIT), most_solids=50)
_SUGAR = StarterLine("sugar", 200, "caramel", "color and sweetness", slot="with", admits=_COLORS)
_GLUCOSE = StarterLine("glucose", 60, "caramel", "keeps it from crystals", optional=True)
_SALT = StarterLine("salt", 4, "salt", "balance", optional=True)


def _cream(grams: float) -> StarterLine:
    return StarterLine(
        "cream",
        grams,
        "stop",
        "stops the cooking; its fat and water",
        slot="on",
        admits=_CREAMY,
    )


def _butter(grams: float, stage: str = "stop") -> StarterLine:
    return StarterLine("butter", grams, stage, "body and short texture; its water cooks too")


def _job(
    key: str,
    name: str,
    band: str,
    aim: float,
    parts: tuple[StarterLine, ...],
    last: Step,
    notes: tuple[str, ...] = (),
    tools: tuple[Tool, ...] = (Tool.KEEPS,),
) -> Job:
    late = any(part.stage == "cook" for part in parts)
    steps = (
        _WET,
        _STOP if late else _STOP_BUTTER,
        step("cook", _BUTTER_IN if late else _COOK_ON, aim, caution=BURNS),
        _SALTED,
        last,
    )
    return Job(
        key=key,
        name=name,
        dial=DIAL,
        band=band,
        aim=aim,
        parts=parts,
        steps=steps,
        losses=cooked_to(aim, 3, 12),
        windows={"sweetness": SWEET, "fat": _FAT, "water": _WATER},
        notes=notes,
        ways=_WAYS,
        tools=tools,
    )


CARAMEL = Family(
    "caramel",
    "Caramel",
    "caramel",
    (
        _job(
            key="sauce",
            name="a sauce",
            band="sauces",
            aim=104,
            parts=(_SUGAR, _GLUCOSE, _cream(330), _butter(40), _SALT),
            last=step("cool", "Into a clean bowl, film touching.", 20, wait=rest(60)),
            notes=("Runs at room temperature; rewarm gently.",),
            tools=(),
        ),
        Job(
            key="poured",
            name="a sauce, not recooked",
            dial=POURED,
            band="sauces",
            aim=27,
            parts=(_SUGAR, _GLUCOSE, _cream(240), _butter(45), _SALT),
            steps=(
                _WET,
                _STOP_BUTTER,
                _SALTED,
                step("cool", "Into a clean bowl, film touching.", 20, wait=rest(60)),
            ),
            losses=losses(12, 3),
            windows={"sweetness": SWEET, "fat": _FAT},
            notes=("The cream sets it: nothing cooks off but the water of a wet caramel.",),
            ways=(_WAYS[0], replace(_WAYS[1], losses=losses(3, 3))),
        ),
        _job(
            key="fill",
            name="filling",
            band="fills",
            aim=108,
            parts=(_SUGAR, _GLUCOSE, _cream(260), _butter(60), _SALT),
            last=step(
                "fill", "Pour at 60 °C, or pipe when cold.", 60, wait=chill(60, 720, placed=True)
            ),
        ),
        _job(
            key="chew",
            name="soft chews",
            band="chews",
            aim=119,
            parts=(
                _SUGAR,
                StarterLine("glucose", 100, "caramel", "chew"),
                _cream(220),
                _butter(60, "cook"),
                _SALT,
            ),
            last=step("frame", "Into an oiled frame; cut when cold, wrap.", 20, wait=rest(240)),
        ),
        _job(
            key="firm",
            name="firm pieces",
            band="firm",
            aim=125,
            parts=(
                _SUGAR,
                StarterLine("glucose", 90, "caramel", "chew"),
                _cream(180),
                _butter(50, "cook"),
                _SALT,
            ),
            last=step("frame", "Onto an oiled mat; mark while warm.", 40, wait=rest(120)),
        ),
        Job(
            key="toffee",
            name="condensed-milk toffee",
            dial=TOFFEE,
            band="spreads",
            aim=14,
            parts=(
                StarterLine("condensed", 400, "cook", "body; it scorches", slot="on"),
                StarterLine("brown-sugar", 100, "cook", "flavor", slot="with", admits=_COLORS),
                StarterLine("butter", 100, "cook", "body"),
                _SALT,
            ),
            steps=(
                step(
                    "cook",
                    "Low heat, stirring throughout, never boiling: it scorches.",
                    (90, 95),
                    (6, 8),
                    tool="spatula",
                    sign="leaves the pan",
                    caution=BURNS,
                ),
                step("pour", "Pour at once; it firms cold.", 70, wait=chill(60, placed=True)),
            ),
            losses=losses(9, 4),
            windows={"sweetness": window(25, 75, "Sweeter still, and nothing else is tasted.")},
        ),
        Job(
            key="cream",
            name="a caramel buttercream",
            dial=FAT,
            band="creams",
            aim=36,
            parts=(
                _SUGAR,
                _cream(220),
                StarterLine("butter", 220, "whip", "soft; it carries the air", overrun_percent=25),
                _SALT,
            ),
            steps=(
                _DRY,
                _STOP,
                step("cool", "Cold, to 18-20 °C.", 20, wait=rest(120)),
                step("whip", "Whip with soft butter of the same temperature.", 20, 6, tool="whisk"),
            ),
            losses=losses(4, 3),
            windows={
                "sweetness": window(15, 50, "Below it tastes of butter, above it cloys."),
                "water": _WATER,
            },
        ),
    ),
    (
        Failure("bitter", "too dark", "Stop in an ice bath; watch the color from 165 °C."),
        Failure(
            "crystals",
            "stirred while it boiled, sides not cleaned",
            "Water in, dissolve again; clean sides; acid or glucose.",
        ),
        Failure("splits", "fat let go while it cooked", "Off the heat, warm cream; blend."),
        Failure("too soft or hard when cold", "the final temperature", "Cook again to another."),
    ),
    (BURNS, "It boils up when the cream goes in: a pot of at least four times the volume."),
    flavor="amber",
)
