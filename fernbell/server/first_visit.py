"""The first visit: somebody founds the first kitchen, with or without things to start from."""

from typing import Any

from django.contrib.auth.models import User
from django.db import connection, transaction
from django.http import HttpRequest
from ninja import Router, Status

from fernbell.demo.people import is_of_the_demo
from fernbell.server.kitchens.api import standing
from fernbell.server.kitchens.auth import (
    MemberAuth,
    MemberRequest,
    VisitorAuth,
    enter_kitchen,
    sign_in,
)
from fernbell.server.kitchens.models import EventKind, Kitchen, Member
from fernbell.server.kitchens.record import put_down
from fernbell.server.kitchens.schemas import FirstChef, NewKitchen, SessionOut
from fernbell.server.kitchens.staff import is_first_visit, new_user, save_user
from fernbell.server.problems import NotAllowed
from fernbell.server.rows.policy import Role
from fernbell.server.starter import stock

_FOUNDING_LOCK = 20_15
MOST_KITCHENS = 20

router = Router(tags=["session"], auth=VisitorAuth())


@router.post("/first-chef", response={201: SessionOut}, operation_id="first_chef")
def first_chef(request: HttpRequest, data: FirstChef) -> Any:
    """Found the first kitchen; refused as soon as there is one."""
    sign_in(request, found_kitchen(data))
    return Status(201, standing(request))


@router.post(
    "/kitchens", response={201: SessionOut}, operation_id="found_another", auth=MemberAuth()
)
def found_another(request: MemberRequest, data: NewKitchen) -> Any:
    """Found another kitchen, be its chef, and go on there."""
    enter_kitchen(request, _found(request, request.auth.user, data))
    return Status(201, standing(request))


@transaction.atomic
def _found(request: HttpRequest, user: User, data: NewKitchen) -> Member:
    if is_of_the_demo(user.username):
        raise NotAllowed("The people of the demo kitchen stay in it: sign in with your own name.")
    # Whoever founds two at once is counted one after the other.
    User.objects.select_for_update().get(pk=user.pk)
    if Member.objects.filter(user=user).count() >= MOST_KITCHENS:
        raise NotAllowed(f"You are in {MOST_KITCHENS} kitchens already: that is the most.")
    kitchen = Kitchen.objects.create(name=data.kitchen, time_zone=data.time_zone)
    member = Member.objects.create(kitchen=kitchen, user=user, role=Role.CHEF)
    put_down(request, EventKind.FOUNDED, user, by=member)
    if data.starter:
        stock(member)
    return member


@transaction.atomic
def found_kitchen(data: FirstChef) -> User:
    """The first kitchen and its chef; one wins if two try at once."""
    with connection.cursor() as cursor:
        cursor.execute("SELECT pg_advisory_xact_lock(%s)", [_FOUNDING_LOCK])
    if not is_first_visit():
        raise NotAllowed("There is a kitchen already: ask its chef to add you.")
    user = new_user(data.username, data.name, data.password)
    save_user(user)
    kitchen = Kitchen.objects.create(name=data.kitchen, time_zone=data.time_zone)
    member = Member.objects.create(kitchen=kitchen, user=user, role=Role.CHEF)
    if data.starter:
        stock(member)
    return user
