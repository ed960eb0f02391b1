"""One change that brings a reading into its window: a line's grams, or how far it is cooked."""

import math
from collections.abc import Callable, Mapping
from dataclasses import dataclass, replace

from scipy.optimize import brentq

from fernbell.core.errors import CoreError
from fernbell.core.formulas.book import Book, CookedTo, Formula, Line, Losses, Until
from fernbell.core.formulas.composition import Composition, Raw, cooked, shares_of
from fernbell.core.formulas.figures import FIGURES, Lines, Mix
from fernbell.core.formulas.gauge import Gauge, Verdict
from fernbell.core.formulas.sheets import FORMULA_STEP_G
from fernbell.core.heat import CARAMEL_FROM_C
from fernbell.core.pantry import FATS, SUGARS

INSIDE = 0.01
"""How far inside its window a reading is brought, as a share of the edge."""

_SWEET = (*SUGARS, "polyols", "glucose_syrup_solids")
_COCOA = ("cocoa_butter", "cocoa_solids")
_DRIVERS: Mapping[tuple[str, Verdict], tuple[str, ...]] = {
    ("hold", Verdict.BELOW): ("gelatin",),
    ("hold", Verdict.ABOVE): ("gelatin",),
    ("gelatin-water", Verdict.BELOW): ("gelatin",),
    ("gelatin-water", Verdict.ABOVE): ("gelatin",),
    ("sweetness", Verdict.BELOW): _SWEET,
    ("sweetness", Verdict.ABOVE): _SWEET,
    ("sugars", Verdict.BELOW): SUGARS,
    ("sugars", Verdict.ABOVE): SUGARS,
    ("fat", Verdict.BELOW): FATS,
    ("fat", Verdict.ABOVE): FATS,
    ("set-number", Verdict.BELOW): _COCOA,
    ("set-number", Verdict.ABOVE): ("water",),
    ("fat-water", Verdict.BELOW): FATS,
    ("fat-water", Verdict.ABOVE): ("water",),
    ("water", Verdict.BELOW): ("water",),
    ("water", Verdict.ABOVE): _SWEET,
    ("solids", Verdict.BELOW): _SWEET,
    ("solids", Verdict.ABOVE): ("water",),
}
"""Whose line is moved, by reading and where it lies; the line that brings most of it."""

_OTHER_WAY: Mapping[tuple[str, Verdict], tuple[str, ...]] = {
    ("set-number", Verdict.BELOW): ("water",),
    ("set-number", Verdict.ABOVE): _COCOA,
    ("fat-water", Verdict.BELOW): ("water",),
    ("fat-water", Verdict.ABOVE): FATS,
}
"""What can be moved instead, the other way: cream taken out in place of couverture put in."""

_BY_COOKING = ("water", "solids")


@dataclass(frozen=True, slots=True)
class Mend:
    """A change that can be applied: a line's grams, how far it is cooked, what a cup weighs."""

    says: str
    line: str | None = None
    mass_g: float | None = None
    cooking_percent: float | None = None
    cooked_to: CookedTo | None = None
    measured_density_g_ml: float | None = None


Made = Mapping[str, Composition]


def mends(
    book: Book, formula: Formula, raw: Raw, gauge: Gauge, made: Made, altitude_m: float
) -> tuple[Mend, ...]:
    """The changes that each bring a reading just inside its window.

    Args:
        book: where lines are looked up [Book].
        formula: what is read [Formula].
        raw: its batch before it is cooked [g].
        gauge: the reading outside its window [Gauge].
        made: compositions of what is nested in it [g].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        the usual change first, then the other way, in steps of the scale; none where nothing
        does it, shape (n,) [Mend].
    Source:
        root of the reading (scipy brentq); which line moves: common practice.
    """
    wanted = _wanted(gauge)
    if wanted is None:
        return ()
    verdict, target = wanted
    figure = FIGURES[gauge.code]

    lines = Lines(book, formula, made, altitude_m)

    def cooked_as(losses: Losses) -> float:
        other = replace(lines, formula=replace(formula, losses=losses))
        own = cooked(other.formula, raw, altitude_m)
        return figure.value(Mix(other, tuple(one.mass_g for one in formula.lines), own))

    def weighed_as(at: int, mass_g: float) -> float:
        masses = [one.mass_g for one in formula.lines]
        masses[at] = mass_g
        return figure.value(lines.mix(masses))

    if gauge.code in _BY_COOKING and formula.losses.cooking_percent > 0:
        found = _by_cooking(formula.losses, cooked_as, target)
        if found is not None:
            return (found,)

    def moving(drivers: tuple[str, ...]) -> Mend | None:
        line = _bringing(book, formula, made, drivers)
        if line is None:
            return None
        at = formula.lines.index(line)
        return _by_line(book, line, lambda mass: weighed_as(at, mass), raw.batch_g, target)

    ways = (_DRIVERS[gauge.code, verdict], _OTHER_WAY.get((gauge.code, verdict), ()))
    found_ways = (moving(drivers) for drivers in ways if drivers)
    return tuple(one for one in found_ways if one is not None)


def _wanted(gauge: Gauge) -> tuple[Verdict, float] | None:
    """Where a reading lies and what it is to be: just inside; None where no line can do it."""
    verdict, window = gauge.verdict, gauge.window
    if window is None or verdict is None or (gauge.code, verdict) not in _DRIVERS:
        return None
    below = verdict is Verdict.BELOW
    edge = window.least if below else window.most
    assert edge is not None
    return verdict, edge * (1 + INSIDE if below else 1 - INSIDE)


def _bringing(book: Book, formula: Formula, made: Made, drivers: tuple[str, ...]) -> Line | None:
    """The line that brings most of it."""

    def brings(line: Line) -> float:
        known = shares_of(book, line, made).known
        return line.mass_g * sum(share for name, share in known if name in drivers)

    kept = (line for line in formula.lines if not line.strained)
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
