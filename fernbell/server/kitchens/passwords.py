"""Passwords: one's own changed, a forgotten one replaced by a word that works once."""

import secrets
from datetime import timedelta

from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import transaction
from django.http import HttpRequest

from fernbell.demo.people import is_of_the_demo
from fernbell.server.kitchens.auth import stay
from fernbell.server.kitchens.doors import hashing, recognized
from fernbell.server.kitchens.models import EventKind, Member, OneTimeWord, Visit
from fernbell.server.kitchens.record import put_down
from fernbell.server.kitchens.schemas import PasswordChange, SignIn
from fernbell.server.kitchens.second import forget, pass_second
from fernbell.server.problems import Invalid
from fernbell.server.rows.clock import now

_WORD_LETTERS, _WORD_LENGTH = "abcdefghjkmnpqrstuvwxyz23456789", 12
"""Letters that are not taken for one another when they are read out."""
WORD_LASTS = timedelta(days=3)


def set_password(user: User, password: str, field: str) -> None:
    """Give somebody a password, not yet saved; refused at its field where it is weak."""
    try:
        validate_password(password, user)
    except ValidationError as error:
        raise Invalid.field(field, " ".join(error.messages)) from error
    with hashing():
        user.set_password(password)


def change_own(request: HttpRequest, member: Member, data: PasswordChange) -> None:
    """Another password for oneself; one's other sessions end with the old one."""
    try:
        user = recognized(request, member.user.username, data.old)
    except Invalid as error:
        raise Invalid.field("old", "This is not your password.") from error
    set_password(user, data.new, "new")
    user.save(update_fields=["password"])
    stay(request, user)
    put_down(request, EventKind.RENEWED, user)


def give_word(member: Member) -> str:
    """A word that a member signs in with once, to choose a password of their own; not yet kept."""
    user = member.user
    if is_of_the_demo(user.username):
        raise Invalid.field("member", "The people of the demo kitchen have no password.")
    if Member.objects.filter(user=user).exclude(pk=member.pk).exists():
        message = (
            f"{user.get_full_name()} is in other kitchens too: their password is reset at the "
            f"machine, with ./fern password {user.username}."
        )
        raise Invalid.field("member", message)
    word = "".join(secrets.choice(_WORD_LETTERS) for _ in range(_WORD_LENGTH))
    with hashing():
        user.set_password(word)
    return word


def keep_word(user: User) -> None:
    """Keep the word somebody was given, in place of password, second factor and sessions."""
    user.save(update_fields=["password"])
    forget(user)
    Visit.objects.filter(member__user=user).delete()
    OneTimeWord.objects.update_or_create(user=user, defaults={"made_at": now()})


def welcome(request: HttpRequest, data: SignIn) -> User:
    """Who signs in; with a word that works once, their new password is set."""
    user = recognized(request, data.username, data.password)
    pass_second(request, user, data.code)
    word = OneTimeWord.objects.filter(user=user).first()
    if word is None:
        return user
    if now() - word.made_at > WORD_LASTS:
        raise Invalid.field("password", "This word is too old: ask the chef for another.")
    if data.new_password is None:
        raise Invalid.field(
            "new_password", "This word works once: choose a password of your own with it."
        )
    if data.new_password == data.password:
        raise Invalid.field("new_password", "Choose another than the word you were given.")
    set_password(user, data.new_password, "new_password")
    with transaction.atomic():
        user.save(update_fields=["password"])
        word.delete()
    return user
