"""Routes of the desserts."""

from typing import Annotated, Any
from uuid import UUID

from django.http import HttpRequest, HttpResponse
from ninja import Query

from fernbell.core.desserts import Dessert as CoreDessert
from fernbell.core.desserts import Solved, propose, propose_layer, refit
from fernbell.server.desserts import assemble
from fernbell.server.desserts.models import Dessert
from fernbell.server.desserts.schemas import (
    PARTS,
    PORTIONS,
    DessertBrief,
    DessertIn,
    DessertOut,
    Proposed,
    ProposeIn,
    RefitIn,
    Refitted,
)
from fernbell.server.formulas.assemble import with_methods
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.schemas import SheetOut
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Kind, Snapshot
from fernbell.server.kitchens.models import Member, Row
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.shelf import shelf
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.problems import Invalid

Count = Annotated[int | None, Query(ge=1, le=5000)]


def write(member: Member, row: Dessert, data: DessertIn) -> None:
    """Put an entry on a row; refuse molds and formulas that are not on the shelves."""
    mold = _on_shelf(member, data.mold)
    used = _known(member, data.parts)
    portions = assemble.drawn(data, mold_of(mold)).portions
    row.name, row.mold, row.count = data.name, mold, data.count
    row.parts = PARTS.dump_python(data.parts, mode="json")
    row.portions = PORTIONS.dump_python(portions, mode="json")
    row.save()
    row.formulas.set(used)


def _on_shelf(member: Member, mold_id: UUID) -> Mold:
    mold = rows(member, Mold).filter(pk=mold_id, archived_at=None).first()
    if mold is None:
        raise Invalid.field("mold", "This mold is not on your shelf.")
    return mold


def _known(member: Member, parts: list[Any]) -> set[UUID]:
    named = list(assemble.formulas_of(parts))
    wanted = {UUID(key) for _, key in named if assemble.is_uuid(key)}
    on_shelf = set(
        rows(member, Formula).filter(pk__in=wanted, archived_at=None).values_list("pk", flat=True)
    )
    message = "This formula is not on your shelf."
    errors = [
        {"field": f"parts.{place}.formula", "message": message}
        for place, key in named
        if not (assemble.is_uuid(key) and UUID(key) in on_shelf)
    ]
    if errors:
        raise Invalid(message, errors)
    return on_shelf


def snapshot(row: Row) -> Snapshot:
    """The row as an entry."""
    own = {field: getattr(row, field) for field in ("name", "parts", "portions", "count")}
    return own | {"mold": str(row.mold_id)}


DESSERT = Kind("dessert", Dessert, DessertIn, write, snapshot, related=("mold",))

router = shelf(DESSERT, DessertBrief, DessertOut)


def _dessert(request: HttpRequest, row_id: UUID) -> Dessert:
    require(request.auth, Act.READ)
    return actions.find(request.auth, DESSERT, row_id)


def _drawn(request: HttpRequest, entry: DessertIn) -> CoreDessert:
    require(request.auth, Act.READ)
    return assemble.drawn(entry, mold_of(_on_shelf(request.auth, entry.mold)))


@router.post("/what-if", response=Solved, operation_id="what_if")
def what_if(request: HttpRequest, data: DessertIn) -> HttpResponse:
    """What an entry would take, its findings and its cut; nothing is saved."""
    dessert = _drawn(request, data)
    answer, _ = assemble.solved(request.auth.kitchen_id, dessert, data.count)
    return HttpResponse(assemble.as_json(answer), content_type="application/json")


@router.post("/propose", response=Proposed, operation_id="propose_part")
def proposed(request: HttpRequest, data: ProposeIn) -> Any:
    """A part measured for a dessert as it is drawn; nothing is saved."""
    dessert, formula = _drawn(request, data.dessert), str(data.formula)
    if data.into is not None:
        return {"part": propose_layer(dessert, data.into, data.key, formula)}
    return {"part": propose(dessert, data.rule, data.key, formula)}


@router.post("/refit", response=Refitted, operation_id="refit_dessert")
def refitted(request: HttpRequest, data: RefitIn) -> Any:
    """A dessert as it is drawn in another mold, its gaps kept; nothing is saved."""
    dessert, mold = _drawn(request, data.dessert), _on_shelf(request.auth, data.mold)
    fitted = refit(dessert, mold_of(mold))
    return {"mold": mold.pk, "parts": list(fitted.parts), "portions": fitted.portions}


@router.get("/{uuid:row_id}/solved", response=Solved, operation_id="solve_dessert")
def solved(request: HttpRequest, row_id: UUID, count: Count = None) -> HttpResponse:
    """What it takes, for its own count or another; findings and the cut."""
    row = _dessert(request, row_id)
    answer, _ = assemble.solved(row.kitchen_id, assemble.dessert_of(row), count or row.count)
    return HttpResponse(assemble.as_json(answer), content_type="application/json")


@router.get("/{uuid:row_id}/sheets", response=list[SheetOut], operation_id="dessert_sheets")
def sheets(request: HttpRequest, row_id: UUID, count: Count = None) -> Any:
    """One scaled sheet a formula, in building order."""
    row = _dessert(request, row_id)
    _, made = assemble.solved(row.kitchen_id, assemble.dessert_of(row), count or row.count)
    return with_methods(row.kitchen_id, made)
