"""Answers are as fresh as the version of the kitchen: what did not change is not sent again."""

from collections.abc import Callable
from http import HTTPStatus

from django.conf import settings
from django.http import HttpRequest, HttpResponse, HttpResponseNotModified

from fernbell.server.kitchens.auth import current_member
from fernbell.server.kitchens.models import Member
from fernbell.server.rows.clock import in_zone, today

VERSION_HEADER, RAISED_HEADER = "Kitchen-Version", "Kitchen-Raised"
UNVERSIONED = ("/api/session", "/api/members/me/", "/api/members/events", "/api/timelines")
"""What changes without the kitchen's version: who is signed in, where, what the door saw,
and how far a plan is."""
Answer = Callable[[HttpRequest], HttpResponse]


class Freshness:
    """Tags what a member reads by kitchen, version, person and day; answers 304 to a known tag.

    Every answer to a member says the version of the kitchen it was given at, and how often it has
    raised it itself: whoever knows the one before can tell whether others have changed something.
    """

    def __init__(self, get_response: Answer) -> None:
        self.get_response = get_response

    def __call__(self, request: HttpRequest) -> HttpResponse:
        """The answer, or that it is still the one the asker has."""
        member = current_member(request) if request.path.startswith("/api/") else None
        if member is None:
            return self.get_response(request)
        with in_zone(member.kitchen.time_zone):
            return self._answer(request, member)

    def _answer(self, request: HttpRequest, member: Member) -> HttpResponse:
        tag = _tag(member)
        kept = request.method == "GET" and not request.path.startswith(UNVERSIONED)
        if kept and request.headers.get("If-None-Match") == tag:
            answer: HttpResponse = HttpResponseNotModified()
        else:
            answer = self.get_response(request)
        if kept and answer.status_code in (200, 304):
            answer["ETag"] = tag
            answer["Cache-Control"] = "private, no-cache"
        # What was refused was undone, and its version with it.
        if answer.status_code < HTTPStatus.BAD_REQUEST:
            answer[VERSION_HEADER] = str(member.kitchen.version)
            answer[RAISED_HEADER] = str(member.kitchen.raised)
        return answer


def _tag(member: Member) -> str:
    """Weak, as an answer may be compressed on its way."""
    day = today().isoformat()
    return f'W/"{settings.BUILD}-{member.pk}-{member.kitchen.version}-{day}"'
