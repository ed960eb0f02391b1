"""Why nothing fits: the fewest demands that cannot be met together."""

from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass, replace
from enum import StrEnum

from fernbell.core.planning.timeline.solve import Halt, fits
from fernbell.core.planning.timeline.work import Hold, Link, Person, Sort, Station, Task, Work

_DAY = 1440
_EARLIER_DAYS, _LATER_DAYS = 7, 3
_WAIT_FROM = 20
"""Shorter waits are in nobody's way [min]."""


class DemandKind(StrEnum):
    """What kind of thing is asked, and so what would ease it."""

    SERVICE = "service"
    OPENS = "opens"
    LINE = "line"
    PLACE = "place"
    HANDS = "hands"
    HOURS = "hours"
    WAIT = "wait"
    KEEPS = "keeps"
    HELD = "held"
    OTHERS = "others"


@dataclass(frozen=True, slots=True)
class Demand:
    """One thing that is asked: of which kind, of what, and in words."""

    kind: DemandKind
    key: str
    says: str


@dataclass(frozen=True, slots=True)
class Conflict:
    """Demands that cannot be met together; `least` where without any of them it fits."""

    demands: tuple[Demand, ...]
    least: bool


def demands(work: Work, says: Callable[[DemandKind, str], str]) -> tuple[Demand, ...]:
    """Everything that is asked and could be given up.

    Args:
        work: tasks, people and places [Work].
        says: what a demand is called, by its kind and key [text].
    Returns:
        demands, those a chef thinks of first behind the others [Demand].
    Source:
        definition.
    """
    return tuple(Demand(kind, key, says(kind, key)) for kind, key in _every(work))


def _every(work: Work) -> Iterator[tuple[DemandKind, str]]:
    """The earlier ones are rather named than the later ones, where either would do."""
    yield DemandKind.SERVICE, ""
    yield DemandKind.OPENS, ""
    for task in work.tasks:
        if task.at_min is not None and not task.over and task.sort is not Sort.SERVE:
            yield DemandKind.HELD, task.key
    for order in dict.fromkeys(one.order for one in work.claims):
        yield DemandKind.OTHERS, order
    held = {place for one in work.holds for place in one.places}
    used = [one for one in work.places if one.key in held]
    for key in dict.fromkeys(kind_of(one) for one in used):
        yield DemandKind.PLACE, key
    for line in dict.fromkeys(one.line for one in work.tasks if one.line):
        yield DemandKind.LINE, line
    for words in dict.fromkeys(one.says for one in work.links if one.least_min >= _WAIT_FROM):
        if words:
            yield DemandKind.WAIT, words
    yield DemandKind.HANDS, ""
    yield DemandKind.HOURS, ""
    yield DemandKind.KEEPS, ""


def kind_of(place: Station) -> str:
    """What is asked of places: of molds each is its own kind.

    Args:
        place: of the kitchen [Station].
    Returns:
        key of a demand [key].
    Source:
        definition.
    """
    return place.key if place.kind == "mold" else place.kind


def without(work: Work, dropped: Sequence[Demand]) -> Work:
    """The work with some demands given up; what fitted before fits still.

    Args:
        work: tasks, people and places [Work].
        dropped: what is not asked [Demand].
    Returns:
        the same, less strict [Work].
    Source:
        definition.
    """
    keys: Dropped = {}
    for one in dropped:
        keys.setdefault(one.kind, set()).add(one.key)
    gone = keys.get(DemandKind.LINE, set())
    tasks = tuple(_eased(one, keys) for one in work.tasks if not one.line or one.line not in gone)
    left = {one.key for one in tasks}
    return replace(
        work,
        tasks=tasks,
        links=tuple(
            _eased_link(one, keys) for one in work.links if one.before in left and one.after in left
        ),
        holds=tuple(
            one
            for one in _left_holds(work, keys)
            if one.since.task in left and one.until.task in left
        ),
        people=tuple(_at_hours(work, one, keys) for one in work.people),
        claims=tuple(
            one for one in work.claims if one.order not in keys.get(DemandKind.OTHERS, ())
        ),
        opens_min=work.opens_min - (_EARLIER_DAYS * _DAY if DemandKind.OPENS in keys else 0),
        closes_min=work.closes_min + (_LATER_DAYS * _DAY if DemandKind.SERVICE in keys else 0),
    )


