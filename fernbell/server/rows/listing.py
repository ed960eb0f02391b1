"""A page of a shelf: by name, by when it was touched, of some keys, or what is called so."""

from typing import Annotated, Any, Literal
from uuid import UUID

from ninja import Schema
from pydantic import Field, StringConstraints

from fernbell.server.rows.policy import Keeper, rows
from fernbell.server.rows.schemas import MOST_OFFSET, MOST_ROWS, PAGE
from fernbell.server.rows.search import lookup
from fernbell.server.rows.shelf import Brief, Shelf

Typed = Annotated[str, StringConstraints(strip_whitespace=True, max_length=120)]
ORDERS = {"name": ("name", "id"), "latest": ("-changed_at", "id")}


class Listing(Schema):
    """Which rows of a shelf are asked for.

    With `q` those whose names fit what is typed so far, the best first; with `ids` those.
    """

    q: Typed = ""
    ids: list[UUID] = Field(default=[], max_length=MOST_ROWS)
    archived: bool = False
    order: Literal["name", "latest"] = "name"
    limit: Annotated[int, Field(ge=1, le=MOST_ROWS)] = PAGE
    offset: Annotated[int, Field(ge=0, le=MOST_OFFSET)] = 0


def page(member: Keeper, shelf: Shelf[Any], asked: Listing) -> tuple[list[Brief], int]:
    """Rows of one page, and how many there are in all."""
    every = rows(member, shelf.model)
    if asked.ids:
        items = shelf.listed(every.filter(pk__in=asked.ids).order_by("name", "id"))
        return items, len(items)
    if asked.q:
        return _called(member, shelf, asked)
    every = every.filter(archived_at__isnull=not asked.archived).order_by(*ORDERS[asked.order])
    items = shelf.listed(every[asked.offset : asked.offset + asked.limit])
    short = len(items) < asked.limit and (items or not asked.offset)
    return items, asked.offset + len(items) if short else every.count()


def _called(member: Keeper, shelf: Shelf[Any], asked: Listing) -> tuple[list[Brief], int]:
    every = rows(member, shelf.model)
    keys = shelf.fitting(every.filter(archived_at__isnull=not asked.archived), asked.q)
    if keys is None:
        # More than that nobody looks through, and as many for every page keep their order.
        found = lookup(member, shelf, archived=asked.archived)
        named = found.find(asked.q, begun=True, most=MOST_ROWS)
        keys = [UUID(one.key) for one in (*named.certain, *named.likely)]
    shown = keys[asked.offset : asked.offset + asked.limit]
    by_key = {row["id"]: row for row in shelf.listed(every.filter(pk__in=shown))}
    return [by_key[key] for key in shown if key in by_key], len(keys)
