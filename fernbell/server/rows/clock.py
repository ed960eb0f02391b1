"""The one clock: whoever has to know what time it is asks here."""

from datetime import date, datetime

from django.utils import timezone


def now() -> datetime:
    """This moment, with its zone."""
    return timezone.now()


def today() -> date:
    """The day it is where the kitchen stands."""
    return timezone.localdate()
