"""Signing in, the first visit, the demo, and the members of a kitchen."""

from collections.abc import Callable

import pytest
from django.contrib.auth.models import User
from django.test import Client
from pytest_django import Settings

from fernbell.server.kitchens.models import Kitchen, Member
from tests.server.api import post, put
from tests.server.conftest import PASSWORD

FOUNDING = {
    "kitchen": "Quay Kitchen",
    "name": "Mira Holt",
    "username": "mira",
    "password": "seven sweet hours",
    "starter": False,
}


def standing(client: Client) -> dict:
    return client.get("/api/session").json()


class TestFirstVisit:
    def test_the_first_visitor_founds_a_kitchen_and_is_its_chef(self, db: None) -> None:
        client = Client()
        assert standing(client) == {"person": None, "demo_people": [], "first_visit": True}
        answer = post(client, "/api/session/first-chef", FOUNDING)
        assert answer.status_code == 201
        assert answer.json()["person"]["kitchen"]["role"] == "chef"
        assert not standing(Client())["first_visit"]
        assert client.get("/api/ingredients").json()["total"] == 0

    def test_there_is_no_second_first_chef(self, chef: Member) -> None:
        answer = post(Client(), "/api/session/first-chef", FOUNDING)
        assert answer.status_code == 403
        assert Kitchen.objects.count() == 1

    def test_a_stocked_beginning(self, db: None) -> None:
        client = Client()
        post(client, "/api/session/first-chef", {**FOUNDING, "starter": True})
        assert client.get("/api/ingredients").json()["total"] >= 60
        assert client.get("/api/molds").json()["total"] == 50

    @pytest.mark.parametrize("password", ["short", "password12", ""])
    def test_a_weak_password_is_refused_and_nothing_is_founded(
        self, db: None, password: str
    ) -> None:
        answer = post(Client(), "/api/session/first-chef", {**FOUNDING, "password": password})
        assert answer.status_code == 422
        assert answer.json()["errors"][0]["field"] == "password"
        assert User.objects.count() == Kitchen.objects.count() == 0


class TestSigningIn:
    def test_with_name_and_password_and_out_again(self, chef: Member) -> None:
        client = Client()
        answer = post(client, "/api/session", {"username": "ines", "password": PASSWORD})
        assert answer.json()["person"]["name"] == "Ines"
        assert client.get("/api/desserts").status_code == 200
        assert client.delete("/api/session").status_code == 204
        assert client.get("/api/desserts").status_code == 401

    @pytest.mark.parametrize("entry", [{"username": "ines"}, {"username": "nobody"}])
    def test_a_wrong_pair_is_refused_without_saying_which(self, chef: Member, entry: dict) -> None:
        answer = post(Client(), "/api/session", {**entry, "password": "wrong"})
        assert answer.status_code == 422
        assert answer.json()["detail"] == "Name and password do not belong together."

    def test_demo_people_come_in_with_one_click_in_demo_mode_only(
        self, demo: Client, settings: Settings
    ) -> None:
        client = Client()
        assert standing(client)["demo_people"] == []
        body = {"username": "demo-ottilie"}
        assert post(client, "/api/session/demo", body).status_code == 403
        settings.DEMO = True
        roles = [one["role"] for one in standing(client)["demo_people"]]
        assert roles == ["chef", "cook", "apprentice"]
        assert post(client, "/api/session/demo", body).json()["person"]["name"] == "Ottilie Marsh"

    def test_nobody_else_comes_in_that_way(self, chef: Member, settings: Settings) -> None:
        settings.DEMO = True
        answer = post(Client(), "/api/session/demo", {"username": "ines"})
        assert answer.status_code == 422
        assert standing(Client())["person"] is None

    def test_one_goes_to_another_kitchen_of_ones_own_and_to_no_other(
        self, chef: Member, stranger: Member, as_member: Callable[[Member], Client]
    ) -> None:
        client = as_member(chef)
        body = {"kitchen": str(stranger.kitchen_id)}
        assert put(client, "/api/session/kitchen", body).status_code == 404
        Member.objects.create(kitchen_id=stranger.kitchen_id, user=chef.user, role="apprentice")
        there = put(client, "/api/session/kitchen", body).json()["person"]["kitchen"]
        assert (there["name"], there["role"]) == ("Other Kitchen", "apprentice")


class TestMembers:
    @pytest.fixture
    def client(self, chef: Member, as_member: Callable[[Member], Client]) -> Client:
        return as_member(chef)

    def test_a_chef_adds_a_cook_who_can_sign_in(self, client: Client) -> None:
        entry = {
            "name": "Lea Moor",
            "username": "lea",
            "password": "butter in last",
            "role": "cook",
        }
        assert post(client, "/api/members", entry).status_code == 201
        answer = post(Client(), "/api/session", {"username": "lea", "password": "butter in last"})
        assert answer.json()["person"]["kitchen"]["role"] == "cook"

    def test_a_name_to_sign_in_with_is_used_once(self, client: Client) -> None:
        entry = {"name": "I", "username": "INES", "password": "butter in last", "role": "cook"}
        answer = post(client, "/api/members", entry)
        assert answer.json()["errors"][0]["field"] == "username"
        assert Member.objects.count() == 1

    def test_the_last_chef_stays(self, client: Client, chef: Member, cook: Member) -> None:
        assert put(client, f"/api/members/{chef.pk}", {"role": "cook"}).status_code == 422
        assert client.delete(f"/api/members/{chef.pk}").status_code == 422
        assert put(client, f"/api/members/{cook.pk}", {"role": "chef"}).status_code == 200
        assert client.delete(f"/api/members/{chef.pk}").status_code == 204
        assert client.get("/api/members").status_code == 401
