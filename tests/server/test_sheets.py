"""What is pinned up: a dessert in its sizes, an order, a formula; batches, allergens, amounts."""

import re
from typing import Any

import pytest
from django.test import Client

from fernbell.server.desserts.models import Dessert
from fernbell.server.formulas.models import Formula
from fernbell.server.molds.models import Mold
from fernbell.server.planning.models import Order, Vessel
from tests.server.api import put


def sheets(client: Client, name: str, query: str = "") -> dict[str, Any]:
    answer = client.get(f"/api/desserts/{Dessert.objects.get(name=name).pk}/sheets{query}")
    assert answer.status_code == 200, answer.content
    return answer.json()


def of(found: dict[str, Any], name: str) -> dict[str, Any]:
    return next(one for one in found["made"] if one["page"]["sheet"]["name"] == name)


def test_every_demo_dessert_has_its_sheet_and_one_for_each_formula(demo: Client) -> None:
    for row in Dessert.objects.filter(archived_at=None):
        found = sheets(demo, row.name)
        (own,) = found["desserts"]
        assert own["name"] == row.name
        names = [one["page"]["sheet"]["name"] for one in found["made"]]
        assert names
        assert len(set(names)) == len(names)
        for size in own["sizes"]:
            laid = [one for stage in size["solved"]["stages"] for one in stage["laid"]]
            parts = [one["mass"]["value"] for one in size["solved"]["parts"] if one["mass"]]
            assert sum(one["mass_g"] or 0 for one in laid) == pytest.approx(sum(parts))
        for one in found["made"]:
            page = one["page"]
            assert len(page["method"]) == len(page["told"]) == len(page["waits"])
            for line in page["sheet"]["lines"]:
                grams = sum(batch["lines"][line["key"]] for batch in one["batches"])
                assert grams == pytest.approx(line["mass_g"], abs=1e-6)
            assert sum(batch["weighed_g"] for batch in one["batches"]) == pytest.approx(
                page["sheet"]["batch_g"]
            )


def test_a_small_bowl_makes_batches_each_in_the_measures_of_the_kitchen(demo: Client) -> None:
    whole = of(sheets(demo, "Foghorn domes", "?count=96"), "Sea buckthorn curd")
    Vessel.objects.filter(kind="pot").update(most=1500)
    cut = of(sheets(demo, "Foghorn domes", "?count=96"), "Sea buckthorn curd")
    assert len(whole["batches"]) == 1
    assert len(cut["batches"]) >= 2
    assert re.search(r"takes 1\s?500 ml", cut["limit"])
    line = next(one for one in cut["page"]["sheet"]["lines"] if "purée" in one["name"])
    said = [batch["kitchen"][line["key"]] for batch in cut["batches"]]
    assert all("cup" in one for one in said)
    assert said[0] != whole["batches"][0]["kitchen"][line["key"]]


def test_allergens_are_those_of_everything_it_is_made_of(demo: Client) -> None:
    declared = sheets(demo, "Reedbed")["desserts"][0]["declared"]["contains"]
    # By reading the demo book: rye and wheat, eggs, butter and cream, hazelnut and almond.
    assert {"gluten", "eggs", "milk", "nuts"} <= declared.keys()
    assert "Rye flour, wholegrain" in declared["gluten"]
    # Of what is nested too: hazelnut paste is in the base, almonds in the sponge.
    assert {"Hazelnut paste, roasted", "Ground almonds"} <= set(declared["nuts"])


def test_an_order_hangs_each_dessert_once_and_each_formula_once(demo: Client) -> None:
    order = Order.objects.get()
    found = demo.get(f"/api/orders/{order.pk}/sheets").json()
    planned = demo.get(f"/api/orders/{order.pk}/planned").json()
    assert found["made"] == planned["made"]
    assert sum(len(one["sizes"]) for one in found["desserts"]) == len(planned["lines"])
    names = [one["name"] for one in found["desserts"]]
    assert len(set(names)) == len(names)


def test_a_dessert_in_two_sizes_of_an_order_is_on_one_sheet(demo: Client) -> None:
    order = Order.objects.get()
    row = demo.get(f"/api/orders/{order.pk}").json()
    reedbed = str(Dessert.objects.get(name="Reedbed").pk)
    small = str(Mold.objects.get(name="Ring 16 cm, 4.5 high").pk)
    lines = [
        {"key": "a", "dessert": reedbed, "count": 4},
        {"key": "b", "dessert": reedbed, "count": 6, "mold": small},
    ]
    entry = {"revision": row["revision"], "data": {"name": row["name"], "lines": lines}}
    assert put(demo, f"/api/orders/{order.pk}", entry).status_code == 200
    (own,) = demo.get(f"/api/orders/{order.pk}/sheets").json()["desserts"]
    assert [(one["count"], one["says"]) for one in own["sizes"]] == [(4, "Ø 20 cm"), (6, "Ø 16 cm")]
    entry = {"revision": row["revision"] + 1, "data": {"name": row["name"], "lines": []}}
    assert put(demo, f"/api/orders/{order.pk}", entry).status_code == 200
    assert demo.get(f"/api/orders/{order.pk}/sheets").json() == {"desserts": [], "made": []}


def test_waits_are_told_in_words(demo: Client) -> None:
    page = of(sheets(demo, "Reedbed"), "Quince, set")["page"]
    row = Formula.objects.get(name="Quince, set")
    assert [bool(wait) for wait in page["waits"]] == [bool(step["wait"]) for step in row.method]
    assert "freeze 2–4 h" in page["waits"]


@pytest.mark.parametrize(
    ("count", "said"), [("0", "at least 1"), ("10000", "at most 5000"), ("x", "a whole number")]
)
def test_a_count_out_of_range_is_refused_at_its_field(demo: Client, count: str, said: str) -> None:
    key = Dessert.objects.get(name="Reedbed").pk
    answer = demo.get(f"/api/desserts/{key}/sheets?count={count}")
    assert answer.status_code == 422
    assert "count" in answer.content.decode()
    assert said in answer.content.decode()
