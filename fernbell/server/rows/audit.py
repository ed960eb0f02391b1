"""Who changed what, over the whole kitchen: what the chef reads."""

from datetime import datetime
from typing import Any
from uuid import UUID

from ninja import Router, Schema

from fernbell.server.rows.models import Change, Row
from fernbell.server.rows.policy import Act, KeeperRequest, require, rows
from fernbell.server.rows.schemas import EARLIER, Limit, Offset, Page

router = Router(tags=["members"])


class AuditOut(Schema):
    """One change: who, when, of what, to which fields."""

    id: int
    at: datetime
    person: str | None
    action: str
    kind: str
    row: UUID
    name: str | None
    revision: int
    fields: list[str]


@router.get("/changes", response=Page[AuditOut], operation_id="list_changes")
def list_changes(request: KeeperRequest, limit: Limit = EARLIER, offset: Offset = 0) -> Any:
    """Every change in the kitchen, the latest first; for the chef."""
    require(request.auth, Act.STAFF)
    every = rows(request.auth, Change).order_by("-at", "-id")
    shown = list(every.select_related("user").defer("whole")[offset : offset + limit])
    names = _names(shown)
    return {"items": [_told(one, names.get(one.row)) for one in shown], "total": every.count()}


def _told(change: Change, name: str | None) -> dict[str, Any]:
    return {
        "id": change.pk,
        "at": change.at,
        "person": change.user.get_full_name() if change.user else None,
        "action": change.action,
        "kind": change.kind,
        "row": change.row,
        "name": name,
        "revision": change.revision,
        "fields": sorted(change.fields),
    }


def _names(changes: list[Change]) -> dict[UUID, str]:
    """What the changed rows are called now."""
    found: dict[UUID, str] = {}
    for model in Row.__subclasses__():
        keys = {one.row for one in changes if one.kind == model._meta.model_name}
        if keys:
            found |= dict(model._default_manager.filter(pk__in=keys).values_list("pk", "name"))
    return found
