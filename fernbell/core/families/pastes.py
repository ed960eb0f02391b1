"""Pastes, choux, crumbs and crumbles: fat on the flour, or egg on it."""

from fernbell.core.families.family import (
    Dial,
    Failure,
    Family,
    Job,
    StarterLine,
    Way,
    bands,
    window,
)
from fernbell.core.families.making import chill, freeze, losses, step
from fernbell.core.formulas import LegKind, OvenLeg, ratio
from fernbell.core.pantry import LineRole

FLOURS = (LineRole.FLOUR, LineRole.STARCH)
CHOUX_DRY = (*FLOURS, LineRole.COCOA)
FATS = (LineRole.BUTTER, LineRole.OIL)
PRESSED = (LineRole.CRUMB, LineRole.NUT, *FLOURS)
"""What butter holds together in a crumb base: oats and flakes are flour by their make-up."""
SHORT = Dial(
    ratio("butter-flour", "Butter on flour", FATS, FLOURS),
    "grams of butter on 100 g of flour",
    bands(30, "tough", 45, "lines a ring", 70, "short", 95, "cannot be rolled", 130),
    FATS,
)
CRUMBLE = Dial(
    ratio("butter-flour", "Butter on flour", FATS, FLOURS),
    "grams of butter on 100 g of flour",
    bands(40, "sandy", 65, "crumbles", 110, "melts flat", 150),
    FATS,
)
CHOUX = Dial(
    ratio("egg-flour", "Egg on flour", (LineRole.EGG, LineRole.WHITE), CHOUX_DRY),
    "grams of egg on 100 g of flour and cocoa",
    bands(110, "stiff, cracks", 150, "falls from the spoon", 195, "runs flat", 240),
    (LineRole.EGG,),
)
CRUMB = Dial(
    ratio("butter-crumb", "Butter on crumbs", FATS, PRESSED),
    "grams of butter on 100 g of crumbs, oats, nuts and flakes",
    bands(20, "crumbles when cut", 34, "cuts", 46, "too hard for a fork", 70),
    FATS,
)
NUT_CRUST = Dial(
    ratio("butter-nut", "Butter on nuts and sugar", FATS, (LineRole.NUT, LineRole.SUGAR)),
    "grams of butter on 100 g of nuts and sugar",
    bands(8, "falls apart", 20, "cuts", 30, "greasy", 45),
    FATS,
)
PUFF = Dial(
    ratio("butter-flour", "Butter on flour", FATS, FLOURS),
    "grams of butter on 100 g of flour",
    bands(40, "bready", 70, "leafs", 105, "runs out", 130),
    FATS,
)
_FAT = {"fat": window(14, 40, "Below it is tough, above it cannot be rolled.")}
_CRISP = {
    **_FAT,
    "sugars": window(8, 30, "Below it is bread, above it burns and sticks."),
    "water-activity": window(0.03, 0.45, "Above it is not crisp: it is not baked through."),
}
# Raw paste weighs about 1.2 g/ml and keeps its thickness: baked, what is baked off is missing.
_ROLLED = 1.03

_SAND = step("sand", "Cold butter worked into the dry.", 14, tool="paddle", sign="fine sand")
_BIND = step("bind", "Egg in; stop as soon as it holds; wrap.", 4, wait=chill(60, 2880))
_ROLL = step("roll", "Roll 2.5 mm, line, dock, leave the overhang.", 4, wait=chill(30, 240))
_BAKE = step(
    "bake",
    "Bake through without weights.",
    160,
    26,
    tool="oven",
    sign="even color, base too",
)
_WEIGHTED = step(
    "bake",
    "Lined and weighted 12 min, then without until dry.",
    180,
    18,
    tool="oven",
    sign="even color, base too",
)
_WAYS = (Way("160 °C, longer", (_BAKE,)), Way("180 °C, with weights", (_WEIGHTED,)))
_PASTE_STEPS = (_SAND, _BIND, _ROLL, _BAKE)
_FLOUR = StarterLine("flour", 250, "sand", "structure")
_EGG = StarterLine("egg", 50, "bind", "binds")
_SALT = StarterLine("salt", 2, "sand", "balance", optional=True)


