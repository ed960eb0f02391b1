"""Every route: authorization declared, other kitchens out of reach, the document up to date."""

import json
import re
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from copy import deepcopy

import pytest
from django.db import transaction
from django.db.models import F
from django.test import Client

from fernbell.server.desserts.models import Dessert, Stack
from fernbell.server.formulas.models import Formula
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.molds.models import Mold
from fernbell.server.openapi import DOCUMENT, WORDS, document, words
from fernbell.server.pantry.models import Ingredient
from fernbell.server.planning.models import Hand, Order, Vessel
from fernbell.server.problems import ProblemOut
from fernbell.server.rows.policy import rows
from tests.server.api import PATHS, Shelves, entry_of, version
from tests.server.conftest import PASSWORD
from tests.server.two import apprentice, chef, kitchen, kitchens_put_aside, made_up, stranger

__all__ = ["apprentice", "chef", "kitchen", "kitchens_put_aside", "stranger"]

DOC = json.loads(document())
OPERATIONS = [
    (method, path, operation)
    for path, methods in DOC["paths"].items()
    for method, operation in methods.items()
]
FOR_VISITORS = {
    "/api/session",
    "/api/vocabulary",
    "/api/session/demo",
    "/api/session/first-chef",
    "/api/session/kitchen",
}
READING = {
    "task_became",
    *("what_if", "order_what_if", "propose_part", "place_stack", "refit_dessert", "fill_mold"),
    *("outline_mold", "scan_mold", "bathe_mold"),
    *("read_line", "read_list", "read_pantry_list", "read_measure"),
    *("what_if_formula", "turn_formula", "fit_formula", "swap_formula", "other_chocolates"),
    *("propose_formula", "weigh_dessert_swap"),
}
# What a person changes of these is only their own, whatever their role.
OWN = {
    *("prefer", "change_password", "end_other_sessions", "end_one_session", "found_another"),
    *("begin_second_factor", "confirm_second_factor", "drop_second_factor"),
}
# How far a plan is, is no row of the kitchen.
QUEUED = {"ask_timeline", "stop_timeline"}
# What only the chef reads.
CHEFS = {"list_events", "list_changes"}


# This kitchen has cream alone: the answer is that it lacks chocolate; and JSON is no mesh.
EXPECTED = {
    "propose_formula": 422,
    "task_became": 404,
    "scan_mold": 422,
    "confirm_second_factor": 422,
    "end_one_session": 404,
    "end_other_sessions": 204,
    "found_another": 201,
}


QUERIES = {
    "scale_formula": "?mass_g=10",
    "count_drips": "?diameter_mm=180&length_mm=40",
    "compare_revisions": "?before=1&after=1",
    "find_names": "?shelf=lines&q=cream",
    "formulas_beside": "?formula={formula}&formula={formula}",
    "taste_dessert_with": "?of={formula}&formula={formula}",
    "cut_plan": "?formula={formula}&thick_mm=20",
    "cut_plan_full_size": "?formula={formula}&thick_mm=20&as=svg",
    "dessert_template": "?as=svg",
}


def chantilly(shelves: Shelves) -> dict:
    return {**entry_of("formula", shelves.formula), "job": "cream.chantilly"}


