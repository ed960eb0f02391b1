"""The first visit: somebody founds the first kitchen, with or without things to start from."""

from typing import Any

from django.contrib.auth.models import User
from django.db import connection, transaction
from django.http import HttpRequest
from ninja import Router, Status

from fernbell.server.kitchens.api import standing
from fernbell.server.kitchens.auth import VisitorAuth, sign_in
from fernbell.server.kitchens.models import Kitchen, Member
from fernbell.server.kitchens.schemas import FirstChef, SessionOut
from fernbell.server.kitchens.staff import is_first_visit, new_user, save_user
from fernbell.server.problems import NotAllowed
from fernbell.server.rows.policy import Role
from fernbell.server.starter import stock

_FOUNDING_LOCK = 20_15

router = Router(tags=["session"], auth=VisitorAuth())


@router.post("/first-chef", response={201: SessionOut}, operation_id="first_chef")
def first_chef(request: HttpRequest, data: FirstChef) -> Any:
    """Found the first kitchen; refused as soon as there is one."""
    sign_in(request, found_kitchen(data))
    return Status(201, standing(request))


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
