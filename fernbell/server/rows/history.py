"""What happened to a row: noted, read back, and marked."""

from collections.abc import Mapping
from typing import Any
from uuid import UUID

from django.db import transaction
from django.db.models import QuerySet

from fernbell.server.problems import NotThere
from fernbell.server.rows.models import Change, Row
from fernbell.server.rows.policy import Act, Keeper, begin, rows
from fernbell.server.rows.shelf import Shelf, Snapshot, find

WHOLE_EVERY = 20
"""Every so many revisions the row is kept whole, so that no comparison takes back more."""


def note(member: Keeper, shelf: Shelf[Any], row: Row, action: str, before: Snapshot) -> None:
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
        whole=after if row.revision % WHOLE_EVERY == 0 else None,
    )


def note_kitchen(member: Keeper, fields: Mapping[str, Any]) -> None:
    """Put down what changed of the kitchen itself, [before, after] by field."""
    Change.objects.create(
        kitchen_id=member.kitchen_id,
        user=member.user,
        kind="kitchen",
        row=member.kitchen_id,
        revision=0,
        action="changed",
        fields=fields,
    )


def revisions(member: Keeper, shelf: Shelf[Any], row_id: UUID) -> QuerySet[Change]:
    """Every change of a row, the newest first; the row has to be there."""
    find(member, shelf, row_id)
    changes = rows(member, Change).filter(kind=shelf.name, row=row_id)
    return changes.select_related("user").order_by("-revision", "-id")


def snapshot_at(member: Keeper, shelf: Shelf[Any], row: Row, revision: int) -> Snapshot:
    """A row as it was at a revision: from the next one kept whole, what changed is taken back."""
    if not 1 <= revision <= row.revision:
        raise NotThere(f"{row.name} has no revision {revision}.")
    changes = rows(member, Change).filter(kind=shelf.name, row=row.pk)
    near = changes.filter(revision__gte=revision, whole__isnull=False).order_by("revision").first()
    since = changes.filter(revision__gt=revision)
    if near:
        since = since.filter(revision__lte=near.revision)
    then = dict(near.whole if near else shelf.snapshot(row))
    for fields in since.order_by("-revision", "-id").values_list("fields", flat=True):
        then |= {field: before for field, (before, _) in fields.items()}
    return then


@transaction.atomic
def mark(
    member: Keeper, shelf: Shelf[Any], row_id: UUID, revision: int, name: str, *, good: bool
) -> Change:
    """Name a revision, and say whether it made a good batch."""
    begin(member, Act.WRITE)
    found = revisions(member, shelf, row_id).filter(revision=revision).first()
    if found is None:
        raise NotThere(f"There is no revision {revision} of this {shelf.name}.")
    found.name, found.good = name, good
    found.save(update_fields=["name", "good"])
    return found
