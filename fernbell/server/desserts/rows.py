"""How desserts and stacks are written and remembered."""

from dataclasses import asdict
from typing import Any
from uuid import UUID

from django.db.models import QuerySet

from fernbell.core.desserts import Dessert as CoreDessert
from fernbell.server.desserts import assemble
from fernbell.server.desserts.models import Dessert, Stack
from fernbell.server.desserts.schemas import DEEPEST, PARTS, DessertIn, StackIn
from fernbell.server.formulas.models import Formula
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import SHAPE
from fernbell.server.problems import Invalid
from fernbell.server.rows.kept import kept
from fernbell.server.rows.policy import Keeper, rows
from fernbell.server.rows.shelf import Brief, Shelf, Snapshot, briefs, find_in


def write(member: Keeper, row: Dessert, data: DessertIn) -> None:
    """Put an entry on a row; refuse molds and formulas that are not on the shelves."""
    molds = molds_on_shelf(member, data)
    others = held_by(member, data, (row.pk,))
    used = known_formulas(member, "parts", data.parts)
    for place, size in enumerate(data.sizes):
        used |= known_formulas(member, f"sizes.{place}.parts", size.parts or [])
    first, *_ = assemble.sized(data, molds, others)
    row.name, row.mold, row.count = data.name, molds[data.mold], data.count
    row.built = first.dessert.built
    row.parts = assemble.parts_as_json(data.parts)
    row.portions = assemble.portions_as_json(first.dessert.portions)
    row.sizes = [size.model_dump(mode="json") for size in data.sizes]
    row.holds = [held.model_dump(mode="json") for held in data.holds]
    row.save()
    row.formulas.set(_keys(used))
    row.also_in.set(_keys({size.mold for size in data.sizes}))
    row.held.set(_keys(set(others)))


def _keys(keys: set[UUID]) -> Any:
    """Keys as a relation takes them, whose stubs know of numbers only."""
    return keys


def molds_on_shelf(member: Keeper, entry: DessertIn) -> assemble.Molds:
    """The molds an entry names, by key; refuse those that are not on the kitchen's shelf."""
    named = list(assemble.molds_of(entry))
    found = molds_named(member, frozenset(key for _, key in named))
    message = "This mold is not on your shelf."
    errors = [
        {"field": field, "message": message}
        for field, key in named
        if key not in found or found[key].archived_at
    ]
    if errors:
        raise Invalid(message, errors)
    return found


@kept(128)
def molds_named(kitchen: UUID, keys: frozenset[UUID]) -> assemble.Molds:
    """Molds of a kitchen by their keys, archived ones too."""
    return Mold.objects.filter(kitchen_id=kitchen).in_bulk(keys)


def snapshot(row: Dessert) -> Snapshot:
    """The row as an entry."""
    fields = ("name", "built", "parts", "portions", "count", "sizes", "holds")
    own = {field: getattr(row, field) for field in fields}
    return own | {"mold": str(row.mold_id)}


def listed(found: QuerySet[Any]) -> list[Brief]:
    """With how many are made."""
    return briefs(found, "count")


DESSERT = Shelf("dessert", Dessert, DessertIn, write, snapshot, related=("mold",), listed=listed)


@kept(64)
def entry_of(kitchen: UUID, row_id: UUID) -> DessertIn:
    """A dessert of a kitchen as it is saved."""
    return DessertIn.model_validate(snapshot(find_in(kitchen, DESSERT, row_id)))


def held_by(member: Keeper, entry: DessertIn, above: tuple[UUID, ...] = ()) -> assemble.Others:
    """The desserts an entry holds, as core values; refuse those not on the shelf, and a circle.

    `above` are the desserts it is held by itself, its own key the first.
    """
    others: dict[UUID, CoreDessert] = {}
    for place, held in enumerate(entry.holds):
        field = f"holds.{place}.dessert"
        if held.dessert in above:
            raise Invalid.field(field, "A dessert cannot hold itself.")
        if len(above) >= DEEPEST:
            raise Invalid.field(field, f"At most {DEEPEST} desserts in each other.")
        row = rows(member, Dessert).filter(pk=held.dessert, archived_at=None).first()
        if row is None:
            raise Invalid.field(field, "This dessert is not on your shelf.")
        own = entry_of(member, held.dessert)
        mold = molds_named(member, frozenset((own.mold,)))[own.mold]
        within = held_by(member, own, (*above, held.dessert))
        others[held.dessert] = assemble.drawn(own, mold, within)
    return others


def known_formulas(member: Keeper, field: str, parts: list[Any]) -> set[UUID]:
    """Keys of the formulas parts name; refuse those that are not on the kitchen's shelf."""
    named = list(assemble.formulas_of(parts))
    wanted = {UUID(key) for _, key in named if assemble.is_uuid(key)}
    if not named:
        return set()
    on_shelf = set(
        rows(member, Formula).filter(pk__in=wanted, archived_at=None).values_list("pk", flat=True)
    )
    message = "This formula is not on your shelf."
    errors = [
        {"field": f"{field}.{place}.formula", "message": message}
        for place, key in named
        if not (assemble.is_uuid(key) and UUID(key) in on_shelf)
    ]
    if errors:
        raise Invalid(message, errors)
    return on_shelf


def write_stack(member: Keeper, row: Stack, data: StackIn) -> None:
    """Put an entry on a row; refuse formulas that are not on the shelf."""
    used = known_formulas(member, "parts", data.parts)
    row.name, row.shape = data.name, asdict(data.shape)
    row.parts = assemble.parts_as_json(data.parts)
    row.save()
    row.formulas.set(_keys(used))


def snapshot_stack(row: Stack) -> Snapshot:
    """The row as an entry."""
    return {"name": row.name, "shape": row.shape, "parts": row.parts}


def listed_stacks(found: QuerySet[Any]) -> list[Brief]:
    """With their parts, and where they stood."""
    return briefs(found, "shape", "parts")


STACK = Shelf("stack", Stack, StackIn, write_stack, snapshot_stack, listed=listed_stacks)


def parts_of_stack(row: Stack) -> tuple[list[Any], Any]:
    """A stack's parts and the mold they stood in, as core values."""
    return PARTS.validate_python(row.parts), SHAPE.validate_python(row.shape)
