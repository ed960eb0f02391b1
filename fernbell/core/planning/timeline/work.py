"""What a timeline is made of: tasks, what passes between them, people, and places they hold."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field
from enum import StrEnum
from functools import cached_property

from fernbell.core.errors import CoreError, UnknownKey, check_range
from fernbell.core.working import Working

LONGEST_MIN = 21 * 24 * 60
"""A timeline spans three weeks at most: two of the longest wait, and the work about it."""


class Climate(StrEnum):
    """How something keeps while nobody works on it, and how a wait is drawn."""

    ROOM = "room"
    CHILLED = "chilled"
    FROZEN = "frozen"


class Sort(StrEnum):
    """What a task is, for the board and for what may be left out."""

    MAKE = "make"
    OVEN = "oven"
    BUILD = "build"
    FINISH = "finish"
    SERVE = "serve"


@dataclass(frozen=True, slots=True)
class Task:
    """One piece of work, without a break.

    Times are whole minutes from the origin of its plan. `skill` is the least that whoever does it
    has; None where no hands are needed. What is `watched` goes on only while somebody is in.
    `at_min` holds it where it is, by `by` where that is known. What is `over` was done or is under
    way, and is no longer asked whether it may be so. It is of a `formula` or of a `line` of the
    order; `steps` says in words what is done, `why` how its minutes come about.
    """

    key: str
    title: str
    minutes: int
    skill: int | None = None
    watched: bool = False
    at_min: int | None = None
    by: str | None = None
    due_min: int | None = None
    over: bool = False
    sort: Sort = Sort.MAKE
    formula: str = ""
    line: str = ""
    steps: tuple[str, ...] = ()
    why: Working | None = None

    def __post_init__(self) -> None:
        check_range("minutes", self.minutes, most=LONGEST_MIN)


@dataclass(frozen=True, slots=True)
class Link:
    """What passes between the end of one task and the start of another, least and most [min].

    `aged` says that longer than the least does it no good; `says` is the wait in words.
    """

    before: str
    after: str
    least_min: int = 0
    most_min: int | None = None
    aged: bool = False
    state: Climate | None = None
    says: str = ""

    def __post_init__(self) -> None:
        check_range("least_min", self.least_min, most=LONGEST_MIN)
        if self.most_min is not None and self.most_min < self.least_min:
            raise CoreError("most_min", f"{self.most_min} min", f"at least {self.least_min}")


@dataclass(frozen=True, slots=True)
class Point:
    """The start or the end of a task."""

    task: str
    end: bool = False


@dataclass(frozen=True, slots=True)
class Hold:
    """So much of one of several places, from one point to another.

    Of an oven, `at_c` is how hot; it does not bake at two heats at once.
    """

    key: str
    places: tuple[str, ...]
    since: Point
    until: Point
    amount: int = 1
    at_c: int | None = None

    def __post_init__(self) -> None:
        check_range("amount", self.amount, least=1, most=1e7)


@dataclass(frozen=True, slots=True)
class Station:
    """Something that takes so much at once: a stove by rings, a freezer by liters.

    `change_min` is what another heat costs, both ways [min]; what is `out` takes nothing. `vessel`
    is what the kitchen's list calls it.
    """

    key: str
    title: str
    kind: str
    capacity: int
    change_min: int = 0
    out: bool = False
    vessel: str = ""

    def __post_init__(self) -> None:
        check_range("capacity", self.capacity, least=1, most=1e7)


@dataclass(frozen=True, slots=True)
class Person:
    """Somebody who works, what they are trusted with, and when they are in [min]."""

    key: str
    name: str
    skill: int
    shifts: tuple[tuple[int, int], ...]


@dataclass(frozen=True, slots=True)
class Claim:
    """Somebody, or so much of a place, that the plan of another order has for a while [min].

    `of` is the key of the person or the place, `order` the other's name, `at_c` an oven's heat.
    """

    of: str
    since_min: int
    until_min: int
    order: str
    title: str = ""
    amount: int = 1
    at_c: int | None = None

    def __post_init__(self) -> None:
        check_range("amount", self.amount, least=1, most=1e7)


@dataclass(frozen=True, slots=True)
class Aims:
    """What matters, first to last, and what the words in it mean.

    `not_before` are the stretches in which nobody should begin, `last_hour` the one that should be
    calm [min].
    """

    order: tuple["Aim", ...] = ()
    not_before: tuple[tuple[int, int], ...] = ()
    last_hour: tuple[int, int] | None = None


class Aim(StrEnum):
    """What a chef asks of a plan that fits."""

    NO_EARLY = "nobody early"
    LATE = "start late"
    FRESH = "freshest"
    CALM = "calm last hour"
    HANDS = "least hand time"


USUAL_AIMS = (Aim.NO_EARLY, Aim.LATE, Aim.FRESH, Aim.CALM)
"""What matters where nobody says so; with these, each wave is finished for itself."""


@dataclass(frozen=True)
class Work:
    """All there is to do, by whom and where. Nothing begins before `opens_min`.

    Raises:
        UnknownKey: a link or a hold names no task, or a hold no place.
        CoreError: tasks that wait for one another in a circle.
    """

    tasks: tuple[Task, ...]
    links: tuple[Link, ...] = ()
    holds: tuple[Hold, ...] = ()
    people: tuple[Person, ...] = ()
    places: tuple[Station, ...] = ()
    aims: Aims = field(default_factory=Aims)
    opens_min: int = 0
    closes_min: int = LONGEST_MIN
    claims: tuple[Claim, ...] = ()

    def __post_init__(self) -> None:
        for link in self.links:
            self._known(link.before, link.after)
        for hold in self.holds:
            self._known(hold.since.task, hold.until.task)
            for key in hold.places:
                if key not in self.place:
                    raise UnknownKey("places", key, "a place of the kitchen")
        in_order(self.tasks, self.links)

    def _known(self, *keys: str) -> None:
        for key in keys:
            if key not in self.task:
                raise UnknownKey("tasks", key, "a task of the work")

    @cached_property
    def task(self) -> Mapping[str, Task]:
        """Tasks by their keys."""
        return {one.key: one for one in self.tasks}

    @cached_property
    def place(self) -> Mapping[str, Station]:
        """Places by their keys."""
        return {one.key: one for one in self.places}

    @cached_property
    def claims_of(self) -> Mapping[str, tuple[Claim, ...]]:
        """What other orders have of each person and place, by its key."""
        found: dict[str, tuple[Claim, ...]] = {}
        for one in self.claims:
            found[one.of] = (*found.get(one.of, ()), one)
        return found

    def able(self, task: Task) -> tuple[Person, ...]:
        """Who may do it."""
        if task.skill is None:
            return ()
        if task.by is not None:
            return tuple(one for one in self.people if one.key == task.by)
        return tuple(one for one in self.people if one.skill >= task.skill)


@dataclass(frozen=True, slots=True)
class Planned:
    """When each task starts [min], by whom it is done, and where each hold is."""

    starts: Mapping[str, int]
    people: Mapping[str, str]
    places: Mapping[str, str]


def in_order(tasks: Sequence[Task], links: Sequence[Link]) -> list[Task]:
    """Tasks so that each comes after what it waits for.

    Args:
        tasks: any order, shape (n,) [Task].
        links: which comes before which, shape (m,) [Link].
    Returns:
        the same tasks, otherwise in their own order, shape (n,) [Task].
    Raises:
        CoreError: they wait for one another in a circle.
    Source:
        topological order.
    """
    waiting = {one.key: 0 for one in tasks}
    after: dict[str, list[str]] = {}
    for link in links:
        waiting[link.after] += 1
        after.setdefault(link.before, []).append(link.after)
    ready = [one.key for one in tasks if not waiting[one.key]]
    for key in ready:
        for other in after.get(key, ()):
            waiting[other] -= 1
            if not waiting[other]:
                ready.append(other)
    if len(ready) < len(tasks):
        titles = [one.title for one in tasks if waiting[one.key]]
        raise CoreError("tasks", " → ".join(titles[:4]), "steps that do not wait for one another")
    named = {one.key: one for one in tasks}
    return [named[key] for key in ready]
