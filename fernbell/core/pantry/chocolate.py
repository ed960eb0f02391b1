"""Chocolate by its kind: couverture tempers, compound does not."""

from collections.abc import Mapping
from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import CoreError, check_range
from fernbell.core.field import Field, check_fields
from fernbell.starter.practice import practice


class ChocolateKind(StrEnum):
    """What kind of chocolate it is; compound holds another fat than cocoa butter."""

    DARK = "dark"
    MILK = "milk"
    WHITE = "white"
    COMPOUND = "compound"


PALE = frozenset((ChocolateKind.MILK, ChocolateKind.WHITE))
"""Chocolate with milk in it: softer, and it scorches."""


TEMPER_FIELDS = (
    Field("melt_c", "Melt to", least=20, most=60, step=0.5),
    Field("cool_c", "Cool to", least=20, most=60, step=0.5),
    Field("work_c", "Work at", least=20, most=60, step=0.5),
)


@dataclass(frozen=True, slots=True)
class Temper:
    """The three figures of a couverture: melted to, cooled to, worked at [°C]."""

    melt_c: float
    cool_c: float
    work_c: float

    def __post_init__(self) -> None:
        check_fields(self, TEMPER_FIELDS)
        if not self.cool_c < self.work_c < self.melt_c:
            allowed = "between what it is cooled to and what it is melted to"
            raise CoreError("work_c", f"{self.work_c:g}", allowed)


USUAL_TEMPER: Mapping[ChocolateKind, Temper] = {
    ChocolateKind.DARK: Temper(48, 27.5, 31.5),
    ChocolateKind.MILK: Temper(43, 26.5, 29.5),
    ChocolateKind.WHITE: Temper(42, 25.5, 28.5),
}
"""Middles of the usual bands; common practice. The figure on the pack wins."""

DARK_TEMPERS = ((70.0, Temper(50, 28, 32)), (58.0, USUAL_TEMPER[ChocolateKind.DARK]))
LIGHT_DARK = Temper(46, 27, 31)
"""Dark couverture by its cocoa from there on [%]: the more of it, the warmer; common practice."""


def temper_of(kind: ChocolateKind, cocoa_percent: float) -> Temper | None:
    """The usual figures of a couverture.

    Args:
        kind: which chocolate [ChocolateKind].
        cocoa_percent: cocoa in it [%].
    Returns:
        its three figures; None for compound [°C].
    Source:
        common practice; the figure on the pack wins.
    """
    if kind is not ChocolateKind.DARK:
        return USUAL_TEMPER.get(kind)
    return next((own for least, own in DARK_TEMPERS if cocoa_percent >= least), LIGHT_DARK)


@dataclass(frozen=True, slots=True)
class Chocolate:
    """What makes an ingredient a chocolate; compound is not tempered."""

    kind: ChocolateKind
    cocoa_percent: float
    temper: Temper | None = None

    def __post_init__(self) -> None:
        check_range("cocoa_percent", self.cocoa_percent, most=100)
        if self.kind is ChocolateKind.COMPOUND and self.temper is not None:
            raise CoreError("temper", "three figures", "left out: compound is not tempered")


DARK_COATING, WHITE_COATING = "dark or milk", "white"
COATINGS_FIRM: Mapping[str, float] = {
    DARK_COATING: practice("compound firms, dark"),
    WHITE_COATING: practice("compound firms, white"),
}
"""What a gram of compound firms, in grams of cocoa butter and dry cocoa: the drip of 3.3 parts of
dark or milk compound, 5.5 of white, to one of cream is as firm as 1 : 1 of a 66 % couverture (set
number 1.1 with the 0.6 g of water in a gram of cream); common practice."""
