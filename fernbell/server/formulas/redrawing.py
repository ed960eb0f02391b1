"""A draft drawn up otherwise, before anything is saved."""

from typing import Any

from fernbell.core.families import (
    Dial,
    job_named,
)
from fernbell.core.formulas import (
    Book,
    Character,
    Formula,
    settled,
)
from fernbell.core.pantry import Ingredient
from fernbell.server.formulas.assemble import (
    DRAFT,
    character_of,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.problems import Invalid


def dial_of(entry: dict[str, Any]) -> Dial:
    """The dial of an entry's job; refused where its job is not said."""
    if not entry["job"]:
        raise Invalid.field("job", "Say first what it is for.")
    return job_named(entry["job"])[1].dial


def redrawn(
    member: Member,
    own: Character,
    formula: Formula,
    entry: dict[str, Any],
    book: Book | None = None,
) -> Character:
    """The character of the draft as another formula."""
    old = book or own.lines.book
    others = tuple(one for one in old.formulas if one.key != DRAFT)
    told = (entry["kind"], entry["method"], entry["job"])
    settled_now = settled_book(member, old.ingredients, (*others, formula))
    return character_of(member, settled_now, DRAFT, *told)


def settled_book(
    member: Member, ingredients: tuple[Ingredient, ...], formulas: tuple[Formula, ...]
) -> Book:
    """A book in which what the draft cooks off is worked out, where the kitchen stands."""
    return settled(Book(ingredients, formulas), [DRAFT], altitude_m=member.kitchen.altitude_m)
