"""How an ingredient is written and remembered."""

from fernbell.server.pantry.models import Ingredient
from fernbell.server.pantry.schemas import IngredientIn
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.shelf import Shelf, Snapshot

PLAIN = (
    *("name", "other_names", "density_g_ml", "cup_density_g_ml", "weigh_step_g", "pieces"),
    "make_up",
    *("make_up_source", "make_up_status", "states", "egg", "allergens", "chocolate", "packs"),
    *("keeping", "note"),
)


def write(member: Keeper, row: Ingredient, data: IngredientIn) -> None:
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
