"""The nearest formula that meets what is asked of it, or the fewest demands that conflict."""

from dataclasses import dataclass

import numpy as np

from fernbell.core.errors import Lacking
from fernbell.core.fitting.demands import (
    Demand,
    EggsWhole,
    Finished,
    Locked,
    Uses,
    line_at,
    says,
)
from fernbell.core.fitting.rows import Excess, Vector, rows_of
from fernbell.core.fitting.solve import MET, Begin, Nearest, nearest
from fernbell.core.formulas import Formula, Line, Lines, Mix
from fernbell.core.measures import round_to_scale
from fernbell.core.working import figure_text

MOST_CONFLICT_WORK = 100_000
"""What telling demands apart may cost in all: lines × demands × solves."""

FIT_SOURCE = "least sum of relative changes of the lines, by linear programs one after the other"


@dataclass(frozen=True, slots=True)
class Move:
    """A line that moved [g], and the demands that moved it, in words."""

    line: str
    name: str
    before_g: float
    after_g: float
    because: tuple[str, ...]


@dataclass(frozen=True, slots=True)
class Asked:
    """A demand in words, whether it is met, and by how much it is missed [share]."""

    demand: Demand
    says: str
    missed: float


@dataclass(frozen=True, slots=True)
class Fit:
    """What was found: the formula as it can be weighed, and exactly; what moved; what is asked.

    `conflict` holds the fewest demands that cannot be met together, in words; the formula is
    then the nearest that can be had. `told_apart` is false where they may be fewer yet, as telling
    them apart would have taken too long. `kept_g` says that nothing was asked about the size, so
    what arrives was kept.
    """

    formula: Formula
    exact_g: tuple[float, ...]
    moves: tuple[Move, ...]
    asked: tuple[Asked, ...]
    conflict: tuple[str, ...]
    told_apart: bool
    kept_g: float | None
    solves: int

    @property
    def met(self) -> bool:
        """Whether everything asked is met."""
        return not self.conflict


def fit(lines: Lines, demands: tuple[Demand, ...]) -> Fit:
    """Fit a formula to what is asked of it, by least relative change of its lines.

    Where nothing is said about the size, what arrives stays. Where a size or an amount to use
    up is asked, all lines begin scaled to it, and changes count from there.

    Args:
        lines: the formula [Lines].
        demands: what is asked, shape (n,) [Demand].
    Returns:
        the formula, what moved and why, or what conflicts [Fit].
    Raises:
        Unsettled: the search does not come to rest.
        UnknownKey: a demand is about a line that is not there.
        Lacking: nothing in it, or a figure that cannot be read.
    Source:
        scipy milp (HiGHS); conflicts by halving (Junker 2004, QuickXplain, from memory).
    """
    start = lines.mix()
    if not start.finished_g > 0:
        raise Lacking("lines", "Nothing of it weighs anything yet.")
    kept = None
    if not any(isinstance(demand, Finished | Uses) for demand in demands):
        kept = start.finished_g
    every = (*demands, *([Finished(kept)] if kept is not None else []))
    factor = _factor(lines, start, every)
    found = _search(lines, every, factor)
    conflict, told_apart = ((), True) if found.met else _conflict(lines, every, factor)
    rows = rows_of(every, lines, start)
    formula = _weighable(lines, every, found.masses_g)
    return Fit(
        formula,
        tuple(float(one) for one in found.masses_g),
        _moves(lines, every, rows, found, formula, kept=kept),
        tuple(
            Asked(one, _words(one, lines, every, kept), _missed(found, rows, at))
            for at, one in enumerate(every)
        ),
        tuple(_words(one, lines, every, kept) for one in conflict),
        told_apart,
        kept,
        found.solves,
    )


def _words(demand: Demand, lines: Lines, demands: tuple[Demand, ...], kept: float | None) -> str:
    """A demand in words; the size that nobody asked for is one that stays."""
    if kept is not None and demand is demands[-1]:
        return f"the {figure_text(kept)} g stay"
    return says(demand, lines.book, lines.formula)


def _factor(lines: Lines, start: Mix, demands: tuple[Demand, ...]) -> float:
    """What all lines are scaled by before anything moves."""
    for one in demands:
        if isinstance(one, Finished):
            return one.mass_g / start.finished_g
    for one in demands:
        if isinstance(one, Uses):
            own = line_at(lines.formula, one.line).mass_g
            return one.mass_g / own if own and one.mass_g else 1.0
    return 1.0


