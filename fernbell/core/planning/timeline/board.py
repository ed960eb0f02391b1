"""A plan as it is drawn: lanes of people and equipment, bars of work, stays in between."""

from collections.abc import Iterator, Sequence
from dataclasses import dataclass

from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.edits import Mark
from fernbell.core.planning.timeline.model import merged
from fernbell.core.planning.timeline.spare import latest
from fernbell.core.planning.timeline.verify import at
from fernbell.core.planning.timeline.work import (
    Climate,
    Hold,
    Planned,
    Point,
    Sort,
    Station,
    Task,
    Work,
)
from fernbell.core.working import Given, Working
from fernbell.starter.hands import SKILLS

_HOUR = 60
_NIGHT_FROM = 3 * _HOUR
"""A stretch without anybody in is folded from this length on [min]."""
_ORDER = ("mixer", "stove", "oven", "blast", "freezer", "fridge", "mold")
"""Equipment from left to right, as work goes through it."""
_UNITS = {"oven": "trays", "stove": "rings", "mold": "molds", "mixer": ""}


@dataclass(frozen=True, slots=True)
class Lane:
    """Somebody, or something that takes so much at once; `tracks` lie side by side in it."""

    key: str
    title: str
    says: str
    kind: str
    tracks: int = 1


@dataclass(frozen=True, slots=True)
class WorkBar:
    """Work in a lane [min]; `track` where it lies beside others.

    Of one task there is a bar for whoever does it, and one for each station it holds.
    """

    task: str
    lane: str
    track: int
    since_min: int
    until_min: int
    title: str
    says: str
    hours: str
    sort: Sort
    formula: str
    line: str
    heat_c: int | None = None
    amount: int = 1
    latest: str = ""
    held: bool = False
    mark: Mark | None = None
    steps: tuple[str, ...] = ()
    why: Working | None = None


@dataclass(frozen=True, slots=True)
class Stay:
    """Something that stands somewhere between two tasks [min]."""

    key: str
    lane: str
    track: int
    since_min: int
    until_min: int
    title: str
    says: str
    hours: str
    climate: Climate
    amount: int
    formula: str
    task: str


@dataclass(frozen=True, slots=True)
class Stretch:
    """A piece of the time of a board [min]; a night nobody is in is folded, and says what waits."""

    since_min: int
    until_min: int
    folded: bool
    says: str = ""


@dataclass(frozen=True, slots=True)
class Tick:
    """An hour on the wall, where it lies [min]; `day` where a day begins on the board."""

    at_min: int
    says: str
    day: str = ""


@dataclass(frozen=True, slots=True)
class Pull:
    """What is taken out of a store, when and for what."""

    at_min: int
    hour: str
    title: str
    out_of: str
    says: str


@dataclass(frozen=True, slots=True)
class Served:
    """A service on the floor of the board [min]."""

    at_min: int
    title: str
    hour: str


@dataclass(frozen=True)
class Board:
    """A plan, drawn."""

    stretches: tuple[Stretch, ...]
    ticks: tuple[Tick, ...]
    lanes: tuple[Lane, ...]
    bars: tuple[WorkBar, ...]
    stays: tuple[Stay, ...]
    services: tuple[Served, ...]
    pulls: tuple[Pull, ...]
    first: str
    hands: str
    hands_why: Working
    last_hour: str


def board(work: Work, plan: Planned, clock: Clock, marks: dict[str, Mark] | None = None) -> Board:
    """Draw a plan.

    Args:
        work: tasks, people and stations [Work].
        plan: when each task starts, by whom and where [min].
        clock: minutes by the wall [Clock].
        marks: what has become of tasks, by key [Mark].
    Returns:
        lanes and what lies in them [min].
    Source:
        definition; what lies at one time in one lane lies side by side (interval coloring).
    """
    drawn = _Drawn(work, plan, clock, marks or {})
    bars, stays = tuple(drawn.bars()), tuple(drawn.stays())
    by_hand = [one for one in work.tasks if one.skill is not None and one.minutes]
    first = min((plan.starts[one.key] for one in by_hand), default=None)
    last = work.aims.last_hour
    return Board(
        stretches=tuple(drawn.stretches()),
        ticks=tuple(drawn.ticks()),
        lanes=tuple(drawn.lanes(bars, stays)),
        bars=bars,
        stays=stays,
        services=tuple(
            Served(plan.starts[one.key], one.title, clock.hour(plan.starts[one.key]))
            for one in sorted(work.tasks, key=lambda x: plan.starts[x.key])
            if one.sort is Sort.SERVE
        ),
        pulls=tuple(drawn.pulls(stays)),
        first="" if first is None else clock.says(first),
        hands=hours_words(sum(one.minutes for one in by_hand)),
        hands_why=drawn.hands(),
        last_hour=hours_words(
            sum(_within(plan.starts[one.key], one.minutes, last) for one in by_hand) if last else 0
        ),
    )


