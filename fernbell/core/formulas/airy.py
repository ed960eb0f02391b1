"""Formulas that are nothing without their air: whether it is known, and what is usual."""

from collections.abc import Callable, Mapping

from fernbell.core.formulas.book import Formula
from fernbell.starter.practice import practice

USUAL_DENSITY: Mapping[str, float] = {
    kind: practice(f"density, {kind}") for kind in ("sponge", "mousse", "meringue")
}
"""By kind, what a level cup of it weighs [g/ml]; a weighed cup replaces it."""


USUAL_BAKED_OFF: Mapping[str, float] = {
    kind: practice(f"baked off, {kind}") for kind in ("sponge", "paste")
}
"""By kind, what the oven takes [%]; a tray weighed before and after replaces it."""


Nested = Callable[[str], Formula]
"""The formula of a key."""


def lacks_air(formula: Formula, nested: Nested) -> bool:
    """Whether a formula lives by its air and nobody said how much of it there is.

    Args:
        formula: with its kind [Formula].
        nested: looks up the formulas that stand as lines [callable].
    Returns:
        true for a sponge, mousse or meringue with lines, no weighed cup and no air in any line
        [bool].
    Source:
        common practice.
    """
    lives_by_it = formula.kind in USUAL_DENSITY and bool(formula.lines)
    return lives_by_it and not _has_air(formula, nested)


def _has_air(formula: Formula, nested: Nested) -> bool:
    if formula.measured_density_g_ml is not None:
        return True
    return any(
        line.overrun_percent > 0
        or (line.formula is not None and _has_air(nested(line.formula), nested))
        for line in formula.lines
    )
