"""The nearest grams that meet the rows: linear programs, one after the other."""

from dataclasses import dataclass

import numpy as np
from scipy.optimize import Bounds, LinearConstraint, milp

from fernbell.core.errors import CoreError
from fernbell.core.fitting.rows import Excess, Vector, excess_of, slopes_of
from fernbell.core.formulas import Lines

MOST_TIMES = 5.0
"""No line grows or shrinks by more than so many times: it would be another formula."""

MISS_COSTS = 1000.0
"""What a whole miss of a demand costs, beside changing one line by all of itself."""

MOST_SOLVES, LEAST_SOLVES = 40, 4
MOST_WORK = 100_000
"""What a search may cost: lines × rows × solves. A large formula is solved less often."""
MET = 1e-6
"""A row is met where it misses by no more than this share of its size."""


class Unsettled(CoreError):
    """The search did not come to rest: how often it was tried, and by how much it still misses."""

    def __init__(self, solves: int, residual: float) -> None:
        self.solves, self.residual = solves, residual
        super().__init__("fit", f"unsettled after {solves} solves", "a search that comes to rest")

    def sentence(self) -> str:
        """What went wrong, for a person."""
        return (
            f"The search did not come to rest in {self.solves} solves (it still moves by "
            f"{self.residual:.2g}). Ask for less, or lock a line."
        )


@dataclass(frozen=True, slots=True)
class Begin:
    """Where the search begins: grams, what is called one of each line, which come in pieces."""

    masses_g: Vector
    units_g: Vector
    whole: tuple[bool, ...]


@dataclass(frozen=True, slots=True)
class Nearest:
    """Grams, what each row misses [share of its size], and the slopes there."""

    masses_g: Vector
    misses: Vector
    slopes: Vector
    solves: int

    @property
    def met(self) -> bool:
        """Whether nothing is missed."""
        return bool(np.all(self.misses <= 10 * MET))


def change_of(begin: Begin, masses_g: Vector) -> float:
    """How far grams are from where the search began: the sum of the relative changes.

    Args:
        begin: where it began [Begin].
        masses_g: shape (n,) [g].
    Returns:
        sum of |now - before| / before [1].
    Source:
        definition; a line of nothing counts half a per cent of the batch as its own size.
    """
    return float(np.sum(np.abs(masses_g - begin.masses_g) / _sizes(begin)))


def most_solves(lines: int, rows: int) -> int:
    """How often a search of this size may solve.

    Args:
        lines: of the formula [1].
        rows: what is asked [1].
    Returns:
        solves, from 4 to 40 [1].
    Source:
        definition; a bound of this project.
    """
    return max(LEAST_SOLVES, min(MOST_SOLVES, MOST_WORK // max(1, lines * rows)))


def nearest(lines: Lines, rows: tuple[Excess, ...], begin: Begin) -> Nearest:
    """The grams of least change that miss least.

    Each solve takes the rows as straight where the last one ended; rows that are straight are
    met by the first, others by as many as it takes. After a step that does not help the next
    goes a quarter as far, after one that does twice as far.

    Args:
        lines: the formula [Lines].
        rows: what must not be negative, shape (m,) [Excess].
        begin: where the search begins, shape (n,) [Begin].
    Returns:
        grams, misses, slopes [Nearest].
    Raises:
        Unsettled: it does not come to rest.
        CoreError: a figure cannot be read.
    Source:
        successive linear programs (scipy milp, HiGHS) with an exact penalty.
    """
    masses, reach = begin.masses_g.copy(), np.inf
    most = most_solves(len(masses), len(rows))
    merit = _merit(rows, begin, masses, excess_of(rows, lines.mix(masses)))
    for solves in range(1, most + 1):
        slopes = slopes_of(rows, lines, masses, begin.units_g)
        excess = excess_of(rows, lines.mix(masses))
        then = _program(begin, rows, masses, excess, slopes, reach)
        straight = excess + slopes @ ((then - masses) / begin.units_g)
        moved = float(np.max(np.abs(then - masses) / begin.units_g, initial=0.0))
        try:
            there = excess_of(rows, lines.mix(then))
        except CoreError:
            reach = moved / 4
            continue
        bent = float(np.max(np.abs(there - straight), initial=0.0))
        merit_then = _merit(rows, begin, then, there)
        if bent <= MET or moved <= MET:
            return Nearest(then, np.maximum(-there, 0.0), slopes, solves)
        if merit_then < merit - 1e-9:
            masses, merit, reach = then, merit_then, 2 * reach
        elif moved <= 1e-5:
            return Nearest(masses, np.maximum(-excess, 0.0), slopes, solves)
        else:
            reach = moved / 4
    raise Unsettled(most, moved)


def _sizes(begin: Begin) -> Vector:
    least = 0.005 * float(np.sum(begin.masses_g))
    return np.maximum(begin.masses_g, max(least, 1e-6))


def _merit(rows: tuple[Excess, ...], begin: Begin, masses: Vector, excess: Vector) -> float:
    missed = np.maximum(-excess, 0.0)
    weights = np.array([row.weight for row in rows])
    return change_of(begin, masses) + MISS_COSTS * float(np.sum(weights * missed))


def _program(
    begin: Begin,
    rows: tuple[Excess, ...],
    masses: Vector,
    excess: Vector,
    slopes: Vector,
    reach: float,
) -> Vector:
    """Grams of the straight problem: units of each line, how far they moved, what is missed."""
    count, size = len(masses), _sizes(begin)
    unit, eye = begin.units_g, np.eye(len(masses))
    none = np.zeros((count, len(rows)))
    now, start = masses / unit, begin.masses_g / unit
    weight = unit / size
    cost = np.concatenate(
        [np.zeros(count), weight, MISS_COSTS * np.array([row.weight for row in rows])]
    )
    asked = np.hstack([slopes, np.zeros((len(rows), count)), np.eye(len(rows))])
    up, down = np.hstack([-eye, eye, none]), np.hstack([eye, eye, none])
    matrix = np.vstack([asked, up, down])
    least = np.concatenate([slopes @ now - excess, -start, start])
    low = np.maximum(start / MOST_TIMES, now - reach)
    high = np.minimum(MOST_TIMES * size / unit, now + reach)
    whole = np.array(begin.whole)
    low = np.where(whole, np.minimum(low, np.floor(now)), low)
    high = np.where(whole, np.maximum(high, np.ceil(now)), high)
    free = np.full(count + len(rows), np.inf)
    found = milp(
        cost,
        constraints=LinearConstraint(matrix, least, np.inf),
        bounds=Bounds(np.concatenate([low, np.zeros(count + len(rows))]), np.append(high, free)),
        integrality=np.concatenate([whole.astype(int), np.zeros(count + len(rows))]),
    )
    if found.x is None:
        raise CoreError("fit", str(found.message), "a solvable search")
    units = np.where(whole, np.round(found.x[:count]), found.x[:count])
    masses_g: Vector = np.maximum(units * unit, 0.0)
    return masses_g
