"""Routes of timelines: asked for, looked at while they are made, stopped; the next service."""

from datetime import datetime
from typing import Any, cast
from uuid import UUID

from django.db import transaction
from ninja import Router, Status
from pydantic import ValidationError

from fernbell.core.errors import CoreError
from fernbell.core.planning.timeline import hours_words
from fernbell.core.planning.timeline.places import places_of
from fernbell.server.desserts.rows import DESSERT
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.assemble import vessels_of
from fernbell.server.planning.jobs import make_timeline
from fernbell.server.planning.marking import marked
from fernbell.server.planning.models import Order, Timeline
from fernbell.server.planning.night import clock_of, first_night
from fernbell.server.planning.rows import ORDER, snapshot_order
from fernbell.server.planning.schemas import OrderIn
from fernbell.server.planning.timing_schemas import (
    BecameIn,
    NextOut,
    PlanIn,
    ResultOut,
    StartByOut,
    State,
    TimelineOut,
    TimingIn,
)
from fernbell.server.problems import NotThere
from fernbell.server.rows.clock import now
from fernbell.server.rows.policy import Act, require, rows
from fernbell.server.rows.shelf import find

router = Router()
KEPT_OF_AN_ORDER = 6
_READY = ("done", "stopped")


@router.get("/next", response=list[NextOut], operation_id="next_service")
def next_service(request: MemberRequest) -> Any:
    """The next service of the kitchen; none where nothing is served."""
    require(request.auth, Act.READ)
    return [one for one, _ in _services(request.auth)][:1]


@router.get("/start-by/{uuid:dessert_id}", response=list[StartByOut], operation_id="start_by")
def start_by(request: MemberRequest, dessert_id: UUID) -> Any:
    """When a dessert is begun for its services to come, as planned last."""
    require(request.auth, Act.READ)
    find(request.auth, DESSERT, dessert_id)
    found = []
    for one, order in _services(request.auth):
        kept = order.timelines.filter(state__in=_READY).exclude(result__plan={}).first()
        starts = (kept.result or {}).get("starts", {}) if kept else {}
        for line in order.lines:
            if line["dessert"] == str(dessert_id) and line["key"] in starts:
                start = starts[line["key"]]
                found.append(
                    StartByOut(order=order.pk, name=order.name, service=one.hour, start=start)
                )
    return found


def _services(member: Member) -> list[tuple[NextOut, Order]]:
    """The first service to come of each order that has one, the next first."""
    moment = now()
    found = []
    for order in rows(member, Order).filter(archived_at=None):
        timing = TimingIn.model_validate(order.timing)
        if not timing.services:
            continue
        clock = clock_of(member, timing)
        present = clock.minute(moment)
        ahead = sorted(timing.services, key=lambda one: one.at)
        ahead = [one for one in ahead if clock.minute(one.at) > present]
        if ahead:
            minute = clock.minute(ahead[0].at)
            kept = order.timelines.filter(state__in=_READY).exclude(result__board=None).first()
            first = kept.result["board"]["first"] if kept and kept.result else ""
            one = NextOut(
                order=order.pk,
                title=ahead[0].title,
                name=order.name,
                at=clock.at(minute),
                hour=clock.says(minute),
                left=hours_words(minute - present),
                first=first,
            )
            found.append((one, order))
    return sorted(found, key=lambda pair: pair[0].at)


