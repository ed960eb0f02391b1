"""People of a kitchen: adding, changing and removing members; where the kitchen stands."""

import re
from typing import Any

from django.contrib.auth.models import User
from django.db import IntegrityError, transaction
from django.http import HttpRequest

from fernbell.demo.people import DEMO_PREFIX, PEOPLE, is_of_the_demo
from fernbell.server.kitchens.doors import recognized
from fernbell.server.kitchens.models import EventKind, Member, OneTimeWord
from fernbell.server.kitchens.passwords import give_word, keep_word, set_password
from fernbell.server.kitchens.record import put_down
from fernbell.server.kitchens.schemas import KitchenIn, MemberIn, Preferences
from fernbell.server.problems import Invalid, NotThere
from fernbell.server.rows.history import note_kitchen
from fernbell.server.rows.models import Change
from fernbell.server.rows.policy import Act, Role, begin, require, rows

_SHIPPED = [username for username, *_ in PEOPLE]


def is_first_visit() -> bool:
    """Whether there is nobody yet."""
    return not User.objects.exists()


def person(member: Member) -> dict[str, Any]:
    """Who is signed in, where, and where else they could be."""
    others = Member.objects.filter(user=member.user).select_related("kitchen").order_by("pk")
    return {
        "name": member.user.get_full_name(),
        "username": member.user.username,
        "kitchen": _kitchen(member),
        "kitchens": [_kitchen(other) for other in others],
        "preferences": {
            "measures": member.measures,
            "fahrenheit": member.fahrenheit,
            "inches": member.inches,
        },
    }


def _kitchen(member: Member) -> dict[str, Any]:
    kitchen = member.kitchen
    return {
        "id": member.kitchen_id,
        "name": kitchen.name,
        "role": member.role,
        "altitude_m": kitchen.altitude_m,
        "currency": kitchen.currency,
        "time_zone": kitchen.time_zone,
    }


def demo_people() -> list[dict[str, str]]:
    """The people of the demo kitchen."""
    members = Member.objects.filter(user__username__in=_SHIPPED)
    return [
        {"username": member.user.username, "name": member.user.get_full_name(), "role": member.role}
        for member in members.select_related("user").order_by("pk")
    ]


def demo_user(username: str) -> User | None:
    """A person that came with the demo kitchen, and nobody else."""
    if username not in _SHIPPED:
        return None
    return User.objects.filter(username=username).first()


@transaction.atomic
def prefer(member: Member, data: Preferences) -> None:
    """How the member reads figures from now on."""
    begin(member, Act.READ)
    member.measures = data.measures.value
    member.fahrenheit, member.inches = data.fahrenheit, data.inches
    member.save(update_fields=["measures", "fahrenheit", "inches"])


@transaction.atomic
def describe_kitchen(by: Member, data: KitchenIn) -> None:
    """Where the kitchen stands and what it pays in."""
    begin(by, Act.STAFF)
    facts, kitchen = data.model_dump(), by.kitchen
    kitchen.refresh_from_db(fields=list(facts))
    moved = {}
    for fact, now in facts.items():
        if getattr(kitchen, fact) != now:
            moved[fact] = [getattr(kitchen, fact), now]
            setattr(kitchen, fact, now)
    kitchen.save(update_fields=list(facts))
    note_kitchen(by, moved)


def add_member(request: HttpRequest, by: Member, data: MemberIn) -> Member:
    """A person in the kitchen: somebody new, or with their own password, somebody known here."""
    require(by, Act.STAFF)
    known = User.objects.filter(username__iexact=data.username).first()
    # A password is hashed before anything is held that others wait for.
    user = (
        _again(request, by, known, data)
        if known
        else new_user(data.username, data.name, data.password)
    )
    with transaction.atomic():
        begin(by, Act.STAFF)
        save_user(user)
        try:
            with transaction.atomic():
                made = Member.objects.create(kitchen_id=by.kitchen_id, user=user, role=data.role)
        except IntegrityError as error:
            raise Invalid.field("username", HERE) from error
        put_down(request, EventKind.ADDED, user, by=by, more=data.role)
    return made


