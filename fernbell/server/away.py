"""When the database does not answer: said plainly, everywhere, and asked of by whoever watches."""

import logging
import sys

from django.db import Error, InterfaceError, OperationalError, connection
from django.http import HttpRequest, HttpResponse, JsonResponse

from fernbell.server.problems import problem

log = logging.getLogger(__name__)

BUSY = {"40P01", "40001", "55P03"}
"""SQLSTATE of a deadlock, of writes in each other's way, of a row another holds too long."""
TOO_LONG, FULL = "57014", "53100"
"""SQLSTATE of a statement that was stopped because it took too long, and of a full disk."""


LONG = "This took too long and was stopped; nothing was saved. Ask for less at once."


def silence(error: BaseException) -> HttpResponse | None:
    """What is said where the database is away, busy or stopped; None for any other fault."""
    if not isinstance(error, OperationalError | InterfaceError):
        return None
    state = getattr(error.__cause__, "sqlstate", None)
    if state == TOO_LONG:
        # Asked again it would take as long: this is a refusal, and no silence.
        return problem(422, "Too much at once", LONG)
    if state in BUSY:
        said = "Somebody else is writing the same: try again in a moment."
    elif state == FULL:
        said = "The disk of the kitchen's server is full: nothing was saved. Tell whoever runs it."
    else:
        said = "The kitchen's database is away. It is asked again by itself."
    log.error("database: %s", str(error).strip().splitlines()[0] if str(error).strip() else error)
    answer = problem(503, "The kitchen does not answer", said)
    answer["Retry-After"] = "2"
    return answer


def broken(request: HttpRequest) -> HttpResponse:
    """What is said of a fault outside the routes, such as when nobody can tell who asks."""
    error = sys.exc_info()[1]
    silent = silence(error) if error is not None else None
    return silent or problem(500, "Something broke", "It was logged; nothing was saved.")


def live(request: HttpRequest) -> HttpResponse:
    """Whether the app server answers at all."""
    return JsonResponse({"live": True})


def ready(request: HttpRequest) -> HttpResponse:
    """Whether it can work: its database answers."""
    try:
        with connection.cursor() as cursor:
            cursor.execute("SELECT 1")
    except Error:
        connection.close()
        return JsonResponse({"ready": False, "lacks": "database"}, status=503)
    return JsonResponse({"ready": True})
