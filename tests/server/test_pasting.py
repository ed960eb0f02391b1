"""Pasted lists, several ingredients at once, steps with waits, molds by water."""

from collections.abc import Callable
from typing import Any

import pytest
from django.test import Client
from pytest_django import DjangoAssertNumQueries

from fernbell.server.kitchens.models import Member
from fernbell.server.rows.models import Change
from tests.server.api import Shelves, entry_of, made, post, put, stocked


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def read(shelves: Shelves, text: str, **more: Any) -> list[dict[str, Any]]:
    answer = post(shelves.client, "/api/formulas/read-list", {"text": text, **more})
    assert answer.status_code == 200, answer.content
    return answer.json()


def test_a_list_is_understood_with_this_kitchens_names_and_nothing_changes(
    shelves: Shelves,
) -> None:
    made(
        shelves.client,
        "ingredient",
        {"name": "Egg yolk", "pieces": [{"name": "yolk, M", "mass_g": 18}]},
    )
    lines = read(shelves, "Mousse\n250 ml cream\n3 yolks\n10 g medlar\n100 g soft cream\n2 cream\n")
    cream, yolks, medlar, soft, counted = lines[1:]
    assert lines[0]["heading"]
    assert (cream["certain"]["mass_g"], cream["certain"]["name"]) == (250, "Cream")  # 1.0 g/ml
    # Nobody called a yolk of this kitchen 'yolk' yet: it is asked.
    assert yolks["certain"] is None
    assert (yolks["choices"][0]["mass_g"], yolks["choices"][0]["name"]) == (54, "Egg yolk")
    assert (medlar["certain"], medlar["choices"], medlar["name"]) == (None, [], "medlar")
    assert soft["certain"]["is_formula"]
    assert counted["certain"] is None
    assert "not counted in pieces" in counted["asks"]
    assert shelves.client.get("/api/ingredients").json()["total"] == 2


def test_a_formula_is_not_offered_as_a_line_of_itself(shelves: Shelves) -> None:
    (line,) = read(shelves, "100 g soft cream", within=shelves.formula["id"])
    assert (line["certain"], line["choices"]) == (None, [])
    assert "a line of itself" in line["asks"]


