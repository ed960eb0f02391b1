"""One's own sessions: seen, and ended."""

import hashlib
from typing import Any

from django.db.models import QuerySet
from django.http import HttpRequest

from fernbell.server.kitchens.models import EventKind, Member, Visit
from fernbell.server.kitchens.record import put_down
from fernbell.server.problems import NotThere
from fernbell.server.rows.clock import now


def own_visits(request: HttpRequest, member: Member) -> list[dict[str, Any]]:
    """Where the person is signed in, the latest first; keys stay secret, so each has a name."""
    here = request.session.session_key
    return [
        {
            "id": _name(visit),
            "begun_at": visit.begun_at,
            "address": visit.address,
            "agent": visit.agent,
            "here": visit.session_key == here,
        }
        for visit in _visits(member).order_by("-begun_at")
    ]


def end_visit(request: HttpRequest, member: Member, name: str) -> None:
    """End one of one's sessions."""
    ended = [visit for visit in _visits(member) if _name(visit) == name]
    if not ended:
        raise NotThere("That session has ended already.")
    _end(request, member, ended)


def end_others(request: HttpRequest, member: Member) -> None:
    """End every session of one's own but this one."""
    here = request.session.session_key
    _end(request, member, [visit for visit in _visits(member) if visit.session_key != here])


def _end(request: HttpRequest, member: Member, ended: list[Visit]) -> None:
    if ended:
        Visit.objects.filter(pk__in=[visit.pk for visit in ended]).delete()
        put_down(request, EventKind.ENDED, member.user, more=f"{len(ended)}")


def _visits(member: Member) -> QuerySet[Visit]:
    return Visit.objects.filter(member__user=member.user, expire_date__gt=now())


def _name(visit: Visit) -> str:
    return hashlib.sha256(visit.session_key.encode()).hexdigest()[:24]
