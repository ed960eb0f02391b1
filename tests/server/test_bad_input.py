"""Bad input: an error at the field that says what is allowed, and nothing saved by half."""

import json
from collections.abc import Callable
from datetime import datetime
from typing import Any
from urllib.parse import urlencode
from uuid import uuid4
from zoneinfo import ZoneInfo

import pytest
from django.test import Client

from fernbell.server.formulas.models import Formula, FormulaLine
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.rows.models import Change
from tests.server.api import Shelves, dessert_entry, entry_of, line, made, post, put, stocked


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


BAD_NUMBERS = [
    ("-1", "at least"),
    ("NaN", "finite"),
    ("Infinity", "finite"),
    ("1e9", "at most"),
    ('"plenty"', "number"),
    ("null", "number"),
]


@pytest.mark.parametrize(("value", "allowed"), BAD_NUMBERS)
def test_a_number_of_a_mold(shelves: Shelves, value: str, allowed: str) -> None:
    body = f'{{"name": "M", "shape": {{"form": "ring", "diameter_mm": {value}, "height_mm": 45}}}}'
    answer = shelves.client.post("/api/molds", body, content_type="application/json")
    assert answer.status_code == 422
    [error] = answer.json()["errors"]
    assert error["field"] == "shape.diameter_mm"
    assert "Diameter" in error["message"]
    assert allowed in error["message"]
    assert shelves.client.get("/api/molds").json()["total"] == 1


@pytest.mark.parametrize(("value", "allowed"), BAD_NUMBERS)
def test_grams_of_a_line(shelves: Shelves, value: str, allowed: str) -> None:
    cream = shelves.ingredient["id"]
    body = (
        f'{{"name": "F", "lines": [{{"key": "a", "mass_g": 5, "ingredient": "{cream}"}}, '
        f'{{"key": "b", "mass_g": {value}, "ingredient": "{cream}"}}]}}'
    )
    answer = shelves.client.post("/api/formulas", body, content_type="application/json")
    assert answer.status_code == 422
    [error] = answer.json()["errors"]
    assert error["field"] == "lines.1.mass_g"
    assert allowed in error["message"]
    assert Formula.objects.count() == 1
    assert FormulaLine.objects.count() == 1


@pytest.mark.parametrize(
    ("change", "field", "allowed"),
    [
        ({"height_mm": 0}, "parts.0.height_mm", "more than 0"),
        ({"height_mm": "thick"}, "parts.0.height_mm", "number"),
        ({"across_mm": -3}, "parts.0.across_mm", "more than 0"),
        ({"across_mm": 1e9}, "parts.0.across_mm", "at most 1 000"),
        ({"formula": "not-a-formula"}, "parts.0.formula", "not on your shelf"),
        ({"rule": "sprinkle"}, "parts.0", "rule"),
    ],
)
def test_a_measure_of_a_part(
    shelves: Shelves, change: dict[str, Any], field: str, allowed: str
) -> None:
    entry = dessert_entry(shelves.mold["id"], shelves.formula["id"], **change)
    path = f"/api/desserts/{shelves.dessert['id']}"
    answer = put(shelves.client, path, {"revision": 1, "data": entry})
    assert answer.status_code == 422
    error = answer.json()["errors"][0]
    assert error["field"] == field
    assert allowed in error["message"]
    assert shelves.client.get(path).json() == shelves.dessert


@pytest.mark.parametrize("count", [0, -1, 5001, 1.5, "many"])
def test_a_count_of_desserts(shelves: Shelves, count: object) -> None:
    entry = {**entry_of("dessert", shelves.dessert), "count": count}
    path = f"/api/desserts/{shelves.dessert['id']}"
    answer = put(shelves.client, path, {"revision": 1, "data": entry})
    assert answer.json()["errors"][0]["field"] == "count"
    assert shelves.client.get(f"{path}/solved?count={count}").status_code == 422


@pytest.mark.parametrize("name", ["", "   ", "x" * 121, None])
def test_a_name(shelves: Shelves, name: object) -> None:
    for path in ("/api/ingredients", "/api/formulas"):
        answer = post(shelves.client, path, {"name": name})
        assert answer.status_code == 422
        assert answer.json()["errors"][0]["field"] == "name"


