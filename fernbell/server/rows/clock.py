"""The one clock: whoever has to know what time it is asks here."""

from contextlib import AbstractContextManager
from datetime import date, datetime
from zoneinfo import ZoneInfo

from django.utils import timezone


def now() -> datetime:
    """This moment, with its zone."""
    return timezone.now()


def in_zone(name: str) -> AbstractContextManager[None]:
    """While this lasts, days and hours are those of a time zone."""
    return timezone.override(ZoneInfo(name))


def local(moment: datetime) -> datetime:
    """A moment by the clock where the kitchen stands."""
    return timezone.localtime(moment)


def today() -> date:
    """The day it is where the kitchen stands."""
    return timezone.localdate()
