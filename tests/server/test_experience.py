"""A good batch moves the band of its job in its kitchen, and steps hold ranges, over the API."""

from typing import Any

import pytest
from django.test import Client

from fernbell.server.formulas.models import Formula, GoodBatch
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.rows.models import Change
from tests.server.api import post, put
from tests.server.conftest import client_of, new_member
from tests.server.test_setting import ask, drawn, one

WISH = {"job": "ganache.drip", "finished_g": 500}


def kept(client: Client, **wish: Any) -> dict[str, Any]:
    """A proposal, saved."""
    entry = ask(client, "/api/formulas/propose", {**WISH, **wish})["entry"]
    answer = post(client, "/api/formulas", {**entry, "name": "Winter drip"})
    assert answer.status_code == 201
    return answer.json()


def here(client: Client, row: dict[str, Any]) -> dict[str, Any]:
    return client.get(f"/api/formulas/{row['id']}/reading").json()["here"]


def mark(client: Client, row: dict[str, Any], *, good: bool) -> Any:
    return put(client, f"/api/formulas/{row['id']}/revisions/1", {"good": good})


def test_a_batch_that_dripped_well_moves_the_dial_and_is_undone_with_its_mark(
    demo: Client,
) -> None:
    row = kept(demo, dial=1.1)
    before = here(demo, row)
    assert before["own"] is None
    assert mark(demo, row, good=True).status_code == 200
    after = here(demo, row)
    assert after["aim"] == pytest.approx(1.1, abs=0.01)
    factor = after["aim"] / before["aim"]
    for was, now in zip(before["dial"]["bands"], after["dial"]["bands"], strict=True):
        assert now["least"] == pytest.approx(factor * was["least"])
    assert "Winter drip, revision 1" in after["own"]["says"]
    assert after["own"]["working"]["value"] == after["aim"]
    again = ask(demo, "/api/formulas/propose", WISH)["reading"]
    assert again["landing"]["working"]["value"] == pytest.approx(1.1, abs=0.01)
    # Marked twice it counts once; unmarked, practice is back.
    mark(demo, row, good=True)
    assert GoodBatch.objects.count() == 1
    mark(demo, row, good=False)
    assert here(demo, row) == before
    assert GoodBatch.objects.count() == 0


def test_it_counts_for_its_own_chocolate_and_job_and_in_its_own_kitchen_only(demo: Client) -> None:
    milk = one(demo, "ingredients", "Couverture, milk 38 %")["id"]
    before = {
        (job, pick): ask(
            demo,
            "/api/formulas/propose",
            {"job": job, **({"picks": {"with": pick}} if pick else {})},
        )["reading"]["here"]
        for job, pick in (("ganache.drip", milk), ("ganache.coat", None))
    }
    mark(demo, kept(demo, dial=1.1), good=True)
    for (job, pick), was in before.items():
        wish = {"job": job, **({"picks": {"with": pick}} if pick else {})}
        assert ask(demo, "/api/formulas/propose", wish)["reading"]["here"] == was
    batch = GoodBatch.objects.get()
    stranger = client_of(new_member(Kitchen.objects.create(name="Other"), "Vera", "chef"))
    path = f"/api/formulas/{batch.change.row}/revisions/1"
    assert put(stranger, path, {"good": False}).status_code == 404
    assert GoodBatch.objects.count() == 1


def test_an_apprentice_marks_nothing(demo: Client) -> None:
    row = kept(demo)
    kitchen = Formula.objects.get(pk=row["id"]).kitchen
    reader = client_of(new_member(kitchen, "Piet", "apprentice"))
    assert mark(reader, row, good=True).status_code == 403
    assert GoodBatch.objects.count() == 0


def test_what_teaches_nothing_is_marked_all_the_same(demo: Client) -> None:
    path, _ = drawn(demo, "Quince, set")
    assert put(demo, f"{path}/revisions/1", {"good": True}).status_code == 200
    assert GoodBatch.objects.count() == 0


