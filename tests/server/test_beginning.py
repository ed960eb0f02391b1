"""Desserts begun from a kind, and molds read from a file, through the API."""

import pytest
import trimesh
from django.test import Client

from fernbell.core.desserts.kinds import KINDS
from fernbell.server.desserts.models import Dessert
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.models import Mold
from tests.core.solids import stl_of
from tests.server.api import Shelves, post, stocked
from tests.server.conftest import client_of

BALL = stl_of(trimesh.creation.icosphere(3, 40))
CUBE = stl_of(trimesh.creation.box((60, 60, 40)))


def scan(client: Client, data: bytes, unit: str = "mm") -> object:
    path = f"/api/molds/scan?unit={unit}"
    return client.post(path, data, content_type="application/octet-stream")


@pytest.mark.parametrize("kind", KINDS, ids=lambda kind: kind.kind)
def test_every_kind_is_begun_in_the_demo_kitchen_and_worked_out(demo: Client, kind: object) -> None:
    hung = Mold.objects.count()
    answer = post(demo, "/api/desserts/begin", {"kind": kind.kind, "name": "A trial", "count": 24})
    begun = answer.json()
    assert answer.status_code == 200, begun
    assert begun["lacking"] == []
    assert Mold.objects.count() == hung
    solved = demo.get(f"/api/desserts/{begun['dessert']['id']}/solved").json()["solved"]
    assert len(solved["parts"]) >= len(kind.parts)
    assert [one for one in solved["findings"] if one["severity"] == "wrong"] == []


def test_in_a_bare_kitchen_the_mold_is_hung_and_what_lacks_is_said(chef: Member) -> None:
    client = client_of(chef)
    begun = post(client, "/api/desserts/begin", {"kind": "tart", "name": "Plum tart"}).json()
    assert begun["lacking"] == ["paste", "caramel", "ganache", "crisp"]
    assert begun["dessert"]["parts"] == []
    (mold,) = client.get("/api/molds").json()["items"]
    assert begun["dessert"]["mold"] == mold["id"]
    assert mold["figures"]["says"] == "Ø 24 cm"


def test_what_cannot_be_begun_is_refused_and_nothing_is_made(
    chef: Member, stranger: Member
) -> None:
    client = client_of(chef)
    foreign: Shelves = stocked(client_of(stranger))
    for body, field in (
        ({"kind": "soup", "name": "Soup"}, "kind"),
        ({"kind": "tart", "name": ""}, "name"),
        ({"kind": "tart", "name": "T", "mold": foreign.mold["id"]}, "mold"),
        ({"kind": "tart", "name": "T", "count": 0}, "count"),
    ):
        answer = post(client, "/api/desserts/begin", body)
        assert answer.status_code == 422, body
        assert field in {one["field"] for one in answer.json()["errors"]}
    assert not Dessert.objects.filter(kitchen_id=chef.kitchen_id).exists()
    assert not Mold.objects.filter(kitchen_id=chef.kitchen_id).exists()


def test_a_mesh_becomes_a_mold_that_can_be_hung_and_composed_in(chef: Member) -> None:
    client = client_of(chef)
    read = scan(client, BALL).json()
    assert read["volume_ml"] == pytest.approx(268, rel=0.01)
    made = post(client, "/api/molds", {"name": "Ball", "shape": read["shape"], "note": ""})
    assert made.status_code == 201, made.content
    assert made.json()["figures"]["capacity"]["value"] == pytest.approx(268, rel=0.01)
    filled = post(client, f"/api/molds/{made.json()['id']}/fill", {"volume_ml": 100}).json()
    assert 0 < filled["value"] < 80


@pytest.mark.parametrize(
    ("data", "unit", "says"),
    [
        (b"not a mesh at all", "mm", "STL"),
        (CUBE, "m", "another unit than m"),
        (CUBE, "furlong", "mm, cm, m or in"),
        (CUBE[:-50], "mm", "STL|open"),
    ],
)
def test_a_file_that_is_no_mold_is_refused(chef: Member, data: bytes, unit: str, says: str) -> None:
    answer = scan(client_of(chef), data, unit)
    assert answer.status_code == 422
    assert any(word in answer.json()["detail"] for word in says.split("|")), answer.json()


def test_a_file_of_two_hundred_megabytes_is_refused_by_its_length(chef: Member) -> None:
    answer = client_of(chef).post(
        "/api/molds/scan",
        b"",
        content_type="application/octet-stream",
        headers={"content-length": "200000000"},
    )
    assert answer.status_code == 422
    assert "200 MB" in answer.json()["detail"]


def test_a_path_becomes_a_mold(chef: Member) -> None:
    client = client_of(chef)
    body = {"path": "M0 0h90v90h-90z", "length_mm": 120, "height_mm": 40}
    shape = post(client, "/api/molds/outline", body).json()["shape"]
    made = post(client, "/api/molds", {"name": "Square", "shape": shape, "note": ""}).json()
    assert made["figures"]["capacity"]["value"] == pytest.approx(120 * 120 * 40 / 1000)
    for wrong, field in (({"path": "x"}, "path"), ({"length_mm": 1}, "length_mm")):
        answer = post(client, "/api/molds/outline", {**body, **wrong})
        assert answer.status_code == 422
        assert [one["field"] for one in answer.json()["errors"]] == [field]


def test_a_tray_says_how_many_are_needed(demo: Client) -> None:
    key = demo.get("/api/desserts?q=Foghorn").json()["items"][0]["id"]
    (size,) = demo.get(f"/api/desserts/{key}/solved?count=25").json()["sizes"]
    assert size["trays"]["value"] == 4
    mold = demo.get("/api/molds?q=Domes 8").json()["items"][0]
    assert mold["cavities"] == 8
    row = demo.get(f"/api/molds/{mold['id']}").json()
    entry = {key: row[key] for key in ("name", "shape", "water_g", "note")} | {"cavities": 0}
    body = {"revision": row["revision"], "data": entry}
    answer = demo.put(f"/api/molds/{mold['id']}", body, content_type="application/json")
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "cavities"


@pytest.mark.parametrize(
    ("mold", "built"),
    [("Dome 18 cm", "upside down"), ("Ring 20 cm", "upright"), ("Glass 7", "upright")],
)
def test_without_a_word_it_is_built_as_its_mold_asks(demo: Client, mold: str, built: str) -> None:
    key = demo.get(f"/api/molds?q={mold}").json()["items"][0]["id"]
    made = post(demo, "/api/desserts", {"name": "Another", "mold": key}).json()
    assert made["built"] == built
