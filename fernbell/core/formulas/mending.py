"""One change that brings a reading into its window: a line's grams, or how far it is cooked."""

import math
from collections.abc import Callable
from dataclasses import dataclass, replace

from scipy.optimize import brentq

from fernbell.core.errors import CoreError
from fernbell.core.formulas.book import Book, CookedTo, Line, Losses, Until
from fernbell.core.formulas.composition import going_in
from fernbell.core.formulas.figures import FIGURES, Figure
from fernbell.core.formulas.gauge import Gauge, Verdict
from fernbell.core.formulas.mix import Lines
from fernbell.core.formulas.sheets import FORMULA_STEP_G
from fernbell.core.heat import CARAMEL_FROM_C
from fernbell.starter.practice import practice

INSIDE = practice("mended inside")
"""How far inside its window a reading is brought, as a share of the edge."""


@dataclass(frozen=True, slots=True)
class Mend:
    """A change that can be applied: a line's grams, how far it is cooked, what a cup weighs."""

    says: str
    line: str | None = None
    mass_g: float | None = None
    cooking_percent: float | None = None
    cooked_to: CookedTo | None = None
    measured_density_g_ml: float | None = None


MOST_OUT, MOST_IN = practice("mended takes out at most"), practice("mended puts in at most")
"""Of the batch; more is another formula, and no remedy [share]."""


def mends(lines: Lines, gauge: Gauge, figure: Figure | None = None) -> tuple[Mend, ...]:
    """The changes that each bring a reading just inside its window.

    Where practice names what moves a figure, that goes first; else the line that has to move
    least, and cooking further or less.

    Args:
        lines: what is read [Lines].
        gauge: the reading outside its window [Gauge].
        figure: what it reads, where that is no reading every formula has [Figure].
    Returns:
        the usual change first, then the other way, in steps of the scale; none where nothing
        does it without another dish coming out, shape (n,) [Mend].
    Source:
        root of the reading (scipy brentq); which line moves: common practice.
    """
    figure, target = figure or FIGURES.get(gauge.code), _target(gauge)
    if figure is None or target is None:
        return ()
    cooked = _cooked(lines, figure, target) if figure.by_cooking else None
    if cooked is not None:
        return (cooked,)
    ways = figure.moves.get(gauge.verdict, ()) if gauge.verdict else ()
    named = (_moving(lines, figure, parts, target) for parts in ways)
    found = tuple(one for one in named if one is not None)
    if found:
        return found
    other = (_least(lines, figure, target), _cooked(lines, figure, target))
    return tuple(one for one in other if one is not None)


def by_several(lines: Lines, gauge: Gauge, figure: Figure | None = None) -> str:
    """What several lines together do where one alone does not, or why nothing does.

    Args:
        lines: what is read [Lines].
        gauge: the reading outside its window [Gauge].
        figure: what it reads, where that is no reading every formula has [Figure].
    Returns:
        a sentence [text].
    Source:
        root of the reading (scipy brentq).
    """
    figure, target = figure or FIGURES.get(gauge.code), _target(gauge)
    if figure is not None and target is not None:
        for role in dict.fromkeys(lines.roles):
            at = [i for i, one in enumerate(lines.roles) if one is role]
            factor = _factor(lines, figure, at, target) if len(at) > 1 else None
            if factor is not None:
                names = " and ".join(
                    dict.fromkeys(lines.book.line_name(lines.formula.lines[i]) for i in at)
                )
                word = "more" if factor > 1 else "less"
                return f"Take {100 * abs(factor - 1):.0f} % {word} {names} together."
    return (
        "No line of it brings it back without taking most of it away or putting in as much again: "
        "begin from another formula, or let it be."
    )


def _factor(lines: Lines, figure: Figure, at: list[int], target: float) -> float | None:
    """By what some lines are taken together to bring it back; None where that is too much."""

    def read(factor: float) -> float:
        masses = list(lines.as_is.masses_g)
        for i in at:
            masses[i] *= factor
        return figure.value(lines.mix(masses))

    factor = _root(read, 1.0, 1e-3, 4.0, target)
    if factor is None:
        return None
    moved = (factor - 1) * sum(lines.as_is.masses_g[i] for i in at)
    return factor if _is_little(lines, moved) else None


def _is_little(lines: Lines, moved_g: float) -> bool:
    """Whether the dish stays the dish."""
    return -MOST_OUT * lines.raw.batch_g <= moved_g <= MOST_IN * lines.raw.batch_g


def _least(lines: Lines, figure: Figure, target: float) -> Mend | None:
    """The one line that has to move least: by its slope, those that seem to need least first."""
    kept = [line for line in lines.formula.lines if line.passes]
    for line in sorted(kept, key=lambda one: _seems(lines, figure, one, target)):
        found = _line(lines, figure, line, target)
        if found is not None:
            return found
    return None


