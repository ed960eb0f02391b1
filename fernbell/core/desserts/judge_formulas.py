"""Judgements on what a dessert is made of: lines, density, air and kind of its formulas."""

from collections.abc import Iterator

from fernbell.core.desserts.dessert import Dessert
from fernbell.core.desserts.measure import PartResult, Readings
from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas import USUAL_DENSITY, lacks_air, may_do, usual_rule
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE


def judge_formulas(
    dessert: Dessert, parts: tuple[PartResult, ...], readings: Readings
) -> Iterator[Finding]:
    """What there is to say about the formulas of a dessert.

    Args:
        dessert: parts in a mold [Dessert].
        parts: what they measure [g, ml].
        readings: the formulas they are made of, by key [g/ml].
    Returns:
        findings [Finding].
    Source:
        mass balance and common practice; each finding names its own.
    """
    yield from _lines(parts, readings)
    yield from _densities(parts, readings)
    yield from _airs(parts, readings)
    yield from _misfits(dessert, parts, readings)


def _lines(parts: tuple[PartResult, ...], readings: Readings) -> Iterator[Finding]:
    """Formulas of nothing, and lines of nothing that do not say why."""
    first_use = {part.formula: part.part for part in reversed(parts)}
    for key, reading in readings.items():
        name, lines = reading.formula.name, reading.formula.lines
        if not lines:
            yield Finding(
                code="zero-line",
                severity=Severity.WRONG,
                message=f"{name} has no lines yet.",
                why="Nothing weighed brings nothing; scaled, it stays nothing.",
                remedy="Open the formula and type what goes into it.",
                source=MASS_BALANCE,
                part=first_use.get(key),
                formula=key,
            )
        elif any(line.mass_g == 0 and not line.note for line in lines):
            yield Finding(
                code="zero-line",
                severity=Severity.CAUTION,
                message=f"{name} has a line of 0 g.",
                why="Nothing weighed brings nothing; scaled, it stays nothing.",
                remedy="Enter its grams or take the line out.",
                source=MASS_BALANCE,
                part=first_use.get(key),
                formula=key,
            )


def _densities(parts: tuple[PartResult, ...], readings: Readings) -> Iterator[Finding]:
    """Formulas measured by volume whose density is unknown; what is counted needs none."""
    named: set[str] = set()
    for part in parts:
        reading = readings[part.formula]
        unknown = part.volume is not None and reading.density_g_ml is None
        if not unknown or not reading.formula.lines or part.formula in named:
            continue
        named.add(part.formula)
        missing = ", ".join(reading.without_density) or "the density of what is left after cooking"
        yield Finding(
            code="no-density",
            severity=Severity.WRONG,
            message=f"{reading.formula.name} has no density, so its grams are unknown.",
            why=f"Unknown: {missing}. Volume turns into grams only through density.",
            remedy="Weigh a level cup of it and enter grams per millilitre on the formula, "
            "or enter the ingredient's density.",
            source=COMMON_PRACTICE,
            part=part.part,
            formula=part.formula,
        )


def _airs(parts: tuple[PartResult, ...], readings: Readings) -> Iterator[Finding]:
    """Sponges, mousses and meringues measured by volume whose air nobody said."""
    for key in dict.fromkeys(part.formula for part in parts if part.volume is not None):
        formula = readings[key].formula
        if not lacks_air(formula, lambda nested: readings[nested].formula):
            continue
        usual = USUAL_DENSITY[formula.kind]
        yield Finding(
            code="air-unknown",
            severity=Severity.CAUTION,
            message=f"{formula.name} is counted without its air.",
            why=f"A {formula.kind} is mostly air: without it two to three times as much is weighed "
            "as the dessert takes.",
            remedy=f"Open it and weigh a level cup, or take {usual:g} g/ml.",
            source=COMMON_PRACTICE,
            part=next(part.part for part in parts if part.formula == key),
            formula=key,
        )


def _misfits(
    dessert: Dessert, parts: tuple[PartResult, ...], readings: Readings
) -> Iterator[Finding]:
    """Formulas of a kind that does not do what the part is to do."""
    rules = {part.key: part.rule for part in dessert.parts}
    for part in parts:
        formula, rule = readings[part.formula].formula, rules.get(part.part, "")
        if may_do(formula.kind, rule):
            continue
        yield Finding(
            code="kind-job",
            severity=Severity.NOTE,
            message=f"{formula.name} is a {formula.kind}; here it is to be a {rule}.",
            why=f"A {formula.kind} usually serves as {usual_rule(formula.kind)}.",
            remedy="Change what the part does, take another formula, or say its kind otherwise.",
            source=COMMON_PRACTICE,
            part=part.part,
            formula=part.formula,
        )
