"""What an ingredient is in a formula, told by its make-up: chocolate, cream, sugar, flour."""

from collections.abc import Mapping
from enum import StrEnum
from functools import lru_cache

from fernbell.core.pantry.chocolate import DARK_COATING, WHITE_COATING, ChocolateKind
from fernbell.core.pantry.eggs import EggPart
from fernbell.core.pantry.ingredient import Ingredient
from fernbell.core.pantry.makeup import FATS, SUGARS
from fernbell.starter.practice import practice


class LineRole(StrEnum):
    """What something does in a formula."""

    CHOCOLATE = "chocolate"
    COCOA = "cocoa powder"
    COCOA_BUTTER = "cocoa butter"
    EGG = "whole egg"
    YOLK = "yolk"
    WHITE = "white"
    GELATIN = "gelatin"
    GUM = "pectin or gum"
    BUTTER = "butter"
    OIL = "oil"
    NUT = "nut"
    ALCOHOL = "alcohol"
    CONDENSED = "condensed milk"
    CREAM = "cream"
    MILK = "milk"
    SUGAR = "sugar"
    SYRUP = "syrup"
    CRUMB = "crumbs"
    STARCH = "starch"
    FLOUR = "flour"
    FRUIT = "fruit"
    WATER = "water"
    SALT = "salt"
    OTHER = "other"


_SOUR = 0.15
"""Acids [g in 100 g] by which a fruit or its juice is told."""

LIQUIDS = (LineRole.CREAM, LineRole.MILK, LineRole.FRUIT, LineRole.WATER, LineRole.ALCOHOL)
SWEETS = (LineRole.SUGAR, LineRole.SYRUP)

_BY_EGG = {EggPart.WHOLE: LineRole.EGG, EggPart.YOLK: LineRole.YOLK, EggPart.WHITE: LineRole.WHITE}


@lru_cache(maxsize=4096)
def role_of(ingredient: Ingredient) -> LineRole:
    """What an ingredient is in a formula.

    Args:
        ingredient: with its make-up; without one only chocolate and egg are told [Ingredient].
    Returns:
        its role [LineRole].
    Source:
        common practice, told by the make-up.
    """
    if ingredient.egg is not None:
        return _BY_EGG[ingredient.egg]
    if ingredient.chocolate is not None:
        return LineRole.CHOCOLATE
    return role_by(ingredient.make_up.known if ingredient.make_up else {})


def role_by(in_100_g: Mapping[str, float]) -> LineRole:
    """What something is in a formula, by what is in 100 g of it.

    Args:
        in_100_g: grams of each component that is known [g].
    Returns:
        its role; other where the make-up says nothing clear [LineRole].
    Source:
        common practice; the limits are between what kitchens buy.
    """

    def g(*parts: str) -> float:
        return sum(in_100_g.get(part, 0.0) for part in parts)

    water, fat, starch = g("water"), g(*FATS), g("starch")
    sweet = g(*SUGARS, "glucose_syrup_solids", "polyols")
    rules = (
        (LineRole.GELATIN, g("gelatin") >= 50),
        (LineRole.GUM, g("pectin") >= 30),
        (LineRole.SALT, g("salt") >= 60),
        (LineRole.COCOA_BUTTER, g("cocoa_butter") >= 88),
        (LineRole.COCOA, g("cocoa_solids") >= 60),
        (LineRole.CHOCOLATE, g("cocoa_butter", "cocoa_solids") >= 25),
        (LineRole.BUTTER, g("milk_fat") >= 60),
        (LineRole.YOLK, g("other_fat") >= 20 and g("protein") >= 12 and 35 <= water < 60),
        (LineRole.NUT, g("other_fat") >= 28 and g("protein") >= 2 and water < 25),
        (LineRole.OIL, fat >= 70),
        (LineRole.ALCOHOL, g("alcohol") >= 1.5 and water >= 40),
        (LineRole.CRUMB, starch >= 25 and (fat >= 10 or sweet >= 10) and water < 15),
        (LineRole.CONDENSED, g("lactose") >= 7 and 10 <= water < 40),
        (LineRole.OTHER, g("lactose") >= 30 and g("protein") >= 5),
        (LineRole.CREAM, fat >= 9 and water >= 40 and g("acids") < 2),
        (LineRole.SUGAR, sweet >= 80 and water < 12),
        (LineRole.SYRUP, sweet >= 45 and 10 <= water < 60 and g("fiber") < 3),
        (LineRole.STARCH, starch >= 75 and g("protein") < 3),
        (LineRole.FLOUR, starch >= 40),
        (LineRole.WATER, water >= 97),
        (LineRole.MILK, water >= 70 and g("lactose") >= 2.5),
        # Yeast, vinegar, zest and herbs are no fruit.
        (LineRole.OTHER, g("protein") >= 9 or g("fiber") >= 8),
        (LineRole.OTHER, g("acids") >= 4 and g(*SUGARS, "fiber") < 2),
        (LineRole.FRUIT, water >= 50 and g("acids") >= _SOUR),
        (LineRole.FRUIT, water >= 50 and g("fiber") >= 1.2 and g(*SUGARS) >= 5),
        (LineRole.MILK, water >= 82),
    )
    return next((role for role, holds in rules if holds), LineRole.OTHER)


