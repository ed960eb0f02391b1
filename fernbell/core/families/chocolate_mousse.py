"""Mousses of chocolate: dark sets by its own cocoa, milk and white by a little gelatin too."""

from dataclasses import replace

from fernbell.core.families.family import Admits, Job, Setting, StarterLine, window
from fernbell.core.families.making import BLOOM, BURNS, EGG, chill, losses, step
from fernbell.core.families.mousse_parts import (
    CHOCOLATE_FAT,
    COCOA,
    COOK,
    GELATIN,
    SWEET,
    cream,
    fold,
)
from fernbell.core.formulas import Step
from fernbell.core.pantry import ChocolateKind, LineRole

_MELT = step("melt", "Melt the chocolate.", 45)
_PALE_SWEET = window(8, 34, "Below it is flat, above it cloys.")
_PALE_WINDOWS = {
    "sweetness": _PALE_SWEET,
    "fat": CHOCOLATE_FAT,
    "gelatin-water": window(0.5, 2.2, "Below it weeps, above it is rubber."),
}
_DARK_FOLDS, _PALE_FOLDS = (35, 40), (30, 35)
_GELATINED = {
    "milk": _PALE_FOLDS,
    "white": _PALE_FOLDS,
    "compound dark or milk": _DARK_FOLDS,
    "compound white": _DARK_FOLDS,
}
"""What does not set by its cocoa, and at what its base is folded [°C]."""
_PALE_ONLY = Admits((LineRole.CHOCOLATE,), chocolates=(ChocolateKind.MILK, ChocolateKind.WHITE))


def _with_gelatin(
    parts: tuple[StarterLine, ...], steps: tuple[Step, ...], into: str
) -> dict[str, Setting]:
    """The same of milk, white and compound: more chocolate, a little gelatin, folded cooler."""
    gelatin = (
        StarterLine("gelatin", 3.4, "bloom", "the dial sets it: their butter sets less"),
        StarterLine("water", 19, "bloom", "blooms the gelatin"),
    )
    more = tuple(
        replace(part, mass_g=1.1 * part.mass_g) if part.stuff == "dark" else part for part in parts
    )
    melts = step("gelatin", f"Gelatin in, off the heat: into {into}.", (50, 70))
    at = next(i for i, one in enumerate(steps) if one.stage == "fold")

    def setting(least_c: float, most_c: float) -> Setting:
        folded = replace(steps[at], temperature_c=least_c, temperature_to_c=most_c)
        return Setting(
            aim=1.2,
            dial=GELATIN,
            parts=(*more, *gelatin),
            steps=(BLOOM, *steps[:at], melts, folded, *steps[at + 1 :]),
            windows=_PALE_WINDOWS,
        )

    return {kind: setting(*folds) for kind, folds in _GELATINED.items()}


def _dark(grams: float, stage: str = "melt") -> StarterLine:
    return StarterLine("dark", grams, stage, "the dial sets it: it sets as it cools", slot="with")


_CUSTARD = (
    StarterLine("milk", 110, "anglaise", "the liquid", slot="on"),
    StarterLine("yolk", 45, "anglaise", "body"),
    StarterLine("sugar", 20, "anglaise", "sweetness"),
    _dark(200),
    cream(300, 100),
)
_CUSTARD_STEPS = (_MELT, COOK, *fold(_DARK_FOLDS, "Chocolate custard"))
_UNSUGARED = tuple(part for part in _CUSTARD if part.stuff != "sugar")

_BOMBE = (
    StarterLine("sugar", 55, "syrup", "cooks the yolks"),
    StarterLine("water", 20, "syrup", "dissolves the sugar"),
    StarterLine("yolk", 75, "foam", "foam", overrun_percent=300),
    _dark(210, "warm"),
    cream(330),
)
_BOMBE_STEPS = (
    step("warm", "Chocolate melted and kept warm: it has to meet the foam.", (48, 55)),
    step("syrup", "Cook the syrup.", (118, 121), caution=BURNS),
    step(
        "foam",
        "Syrup in a thin stream onto the whipping yolks; over steam to 72 °C; whip to cool.",
        72,
        caution=EGG,
    ),
    step("join", "A third of the cream into the warm chocolate, then the foam, at once.", 40),
    *fold(_DARK_FOLDS, "Chocolate foam"),
)

