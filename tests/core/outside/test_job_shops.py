"""Published job shops, said as kitchens: a machine is somebody who does one thing at a time.

Times and optima from memory: ft06 (Fisher and Thompson 1963) 55, la01 (Lawrence 1984) 666.
"""

import pytest

from fernbell.core.planning.timeline import Aim, Aims, Link, Person, Task, Work, faults, fits, solve
from ops.pace import patience_s

FT06 = """
2 1 0 3 1 6 3 7 5 3 4 6
1 8 2 5 4 10 5 10 0 10 3 4
2 5 3 4 5 8 0 9 1 1 4 7
1 5 0 5 2 5 3 3 4 8 5 9
2 9 1 3 4 5 5 4 0 3 3 1
1 3 3 3 5 9 0 10 4 4 2 1
"""
LA01 = """
1 21 0 53 4 95 3 55 2 34
0 21 3 52 4 16 2 26 1 71
3 39 4 98 1 42 2 31 0 12
1 77 0 55 4 79 2 66 3 77
0 83 3 34 2 64 1 19 4 37
1 54 2 43 4 79 0 92 3 62
3 69 4 77 1 87 2 87 0 93
2 38 0 60 1 41 3 24 4 83
3 17 1 49 4 25 0 44 2 98
4 77 3 79 2 43 1 75 0 96
"""
CLOSES_MIN = 2000


def shop(text: str, opens_min: int = 0) -> Work:
    """Jobs line by line: machine and minutes in turn."""
    jobs = [[int(word) for word in line.split()] for line in text.strip().splitlines()]
    tasks, links = [], []
    for job, row in enumerate(jobs):
        for at in range(len(row) // 2):
            key = f"{job}.{at}"
            tasks.append(Task(key, key, row[2 * at + 1], 1, by=f"m{row[2 * at]}"))
            if at:
                links.append(Link(f"{job}.{at - 1}", key))
    machines = {one.by for one in tasks}
    people = [Person(str(one), str(one), 1, ((opens_min, CLOSES_MIN),)) for one in sorted(machines)]
    aims = Aims((Aim.LATE,))
    return Work(
        tuple(tasks),
        tuple(links),
        people=tuple(people),
        aims=aims,
        opens_min=opens_min,
        closes_min=CLOSES_MIN,
    )


@pytest.mark.parametrize(("text", "best"), [(FT06, 55), (LA01, 666)])
def test_a_published_shop_is_planned_in_its_known_least_time(text: str, best: int) -> None:
    work = shop(text)
    found = solve(work, seconds=patience_s(60), enough=0)
    assert found is not None
    reached = found.reached[0]
    assert (reached.aim, reached.value) == (Aim.LATE, best)
    assert reached.bound == best
    assert faults(work, found.plan) == ()


@pytest.mark.parametrize(("text", "best"), [(FT06, 55), (LA01, 666)])
def test_a_minute_less_is_proven_not_to_be_enough(text: str, best: int) -> None:
    assert fits(shop(text, CLOSES_MIN - best), seconds=patience_s(60)) is True
    assert fits(shop(text, CLOSES_MIN - best + 1), seconds=patience_s(60)) is False
