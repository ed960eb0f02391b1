"""What the server works out: the same figures as core, with a fixed number of queries."""

from collections.abc import Callable

import pytest
from django.conf import settings as django_settings
from django.test import Client
from pytest_django import DjangoAssertNumQueries

from fernbell.core.desserts import solve
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from fernbell.server.demo import load_demo
from fernbell.server.kitchens.models import Kitchen, Member
from tests.server.api import Shelves, entry_of, made, post, put, stocked


def reedbed(client: Client) -> str:
    return f"/api/desserts/{client.get('/api/desserts?q=Reedbed').json()['items'][0]['id']}"


def test_the_demo_dessert_is_worked_out_as_core_does(demo: Client) -> None:
    solved, sheets = solve(REEDBED, demo_book(), 6)
    answer = demo.get(f"{reedbed(demo)}/solved").json()["solved"]
    assert [part["name"] for part in answer["parts"]] == [part.name for part in solved.parts]
    for got, part in zip(answer["parts"], solved.parts, strict=True):
        assert got["make"]["value"] == pytest.approx(part.make.value)
    assert answer["finished"]["value"] == pytest.approx(solved.finished.value)
    assert answer["findings"] == []
    pages = [one["page"] for one in demo.get(f"{reedbed(demo)}/sheets").json()["made"]]
    assert [page["sheet"]["name"] for page in pages] == [sheet.name for sheet in sheets]
    for page, sheet in zip(pages, sheets, strict=True):
        assert [line["mass_g"] for line in page["sheet"]["lines"]] == [
            line.mass_g for line in sheet.lines
        ]
        assert page["method"]
        assert set(page["workings"]) == {line["key"] for line in page["sheet"]["lines"]}


def test_another_count_is_worked_out_without_saving_it(demo: Client) -> None:
    one = demo.get(f"{reedbed(demo)}/solved?count=1").json()["solved"]
    assert one["count"] == 1
    assert demo.get(reedbed(demo)).json()["count"] == 6


def test_a_what_if_is_worked_out_as_if_it_were_saved(demo: Client) -> None:
    row = demo.get(reedbed(demo)).json()
    entry = {key: row[key] for key in ("name", "mold", "parts", "portions", "count")}
    told = post(demo, "/api/desserts/what-if", entry).json()
    assert told == demo.get(f"{reedbed(demo)}/solved").json()
    entry["parts"][4]["height_mm"] = 12
    thicker = post(demo, "/api/desserts/what-if", entry).json()["solved"]
    sponge = next(one for one in thicker["parts"] if one["name"] == "Brown-butter sponge")
    assert sponge["volume"]["value"] == pytest.approx(319.09, abs=0.01)  # pi/4 x 18.4² x 1.2
    assert demo.get(reedbed(demo)).json()["parts"][4]["height_mm"] == 9
    entry["parts"][4]["height_mm"] = -1
    refused = post(demo, "/api/desserts/what-if", entry).json()
    assert refused["errors"][0]["field"] == "parts.4.height_mm"


