"""Revisions of a formula: every save is one; named, compared, restored."""

from collections.abc import Iterable, Iterator
from contextlib import suppress
from datetime import datetime
from typing import Annotated, Any
from uuid import UUID

from django.db import transaction
from django.db.models import Q
from ninja import Query, Router, Schema
from pydantic import StringConstraints, ValidationError

from fernbell.core.errors import CoreError
from fernbell.core.formulas import Comparison, compare
from fernbell.core.working import figure_text
from fernbell.server.formulas.drafts import drafted
from fernbell.server.formulas.learned import forget, remember
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.formulas.schemas import FormulaIn, FormulaOut
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry.models import Ingredient
from fernbell.server.rows import actions, history
from fernbell.server.rows.models import Change
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.schemas import EARLIER, Entry, Limit, Offset, Page
from fernbell.server.rows.shelf import find

MOST_MARKED = 20


class RevisionIn(Entry):
    """What a revision is called, and whether it made a good batch."""

    name: Annotated[str, StringConstraints(strip_whitespace=True, max_length=80)] = ""
    good: bool = False


class RevisionOut(Schema):
    """One revision: when, by whom, what it is called, and what it changed."""

    revision: int
    at: datetime
    who: str | None
    action: str
    name: str
    good: bool
    says: list[str]


class RevisionsOut(Page[RevisionOut]):
    """A page of revisions; `marked` are older ones with a name or of a good batch."""

    marked: list[RevisionOut]


class RestoreIn(Entry):
    """The revision that is current now; a stale one is refused."""

    revision: int


router = Router(tags=["formula"])


@router.get("/{uuid:row_id}/revisions", response=RevisionsOut, operation_id="list_revisions")
def list_revisions(
    request: MemberRequest, row_id: UUID, limit: Limit = EARLIER, offset: Offset = 0
) -> Any:
    """Revisions of a formula, the newest first; and on the first page those that are marked."""
    require(request.auth, Act.READ)
    every = history.revisions(request.auth, FORMULA, row_id)
    page = list(every[offset : offset + limit])
    marked = every.filter(Q(good=True) | ~Q(name="")).exclude(pk__in=[one.pk for one in page])
    also = [] if offset else list(marked[:MOST_MARKED])
    names = _names(request.auth, [*page, *also])
    return {
        "items": [_revision(one, names) for one in page],
        "marked": [_revision(one, names) for one in also],
        "total": every.count(),
    }


@router.put(
    "/{uuid:row_id}/revisions/{int:revision}",
    response=RevisionOut,
    operation_id="mark_revision",
)
@transaction.atomic
def mark_revision(request: MemberRequest, row_id: UUID, revision: int, data: RevisionIn) -> Any:
    """Name a revision, and say whether it made a good batch."""
    one = history.mark(request.auth, FORMULA, row_id, revision, data.name, good=data.good)
    forget(request.auth, one)
    if one.good:
        row = find(request.auth, FORMULA, row_id)
        # What can no longer be read, such as a job there is no more, is marked and teaches nothing.
        with suppress(CoreError, ValidationError):
            then = drafted(request.auth, _entry(request.auth, row, revision))
            remember(request.auth, one, then.job, then.lines)
    return _revision(one, _names(request.auth, [one]))


@router.post(
    "/{uuid:row_id}/revisions/{int:revision}/restore",
    response=FormulaOut,
    operation_id="restore_revision",
)
def restore_revision(request: MemberRequest, row_id: UUID, revision: int, data: RestoreIn) -> Any:
    """Bring a revision back as the newest."""
    require(request.auth, Act.WRITE)
    row = find(request.auth, FORMULA, row_id)
    then = _entry(request.auth, row, revision)
    return actions.change(request.auth, FORMULA, row_id, data.revision, then)


@router.get("/{uuid:row_id}/compare", response=Comparison, operation_id="compare_revisions")
def compare_revisions(
    request: MemberRequest,
    row_id: UUID,
    before: Annotated[int, Query(ge=1)],
    after: Annotated[int, Query(ge=1)],
) -> Any:
    """Two revisions side by side, read with the pantry of today."""
    require(request.auth, Act.READ)
    row = find(request.auth, FORMULA, row_id)
    states = (
        drafted(request.auth, _entry(request.auth, row, one)).character() for one in (before, after)
    )
    return compare(*states)


def _entry(member: Member, row: Formula, revision: int) -> FormulaIn:
    """A revision as an entry; fields that formulas no longer have are left out."""
    then = history.snapshot_at(member, FORMULA, row, revision)
    fields = {field: value for field, value in then.items() if field in FormulaIn.model_fields}
    return FormulaIn.model_validate(fields)


def _revision(one: Change, names: dict[str, str]) -> dict[str, Any]:
    return {
        "revision": one.revision,
        "at": one.at,
        "who": one.user.get_full_name() if one.user else None,
        "action": one.action,
        "name": one.name,
        "good": one.good,
        "says": list(_says(one, names)) if one.action == "changed" else [],
    }


def _names(member: Member, changes: Iterable[Change]) -> dict[str, str]:
    """Names of everything that stood in a line of these changes."""
    lines = [
        line for change in changes for side in change.fields.get("lines", ()) for line in side or ()
    ]
    found: dict[str, str] = {}
    for model, field in ((Ingredient, "ingredient"), (Formula, "formula")):
        keys = {line[field] for line in lines if line[field]}
        found |= {
            str(pk): name
            for pk, name in rows(member, model).filter(pk__in=keys).values_list("pk", "name")
        }
    return found


def _says(one: Change, names: dict[str, str]) -> Iterator[str]:
    """What a change did, in a few words."""
    for field, (before, after) in one.fields.items():
        if field == "lines":
            yield from _line_changes(before or [], after or [], names)
        else:
            yield field.removesuffix("_g_ml").replace("_", " ")


Lines = list[dict[str, Any]]


def _line_changes(before: Lines, after: Lines, names: dict[str, str]) -> Iterator[str]:
    old, new = ({line["key"]: line for line in lines} for lines in (before, after))
    for key in dict.fromkeys((*new, *old)):
        was, now = old.get(key), new.get(key)
        line = now or old[key]
        name = names.get(line["ingredient"] or line["formula"], "?")
        if was is None:
            yield f"{name} {figure_text(line['mass_g'])} g in"
        elif now is None:
            yield f"{name} out"
        elif was["mass_g"] != now["mass_g"]:
            grams = (figure_text(one["mass_g"]) for one in (was, now))
            yield f"{name} {' → '.join(grams)} g"