def test_queries_do_not_grow_with_the_list(
    shelves: Shelves, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    read(shelves, "10 g cream")
    # Who is asking, what may be meant, and how those ingredients and formulas are weighed.
    with django_assert_num_queries(4):
        read(shelves, "10 g cream")
    with django_assert_num_queries(4):
        read(shelves, "10 g cream\n" * 200)


def test_lists_too_long_are_refused(shelves: Shelves) -> None:
    body = {"text": "10 g cream\n" * 301}
    answer = post(shelves.client, "/api/formulas/read-list", body)
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "text"
    assert (
        post(shelves.client, "/api/formulas/read-list", {"text": "x" * 60_001}).status_code == 422
    )


def test_another_kitchens_names_are_not_offered(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    body = {"text": "10 g cream"}
    answer = post(as_member(stranger), "/api/formulas/read-list", body).json()
    assert (answer[0]["certain"], answer[0]["choices"]) == (None, [])


def test_pantry_lines_say_what_is_there_already(shelves: Shelves) -> None:
    body = {"text": "CREAM\nMedlar, 1.05\nLead, 99"}
    there, fresh, wrong = post(shelves.client, "/api/ingredients/read-list", body).json()
    assert there["there"]
    assert (fresh["name"], fresh["density_g_ml"], fresh["there"]) == ("Medlar", 1.05, False)
    assert "25 g/ml" in wrong["refusal"]


def test_several_ingredients_are_written_all_or_none(shelves: Shelves) -> None:
    rows = [{"name": "Medlar", "density_g_ml": 1.05}, {"name": "Thyme"}]
    answer = post(shelves.client, "/api/ingredients/many", {"rows": rows})
    assert [one["name"] for one in answer.json()] == ["Medlar", "Thyme"]
    assert Change.objects.filter(kind="ingredient", action="created").count() == 3
    bad = [{"name": "Sorrel"}, {"name": "cream"}]
    refused = post(shelves.client, "/api/ingredients/many", {"rows": bad})
    assert refused.status_code == 422
    assert refused.json()["errors"][0]["field"] == "rows.1.name"
    wrong = post(
        shelves.client, "/api/ingredients/many", {"rows": [{"name": "X", "density_g_ml": 99}]}
    )
    assert wrong.json()["errors"][0]["field"] == "rows.0.density_g_ml"
    assert shelves.client.get("/api/ingredients").json()["total"] == 3


def test_steps_keep_their_waits(shelves: Shelves) -> None:
    entry = entry_of("formula", shelves.formula)
    wait = {"kind": "freeze", "least_min": 120, "most_min": 240, "placed": True}
    entry["method"] = [{"text": "Boil."}, {"text": "Pour, freeze.", "wait": wait}, {"text": " "}]
    path = f"/api/formulas/{shelves.formula['id']}"
    kept = put(shelves.client, path, {"revision": 1, "data": entry}).json()["method"]
    told = [(one["text"], one["wait"]) for one in kept]
    assert told == [("Boil.", None), ("Pour, freeze.", wait)]
    stages = shelves.client.get(f"/api/desserts/{shelves.dessert['id']}/solved").json()["solved"]
    base = next(stage for stage in stages["stages"] if stage["code"] == "base")
    assert (base["wait_says"], base["wait_source"]) == (
        "freeze 2–4 h",
        "the method of Soft cream",
    )


def test_a_new_formula_takes_its_kind_from_what_it_is_to_do(shelves: Shelves) -> None:
    fill = made(shelves.client, "formula", {"name": "Cloud", "does": "fill"})
    own = made(shelves.client, "formula", {"name": "Mist", "does": "fill", "kind": "cream"})
    assert (fill["kind"], fill["does"]) == ("mousse", "fill")
    assert own["kind"] == "cream"


@pytest.mark.parametrize(
    ("wait", "field"),
    [
        ({"kind": "freeze", "least_min": 0}, "method.0.wait.least_min"),
        ({"kind": "freeze", "least_min": 60, "most_min": 30}, "method.0.wait.most_min"),
        ({"kind": "nap", "least_min": 60}, "method.0.wait.kind"),
    ],
)
def test_waits_that_cannot_be_are_refused_at_their_field(
    shelves: Shelves, wait: dict[str, Any], field: str
) -> None:
    entry = {**entry_of("formula", shelves.formula), "method": [{"text": "Wait.", "wait": wait}]}
    path = f"/api/formulas/{shelves.formula['id']}"
    answer = put(shelves.client, path, {"revision": 1, "data": entry})
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == field


def test_water_makes_the_mold_as_wide_as_it_is(shelves: Shelves) -> None:
    path = f"/api/molds/{shelves.mold['id']}"
    # pi/4 x 18² x 4.5 = 1145.1 ml by its sizes.
    entry = {**entry_of("mold", shelves.mold), "water_g": 1088}
    told = put(shelves.client, path, {"revision": 1, "data": entry}).json()
    assert told["shape"]["diameter_mm"] == 180
    assert told["figures"]["capacity"]["value"] == pytest.approx(1088)
    assert told["figures"]["water"]["value"] == pytest.approx(-4.99, abs=0.01)
    drawn = shelves.client.get(f"/api/desserts/{shelves.dessert['id']}/solved").json()
    assert drawn["shape"]["diameter_mm"] == pytest.approx(175.45, abs=0.01)
    refused = put(shelves.client, path, {"revision": 2, "data": {**entry, "water_g": 100}})
    assert refused.json()["errors"][0]["field"] == "water_g"
    assert shelves.client.get(path).json()["water_g"] == 1088


def test_rows_are_found_with_or_without_accents(shelves: Shelves) -> None:
    made(shelves.client, "ingredient", {"name": "Crème fraîche"})
    for words in ("creme fraiche", "CRÈME", "fraîche"):
        found = shelves.client.get("/api/names", {"shelf": "ingredients", "q": words}).json()
        assert [one["name"] for one in found] == ["Crème fraîche"], words
    (line,) = read(shelves, "100 g creme fraiche")
    assert line["certain"]["name"] == "Crème fraîche"


def test_a_make_up_is_kept_and_read_in_the_formulas_that_weigh_it(shelves: Shelves) -> None:
    path = f"/api/ingredients/{shelves.ingredient['id']}"
    reading = f"/api/formulas/{shelves.formula['id']}/reading"

    def gauges() -> dict[str, Any]:
        found = shelves.client.get(reading).json()["gauges"]
        return {one["gauge"]["name"]: one["gauge"] for one in found}

    unknown = gauges()
    assert (unknown["Water"]["working"], unknown["Water"]["needs"]) == (None, ["Cream"])
    entry = entry_of("ingredient", shelves.ingredient)
    entry["make_up"] = {"water": 60, "milk_fat": 35, "lactose": 3}
    kept = put(shelves.client, path, {"revision": 1, "data": entry}).json()["make_up"]
    assert (kept["milk_fat"], kept["protein"]) == (35, None)
    known = gauges()
    assert known["Water"]["working"]["value"] == pytest.approx(60)
    assert known["Fat"]["needs"] == ["Cream"]  # its other fats are unknown, not none
    entry["make_up"] = {"water": 90, "milk_fat": 35}
    refused = put(shelves.client, path, {"revision": 2, "data": entry}).json()
    assert refused["errors"][0]["field"] == "make_up.make_up"
    assert "100 g in all" in refused["errors"][0]["message"]
