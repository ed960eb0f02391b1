"""Judgements on a dessert, each with its reason and what to do about it."""

from collections.abc import Iterable, Iterator

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.holding import judge_held
from fernbell.core.desserts.judge_formulas import judge_formulas
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import Batch
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE, Working, figure_text

_ORDER = {Severity.WRONG: 0, Severity.CAUTION: 1, Severity.NOTE: 2}


def judge(made: MeasuredDessert, portion: Working | None) -> tuple[Finding, ...]:
    """Everything there is to say about a dessert.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        portion: working of one portion's weight [g].
    Returns:
        findings [Finding].
    Source:
        geometry and common practice; each finding names its own.
    """
    return (
        *(finding for part in made.body.parts for finding in part.judge(made)),
        *judge_held(made),
        *judge_formulas(made.dessert, made.parts, made.near.readings),
        *_portion(portion, made.division.count, made.body),
    )


def worst_first(findings: Iterable[Finding]) -> tuple[Finding, ...]:
    """Findings in the order in which they are to be read.

    Args:
        findings: in any order [Finding].
    Returns:
        the worst first, otherwise as they came [Finding].
    Source:
        definition.
    """
    return tuple(sorted(findings, key=lambda one: _ORDER[one.severity]))


def _portion(portion: Working | None, count: int, body: Body) -> Iterator[Finding]:
    if portion is None or body.mold.longest_mm < practice.PETIT_FOUR_BELOW.value:
        return
    light, heavy = practice.PORTION_LEAST, practice.PORTION_MOST
    if light.value <= portion.value <= heavy.value:
        return
    middle = (light.value + heavy.value) / 2
    word = "light" if portion.value < light.value else "heavy"
    better = max(1, round(portion.value * count / middle))
    size = "higher or wider" if word == "light" else "lower or narrower"
    # What one person is served in its own mold is not cut in two.
    alone = better == count or (count == 1 and body.is_individual)
    yield Finding(
        code=f"portion-{word}",
        severity=Severity.CAUTION,
        message=f"A portion of {figure_text(portion.value)} g is {word}.",
        why=f"A plated slice weighs {figure_text(light.value)} to {figure_text(heavy.value)} g.",
        remedy=f"Use a {size} mold." if alone else f"Cut {better} instead of {count}.",
        source=COMMON_PRACTICE,
    )


def judge_batches(made: tuple[Batch, ...]) -> Iterator[Finding]:
    """What rounding to the scale does to the batches.

    Args:
        made: the batches as they are weighed [g].
    Returns:
        findings [Finding].
    Source:
        common practice; each finding names its own.
    """
    for batch in made:
        name, rounded = batch.formula.name, batch.rounded
        if abs(rounded.drift_percent) > practice.DRIFT_MOST.value:
            yield Finding(
                code="drift",
                severity=Severity.CAUTION,
                message=f"Rounding moves {name} by {figure_text(rounded.drift_percent)} %.",
                why=f"{figure_text(rounded.batch_g - rounded.drift_g)} g become "
                f"{figure_text(rounded.batch_g)} g on this scale.",
                remedy="Weigh on a finer scale, or make a larger batch.",
                source=MASS_BALANCE,
                formula=batch.formula.key,
            )
        weighed = zip(batch.weighed, batch.exact_g, rounded.masses_g, batch.steps_g, strict=True)
        for line, exact_g, mass_g, step_g in weighed:
            off = abs(mass_g - exact_g)
            if exact_g and off / exact_g * 100 > practice.LINE_DRIFT_MOST.value:
                lost = mass_g == 0
                yield Finding(
                    code="zero-line" if lost else "line-drift",
                    severity=Severity.CAUTION if lost else Severity.NOTE,
                    message=f"{line.name} in {name}: {figure_text(exact_g)} g "
                    f"{'rounds to nothing' if lost else f'becomes {mass_g:g} g'}.",
                    why=f"It is weighed in steps of {step_g:g} g.",
                    remedy="Weigh it on a finer scale, or make a larger batch.",
                    source=MASS_BALANCE,
                    formula=batch.formula.key,
                )
