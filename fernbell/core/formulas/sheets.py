"""Scaled sheets: every formula once, at the size all its uses ask for."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.eggs import EggAccount, egg_account, whole_factor
from fernbell.core.formulas.readings import FormulaReading, factor_to_mass
from fernbell.core.measures import Rounded, round_to_scale
from fernbell.core.pantry import Ingredient, pieces_in
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

FORMULA_STEP_G = 1.0
"""Step on which a finished preparation is weighed into another; common practice."""


@dataclass(frozen=True, slots=True)
class Wanted:
    """So many finished grams of a formula, and for what."""

    formula: str
    mass_g: float
    purpose: str


@dataclass(frozen=True, slots=True)
class Purpose:
    """One reason a sheet is as large as it is."""

    purpose: str
    mass_g: float


@dataclass(frozen=True, slots=True)
class SheetLine:
    """One line as weighed; `pieces` counts it in the unit it is usually counted in."""

    key: str
    name: str
    formula: str | None
    own_g: float
    exact_g: float
    mass_g: float
    step_g: float
    percent: float | None
    overrun_percent: float
    pieces: tuple[tuple[str, float], ...]
    stage: str = ""
    ingredient: str | None = None


@dataclass(frozen=True, slots=True)
class Sheet:
    """One formula at size: what is weighed, what arrives, and what it is for.

    `spare_g` is what whole eggs make more than was asked for.
    """

    formula: str
    name: str
    factor: float
    finished_g: float
    batch_g: float
    drift_g: float
    drift_percent: float
    lines: tuple[SheetLine, ...]
    uses: tuple[Purpose, ...]
    own_finished: Working
    spare_g: float = 0.0
    eggs: EggAccount | None = None


@dataclass(frozen=True, slots=True)
class Batch:
    """One formula at size, rounded to its scales [g]; what else its sheet says is in `sheet`."""

    reading: FormulaReading
    uses: tuple[Purpose, ...]
    asked: float
    factor: float
    weighed: tuple[Ingredient, ...]
    steps_g: tuple[float, ...]
    exact_g: tuple[float, ...]
    rounded: Rounded

    @property
    def formula(self) -> Formula:
        """What is made."""
        return self.reading.formula

    def sheet(self) -> Sheet:
        """Its scaled sheet [g]."""
        finished, rounded = sum(use.mass_g for use in self.uses), self.rounded
        return Sheet(
            formula=self.formula.key,
            name=self.formula.name,
            factor=self.factor,
            finished_g=finished,
            batch_g=rounded.batch_g,
            drift_g=rounded.drift_g,
            drift_percent=rounded.drift_percent,
            lines=tuple(map(self._line, range(len(self.weighed)))),
            uses=self.uses,
            own_finished=self.reading.finished_working,
            spare_g=finished * (self.factor / self.asked - 1) if self.asked else 0.0,
            eggs=egg_account(zip(self.weighed, rounded.masses_g, strict=True)),
        )

    def _line(self, at: int) -> SheetLine:
        line, one, mass_g = self.formula.lines[at], self.weighed[at], self.rounded.masses_g[at]
        return SheetLine(
            line.key,
            one.name,
            line.formula,
            line.mass_g,
            self.exact_g[at],
            mass_g,
            self.steps_g[at],
            self.reading.percents[at],
            line.overrun_percent,
            tuple([(piece.name, pieces_in(piece, mass_g)) for piece in one.pieces[:1]]),
            line.stage,
            line.ingredient,
        )


def sheets(
    book: Book, readings: Mapping[str, FormulaReading], demands: Sequence[Wanted]
) -> tuple[Sheet, ...]:
    """Merge demands into one sheet a formula, nested formulas included.

    Args:
        book: where ingredients and formulas are looked up [Book].
        readings: the formulas read at their own size, in building order [FormulaReading].
        demands: finished grams wanted, shape (n,) [g].
    Returns:
        sheets in building order; formulas that weigh nothing are left out [Sheet].
    Raises:
        OutOfRange: a demand that is negative or not finite.
    Source:
        mass balance.
    """
    return tuple(batch.sheet() for batch in batches(book, readings, demands))


def batches(
    book: Book, readings: Mapping[str, FormulaReading], demands: Sequence[Wanted]
) -> tuple[Batch, ...]:
    """Merge demands into one batch a formula, nested formulas included.

    A formula's own lines that are formulas are demands too, for their exact grams.

    Args:
        book: where ingredients and formulas are looked up [Book].
        readings: the formulas read at their own size, in building order [FormulaReading].
        demands: finished grams wanted, shape (n,) [g].
    Returns:
        batches in building order; formulas that weigh nothing are left out [Batch].
    Raises:
        OutOfRange: a demand that is negative or not finite.
    Source:
        mass balance.
    """
    wanted: dict[str, list[Purpose]] = {key: [] for key in readings}
    for demand in demands:
        wanted[demand.formula].append(Purpose(demand.purpose, demand.mass_g))
    made: dict[str, Batch] = {}
    for key in reversed(list(readings)):
        reading, uses = readings[key], tuple(wanted[key])
        if not uses or reading.finished_g == 0:
            continue
        made[key] = _batch(book, reading, uses)
        for line, exact_g in zip(reading.formula.lines, made[key].exact_g, strict=True):
            if line.formula is not None:
                wanted[line.formula].append(Purpose(reading.formula.name, exact_g))
    return tuple(made[key] for key in readings if key in made)


def _batch(book: Book, reading: FormulaReading, uses: tuple[Purpose, ...]) -> Batch:
    formula = reading.formula
    asked = factor_to_mass(reading, sum(use.mass_g for use in uses))
    weighed = tuple([_weighed(book, line) for line in formula.lines])
    factor = _factor(formula, weighed, asked)
    exact = tuple([line.mass_g * factor for line in formula.lines])
    steps = tuple([_step(formula, one) for one in weighed])
    rounded = round_to_scale(exact, steps)
    return Batch(reading, uses, asked, factor, weighed, steps, exact, rounded)


def _factor(formula: Formula, weighed: Sequence[Ingredient], asked: float) -> float:
    """The factor asked for, or where eggs stay whole the next at which those of most are."""
    if not formula.whole_eggs or not asked:
        return asked
    pieces = [
        asked * line.mass_g / one.pieces[0].mass_g
        for line, one in zip(formula.lines, weighed, strict=True)
        if one.egg and one.pieces and line.mass_g
    ]
    return whole_factor(asked, max(pieces)) if pieces else asked


def _step(formula: Formula, one: Ingredient) -> float:
    whole = formula.whole_eggs and one.egg and one.pieces
    return one.pieces[0].mass_g if whole else one.weigh_step_g


def _weighed(book: Book, line: Line) -> Ingredient:
    """What a line weighs; a nested formula is weighed like an ingredient of no pieces."""
    if line.ingredient is not None:
        return book.ingredient(line.ingredient)
    nested = book.formula(line.formula or "")
    return Ingredient(nested.key, nested.name, weigh_step_g=FORMULA_STEP_G)


def sheet_working(sheet: Sheet) -> Working:
    """Working of a sheet's size.

    Args:
        sheet: the sheet [Sheet].
    Returns:
        the working of its factor [1].
    Source:
        mass balance.
    """
    own = sheet.own_finished.value
    asked = " + ".join(f"{use.purpose} {figure_text(use.mass_g)}" for use in sheet.uses)
    return Working(
        figure=f"Size of the sheet, {sheet.name}",
        value=sheet.factor,
        unit="× the formula",
        given=tuple(Given(use.purpose, use.mass_g, "g") for use in sheet.uses),
        law="factor = finished grams wanted / finished grams of the formula"
        + (", then to whole eggs" if sheet.spare_g else ""),
        arithmetic=f"({asked}) / {figure_text(own)} = {figure_text(sheet.finished_g / own)}"
        + (f"; whole eggs: {figure_text(sheet.factor)}" if sheet.spare_g else ""),
        source=MASS_BALANCE,
        steps=(sheet.own_finished,),
    )


def batch_working(sheet: Sheet) -> Working:
    """Working of what is weighed in all, and how far rounding moved it.

    Args:
        sheet: the sheet [Sheet].
    Returns:
        the working of the batch [g].
    Source:
        largest-remainder method (Hamilton).
    """
    exact = sheet.batch_g - sheet.drift_g
    terms = " + ".join(f"{line.mass_g:g}" for line in sheet.lines)
    return Working(
        figure=f"Weighed in all, {sheet.name}",
        value=sheet.batch_g,
        unit="g",
        given=(
            Given("exact", exact, "g"),
            Given("moved by rounding", sheet.drift_g, "g"),
            Given("moved by rounding", sheet.drift_percent, "%"),
        ),
        law="the sum of the rounded lines",
        arithmetic=f"{terms} = {sheet.batch_g:g} g",
        source="rounding by the largest remainder, so that the sheet closes",
    )


def line_working(sheet: Sheet, line: SheetLine) -> Working:
    """Working of one weighed line.

    Args:
        sheet: the sheet it stands on [Sheet].
        line: the line [g].
    Returns:
        the working [g].
    Source:
        mass balance; rounding by the largest remainder.
    """
    counted = "".join(
        f"; {line.mass_g:g} / {figure_text(line.mass_g / count)} = {figure_text(count)} × {name}"
        for name, count in line.pieces
        if count
    )
    return Working(
        figure=line.name,
        value=line.mass_g,
        unit="g",
        given=(Given("in the formula", line.own_g, "g"), Given("factor", sheet.factor, "")),
        law=f"grams in the formula × factor, to {line.step_g:g} g so that the sheet closes",
        arithmetic=f"{figure_text(line.own_g)} × {figure_text(sheet.factor)} = "
        f"{figure_text(line.exact_g)} g, weighed as {line.mass_g:g} g{counted}",
        source=MASS_BALANCE + "; rounding by the largest remainder",
        steps=(sheet_working(sheet),),
    )
