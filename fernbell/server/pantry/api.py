"""Routes of the pantry."""

from dataclasses import asdict
from typing import Any

from django.http import HttpRequest
from ninja import Status

from fernbell.core.measures import folded
from fernbell.core.pantry import read_densities
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Kind, Snapshot
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.shelf import shelf
from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.schemas import (
    IngredientIn,
    IngredientOut,
    ManyIn,
    PastedIngredient,
    PastedNames,
)


def write(member: Member, row: Ingredient, data: IngredientIn) -> None:
    """Put an entry on a row."""
    row.name = data.name
    row.density_g_ml = data.density_g_ml
    row.cup_density_g_ml = data.cup_density_g_ml
    row.weigh_step_g = data.weigh_step_g
    row.pieces = [asdict(piece) for piece in data.pieces]
    row.make_up = asdict(data.make_up) if data.make_up and data.make_up.known else None
    row.note = data.note
    row.save()


def snapshot(row: Ingredient) -> Snapshot:
    """The row as an entry."""
    fields = ("name", "density_g_ml", "cup_density_g_ml", "weigh_step_g", "pieces")
    return {field: getattr(row, field) for field in (*fields, "make_up", "note")}


INGREDIENT = Kind("ingredient", Ingredient, IngredientIn, write, snapshot)

router = shelf(INGREDIENT, IngredientOut, IngredientOut)


@router.post("/read-list", response=list[PastedIngredient], operation_id="read_pantry_list")
def read_pasted(request: HttpRequest, data: PastedNames) -> Any:
    """What a pasted list of ingredients says, line by line; nothing is changed."""
    require(request.auth, Act.READ)
    own = rows(request.auth, Ingredient).filter(archived_at=None)
    there = {folded(name) for name in own.values_list("name", flat=True)}
    return [
        {**asdict(line), "there": folded(line.name) in there} for line in read_densities(data.text)
    ]


@router.post("/many", response={201: list[IngredientOut]}, operation_id="create_ingredients")
def create_many(request: HttpRequest, data: ManyIn) -> Status:
    """Several new ingredients at once, all or none."""
    return Status(201, actions.create_many(request.auth, INGREDIENT, data.rows))
