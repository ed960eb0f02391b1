"""Grams from volumes and pieces of an ingredient, and the same said in the kitchen's measures."""

from dataclasses import dataclass

from fernbell.core.errors import MissingDensity, NotCounted
from fernbell.core.measures import (
    CONTAINERS,
    MEANS,
    Amount,
    System,
    grams,
    is_mass,
    measured,
    millilitres,
    words_of,
)
from fernbell.core.pantry.ingredient import Ingredient, Piece
from fernbell.core.working import Given, Working, figure_text


def mass_of_volume(ingredient: Ingredient, volume_ml: float, state: str = "") -> float:
    """Mass of a measured volume; m = density of a level cup x volume.

    Args:
        ingredient: whose cup density is used, else its own [Ingredient].
        volume_ml: the volume [ml].
        state: 'chopped', 'sifted' and the like [text].
    Returns:
        mass [g].
    Raises:
        MissingDensity: the ingredient's density is unknown.
    Source:
        definition.
    """
    density = cup_density(ingredient, state)
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


def mass_of_amount(ingredient: Ingredient, amount: Amount, system: System = System.METRIC) -> float:
    """Mass of an amount as typed: by weight, by volume, or counted.

    Args:
        ingredient: whose density or first piece is used [Ingredient].
        amount: values and units; no unit counts pieces [Amount].
        system: whose cups and spoons are meant where no country is named [System].
    Returns:
        mass [g].
    Raises:
        MissingDensity: a volume of an ingredient of unknown density.
        NotCounted: pieces of an ingredient that is not counted.
    Source:
        definition.
    """
    if amount.unit == "":
        return mass_of_pieces(_piece(ingredient, amount, system), amount.value)
    terms = ((amount.value, amount.unit), *amount.also)
    return sum(_mass(ingredient, value, unit, amount.state, system) for value, unit in terms)


_GRADES = {"small": "s", "medium": "m", "large": "l", "jumbo": "xl"}


def _piece(ingredient: Ingredient, amount: Amount, system: System) -> Piece:
    """The piece that is said: a tin, a leaf of silver, an egg of that size; else the first."""
    words = {CONTAINERS.get(word, word) for word in words_of(amount.name)}
    held = words & set(CONTAINERS.values())
    pieces = [
        piece
        for piece in (*ingredient.pieces, *ingredient.bought)
        if not held or held & {CONTAINERS.get(word, word) for word in words_of(piece.name)}
    ]
    if not pieces or (not held and not ingredient.pieces):
        raise NotCounted(ingredient.name, next(iter(held), ""))
    grade = {"xl"} if {"extra", "large"} <= words else {_GRADES.get(word, word) for word in words}
    here = words & {"us", "eu"} or ({"us"} if system is System.US else {"eu"})

    def hits(piece: Piece) -> tuple[int, int]:
        own = set(words_of(piece.name))
        said = len((words | grade) & own)
        return len(here & own) if grade & set(_GRADES.values()) else 0, said

    return max(pieces, key=hits)


def _mass(ingredient: Ingredient, value: float, unit: str, state: str, system: System) -> float:
    if is_mass(unit):
        return grams(value, unit)
    volume = millilitres(value, MEANS[system].get(unit, unit))
    return mass_of_volume(ingredient, volume, state)


def cup_density(ingredient: Ingredient, state: str = "") -> float | None:
    """Density of a level cup; of the state where it is known, of the cup, of the substance.

    Args:
        ingredient: whose densities are looked up [Ingredient].
        state: 'chopped', 'sifted' and the like [text].
    Returns:
        density, None while unknown [g/ml].
    Source:
        definition.
    """
    told = next((one.density_g_ml for one in ingredient.states if one.name == state), None)
    return told or ingredient.cup_density_g_ml or ingredient.density_g_ml


@dataclass(frozen=True, slots=True)
class InMeasures:
    """A mass said in the kitchen's measures, and how it came about."""

    text: str
    working: Working


def said_in_kitchen(ingredient: Ingredient, mass_g: float, system: System) -> InMeasures | None:
    """A mass as counted pieces, or in cups and spoons through the density of a level cup.

    Args:
        ingredient: whose pieces or density are used [Ingredient].
        mass_g: the mass [g].
        system: whose cups [System].
    Returns:
        text and working; None where nothing fits [g].
    Source:
        definitions; the densities are the pantry's.
    """
    if ingredient.pieces and mass_g > 0:
        return _counted(ingredient.pieces[0], mass_g)
    state = ingredient.states[0].name if ingredient.states else ""
    density = cup_density(ingredient, state)
    measure = measured(mass_g / density, system) if density else None
    if measure is None or not density:
        return None
    volume = mass_g / density
    text = f"{measure.text}, {state}" if state else measure.text
    working = Working(
        figure=f"{ingredient.name} in {system} cups and spoons",
        value=measure.volume_ml,
        unit="ml",
        given=(Given("mass", mass_g, "g"), Given("a level cup of it", density, "g/ml")),
        law="volume = mass / density of a level cup; the nearest cups and spoons",
        arithmetic=f"{figure_text(mass_g)} / {figure_text(density)} = {figure_text(volume)} ml → "
        f"{measure.text} = {figure_text(measure.volume_ml)} ml",
        source="exact definitions of cups and spoons; the density is the pantry's",
    )
    return InMeasures(text, working)


def _counted(piece: Piece, mass_g: float) -> InMeasures:
    count = pieces_in(piece, mass_g)
    text = f"{round(count, 1):g} × {piece.name}"
    working = Working(
        figure=f"Counted: {piece.name}",
        value=count,
        unit="×",
        given=(Given("mass", mass_g, "g"), Given(f"one {piece.name}", piece.mass_g, "g")),
        law="mass / mass of one",
        arithmetic=f"{figure_text(mass_g)} / {figure_text(piece.mass_g)} = {figure_text(count)}",
        source="the mass of one is the pantry's",
    )
    return InMeasures(text, working)