def test_rows_of_another_kitchen_are_not_on_the_shelf(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    theirs = stocked(as_member(stranger))
    foreign = made_line = line("a", 5, ingredient=theirs.ingredient["id"])
    answer = post(shelves.client, "/api/formulas", {"name": "F", "lines": [foreign]})
    assert answer.json()["errors"][0]["field"] == "lines.0.ingredient"
    made_line = line("a", 5, formula=theirs.formula["id"])
    answer = post(shelves.client, "/api/formulas", {"name": "F", "lines": [made_line]})
    assert answer.json()["errors"][0]["field"] == "lines.0.formula"
    entry = dessert_entry(theirs.mold["id"], shelves.formula["id"], name="D")
    assert post(shelves.client, "/api/desserts", entry).json()["errors"][0]["field"] == "mold"
    entry = dessert_entry(shelves.mold["id"], theirs.formula["id"], name="D")
    answer = post(shelves.client, "/api/desserts", entry)
    assert answer.json()["errors"][0]["field"] == "parts.0.formula"
    own = entry_of("dessert", shelves.dessert)
    body = {"dessert": own, "mold": theirs.mold["id"]}
    assert post(shelves.client, "/api/desserts/refit", body).status_code == 422
    body = {"dessert": {**own, "mold": theirs.mold["id"]}, "mold": shelves.mold["id"]}
    assert post(shelves.client, "/api/desserts/refit", body).status_code == 422
    assert shelves.client.get("/api/desserts").json()["total"] == 1


def test_an_archived_formula_cannot_be_used(shelves: Shelves) -> None:
    gone = made(shelves.client, "formula", {"name": "Gone"})
    post(shelves.client, f"/api/formulas/{gone['id']}/archive")
    entry = dessert_entry(shelves.mold["id"], gone["id"], name="D")
    answer = post(shelves.client, "/api/desserts", entry)
    assert answer.json()["errors"][0]["field"] == "parts.0.formula"


def test_a_circle_of_formulas_is_refused_naming_the_way_and_nothing_is_kept(
    shelves: Shelves,
) -> None:
    outer = made(
        shelves.client,
        "formula",
        {"name": "Outer", "lines": [line("a", 5, formula=shelves.formula["id"])]},
    )
    data = entry_of("formula", shelves.formula)
    data["lines"].append(line("b", 5, formula=outer["id"]))
    path = f"/api/formulas/{shelves.formula['id']}"
    answer = put(shelves.client, path, {"revision": 1, "data": data})
    assert answer.status_code == 422
    assert "Soft cream > Outer > Soft cream" in answer.json()["detail"]
    assert shelves.client.get(path).json()["revision"] == 1
    assert FormulaLine.objects.filter(formula_id=shelves.formula["id"]).count() == 1
    assert Change.objects.filter(row=shelves.formula["id"]).count() == 1


@pytest.mark.parametrize(
    "lines",
    [
        [{"key": "a", "mass_g": 5}],
        [{"key": "a", "mass_g": 5, "ingredient": "nonsense"}],
        [{"key": "", "mass_g": 5}],
        "lines",
    ],
)
def test_a_line_of_nothing(shelves: Shelves, lines: object) -> None:
    answer = post(shelves.client, "/api/formulas", {"name": "F", "lines": lines})
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"].startswith("lines")


def test_too_many_lines_and_unknown_fields(shelves: Shelves) -> None:
    cream = shelves.ingredient["id"]
    many = [line(str(i), 1, ingredient=cream) for i in range(301)]
    answer = post(shelves.client, "/api/formulas", {"name": "F", "lines": many})
    assert answer.json()["errors"][0]["field"] == "lines"
    answer = post(shelves.client, "/api/ingredients", {"name": "F", "price": 3})
    assert answer.json()["errors"][0]["field"] == "price"


def test_a_body_that_is_no_json(shelves: Shelves) -> None:
    answer = shelves.client.post("/api/molds", "{", content_type="application/json")
    assert answer.status_code == 400
    assert answer["Content-Type"] == "application/problem+json"


def test_two_parts_that_fill_the_rest(shelves: Shelves) -> None:
    fill = {"rule": "fill", "formula": shelves.formula["id"]}
    entry = dessert_entry(shelves.mold["id"], shelves.formula["id"], name="D")
    entry["parts"] += [{**fill, "key": "x"}, {**fill, "key": "y"}]
    answer = post(shelves.client, "/api/desserts", entry)
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "parts"


def test_a_refusal_speaks_the_units_the_person_reads(
    chef: Member, as_member: Callable[[Member], Client]
) -> None:
    client = as_member(chef)
    shape = {"form": "ring", "diameter_mm": 5000, "height_mm": 45}

    def message() -> str:
        answer = post(client, "/api/molds", {"name": "Huge", "shape": shape})
        return answer.json()["errors"][0]["message"]

    assert "at most 1 000 mm, not 5 000" in message()
    mine = {"measures": "US", "fahrenheit": True, "inches": True}
    put(client, "/api/members/me/preferences", mine)
    # 1000 mm / 25.4 = 39.37 in; 5000 / 25.4 = 196.85.
    assert "at most 39.37 in, not 196.85" in message()


NO_TEXT = ["a\x00b", "a\ud800b", "\udfff"]
NOT_KEPT = [
    ("post", "/api/ingredients", "name"),
    ("post", "/api/ingredients", "note"),
    ("post", "/api/ingredients", "other_names.0"),
    ("post", "/api/ingredients", "make_up_source"),
    ("post", "/api/formulas", "name"),
    ("post", "/api/formulas", "lines.0.note"),
    ("post", "/api/formulas", "lines.0.stage"),
    ("post", "/api/formulas", "method.0.text"),
    ("post", "/api/formulas", "method.0.sign"),
    ("post", "/api/molds", "name"),
    ("post", "/api/molds", "shape.path"),
    ("post", "/api/desserts", "parts.0.name"),
    ("post", "/api/formulas/read-line", "text"),
    ("post", "/api/formulas/read-list", "text"),
    ("post", "/api/members", "username"),
    ("post", "/api/session", "username"),
    ("put", "/api/formulas/{formula}/revisions/1", "name"),
    ("get", "/api/formulas", "q"),
    ("get", "/api/names", "q"),
]


def nested_in(field: str, value: str) -> Any:
    """An entry that says only this: 'lines.0.note' is {"lines": [{"note": value}]}."""
    said: Any = value
    for step in reversed(field.split(".")):
        said = [said] if step.isdigit() else {step: said}
    return said


@pytest.mark.parametrize("text", NO_TEXT, ids=ascii)
@pytest.mark.parametrize(("method", "path", "field"), NOT_KEPT)
def test_text_that_is_none_is_refused_at_its_field(
    shelves: Shelves, method: str, path: str, field: str, text: str
) -> None:
    path = path.format(formula=shelves.formula["id"])
    if method == "get":
        query = urlencode({field: text}, errors="surrogatepass")
        answer = shelves.client.get(f"{path}?{query}")
        # What is no UTF-8 at all never becomes half a character: nothing is found.
        assert answer.status_code == 422 or "\ud800" in text or "\udfff" in text
        assert answer.status_code < 500
        return
    body = json.dumps(nested_in(field, text))
    answer = getattr(shelves.client, method)(path, body, content_type="application/json")
    assert answer.status_code == 422
    [error] = answer.json()["errors"]
    assert error["field"] == field
    assert "holds a character that is none" in error["message"]


def test_a_field_named_by_no_text_is_refused_too(shelves: Shelves) -> None:
    body = json.dumps({"na\x00me": "Ring"})
    answer = shelves.client.post("/api/molds", body, content_type="application/json")
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "na?me"


def test_more_than_an_entry_may_hold_is_refused_by_its_size(shelves: Shelves) -> None:
    body = json.dumps({"name": "x" * 3_000_000})
    answer = shelves.client.post("/api/molds", body, content_type="application/json")
    assert answer.status_code == 413
    assert "2 MB" in answer.json()["detail"]


@pytest.mark.parametrize(
    "entry",
    [
        {"name": "x" * 1_500_000},
        {"x" * 1_500_000: 1},
        {"shape": {"form": "x" * 1_500_000}},
        {"name": ["x" * 1000] * 1000},
    ],
)
def test_a_refusal_does_not_echo_what_was_sent(shelves: Shelves, entry: dict[str, Any]) -> None:
    body = json.dumps(entry)
    answer = shelves.client.post("/api/molds", body, content_type="application/json")
    assert answer.status_code == 422
    assert len(answer.content) < 70_000


def test_what_is_picked_for_a_proposal_is_a_choice_of_it_and_of_this_kitchen(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    foreign = made(as_member(stranger), "ingredient", {"name": "Their cream"})
    for picks, field in (
        ({"nonsense": shelves.ingredient["id"]}, "picks"),
        ({"with": foreign["id"]}, "with"),
        ({"with": str(uuid4())}, "with"),
    ):
        answer = post(
            shelves.client, "/api/formulas/propose", {"job": "ganache.drip", "picks": picks}
        )
        assert answer.status_code == 422, picks
        assert answer.json()["errors"][0]["field"] == field


@pytest.mark.parametrize("value", [1e-306, -1e-306, 5e-324, 9e-7])
@pytest.mark.parametrize(
    ("path", "entry", "field"),
    [
        ("/api/formulas", {"name": "F", "lines": [{"key": "a", "mass_g": 0}]}, "lines.0.mass_g"),
        ("/api/molds", {"name": "M", "shape": {"diameter_mm": 0}}, "shape.diameter_mm"),
        ("/api/ingredients", {"name": "I", "pieces": [{"mass_g": 0}]}, "pieces.0.mass_g"),
        ("/api/ingredients", {"name": "I", "packs": [{"mass_g": 0}]}, "packs.0.mass_g"),
        ("/api/ingredients", {"name": "I", "density_g_ml": 0}, "density_g_ml"),
    ],
)
def test_what_no_scale_shows_is_refused_at_its_field(
    shelves: Shelves, path: str, entry: dict[str, Any], field: str, value: float
) -> None:
    """Divided by, it would be more than any number: refused with the least there is."""
    *place, last = field.split(".")
    inner: Any = entry
    for step in place:
        inner = inner[int(step)] if step.isdigit() else inner[step]
    inner[last] = value
    answer = post(shelves.client, path, entry)
    assert answer.status_code == 422
    [error] = answer.json()["errors"]
    assert error["field"] == field
    assert "at least 0.000001" in error["message"]


def test_a_conflict_is_told_by_the_clock_of_the_kitchen(shelves: Shelves, kitchen: Kitchen) -> None:
    Kitchen.objects.update(time_zone="Pacific/Kiritimati")
    row = shelves.client.get(f"/api/molds/{shelves.mold['id']}").json()
    stale = {"revision": 7, "data": entry_of("mold", row)}
    detail = put(shelves.client, f"/api/molds/{row['id']}", stale).json()["detail"]
    there = datetime.fromisoformat(row["changed_at"]).astimezone(ZoneInfo("Pacific/Kiritimati"))
    assert f"at {there:%H:%M}." in detail


@pytest.mark.parametrize("said", ["1e-306", "5.e-9", ".5E-7", "0.0000001", " -1e-9 "])
def test_a_number_of_a_query_no_scale_shows_is_refused(shelves: Shelves, said: str) -> None:
    answer = shelves.client.get(f"/api/formulas/{shelves.formula['id']}/scaled", {"mass_g": said})
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "mass_g"
    assert "at least 0.000001" in answer.json()["detail"]


@pytest.mark.parametrize("said", ["0.000001", "250", "1e2", "1.2.3e-5", "e-9"])
def test_other_numbers_of_a_query_are_read_as_they_are(shelves: Shelves, said: str) -> None:
    answer = shelves.client.get(f"/api/formulas/{shelves.formula['id']}/scaled", {"mass_g": said})
    assert answer.status_code in (200, 422)
    assert "0.000001: no scale" not in answer.content.decode()
