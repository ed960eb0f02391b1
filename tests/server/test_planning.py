"""Orders over the wire: merged, in batches, set out and bought; vessels with their limits."""

from typing import Any

import pytest
from django.test import Client

from fernbell.core.planning import VESSELS
from fernbell.server.desserts.models import Dessert
from fernbell.server.formulas.models import Formula
from fernbell.server.molds.models import Mold
from fernbell.server.planning.models import Order, Vessel
from tests.server.api import post, put

NOBODY = "00000000-0000-4000-8000-000000000000"


def key(name: str) -> str:
    return str(Dessert.objects.get(name=name).pk)


def line(name: str, count: int, **more: Any) -> dict[str, Any]:
    return {
        "key": f"{name}-{count}-{more.get('by', '')}",
        "dessert": key(name),
        "count": count,
        **more,
    }


def what_if(client: Client, *lines: dict[str, Any]) -> dict[str, Any]:
    answer = post(client, "/api/orders/what-if", {"name": "x", "lines": list(lines)})
    assert answer.status_code == 200, answer.content
    return answer.json()


def batches(planned: dict[str, Any], name: str) -> list[dict[str, Any]]:
    return next(one for one in planned["made"] if one["page"]["sheet"]["name"] == name)["batches"]


def test_the_full_night_is_planned_as_saved(demo: Client) -> None:
    order = Order.objects.get()
    planned = demo.get(f"/api/orders/{order.pk}/planned").json()
    assert [one["desserts"] for one in planned["lines"]] == [4, 24, 2, 48]
    names = [one["page"]["sheet"]["name"] for one in planned["made"]]
    assert len(set(names)) == len(names) > 15
    for made in planned["made"]:
        sheet = made["page"]["sheet"]
        for each in sheet["lines"]:
            grams = sum(batch["lines"][each["key"]] for batch in made["batches"])
            assert grams == pytest.approx(each["mass_g"], abs=1e-6)
        assert all(batch["feeds"] for batch in made["batches"])
    cream = next(one for one in planned["mise"] if one["name"] == "Cream, 35 %")
    assert cream["store"] == "cold"
    assert cream["bought"]["number"] >= 1
    prices = [one["bought"]["price"] for one in planned["mise"] if one["bought"]]
    assert planned["cost"]["value"] == pytest.approx(sum(price or 0 for price in prices))


def test_trays_and_covers_become_desserts(demo: Client) -> None:
    Mold.objects.filter(name="Domes 8 cm").update(cavities=6)
    found = what_if(
        demo,
        line("Foghorn domes", 3, by="trays"),
        line("Reedbed", 96, by="covers"),
        line("Reedbed", 97, by="covers"),
    )["lines"]
    assert [(one["desserts"], one["portions"]) for one in found] == [(18, 18), (8, 96), (9, 108)]
    assert found[0]["trays"]["value"] == 3


def test_another_mold_is_another_size_and_its_own_size_keeps_its_parts(demo: Client) -> None:
    small = Mold.objects.get(name="Ring 16 cm, 4.5 high")
    found = what_if(demo, line("Reedbed", 4), line("Reedbed", 5, mold=str(small.pk)))
    assert [one["says"] for one in found["lines"]] == ["Ø 20 cm", "Ø 16 cm"]
    # By hand, discs of the base: 4 x 18.4² + 5 x 14.4² against 4 x 18.4² alone.
    alone = what_if(demo, line("Reedbed", 4))
    name = "Rye crumble base"
    ratio = (4 * 18.4**2 + 5 * 14.4**2) / (4 * 18.4**2)
    whole, part = (
        next(one for one in planned["made"] if one["page"]["sheet"]["name"] == name)["page"][
            "sheet"
        ]
        for planned in (found, alone)
    )
    assert whole["finished_g"] / part["finished_g"] == pytest.approx(ratio)


def test_a_smaller_bowl_means_more_batches_at_once(demo: Client) -> None:
    before = batches(what_if(demo, line("Reedbed", 8)), "Toasted barley mousse")
    assert len(before) == 1
    bowl = Vessel.objects.get(name="Bowl, 36 cm")
    entry = {"name": bowl.name, "kind": "bowl", "least": 0, "most": 2600, "number": 1}
    assert put(demo, f"/api/vessels/{bowl.pk}", {"revision": 1, "data": entry}).status_code == 200
    after = batches(what_if(demo, line("Reedbed", 8)), "Toasted barley mousse")
    assert len(after) > 1
    assert sum(one["wanted_g"] for one in after) == pytest.approx(before[0]["wanted_g"])


