"""What each line of a formula brings: the parts a chef thinks in, in grams."""

from collections.abc import Mapping
from dataclasses import dataclass
from functools import lru_cache

from fernbell.core.formulas.book import Book, Line
from fernbell.core.formulas.composition import Composition, shares_of
from fernbell.core.pantry import MakeUp

GROUPS: Mapping[str, tuple[str, ...]] = {
    "water": ("water",),
    "milk fat": ("milk_fat",),
    "cocoa butter": ("cocoa_butter",),
    "other fat": ("other_fat",),
    "dry cocoa": ("cocoa_solids",),
    "sugars": (
        *("sucrose", "glucose", "fructose", "lactose", "maltose"),
        *("glucose_syrup_solids", "polyols"),
    ),
    "starch": ("starch", "other_carbohydrate", "fiber"),
    "protein": ("protein", "gelatin"),
}
"""In the order in which they are drawn; what is left is the rest."""


WHOLE = 0.985
"""Make-ups need not sum to more: tables round, analyses overlap."""


@dataclass(frozen=True, slots=True)
class Brings:
    """Shares of a line's mass by group [0 to 1]; `unknown` is what no make-up tells."""

    shares: Mapping[str, float]
    unknown: float


def brings(book: Book, line: Line, made: Mapping[str, Composition]) -> Brings:
    """What a line brings.

    Args:
        book: where ingredients are looked up [Book].
        line: the line [Line].
        made: compositions of the formulas that stand as lines [g].
    Returns:
        shares of its mass [0 to 1].
    Raises:
        UnknownKey: the line points at nothing.
    Source:
        the make-ups are the pantry's.
    """
    if line.ingredient is not None:
        return brought_by(book.ingredient(line.ingredient).make_up)
    return _grouped(dict(shares_of(book, line, made).known))


@lru_cache(maxsize=4096)
def brought_by(make_up: MakeUp | None) -> Brings:
    """What an ingredient brings.

    Args:
        make_up: grams of its components in 100 g; nothing is known without one [MakeUp].
    Returns:
        shares of its mass [0 to 1].
    Source:
        the make-up is the pantry's.
    """
    known = make_up.known if make_up else {}
    return _grouped({name: grams / 100 for name, grams in known.items()})


def _grouped(known: Mapping[str, float]) -> Brings:
    shares = {
        group: share
        for group, parts in GROUPS.items()
        if (share := sum([known.get(part, 0.0) for part in parts])) > 0
    }
    told = sum(known.values())
    return Brings(shares, max(0.0, 1 - told) if told < WHOLE else 0.0)
