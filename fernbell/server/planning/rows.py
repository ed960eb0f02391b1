"""How vessels and orders are written and remembered."""

from typing import Any
from uuid import UUID

from django.db.models import QuerySet

from fernbell.server.desserts.models import Dessert
from fernbell.server.molds.models import Mold
from fernbell.server.planning.models import Hand, Order, Vessel
from fernbell.server.planning.schemas import OrderIn, VesselIn
from fernbell.server.planning.timing_schemas import HandIn, TimingIn
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import Keeper, rows
from fernbell.server.rows.shelf import Brief, Shelf, Snapshot, briefs

_VESSEL = ("name", "kind", "least", "most", "number")


def write_vessel(member: Keeper, row: Vessel, data: VesselIn) -> None:
    """Put an entry on a row."""
    del member
    for field in _VESSEL:
        setattr(row, field, getattr(data, field))
    row.save()


def snapshot_vessel(row: Vessel) -> Snapshot:
    """The row as an entry."""
    return {field: getattr(row, field) for field in _VESSEL}


def listed_vessels(found: QuerySet[Any]) -> list[Brief]:
    """Whole: there are few."""
    return briefs(found, *_VESSEL[1:])


_HAND = ("name", "skill", "comes", "leaves", "weekdays")


def write_hand(member: Keeper, row: Hand, data: HandIn) -> None:
    """Put an entry on a row."""
    del member
    for field in _HAND:
        setattr(row, field, getattr(data, field))
    row.save()


def snapshot_hand(row: Hand) -> Snapshot:
    """The row as an entry."""
    return {field: getattr(row, field) for field in _HAND}


def listed_hands(found: QuerySet[Any]) -> list[Brief]:
    """Whole: there are few."""
    return briefs(found, *_HAND[1:])


HAND = Shelf("hand", Hand, HandIn, write_hand, snapshot_hand, listed=listed_hands)
VESSEL = Shelf("vessel", Vessel, VesselIn, write_vessel, snapshot_vessel, listed=listed_vessels)


def write_order(member: Keeper, row: Order, data: OrderIn) -> None:
    """Put an entry on a row; refuse desserts and molds that are not on the shelves."""
    desserts, molds = on_shelf(member, data)
    row.name = data.name
    row.lines = [line.model_dump(mode="json") for line in data.lines]
    row.timing = data.timing.model_dump(mode="json")
    row.save()
    row.desserts.set(desserts)
    row.molds.set(molds)


def on_shelf(member: Keeper, data: OrderIn) -> tuple[list[Any], list[Any]]:
    """Keys of the desserts and molds an order names; refuse those not on the kitchen's shelf."""
    found = []
    for field, model in (("dessert", Dessert), ("mold", Mold)):
        wanted = {getattr(line, field) for line in data.lines} - {None}
        own = rows(member, model).filter(pk__in=wanted, archived_at=None)
        known: set[UUID] = set(own.values_list("pk", flat=True))
        message = f"This {field} is not on your shelf."
        errors = [
            {"field": f"lines.{place}.{field}", "message": message}
            for place, line in enumerate(data.lines)
            if getattr(line, field) in wanted - known
        ]
        if errors:
            raise Invalid(message, errors)
        found.append(list(known))
    _works_here(member, data.timing)
    return found[0], found[1]


def _works_here(member: Keeper, timing: TimingIn) -> None:
    """Refuse hands of another kitchen; who works here no more may still be named."""
    named = {f"timing.off.{at}": one for at, one in enumerate(timing.off)}
    named |= {f"timing.held.{key}.by": one.by for key, one in timing.held.items() if one.by}
    named |= {f"timing.marks.{key}.by": one.by for key, one in timing.marks.items() if one.by}
    if not named:
        return
    known = set(rows(member, Hand).filter(pk__in=named.values()).values_list("pk", flat=True))
    message = "Nobody of this kitchen."
    errors = [{"field": at, "message": message} for at, key in named.items() if key not in known]
    if errors:
        raise Invalid(message, errors)


def snapshot_order(row: Order) -> Snapshot:
    """The row as an entry."""
    return {"name": row.name, "lines": row.lines, "timing": row.timing}


ORDER = Shelf("order", Order, OrderIn, write_order, snapshot_order)
