"""A dessert at other sizes over the wire: in molds, cut from sheets, by templates."""

import re
from io import BytesIO
from typing import Any
from xml.etree import ElementTree

import numpy as np
import pypdfium2
import pytest
from django.test import Client

from fernbell.core.cutting import BAR_MM, PAPERS
from fernbell.server.desserts.models import Dessert
from fernbell.server.molds.models import Mold


@pytest.fixture
def reedbed(demo: Client) -> str:
    del demo
    return f"/api/desserts/{Dessert.objects.get(name='Reedbed').pk}"


def asked(client: Client, path: str, **query: Any) -> Any:
    answer = client.get(path, query)
    assert answer.status_code == 200, answer.content
    return answer.json()


def plan_of(client: Client, reedbed: str, name: str = "Rye crumble base") -> dict[str, Any]:
    groups = asked(client, f"{reedbed}/sheeted")
    one = next(group for group in groups if group["name"] == name)
    return {"formula": one["formula"], "thick_mm": one["thick_mm"]}


def test_the_dessert_stands_in_every_mold_of_the_kitchen(demo: Client, reedbed: str) -> None:
    found = asked(demo, f"{reedbed}/resized", keep="heights", limit=60)
    assert found["of"] == len(found["molds"]) == Mold.objects.filter(archived_at=None).count()
    own, *others = found["molds"]
    assert (own["own"], own["factor"]) == (True, 1.0)
    assert not any(one["own"] for one in others)
    pages = [
        asked(demo, f"{reedbed}/resized", keep="heights", limit=25, offset=offset)["molds"]
        for offset in (0, 25)
    ]
    assert [one["mold"] for page in pages for one in page] == [
        one["mold"] for one in found["molds"]
    ]


@pytest.mark.parametrize("keep", ["heights", "proportions", "portions"])
def test_one_mold_is_told_with_its_workings(demo: Client, reedbed: str, keep: str) -> None:
    ring = Mold.objects.get(name="Ring 16 cm, 4.5 high").pk
    brief = next(
        one
        for one in asked(demo, f"{reedbed}/resized", keep=keep, limit=60)["molds"]
        if one["mold"] == str(ring)
    )
    into = asked(demo, f"{reedbed}/resized/{ring}", keep=keep)
    there = into["there"]
    assert (into["parts"] is not None) == (keep == "proportions")
    assert there["one_factor"]["value"] == pytest.approx(brief["factor"])
    assert [one["mass"]["value"] for one in there["parts"]] == [
        one["mass_g"] for one in brief["parts"]
    ]
    over = [one["over"]["value"] for one in there["parts"]]
    assert there["left_g"] - there["lack_g"] == pytest.approx(sum(over))


def test_another_kitchens_mold_is_not_there(
    demo: Client, reedbed: str, stranger: Any, as_member: Any
) -> None:
    other = Mold.objects.create(
        kitchen=stranger.kitchen, name="Theirs", shape={"form": "ring", "diameter_mm": 90,
                                                       "height_mm": 40}
    )  # fmt: skip
    assert demo.get(f"{reedbed}/resized/{other.pk}").status_code == 404
    theirs = as_member(stranger)
    for path in ("resized", "sheeted", "templates", f"resized/{other.pk}"):
        assert theirs.get(f"{reedbed}/{path}").status_code == 404


def test_a_cut_plan_goes_on_from_turn_to_turn_until_it_is_done(demo: Client, reedbed: str) -> None:
    wanted = plan_of(demo, reedbed) | {"count": 60}
    first = asked(demo, f"{reedbed}/cut-plan", **wanted)
    assert first["number"] == 10
    assert sum(sheet["alike"] * len(sheet["loops"]) for sheet in first["sheets"]) == 60
    assert first["done"]
    small = wanted | {"length_mm": 405, "width_mm": 420, "edge_mm": 0, "kerf_mm": 0}
    turns = []
    for turn in range(20):
        found = asked(demo, f"{reedbed}/cut-plan", **small, turns=turn)
        turns.append(found["done"])
        if found["done"]:
            break
    assert turns[-1]
    assert len(turns) <= found["turns"] + 1


