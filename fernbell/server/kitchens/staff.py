"""People and kitchens: founding one, adding, changing and removing members."""

from typing import Any

from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import connection, transaction

from fernbell.server.kitchens.models import Change, Kitchen, Member, Role
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.schemas import FirstChef, KitchenIn, MemberIn, Preferences
from fernbell.server.kitchens.starter import stock
from fernbell.server.problems import Invalid, NotAllowed, NotThere

DEMO_PREFIX = "demo-"
_FOUNDING_LOCK = 20_15


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
    }


def demo_people() -> list[dict[str, str]]:
    """The people of the demo kitchen."""
    members = Member.objects.filter(user__username__startswith=DEMO_PREFIX)
    return [
        {"username": member.user.username, "name": member.user.get_full_name(), "role": member.role}
        for member in members.select_related("user").order_by("pk")
    ]


def demo_user(username: str) -> User | None:
    """A person of the demo kitchen."""
    if not username.startswith(DEMO_PREFIX):
        return None
    return User.objects.filter(username=username).first()


@transaction.atomic
def found_kitchen(data: FirstChef) -> User:
    """The first kitchen and its chef; one wins if two try at once."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_advisory_xact_lock(%s)", [_FOUNDING_LOCK])
    if not is_first_visit():
        raise NotAllowed("There is a kitchen already: ask its chef to add you.")
    user = _new_user(data.username, data.name, data.password)
    kitchen = Kitchen.objects.create(name=data.kitchen)
    member = Member.objects.create(kitchen=kitchen, user=user, role=Role.CHEF)
    if data.starter:
        stock(member)
    return user


@transaction.atomic
def prefer(member: Member, data: Preferences) -> None:
    """How the member reads figures from now on."""
    Member.objects.filter(pk=member.pk).update(
        measures=data.measures.value, fahrenheit=data.fahrenheit, inches=data.inches
    )


@transaction.atomic
def describe_kitchen(by: Member, data: KitchenIn) -> None:
    """Where the kitchen stands and what it pays in."""
    require(by, Act.STAFF)
    row = Kitchen.objects.select_for_update().get(pk=by.kitchen_id)
    facts = data.model_dump()
    moved = {
        key: [getattr(row, key), now] for key, now in facts.items() if getattr(row, key) != now
    }
    Kitchen.objects.filter(pk=row.pk).update(**facts)
    Change.objects.create(
        kitchen=row,
        user=by.user,
        kind="kitchen",
        row=row.pk,
        revision=0,
        action="changed",
        fields=moved,
    )


@transaction.atomic
def add_member(by: Member, data: MemberIn) -> Member:
    """A new person in the kitchen."""
    require(by, Act.STAFF)
    user = _new_user(data.username, data.name, data.password)
    return Member.objects.create(kitchen_id=by.kitchen_id, user=user, role=data.role)


@transaction.atomic
def change_role(by: Member, member_id: int, role: Role) -> Member:
    """Another role; the last chef stays chef."""
    require(by, Act.STAFF)
    member = _member(by, member_id)
    if role != Role.CHEF:
        _keep_a_chef(by, member)
    member.role = role
    member.save()
    return member


@transaction.atomic
def remove_member(by: Member, member_id: int) -> None:
    """Out of the kitchen; the last chef stays."""
    require(by, Act.STAFF)
    member = _member(by, member_id)
    _keep_a_chef(by, member)
    member.delete()


def _member(by: Member, member_id: int) -> Member:
    member = rows(by, Member).select_for_update().filter(pk=member_id).first()
    if member is None:
        raise NotThere("There is no such member in this kitchen.")
    return member


def _keep_a_chef(by: Member, member: Member) -> None:
    chefs = rows(by, Member).select_for_update().filter(role=Role.CHEF)
    if member.role == Role.CHEF and len(chefs) == 1:
        raise Invalid.field("role", "The kitchen needs a chef: make somebody else chef first.")


def _new_user(username: str, name: str, password: str) -> User:
    if User.objects.filter(username__iexact=username).exists():
        raise Invalid.field("username", "This name to sign in with is taken.")
    first, _, last = name.partition(" ")
    user = User(username=username, first_name=first, last_name=last)
    try:
        validate_password(password, user)
    except ValidationError as error:
        raise Invalid.field("password", " ".join(error.messages)) from error
    user.set_password(password)
    user.save()
    return user
