"""Routes of the pantry."""

from dataclasses import asdict
from typing import Any
from uuid import UUID

from django.http import HttpRequest
from ninja import Status

from fernbell.core.pantry import Ingredient as CoreIngredient
from fernbell.core.pantry import (
    read_densities,
)
from fernbell.core.pantry.naming import Named, Names
from fernbell.server.pantry import usual
from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.rows import INGREDIENT
from fernbell.server.pantry.schemas import (
    IngredientBrief,
    IngredientOut,
    ManyIn,
    OtherName,
    PastedIngredient,
    PastedNames,
)
from fernbell.server.rows import actions
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.routes import routes_of

router = routes_of(INGREDIENT, IngredientBrief, IngredientOut)


@router.post("/read-list", response=list[PastedIngredient], operation_id="read_pantry_list")
def read_pasted(request: HttpRequest, data: PastedNames) -> Any:
    """What a pasted list of ingredients says, line by line; nothing is changed."""
    require(request.auth, Act.READ)
    own = rows(request.auth, Ingredient).filter(archived_at=None)
    there = Names(
        tuple(Named(CoreIngredient("", name)) for name in own.values_list("name", flat=True))
    )
    return [
        {**asdict(line), "there": bool(there.find(line.name).certain)}
        for line in read_densities(data.text)
    ]


@router.post("/many", response={201: list[IngredientOut]}, operation_id="create_ingredients")
def create_many(request: HttpRequest, data: ManyIn) -> Status:
    """Several new ingredients at once, all or none."""
    return Status(201, actions.create_many(request.auth, INGREDIENT, data.rows))


@router.post("/{uuid:row_id}/names", response=IngredientOut, operation_id="remember_name")
def remember_name(request: HttpRequest, row_id: UUID, data: OtherName) -> Any:
    """Another name for it, from now on."""
    return usual.remember(request.auth, INGREDIENT, row_id, data.name)
