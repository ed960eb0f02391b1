"""The building of desserts as tasks: lots as large as there are molds, stage after stage, then
finished and served in waves.
"""

import math
from collections.abc import Container, Iterable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace
from functools import cached_property

from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.practice import INSERT_FREEZE
from fernbell.core.desserts.solve import size_of
from fernbell.core.desserts.stages import Stage
from fernbell.core.formulas import Wait, WaitKind
from fernbell.core.molds import trays
from fernbell.core.planning.order import MadeFormula
from fernbell.core.planning.timeline.asked import AskedLine, Wave
from fernbell.core.planning.timeline.lots import Lot, at_once, lots_of, waves_of
from fernbell.core.planning.timeline.making import Made, kept_in, link_of, state_of
from fernbell.core.planning.timeline.minutes import by_hand, on_grid
from fernbell.core.planning.timeline.places import Rooms
from fernbell.core.planning.timeline.work import Climate, Hold, Link, Point, Sort, Station, Task
from fernbell.starter.hands import APPRENTICE, BUILDING
from fernbell.starter.practice import practice

_BEGUN, _SMALL = practice("work begun"), practice("individual by hand")
_CUT, _PLATED = practice("portion cut"), practice("portion plated")
_CUT_AHEAD, _KEEPS = int(practice("cut ahead, most")), int(practice("finished keeps"))
_STACKED = practice("stacked")
_USUAL = (1.0, APPRENTICE)
_HOLDS = "hold"
"""The stage in which other desserts are set on or in it."""
_SHAPED = ("puff", "lining", "sheet")
"""Stages that are the shaping of what then bakes: the method has them before its oven."""
_CAPS = "disc"
"""A stage that is on what is shaped before that bakes."""


@dataclass(frozen=True, slots=True)
class Group:
    """Stages done in a row for a lot, the formulas they take, and the wait that follows."""

    stages: tuple[Stage, ...]
    formulas: tuple[str, ...]
    wait: Wait | None
    aside: bool = False
    in_mold: bool = False
    at_service: bool = False

    @property
    def parts(self) -> frozenset[str]:
        """Parts it has to do with."""
        return frozenset(part for stage in self.stages for part in stage.parts)


_BARE = Group((), (), None)
"""What nothing is done for, as a box that others are set in."""


def groups_of(
    made: MeasuredDessert, stages: Sequence[Stage], baked: Container[str] = ()
) -> tuple[Group, ...]:
    """The building cut where it waits, and where the service begins.

    What is frozen in several layers is poured layer after layer; what is shaped to be baked is
    there when it is baked.

    Args:
        made: the dessert, measured [MeasuredDessert].
        stages: its building, shape (n,) [Stage].
        baked: formulas that are shaped and baked by their methods [key].
    Returns:
        what is done in a row, in order [Group].
    Source:
        definition; the wait between two layers is the method's own or common practice.
    """
    found: list[Group] = []
    row: list[Stage] = []
    carried: list[str] = []
    shaped = False

    def close() -> None:
        if row:
            found.append(_group(made, tuple(row), carried))
            carried.clear()
        row.clear()

    for stage in (one for whole in stages for one in _layers(made, whole)):
        own = _formulas(made, stage)
        if stage.code in _SHAPED and own and all(one in baked for one in own) and not stage.wait:
            carried += own
            shaped = True
            continue
        if stage.code == _CAPS and shaped and not stage.wait:
            continue
        if row and (row[0].aside, row[0].at_service) != (stage.aside, stage.at_service):
            close()
        row.append(stage)
        if stage.wait or stage.aside:
            close()
    close()
    return tuple(found)


def _layers(made: MeasuredDessert, stage: Stage) -> Iterator[Stage]:
    if stage.code != "insert" or len(stage.laid) < 2:
        yield stage
        return
    for at, taken in enumerate(stage.laid):
        own = _placed(made, taken.part, taken.layer)
        last = at == len(stage.laid) - 1
        wait = own or (stage.wait if last else INSERT_FREEZE)
        yield replace(stage, title=f"Pour {taken.name}", laid=(taken,), wait=wait)


def _placed(made: MeasuredDessert, part: str, layer: str | None) -> Wait | None:
    """The wait a formula's method asks for once it is in place."""
    formula = made.near.readings[made.result(part, layer).formula].formula
    own = [one for one in formula.waits if one.placed]
    return max(own, key=lambda one: one.least_min, default=None)


def _formulas(made: MeasuredDessert, stage: Stage) -> list[str]:
    return [made.result(taken.part, taken.layer).formula for taken in stage.laid]


