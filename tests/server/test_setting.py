"""Formulas set for their job, fitted and swapped over the API; nothing is saved but by a save."""

from typing import Any

import pytest
from django.test import Client
from pytest_django import DjangoAssertNumQueries

from fernbell.server.formulas.models import Formula
from fernbell.server.rows.models import Change
from tests.server.api import entry_of, post, put


def one(client: Client, room: str, name: str) -> dict[str, Any]:
    items = client.get(f"/api/{room}", {"q": name}).json()["items"]
    return next(item for item in items if item["name"] == name)


def drawn(client: Client, name: str) -> tuple[str, dict[str, Any]]:
    """A formula's path and its entry as it is drawn up."""
    path = f"/api/formulas/{one(client, 'formulas', name)['id']}"
    row = client.get(path).json()
    return path, {**entry_of("formula", row), "job": row["job"], "whole_eggs": row["whole_eggs"]}


def ask(client: Client, path: str, body: dict[str, Any]) -> dict[str, Any]:
    answer = post(client, path, body)
    assert answer.status_code == 200, answer.content
    return answer.json()


def test_every_family_is_told_with_its_jobs_dials_and_rescue(demo: Client) -> None:
    told = demo.get("/api/formulas/families").json()
    assert len(told["families"]) >= 12
    for family in told["families"]:
        assert family["failures"]
        for job in family["jobs"]:
            assert job["band"] in {band["name"] for band in job["dial"]["bands"]}
            assert job["dial"]["moves"]
    assert {"set-number", "water-activity", "cost"} <= {fig["code"] for fig in told["figures"]}


def test_a_ganache_is_proposed_from_nothing_and_saved_with_its_job(demo: Client) -> None:
    before = Formula.objects.count()
    milk = one(demo, "ingredients", "Couverture, milk 38 %")["id"]
    wish = {"job": "ganache.slice", "picks": {"with": milk}, "finished_g": 800}
    found = ask(demo, "/api/formulas/propose", wish)
    assert Formula.objects.count() == before
    assert found["reading"]["landing"]["band"]["name"] == "slices"
    assert found["reading"]["judged"] == []
    assert found["reading"]["finished_g"] == pytest.approx(800, abs=2)
    assert found["picked"]["with"] == milk
    assert all(found["why"].values())
    saved = post(demo, "/api/formulas", {**found["entry"], "name": "Milk tart ganache"})
    assert saved.status_code == 201
    row = saved.json()
    assert row["job"] == "ganache.slice"
    assert row["method"][0]["temperature_c"] == 43
    reading = demo.get(f"/api/formulas/{row['id']}/reading").json()
    assert reading["landing"]["working"]["value"] == pytest.approx(1.2, abs=0.01)
    assert [slot["slot"] for slot in reading["sentence"]] == ["with", "on"]


def test_every_job_of_every_family_is_proposed_without_a_finding(demo: Client) -> None:
    for family in demo.get("/api/formulas/families").json()["families"]:
        for job in family["jobs"]:
            found = ask(demo, "/api/formulas/propose", {"job": job["key"]})
            assert found["reading"]["judged"] == [], job["key"]
            assert found["reading"]["landing"]["band"]["name"] == job["band"]
            assert set(found["picked"]) == {slot["slot"] for slot in job["slots"]}


def test_a_ganache_that_holds_in_a_warm_room_is_set_firmer(demo: Client) -> None:
    wish = {"job": "ganache.slice", "finished_g": 500}
    usual = ask(demo, "/api/formulas/propose", wish)["reading"]
    warm = ask(demo, "/api/formulas/propose", {**wish, "holds_at_c": 24})["reading"]
    assert warm["landing"]["working"]["value"] > usual["landing"]["working"]["value"]
    told = {own["name"]: own["says"] for own in warm["asides"]}
    assert int(told["Does its job up to"].split()[0]) >= 24
    bad = post(demo, "/api/formulas/propose", {**wish, "holds_at_c": 60})
    assert bad.status_code == 422
    assert "at most 36" in bad.json()["detail"]


