"""The demo kitchen as core values, its slugs as keys: for the bench and for trying things out."""

from fernbell.core.formulas import Book, Formula, Line, Step
from fernbell.core.pantry import Ingredient
from fernbell.server.demo.formulas import FORMULAS, DemoFormula
from fernbell.server.demo.makeups import MAKE_UPS
from fernbell.server.demo.pantry import INGREDIENTS


def demo_book() -> Book:
    """Every demo ingredient and formula."""
    ingredients = tuple(
        Ingredient(
            one.slug,
            one.name,
            one.density_g_ml,
            one.cup_density_g_ml,
            one.weigh_step_g,
            one.pieces,
            MAKE_UPS.get(one.slug),
        )
        for one in INGREDIENTS
    )
    return Book(ingredients, tuple(_formula(one) for one in FORMULAS))


def _formula(one: DemoFormula) -> Formula:
    lines = tuple(
        Line(
            key=f"{one.slug}-{number}",
            mass_g=line.mass_g,
            ingredient=None if line.nested else line.of,
            formula=line.of if line.nested else None,
            overrun_percent=line.overrun_percent,
        )
        for number, line in enumerate(one.lines)
    )
    base = next(
        (key.key for key, line in zip(lines, one.lines, strict=True) if line.of == one.base), None
    )
    return Formula(
        one.slug,
        one.name,
        lines,
        base_line=base,
        losses=one.losses,
        measured_density_g_ml=one.measured_density_g_ml,
        waits=tuple(step.wait for step in one.method if isinstance(step, Step) and step.wait),
    )
