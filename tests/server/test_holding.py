"""Desserts that hold other desserts, through the API."""

from typing import Any
from uuid import uuid4

import pytest
from django.test import Client

from fernbell.server.desserts.models import Dessert
from fernbell.server.desserts.schemas import DEEPEST
from fernbell.server.kitchens.models import Member
from tests.server.api import dessert_entry, made, post, put, stocked
from tests.server.conftest import client_of


def named(demo: Client, name: str) -> dict[str, Any]:
    rows = demo.get("/api/desserts", {"limit": 200}).json()["items"]
    key = next(row["id"] for row in rows if row["name"] == name)
    return demo.get(f"/api/desserts/{key}").json()


def entry(row: dict[str, Any], **changed: Any) -> dict[str, Any]:
    fields = ("name", "mold", "built", "parts", "portions", "count", "sizes", "holds")
    return {field: row[field] for field in fields} | changed


def held(key: str, dessert: str, each: int = 1, inside_mm: float | None = None) -> dict[str, Any]:
    return {"key": key, "dessert": dessert, "each": each, "inside_mm": inside_mm}


def grams(answer: Any) -> float:
    return answer.json()["solved"]["finished"]["value"]


def test_a_tart_holds_domes_saved_and_worked_out(demo: Client) -> None:
    tart, dome = named(demo, "Beekeeper's tart"), named(demo, "Foghorn domes")
    apart = [grams(demo.get(f"/api/desserts/{one['id']}/solved?count=1")) for one in (tart, dome)]
    both = made(demo, "dessert", entry(tart, name="Both", holds=[held("h", dome["id"], 2)]))
    assert both["holds"] == [held("h", dome["id"], 2)]
    answer = demo.get(f"/api/desserts/{both['id']}/solved?count=1")
    assert grams(answer) == pytest.approx(apart[0] + 2 * apart[1])
    # The formulas of what it holds are known to who draws it.
    used = {one["id"] for one in both["made_of"]}
    assert {one["formula"] for one in answer.json()["solved"]["cut"]["section"]} <= used
    sheets = demo.get(f"/api/desserts/{both['id']}/sheets").json()
    assert len(sheets["made"]) >= len(tart["parts"]) + len(dome["parts"])
    assert demo.get(f"/api/desserts/{both['id']}/bite").json()["parts"]


def test_what_holds_it_keeps_it_from_the_archive(demo: Client) -> None:
    tart, dome = named(demo, "Beekeeper's tart"), named(demo, "Foghorn domes")
    both = made(demo, "dessert", entry(tart, name="Both", holds=[held("h", dome["id"])]))
    refused = post(demo, f"/api/desserts/{dome['id']}/archive")
    assert refused.status_code == 409
    assert "Both" in refused.content.decode()
    changed = put(
        demo,
        f"/api/desserts/{both['id']}",
        {"revision": both["revision"], "data": entry(both, holds=[])},
    )
    assert changed.status_code == 200
    (order,) = demo.get("/api/orders").json()["items"]
    assert post(demo, f"/api/orders/{order['id']}/archive").status_code == 200
    assert post(demo, f"/api/desserts/{dome['id']}/archive").status_code == 200


def test_an_earlier_entry_brings_back_what_it_held(demo: Client) -> None:
    tart, dome = named(demo, "Beekeeper's tart"), named(demo, "Foghorn domes")
    both = made(demo, "dessert", entry(tart, name="Both", holds=[held("h", dome["id"])]))
    path = f"/api/desserts/{both['id']}"
    put(demo, path, {"revision": 1, "data": entry(both, holds=[])})
    assert demo.get(path).json()["holds"] == []
    copied = post(demo, f"{path}/copy").json()
    assert copied["holds"] == []


def test_a_dessert_never_holds_itself_by_whatever_way(demo: Client) -> None:
    first = named(demo, "Beekeeper's tart")
    path = f"/api/desserts/{first['id']}"

    def change(*holds: dict[str, Any]) -> Any:
        now = demo.get(path).json()
        return put(demo, path, {"revision": now["revision"], "data": entry(now, holds=list(holds))})

    assert change(held("h", first["id"])).status_code == 422
    second = made(demo, "dessert", entry(first, name="Two", holds=[held("h", first["id"])]))
    refused = change(held("h", second["id"]))
    assert refused.status_code == 422
    assert refused.json()["errors"] == [
        {"field": "holds.0.dessert", "message": "A dessert cannot hold itself."}
    ]
    third = made(demo, "dessert", entry(first, name="Three", holds=[held("h", second["id"])]))
    assert change(held("h", third["id"])).status_code == 422
    assert demo.get(path).json()["holds"] == []


def test_more_in_each_other_than_anybody_packs_is_refused(demo: Client) -> None:
    last = named(demo, "Beekeeper's tart")
    depth = 0
    while depth < 8:
        answer = post(
            demo, "/api/desserts", entry(last, name=f"Box {depth}", holds=[held("h", last["id"])])
        )
        if answer.status_code != 201:
            break
        last, depth = answer.json(), depth + 1
    assert answer.status_code == 422
    assert depth + 1 == DEEPEST
    assert demo.get(f"/api/desserts/{last['id']}/solved").status_code == 200
    # Each is another dessert inside, so the formulas of the innermost are known by the outermost.
    dome = named(demo, "Foghorn domes")
    inner = dome
    for place in range(DEEPEST - 1):
        box = {"parts": [], "portions": None, "sizes": [], "holds": [held("h", inner["id"])]}
        inner = made(demo, "dessert", entry(last, name=f"Empty box {place}", **box))
    used = {one["id"] for one in inner["made_of"]}
    assert used == {one["id"] for one in dome["made_of"]}


@pytest.mark.parametrize(
    ("changed", "field"),
    [
        ({"each": 0}, "holds.0.each"),
        ({"each": 101}, "holds.0.each"),
        ({"each": 1.5}, "holds.0.each"),
        ({"inside_mm": -1}, "holds.0.inside_mm"),
        ({"inside_mm": 1e9}, "holds.0.inside_mm"),
        ({"inside_mm": "deep"}, "holds.0.inside_mm"),
        ({"dessert": str(uuid4())}, "holds.0.dessert"),
        ({"dessert": "none"}, "holds.0.dessert"),
        ({"key": ""}, "holds.0.key"),
    ],
)
def test_a_wrong_entry_is_refused_by_its_field(
    demo: Client, changed: dict[str, Any], field: str
) -> None:
    tart, dome = named(demo, "Beekeeper's tart"), named(demo, "Foghorn domes")
    own = held("h", dome["id"]) | changed
    for path in ("/api/desserts", "/api/desserts/what-if"):
        answer = post(demo, path, entry(tart, name="Wrong", holds=[own]))
        assert answer.status_code == 422, (path, answer.content)
        assert any(
            one["field"].startswith(field.rpartition(".")[0]) for one in answer.json()["errors"]
        )
    assert not Dessert.objects.filter(name="Wrong").exists()


def test_a_dessert_of_another_kitchen_is_not_on_the_shelf(chef: Member, stranger: Member) -> None:
    client = client_of(chef)
    own, foreign = stocked(client), stocked(client_of(stranger))
    body = dessert_entry(own.mold["id"], own.formula["id"])
    answer = post(client, "/api/desserts", body | {"holds": [held("h", foreign.dessert["id"])]})
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "holds.0.dessert"
