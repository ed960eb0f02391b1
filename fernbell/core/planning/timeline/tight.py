"""Where a plan that fits is tight: what is full, and who has no break."""

from collections.abc import Iterable, Iterator

from fernbell.core.planning.timeline.board import Tight
from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.spans import loaded
from fernbell.core.planning.timeline.verify import at
from fernbell.core.planning.timeline.words import UNITS
from fernbell.core.planning.timeline.work import Person, Planned, Station, Work
from fernbell.starter.practice import practice

_FULL = practice("nearly full")
_WITHOUT_BREAK = int(practice("without a break"))
_FOR_A_MOMENT = 20
"""What is full for no longer is in nobody's way [min]."""
_BREAK = 10
"""A shorter pause is none [min]."""


def tight(work: Work, plan: Planned, clock: Clock) -> tuple[Tight, ...]:
    """What has little room left in a plan.

    Args:
        work: tasks, people and places [Work].
        plan: starts, people and places of them [min].
        clock: minutes by the wall [Clock].
    Returns:
        each place that is nearly full and each person without a break, the longest of each, with
        what helps [Tight].
    Source:
        counting; what counts as full, and as long, is common practice.
    """
    full = (_full(one, work, plan, clock) for one in work.places if one.capacity > 1)
    busy = (_busy(one, work, plan, clock) for one in work.people)
    return tuple(said for said in (*full, *busy) if said)


def _longest(spans: Iterable[tuple[int, int]], gap: int) -> tuple[int, int]:
    """Of stretches in order, those less than a gap apart made one, the longest; (0, 0) of none.

    What another order holds may have begun before this one opens: minutes may be negative.
    """
    joined: list[tuple[int, int]] = []
    for since, until in spans:
        if joined and since < joined[-1][1] + gap:
            joined[-1] = (joined[-1][0], max(until, joined[-1][1]))
        else:
            joined.append((since, until))
    return max(joined, key=lambda one: one[1] - one[0], default=(0, 0))


def _full(place: Station, work: Work, plan: Planned, clock: Clock) -> Tight | None:
    held = [
        (at(work, plan, one.since), at(work, plan, one.until), one.amount)
        for one in work.holds
        if plan.places.get(one.key) == place.key
    ]
    others = [(x.since_min, x.until_min, x.amount) for x in work.claims_of.get(place.key, ())]
    pieces = [
        one for one in loaded([*held, *others], place.capacity) if one[2] >= _FULL * place.capacity
    ]
    since, until = _longest(((a, b) for a, b, _ in pieces), 1)
    if until - since <= _FOR_A_MOMENT:
        return None
    most = max(amount for a, b, amount in pieces if since <= a and b <= until)
    unit = UNITS.get(place.kind, "l")
    full = most == place.capacity
    takes = "full" if full else f"{most} of {place.capacity} {unit}".rstrip()
    molds = place.kind == "mold"
    what = f"Molds, {place.title}" if molds else place.title
    return Tight(
        f"{what}: {takes} from {clock.says(since)} to {clock.says(until)}",
        "Unmold on time, or borrow more." if molds else "Make some the day before, or borrow one.",
    )


def _busy(person: Person, work: Work, plan: Planned, clock: Clock) -> Tight | None:
    since, until = _longest(sorted(_at_work(person, work, plan)), _BREAK)
    if until - since < _WITHOUT_BREAK:
        return None
    length = hours_words(until - since)
    return Tight(
        f"{person.name}: no break from {clock.says(since)} to {clock.says(until)}, {length}",
        "Give some of it to somebody else, or begin sooner.",
    )


def _at_work(person: Person, work: Work, plan: Planned) -> Iterator[tuple[int, int]]:
    for task in work.tasks:
        if plan.people.get(task.key) == person.key and task.minutes:
            yield plan.starts[task.key], plan.starts[task.key] + task.minutes
    for one in work.claims_of.get(person.key, ()):
        yield one.since_min, one.until_min
