"""A plan drawn as a board: what lies where in its lanes, which hours are folded, what is pulled."""

from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import dataclass
from functools import cached_property
from typing import TypeVar

from fernbell.core.planning.timeline.board import (
    Board,
    Elsewhere,
    Lane,
    Pull,
    Served,
    Stay,
    Stretch,
    Tick,
    WorkBar,
)
from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.edits import Mark
from fernbell.core.planning.timeline.spans import loaded, merged
from fernbell.core.planning.timeline.spare import latest
from fernbell.core.planning.timeline.tight import tight
from fernbell.core.planning.timeline.verify import at
from fernbell.core.planning.timeline.work import (
    Claim,
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
    bars, stays, others = tuple(drawn.bars()), tuple(drawn.stays()), tuple(drawn.others())
    by_hand = [one for one in work.tasks if one.skill is not None and one.minutes]
    first = min((plan.starts[one.key] for one in by_hand), default=None)
    last = work.aims.last_hour
    return Board(
        stretches=tuple(drawn.stretches()),
        ticks=tuple(drawn.ticks()),
        lanes=tuple(drawn.lanes((*bars, *stays, *others))),
        bars=bars,
        stays=stays,
        others=others,
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
        tight=tight(work, plan, clock),
    )


Held = TypeVar("Held")


def abreast(
    every: Iterable[Held], span: Callable[[Held], tuple[int, int]]
) -> Iterator[tuple[Held, int]]:
    """What lies in one lane, side by side where it lies there at once.

    Args:
        every: that lies there, shape (n,) [Hold].
        span: since when and until when it does [min].
    Returns:
        each with the first track that is free by then, shape (n,) [1].
    Source:
        interval coloring, in the order of their beginnings.
    """
    ends: list[int] = []
    for one in sorted(every, key=span):
        since, until = span(one)
        track = next((at_ for at_, end in enumerate(ends) if end <= since), len(ends))
        ends[track : track + 1] = [until]
        yield one, track


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
            for hold in sorted(own, key=self._span):
                task = self.work.task[hold.since.task]
                yield self._bar(task, station.key, self._track[hold], late[task.key], hold)

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
            for hold in sorted(own, key=self._span):
                pair = hold.since.task, hold.until.task
                yield self._stay(hold, station, climates.get(pair, Climate.ROOM))

    def _stay(self, hold: Hold, station: Station, climate: Climate) -> Stay:
        since, until = self._span(hold)
        task = self.work.task[hold.since.task]
        unit = _UNITS.get(station.kind, "l")
        return Stay(
            key=hold.key,
            lane=station.key,
            track=self._track[hold],
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

    def _span(self, held: Hold | Claim) -> tuple[int, int]:
        if isinstance(held, Claim):
            return held.since_min, held.until_min
        return at(self.work, self.plan, held.since), at(self.work, self.plan, held.until)

    @cached_property
    def _track(self) -> dict[Hold | Claim, int]:
        """Of all that is in a place, or at which somebody is for another order, its track."""
        lying: dict[str, list[Hold | Claim]] = {}
        for hold in self.work.holds:
            lying.setdefault(self.plan.places[hold.key], []).append(hold)
        for taken in self.work.claims:
            lying.setdefault(taken.of, []).append(taken)
        return {one: at_ for own in lying.values() for one, at_ in abreast(own, self._span)}

    def others(self) -> Iterator[Elsewhere]:
        """What other orders have of its people and places, where that shows on this board."""
        low, high = self._ends
        known = {*self.work.place, *(one.key for one in self.work.people)}
        for one in self.work.claims:
            if one.of in known and low < one.until_min and one.since_min < high:
                since, until = max(low, one.since_min), min(high, one.until_min)
                hours = f"{self.clock.says(one.since_min)}–{self.clock.hour(one.until_min)}"
                track = self._track[one]
                yield Elsewhere(one.of, track, since, until, one.title, one.order, hours)

    def lanes(self, lying: Sequence[WorkBar | Stay | Elsewhere]) -> Iterator[Lane]:
        """People, then whatever of the equipment is used."""
        tracks: dict[str, int] = {}
        for one in lying:
            tracks[one.lane] = max(tracks.get(one.lane, 0), one.track + 1)
        for who in self.work.people:
            yield Lane(who.key, who.name, SKILLS[who.skill], "person", tracks.get(who.key, 1))
        for station in sorted(self.work.places, key=lambda one: _ORDER.index(one.kind)):
            key, kind = station.key, station.kind
            if key in tracks:
                yield Lane(key, station.title, self._fullest(station), kind, tracks[key])

    def _fullest(self, station: Station) -> str:
        """Such as '41 of 60 l': what is in it when it is fullest."""
        own: list[Hold | Claim] = [
            one for one in self.work.holds if self.plan.places[one.key] == station.key
        ]
        own += self.work.claims_of.get(station.key, ())
        spans = [(*self._span(one), one.amount) for one in own]
        most = max(amount for _, _, amount in loaded(spans, station.capacity))
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
