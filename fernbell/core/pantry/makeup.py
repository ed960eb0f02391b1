"""What an ingredient is made of: grams of each component in 100 g, unknown where nobody knows."""

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import CoreError, OutOfRange, check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.heat import POLYOLS
from fernbell.core.working import figure_text

COMPONENTS: Mapping[str, str] = {
    "water": "water",
    "milk_fat": "milk fat",
    "cocoa_butter": "cocoa butter",
    "other_fat": "other fat",
    "cocoa_solids": "cocoa solids, fat-free",
    "sucrose": "sucrose",
    "glucose": "glucose",
    "fructose": "fructose",
    "lactose": "lactose",
    "maltose": "maltose",
    "glucose_syrup_solids": "glucose-syrup solids",
    "polyols": "polyols",
    "starch": "starch",
    "other_carbohydrate": "other carbohydrate",
    "fiber": "fiber",
    "protein": "protein",
    "alcohol": "alcohol",
    "acids": "acids",
    "salt": "salt",
    "ash": "ash",
    "gelatin": "gelatin",
    "pectin": "pectin and other gums",
}
"""Every component by its field, with its name in words."""

FATS = ("milk_fat", "cocoa_butter", "other_fat")
SUGARS = ("sucrose", "glucose", "fructose", "lactose", "maltose")

TOLD_BY: Mapping[str, str] = {
    "glucose_syrup_solids": "dextrose_equivalent",
    "polyols": "polyol",
    "gelatin": "bloom",
    "pectin": "pectin_kind",
}
"""Components that are not all alike, and the field that says of which kind one is."""

TOLD_FIELDS = (
    Field("dextrose_equivalent", "DE of the syrup solids", least=10, most=100, empty="unknown"),
    Field("bloom", "Bloom of the gelatin", least=50, most=320, step=10, empty="unknown"),
)
"""Those of them that are a number."""

PECTIN_KINDS = ("NH", "yellow", "LM", "agar", "other gum")

SUM_TOLERANCE_G = 1.5
"""How far the components may be from 100 g; tables round, analyses overlap: common practice."""


class Status(StrEnum):
    """How well a make-up is known."""

    PACK = "pack"
    ANALYSIS = "analysis"
    PUBLISHED = "published"
    COMMON_PRACTICE = "common practice"
    FROM_MEMORY = "from memory"


@dataclass(frozen=True, slots=True)
class MakeUp:
    """Grams in 100 g of each component; None is unknown, and unknown is never zero."""

    water: float | None = None
    milk_fat: float | None = None
    cocoa_butter: float | None = None
    other_fat: float | None = None
    cocoa_solids: float | None = None
    sucrose: float | None = None
    glucose: float | None = None
    fructose: float | None = None
    lactose: float | None = None
    maltose: float | None = None
    glucose_syrup_solids: float | None = None
    polyols: float | None = None
    starch: float | None = None
    other_carbohydrate: float | None = None
    fiber: float | None = None
    protein: float | None = None
    alcohol: float | None = None
    acids: float | None = None
    salt: float | None = None
    ash: float | None = None
    gelatin: float | None = None
    pectin: float | None = None
    dextrose_equivalent: float | None = None
    polyol: str = ""
    bloom: float | None = None
    pectin_kind: str = ""

    def __post_init__(self) -> None:
        own = self.known
        self._refuse_kinds()
        for name, grams in own.items():
            check_range(name, grams, most=100)
        total, whole = sum(own.values()), len(own) == len(COMPONENTS)
        if total > 100 + SUM_TOLERANCE_G or (whole and total < 100 - SUM_TOLERANCE_G):
            allowed = f"100 g in all, give or take {SUM_TOLERANCE_G:g}"
            raise OutOfRange("make_up", f"{figure_text(total)} g", allowed)

    @property
    def known(self) -> dict[str, float]:
        """The components that are known, by field [g in 100 g]."""
        every = ((name, getattr(self, name)) for name in COMPONENTS)
        return {name: grams for name, grams in every if grams is not None}

    def _refuse_kinds(self) -> None:
        check_fields(self, TOLD_FIELDS)
        for field, allowed in (("polyol", POLYOLS), ("pectin_kind", PECTIN_KINDS)):
            if getattr(self, field) and getattr(self, field) not in allowed:
                raise CoreError(field, getattr(self, field), f"one of {', '.join(allowed)}")


def completed(make_up: MakeUp) -> MakeUp:
    """The same with nothing of what was left unknown.

    Args:
        make_up: what is known of it [g in 100 g].
    Returns:
        a make-up without unknowns [g in 100 g].
    Raises:
        OutOfRange: what is known is not 100 g in all, give or take 1.5.
    Source:
        definition.
    """
    known = dict.fromkeys(COMPONENTS, 0.0) | make_up.known
    return MakeUp(
        **known,
        dextrose_equivalent=make_up.dextrose_equivalent,
        polyol=make_up.polyol,
        bloom=make_up.bloom,
        pectin_kind=make_up.pectin_kind,
    )
