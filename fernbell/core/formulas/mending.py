"""One change that brings a reading into its window: a line's grams, or how far it is cooked."""

import math
from collections.abc import Callable
from dataclasses import dataclass, replace

from scipy.optimize import brentq

from fernbell.core.errors import CoreError
from fernbell.core.formulas.book import Book, CookedTo, Line, Losses, Until
from fernbell.core.formulas.composition import shares_of
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


def mends(lines: Lines, gauge: Gauge) -> tuple[Mend, ...]:
    """The changes that each bring a reading just inside its window.

    Args:
        lines: what is read [Lines].
        gauge: the reading outside its window [Gauge].
    Returns:
        the usual change first, then the other way, in steps of the scale; none where nothing
        does it, shape (n,) [Mend].
    Source:
        root of the reading (scipy brentq); which line moves: common practice.
    """
    figure, target = FIGURES.get(gauge.code), _target(gauge)
    ways = figure.moves.get(gauge.verdict) if figure and gauge.verdict else None
    if figure is None or target is None or ways is None:
        return ()
    formula = lines.formula

    def cooked_as(losses: Losses) -> float:
        return figure.value(lines.cooked_as(replace(formula, losses=losses)))

    if figure.by_cooking and formula.losses.cooking_percent > 0:
        found = _by_cooking(formula.losses, cooked_as, target)
        if found is not None:
            return (found,)
    moved = (_moving(lines, figure, parts, target) for parts in ways)
    return tuple(one for one in moved if one is not None)


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
    if line is None:
        return None
    at = lines.formula.lines.index(line)

    def weighed_as(mass_g: float) -> float:
        masses = list(lines.as_is.masses_g)
        masses[at] = mass_g
        return figure.value(lines.mix(masses))

    return _by_line(lines.book, line, weighed_as, lines.raw.batch_g, target)


def _bringing(lines: Lines, parts: tuple[str, ...]) -> Line | None:
    """The line that brings most of it."""

    def brings(line: Line) -> float:
        known = shares_of(lines.book, line, lines.made).known
        return line.mass_g * sum(share for name, share in known if name in parts)

    kept = (line for line in lines.formula.lines if not line.strained)
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
    says = f"Put {moved:g} g more {name} in" if up else f"Take {moved:g} g {name} out"
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


def _root(
    read: Callable[[float], float], now: float, low: float, high: float, target: float
) -> float | None:
    """Where the reading is the target, on the side of `now` that leads there; None if neither."""

    def off(x: float) -> float:
        return read(x) - target

    for end in (high, low):
        try:
            if off(now) * off(end) < 0:
                return float(brentq(off, now, end, rtol=1e-6))
        except CoreError:
            continue
    return None
