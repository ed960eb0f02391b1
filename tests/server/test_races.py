"""Two who write at once: one wins, the other is told, and nothing is left that cannot be saved."""

from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from threading import Barrier
from typing import Any

import pytest
from django.db import connections
from django.test import Client

from fernbell.server.kitchens.models import Member
from tests.server.api import PATHS, entry_of, made, post, put
from tests.server.conftest import client_of

ROUNDS = 25


def at_once(*asks: Callable[[], Any]) -> list[int]:
    """The statuses of requests that set out at the same moment."""
    gate = Barrier(len(asks))

    def ask(one: Callable[[], Any]) -> int:
        try:
            gate.wait()
            return one().status_code
        finally:
            connections.close_all()

    with ThreadPoolExecutor(len(asks)) as pool:
        return list(pool.map(ask, asks))


def formula(client: Client, name: str, *lines: dict[str, Any]) -> dict[str, Any]:
    return made(client, "formula", {"name": name, "lines": list(lines)})


def within(client: Client, row: dict[str, Any], nested: str) -> Any:
    """Take a formula into another."""
    entry = entry_of("formula", row)
    entry["lines"] = [{"key": "a", "mass_g": 10, "formula": nested}]
    return put(client, f"{PATHS['formula']}/{row['id']}", {"revision": 1, "data": entry})


@pytest.mark.django_db(transaction=True)
def test_what_another_is_just_using_is_not_archived(chef: Member, cook: Member) -> None:
    archiver, user = client_of(chef), client_of(cook)
    for number in range(ROUNDS):
        used, outer = (formula(archiver, f"{name} {number}") for name in ("Used", "Outer"))
        archive, use = at_once(
            lambda used=used: post(archiver, f"{PATHS['formula']}/{used['id']}/archive"),
            lambda used=used, outer=outer: within(user, outer, used["id"]),
        )
        assert (archive, use) in ((200, 422), (409, 200))
        # Whatever came first, the row can be saved again as it is.
        row = user.get(f"{PATHS['formula']}/{outer['id']}").json()
        again = {"revision": row["revision"], "data": entry_of("formula", row)}
        assert put(user, f"{PATHS['formula']}/{outer['id']}", again).status_code == 200


@pytest.mark.django_db(transaction=True)
def test_of_two_that_take_each_other_one_is_refused(chef: Member, cook: Member) -> None:
    clients = client_of(chef), client_of(cook)
    for number in range(ROUNDS):
        one, other = (formula(clients[0], f"{name} {number}") for name in ("One", "Other"))
        statuses = at_once(
            lambda one=one, other=other: within(clients[0], one, other["id"]),
            lambda one=one, other=other: within(clients[1], other, one["id"]),
        )
        assert sorted(statuses) == [200, 422]


@pytest.mark.django_db(transaction=True)
def test_of_two_that_take_one_name_one_is_refused(chef: Member, cook: Member) -> None:
    clients = client_of(chef), client_of(cook)
    for number in range(ROUNDS):
        entry = {"name": f"Twice {number}"}
        statuses = at_once(
            *(lambda one=one, entry=entry: post(one, PATHS["formula"], entry) for one in clients)
        )
        assert sorted(statuses) == [201, 422]
