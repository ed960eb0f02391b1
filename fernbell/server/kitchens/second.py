"""A second factor at the door: a code of the moment (TOTP, RFC 6238), and words for the day after.

Codes are checked and held back after wrong ones by django-otp, whose tables keep the secrets.
"""

import base64
import io
import secrets
from typing import Any

import segno
from django.contrib.auth.models import User
from django.db import transaction
from django.http import HttpRequest
from django_otp.plugins.otp_static.models import StaticDevice, StaticToken
from django_otp.plugins.otp_totp.models import TOTPDevice

from fernbell.demo.people import is_of_the_demo
from fernbell.server.kitchens.doors import recognized
from fernbell.server.kitchens.models import EventKind, Member
from fernbell.server.kitchens.record import put_down
from fernbell.server.problems import Invalid, TooMany
from fernbell.server.rows.clock import now

RECOVERY_WORDS = 8
_LETTERS = "abcdefghjkmnpqrstuvwxyz23456789"


def is_asked(user: User) -> bool:
    """Whether the person is asked for a code."""
    return bool(TOTPDevice.objects.filter(user=user, confirmed=True).exists())


def state(member: Member) -> dict[str, Any]:
    """Whether it is on, and how many recovery words are left."""
    left = StaticToken.objects.filter(device__user=member.user).count()
    return {"on": is_asked(member.user), "recovery_left": left}


def begin(request: HttpRequest, member: Member, password: str) -> dict[str, str]:
    """A new secret to put into an app, as words and as a picture; nothing is asked for yet."""
    if is_of_the_demo(member.user.username):
        raise Invalid.field("password", "The people of the demo kitchen come in with one click.")
    _confirm_password(request, member, password)
    if is_asked(member.user):
        raise Invalid.field("password", "A code is asked for already: turn that off first.")
    TOTPDevice.objects.filter(user=member.user).delete()
    device = TOTPDevice.objects.create(user=member.user, name="app", confirmed=False)
    picture = io.BytesIO()
    segno.make(device.config_url, error="m").save(
        picture, kind="svg", border=4, scale=4, light="white", xmldecl=False, svgns=True
    )
    return {
        "secret": base64.b32encode(device.bin_key).decode(),
        "url": device.config_url,
        "picture": picture.getvalue().decode(),
    }


def confirm(request: HttpRequest, member: Member, code: str) -> list[str]:
    """Ask for it from now on, once a first code fits; the words for a lost phone, shown once."""
    device = TOTPDevice.objects.filter(user=member.user, confirmed=False).first()
    if device is None:
        raise Invalid.field("code", "Begin anew: there is no secret to confirm.")
    _check(device, code)
    with transaction.atomic():
        TOTPDevice.objects.filter(pk=device.pk).update(confirmed=True)
        put_down(request, EventKind.SECOND_ON, member.user)
        return _new_words(member.user)


def turn_off(request: HttpRequest, member: Member, password: str) -> None:
    """Ask for no code any more."""
    _confirm_password(request, member, password)
    if forget(member.user):
        put_down(request, EventKind.SECOND_OFF, member.user)


def forget(user: User) -> bool:
    """Forget the second factor of somebody; whether there was one."""
    was = is_asked(user)
    TOTPDevice.objects.filter(user=user).delete()
    StaticDevice.objects.filter(user=user).delete()
    return was


def pass_second(request: HttpRequest, user: User, code: str | None) -> None:
    """Let somebody whose password was right pass, if the code of the moment or a word fits too."""
    device = TOTPDevice.objects.filter(user=user, confirmed=True).first()
    if device is None:
        return
    if not code:
        raise Invalid.field("code", "Type the code your app shows now, or a recovery word.")
    words = StaticDevice.objects.filter(user=user).first()
    if words and not code.strip().isdecimal():
        _check(words, code)
        put_down(request, EventKind.RECOVERED, user)
        return
    try:
        _check(device, code)
    except Invalid:
        put_down(request, EventKind.REFUSED, user, more="wrong code")
        raise


def _check(device: TOTPDevice | StaticDevice, code: str) -> None:
    """Refuse a code that does not fit; each fits once, whoever brings it at the same moment."""
    with transaction.atomic():
        kept = type(device).objects.select_for_update().filter(pk=device.pk).first()
        # Whoever turned it off at the same moment has left nothing that could fit.
        allowed, why = kept.verify_is_allowed() if kept else (True, None)
        fits = kept and allowed and kept.verify_token(code.replace(" ", "").lower())
    if not allowed:
        wait_s = _seconds((why or {}).get("locked_until"))
        raise TooMany(f"Too many wrong codes: wait {wait_s} s and take the one shown then.", wait_s)
    if not fits:
        raise Invalid.field(
            "code", "This code does not fit: take the one shown now; check the phone's clock."
        )


def _seconds(until: Any) -> int:
    return max(1, int((until - now()).total_seconds()) + 1) if until else 1


def _new_words(user: User) -> list[str]:
    StaticDevice.objects.filter(user=user).delete()
    device = StaticDevice.objects.create(user=user, name="recovery")
    words = ["".join(secrets.choice(_LETTERS) for _ in range(10)) for _ in range(RECOVERY_WORDS)]
    StaticToken.objects.bulk_create(StaticToken(device=device, token=word) for word in words)
    return words


def _confirm_password(request: HttpRequest, member: Member, password: str) -> None:
    try:
        recognized(request, member.user.username, password)
    except Invalid as error:
        raise Invalid.field("password", "This is not your password.") from error