def body_for(operation: str, shelves: Shelves) -> object:
    """A body the operation would accept, for its own row."""
    kind = operation.partition("_")[2]
    if operation == "create_ingredients":
        return {"rows": [{"name": "Another"}, {"name": "One more"}]}
    if operation.startswith("create"):
        return {**entry_of(kind, shelves.row(kind)), "name": "Another"}
    if operation.startswith("change_") and kind in PATHS:
        return {"revision": 1, "data": entry_of(kind, shelves.row(kind))}
    return {
        "what_if": entry_of("dessert", shelves.dessert),
        "order_what_if": entry_of("order", shelves.order),
        "what_if_formula": entry_of("formula", shelves.formula),
        "other_chocolates": chantilly(shelves),
        "turn_formula": {"entry": chantilly(shelves), "value": 40},
        "fit_formula": {
            "entry": chantilly(shelves),
            "demands": [{"kind": "finished", "mass_g": 100}],
        },
        "swap_formula": {
            "entry": chantilly(shelves),
            "old": shelves.ingredient["id"],
            "new": shelves.ingredient["id"],
        },
        "weigh_dessert_swap": {
            "old": shelves.ingredient["id"],
            "new": shelves.ingredient["id"],
        },
        "take_dessert_swap": {
            "old": shelves.ingredient["id"],
            "new": shelves.ingredient["id"],
            "way": "straight",
            "revisions": {shelves.formula["id"]: 1},
        },
        "propose_formula": {"job": "ganache.slice"},
        "read_line": {"text": "10 g cream"},
        "set_usual": {"word": "cream", "ingredient": shelves.ingredient["id"]},
        "read_measure": {"text": '1/2"', "kept": "mm", "shown": "mm"},
        "remember_name": {"name": "heavy cream"},
        "read_list": {"text": "10 g cream"},
        "task_became": {"task": "a/0/0", "what": "done"},
        "read_pantry_list": {"text": "Cream"},
        "place_stack": {
            "dessert": entry_of("dessert", shelves.dessert),
            "stack": shelves.stack["id"],
            "keys": ["k"],
        },
        "fill_mold": {"volume_ml": 10},
        "bathe_mold": {"tray": shelves.mold["id"], "count": 1},
        "begin_dessert": {"kind": "entremet", "name": "Another", "mold": shelves.mold["id"]},
        "outline_mold": {"path": "M0 0h9v9h-9z", "length_mm": 90, "height_mm": 40},
        "propose_part": {
            "dessert": entry_of("dessert", shelves.dessert),
            "rule": "base",
            "key": "k",
            "formula": shelves.formula["id"],
        },
        "refit_dessert": {
            "dessert": entry_of("dessert", shelves.dessert),
            "mold": shelves.mold["id"],
        },
        "add_member": {
            "name": "A B",
            "username": "ab",
            "password": "long enough 7",
            "role": "cook",
        },
        "change_role": {"role": "cook"},
        "prefer": {"measures": "US", "fahrenheit": True, "inches": False},
        "begin_second_factor": {"password": PASSWORD},
        "drop_second_factor": {"password": PASSWORD},
        "confirm_second_factor": {"code": "123456"},
        "found_another": {"kitchen": "Another"},
        "change_password": {"old": PASSWORD, "new": "another long one 7"},
        "describe_kitchen": {"altitude_m": 900, "currency": "EUR", "time_zone": "UTC"},
        "mark_revision": {"name": "Good one", "good": True},
        "restore_revision": {"revision": 1},
    }.get(operation, {})


def call(client: Client, method: str, path: str, operation: str, shelves: Shelves, member: int):
    url, body = call_url(path, operation, shelves, member), json.dumps(body_for(operation, shelves))
    return client.generic(method.upper(), url, body, content_type="application/json")


def call_url(path: str, operation: str, shelves: Shelves, member: int) -> str:
    kind = next((kind for kind, own in PATHS.items() if path.startswith(own)), None)
    there = shelves.row(kind)["id"] if kind else ""
    url = path.replace("{row_id}", there).replace("{member_id}", str(member))
    url = url.replace("{revision}", "1").replace("{sheet}", "0").replace("{key}", "piece-base")
    url = url.replace("{mold}", shelves.mold["id"]).replace("{order_id}", shelves.order["id"])
    url = url.replace("{dessert_id}", shelves.dessert["id"])
    url = url.replace("{timeline_id}", "6f1c3a50-0000-4000-8000-000000000000")
    return url + QUERIES.get(operation, "").replace("{formula}", shelves.formula["id"])


