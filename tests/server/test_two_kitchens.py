"""Two kitchens in which everything is called alike: nothing of one is ever in the other's."""

import re
from typing import Any

import pytest
from django.contrib.auth.models import User
from django.db.models import F, Value
from django.db.models.functions import Concat
from django.test import Client
from pytest_django import Settings

from fernbell.server.demo import KITCHEN, load_demo
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.planning.jobs import make_timeline
from fernbell.server.planning.models import Order
from ops.pace import patience_s
from tests.server.api import PATHS, post
from tests.server.conftest import client_of

UUID = re.compile(r"[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}")


@pytest.fixture
def twins(demo: Client, settings: Settings) -> tuple[Client, Client]:
    """The chefs of two kitchens, each stocked with the same demo."""
    settings.PLAN_SECONDS, settings.PLAN_EFFORT = patience_s(60), 0.05
    User.objects.update(username=Concat(Value("twin-"), F("username")))
    Kitchen.objects.filter(name=KITCHEN).update(name="Another hall")
    load_demo()
    return demo, client_of(Member.objects.get(user__username="demo-ottilie"))


def order_of(client: Client) -> str:
    """The key of the one order of a kitchen."""
    (row,) = client.get("/api/orders").json()["items"]
    key: str = row["id"]
    return key


def planned(client: Client) -> dict[str, Any]:
    """The last plan of its order, made now."""
    path = f"/api/timelines/of/{order_of(client)}"
    asked = post(client, path, {"near": False})
    assert asked.status_code == 202, asked.content
    make_timeline(timeline=asked.json()["id"])
    return client.get(path).json()


def keys_of(client: Client) -> set[str]:
    """The keys of all rows on all shelves of a kitchen."""
    shelves = (client.get(f"{path}?limit=200").json()["items"] for path in PATHS.values())
    return {row["id"] for shelf in shelves for row in shelf}


def test_people_and_places_of_the_same_name_are_not_claimed(twins: tuple[Client, Client]) -> None:
    first, second = twins
    board = planned(first)["result"]["board"]
    assert board["bars"]
    plan = planned(second)["result"]["board"]
    assert plan["others"] == []
    # It is the same night in the same kitchen: nothing of the other made it another plan.
    assert {one["title"] for one in plan["bars"]} == {one["title"] for one in board["bars"]}


def test_no_list_sheet_or_order_holds_a_key_of_the_other(twins: tuple[Client, Client]) -> None:
    first, second = twins
    theirs = keys_of(first)
    assert len(theirs) > 100
    assert not theirs & keys_of(second)
    order = order_of(second)
    dessert = second.get("/api/desserts").json()["items"][0]["id"]
    paths = (
        *PATHS.values(),
        f"/api/orders/{order}",
        f"/api/orders/{order}/planned",
        f"/api/desserts/{dessert}/solved",
        f"/api/desserts/{dessert}/sheets",
        "/api/names?shelf=lines&q=cream",
    )
    for path in paths:
        answer = second.get(path)
        assert answer.status_code == 200, path
        assert not set(UUID.findall(answer.content.decode())) & theirs, path


def test_a_plan_of_the_other_is_not_there(twins: tuple[Client, Client]) -> None:
    first, second = twins
    foreign = Order.objects.get(kitchen__name="Another hall")
    assert post(second, f"/api/timelines/of/{foreign.pk}", {"near": False}).status_code == 404
    assert second.get(f"/api/timelines/of/{foreign.pk}").status_code == 404
    assert first.get(f"/api/timelines/of/{foreign.pk}").status_code == 200
