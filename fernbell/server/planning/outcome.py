"""What a search has found, as it goes over the wire."""

from collections.abc import Iterable, Mapping
from dataclasses import replace
from datetime import datetime
from typing import Any

from fernbell.core.planning.timeline import (
    Aim,
    Board,
    Clock,
    Mark,
    Outcome,
    Planned,
    Reached,
    begins,
    board,
    hands_min,
    hours_words,
    told,
    work_of,
)
from fernbell.server.planning.night import Night
from fernbell.server.planning.timing_schemas import (
    MovedOut,
    ReachedOut,
    ResultOut,
)


def result_of(
    night: Night, found: Outcome, before: Planned | None, marks: Mapping[str, Mark]
) -> ResultOut:
    """A plan drawn and told, beside the one before."""
    work, plan, clock = night.work, found.plan, night.clock
    drawn: Board = board(work, plan, clock, dict(marks))
    return ResultOut(
        origin=clock.origin,
        board=drawn,
        reached=[_reached(one) for one in _in_turn(night, found)],
        looks=dict(night.looks),
        told=list(told(work, plan, clock)),
        moved=list(_moved(night, plan, before)) if before else [],
        starts={
            line.key: clock.says(first)
            for line in night.lines
            if (first := begins(work, plan, line.key)) is not None
        },
        plan=as_json(plan, clock) | {"together": night.commission.together},
        stopped=found.stopped,
    )


_SAYS = {
    Aim.NO_EARLY: lambda value: f"{value:.0f} early starts" if value else "nobody early",
    Aim.LATE: lambda value: f"{hours_words(value)} from the first hands to the end",
    Aim.FRESH: lambda value: f"nothing waits over {hours_words(value)} for no reason",
    Aim.HANDS: lambda value: f"{hours_words(value)} of hands in all",
    Aim.CALM: lambda value: f"{hours_words(value)} of work reaches into the last hour",
}


def _in_turn(night: Night, found: Outcome) -> list[Reached]:
    """What is reached of each aim, in their order; of hands what the work takes."""
    by_aim = {one.aim: one for one in found.reached}
    aims = night.commission.aims.order
    if Aim.HANDS in aims:
        takes = hands_min(night.work)
        least = hands_min(work_of(replace(night.commission, together=True)))
        bound = takes if night.commission.together else min(takes, least)
        by_aim[Aim.HANDS] = Reached(Aim.HANDS, takes, bound)
    return [by_aim[aim] for aim in (*aims, None) if aim in by_aim]


def _reached(one: Reached) -> ReachedOut:
    says = _SAYS[one.aim](one.value) if one.aim else "everything as late as it goes"
    return ReachedOut(aim=one.aim, says=says, gap=one.gap)


def _moved(night: Night, plan: Planned, before: Planned) -> Iterable[MovedOut]:
    names = {one.key: one.name for one in night.commission.people}
    clock = night.clock
    for task in night.work.tasks:
        was, now = before.starts.get(task.key), plan.starts[task.key]
        who, by = before.people.get(task.key), plan.people.get(task.key)
        if was is None or not task.minutes:
            continue
        said = [f"{clock.says(was)} to {clock.says(now)}"] if was != now else []
        if who != by and by:
            said.append(f"{names.get(who or '', 'nobody')} to {names.get(by, by)}")
        if said:
            yield MovedOut(task=task.key, title=task.title, says=", ".join(said))


def as_json(plan: Planned, clock: Clock) -> dict[str, Any]:
    """A plan as it is kept, with the moment of its minute 0."""
    return {
        "origin": clock.origin.isoformat(),
        "starts": dict(plan.starts),
        "people": dict(plan.people),
        "places": dict(plan.places),
    }


def plan_of(kept: dict[str, Any], clock: Clock) -> Planned:
    """A plan that was kept, by another clock."""
    shift = clock.minute(datetime.fromisoformat(kept["origin"]))
    starts = {key: start + shift for key, start in kept["starts"].items()}
    return Planned(starts, kept["people"], kept["places"])
