"""What the other orders of a kitchen have planned, and so is not free for this one."""

from collections.abc import Iterable, Iterator
from datetime import datetime
from typing import Any
from uuid import UUID

from fernbell.core.planning.timeline import Clock, Taken, Work
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.models import Timeline

_KEPT = ("order__name", "result__origin", "result__board__bars", "result__board__stays")


def taken_by_others(member: Member, order: UUID, clock: Clock, work: Work) -> tuple[Taken, ...]:
    """People and places that the last plan of each other order has while this one is made.

    Minutes are those of `clock`; orders that are put away or no longer served take nothing.
    """
    own = Timeline.objects.filter(kitchen_id=member.kitchen_id, order__archived_at=None)
    own = own.exclude(order=order).exclude(order__timing__services=[])
    planned = own.exclude(result=None).exclude(result__board=None)
    last = planned.order_by("order__name", "order_id", "-made_at").distinct("order__name", "order")
    known = {*work.place, *(one.key for one in work.people)}
    return tuple(
        one
        for name, origin, bars, stays in last.values_list(*_KEPT)
        for one in _taken(name, origin, (*bars, *stays), clock)
        if one.of in known and work.opens_min < one.until_min and one.since_min < work.closes_min
    )


def _taken(
    name: str, origin: str, lying: Iterable[dict[str, Any]], clock: Clock
) -> Iterator[Taken]:
    shift = clock.minute(datetime.fromisoformat(origin))
    for one in lying:
        yield Taken(
            of=one["lane"],
            since_min=one["since_min"] + shift,
            until_min=one["until_min"] + shift,
            order=name,
            title=one["title"],
            amount=one["amount"],
            at_c=one.get("heat_c"),
        )
