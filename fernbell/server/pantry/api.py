"""Routes of the pantry."""

from dataclasses import asdict
from typing import Any
from uuid import UUID

from ninja import Status

from fernbell.core.pantry import (
    read_densities,
)
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.pantry import usual
from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.rows import INGREDIENT, lacking, what_lacks
from fernbell.server.pantry.schemas import (
    IngredientBrief,
    IngredientOut,
    LackingOut,
    ManyIn,
    OtherName,
    PastedIngredient,
    PastedNames,
)
from fernbell.server.rows import actions
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.schemas import PAGE, Limit, Offset, Page
from fernbell.server.rows.search import lookup

router = routes_of(INGREDIENT, IngredientBrief, IngredientOut)


@router.get("/lacking", response=Page[LackingOut], operation_id="list_lacking")
def list_lacking(request: MemberRequest, limit: Limit = PAGE, offset: Offset = 0) -> Any:
    """Ingredients whose density, make-up or allergens nobody has entered yet."""
    require(request.auth, Act.READ)
    found = lacking(rows(request.auth, Ingredient))
    return {"items": what_lacks(found[offset : offset + limit]), "total": found.count()}


@router.post("/read-list", response=list[PastedIngredient], operation_id="read_pantry_list")
def read_pasted(request: MemberRequest, data: PastedNames) -> Any:
    """What a pasted list of ingredients says, line by line; nothing is changed."""
    require(request.auth, Act.READ)
    lines = read_densities(data.text)
    names = lookup(request.auth, INGREDIENT).together(line.name for line in lines)
    return [{**asdict(line), "there": bool(names.find(line.name).certain)} for line in lines]


@router.post("/many", response={201: list[IngredientOut]}, operation_id="create_ingredients")
def create_many(request: MemberRequest, data: ManyIn) -> Status[Any]:
    """Several new ingredients at once, all or none."""
    return Status(201, actions.create_many(request.auth, INGREDIENT, data.rows))


@router.post("/{uuid:row_id}/names", response=IngredientOut, operation_id="remember_name")
def remember_name(request: MemberRequest, row_id: UUID, data: OtherName) -> Any:
    """Another name for it, from now on."""
    return usual.remember(request.auth, INGREDIENT, row_id, data.name)
