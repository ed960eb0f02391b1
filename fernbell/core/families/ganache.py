"""Ganache: chocolate on a liquid, set by what firms for each part of what softens."""

from collections.abc import Mapping
from dataclasses import replace

from fernbell.core.families.family import (
    Admits,
    Dial,
    Failure,
    Family,
    Job,
    Setting,
    StarterLine,
    Tool,
    bands,
    reading,
    window,
)
from fernbell.core.families.making import chill, losses, rest, step
from fernbell.core.formulas import Step, Window
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


def _whipped(least: float, most: float) -> Dial:
    """The dial of a whipped ganache that pipes between two set numbers."""
    return Dial(
        reading("set-number"),
        "firming parts for each part of water, the cold cream counted",
        bands(
            0.3 * least,
            "stays loose",
            0.65 * least,
            "whips soft",
            least,
            "pipes",
            most,
            "turns grainy",
            1.6 * most,
        ),
        LIQUIDS,
        "common practice: a base with about its own weight of cold cream; index of this project",
    )


WHIPPED = _whipped(0.36, 0.52)
SPLITS = window(
    0.5, 3.0, "Above it there is too little water for the fat and it splits; below it is thin."
)
SWEET = window(3.5, 48, "Below it is bitter, above it cloys.")
_THIN = window(0.4, 2.4, "Above it splits when it stands; below it is cocoa and water.")
_WINDOWS = {"fat-water": SPLITS, "sweetness": SWEET}
# Compound takes so little cream that its fat stands far above the water, and holds all the same.
_COMPOUND = {
    "compound white": Setting(
        windows={"fat-water": window(0.5, 4.2, "Above it splits; below it is thin.")}
    )
}

_POUR = step(
    "pour",
    "Hot cream over it, not boiled away; press under, wait 2-3 min, stir from the middle outwards.",
    80,
    3,
    tool="spatula",
    sign="smooth and elastic",
)
_MELT = step("melt", "Chop, or melt the chocolate half.", 42, bursts=(20, 30), sign="half melted")
_BUTTER = step("butter", "Butter in below 40 °C; blend without air.", 38, tool="hand blender")

_CHOCOLATE = StarterLine("dark", 250, "melt", "it firms and flavors", slot="with")
_INVERT = StarterLine("invert", 30, "pour", "keeps it supple and moist", optional=True)
_GLUCOSE = StarterLine("glucose", 25, "pour", "gloss and body", optional=True)
_BUTTERY = StarterLine("butter", 30, "butter", "body and a short melt", optional=True)


# Vinegar and juice concentrate are no liquid to make a ganache on.
_LIQUID = Admits(LIQUIDS, most={"alcohol": 31}, most_solids=65)


def _cream(grams: float, why: str = "the dial sets it: its water softens") -> StarterLine:
    return StarterLine("cream", grams, "pour", why, slot="on", admits=_LIQUID)


def _whipping(hot: float, cold: float) -> tuple[StarterLine, ...]:
    """A base and about its own weight of cold cream [g]."""
    return (
        _CHOCOLATE,
        _cream(hot),
        _GLUCOSE,
        StarterLine(
            stuff="cream",
            mass_g=cold,
            stage="cold",
            why="cold, stirred in at the end: the part that whips",
            overrun_percent=60,
        ),
    )


def _job(
    key: str,
    name: str,
    band: str,
    aim: float,
    parts: tuple[StarterLine, ...],
    last: Step,
    *,
    notes: tuple[str, ...] = (),
    tools: tuple[Tool, ...] = (Tool.HOLDS_AT,),
    by_kind: Mapping[str, Setting] | None = None,
    windows: Mapping[str, Window] | None = None,
    did: str,
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
        windows={**_WINDOWS, **(windows or {})},
        notes=notes,
        base="with",
        did=did,
        tools=(Tool.OTHER_CHOCOLATES, *tools),
        by_kind={**_COMPOUND, **(by_kind or {})},
    )


