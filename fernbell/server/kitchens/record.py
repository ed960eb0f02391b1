"""What happened at the door and to who may do what: put down, told to the log, read by the chef."""

import logging
from datetime import timedelta
from typing import Any

from django.contrib.auth.models import User
from django.db.models import Q, QuerySet
from django.http import HttpRequest
from ua_parser import parse

from fernbell.server.kitchens.models import EventKind, Member, SecurityEvent
from fernbell.server.kitchens.place import address
from fernbell.server.rows.clock import now
from fernbell.server.rows.policy import Act, require

log = logging.getLogger(__name__)
KEPT = timedelta(days=183)


def browser(request: HttpRequest) -> str:
    """Browser and system somebody comes by, in a few words."""
    told = parse(request.headers.get("User-Agent", "")[:400])
    parts = [part.family for part in (told.user_agent, told.os) if part]
    return " on ".join(parts)[:80]


def put_down(
    request: HttpRequest,
    kind: EventKind,
    user: User | None,
    *,
    by: Member | None = None,
    more: str = "",
    name: str = "",
) -> None:
    """Put down an event; of somebody nobody knows only in the log, by the name they gave.

    `by` is who did it to another, and says the kitchen.
    """
    told = {"address": address(request), "agent": browser(request), "more": more[:120]}
    log.info(kind.value, extra={**told, "person": user.username if user else name[:120]})
    if user is not None:
        kitchen = by.kitchen_id if by else None
        doer = by.user if by and by.user_id != user.pk else None
        SecurityEvent.objects.create(kind=kind, user=user, by=doer, kitchen_id=kitchen, **told)


def purge() -> None:
    """Let go what is older than half a year."""
    SecurityEvent.objects.filter(at__lt=now() - KEPT).delete()


def events(member: Member) -> QuerySet[SecurityEvent]:
    """What the chef reads: of this kitchen, and of its members at the door."""
    require(member, Act.STAFF)
    here = Q(kitchen=member.kitchen_id)
    door = Q(kitchen=None, user__memberships__kitchen=member.kitchen_id)
    return SecurityEvent.objects.filter(here | door).select_related("user", "by").distinct()


def told(event: SecurityEvent) -> dict[str, Any]:
    """An event as it is shown."""
    return {
        "id": event.pk,
        "at": event.at,
        "what": event.kind,
        "person": event.user.get_full_name() if event.user else None,
        "by": event.by.get_full_name() if event.by else None,
        "more": event.more,
        "address": event.address,
        "agent": event.agent,
    }
