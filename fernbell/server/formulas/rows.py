"""How a formula is written and remembered."""

from typing import Any

from django.contrib.postgres.expressions import ArraySubquery
from django.db.models import Count, Exists, OuterRef, QuerySet, Subquery, Sum
from django.db.models.functions import Coalesce

from fernbell.core.desserts import usual_kind
from fernbell.core.formulas import FORMULA_SHOWS, color_of, flavor_by, refuse_circle, usual_rule
from fernbell.core.pantry import Ingredient
from fernbell.core.pantry.naming import Named
from fernbell.server.formulas.books import book_for, losses_as_json
from fernbell.server.formulas.lines import as_json, as_row
from fernbell.server.formulas.models import Formula, FormulaLine
from fernbell.server.formulas.schemas import FormulaIn, LineIn
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import Keeper, rows
from fernbell.server.rows.shelf import Brief, Shelf, Snapshot, briefs


def write(member: Keeper, row: Formula, data: FormulaIn) -> None:
    """Put an entry on a row and its lines; refuse a circle."""
    known_lines(member, data.lines)
    row.name, row.flavor = data.name, data.flavor
    row.kind = data.kind or usual_kind(data.does)
    row.base_lines = data.base_lines
    row.losses = losses_as_json(data.losses)
    row.gas_kept = data.gas_kept
    row.measured_density_g_ml = data.measured_density_g_ml
    row.sets_min = data.sets_min
    row.method = [step.model_dump(mode="json") for step in data.method if step.text]
    row.whole_eggs = data.whole_eggs
    row.job = data.job
    row.color = color_by(member, data.lines)
    row.save()
    row.lines.all().delete()
    FormulaLine.objects.bulk_create(
        as_row(row, place, line) for place, line in enumerate(data.lines)
    )
    if any(line.formula for line in data.lines):
        key = str(row.pk)
        refuse_circle(book_for(member, [key]), key)


def color_by(member: Keeper, lines: list[LineIn]) -> str:
    """The color of what the lines are mostly made of."""
    of = {line.ingredient for line in lines} - {None}
    own = {
        row.pk: color_of(as_core(row)) for row in rows(member, pantry.Ingredient).filter(pk__in=of)
    }
    nested = rows(member, Formula).filter(pk__in={line.formula for line in lines} - {None})
    own |= {row.pk: (row.flavor or row.color, FORMULA_SHOWS) for row in nested}
    shown = ((*own.get(line.ingredient or line.formula, ("", 0.0)), line.mass_g) for line in lines)
    return flavor_by(shown)


def known_lines(member: Keeper, lines: list[LineIn]) -> None:
    """Refuse ingredients and formulas that are not on this kitchen's shelves."""
    for field, model in (("ingredient", pantry.Ingredient), ("formula", Formula)):
        wanted = {getattr(line, field) for line in lines} - {None}
        on_shelf = set(
            rows(member, model).filter(pk__in=wanted, archived_at=None).values_list("pk", flat=True)
        )
        errors = [
            {"field": f"lines.{place}.{field}", "message": f"This {field} is not on your shelf."}
            for place, line in enumerate(lines)
            if getattr(line, field) in wanted - on_shelf
        ]
        if errors:
            raise Invalid(f"A line points at no {field} of this kitchen.", errors)


def snapshot(row: Formula) -> Snapshot:
    """The row as an entry."""
    lines = [as_json(line) for line in FormulaLine.objects.filter(formula_id=row.pk)]
    fields = ("name", "kind", "flavor", "base_lines", "losses", "gas_kept", "method", "whole_eggs")
    own = {
        field: getattr(row, field)
        for field in (*fields, "job", "sets_min", "measured_density_g_ml")
    }
    return own | {"lines": lines}


def listed(found: QuerySet[Any]) -> list[Brief]:
    """With grams of the batch, the desserts each is in, and whether another formula has it."""
    own = FormulaLine.objects.filter(formula=OuterRef("pk")).order_by().values("formula")
    above = FormulaLine.objects.filter(nested=OuterRef("pk"), formula__archived_at=None)
    dessert = found.model.desserts.rel.related_model
    inside = dessert.objects.filter(formulas=OuterRef("pk"), archived_at=None).order_by("name")
    more = {
        "batch_g": Coalesce(Subquery(own.annotate(sum=Sum("mass_g")).values("sum")), 0.0),
        "within": Exists(above),
        "inside": ArraySubquery(inside.values("name")),
    }
    rows = briefs(found, "kind", "flavor", "color", **more)
    return [_brief(**row) for row in rows]


def _brief(inside: list[str], **row: Any) -> Brief:
    return {**row, "desserts": inside, "does": usual_rule(row["kind"])}


def named(found: QuerySet[Any]) -> list[Named]:
    """With how many formulas each is a line of."""
    above = FormulaLine.objects.filter(nested=OuterRef("pk")).order_by().values("nested")
    uses = Subquery(above.annotate(n=Count("pk")).values("n"))
    return [
        Named(Ingredient(str(pk), name), is_formula=True, uses=count or 0)
        for pk, name, count in found.annotate(count=uses).values_list("pk", "name", "count")
    ]


FORMULA = Shelf("formula", Formula, FormulaIn, write, snapshot, listed=listed, named=named)
