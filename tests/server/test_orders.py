"""Several sizes of a dessert, stacks of parts, and how it is built, as the server keeps them."""

from collections.abc import Callable
from typing import Any

import pytest
from django.test import Client
from pytest_django import DjangoAssertNumQueries

from fernbell.core.desserts import refit, solve_order
from fernbell.core.molds import Ring
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from fernbell.server.kitchens.models import Member
from tests.server.api import Shelves, dessert_entry, entry_of, made, post, put, stocked


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def reedbed(demo: Client) -> dict[str, Any]:
    key = demo.get("/api/desserts?q=Reedbed").json()["items"][0]["id"]
    return demo.get(f"/api/desserts/{key}").json()


def mold(client: Client, name: str) -> str:
    listed = client.get("/api/molds").json()["items"]
    return next(one["id"] for one in listed if one["name"].startswith(name))


def with_small(demo: Client, **size: Any) -> dict[str, Any]:
    row = reedbed(demo)
    small = {"key": "small", "mold": mold(demo, "Ring 8 cm"), "count": 12, **size}
    return {**entry_of("dessert", row), "sizes": [small]}


def what_if(client: Client, entry: dict[str, Any], size: str = "") -> Any:
    return post(client, f"/api/desserts/what-if?size={size}", entry)


def test_a_size_that_follows_is_refitted_as_core_does(demo: Client) -> None:
    entry = with_small(demo)
    order = solve_order([(REEDBED, 6), (refit(REEDBED, Ring(80, 50)), 12)], demo_book())
    first, small = what_if(demo, entry).json(), what_if(demo, entry, "small").json()
    assert first["solved"]["finished"]["value"] == pytest.approx(
        order.sizes[0].solved().finished.value
    )
    assert small["solved"]["finished"]["value"] == pytest.approx(
        order.sizes[1].solved().finished.value
    )
    assert small["shape"] == {"diameter_mm": 80, "height_mm": 50, "form": "ring"}
    assert next(one for one in small["parts"] if one["rule"] == "base")["across_mm"] == 64
    assert [one["says"] for one in small["sizes"]] == ["Ø 20 cm", "Ø 8 cm"]
    for told in (first, small):
        grams = [take["make"]["value"] for take in told["takes"]]
        assert grams == pytest.approx([take.make.value for take in order.takes])


def test_a_size_with_parts_of_its_own_does_not_follow(demo: Client) -> None:
    entry = with_small(demo)
    own = what_if(demo, entry, "small").json()["parts"]
    next(one for one in own if one["rule"] == "base")["height_mm"] = 3
    entry["sizes"][0]["parts"] = own
    entry["parts"][4]["height_mm"] = 20
    small = what_if(demo, entry, "small").json()
    assert next(one for one in small["parts"] if one["rule"] == "base")["height_mm"] == 3


def test_the_order_is_kept_and_its_sheets_are_merged(demo: Client) -> None:
    row, entry = reedbed(demo), with_small(demo)
    path = f"/api/desserts/{row['id']}"
    kept = put(demo, path, {"revision": 1, "data": entry}).json()
    assert [(one["key"], one["count"], one["parts"]) for one in kept["sizes"]] == [
        ("small", 12, None)
    ]
    sheets = demo.get(f"{path}/sheets").json()
    pages = [one["page"] for one in sheets["made"]]
    quince = next(page for page in pages if page["sheet"]["name"] == "Quince, set")
    assert [use["purpose"] for use in quince["sheet"]["uses"]] == [
        "Quince, set, Ø 20 cm",
        "Quince, set, Ø 8 cm",
    ]
    saved = demo.get(f"{path}/solved?size=small").json()
    assert saved["key"] == "small"
    assert demo.get(f"{path}/solved?size=gone").json()["key"] == ""


