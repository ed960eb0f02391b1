"""Whether a plan holds, told apart from the model that made it: plain loops over what it says."""

from collections.abc import Iterator, Sequence
from itertools import pairwise, product

from fernbell.core.planning.timeline.work import Hold, Person, Planned, Point, Task, Work


def faults(work: Work, plan: Planned) -> tuple[str, ...]:
    """What a plan breaks of what was asked.

    What is over is not asked: it was as it was.

    Args:
        work: tasks, links, people and places [Work].
        plan: starts, people and places of them [min].
    Returns:
        a sentence each; none where it holds [text].
    Source:
        definition of each constraint, written apart from the solver's model.
    """
    return tuple(
        said
        for one in (_times, _waits, _hands, _watched, _rooms, _heats)
        for said in one(work, plan)
    )


def _end(work: Work, plan: Planned, key: str) -> int:
    return plan.starts[key] + work.task[key].minutes


def at(work: Work, plan: Planned, point: Point) -> int:
    """When a point of a plan is.

    Args:
        work: its tasks [Work].
        plan: when they start [min].
        point: the start or end of one [Point].
    Returns:
        from the origin [min].
    Source:
        definition.
    """
    return _end(work, plan, point.task) if point.end else plan.starts[point.task]


def _times(work: Work, plan: Planned) -> Iterator[str]:
    for task in work.tasks:
        start, end = plan.starts[task.key], _end(work, plan, task.key)
        if task.at_min is not None and start != task.at_min:
            yield f"{task.title} is held at {task.at_min}, not {start}"
        if not task.over and task.at_min is None and start < work.opens_min:
            yield f"{task.title} begins at {start}, before {work.opens_min}"
        if not task.over and task.due_min is not None and end > task.due_min:
            yield f"{task.title} ends at {end}, after {task.due_min}"
        if not task.over and end > work.closes_min:
            yield f"{task.title} ends at {end}, after {work.closes_min}"


def _waits(work: Work, plan: Planned) -> Iterator[str]:
    for link in work.links:
        if work.task[link.after].over:
            continue
        wait = plan.starts[link.after] - _end(work, plan, link.before)
        if wait < link.least_min:
            yield f"{link.before} to {link.after}: {wait} min, at least {link.least_min}"
        if link.most_min is not None and wait > link.most_min:
            yield f"{link.before} to {link.after}: {wait} min, at most {link.most_min}"


def _hands(work: Work, plan: Planned) -> Iterator[str]:
    for task in work.tasks:
        if task.skill is None or task.over:
            continue
        person = next((one for one in work.people if one.key == plan.people.get(task.key)), None)
        if person is None:
            yield f"{task.title} is done by nobody"
            continue
        if person.skill < task.skill and task.by is None:
            yield f"{person.name} is not trusted with {task.title}"
        start, end = plan.starts[task.key], _end(work, plan, task.key)
        if not any(since <= start and end <= until for since, until in person.shifts):
            yield f"{person.name} is not in for {task.title}"
    for person in work.people:
        own = [work.task[key] for key, who in plan.people.items() if who == person.key]
        own.sort(key=lambda one: plan.starts[one.key])
        for one, other in pairwise(own):
            if one.over and other.over:
                continue
            if plan.starts[other.key] < _end(work, plan, one.key):
                yield f"{person.name} does {one.title} and {other.title} at once"
        yield from _at_others(work, plan, person, own)


def _at_others(work: Work, plan: Planned, person: Person, own: Sequence[Task]) -> Iterator[str]:
    """Somebody who is at another order is not asked for at this one."""
    for one, taken in product(own, [x for x in work.claims if x.of == person.key]):
        start, end = plan.starts[one.key], _end(work, plan, one.key)
        if not one.over and start < taken.until_min and taken.since_min < end:
            yield f"{person.name} does {one.title} and {taken.title} at once"


def _watched(work: Work, plan: Planned) -> Iterator[str]:
    """Minute by minute: somebody is in."""
    inside = {
        at for one in work.people for since, until in one.shifts for at in range(since, until)
    }
    for task in work.tasks:
        if task.watched and not task.over:
            start, end = plan.starts[task.key], _end(work, plan, task.key)
            if not inside.issuperset(range(start, end)):
                yield f"nobody is in for {task.title}"


def _held(work: Work, plan: Planned, place: str) -> list[tuple[int, int, Hold]]:
    return [
        (at(work, plan, one.since), at(work, plan, one.until), one)
        for one in work.holds
        if plan.places.get(one.key) == place
    ]


def _settled(work: Work, hold: Hold) -> bool:
    """Both its ends are over: nothing of it can be changed."""
    return work.task[hold.since.task].over and work.task[hold.until.task].over


def _rooms(work: Work, plan: Planned) -> Iterator[str]:
    for hold in work.holds:
        if plan.places.get(hold.key) not in hold.places:
            yield f"{hold.key} is nowhere"
        elif work.place[plan.places[hold.key]].out and not _settled(work, hold):
            yield f"{hold.key} is in what is out"
        if at(work, plan, hold.until) < at(work, plan, hold.since):
            yield f"{hold.key} ends before it begins"
    for place in work.places:
        held = [one for one in _held(work, plan, place.key) if not _settled(work, one[2])]
        others = [one for one in work.claims if one.of == place.key]
        for moment in {since for since, _, _ in held} | {one.since_min for one in others}:
            inside = sum(one.amount for since, until, one in held if since <= moment < until)
            taken = sum(one.amount for one in others if one.since_min <= moment < one.until_min)
            if inside and inside + min(taken, place.capacity) > place.capacity:
                yield f"{place.title} holds {inside + taken} of {place.capacity} at {moment}"


def _heats(work: Work, plan: Planned) -> Iterator[str]:
    for place in work.places:
        held = [one for one in _held(work, plan, place.key) if one[2].at_c is not None]
        for at_, (since, until, one) in enumerate(held):
            for other_since, other_until, other in held[at_ + 1 :]:
                if one.at_c == other.at_c or _settled(work, one) or _settled(work, other):
                    continue
                apart = max(other_since - until, since - other_until)
                if apart < place.change_min:
                    yield f"{place.title} is asked for {one.at_c} and {other.at_c} °C at once"
            for taken in (x for x in work.claims if x.of == place.key and x.at_c is not None):
                apart = max(taken.since_min - until, since - taken.until_min)
                if taken.at_c != one.at_c and not _settled(work, one) and apart < place.change_min:
                    yield f"{place.title} is asked for {one.at_c} and {taken.at_c} °C at once"
