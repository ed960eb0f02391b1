"""One write = one action: may, change, audit, in one transaction."""

from collections.abc import Sequence
from typing import Any
from uuid import UUID

from django.db import IntegrityError, transaction

from fernbell.server.problems import InUse, Invalid, Stale
from fernbell.server.rows.clock import local, now
from fernbell.server.rows.history import note
from fernbell.server.rows.models import Row
from fernbell.server.rows.policy import Act, Keeper, begin, rows
from fernbell.server.rows.shelf import R, Shelf, Snapshot, find


@transaction.atomic
def create(member: Keeper, shelf: Shelf[R], data: Any) -> R:
    """A new row."""
    begin(member, Act.WRITE)
    return _create(member, shelf, data)


def _create(member: Keeper, shelf: Shelf[R], data: Any) -> R:
    row = shelf.model(kitchen_id=member.kitchen_id, name=data.name, changed_by=member.user)
    _write(member, shelf, row, data)
    note(member, shelf, row, "created", {})
    return row


@transaction.atomic
def create_many(member: Keeper, shelf: Shelf[Any], many: Sequence[Any]) -> list[Row]:
    """New rows, all or none; a refusal names the row."""
    begin(member, Act.WRITE)
    made = []
    for place, data in enumerate(many):
        try:
            made.append(_create(member, shelf, data))
        except Invalid as error:
            faults = [{**one, "field": f"rows.{place}.{one['field']}"} for one in error.errors]
            raise Invalid(error.detail, faults) from error
    return made


@transaction.atomic
def change(member: Keeper, shelf: Shelf[R], row_id: UUID, revision: int, data: Any) -> R:
    """A row as it is to be now; refused if it was changed since `revision` was read."""
    begin(member, Act.WRITE)
    row = find(member, shelf, row_id)
    before = shelf.snapshot(row)
    if row.revision != revision:
        raise _stale(shelf, row, before)
    if row.archived_at:
        raise Invalid.field("archived", f"{row.name} is archived: restore it first.")
    row.revision += 1
    row.changed_by = member.user
    _write(member, shelf, row, data)
    note(member, shelf, row, "changed", before)
    return row


@transaction.atomic
def copy(member: Keeper, shelf: Shelf[R], row_id: UUID) -> R:
    """A copy under a name of its own."""
    begin(member, Act.WRITE)
    original = find(member, shelf, row_id)
    data = shelf.snapshot(original) | {"name": _free_name(member, shelf, original.name)}
    return _create(member, shelf, shelf.entry(**data))


@transaction.atomic
def archive(member: Keeper, shelf: Shelf[R], row_id: UUID) -> R:
    """Take a row off the shelf; refused while something uses it."""
    begin(member, Act.ARCHIVE)
    row = find(member, shelf, row_id)
    users = sorted(row.users())
    if users:
        raise InUse(f"{row.name} is used in {', '.join(users)}: take it out there first.")
    row.archived_at = row.archived_at or now()
    row.changed_by = member.user
    row.revision += 1
    row.save()
    note(member, shelf, row, "archived", shelf.snapshot(row))
    return row


@transaction.atomic
def restore(member: Keeper, shelf: Shelf[R], row_id: UUID) -> R:
    """Put an archived row back, under a free name if its own was taken meanwhile."""
    begin(member, Act.ARCHIVE)
    row = find(member, shelf, row_id)
    before = shelf.snapshot(row)
    if row.archived_at:
        taken = rows(member, shelf.model).filter(name__iexact=row.name, archived_at=None).exists()
        row.name = _free_name(member, shelf, row.name) if taken else row.name
        row.archived_at = None
        row.changed_by = member.user
        row.revision += 1
        row.save()
        note(member, shelf, row, "restored", before)
    return row


def _write(member: Keeper, shelf: Shelf[Any], row: Row, data: Any) -> None:
    try:
        with transaction.atomic():
            shelf.write(member, row, data)
    except IntegrityError as error:
        if "name_once" not in str(error):
            raise
        article = "an" if shelf.name[0] in "aeiou" else "a"
        message = f"There is already {article} {shelf.name} named {data.name}."
        raise Invalid.field("name", message) from error


def _stale(shelf: Shelf[Any], row: Row, current: Snapshot) -> Stale:
    who = row.changed_by.get_full_name() if row.changed_by else "Somebody"
    return Stale(
        f"{who} changed {row.name} at {local(row.changed_at):%H:%M}. Nothing of yours was saved.",
        current=current,
        revision=row.revision,
        changed_by=who,
        changed_at=row.changed_at.isoformat(),
    )


def _free_name(member: Keeper, shelf: Shelf[Any], name: str) -> str:
    taken = {
        one.lower()
        for one in rows(member, shelf.model)
        .filter(archived_at=None, name__istartswith=name[:100])
        .values_list("name", flat=True)
    }
    stem = name[:100]
    candidates = (f"{stem} (copy{f' {i}' if i > 1 else ''})" for i in range(1, len(taken) + 2))
    return next(candidate for candidate in candidates if candidate.lower() not in taken)
