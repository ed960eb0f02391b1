"""What there is to say about a formula: readings outside their windows, each with its remedy."""

import re
from collections.abc import Iterable, Iterator, Mapping
from dataclasses import dataclass

from fernbell.core.findings import Finding, Severity
from fernbell.core.formulas.airy import USUAL_BAKED_OFF, USUAL_DENSITY, lacks_air
from fernbell.core.formulas.book import Book, Formula
from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.figures import Figure
from fernbell.core.formulas.gauge import Gauge, Verdict
from fernbell.core.formulas.kinds import BAKED
from fernbell.core.formulas.mending import Mend, by_several, mends
from fernbell.core.formulas.method import Step
from fernbell.core.formulas.mix import Lines
from fernbell.core.pantry import ChocolateKind, LineRole, role_of
from fernbell.core.working import COMMON_PRACTICE, figure_text
from fernbell.starter.practice import practice

EGG_SAFE_C = practice("egg safe")
PASTEURIZES = ((63.3, 3.5), (62.2, 6.2))
"""Held so hot for so long egg counts as pasteurized [°C, min]: the pairs of sugared yolk, the
strictest of those for egg without salt; 9 CFR 590.570, 146 °F and 144 °F, from memory."""

_PASTEURIZED = re.compile(r"\bpasteurized\b", re.IGNORECASE)
"""A step that says so of what goes in at it; 'unpasteurized' does not."""

_FSIS = (
    "USDA FSIS: egg dishes to 71 °C; 9 CFR 590.570 for pasteurized egg; both from memory. Local "
    "codes and the kitchen's own food-safety plan go first"
)


@dataclass(frozen=True, slots=True)
class Judged:
    """A finding, the change that mends it where one can, and the other way to do it."""

    finding: Finding
    mend: Mend | None = None
    other: Mend | None = None


def judge_formula(
    lines: Lines,
    kind: str,
    gauges: Iterable[Gauge],
    steps: Iterable[Step] = (),
    figures: Iterable[Figure] = (),
) -> tuple[Judged, ...]:
    """Everything there is to say about a formula.

    Args:
        lines: the formula [Lines].
        kind: its kind, such as 'mousse' [text].
        gauges: its readings with their windows, shape (n,) [Gauge].
        steps: its method, shape (n,) [Step].
        figures: what else is read, such as the dial of its job, shape (m,) [Figure].
    Returns:
        findings with their remedies [Judged].
    Source:
        common practice; each finding names its own.
    """
    book, formula = lines.book, lines.formula
    return (
        *_windows(lines, gauges, {figure.code: figure for figure in figures}),
        *_air(book, formula),
        *_baking(formula),
        *_cooking(formula, lines.as_is.own),
        *_chocolates(book, formula, kind, tuple(steps)),
        *_raw_egg(book, formula, kind, tuple(steps)),
    )


def _windows(
    lines: Lines, gauges: Iterable[Gauge], figures: Mapping[str, Figure]
) -> Iterable[Judged]:
    faults: dict[object, list[_Fault]] = {}
    for gauge in gauges:
        if gauge.verdict not in (None, Verdict.WITHIN):
            ways = mends(lines, gauge, figures.get(gauge.code))
            moved = _moved(lines.formula, gauge, ways)
            faults.setdefault(moved, []).append(_Fault(gauge, ways))
    return (_judged(lines, several, figures) for several in faults.values())


@dataclass(frozen=True, slots=True)
class _Fault:
    """A reading outside its window, and the ways that bring it back."""

    gauge: Gauge
    ways: tuple[Mend, ...]


def _moved(formula: Formula, gauge: Gauge, ways: tuple[Mend, ...]) -> object:
    """What mends it, and in which direction: faults that share it are one."""
    first = ways[0] if ways else None
    if first is None or first.line is None or first.mass_g is None:
        return gauge.code
    now = next(line.mass_g for line in formula.lines if line.key == first.line)
    return first.line, first.mass_g > now


def _judged(lines: Lines, faults: list[_Fault], figures: Mapping[str, Figure]) -> Judged:
    """One card a fault: of several readings that one line mends, what mends them all."""
    formula, window = lines.formula, faults[0].gauge.window
    assert window
    ways = faults[0].ways
    if len(faults) > 1:
        now = next(line.mass_g for line in formula.lines if line.key == ways[0].line)
        furthest = max(
            (fault.ways[0] for fault in faults), key=lambda way: abs((way.mass_g or 0.0) - now)
        )
        ways = (furthest,)
    first = faults[0].gauge
    remedy = f"{ways[0].says}." if ways else by_several(lines, first, figures.get(first.code))
    finding = Finding(
        code=f"reading-{faults[0].gauge.code}",
        severity=Severity.CAUTION,
        message=f"{'; '.join(_outside(fault.gauge) for fault in faults)}.",
        why=" ".join(
            dict.fromkeys(fault.gauge.window.why for fault in faults if fault.gauge.window)
        ),
        remedy=remedy,
        source=window.source,
        formula=formula.key,
    )
    return Judged(finding, *ways[:2])


def _outside(gauge: Gauge) -> str:
    """'Gelatin on the water: 4 %, above 2.2 %'."""
    assert gauge.window
    assert gauge.working
    below = gauge.verdict is Verdict.BELOW
    edge = gauge.window.least if below else gauge.window.most
    unit = f" {gauge.working.unit}" if gauge.working.unit == "%" else ""
    figure = _as_shown(gauge, edge or 0.0)
    return f"{gauge.name}: {figure}{unit}, {'below' if below else 'above'} {edge:g}{unit}"