def begin_at(lines: Lines, factor: float, *, eggs_whole: bool) -> Begin:
    """Where a search begins.

    Args:
        lines: the formula [Lines].
        factor: what all its lines are scaled by [1].
        eggs_whole: whether eggs come in whole ones [bool].
    Returns:
        grams, units, and which lines are counted, shape (n,) [Begin].
    Source:
        definition; the mass of an egg is the pantry's.
    """
    masses = np.array([one.mass_g * factor for one in lines.formula.lines])
    units = np.maximum(masses, max(0.005 * float(masses.sum()), 1e-6))
    whole = [False] * len(masses)
    for i, line in enumerate(lines.formula.lines):
        if eggs_whole and line.ingredient is not None:
            ingredient = lines.book.ingredient(line.ingredient)
            if ingredient.egg is not None and ingredient.pieces:
                units[i], whole[i] = ingredient.pieces[0].mass_g, True
    return Begin(masses, units, tuple(whole))


def _search(lines: Lines, demands: tuple[Demand, ...], factor: float) -> Nearest:
    whole = any(isinstance(demand, EggsWhole) for demand in demands)
    begin = begin_at(lines, factor, eggs_whole=whole)
    rows = rows_of(demands, lines, lines.mix(begin.masses_g))
    return nearest(lines, rows, begin)


def _conflict(
    lines: Lines, demands: tuple[Demand, ...], factor: float
) -> tuple[tuple[Demand, ...], bool]:
    """The fewest of them that cannot be met together: without any one of these, the rest can.

    And whether they could be told apart within the work there is. What was asked last goes first.
    """
    left = MOST_CONFLICT_WORK

    def meets(asked: tuple[Demand, ...]) -> bool:
        nonlocal left
        found = _search(lines, asked, factor)
        left -= found.solves * len(lines.formula.lines) * max(1, len(asked))
        return found.met

    def needed(
        beside: tuple[Demand, ...], among: tuple[Demand, ...], *, grew: bool
    ) -> tuple[Demand, ...]:
        """Those of `among` without which all could be met beside the others."""
        if left <= 0:
            return among
        if grew and not meets(beside):
            return ()
        if len(among) == 1:
            return among
        half = len(among) // 2
        first, last = among[:half], among[half:]
        of_last = needed((*beside, *first), last, grew=True)
        of_first = needed((*beside, *of_last), first, grew=bool(of_last))
        return (*of_first, *of_last)

    return needed((), demands, grew=False), left > 0


def _weighable(lines: Lines, demands: tuple[Demand, ...], masses_g: Vector) -> Formula:
    """The formula rounded to its scales; what is locked, used up or counted is not rounded."""
    exact = {demand.line for demand in demands if isinstance(demand, Uses | Locked)}
    whole = any(isinstance(demand, EggsWhole) for demand in demands)

    def is_exact(line: Line) -> bool:
        of = lines.book.ingredient(line.ingredient) if line.ingredient else None
        return line.key in exact or (whole and of is not None and of.egg is not None)

    places = [i for i, line in enumerate(lines.formula.lines) if not is_exact(line)]
    rounded = round_to_scale(
        [float(masses_g[i]) for i in places], [lines.steps_g[i] for i in places]
    )
    weighed = [round(float(one), 6) for one in masses_g]
    for i, own in zip(places, rounded.masses_g, strict=True):
        weighed[i] = own
    return lines.weighed(weighed)


def _missed(found: Nearest, rows: tuple[Excess, ...], at: int) -> float:
    own = [miss for miss, row in zip(found.misses, rows, strict=True) if row.at == at]
    most = float(max(own, default=0.0))
    return most if most > 10 * MET else 0.0


def _moves(
    lines: Lines,
    demands: tuple[Demand, ...],
    rows: tuple[Excess, ...],
    found: Nearest,
    formula: Formula,
    *,
    kept: float | None,
) -> tuple[Move, ...]:
    """Lines that moved, each with the binding demands it was moved towards.

    A line that only makes room says so: the size that was kept without being asked.
    """
    before = np.array([one.mass_g for one in lines.formula.lines])
    words = [says(demand, lines.book, lines.formula) for demand in demands]
    bare = lines.mix(found.masses_g)
    tight = [abs(row.excess(bare)) / row.size < 1e-4 or row.excess(bare) < 0 for row in rows]
    out = []
    for i, (line, after) in enumerate(zip(lines.formula.lines, formula.lines, strict=True)):
        moved = after.mass_g - before[i]
        if abs(moved) < 1e-9:
            continue
        pulls = [
            words[row.at]
            for row, slope, binds in zip(rows, found.slopes[:, i], tight, strict=True)
            if binds and slope * moved > 1e-9 and not isinstance(demands[row.at], Locked)
        ]
        because = tuple(
            fromkey for fromkey in dict.fromkeys(pulls) if kept is None or fromkey != words[-1]
        )
        because = because or ("the size stays" if kept is not None else "the size asked",)
        name = lines.book.line_name(line)
        out.append(Move(line.key, name, float(before[i]), after.mass_g, because))
    return tuple(out)