def _group(made: MeasuredDessert, stages: tuple[Stage, ...], carried: Sequence[str] = ()) -> Group:
    own = (formula for stage in stages for formula in _formulas(made, stage))
    return Group(
        stages,
        tuple(dict.fromkeys([*carried, *own])),
        stages[-1].wait,
        aside=stages[0].aside,
        in_mold=any(one.in_mold for one in stages),
        at_service=stages[0].at_service,
    )


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
) -> Built:
    """Tasks of every line: its lots built, finished, cut and served.

    Args:
        lines: what is ordered, shape (n,) [AskedLine].
        sizes: their desserts, measured, shape (n,) [MeasuredDessert].
        formulas: what they are made of, in batches [MadeFormula].
        waves: services in order [Wave].
        made: the tasks of those formulas [Made].
        rooms: what the kitchen has [Station].
    Returns:
        tasks with what passes between them and what they hold [min].
    Source:
        the building of the dessert; minutes by hand are common practice.
    """
    built = Built()
    fed = _fed(formulas)
    for line, size in zip(lines, sizes, strict=True):
        _Line(line, size, line.ordered.name, line.ordered.count, made, fed, rooms, built).whole(
            waves
        )
    for at, wave in enumerate(waves):
        if any(task.key.endswith(f"/wave {at}") for task in built.tasks):
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

    def whole(self, waves: Sequence[Wave]) -> None:
        """Its lots, then each wave finished and served."""
        self._caps()
        mine = waves_of(self.line, waves)
        lots = lots_of(self.count, [wave for _, wave in mine], at_once(self.line))
        last = {lot.number: self.lot(lot) for lot in lots}
        for nth, (at, _) in enumerate(mine):
            shares = [(lot, number) for lot in lots for wave, number in lot.waves if wave == nth]
            if shares:
                self._wave(
                    at, sum(number for _, number in shares), [last[x.number] for x, _ in shares]
                )

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
        return {formula for one in own for formula in _formulas(self.size, one)}

    def _caps(self) -> None:
        """What caps a puff is cut before the puffs bake."""
        told = {stage.code for group in self._groups for stage in group.stages}
        if _CAPS in told:
            return
        capping, shaped = self._formulas_of((_CAPS,)), self._formulas_of(_SHAPED)
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
                self._follows(wait, ready, empty, lot, _BARE)
            chain.append((_BARE, empty))
        self._formulas(self._elsewhere, lot, chain[0][1], {})
        self._mold(chain, lot)
        return chain[-1][1], chain[-1][0].wait

    @property
    def _elsewhere(self) -> Group:
        """What no stage tells of is there before the first."""
        told = {formula for one in self._groups for formula in one.formulas}
        own = (one.formula for one in self.size.parts if one.make is not None)
        caps = self._formulas_of((_CAPS,))
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
        title = f"{self.title}{which}: {', '.join(one.title.lower() for one in group.stages)}"
        why = by_hand(title, [("begun", _BEGUN), *self._stage_minutes(group.stages, lot.count)])
        return Task(
            f"{self.key}/{lot.number}/{at}",
            title,
            int(why.value),
            max(BUILDING.get(one.code, _USUAL)[1] for one in group.stages),
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
            each, _ = BUILDING.get(one.code, _USUAL)
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

    def _wave(self, at: int, number: int, ready: Sequence[tuple[Task, Wait | None]]) -> None:
        """What is done for it at service: the last touches, cut and plated."""
        finishing = [one for one in self._groups if one.at_service]
        portions = self.size.division.count * number
        stages = [one for group in finishing for one in group.stages]
        cut = self.size.division.count > 1
        served = (f"{portions} portions", portions * (_CUT if cut else _PLATED))
        does = [one.title.lower() for one in stages]
        ends = f"cut {portions}" if cut else f"plate {portions}"
        key = f"{self.line.key}/wave {at}"
        formulas = [formula for group in finishing for formula in group.formulas]
        title = f"{self.title}: {', '.join([*does, ends])}"
        parts = [("begun", _BEGUN), *self._stage_minutes(stages, number), served]
        why = by_hand(title, parts)
        task = Task(
            key,
            title,
            int(why.value),
            max((BUILDING.get(one.code, _USUAL)[1] for one in stages), default=APPRENTICE),
            sort=Sort.FINISH,
            formula=next(iter(formulas), ""),
            line=self.line.key,
            steps=tuple(f"{one.title}: {one.says}" for one in stages),
            why=why,
        )
        self.built.tasks.append(task)
        self.built.links.append(Link(key, f"service/{at}", 0, _CUT_AHEAD, True))
        lot = Lot(0, 0, number, ())
        for group in finishing:
            self._formulas(group, replace(lot, first=0, count=self.count), task, {})
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