def test_the_dial_moves_lines_and_readings_and_saves_nothing(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    changes = Change.objects.count()
    turned = ask(demo, f"{path}/turn", {"entry": entry, "value": 1.3})
    grams = {line["key"]: line["mass_g"] for line in turned["lines"]}
    assert grams["line-1"] < 214
    assert grams["line-0"] > 248
    landing = turned["reading"]["landing"]
    assert landing["working"]["value"] == pytest.approx(1.3, abs=0.01)
    assert turned["reading"]["finished_g"] == pytest.approx(529.2, abs=1.5)
    assert Change.objects.count() == changes
    caramel, sweet = drawn(demo, "Salted honey caramel")
    hotter = ask(demo, f"{caramel}/turn", {"entry": sweet, "value": 111})
    assert hotter["losses"]["cooked_to"]["value"] == 111
    assert hotter["reading"]["finished_g"] == pytest.approx(
        demo.get(f"{caramel}/reading").json()["finished_g"], abs=2
    )


def test_a_dial_without_a_job_or_out_of_reach_is_refused(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    no_job = post(demo, f"{path}/turn", {"entry": {**entry, "job": ""}, "value": 1.2})
    assert no_job.status_code == 422
    assert no_job.json()["errors"][0]["field"] == "job"
    far = post(demo, f"{path}/turn", {"entry": entry, "value": 99})
    assert far.status_code == 422
    assert "with these lines" in far.json()["detail"]
    bad = post(demo, f"{path}/what-if", {**entry, "job": "ganache.fly"})
    assert bad.status_code == 422
    assert "slice" in bad.json()["detail"]


def test_a_job_off_its_band_is_a_finding_with_its_remedy(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    entry["job"] = "ganache.pipe"
    reading = ask(demo, f"{path}/what-if", entry)
    found = next(own for own in reading["judged"] if own["finding"]["code"] == "reading-set-number")
    assert "below 1.32" in found["finding"]["message"]
    assert "slices" in found["finding"]["why"]
    for line in entry["lines"]:
        if line["key"] == found["mend"]["line"]:
            line["mass_g"] = found["mend"]["mass_g"]
    mended = ask(demo, f"{path}/what-if", entry)
    assert mended["landing"]["band"]["name"] == "pipes"


def test_a_fit_answers_with_lines_reasons_and_readings(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    demands = [
        {"kind": "reads", "figure": "dial", "least": 1.12, "most": 1.32},
        {"kind": "reads", "figure": "water-activity", "most": 0.88},
        {"kind": "finished", "mass_g": 1000},
    ]
    found = ask(demo, f"{path}/fit", {"entry": entry, "demands": demands})
    assert found["conflict"] == []
    read = {own["code"]: own["after"] for own in found["gauges"]}
    assert read["water-activity"]["value"] <= 0.8805
    assert 1.11 <= read["set-number"]["value"] <= 1.33
    assert any(line["because"] for line in found["lines"])
    assert found["kept_g"] is None


def test_a_fit_that_cannot_be_met_says_what_conflicts(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    demands = [
        {"kind": "reads", "figure": "set-number", "least": 1.6},
        {"kind": "locked", "line": "line-0"},
        {"kind": "locked", "line": "line-1"},
        {"kind": "reads", "figure": "fat", "most": 60},
    ]
    found = ask(demo, f"{path}/fit", {"entry": entry, "demands": demands})
    assert sorted(found["conflict"]) == [
        "Couverture, dark 66 % as it is",
        "Cream, 35 % as it is",
        "set number at least 1.6",
    ]


@pytest.mark.parametrize(
    ("demand", "field"),
    [
        ({"kind": "reads", "figure": "taste", "most": 1}, "figure"),
        ({"kind": "reads", "figure": "fat"}, "least"),
        ({"kind": "reads", "figure": "fat", "least": 9, "most": 3}, "most"),
        ({"kind": "finished", "mass_g": -4}, "mass_g"),
        ({"kind": "uses", "line": "line-0", "mass_g": -1}, "mass_g"),
        ({"kind": "proportion", "line": "line-0", "on": "line-0", "most": 1}, "on"),
        ({"kind": "wishes"}, "kind"),
    ],
)
def test_a_bad_demand_is_refused_at_its_field(
    demo: Client, demand: dict[str, Any], field: str
) -> None:
    path, entry = drawn(demo, "Dark ganache")
    answer = post(demo, f"{path}/fit", {"entry": entry, "demands": [demand]})
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == f"demands.0.{field}"


def test_a_swap_is_weighed_up_side_by_side(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    dark = one(demo, "ingredients", "Couverture, dark 66 %")["id"]
    white = one(demo, "ingredients", "Couverture, white 32 %")["id"]
    found = ask(demo, f"{path}/swap", {"entry": entry, "old": dark, "new": white})
    first = found["lines"][0]
    assert (first["before"], first["after"]) == ("Couverture, dark 66 %", "Couverture, white 32 %")
    assert first["before_g"] == first["straight_g"] == 248
    assert first["rebalanced_g"] > 300
    gauge = next(own for own in found["gauges"] if own["code"] == "set-number")
    assert not gauge["straight_fits"]
    assert gauge["rebalanced_fits"]
    # Milk and soy are in it already, so nothing is said of allergens.
    assert {note["about"] for note in found["notes"]} == {"order", "temperatures", "waits"}
    for old, new, field in (
        (white, dark, "old"),
        (dark, "0" * 8 + "-0000-4000-8000-" + "0" * 12, "new"),
    ):
        refused = post(demo, f"{path}/swap", {"entry": entry, "old": old, "new": new})
        assert refused.status_code == 422
        assert refused.json()["errors"][0]["field"] == field


def test_other_chocolates_for_the_same_job(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    answer = post(demo, f"{path}/others", entry)
    found = {own["name"]: own for own in answer.json()}
    assert found["Couverture, dark 66 %"]["now"]
    three = [found[f"Couverture, {name}"] for name in ("dark 70 %", "milk 38 %", "white 32 %")]
    assert three == sorted(three, key=lambda own: -own["liquid"]["value"])
    assert three == sorted(three, key=lambda own: own["sweetness"]["value"])


def test_drips_are_counted_for_a_cake(demo: Client) -> None:
    path, _ = drawn(demo, "Dark ganache")
    found = demo.get(f"{path}/drips?diameter_mm=180&length_mm=40").json()
    assert found["count"]["value"] == 23
    assert found["all"]["value"] == pytest.approx(23 * found["one"]["value"])
    assert demo.get(f"{path}/drips?diameter_mm=1&length_mm=40").status_code == 422
    assert demo.get(f"{path}/drips?diameter_mm=180&length_mm=4000").status_code == 422


class TestADessertAtOnce:
    def swap(self, demo: Client) -> tuple[str, dict[str, str]]:
        dessert = one(demo, "desserts", "Reedbed")["id"]
        milk = one(demo, "ingredients", "Milk, whole")["id"]
        oat = one(demo, "ingredients", "Oat drink")["id"]
        return f"/api/desserts/{dessert}", {"old": milk, "new": oat}

    def test_every_formula_that_holds_it_is_weighed_up(self, demo: Client) -> None:
        path, pair = self.swap(demo)
        used = {own["name"]: own["formulas"] for own in demo.get(f"{path}/ingredients").json()}
        found = post(demo, f"{path}/swap", pair).json()
        assert sorted(own["name"] for own in found) == sorted(used["Milk, whole"])
        assert all(own["swap"]["lines"] for own in found)
        assert all(own["used_by"] for own in found)

    def test_taking_it_changes_all_of_them_or_none(self, demo: Client) -> None:
        path, pair = self.swap(demo)
        found = post(demo, f"{path}/swap", pair).json()
        revisions = {own["formula"]: own["revision"] for own in found}
        body = {**pair, "way": "rebalanced", "revisions": revisions}
        stale = dict.fromkeys(revisions, 99)
        refused = post(demo, f"{path}/swap/take", {**body, "revisions": stale})
        assert refused.status_code == 409
        missing = post(demo, f"{path}/swap/take", {**body, "revisions": {}})
        assert missing.status_code == 422
        for own in found:
            assert demo.get(f"/api/formulas/{own['formula']}").json()["revision"] == 1
        taken = post(demo, f"{path}/swap/take", body)
        assert taken.status_code == 200
        assert taken.json()["changed"] == [own["name"] for own in found]
        for own in found:
            row = demo.get(f"/api/formulas/{own['formula']}").json()
            assert row["revision"] == 2
            lines = {line["key"]: line for line in row["lines"]}
            for line in own["swap"]["lines"]:
                assert lines[line["key"]]["mass_g"] == line["rebalanced_g"]
                assert lines[line["key"]]["name"] == line["after"]


def test_a_job_is_kept_in_revisions_and_brought_back(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    changed = put(demo, path, {"revision": 1, "data": {**entry, "job": "ganache.coat"}})
    assert changed.json()["job"] == "ganache.coat"
    back = post(demo, f"{path}/revisions/1/restore", {"revision": 2}).json()
    assert back["job"] == "ganache.slice"


def test_queries_of_setting_are_fixed(
    demo: Client, django_assert_max_num_queries: DjangoAssertNumQueries
) -> None:
    path, entry = drawn(demo, "Dark ganache")
    dark = one(demo, "ingredients", "Couverture, dark 66 %")["id"]
    milk = one(demo, "ingredients", "Couverture, milk 38 %")["id"]
    demands = [{"kind": "reads", "figure": "set-number", "least": 1.3}]
    with django_assert_max_num_queries(10):
        ask(demo, f"{path}/turn", {"entry": entry, "value": 1.3})
    with django_assert_max_num_queries(10):
        ask(demo, f"{path}/fit", {"entry": entry, "demands": demands})
    with django_assert_max_num_queries(11):
        ask(demo, f"{path}/swap", {"entry": entry, "old": dark, "new": milk})
    with django_assert_max_num_queries(10):
        ask(demo, "/api/formulas/propose", {"job": "ganache.slice"})


def test_a_sweet_chocolate_swapped_for_unsweetened_brings_its_sugar_as_a_line(demo: Client) -> None:
    path, entry = drawn(demo, "Dark ganache")
    dark, mass, sugar = (
        one(demo, "ingredients", name)["id"]
        for name in ("Couverture, dark 66 %", "Cocoa mass", "Sugar")
    )
    found = ask(demo, f"{path}/swap", {"entry": entry, "old": dark, "new": mass})
    new = [line for line in found["lines"] if line["added"]]
    assert [(line["added"], line["before"], line["straight_g"]) for line in new] == [(sugar, "", 0)]
    assert new[0]["rebalanced_g"] > 20
    assert {line["name"]: line["kept"] for line in found["kept"]}["Sweetness"]


def test_a_swap_in_a_whole_dessert_takes_the_sugar_in(demo: Client) -> None:
    items = demo.get("/api/desserts").json()["items"]
    dark, mass, sugar = (
        one(demo, "ingredients", name)["id"]
        for name in ("Couverture, dark 66 %", "Cocoa mass", "Sugar")
    )
    pair = {"old": dark, "new": mass}
    for item in items:
        path = f"/api/desserts/{item['id']}"
        weighed = ask(demo, f"{path}/swap", pair)
        adds = [one for one in weighed if any(line["added"] for line in one["swap"]["lines"])]
        if not adds:
            continue
        revisions = {one["formula"]: one["revision"] for one in weighed}
        taken = post(
            demo, f"{path}/swap/take", {**pair, "way": "rebalanced", "revisions": revisions}
        )
        assert taken.status_code == 200, taken.content
        lines = demo.get(f"/api/formulas/{adds[0]['formula']}").json()["lines"]
        assert sugar in {line["ingredient"] for line in lines}
        return
    pytest.fail("no dessert of the demo kitchen holds dark couverture without sugar beside it")
