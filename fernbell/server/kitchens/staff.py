"""People of a kitchen: adding, changing and removing members; where the kitchen stands."""

from typing import Any

from django.contrib.auth.models import User
from django.contrib.auth.password_validation import validate_password
from django.core.exceptions import ValidationError
from django.db import transaction

from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.schemas import KitchenIn, MemberIn, Preferences
from fernbell.server.problems import Invalid, NotThere
from fernbell.server.rows.history import note_kitchen
from fernbell.server.rows.policy import Act, Role, begin, rows

DEMO_PREFIX = "demo-"


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


@transaction.atomic
def add_member(by: Member, data: MemberIn) -> Member:
    """A new person in the kitchen."""
    begin(by, Act.STAFF)
    user = new_user(data.username, data.name, data.password)
    return Member.objects.create(kitchen_id=by.kitchen_id, user=user, role=data.role)


@transaction.atomic
def change_role(by: Member, member_id: int, role: Role) -> Member:
    """Another role; the last chef stays chef."""
    begin(by, Act.STAFF)
    member = _member(by, member_id)
    if role != Role.CHEF:
        _keep_a_chef(by, member)
    member.role = role
    member.save()
    return member


@transaction.atomic
def remove_member(by: Member, member_id: int) -> None:
    """Out of the kitchen; the last chef stays."""
    begin(by, Act.STAFF)
    member = _member(by, member_id)
    _keep_a_chef(by, member)
    member.delete()


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
    """Somebody who can sign in; refused where the name is taken or the password weak."""
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
