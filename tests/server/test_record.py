"""What happened at the door and in the kitchen, as its chef reads it; one's own sessions."""

from collections.abc import Callable
from datetime import timedelta

import pytest
from django.contrib.auth.models import User
from django.test import Client

from fernbell.server.first_visit import MOST_KITCHENS
from fernbell.server.kitchens.models import Kitchen, Member, SecurityEvent, Visit
from fernbell.server.rows.clock import now
from fernbell.server.rows.policy import Role
from tests.server.api import post, put
from tests.server.conftest import PASSWORD, client_of

PHONE = (
    "Mozilla/5.0 (Linux; Android 15; Tablet) AppleWebKit/537.36 (KHTML, like Gecko) "
    "Chrome/140.0.0.0 Safari/537.36"
)


def signed_in(username: str, **more: str) -> Client:
    client = Client(**more)
    body = {"username": username, "password": PASSWORD}
    assert post(client, "/api/session", body).status_code == 200
    return client


def events(client: Client) -> list[tuple[str, str]]:
    items = client.get("/api/members/events?limit=100").json()["items"]
    return [(one["person"], one["what"]) for one in items]


class TestTheDoor:
    def test_who_came_who_was_refused_and_who_left(self, chef: Member, cook: Member) -> None:
        wrong = {"username": cook.user.username, "password": "wrong"}
        post(Client(REMOTE_ADDR="10.0.0.7", HTTP_USER_AGENT=PHONE), "/api/session", wrong)
        guest = signed_in(cook.user.username, HTTP_USER_AGENT=PHONE)
        guest.delete("/api/session")
        client = signed_in("ines")
        name = cook.user.get_full_name()
        assert events(client) == [
            ("Ines", "signed in"),
            (name, "signed out"),
            (name, "signed in"),
            (name, "was refused at the door"),
        ]
        refused = client.get("/api/members/events").json()["items"][-1]
        assert refused["address"] == "10.0.0.7"
        assert refused["agent"] == "Chrome on Android"

    def test_ten_wrong_tries_are_one_lock_out(self, chef: Member) -> None:
        for _ in range(14):
            post(Client(), "/api/session", {"username": "ines", "password": "wrong"})
        told = [what for _, what in events(client_of(chef))]
        assert told.count("was locked out for some minutes") == 1
        assert told.count("was refused at the door") == 10

    def test_somebody_nobody_knows_is_in_the_log_alone(
        self, chef: Member, caplog: pytest.LogCaptureFixture
    ) -> None:
        with caplog.at_level("INFO", "fernbell"):
            post(Client(), "/api/session", {"username": "mallory", "password": "wrong"})
        assert any(getattr(one, "person", "") == "mallory" for one in caplog.records)
        assert not SecurityEvent.objects.exists()

    def test_no_password_is_ever_put_down(
        self, chef: Member, caplog: pytest.LogCaptureFixture
    ) -> None:
        with caplog.at_level("DEBUG"):
            post(Client(), "/api/session", {"username": "ines", "password": "secret sauce 9"})
            signed_in("ines")
        for told in (*map(vars, caplog.records), *SecurityEvent.objects.values()):
            assert "secret sauce 9" not in str(told)
            assert PASSWORD not in str(told)

    def test_who_may_do_what(self, chef: Member) -> None:
        client = client_of(chef)
        body = {"name": "Ada", "username": "ada", "password": "long enough 7", "role": "cook"}
        made = post(client, "/api/members", body).json()["id"]
        put(client, f"/api/members/{made}", {"role": "apprentice"})
        post(client, f"/api/members/{made}/word", {})
        client.delete(f"/api/members/{made}")
        items = client.get("/api/members/events").json()["items"]
        assert [(one["what"], one["by"], one["more"]) for one in items] == [
            ("was removed", "Ines", ""),
            ("was given a word that works once", "Ines", ""),
            ("was given another role", "Ines", "cook → apprentice"),
            ("was added", "Ines", "cook"),
        ]

    def test_another_kitchen_reads_nothing_of_it(
        self, chef: Member, stranger: Member, cook: Member
    ) -> None:
        signed_in(cook.user.username)
        put(client_of(chef), f"/api/members/{cook.pk}", {"role": "apprentice"})
        assert events(client_of(stranger)) == []
        assert client_of(cook).get("/api/members/events").status_code == 403

    def test_what_is_new_is_read_by_whoever_has_read_it_before(self, chef: Member) -> None:
        """The kitchen's version does not change with who comes in; the answers do."""
        client = signed_in("ines")
        for path in ("/api/members/events", "/api/members/me/sessions", "/api/members/me/second"):
            before = client.get(path)
            signed_in("ines")
            again = client.get(path, headers={"if-none-match": before.headers.get("ETag", "*")})
            assert again.status_code == 200
            if not path.endswith("second"):
                assert again.json() != before.json()

    def test_half_a_year_is_kept(self, chef: Member) -> None:
        signed_in("ines")
        SecurityEvent.objects.update(at=now() - timedelta(days=184))
        signed_in("ines")
        assert SecurityEvent.objects.count() == 1