@pytest.mark.parametrize(
    ("change", "field", "says"),
    [
        ({"kerf_mm": 40}, "kerf_mm", "at most 20"),
        ({"length_mm": 5}, "length_mm", "at least 20"),
        ({"edge_mm": 200}, "edge_mm", "less than 200 mm, half of the sheet"),
        ({"length_mm": 150, "width_mm": 150}, "piece", "not Ø 18.4 cm"),
        ({"count": 0}, "count", "at least 1"),
        ({"count": 10_000}, "count", "at most 5"),
        ({"turns": -1}, "turns", "0"),
        ({"turns": 50}, "turns", "at most 8"),
        ({"trim": "eaten"}, "trim", "thrown"),
        ({"thick_mm": 8}, "formula", "Nothing of this dessert"),
        ({"formula": "x"}, "formula", "Nothing of this dessert"),
        ({"length_mm": "wide"}, "length_mm", "number"),
    ],
)
def test_what_cannot_be_cut_is_refused_at_its_field(
    demo: Client, reedbed: str, change: dict[str, Any], field: str, says: str
) -> None:
    answer = demo.get(f"{reedbed}/cut-plan", plan_of(demo, reedbed) | change)
    assert answer.status_code == 422
    errors = {one["field"]: one["message"] for one in answer.json()["errors"]}
    assert says in errors[field], errors


PIXELS_A_MM = 10


def bar_mm(pdf: bytes, page: int) -> float:
    """How long the bar at the foot of a printed page is, measured on its picture."""
    picture = pypdfium2.PdfDocument(BytesIO(pdf))[page].render(scale=PIXELS_A_MM * 25.4 / 72)
    dark = np.asarray(picture.to_pil().convert("L")) < 128
    high = dark.shape[0]
    foot = dark[high - 25 * PIXELS_A_MM : high - 8 * PIXELS_A_MM, : 90 * PIXELS_A_MM]
    longest = 0
    for row in foot:
        edges = np.flatnonzero(np.diff(np.concatenate(([0], row.astype(int), [0]))))
        longest = max(longest, *(edges[1::2] - edges[::2]), 0) if len(edges) else longest
    return longest / PIXELS_A_MM


@pytest.mark.parametrize("paper", PAPERS, ids=lambda one: one.name)
def test_a_printed_template_has_its_bar_and_its_size(
    demo: Client, reedbed: str, paper: Any
) -> None:
    liner = demo.get(f"{reedbed}/templates/liner", {"paper": paper.name})
    assert liner["Content-Type"] == "application/pdf"
    pdf = pypdfium2.PdfDocument(BytesIO(liner.content))
    offered = asked(demo, f"{reedbed}/templates")
    pages = next(one for one in offered if one["drawn"]["key"] == "liner")["pages"]
    assert len(pdf) == pages[paper.name] > 1
    for number in range(len(pdf)):
        assert sorted(pdf[number].get_size()) == pytest.approx(
            [paper.wide_mm / 25.4 * 72, paper.high_mm / 25.4 * 72], abs=0.1
        )
    # The line is 0.3 mm thick at both ends.
    assert bar_mm(liner.content, 0) == pytest.approx(BAR_MM, abs=0.4)
    everything = demo.get(f"{reedbed}/templates/all", {"paper": paper.name})
    assert len(pypdfium2.PdfDocument(BytesIO(everything.content))) == sum(
        one["pages"][paper.name] for one in offered
    )


def test_an_svg_is_as_large_as_life(demo: Client, reedbed: str) -> None:
    answer = demo.get(f"{reedbed}/templates/piece-crumble", {"as": "svg"})
    root = ElementTree.fromstring(answer.content)  # noqa: S314 - our own
    wide = float(root.attrib["width"].removesuffix("mm"))
    assert wide == pytest.approx(float(root.attrib["viewBox"].split()[2]))
    path = root.find(".//{*}path[@class='cut']")
    assert path is not None
    xs = [float(x) for x, _ in re.findall(r"(-?[\d.]+) (-?[\d.]+)", path.attrib["d"])]
    assert max(xs) - min(xs) == pytest.approx(184)
    bar = root.find(".//{*}path[@id='bar']")
    assert bar is not None
    assert "h50" in bar.attrib["d"]


def test_a_sheet_of_a_cut_plan_is_printed_and_one_that_is_not_there_refused(
    demo: Client, reedbed: str
) -> None:
    query = plan_of(demo, reedbed)
    answer = demo.get(f"{reedbed}/cut-plan/0/full-size", query)
    # 60 x 40 cm on A4 lying or standing: 8 pages at least.
    assert len(pypdfium2.PdfDocument(BytesIO(answer.content))) >= 8
    assert demo.get(f"{reedbed}/cut-plan/5/full-size", query).status_code == 422
    assert demo.get(f"{reedbed}/templates/nothing").status_code == 422
    assert demo.get(f"{reedbed}/templates/all", {"paper": "A5"}).status_code == 422


def test_names_in_any_script_are_printed(demo: Client, reedbed: str) -> None:
    Dessert.objects.filter(name="Reedbed").update(name="Ρίγανη Śliwka 梅")
    assert demo.get(f"{reedbed}/templates/all").status_code == 200
