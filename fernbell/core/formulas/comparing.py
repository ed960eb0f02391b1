"""Two states of a formula side by side, line by line and reading by reading."""

from collections.abc import Mapping
from dataclasses import dataclass

from fernbell.core.formulas.character import Character
from fernbell.core.formulas.gauge import Gauge, Verdict
from fernbell.core.formulas.mix import Lines
from fernbell.core.working import Working

MOVED = 0.004
"""Share of itself from which a reading of two revisions has moved; less is rounding."""


def moved(was: Working | None, now: Working | None, share: float) -> bool:
    """Whether a reading has moved by more than a share of itself.

    Args:
        was: the reading before, None where there was none [any unit].
        now: the reading after [same unit].
        share: what counts as moved [1].
    Returns:
        true where it has, or where only one of them is known [bool].
    Source:
        definition.
    """
    if was is None or now is None:
        return was is not now
    least = share * max(abs(was.value), abs(now.value), 1e-9)
    return abs(now.value - was.value) > least


@dataclass(frozen=True, slots=True)
class LinePair:
    """One line before and after [g]; None where it was not there."""

    name: str
    before_g: float | None
    after_g: float | None


@dataclass(frozen=True, slots=True)
class GaugePair:
    """One reading before and after, with where each lies, and whether it moved."""

    name: str
    before: Working | None
    after: Working | None
    was: Verdict | None
    now: Verdict | None
    moved: bool


@dataclass(frozen=True, slots=True)
class Comparison:
    """Lines and readings of two states, in the order of the later one."""

    lines: tuple[LinePair, ...]
    gauges: tuple[GaugePair, ...]


def compare(before: Character, after: Character) -> Comparison:
    """Set two states of a formula side by side.

    Lines belong together by what they weigh, the first with the first.

    Args:
        before: the earlier state [Character].
        after: the later state [Character].
    Returns:
        pairs; readings that neither has are left out [g, unit of the reading].
    Source:
        definition.
    """
    old, new = _lines(before.lines), _lines(after.lines)
    keys = tuple(dict.fromkeys((*new, *old)))
    lines = tuple(
        LinePair(
            (new.get(key) or old[key])[0],
            old[key][1] if key in old else None,
            new[key][1] if key in new else None,
        )
        for key in keys
    )
    return Comparison(lines, _gauges(before.gauges, after.gauges))


def _lines(own: Lines) -> Mapping[str, tuple[str, float]]:
    """Name and grams of each line, by what it weighs and how often that came before."""
    named: dict[str, tuple[str, float]] = {}
    for line in own.formula.lines:
        of = line.ingredient or line.formula or ""
        count = sum(key.startswith(f"{of} ") for key in named)
        named[f"{of} {count}"] = (own.book.line_name(line), line.mass_g)
    return named


def _gauges(before: tuple[Gauge, ...], after: tuple[Gauge, ...]) -> tuple[GaugePair, ...]:
    old, new = ({gauge.code: gauge for gauge in gauges} for gauges in (before, after))
    pairs = []
    for code in dict.fromkeys((*new, *old)):
        was, now = old.get(code), new.get(code)
        name = (now or old[code]).name
        pair = GaugePair(
            name,
            was.working if was else None,
            now.working if now else None,
            was.verdict if was else None,
            now.verdict if now else None,
            moved(was.working if was else None, now.working if now else None, MOVED),
        )
        if pair.before or pair.after:
            pairs.append(pair)
    return tuple(pairs)
