"""Read where a formula lands on a dial, and turn the dial: the lines follow, what arrives stays."""

import math
from collections.abc import Callable
from dataclasses import dataclass, replace

from scipy.optimize import brentq

from fernbell.core.errors import CoreError, Lacking, Limits, OutOfRange
from fernbell.core.families.family import Dial, DialBand
from fernbell.core.formulas import CookedTo, Formula, Lines, Until
from fernbell.core.measures import round_to_scale
from fernbell.core.pantry import LineRole
from fernbell.core.working import Working, figure_text

FARTHEST = (60.0, 20.0, 8.0, 4.0, 2.0, 1.4, 1.1)
"""The lines a dial turns grow or shrink by at most so many times; less where nothing can be read
so far, such as more cooked off than there is water."""


@dataclass(frozen=True, slots=True)
class Landing:
    """Where a formula stands on a dial; without a working it cannot be told, and why."""

    working: Working | None
    band: DialBand | None
    refusal: str = ""


def read_dial(dial: Dial, lines: Lines) -> Landing:
    """Where a formula lands on a dial.

    Args:
        dial: the dial [Dial].
        lines: the formula [Lines].
    Returns:
        its figure and the band it lies in [Landing].
    Source:
        the figure's own.
    """
    try:
        working = dial.figure.working(lines.mix())
    except CoreError as error:
        return Landing(None, None, str(error))
    return Landing(working, dial.band_at(working.value))


def turn(dial: Dial, lines: Lines, value: float) -> Formula:
    """Turn a dial: the lines it moves follow, the others keep their proportions, the size stays.

    Args:
        dial: the dial [Dial].
        lines: the formula as it is [Lines].
        value: where the dial should stand [unit of the dial].
    Returns:
        the formula there, not yet rounded to a scale [Formula].
    Raises:
        CoreError: nothing in it that this dial moves.
        OutOfRange: it cannot be had by these lines; says what can.
    Source:
        root of the figure (scipy brentq).
    """
    kept = lines.mix().finished_g
    if not kept > 0:
        raise Lacking("lines", "Nothing of it weighs anything yet.")
    turned = (
        _cooked(dial, lines, value) if isinstance(dial.lever, Until) else _moved(dial, lines, value)
    )
    return _sized(replace(lines, formula=turned), kept)


def weighable(lines: Lines, formula: Formula) -> Formula:
    """A formula rounded to the scales of its lines.

    Args:
        lines: where its ingredients are looked up [Lines].
        formula: exact grams [Formula].
    Returns:
        the same with grams that can be weighed [Formula].
    Source:
        largest-remainder method; the scales are the pantry's.
    """

    rounded = round_to_scale([line.mass_g for line in formula.lines], lines.steps_g)
    pairs = zip(formula.lines, rounded.masses_g, strict=True)
    return replace(formula, lines=tuple(replace(line, mass_g=own) for line, own in pairs))


def _cooked(dial: Dial, lines: Lines, value: float) -> Formula:
    assert isinstance(dial.lever, Until)
    losses = replace(lines.formula.losses, cooked_to=CookedTo(dial.lever, value))
    formula = replace(lines.formula, losses=losses)
    mix = replace(lines, formula=formula).mix()
    if mix.own.cooking.refusal:
        raise Lacking(dial.figure.code, mix.own.cooking.refusal)
    return formula


def _moved(dial: Dial, lines: Lines, value: float) -> Formula:
    assert not isinstance(dial.lever, Until)
    lever = _levers(dial, lines)
    pairs = tuple(zip(lines.formula.lines, lever, strict=True))
    if not any(one.mass_g for one, moves in pairs if moves):
        raise Lacking("lines", f"It has none of what this dial moves: {', '.join(dial.lever)}.")

    def at(power: float) -> tuple[float, ...]:
        factor = math.exp(power)
        return tuple(one.mass_g * (factor if moves else 1.0) for one, moves in pairs)

    def off(power: float) -> float:
        return dial.figure.value(lines.mix(at(power))) - value

    low, high = _end(off, -1), _end(off, 1)
    ends = sorted((off(low) + value, off(high) + value))
    if not ends[0] <= value <= ends[1]:
        allowed = f"{figure_text(ends[0])} to {figure_text(ends[1])} with these lines"
        raise OutOfRange(dial.figure.code, value, allowed, Limits(ends[0], ends[1]))
    return lines.weighed(at(float(brentq(off, low, high, xtol=1e-12))))


def _levers(dial: Dial, lines: Lines) -> list[bool]:
    """Which lines a dial turns: those of its roles, and the water a gelatin of theirs blooms in."""
    assert not isinstance(dial.lever, Until)
    turned = [role in dial.lever for role in lines.roles]
    if LineRole.GELATIN not in dial.lever:
        return turned
    trios = list(zip(lines.formula.lines, lines.roles, turned, strict=True))
    blooms = {line.stage for line, _, moves in trios if moves and line.stage}
    return [
        moves or (role is LineRole.WATER and line.stage in blooms) for line, role, moves in trios
    ]


def _end(off: Callable[[float], float], side: int) -> float:
    """How far the lines can be moved to a side while the figure can still be read."""
    for factor in FARTHEST:
        power = side * math.log(factor)
        try:
            off(power)
        except CoreError:
            continue
        return power
    return 0.0


def _sized(lines: Lines, finished_g: float) -> Formula:
    """The formula scaled so that so much arrives."""
    factor = finished_g / lines.mix().finished_g
    return lines.weighed(line.mass_g * factor for line in lines.formula.lines)
