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
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Shelf, Snapshot
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.shelf import routes_of
from fernbell.server.pantry import usual
from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.schemas import (
    IngredientBrief,
    IngredientIn,
    IngredientOut,
    ManyIn,
    OtherName,
    PastedIngredient,
    PastedNames,
)

PLAIN = (
    *("name", "other_names", "density_g_ml", "cup_density_g_ml", "weigh_step_g", "pieces"),
    "make_up",
    *("make_up_source", "make_up_status", "states", "egg", "allergens", "chocolate", "packs"),
    *("keeping", "note"),
)


def write(member: Member, row: Ingredient, data: IngredientIn) -> None:
    """Put an entry on a row."""
    entered = data.model_dump(mode="json", include=set(PLAIN))
    for field in PLAIN:
        setattr(row, field, entered[field])
    row.make_up = entered["make_up"] if data.make_up and data.make_up.known else None
    row.make_up_status = entered["make_up_status"] or ""
    row.egg = entered["egg"] or ""
    row.save()


def snapshot(row: Ingredient) -> Snapshot:
    """The row as an entry."""
    own = {field: getattr(row, field) for field in PLAIN}
    return own | {"make_up_status": row.make_up_status or None, "egg": row.egg or None}


INGREDIENT = Shelf("ingredient", Ingredient, IngredientIn, write, snapshot)

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
