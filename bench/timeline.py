"""`python -m bench.timeline`: how fast a kitchen is planned, from 20 to 1,000 steps.

Targets: 90 steps to a gap of 2 % within 5 s, 300 within 30 s; the first answer after a task was
moved by hand within 1 s.
"""

import sys
from dataclasses import replace
from time import perf_counter

from bench.timing import yardstick
from fernbell.core.planning.timeline import Edit, Outcome, Work, edited, faults, solve, work_of
from fernbell.core.planning.timeline.model import Model
from tests.core.timelines import asked

NIGHT = (("reedbed", 6, 6), ("hedgerow", 2, 3), ("foghorn", 24, 4), ("beekeeper", 2, 4))
PARTY = (*NIGHT, ("lanterns", 40, None), ("cups", 40, None))
PEOPLE = (("Ottilie", 3), ("Bram", 2), ("Junia", 1))
MOST_GAP = 0.02
TEAM = 3
"""People for every ninety steps."""


def kitchen(steps: int) -> Work:
    """As many desserts as make so many steps, with as many people and machines as a night has."""
    if steps < 60:
        return work_of(asked(order=NIGHT[:1]))
    night = work_of(asked(order=PARTY))
    times = max(1, round(steps / len(night.tasks)))
    return several(night, times)


def several(night: Work, times: int) -> Work:
    """The same night so many times beside one another, in one kitchen as many times as large."""

    def named(key: str, at: int) -> str:
        return key if key.startswith("service/") else f"{at}:{key}"

    tasks = {}
    links, holds = [], []
    for at in range(times):
        for one in night.tasks:
            key = named(one.key, at)
            tasks[key] = replace(one, key=key, line=f"{at}:{one.line}" if one.line else "")
        links += [
            replace(one, before=named(one.before, at), after=named(one.after, at))
            for one in night.links
        ]
        for one in night.holds:
            since = replace(one.since, task=named(one.since.task, at))
            until = replace(one.until, task=named(one.until.task, at))
            holds.append(replace(one, key=f"{at}:{one.key}", since=since, until=until))
    people = [
        replace(one, key=f"{at}:{one.key}", name=f"{one.name} {at}")
        for at in range(times)
        for one in night.people
    ]
    places = [replace(one, capacity=one.capacity * times) for one in night.places]
    return replace(
        night,
        tasks=tuple(tasks.values()),
        links=tuple(links),
        holds=tuple(holds),
        people=tuple(people),
        places=tuple(places),
    )


def planned(work: Work, seconds: float) -> tuple[Outcome | None, dict[str, float]]:
    """A plan, and when what of it was known: the first answer, every aim within the gap."""
    begun = perf_counter()
    at: dict[str, float] = {}

    def tell(found: Outcome) -> None:
        at.setdefault("first", perf_counter() - begun)
        known = [one for one in found.reached if one.aim]
        if len(found.reached) > len(work.aims.order) and all(x.gap <= MOST_GAP for x in known):
            at.setdefault("proven", perf_counter() - begun)

    try:
        found = solve(work, seconds=seconds, tell=tell)
    except TimeoutError:
        found = None
    at["whole"] = perf_counter() - begun
    return found, at


def growth(sizes: list[int]) -> None:
    """From a small kitchen to where one machine ends."""
    for steps in sizes:
        work = kitchen(steps)
        begun = perf_counter()
        Model(work)
        built = perf_counter() - begun
        found, at = planned(work, 30 if steps <= 300 else 120)
        gap = max((one.gap for one in found.reached if one.aim), default=0) if found else None
        says = "no plan" if gap is None else f"worst gap {gap:.1%}"
        holds = "" if found is None else f", holds: {not faults(work, found.plan)}"
        print(
            f"{len(work.tasks)} steps, {len(work.people)} people: model {built:.2f} s, first "
            f"answer {at.get('first', 0):.2f} s, every aim within 2 % after "
            f"{at.get('proven', float('nan')):.2f} s, whole {at['whole']:.1f} s, {says}{holds}"
        )
        for one in found.reached if found else ():
            print(f"    {one.aim or 'late as it goes'}: {one.value:.0f}, at least {one.bound:.0f}")


def moved() -> None:
    """A task moved by half an hour: the first answer, everything else kept near."""
    work = kitchen(90)
    found, _ = planned(work, 10)
    assert found is not None
    firsts = []
    by_hand = [one for one in work.tasks if one.skill == 2 and one.minutes][::8]
    for task in by_hand:
        begun = perf_counter()
        first: list[float] = []
        edit = Edit(at_min=found.plan.starts[task.key] - 30)
        held = edited(work, {task.key: edit})
        again = solve(
            held,
            seconds=4,
            near=found.plan,
            keep=True,
            tell=lambda _, begun=begun, first=first: first.append(perf_counter() - begun),
        )
        firsts.append((first or [perf_counter() - begun])[0])
        assert again is None or not faults(held, again.plan)
    firsts.sort()
    print(
        f"moved by hand, {len(firsts)} tasks: first answer median {firsts[len(firsts) // 2]:.2f} s,"
        f" slowest {firsts[-1]:.2f} s"
    )


if __name__ == "__main__":
    print(f"yardstick {yardstick():.0f} ms")
    moved()
    growth([int(one) for one in sys.argv[1:]] or [20, 90, 180, 300, 600, 1000])