def _seems(lines: Lines, figure: Figure, line: Line, target: float) -> float:
    """How far a line would move were the figure straight in it [g]."""
    at = lines.formula.lines.index(line)
    masses = list(lines.as_is.masses_g)
    step = _SLOPE_STEP * lines.raw.batch_g
    masses[at] += step
    try:
        now = figure.value(lines.as_is)
        moved = figure.value(lines.mix(masses)) - now
    except CoreError:
        return math.inf
    return abs((target - now) * step / moved) if moved else math.inf


def _cooked(lines: Lines, figure: Figure, target: float) -> Mend | None:
    formula = lines.formula
    if formula.losses.cooking_percent <= 0:
        return None

    def read(losses: Losses) -> float:
        return figure.value(lines.cooked_as(replace(formula, losses=losses)))

    return _by_cooking(formula.losses, read, target)


def _target(gauge: Gauge) -> float | None:
    """What a reading is to be: just inside; None where it is not outside."""
    window = gauge.window
    if window is None or gauge.verdict in (None, Verdict.WITHIN):
        return None
    below = gauge.verdict is Verdict.BELOW
    edge = window.least if below else window.most
    assert edge is not None
    return edge * (1 + INSIDE if below else 1 - INSIDE)


def _moving(lines: Lines, figure: Figure, parts: tuple[str, ...], target: float) -> Mend | None:
    """The grams of the line that brings most of some components."""
    line = _bringing(lines, parts)
    return None if line is None else _line(lines, figure, line, target)


def _line(lines: Lines, figure: Figure, line: Line, target: float) -> Mend | None:
    """So many grams of a line that the reading is the target; None where that is too much."""
    at = lines.formula.lines.index(line)

    def weighed_as(mass_g: float) -> float:
        masses = list(lines.as_is.masses_g)
        masses[at] = mass_g
        return figure.value(lines.mix(masses))

    mend = _by_line(lines.book, line, weighed_as, lines.raw.batch_g, target)
    if mend is None or not _is_little(lines, (mend.mass_g or 0.0) - line.mass_g):
        return None
    return mend


def _bringing(lines: Lines, parts: tuple[str, ...]) -> Line | None:
    """The line that brings most of it."""

    def brings(line: Line) -> float:
        known = going_in(lines.book, line, lines.made).known
        return line.mass_g * sum(share for name, share in known if name in parts)

    kept = (line for line in lines.formula.lines if line.passes)
    best = max(kept, key=brings, default=None)
    return best if best and brings(best) > 0 else None


def _by_line(
    book: Book, line: Line, read: Callable[[float], float], batch_g: float, target: float
) -> Mend | None:
    now = line.mass_g
    mass = _root(read, now, 1e-3 * now, 3 * batch_g, target)
    if mass is None:
        return None
    step = FORMULA_STEP_G
    if line.ingredient is not None:
        step = book.ingredient(line.ingredient).weigh_step_g
    up = mass > line.mass_g
    mass = round((math.ceil if up else math.floor)(mass / step - 1e-9) * step, 6)
    name, moved = book.line_name(line), abs(mass - line.mass_g)
    if not moved or mass < 0:
        return None
    said = f"{max(step, round(moved / step) * step):g}"
    says = f"Put {said} g more {name} in" if up else f"Take {said} g {name} out"
    return Mend(says, line=line.key, mass_g=mass)


def _by_cooking(losses: Losses, read: Callable[[Losses], float], target: float) -> Mend | None:
    sign = losses.cooked_to
    if sign is None:

        def shared(percent: float) -> float:
            return read(replace(losses, cooking_percent=percent))

        percent = _root(shared, losses.cooking_percent, 0.0, 80.0, target)
        if percent is None:
            return None
        percent = round(percent, 1)
        return Mend(f"Cook off {percent:g} % in all", cooking_percent=percent)
    if sign.until is Until.WEIGHT:
        return None
    unit = "°C" if sign.until is Until.TEMPERATURE else "°Bx"
    low, high = (101.0, CARAMEL_FROM_C - 1) if sign.until is Until.TEMPERATURE else (5.0, 97.0)

    def until(value: float) -> float:
        return read(replace(losses, cooked_to=CookedTo(sign.until, value)))

    value = _root(until, sign.value, low, high, target)
    if value is None:
        return None
    value = round(value, 1)
    return Mend(f"Cook to {value:g} {unit}", cooked_to=CookedTo(sign.until, value))


_SLOPE_STEP = 0.01
_NEARER = (1.0, 0.6, 0.35, 0.2, 0.1, 0.05)


def _root(
    read: Callable[[float], float], now: float, low: float, high: float, target: float
) -> float | None:
    """Where the reading is the target, on the side of `now` that leads there; None if neither."""

    def off(x: float) -> float:
        return read(x) - target

    for end in (high, low):
        for share in _NEARER:
            there = now + share * (end - now)
            try:
                if off(now) * off(there) < 0:
                    return float(brentq(off, now, there, rtol=1e-6))
            except CoreError:
                # So far nothing can be read, such as more cooked off than there is water.
                continue
            break
    return None
