"""The making of a formula as tasks: hands in a row until it bakes, rests or is done."""

import math
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace

from fernbell.core.formulas import KINDS, Book, LegKind, Step, Wait, WaitKind, wait_words
from fernbell.core.planning.order import MadeFormula
from fernbell.core.planning.timeline.minutes import GRID_MIN, by_hand, on_grid
from fernbell.core.planning.timeline.places import Rooms
from fernbell.core.planning.timeline.work import Climate, Hold, Link, Point, Sort, Task
from fernbell.starter.hands import APPRENTICE, CHILLED, KEEPS_MIN, MAKING, PUT_IN_PLACE
from fernbell.starter.practice import practice

_STEP, _LINE, _BEGUN = practice("step by hand"), practice("line weighed"), practice("work begun")
_LONG, _BESIDE = practice("hands at one step, most"), practice("wait beside the work")
_STOVE_C, _OVEN = practice("stove from"), practice("in the oven")
_FROZEN_KEEPS, _STACKED = int(practice("frozen keeps")), practice("stacked")
_KEEPS = int(practice("finished keeps"))


def link_of(wait: Wait, before: str, after: str) -> Link:
    """A wait between two tasks.

    What is frozen keeps beyond the time it takes to freeze, and what thaws stays in the fridge:
    their most is when it is surely so, not when it spoils.

    Args:
        wait: as a method or the building asks for it [min].
        before: task it begins after [key].
        after: task it is over before [key].
    Returns:
        the link, its least and most on the grid [min].
    Source:
        common practice.
    """
    least = on_grid(wait.least_min)
    most = wait.most_min
    if wait.kind is WaitKind.FREEZE:
        most = max(most or 0, _FROZEN_KEEPS)
    elif wait.kind is WaitKind.THAW:
        most = (most or wait.least_min) + _KEEPS
    limit = None if most is None else max(least, int(most) // GRID_MIN * GRID_MIN)
    aged = wait.kind is not WaitKind.FREEZE
    return Link(before, after, least, limit, aged, state_of(wait), wait_words(wait))


def state_of(wait: Wait) -> Climate:
    """How something is kept while it waits.

    Args:
        wait: the wait [min].
    Returns:
        where it stands [Climate].
    Source:
        definition.
    """
    if wait.kind is WaitKind.FREEZE:
        return Climate.FROZEN
    cold = wait.kind in (WaitKind.CHILL, WaitKind.THAW, WaitKind.SET)
    return Climate.CHILLED if cold else Climate.ROOM


@dataclass
class Made:
    """Tasks of all formulas, and by formula and batch the first and the last of them."""

    tasks: list[Task] = field(default_factory=list)
    links: list[Link] = field(default_factory=list)
    holds: list[Hold] = field(default_factory=list)
    first: dict[tuple[str, int], str] = field(default_factory=dict)
    last: dict[tuple[str, int], str] = field(default_factory=dict)
    wait: dict[str, Link] = field(default_factory=dict)
    """By formula, what passes before it is used; its tasks are of no matter."""
    liters: dict[tuple[str, int], int] = field(default_factory=dict)
    shaped: dict[tuple[str, int], tuple[str, str]] = field(default_factory=dict)
    """By formula and batch that is shaped and then baked, the task that shapes and the oven's."""


@dataclass(frozen=True, slots=True)
class Stint:
    """Steps done in a row, by hand or in the oven, and the wait that follows."""

    steps: tuple[Step, ...]
    oven: bool = False
    wait: Wait | None = None


def blocks(method: Sequence[Step]) -> tuple[Stint, ...]:
    """A method cut where hands are free: at what bakes, and at waits of their own.

    What puts it in place at the end is the building of the dessert, and left to that.

    Args:
        method: steps, shape (n,) [Step].
    Returns:
        what is done in a row; one block without a step where there is no method [Stint].
    Source:
        common practice.
    """
    found: list[Stint] = []
    hands: list[Step] = []

    def close(wait: Wait | None = None) -> None:
        if hands or wait or not found:
            found.append(Stint(tuple(hands), wait=wait))
        hands.clear()

    for step in _own(method):
        own = step.wait if step.wait and step.wait.least_min > _BESIDE else None
        if step.in_the_oven:
            close()
            found.append(Stint((step,), oven=True, wait=own))
        elif (step.minutes or 0) > _LONG and own is None:
            hands.append(step)
            close(Wait(WaitKind.REST, step.minutes or _LONG))
        else:
            hands.append(step)
            if own:
                close(own)
    if hands or not found:
        close()
    return tuple(found)


def _own(method: Sequence[Step]) -> Sequence[Step]:
    """Steps before it is put into the dessert."""
    placed = [at for at, step in enumerate(method) if step.wait and step.wait.placed]
    steps = list(method[: placed[0]] if placed else method)
    while steps and steps[-1].stage in PUT_IN_PLACE and not steps[-1].wait:
        steps.pop()
    return steps


def make(
    formulas: Sequence[MadeFormula],
    kinds: Mapping[str, str],
    methods: Mapping[str, Sequence[Step]],
    sets_min: Mapping[str, float],
    trays_per_g: Mapping[str, float],
    rooms: Rooms,
) -> Made:
    """Tasks of every formula of an order, batch by batch.

    Args:
        formulas: in the order of making, in batches [MadeFormula].
        kinds: what each formula is, by key [key].
        methods: steps of formulas, by key [Step].
        sets_min: how long formulas can be filled before they set, by key [min].
        trays_per_g: trays in the oven for a gram, by key [1/g].
        rooms: what the kitchen has [Station].
    Returns:
        tasks with what passes between them and what they hold [min].
    Source:
        methods as they are written; where they name no minutes, common practice.
    """
    made = Made()
    for one in formulas:
        key = one.sheet.formula
        kind = kinds.get(key, "preparation")
        found = blocks(methods.get(key, ()))
        for number in range(len(one.batches)):
            chain = _Chain(one, number, kind, found, trays_per_g.get(key, 0.0), rooms)
            chain.into(made)
        made.wait[key] = _before_use(found[-1].wait, kind, sets_min.get(key))
    for one in formulas:
        _nested(one, formulas, made)
    return made


def keeps_of(
    book: Book, methods: Mapping[str, Sequence[Step]], sets_min: Mapping[str, float]
) -> dict[str, int | None]:
    """How long formulas keep until they are used.

    Args:
        book: the formulas [Book].
        methods: their steps, by key, where known [Step].
        sets_min: how long they can be filled before they set, by key [min].
    Returns:
        by key, as its method says, else by its kind; None where there is no end to it [min].
    Source:
        methods; where they say nothing, common practice.
    """
    return {
        one.key: _before_use(
            blocks(methods.get(one.key, ()))[-1].wait, one.kind, sets_min.get(one.key)
        ).most_min
        for one in book.formulas
    }


def _before_use(wait: Wait | None, kind: str, sets_min: float | None) -> Link:
    """What passes between its last task and its use."""
    if wait:
        return link_of(wait, "", "")
    keeps = sets_min or KEEPS_MIN.get(kind, _KEEPS)
    state = Climate.CHILLED if kind in CHILLED else Climate.ROOM
    return Link("", "", 0, max(GRID_MIN, int(keeps) // GRID_MIN * GRID_MIN), True, state, "")


@dataclass(frozen=True)
class _Chain:
    """One batch of one formula, block after block."""

    made: MadeFormula
    number: int
    kind: str
    blocks: tuple[Stint, ...]
    trays_per_g: float
    rooms: Rooms

    @property
    def name(self) -> str:
        """The formula, and which batch where there are several."""
        several = len(self.made.batches) > 1
        return f"{self.made.sheet.name} {self.number + 1}" if several else self.made.sheet.name

    def into(self, made: Made) -> None:
        """Put its tasks to the others'."""
        formula = self.made.sheet.formula
        before: Task | None = None
        keys = []
        for at, block in enumerate(self.blocks):
            task = self._task(at, block)
            made.tasks.append(task)
            keys.append(task.key)
            made.holds += self._holds(at, block, task)
            if before is not None:
                made.links += self._after(self.blocks[at - 1], before, task)
                made.holds += self._kept(self.blocks[at - 1].wait, before, task)
                if block.oven:
                    made.shaped.setdefault((formula, self.number), (before.key, task.key))
            before = task
        made.first[formula, self.number] = keys[0]
        made.last[formula, self.number] = keys[-1]
        made.liters[formula, self.number] = self._liters

    @property
    def _liters(self) -> int:
        return max(1, math.ceil(self.made.batches[self.number].batch.made_g / 1000 * _STACKED))

    def _task(self, at: int, block: Stint) -> Task:
        done = ", ".join(one.stage or one.text for one in block.steps) or "weigh"
        title = f"{self.name}: {done}"
        key = f"{self.made.sheet.formula}/{self.number}/{at}"
        formula, steps = self.made.sheet.formula, tuple(one.text for one in block.steps)
        if block.oven:
            step = block.steps[0]
            legs = [leg.minutes or _OVEN for leg in step.then]
            minutes = on_grid((step.minutes_to or step.minutes or _OVEN) + sum(legs))
            alone = any(leg.how is LegKind.OFF for leg in step.then)
            return Task(
                key,
                title,
                minutes,
                watched=not alone,
                sort=Sort.OVEN,
                formula=formula,
                steps=steps,
            )
        skill = MAKING.get(self.kind, APPRENTICE)
        why = by_hand(title, list(self._by_hand(at, block)))
        return Task(key, title, int(why.value), skill, formula=formula, steps=steps, why=why)

    def _by_hand(self, at: int, block: Stint) -> Iterator[tuple[str, float]]:
        """What of it takes so long: what is weighed first, then its steps [min]."""
        if at == 0:
            lines = len(self.made.sheet.lines)
            yield f"{lines} lines weighed", lines * _LINE
            if self.number == 0:
                yield "begun", _BEGUN
        for step in block.steps:
            yield step.stage or "a step", _step_min(step)

    def _holds(self, at: int, block: Stint, task: Task) -> Iterator[Hold]:
        since, until = Point(task.key), Point(task.key, end=True)
        hold, key = self.rooms.hold, task.key
        if block.oven:
            wanted_g = self.made.batches[self.number].batch.wanted_g
            trays = max(1, math.ceil(self.trays_per_g * wanted_g - 1e-6))
            heat = block.steps[0].temperature_c
            at_c = None if heat is None else round(heat)
            yield from hold(f"{key} oven", ["oven"], since, until, trays, at_c=at_c)
            return
        if any(_on_the_stove(step) for step in block.steps):
            yield from hold(f"{key} stove", ["stove"], since, until)
        if self._whips(block, last=at == len(self.blocks) - 1):
            yield from hold(f"{key} mixer", ["mixer"], since, until, named=self._vessels)

    def _whips(self, block: Stint, *, last: bool) -> bool:
        """Whether a machine does it: a paddle always, a whisk where no pot is stirred with it."""
        tools = {step.tool.lower() for step in block.steps}
        mixers = tuple(one.title for one in self.rooms.places if one.kind == "mixer")
        whipped = any(one.startswith(mixers) for one in self._vessels) if mixers else False
        in_a_pot = self.kind in KINDS and KINDS[self.kind].in_a_pot
        return "paddle" in tools or ("whisk" in tools and not in_a_pot) or (last and whipped)

    @property
    def _vessels(self) -> tuple[str, ...]:
        return self.made.batches[self.number].batch.vessels

    def _after(self, block: Stint, before: Task, task: Task) -> Iterator[Link]:
        if block.wait:
            yield link_of(block.wait, before.key, task.key)
        elif task.sort is Sort.OVEN:
            # It goes in when it is shaped, and not an hour later.
            yield Link(before.key, task.key, 0, int(_LONG), state=Climate.ROOM)
        else:
            yield Link(
                before.key, task.key, 0, KEEPS_MIN.get(self.kind, _KEEPS), state=Climate.ROOM
            )

    def _kept(self, wait: Wait | None, before: Task, task: Task) -> Iterator[Hold]:
        kinds = kept_in(state_of(wait)) if wait else ()
        since, until = Point(before.key, end=True), Point(task.key)
        yield from self.rooms.hold(f"{before.key} kept", kinds, since, until, self._liters)


def kept_in(state: Climate | None) -> tuple[str, ...]:
    """Kinds of stores something is kept in.

    Args:
        state: how it is kept [Climate].
    Returns:
        kinds of places; none where it stands in the room [key].
    Source:
        common practice.
    """
    if state is Climate.FROZEN:
        return ("blast", "freezer")
    return ("fridge",) if state is Climate.CHILLED else ()


def _step_min(step: Step) -> float:
    """What a step takes of hands: its own minutes, unless it goes on by itself [min]."""
    own = step.minutes_to or step.minutes
    return _STEP if own is None or own > _LONG else own


def _on_the_stove(step: Step) -> bool:
    return step.warmest_c is not None and step.warmest_c >= _STOVE_C


def _nested(one: MadeFormula, formulas: Sequence[MadeFormula], made: Made) -> None:
    """A formula within another comes before the step it goes into."""
    within = {line.formula for line in one.sheet.lines}
    for inner in (x for x in formulas if x.sheet.formula in within):
        for number, batch in enumerate(inner.batches):
            for fed in batch.batch.feeds:
                if fed.name == one.sheet.name:
                    made.links += [
                        replace(
                            made.wait[inner.sheet.formula],
                            before=made.last[inner.sheet.formula, number],
                            after=made.first[one.sheet.formula, outer],
                        )
                        for outer in range(fed.first - 1, fed.first - 1 + fed.count)
                    ]
