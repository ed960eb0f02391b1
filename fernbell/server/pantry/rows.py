"""How an ingredient is written and remembered."""

from itertools import compress
from typing import Any
from uuid import UUID

from django.db.models import (
    BooleanField,
    Count,
    ExpressionWrapper,
    F,
    Func,
    OuterRef,
    Q,
    QuerySet,
    Subquery,
)

from fernbell.core.pantry.naming import Named
from fernbell.server.pantry.assemble import MEASURED, as_measured, counted_in, price_today
from fernbell.server.pantry.models import Ingredient, Usual
from fernbell.server.pantry.schemas import IngredientIn
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.shelf import Brief, Shelf, Snapshot, briefs

PLAIN = (
    *("name", "other_names", "density_g_ml", "cup_density_g_ml", "weigh_step_g", "pieces"),
    "make_up",
    *("make_up_source", "make_up_status", "states", "egg", "allergens", "chocolate", "packs"),
    *("keeping", "note"),
)
MOST_HELD = 150


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


def listed(found: QuerySet[Any]) -> list[Brief]:
    """With what is known of each, how it is counted and what it costs today."""
    fields = ("density_g_ml", "weigh_step_g", "allergens", "pieces", "packs")
    known = ExpressionWrapper(Q(make_up__isnull=False), BooleanField())
    return [_brief(**row) for row in briefs(found, *fields, made_up=known)]


def _brief(pieces: list[dict[str, Any]], packs: list[dict[str, Any]], **row: Any) -> Brief:
    return {**row, "counted": counted_in(pieces), "price_per_kg": price_today(packs)}


UNKNOWN = {"density_g_ml": "density", "make_up": "make-up", "allergens": "allergens"}
"""Fields that are null while nobody knows, and what they are called."""


def lacking(found: QuerySet[Any]) -> QuerySet[Any]:
    """Of those on the shelf the ones of which something is not known."""
    known = {f"{field}__isnull": False for field in UNKNOWN}
    return found.filter(archived_at=None).exclude(**known).order_by("name", "id")


def what_lacks(some: QuerySet[Any]) -> list[dict[str, Any]]:
    """Their names, and what is not known of each."""
    asks = (ExpressionWrapper(Q(**{f"{field}__isnull": True}), BooleanField()) for field in UNKNOWN)
    return [
        {"id": key, "name": name, "lacks": list(compress(UNKNOWN.values(), lacks))}
        for key, name, *lacks in some.values_list("id", "name", *asks)
    ]


def named(found: QuerySet[Any]) -> list[Named]:
    """With what else it is called, what it is measured by, and in how many lines it stands."""
    uses = Subquery(
        Ingredient.lines.rel.related_model._default_manager.filter(ingredient=OuterRef("pk"))
        .order_by()
        .values("ingredient")
        .annotate(n=Count("pk"))
        .values("n")
    )
    return [_named(**row) for row in found.values("other_names", *MEASURED, uses=uses)]


def _named(other_names: list[str], uses: int | None, **fields: Any) -> Named:
    return Named(as_measured(**fields), tuple(other_names), uses=uses or 0)


def usual(kitchen: UUID) -> dict[str, UUID]:
    """What bare words mean in a kitchen."""
    return dict(Usual.objects.filter(kitchen_id=kitchen).values_list("word", "ingredient_id"))


def held(found: QuerySet[Any], container: str) -> QuerySet[Any]:
    """Those of which a piece or a pack is called so."""
    counted = Func(F("pieces"), F("packs"), template="(%(expressions)s)::text", arg_joiner=" || ")
    some: QuerySet[Any] = found.annotate(counted=counted).filter(counted__icontains=container)
    return some[:MOST_HELD]


INGREDIENT = Shelf(
    *("ingredient", Ingredient, IngredientIn, write, snapshot),
    listed=listed,
    named=named,
    usual=usual,
    held=held,
)
