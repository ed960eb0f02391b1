"""The demo kitchen as core values, its slugs as keys: for the bench and for trying things out."""

from fernbell.core.formulas import Book, Formula, Line, settled
from fernbell.demo.formulas import FORMULAS, DemoFormula
from fernbell.starter.pantry import STOCKS


def demo_book() -> Book:
    """Every demo ingredient and formula."""
    ingredients = tuple(stock.ingredient for stock in STOCKS)
    plain = Book(ingredients, tuple(_formula(formula) for formula in FORMULAS))
    return settled(plain, [formula.slug for formula in FORMULAS])


def _formula(one: DemoFormula) -> Formula:
    lines = tuple(
        Line(
            key=f"{one.slug}-{number}",
            mass_g=line.mass_g,
            ingredient=None if line.nested else line.of,
            formula=line.of if line.nested else None,
            overrun_percent=line.overrun_percent,
            stage=line.stage,
            strained_percent=line.strained_percent,
            soaked=line.soaked,
        )
        for number, line in enumerate(one.lines)
    )
    pairs = zip(lines, one.lines, strict=True)
    base = tuple(key.key for key, line in pairs if line.of == one.base)
    return Formula(
        one.slug,
        one.name,
        lines,
        base_lines=base,
        losses=one.losses,
        measured_density_g_ml=one.measured_density_g_ml,
        waits=tuple(step.wait for step in one.method if step.wait),
        whole_eggs=one.whole_eggs,
        kind=one.kind,
    )
