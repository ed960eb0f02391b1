"""Names through the API: other names, usual words, looking up a shelf, two kitchens."""

from collections.abc import Callable
from typing import Any

import pytest
from django.test import Client

from fernbell.server.kitchens.models import Member
from fernbell.server.pantry.models import Ingredient, Usual
from fernbell.server.rows.models import Change
from fernbell.server.starter import stock
from tests.server.api import Shelves, entry_of, made, post, put, stocked


@pytest.fixture
def shelves(chef: Member, as_member: Callable[[Member], Client]) -> Shelves:
    return stocked(as_member(chef))


def read(client: Client, text: str, **more: Any) -> dict[str, Any]:
    answer = post(client, "/api/formulas/read-line", {"text": text, **more})
    assert answer.status_code == 200, answer.content
    return answer.json()


def taken(client: Client, text: str) -> str | None:
    certain = read(client, text)["certain"]
    return certain and certain["name"]


def found(client: Client, shelf: str, q: str) -> list[str]:
    answer = client.get("/api/names", {"shelf": shelf, "q": q})
    assert answer.status_code == 200, answer.content
    return [one["name"] for one in answer.json()]


def test_a_new_kitchen_understands_what_its_starter_calls_things(
    chef: Member, as_member: Callable[[Member], Client]
) -> None:
    stock(chef)
    client = as_member(chef)
    for text, name in (
        ("4 eggs", "Egg, whole"),
        ("250 g butter", "Butter, 82 %"),
        ("1 cup heavy cream", "Cream, 35 %"),
        ("1 cup confectioners' sugar", "Icing sugar"),
        ("200 g chocolate", "Couverture, dark 66 %"),
        ("1/2 cup milk", "Milk, whole"),
    ):
        assert taken(client, text) == name
    (lemon,) = [read(client, "1 lemon")]
    assert [one["name"] for one in lemon["choices"]] == ["Lemon juice", "Lemon zest"]


def test_a_choice_is_remembered_as_another_name(shelves: Shelves) -> None:
    assert taken(shelves.client, "10 g heavy cream") is None
    path = f"/api/ingredients/{shelves.ingredient['id']}/names"
    answer = post(shelves.client, path, {"name": "heavy cream"})
    assert answer.json()["other_names"] == ["heavy cream"]
    assert answer.json()["revision"] == 2
    assert taken(shelves.client, "10 g heavy cream") == "Cream"
    assert taken(shelves.client, "10 g cold Heavy creams") == "Cream"
    again = post(shelves.client, path, {"name": "Heavy cream"})
    assert (again.json()["other_names"], again.json()["revision"]) == (["heavy cream"], 2)
    assert Change.objects.filter(kind="ingredient", action="changed").count() == 1


def test_a_name_that_is_something_elses_is_not_remembered(shelves: Shelves) -> None:
    made(shelves.client, "ingredient", {"name": "Milk", "other_names": ["whole milk"]})
    path = f"/api/ingredients/{shelves.ingredient['id']}/names"
    for name in ("milk", "Whole milk", "milk, whole"):
        refused = post(shelves.client, path, {"name": name})
        assert refused.status_code == 422
        assert "what Milk is called" in refused.json()["errors"][0]["message"]
    for name in ("", " ", "—", "x" * 81):
        assert post(shelves.client, path, {"name": name}).status_code == 422


def test_a_name_two_things_share_is_said_and_asked(shelves: Shelves) -> None:
    made(shelves.client, "ingredient", {"name": "Milk", "other_names": ["dairy"]})
    entry = entry_of("ingredient", shelves.ingredient)
    entry["other_names"] = ["dairy", "dairy"]
    path = f"/api/ingredients/{shelves.ingredient['id']}"
    kept = put(shelves.client, path, {"revision": 1, "data": entry}).json()
    assert kept["other_names"] == ["dairy"]
    assert kept["shared"] == {"dairy": ["Milk"]}
    assert taken(shelves.client, "10 g dairy") is None
    assert len(read(shelves.client, "10 g dairy")["choices"]) == 2


def test_what_a_bare_word_means_is_changed_in_one_press(shelves: Shelves) -> None:
    rich = made(shelves.client, "ingredient", {"name": "Cream, 48 %", "density_g_ml": 0.99})
    usual = put(
        shelves.client, "/api/names/usual", {"word": "Creams", "ingredient": rich["id"]}
    ).json()
    assert usual == [{"word": "cream", "ingredient": rich["id"], "name": "Cream, 48 %"}]
    assert taken(shelves.client, "10 g cream") == "Cream, 48 %"
    put(shelves.client, "/api/names/usual", {"word": "cream", "ingredient": None})
    assert taken(shelves.client, "10 g cream") == "Cream"
    notes = Change.objects.filter(kind="kitchen").values_list("fields", flat=True)
    assert list(notes) == [{"cream": [rich["id"], None]}, {"cream": [None, rich["id"]]}]