def _butter(grams: float, stage: str = "sand") -> StarterLine:
    return StarterLine("butter", grams, stage, "the dial sets it: shortness")


PASTES = Family(
    "paste",
    "Pastes",
    "paste",
    (
        Job(
            key="short",
            name="lining a ring",
            dial=SHORT,
            band="lines a ring",
            aim=58,
            parts=(
                _FLOUR,
                StarterLine("icing-sugar", 90, "sand", "sweet, fine"),
                _butter(145),
                _EGG,
                _SALT,
            ),
            steps=_PASTE_STEPS,
            losses=losses(14, 3),
            windows=_CRISP,
            measured_density_g_ml=_ROLLED,
            base="flour",
            ways=_WAYS,
        ),
        Job(
            key="nut",
            name="lining, with nuts",
            dial=SHORT,
            band="lines a ring",
            aim=62,
            parts=(
                _FLOUR,
                StarterLine("almond-flour", 45, "sand", "flavor, short", slot="with"),
                StarterLine("icing-sugar", 95, "sand", "sweet, fine"),
                _butter(155),
                _EGG,
                _SALT,
            ),
            steps=_PASTE_STEPS,
            losses=losses(14, 3),
            windows=_CRISP,
            measured_density_g_ml=_ROLLED,
            base="flour",
            ways=_WAYS,
        ),
        Job(
            key="cocoa",
            name="lining, with cocoa",
            dial=SHORT,
            band="lines a ring",
            aim=64,
            parts=(
                _FLOUR,
                StarterLine("cocoa", 30, "sand", "color; it binds water", slot="with"),
                StarterLine("icing-sugar", 105, "sand", "sweet, fine"),
                _butter(160),
                StarterLine("egg", 58, "bind", "binds"),
                _SALT,
            ),
            steps=_PASTE_STEPS,
            losses=losses(14, 3),
            windows=_CRISP,
            measured_density_g_ml=_ROLLED,
            base="flour",
            ways=_WAYS,
        ),
        Job(
            key="choux",
            name="puffs",
            dial=CHOUX,
            band="falls from the spoon",
            aim=172,
            parts=(
                StarterLine("water", 125, "boil", "steam"),
                StarterLine("milk", 125, "boil", "color"),
                StarterLine("butter", 110, "boil", "tender"),
                StarterLine("flour", 140, "panade", "structure"),
                StarterLine("egg", 240, "egg", "the dial sets it: lift"),
                StarterLine("salt", 3, "boil", "balance", optional=True),
            ),
            steps=(
                step("boil", "Water, milk, butter, salt to a full boil.", 100),
                step("panade", "Flour in at once; dry it.", 80, 2, sign="a film in the pan"),
                step("egg", "Egg until it falls from the spoon.", 40, tool="paddle"),
                step(
                    "bake",
                    "Until it has risen, then less; no opening.",
                    200,
                    12,
                    then=(OvenLeg(LegKind.THEN, 180, 16),),
                    tool="oven",
                    sign="dry",
                ),
            ),
            losses=losses(34, 4),
            windows={"water": window(8, 55, "Below it is a rusk, above it collapses.")},
            measured_density_g_ml=0.2,
        ),
        Job(
            key="craquelin",
            name="a craquelin cap",
            dial=CRUMBLE,
            band="crumbles",
            aim=90,
            parts=(
                StarterLine("flour", 90, "mix", "structure"),
                StarterLine("brown-sugar", 90, "mix", "crackle"),
                _butter(80, "mix"),
            ),
            steps=(
                step("mix", "Mix soft; roll 2 mm between sheets; freeze.", 18, wait=freeze(30)),
                step("cut", "Cut to the piped size, lay on.", -5),
            ),
            losses=losses(0, 8),
            windows={"sugars": window(22, 48, "Below it does not crack, above it runs.")},
            kind="crumble",
            notes=("Cut to the piped size, laid on frozen.",),
        ),
        Job(
            key="crumb",
            name="a crumb base",
            dial=CRUMB,
            band="cuts",
            aim=40,
            parts=(StarterLine("crumbs", 200, "mix", "structure", slot="with"), _butter(80, "mix")),
            steps=(
                step("mix", "Melted butter in; press, chill.", 30, wait=chill(20, placed=True)),
            ),
            losses=losses(0, 2),
            windows={
                "fat": window(24, 46, "Below it crumbles when cut, above it is hard and greasy.")
            },
            kind="crumble",
            measured_density_g_ml=0.95,
        ),
        Job(
            key="crumble",
            name="a crumble",
            dial=CRUMBLE,
            band="crumbles",
            aim=88,
            parts=(
                StarterLine("flour", 120, "mix", "structure"),
                StarterLine("almond-flour", 80, "mix", "flavor", slot="with"),
                StarterLine("brown-sugar", 100, "mix", "crisp"),
                _butter(105, "mix"),
                StarterLine("salt", 2, "mix", "balance", optional=True),
            ),
            steps=(
                step("mix", "Rub to crumbs; chill.", 14, wait=chill(30, 2880)),
                step(
                    "bake",
                    "Turned once; bound later with melted chocolate or nut paste.",
                    180,
                    (10, 15),
                    tool="oven",
                    sign="gold",
                ),
            ),
            losses=losses(6, 3),
            windows={
                "fat": window(15, 42, "Below it is sandy, above it melts flat."),
                "water-activity": window(None, 0.45, "Above it is not crisp."),
            },
            kind="crumble",
            measured_density_g_ml=0.6,
            base="flour",
        ),
        Job(
            key="pressed-nut",
            name="a pressed nut crust",
            dial=NUT_CRUST,
            band="cuts",
            aim=25,
            parts=(
                StarterLine("almond-flour", 200, "mix", "structure", slot="with"),
                StarterLine("brown-sugar", 40, "mix", "crisp; it binds"),
                _butter(60, "mix"),
                StarterLine("salt", 1, "mix", "balance", optional=True),
            ),
            steps=(
                step("mix", "Melted butter in; press 4-5 mm, cold.", 30, wait=chill(20)),
                step("bake", "Until gold; it firms as it cools.", 170, (10, 14), tool="oven"),
            ),
            losses=losses(2.5, 3),
            windows={"fat": window(30, 70, "Below it crumbles, above it is greasy.")},
            kind="crumble",
            measured_density_g_ml=0.95,
        ),
        Job(
            key="puff",
            name="puff paste",
            dial=PUFF,
            band="leafs",
            aim=88,
            parts=(
                StarterLine("flour", 250, "dough", "structure"),
                StarterLine("water", 118, "dough", "steam lifts the leaves"),
                StarterLine("butter", 30, "dough", "keeps the dough short"),
                StarterLine("salt", 5, "dough", "balance"),
                StarterLine("butter", 190, "fold", "the dial sets it: between the leaves"),
            ),
            steps=(
                step("dough", "Cold, worked little; a square.", 12, wait=chill(60, 1440)),
                step("fold", "Butter as firm as the dough, shut in; two turns.", 14),
                step("rest", "Cold; then two turns more, twice.", 4, wait=chill(60, 240)),
                step("roll", "Roll 2-3 mm, dock; cold again.", 4, wait=chill(60, 1440)),
                step(
                    "bake",
                    "Until it has risen, then less; weighted where it should stay flat.",
                    200,
                    12,
                    then=(OvenLeg(LegKind.THEN, 180, 20),),
                    tool="oven",
                    sign="gold to the middle",
                ),
            ),
            losses=losses(29, 4),
            windows={
                "fat": window(30, 50, "Below it is bread, above it runs out."),
                "water-activity": window(0.03, 0.45, "Above it is not crisp."),
            },
            measured_density_g_ml=0.9,
            base="flour",
        ),
    ),
    (
        Failure(
            "shrinks, puffs, soggy",
            "not rested, not docked, underbaked",
            "Rest; overhang, or freeze before trimming; weights; seal.",
        ),
        Failure("tough", "worked warm and long", "Cold butter, little working."),
        Failure("choux collapses", "opened early, too much egg", "Dry it out; less egg."),
    ),
    flavor="rye",
)