_CLASSIC = (
    _dark(200),
    StarterLine("butter", 50, "melt", "melts on the tongue"),
    StarterLine("yolk", 60, "yolks", "binds"),
    StarterLine("sugar", 50, "whites", "holds the foam"),
    StarterLine("white", 150, "whites", "air", overrun_percent=350),
    StarterLine("cream", 120, "fold", "roundness", slot="cream", overrun_percent=80),
)
_CLASSIC_STEPS = (
    step("melt", "Melt chocolate and butter.", 45),
    step("yolks", "Pasteurized yolks into the chocolate.", 40, caution=EGG),
    step(
        "whites",
        "Pasteurized whites beaten with the sugar to soft peaks: too little sugar to heat them.",
        20,
        caution=EGG,
    ),
    step("fold", "A third of the whites to loosen, then all, then the cream.", _DARK_FOLDS),
    step("set", "Into cups.", 4, wait=chill(120, 1440)),
)

_GANACHE = (
    _dark(200),
    StarterLine("cream", 150, "pour", "makes the ganache", slot="on"),
    StarterLine("cream", 300, "fold", "air; soft peak", overrun_percent=100),
)
_GANACHE_STEPS = (
    _MELT,
    step("pour", "Hot cream over it in three turns; stir from the middle.", 80),
    *fold(_DARK_FOLDS, "Ganache"),
)

CHOCOLATE_MOUSSES = (
    Job(
        key="chocolate",
        name="a ring, chocolate on custard",
        dial=COCOA,
        band="slices",
        aim=1.05,
        parts=_CUSTARD,
        steps=_CUSTARD_STEPS,
        losses=losses(2, 3),
        windows={"fat": CHOCOLATE_FAT, "sweetness": SWEET},
        by_kind=_with_gelatin(_UNSUGARED, _CUSTARD_STEPS, "the hot custard"),
    ),
    Job(
        key="white",
        name="a ring, white or milk chocolate",
        dial=GELATIN,
        band="slices",
        aim=1.2,
        parts=(
            StarterLine("milk", 110, "anglaise", "the liquid", slot="on"),
            StarterLine("yolk", 35, "anglaise", "body"),
            StarterLine(
                "gelatin", 3.4, "bloom", "the dial sets it: their butter sets less", slot="set"
            ),
            StarterLine("water", 19, "bloom", "blooms the gelatin"),
            StarterLine(
                "white-chocolate",
                215,
                "melt",
                "flavor and set",
                slot="with",
                admits=_PALE_ONLY,
            ),
            cream(300, 100),
        ),
        steps=(
            BLOOM,
            _MELT,
            COOK,
            step("gelatin", "Gelatin in, off the heat: into the hot custard.", (50, 70)),
            *fold(_PALE_FOLDS, "Chocolate custard"),
        ),
        losses=losses(2, 3),
        windows=_PALE_WINDOWS,
        notes=("White and milk bases fold at 30-35 °C.",),
    ),
    Job(
        key="bombe",
        name="a ring, on yolk foam",
        dial=COCOA,
        band="slices",
        aim=1.05,
        parts=_BOMBE,
        steps=_BOMBE_STEPS,
        losses=losses(2, 3),
        windows={
            "fat": CHOCOLATE_FAT,
            "sweetness": window(8, 30, "Below it tastes flat, above it cloys."),
        },
        by_kind=_with_gelatin(_BOMBE, _BOMBE_STEPS, "the warm chocolate"),
    ),
    Job(
        key="classic",
        name="cups, chocolate with yolks and butter",
        dial=COCOA,
        band="slices",
        aim=1.1,
        parts=_CLASSIC,
        steps=_CLASSIC_STEPS,
        losses=losses(0, 3),
        windows={
            "fat": CHOCOLATE_FAT,
            "sweetness": window(8, 30, "Below it is bitter, above it cloys."),
        },
        by_kind=_with_gelatin(_CLASSIC, _CLASSIC_STEPS, "the warm chocolate"),
    ),
    Job(
        key="ganache",
        name="a ring, on ganache",
        dial=COCOA,
        band="slices",
        aim=0.95,
        parts=_GANACHE,
        steps=_GANACHE_STEPS,
        losses=losses(0, 3),
        windows={
            "fat": window(15, 40, "Below it is thin, above it splits when folded."),
            "sweetness": window(5, 26, "Below it is bitter, above it cloys."),
        },
        by_kind=_with_gelatin(_GANACHE, _GANACHE_STEPS, "the hot cream"),
    ),
)
"""Common practice: 30-35 % chocolate with 0.4-0.6 % gelatin in a mousse of milk or white."""
