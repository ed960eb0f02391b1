"""The pantry and the formulas in depth: prices, kinds, cooking to a sign, revisions, the bite."""

from collections.abc import Callable
from importlib import import_module
from typing import Any

import pytest
from django.test import Client
from pytest_django import DjangoAssertNumQueries

from fernbell.core.pantry import COMPONENTS
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.models import Member
from fernbell.server.rows.history import snapshot_at
from fernbell.server.rows.models import Change
from tests.server.api import Shelves, entry_of, made, post, put, stocked


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def change(shelves: Shelves, kind: str, row: dict[str, Any], **fields: Any) -> dict[str, Any]:
    """Put a change on a row; what the server answers."""
    path = {"ingredient": "ingredients", "formula": "formulas"}[kind]
    entry = {**entry_of(kind, row), **fields}
    answer = put(
        shelves.client,
        f"/api/{path}/{row['id']}",
        {"revision": row["revision"], "data": entry},
    )
    return answer.json()


def gauges(client: Client, formula: dict[str, Any]) -> dict[str, Any]:
    """Readings of a formula by code."""
    found = client.get(f"/api/formulas/{formula['id']}/reading").json()["gauges"]
    return {one["gauge"]["code"]: one["gauge"] for one in found}


SUGAR = {"name": "Sugar", "density_g_ml": 1.59, "make_up": None}
WHOLE = dict.fromkeys(COMPONENTS, 0)


def syrup(shelves: Shelves, **losses: Any) -> dict[str, Any]:
    """A formula of 1000 g sugar and 350 g water."""
    sugar = made(shelves.client, "ingredient", SUGAR | {"make_up": WHOLE | {"sucrose": 100}})
    water = made(
        shelves.client,
        "ingredient",
        {"name": "Water", "density_g_ml": 1, "make_up": WHOLE | {"water": 100}},
    )
    lines = [
        {"key": "s", "mass_g": 1000, "ingredient": sugar["id"]},
        {"key": "w", "mass_g": 350, "ingredient": water["id"]},
    ]
    return made(
        shelves.client,
        "formula",
        {"name": "Syrup", "kind": "caramel", "lines": lines, "losses": losses},
    )


SIGN = {"until": "temperature", "value": 118}


# 118 °C is 87.1 % sucrose: 148.4 g water are left of 350 (outside check S-P07).
def test_a_formula_is_cooked_to_a_temperature(shelves: Shelves) -> None:
    own = syrup(shelves, cooked_to=SIGN)
    read = shelves.client.get(f"/api/formulas/{own['id']}/reading").json()
    assert read["finished_g"] == pytest.approx(1148.4, abs=0.5)
    assert read["cooking"]["value"] == pytest.approx(14.94, abs=0.05)
    scaled = shelves.client.get(f"/api/formulas/{own['id']}/scaled?mass_g=1148.4").json()
    assert scaled[0]["sheet"]["factor"] == pytest.approx(1, abs=0.001)


def test_altitude_is_the_kitchens_and_only_the_chef_sets_it(
    shelves: Shelves, cook: Member, as_member: Callable[[Member], Client]
) -> None:
    own = syrup(shelves, cooked_to=SIGN)
    facts = {"altitude_m": 1500, "currency": "CHF", "time_zone": "Europe/Zurich"}
    assert put(as_member(cook), "/api/members/kitchen", facts).status_code == 403
    low = gauges(shelves.client, own)
    answer = put(shelves.client, "/api/members/kitchen", facts)
    assert answer.json()["person"]["kitchen"]["currency"] == "CHF"
    (logged,) = Change.objects.filter(kind="kitchen")
    assert logged.fields == {
        "altitude_m": [0, 1500],
        "currency": ["EUR", "CHF"],
        "time_zone": ["UTC", "Europe/Zurich"],
    }
    high = gauges(shelves.client, own)
    assert high["boils"]["working"]["value"] == pytest.approx(118, abs=0.1)
    assert high["water"]["working"]["value"] < low["water"]["working"]["value"]
    # 90.3 % sucrose at 118 °C and 1500 m (outside check S-P06).
    assert 100 - high["water"]["working"]["value"] == pytest.approx(90.3, abs=0.2)


