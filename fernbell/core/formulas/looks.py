"""What color a formula has by itself: that of what it is mostly made of."""

from collections.abc import Iterable, Mapping

from fernbell.core.measures import words_of
from fernbell.core.pantry import ChocolateKind, Ingredient, LineRole, role_of

_BY_CHOCOLATE = {
    ChocolateKind.DARK: "dark-chocolate",
    ChocolateKind.MILK: "milk-chocolate",
    ChocolateKind.WHITE: "white-chocolate",
    ChocolateKind.COMPOUND: "dark-chocolate",
}
_BY_WORD: Mapping[str, tuple[str, ...]] = {
    "red-fruit": ("raspberry", "strawberry", "redcurrant", "cherry", "lychee"),
    "berry": ("blackcurrant", "blackberry", "blueberry", "cassis", "plum", "fig"),
    "rhubarb": ("rhubarb",),
    "quince": ("quince", "apricot", "pumpkin", "peach"),
    "citrus": (
        *("lemon", "lime", "orange", "mango", "passion", "pineapple", "buckthorn", "banana"),
        *("apple", "pear"),
    ),
    "leaf": ("pistachio", "matcha", "elderflower", "bay", "mint"),
    "honey": ("honey", "maple"),
    "malt": ("malt", "coffee", "praline"),
    "amber": ("caramel", "muscovado", "molasses", "rum"),
    "poppy": ("poppy",),
    "barley": ("barley", "oat"),
    "rye": ("rye", "buckwheat", "chestnut", "cocoa"),
}
_BY_ROLE: Mapping[LineRole, tuple[str, float]] = {
    LineRole.COCOA: ("dark-chocolate", 4.0),
    LineRole.NUT: ("nut", 2.0),
    LineRole.FLOUR: ("brown-butter", 1.0),
    LineRole.CRUMB: ("rye", 1.0),
    LineRole.YOLK: ("citrus", 0.3),
    LineRole.EGG: ("brown-butter", 0.3),
    LineRole.BUTTER: ("brown-butter", 0.3),
    LineRole.CREAM: ("cream", 0.4),
    LineRole.MILK: ("cream", 0.4),
    LineRole.WHITE: ("cream", 0.4),
    LineRole.CONDENSED: ("cream", 0.4),
}
FORMULA_SHOWS = 1.0
"""How strongly a formula shows that stands as a line of another; common practice."""

_STRONG = 2.0
"""How much more than cream or flour a fruit, a nut or a chocolate shows; common practice."""


def color_of(ingredient: Ingredient) -> tuple[str, float]:
    """The color an ingredient gives, and how strongly.

    Args:
        ingredient: with its make-up and name [Ingredient].
    Returns:
        a flavor of the drawing's palette and its weight; nothing for water, sugar, salt [text, 1].
    Source:
        common practice.
    """
    if ingredient.chocolate is not None:
        return _BY_CHOCOLATE[ingredient.chocolate.kind], _STRONG
    role = role_of(ingredient)
    if role in (LineRole.COCOA, LineRole.COCOA_BUTTER):
        return _BY_ROLE.get(role, ("white-chocolate", 1.0))
    words = words_of(ingredient.name)
    for flavor, names in _BY_WORD.items():
        if any(name in words for name in names):
            return flavor, _STRONG
    return _BY_ROLE.get(role, ("", 0.0))


def flavor_by(colors: Iterable[tuple[str, float, float]]) -> str:
    """The color of what a formula is mostly made of.

    Args:
        colors: of each line its flavor, how strongly it shows [1], and its grams [g], shape (n,).
    Returns:
        a flavor; nothing where no line has one [text].
    Source:
        common practice: grams times how strongly each shows.
    """
    shown: dict[str, float] = {}
    for flavor, strength, mass_g in colors:
        if flavor:
            shown[flavor] = shown.get(flavor, 0.0) + strength * mass_g
    return max(shown, key=lambda flavor: shown[flavor]) if shown else ""