def _as_shown(gauge: Gauge, edge: float) -> str:
    """The digits of the reading; more only where it would read as its edge."""
    assert gauge.working
    for places in range(gauge.places, gauge.places + 4):
        said = float(f"{gauge.working.value:.{places}f}")
        if said != edge:
            return f"{said:g}"
    return figure_text(gauge.working.value)


def _air(book: Book, formula: Formula) -> Iterator[Judged]:
    if not lacks_air(formula, book.formula):
        return
    usual = USUAL_DENSITY[formula.kind]
    yield Judged(
        Finding(
            code="air-unknown",
            severity=Severity.CAUTION,
            message=f"How much air is in this {formula.kind}?",
            why="Its volume is counted without air: a dessert would take two to three times as "
            "much of it.",
            remedy="Weigh a level cup of it and enter the density under ‘Losses and air’, or write "
            "the air beaten into a line.",
            source=f"a cup weighed; {usual:g} g/ml is {COMMON_PRACTICE}",
            formula=formula.key,
        ),
        Mend(f"Take {usual:g} g/ml", measured_density_g_ml=usual),
    )


def _baking(formula: Formula) -> Iterator[Judged]:
    losses = formula.losses
    usual = USUAL_BAKED_OFF.get(formula.kind)
    if usual is None or not formula.lines or losses.cooking_percent or losses.cooked_to:
        return
    yield Judged(
        Finding(
            code="baking-unknown",
            severity=Severity.CAUTION,
            message=f"How much bakes off this {formula.kind}?",
            why="Its water is counted as if it were raw: it weighs less, and is drier, baked.",
            remedy="Weigh it before and after the oven and enter what cooks off under ‘Losses and "
            "air’.",
            source=f"a tray weighed; {usual:g} % is {COMMON_PRACTICE}",
            formula=formula.key,
        ),
        Mend(f"Take {usual:g} %", cooking_percent=usual),
    )


def _cooking(formula: Formula, own: Composition) -> Iterator[Judged]:
    if own.cooking.refusal:
        yield Judged(
            Finding(
                code="cooking-sign",
                severity=Severity.CAUTION,
                message="What cooks off cannot be worked out from its sign.",
                why=own.cooking.refusal,
                remedy="Check the sign it is cooked to, and the make-ups of its lines.",
                source="mass balance; boiling curve",
                formula=formula.key,
            )
        )
    if own.overcooked:
        names = ", ".join(own.overcooked)
        yield Judged(
            Finding(
                code="overcooked",
                severity=Severity.WRONG,
                message=f"More cooks off than there is water in {names}.",
                why="What cooks off is water; there is not that much of it.",
                remedy="Lower what is cooked off.",
                source="mass balance, exact",
                formula=formula.key,
            )
        )


def _chocolates(
    book: Book, formula: Formula, kind: str, steps: tuple[Step, ...]
) -> Iterator[Judged]:
    own = [book.ingredient(line.ingredient) for line in formula.lines if line.ingredient]
    kinds = {one.chocolate.kind for one in own if one.chocolate}
    if ChocolateKind.COMPOUND not in kinds:
        return
    if len(kinds) > 1:
        message, why = (
            "Compound and couverture in one pot.",
            "Compound holds another fat than cocoa butter: together they stay soft and bloom.",
        )
        remedy = "Use one or the other."
    elif kind == "chocolate" and any("temper" in step.stage.lower() for step in steps):
        message = "Compound is not tempered."
        why = "Only cocoa butter has to crystallize in one form; compound sets by itself."
        remedy = "Melt to 40-45 °C and work at 35-40 °C."
    else:
        return
    yield Judged(
        Finding(
            code="compound",
            severity=Severity.CAUTION if len(kinds) > 1 else Severity.NOTE,
            message=message,
            why=why,
            remedy=remedy,
            source=COMMON_PRACTICE,
            formula=formula.key,
        )
    )


def _is_safe(stage: str, steps: tuple[Step, ...]) -> bool:
    """Whether egg goes in pasteurized, or a step from there on heats it; any, where it is not said
    at which it goes in.
    """
    first = next((place for place, step in enumerate(steps) if stage and step.stage == stage), 0)
    own = [step for step in steps if not stage or step.stage == stage]
    pasteurized = any(_PASTEURIZED.search(step.text) for step in own)
    return pasteurized or any(_makes_safe(step) for step in steps[first:])


def _makes_safe(step: Step) -> bool:
    """Whether a step heats egg enough."""
    hot, minutes = step.temperature_c, step.minutes or 0.0
    if hot is None:
        return False
    return hot >= EGG_SAFE_C or any(hot >= c and minutes >= held for c, held in PASTEURIZES)


def _raw_egg(book: Book, formula: Formula, kind: str, steps: tuple[Step, ...]) -> Iterator[Judged]:
    eggs = [
        book.line_name(line)
        for line in formula.lines
        if line.ingredient and "eggs" in (book.ingredient(line.ingredient).allergens or ())
        if not _is_safe(line.stage, steps)
        and role_of(book.ingredient(line.ingredient)) is not LineRole.CRUMB
    ]
    if not eggs or kind in BAKED:
        return
    yield Judged(
        Finding(
            code="raw-egg",
            severity=Severity.NOTE,
            message=f"No step heats the {' and '.join(eggs).lower()} to {EGG_SAFE_C:g} °C.",
            why="Raw or lightly cooked egg may carry salmonella.",
            remedy="Use pasteurized egg, or write the temperature into the step that cooks it; "
            f"{PASTEURIZES[0][0]:g} °C held {PASTEURIZES[0][1]:g} min counts too.",
            source=_FSIS,
            formula=formula.key,
        )
    )