def test_a_draft_is_read_without_being_saved(shelves: Shelves) -> None:
    own = syrup(shelves, cooked_to=SIGN)
    entry = entry_of("formula", shelves.client.get(f"/api/formulas/{own['id']}").json())
    entry["lines"][0]["mass_g"] = 2000
    drafted = post(shelves.client, f"/api/formulas/{own['id']}/what-if", entry).json()
    saved = shelves.client.get(f"/api/formulas/{own['id']}/reading").json()
    # Twice the sugar holds twice the water at 118 °C, and 350 g are still more than that.
    assert drafted["finished_g"] == pytest.approx(2 * 1148.4, abs=1)
    assert saved["finished_g"] == pytest.approx(1148.4, abs=0.5)
    same = entry_of("formula", shelves.client.get(f"/api/formulas/{own['id']}").json())
    again = post(shelves.client, f"/api/formulas/{own['id']}/what-if", same).json()
    assert {one["gauge"]["code"]: one["gauge"]["working"] for one in again["gauges"]} == {
        one["gauge"]["code"]: one["gauge"]["working"] for one in saved["gauges"]
    }
    nested = {**line_of(own), "key": "n"}
    refused = post(
        shelves.client, f"/api/formulas/{own['id']}/what-if", {**same, "lines": [nested]}
    )
    assert refused.status_code == 422
    assert "cannot contain itself" in refused.json()["detail"]


def line_of(formula: dict[str, Any]) -> dict[str, Any]:
    return {"mass_g": 10, "formula": formula["id"]}


@pytest.mark.parametrize(
    ("facts", "field"),
    [
        ({"altitude_m": 9000}, "altitude_m"),
        ({"currency": "euro"}, "currency"),
        ({"currency": "EUX"}, "currency"),
        ({"currency": "eur"}, "currency"),
        ({"time_zone": "Europe/Nowhere"}, "time_zone"),
        ({"time_zone": "../../etc/passwd"}, "time_zone"),
        ({"time_zone": ""}, "time_zone"),
    ],
)
def test_facts_that_cannot_be_are_refused(
    shelves: Shelves, facts: dict[str, Any], field: str
) -> None:
    plain = {"altitude_m": 10, "currency": "EUR", "time_zone": "UTC"}
    refused = put(shelves.client, "/api/members/kitchen", {**plain, **facts}).json()
    assert refused["errors"][0]["field"] == field


@pytest.mark.parametrize(
    ("sign", "says"),
    [
        ({"until": "temperature", "value": 190}, "at most 157"),
        ({"until": "brix", "value": 120}, "at most 98"),
        ({"until": "weight", "value": 0}, "more than 0"),
        ({"until": "smell", "value": 3}, "temperature"),
    ],
)
def test_a_sign_that_cannot_be_is_refused(
    shelves: Shelves, sign: dict[str, Any], says: str
) -> None:
    refused = change(
        shelves, "formula", shelves.formula, losses={"cooking_percent": 1, "cooked_to": sign}
    )
    assert says in refused["errors"][0]["message"]


def test_a_persons_cups_are_what_a_typed_cup_means(shelves: Shelves) -> None:
    mine = {"measures": "US", "fahrenheit": True, "inches": True}
    answer = put(shelves.client, "/api/members/me/preferences", mine)
    assert answer.json()["person"]["preferences"] == mine
    read = post(shelves.client, "/api/formulas/read-line", {"text": "1 cup cream"}).json()
    assert read["certain"]["mass_g"] == pytest.approx(236.588, abs=0.001)
    kitchen = shelves.client.get(f"/api/formulas/{shelves.formula['id']}/reading").json()["kitchen"]
    assert "US cups" in kitchen[0]["working"]["figure"]
    sheet = shelves.client.get(f"/api/formulas/{shelves.formula['id']}/scaled?mass_g=500").json()[0]
    (said,) = sheet["kitchen"].values()
    assert "cups" in said["text"]