def _within(start: int, minutes: int, span: tuple[int, int]) -> int:
    return max(0, min(start + minutes, span[1]) - max(start, span[0]))


@dataclass(frozen=True)
class _Drawn:
    """A work with its plan, as the parts of a board."""

    work: Work
    plan: Planned
    clock: Clock
    marks: dict[str, Mark]

    def hands(self) -> Working:
        """What everybody does, together."""
        each = {one.key: 0 for one in self.work.people}
        for task in self.work.tasks:
            who = self.plan.people.get(task.key)
            if who in each:
                each[who] += task.minutes
        total = sum(each.values())
        return Working(
            figure="Hands in all",
            value=total,
            unit="min",
            given=tuple(Given(one.name, each[one.key], "min") for one in self.work.people),
            law="the sum of the tasks of everybody",
            arithmetic=f"{' + '.join(str(one) for one in each.values())} = {total} min",
            source="counting; each task has its own working",
        )

    def bars(self) -> Iterator[WorkBar]:
        """Work in the lane of whoever does it and of what it holds."""
        late = latest(self.work, self.plan)
        for task in self.work.tasks:
            if task.minutes and task.key in self.plan.people:
                yield self._bar(task, self.plan.people[task.key], 0, late[task.key])
        for station in self.work.places:
            own = [
                one
                for one in self.work.holds
                if self.plan.places[one.key] == station.key and one.since.task == one.until.task
            ]
            for hold, track in self._tracks(own):
                task = self.work.task[hold.since.task]
                yield self._bar(task, station.key, track, late[task.key], hold)

    def _bar(
        self, task: Task, lane: str, track: int, late: int, hold: Hold | None = None
    ) -> WorkBar:
        start = self.plan.starts[task.key]
        end = start + task.minutes
        heat = hold.at_c if hold else None
        return WorkBar(
            task=task.key,
            lane=lane,
            track=track,
            since_min=start,
            until_min=end,
            title=task.title,
            says=hours_words(task.minutes) + (f" at {heat} °C" if heat is not None else ""),
            hours=f"{self.clock.says(start)}–{self.clock.hour(end)}",
            sort=task.sort,
            formula=task.formula,
            line=task.line,
            heat_c=heat,
            amount=hold.amount if hold else 1,
            latest=self.clock.hour(late) if late > start else "",
            held=task.at_min is not None and not task.over,
            mark=self.marks.get(task.key),
            steps=task.steps,
            why=None if hold else task.why,
        )

    def stays(self) -> Iterator[Stay]:
        """What stands in stores, and in molds, between two tasks."""
        climates = {
            (one.before, one.after): one.state for one in self.work.links if one.state is not None
        }
        for station in self.work.places:
            own = [
                one
                for one in self.work.holds
                if self.plan.places[one.key] == station.key
                and one.since.task != one.until.task
                and self._span(one)[0] < self._span(one)[1]
            ]
            for hold, track in self._tracks(own):
                pair = hold.since.task, hold.until.task
                yield self._stay(hold, station, track, climates.get(pair, Climate.ROOM))

    def _stay(self, hold: Hold, station: Station, track: int, climate: Climate) -> Stay:
        since, until = self._span(hold)
        task = self.work.task[hold.since.task]
        unit = _UNITS.get(station.kind, "l")
        return Stay(
            key=hold.key,
            lane=station.key,
            track=track,
            since_min=since,
            until_min=until,
            title=task.title.partition(":")[0],
            says=f"{hold.amount} {unit}, {hours_words(until - since)}".replace("  ", " "),
            hours=f"{self.clock.says(since)} to {self.clock.says(until)}",
            climate=climate,
            amount=hold.amount,
            formula=task.formula,
            task=hold.until.task,
        )

    def _span(self, hold: Hold) -> tuple[int, int]:
        return at(self.work, self.plan, hold.since), at(self.work, self.plan, hold.until)

    def _tracks(self, holds: Sequence[Hold]) -> Iterator[tuple[Hold, int]]:
        """Each on the first track that is free by then."""
        ends: list[int] = []
        for hold in sorted(holds, key=self._span):
            since, until = self._span(hold)
            track = next((at_ for at_, end in enumerate(ends) if end <= since), len(ends))
            ends[track : track + 1] = [until]
            yield hold, track

    def lanes(self, bars: Sequence[WorkBar], stays: Sequence[Stay]) -> Iterator[Lane]:
        """People, then whatever of the equipment is used."""
        for person in self.work.people:
            yield Lane(person.key, person.name, SKILLS[person.skill], "person")
        for station in sorted(self.work.places, key=lambda one: _ORDER.index(one.kind)):
            own = [one.track for one in bars if one.lane == station.key]
            own += [one.track for one in stays if one.lane == station.key]
            if own:
                yield Lane(
                    station.key,
                    station.title,
                    self._fullest(station),
                    station.kind,
                    max(own) + 1,
                )

    def _fullest(self, station: Station) -> str:
        """Such as '41 of 60 l': what is in it when it is fullest."""
        own = [one for one in self.work.holds if self.plan.places[one.key] == station.key]
        spans = [(*self._span(one), one.amount) for one in own]
        most = max(
            sum(amount for since, until, amount in spans if since <= moment < until)
            for moment in {since for since, _, _ in spans}
        )
        unit = _UNITS.get(station.kind, "l")
        if station.kind == "mixer":
            return ""
        return f"{most} of {station.capacity} {unit}"

    @property
    def _ends(self) -> tuple[int, int]:
        starts = [self.plan.starts[one.key] for one in self.work.tasks]
        ends = [self.plan.starts[one.key] + one.minutes for one in self.work.tasks]
        first, last = min(starts, default=0), max(ends, default=0)
        return first // _HOUR * _HOUR, max(self.work.closes_min, last)

    def stretches(self) -> Iterator[Stretch]:
        """From the first hour to the service; what nobody is in for, folded."""
        low, high = self._ends
        busy = merged(
            (self.plan.starts[one.key], self.plan.starts[one.key] + one.minutes)
            for one in self.work.tasks
            if one.key in self.plan.people or one.sort is Sort.SERVE or one.watched
        )
        reached = low
        for since, until in busy:
            if since - reached >= _NIGHT_FROM:
                night = -(-reached // _HOUR) * _HOUR, since // _HOUR * _HOUR
                if night[1] - night[0] >= _NIGHT_FROM:
                    yield from self._open(low, night[0])
                    yield Stretch(*night, folded=True, says=self._night(*night))
                    low = night[1]
            reached = max(reached, until)
        yield from self._open(low, high)

    def _open(self, since: int, until: int) -> Iterator[Stretch]:
        if until > since:
            yield Stretch(since, until, folded=False)

    def _night(self, since: int, until: int) -> str:
        """What waits while nobody works."""
        waiting: dict[str, list[str]] = {}
        for link in self.work.links:
            begun = at(self.work, self.plan, Point(link.before, end=True))
            if begun <= since and self.plan.starts[link.after] >= until and link.state:
                name = self.work.task[link.before].title.partition(":")[0]
                waiting.setdefault(_DOES[link.state], []).append(name)
        said = [f"{does} {', '.join(dict.fromkeys(names))}" for does, names in waiting.items()]
        who = f"{self.clock.at(since):%A} {self.clock.hour(since)} to {self.clock.hour(until)}"
        return f"{who}, nobody at work" + (f": {'; '.join(said)}" if said else "")

    def ticks(self) -> Iterator[Tick]:
        """Every full hour of what is not folded."""
        last = ""
        for stretch in self.stretches():
            if stretch.folded:
                continue
            for minute in range(-(-stretch.since_min // _HOUR) * _HOUR, stretch.until_min, _HOUR):
                day = f"{self.clock.at(minute):%a}"
                yield Tick(minute, self.clock.hour(minute), "" if day == last else day)
                last = day

    def pulls(self, stays: Sequence[Stay]) -> Iterator[Pull]:
        """What comes out of the cold, in the order of its hours."""
        stores = {
            one.key: one.title
            for one in self.work.places
            if one.kind in ("freezer", "blast", "fridge")
        }
        since = {one.key: one.since.task for one in self.work.holds}
        own = [one for one in stays if one.lane in stores]
        for one in sorted(own, key=lambda x: x.until_min):
            task = self.work.task[one.task]
            yield Pull(
                one.until_min,
                self.clock.says(one.until_min),
                self.work.task[since[one.key]].title,
                stores[one.lane],
                f"for {task.title}",
            )


_DOES = {
    Climate.FROZEN: "freezing:",
    Climate.CHILLED: "in the fridge:",
    Climate.ROOM: "resting:",
}
