"""From ingredient rows to core."""

from typing import Any
from uuid import UUID

from pydantic import TypeAdapter

from fernbell.core.pantry import (
    Chocolate,
    EggPart,
    Ingredient,
    MakeUp,
    Pack,
    Piece,
    State,
    price_per_kg,
)
from fernbell.server.rows.clock import today

_PACKS = TypeAdapter(tuple[Pack, ...])
_CHOCOLATE = TypeAdapter(Chocolate | None)


def price_today(packs: list[dict[str, Any]] | None) -> float | None:
    """What a kilogram costs today, by the packs as they are kept."""
    return price_per_kg(_PACKS.validate_python(packs), today()) if packs else None


def counted_in(pieces: list[dict[str, Any]]) -> str:
    """The unit it is usually counted in, and what one weighs; '' where it is never counted."""
    return "{name}, {mass_g:g} g".format(**pieces[0]) if pieces else ""


def ingredient_of(
    key: str,
    name: str,
    density_g_ml: float | None,
    cup_density_g_ml: float | None,
    weigh_step_g: float,
    *,
    pieces: list[dict[str, Any]],
    egg: str,
    make_up: MakeUp | None = None,
    states: list[dict[str, Any]] | None = None,
    allergens: list[str] | None = None,
    chocolate: dict[str, Any] | None = None,
    packs: list[dict[str, Any]] | None = None,
    bought: list[dict[str, Any]] | None = None,
) -> Ingredient:
    """What the pantry keeps of an ingredient, as a core value; today's price.

    `bought` are its packs where nobody asks what they cost.
    """
    return Ingredient(
        *(key, name, density_g_ml, cup_density_g_ml, weigh_step_g),
        pieces=tuple(Piece(**piece) for piece in pieces),
        make_up=make_up,
        price_per_kg=price_today(packs),
        allergens=None if allergens is None else tuple(allergens),
        chocolate=_CHOCOLATE.validate_python(chocolate),
        states=tuple(State(**state) for state in states or []),
        egg=EggPart(egg) if egg else None,
        bought=tuple(Piece(one["name"], one["mass_g"]) for one in bought or packs or []),
    )


def as_core(row: Any) -> Ingredient:
    """A row with all the pantry knows of it."""
    return ingredient_of(
        *(str(row.pk), row.name, row.density_g_ml, row.cup_density_g_ml, row.weigh_step_g),
        make_up=MakeUp(**row.make_up) if row.make_up else None,
        pieces=row.pieces,
        egg=row.egg,
        states=row.states,
        allergens=row.allergens,
        chocolate=row.chocolate,
        packs=row.packs,
    )


MEASURED = (
    *("id", "name", "density_g_ml", "cup_density_g_ml", "weigh_step_g"),
    *("pieces", "states", "packs", "make_up"),
)
"""Fields by which an ingredient is weighed, and told to be gelatin in leaves."""


def as_measured(
    id: UUID,  # noqa: A002
    *,
    packs: list[dict[str, Any]],
    make_up: dict[str, Any] | None,
    **fields: Any,
) -> Ingredient:
    """An ingredient by the fields it is MEASURED by; nobody asks what it costs."""
    known = MakeUp(**make_up) if make_up else None
    return ingredient_of(str(id), **fields, make_up=known, bought=packs, egg="")
