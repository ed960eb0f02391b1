"""How late each task may be without anything that follows being late for its service."""

from collections.abc import Iterator, Mapping
from itertools import pairwise

from fernbell.core.planning.timeline.work import Claim, Planned, Work, in_order


def latest(work: Work, plan: Planned) -> Mapping[str, int]:
    """When each task begins at the latest, everything else in the order it is planned in.

    Args:
        work: tasks, people and places [Work].
        plan: starts, people and places of them [min].
    Returns:
        by task, never before it is planned [min].
    Source:
        critical path, backwards, over what waits for it, its person's next task, and what has its
        place next where that takes one thing at a time.
    """
    after: dict[str, list[tuple[str, int]]] = {}
    for link in work.links:
        after.setdefault(link.before, []).append((link.after, link.least_min))
    for one, other in _in_turn(work, plan):
        after.setdefault(one, []).append((other, 0))
    shift_ends = {
        task.key: next(
            (
                until
                for person in work.people
                if person.key == plan.people.get(task.key)
                for since, until in person.shifts
                if since <= plan.starts[task.key] < until
            ),
            work.closes_min,
        )
        for task in work.tasks
    }
    elsewhere = _claims(work, plan)
    found: dict[str, int] = {}
    for task in sorted(in_order(work.tasks, work.links), key=lambda one: -plan.starts[one.key]):
        start = plan.starts[task.key]
        if task.at_min is not None or task.over:
            found[task.key] = start
            continue
        ends = [shift_ends[task.key], task.due_min or work.closes_min]
        ends += [found[key] - least for key, least in after.get(task.key, ()) if key in found]
        ends += [x.since_min for x in elsewhere[task.key] if x.since_min >= start + task.minutes]
        found[task.key] = max(start, min(ends) - task.minutes)
    return found


def _claims(work: Work, plan: Planned) -> dict[str, tuple[Claim, ...]]:
    """By task, what other orders have of its person, and of its place where that takes one."""
    found = {one.key: work.claims_of.get(plan.people.get(one.key, ""), ()) for one in work.tasks}
    for key, place in _alone(work, plan):
        found[key] = (*found[key], *work.claims_of.get(place, ()))
    return found


def _alone(work: Work, plan: Planned) -> Iterator[tuple[str, str]]:
    """Tasks in a place that takes one thing at a time, and that place."""
    for hold in work.holds:
        place = plan.places.get(hold.key, "")
        if hold.since.task == hold.until.task and place and work.place[place].capacity == 1:
            yield hold.since.task, place


def _in_turn(work: Work, plan: Planned) -> list[tuple[str, str]]:
    """Tasks of which one comes right after another in the same hands or place."""
    rows: dict[str, list[str]] = {}
    for key, who in plan.people.items():
        rows.setdefault(f"by {who}", []).append(key)
    for key, place in _alone(work, plan):
        rows.setdefault(f"in {place}", []).append(key)
    found = []
    for row in rows.values():
        row.sort(key=lambda key: plan.starts[key])
        found += list(pairwise(row))
    return found


def begins(work: Work, plan: Planned, line: str) -> int | None:
    """When the first thing is begun that goes into a line of the order.

    Args:
        work: its tasks and what passes between them [Work].
        plan: when they start [min].
        line: a line of the order [key].
    Returns:
        from the origin [min]; None where nothing is done for it.
    Source:
        definition.
    """
    into: dict[str, list[str]] = {}
    for link in work.links:
        into.setdefault(link.after, []).append(link.before)
    ahead = [one.key for one in work.tasks if one.line == line]
    found = set(ahead)
    while ahead:
        more = [one for one in into.get(ahead.pop(), ()) if one not in found]
        found.update(more)
        ahead += more
    return min((plan.starts[key] for key in found), default=None)
