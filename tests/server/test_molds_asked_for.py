"""Molds found by what they hold, and what stands in them, through the API."""

from uuid import uuid4

import pytest
from django.test import Client

from fernbell.server.kitchens.models import Member
from tests.server.api import post, stocked
from tests.server.conftest import client_of


def held(client: Client, asked: str) -> list[float]:
    rows = client.get("/api/molds", {"q": asked, "limit": 200}).json()["items"]
    return [row["figures"]["capacity_ml"] for row in rows]


def test_molds_are_found_by_what_they_hold_the_smallest_first(demo: Client) -> None:
    every = [
        row["figures"]["capacity_ml"] for row in demo.get("/api/molds?limit=200").json()["items"]
    ]
    assert held(demo, "holds 1.2 to 1.5 l") == sorted(ml for ml in every if 1200 <= ml <= 1500)
    assert held(demo, "under 100 ml") == sorted(ml for ml in every if ml <= 100)
    assert held(demo, "over 90 l") == []


def test_by_size_and_by_shape(demo: Client) -> None:
    def called(asked: str) -> list[str]:
        items = demo.get("/api/molds", {"q": asked}).json()["items"]
        return [row["name"] for row in items]

    assert called("ring 20 cm")
    assert all("ing" in name for name in called("ring 20 cm"))
    assert called("heart 18 cm") == ["Heart 18 cm"]
    assert called("Tart pan 24")[0] == "Tart pan 24 cm"


def test_a_page_of_what_fits_is_a_page(demo: Client) -> None:
    whole = held(demo, "over 100 ml")
    asked = {"q": "over 100 ml", "limit": 3, "offset": 2}
    page = demo.get("/api/molds", asked).json()
    assert [row["figures"]["capacity_ml"] for row in page["items"]] == whole[2:5]
    assert page["total"] == len(whole)


def test_another_kitchens_molds_fit_nobody_here(chef: Member, stranger: Member) -> None:
    stocked(client_of(stranger))
    assert held(client_of(chef), "1 to 2 l") == []


def test_a_mold_says_what_stands_in_it_and_what_a_bath_takes(demo: Client) -> None:
    rows = {row["name"]: row["id"] for row in demo.get("/api/molds?limit=200").json()["items"]}
    ramekin = next(key for name, key in rows.items() if "Ramekin" in name)
    tray = next(key for name, key in rows.items() if name.startswith("Sheet pan 60"))
    stands = demo.get(f"/api/molds/{ramekin}/fittings").json()
    assert stands["bathed"]
    assert any(one["figure"].startswith("Insert that fits") for one in stands["figures"])
    bath = post(demo, f"/api/molds/{ramekin}/bath", {"tray": tray, "count": 8}).json()
    assert 0 < bath["value"] < 600 * 400 * 20 / 1000


@pytest.mark.parametrize(
    ("body", "field"),
    [
        ({"tray": "none", "count": 1}, "tray"),
        ({"count": 1}, "tray"),
        ({"tray": "", "count": 0}, "tray"),
    ],
)
def test_a_bath_without_a_tray_is_refused(
    chef: Member, body: dict[str, object], field: str
) -> None:
    client = client_of(chef)
    mold = stocked(client).mold["id"]
    answer = post(client, f"/api/molds/{mold}/bath", body)
    assert answer.status_code == 422
    assert field in {one["field"] for one in answer.json()["errors"]}


def test_a_bath_of_too_many_names_how_many_and_of_a_strange_tray_is_not_there(
    chef: Member, stranger: Member
) -> None:
    client = client_of(chef)
    mold = stocked(client).mold["id"]
    many = post(client, f"/api/molds/{mold}/bath", {"tray": mold, "count": 10**9})
    assert many.status_code == 422
    assert "count" in {one["field"] for one in many.json()["errors"]}
    foreign = stocked(client_of(stranger)).mold["id"]
    for tray in (foreign, str(uuid4())):
        assert (
            post(client, f"/api/molds/{mold}/bath", {"tray": tray, "count": 1}).status_code == 404
        )
