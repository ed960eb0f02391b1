"""What a formula is: its batch, what of it arrives, its density with air."""

from collections.abc import Iterable
from dataclasses import dataclass
from functools import lru_cache

from fernbell.core.errors import MissingDensity, check_range
from fernbell.core.formulas.air import Aerated, fold
from fernbell.core.formulas.airy import gas_kept
from fernbell.core.formulas.book import Book, Formula, Line, Losses, refuse_circle
from fernbell.core.working import (
    MASS_BALANCE,
    VOLUME_BALANCE,
    Given,
    Working,
    figure_text,
)

WATER_G_ML = 1.0
"""What boils off is water; counted at 1.00 g/ml (0.998 at 20 °C), as a cook's scale would."""


@dataclass(frozen=True, slots=True)
class FormulaReading:
    """A formula read at its own size; masses in g, density None while it is unknown.

    `percents` stand beside the lines; `without_density` names what keeps the density unknown,
    `gas_kept` is what is left of its air [0 to 1], `raw_g_ml` its density before it is cooked,
    None where a density of its lines is unknown.
    """

    formula: Formula
    batch_g: float
    finished_g: float
    percents: tuple[float | None, ...]
    body: Aerated | None
    density_g_ml: float | None
    without_density: tuple[str, ...]
    gas_kept: float
    finished_working: Working
    density_working: Working | None
    raw_g_ml: float | None = None


def building_order(book: Book, keys: Iterable[str]) -> tuple[str, ...]:
    """Formulas in the order they are made: each after everything that goes into it.

    Args:
        book: where the formulas are looked up [Book].
        keys: the formulas wanted, in the order wanted [keys].
    Returns:
        keys, each once, the nested ones included [keys].
    Raises:
        FormulaCircle: one of them contains itself.
    Source:
        topological order by depth-first search.
    """
    order: dict[str, None] = {}

    def visit(key: str) -> None:
        if key not in order:
            for part in book.parts_of(key):
                visit(part)
            order[key] = None

    for key in keys:
        refuse_circle(book, key)
        visit(key)
    return tuple(order)


def finished_share(losses: Losses) -> float:
    """Share of the weighed batch that arrives: (1 - cooking)(1 - pan - tasting).

    Args:
        losses: the three losses [%].
    Returns:
        share [0 to 1].
    Source:
        mass balance; the sizes of the losses are common practice, set per formula.
    """
    left = 1 - losses.cooking_percent / 100
    return left * (1 - (losses.pan_percent + losses.tasting_percent) / 100)


def factor_to_mass(reading: FormulaReading, finished_g: float) -> float:
    """Factor that scales a formula to a finished mass; f = wanted / finished.

    Args:
        reading: the formula at its own size [FormulaReading].
        finished_g: mass wanted after all losses [g].
    Returns:
        factor on every line [1].
    Raises:
        OutOfRange: nothing wanted, or a formula that weighs nothing.
    Source:
        mass balance.
    """
    check_range("finished_g", finished_g, most=1e8)
    check_range("batch_g", reading.finished_g, most=1e8, open_least=True)
    return finished_g / reading.finished_g


def factor_to_volume(reading: FormulaReading, volume_ml: float) -> float:
    """Factor that scales a formula to a finished volume; f = volume x density / finished.

    Args:
        reading: the formula at its own size [FormulaReading].
        volume_ml: volume wanted, air included [ml].
    Returns:
        factor on every line [1].
    Raises:
        MissingDensity: the density is unknown.
        OutOfRange: a negative volume, or a formula that weighs nothing.
    Source:
        volume and mass balance.
    """
    check_range("volume_ml", volume_ml, most=1e8)
    if reading.density_g_ml is None:
        raise MissingDensity(reading.formula.name)
    return factor_to_mass(reading, volume_ml * reading.density_g_ml)


def read_formulas(book: Book, keys: Iterable[str]) -> dict[str, FormulaReading]:
    """Read formulas and everything nested in them.

    Args:
        book: where formulas and ingredients are looked up [Book].
        keys: the formulas wanted [keys].
    Returns:
        readings by key, in building order [g, g/ml].
    Raises:
        FormulaCircle: one of them contains itself.
        UnknownKey: a line points at nothing.
    Source:
        volume and mass balance; folding share and overruns are common practice.
    """
    readings: dict[str, FormulaReading] = {}
    for key in building_order(book, keys):
        formula = book.formula(key)
        kept = [line for line in formula.lines if line.passes]
        bodies = tuple([_line_body(book, line, readings) for line in kept])
        missing: tuple[str, ...] = ()
        if None in bodies:
            pairs = zip(kept, bodies, strict=True)
            missing = tuple(book.line_name(line) for line, body in pairs if body is None)
        readings[key] = _read(formula, bodies, missing, gas_kept(book, formula))
    return readings


