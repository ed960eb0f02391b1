"""Ingredients: density, what they are weighed on, and what one piece weighs."""

from fernbell.core.pantry.allergens import ALLERGENS, check_allergens
from fernbell.core.pantry.chocolate import (
    COATINGS_FIRM,
    PALE,
    USUAL_TEMPER,
    Chocolate,
    ChocolateKind,
    Temper,
)
from fernbell.core.pantry.eggs import EGG_GRADES, EggGrade, EggPart, egg_mass, other_part
from fernbell.core.pantry.gelatin import (
    AS_SOLD_DRY,
    REFERENCE_BLOOM,
    SCHOOL_SOURCE,
    WHY_TWO,
    School,
    gelatin_as,
)
from fernbell.core.pantry.ingredient import (
    Ingredient,
    Piece,
    State,
)
from fernbell.core.pantry.keeping import Keeping, Store
from fernbell.core.pantry.lists import NamedDensity, read_densities
from fernbell.core.pantry.makeup import (
    COMPONENTS,
    FATS,
    PECTIN_KINDS,
    SUGARS,
    TOLD_BY,
    MakeUp,
    Status,
    completed,
)
from fernbell.core.pantry.measuring import (
    InMeasures,
    cup_density,
    mass_of_amount,
    mass_of_pieces,
    mass_of_volume,
    pieces_in,
    said_in_kitchen,
)
from fernbell.core.pantry.packs import Pack, Price, price_on, price_per_kg
from fernbell.core.pantry.roles import LIQUIDS, SWEETS, LineRole, coating_of, role_by, role_of

__all__ = [
    "ALLERGENS",
    "AS_SOLD_DRY",
    "COATINGS_FIRM",
    "COMPONENTS",
    "EGG_GRADES",
    "FATS",
    "LIQUIDS",
    "PALE",
    "PECTIN_KINDS",
    "REFERENCE_BLOOM",
    "SCHOOL_SOURCE",
    "SUGARS",
    "SWEETS",
    "TOLD_BY",
    "USUAL_TEMPER",
    "WHY_TWO",
    "Chocolate",
    "ChocolateKind",
    "EggGrade",
    "EggPart",
    "InMeasures",
    "Ingredient",
    "Keeping",
    "LineRole",
    "MakeUp",
    "NamedDensity",
    "Pack",
    "Piece",
    "Price",
    "School",
    "State",
    "Status",
    "Store",
    "Temper",
    "check_allergens",
    "coating_of",
    "completed",
    "cup_density",
    "egg_mass",
    "gelatin_as",
    "mass_of_amount",
    "mass_of_pieces",
    "mass_of_volume",
    "other_part",
    "pieces_in",
    "price_on",
    "price_per_kg",
    "read_densities",
    "role_by",
    "role_of",
    "said_in_kitchen",
]
