"""All readings of one formula, each with its window."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from fernbell.core.formulas.book import Book
from fernbell.core.formulas.bringing import Brings, brings
from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.eggs import EggAccount, egg_account
from fernbell.core.formulas.figures import FIGURES, Figure
from fernbell.core.formulas.gauge import Gauge, Window
from fernbell.core.formulas.judging import Judged, judge_formula
from fernbell.core.formulas.labels import Declared, declared
from fernbell.core.formulas.method import Step
from fernbell.core.formulas.mix import Lines, lines_of
from fernbell.core.formulas.readings import FormulaReading, read_formulas
from fernbell.core.formulas.windows import windows_of


@dataclass(frozen=True, slots=True)
class Character:
    """What a formula is: batch, density, composition, readings, findings, allergens, eggs.

    `brings` stands beside the lines; `lines` are ready to be weighed otherwise.
    """

    reading: FormulaReading
    composition: Composition
    gauges: tuple[Gauge, ...]
    judged: tuple[Judged, ...]
    declared: Declared
    brings: tuple[Brings, ...]
    eggs: EggAccount | None
    lines: Lines


def gauges_of(
    lines: Lines, kind: str, windows: Mapping[str, Window], figures: tuple[Figure, ...] = ()
) -> tuple[Gauge, ...]:
    """Every reading of a formula, each in its window.

    Args:
        lines: the formula [Lines].
        kind: its kind, such as 'mousse' [text].
        windows: by code of the reading [Window].
        figures: what is read whatever it is, such as the dial of its job, shape (m,) [Figure].
    Returns:
        readings; none of what weighs nothing [Gauge].
    Source:
        see each working.
    """
    mix = lines.as_is
    if not mix.own.mass_g > 0:
        return ()
    shown = [
        figure
        for figure in FIGURES.values()
        if figure.shown is not None and figure.shown(mix, kind)
    ]
    shown += [figure for figure in figures if figure not in shown]
    return tuple(
        replace(one.gauge(mix), window=windows[one.code]) if one.code in windows else one.gauge(mix)
        for one in shown
    )


def characterize(
    book: Book,
    key: str,
    kind: str = "",
    steps: tuple[Step, ...] = (),
    *,
    windows: Mapping[str, Window] | None = None,
    figures: tuple[Figure, ...] = (),
    altitude_m: float = 0.0,
    currency: str = "",
) -> Character:
    """Read everything there is to read of a formula.

    Args:
        book: a settled book with make-ups, prices and allergens [Book].
        key: the formula [key].
        kind: its kind, whose windows are used [text].
        steps: its method, shape (n,) [Step].
        windows: by code of the reading, in place of those of its kind [Window].
        figures: what else is read, such as the dial of its job, shape (m,) [Figure].
        altitude_m: height of the kitchen above the sea [m].
        currency: what prices are in [text].
    Returns:
        the readings with their windows, and what there is to say about them [Character].
    Raises:
        FormulaCircle: it contains itself.
        UnknownKey: a line points at nothing.
    Source:
        see each working.
    """
    lines = lines_of(book, key, altitude_m=altitude_m, currency=currency)
    own = windows_of(kind) if windows is None else windows
    return character_of(lines, kind, steps, own, figures)


def character_of(
    lines: Lines,
    kind: str,
    steps: tuple[Step, ...],
    windows: Mapping[str, Window],
    figures: tuple[Figure, ...] = (),
) -> Character:
    """The same of lines that are put together already.

    Args:
        lines: the formula [Lines].
        kind: its kind, such as 'mousse' [text].
        steps: its method, shape (n,) [Step].
        windows: by code of the reading [Window].
        figures: what else is read, such as the dial of its job, shape (m,) [Figure].
    Returns:
        the readings with their windows, and what there is to say about them [Character].
    Source:
        see each working.
    """
    book, formula = lines.book, lines.formula
    readings = read_formulas(book, [formula.key])
    gauges = gauges_of(lines, kind, windows, figures)
    return Character(
        readings[formula.key],
        lines.as_is.own,
        gauges,
        judge_formula(lines, kind, gauges, steps, figures),
        declared(book, tuple(readings)),
        tuple(brings(book, line, lines.made) for line in formula.lines),
        egg_account(
            (book.ingredient(line.ingredient), line.mass_g)
            for line in formula.lines
            if line.ingredient
        ),
        lines,
    )
