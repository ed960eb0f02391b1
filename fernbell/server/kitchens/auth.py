"""Who is asking: a member of a kitchen by session, or any visitor. Both pass the CSRF check."""

from typing import cast

from django.conf import settings
from django.contrib.auth import HASH_SESSION_KEY, login
from django.contrib.auth.models import User
from django.http import HttpRequest
from django.utils.crypto import constant_time_compare
from ninja.security import APIKeyCookie

from fernbell.server.kitchens.models import EventKind, Member, Visit
from fernbell.server.kitchens.place import address
from fernbell.server.kitchens.record import browser, purge, put_down
from fernbell.server.kitchens.sessions import SessionStore


class MemberRequest(HttpRequest):
    """A request of somebody who is signed in."""

    auth: Member


class MemberAuth(APIKeyCookie):
    """A signed-in member; the handler gets the `Member` as `request.auth`."""

    param_name = settings.SESSION_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> Member | None:
        """The member, or None."""
        return current_member(request)


class VisitorAuth(APIKeyCookie):
    """Anybody: for signing in and asking who one is."""

    param_name = settings.SESSION_COOKIE_NAME

    def authenticate(self, request: HttpRequest, key: str | None) -> bool:
        """Always; the CSRF check has been made before."""
        return True


def current_member(request: HttpRequest) -> Member | None:
    """The member this session is signed in as, in the kitchen it has chosen. One query.

    A session from before the password was changed is nobody's.
    """
    visit = _visit(request)
    signed, member = visit.get(HASH_SESSION_KEY, ""), visit.member
    if member is None or not constant_time_compare(signed, member.user.get_session_auth_hash()):
        return None
    return member


def sign_in(request: HttpRequest, user: User) -> Member | None:
    """Start a session in the user's first kitchen; None if there is none."""
    member = (
        Member.objects.filter(user=user).select_related("kitchen", "user").order_by("pk").first()
    )
    if member:
        request.session.clear_expired()
        purge()
        login(request, user, backend="django.contrib.auth.backends.ModelBackend")
        _visit(request).belong_to(member)
        _visit(request).begin(address(request), browser(request))
        put_down(request, EventKind.SIGNED_IN, user)
    return member


def stay(request: HttpRequest, user: User) -> None:
    """Go on with the session after one's password was changed; every other one has ended."""
    visit = _visit(request)
    others = Visit.objects.filter(member__user=user)
    others.exclude(session_key=visit.session_key).delete()
    visit.cycle_key()
    visit[HASH_SESSION_KEY] = user.get_session_auth_hash()
    if visit.member:
        visit.member.user = user


def enter_kitchen(request: HttpRequest, member: Member) -> None:
    """Go on in another of one's kitchens."""
    _visit(request).belong_to(member)


def _visit(request: HttpRequest) -> SessionStore:
    return cast(SessionStore, request.session)