# A dessert is solved over and over while it is drawn, and its formulas rarely change meanwhile.
@lru_cache(maxsize=4096)
def _read(
    formula: Formula,
    bodies: tuple[Aerated | None, ...],
    missing: tuple[str, ...],
    kept: float,
) -> FormulaReading:
    batch = sum(line.mass_g for line in formula.lines)
    finished = sum(line.goes_in_g for line in formula.lines) * finished_share(formula.losses)
    known = [one for one in bodies if one is not None]
    body = None if missing else _cooked(formula, known, kept)
    density = formula.measured_density_g_ml or (body.density_g_ml if body else None)
    return FormulaReading(
        formula=formula,
        batch_g=batch,
        finished_g=finished,
        percents=_percents(formula, batch),
        body=_as_measured(body, density),
        density_g_ml=density,
        without_density=() if density else missing,
        gas_kept=kept,
        finished_working=finished_working(formula),
        density_working=_density_working(formula, body, density, kept),
        raw_g_ml=None if missing or not batch else fold(known, kept).density_g_ml,
    )


def _line_body(book: Book, line: Line, known: dict[str, FormulaReading]) -> Aerated | None:
    mass = line.mass_g * line.passes
    if mass == 0:
        return Aerated(0.0, 0.0)
    if line.formula is not None:
        reading = known[line.formula]
        if reading.body is None or reading.body.mass_g == 0:
            return None
        share = mass / reading.body.mass_g
        gas_free, gas = reading.body.gas_free_ml * share, reading.body.gas_ml * share
    else:
        density = book.ingredient(line.ingredient or "").density_g_ml
        if density is None:
            return None
        gas_free, gas = mass / density, 0.0
    gas_free += line.water_g * line.passes / WATER_G_ML
    return Aerated(line.goes_in_g, gas_free, gas + gas_free * line.overrun_percent / 100)


def _cooked(formula: Formula, bodies: list[Aerated], kept: float) -> Aerated | None:
    """All lines folded together, less the water that cooking drove off; None if nothing is left."""
    mixed = fold(bodies, kept)
    boiled_off = mixed.mass_g * formula.losses.cooking_percent / 100
    gas_free = mixed.gas_free_ml - boiled_off / WATER_G_ML
    if gas_free <= 0:
        return None
    return Aerated(mixed.mass_g - boiled_off, gas_free, mixed.gas_ml)


def _as_measured(body: Aerated | None, density: float | None) -> Aerated | None:
    """The body at its measured density; lightness counts as gas only where air was beaten in."""
    if density is None:
        return None
    if body is None:
        return Aerated(1.0, 1.0 / density)
    volume = body.mass_g / density
    gas_free = min(body.gas_free_ml, volume) if body.gas_ml else volume
    return Aerated(body.mass_g, gas_free, volume - gas_free)


def _percents(formula: Formula, batch_g: float) -> tuple[float | None, ...]:
    base = batch_g
    if formula.base_lines:
        base = sum(line.mass_g for line in formula.lines if line.key in formula.base_lines)
    return tuple(100 * line.mass_g / base if base else None for line in formula.lines)


