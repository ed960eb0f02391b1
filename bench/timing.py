"""Timing by medians, and a yardstick for how fast this machine is right now."""

import statistics
import time
from collections.abc import Callable, Sequence

YARDSTICK_LOOPS = 1_000_000


def timed(work: Callable[[], object], runs: int) -> float:
    """Median time of one run [ms]."""
    times = []
    for _ in range(runs):
        begun = time.perf_counter()
        work()
        times.append(1000 * (time.perf_counter() - begun))
    return statistics.median(times)


def in_turn(works: Sequence[Callable[[], object]], runs: int) -> list[float]:
    """Median times of several works done in turn, so that they share the machine's moods [ms]."""
    times: list[list[float]] = [[] for _ in works]
    for _ in range(runs):
        for own, work in zip(times, works, strict=True):
            own.append(timed(work, 1))
    return [statistics.median(own) for own in times]


def yardstick() -> float:
    """A million additions in plain Python [ms]; 40-60 on a current desktop processor."""

    def count() -> None:
        total = 0
        for i in range(YARDSTICK_LOOPS):
            total += i

    return timed(count, 5)
