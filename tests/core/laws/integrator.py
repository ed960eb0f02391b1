"""Areas and volumes of drawn outlines, by our own sums: nothing of it is shared with core.

Loops are closed polygons [mm]; what lies in an odd number of them is filled, the rest is a hole.
Between two heights at which there is a point, every edge is straight: what is filled there is
summed by two levels of Gauss, which is exact for widths and for their squares.
"""

import math
from collections.abc import Callable, Iterator, Sequence
from itertools import pairwise

import numpy as np

Loop = Sequence[tuple[float, float]]
_GAUSS = 1 / (2 * math.sqrt(3))


def _levels(loops: Sequence[Loop]) -> Iterator[tuple[float, float]]:
    """Heights to look at, and how much of the height each stands for [mm]."""
    heights = sorted({z for loop in loops for _, z in loop})
    for low, high in pairwise(heights):
        for off in (-_GAUSS, _GAUSS):
            yield (low + high) / 2 + off * (high - low), (high - low) / 2


def _summed(loops: Sequence[Loop], of: Callable[[float, float], float]) -> float:
    """What each stretch that is filled at a height comes to, summed over the heights."""
    loops = [loop for loop in loops if len(loop) > 2]
    if not loops:
        return 0.0
    starts = np.concatenate([np.asarray(loop, float) for loop in loops])
    ends = np.concatenate([np.roll(np.asarray(loop, float), -1, axis=0) for loop in loops])
    low, high = np.minimum(starts[:, 1], ends[:, 1]), np.maximum(starts[:, 1], ends[:, 1])
    total = 0.0
    for z, weight in _levels(loops):
        cut = (low < z) & (z <= high)
        (x0, z0), (x1, z1) = starts[cut].T, ends[cut].T
        crossings = np.sort(x0 + (z - z0) / (z1 - z0) * (x1 - x0))
        pairs = zip(crossings[::2], crossings[1::2], strict=True)
        total += weight * sum(of(left, right) for left, right in pairs)
    return total


def area_mm2(loops: Sequence[Loop]) -> float:
    """Area of what is filled [mm²]."""
    return _summed(loops, lambda left, right: right - left)


def turned_mm3(loops: Sequence[Loop]) -> float:
    """What a whole section sweeps when it is turned about x = 0: pi ∬ |x| dA [mm³].

    The section has two halves, each of which sweeps half of it.
    """

    def swept(left: float, right: float) -> float:
        if left * right >= 0:
            return abs(right**2 - left**2) / 2
        return (left**2 + right**2) / 2

    return math.pi * _summed(loops, swept)
