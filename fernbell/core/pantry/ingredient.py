"""One ingredient of the pantry, and grams from volumes and pieces of it."""

from dataclasses import dataclass

from fernbell.core.errors import MissingDensity, NotCounted, check_range
from fernbell.core.measures import Amount, grams, is_mass, millilitres
from fernbell.core.pantry.makeup import MakeUp


@dataclass(frozen=True, slots=True)
class Piece:
    """A counted unit: 'egg, EU M', 'leaf', 'pod'."""

    name: str
    mass_g: float

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g, most=100_000, open_least=True)


@dataclass(frozen=True, slots=True)
class Ingredient:
    """An ingredient; an unknown density is None, never zero.

    `density_g_ml` is that of the substance itself, without air or gaps, as it counts in a
    mixture; `cup_density_g_ml` is that of a level cup of it, where gaps make it lighter.
    """

    key: str
    name: str
    density_g_ml: float | None = None
    cup_density_g_ml: float | None = None
    weigh_step_g: float = 1.0
    pieces: tuple[Piece, ...] = ()
    make_up: MakeUp | None = None

    def __post_init__(self) -> None:
        if self.density_g_ml is not None:
            check_range("density_g_ml", self.density_g_ml, least=0.02, most=25)
        if self.cup_density_g_ml is not None:
            check_range("cup_density_g_ml", self.cup_density_g_ml, least=0.02, most=25)
        check_range("weigh_step_g", self.weigh_step_g, least=0.01, most=1000)


def mass_of_volume(ingredient: Ingredient, volume_ml: float) -> float:
    """Mass of a measured volume; m = density of a level cup x volume.

    Args:
        ingredient: whose cup density is used, else its own [Ingredient].
        volume_ml: the volume [ml].
    Returns:
        mass [g].
    Raises:
        MissingDensity: the ingredient's density is unknown.
    Source:
        definition.
    """
    density = ingredient.cup_density_g_ml or ingredient.density_g_ml
    if density is None:
        raise MissingDensity(ingredient.name)
    return density * volume_ml


def mass_of_pieces(piece: Piece, count: float) -> float:
    """Mass of counted pieces; m = count x mass of one.

    Args:
        piece: the counted unit [Piece].
        count: how many [pieces].
    Returns:
        mass [g].
    Source:
        definition.
    """
    return piece.mass_g * count


def pieces_in(piece: Piece, mass_g: float) -> float:
    """How many pieces a mass is; n = mass / mass of one.

    Args:
        piece: the counted unit [Piece].
        mass_g: the mass [g].
    Returns:
        count, not rounded [pieces].
    Source:
        definition.
    """
    return mass_g / piece.mass_g


def mass_of_amount(ingredient: Ingredient, amount: Amount) -> float:
    """Mass of an amount as typed: by weight, by volume, or counted.

    Args:
        ingredient: whose density or first piece is used [Ingredient].
        amount: value and unit; no unit counts pieces [Amount].
    Returns:
        mass [g].
    Raises:
        MissingDensity: a volume of an ingredient of unknown density.
        NotCounted: pieces of an ingredient that is not counted.
    Source:
        definition.
    """
    if amount.unit == "":
        if not ingredient.pieces:
            raise NotCounted(ingredient.name)
        return mass_of_pieces(ingredient.pieces[0], amount.value)
    if is_mass(amount.unit):
        return grams(amount.value, amount.unit)
    return mass_of_volume(ingredient, millilitres(amount.value, amount.unit))
