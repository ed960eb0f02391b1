"""What is said of a task during the day, in the timing of its order."""

from contextlib import suppress
from datetime import datetime
from typing import Any
from uuid import UUID

from fernbell.core.planning.timeline import Clock, Marked, became
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.night import clock_of, marked_of
from fernbell.server.planning.timing_schemas import BecameIn, HeldTaskIn, MarkIn, TimingIn
from fernbell.server.problems import Invalid


def marked(
    member: Member, timing: TimingIn, result: dict[str, Any], data: BecameIn, moment: datetime
) -> TimingIn:
    """A timing with it; refuse a task that is not in the plan."""
    if data.what is None:
        marks = {key: one for key, one in timing.marks.items() if key != data.task}
        return timing.model_copy(update={"marks": marks})
    people = result["plan"]["people"]
    bars = [one for one in result["board"]["bars"] if one["task"] == data.task]
    if not bars:
        raise Invalid.field("task", "There is no such task in the plan.")
    clock = clock_of(member, timing)
    shift = clock.minute(datetime.fromisoformat(result["origin"]))
    known = timing.marks.get(data.task)
    found = became(
        data.what,
        bars[0]["since_min"] + shift,
        bars[0]["until_min"] - bars[0]["since_min"],
        clock.minute(moment),
        marked_of(known, clock) if known else None,
        people.get(data.task),
    )
    if isinstance(found, Marked):
        marks = timing.marks | {data.task: _entry(found, clock)}
        return timing.model_copy(update={"marks": marks})
    held = timing.held.get(data.task) or HeldTaskIn()
    longer = held.model_copy(update={"minutes": found.minutes})
    return timing.model_copy(update={"held": timing.held | {data.task: longer}})


def _entry(mark: Marked, clock: Clock) -> MarkIn:
    by = None
    with suppress(ValueError):
        # Who is borrowed is no row.
        by = UUID(mark.by or "")
    since, until = clock.at(mark.since_min), clock.at(mark.until_min)
    return MarkIn(mark=mark.mark, since=since, until=until, by=by)
