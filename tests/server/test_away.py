"""When the database is away, busy or too slow: said plainly, and found out by whoever watches."""

from typing import Any, NoReturn

import psycopg
import pytest
from django.db import OperationalError, connection, transaction
from django.test import Client

from fernbell.server import away
from fernbell.server.kitchens import sessions
from fernbell.server.kitchens.models import Member
from tests.server.conftest import client_of


def gone(*_: Any, **__: Any) -> NoReturn:
    raise OperationalError("connection refused")


def test_whether_it_lives_is_told_without_the_database() -> None:
    assert Client().get("/health/live").json() == {"live": True}


def test_whether_it_is_ready_is_told_by_the_database(
    db: None, monkeypatch: pytest.MonkeyPatch
) -> None:
    assert Client().get("/health/ready").json() == {"ready": True}
    monkeypatch.setattr(connection, "cursor", gone)
    answer = Client().get("/health/ready")
    assert answer.status_code == 503
    assert answer.json() == {"ready": False, "lacks": "database"}


def test_what_a_route_cannot_read_is_said_to_be_away(
    chef: Member, monkeypatch: pytest.MonkeyPatch
) -> None:
    client = client_of(chef)
    monkeypatch.setattr("fernbell.server.kitchens.staff.person", gone)
    answer = client.get("/api/session")
    assert answer.status_code == 503
    assert answer["Retry-After"] == "2"
    assert "database is away" in answer.json()["detail"]


def test_who_asks_cannot_be_told_either(chef: Member, monkeypatch: pytest.MonkeyPatch) -> None:
    client = client_of(chef)
    client.raise_request_exception = False
    monkeypatch.setattr(sessions, "_read", gone)
    answer = client.get("/api/desserts")
    assert answer.status_code == 503
    assert answer["Content-Type"] == "application/problem+json"
    assert "database is away" in answer.json()["detail"]


def test_what_takes_too_long_is_stopped_and_told(db: None) -> None:
    with transaction.atomic(), connection.cursor() as cursor:
        cursor.execute("SET LOCAL statement_timeout = '20ms'")
        with pytest.raises(OperationalError) as stopped:
            cursor.execute("SELECT pg_sleep(5)")
        transaction.set_rollback(True)
    answer = away.silence(stopped.value)
    assert answer is not None
    # It is no silence: the page does not ask for it again by itself.
    assert answer.status_code == 422
    assert b"took too long" in answer.content


def test_a_full_disk_is_said_to_be_full() -> None:
    error = OperationalError("could not extend file")
    error.__cause__ = psycopg.errors.DiskFull()
    answer = away.silence(error)
    assert answer is not None
    assert answer.status_code == 503
    assert b"disk of the kitchen's server is full" in answer.content


@pytest.mark.parametrize(
    "cause", [psycopg.errors.DeadlockDetected, psycopg.errors.LockNotAvailable]
)
def test_who_waits_for_another_in_vain_is_asked_to_come_again(cause: type[Exception]) -> None:
    error = OperationalError("waiting")
    error.__cause__ = cause()
    answer = away.silence(error)
    assert answer is not None
    assert b"Somebody else is writing" in answer.content


def test_another_fault_is_no_silence() -> None:
    assert away.silence(ValueError("a slip")) is None


def test_every_statement_has_a_limit(db: None) -> None:
    with connection.cursor() as cursor:
        cursor.execute(
            "SELECT current_setting('statement_timeout'), current_setting('lock_timeout')"
        )
        assert cursor.fetchone() == ("20s", "5s")