def test_queries_of_a_what_if_are_fixed(
    demo: Client, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    row = demo.get(reedbed(demo)).json()
    entry = {key: row[key] for key in ("name", "mold", "parts", "portions", "count")}
    # Who is asking, the molds, the book; at the same version the book is there.
    with django_assert_num_queries(3):
        post(demo, "/api/desserts/what-if", entry)
    with django_assert_num_queries(1):
        post(demo, "/api/desserts/what-if", entry)


QUERIES = {
    # Who is asking, then the row's own.
    "": 3,  # and the formulas it is made of
    "/solved": 4,
    "/sheets": 9,  # vessels, its formulas' heads, and the ingredients and notes of its lines
    "/history": 4,  # whether it is there, its changes, and how many
}


@pytest.mark.parametrize(("verb", "queries"), QUERIES.items())
def test_queries_of_a_dessert_are_fixed(
    demo: Client,
    verb: str,
    queries: int,
    django_assert_num_queries: DjangoAssertNumQueries,
) -> None:
    path = reedbed(demo) + verb
    with django_assert_num_queries(queries):
        assert demo.get(path).status_code == 200


LISTS = {"/api/desserts": 2, "/api/formulas": 2, "/api/ingredients": 3, "/api/molds": 2}


@pytest.mark.parametrize(("path", "queries"), LISTS.items())
def test_queries_of_a_list_do_not_grow_with_it(
    demo: Client, path: str, queries: int, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    with django_assert_num_queries(queries):
        assert demo.get(path).json()["total"] > 0


FORMULA_QUERIES = {"": 7, "/reading": 3, "/scaled?mass_g=100": 6}


@pytest.mark.parametrize(("verb", "queries"), FORMULA_QUERIES.items())
def test_queries_of_a_formula_do_not_grow_with_its_depth(
    demo: Client, verb: str, queries: int, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    formulas = demo.get("/api/formulas").json()["items"]
    for name in ("Brown butter", "Amber glaze"):
        path = next(
            f"/api/formulas/{formula['id']}" for formula in formulas if formula["name"] == name
        )
        with django_assert_num_queries(queries):
            assert demo.get(path + verb).status_code == 200


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def test_a_formula_is_scaled_to_a_mass_or_a_volume_and_not_to_both(shelves: Shelves) -> None:
    path = f"/api/formulas/{shelves.formula['id']}/scaled"
    by_mass = shelves.client.get(f"{path}?mass_g=500").json()
    assert by_mass[0]["sheet"]["lines"][0]["mass_g"] == 500
    assert shelves.client.get(f"{path}?volume_ml=250").json()[0]["sheet"]["batch_g"] == 250
    for query in ("", "?mass_g=5&volume_ml=5", "?mass_g=-1", "?mass_g=nan"):
        assert shelves.client.get(path + query).status_code == 422


def test_a_mold_refuses_more_than_its_brim_and_says_what_runs_over(shelves: Shelves) -> None:
    path = f"/api/molds/{shelves.mold['id']}/fill"
    assert post(shelves.client, path, {"volume_ml": 900}).json()["value"] == pytest.approx(
        35.37, abs=0.01
    )
    answer = post(shelves.client, path, {"volume_ml": 1200})
    assert answer.status_code == 422
    assert "54.89 ml" in answer.json()["detail"]


class TestTypedLines:
    def read(self, shelves: Shelves, text: str) -> dict:
        answer = post(shelves.client, "/api/formulas/read-line", {"text": text})
        assert answer.status_code == 200, answer.content
        return answer.json()

    def test_grams_and_cups_of_what_is_in_the_pantry(self, shelves: Shelves) -> None:
        read = self.read(shelves, "250 g cream")["certain"]
        assert (read["mass_g"], read["name"]) == (250, "Cream")
        # A new person's cups are metric; a country named is that country's.
        cup = self.read(shelves, "1 cup cream")["certain"]
        assert cup["mass_g"] == pytest.approx(250)
        us = self.read(shelves, "1 us cup cream")["certain"]
        assert us["mass_g"] == pytest.approx(236.588, abs=0.001)

    def test_an_exact_name_is_taken_and_a_longer_one_never(self, shelves: Shelves) -> None:
        made(shelves.client, "ingredient", {"name": "A cream of tartar"})
        assert self.read(shelves, "5 g cream")["certain"]["name"] == "Cream"
        begun = post(
            shelves.client, "/api/formulas/read-line", {"text": "5 g cre", "begun": True}
        ).json()
        names = [one["name"] for one in begun["choices"]]
        assert names == ["Cream", "A cream of tartar", "Soft cream"]

    def test_a_formula_can_be_typed_too_and_is_measured_with_its_air(
        self, shelves: Shelves
    ) -> None:
        read = self.read(shelves, "80 g soft cream")["certain"]
        assert (read["is_formula"], read["id"]) == (True, shelves.formula["id"])
        # Cream of 1.0 g/ml alone in it, not whipped.
        assert self.read(shelves, "80 ml soft cream")["certain"]["mass_g"] == pytest.approx(80)

    def test_an_unknown_name_is_handed_back(self, shelves: Shelves) -> None:
        read = self.read(shelves, "80 g moon dust")
        assert (read["name"], read["certain"], read["choices"]) == ("moon dust", None, [])
        assert "not in the pantry" in read["asks"]

    @pytest.mark.parametrize(
        "text", ["cream", "0 g cream", "2 cupps of cream", "-5 g cream", "1,200 g cream"]
    )
    def test_what_cannot_be_read_says_why_and_takes_nothing(
        self, shelves: Shelves, text: str
    ) -> None:
        read = self.read(shelves, text)
        assert read["certain"] is None
        assert read["asks"]


class TestProposals:
    """Measured for the dessert as it is drawn, saved or not; nothing is changed."""

    def entry(self, shelves: Shelves) -> dict:
        return entry_of("dessert", shelves.dessert)

    def test_a_part(self, shelves: Shelves) -> None:
        body = {
            "dessert": self.entry(shelves),
            "rule": "fill",
            "key": "new",
            "formula": shelves.formula["id"],
        }
        part = post(shelves.client, "/api/desserts/propose", body).json()["part"]
        assert part == {
            "rule": "fill",
            "key": "new",
            "formula": body["formula"],
            "name": "",
            "level_mm": None,
            "shrink_percent": 0.0,
            "waste_percent": 0.0,
        }
        body["dessert"]["parts"] += [part]
        refused = post(shelves.client, "/api/desserts/propose", body)
        assert refused.status_code == 422
        assert "already fills" in refused.json()["detail"]

    def test_a_layer_on_top_of_an_insert_that_is_not_saved_yet(self, shelves: Shelves) -> None:
        formula = shelves.formula["id"]
        layer = {"key": "low", "formula": formula, "height_mm": 6}
        insert = {"rule": "insert", "key": "heart", "across_mm": 140, "lift_mm": 24}
        entry = self.entry(shelves)
        entry["parts"] += [{**insert, "layers": [layer]}]
        body = {"dessert": entry, "into": "heart", "key": "high", "formula": formula}
        part = post(shelves.client, "/api/desserts/propose", body).json()["part"]
        assert [one["key"] for one in part["layers"]] == ["high", "low"]
        assert part["layers"][0]["height_mm"] == 5
        body["into"] = "gone"
        assert post(shelves.client, "/api/desserts/propose", body).status_code == 422

    def test_another_mold(self, shelves: Shelves) -> None:
        shape = {"form": "frame", "length_mm": 300, "width_mm": 200, "height_mm": 40}
        frame = made(shelves.client, "mold", {"name": "Frame", "shape": shape})
        body = {"dessert": self.entry(shelves), "mold": frame["id"]}
        fitted = post(shelves.client, "/api/desserts/refit", body).json()
        assert fitted["portions"] == {"cut": "grid", "columns": 5, "rows": 3}
        assert fitted["parts"][0]["across_mm"] == 290
        path = f"/api/desserts/{shelves.dessert['id']}"
        assert shelves.client.get(path).json() == shelves.dessert


def test_a_new_formula_starts_with_the_usual_losses(shelves: Shelves) -> None:
    losses = made(shelves.client, "formula", {"name": "Plain"})["losses"]
    shares = {"cooking_percent": 0, "pan_percent": 2, "tasting_percent": 0}
    assert losses == {**shares, "cooked_to": None}


def test_the_demo_is_loaded_once(demo: Client) -> None:
    assert load_demo() is False
    assert Kitchen.objects.count() == 1
    assert demo.get("/api/ingredients").json()["total"] >= 60


def test_settings_are_fit_to_serve() -> None:
    assert django_settings.DEBUG is False
    assert django_settings.SESSION_COOKIE_HTTPONLY


def test_the_sheets_of_a_dessert_say_how_thick_it_is_drawn(demo: Client) -> None:
    def pours() -> str:
        made = demo.get(reedbed(demo) + "/sheets").json()["made"]
        quince = next(one["page"] for one in made if one["page"]["sheet"]["name"] == "Quince, set")
        return next(step["text"] for step in quince["method"] if step["stage"] == "pour")

    assert pours() == "Pour 10 mm into a filmed ring of 16 cm on a tray; freeze."
    row = demo.get(reedbed(demo)).json()
    entry = {key: row[key] for key in ("name", "mold", "built", "parts", "portions", "count")}
    insert = next(part for part in entry["parts"] if part["rule"] == "insert")
    for layer in insert["layers"]:
        layer["height_mm"] = 14 if layer["height_mm"] == 10 else layer["height_mm"]
    answer = put(demo, reedbed(demo), {"revision": row["revision"], "data": entry})
    assert answer.status_code == 200, answer.content
    assert pours().startswith("Pour 14 mm into")
