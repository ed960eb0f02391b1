"""A line of an order in lots: what is built together, for which waves, in how many molds."""

import math
from collections.abc import Sequence
from dataclasses import dataclass, replace
from itertools import pairwise

from fernbell.core.planning.order import Ordered
from fernbell.core.planning.timeline.asked import AskedLine, Wave


@dataclass(frozen=True, slots=True)
class Lot:
    """Some of a line, built together: which of them, and for which waves of it."""

    number: int
    first: int
    count: int
    waves: tuple[tuple[int, int], ...]
    """By the number of the wave, how many are for it."""


def at_once(line: AskedLine) -> int | None:
    """How many of a line there are molds for.

    Args:
        line: of an order [AskedLine].
    Returns:
        desserts; None where molds are enough [1].
    Source:
        counting.
    """
    return None if line.owned is None else line.owned * line.cavities


def waves_of(line: AskedLine, waves: Sequence[Wave]) -> list[tuple[int, Wave]]:
    """The waves in which a line is served.

    Args:
        line: of an order [AskedLine].
        waves: all of them, in order [Wave].
    Returns:
        each with its number among all, and its share of the line, shape (n,) [1].
    Source:
        counting.
    """
    own = [(at, x) for at, x in enumerate(waves) if line.service in ("", x.service)]
    every = sum(one.share for _, one in own)
    return [(at, replace(one, share=one.share / every)) for at, one in own]


def lots_of(count: int, waves: Sequence[Wave], most: int | None) -> tuple[Lot, ...]:
    """A line in lots: what is served on one day together, no more than the molds take.

    Args:
        count: desserts of the line [1].
        waves: services with their shares, in order [Wave].
        most: desserts that are molded at once; None where molds are enough [1].
    Returns:
        lots in order; together they are the line, and as even as they go [Lot].
    Source:
        counting.
    """
    if not waves:
        return ()
    ends = [round(count * sum(one.share for one in waves[: at + 1])) for at in range(len(waves))]
    ends[-1] = count
    found: list[Lot] = []
    first = 0
    for day in dict.fromkeys(one.day for one in waves):
        last = max(end for end, one in zip(ends, waves, strict=True) if one.day == day)
        own = last - first
        number = 1 if most is None else math.ceil(own / most)
        for at in range(number if own else 0):
            begin = first + own * at // number
            end = first + own * (at + 1) // number
            shares = [
                (wave, min(end, high) - max(begin, low))
                for wave, (low, high) in enumerate(pairwise([0, *ends]))
                if min(end, high) > max(begin, low)
            ]
            found.append(Lot(len(found), begin, end - begin, tuple(shares)))
        first = last
    return tuple(found)


def in_lots_of_days(ordered: Ordered, waves: Sequence[Wave], most: int | None) -> Ordered:
    """What is ordered in the lots it is built in, and the day of each.

    Args:
        ordered: so many of a dessert [Ordered].
        waves: services of it with their shares, in order [Wave].
        most: desserts that are molded at once; None where molds are enough [1].
    Returns:
        the same, in lots [Ordered].
    Source:
        counting.
    """
    lots = lots_of(ordered.count, waves, most)
    days = tuple(waves[one.waves[0][0]].day for one in lots)
    return replace(ordered, lots=tuple(one.count for one in lots), days=days)


def finished_at_once(
    waves: Sequence[tuple[int, Wave]], within_min: int
) -> tuple[tuple[int, ...], ...]:
    """Waves of one service that are finished together, as what is cut keeps so long.

    Args:
        waves: of a line, in order, shape (n,) [Wave].
        within_min: from the first to the last of them at most [min].
    Returns:
        their places in that order, in groups, shape (m,) [1].
    Source:
        definition.
    """
    found: list[list[int]] = []
    for nth, (_, wave) in enumerate(waves):
        first = waves[found[-1][0]][1] if found else None
        near = first is not None and wave.at_min - first.at_min <= within_min
        if first is not None and near and wave.service == first.service:
            found[-1].append(nth)
        else:
            found.append([nth])
    return tuple(map(tuple, found))