def chocolate_kind(ingredient: Ingredient) -> str:
    """Which kind of chocolate an ingredient is, as practice tells ratios.

    Args:
        ingredient: any [Ingredient].
    Returns:
        'dark', 'milk', 'white', 'compound dark or milk', 'compound white'; '' for no chocolate
        [text].
    Source:
        common practice.
    """
    if ingredient.chocolate is None:
        return ""
    coating = coating_of(ingredient)
    return f"compound {coating}" if coating else ingredient.chocolate.kind.value


def coating_of(ingredient: Ingredient) -> str | None:
    """Which compound coating an ingredient is, of those in COATINGS_FIRM.

    Args:
        ingredient: any [Ingredient].
    Returns:
        'dark or milk' or 'white', by its cocoa; None where it is no compound [text].
    Source:
        common practice: white compound holds no dry cocoa.
    """
    chocolate = ingredient.chocolate
    if chocolate is None or chocolate.kind is not ChocolateKind.COMPOUND:
        return None
    make_up = ingredient.make_up
    cocoa = (make_up.cocoa_solids or 0.0) if make_up else 0.0
    return DARK_COATING if cocoa >= 2 else WHITE_COATING


def is_leaf(ingredient: Ingredient) -> bool:
    """Whether it is gelatin that is counted in leaves.

    Args:
        ingredient: any [Ingredient].
    Returns:
        whether one piece of it is a leaf [truth].
    Source:
        common practice.
    """
    made = ingredient.make_up
    # Asked of every line at every reading: what is no gelatin is told first.
    if made is None or not made.gelatin:
        return False
    return any("leaf" in piece.name.lower() for piece in ingredient.pieces)


LEAF_SOAKS_UP = practice("leaf gelatin soaks up")
"""Water a leaf of gelatin carries when it is soaked and squeezed [g/g]; common practice."""


def soaks_up(ingredient: Ingredient) -> float:
    """How many times its weight of water something takes up before it goes in, as a rule.

    Args:
        ingredient: any [Ingredient].
    Returns:
        water on its weight; none but for leaves of gelatin [g/g].
    Source:
        common practice.
    """
    return LEAF_SOAKS_UP if is_leaf(ingredient) else 0.0


DIPS = {piece: practice(f"{piece} takes up") for piece in ("finger", "biscuit")}
"""What a piece of a bought biscuit takes up when it is dipped, by what it is counted as [g/g]."""


def dips_up(ingredient: Ingredient) -> float:
    """How many times its weight of syrup something takes up when it is dipped.

    Args:
        ingredient: any [Ingredient].
    Returns:
        syrup on its weight; none but for what is counted in fingers or biscuits [g/g].
    Source:
        common practice.
    """
    return next((DIPS[one.name] for one in ingredient.pieces if one.name in DIPS), 0.0)


SOLUBLE_FIBER = practice("soluble fiber of fruit")


def dissolved_rest(ingredient: Ingredient) -> float:
    """What else a refractometer sees in a fruit beside its sugars and acids.

    Args:
        ingredient: with its make-up [Ingredient].
    Returns:
        salts, amino acids, sugar alcohols, pectin in 100 g; 0 for what is no fruit [g].
    Source:
        fruit is sold by soluble solids: Codex CXS 247 counts them all, from memory; how much of
        its fiber is soluble: from memory.
    """
    made = ingredient.make_up
    if made is None or (made.acids or 0.0) < _SOUR or role_of(ingredient) is not LineRole.FRUIT:
        return 0.0
    rest = (made.other_carbohydrate, made.protein, made.ash)
    return sum(one or 0.0 for one in rest) + SOLUBLE_FIBER * (made.fiber or 0.0)


MILK_ASH, EGG_ASH = 0.44, 0.84
"""Of the ash of milk and of egg, what counts as dissolved salt [g/g]: so much that milk of 4.8 %
lactose begins to freeze at -0.52 °C and egg white at -0.45 °C; published values, from memory."""


def dissolved_salts(ingredient: Ingredient) -> float:
    """Salts of milk and egg that hold its water, as so much salt.

    Args:
        ingredient: with its make-up [Ingredient].
    Returns:
        salt in 100 g; 0 for all but milk and egg [g].
    Source:
        published freezing points, see MILK_ASH.
    """
    made = ingredient.make_up
    if made is None or not made.ash:
        return 0.0
    if ingredient.egg is not None:
        return EGG_ASH * made.ash
    if (made.lactose or 0.0) >= 1:
        return MILK_ASH * made.ash
    rich = (made.other_fat or 0.0) >= 20 and (made.protein or 0.0) >= 12
    return EGG_ASH * made.ash if rich and role_of(ingredient) is LineRole.YOLK else 0.0
