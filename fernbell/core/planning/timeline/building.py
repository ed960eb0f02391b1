"""The building of desserts as tasks: lots as large as there are molds, stage after stage, then
finished and served in waves.
"""

import math
from collections.abc import Container, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property

from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.solve import size_of
from fernbell.core.desserts.stages import Stage
from fernbell.core.formulas import Wait, WaitKind
from fernbell.core.molds import trays
from fernbell.core.planning.order import MadeFormula
from fernbell.core.planning.timeline.asked import AskedLine, Wave
from fernbell.core.planning.timeline.grouping import (
    BARE,
    CAPS,
    SHAPED,
    Group,
    formulas_of,
    groups_of,
)
from fernbell.core.planning.timeline.hands import hands_of
from fernbell.core.planning.timeline.lots import (
    Lot,
    at_once,
    finished_at_once,
    lots_of,
    waves_of,
)
from fernbell.core.planning.timeline.making import Made, kept_in, link_of, state_of
from fernbell.core.planning.timeline.minutes import by_hand, on_grid
from fernbell.core.planning.timeline.places import Rooms
from fernbell.core.planning.timeline.work import Climate, Hold, Link, Point, Sort, Station, Task
from fernbell.starter.hands import APPRENTICE
from fernbell.starter.practice import practice

_BEGUN, _SMALL = practice("work begun"), practice("individual by hand")
_CUT, _PLATED = practice("portion cut"), practice("portion plated")
_CUT_AHEAD, _KEEPS = int(practice("cut ahead, most")), int(practice("finished keeps"))
_STACKED = practice("stacked")
_HOLDS = "hold"
"""The stage in which other desserts are set on or in it."""


@dataclass
class Built:
    """Tasks of the building of every line, and molds as places."""

    tasks: list[Task] = field(default_factory=list)
    links: list[Link] = field(default_factory=list)
    holds: list[Hold] = field(default_factory=list)
    molds: dict[str, Station] = field(default_factory=dict)


def build(
    lines: Sequence[AskedLine],
    sizes: Sequence[MeasuredDessert],
    formulas: Sequence[MadeFormula],
    waves: Sequence[Wave],
    made: Made,
    rooms: Rooms,
    *,
    together: bool = False,
) -> Built:
    """Tasks of every line: its lots built, finished, cut and served.

    Args:
        lines: what is ordered, shape (n,) [AskedLine].
        sizes: their desserts, measured, shape (n,) [MeasuredDessert].
        formulas: what they are made of, in batches [MadeFormula].
        waves: services in order [Wave].
        made: the tasks of those formulas [Made].
        rooms: what the kitchen has [Station].
        together: waves are finished at once where what is cut keeps so long [1].
    Returns:
        tasks with what passes between them and what they hold [min].
    Source:
        the building of the dessert; minutes by hand are common practice.
    """
    built = Built()
    fed = _fed(formulas)
    for line, size in zip(lines, sizes, strict=True):
        _Line(line, size, line.ordered.name, line.ordered.count, made, fed, rooms, built).whole(
            waves, together=together
        )
    awaited = {one.after for one in built.links}
    for at, wave in enumerate(waves):
        if f"service/{at}" in awaited:
            served = Task(f"service/{at}", wave.title, 0, at_min=wave.at_min, sort=Sort.SERVE)
            built.tasks.append(served)
    return built


Fed = Mapping[tuple[str, str], tuple[tuple[int, int, int], ...]]
"""By formula and name of a line: batch, first and last of the desserts it feeds."""


def _fed(formulas: Sequence[MadeFormula]) -> Fed:
    found: dict[tuple[str, str], tuple[tuple[int, int, int], ...]] = {}
    for one in formulas:
        for number, batch in enumerate(one.batches):
            for fed in batch.batch.feeds:
                key = one.sheet.formula, fed.name
                span = number, fed.first - 1, fed.first - 1 + fed.count
                found[key] = (*found.get(key, ()), span)
    return found


