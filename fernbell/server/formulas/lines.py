"""A line of a formula, as core has it, as JSON keeps it, as a row: the one place that knows all."""

from collections.abc import Mapping
from typing import Any

from fernbell.core.formulas import Line
from fernbell.server.formulas.models import Formula, FormulaLine

PLAIN = ("key", "mass_g", "overrun_percent", "stage", "strained_percent", "soaked", "note")
"""What a line says of itself, the same everywhere; what it weighs is told beside it."""


def line_of(told: Mapping[str, Any]) -> Line:
    """A line of an entry; older revisions say less."""
    plain = {name: told[name] for name in PLAIN if name in told}
    ingredient, formula = (str(told[of]) if told[of] else None for of in ("ingredient", "formula"))
    return Line(ingredient=ingredient, formula=formula, **plain)


def as_json(line: Line | FormulaLine) -> dict[str, Any]:
    """A line as an entry says it."""
    plain = {name: getattr(line, name) for name in PLAIN}
    if isinstance(line, Line):
        return plain | {"ingredient": line.ingredient, "formula": line.formula}
    ingredient, nested = line.ingredient_id, line.nested_id
    return plain | {
        "ingredient": str(ingredient) if ingredient else None,
        "formula": str(nested) if nested else None,
    }


def as_row(formula: Formula, place: int, line: Any) -> FormulaLine:
    """A line as entered, as a row at its place."""
    return FormulaLine(
        formula=formula,
        position=place,
        ingredient_id=line.ingredient,
        nested_id=line.formula,
        **{name: getattr(line, name) for name in PLAIN},
    )