STEP = {
    "text": "Bake.",
    "temperature_c": 28,
    "temperature_to_c": 30,
    "minutes": 25,
    "minutes_to": 30,
    "then": [{"how": "then", "temperature_c": 180, "minutes": 15}],
    "bursts_s": 20,
    "bursts_to_s": 30,
    "alike": "syrup",
}


def test_a_step_keeps_its_ranges_and_is_said_in_the_persons_degrees(demo: Client) -> None:
    path, entry = drawn(demo, "Quince, set")
    row = demo.get(path).json()
    saved = put(demo, path, {"revision": row["revision"], "data": {**entry, "method": [STEP]}})
    assert saved.status_code == 200, saved.content
    step = saved.json()["method"][0]
    assert {key: step[key] for key in STEP} == STEP
    told = demo.get(f"{path}/reading").json()["told"]
    oven = "then 180 °C, 15 min · in bursts of 20–30 s, stirring between"
    assert told == [f"28–30 °C, and syrup at the same · 25–30 min · {oven}"]
    Member.objects.update(fahrenheit=True)
    assert demo.get(f"{path}/reading").json()["told"][0].startswith("82–86 °F")
    sheet = demo.get(f"{path}/scaled", {"mass_g": 500}).json()[0]
    assert sheet["told"][0].startswith("82–86 °F")


def test_findings_and_methods_are_read_in_the_persons_degrees(demo: Client) -> None:
    path, entry = drawn(demo, "White chocolate mousse")
    hot = [
        {**step, "temperature_c": 60, "text": "Cream in at 30-35 °C."}
        if step["stage"] == "fold"
        else step
        for step in entry["method"]
    ]
    Member.objects.update(fahrenheit=True)
    read = ask(demo, f"{path}/what-if", {**entry, "method": hot})
    said = next(one["finding"] for one in read["judged"] if one["finding"]["code"] == "fold-hot")
    # 60 °C is 140 °F, 35 °C is 95 °F, 30 °C is 86 °F.
    assert "140 °F, above 95 °F" in said["message"]
    assert "86-95 °F" in said["remedy"]
    assert "Cream in at 86-95 °F." in read["method"]


@pytest.mark.parametrize(
    ("wrong", "field"),
    [
        ({"temperature_to_c": 20}, "temperature_to_c"),
        ({"minutes_to": 5}, "minutes_to"),
        ({"bursts_to_s": 5}, "bursts_to_s"),
        ({"bursts_s": 0}, "bursts_s"),
        ({"then": [{"how": "off, door shut", "temperature_c": 90}]}, "temperature_c"),
        ({"then": [{"how": "falling to"}]}, "temperature_c"),
        ({"then": [{"how": "then", "temperature_c": 180}] * 7}, "then"),
        ({"then": [{"how": "sideways", "temperature_c": 180}]}, "how"),
        ({"alike": "x" * 41}, "alike"),
    ],
    ids=str,
)
def test_a_wrong_range_is_refused_at_its_field_and_nothing_is_saved(
    demo: Client, wrong: dict[str, Any], field: str
) -> None:
    path, entry = drawn(demo, "Quince, set")
    row = demo.get(path).json()
    body = {"revision": row["revision"], "data": {**entry, "method": [{**STEP, **wrong}]}}
    answer = put(demo, path, body)
    assert answer.status_code == 422
    assert any(error["field"].endswith(field) for error in answer.json()["errors"])
    assert demo.get(path).json() == row


def test_a_revision_that_can_no_longer_be_read_is_marked_all_the_same(demo: Client) -> None:
    row = kept(demo)
    change = Change.objects.get(kind="formula", row=row["id"], revision=1)
    change.whole = {**(change.whole or {}), "name": row["name"], "job": "ganache.gone"}
    change.save()
    assert mark(demo, row, good=True).status_code == 200
    assert GoodBatch.objects.count() == 0
    assert mark(demo, row, good=False).status_code == 200
