"""All readings of one formula, each with its window."""

from collections.abc import Mapping
from dataclasses import dataclass, replace

from fernbell.core.errors import CoreError
from fernbell.core.formulas.book import Book
from fernbell.core.formulas.bringing import Brings, brings
from fernbell.core.formulas.composition import Composition, compose
from fernbell.core.formulas.contents import contents
from fernbell.core.formulas.eggs import EggAccount, egg_account
from fernbell.core.formulas.figures import Figure, Lines, Mix
from fernbell.core.formulas.gauge import Gauge, Section, Window
from fernbell.core.formulas.judging import BAKED, Judged, judge_formula
from fernbell.core.formulas.labels import Declared, costs, declared, energy
from fernbell.core.formulas.method import Step
from fernbell.core.formulas.readings import FormulaReading, read_formulas
from fernbell.core.formulas.setting import setting
from fernbell.core.formulas.sweetness import sweetness
from fernbell.core.formulas.waters import waters
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
    readings = read_formulas(book, [key])
    made = compose(book, [key], altitude_m=altitude_m)
    own, lines = made[key], Lines(book, book.formula(key), made, altitude_m)
    gauges: tuple[Gauge, ...] = ()
    if own.mass_g > 0:
        mix = Mix(lines, tuple(one.mass_g for one in lines.formula.lines), own)
        cost = costs(book, readings, currency)[key]
        gauges = _gauges(own, kind, mix.coating_g, cost, altitude_m)
        gauges += _more(mix, figures, gauges)
        gauges = _windowed(gauges, windows_of(kind) if windows is None else windows)
    judged = judge_formula(
        book, book.formula(key), kind, gauges, made, steps, altitude_m=altitude_m
    )
    formula = readings[key].formula
    return Character(
        readings[key],
        own,
        gauges,
        judged,
        declared(book, tuple(readings)),
        tuple(brings(book, line, made) for line in formula.lines),
        egg_account(
            (book.ingredient(line.ingredient), line.mass_g)
            for line in formula.lines
            if line.ingredient
        ),
        lines,
    )


def _gauges(
    own: Composition, kind: str, coating_g: float, cost: Gauge, altitude_m: float
) -> tuple[Gauge, ...]:
    return (
        *contents(own),
        sweetness(own),
        *setting(own, coating_g),
        *waters(own, altitude_m, boiled=kind not in BAKED),
        energy(own),
        cost,
    )


def _more(mix: Mix, figures: tuple[Figure, ...], there: tuple[Gauge, ...]) -> tuple[Gauge, ...]:
    """Readings of figures that are not there yet."""
    codes = {one.code for one in there}
    return tuple(_gauge(mix, one) for one in figures if one.code not in codes)


def _gauge(mix: Mix, figure: Figure) -> Gauge:
    named = (figure.code, figure.name, Section.DOES)
    try:
        working = figure.working(mix)
    except CoreError as error:
        return Gauge(*named, None, figure.source, refusal=str(error))
    return Gauge(*named, working, figure.source)


def _windowed(gauges: tuple[Gauge, ...], windows: Mapping[str, Window]) -> tuple[Gauge, ...]:
    return tuple(
        replace(one, window=windows[one.code]) if one.code in windows else one for one in gauges
    )
