"""Stacks: parts kept from one dessert to be used in another, and their routes."""

from dataclasses import asdict
from typing import Any
from uuid import UUID

from fernbell.server.desserts import assemble
from fernbell.server.desserts.models import Stack
from fernbell.server.desserts.schemas import PARTS, StackIn, StackOut
from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.actions import Shelf, Snapshot
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import rows
from fernbell.server.kitchens.shelf import routes_of
from fernbell.server.molds.schemas import SHAPE
from fernbell.server.problems import Invalid


def known_formulas(member: Member, field: str, parts: list[Any]) -> set[UUID]:
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


def write(member: Member, row: Stack, data: StackIn) -> None:
    """Put an entry on a row; refuse formulas that are not on the shelf."""
    used = known_formulas(member, "parts", data.parts)
    row.name, row.shape = data.name, asdict(data.shape)
    row.parts = assemble.parts_as_json(data.parts)
    row.save()
    row.formulas.set(used)


def snapshot(row: Stack) -> Snapshot:
    """The row as an entry."""
    return {"name": row.name, "shape": row.shape, "parts": row.parts}


def kept(row: Stack) -> tuple[list[Any], Any]:
    """A stack's parts and the mold they stood in, as core values."""
    return PARTS.validate_python(row.parts), SHAPE.validate_python(row.shape)


STACK = Shelf("stack", Stack, StackIn, write, snapshot)

router = routes_of(STACK, StackOut, StackOut)