def test_prices_have_a_history_and_make_the_cost(shelves: Shelves) -> None:
    pack = {
        "name": "1 l",
        "mass_g": 1000,
        "prices": [{"since": "2020-01-01", "price": 4}, {"since": "2024-01-01", "price": 5}],
    }
    later = {"since": "2999-01-01", "price": 99}
    kept = change(
        shelves,
        "ingredient",
        shelves.ingredient,
        packs=[{**pack, "prices": [*pack["prices"], later]}],
    )
    assert kept["price_per_kg"] == 5
    assert len(kept["packs"][0]["prices"]) == 3
    cost = gauges(shelves.client, shelves.formula)["cost"]
    assert cost["other"]["unit"] == "EUR the batch"
    assert cost["working"] is not None
    refused = change(
        shelves, "ingredient", kept, packs=[{**pack, "prices": [pack["prices"][0]] * 2}]
    )
    assert "one a day" in refused["errors"][0]["message"]


@pytest.mark.parametrize(
    ("fields", "path", "says"),
    [
        ({"make_up": {"milk_fat": 120}}, "make_up.milk_fat", "at most 100"),
        ({"make_up": {"water": 80, "sucrose": 60}}, "make_up.make_up", "100 g in all"),
        ({"make_up": {"gelatin": 80, "bloom": 900}}, "make_up.bloom", "at most 320"),
        ({"make_up": {"polyols": 80, "polyol": "candy"}}, "make_up.polyol", "sorbitol"),
        ({"allergens": ["milk", "moss"]}, "allergens", "gluten"),
        (
            {"chocolate": {"kind": "compound", "cocoa_percent": 9, "temper": None}},
            "",
            "",
        ),
        (
            {
                "chocolate": {
                    "kind": "dark",
                    "cocoa_percent": 66,
                    "temper": {"melt_c": 48, "cool_c": 33, "work_c": 31},
                }
            },
            "chocolate.temper.work_c",
            "between",
        ),
        (
            {"keeping": [{"condition": "opened", "store": "cold", "days": -2}]},
            "keeping.0.days",
            "more than 0",
        ),
        (
            {"keeping": [{"condition": "opened", "store": "cold"}] * 2},
            "keeping",
            "each condition once",
        ),
        (
            {"keeping": [{"condition": "thawed", "store": "frozen"}]},
            "keeping.0.store",
            "cold or dry",
        ),
        ({"states": [{"name": "sifted", "density_g_ml": 90}]}, "states.0.density_g_ml", "25"),
    ],
)
def test_an_entry_that_cannot_be_is_refused_at_its_field(
    shelves: Shelves, fields: dict[str, Any], path: str, says: str
) -> None:
    answer = change(shelves, "ingredient", shelves.ingredient, **fields)
    if not path:
        assert answer["revision"] == 2
        return
    assert answer["errors"][0]["field"] == path
    assert says in answer["errors"][0]["message"]
    assert (
        shelves.client.get(f"/api/ingredients/{shelves.ingredient['id']}").json()["revision"] == 1
    )


def test_allergens_not_entered_are_not_none(shelves: Shelves) -> None:
    reading = f"/api/formulas/{shelves.formula['id']}/reading"
    assert shelves.client.get(reading).json()["declared"]["unknown"] == ["Cream"]
    change(shelves, "ingredient", shelves.ingredient, allergens=["milk"])
    declared = shelves.client.get(reading).json()["declared"]
    assert declared == {"contains": {"milk": ["Cream"]}, "unknown": []}


def test_three_hundred_and_one_lines_are_refused_and_nothing_is_lost(shelves: Shelves) -> None:
    line = {"mass_g": 1, "ingredient": shelves.ingredient["id"]}
    lines = [{**line, "key": f"l{i}"} for i in range(301)]
    refused = change(shelves, "formula", shelves.formula, lines=lines)
    assert "300" in refused["errors"][0]["message"]
    kept = shelves.client.get(f"/api/formulas/{shelves.formula['id']}").json()
    assert kept["lines"] == shelves.formula["lines"]


def test_eggs_kept_whole_on_the_sheet(shelves: Shelves) -> None:
    egg = made(
        shelves.client,
        "ingredient",
        {"name": "Egg", "egg": "whole", "pieces": [{"name": "egg", "mass_g": 50}]},
    )
    lines = [{"key": "e", "mass_g": 100, "ingredient": egg["id"]}]
    own = made(shelves.client, "formula", {"name": "Omelet", "lines": lines, "whole_eggs": True})
    sheet = shelves.client.get(f"/api/formulas/{own['id']}/scaled?mass_g=230").json()[0]["sheet"]
    # 230 g are 98 % of 4.69 eggs: five are cracked.
    assert sheet["lines"][0]["mass_g"] == 250
    assert sheet["eggs"]["cracked"] == 5


