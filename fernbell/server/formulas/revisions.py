"""Revisions of a formula: every save is one; named, compared, restored."""

from collections.abc import Iterable, Iterator
from datetime import datetime
from typing import Annotated, Any
from uuid import UUID

from django.http import HttpRequest
from ninja import Query, Router, Schema
from pydantic import StringConstraints

from fernbell.core.formulas import Comparison, compare
from fernbell.core.working import figure_text
from fernbell.server.formulas.drafts import drafted
from fernbell.server.formulas.models import Formula as Row
from fernbell.server.formulas.schemas import FormulaOut
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Shelf, Snapshot
from fernbell.server.kitchens.models import Change, Member
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.schemas import Entry
from fernbell.server.pantry.models import Ingredient

MOST_SHOWN = 60


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


class RestoreIn(Entry):
    """The revision that is current now; a stale one is refused."""

    revision: int


def add_revisions(router: Router, shelf: Shelf) -> None:
    """The routes of the revisions of formulas."""

    @router.get(
        "/{uuid:row_id}/revisions", response=list[RevisionOut], operation_id="list_revisions"
    )
    def list_revisions(request: HttpRequest, row_id: UUID) -> Any:
        require(request.auth, Act.READ)
        found = list(actions.revisions(request.auth, shelf, row_id)[:MOST_SHOWN])
        names = _names(request.auth, found)
        return [_revision(one, names) for one in found]

    @router.put(
        "/{uuid:row_id}/revisions/{int:revision}",
        response=RevisionOut,
        operation_id="mark_revision",
    )
    def mark_revision(request: HttpRequest, row_id: UUID, revision: int, data: RevisionIn) -> Any:
        one = actions.mark(request.auth, shelf, row_id, revision, data.name, good=data.good)
        return _revision(one, _names(request.auth, [one]))

    @router.post(
        "/{uuid:row_id}/revisions/{int:revision}/restore",
        response=FormulaOut,
        operation_id="restore_revision",
    )
    def restore_revision(request: HttpRequest, row_id: UUID, revision: int, data: RestoreIn) -> Any:
        require(request.auth, Act.WRITE)
        row = actions.find(request.auth, shelf, row_id)
        then = shelf.entry(**_snapshot(request.auth, shelf, row, revision))
        return actions.change(request.auth, shelf, row_id, data.revision, then)

    @router.get("/{uuid:row_id}/compare", response=Comparison, operation_id="compare_revisions")
    def compare_revisions(
        request: HttpRequest,
        row_id: UUID,
        before: Annotated[int, Query(ge=1)],
        after: Annotated[int, Query(ge=1)],
    ) -> Any:
        require(request.auth, Act.READ)
        row = actions.find(request.auth, shelf, row_id)
        states = (
            drafted(request.auth, _snapshot(request.auth, shelf, row, one)).character()
            for one in (before, after)
        )
        return compare(*states)


def _snapshot(member: Member, shelf: Shelf, row: Any, revision: int) -> Snapshot:
    """A revision as an entry; fields that formulas no longer have are left out."""
    then = actions.snapshot_at(member, shelf, row, revision)
    return {field: value for field, value in then.items() if field in shelf.entry.model_fields}


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
    found = {}
    for model, field in ((Ingredient, "ingredient"), (Row, "formula")):
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


def _line_changes(before: list[dict], after: list[dict], names: dict[str, str]) -> Iterator[str]:
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
