"""Routes for what is one's own: sessions and the second factor; and what the chef reads of all."""

from typing import Any

from ninja import Router, Status

from fernbell.server.kitchens import record, second, visits
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.schemas import (
    CodeIn,
    EventOut,
    OwnPassword,
    RecoveryOut,
    SecondOut,
    SecretOut,
    VisitOut,
)
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.schemas import EARLIER, Limit, Offset, Page

router = Router(tags=["members"])


@router.get("/me/sessions", response=list[VisitOut], operation_id="list_sessions")
def list_sessions(request: MemberRequest) -> Any:
    """Where one is signed in."""
    require(request.auth, Act.READ)
    return visits.own_visits(request, request.auth)


@router.delete("/me/sessions", response={204: None}, operation_id="end_other_sessions")
def end_other_sessions(request: MemberRequest) -> Any:
    """End every session of one's own but this one."""
    require(request.auth, Act.READ)
    visits.end_others(request, request.auth)
    return Status(204, None)


@router.delete("/me/sessions/{str:name}", response={204: None}, operation_id="end_one_session")
def end_one_session(request: MemberRequest, name: str) -> Any:
    """End one of one's sessions."""
    require(request.auth, Act.READ)
    visits.end_visit(request, request.auth, name)
    return Status(204, None)


@router.get("/me/second", response=SecondOut, operation_id="read_second_factor")
def read_second_factor(request: MemberRequest) -> Any:
    """Whether one is asked for a code at the door."""
    require(request.auth, Act.READ)
    return second.state(request.auth)


@router.post("/me/second", response=SecretOut, operation_id="begin_second_factor")
def begin_second_factor(request: MemberRequest, data: OwnPassword) -> Any:
    """A secret to put into an app; asked for once it is confirmed."""
    require(request.auth, Act.READ)
    return second.begin(request, request.auth, data.password)


@router.put("/me/second", response=RecoveryOut, operation_id="confirm_second_factor")
def confirm_second_factor(request: MemberRequest, data: CodeIn) -> Any:
    """Ask for a code from now on; answers the recovery words."""
    require(request.auth, Act.READ)
    return {"words": second.confirm(request, request.auth, data.code)}


@router.post("/me/second/off", response=SecondOut, operation_id="drop_second_factor")
def drop_second_factor(request: MemberRequest, data: OwnPassword) -> Any:
    """Ask for no code any more."""
    require(request.auth, Act.READ)
    second.turn_off(request, request.auth, data.password)
    return second.state(request.auth)


@router.get("/events", response=Page[EventOut], operation_id="list_events")
def list_events(request: MemberRequest, limit: Limit = EARLIER, offset: Offset = 0) -> Any:
    """What happened at the door and to who may do what, the latest first; for the chef."""
    every = record.events(request.auth)
    shown = [record.told(event) for event in every[offset : offset + limit]]
    return {"items": shown, "total": every.count()}