def test_what_is_strained_out_is_paid_for_and_declared_and_does_not_arrive(
    shelves: Shelves,
) -> None:
    pack = {"name": "bag", "mass_g": 1000, "prices": [{"since": "2024-01-01", "price": 10}]}
    leaves = made(
        shelves.client,
        "ingredient",
        {
            "name": "Tea",
            "make_up": WHOLE | {"fiber": 100},
            "allergens": ["celery"],
            "packs": [pack],
        },
    )
    change(
        shelves,
        "ingredient",
        shelves.ingredient,
        make_up=WHOLE | {"water": 60, "milk_fat": 40},
        packs=[pack],
    )
    lines = [
        {"key": "c", "mass_g": 200, "ingredient": shelves.ingredient["id"]},
        {"key": "t", "mass_g": 50, "ingredient": leaves["id"], "strained_percent": 100},
    ]
    own = made(
        shelves.client,
        "formula",
        {"name": "Infusion", "lines": lines, "losses": {"pan_percent": 0}},
    )
    read = shelves.client.get(f"/api/formulas/{own['id']}/reading").json()
    assert (read["batch_g"], read["finished_g"]) == (250, 200)
    found = gauges(shelves.client, own)
    assert found["water"]["working"]["value"] == pytest.approx(60)
    # 0.25 kg at 10 for 200 g that arrive.
    assert found["cost"]["working"]["value"] == pytest.approx(1.25)
    assert "celery" in read["declared"]["contains"]


def test_leaves_of_gelatin_are_typed_soaked_and_bring_their_water(shelves: Shelves) -> None:
    leaf = {
        "name": "Leaf gelatin",
        "make_up": WHOLE | {"water": 12, "gelatin": 88, "bloom": 200},
        "pieces": [{"name": "leaf", "mass_g": 2}],
    }
    made(shelves.client, "ingredient", leaf)
    typed = post(shelves.client, "/api/formulas/read-line", {"text": "5 leaves gelatin"}).json()
    soaked, mass = typed["certain"]["soaked"], typed["certain"]["mass_g"]
    assert (mass, soaked) == (10, 5)
    lines = [{"key": "g", "mass_g": mass, "soaked": soaked, "ingredient": typed["certain"]["id"]}]
    entry = {"name": "Squeezed", "lines": lines, "losses": {"pan_percent": 0}}
    own = made(shelves.client, "formula", entry)
    assert own["lines"][0]["soaked"] == 5
    read = shelves.client.get(f"/api/formulas/{own['id']}/reading").json()
    # By hand: 10 g take up 50 g; 1.2 + 50 g of water in 60 g.
    assert (read["batch_g"], read["finished_g"]) == (10, 60)
    water = gauges(shelves.client, own)["water"]["working"]["value"]
    assert water == pytest.approx(100 * 51.2 / 60)


@pytest.mark.parametrize(("field", "value"), [("strained_percent", 101), ("soaked", -1)])
def test_a_share_out_of_range_is_refused_at_its_line(
    shelves: Shelves, field: str, value: float
) -> None:
    row = shelves.client.get(f"/api/formulas/{shelves.formula['id']}").json()
    line = {**entry_of("formula", row)["lines"][0], field: value}
    refused = change(shelves, "formula", row, lines=[line])
    assert refused["status"] == 422
    assert refused["errors"][0]["field"] == f"lines.0.{field}"


