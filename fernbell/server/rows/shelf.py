"""A shelf: rows of one sort, how one is found, written and remembered."""

from collections.abc import Callable
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from django.db.models import QuerySet

from fernbell.server.problems import NotThere
from fernbell.server.rows.models import Row
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.schemas import Entry

Snapshot = dict[str, Any]


@dataclass(frozen=True)
class Shelf:
    """A shelf of rows of one sort: how one is written and remembered.

    `entry` is what a member enters; `write` puts it on a row of the member's kitchen and saves
    it; `snapshot` is the row as JSON, what `entry` is made from;
    `related` names the rows that are always read along; `listed` adds what a list shows.
    """

    name: str
    model: type[Row]
    entry: type[Entry]
    write: Callable[[Any, Row, Any], None]
    snapshot: Callable[[Row], Snapshot]
    related: tuple[str, ...] = ()
    listed: Callable[[QuerySet], QuerySet] = lambda found: found


def find(member: Keeper, shelf: Shelf, row_id: UUID) -> Row:
    """A row of the member's kitchen; anything else is not there."""
    return find_in(member.kitchen_id, shelf, row_id)


def find_in(kitchen: UUID, shelf: Shelf, row_id: UUID) -> Row:
    """A row of a kitchen; anything else is not there."""
    own = shelf.model._default_manager.filter(kitchen_id=kitchen, pk=row_id)
    row = own.select_related("changed_by", *shelf.related).first()
    if row is None:
        raise NotThere(f"There is no {shelf.name} {row_id} here.")
    return row
