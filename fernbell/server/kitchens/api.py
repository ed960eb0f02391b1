"""Routes for signing in and for the members of a kitchen."""

from typing import Any

from django.conf import settings
from django.contrib.auth import logout
from django.http import HttpRequest
from django.middleware.csrf import get_token
from ninja import Router, Status

from fernbell.server.kitchens import staff
from fernbell.server.kitchens.auth import (
    MemberRequest,
    VisitorAuth,
    current_member,
    enter_kitchen,
    sign_in,
)
from fernbell.server.kitchens.models import EventKind, Member
from fernbell.server.kitchens.passwords import change_own, welcome
from fernbell.server.kitchens.record import put_down
from fernbell.server.kitchens.schemas import (
    DemoSignIn,
    EnterKitchen,
    KitchenIn,
    MemberIn,
    MemberOut,
    PasswordChange,
    Preferences,
    RoleIn,
    SessionOut,
    SignIn,
    WordOut,
)
from fernbell.server.problems import Invalid, NotAllowed, NotThere
from fernbell.server.rows.policy import Act, require, rows

session_router = Router(tags=["session"], auth=VisitorAuth())
member_router = Router(tags=["members"])


def standing(request: HttpRequest) -> dict[str, Any]:
    """Where a visitor stands."""
    member = current_member(request)
    return {
        "person": staff.person(member) if member else None,
        "demo_people": staff.demo_people() if settings.DEMO else [],
        "first_visit": staff.is_first_visit(),
    }


@session_router.get("", response=SessionOut, operation_id="read_session")
def read_session(request: HttpRequest) -> Any:
    """Who is asking; also hands out the token that every change must carry."""
    get_token(request)
    return standing(request)


@session_router.post("", response=SessionOut, operation_id="sign_in")
def start_session(request: HttpRequest, data: SignIn) -> Any:
    """Sign in with name and password."""
    user = welcome(request, data)
    if sign_in(request, user) is None:
        raise Invalid.field("username", "You are a member of no kitchen: ask its chef.")
    return standing(request)


@session_router.post("/demo", response=SessionOut, operation_id="sign_in_demo")
def start_demo_session(request: HttpRequest, data: DemoSignIn) -> Any:
    """Be a person of the demo kitchen; in demo mode only."""
    if not settings.DEMO:
        raise NotAllowed("One-click sign-in exists in demo mode only.")
    user = staff.demo_user(data.username)
    if user is None:
        raise Invalid.field("username", "There is no such person in the demo kitchen.")
    sign_in(request, user)
    return standing(request)


@session_router.put("/kitchen", response=SessionOut, operation_id="enter_kitchen")
def change_kitchen(request: HttpRequest, data: EnterKitchen) -> Any:
    """Go on in another of one's kitchens."""
    here = current_member(request)
    mine = Member.objects.filter(user=here.user).select_related("user", "kitchen") if here else None
    there = mine and mine.filter(kitchen_id=data.kitchen).first()
    if not there:
        raise NotThere("You are no member of that kitchen.")
    enter_kitchen(request, there)
    return standing(request)


@member_router.put("/me/preferences", response=SessionOut, operation_id="prefer")
def change_preferences(request: MemberRequest, data: Preferences) -> Any:
    """Whose cups, °F or °C, inches or millimetres, for oneself."""
    require(request.auth, Act.READ)
    staff.prefer(request.auth, data)
    return standing(request)


@member_router.put("/kitchen", response=SessionOut, operation_id="describe_kitchen")
def change_kitchen_facts(request: MemberRequest, data: KitchenIn) -> Any:
    """The kitchen's altitude, currency and time zone."""
    staff.describe_kitchen(request.auth, data)
    return standing(request)


@session_router.delete("", response={204: None}, operation_id="sign_out")
def end_session(request: HttpRequest) -> Any:
    """Sign out."""
    member = current_member(request)
    if member:
        put_down(request, EventKind.SIGNED_OUT, member.user)
    logout(request)
    return Status(204, None)


@member_router.get("", response=list[MemberOut], operation_id="list_members")
def list_members(request: MemberRequest) -> Any:
    """Everybody in the kitchen."""
    require(request.auth, Act.READ)
    return rows(request.auth, Member).select_related("user").order_by("pk")


@member_router.post("", response={201: MemberOut}, operation_id="add_member")
def add_member(request: MemberRequest, data: MemberIn) -> Any:
    """A new member with a name and a password."""
    return Status(201, staff.add_member(request, request.auth, data))


@member_router.put("/me/password", response=SessionOut, operation_id="change_password")
def change_password(request: MemberRequest, data: PasswordChange) -> Any:
    """Another password for oneself; one's other sessions end."""
    require(request.auth, Act.READ)
    change_own(request, request.auth, data)
    return standing(request)


@member_router.post("/{int:member_id}/word", response=WordOut, operation_id="reset_password")
def reset_password(request: MemberRequest, member_id: int) -> Any:
    """A word that a member signs in with once; shown this once."""
    return {"word": staff.reset_password(request, request.auth, member_id)}


@member_router.put("/{int:member_id}", response=MemberOut, operation_id="change_role")
def change_role(request: MemberRequest, member_id: int, data: RoleIn) -> Any:
    """Give a member another role."""
    return staff.change_role(request, request.auth, member_id, data.role)


@member_router.delete("/{int:member_id}", response={204: None}, operation_id="remove_member")
def remove_member(request: MemberRequest, member_id: int) -> Any:
    """Take a member out of the kitchen; what they changed stays on record."""
    staff.remove_member(request, request.auth, member_id)
    return Status(204, None)