HERE = "Somebody of this name is in the kitchen already."


def _again(request: HttpRequest, by: Member, known: User, data: MemberIn) -> User:
    """Somebody who was here before, or is in another kitchen: that takes their own password."""
    if rows(by, Member).filter(user=known).exists():
        raise Invalid.field("username", HERE)
    elsewhere = Member.objects.filter(user=known).exists()
    if elsewhere or Change.objects.filter(user=known).exclude(kitchen=by.kitchen_id).exists():
        try:
            return recognized(request, known.username, data.password)
        except Invalid as error:
            raise Invalid.field("username", TAKEN) from error
    set_password(known, data.password, "password")
    OneTimeWord.objects.filter(user=known).delete()
    return known


def reset_password(request: HttpRequest, by: Member, member_id: int) -> str:
    """A word that a member who forgot their password signs in with once."""
    require(by, Act.STAFF)
    member = _member(by, member_id)
    word = give_word(member)
    with transaction.atomic():
        begin(by, Act.STAFF)
        keep_word(member.user)
        put_down(request, EventKind.WORD, member.user, by=by)
    return word


@transaction.atomic
def change_role(request: HttpRequest, by: Member, member_id: int, role: Role) -> Member:
    """Another role; the last chef stays chef."""
    begin(by, Act.STAFF)
    member = _member(by, member_id)
    if role != Role.CHEF:
        _keep_a_chef(by, member)
    moved = f"{member.role} → {role}"
    member.role = role
    member.save()
    put_down(request, EventKind.ROLE, member.user, by=by, more=moved)
    return member


@transaction.atomic
def remove_member(request: HttpRequest, by: Member, member_id: int) -> None:
    """Out of the kitchen; the last chef stays."""
    begin(by, Act.STAFF)
    member = _member(by, member_id)
    _keep_a_chef(by, member)
    member.delete()
    put_down(request, EventKind.REMOVED, member.user, by=by)


def _member(by: Member, member_id: int) -> Member:
    member: Member | None = rows(by, Member).filter(pk=member_id).first()
    if member is None:
        raise NotThere("There is no such member in this kitchen.")
    return member


def _keep_a_chef(by: Member, member: Member) -> None:
    chefs = rows(by, Member).filter(role=Role.CHEF)
    if member.role == Role.CHEF and len(chefs) == 1:
        raise Invalid.field("role", "The kitchen needs a chef: make somebody else chef first.")


def new_user(username: str, name: str, password: str) -> User:
    """Somebody new, not yet saved; refused where the name is none or the password weak."""
    _refuse_name(username)
    first, _, last = name.partition(" ")
    user = User(username=username, first_name=first, last_name=last)
    set_password(user, password, "password")
    return user


def save_user(user: User) -> None:
    """Keep somebody; refused where another took the name meanwhile."""
    try:
        with transaction.atomic():
            user.save()
    except IntegrityError as error:
        raise Invalid.field("username", TAKEN) from error


TAKEN = "This name to sign in with is taken; if it is theirs, it takes their own password."


def _refuse_name(username: str) -> None:
    if is_of_the_demo(username):
        message = f"Names that begin with ‘{DEMO_PREFIX}’ are those of the demo kitchen."
        raise Invalid.field("username", message)
    if not PLAIN_NAME.fullmatch(username):
        message = (
            "A name to sign in with is of the letters a to z, digits, dot, dash, underscore and @: "
            "others can look alike."
        )
        raise Invalid.field("username", message)
    if User.objects.filter(username__iexact=username).exists():
        raise Invalid.field("username", TAKEN)


PLAIN_NAME = re.compile(r"[A-Za-z0-9][A-Za-z0-9._@-]*")
