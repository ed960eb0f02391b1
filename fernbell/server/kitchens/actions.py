"""One write = one action: may, change, audit, in one transaction."""

from collections.abc import Callable, Iterable, Sequence
from dataclasses import dataclass
from typing import Any
from uuid import UUID

from django.db import IntegrityError, transaction
from django.db.models import QuerySet
from django.utils import timezone

from fernbell.server.kitchens.models import Change, Member, Row
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.schemas import Entry
from fernbell.server.problems import InUse, Invalid, NotThere, Stale

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
    write: Callable[[Member, Row, Any], None]
    snapshot: Callable[[Row], Snapshot]
    related: tuple[str, ...] = ()
    listed: Callable[[QuerySet], QuerySet] = lambda found: found


def find(member: Member, shelf: Shelf, row_id: UUID) -> Row:
    """A row of the member's kitchen; anything else is not there."""
    row = (
        rows(member, shelf.model)
        .filter(pk=row_id)
        .select_related("changed_by", *shelf.related)
        .first()
    )
    if row is None:
        raise NotThere(f"There is no {shelf.name} {row_id} here.")
    return row


@transaction.atomic
def create(member: Member, shelf: Shelf, data: Any) -> Row:
    """A new row."""
    require(member, Act.WRITE)
    row = shelf.model(kitchen_id=member.kitchen_id, name=data.name, changed_by=member.user)
    _write(member, shelf, row, data)
    _note(member, shelf, row, "created", {})
    return row


@transaction.atomic
def create_many(member: Member, shelf: Shelf, many: Sequence[Any]) -> list[Row]:
    """New rows, all or none; a refusal names the row."""
    made = []
    for place, data in enumerate(many):
        try:
            made.append(create(member, shelf, data))
        except Invalid as error:
            faults = [{**one, "field": f"rows.{place}.{one['field']}"} for one in error.errors]
            raise Invalid(error.detail, faults) from error
    return made


@transaction.atomic
def change(member: Member, shelf: Shelf, row_id: UUID, revision: int, data: Any) -> Row:
    """A row as it is to be now; refused if it was changed since `revision` was read."""
    require(member, Act.WRITE)
    row = _lock(member, shelf, row_id)
    before = shelf.snapshot(row)
    if row.revision != revision:
        raise _stale(shelf, row, before)
    if row.archived_at:
        raise Invalid.field("archived", f"{row.name} is archived: restore it first.")
    row.revision += 1
    row.changed_by = member.user
    _write(member, shelf, row, data)
    _note(member, shelf, row, "changed", before)
    return row


@transaction.atomic
def copy(member: Member, shelf: Shelf, row_id: UUID) -> Row:
    """A copy under a name of its own."""
    require(member, Act.WRITE)
    original = find(member, shelf, row_id)
    data = shelf.snapshot(original) | {"name": _free_name(member, shelf, original.name)}
    return create(member, shelf, shelf.entry(**data))


@transaction.atomic
def archive(member: Member, shelf: Shelf, row_id: UUID) -> Row:
    """Take a row off the shelf; refused while something uses it."""
    require(member, Act.ARCHIVE)
    row = _lock(member, shelf, row_id)
    users = sorted(row.users())
    if users:
        raise InUse(f"{row.name} is used in {', '.join(users)}: take it out there first.")
    row.archived_at = row.archived_at or timezone.now()
    row.changed_by = member.user
    row.revision += 1
    row.save()
    _note(member, shelf, row, "archived", shelf.snapshot(row))
    return row


@transaction.atomic
def restore(member: Member, shelf: Shelf, row_id: UUID) -> Row:
    """Put an archived row back, under a free name if its own was taken meanwhile."""
    require(member, Act.ARCHIVE)
    row = _lock(member, shelf, row_id)
    before = shelf.snapshot(row)
    if row.archived_at:
        taken = rows(member, shelf.model).filter(name__iexact=row.name, archived_at=None).exists()
        row.name = _free_name(member, shelf, row.name) if taken else row.name
        row.archived_at = None
        row.changed_by = member.user
        row.revision += 1
        row.save()
        _note(member, shelf, row, "restored", before)
    return row


def history(member: Member, shelf: Shelf, row_id: UUID) -> Iterable[Change]:
    """What happened to a row, the newest first."""
    return revisions(member, shelf, row_id)[:100]


def revisions(member: Member, shelf: Shelf, row_id: UUID) -> QuerySet[Change]:
    """Every change of a row, the newest first; the row has to be there."""
    find(member, shelf, row_id)
    changes = rows(member, Change).filter(kind=shelf.name, row=row_id)
    return changes.select_related("user").order_by("-revision", "-id")


def snapshot_at(member: Member, shelf: Shelf, row: Row, revision: int) -> Snapshot:
    """A row as it was at a revision: what changed since is taken back, the newest first."""
    if not 1 <= revision <= row.revision:
        raise NotThere(f"{row.name} has no revision {revision}.")
    then = dict(shelf.snapshot(row))
    for one in revisions(member, shelf, row.pk):
        if one.revision <= revision:
            break
        then |= {field: before for field, (before, _) in one.fields.items()}
    return then


@transaction.atomic
def mark(
    member: Member, shelf: Shelf, row_id: UUID, revision: int, name: str, *, good: bool
) -> Change:
    """Name a revision, and say whether it made a good batch."""
    require(member, Act.WRITE)
    found = revisions(member, shelf, row_id).filter(revision=revision).first()
    if found is None:
        raise NotThere(f"There is no revision {revision} of this {shelf.name}.")
    found.name, found.good = name, good
    found.save(update_fields=["name", "good"])
    return found


def _lock(member: Member, shelf: Shelf, row_id: UUID) -> Row:
    locked = rows(member, shelf.model).select_for_update(of=("self",)).filter(pk=row_id).first()
    if locked is None:
        raise NotThere(f"There is no {shelf.name} {row_id} here.")
    return locked


def _write(member: Member, shelf: Shelf, row: Row, data: Any) -> None:
    try:
        with transaction.atomic():
            shelf.write(member, row, data)
    except IntegrityError as error:
        if "name_once" not in str(error):
            raise
        article = "an" if shelf.name[0] in "aeiou" else "a"
        message = f"There is already {article} {shelf.name} named {data.name}."
        raise Invalid.field("name", message) from error


def _stale(shelf: Shelf, row: Row, current: Snapshot) -> Stale:
    who = row.changed_by.get_full_name() if row.changed_by else "Somebody"
    return Stale(
        f"{who} changed {row.name} at {row.changed_at:%H:%M} UTC. Nothing of yours was saved.",
        current=current,
        revision=row.revision,
        changed_by=who,
        changed_at=row.changed_at.isoformat(),
    )


def _free_name(member: Member, shelf: Shelf, name: str) -> str:
    taken = {
        one.lower()
        for one in rows(member, shelf.model)
        .filter(archived_at=None, name__istartswith=name[:100])
        .values_list("name", flat=True)
    }
    stem = name[:100]
    candidates = (f"{stem} (copy{f' {i}' if i > 1 else ''})" for i in range(1, len(taken) + 2))
    return next(candidate for candidate in candidates if candidate.lower() not in taken)


def _note(member: Member, shelf: Shelf, row: Row, action: str, before: Snapshot) -> None:
    after = shelf.snapshot(row)
    fields = {
        key: [before.get(key), value] for key, value in after.items() if before.get(key) != value
    }
    Change.objects.create(
        kitchen_id=member.kitchen_id,
        user=member.user,
        kind=shelf.name,
        row=row.pk,
        revision=row.revision,
        action=action,
        fields=fields,
    )
