"""A shelf: rows of one sort, how one is found, written and remembered."""

from collections.abc import Callable, Iterable
from dataclasses import dataclass
from datetime import datetime
from typing import Any, Generic, TypeVar
from uuid import UUID

from django.db.models import QuerySet

from fernbell.core.pantry import Ingredient
from fernbell.core.pantry.naming import Named
from fernbell.server.problems import NotThere
from fernbell.server.rows.models import Row
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.schemas import Entry

Snapshot = dict[str, Any]
Brief = dict[str, Any]


def plain_names(found: QuerySet[Any]) -> Iterable[Named]:
    """Rows that are called by their name alone, and are never weighed."""
    return [Named(Ingredient(str(pk), name)) for pk, name in found.values_list("pk", "name")]


def briefs(found: QuerySet[Any], *fields: str, **more: Any) -> list[Brief]:
    """What a list shows of rows: what every row has, some fields, and `more` expressions."""
    person = ("changed_by__first_name", "changed_by__last_name")
    own = ("id", "name", "revision", "archived_at", "changed_at")
    return [_brief(**row) for row in found.values(*own, *person, *fields, **more)]


def _brief(
    changed_by__first_name: str | None,
    changed_by__last_name: str | None,
    archived_at: datetime | None,
    **row: Any,
) -> Brief:
    who = f"{changed_by__first_name or ''} {changed_by__last_name or ''}".strip()
    return {**row, "archived": archived_at is not None, "changed_by": who or None}


R = TypeVar("R", bound=Row)


@dataclass(frozen=True)
class Shelf(Generic[R]):
    """A shelf of rows of one sort: how one is written and remembered.

    `entry` is what a member enters; `write` puts it on a row of the member's kitchen and saves
    it; `snapshot` is the row as JSON, what `entry` is made from;
    `related` names the rows that are always read along; `listed` is what a list shows of rows,
    without reading them whole; `named` how they are called, and how a line weighs them; `usual`
    the bare words that mean one of them in a kitchen, `held` those bought in a container;
    `fitting` those that are as somebody asks, not called so: the keys of rows, or None where
    only a name was asked for.
    """

    name: str
    model: type[R]
    entry: type[Entry]
    write: Callable[[Any, R, Any], None]
    snapshot: Callable[[R], Snapshot]
    related: tuple[str, ...] = ()
    listed: Callable[[QuerySet[Any]], list[Brief]] = briefs
    named: Callable[[QuerySet[Any]], Iterable[Named]] = plain_names
    usual: Callable[[UUID], dict[str, UUID]] = lambda _kitchen: {}
    held: Callable[[QuerySet[Any], str], QuerySet[Any]] = lambda found, _container: found.none()
    fitting: Callable[[QuerySet[Any], str], list[UUID] | None] = lambda _found, _asked: None


def find(member: Keeper, shelf: Shelf[R], row_id: UUID) -> R:
    """A row of the member's kitchen; anything else is not there."""
    return find_in(member.kitchen_id, shelf, row_id)


def find_in(kitchen: UUID, shelf: Shelf[R], row_id: UUID) -> R:
    """A row of a kitchen; anything else is not there."""
    own = shelf.model._default_manager.filter(kitchen_id=kitchen, pk=row_id)
    row = own.select_related("changed_by", *shelf.related).first()
    if row is None:
        raise NotThere(f"There is no {shelf.name} {row_id} here.")
    return row
