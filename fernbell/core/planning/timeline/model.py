"""The timeline as a model of constraints; times are counted on the grid they all share."""

from collections.abc import Iterator, Sequence
from functools import reduce
from itertools import combinations, product
from math import gcd

from ortools.sat.python import cp_model

from fernbell.core.planning.timeline.spans import Spans, loaded, merged
from fernbell.core.planning.timeline.teams import shared_out, teams_of
from fernbell.core.planning.timeline.work import (
    LONGEST_MIN,
    Aim,
    Hold,
    Planned,
    Point,
    Station,
    Task,
    Work,
)

Held = tuple[Hold, cp_model.IntervalVar, cp_model.IntVar | None]
"""What a place holds, and the literal of its being there."""
Heat = tuple[int, cp_model.LinearExprT, cp_model.LinearExprT, cp_model.IntVar | None]
"""How hot an oven is asked to be [°C], since when and until when, where it is that oven."""


class Model:
    """Variables and constraints of a work; `aim` gives what each aim makes small.

    One start a task; who does it and where it is held are chosen by literals, one of each.
    """

    def __init__(self, work: Work) -> None:
        self.work = work
        self.cp = cp_model.CpModel()
        self.grid = _grid(work)
        self.teams = teams_of(work)
        self.who: dict[str, dict[str, cp_model.IntVar]] = {}
        self.where: dict[str, dict[str, cp_model.IntVar]] = {}
        self.start = {task.key: self._start(task) for task in work.tasks}
        for link in work.links:
            self._link(link.before, link.after, link.least_min, link.most_min)
        self._hands()
        self._rooms()

    def _scaled(self, minutes: int) -> int:
        return minutes // self.grid

    def _start(self, task: Task) -> cp_model.IntVar:
        if task.at_min is not None:
            return self.cp.new_constant(self._scaled(task.at_min))
        domain = self._may_start(task)
        if domain.is_empty():
            self._never()
            domain = cp_model.Domain(0, 0)
        return self.cp.new_int_var_from_domain(domain, task.key)

    def _never(self) -> None:
        """Nothing fits, whatever else is chosen."""
        self.cp.add_bool_or([self.cp.new_constant(0)])

    def _may_start(self, task: Task) -> cp_model.Domain:
        """Within hours, and not so late that it is overdue."""
        last = min(self.work.closes_min, task.due_min or self.work.closes_min) - task.minutes
        hours = [(self.work.opens_min, last + task.minutes)]
        people = self.work.people if task.watched else self.work.able(task)
        if task.watched or task.skill is not None:
            shifts = [shift for one in people for shift in one.shifts]
            hours = merged(shifts) if task.watched else shifts
        return self._domain(hours, task.minutes, last)

    def _domain(self, hours: Sequence[tuple[int, int]], minutes: int, last: int) -> cp_model.Domain:
        opens = self.work.opens_min
        spans = [(max(since, opens), min(until - minutes, last)) for since, until in hours]
        return cp_model.Domain.from_intervals(
            [[-(-a // self.grid), b // self.grid] for a, b in spans if b >= a]
        )

    def end(self, key: str) -> cp_model.LinearExpr:
        """When a task ends, on the grid."""
        return self.start[key] + self._scaled(self.work.task[key].minutes)

    def _point(self, point: Point) -> cp_model.LinearExpr:
        return self.end(point.task) if point.end else self.start[point.task]

    def _link(self, before: str, after: str, least: int, most: int | None) -> None:
        if self.work.task[after].over:
            return
        self.cp.add(self.start[after] - self.end(before) >= self._scaled(least))
        if most is not None:
            self.cp.add(self.start[after] - self.end(before) <= self._scaled(most))

    def _hands(self) -> None:
        """Each task by one who may do it and is in; of a team no more than there are at once."""
        own: dict[str, list[cp_model.IntervalVar]] = {key: [] for key in self.teams}
        by_skill: dict[int, list[cp_model.IntervalVar]] = {}
        busy: dict[str, Spans] = {
            key: [(one.since_min, one.until_min) for one in self.work.claims_of.get(key, ())]
            for key in self.teams
        }
        for task in self.work.tasks:
            if task.skill is None or not task.minutes:
                continue
            if task.over:
                if task.by in busy:
                    busy[task.by].append((task.at_min or 0, (task.at_min or 0) + task.minutes))
                continue
            size = self._scaled(task.minutes)
            whole = self.cp.new_fixed_size_interval_var(self.start[task.key], size, task.key)
            by_skill.setdefault(task.skill, []).append(whole)
            able = {one.key for one in self.work.able(task)}
            chosen = {
                key: self.cp.new_bool_var(f"{task.key} by {key}")
                for key, team in self.teams.items()
                if team[0].key in able
            }
            self.cp.add_exactly_one(chosen.values())
            self.who[task.key] = chosen
            for key, lit in chosen.items():
                own[key].append(
                    self.cp.new_optional_fixed_size_interval_var(
                        self.start[task.key], size, lit, f"{task.key} {key}"
                    )
                )
                self._in_hours(task, key, lit)
        for key, team in self.teams.items():
            taken = [self._fixed(span) for span in merged(map(self._outwards, busy[key]))]
            if len(team) == 1:
                self.cp.add_no_overlap([*own[key], *taken])
            else:
                self.cp.add_cumulative(own[key], [1] * len(own[key]), len(team))
        self._enough_hands(by_skill)

    def _in_hours(self, task: Task, team: str, lit: cp_model.IntVar) -> None:
        """Whoever does it is in."""
        last = self.work.closes_min - task.minutes
        hours = self._domain(self.teams[team][0].shifts, task.minutes, last)
        if hours.is_empty():
            self.cp.add_bool_and([~lit])
        else:
            self.cp.add_linear_expression_in_domain(self.start[task.key], hours).only_enforce_if(
                lit
            )

    def _enough_hands(self, by_skill: dict[int, list[cp_model.IntervalVar]]) -> None:
        """Said again over all hands, which is what a bound is proven by."""
        for skill in by_skill:
            able = [one for one in self.work.people if one.skill >= skill]
            asked = [one for least, own in by_skill.items() if least >= skill for one in own]
            if len(able) > 1 and len(asked) > len(able):
                self.cp.add_cumulative(asked, [1] * len(asked), len(able))

    def _outwards(self, span: tuple[int, int]) -> tuple[int, int]:
        """A stretch of minutes on the grid, no shorter than it is."""
        return span[0] // self.grid, -(-span[1] // self.grid)

    def _fixed(self, span: tuple[int, int]) -> cp_model.IntervalVar:
        return self.cp.new_fixed_size_interval_var(span[0], span[1] - span[0], "taken")

    def _rooms(self) -> None:
        """Each hold in one of its places; no place takes more than it can at once."""
        inside: dict[str, list[Held]] = {}
        for hold in self.work.holds:
            if not all(self.work.task[one.task].over for one in (hold.since, hold.until)):
                for name, interval, lit in self._held(hold):
                    inside.setdefault(name, []).append((hold, interval, lit))
        for key, held in inside.items():
            place = self.work.place[key]
            others = [
                (*self._outwards((one.since_min, one.until_min)), one.amount)
                for one in self.work.claims_of.get(key, ())
            ]
            taken = list(loaded(others, place.capacity))
            amounts = [hold.amount for hold, _, _ in held] + [amount for _, _, amount in taken]
            intervals = [interval for _, interval, _ in held]
            intervals += [self._fixed((since, until)) for since, until, _ in taken]
            if place.capacity < 2 * min(amounts):
                self.cp.add_no_overlap(intervals)
            if sum(amounts) > place.capacity:
                self.cp.add_cumulative(intervals, amounts, place.capacity)
            if place.change_min:
                self._heats(place, held)

    def _held(
        self, hold: Hold
    ) -> Iterator[tuple[str, cp_model.IntervalVar, cp_model.IntVar | None]]:
        """Where it may be, and the literal of its being there; none where there is no choice."""
        since, until = self._point(hold.since), self._point(hold.until)
        size = self.cp.new_int_var(0, self._scaled(2 * LONGEST_MIN), hold.key)
        if all(self.work.place[one].out for one in hold.places):
            self._never()
        if len(hold.places) == 1:
            yield hold.places[0], self.cp.new_interval_var(since, size, until, hold.key), None
            return
        chosen = {place: self.cp.new_bool_var(f"{hold.key} {place}") for place in hold.places}
        self.cp.add_exactly_one(chosen.values())
        self.cp.add(until - since == size)
        self.where[hold.key] = chosen
        for place, lit in chosen.items():
            if self.work.place[place].out:
                self.cp.add_bool_and([~lit])
            yield place, self.cp.new_optional_interval_var(since, size, until, lit, hold.key), lit

    def _heats(self, place: Station, held: Sequence[Held]) -> None:
        """One heat at a time, and time to go from one to another."""
        change = self._scaled(place.change_min)
        own: list[Heat] = [
            (hold.at_c, self._point(hold.since), self._point(hold.until), lit)
            for hold, _, lit in held
            if hold.at_c is not None
        ]
        others: list[Heat] = [
            (one.at_c, *self._outwards((one.since_min, one.until_min)), None)
            for one in self.work.claims_of.get(place.key, ())
            if one.at_c is not None
        ]
        for one, other in (*combinations(own, 2), *product(own, others)):
            if one[0] != other[0]:
                self._apart(one, other, change)

    def _apart(self, one: Heat, other: Heat, change: int) -> None:
        """One after the other, in either order, where both are in that oven."""
        both = [lit for *_, lit in (one, other) if lit is not None]
        first = self.cp.new_bool_var("first")
        for before, after, lit in ((one, other, first), (other, one, ~first)):
            self.cp.add(before[2] + change <= after[1]).only_enforce_if([*both, lit])

    def aim(self, aim: Aim) -> cp_model.IntVar | None:
        """What an aim makes as small as can be, on the grid or counted; None where nothing can.

        How much there is for hands follows from the work, and is settled before.
        """
        makes = {
            Aim.NO_EARLY: self._early,
            Aim.LATE: self._span,
            Aim.FRESH: self._age,
            Aim.CALM: self._last_hour,
        }
        return makes[aim]() if aim in makes else None

    @property
    def _free(self) -> list[Task]:
        """Tasks of the hands that can still be moved."""
        return [
            one
            for one in self.work.tasks
            if one.skill is not None and one.at_min is None and one.minutes
        ]

    def _small(self, most: int, name: str) -> cp_model.IntVar:
        return self.cp.new_int_var(0, max(0, most), name)

    def _early(self) -> cp_model.IntVar | None:
        """How many begin in the stretches in which nobody should."""
        closed = [
            [-(-since // self.grid), (until - 1) // self.grid]
            for since, until in self.work.aims.not_before
        ]
        if not closed or not self._free:
            return None
        stretch = cp_model.Domain.from_intervals(closed)
        early = [self._kept_out(task, stretch) for task in self._free]
        found = self._small(len(early), "early")
        self.cp.add(found == sum(early))
        return found

    def _span(self) -> cp_model.IntVar | None:
        """From the first hands to the end."""
        if not self._free:
            return None
        closes = self._scaled(self.work.closes_min)
        found = self._small(closes - self._scaled(self.work.opens_min), "span")
        for task in self._free:
            self.cp.add(found >= closes - self.start[task.key])
        return found

    def _age(self) -> cp_model.IntVar | None:
        """The longest that anything that ages waits beyond what it needs."""
        aged = [one for one in self.work.links if one.aged]
        if not aged:
            return None
        found = self._small(self._scaled(self.work.closes_min), "age")
        for one in aged:
            wait = self.start[one.after] - self.end(one.before)
            self.cp.add(found >= wait - self._scaled(one.least_min))
        return found

    def _last_hour(self) -> cp_model.IntVar | None:
        """Hands at what reaches into the last hour."""
        if self.work.aims.last_hour is None:
            return None
        since, until = (self._scaled(at) for at in self.work.aims.last_hour)
        busy = []
        for task in self._free:
            size = self._scaled(task.minutes)
            reaching = cp_model.Domain(since - size + 1, until - 1)
            busy.append(size * self._kept_out(task, reaching))
        found = self._small(sum(self._scaled(one.minutes) for one in self._free), "last hour")
        self.cp.add(found == sum(busy))
        return found

    def _kept_out(self, task: Task, stretch: cp_model.Domain) -> cp_model.IntVar:
        """Whether it starts in a stretch of time."""
        inside = self.cp.new_bool_var(f"{task.key} inside")
        self.cp.add_linear_expression_in_domain(
            self.start[task.key], stretch.complement()
        ).only_enforce_if(~inside)
        return inside

    def tidied(self) -> cp_model.LinearExpr:
        """All of it as late as it goes, which is what is left to ask."""
        closes = self._scaled(self.work.closes_min)
        free = [one.key for one in self.work.tasks if one.at_min is None]
        return cp_model.LinearExpr.sum([closes - self.start[key] for key in free])

    def moved(self, plan: Planned) -> cp_model.IntVar:
        """How far a plan is from another, in all."""
        closes = self._scaled(self.work.closes_min)
        gone = []
        for task in self.work.tasks:
            if task.key in plan.starts and task.at_min is None:
                away = self._small(closes, f"{task.key} away")
                was = self._scaled(plan.starts[task.key])
                self.cp.add_abs_equality(away, self.start[task.key] - was)
                gone.append(away)
        found = self._small(closes * max(1, len(gone)), "moved")
        self.cp.add(found == sum(gone))
        return found

    def hint(self, plan: Planned) -> None:
        """Begin from another plan."""
        self.cp.clear_hints()  # type: ignore[no-untyped-call]
        for key, start in self.start.items():
            if key in plan.starts and self.work.task[key].at_min is None:
                self.cp.add_hint(start, self._scaled(plan.starts[key]))
        team = {one.key: key for key, own in self.teams.items() for one in own}
        people = {key: team.get(one, "") for key, one in plan.people.items()}
        for chosen, said in ((self.who, people), (self.where, plan.places)):
            for key, lits in chosen.items():
                if said.get(key) in lits:
                    for name, lit in lits.items():
                        self.cp.add_hint(lit, name == said[key])

    def read(self, value: "cp_model.CpSolver | cp_model.CpSolverSolutionCallback") -> Planned:
        """The plan a solution stands for."""
        starts = {key: value.value(start) * self.grid for key, start in self.start.items()}
        people = {task.key: task.by for task in self.work.tasks if task.over and task.by}
        spans: dict[str, dict[str, tuple[int, int]]] = {key: {} for key in self.teams}
        for key, lits in self.who.items():
            team = next(name for name, lit in lits.items() if value.boolean_value(lit))
            spans[team][key] = starts[key], starts[key] + self.work.task[key].minutes
        for key, own in spans.items():
            people |= shared_out(own, self.teams[key])
        places = {one.key: one.places[0] for one in self.work.holds}
        for key, lits in self.where.items():
            places[key] = next(name for name, lit in lits.items() if value.boolean_value(lit))
        return Planned(starts, people, places)


def _grid(work: Work) -> int:
    """The coarsest steps in which every time can be said [min].

    Hours and what is open are rounded to it inwards, so that they do not count.
    """
    every = [
        *(one.minutes for one in work.tasks),
        *(one.at_min for one in work.tasks if one.at_min is not None),
        *(one.least_min for one in work.links),
        *(one.most_min for one in work.links if one.most_min is not None),
        *(one.change_min for one in work.places),
    ]
    return reduce(gcd, every, 0) or 1
