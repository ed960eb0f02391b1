"""The door: too many tries are stopped and told, passwords are changed, given and forgotten."""

from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from typing import Any

import pytest
from django.contrib.auth.models import User
from django.db import connections
from django.test import Client
from pytest_django import Settings

from fernbell.server.kitchens import passwords, place
from fernbell.server.kitchens.models import Kitchen, Member, OneTimeWord
from fernbell.server.password import replace
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import Role
from tests.server.api import post, put
from tests.server.conftest import PASSWORD, client_of, new_member

OWN = "slow syrup ribbons"


def knock(client: Client, username: str, password: str | None = None, **more: Any) -> Any:
    body = {"username": username, "password": password or "wrong"}
    return client.post("/api/session", body, content_type="application/json", **more)


class TestTooManyTries:
    def test_a_name_is_stopped_after_ten_and_told_how_long(self, chef: Member) -> None:
        answers = [knock(Client(), "ines", HTTP_USER_AGENT=f"try {n}") for n in range(10)]
        assert [one.status_code for one in answers] == [422] * 9 + [429]
        assert "5 minutes" in answers[-1].json()["detail"]
        assert answers[-1]["Retry-After"] == "300"
        # Not even with the right one, from wherever, however it is written.
        for name in ("ines", "INES"):
            locked = knock(Client(), name, PASSWORD, REMOTE_ADDR="10.0.0.9")
            assert locked.status_code == 429

    def test_a_place_is_stopped_whichever_names_it_tries(self, chef: Member, cook: Member) -> None:
        for n in range(10):
            knock(Client(), f"nobody{n}", REMOTE_ADDR="10.0.0.7")
        assert knock(Client(), "ines", PASSWORD, REMOTE_ADDR="10.0.0.7").status_code == 429
        assert knock(Client(), "ines", PASSWORD, REMOTE_ADDR="10.0.0.8").status_code == 200

    def test_who_signs_in_may_err_again(self, chef: Member) -> None:
        for _ in range(3):
            for _ in range(5):
                assert knock(Client(), "ines").status_code == 422
            assert knock(Client(), "ines", PASSWORD).status_code == 200

    def test_it_ends_by_itself(self, chef: Member, settings: Settings) -> None:
        for _ in range(10):
            knock(Client(), "ines")
        settings.AXES_COOLOFF_TIME = timedelta(0)
        assert knock(Client(), "ines", PASSWORD).status_code == 200

    @pytest.mark.parametrize(
        ("proxies", "forwarded", "counts"),
        [
            (0, "1.2.3.4", "10.0.0.1"),
            (1, "9.9.9.9, 1.2.3.4", "1.2.3.4"),
            (2, "9.9.9.9, 1.2.3.4, 10.0.0.2", "1.2.3.4"),
            (1, "", "10.0.0.1"),
            (1, ", 1.2.3.4", "1.2.3.4"),
            (2, "1.2.3.4", "10.0.0.1"),
            (1, "the stove", "10.0.0.1"),
            (1, "x" * 5000, "10.0.0.1"),
            (1, "fe80::1%eth0", "10.0.0.1"),
            (1, "2001:db8::7", "2001:db8::7"),
        ],
    )
    def test_only_a_configured_proxy_says_where_one_comes_from(
        self, settings: Settings, proxies: int, forwarded: str, counts: str, rf: Any
    ) -> None:
        settings.PROXIES = proxies
        request = rf.get("/", REMOTE_ADDR="10.0.0.1", HTTP_X_FORWARDED_FOR=forwarded)
        assert place.address(request) == counts

    @pytest.mark.django_db(transaction=True)
    def test_many_at_once_are_asked_to_come_again_and_nobody_waits(self, chef: Member) -> None:
        def one(number: int) -> int:
            try:
                return knock(Client(), f"x{number}", REMOTE_ADDR=f"10.0.1.{number}").status_code
            finally:
                connections.close_all()

        with ThreadPoolExecutor(8) as pool:
            statuses = list(pool.map(one, range(16)))
        assert set(statuses) <= {422, 429}
        assert 429 in statuses
        assert 422 in statuses
        assert knock(Client(), "ines", PASSWORD).status_code == 200


