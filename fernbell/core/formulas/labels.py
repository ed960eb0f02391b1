"""What a label asks beside its figures: allergens."""

from collections.abc import Mapping
from dataclasses import dataclass

from fernbell.core.formulas.book import Book
from fernbell.core.pantry import check_allergens


@dataclass(frozen=True, slots=True)
class Declared:
    """Allergens a formula contains, each with the ingredients it comes from.

    `unknown` names the ingredients for which nobody entered whether they hold any.
    """

    contains: Mapping[str, tuple[str, ...]]
    unknown: tuple[str, ...]


def declared(book: Book, keys: tuple[str, ...]) -> Declared:
    """Allergens of formulas in building order, everything nested in them included.

    Args:
        book: where allergens are looked up [Book].
        keys: formulas, the nested ones included, shape (n,) [keys].
    Returns:
        allergens and what is unknown [Declared].
    Source:
        Regulation (EU) 1169/2011, Annex II, from memory; traces are not covered.
    """
    found: dict[str, dict[str, None]] = {}
    unknown: dict[str, None] = {}
    for key in keys:
        for line in book.formula(key).lines:
            if line.ingredient is None or not line.mass_g:
                continue
            ingredient = book.ingredient(line.ingredient)
            if ingredient.allergens is None:
                unknown[ingredient.name] = None
            for allergen in ingredient.allergens or ():
                found.setdefault(allergen, {})[ingredient.name] = None
    in_order = check_allergens(tuple(found))
    return Declared({key: tuple(found[key]) for key in in_order}, tuple(unknown))
