"""One ingredient of the pantry, and grams from volumes and pieces of it."""

from dataclasses import dataclass

from fernbell.core.errors import check_range
from fernbell.core.pantry.allergens import check_allergens
from fernbell.core.pantry.chocolate import Chocolate
from fernbell.core.pantry.eggs import EggPart
from fernbell.core.pantry.makeup import MakeUp


@dataclass(frozen=True, slots=True)
class Piece:
    """A counted unit: 'egg, EU M', 'leaf', 'pod'."""

    name: str
    mass_g: float

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g, most=100_000, open_least=True)


@dataclass(frozen=True, slots=True)
class State:
    """A cup of the same thing prepared otherwise: 'chopped', 'sifted', 'packed'."""

    name: str
    density_g_ml: float

    def __post_init__(self) -> None:
        check_range("density_g_ml", self.density_g_ml, least=0.02, most=25)


@dataclass(frozen=True, slots=True)
class Ingredient:
    """An ingredient; an unknown density is None, never zero.

    `density_g_ml` is that of the substance itself, without air or gaps, as it counts in a
    mixture; `cup_density_g_ml` is that of a level cup of it, where gaps make it lighter, and
    `states` hold that of a cup of it chopped, sifted or packed. Without a price or allergens
    (None) nobody entered them; no allergens at all is an empty tuple. `egg` says which part of
    an egg it is; `bought` are the packs it comes in, as pieces.
    """

    key: str
    name: str
    density_g_ml: float | None = None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: tuple[Piece, ...] = ()
    make_up: MakeUp | None = None
    price_per_kg: float | None = None
    allergens: tuple[str, ...] | None = None
    chocolate: Chocolate | None = None
    states: tuple[State, ...] = ()
    egg: EggPart | None = None
    bought: tuple[Piece, ...] = ()

    def __post_init__(self) -> None:
        if self.density_g_ml is not None:
            check_range("density_g_ml", self.density_g_ml, least=0.02, most=25)
        if self.cup_density_g_ml is not None:
            check_range("cup_density_g_ml", self.cup_density_g_ml, least=0.02, most=25)
        check_range("weigh_step_g", self.weigh_step_g, least=0.01, most=1000)
        if self.price_per_kg is not None:
            check_range("price_per_kg", self.price_per_kg)
        if self.allergens is not None:
            check_allergens(self.allergens)
