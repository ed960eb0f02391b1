"""Routes of the pantry."""

from dataclasses import asdict

from fernbell.server.kitchens.actions import Kind, Snapshot
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.shelf import shelf
from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.schemas import IngredientIn, IngredientOut


def write(member: Member, row: Ingredient, data: IngredientIn) -> None:
    """Put an entry on a row."""
    row.name = data.name
    row.density_g_ml = data.density_g_ml
    row.cup_density_g_ml = data.cup_density_g_ml
    row.weigh_step_g = data.weigh_step_g
    row.pieces = [asdict(piece) for piece in data.pieces]
    row.note = data.note
    row.save()


def snapshot(row: Ingredient) -> Snapshot:
    """The row as an entry."""
    fields = ("name", "density_g_ml", "cup_density_g_ml", "weigh_step_g", "pieces", "note")
    return {field: getattr(row, field) for field in fields}


INGREDIENT = Kind("ingredient", Ingredient, IngredientIn, write, snapshot)

router = shelf(INGREDIENT, IngredientOut, IngredientOut)
