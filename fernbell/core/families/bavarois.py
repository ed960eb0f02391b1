"""Bavarois: a custard set with gelatin, plain or poured onto what flavors it, cream folded in."""

from fernbell.core.families.custard_parts import BOIL, COOK, FAT, LIGHT, SWEET, VANILLA
from fernbell.core.families.family import Admits, Job, Setting, StarterLine, window
from fernbell.core.families.making import BLOOM, COOLING, chill, losses, step
from fernbell.core.families.mousse_parts import GELATIN
from fernbell.core.formulas import Step
from fernbell.core.pantry import LineRole

_MILKY = Admits((LineRole.MILK, LineRole.CREAM), sour=False, most={"milk_fat": 36})


def _bavarois(
    key: str,
    name: str,
    parts: tuple[StarterLine, ...],
    aim: float,
    joins: str,
    folds: tuple[float, float],
    pale_folds: tuple[float, float] | None = None,
) -> Job:
    """A bavarois with something that flavors it, its custard poured onto that."""

    def steps(at: tuple[float, float]) -> tuple[Step, ...]:
        return (
            BLOOM,
            BOIL,
            COOK,
            step("join", joins, (50, 60), caution=COOLING),
            step("fold", "Soft cream in two turns.", at, tool="spatula"),
            step("set", "Into the mold.", 4, wait=chill(240, 2880)),
        )

    return Job(
        key=key,
        name=name,
        dial=GELATIN,
        band="slices",
        aim=aim,
        parts=(
            StarterLine("milk", 230, "boil", "the liquid", slot="on", admits=LIGHT),
            StarterLine("yolk", 60, "cook", "body"),
            *parts,
            StarterLine("cream", 240, "fold", "air", slot="cream", overrun_percent=90),
        ),
        steps=steps(folds),
        by_kind=dict.fromkeys(("milk", "white"), Setting(steps=steps(pale_folds)))
        if pale_folds
        else {},
        losses=losses(2, 3),
        windows={
            "sweetness": window(5, 30, "Below it tastes flat, above it cloys."),
            "fat": window(8, 36, "Below it is thin, above it is heavy."),
        },
        kind="mousse",
    )


BAVAROIS = (
    Job(
        key="bavarois",
        name="bavarois",
        dial=GELATIN,
        band="slices",
        aim=1.0,
        parts=(
            StarterLine("milk", 250, "boil", "the liquid", slot="on", admits=_MILKY),
            VANILLA,
            StarterLine("yolk", 70, "cook", "body"),
            StarterLine("sugar", 75, "cook", "sweetness"),
            StarterLine("gelatin", 9, "bloom", "the dial sets it", slot="set"),
            StarterLine("water", 50, "bloom", "blooms the gelatin"),
            StarterLine("cream", 250, "fold", "air", slot="cream", overrun_percent=90),
        ),
        steps=(
            BLOOM,
            BOIL,
            COOK,
            step("melt", "Gelatin in, off the heat; cool.", 60, caution=COOLING),
            step("fold", "Soft cream in two turns.", (25, 28), tool="spatula"),
            step("set", "Into the mold.", 4, wait=chill(240, 2880)),
        ),
        losses=losses(2, 3),
        windows={"sweetness": SWEET, "fat": FAT},
        kind="mousse",
    ),
    _bavarois(
        key="bavarois-chocolate",
        name="bavarois, chocolate",
        parts=(
            StarterLine("dark", 90, "join", "flavor; it sets too", slot="with"),
            StarterLine("sugar", 40, "cook", "sweetness"),
            StarterLine("gelatin", 6.5, "bloom", "the dial sets it", slot="set"),
            StarterLine("water", 36, "bloom", "blooms the gelatin"),
        ),
        aim=1.1,
        joins="Gelatin in, off the heat; onto the chocolate in three turns; cool.",
        folds=(35, 38),
        pale_folds=(30, 35),
    ),
    _bavarois(
        key="bavarois-nut",
        name="bavarois, nut",
        parts=(
            StarterLine("nut-paste", 80, "join", "flavor", slot="with"),
            StarterLine("sugar", 35, "cook", "sweetness"),
            StarterLine("gelatin", 8, "bloom", "the dial sets it", slot="set"),
            StarterLine("water", 44, "bloom", "blooms the gelatin"),
        ),
        aim=1.0,
        joins="Gelatin in, off the heat; onto the nut paste, blend; cool.",
        folds=(25, 28),
    ),
)
