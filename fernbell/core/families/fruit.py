"""Fruit: by final Brix, or set with pectin."""

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
from fernbell.core.families.making import BURNS, by_brix, chill, freeze, losses, rest, step
from fernbell.core.formulas import Figure, Until
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import SWEETS, LineRole
from fernbell.core.working import COMMON_PRACTICE

JAM = Dial(
    reading("brix"),
    "what is dissolved, as a refractometer sees it",
    bands(15, "sauce", 30, "soft insert", 51.5, "spread", 62, "jam that keeps", 70, "paste", 80),
    Until.BRIX,
)
COULIS = Dial(
    reading("brix"),
    "what is dissolved, as a refractometer sees it",
    bands(10, "sharp", 20, "sauce", 32, "sweet", 45),
    SWEETS,
)


def _gums(mix: Mix) -> float:
    return mix.of((LineRole.GUM,))


def _whole(mix: Mix) -> float:
    return mix.own.mass_g


PECTIN = Dial(
    Figure(
        "pectin-powder",
        "Pectin powder",
        "%",
        _gums,
        _whole,
        "pectin powder, as weighed",
        "the whole",
        100,
        COMMON_PRACTICE,
    ),
    "pectin powder on the whole",
    bands(0.4, "soft", 0.8, "cuts", 1.7, "rubber", 3),
    (LineRole.GUM,),
)
SWEET = window(8, 48, "Below it is sharp, above it is only sugar.")
# What is stiff or sweet already, chestnut or dried fruit, is no purée to boil down.
_BOILED = Admits((LineRole.FRUIT,), most_solids=35)
_PUREE = StarterLine("puree", 300, "boil", "fruit", slot="with", admits=_BOILED)
_PECTIN = "Pectin mixed with ten times its sugar, rained in; boil a full minute."

FRUIT = Family(
    "fruit",
    "Fruit",
    "fruit",
    (
        Job(
            key="jam",
            name="a jam-like filling",
            dial=JAM,
            band="spread",
            aim=57,
            parts=(
                _PUREE,
                StarterLine("sugar", 240, "boil", "keeps; fruit to sugar about 1.25"),
                StarterLine("pectin-nh", 5, "boil", "body", optional=True),
                StarterLine("lemon", 15, "acid", "freshness; wakes the pectin"),
            ),
            steps=(
                step("boil", "Boil to the sign, stirring.", 102, caution=BURNS),
                step("acid", "Lemon in.", 90, wait=chill(120, 4320)),
            ),
            losses=by_brix(57, 4, 20),
            boils=("boil",),
            windows={"sweetness": window(20, 62, "Below it is sharp, above it is only sugar.")},
            notes=("65 °Bx keeps; softer inserts are 30-45.",),
        ),
        Job(
            key="keeping",
            name="a jam that keeps",
            dial=JAM,
            band="jam that keeps",
            aim=65,
            parts=(
                _PUREE,
                StarterLine("sugar", 240, "boil", "keeps; fruit to sugar 1.25"),
                StarterLine("pectin-yellow", 2, "boil", "body", optional=True),
                StarterLine("lemon", 12, "boil", "sets the pectin"),
            ),
            steps=(
                step("boil", "Boil to the sign, stirring; skim.", 104, caution=BURNS),
                step("pot", "Hot into clean jars, closed at once.", 85, caution=BURNS),
            ),
            losses=by_brix(65, 4, 25),
            boils=("boil",),
            windows={
                "sweetness": window(20, 70, "Below it is sharp, above it is only sugar."),
                "solids": window(60, 76, "Below it does not keep, above it is a paste."),
            },
            notes=("Opened: chilled, and used within weeks.",),
        ),
        Job(
            key="paste",
            name="a fruit paste, cut",
            dial=JAM,
            band="paste",
            aim=75,
            parts=(
                _PUREE,
                StarterLine("sugar", 300, "boil", "sets with the pectin; most of it later"),
                StarterLine("glucose", 60, "boil", "keeps it from crystals"),
                StarterLine("pectin-yellow", 7, "boil", "sets, and does not melt again"),
                StarterLine("lemon", 14, "acid", "sets it at once: last of all"),
            ),
            steps=(
                step(
                    "boil",
                    "Pectin with ten times its sugar rained into the warm purée; boil; the rest of "
                    "the sugar in parts; glucose; to the sign.",
                    106.5,
                    caution=BURNS,
                ),
                step("acid", "Acid in, at once into the frame.", 104, caution=BURNS),
                step("set", "At room temperature; cut, roll in sugar.", 20, wait=rest(720)),
            ),
            losses=by_brix(75, 5, 30),
            boils=("boil",),
            windows={
                "sweetness": window(35, 90, "Below it does not keep, above it is only sugar."),
                "solids": window(70, 82, "Below it weeps, above it is hard."),
            },
        ),
        Job(
            key="coulis",
            name="a coulis",
            dial=COULIS,
            band="sauce",
            aim=25,
            parts=(
                _PUREE,
                StarterLine("sugar", 50, "boil", "the dial sets it"),
                StarterLine("lemon", 8, "acid"),
            ),
            steps=(
                step("boil", "Warm to dissolve, strain.", 70),
                step("acid", "Lemon in, chill.", 4, wait=chill(30, 2880)),
            ),
            losses=losses(0, 4),
            windows={"sweetness": window(8, 38, "Below it is sharp, above it is syrup.")},
        ),
        Job(
            key="insert",
            name="an insert with pectin NH",
            dial=PECTIN,
            band="cuts",
            aim=1.2,
            parts=(
                _PUREE,
                StarterLine("sugar", 75, "boil", "sweetness; softer when frozen"),
                StarterLine("pectin-nh", 5.5, "boil", "the dial sets it: melts and sets again"),
                StarterLine("lemon", 12, "acid", "pectin NH needs acid"),
            ),
            steps=(
                step("boil", _PECTIN, 103, 1, caution=BURNS),
                step("acid", "Lemon in; into the ring.", 85, wait=freeze(120, 1440)),
            ),
            losses=losses(6, 3),
            windows={
                "sweetness": SWEET,
                "solids": window(25, 50, "Below it is ice in the cut, above it is jam."),
            },
            boils=("boil",),
            notes=("Frozen hard before it meets mousse.",),
        ),
    ),
    (
        Failure("does not set", "no acid, no sugar, not boiled", "Lemon; boil again."),
        Failure("dull, brown", "boiled long", "Smaller batches, a wide pan; acid last."),
        Failure("ice in the cut", "too few solids", "More sugar or glucose; or boil further."),
    ),
    (BURNS,),
    flavor="red-fruit",
)
