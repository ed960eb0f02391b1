"""What a method says, step by step, against what is in the bowl at that moment."""

import re
from collections.abc import Iterator

from fernbell.core.families.agreeing import WORKED, stage_boils
from fernbell.core.families.altitude import BOILING
from fernbell.core.families.folding import judge_fold
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import Lines, Step, WaitKind
from fernbell.core.formulas.judging import Judged
from fernbell.core.heat import CARAMEL_FROM_C, SYRUP_SOURCE
from fernbell.core.pantry import Temper
from fernbell.core.working import COMMON_PRACTICE

OFF_BY_C = 2.0
"""How far a boiling temperature may be from what it boils at; a thermometer's own error."""
TEMPER_OFF_BY_C, SCORCHES_OVER_C = 1.0, 8.0
"""How far from its own figures couverture is worked, and melted; common practice."""
_FROZEN = re.compile(r"\b(frozen|freeze|freezer)\b", re.IGNORECASE)
_CHILLED_C = (-4.0, 12.0)


def judge_steps(kind: str, lines: Lines, steps: tuple[Step, ...]) -> tuple[Judged, ...]:
    """What a method says that cannot be, or should not.

    Args:
        kind: kind of the formula [text].
        lines: the formula [Lines].
        steps: its method, shape (n,) [Step].
    Returns:
        findings: folding, boiling, tempering, freezing [Judged].
    Source:
        windows of common practice; the boiling curve of syrups; the figures of the couverture.
    """
    return (
        *judge_fold(kind, lines, steps),
        *_boiling(lines, steps),
        *_couverture(lines, steps),
        *_freezing(lines, steps),
    )


def _boiling(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Judged]:
    if lines.formula.losses.cooked_to is not None:
        # It is cooked until a sign: how far is worked out from that, not from the step.
        return
    for place, step in enumerate(steps):
        least, most = step.temperature_c, step.warmest_c
        if step.stage not in BOILING or least is None or most is None:
            continue
        boils = stage_boils(step.stage, lines)
        if boils is None or most > CARAMEL_FROM_C - 3 or most < boils or least - boils < OFF_BY_C:
            continue
        yield _found(
            lines,
            "step-boils",
            f"{_named(step, place)} says {least:g} °C; as much as cooks off, it boils at "
            f"{boils:g} °C.",
            "A syrup is as hot as what is dissolved in it makes it boil: hotter, more water is "
            "gone than is written.",
            f"Write {boils:g} °C, or enter ‘cooked to {least:g} °C’ under ‘Losses and air’.",
            SYRUP_SOURCE,
        )


def _couverture(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Judged]:
    temper, name = _temper(lines)
    if temper is None:
        return
    for place, step in enumerate(steps):
        least, most = step.temperature_c, step.warmest_c
        if least is None or most is None:
            continue
        worked = step.stage in WORKED and not least - 0.5 <= temper.work_c <= most + 0.5
        if worked and min(abs(one - temper.work_c) for one in (least, most)) > TEMPER_OFF_BY_C:
            yield _found(
                lines,
                "step-temper",
                f"{_named(step, place)} says {least:g} °C; {name} is worked at {temper.work_c:g} "
                "°C.",
                "Warmer it loses its temper and blooms, cooler it thickens.",
                f"Write {temper.work_c:g} °C; the figure on the pack goes first.",
                "the pantry's figures of the couverture",
            )
        if step.stage == "melt" and least > temper.melt_c + SCORCHES_OVER_C:
            yield _found(
                lines,
                "step-scorches",
                f"{_named(step, place)} says {least:g} °C; {name} is melted to {temper.melt_c:g} "
                "°C.",
                "Hotter it thickens and scorches, the milk solids of milk and white first.",
                f"Write {temper.melt_c:g} °C.",
                "the pantry's figures of the couverture",
            )


def _temper(lines: Lines) -> tuple[Temper | None, str]:
    for line in lines.formula.lines:
        if line.ingredient is not None:
            one = lines.book.ingredient(line.ingredient)
            if one.chocolate is not None and one.chocolate.temper is not None:
                return one.chocolate.temper, one.name
    return None, ""


def _freezing(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Judged]:
    for place, step in enumerate(steps):
        hot, (least, most) = step.temperature_c, _CHILLED_C
        freezes = bool(_FROZEN.search(step.text)) or (
            step.wait is not None and step.wait.kind is WaitKind.FREEZE
        )
        if hot is None or not freezes or not least < hot < most:
            continue
        yield _found(
            lines,
            "step-frozen",
            f"{_named(step, place)} freezes at {hot:g} °C.",
            "That is a fridge: it sets there and does not freeze.",
            "Write −18 °C for a freezer, −30 to −40 °C for a blast freezer.",
            COMMON_PRACTICE,
        )


def _named(step: Step, place: int) -> str:
    return f"Step {place + 1}, {step.stage}," if step.stage else f"Step {place + 1}"


def _found(lines: Lines, code: str, message: str, why: str, remedy: str, source: str) -> Judged:
    return Judged(
        Finding(code, Severity.CAUTION, message, why, remedy, source, formula=lines.formula.key)
    )
