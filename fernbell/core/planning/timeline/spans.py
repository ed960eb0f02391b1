"""Stretches of time: those that touch made one, and how much lies in them at once."""

from collections.abc import Iterable, Iterator
from itertools import pairwise

Spans = list[tuple[int, int]]


def merged(spans: Iterable[tuple[int, int]]) -> Spans:
    """Stretches of time with those that touch made one.

    Args:
        spans: from and until, shape (n,) [min].
    Returns:
        apart from one another, in order, shape (m,) [min].
    Source:
        definition.
    """
    found: Spans = []
    for since, until in sorted(spans):
        if found and since <= found[-1][1]:
            found[-1] = (found[-1][0], max(until, found[-1][1]))
        elif until > since:
            found.append((since, until))
    return found


def loaded(spans: Iterable[tuple[int, int, int]], most: int) -> Iterator[tuple[int, int, int]]:
    """How much is in a place at once, piece by piece, and never more than it takes.

    Args:
        spans: since, until and how much of it, shape (n,) [min, min, 1].
        most: that it takes [1].
    Returns:
        pieces apart from one another, in order, shape (m,) [min, min, 1].
    Source:
        definition.
    """
    steps: dict[int, int] = {}
    for since, until, amount in spans:
        steps[since] = steps.get(since, 0) + amount
        steps[until] = steps.get(until, 0) - amount
    inside = 0
    for since, until in pairwise(sorted(steps)):
        inside += steps[since]
        if inside:
            yield since, until, min(most, inside)