class TestChanges:
    def test_the_chef_reads_who_changed_what(self, chef: Member, cook: Member) -> None:
        client = client_of(cook)
        cream = post(client, "/api/ingredients", {"name": "Cream"}).json()
        put(
            client,
            f"/api/ingredients/{cream['id']}",
            {"revision": 1, "data": {"name": "Heavy cream", "density_g_ml": 1.0}},
        )
        page = client_of(chef).get("/api/members/changes").json()
        told = [
            (one["person"], one["action"], one["kind"], one["name"], one["revision"])
            for one in page["items"]
        ]
        name = cook.user.get_full_name()
        assert told[0][:4] == (name, page["items"][0]["action"], "ingredient", "Heavy cream")
        assert [one[4] for one in told] == [2, 1]
        assert "name" in page["items"][0]["fields"]
        assert page["total"] == 2

    def test_only_the_chef_and_only_of_this_kitchen(
        self, chef: Member, cook: Member, stranger: Member
    ) -> None:
        post(client_of(chef), "/api/ingredients", {"name": "Cream"})
        assert client_of(cook).get("/api/members/changes").status_code == 403
        assert client_of(stranger).get("/api/members/changes").json()["total"] == 0


class TestSessions:
    def test_one_sees_ones_own_and_ends_one(self, chef: Member, cook: Member) -> None:
        here = signed_in("ines", HTTP_USER_AGENT=PHONE, REMOTE_ADDR="10.0.0.4")
        there = signed_in("ines")
        other = signed_in(cook.user.username)
        shown = here.get("/api/members/me/sessions").json()
        assert [one["here"] for one in shown] == [False, True]
        assert (shown[1]["agent"], shown[1]["address"]) == ("Chrome on Android", "10.0.0.4")
        keys = {visit.session_key for visit in Visit.objects.all()}
        assert not any(key in str(shown) for key in keys)
        assert here.delete(f"/api/members/me/sessions/{shown[0]['id']}").status_code == 204
        assert there.get("/api/molds").status_code == 401
        assert here.get("/api/molds").status_code == 200
        assert other.get("/api/molds").status_code == 200

    def test_nobody_ends_anothers(self, chef: Member, cook: Member) -> None:
        theirs, mine = signed_in(cook.user.username), signed_in("ines")
        (one,) = theirs.get("/api/members/me/sessions").json()
        assert mine.delete(f"/api/members/me/sessions/{one['id']}").status_code == 404
        assert theirs.get("/api/molds").status_code == 200

    def test_all_others_end_at_once(self, chef: Member) -> None:
        others = [signed_in("ines") for _ in range(3)]
        here = signed_in("ines")
        assert here.delete("/api/members/me/sessions").status_code == 204
        assert {one.get("/api/molds").status_code for one in others} == {401}
        assert len(here.get("/api/members/me/sessions").json()) == 1

    def test_a_changed_password_leaves_none_of_the_others(self, chef: Member) -> None:
        signed_in("ines")
        here = signed_in("ines")
        body = {"old": PASSWORD, "new": "slow syrup ribbons"}
        assert put(here, "/api/members/me/password", body).status_code == 200
        assert len(here.get("/api/members/me/sessions").json()) == 1


class TestAnotherKitchen:
    def test_whoever_is_signed_in_founds_one_and_is_its_chef(self, cook: Member) -> None:
        client = signed_in(cook.user.username)
        answer = post(client, "/api/session/kitchens", {"kitchen": "Annex", "starter": False})
        assert answer.status_code == 201
        person = answer.json()["person"]
        assert (person["kitchen"]["name"], person["kitchen"]["role"]) == ("Annex", "chef")
        assert len(person["kitchens"]) == 2
        assert client.get("/api/ingredients").json()["total"] == 0
        assert ("founded the kitchen") in [what for _, what in events(client)]
        put(client, "/api/session/kitchen", {"kitchen": person["kitchens"][0]["id"]})
        assert client.get("/api/session").json()["person"]["kitchen"]["role"] == "cook"

    def test_a_stocked_one(self, cook: Member) -> None:
        client = signed_in(cook.user.username)
        post(client, "/api/session/kitchens", {"kitchen": "Annex", "time_zone": "Europe/Paris"})
        assert client.get("/api/molds").json()["total"] == 50

    def test_a_name_and_a_zone_there_is_not_are_refused(self, cook: Member) -> None:
        client = signed_in(cook.user.username)
        for body in ({"kitchen": " "}, {"kitchen": "Annex", "time_zone": "Mars/Base"}):
            assert post(client, "/api/session/kitchens", body).status_code == 422
        assert Kitchen.objects.count() == 1

    def test_there_is_a_most(self, cook: Member) -> None:
        for number in range(MOST_KITCHENS - 1):
            new = Kitchen.objects.create(name=f"Annex {number}")
            Member.objects.create(kitchen=new, user=cook.user, role=Role.CHEF)
        client = signed_in(cook.user.username)
        answer = post(client, "/api/session/kitchens", {"kitchen": "One more"})
        assert answer.status_code == 403
        assert "is the most" in answer.json()["detail"]

    def test_nobody_out_of_doors_and_nobody_of_the_demo(
        self, demo: Client, as_member: Callable[[Member], Client]
    ) -> None:
        body = {"kitchen": "Annex"}
        assert post(Client(), "/api/session/kitchens", body).status_code == 401
        assert post(demo, "/api/session/kitchens", body).status_code == 403
        assert not User.objects.filter(memberships__kitchen__name="Annex").exists()
