"""Formulas side by side over the API, and how sweet a whole bite is with each."""

import pytest
from django.test import Client

from fernbell.server.kitchens.models import Kitchen
from tests.server.conftest import client_of, new_member
from tests.server.test_setting import one


def ids(client: Client, *names: str) -> list[str]:
    return [one(client, "formulas", name)["id"] for name in names]


def test_every_row_has_a_place_for_each_in_the_order_asked_for(demo: Client) -> None:
    names = ("White chocolate mousse", "Dark ganache", "Salted honey caramel")
    keys = ids(demo, *names)
    found = demo.get("/api/formulas/beside", {"formula": keys}).json()
    assert found["formulas"] == keys
    assert found["table"]["names"] == list(names)
    for row in found["table"]["lines"]:
        assert len(row["shares"]) == 3
    for at in range(3):
        shares = [row["shares"][at] for row in found["table"]["lines"]]
        assert sum(one["value"] for one in shares if one) == pytest.approx(100)
    for row in found["table"]["readings"]:
        assert len(row["workings"]) == len(row["verdicts"]) == 3
    codes = [row["code"] for row in found["table"]["readings"]]
    assert {"sweetness", "cost", "water-activity", "water", "hold", "set-number"} <= set(codes)
    keeps = next(row for row in found["known"] if row["name"] == "Keeps, usually")
    assert keeps["of"][0] is None
    assert keeps["of"][1]["says"]
    # Alone each says the same.
    for at, key in enumerate(keys):
        alone = demo.get(f"/api/formulas/{key}/reading").json()
        known = {one["name"]: one["of"][at] for one in found["known"] if one["of"][at]}
        assert known == {aside["name"]: aside for aside in alone["asides"]}
        own = {one["gauge"]["code"]: one["gauge"]["working"] for one in alone["gauges"]}
        for row in found["table"]["readings"]:
            assert row["workings"][at] == own.get(row["code"])


@pytest.mark.parametrize("many", [0, 1, 7])
def test_fewer_than_two_or_more_than_six_are_refused(demo: Client, many: int) -> None:
    key = ids(demo, "Dark ganache")[0]
    answer = demo.get("/api/formulas/beside", {"formula": [key] * many})
    assert answer.status_code == 422
    assert answer.json()["errors"]


def test_no_other_kitchens_formula_stands_beside_ones_own(demo: Client) -> None:
    keys = ids(demo, "Dark ganache", "Salted honey caramel")
    stranger = client_of(new_member(Kitchen.objects.create(name="Other"), "Vera", "chef"))
    assert stranger.get("/api/formulas/beside", {"formula": keys}).status_code == 404
    nobody = "00000000-0000-4000-8000-000000000000"
    asked = {"formula": [keys[0], nobody]}
    assert demo.get("/api/formulas/beside", asked).status_code == 404


def test_a_bite_is_as_sweet_as_the_dessert_drawn_with_each(demo: Client) -> None:
    dessert = one(demo, "desserts", "Foghorn domes")["id"]
    own, other = ids(demo, "White chocolate mousse", "Dark ganache")
    asked = {"of": own, "formula": [own, other]}
    with_own, with_other = demo.get(f"/api/desserts/{dessert}/bites", asked).json()
    bite = demo.get(f"/api/desserts/{dessert}/bite").json()
    assert with_own["sweetness"]["value"] == bite["tastes"]["Sweetness"]["value"]
    assert with_other["sweetness"]["value"] > with_own["sweetness"]["value"]


def test_a_bite_refuses_what_is_not_in_it_and_too_many(demo: Client) -> None:
    dessert = one(demo, "desserts", "Foghorn domes")["id"]
    own, other = ids(demo, "White chocolate mousse", "Salted honey caramel")
    path = f"/api/desserts/{dessert}/bites"
    strange = demo.get(path, {"of": other, "formula": [own]})
    assert strange.status_code == 422
    assert strange.json()["errors"][0]["field"] == "of"
    assert demo.get(path, {"of": own, "formula": [own] * 7}).status_code == 422
    stranger = client_of(new_member(Kitchen.objects.create(name="Other"), "Vera", "chef"))
    assert stranger.get(path, {"of": own, "formula": [own]}).status_code == 404
