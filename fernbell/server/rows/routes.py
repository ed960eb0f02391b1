"""The routes every shelf has: list, create, read, change, copy, archive, restore, history."""

from typing import Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Query, Router, Status
from pydantic_core import to_json

from fernbell.server.rows import actions, history, listing
from fernbell.server.rows.listing import Listing
from fernbell.server.rows.policy import Act, KeeperRequest, require
from fernbell.server.rows.schemas import (
    EARLIER,
    ChangeOut,
    Limit,
    Offset,
    Page,
    Revised,
    RowOut,
)
from fernbell.server.rows.shelf import Shelf, find


def routes_of(shelf: Shelf[Any], brief: type[RowOut], full: type[RowOut]) -> Router:
    """A router with the common routes of a shelf; `brief` is a row in the list, `full` alone."""
    router = Router(tags=[shelf.name])
    _reading(router, shelf, brief, full)
    _writing(router, shelf, full)
    return router


def _reading(router: Router, shelf: Shelf[Any], brief: type[RowOut], full: type[RowOut]) -> None:
    page: Any = Page[brief]  # type: ignore[valid-type]  # told by the shelf
    changes, route = Page[ChangeOut], f"{{}}_{shelf.name}".format

    @router.get("", response=page, operation_id=route("list"))
    def list_rows(request: KeeperRequest, asked: Query[Listing]) -> HttpResponse:
        require(request.auth, Act.READ)
        items, total = listing.page(request.auth, shelf, asked)
        body = to_json({"items": items, "total": total})
        return HttpResponse(body, content_type="application/json")

    @router.get("/{uuid:row_id}", response=full, operation_id=route("read"))
    def read_row(request: KeeperRequest, row_id: UUID) -> Any:
        require(request.auth, Act.READ)
        return find(request.auth, shelf, row_id)

    @router.get("/{uuid:row_id}/history", response=changes, operation_id=route("history"))
    def row_history(
        request: KeeperRequest, row_id: UUID, limit: Limit = EARLIER, offset: Offset = 0
    ) -> dict[str, Any]:
        require(request.auth, Act.READ)
        every = history.revisions(request.auth, shelf, row_id)
        return {"items": every[offset : offset + limit], "total": every.count()}


def _writing(router: Router, shelf: Shelf[Any], full: type[RowOut]) -> None:
    entry, route = shelf.entry, f"{{}}_{shelf.name}".format
    revised = Revised[entry]  # type: ignore[valid-type]  # told by the shelf

    @router.post("", response={201: full}, operation_id=route("create"))
    def create_row(request: KeeperRequest, data: entry) -> Status[Any]:  # type: ignore[valid-type]
        return Status(201, actions.create(request.auth, shelf, data))

    @router.put("/{uuid:row_id}", response=full, operation_id=route("change"))
    def change_row(request: KeeperRequest, row_id: UUID, data: revised) -> Any:
        return actions.change(request.auth, shelf, row_id, data.revision, data.data)

    @router.post("/{uuid:row_id}/copy", response={201: full}, operation_id=route("copy"))
    def copy_row(request: KeeperRequest, row_id: UUID) -> Status[Any]:
        return Status(201, actions.copy(request.auth, shelf, row_id))

    @router.post("/{uuid:row_id}/archive", response=full, operation_id=route("archive"))
    def archive_row(request: KeeperRequest, row_id: UUID) -> Any:
        return actions.archive(request.auth, shelf, row_id)

    @router.post("/{uuid:row_id}/restore", response=full, operation_id=route("restore"))
    def restore_row(request: KeeperRequest, row_id: UUID) -> Any:
        return actions.restore(request.auth, shelf, row_id)
