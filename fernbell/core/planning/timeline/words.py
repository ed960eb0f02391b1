"""What is asked of a plan, and what comes of it, in sentences."""

from collections.abc import Callable, Iterable

from fernbell.core.planning.timeline.asked import Commission
from fernbell.core.planning.timeline.clock import Clock, hours_words
from fernbell.core.planning.timeline.conflict import DemandKind
from fernbell.core.planning.timeline.work import Hold, Planned, Point, Sort, Station, Task, Work
from fernbell.starter.hands import SKILLS

_MOST_NAMED = 4
UNITS = {"oven": "trays", "stove": "rings", "mold": "", "mixer": ""}


def listed(names: Iterable[str]) -> str:
    """Names in a row.

    Args:
        names: any number of them [text].
    Returns:
        such as 'Ottilie, Bram and Junia'; 'nobody' for none [text].
    Source:
        definition.
    """
    *most, last = list(names) or ["nobody"]
    return f"{', '.join(most)} and {last}" if most else last


def demand_words(asked: Commission, work: Work, clock: Clock) -> Callable[[DemandKind, str], str]:
    """What each demand is called.

    Args:
        asked: the order and its kitchen [Commission].
        work: what follows from it [Work].
        clock: minutes by the wall [Clock].
    Returns:
        words of a demand, by its kind and key [text].
    Source:
        definition.
    """
    lines = {one.key: f"{one.ordered.count} × {one.ordered.name}" for one in asked.lines}
    services = _served(list(dict.fromkeys(clock.says(one.at_min) for one in asked.waves)))

    def places(key: str) -> str:
        own = [one for one in work.places if key in (one.key, one.kind)]
        return listed(_takes(one) for one in own)

    def held(key: str) -> str:
        task = work.task[key]
        return f"{task.title} held at {clock.says(task.at_min or 0)}"

    people = listed(f"{one.name} ({SKILLS[one.skill]})" for one in work.people)
    says: dict[DemandKind, Callable[[str], str]] = {
        DemandKind.SERVICE: lambda _: f"service {services}",
        DemandKind.OPENS: lambda _: f"nothing begins before {clock.says(work.opens_min)}",
        DemandKind.LINE: lambda key: lines.get(key, key),
        DemandKind.PLACE: places,
        DemandKind.HANDS: lambda _: f"the hands of {people}",
        DemandKind.HOURS: lambda _: f"the hours they are in: {_shifts(work, clock)}",
        DemandKind.WAIT: lambda key: key,
        DemandKind.KEEPS: lambda _: "nothing is kept longer than is good for it",
        DemandKind.HELD: held,
        DemandKind.OTHERS: lambda order: f"what is planned for {order}",
    }
    return lambda kind, key: says[kind](key)


def _served(hours: list[str]) -> str:
    few = len(hours) <= _MOST_NAMED
    return listed(hours) if few else f"{hours[0]} to {hours[-1]}, {len(hours)} times in all"


def _takes(one: Station) -> str:
    unit = UNITS.get(one.kind, "l")
    said = f"{one.title}, {one.capacity} {unit}" if unit else one.title
    return f"{one.title}, which is out" if one.out else said


def _shifts(work: Work, clock: Clock) -> str:
    spans = sorted({shift for one in work.people for shift in one.shifts})
    return listed(f"{clock.says(a)}–{clock.hour(b)}" for a, b in spans)


def told(work: Work, plan: Planned, clock: Clock) -> tuple[str, ...]:
    """A plan read aloud, in the order of its hours.

    Args:
        work: tasks, people and places [Work].
        plan: starts, people and places of them [min].
        clock: minutes by the wall [Clock].
    Returns:
        a sentence a task [text].
    Source:
        definition.
    """
    names = {one.key: one.name for one in work.people}
    every = sorted(work.tasks, key=lambda one: plan.starts[one.key])
    return tuple(_told(one, work, plan, clock, names) for one in every)


def _told(task: Task, work: Work, plan: Planned, clock: Clock, names: dict[str, str]) -> str:
    at = clock.says(plan.starts[task.key])
    if task.sort is Sort.SERVE:
        return f"{at}: {task.title} is served."
    own = Point(task.key), Point(task.key, end=True)
    held = [one for one in work.holds if (one.since, one.until) == own]
    where = "".join(_where(one, work, plan) for one in held)
    who = names.get(plan.people.get(task.key, ""), "")
    by = f"{who}, " if who else ""
    return f"{at}: {by}{task.title}, {hours_words(task.minutes)}{where}."


def _where(hold: Hold, work: Work, plan: Planned) -> str:
    place = work.place[plan.places[hold.key]]
    heat = f" at {hold.at_c} °C" if hold.at_c is not None else ""
    return f", {place.title}{heat}"
