"""Routes of the desserts."""

from functools import cache
from typing import Annotated, Any
from uuid import UUID

from django.http import HttpResponse
from ninja import Query

from fernbell.core.desserts import Bite, place_stack, propose, propose_layer, refit
from fernbell.core.desserts import Dessert as CoreDessert
from fernbell.core.desserts.kinds import KINDS, picture
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.server.desserts import assemble
from fernbell.server.desserts.begin import begin
from fernbell.server.desserts.bites import sweetness_with
from fernbell.server.desserts.rows import (
    DESSERT,
    STACK,
    entry_of,
    held_by,
    molds_named,
    molds_on_shelf,
    parts_of_stack,
)
from fernbell.server.desserts.schemas import (
    BeginIn,
    BegunOut,
    BiteWith,
    DessertBrief,
    DessertIn,
    DessertKindsOut,
    DessertOut,
    Placed,
    PlaceIn,
    Proposed,
    ProposeIn,
    RefitIn,
    Refitted,
    StackOut,
    WorkedOut,
)
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.molds.assemble import mold_of
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.shelf import find

Count = Annotated[int | None, Query(ge=1, le=5000)]
SizeKey = Annotated[str, Query(max_length=60)]


MOST_BITES = 6

router = routes_of(DESSERT, DessertBrief, DessertOut)
stack_router = routes_of(STACK, StackOut, StackOut)


def _sizes(request: MemberRequest, entry: DessertIn) -> list[assemble.Sized]:
    require(request.auth, Act.READ)
    molds = molds_on_shelf(request.auth, entry)
    return assemble.sized(entry, molds, held_by(request.auth, entry))


def _drawn(request: MemberRequest, entry: DessertIn) -> CoreDessert:
    """The size an entry's parts are drawn in; its other sizes are not looked at."""
    require(request.auth, Act.READ)
    alone = entry.model_copy(update={"sizes": []})
    mold = molds_on_shelf(request.auth, alone)[entry.mold]
    return assemble.drawn(alone, mold, held_by(request.auth, alone))


def saved_sizes(request: MemberRequest, row_id: UUID, count: int | None) -> list[assemble.Sized]:
    """A row's sizes; `count` is how many of its own."""
    require(request.auth, Act.READ)
    saved = entry_of(request.auth, row_id)
    entry = saved.model_copy(update={"count": count}) if count else saved
    molds = molds_named(request.auth, frozenset(key for _, key in assemble.molds_of(entry)))
    return assemble.sized(entry, molds, held_by(request.auth, entry, (row_id,)))


def one_size(request: MemberRequest, row_id: UUID, key: str) -> tuple[MeasuredDessert, Readings]:
    """The size of a row that is asked for (the first if there is no such), measured."""
    sizes = saved_sizes(request, row_id, None)
    shown = next((one for one in sizes if one.key == key), sizes[0])
    (made,), readings = assemble.measured_all(request.auth, [shown])
    return made, readings


def _as_json(request: MemberRequest, sizes: list[assemble.Sized], key: str) -> HttpResponse:
    body = assemble.worked_out(request.auth, sizes, key)
    return HttpResponse(body, content_type="application/json")


@router.post("/what-if", response=WorkedOut, operation_id="what_if")
def what_if(request: MemberRequest, data: DessertIn, size: SizeKey = "") -> HttpResponse:
    """What an entry would take, its findings and the cut of one size; nothing is saved."""
    return _as_json(request, _sizes(request, data), size)


@router.get("/kinds", response=DessertKindsOut, operation_id="dessert_kinds")
def kinds(request: MemberRequest) -> Any:
    """Every kind of dessert with a small cut of it; the same for every kitchen."""
    require(request.auth, Act.READ)
    return _drawn_kinds()


@cache
def _drawn_kinds() -> dict[str, Any]:
    drawn = [
        {"kind": one.kind, "title": one.title, "text": one.text, "picture": picture(one)}
        for one in KINDS
    ]
    return {"kinds": drawn}


@router.post("/begin", response=BegunOut, operation_id="begin_dessert")
def begun(request: MemberRequest, data: BeginIn) -> Any:
    """A new dessert of a kind, every part measured for it."""
    row, made = begin(request.auth, data)
    return {"dessert": row, "lacking": made.lacking}


@router.post("/propose", response=Proposed, operation_id="propose_part")
def proposed(request: MemberRequest, data: ProposeIn) -> Any:
    """A part measured for a dessert as it is drawn; nothing is saved."""
    dessert, formula = _drawn(request, data.dessert), str(data.formula)
    if data.into is not None:
        return {"part": propose_layer(dessert, data.into, data.key, formula)}
    return {"part": propose(dessert, data.rule, data.key, formula)}


@router.post("/place", response=Placed, operation_id="place_stack")
def placed(request: MemberRequest, data: PlaceIn) -> Any:
    """A stack measured for a dessert as it is drawn; nothing is saved."""
    dessert = _drawn(request, data.dessert)
    parts, shape = parts_of_stack(find(request.auth, STACK, data.stack))
    if len(data.keys) != len(parts):
        raise Invalid.field("keys", f"Give {len(parts)} keys, one for every part of the stack.")
    return {"parts": list(place_stack(dessert, parts, shape, data.keys))}


@router.post("/refit", response=Refitted, operation_id="refit_dessert")
def refitted(request: MemberRequest, data: RefitIn) -> Any:
    """A dessert as it is drawn in another mold, its gaps kept; nothing is saved."""
    dessert = _drawn(request, data.dessert)
    mold = molds_on_shelf(request.auth, DessertIn(name="-", mold=data.mold))[data.mold]
    fitted = refit(dessert, mold_of(mold))
    return {"mold": mold.pk, "parts": list(fitted.parts), "portions": fitted.portions}


@router.get("/{uuid:row_id}/solved", response=WorkedOut, operation_id="solve_dessert")
def solved(
    request: MemberRequest, row_id: UUID, count: Count = None, size: SizeKey = ""
) -> HttpResponse:
    """What it takes as saved, for its own count or another; findings and the cut."""
    return _as_json(request, saved_sizes(request, row_id, count), size)


@router.get("/{uuid:row_id}/bites", response=list[BiteWith], operation_id="taste_dessert_with")
def bites(
    request: MemberRequest, row_id: UUID, of: UUID, formula: Annotated[list[UUID], Query()]
) -> Any:
    """How sweet a whole bite is with each of some formulas in the place of one of its own."""
    require(request.auth, Act.READ)
    if len(formula) > MOST_BITES:
        raise Invalid.field("formula", f"Taste at most {MOST_BITES} beside each other.")
    return [
        BiteWith(formula=key, sweetness=sweetness_with(request.auth, row_id, of, key))
        for key in formula
    ]


@router.get("/{uuid:row_id}/bite", response=Bite | None, operation_id="taste_dessert")
def bite(request: MemberRequest, row_id: UUID, size: SizeKey = "") -> Any:
    """How sweet, fat, sour and salt a bite through the cut is, part by part."""
    return assemble.bite_of(request.auth, saved_sizes(request, row_id, None), size)