@pytest.mark.parametrize("kept", [None, 0.6])
def test_the_air_of_a_foam_is_the_same_scaled_as_read(shelves: Shelves, kept: float | None) -> None:
    """A sheet is read without make-ups where it can be; what is folded is told by them."""
    sugar = made(
        shelves.client,
        "ingredient",
        {"name": "Sugar", "density_g_ml": 1.59, "make_up": WHOLE | {"sucrose": 100}},
    )
    cream = shelves.ingredient["id"]
    lines = [
        {"key": "c", "mass_g": 300, "ingredient": cream, "overrun_percent": 100},
        {"key": "s", "mass_g": 60, "ingredient": sugar["id"]},
    ]
    entry = {"name": "Whipped", "lines": lines, "gas_kept": kept, "losses": {"pan_percent": 0}}
    own = made(shelves.client, "formula", entry)
    read = shelves.client.get(f"/api/formulas/{own['id']}/reading").json()
    assert read["gas_kept"] == (kept or 1)
    path = f"/api/formulas/{own['id']}/scaled?volume_ml=1000"
    sheet = shelves.client.get(path).json()[0]["sheet"]
    assert sheet["finished_g"] == pytest.approx(1000 * read["density"]["value"], rel=0.01)


def test_what_was_one_keeping_is_one_a_condition() -> None:
    moved = import_module("fernbell.server.pantry.migrations.0007_keeping_by_condition")
    assert moved.by_condition(None) == []
    assert moved.by_condition({"store": "dry", "days": 90}) == [
        {"condition": "closed", "store": "dry", "days": 90}
    ]
    frozen = moved.by_condition({"store": "frozen", "days": 540, "opened_days": 3})
    assert frozen[1] == {"condition": "thawed", "store": "cold", "days": 3}
    assert moved.by_condition(frozen) == frozen


def test_what_older_changes_tell_of_straining_is_said_the_new_way() -> None:
    moved = import_module("fernbell.server.formulas.migrations.0010_by_share")
    lines = [{"key": "a", "strained": True}, {"key": "b", "strained": False}, {"key": "c"}]
    assert moved.renewed(lines)
    assert lines == [
        {"key": "a", "strained_percent": 100},
        {"key": "b", "strained_percent": 0},
        {"key": "c"},
    ]
    assert not moved.renewed(lines)


class TestRevisions:
    def revisions(self, shelves: Shelves) -> list[dict[str, Any]]:
        path = f"/api/formulas/{shelves.formula['id']}/revisions"
        return shelves.client.get(path).json()["items"]

    def more_cream(self, shelves: Shelves, grams: float) -> dict[str, Any]:
        row = shelves.client.get(f"/api/formulas/{shelves.formula['id']}").json()
        lines = entry_of("formula", row)["lines"]
        return change(shelves, "formula", row, lines=[{**lines[0], "mass_g": grams}])

    def test_every_save_is_one_and_says_what_it_changed(self, shelves: Shelves) -> None:
        was = shelves.formula["lines"][0]["mass_g"]
        self.more_cream(shelves, 321)
        newest, first = self.revisions(shelves)
        assert (newest["revision"], newest["says"]) == (2, [f"Cream {was:g} → 321 g"])
        assert first["action"] == "created"

    def test_one_is_named_and_marked(self, shelves: Shelves) -> None:
        path = f"/api/formulas/{shelves.formula['id']}/revisions/1"
        put(shelves.client, path, {"name": "less sweet", "good": True})
        self.more_cream(shelves, 321)
        first = self.revisions(shelves)[-1]
        assert (first["name"], first["good"]) == ("less sweet", True)
        assert put(shelves.client, path[:-1] + "7", {"name": "x"}).status_code == 404

    def test_two_are_compared_line_by_line_and_reading_by_reading(self, shelves: Shelves) -> None:
        change(
            shelves, "ingredient", shelves.ingredient, make_up=WHOLE | {"water": 60, "milk_fat": 40}
        )
        self.more_cream(shelves, 321)
        path = f"/api/formulas/{shelves.formula['id']}/compare?before=1&after=2"
        both = shelves.client.get(path).json()
        line = both["lines"][0]
        assert (line["name"], line["after_g"]) == ("Cream", 321)
        assert line["before_g"] == shelves.formula["lines"][0]["mass_g"]
        water = next(one for one in both["gauges"] if one["name"] == "Water")
        assert water["before"]["value"] == pytest.approx(water["after"]["value"])
        assert shelves.client.get(path.replace("after=2", "after=9")).status_code == 404

    def test_each_of_many_is_what_was_saved_whatever_was_saved_long_after(
        self, shelves: Shelves
    ) -> None:
        grams = [shelves.formula["lines"][0]["mass_g"], *(100.0 + i for i in range(44))]
        for one in grams[1:]:
            self.more_cream(shelves, one)
        row = Formula.objects.get(pk=shelves.formula["id"])
        member = Member.objects.get(kitchen=row.kitchen_id)

        def gram_at(revision: int) -> float:
            return snapshot_at(member, FORMULA, row, revision)["lines"][0]["mass_g"]

        assert [gram_at(one) for one in range(1, 46)] == grams
        # From the next one that is kept whole: what came after that is not looked at.
        lost = {"lines": [[], []]}
        Change.objects.filter(row=row.pk, revision__gt=20).update(fields=lost)
        assert [gram_at(one) for one in range(1, 21)] == grams[:20]

    def test_old_ones_that_are_marked_stand_beside_the_first_page(self, shelves: Shelves) -> None:
        path = f"/api/formulas/{shelves.formula['id']}/revisions"
        put(shelves.client, f"{path}/1", {"name": "the first", "good": True})
        for i in range(22):
            self.more_cream(shelves, 100 + i)
        page = shelves.client.get(path).json()
        assert [one["revision"] for one in page["items"]] == [*range(23, 3, -1)]
        assert page["total"] == 23
        assert [(one["revision"], one["name"]) for one in page["marked"]] == [(1, "the first")]
        rest = shelves.client.get(f"{path}?offset=20").json()
        assert [one["revision"] for one in rest["items"]] == [3, 2, 1]
        assert rest["marked"] == []

    def test_one_is_brought_back_as_a_new_one(self, shelves: Shelves) -> None:
        self.more_cream(shelves, 321)
        self.more_cream(shelves, 400)
        path = f"/api/formulas/{shelves.formula['id']}/revisions/1/restore"
        assert post(shelves.client, path, {"revision": 2}).status_code == 409
        back = post(shelves.client, path, {"revision": 3}).json()
        assert back["revision"] == 4
        assert back["lines"] == shelves.formula["lines"]


