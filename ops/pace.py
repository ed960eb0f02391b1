"""How slow this machine is: what waits in tests waits so many times as long."""

import os
import time

VARIABLE = "FERNBELL_PACE"
USUAL_S = 0.09
"""A million additions where the limits were set [s]."""


def measured() -> float:
    """How many times as long as usual a million additions take now, 1 at least; the best of three.

    Two busy loops beside it count: a limit is for the machine as it is.
    """
    return max(1.0, min(_additions_s() for _ in range(3)) / USUAL_S)


def _additions_s() -> float:
    begun, total = time.perf_counter(), 0
    for number in range(1_000_000):
        total += number
    return time.perf_counter() - begun


def pace() -> float:
    """As it was measured before the tests; 1 where nobody did."""
    return float(os.environ.get(VARIABLE, "1"))


def patience_s(usual_s: float) -> float:
    """How long to wait for what takes no longer than that on a usual machine [s]."""
    return usual_s * pace()
