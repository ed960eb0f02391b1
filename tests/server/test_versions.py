"""The version of a kitchen: raised by every write, and what is kept at it is never stale."""

import os
import subprocess
import sys
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from pathlib import Path

import pytest
from django.db import connection, connections
from django.test import Client
from django.utils import timezone

from fernbell.server.kitchens.models import Kitchen, Member
from tests.server.api import PATHS, Shelves, entry_of, made, post, put, stocked, version

ROOT = Path(__file__).parents[2]
HEADER = "Kitchen-Version"


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def test_a_refused_write_leaves_it(shelves: Shelves, kitchen: Kitchen) -> None:
    before = version(kitchen)
    stale = {"revision": 7, "data": entry_of("mold", shelves.mold)}
    assert put(shelves.client, f"/api/molds/{shelves.mold['id']}", stale).status_code == 409
    taken = {"name": "Ring 18", "shape": shelves.mold["shape"]}
    assert post(shelves.client, "/api/molds", taken).status_code == 422
    assert version(kitchen) == before


def finished_g(shelves: Shelves) -> float:
    answer = shelves.client.get(f"/api/desserts/{shelves.dessert['id']}/solved")
    return answer.json()["solved"]["finished"]["value"]


WRITE = """
import django; django.setup()
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.kitchens.models import Member
from fernbell.server.rows import actions
member = Member.objects.select_related("kitchen", "user").get(pk={member})
row = FORMULA.model.objects.get(pk="{row}")
entry = FormulaIn.model_validate({{**FORMULA.snapshot(row), "measured_density_g_ml": 0.5}})
actions.change(member, FORMULA, row.pk, row.revision, entry)
"""


@pytest.mark.django_db(transaction=True)
def test_what_another_process_writes_is_seen_at_once(shelves: Shelves, chef: Member) -> None:
    before = finished_g(shelves)
    assert finished_g(shelves) == before
    script = WRITE.format(member=chef.pk, row=shelves.formula["id"])
    name = str(connection.settings_dict["NAME"])
    subprocess.run(
        [sys.executable, "-c", script],
        check=True,
        cwd=ROOT,
        env={**os.environ, "FERNBELL_DB_NAME": name},
    )
    # Cream as heavy as water, then half as heavy.
    assert finished_g(shelves) == pytest.approx(before / 2)


@pytest.mark.django_db(transaction=True)
def test_two_who_write_at_once_wait_for_each_other(shelves: Shelves, kitchen: Kitchen) -> None:
    before = version(kitchen)

    def write(number: int) -> int:
        client = Client()
        client.cookies = shelves.client.cookies
        try:
            shape = shelves.mold["shape"]
            return post(client, "/api/molds", {"name": f"R {number}", "shape": shape}).status_code
        finally:
            connections.close_all()

    with ThreadPoolExecutor(4) as pool:
        assert list(pool.map(write, range(8))) == [201] * 8
    assert version(kitchen) == before + 8


def test_what_was_read_in_a_write_that_was_undone_is_not_kept(shelves: Shelves) -> None:
    """A circle is found with the lines already saved; the book read then is of no version."""
    own = shelves.formula
    outer = made(
        shelves.client,
        "formula",
        {"name": "Outer", "lines": [{"key": "a", "mass_g": 50, "formula": own["id"]}]},
    )
    sheets = f"/api/formulas/{own['id']}/scaled?mass_g=100"
    before = shelves.client.get(sheets).json()
    circle = entry_of("formula", own)
    circle["lines"] = [{"key": "a", "mass_g": 50, "formula": outer["id"]}]
    refused = put(shelves.client, f"/api/formulas/{own['id']}", {"revision": 1, "data": circle})
    assert refused.status_code == 422
    # The next write gives the same version that the undone one would have had.
    made(shelves.client, "mold", {"name": "Other", "shape": shelves.mold["shape"]})
    assert shelves.client.get(sheets).json() == before


class TestTags:
    """What did not change is not sent again."""

    def test_it_is_not_sent_again_until_somebody_writes(
        self, shelves: Shelves, cook: Member, as_member: Callable[[Member], Client]
    ) -> None:
        path = f"/api/desserts/{shelves.dessert['id']}/solved"
        first = shelves.client.get(path)
        tag = first["ETag"]
        again = shelves.client.get(path, headers={"If-None-Match": tag})
        assert (again.status_code, again.content, again["ETag"]) == (304, b"", tag)
        made(as_member(cook), "mold", {"name": "Other", "shape": shelves.mold["shape"]})
        anew = shelves.client.get(path, headers={"If-None-Match": tag})
        assert anew.status_code == 200
        assert anew.content == first.content
        assert anew["ETag"] != tag

    def test_it_is_one_persons_of_one_day(
        self,
        shelves: Shelves,
        cook: Member,
        stranger: Member,
        as_member: Callable[[Member], Client],
        monkeypatch: pytest.MonkeyPatch,
    ) -> None:
        tag = shelves.client.get(PATHS["mold"])["ETag"]
        for other in (cook, stranger):
            answer = as_member(other).get(PATHS["mold"], headers={"If-None-Match": tag})
            assert answer.status_code == 200
        assert Client().get(PATHS["mold"], headers={"If-None-Match": tag}).status_code == 401
        tomorrow = timezone.localdate() + timedelta(days=1)
        monkeypatch.setattr(timezone, "localdate", lambda: tomorrow)
        answer = shelves.client.get(PATHS["mold"], headers={"If-None-Match": tag})
        assert answer.status_code == 200

    def test_a_refusal_and_who_one_is_have_none(self, shelves: Shelves) -> None:
        assert "ETag" not in shelves.client.get("/api/session")
        assert "ETag" not in shelves.client.get(f"/api/molds/{shelves.dessert['id']}")
        entry = {"name": "More", "shape": shelves.mold["shape"]}
        assert "ETag" not in post(shelves.client, PATHS["mold"], entry)
