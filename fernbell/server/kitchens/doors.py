"""The door: how often one may try to sign in, and that hashing a password stops nobody's work."""

import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager

from axes.handlers.proxy import AxesProxyHandler
from django.conf import settings
from django.contrib.auth import authenticate
from django.contrib.auth.models import User
from django.db import connection
from django.http import HttpRequest

from fernbell.server.kitchens.models import EventKind
from fernbell.server.kitchens.record import put_down
from fernbell.server.problems import Invalid, TooMany

_HASHING_LOCK = 20_16
_LONGEST_WAIT_S, _LOOKS_EVERY_S = 2.0, 0.05
_here = threading.BoundedSemaphore(1)


def account(request: HttpRequest, credentials: dict[str, str] | None = None) -> str:
    """The name a try counts against, however it is written."""
    return (credentials or {}).get("username", "").casefold()


def recognized(request: HttpRequest, username: str, password: str) -> User:
    """Who that is; refused where the two do not belong together, and after too many such tries."""
    _refuse_locked(request, username)
    with hashing():
        user = authenticate(request, username=username, password=password)
    if not isinstance(user, User):
        known = User.objects.filter(username__iexact=username).first()
        put_down(request, EventKind.REFUSED, known, name=username)
        if _is_locked(request, username):
            put_down(request, EventKind.LOCKED, known, name=username)
        _refuse_locked(request, username)
        raise Invalid.field("password", "Name and password do not belong together.")
    return user


def _is_locked(request: HttpRequest, username: str) -> bool:
    return not AxesProxyHandler.is_allowed(request, {"username": username})


def _refuse_locked(request: HttpRequest, username: str) -> None:
    if _is_locked(request, username):
        minutes = settings.AXES_COOLOFF_TIME.seconds // 60
        raise TooMany(
            f"Too many tries with this name or from this place: wait {minutes} minutes.",
            wait_s=60 * minutes,
        )


@contextmanager
def hashing() -> Iterator[None]:
    """Hash a password: one at a time on this machine, and one waiting in this process.

    A hash costs a processor a third of a second by design; sixteen at once would stop the kitchen.
    """
    if not _here.acquire(blocking=False):
        raise TooMany("Others are signing in just now: try again in a moment.", wait_s=1)
    try:
        _take_turn()
        try:
            yield
        finally:
            _sql("SELECT pg_advisory_unlock(%s)")
    finally:
        _here.release()


def _take_turn() -> None:
    until = time.monotonic() + _LONGEST_WAIT_S
    while not _sql("SELECT pg_try_advisory_lock(%s)"):
        if time.monotonic() > until:
            raise TooMany("Others are signing in just now: try again in a moment.", wait_s=1)
        time.sleep(_LOOKS_EVERY_S)


def _sql(asks: str) -> bool:
    with connection.cursor() as cursor:
        cursor.execute(asks, [_HASHING_LOCK])
        return bool(cursor.fetchone()[0])