# White coats only where dark would slice already: its table has another order, and a dial its own.
_WHITE = replace(
    DIAL,
    bands=bands(0.3, "sauces", 0.6, "pours", 1.12, "coats", 1.5, "pipes", 1.65, "rolls", 2.4),
)
_WHITE_COATS = {"white": Setting(aim=1.3, dial=_WHITE)}
_REWARM = "Rewarm in bursts of 20-30 s, stirring between."
GANACHE = Family(
    "ganache",
    "Ganache",
    "ganache",
    (
        _job(
            key="slice",
            did="sliced well",
            name="slicing in a tart",
            band="slices",
            aim=1.2,
            parts=(_CHOCOLATE, _cream(210), _INVERT, _BUTTERY),
            last=step(
                "fill",
                "Into the shell, 3 mm below the rim; out 1 h before serving.",
                (30, 34),
                wait=chill(120, 1440, placed=True),
            ),
            tools=(Tool.HOLDS_AT, Tool.KEEPS),
            notes=("2 h cold before it cuts clean.",),
        ),
        _job(
            key="pour",
            did="poured well",
            name="pouring thin",
            band="pours",
            aim=0.8,
            parts=(_CHOCOLATE, _cream(300), _GLUCOSE),
            windows={"fat-water": _THIN},
            last=step("rest", "Film touching; it pours warm.", (32, 36), wait=rest(15, 90)),
            notes=(_REWARM,),
            tools=(),
        ),
        _job(
            key="drip",
            did="dripped well",
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
            tools=(Tool.HOLDS_AT, Tool.DRIPS),
            by_kind=_WHITE_COATS,
        ),
        _job(
            key="coat",
            did="coated well",
            name="coating",
            band="coats",
            aim=1.05,
            parts=(_CHOCOLATE, _cream(235), _GLUCOSE, _BUTTERY),
            last=step("coat", "Over the cold cake, all at once.", (32, 35), wait=rest(5, 30)),
            notes=(_REWARM,),
            by_kind=_WHITE_COATS,
        ),
        _job(
            key="pipe",
            did="piped well",
            name="piping",
            band="pipes",
            aim=1.45,
            parts=(_CHOCOLATE, _cream(180), _INVERT, _BUTTERY),
            last=step("set", "Film touching, at room temperature.", 20, wait=rest(60, 240)),
            tools=(Tool.HOLDS_AT, Tool.KEEPS),
            notes=("Set enough to pipe in 1-4 h; keep from the fridge until piped.",),
        ),
        _job(
            key="roll",
            did="cut and rolled well",
            name="cutting and rolling",
            band="rolls",
            aim=2.15,
            parts=(_CHOCOLATE, _cream(130), _INVERT, _BUTTERY),
            last=step("frame", "Into the frame; cut the next day.", (32, 34), wait=rest(720, 2880)),
            tools=(Tool.HOLDS_AT, Tool.KEEPS),
            notes=("Firms overnight at 16-18 °C.",),
        ),
        Job(
            key="whip",
            did="whipped well",
            tools=(Tool.OTHER_CHOCOLATES,),
            name="whipping",
            dial=WHIPPED,
            band="pipes",
            aim=0.42,
            parts=_whipping(120, 320),
            steps=(
                _MELT,
                _POUR,
                step("cold", "Cold cream in, blend; film touching.", 20, wait=chill(360, 2880)),
                step("whip", "Whip to soft peaks; it holds piping, freezing and cutting.", 5),
            ),
            windows={
                "fat-water": window(0.4, 1.6, "Above it turns to butter when whipped."),
                "sweetness": SWEET,
            },
            notes=("At least 6 h cold before it is whipped.",),
            base="with",
            by_kind={
                "milk": Setting(aim=0.345, dial=_whipped(0.28, 0.44), parts=_whipping(156, 431)),
                "white": Setting(aim=0.2, dial=_whipped(0.16, 0.26), parts=_whipping(156, 431)),
                "compound dark or milk": Setting(
                    aim=0.152, dial=_whipped(0.12, 0.2), parts=_whipping(120, 395)
                ),
                "compound white": Setting(
                    aim=0.107, dial=_whipped(0.085, 0.14), parts=_whipping(90, 365)
                ),
            },
        ),
        Job(
            key="bake",
            did="baked well",
            tools=(Tool.OTHER_CHOCOLATES,),
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
            by_kind=_COMPOUND,
            base="with",
        ),
        Job(
            key="sauce",
            did="poured well",
            tools=(Tool.OTHER_CHOCOLATES,),
            name="a hot sauce",
            dial=DIAL,
            band="pours",
            aim=0.8,
            by_kind={**_COMPOUND, "white": Setting("sauces", 0.45)},
            parts=(_CHOCOLATE, _cream(330), _GLUCOSE),
            steps=(_MELT, _POUR, step("serve", "Hold hot, serve above 60 °C.", 62)),
            windows={"sweetness": SWEET, "fat-water": _THIN},
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
