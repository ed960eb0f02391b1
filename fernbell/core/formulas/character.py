"""All readings of one formula, each with its window."""

from dataclasses import dataclass, replace

from fernbell.core.formulas.book import Book
from fernbell.core.formulas.bringing import Brings, brings
from fernbell.core.formulas.composition import Composition, compose
from fernbell.core.formulas.contents import contents
from fernbell.core.formulas.eggs import EggAccount, egg_account
from fernbell.core.formulas.gauge import Gauge
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

    `brings` stands beside the lines.
    """

    reading: FormulaReading
    composition: Composition
    gauges: tuple[Gauge, ...]
    judged: tuple[Judged, ...]
    declared: Declared
    brings: tuple[Brings, ...]
    eggs: EggAccount | None


def characterize(
    book: Book,
    key: str,
    kind: str = "",
    steps: tuple[Step, ...] = (),
    *,
    altitude_m: float = 0.0,
    currency: str = "",
) -> Character:
    """Read everything there is to read of a formula.

    Args:
        book: a settled book with make-ups, prices and allergens [Book].
        key: the formula [key].
        kind: its kind, whose windows are used [text].
        steps: its method, shape (n,) [Step].
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
    own = made[key]
    gauges: tuple[Gauge, ...] = ()
    if own.mass_g > 0:
        gauges = _gauges(own, kind, costs(book, readings, currency)[key], altitude_m)
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
    )


def _gauges(own: Composition, kind: str, cost: Gauge, altitude_m: float) -> tuple[Gauge, ...]:
    read = (
        *contents(own),
        sweetness(own),
        *setting(own),
        *waters(own, altitude_m, boiled=kind not in BAKED),
        energy(own),
        cost,
    )
    windows = windows_of(kind)
    return tuple(
        replace(one, window=windows[one.code]) if one.code in windows else one for one in read
    )
