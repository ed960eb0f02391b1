"""Ganache: chocolate on a liquid, set by what firms for each part of what softens."""

from collections.abc import Mapping

from fernbell.core.families.family import (
    Dial,
    Failure,
    Family,
    Job,
    StarterLine,
    Tool,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import chill, losses, rest, step
from fernbell.core.formulas import Step
from fernbell.core.pantry import LIQUIDS

DIAL = Dial(
    reading("set-number"),
    "firming parts (cocoa butter and dry cocoa) for each part of water",
    bands(
        0.3,
        "sauces",
        0.6,
        "pours",
        0.92,
        "coats",
        1.12,
        "slices",
        1.32,
        "pipes",
        1.65,
        "rolls",
        2.4,
    ),
    LIQUIDS,
    "bands from the ratios of common practice; the set number is an index of this project",
)
WHIPPED = Dial(
    reading("set-number"),
    "firming parts for each part of water, the cold cream counted",
    bands(0.1, "stays loose", 0.24, "whips soft", 0.36, "pipes", 0.52, "turns grainy", 0.8),
    LIQUIDS,
    "common practice: a base with about its own weight of cold cream; index of this project",
)
SPLITS = window(
    0.5, 3.0, "Above it there is too little water for the fat and it splits; below it is thin."
)
SWEET = window(3.5, 48, "Below it is bitter, above it cloys.")
_WINDOWS = {"fat-water": SPLITS, "sweetness": SWEET}

_POUR = step(
    "pour",
    "Hot cream over it, not boiled away; press under, wait 2-3 min, stir from the middle outwards.",
    80,
    3,
    tool="spatula",
    sign="smooth and elastic",
)
_MELT = step("melt", "Chop, or melt the chocolate half.", 42)
_BUTTER = step("butter", "Butter in below 40 °C; blend without air.", 38, tool="hand blender")

_CHOCOLATE = StarterLine("dark", 250, "melt", "it firms and flavors", slot="with")
_INVERT = StarterLine("invert", 30, "pour", "keeps it supple and moist", optional=True)
_GLUCOSE = StarterLine("glucose", 25, "pour", "gloss and body", optional=True)
_BUTTERY = StarterLine("butter", 30, "butter", "body and a short melt", optional=True)


_TOOLS = (Tool.OTHER_CHOCOLATES, Tool.HOLDS_AT)


def _cream(grams: float) -> StarterLine:
    return StarterLine("cream", grams, "pour", "the dial sets it: its water softens", slot="on")


def _job(
    key: str,
    name: str,
    band: str,
    aim: float,
    parts: tuple[StarterLine, ...],
    last: Step,
    *,
    notes: tuple[str, ...] = (),
    tools: tuple[Tool, ...] = (),
    by_kind: Mapping[str, tuple[str, float]] | None = None,
) -> Job:
    butters = any(part.stage == "butter" for part in parts)
    steps = (_MELT, _POUR, *((_BUTTER,) if butters else ()), last)
    return Job(
        key=key,
        name=name,
        dial=DIAL,
        band=band,
        aim=aim,
        parts=parts,
        steps=steps,
        windows=_WINDOWS,
        notes=notes,
        base="with",
        tools=(*_TOOLS, *tools),
        by_kind=by_kind or {},
    )


# White coats only where dark would slice already: its table has another order.
_WHITE_COATS = {"white": ("slices", 1.3)}
_REWARM = "Rewarm in bursts of 20-30 s, stirring between."
GANACHE = Family(
    "ganache",
    "Ganache",
    "ganache",
    (
        _job(
            key="slice",
            name="slicing in a tart",
            band="slices",
            aim=1.2,
            parts=(_CHOCOLATE, _cream(210), _INVERT, _BUTTERY),
            last=step(
                "fill",
                "Into the shell at 30-34 °C, 3 mm below the rim; out 1 h before serving.",
                32,
                wait=chill(120, 1440, placed=True),
            ),
            notes=("2 h cold before it cuts clean.",),
        ),
        _job(
            key="pour",
            name="pouring thin",
            band="pours",
            aim=0.8,
            parts=(_CHOCOLATE, _cream(300), _GLUCOSE),
            last=step("rest", "Film touching; it pours at 32-36 °C.", 34, wait=rest(15, 90)),
            notes=(_REWARM,),
        ),
        _job(
            key="drip",
            name="dripping down a cake",
            band="coats",
            aim=1.02,
            parts=(_CHOCOLATE, _cream(240), _GLUCOSE),
            last=step(
                "cool",
                "30-45 min at room temperature; a drop runs 4 cm and stands. Cake well chilled.",
                29,
                wait=rest(30, 60),
            ),
            notes=(
                "One drip about every 2.5 cm of the edge.",
                _REWARM,
            ),
            tools=(Tool.DRIPS,),
            by_kind=_WHITE_COATS,
        ),
        _job(
            key="coat",
            name="coating",
            band="coats",
            aim=1.05,
            parts=(_CHOCOLATE, _cream(235), _GLUCOSE, _BUTTERY),
            last=step("coat", "Over the cold cake at 32-35 °C, all at once.", 33, wait=rest(5, 30)),
            notes=(_REWARM,),
            by_kind=_WHITE_COATS,
        ),
        _job(
            key="pipe",
            name="piping",
            band="pipes",
            aim=1.45,
            parts=(_CHOCOLATE, _cream(180), _INVERT, _BUTTERY),
            last=step("set", "Film touching, at room temperature.", 20, wait=rest(60, 240)),
            notes=("Set enough to pipe in 1-4 h; keep from the fridge until piped.",),
        ),
        _job(
            key="roll",
            name="cutting and rolling",
            band="rolls",
            aim=2.15,
            parts=(_CHOCOLATE, _cream(130), _INVERT, _BUTTERY),
            last=step(
                "frame", "Into the frame at 32-34 °C; cut the next day.", 33, wait=rest(720, 2880)
            ),
            notes=("Firms overnight at 16-18 °C.",),
        ),
        Job(
            key="whip",
            tools=_TOOLS,
            name="whipping",
            dial=WHIPPED,
            band="pipes",
            aim=0.42,
            parts=(
                _CHOCOLATE,
                _cream(120),
                _GLUCOSE,
                StarterLine(
                    stuff="cream",
                    mass_g=320,
                    stage="cold",
                    why="cold, stirred in at the end: the part that whips",
                    overrun_percent=60,
                ),
            ),
            steps=(
                _MELT,
                _POUR,
                step("cold", "Cold cream in, blend; film touching.", 20, wait=chill(360, 2880)),
                step("whip", "Whip to soft peaks; it holds piping, freezing and cutting.", 5),
            ),
            windows={"fat-water": window(0.4, 1.6, "Above it turns to butter when whipped.")},
            notes=("At least 6 h cold before it is whipped.",),
            base="with",
        ),
        Job(
            key="bake",
            tools=_TOOLS,
            name="a baked filling",
            dial=DIAL,
            # The egg sets it in the oven: it is not judged by its liquid.
            band="slices",
            aim=1.18,
            parts=(
                _CHOCOLATE,
                _cream(150),
                StarterLine("egg", 60, "egg", "sets it in the oven"),
                _BUTTERY,
            ),
            steps=(
                _MELT,
                _POUR,
                step("egg", "Egg in, stir without air.", 35),
                step(
                    "bake",
                    "Into the baked shell at 140 °C; the rim stands, the middle wobbles.",
                    140,
                    15,
                    tool="oven",
                    sign="the middle wobbles",
                ),
            ),
            losses=losses(3, 2),
            windows=_WINDOWS,
            base="with",
        ),
        Job(
            key="sauce",
            tools=_TOOLS,
            name="a hot sauce",
            dial=DIAL,
            band="pours",
            aim=0.8,
            by_kind={"white": ("sauces", 0.45)},
            parts=(_CHOCOLATE, _cream(330), _GLUCOSE),
            steps=(_MELT, _POUR, step("serve", "Hold hot, serve above 60 °C.", 62)),
            windows={"sweetness": SWEET},
            notes=("Thick when cold; rewarm over water.",),
            base="with",
        ),
    ),
    (
        Failure(
            "grainy or oily",
            "too little water for its fat, too cold or too hot, stirred hard",
            "Warm to 35-40 °C, a spoon of warm milk or cream, blend without air.",
        ),
        Failure("too thin", "the ratio, or still warm", "Chill 30-45 min, or more chocolate."),
        Failure("too thick", "the ratio, or cold", "Rewarm in bursts of 20-30 s; a little cream."),
        Failure("skin or droplets", "uncovered, or covered with air", "Film touching."),
    ),
    flavor="dark-chocolate",
)