class TestPasswords:
    def test_ones_own_is_changed_and_the_other_sessions_end(self, chef: Member) -> None:
        here, there = Client(), Client()
        assert {knock(one, "ines", PASSWORD).status_code for one in (here, there)} == {200}
        changed = put(here, "/api/members/me/password", {"old": PASSWORD, "new": OWN})
        assert changed.status_code == 200
        assert here.get("/api/desserts").status_code == 200
        assert there.get("/api/desserts").status_code == 401
        assert knock(Client(), "ines", PASSWORD).status_code == 422
        assert knock(Client(), "ines", OWN).status_code == 200

    @pytest.mark.parametrize(
        ("old", "new", "field"),
        [
            ("wrong", OWN, "old"),
            (PASSWORD, "short", "new"),
            (PASSWORD, "password12", "new"),
        ],
    )
    def test_a_wrong_or_weak_one_changes_nothing(
        self, chef: Member, old: str, new: str, field: str
    ) -> None:
        client = client_of(chef)
        refused = put(client, "/api/members/me/password", {"old": old, "new": new})
        assert refused.status_code == 422
        assert refused.json()["errors"][0]["field"] == field
        assert knock(Client(), "ines", PASSWORD).status_code == 200

    def test_the_chef_gives_a_word_that_works_once(self, chef: Member, cook: Member) -> None:
        before = client_of(cook)
        word = post(client_of(chef), f"/api/members/{cook.pk}/word").json()["word"]
        assert before.get("/api/desserts").status_code == 401
        assert knock(Client(), "tomas", PASSWORD).status_code == 422
        asked = knock(Client(), "tomas", word)
        assert asked.status_code == 422
        assert asked.json()["errors"][0]["field"] == "new_password"
        body = {"username": "tomas", "password": word, "new_password": word}
        assert post(Client(), "/api/session", body).status_code == 422
        weak = post(Client(), "/api/session", {**body, "new_password": "short"})
        assert weak.json()["errors"][0]["field"] == "new_password"
        assert post(Client(), "/api/session", {**body, "new_password": OWN}).status_code == 200
        assert knock(Client(), "tomas", word).status_code == 422
        assert knock(Client(), "tomas", OWN).status_code == 200

    def test_an_old_word_is_refused(
        self, chef: Member, cook: Member, monkeypatch: pytest.MonkeyPatch
    ) -> None:
        word = post(client_of(chef), f"/api/members/{cook.pk}/word").json()["word"]
        monkeypatch.setattr(passwords, "WORD_LASTS", timedelta(0))
        body = {"username": "tomas", "password": word, "new_password": OWN}
        refused = post(Client(), "/api/session", body)
        assert "ask the chef" in refused.json()["detail"]
        assert OneTimeWord.objects.count() == 1

    def test_nobody_but_the_chef_of_that_kitchen_alone_gives_one(
        self, chef: Member, cook: Member, apprentice: Member, stranger: Member
    ) -> None:
        path = f"/api/members/{apprentice.pk}/word"
        assert post(client_of(cook), path).status_code == 403
        assert post(client_of(stranger), path).status_code == 404
        # A chef of one kitchen is not let into the others of its people.
        Member.objects.create(kitchen=stranger.kitchen, user=cook.user, role=Role.COOK)
        refused = post(client_of(chef), f"/api/members/{cook.pk}/word")
        assert refused.status_code == 422
        assert "./fern password tomas" in refused.json()["detail"]
        assert knock(Client(), "tomas", PASSWORD).status_code == 200

    def test_at_the_machine_it_is_replaced_and_what_was_locked_opens(self, chef: Member) -> None:
        for _ in range(10):
            knock(Client(), "ines", REMOTE_ADDR="10.0.0.7")
        replace("Ines", OWN)
        assert knock(Client(), "ines", OWN).status_code == 200
        with pytest.raises(Invalid, match="Nobody signs in as"):
            replace("nobody", OWN)


LOOK_ALIKE = ["ınes", "іnes", "in\u200bes", "\u202eseni", "ines ", "-ines", "ïnes", "in/es"]