@contextmanager
def undone(client: Client) -> Iterator[None]:
    """Take back what is written, and bring back in who went out.

    What was kept of a kitchen meanwhile is never shown again.
    """
    cookies = deepcopy(client.cookies)
    try:
        with transaction.atomic():
            yield
            transaction.set_rollback(True)
    finally:
        client.cookies = cookies
        Kitchen.objects.update(version=F("version") + 1_000_000)


def test_a_visitor_is_asked_to_sign_in(
    subtests: pytest.Subtests,
    chef: Member,
    as_member: Callable[[Member], Client],
) -> None:
    shelves = made_up(as_member(chef))
    for method, path, operation in OPERATIONS:
        with subtests.test(f"{method} {path}"), undone(shelves.client):
            if path in FOR_VISITORS:
                continue
            answer = call(Client(), method, path, operation["operationId"], shelves, chef.pk)
            assert answer.status_code == 401
            assert answer["Content-Type"] == "application/problem+json"
            assert ProblemOut.model_validate(answer.json()).status == 401
            told = operation["responses"]["default"]["content"]["application/problem+json"]
            assert told["schema"] == {"$ref": "#/components/schemas/ProblemOut"}


def every_row() -> dict[str, list[dict]]:
    """Every row that kitchens are made of, as the database has it."""
    models = (Ingredient, Formula, Mold, Dessert, Stack, Order, Vessel, Hand)
    return {model.__name__: list(model.objects.order_by("pk").values()) for model in models}


def test_what_another_kitchen_has_is_not_there(
    subtests: pytest.Subtests,
    chef: Member,
    stranger: Member,
    as_member: Callable[[Member], Client],
) -> None:
    shelves, asking = made_up(as_member(chef)), as_member(stranger)
    for method, path, operation in OPERATIONS:
        with subtests.test(f"{method} {path}"), undone(asking):
            if not re.search(r"\{\w+\}", path):
                continue
            before = every_row()
            answer = call(asking, method, path, operation["operationId"], shelves, chef.pk)
            assert answer.status_code == 404, answer.content
            assert every_row() == before
            assert Member.objects.get(pk=chef.pk).role == "chef"


def test_no_answer_holds_and_no_entry_names_anything_of_another_kitchen(
    subtests: pytest.Subtests,
    chef: Member,
    stranger: Member,
    as_member: Callable[[Member], Client],
) -> None:
    theirs, own = made_up(as_member(stranger)), made_up(as_member(chef))
    marked(stranger)
    for method, path, operation in OPERATIONS:
        with subtests.test(f"{method} {path}"), undone(own.client):
            if path in FOR_VISITORS:
                continue
            name = operation["operationId"]
            url = call_url(path, name, own, chef.pk)
            for foreign in each_swapped(body_for(name, own), own, theirs):
                body = json.dumps(foreign)
                refused = own.client.generic(
                    method.upper(), url, body, content_type="application/json"
                )
                said = refused.content.decode()
                assert MARK not in said
                keys = {theirs.row(kind)["id"] for kind in PATHS}
                assert {key for key in keys if key in said} <= {key for key in keys if key in body}
                taken = (200,) if name in FINDS_NONE else ()
                assert refused.status_code in (404, 422, *taken), (body, said)
            answer = call(own.client, method, path, name, own, chef.pk)
            assert MARK not in answer.content.decode()


def each_swapped(body: object, own: Shelves, theirs: Shelves) -> list[object]:
    """The body with one key of a row at a time, wherever one stands, of the other kitchen."""
    other = {own.row(kind)["id"]: theirs.row(kind)["id"] for kind in PATHS}

    def swapped(part: object) -> list[object]:
        if isinstance(part, str):
            return [other[part]] if part in other else []
        if isinstance(part, dict):
            keys = [
                {other[key] if key == one else key: value for key, value in part.items()}
                for one in part
                if one in other
            ]
            return [*keys, *({**part, at: one} for at in part for one in swapped(part[at]))]
        if isinstance(part, list):
            return [
                [*part[:at], one, *part[at + 1 :]]
                for at in range(len(part))
                for one in swapped(part[at])
            ]
        return []

    return swapped(body)


