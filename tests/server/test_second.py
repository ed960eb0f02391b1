"""A code of the moment at the door: asked for once confirmed, fits once, replaced by words."""

import base64
import hashlib
import hmac
import struct
from datetime import timedelta
from typing import Any

import pytest
from django.contrib.auth.models import User
from django.test import Client
from django_otp.plugins.otp_static.models import StaticToken
from django_otp.plugins.otp_totp.models import TOTPDevice

from fernbell.server.kitchens.models import Member
from fernbell.server.password import replace
from fernbell.server.rows.clock import now
from tests.server.api import post, put
from tests.server.conftest import PASSWORD, client_of

SECOND = "/api/members/me/second"


def code_at(secret: str, seconds: float, digits: int = 6) -> str:
    """The code at a moment, as RFC 6238 and RFC 4226 compute it, written apart from the library."""
    key = base64.b32decode(secret)
    digest = hmac.new(key, struct.pack(">Q", int(seconds // 30)), hashlib.sha1).digest()
    start = digest[-1] & 15
    number = struct.unpack(">I", digest[start : start + 4])[0] & 0x7FFFFFFF
    return f"{number % 10**digits:0{digits}d}"


def code_now(secret: str, steps: int = 0) -> str:
    return code_at(secret, now().timestamp() + 30 * steps)


# RFC 6238, appendix B, SHA-1.
@pytest.mark.parametrize(
    ("seconds", "code"), [(59, "94287082"), (1111111109, "07081804"), (20000000000, "65353130")]
)
def test_our_own_reckoning_is_that_of_the_standard(seconds: int, code: str) -> None:
    secret = base64.b32encode(b"12345678901234567890").decode()
    assert code_at(secret, seconds, digits=8) == code


def knock(code: str | None = None, **more: str) -> Any:
    return post(
        Client(), "/api/session", {"username": "ines", "password": PASSWORD, "code": code, **more}
    )


@pytest.fixture
def secret(chef: Member) -> str:
    """The chef's secret, asked for from now on."""
    client = client_of(chef)
    told = post(client, SECOND, {"password": PASSWORD}).json()["secret"]
    # One of the step before: what it confirms with fits no second time.
    assert put(client, SECOND, {"code": code_now(told, -1)}).status_code == 200
    return told


def test_nothing_is_asked_for_until_a_first_code_fits(chef: Member) -> None:
    client = client_of(chef)
    told = post(client, SECOND, {"password": PASSWORD}).json()
    assert told["url"].startswith("otpauth://totp/Fern%20Bell")
    assert told["secret"] in told["url"]
    assert told["picture"].startswith("<svg")
    assert client.get(SECOND).json() == {"on": False, "recovery_left": 0}
    assert knock().status_code == 200
    wrong = put(client, SECOND, {"code": "000000"})
    assert wrong.json()["errors"][0]["field"] == "code"
    assert not client.get(SECOND).json()["on"]


def test_the_password_is_asked_for_again(chef: Member) -> None:
    answer = post(client_of(chef), SECOND, {"password": "not mine"})
    assert answer.json()["errors"][0] == {
        "field": "password",
        "message": "This is not your password.",
    }
    assert not TOTPDevice.objects.exists()


def test_the_password_alone_lets_nobody_in(secret: str) -> None:
    answer = knock()
    assert answer.status_code == 422
    assert answer.json()["errors"][0]["field"] == "code"
    assert knock(code_now(secret)).status_code == 200


def test_a_wrong_password_is_told_before_any_code(secret: str) -> None:
    assert knock(code_now(secret), password="wrong one").json()["errors"][0]["field"] == "password"


def test_a_code_fits_once(secret: str) -> None:
    code = code_now(secret)
    assert knock(code).status_code == 200
    assert knock(code).status_code == 422


def test_codes_cannot_be_tried_one_after_the_other(secret: str) -> None:
    assert knock("000000").status_code == 422
    held = knock(code_now(secret))
    assert held.status_code == 429
    assert int(held["Retry-After"]) >= 1
    device = TOTPDevice.objects.get()
    device.throttling_failure_timestamp = now() - timedelta(seconds=5)
    device.save()
    assert knock(code_now(secret)).status_code == 200


def test_recovery_words_stand_in_each_once(chef: Member) -> None:
    client = client_of(chef)
    told = post(client, SECOND, {"password": PASSWORD}).json()["secret"]
    words = put(client, SECOND, {"code": code_now(told)}).json()["words"]
    assert len(set(words)) == 8
    assert knock(words[0].upper()).status_code == 200
    assert knock(words[0]).status_code == 422
    assert client.get(SECOND).json() == {"on": True, "recovery_left": 7}


def test_it_is_turned_off_with_the_password(secret: str, chef: Member) -> None:
    client = client_of(chef)
    assert post(client, f"{SECOND}/off", {"password": "no"}).status_code == 422
    assert post(client, f"{SECOND}/off", {"password": PASSWORD}).json() == {
        "on": False,
        "recovery_left": 0,
    }
    assert knock().status_code == 200
    assert not StaticToken.objects.exists()


def test_a_lost_phone_is_helped_by_the_chef_or_at_the_machine(
    secret: str, chef: Member, cook: Member
) -> None:
    replace("ines", "another long one 7")
    assert not TOTPDevice.objects.exists()
    client = client_of(cook)
    told = post(client, SECOND, {"password": PASSWORD}).json()["secret"]
    put(client, SECOND, {"code": code_now(told)})
    anew = Member.objects.get(pk=chef.pk)
    word = post(client_of(anew), f"/api/members/{cook.pk}/word", {}).json()["word"]
    body = {"username": cook.user.username, "password": word, "new_password": "long enough 77"}
    assert post(Client(), "/api/session", body).status_code == 200


def test_people_of_the_demo_have_none(demo: Client) -> None:
    assert User.objects.filter(username="demo-ottilie").exists()
    answer = post(demo, SECOND, {"password": "anything"})
    assert "one click" in answer.json()["detail"]
