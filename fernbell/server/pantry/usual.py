"""What bare words such as 'butter' mean in a kitchen, and what else its things are called."""

from collections.abc import Iterable
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import F, QuerySet

from fernbell.core.measures import name_key, words_of
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry.models import MOST_OTHER_NAMES, Ingredient, Usual
from fernbell.server.problems import Invalid
from fernbell.server.rows import actions
from fernbell.server.rows.history import note_kitchen
from fernbell.server.rows.policy import Act, begin, rows
from fernbell.server.rows.shelf import Shelf, find

NAME = F("ingredient__name")


@transaction.atomic
def mean(member: Member, word: str, ingredient: UUID | None) -> None:
    """Let a bare word mean an ingredient of the kitchen, or nothing."""
    begin(member, Act.WRITE)
    plain = " ".join(words_of(word))
    if not plain:
        raise Invalid.field("word", "A word has letters.")
    if ingredient and not rows(member, Ingredient).filter(pk=ingredient, archived_at=None).exists():
        raise Invalid.field("ingredient", "This ingredient is not on your shelf.")
    own = rows(member, Usual).filter(word=plain)
    before = own.values_list("ingredient_id", flat=True).first()
    if ingredient:
        Usual.objects.update_or_create(
            kitchen_id=member.kitchen_id, word=plain, defaults={"ingredient_id": ingredient}
        )
    else:
        own.delete()
    moved = {plain: [before and str(before), ingredient and str(ingredient)]}
    note_kitchen(member, moved)


def shared(row: Ingredient) -> dict[str, list[str]]:
    """Of its other names those that are names of other ingredients of its kitchen too."""
    mine = {name_key(name): name for name in row.other_names}
    found: dict[str, list[str]] = {}
    for own, also in _called_so(row, mine):
        for name in {mine.get(name_key(one)) for one in (own, *also)} - {None}:
            found.setdefault(str(name), []).append(own)
    return found


def _called_so(row: Ingredient, keys: Iterable[tuple[str, ...]]) -> QuerySet[Any]:
    """Names and other names of the other ingredients that have one of these names, and more."""
    others = Ingredient.objects.filter(kitchen_id=row.kitchen_id, archived_at=None)
    named = others.filter(keys__overlap=["".join(key) for key in keys])
    return named.exclude(pk=row.pk).order_by("name").values_list("name", "other_names")


@transaction.atomic
def remember(member: Member, shelf: Shelf[Ingredient], row_id: UUID, name: str) -> Ingredient:
    """Another name for an ingredient; refused where it is the name of something else."""
    row = find(member, shelf, row_id)
    key = name_key(name)
    if not key:
        raise Invalid.field("name", "A name has letters.")
    for own, also in _called_so(row, [key]):
        if any(name_key(one) == key for one in (own, *also)):
            raise Invalid.field("name", f"‘{name}’ is what {own} is called.")
    if any(name_key(one) == key for one in (row.name, *row.other_names)):
        return row
    if len(row.other_names) >= MOST_OTHER_NAMES:
        raise Invalid.field("name", f"{row.name} has {MOST_OTHER_NAMES} other names already.")
    entry = shelf.snapshot(row)
    entry["other_names"] = [*row.other_names, name]
    return actions.change(member, shelf, row_id, row.revision, shelf.entry(**entry))
