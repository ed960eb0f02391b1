"""What a screen has to know of the pantry: what can be chosen, and fields with their steps."""

from collections.abc import Mapping
from dataclasses import dataclass

from fernbell.core.field import Field
from fernbell.core.pantry.chocolate import ChocolateKind
from fernbell.core.pantry.eggs import EggPart
from fernbell.core.pantry.keeping import Condition, Store

CHOCOLATES: Mapping[ChocolateKind, str] = {
    ChocolateKind.DARK: "dark couverture",
    ChocolateKind.MILK: "milk couverture",
    ChocolateKind.WHITE: "white couverture",
    ChocolateKind.COMPOUND: "compound coating",
}
EGGS: Mapping[EggPart, str] = {
    EggPart.WHOLE: "whole egg",
    EggPart.YOLK: "yolk",
    EggPart.WHITE: "white",
}
EGGS_LEFT: Mapping[EggPart, str] = {
    EggPart.WHOLE: "eggs",
    EggPart.YOLK: "yolks",
    EggPart.WHITE: "whites",
}
STORES: Mapping[Store, str] = {
    Store.DRY: "dry shelf",
    Store.COLD: "cold, 5 °C",
    Store.FROZEN: "frozen, −18 °C",
}
CONDITIONS: Mapping[Condition, str] = {
    Condition.CLOSED: "closed",
    Condition.OPENED: "opened",
    Condition.THAWED: "thawed",
}
_G_ML = 0.01
DENSITIES = (
    Field("density_g_ml", "Density, without gaps or air", step=_G_ML, empty="unknown"),
    Field("cup_density_g_ml", "A level cup of it", step=_G_ML, empty="the same"),
)


@dataclass(frozen=True, slots=True)
class WeighStep:
    """What a scale shows at least, and what it is for; common practice."""

    value_g: float
    label: str


WEIGH_STEPS = (
    WeighStep(0.01, "0.01 g, fine scale"),
    WeighStep(0.1, "0.1 g, small strong things"),
    WeighStep(1, "1 g, bulk"),
    WeighStep(5, "5 g, large batches"),
)


@dataclass(frozen=True, slots=True)
class NamedFigures:
    """A list of named figures of an ingredient, under `field`, and what a new one is."""

    field: str
    legend: str
    name_label: str
    figure: Field
    first_name: str
    add: str


STATES = NamedFigures(
    "states",
    "A cup of it sifted, chopped, packed",
    "How",
    Field("density_g_ml", "Density", step=_G_ML, first=0.5),
    "sifted",
    "Add a way it is prepared",
)
PIECES = NamedFigures(
    "pieces",
    "Counted as, the usual one first",
    "Piece",
    Field("mass_g", "One weighs", step=0.1, first=10),
    "piece",
    "Add a counted unit",
)