def test_for_two_days_what_does_not_keep_is_in_batches_of_its_own(demo: Client) -> None:
    def planned(last: str) -> dict[str, Any]:
        services = [
            {"key": "a", "title": "Friday", "at": "2048-03-06T20:00:00"},
            {"key": "b", "title": "Later", "at": f"2048-03-{last}T20:00:00"},
        ]
        data = {"name": "x", "lines": [line("Reedbed", 8)], "timing": {"services": services}}
        answer = post(demo, "/api/orders/what-if", data)
        assert answer.status_code == 200, answer.content
        return answer.json()

    # A mousse is made fresh for each evening; a glaze that keeps two days only for the next.
    for last, glazes in (("07", 1), ("12", 2)):
        found = planned(last)
        fed = [one["feeds"][0] for one in batches(found, "Toasted barley mousse")]
        assert [(one["first"], one["count"]) for one in fed] == [(1, 4), (5, 4)]
        assert len(batches(found, "Amber glaze")) == glazes


def test_the_chefs_minutes_keep_a_mousse_small(demo: Client) -> None:
    row = Formula.objects.get(name="Toasted barley mousse")
    entry = demo.get(f"/api/formulas/{row.pk}").json()
    fields = ("name", "kind", "flavor", "base_lines", "losses", "gas_kept", "method", "whole_eggs")
    data = {field: entry[field] for field in (*fields, "job", "measured_density_g_ml")}
    data["lines"] = [
        {name: value for name, value in one.items() if name != "name"} for one in entry["lines"]
    ]
    saved = put(demo, f"/api/formulas/{row.pk}", {"revision": 1, "data": data | {"sets_min": 2}})
    assert saved.json()["sets_min"] == 2
    # Two who fill 400 g a minute each: 1 600 g at most.
    made = batches(what_if(demo, line("Reedbed", 8)), "Toasted barley mousse")
    assert max(one["wanted_g"] for one in made) <= 1600
    refused = put(demo, f"/api/formulas/{row.pk}", {"revision": 2, "data": data | {"sets_min": 0}})
    assert refused.json()["errors"][0]["field"].endswith("sets_min")


@pytest.mark.parametrize(
    ("change", "field", "says"),
    [
        ({"count": 0}, "lines.0.count", "at least 1"),
        ({"count": 10**6}, "lines.0.count", "at most 20"),
        ({"count": 1.5}, "lines.0.count", "whole number"),
        ({"by": "kilos"}, "lines.0.by", "desserts"),
        (
            {"dessert": "0" * 8 + "-0000-4000-8000-" + "0" * 12},
            "lines.0.dessert",
            "not on your shelf",
        ),
        ({"mold": NOBODY}, "lines.0.mold", "not on your shelf"),
    ],
)
def test_what_cannot_be_ordered_is_refused_at_its_line(
    demo: Client, change: dict[str, Any], field: str, says: str
) -> None:
    entry = {"name": "x", "lines": [line("Reedbed", 1) | change]}
    for answer in (post(demo, "/api/orders/what-if", entry), post(demo, "/api/orders", entry)):
        assert answer.status_code == 422
        errors = {one["field"]: one["message"] for one in answer.json()["errors"]}
        assert says in errors[field], errors
    assert Order.objects.count() == 1


def test_ten_thousand_covers_are_planned_or_refused_by_name(demo: Client) -> None:
    planned = what_if(demo, line("Reedbed", 10_000, by="covers"))
    assert planned["lines"][0]["desserts"] == 834
    entry = {"name": "x", "lines": [line("Foghorn domes", 10_000, by="covers")]}
    refused = post(demo, "/api/orders/what-if", entry)
    assert refused.status_code == 422
    assert "at most 5 000" in refused.json()["detail"]


@pytest.mark.parametrize("kind", VESSELS)
def test_a_vessel_of_every_kind_is_kept_and_one_with_most_below_least_is_not(
    demo: Client, kind: str
) -> None:
    words = VESSELS[kind]
    entry = {"name": "New", "kind": kind, "least": words.least, "most": words.most, "number": 2}
    assert post(demo, "/api/vessels", entry).status_code == 201
    wrong = post(demo, "/api/vessels", entry | {"name": "Wrong", "least": words.most + 1})
    assert wrong.status_code == 422
    (error,) = wrong.json()["errors"]
    said = "its long side" if kind == "tray" else "its most"
    assert (error["field"], said in error["message"]) == ("least", True)


def test_what_an_order_asks_for_is_not_put_away_under_it(demo: Client) -> None:
    archived = post(demo, f"/api/desserts/{key('Reedbed')}/archive")
    assert archived.status_code == 409
    assert "Full night" in archived.json()["detail"]
