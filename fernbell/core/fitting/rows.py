"""Demands as inequalities: each row is an amount that must not be negative."""

from collections.abc import Callable, Iterator
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray

from fernbell.core.fitting.demands import (
    Demand,
    Finished,
    Locked,
    Proportion,
    Reads,
    Uses,
    line_at,
)
from fernbell.core.formulas import Lines, Mix

Vector = NDArray[np.float64]

STEP = 1e-3
"""How far a line is moved to see what follows, as a share of its unit."""

AMOUNTS_COUNT = 100.0
"""How many times more than a figure an amount counts that was asked for."""


@dataclass(frozen=True, slots=True)
class Excess:
    """`excess` must be at least 0; `size` [same unit] is what a whole miss would be.

    `at` is the place of its demand among all, `weight` how much a miss of it counts: what is
    locked, used up or finished stays where a figure cannot be had beside it.
    """

    at: int
    excess: Callable[[Mix], float]
    size: float
    weight: float = 1.0


def rows_of(demands: tuple[Demand, ...], lines: Lines, start: Mix) -> tuple[Excess, ...]:
    """Turn demands into rows; whole eggs have none, they are whole numbers.

    Args:
        demands: what is asked, shape (n,) [Demand].
        lines: the formula [Lines].
        start: the formula where the search begins, for the sizes [Mix].
    Returns:
        rows, one for each closed end [Excess].
    Raises:
        UnknownKey: a demand is about a line that is not there.
    Source:
        definition; a quotient is asked as top - end x bottom, which is linear where both are.
    """
    return tuple(
        Excess(at, excess, max(size, 1e-9), 1.0 if isinstance(demand, Reads) else AMOUNTS_COUNT)
        for at, demand in enumerate(demands)
        for excess, size in _ends(demand, lines, start)
    )


_End = tuple[Callable[[Mix], float], float]


def _ends(demand: Demand, lines: Lines, start: Mix) -> Iterator[_End]:
    match demand:
        case Reads():
            yield from _reads(demand, start)
        case Finished(mass_g):
            yield (lambda mix: mix.finished_g - mass_g), mass_g
            yield (lambda mix: mass_g - mix.finished_g), mass_g
        case Proportion():
            yield from _proportion(demand, lines, start)
        case Uses() | Locked():
            at = _place(lines, demand.line)
            grams = demand.mass_g if isinstance(demand, Uses) else lines.formula.lines[at].mass_g
            yield (lambda mix: mix.masses_g[at] - grams), grams
            yield (lambda mix: grams - mix.masses_g[at]), grams


def _reads(demand: Reads, start: Mix) -> Iterator[_End]:
    figure = demand.figure
    base = figure.bottom(start)
    for end, sign in ((demand.least, 1.0), (demand.most, -1.0)):
        if end is not None:
            goal = end / figure.scale

            def read(mix: Mix, goal: float = goal, sign: float = sign) -> float:
                return sign * (figure.top(mix) - goal * figure.bottom(mix))

            yield read, abs(goal) * base or base


def _proportion(demand: Proportion, lines: Lines, start: Mix) -> Iterator[_End]:
    i, j = _place(lines, demand.line), _place(lines, demand.on)
    least, most, base = demand.least, demand.most, start.masses_g[j]
    if least is not None:
        yield (lambda mix: mix.masses_g[i] - least * mix.masses_g[j]), least * base
    if most is not None:
        yield (lambda mix: most * mix.masses_g[j] - mix.masses_g[i]), most * base


def _place(lines: Lines, key: str) -> int:
    return lines.formula.lines.index(line_at(lines.formula, key))


def excess_of(rows: tuple[Excess, ...], mix: Mix) -> Vector:
    """Every row at a mix.

    Args:
        rows: shape (m,) [Excess].
        mix: the formula at some grams [Mix].
    Returns:
        excess, each in its size, shape (m,) [1].
    Raises:
        CoreError: a figure has no value there.
    Source:
        definition.
    """
    return np.array([row.excess(mix) / row.size for row in rows])


def slopes_of(rows: tuple[Excess, ...], lines: Lines, masses_g: Vector, units_g: Vector) -> Vector:
    """How the rows change with each line; differences of a small step.

    Args:
        rows: shape (m,) [Excess].
        lines: the formula [Lines].
        masses_g: grams of the lines, shape (n,) [g].
        units_g: what is called one of each line, shape (n,) [g].
    Returns:
        change of each row for one unit of each line, shape (m, n) [1].
    Raises:
        CoreError: a figure has no value near there.
    Source:
        forward differences; exact for what is linear.
    """
    now = excess_of(rows, lines.mix(masses_g))
    slopes = np.empty((len(rows), len(masses_g)))
    for i, mix in enumerate(lines.beside(masses_g, STEP * units_g)):
        slopes[:, i] = (excess_of(rows, mix) - now) / STEP
    return slopes