def test_a_bare_word_cannot_mean_what_is_on_no_shelf(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    body = {"word": "cream", "ingredient": shelves.ingredient["id"]}
    refused = put(as_member(stranger), "/api/names/usual", body)
    assert refused.status_code == 422
    assert refused.json()["errors"][0]["field"] == "ingredient"
    assert not Usual.objects.exists()
    for word in ("", "  ", "—", "x" * 61):
        refused = put(shelves.client, "/api/names/usual", {**body, "word": word})
        assert refused.status_code == 422, word


def test_two_kitchens_have_names_of_their_own(
    shelves: Shelves, stranger: Member, as_member: Callable[[Member], Client]
) -> None:
    other = as_member(stranger)
    made(other, "ingredient", {"name": "Butter", "other_names": ["soft cream", "cream"]})
    put(
        shelves.client,
        "/api/names/usual",
        {"word": "butter", "ingredient": shelves.ingredient["id"]},
    )
    assert taken(other, "10 g cream") == "Butter"
    assert taken(shelves.client, "10 g butter") == "Cream"
    assert taken(other, "10 g butter") == "Butter"
    assert found(other, "lines", "cream") == ["Butter"]
    assert other.get("/api/names/usual").json() == []


@pytest.mark.parametrize(
    ("shelf", "q", "names"),
    [
        ("lines", "cre", ["Cream", "Soft cream"]),
        ("ingredients", "cream", ["Cream"]),
        ("ingredients", "rea", []),
        ("formulas", "soft", ["Soft cream"]),
        ("formulas", "cream soft", ["Soft cream"]),
        ("formulas", "sofd cream", ["Soft cream"]),
        ("ingredients", "", []),
    ],
)
def test_a_shelf_is_searched_by_whole_words_and_their_beginnings(
    shelves: Shelves, shelf: str, q: str, names: list[str]
) -> None:
    assert found(shelves.client, shelf, q) == names


def test_every_shelf_can_be_searched(shelves: Shelves) -> None:
    for shelf, kind in (("desserts", "dessert"), ("molds", "mold"), ("stacks", "stack")):
        name = shelves.row(kind)["name"]
        assert found(shelves.client, shelf, name[:3]) == [name]
    assert shelves.client.get("/api/names?shelf=cellar&q=x").status_code == 422


def test_what_is_written_is_found_at_once_and_what_is_archived_no_more(shelves: Shelves) -> None:
    assert found(shelves.client, "lines", "medlar") == []
    medlar = made(shelves.client, "ingredient", {"name": "Medlar"})
    assert found(shelves.client, "lines", "medlar") == ["Medlar"]
    entry = {**entry_of("ingredient", medlar), "name": "Quince"}
    path = f"/api/ingredients/{medlar['id']}"
    put(shelves.client, path, {"revision": 1, "data": entry})
    assert found(shelves.client, "lines", "medlar") == []
    assert taken(shelves.client, "10 g quince") == "Quince"
    post(shelves.client, f"{path}/archive")
    assert taken(shelves.client, "10 g quince") is None
    made(shelves.client, "formula", {"name": "Quince jelly"})
    assert taken(shelves.client, "10 g quince jelly") == "Quince jelly"


def test_a_note_stays_with_its_line(shelves: Shelves) -> None:
    certain = read(shelves.client, "100-120 g cream")
    assert (certain["certain"]["mass_g"], certain["note"]) == (110, "100–120 g")
    entry = entry_of("formula", shelves.formula)
    entry["lines"][0]["note"] = certain["note"]
    path = f"/api/formulas/{shelves.formula['id']}"
    kept = put(shelves.client, path, {"revision": 1, "data": entry}).json()
    assert kept["lines"][0]["note"] == "100–120 g"
    first = shelves.client.get(f"{path}/revisions").json()
    assert first["items"][0]["revision"] == 2
    sheet = shelves.client.get(f"{path}/scaled?mass_g=500").json()[0]
    assert sheet["notes"] == {entry["lines"][0]["key"]: "100–120 g"}


def test_other_names_of_the_starter_belong_to_its_rows(chef: Member) -> None:
    stock(chef)
    cream = Ingredient.objects.get(kitchen=chef.kitchen, name="Cream, 35 %")
    assert "heavy cream" in cream.other_names
    assert Usual.objects.get(kitchen=chef.kitchen, word="cream").ingredient == cream
