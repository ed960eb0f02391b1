"""A conflict where it is: the plan as it would be without one demand, and where it breaks that."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from itertools import combinations, product

from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.conflict import Conflict, Demand, DemandKind, kind_of, without
from fernbell.core.planning.timeline.spans import loaded, merged
from fernbell.core.planning.timeline.verify import at
from fernbell.core.planning.timeline.words import UNITS
from fernbell.core.planning.timeline.work import Hold, Link, Person, Planned, Point, Station, Work

_SHOWS = (
    DemandKind.PLACE,
    DemandKind.OTHERS,
    DemandKind.OPENS,
    DemandKind.HOURS,
    DemandKind.WAIT,
    DemandKind.KEEPS,
    DemandKind.SERVICE,
    DemandKind.HELD,
    DemandKind.LINE,
)
"""What is rather left out of a drawing: whose want is seen best. Hands are in every lane."""
_SHOWN = 5
"""What is shorter would not be seen [min]."""


@dataclass(frozen=True, slots=True)
class Clash:
    """Where a plan breaks what is asked: in which lane, from when until when [min], and how."""

    lane: str
    since_min: int
    until_min: int
    says: str


def shown_without(conflict: Conflict) -> tuple[Demand, ...]:
    """Demands that may be left out to draw the others, those that show the conflict best first.

    Args:
        conflict: demands that cannot be met together [Conflict].
    Returns:
        some of them [Demand].
    Source:
        definition; which shows best is ours.
    """
    own = [one for one in conflict.demands if one.kind in _SHOWS]
    return tuple(sorted(own, key=lambda one: _SHOWS.index(one.kind)))


def as_if(work: Work, left_out: Demand) -> Work:
    """The work as if one demand were not asked; of places, as if they took all there is.

    Args:
        work: tasks, people and places [Work].
        left_out: what is not asked [Demand].
    Returns:
        the same, less strict, every hold still in its place [Work].
    Source:
        definition.
    """
    if left_out.kind is not DemandKind.PLACE:
        return without(work, [left_out])
    amounts = *(one.amount for one in work.holds), *(one.amount for one in work.claims)
    every = sum(amounts) or 1

    def roomy(place: Station) -> Station:
        if kind_of(place) != left_out.key:
            return place
        return replace(place, capacity=max(place.capacity, every), change_min=0, out=False)

    return replace(work, places=tuple(map(roomy, work.places)))


def clashes(work: Work, plan: Planned, clock: Clock) -> tuple[Clash, ...]:
    """Where a plan breaks what is asked.

    Args:
        work: what is asked, all of it [Work].
        plan: made for less of it [min].
        clock: minutes by the wall [Clock].
    Returns:
        stretches of lanes; none where it holds [min].
    Source:
        definition of each constraint.
    """
    found = _Clashing(work, plan, clock)
    return (*found.places(), *found.people(), *found.waits())


@dataclass(frozen=True)
class _Clashing:
    work: Work
    plan: Planned
    clock: Clock

    def _span(self, since: Point, until: Point) -> tuple[int, int]:
        return at(self.work, self.plan, since), at(self.work, self.plan, until)

    def _known(self, *tasks: str) -> bool:
        """Of a line that was left out nothing is planned."""
        return all(one in self.plan.starts for one in tasks)

    def _held(self, place: str) -> list[tuple[int, int, Hold]]:
        return [
            (*self._span(one.since, one.until), one)
            for one in self.work.holds
            if self._known(one.since.task, one.until.task)
            and self.plan.places.get(one.key) == place
        ]

    def places(self) -> Iterator[Clash]:
        """More in a place than it takes, or two heats."""
        for place in self.work.places:
            held = self._held(place.key)
            yield from self._over(place, held)
            yield from self._heats(place, held)
            yield from self._unwatched(place, held)

    def _over(self, place: Station, held: Sequence[tuple[int, int, Hold]]) -> Iterator[Clash]:
        """More than it takes of its own; what others have of it is theirs to put right."""
        taken = self.work.claims_of.get(place.key, ())
        others = [(one.since_min, one.until_min, one.amount) for one in taken]
        spans = [(since, until, one.amount) for since, until, one in held if since < until]
        spans += loaded(others, place.capacity)
        takes = 0 if place.out else place.capacity
        over = [
            (since, until, amount)
            for since, until, amount in loaded(spans, sum(one[2] for one in spans))
            if amount > takes and any(a < until and since < b for a, b, _ in held)
        ]
        for since, until in merged((a, b) for a, b, _ in over):
            most = max(amount for a, _, amount in over if since <= a < until)
            yield Clash(place.key, since, until, _full(place, most))

    def _heats(self, place: Station, held: Sequence[tuple[int, int, Hold]]) -> Iterator[Clash]:
        hot = [(since, until, one.at_c) for since, until, one in held if one.at_c is not None]
        others = [
            (one.since_min, one.until_min, one.at_c)
            for one in self.work.claims_of.get(place.key, ())
            if one.at_c is not None
        ]
        for one, other in (*combinations(hot, 2), *product(hot, others)):
            (since, until, at_c), (other_since, other_until, other_c) = one, other
            apart = max(other_since - until, since - other_until)
            if at_c != other_c and apart < place.change_min:
                begins = max(since, other_since)
                ends = max(begins + _SHOWN, min(until, other_until))
                yield Clash(place.key, begins, ends, f"{at_c} and {other_c} °C")

    def _unwatched(self, place: Station, held: Sequence[tuple[int, int, Hold]]) -> Iterator[Clash]:
        shifts = merged(shift for one in self.work.people for shift in one.shifts)
        for since, until, one in held:
            task = self.work.task[one.since.task]
            watched = task.watched and not task.over and one.since.task == one.until.task
            if watched and not any(a <= since and until <= b for a, b in shifts):
                yield Clash(place.key, since, until, "nobody is in")

    def people(self) -> Iterator[Clash]:
        """Work before it may begin, after it has to be done, while somebody is not in or busy."""
        for person in self.work.people:
            own = [key for key, who in self.plan.people.items() if who == person.key]
            spans = [(*self._span(Point(key), Point(key, end=True)), key) for key in own]
            for since, until, key in spans:
                says = self._wrong(person, since, until, key)
                if says:
                    yield Clash(person.key, since, until, says)
            for (since, until, _), (other_since, other_until, _) in combinations(spans, 2):
                if since < other_until and other_since < until:
                    yield Clash(
                        person.key,
                        max(since, other_since),
                        min(until, other_until),
                        "two things at once",
                    )

    def _wrong(self, person: Person, since: int, until: int, key: str) -> str:
        work, task = self.work, self.work.task[key]
        if task.over:
            return ""
        for taken in work.claims_of.get(person.key, ()):
            if since < taken.until_min and taken.since_min < until:
                return f"{person.name} is at {taken.order}"
        if task.at_min is not None and since != task.at_min:
            return f"held at {self.clock.says(task.at_min)}"
        if since < work.opens_min and task.at_min is None:
            return f"before {self.clock.says(work.opens_min)}"
        if task.by is None and person.skill < (task.skill or 0):
            return f"{person.name} is not trusted with it"
        ends = min(work.closes_min, task.due_min or work.closes_min)
        if until > ends:
            return f"after {self.clock.says(ends)}"
        if not any(comes <= since and until <= leaves for comes, leaves in person.shifts):
            return f"{person.name} is not in"
        return ""

    def waits(self) -> Iterator[Clash]:
        """What waits shorter or longer than it should: where it stands, else what comes after."""
        stands = {(one.since.task, one.until.task): one.key for one in self.work.holds}
        for link in self.work.links:
            if not self._known(link.before, link.after) or self.work.task[link.after].over:
                continue
            since, until = self._span(Point(link.before, end=True), Point(link.after))
            says = _wait(link, until - since)
            place = self.plan.places.get(stands.get((link.before, link.after), ""))
            who = self.plan.people.get(link.after)
            if says and place:
                yield Clash(place, since, max(until, since + _SHOWN), says)
            elif says and who:
                _, end = self._span(Point(link.after), Point(link.after, end=True))
                yield Clash(who, until, end, says)


def _full(place: Station, amount: int) -> str:
    unit = UNITS.get(place.kind, "l")
    takes = f"{unit}, and it is out" if place.out else f"of {place.capacity} {unit}"
    return f"{amount} {takes}".rstrip()


def _wait(link: Link, wait: int) -> str:
    if wait < link.least_min:
        return f"{hours_words(wait)} of at least {hours_words(link.least_min)}"
    if link.most_min is not None and wait > link.most_min:
        return f"{hours_words(wait)} of at most {hours_words(link.most_min)}"
    return ""