class TestNames:
    def test_a_password_like_the_name_is_refused(self, chef: Member) -> None:
        entry = {"name": "Bartholomew", "username": "bartholomew", "role": "cook"}
        entry["password"] = "bartholomew1"
        refused = post(client_of(chef), "/api/members", entry)
        assert refused.status_code == 422
        assert refused.json()["errors"][0]["field"] == "password"

    @pytest.mark.parametrize("name", LOOK_ALIKE, ids=ascii)
    def test_names_that_look_alike_or_hide_are_refused(self, chef: Member, name: str) -> None:
        entry = {"name": "Other", "username": name, "password": OWN, "role": "cook"}
        refused = post(client_of(chef), "/api/members", entry)
        assert refused.status_code == 422
        assert refused.json()["errors"][0]["field"] == "username"
        assert Member.objects.count() == 1

    def test_nobody_becomes_a_person_of_the_demo_by_name(
        self, chef: Member, settings: Settings
    ) -> None:
        settings.DEMO = True
        entry = {"name": "Eve", "username": "demo-eve", "password": OWN, "role": "chef"}
        assert post(client_of(chef), "/api/members", entry).status_code == 422
        # Whoever has such a name from before needs a password all the same.
        User.objects.create_user("demo-eve", password=OWN)
        assert post(Client(), "/api/session/demo", {"username": "demo-eve"}).status_code == 422


class TestComingAgain:
    def entry(self, password: str) -> dict[str, str]:
        return {"name": "Tomas", "username": "tomas", "password": password, "role": "cook"}

    def test_somebody_who_was_taken_out_is_added_again(self, chef: Member, cook: Member) -> None:
        client = client_of(chef)
        assert client.delete(f"/api/members/{cook.pk}").status_code == 204
        assert post(client, "/api/members", self.entry(OWN)).status_code == 201
        assert knock(Client(), "tomas", OWN).status_code == 200
        assert User.objects.filter(username="tomas").count() == 1
        twice = post(client, "/api/members", self.entry(OWN))
        assert twice.json()["errors"][0]["field"] == "username"

    def test_a_word_from_before_does_not_outlive_being_taken_out(
        self, chef: Member, cook: Member
    ) -> None:
        client = client_of(chef)
        post(client, f"/api/members/{cook.pk}/word")
        assert client.delete(f"/api/members/{cook.pk}").status_code == 204
        assert post(client, "/api/members", self.entry(OWN)).status_code == 201
        assert knock(Client(), "tomas", OWN).status_code == 200
        assert OneTimeWord.objects.count() == 0

    def test_a_person_of_another_kitchen_comes_with_their_own_password(
        self, chef: Member, stranger: Member, as_member: Callable[[Member], Client]
    ) -> None:
        client = client_of(chef)
        theirs = {"name": "V", "username": "vera", "role": "cook"}
        assert post(client, "/api/members", {**theirs, "password": OWN}).status_code == 422
        assert Member.objects.filter(user=stranger.user).count() == 1
        added = post(client, "/api/members", {**theirs, "password": PASSWORD})
        assert added.status_code == 201
        vera = Client()
        kitchens = knock(vera, "vera", PASSWORD).json()["person"]["kitchens"]
        assert {one["name"] for one in kitchens} == {"Harbor Kitchen", "Other Kitchen"}
        assert knock(Client(), "vera", OWN).status_code == 422

    @pytest.mark.django_db(transaction=True)
    def test_two_chefs_who_add_one_name_at_once_get_one_and_a_plain_refusal(self) -> None:
        chefs = [
            new_member(Kitchen.objects.create(name=f"Kitchen {n}"), f"Chef{n}", Role.CHEF)
            for n in range(2)
        ]
        clients = [client_of(chef) for chef in chefs]

        def add(client: Client) -> int:
            try:
                while True:
                    entry = {"name": "Lea", "username": "lea", "password": OWN, "role": "cook"}
                    status = post(client, "/api/members", entry).status_code
                    if status != 429:
                        return status
            finally:
                connections.close_all()

        with ThreadPoolExecutor(2) as pool:
            statuses = sorted(pool.map(add, clients))
        assert statuses[0] == 201
        assert statuses[1] in (201, 422)
        assert User.objects.filter(username="lea").count() == 1
