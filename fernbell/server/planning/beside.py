"""What the other orders of a kitchen have planned, and so is not free for this one."""

from collections.abc import Iterable, Iterator
from datetime import datetime
from typing import Any
from uuid import UUID

from fernbell.core.planning.timeline import LONGEST_MIN, Claim, Clock, Work
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.models import Order, Timeline
from fernbell.server.rows.policy import rows

_KEPT = ("order__name", "result__origin", "result__board__bars", "result__board__stays")


def claims_of_others(member: Member, order: UUID, clock: Clock, work: Work) -> tuple[Claim, ...]:
    """People and places that the last plan of each other order has while this one is made.

    Minutes are those of `clock`; orders that are put away or no longer served take nothing.
    """
    near = [
        row.pk
        for row in rows(member, Order).filter(archived_at=None).exclude(pk=order)
        if any(_near(one["at"], clock, work) for one in row.timing.get("services", ()))
    ]
    planned = Timeline.objects.filter(order__in=near).exclude(result=None)
    planned = planned.exclude(result__board=None)
    last = planned.order_by("order__name", "order_id", "-made_at").distinct("order__name", "order")
    known = {*work.place, *(one.key for one in work.people)}
    return tuple(
        one
        for name, origin, bars, stays in last.values_list(*_KEPT)
        for one in _claims(name, origin, (*bars, *stays), clock)
        if one.of in known and work.opens_min < one.until_min and one.since_min < work.closes_min
    )


def _near(service: str, clock: Clock, work: Work) -> bool:
    """Whether what is made for a service may be made in the days of this work."""
    at = clock.minute(datetime.fromisoformat(service))
    return work.opens_min < at < work.closes_min + LONGEST_MIN


def _claims(
    name: str, origin: str, lying: Iterable[dict[str, Any]], clock: Clock
) -> Iterator[Claim]:
    shift = clock.minute(datetime.fromisoformat(origin))
    for one in lying:
        yield Claim(
            of=one["lane"],
            since_min=one["since_min"] + shift,
            until_min=one["until_min"] + shift,
            order=name,
            title=one["title"],
            amount=one["amount"],
            at_c=one.get("heat_c"),
        )