def test_queries_do_not_grow_with_the_sizes(
    demo: Client, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    entry = with_small(demo)
    more = [{**entry["sizes"][0], "key": f"k{i}"} for i in range(5)]
    with django_assert_num_queries(3):
        what_if(demo, entry)
    with django_assert_num_queries(1):
        what_if(demo, {**entry, "sizes": more})


@pytest.mark.parametrize(
    ("size", "field"),
    [
        ({"count": 0}, "sizes.0.count"),
        ({"mold": "0190f4c2-0000-7000-8000-000000000000"}, "sizes.0.mold"),
        ({"portions": {"cut": "grid", "columns": 2, "rows": 2}}, "portions"),
        (
            {"parts": [{"rule": "fill", "key": "f", "formula": "nothing"}]},
            "sizes.0.parts.0.formula",
        ),
    ],
)
def test_a_size_that_cannot_be_is_refused_at_its_field_and_nothing_is_kept(
    demo: Client, size: dict[str, Any], field: str
) -> None:
    row = reedbed(demo)
    answer = put(
        demo,
        f"/api/desserts/{row['id']}",
        {"revision": 1, "data": {**with_small(demo, **size), "name": "Other"}},
    )
    assert answer.status_code == 422, answer.content
    assert answer.json()["errors"][0]["field"] == field
    assert reedbed(demo)["name"] == "Reedbed"


def test_two_sizes_of_one_key_and_too_many_are_refused(demo: Client) -> None:
    entry = with_small(demo)
    twice = {**entry, "sizes": entry["sizes"] * 2}
    assert what_if(demo, twice).json()["errors"][0]["field"] == "sizes"
    many = {**entry, "sizes": [{**entry["sizes"][0], "key": f"k{i}"} for i in range(8)]}
    assert what_if(demo, many).json()["errors"][0]["field"] == "sizes"


def test_a_mold_of_another_size_is_in_use(demo: Client) -> None:
    row = reedbed(demo)
    entry = with_small(demo)
    small = entry["sizes"][0]["mold"]
    put(demo, f"/api/desserts/{row['id']}", {"revision": 1, "data": entry})
    refused = post(demo, f"/api/molds/{small}/archive")
    assert refused.status_code == 409
    assert "Reedbed" in refused.json()["detail"]


def test_portions_by_weight_are_worked_out(demo: Client) -> None:
    entry = entry_of("dessert", reedbed(demo))
    told = what_if(demo, {**entry, "portions": {"cut": "by weight", "portion_g": 120}}).json()
    assert told["solved"]["portions"] == 11
    assert "cut into 11" in told["solved"]["division_working"]["arithmetic"]
    light = what_if(demo, {**entry, "portions": {"cut": "by weight", "portion_g": 5.1}})
    assert light.status_code == 200
    assert light.json()["solved"]["division"]["count"] == 60
    refused = what_if(demo, {**entry, "portions": {"cut": "by weight", "portion_g": 1}}).json()
    assert refused["errors"][0]["field"] == "portions.portion_g"


def test_how_it_is_built_is_kept_and_orders_the_stages(demo: Client) -> None:
    row = reedbed(demo)
    entry = {**entry_of("dessert", row), "built": "upside down"}
    kept = put(demo, f"/api/desserts/{row['id']}", {"revision": 1, "data": entry}).json()
    assert kept["built"] == "upside down"
    stages = demo.get(f"/api/desserts/{row['id']}/solved").json()["solved"]["stages"]
    codes = [stage["code"] for stage in stages]
    assert codes.index("pour") < codes.index("base")
    assert what_if(demo, {**entry, "built": "sideways"}).status_code == 422


def test_a_stack_is_placed_with_new_keys_and_nothing_is_saved(shelves: Shelves) -> None:
    small = made(
        shelves.client,
        "mold",
        {"name": "Ring 16", "shape": {"form": "ring", "diameter_mm": 160, "height_mm": 45}},
    )
    entry = {**dessert_entry(small["id"], shelves.formula["id"]), "parts": []}
    body = {"dessert": entry, "stack": shelves.stack["id"], "keys": ["fresh"]}
    (part,) = post(shelves.client, "/api/desserts/place", body).json()["parts"]
    # 180 less 170 leaves 5 mm all round; in 160 that is 150 across.
    assert (part["key"], part["across_mm"]) == ("fresh", 150)
    assert shelves.client.get("/api/desserts").json()["total"] == 1
    refused = post(shelves.client, "/api/desserts/place", {**body, "keys": ["a", "b"]})
    assert refused.json()["errors"][0]["field"] == "keys"


def test_a_stack_of_another_kitchen_is_not_there(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    theirs = stocked(as_member(stranger))
    body = {
        "dessert": entry_of("dessert", theirs.dessert),
        "stack": shelves.stack["id"],
        "keys": ["k"],
    }
    assert post(theirs.client, "/api/desserts/place", body).status_code == 404


def test_a_formula_in_a_stack_is_in_use(shelves: Shelves) -> None:
    post(shelves.client, f"/api/desserts/{shelves.dessert['id']}/archive")
    refused = post(shelves.client, f"/api/formulas/{shelves.formula['id']}/archive")
    assert refused.status_code == 409
    assert "Cushion base" in refused.json()["detail"]


def test_a_stack_without_parts_or_of_an_unknown_formula_is_refused(shelves: Shelves) -> None:
    entry = entry_of("stack", shelves.stack)
    empty = post(shelves.client, "/api/stacks", {**entry, "name": "Empty", "parts": []})
    assert empty.json()["errors"][0]["field"] == "parts"
    entry["parts"][0]["formula"] = "nothing"
    unknown = post(shelves.client, "/api/stacks", {**entry, "name": "Unknown"})
    assert unknown.json()["errors"][0]["field"] == "parts.0.formula"
    assert shelves.client.get("/api/stacks").json()["total"] == 1