def test_a_bite_is_weighed_part_by_part(
    shelves: Shelves, django_assert_num_queries: DjangoAssertNumQueries
) -> None:
    change(
        shelves,
        "ingredient",
        shelves.ingredient,
        make_up=WHOLE | {"water": 60, "milk_fat": 30, "sucrose": 10},
    )
    path = f"/api/desserts/{shelves.dessert['id']}/bite"
    bite = shelves.client.get(path).json()
    assert sum(part["share"]["value"] for part in bite["parts"]) == pytest.approx(100)
    # Everything is the one formula of cream with 10 % sugar.
    assert bite["tastes"]["Sweetness"]["value"] == pytest.approx(10)
    assert bite["tastes"]["Fat"]["value"] == pytest.approx(30)
    with django_assert_num_queries(1):
        shelves.client.get(path)


def test_the_vocabulary_is_what_core_knows(shelves: Shelves) -> None:
    words = shelves.client.get("/api/vocabulary").json()["pantry"]
    assert {one["key"] for one in words["components"]} == set(WHOLE)
    assert len(words["allergens"]) == 14
    assert words["temper"]["dark"]["work_c"] == 31.5


def test_what_takes_the_whites_left_over_is_of_this_kitchen(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    def meringue(client: Client, name: str) -> None:
        white = {"name": "Egg white", "egg": "white", "pieces": [{"name": "white", "mass_g": 30}]}
        egg = made(client, "ingredient", white)
        lines = [{"key": "w", "mass_g": 90, "ingredient": egg["id"]}]
        made(client, "formula", {"name": name, "lines": lines})

    meringue(shelves.client, "Own meringue")
    meringue(as_member(stranger), "Foreign meringue")
    yolk = {"name": "Egg yolk", "egg": "yolk", "pieces": [{"name": "yolk", "mass_g": 20}]}
    egg = made(shelves.client, "ingredient", yolk)
    lines = [{"key": "y", "mass_g": 60, "ingredient": egg["id"]}]
    curd = made(shelves.client, "formula", {"name": "Curd", "lines": lines})
    read = shelves.client.get(f"/api/formulas/{curd['id']}/reading").json()
    (left,) = read["leftovers"]
    assert (left["part"], left["takers"]) == ("white", ["Own meringue"])
