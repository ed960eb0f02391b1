"""From an order and the kitchen of its days to core, by the clock of the kitchen."""

import hashlib
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from datetime import datetime
from typing import cast
from uuid import UUID
from zoneinfo import ZoneInfo

from fernbell.core.planning import VESSELS, Vessel, VesselKind
from fernbell.core.planning.timeline import (
    Aims,
    AskedLine,
    Clock,
    Commission,
    Edit,
    Marked,
    Person,
    Wave,
    Work,
    edited,
    fewest_hands_first,
    from_now,
    work_of,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.assemble import LineMade, inputs_of, lines_of, vessels_of
from fernbell.server.planning.beside import claims_of_others
from fernbell.server.planning.models import Hand
from fernbell.server.planning.schemas import OrderIn
from fernbell.server.planning.timing_schemas import LookOut, MarkIn, ServiceIn, TimingIn
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import rows
from fernbell.starter.hands import COOK

_HOUR = 60
_NOBODY = "Nobody is in before the service: put in who works, and when."
_NO_SERVICE = "Say when it is served: at least one service."
_OVER = "It is over: choose a service later than now."


@dataclass(frozen=True)
class Night:
    """An order as core plans it; `fingerprint` is of all it follows from."""

    order: UUID
    commission: Commission
    work: Work
    clock: Clock
    lines: tuple[LineMade, ...]
    looks: Mapping[str, LookOut]
    fingerprint: str


def night_of(
    member: Member, order: UUID, entry: OrderIn, now: datetime, *, together: bool = False
) -> Night:
    """What an entry of an order asks of the kitchen beside all others, from now on.

    Waves are finished `together` where what is cut keeps so long.

    Refuses an order without desserts or services, a service that is over, and a kitchen in which
    nobody works.
    """
    timing = entry.timing
    if not entry.lines:
        raise Invalid.field("lines", "Put in a dessert first.")
    if not timing.services:
        raise Invalid.field("timing.services", _NO_SERVICE)
    clock = clock_of(member, timing)
    services = sorted(timing.services, key=lambda one: one.at)
    for at, one in enumerate(timing.services):
        if clock.minute(one.at) <= clock.minute(now):
            raise Invalid.field(f"timing.services.{at}.at", _OVER)
    lines = tuple(lines_of(member, entry))
    known = inputs_of(member, [one.ordered for one in lines])
    days = (services[-1].at.date() - clock.day).days + 1
    people = list(_people(member, timing, clock, days))
    if not any(one.shifts for one in people):
        raise Invalid.field("hands", _NOBODY)
    commission = Commission(
        lines=[_line(one, entry, lines) for one in lines],
        waves=list(_waves(services, clock)),
        book=known.book,
        people=people,
        vessels=list(_vessels(member, timing)),
        methods=known.methods,
        jobs=known.jobs,
        sets_min=known.sets_min,
        aims=_aims(timing, services, clock, days),
        opens_min=clock.on(0, 0),
        out=frozenset(timing.out),
        together=together,
    )
    whole = edited(work_of(commission), _edits(timing, clock))
    marks = {key: marked_of(one, clock) for key, one in timing.marks.items()}
    minute = clock.minute(now)
    work = from_now(whole, marks, minute) if minute > whole.opens_min or marks else whole
    work = replace(work, claims=claims_of_others(member, order, clock, work))
    print_ = hashlib.sha256(repr((replace(work, opens_min=0), clock)).encode()).hexdigest()
    looks = {key: LookOut(flavor=x.flavor, kind=x.kind) for key, x in known.heads.items()}
    return Night(order, commission, work, clock, lines, looks, print_)


def beside_others(member: Member, night: Night) -> Night:
    """The same beside what the other orders have planned until now."""
    claims = claims_of_others(member, night.order, night.clock, night.work)
    return replace(night, work=replace(night.work, claims=claims))


def first_night(member: Member, order: UUID, entry: OrderIn, now: datetime) -> Night:
    """The night as its aims would rather have it, whether that fits or not."""
    return night_of(member, order, entry, now, together=fewest_hands_first(entry.timing.aims))


def clock_of(member: Member, timing: TimingIn) -> Clock:
    """Minute 0 is midnight of the first day on which hands may begin."""
    first = min(one.at for one in timing.services)
    try:
        day = first.date().fromordinal(first.date().toordinal() - timing.days_ahead)
    except ValueError:
        raise Invalid.field("timing.services.0.at", "There is no such day.") from None
    return Clock(day, ZoneInfo(member.kitchen.time_zone))


def _line(line: LineMade, entry: OrderIn, every: Sequence[LineMade]) -> AskedLine:
    """Its size is only said where there are several."""
    sizes = [one for one in every if one.row == line.row]
    owned = line.mold.owned
    if owned is not None and "molds" in entry.timing.borrowed:
        owned *= 2
    service = next(one.service for one in entry.lines if one.key == line.key)
    return AskedLine(
        line.key,
        line.ordered,
        str(line.mold.pk),
        line.mold.cavities,
        owned,
        service or "",
        line.name if len(sizes) == 1 else "",
    )


def _waves(services: list[ServiceIn], clock: Clock) -> Iterator[Wave]:
    number = sum(one.waves for one in services)
    for service in services:
        for at in range(service.waves):
            title = f"{service.title}, wave {at + 1}" if service.waves > 1 else service.title
            minute = clock.minute(service.at) + at * service.every_min
            yield Wave(minute, 1 / number, (service.at.date() - clock.day).days, title, service.key)


def _minute_of_day(hour: str) -> int:
    hours, minutes = hour.split(":")
    return int(hours) * _HOUR + int(minutes)


def _people(member: Member, timing: TimingIn, clock: Clock, days: int) -> Iterator[Person]:
    found = rows(member, Hand).filter(archived_at=None).exclude(pk__in=timing.off)
    hours = []
    for row in found.order_by("-skill", "name"):
        comes = _minute_of_day(row.comes) - _HOUR * timing.hours_earlier
        leaves = _minute_of_day(row.leaves)
        if leaves <= _minute_of_day(row.comes):
            leaves += 24 * _HOUR
        leaves += _HOUR * timing.hours_later
        hours.append((max(0, comes), leaves))
        on = [at for at in range(days) if _weekday(clock, at) in row.weekdays]
        shifts = tuple((clock.on(at, hours[-1][0]), clock.on(at, leaves)) for at in on)
        yield Person(str(row.pk), row.name, row.skill, shifts)
    borrowed = timing.borrowed.count("hands")
    for number in range(1, borrowed + 1 if hours else 1):
        comes, leaves = min(one for one, _ in hours), max(one for _, one in hours)
        shifts = tuple((clock.on(at, comes), clock.on(at, leaves)) for at in range(days))
        which = f" {number}" if borrowed > 1 else ""
        yield Person(f"borrowed {number}", f"One more{which}", COOK, shifts)


def _weekday(clock: Clock, days: int) -> int:
    return (clock.day.weekday() + days) % 7


def _vessels(member: Member, timing: TimingIn) -> Iterator[Vessel]:
    """What there is and is not out, and one more of what is borrowed."""
    own = vessels_of(member)
    yield from own
    for borrowed in dict.fromkeys(timing.borrowed):
        if borrowed in ("molds", "hands"):
            continue
        kind = cast(VesselKind, borrowed)
        words = VESSELS[kind]
        alike = [one for one in own if one.kind == kind]
        most = max((one.most for one in alike), default=words.most)
        number = timing.borrowed.count(borrowed)
        yield Vessel(f"Another {words.title.lower()}", kind, most, number=number)


def _aims(timing: TimingIn, services: list[ServiceIn], clock: Clock, days: int) -> Aims:
    early = _minute_of_day(timing.not_before)
    stretches = ((clock.on(at, 0), clock.on(at, early)) for at in range(days))
    first = clock.minute(services[0].at)
    closed = tuple(one for one in stretches if one[0] < one[1])
    return Aims(tuple(timing.aims), closed, (first - _HOUR, first))


def _edits(timing: TimingIn, clock: Clock) -> dict[str, Edit]:
    def of(at: datetime | None, by: UUID | None, minutes: int | None) -> Edit:
        return Edit(None if at is None else clock.minute(at), str(by) if by else None, minutes)

    return {key: of(one.at, one.by, one.minutes) for key, one in timing.held.items()}


def marked_of(mark: MarkIn, clock: Clock) -> Marked:
    """What has become of a task, as core has it."""
    by = str(mark.by) if mark.by else None
    return Marked(mark.mark, clock.minute(mark.since), clock.minute(mark.until), by)
