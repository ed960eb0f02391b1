"""Formulas that are nothing without their air: whether it is known, what is usual, what is left."""

from collections.abc import Callable, Mapping

from fernbell.core.formulas.air import GAS_KEPT_IN_FOLDING
from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.pantry import LineRole, role_of
from fernbell.starter.practice import practice

USUAL_DENSITY: Mapping[str, float] = {
    kind: practice(f"density, {kind}") for kind in ("sponge", "mousse", "meringue")
}
"""By kind, what a level cup of it weighs [g/ml]; a weighed cup replaces it."""


USUAL_BAKED_OFF: Mapping[str, float] = {
    kind: practice(f"baked off, {kind}") for kind in ("sponge", "paste")
}
"""By kind, what the oven takes [%]; a tray weighed before and after replaces it."""


LIGHT_G_ML = practice("light below")
"""A cup that weighs less holds air, whoever beat it in."""


Nested = Callable[[str], Formula]
"""The formula of a key."""


def lacks_air(formula: Formula, nested: Nested) -> bool:
    """Whether a formula lives by its air and nobody said how much of it there is.

    Args:
        formula: with its kind [Formula].
        nested: looks up the formulas that stand as lines [callable].
    Returns:
        true for a sponge, mousse or meringue with lines, no weighed cup and no air in any line;
        a nested formula has air where its own cup is light [bool].
    Source:
        common practice.
    """
    lives_by_it = formula.kind in USUAL_DENSITY and bool(formula.lines)
    weighed = formula.measured_density_g_ml is not None
    return lives_by_it and not weighed and not _has_air(formula, nested)


def _has_air(formula: Formula, nested: Nested) -> bool:
    if formula.measured_density_g_ml is not None:
        return formula.measured_density_g_ml < LIGHT_G_ML
    return any(
        line.overrun_percent > 0
        or (line.formula is not None and _has_air(nested(line.formula), nested))
        for line in formula.lines
    )


_R = LineRole
WHIPPED_WITH = (_R.SUGAR, _R.SYRUP, _R.WATER, _R.ALCOHOL, _R.GELATIN, _R.GUM, _R.SALT)
"""What is whipped in with a foam, and not folded into it; common practice."""
FOLDED_FROM = practice("folded from")
"""Share of the batch that is not whipped with it, above which something is folded."""


def gas_kept(book: Book, formula: Formula) -> float:
    """What is left of the air of a formula: as it says, else all unless something is folded.

    Args:
        book: where its lines are looked up [Book].
        formula: the formula [Formula].
    Returns:
        share of the gas [0 to 1].
    Raises:
        UnknownKey: a line points at nothing.
    Source:
        foams keep their own air, folding takes a fifth: common practice.
    """
    if formula.gas_kept is not None:
        return formula.gas_kept
    # What is whipped or released together has the same air.
    foams = {line.overrun_percent for line in formula.lines if line.mass_g} - {0.0}
    apart = sum(line.goes_in_g for line in formula.lines if _is_apart(book, line))
    whole = sum(line.goes_in_g for line in formula.lines)
    folded = len(foams) != 1 or apart > FOLDED_FROM * whole
    return GAS_KEPT_IN_FOLDING if folded else 1.0


def _role(book: Book, line: Line) -> LineRole | None:
    return role_of(book.ingredient(line.ingredient)) if line.ingredient is not None else None


def _is_apart(book: Book, line: Line) -> bool:
    """Whether a line is no foam and nothing that is whipped with one."""
    return not line.overrun_percent and _role(book, line) not in WHIPPED_WITH