Dropped = dict[DemandKind, set[str]]
"""By kind, what of it is not asked."""


def _left_holds(work: Work, keys: Dropped) -> Iterator[Hold]:
    kinds = {one.key: kind_of(one) for one in work.places}
    freed = keys.get(DemandKind.PLACE, set())
    for hold in work.holds:
        if not any(kinds[place] in freed for place in hold.places):
            yield hold


def _eased_link(link: Link, keys: Dropped) -> Link:
    waits = keys.get(DemandKind.WAIT, set())
    return replace(
        link,
        least_min=0 if link.says in waits else link.least_min,
        most_min=None if DemandKind.KEEPS in keys else link.most_min,
    )


def _at_hours(work: Work, person: Person, keys: Dropped) -> Person:
    """In around the clock, on days before, on days after, as far as that is not asked."""
    if DemandKind.HOURS in keys and person.shifts:
        person = replace(person, shifts=((work.opens_min, work.closes_min),))
    if DemandKind.OPENS in keys:
        person = _repeated(person, range(-_EARLIER_DAYS, 0))
    if DemandKind.SERVICE in keys:
        person = _repeated(person, range(1, _LATER_DAYS + 1))
    return person


def _eased(task: Task, keys: Dropped) -> Task:
    if task.over:
        return task
    if DemandKind.HANDS in keys and task.skill is not None:
        task = replace(task, skill=None, watched=True, by=None)
    if DemandKind.SERVICE in keys:
        task = replace(task, due_min=None)
        if task.sort is Sort.SERVE:
            task = replace(task, at_min=None)
    if task.key in keys.get(DemandKind.HELD, ()):
        task = replace(task, at_min=None, by=None)
    return task


def _repeated(person: Person, days: Iterable[int]) -> Person:
    """In on other days too, at the same hours."""
    spans = [(a + day * _DAY, b + day * _DAY) for day in days for a, b in person.shifts]
    return replace(person, shifts=tuple(sorted({*person.shifts, *spans})))


def conflict(
    work: Work,
    asked: Sequence[Demand],
    *,
    seconds: float = 5.0,
    workers: int = 2,
    halt: Halt | None = None,
) -> Conflict | None:
    """The fewest demands that cannot be met together: each of them is needed for that.

    Args:
        work: tasks, people and places that no plan fits [Work].
        asked: what could be given up; of several sets that of the earlier ones is told [Demand].
        seconds: for one try at most; one that is not settled in it counts as if it fitted [s].
        workers: threads of the solver [1].
        halt: by which it can be stopped [Halt].
    Returns:
        demands in conflict [Demand]; None where all can be met, or nothing fits without any.
    Source:
        QuickXplain (Junker 2004).
    """

    def met(kept: Sequence[Demand]) -> bool:
        if halt and halt.asked:
            return True
        dropped = [one for one in asked if one not in kept]
        found = fits(without(work, dropped), seconds=seconds, workers=workers, halt=halt)
        return found is not False

    if met(asked) or not met(()):
        return None
    found = tuple(_explained(met, (), (), tuple(asked)))
    least = not met(found) and all(met([x for x in found if x is not one]) for one in found)
    return Conflict(found, least and not (halt and halt.asked))


def _explained(
    met: Callable[[Sequence[Demand]], bool],
    kept: tuple[Demand, ...],
    added: tuple[Demand, ...],
    asked: tuple[Demand, ...],
) -> tuple[Demand, ...]:
    """Of what is asked beside what is kept, what is needed for the conflict."""
    if added and not met(kept):
        return ()
    if len(asked) == 1:
        return asked
    half = len(asked) // 2
    first, second = asked[:half], asked[half:]
    later = _explained(met, (*kept, *first), first, second)
    sooner = _explained(met, (*kept, *later), later, first)
    return (*sooner, *later)
