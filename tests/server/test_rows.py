"""Rows of every kind: created, changed with a revision, copied, archived, restored, remembered."""

from collections.abc import Callable
from datetime import datetime, timedelta

import pytest
from django.test import Client

from fernbell.server.kitchens.models import Member
from fernbell.server.problems import ProblemOut
from tests.server.api import PATHS, Shelves, entry_of, made, post, put, stocked

SHELVES = list(PATHS)


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def url(shelves: Shelves, kind: str, verb: str = "") -> str:
    return f"{PATHS[kind]}/{shelves.row(kind)['id']}{verb}"


@pytest.mark.parametrize("kind", SHELVES)
def test_a_change_counts_the_revision_and_is_remembered(shelves: Shelves, kind: str) -> None:
    entry = {**entry_of(kind, shelves.row(kind)), "name": "Renamed"}
    answer = put(shelves.client, url(shelves, kind), {"revision": 1, "data": entry})
    assert answer.status_code == 200, answer.content
    assert (answer.json()["name"], answer.json()["revision"]) == ("Renamed", 2)
    history = shelves.client.get(url(shelves, kind, "/history")).json()
    newest, oldest = history["items"]
    assert history["total"] == 2
    assert (newest["who"], newest["action"], newest["revision"]) == ("Ines", "changed", 2)
    assert newest["fields"] == {"name": [shelves.row(kind)["name"], "Renamed"]}
    assert oldest["action"] == "created"


@pytest.mark.parametrize("kind", SHELVES)
def test_a_stale_change_is_refused_with_what_is_there_now(
    shelves: Shelves, kind: str, cook: Member, as_member: Callable[[Member], Client]
) -> None:
    theirs = {**entry_of(kind, shelves.row(kind)), "name": "Theirs"}
    put(as_member(cook), url(shelves, kind), {"revision": 1, "data": theirs})
    mine = {**theirs, "name": "Mine"}
    answer = put(shelves.client, url(shelves, kind), {"revision": 1, "data": mine})
    assert answer.status_code == 409
    problem = answer.json()
    assert "Tomas changed Theirs" in problem["detail"]
    told = ProblemOut.model_validate(problem)
    assert (told.revision, told.changed_by) == (2, "Tomas")
    assert told.current
    assert told.current["name"] == "Theirs"
    assert problem["revision"] == 2
    assert problem["current"]["name"] == "Theirs"
    assert shelves.client.get(url(shelves, kind)).json()["name"] == "Theirs"


@pytest.mark.parametrize("kind", SHELVES)
def test_a_copy_has_a_name_of_its_own_and_all_the_rest(shelves: Shelves, kind: str) -> None:
    first = post(shelves.client, url(shelves, kind, "/copy")).json()
    second = post(shelves.client, url(shelves, kind, "/copy")).json()
    name = shelves.row(kind)["name"]
    assert [first["name"], second["name"]] == [f"{name} (copy)", f"{name} (copy 2)"]
    own, copied = entry_of(kind, shelves.row(kind)), entry_of(kind, first)
    assert {**own, "name": ""} == {**copied, "name": ""}


@pytest.mark.parametrize("kind", SHELVES)
def test_a_name_is_used_once(shelves: Shelves, kind: str) -> None:
    entry = {**entry_of(kind, shelves.row(kind)), "name": shelves.row(kind)["name"].upper()}
    answer = post(shelves.client, PATHS[kind], entry)
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "name"
    assert shelves.client.get(PATHS[kind]).json()["total"] == 1


@pytest.mark.parametrize("kind", ["ingredient", "formula", "mold"])
def test_what_is_in_use_is_not_archived_and_the_users_are_named(
    shelves: Shelves, kind: str
) -> None:
    answer = post(shelves.client, url(shelves, kind, "/archive"))
    assert answer.status_code == 409
    user = "Soft cream" if kind == "ingredient" else "Cushion"
    assert user in answer.json()["detail"]
    assert not shelves.client.get(url(shelves, kind)).json()["archived"]


def test_archived_rows_leave_the_shelf_and_come_back(shelves: Shelves) -> None:
    client = shelves.client
    assert post(client, url(shelves, "order", "/archive")).json()["archived"]
    assert post(client, url(shelves, "dessert", "/archive")).json()["archived"]
    assert client.get(PATHS["dessert"]).json()["items"] == []
    assert client.get(f"{PATHS['dessert']}?archived=true").json()["total"] == 1
    assert post(client, url(shelves, "stack", "/archive")).status_code == 200
    # Nothing uses the formula any more.
    assert post(client, url(shelves, "formula", "/archive")).status_code == 200
    made(client, "formula", {"name": "Soft cream"})
    assert post(client, url(shelves, "formula", "/restore")).json()["name"] == "Soft cream (copy)"


def test_an_archived_row_is_not_changed(shelves: Shelves) -> None:
    post(shelves.client, url(shelves, "order", "/archive"))
    post(shelves.client, url(shelves, "dessert", "/archive"))
    data = {"revision": 2, "data": entry_of("dessert", shelves.dessert)}
    answer = put(shelves.client, url(shelves, "dessert"), data)
    assert answer.status_code == 422
    assert "restore it first" in answer.json()["detail"]


def test_a_cook_writes_and_does_not_archive(
    shelves: Shelves, cook: Member, as_member: Callable[[Member], Client]
) -> None:
    client = as_member(cook)
    assert post(client, url(shelves, "dessert", "/copy")).status_code == 201
    refused = post(client, url(shelves, "dessert", "/archive"))
    assert refused.status_code == 403
    assert "chef" in refused.json()["detail"]


@pytest.mark.parametrize("kind", SHELVES)
def test_a_list_says_of_a_row_what_it_says_alone(shelves: Shelves, kind: str) -> None:
    alone = shelves.client.get(url(shelves, kind)).json()
    for asked in ("", f"?ids={alone['id']}", "?order=latest", f"?q={alone['name'][:4]}"):
        page = shelves.client.get(PATHS[kind] + asked).json()
        (listed,) = page["items"]
        assert page["total"] == 1
        shared = set(listed) & set(alone) - {"figures"}
        assert {"id", "name", "revision", "archived", "changed_by"} <= shared
        for field in shared - {"changed_at"}:
            assert listed[field] == alone[field], field
        moments = (datetime.fromisoformat(one["changed_at"]) for one in (listed, alone))
        assert abs(next(moments) - next(moments)) <= timedelta(milliseconds=1)


def test_a_history_comes_page_by_page(shelves: Shelves) -> None:
    row = shelves.mold
    for i in range(24):
        entry = {**entry_of("mold", row), "note": f"note {i}"}
        row = put(shelves.client, url(shelves, "mold"), {"revision": i + 1, "data": entry}).json()
    path = url(shelves, "mold", "/history")
    first, rest = (shelves.client.get(f"{path}?offset={at}").json() for at in (0, 20))
    assert [one["revision"] for one in first["items"]] == [*range(25, 5, -1)]
    assert [one["revision"] for one in rest["items"]] == [*range(5, 0, -1)]
    assert first["total"] == rest["total"] == 25
    assert first["items"][0]["fields"] == {"note": ["note 22", "note 23"]}
