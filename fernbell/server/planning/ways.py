"""Ways out of a conflict: each is taken, worked out and told only if it fits."""

from collections.abc import Callable
from dataclasses import replace
from datetime import datetime, timedelta

from pydantic import ValidationError

from fernbell.core.planning import VESSELS
from fernbell.core.planning.timeline import (
    Conflict,
    Easing,
    EasingKind,
    Halt,
    Outcome,
    Work,
    as_if,
    board,
    clashes,
    shown_without,
    solve,
    ways_out,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.night import Night, night_of
from fernbell.server.planning.schemas import OrderIn, OrderLineIn
from fernbell.server.planning.timing_schemas import ConflictOut, DemandOut, EasedOut, TimingIn

_AN_HOUR = timedelta(hours=1)
MOST_WAYS = 8
"""More are not tried."""
MOST_DRAWN = 2
"""If a conflict cannot be drawn without the first, it is tried without so many in all."""


def taken(entry: OrderIn, way: Easing) -> OrderIn | None:
    """An entry with a way out taken; None where that cannot be."""
    lines = [
        _half(one) if way.kind is EasingKind.FEWER and one.key == way.key else one
        for one in entry.lines
    ]
    try:
        timing = entry.timing.model_copy(update=_TAKES[way.kind](entry.timing, way.key))
        eased = entry.model_copy(update={"timing": timing, "lines": lines})
        return OrderIn.model_validate(eased.model_dump()) if eased != entry else None
    except (ValidationError, OverflowError):
        # There is no such day, or as many are borrowed already as may be.
        return None


def _half(line: OrderLineIn) -> OrderLineIn:
    return line.model_copy(update={"count": max(1, line.count // 2)})


def _borrow(kind: str) -> Callable[[TimingIn, str], dict[str, object]]:
    return lambda timing, key: {"borrowed": [*timing.borrowed, kind or key]}


_TAKES: dict[EasingKind, Callable[[TimingIn, str], dict[str, object]]] = {
    EasingKind.LET_GO: lambda timing, key: {
        "held": {one: held for one, held in timing.held.items() if one != key}
    },
    EasingKind.EARLIER: lambda timing, _: {"days_ahead": min(14, timing.days_ahead + 1)},
    EasingKind.HOURS: lambda timing, _: {"hours_earlier": min(6, timing.hours_earlier + 1)},
    EasingKind.LONGER: lambda timing, _: {"hours_later": min(6, timing.hours_later + 1)},
    EasingKind.PLACE: _borrow(""),
    EasingKind.MOLDS: _borrow("molds"),
    EasingKind.HANDS: _borrow("hands"),
    EasingKind.LATER: lambda timing, _: {
        "services": [one.model_copy(update={"at": one.at + _AN_HOUR}) for one in timing.services]
    },
    EasingKind.FEWER: lambda _timing, _key: {},
}


def said(way: Easing, night: Night, entry: OrderIn, with_it: OrderIn) -> str:
    """What a way out is called."""
    if way.kind is EasingKind.FEWER:
        name = next(one.name for one in night.lines if one.key == way.key)
        was = next(one.count for one in entry.lines if one.key == way.key)
        now = next(one.count for one in with_it.lines if one.key == way.key)
        by = next(one.by for one in entry.lines if one.key == way.key)
        return f"{name}: {now} {by} instead of {was}"
    if way.kind is EasingKind.PLACE:
        return f"Another {VESSELS[way.key].title.lower()}"  # type: ignore[index]
    if way.kind is EasingKind.LET_GO:
        return f"Let go of {night.work.task[way.key].title}"
    if way.kind is EasingKind.LATER:
        first = min(one.at for one in with_it.timing.services)
        return f"Serve an hour later, at {first:%H:%M}"
    return {
        EasingKind.EARLIER: "Begin a day earlier",
        EasingKind.HOURS: "Everybody comes an hour earlier",
        EasingKind.LONGER: "Everybody stays an hour longer",
        EasingKind.MOLDS: "Twice as many molds",
        EasingKind.HANDS: "One more cook",
    }[way.kind]


Tell = Callable[[ConflictOut], object]


def explained(
    member: Member,
    entry: OrderIn,
    night: Night,
    found: Conflict,
    now: datetime,
    *,
    seconds: float,
    halt: Halt,
    tell: Tell,
) -> ConflictOut:
    """A conflict in words, drawn, with the ways out that fit and those that are not enough alone.

    What is known of it is told as it comes: what is in conflict, where that is, way after way.
    """
    demands = [DemandOut(kind=one.kind, says=one.says) for one in found.demands]
    known = ConflictOut(demands=demands, least=found.least)
    tell(known)
    known = known.model_copy(update=_shown(night, found, seconds, halt))
    tell(known)
    for way in ways_out(found)[:MOST_WAYS]:
        with_it = taken(entry, way)
        if halt.asked:
            break
        if with_it is None:
            continue
        says = said(way, night, entry, with_it)
        eased = night_of(member, night.order, with_it, now)
        outcome = _tried(eased.work, seconds, halt)
        if outcome is None:
            known = known.model_copy(update={"tried": [*known.tried, says]})
        else:
            first = board(eased.work, outcome.plan, eased.clock).first
            own = EasedOut(
                says=says, first=first, timing=with_it.timing, lines=_counts(entry, with_it)
            )
            known = known.model_copy(update={"ways": [*known.ways, own]})
        tell(known)
    return known


def _counts(entry: OrderIn, with_it: OrderIn) -> dict[str, int]:
    """Counts of lines that change, by key."""
    pairs = zip(with_it.lines, entry.lines, strict=True)
    return {one.key: one.count for one, was in pairs if one.count != was.count}


def _shown(night: Night, found: Conflict, seconds: float, halt: Halt) -> dict[str, object]:
    """The conflict on a board: as if one demand were not asked, and where that is broken."""
    for left_out in shown_without(found)[:MOST_DRAWN]:
        work = as_if(night.work, left_out)
        outcome = None if halt.asked else _tried(work, seconds, halt)
        if outcome:
            drawn = replace(work, places=night.work.places, claims=night.work.claims)
            return {
                "board": board(drawn, outcome.plan, night.clock),
                "left_out": left_out.says,
                "clashes": list(clashes(night.work, outcome.plan, night.clock)),
            }
    return {}


def _tried(work: Work, seconds: float, halt: Halt) -> Outcome | None:
    """A plan of it; None where none fits or none was found in that time."""
    try:
        return solve(work, seconds=seconds, halt=halt)
    except TimeoutError:
        return None
