"""What a kitchen calls its things: the one place where names are looked up."""

from collections.abc import Callable
from functools import lru_cache
from typing import Any
from uuid import UUID

from django.db.models import Count, Max
from ninja import Schema

from fernbell.core.formulas import read_formulas
from fernbell.core.pantry import Ingredient
from fernbell.core.pantry.naming import Choice, Named, Names, Understood, called
from fernbell.server.desserts.models import Dessert, Stack
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.models import Member, Row
from fernbell.server.kitchens.policy import rows
from fernbell.server.molds.models import Mold
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_measured

SHELVES: dict[str, type[Row]] = {
    "ingredients": pantry.Ingredient,
    "formulas": Formula,
    "desserts": Dessert,
    "molds": Mold,
    "stacks": Stack,
}


class LineChoice(Schema):
    """One thing a line may be: its grams, or what is missing to weigh it.

    `measure` tells choices of one thing apart, `called` is the other name by which it fits.
    """

    id: UUID
    name: str
    is_formula: bool
    mass_g: float | None
    measure: str
    lacks: str
    wants_amount: bool
    called: str


class ReadLine(Schema):
    """A line understood: what is certain, else what may be meant and the question.

    `name` is what was said of what it is; `note` was said and is not weighed; `weighs_g` are its
    grams where they were said, whatever it is. `far` choices hold some of its words only.
    """

    text: str
    name: str
    note: str
    certain: LineChoice | None
    choices: list[LineChoice]
    asks: str
    weighs_g: float | None
    far: bool


def names_of(member: Member) -> Names:
    """What can be a line in the member's kitchen: ingredients and formulas."""
    usual = rows(member, pantry.Usual).order_by("word").values_list("word", "ingredient_id")
    formulas = rows(member, Formula).filter(archived_at=None).values_list("pk", "name")
    return _lines(
        member.kitchen_id,
        _state(member, pantry.Ingredient),
        tuple(formulas.order_by("pk")),
        tuple((word, str(pk)) for word, pk in usual),
    )


def _state(member: Member, model: type[Row]) -> tuple[Any, ...]:
    """Changes with every write: what was read at the same state is still right."""
    return tuple(rows(member, model).aggregate(Count("pk"), Max("changed_at")).values())


@lru_cache(maxsize=32)
def _lines(
    kitchen: UUID,
    ingredients: tuple[Any, ...],
    formulas: tuple[tuple[UUID, str], ...],
    usual: tuple[tuple[str, str], ...],
) -> Names:
    """Read once for as long as the arguments stay; how often each is used is of that moment."""
    found = pantry.Ingredient.objects.filter(kitchen_id=kitchen, archived_at=None)
    nested = dict(
        Formula.objects.filter(kitchen_id=kitchen)
        .annotate(uses=Count("nested_in"))
        .values_list("pk", "uses")
    )
    every = [
        *(
            Named(as_measured(row), tuple(row.other_names), uses=row.uses)
            for row in found.annotate(uses=Count("lines"))
        ),
        *(
            Named(Ingredient(str(pk), name), is_formula=True, uses=nested.get(pk, 0))
            for pk, name in formulas
        ),
    ]
    return Names(tuple(every), dict(usual))


def shelf_names(member: Member, shelf: str) -> Names:
    """What stands on one shelf."""
    if shelf == "lines":
        return names_of(member)
    if shelf == "ingredients":
        lines = names_of(member)
        return _only(lines, formulas=False)
    model = SHELVES[shelf]
    return _plain(shelf, member.kitchen_id, _state(member, model))


@lru_cache(maxsize=32)
def _only(lines: Names, *, formulas: bool) -> Names:
    kept = tuple(one for one in lines.every if one.is_formula == formulas)
    return Names(kept, lines.usual)


@lru_cache(maxsize=64)
def _plain(shelf: str, kitchen: UUID, state: tuple[Any, ...]) -> Names:
    found = SHELVES[shelf].objects.filter(kitchen_id=kitchen, archived_at=None)
    return Names(
        tuple(Named(Ingredient(str(pk), name)) for pk, name in found.values_list("pk", "name"))
    )


def weighed_by(member: Member) -> Callable[[Named], Ingredient]:
    """What a thing is measured by; a formula through its density with air, read when asked."""
    read: dict[str, Ingredient] = {}

    def weighed(named: Named) -> Ingredient:
        if not named.is_formula:
            return named.of
        if named.key not in read:
            book = book_for(member.kitchen_id, [named.key])
            density = read_formulas(book, [named.key])[named.key].density_g_ml
            read[named.key] = Ingredient(named.key, named.name, density)
        return read[named.key]

    return weighed


def as_read(read: Understood, within: UUID | None) -> ReadLine:
    """Understood, as it goes over the wire; nothing is offered to be a line of itself."""
    certain, asks = read.certain, read.asks
    if certain and certain.named.key == str(within):
        certain, asks = None, f"{certain.named.name} cannot be a line of itself."
    choices = [choice for choice in read.choices if choice.named.key != str(within)]
    return ReadLine(
        text=read.text,
        name=read.name,
        note=read.note,
        certain=_choice(certain, read.name) if certain else None,
        choices=[_choice(choice, read.name) for choice in choices],
        asks=asks,
        weighs_g=read.weighs_g,
        far=read.far,
    )


def _choice(one: Choice, typed: str) -> LineChoice:
    return LineChoice(
        id=UUID(one.named.key),
        name=one.named.name,
        is_formula=one.named.is_formula,
        mass_g=one.mass_g,
        measure=one.measure,
        lacks=one.lacks,
        wants_amount=one.wants_amount,
        called=called(one.named, typed),
    )
