"""Ways out of a conflict: each is taken, worked out and told only if it fits."""

from collections.abc import Callable
from datetime import datetime, timedelta

from fernbell.core.planning import VESSELS
from fernbell.core.planning.timeline import (
    Board,
    Clash,
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


def taken(entry: OrderIn, way: Easing) -> OrderIn:
    """An entry with a way out taken."""
    lines = [
        _half(one) if way.kind is EasingKind.FEWER and one.key == way.key else one
        for one in entry.lines
    ]
    timing = entry.timing.model_copy(update=_TAKES[way.kind](entry.timing, way.key))
    return entry.model_copy(update={"timing": timing, "lines": lines})


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
        EasingKind.MOLDS: "Twice as many molds",
        EasingKind.HANDS: "One more cook",
    }[way.kind]


def conflict_out(
    member: Member,
    entry: OrderIn,
    night: Night,
    found: Conflict,
    now: datetime,
    *,
    seconds: float,
    halt: Halt,
) -> ConflictOut:
    """A conflict in words, with the ways out that fit and those that are not enough alone."""
    ways: list[EasedOut] = []
    tried: list[str] = []
    for way in ways_out(found)[:MOST_WAYS]:
        if halt.asked:
            break
        with_it = taken(entry, way)
        says = said(way, night, entry, with_it)
        if with_it == entry:
            continue
        eased = night_of(member, night.order, with_it, now)
        outcome = _tried(eased.work, seconds, halt)
        if outcome is None:
            tried.append(says)
            continue
        counts = {
            one.key: one.count
            for one, was in zip(with_it.lines, entry.lines, strict=True)
            if one.count != was.count
        }
        first = board(eased.work, outcome.plan, eased.clock).first
        ways.append(EasedOut(says=says, first=first, timing=with_it.timing, lines=counts))
    drawn, left_out, broken = _shown(night, found, seconds, halt)
    return ConflictOut(
        board=drawn,
        left_out=left_out,
        clashes=broken,
        demands=[DemandOut(kind=one.kind, says=one.says) for one in found.demands],
        least=found.least,
        ways=ways,
        tried=tried,
    )


def _shown(
    night: Night, found: Conflict, seconds: float, halt: Halt
) -> tuple[Board | None, str, list[Clash]]:
    """The conflict on a board: as if one demand were not asked, and where that is broken."""
    for left_out in shown_without(found)[:MOST_DRAWN]:
        work = as_if(night.work, left_out)
        outcome = None if halt.asked else _tried(work, seconds, halt)
        if outcome:
            broken = clashes(night.work, outcome.plan, night.clock)
            return board(work, outcome.plan, night.clock), left_out.says, list(broken)
    return None, "", []


def _tried(work: Work, seconds: float, halt: Halt) -> Outcome | None:
    """A plan of it; None where none fits or none was found in that time."""
    try:
        return solve(work, seconds=seconds, halt=halt)
    except TimeoutError:
        return None