@router.post("/of/{uuid:order_id}", response={202: TimelineOut}, operation_id="ask_timeline")
def ask(request: MemberRequest, order_id: UUID, data: PlanIn) -> Any:
    """Have an order planned as it is saved; what is known already is not worked out twice."""
    member = request.auth
    require(member, Act.WRITE)
    order = find(member, ORDER, order_id)
    entry = OrderIn.model_validate(snapshot_order(order))
    moment = now()
    # Beside another plan, what comes of it is that plan's too: it is worked out, and at once.
    print_ = "" if data.near else first_night(member, order.pk, entry, moment).fingerprint
    alike = order.timelines.filter(fingerprint=print_).exclude(fingerprint="")
    known = alike.exclude(state__in=("failed", "stopped")).first()
    if known and known == order.timelines.first() and _known(known, moment):
        return Status(202, _out(member, order, known, moment))
    with transaction.atomic():
        order.timelines.filter(state__in=("queued", "running")).update(stop_asked=True)
        order.timelines.filter(state="queued").update(state="stopped")
        row = Timeline.objects.create(
            kitchen_id=member.kitchen_id,
            order=order,
            user=member.user,
            fingerprint=print_,
            asked=entry.model_dump(mode="json"),
            near=data.near,
            now_at=moment,
        )
        row.job = make_timeline.defer(timeline=str(row.pk))
        row.save(update_fields=["job"])
        old = order.timelines.exclude(state__in=("queued", "running"))
        old.filter(pk__in=old.values("pk")[KEPT_OF_AN_ORDER:]).delete()
    return Status(202, _out(member, order, row, moment))


def _known(known: Timeline, moment: datetime) -> bool:
    """Whether it is being worked out, or nothing of it lies in the past that is not marked."""
    if known.state != "done":
        return True
    if _result(known) is None:
        return False
    if not known.result or not known.result.get("board"):
        return known.now_at.date() == moment.date()
    origin = datetime.fromisoformat(known.result["origin"])
    minute = (moment - origin).total_seconds() / 60
    bars = known.result["board"]["bars"]
    return all(bar["since_min"] >= minute or bar["mark"] for bar in bars)


@router.post("/of/{uuid:order_id}/became", response=TimingIn, operation_id="task_became")
def task_became(request: MemberRequest, order_id: UUID, data: BecameIn) -> Any:
    """The timing of an order with what is said of a task now; nothing is saved."""
    require(request.auth, Act.READ)
    order = find(request.auth, ORDER, order_id)
    kept = order.timelines.exclude(result=None).exclude(result__board=None).first()
    if kept is None or kept.result is None:
        raise NotThere("It is not planned yet.")
    return marked(request.auth, TimingIn.model_validate(order.timing), kept.result, data, now())


@router.get("/of/{uuid:order_id}", response=TimelineOut | None, operation_id="read_timeline")
def latest_of(request: MemberRequest, order_id: UUID) -> Any:
    """The last timeline that was asked for; nothing where none was."""
    require(request.auth, Act.READ)
    order = find(request.auth, ORDER, order_id)
    row = order.timelines.first()
    return _out(request.auth, order, row, now()) if row else None


@router.post("/{uuid:timeline_id}/stop", response=TimelineOut, operation_id="stop_timeline")
def stop(request: MemberRequest, timeline_id: UUID) -> Any:
    """Stop a search; the best found until now is kept."""
    member = request.auth
    require(member, Act.WRITE)
    own = Timeline.objects.select_related("order")
    row = own.filter(kitchen_id=member.kitchen_id, pk=timeline_id).first()
    if row is None:
        raise NotThere("There is no such timeline in this kitchen.")
    Timeline.objects.filter(pk=row.pk, state="queued").update(state="stopped")
    Timeline.objects.filter(pk=row.pk).update(stop_asked=True)
    row.refresh_from_db()
    return _out(member, row.order, row, now())


def _result(row: Timeline) -> ResultOut | None:
    """What was found; nothing where an older version of the application drew it otherwise."""
    try:
        return ResultOut.model_validate(row.result) if row.result else None
    except ValidationError:
        return None


def _out(member: Member, order: Order, row: Timeline, moment: datetime) -> TimelineOut:
    entry = OrderIn.model_validate(snapshot_order(order))
    try:
        minute = clock_of(member, entry.timing).minute(moment) if entry.timing.services else None
    except CoreError:
        minute = None
    return TimelineOut(
        id=row.pk,
        order=order.pk,
        state=cast(State, row.state),
        fresh=row.asked == entry.model_dump(mode="json"),
        progress=row.progress,
        result=_result(row),
        now_min=minute,
        stations=[one.key for one in places_of(vessels_of(member))],
    )
