"""Ingredients: density, what they are weighed on, and what one piece weighs."""

from fernbell.core.pantry.eggs import EGG_GRADES, EggGrade, EggPart, egg_mass
from fernbell.core.pantry.ingredient import (
    Ingredient,
    Piece,
    mass_of_amount,
    mass_of_pieces,
    mass_of_volume,
    pieces_in,
)
from fernbell.core.pantry.lists import NamedDensity, read_densities
from fernbell.core.pantry.makeup import COMPONENTS, FATS, SUGARS, MakeUp, completed

__all__ = [
    "COMPONENTS",
    "EGG_GRADES",
    "FATS",
    "SUGARS",
    "EggGrade",
    "EggPart",
    "Ingredient",
    "MakeUp",
    "NamedDensity",
    "Piece",
    "completed",
    "egg_mass",
    "mass_of_amount",
    "mass_of_pieces",
    "mass_of_volume",
    "pieces_in",
    "read_densities",
]