MARK = "Zibeline"
# What looks nothing up by the key: which of a dessert's formulas hold an ingredient (none do), and
# drawing, which sends the keys of formulas back as they came.
FINDS_NONE = {
    *("weigh_dessert_swap", "take_dessert_swap"),
    *("place_stack", "propose_part", "refit_dessert"),
}


def marked(member: Member) -> None:
    """Every name in a kitchen says whose it is."""
    for model in (Ingredient, Formula, Mold, Dessert, Stack, Order, Vessel, Hand):
        for row in rows(member, model):
            row.name = f"{MARK} {row.name}"
            row.save()


def test_an_apprentice_reads_and_changes_nothing(
    subtests: pytest.Subtests,
    chef: Member,
    apprentice: Member,
    as_member: Callable[[Member], Client],
) -> None:
    shelves, asking = made_up(as_member(chef)), as_member(apprentice)
    for method, path, operation in OPERATIONS:
        with subtests.test(f"{method} {path}"), undone(asking):
            if path in FOR_VISITORS:
                continue
            before = every_row()
            answer = call(asking, method, path, operation["operationId"], shelves, chef.pk)
            name = operation["operationId"]
            reads = (method == "get" and name not in CHEFS) or name in READING | OWN
            assert answer.status_code == (EXPECTED.get(name, 200) if reads else 403), answer.content
            if not reads:
                assert answer.json()["detail"]
                assert every_row() == before


VERSION, RAISED = "Kitchen-Version", "Kitchen-Raised"


def test_every_write_raises_it_and_nothing_else_does(
    subtests: pytest.Subtests,
    chef: Member,
    kitchen: Kitchen,
    as_member: Callable[[Member], Client],
) -> None:
    own = made_up(as_member(chef))
    for method, path, operation in OPERATIONS:
        with subtests.test(f"{method} {path}"), undone(own.client):
            if path in FOR_VISITORS:
                continue
            name = operation["operationId"]
            before = version(kitchen)
            answer = call(own.client, method, path, name, own, chef.pk)
            writes = method != "get" and (name not in READING | OWN | QUEUED or name == "prefer")
            took = writes and answer.status_code < 400
            assert version(kitchen) > before if took else version(kitchen) == before
            if answer.status_code < 400:
                told = int(answer[VERSION]), int(answer[RAISED])
                assert told == (version(kitchen), version(kitchen) - before)
            else:
                # What was undone is no version.
                assert VERSION not in answer


@pytest.mark.parametrize("method", ["post", "put", "delete"])
def test_changes_without_the_token_of_the_page_are_refused(
    method: str, chef: Member, as_member: Callable[[Member], Client]
) -> None:
    shelves = made_up(as_member(chef))
    strict = Client(enforce_csrf_checks=True)
    strict.cookies = shelves.client.cookies
    paths = {
        "post": "/api/molds",
        "put": f"/api/molds/{shelves.mold['id']}",
        "delete": f"/api/members/{chef.pk}",
    }
    answer = strict.generic(method.upper(), paths[method], "{}", content_type="application/json")
    assert answer.status_code == 403
    assert Client(enforce_csrf_checks=True).post("/api/session", {}).status_code == 403


def test_the_openapi_document_in_the_repository_is_up_to_date() -> None:
    told = "run: .venv/bin/python -m fernbell.server.openapi"
    assert DOCUMENT.read_text() == document(), told
    assert WORDS.read_text() == words(), told


def test_lists_are_capped(chef: Member, as_member: Callable[[Member], Client]) -> None:
    client = as_member(chef)
    assert client.get("/api/ingredients?limit=201").status_code == 422
    assert client.get("/api/ingredients?limit=0").status_code == 422
    for name in ("Ash", "Birch", "Cedar"):
        client.post("/api/ingredients", {"name": name}, content_type="application/json")
    page = client.get("/api/ingredients?limit=2").json()
    assert [one["name"] for one in page["items"]] == ["Ash", "Birch"]
    assert page["total"] == 4