@dataclass
class _Line:
    """A line of the order, or a dessert that another holds."""

    line: AskedLine
    size: MeasuredDessert
    name: str
    count: int
    made: Made
    fed: Fed
    rooms: Rooms
    built: Built
    each: int = 1
    under: str = ""
    called: str = ""
    """Of a dessert that another holds: how many each of that does, its key there, its name."""

    @property
    def key(self) -> str:
        """Before the keys of its tasks."""
        return f"{self.line.key}{self.under}"

    def whole(self, waves: Sequence[Wave], *, together: bool) -> None:
        """Its lots, then each wave finished and served, or those near one another at once."""
        self._caps()
        mine = waves_of(self.line, waves)
        lots = lots_of(self.count, [wave for _, wave in mine], at_once(self.line))
        last = {lot.number: self.lot(lot) for lot in lots}
        first = 0
        for own in finished_at_once(mine, _CUT_AHEAD if together else -1):
            served = [
                (mine[wave][0], lot, number)
                for lot in lots
                for wave, number in lot.waves
                if wave in own
            ]
            if served:
                ready = dict.fromkeys(lot.number for _, lot, _ in served)
                number = sum(number for *_, number in served)
                at = sorted({wave for wave, _, _ in served})
                self._wave(at, Lot(0, first, number, ()), [last[lot] for lot in ready])
                first += number

    @property
    def title(self) -> str:
        """What its tasks are called by."""
        return self.called or self.line.title or self.name

    @cached_property
    def _stages(self) -> tuple[Stage, ...]:
        return size_of(self.size, ()).solved().stages

    @cached_property
    def _groups(self) -> tuple[Group, ...]:
        return groups_of(self.size, self._stages, {key for key, _ in self.made.shaped})

    def _formulas_of(self, codes: Container[str]) -> set[str]:
        """What the stages of these codes take."""
        own = [one for one in self._stages if one.code in codes]
        return {formula for one in own for formula in formulas_of(self.size, one)}

    def _caps(self) -> None:
        """What caps a puff is cut before the puffs bake."""
        told = {stage.code for group in self._groups for stage in group.stages}
        if CAPS in told:
            return
        capping, shaped = self._formulas_of((CAPS,)), self._formulas_of(SHAPED)
        for formula in capping & self.made.wait.keys():
            link = self.made.wait[formula]
            for (key, _), last in self.made.last.items():
                if key != formula:
                    continue
                for (other, _), (_, oven) in self.made.shaped.items():
                    if other in shaped:
                        self.built.links.append(replace(link, before=last, after=oven))

    def lot(self, lot: Lot) -> tuple[Task, Wait | None]:
        """All of its building until the service, and what follows; the last task of it."""
        done: list[tuple[Group, Task]] = []
        chain: list[tuple[Group, Task]] = []
        most = at_once(self.line)
        several = most is not None and self.count > most
        used: dict[str, int] = {}
        reached = 0
        held = [one.lot(lot) for one in self._held()]
        own = [one for one in self._groups if not one.at_service]
        for at, group in enumerate(own):
            task = self._task(group, lot, at, several=several)
            self.built.tasks.append(task)
            self._formulas(group, lot, task, used, reached)
            reached += task.minutes + (on_grid(group.wait.least_min) if group.wait else 0)
            before = self._before(group, chain, done)
            for other, earlier in before:
                self._follows(other.wait, earlier, task, lot, other)
            if at == len(own) - 1 or any(one.code == _HOLDS for one in group.stages):
                for ready, wait in held:
                    self._follows(wait, ready, task, lot, group)
                held = []
            done.append((group, task))
            if not group.aside:
                chain.append((group, task))
        if not chain:
            empty = Task(f"{self.key}/{lot.number}/ready", f"{self.title}: set out", 5, APPRENTICE)
            self.built.tasks.append(empty)
            for ready, wait in (*held, *((task, group.wait) for group, task in done)):
                self._follows(wait, ready, empty, lot, BARE)
            chain.append((BARE, empty))
        self._formulas(self._elsewhere, lot, chain[0][1], {})
        self._mold(chain, lot)
        return chain[-1][1], chain[-1][0].wait

    @property
    def _elsewhere(self) -> Group:
        """What no stage tells of is there before the first."""
        told = {formula for one in self._groups for formula in one.formulas}
        own = (one.formula for one in self.size.parts if one.make is not None)
        caps = self._formulas_of((CAPS,))
        return Group((), tuple(one for one in dict.fromkeys(own) if one not in told | caps), None)

    def _held(self) -> Iterator["_Line"]:
        """The desserts it holds, each built beside it and then set."""
        for one in self.size.holds:
            held = replace(
                self,
                size=one.made,
                each=self.each * one.held.each,
                under=f"{self.under}+{one.held.key}",
                called=one.name,
            )
            held._caps()
            yield held

    def _before(
        self,
        group: Group,
        chain: Sequence[tuple[Group, Task]],
        done: Sequence[tuple[Group, Task]],
    ) -> list[tuple[Group, Task]]:
        """What a group waits for: the one before it, and what was made aside for it."""
        asides = [one for one in done if one[0].aside]
        if group.aside:
            return [one for one in asides if one[0].parts & group.parts][-1:]
        own = chain[-1:]
        used = {key for one, _ in chain for key in one.parts}
        fresh = [one for one in asides if one[0].parts & (group.parts - used)]
        # What is made beside it and set nowhere by itself belongs to its first step.
        if not chain:
            later = {part for one in self._groups if not one.aside for part in one.parts}
            fresh += [one for one in asides if not one[0].parts & later]
        last: dict[frozenset[str], tuple[Group, Task]] = {one[0].parts: one for one in fresh}
        return [*own, *last.values()]

    def _task(self, group: Group, lot: Lot, at: int, *, several: bool) -> Task:
        which = f" {lot.first + 1}–{lot.first + lot.count}" if several else ""
        title = f"{self.title}{which}: {', '.join(_within(one.title) for one in group.stages)}"
        why = by_hand(title, [("begun", _BEGUN), *self._stage_minutes(group.stages, lot.count)])
        return Task(
            f"{self.key}/{lot.number}/{at}",
            title,
            int(why.value),
            max(hands_of(one.code)[1] for one in group.stages),
            sort=Sort.BUILD,
            why=why,
            formula=next(iter(group.formulas), ""),
            line=self.line.key,
            steps=tuple(f"{one.title}: {one.says}" for one in group.stages),
        )

    def _stage_minutes(self, stages: Iterable[Stage], count: int) -> Iterator[tuple[str, float]]:
        """What each stage takes of hands for so many [min]."""
        small = _SMALL if self.size.body.is_individual else 1.0
        for one in stages:
            each, _ = hands_of(one.code)
            yield f"{one.title}, {count * self.each} ×", each * small * count * self.each

    def _formulas(
        self, group: Group, lot: Lot, task: Task, used: dict[str, int], reached: int = 0
    ) -> None:
        """What it takes is made by then, and still good.

        `reached` is how far into the building that is at least, `used` where each formula is
        first taken [min].
        """
        for formula in group.formulas:
            link = self.made.wait.get(formula)
            if link is None:
                continue
            for number, first, last in self.fed.get((formula, self.name), ()):
                if not (first < lot.first + lot.count and lot.first < last):
                    continue
                before = self.made.last[formula, number]
                most = link.most_min
                begun = used.setdefault(formula, reached)
                if most is not None:
                    # Of one batch for several steps, what the steps between take at least.
                    most += max(0, reached - begun)
                self.built.links.append(replace(link, before=before, after=task.key, most_min=most))
                if begun == reached:
                    liters = self.made.liters[formula, number]
                    self._kept(link.state, before, task.key, liters)

    def _follows(self, wait: Wait | None, before: Task, task: Task, lot: Lot, group: Group) -> None:
        link = link_of(wait, before.key, task.key) if wait else Link(before.key, task.key, 0, 240)
        self.built.links.append(link)
        if wait:
            self._kept(state_of(wait), before.key, task.key, self._liters(lot, group))

    def _liters(self, lot: Lot, group: Group) -> int:
        each = self.size.body.mold.capacity_ml
        if group.aside:
            each = sum(taken.mass_g or 0 for one in group.stages for taken in one.laid)
        return max(1, math.ceil(each * lot.count * self.each / 1000 * _STACKED))

    def _kept(self, state: Climate | None, before: str, after: str, liters: int) -> None:
        """Where it stands between two tasks."""
        since, until = Point(before, end=True), Point(after)
        key = f"{before} to {after}"
        self.built.holds += self.rooms.hold(key, kept_in(state), since, until, liters)

    def _mold(self, chain: Sequence[tuple[Group, Task]], lot: Lot) -> None:
        """Its molds are busy from the first thing that goes in until it is out of them."""
        if self.line.owned is None or self.under:
            return
        inside = [at for at, (group, _) in enumerate(chain) if group.in_mold]
        if not inside:
            return
        out = min(inside[-1] + 1, len(chain) - 1)
        number = int(trays(lot.count, self.line.cavities).value)
        title = f"{self.line.owned} × {self.size.body.mold.size_words()}"
        key = f"mold {self.line.mold}"
        self.built.molds[key] = Station(key, title, "mold", self.line.owned)
        group, task = chain[inside[0]]
        since, until = (
            Point(self._lined(group, lot) or task.key),
            Point(chain[out][1].key, end=True),
        )
        amount = min(number, self.line.owned)
        self.built.holds.append(
            Hold(f"{self.line.key}/{lot.number} molds", (key,), since, until, amount)
        )

    def _lined(self, group: Group, lot: Lot) -> str | None:
        """The task that lines its molds, where that is baked in them before."""
        if not any(one.code == "lining" for one in self._stages):
            return None
        for formula in group.formulas:
            for number, first, last in self.fed.get((formula, self.name), ()):
                if first < lot.first + lot.count and lot.first < last:
                    shaped = self.made.shaped.get((formula, number))
                    if shaped:
                        return shaped[0]
        return None

    def _wave(
        self, waves: Sequence[int], lot: Lot, ready: Sequence[tuple[Task, Wait | None]]
    ) -> None:
        """What is done for waves at service: the last touches, cut and plated."""
        number = lot.count
        finishing = [one for one in self._groups if one.at_service]
        portions = self.size.division.count * number
        stages = [one for group in finishing for one in group.stages]
        cut = self.size.division.count > 1
        served = (f"{portions} portions", portions * (_CUT if cut else _PLATED))
        does = [_within(one.title) for one in stages]
        ends = f"cut {portions}" if cut else f"plate {portions}"
        key = f"{self.line.key}/wave {waves[0]}"
        formulas = [formula for group in finishing for formula in group.formulas]
        title = f"{self.title}: {', '.join([*does, ends])}"
        parts = [("begun", _BEGUN), *self._stage_minutes(stages, number), served]
        why = by_hand(title, parts)
        task = Task(
            key,
            title,
            int(why.value),
            max((hands_of(one.code)[1] for one in stages), default=APPRENTICE),
            sort=Sort.FINISH,
            formula=next(iter(formulas), ""),
            line=self.line.key,
            steps=tuple(f"{one.title}: {one.says}" for one in stages),
            why=why,
        )
        self.built.tasks.append(task)
        self.built.links += [Link(key, f"service/{at}", 0, _CUT_AHEAD, True) for at in waves]
        for group in finishing:
            self._formulas(group, lot, task, {})
        for before, wait in ready:
            rest = wait or Wait(WaitKind.STAND, 5, _KEEPS)
            link = link_of(rest, before.key, key)
            if wait is None:
                link = replace(link, least_min=0, state=Climate.CHILLED, says="")
            elif wait.kind is not WaitKind.FREEZE:
                # Ready, it stands in the fridge until it is served.
                link = replace(link, most_min=(link.most_min or 0) + _KEEPS)
            self.built.links.append(link)
            liters = max(1, math.ceil(self.size.body.mold.capacity_ml * number / 1000 * _STACKED))
            state = state_of(wait) if wait else Climate.CHILLED
            self._kept(state, before.key, key, liters)


def _within(title: str) -> str:
    """A title inside a sentence: names in it stay as they are written."""
    return title[:1].lower() + title[1:]
