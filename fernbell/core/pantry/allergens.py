"""Allergens that have to be declared in the EU."""

from collections.abc import Mapping

from fernbell.core.errors import CoreError

ALLERGENS: Mapping[str, str] = {
    "gluten": "cereals containing gluten",
    "crustaceans": "crustaceans",
    "eggs": "eggs",
    "fish": "fish",
    "peanuts": "peanuts",
    "soybeans": "soybeans",
    "milk": "milk, with lactose",
    "nuts": "nuts",
    "celery": "celery",
    "mustard": "mustard",
    "sesame": "sesame seeds",
    "sulphites": "sulphur dioxide and sulphites above 10 mg/kg",
    "lupin": "lupin",
    "molluscs": "molluscs",
}
"""The fourteen of Regulation (EU) 1169/2011, Annex II, from memory; local codes may ask more."""


def check_allergens(names: tuple[str, ...]) -> tuple[str, ...]:
    """Return the allergens in the order of the Annex, or refuse one that is not of it.

    Args:
        names: keys of ALLERGENS [text].
    Returns:
        the same, each once, in order [text].
    Raises:
        CoreError: a name that is not of the Annex.
    Source:
        Regulation (EU) 1169/2011, Annex II, from memory.
    """
    for name in names:
        if name not in ALLERGENS:
            raise CoreError("allergens", name, f"one of {', '.join(ALLERGENS)}")
    return tuple(name for name in ALLERGENS if name in names)