def finished_working(formula: Formula) -> Working:
    """What arrives of a formula at its own size.

    Args:
        formula: the formula [Formula].
    Returns:
        the working [g].
    Source:
        mass balance; the losses are set on the formula.
    """
    losses = formula.losses
    batch = sum(line.mass_g for line in formula.lines)
    soaked = sum(line.water_g for line in formula.lines)
    strained = sum((one.mass_g + one.water_g) * (1 - one.passes) for one in formula.lines)
    finished = (batch + soaked - strained) * finished_share(losses)
    pan, tasting = losses.pan_percent, losses.tasting_percent
    cooked = 1 - losses.cooking_percent / 100
    terms = ((" + soaked up", soaked), (" − strained out", strained))
    told = [(name, grams) for name, grams in terms if grams]
    law = "weighed" + "".join(name for name, _ in told)
    own = figure_text(batch) + "".join(name[:3] + figure_text(grams) for name, grams in told)
    kept, weighed = (f"({text})" if told else text for text in (law, own))
    return Working(
        figure=f"{formula.name}, finished",
        value=finished,
        unit="g",
        given=(
            Given("weighed", batch, "g"),
            *(Given(name[3:], grams, "g") for name, grams in told),
            Given("lost in cooking", losses.cooking_percent, "%"),
            Given("left in the pan", pan, "%"),
            Given("tasted", tasting, "%"),
        ),
        law=f"finished = {kept} × (1 − cooking) × (1 − pan − tasting)",
        arithmetic=f"{weighed} × {figure_text(cooked)} × "
        f"{figure_text(1 - (pan + tasting) / 100)} = {figure_text(finished)} g",
        source=MASS_BALANCE + "; the losses are set on the formula",
    )


def _density_working(
    formula: Formula, body: Aerated | None, density: float | None, kept: float
) -> Working | None:
    if density is None:
        return None
    if formula.measured_density_g_ml is not None:
        return Working(
            figure=f"Density of {formula.name}",
            value=density,
            unit="g/ml",
            given=(Given("weighed cup", density, "g/ml"),),
            law="measured: mass of a filled cup / its volume",
            arithmetic=f"{figure_text(density)} g/ml, as entered",
            source="measured in this kitchen",
        )
    assert body is not None
    return Working(
        figure=f"Density of {formula.name}",
        value=density,
        unit="g/ml",
        given=(
            Given("mass", body.mass_g, "g"),
            Given("volume without air", body.gas_free_ml, "ml"),
            Given("air kept", body.gas_ml, "ml"),
            Given("share of the air kept in folding", 100 * kept, "%"),
        ),
        law="density = mass / (volume without air + air kept); volumes add, densities do not",
        arithmetic=f"{figure_text(body.mass_g)} / ({figure_text(body.gas_free_ml)} + "
        f"{figure_text(body.gas_ml)}) = {figure_text(density)} g/ml",
        source=VOLUME_BALANCE,
    )


def volume_working(reading: FormulaReading) -> Working | None:
    """Working of the finished volume; None while the density is unknown.

    V = finished mass / density

    Args:
        reading: the formula at its own size [FormulaReading].
    Returns:
        the working [ml].
    Source:
        definition.
    """
    density = reading.density_working
    if density is None:
        return None
    volume = reading.finished_g / density.value
    return Working(
        figure=f"Volume of {reading.formula.name}",
        value=volume,
        unit="ml",
        given=(
            Given("finished mass", reading.finished_g, "g"),
            Given("density", density.value, "g/ml"),
        ),
        law="volume = mass / density",
        arithmetic=f"{figure_text(reading.finished_g)} / {figure_text(density.value)} = "
        f"{figure_text(volume)} ml",
        source=MASS_BALANCE,
        steps=(reading.finished_working, density),
    )


def percent_workings(book: Book, reading: FormulaReading) -> tuple[Working | None, ...]:
    """Workings of the percentages beside the lines; None where there is nothing to refer to.

    Args:
        book: where the names of the lines are looked up [Book].
        reading: the formula at its own size [FormulaReading].
    Returns:
        one working a line, shape (n,) [%].
    Source:
        definition.
    """
    formula = reading.formula
    base = [one for one in formula.lines if one.key in formula.base_lines]
    base_name = " and ".join(book.line_name(one) for one in base) or "the whole batch"
    base_g = sum(one.mass_g for one in base) if base else reading.batch_g

    def working(line: Line, percent: float | None) -> Working | None:
        if percent is None:
            return None
        name = book.line_name(line)
        return Working(
            figure=f"{name} on {base_name}",
            value=percent,
            unit="%",
            given=(Given(name, line.mass_g, "g"), Given(base_name, base_g, "g")),
            law=f"grams of the line / grams of {base_name}",
            arithmetic=f"100 × {figure_text(line.mass_g)} / {figure_text(base_g)} = "
            f"{figure_text(percent)} %",
            source=MASS_BALANCE,
        )

    pairs = zip(formula.lines, reading.percents, strict=True)
    return tuple(working(line, percent) for line, percent in pairs)
