"""What the chef moves by hand, and what has happened since: a work from now on."""

from collections.abc import Mapping
from dataclasses import dataclass, replace
from enum import StrEnum

from fernbell.core.errors import check_range
from fernbell.core.planning.timeline.minutes import on_grid
from fernbell.core.planning.timeline.work import LONGEST_MIN, Hold, Link, Point, Task, Work
from fernbell.starter.practice import practice

AGAIN = "~"
"""Behind the key of a task that is done again."""


@dataclass(frozen=True, slots=True)
class Edit:
    """What is held of a task by hand: when it begins, by whom, how long it takes [min]."""

    at_min: int | None = None
    by: str | None = None
    minutes: int | None = None

    def __post_init__(self) -> None:
        if self.minutes is not None:
            check_range("minutes", self.minutes, least=5, most=LONGEST_MIN)


class Mark(StrEnum):
    """What has become of a task."""

    BEGUN = "begun"
    DONE = "done"
    FAILED = "failed"


@dataclass(frozen=True, slots=True)
class Marked:
    """What has become of a task, since when, until when (of one under way: as expected) [min]."""

    mark: Mark
    since_min: int
    until_min: int
    by: str | None = None


class Happened(StrEnum):
    """What is said of a task during the day."""

    BEGUN = "begun"
    DONE = "done"
    LATE = "late"
    FAILED = "failed"


_LATE = int(practice("late"))


def became(
    what: Happened,
    start_min: int,
    minutes: int,
    now_min: int,
    before: Marked | None = None,
    by: str | None = None,
) -> Marked | Edit:
    """What has become of a task that was planned, said now.

    What was not marked before went on as planned; what is done or failed before its time was over
    by now. What is late takes longer: where it has begun, from then on.

    Args:
        what: is said of it [Happened].
        start_min: when it was planned [min].
        minutes: how long [min].
        now_min: when it is said [min].
        before: what was said of it before [Marked].
        by: who does it [key].
    Returns:
        its mark; of what is late and has not begun, how long it takes instead [min].
    Source:
        definition; how much is meant by late is common practice.
    """
    if what is Happened.LATE:
        if before is None:
            return Edit(minutes=minutes + _LATE)
        return Marked(Mark.BEGUN, before.since_min, before.until_min + _LATE, by)
    begun = start_min if start_min <= now_min else now_min - minutes
    since = before.since_min if before else begun
    if what is Happened.BEGUN:
        return Marked(Mark.BEGUN, now_min, max(now_min, start_min) + minutes, by)
    if what is Happened.DONE:
        return Marked(Mark.DONE, since, max(since, min(now_min, start_min + minutes)), by)
    return Marked(Mark.FAILED, since, max(since, now_min), by)


def edited(work: Work, edits: Mapping[str, Edit]) -> Work:
    """The work as the chef holds it.

    Args:
        work: as it follows from the order [Work].
        edits: by task; of tasks that are no more nothing is held [Edit].
    Returns:
        the same, those tasks held [Work].
    Source:
        definition.
    """
    people = {one.key for one in work.people}

    def held(task: Task) -> Task:
        edit = edits.get(task.key)
        if edit is None:
            return task
        by = edit.by if edit.by in people and task.skill is not None else None
        minutes = on_grid(edit.minutes) if edit.minutes and task.minutes else task.minutes
        if not task.minutes:
            return task
        why = task.why if minutes == task.minutes else None
        return replace(task, at_min=edit.at_min, by=by, minutes=minutes, why=why)

    return replace(work, tasks=tuple(held(one) for one in work.tasks))


def from_now(work: Work, marks: Mapping[str, Marked], now_min: int) -> Work:
    """What is left to do: what is over stays where it was, what failed is made again.

    Args:
        work: the whole work [Work].
        marks: by task, what has become of it [Marked].
        now_min: nothing begins earlier [min].
    Returns:
        the work with what is over said to be so [Work].
    Source:
        definition; what failed takes everything with it that went into it.
    """
    known = {key: one for key, one in marks.items() if key in work.task}

    def marked(task: Task) -> Task:
        mark = known.get(task.key)
        if mark is None:
            return task
        minutes = max(0, mark.until_min - mark.since_min)
        by = mark.by or task.by
        return replace(task, at_min=mark.since_min, minutes=minutes, by=by, over=True)

    opens = max(work.opens_min, on_grid(now_min))
    work = replace(work, tasks=tuple(marked(one) for one in work.tasks), opens_min=opens)
    for key, one in known.items():
        if one.mark is Mark.FAILED:
            work = _again(work, key)
    return work


def _again(work: Work, failed: str) -> Work:
    """What failed and all of what went into it, once more; what follows waits for that."""
    lost = {failed} | {key for key in _before(work, failed) if work.task[key].over}

    def new(key: str) -> str:
        return f"{key}{AGAIN}" if key in lost else key

    tasks = [
        replace(
            work.task[key],
            key=new(key),
            title=f"{work.task[key].title} (again)",
            at_min=None,
            over=False,
        )
        for key in lost
    ]
    links: list[Link] = []
    for link in work.links:
        if link.before == failed:
            links.append(replace(link, before=new(failed)))
            continue
        links.append(link)
        if link.after in lost:
            links.append(replace(link, before=new(link.before), after=new(link.after)))
    holds: list[Hold] = []
    for hold in work.holds:
        since, until = hold.since.task, hold.until.task
        if since in lost and until in lost:
            holds.append(hold)
            holds.append(_moved(hold, f"{hold.key}{AGAIN}", new(since), new(until)))
        elif since == failed:
            holds.append(_moved(hold, hold.key, new(since), until))
        else:
            holds.append(hold)
    return replace(work, tasks=(*work.tasks, *tasks), links=tuple(links), holds=tuple(holds))


def _moved(hold: Hold, key: str, since: str, until: str) -> Hold:
    return replace(
        hold, key=key, since=Point(since, hold.since.end), until=Point(until, hold.until.end)
    )


def _before(work: Work, key: str) -> set[str]:
    """All that went into it."""
    into: dict[str, list[str]] = {}
    for link in work.links:
        into.setdefault(link.after, []).append(link.before)
    found: set[str] = set()
    ahead = [key]
    while ahead:
        for one in into.get(ahead.pop(), ()):
            if one not in found:
                found.add(one)
                ahead.append(one)
    return found
