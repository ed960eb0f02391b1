"""Rounding to what a scale can weigh, so that the lines still sum to the batch."""

import math
from collections.abc import Iterable, Sequence
from dataclasses import dataclass

from fernbell.core.errors import check_range

_FINEST_G = 0.001
_MOST_G = 1e9


@dataclass(frozen=True, slots=True)
class Rounded:
    """Weighable masses; they sum to `batch_g`, which is off the exact sum by `drift_g`."""

    masses_g: tuple[float, ...]
    batch_g: float
    drift_g: float
    drift_percent: float


def round_to_scale(masses_g: Sequence[float], steps_g: Sequence[float]) -> Rounded:
    """Round each mass to its scale's step by the largest remainder.

    Lines that share a step are rounded together: their sum is rounded to the step, each line
    is rounded down, and the steps still missing go to the lines that lost most.

    Args:
        masses_g: exact masses, one a line [g], shape (n,).
        steps_g: least step of the scale each line is weighed on [g], shape (n,).
    Returns:
        rounded masses, their sum and how far that is from the exact sum [g, %].
    Raises:
        OutOfRange: a negative mass, or a step below 0.001 g or above 1 kg.
    Source:
        largest-remainder method (Hamilton); the two scales are common practice.
    """
    for mass in masses_g:
        # A comparison instead of a call for each of hundreds of lines; NaN fails it too.
        if not 0.0 <= mass <= _MOST_G:
            check_range("mass_g", mass, most=_MOST_G)
    rounded = [0.0] * len(masses_g)
    for step in set(steps_g):
        check_range("step_g", step, least=_FINEST_G, most=1000)
        members = [i for i, own in enumerate(steps_g) if own == step]
        for i, ticks in zip(
            members, _largest_remainder(masses_g[i] / step for i in members), strict=True
        ):
            rounded[i] = _clean(ticks * step)
    exact, batch = math.fsum(masses_g), _clean(math.fsum(rounded))
    drift = batch - exact
    return Rounded(tuple(rounded), batch, drift, 100 * drift / exact if exact else 0.0)


def _largest_remainder(exact_ticks: Iterable[float]) -> list[int]:
    exact = list(exact_ticks)
    floors = [math.floor(tick) for tick in exact]
    missing = math.floor(math.fsum(exact) + 0.5) - sum(floors)
    if not missing:
        return floors
    losers = sorted(range(len(exact)), key=lambda i: floors[i] - exact[i])
    for i in losers[:missing]:
        floors[i] += 1
    return floors


def _clean(mass_g: float) -> float:
    return round(mass_g, 6)
