"""Routes of the formulas."""

from typing import Any
from uuid import UUID

from django.db.models import Exists, OuterRef, Prefetch, QuerySet, Subquery, Sum
from django.http import HttpRequest

from fernbell.core.desserts import usual_kind
from fernbell.core.errors import FormulaCircle
from fernbell.core.formulas import (
    FORMULA_SHOWS,
    Book,
    color_of,
    flavor_by,
    refuse_circle,
)
from fernbell.server.formulas import assemble, entering
from fernbell.server.formulas.books import book_for, losses_as_json
from fernbell.server.formulas.entering import PastedLine
from fernbell.server.formulas.lines import as_json, as_row
from fernbell.server.formulas.models import Formula, FormulaLine
from fernbell.server.formulas.revisions import add_revisions
from fernbell.server.formulas.schemas import (
    FormulaBrief,
    FormulaIn,
    FormulaOut,
    LineIn,
    PastedIn,
    ReadingOut,
    SheetOut,
    TypedLine,
)
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Shelf, Snapshot
from fernbell.server.kitchens.models import Member, Row
from fernbell.server.kitchens.policy import Act, require, rows
from fernbell.server.kitchens.shelf import routes_of
from fernbell.server.names import ReadLine
from fernbell.server.pantry.assemble import as_core
from fernbell.server.pantry.models import Ingredient
from fernbell.server.problems import Invalid


def write(member: Member, row: Formula, data: FormulaIn) -> None:
    """Put an entry on a row and its lines; refuse a circle."""
    _known(member, data.lines)
    row.name, row.flavor = data.name, data.flavor
    row.kind = data.kind or usual_kind(data.does)
    row.base_lines = data.base_lines
    row.losses = losses_as_json(data.losses)
    row.gas_kept = data.gas_kept
    row.measured_density_g_ml = data.measured_density_g_ml
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
        refuse_circle(book_for(row.kitchen_id, [key]), key)


def color_by(member: Member, lines: list[LineIn]) -> str:
    """The color of what the lines are mostly made of."""
    of = {line.ingredient for line in lines} - {None}
    own = {row.pk: color_of(as_core(row)) for row in rows(member, Ingredient).filter(pk__in=of)}
    nested = rows(member, Formula).filter(pk__in={line.formula for line in lines} - {None})
    own |= {row.pk: (row.flavor or row.color, FORMULA_SHOWS) for row in nested}
    shown = ((*own.get(line.ingredient or line.formula, ("", 0.0)), line.mass_g) for line in lines)
    return flavor_by(shown)


def _known(member: Member, lines: list[LineIn]) -> None:
    """Refuse ingredients and formulas that are not on this kitchen's shelves."""
    for field, model in (("ingredient", Ingredient), ("formula", Formula)):
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


def snapshot(row: Row) -> Snapshot:
    """The row as an entry."""
    lines = [as_json(line) for line in FormulaLine.objects.filter(formula_id=row.pk)]
    fields = ("name", "kind", "flavor", "base_lines", "losses", "gas_kept", "method", "whole_eggs")
    own = {field: getattr(row, field) for field in (*fields, "job", "measured_density_g_ml")}
    return own | {"lines": lines}


def listed(found: QuerySet) -> QuerySet:
    """With grams of the batch, the desserts each is in, and whether another formula has it."""
    own = FormulaLine.objects.filter(formula=OuterRef("pk")).order_by().values("formula")
    above = FormulaLine.objects.filter(nested=OuterRef("pk"), formula__archived_at=None)
    desserts = found.model.desserts.rel.related_model.objects.filter(archived_at=None)
    return found.annotate(
        batch_g=Subquery(own.annotate(sum=Sum("mass_g")).values("sum")), within=Exists(above)
    ).prefetch_related(Prefetch("desserts", queryset=desserts.only("name"), to_attr="in_desserts"))


FORMULA = Shelf("formula", Formula, FormulaIn, write, snapshot, listed=listed)


router = routes_of(FORMULA, FormulaBrief, FormulaOut)
add_revisions(router, FORMULA)


@router.post("/read-line", response=ReadLine, operation_id="read_line")
def read_line(request: HttpRequest, data: TypedLine) -> Any:
    """What '250 g cream' means in this kitchen; nothing is changed."""
    require(request.auth, Act.READ)
    return entering.read_line(request.auth, data)


@router.post("/read-list", response=list[PastedLine], operation_id="read_list")
def read_pasted(request: HttpRequest, data: PastedIn) -> Any:
    """What a pasted list means in this kitchen, line by line; nothing is changed."""
    require(request.auth, Act.READ)
    return entering.read_pasted(request.auth, data)


@router.get("/{uuid:row_id}/reading", response=ReadingOut, operation_id="read_formula_figures")
def reading(request: HttpRequest, row_id: UUID) -> Any:
    """Batch, finished mass, percents, density, with their workings."""
    require(request.auth, Act.READ)
    return assemble.reading_of(request.auth, actions.find(request.auth, FORMULA, row_id))


@router.post("/{uuid:row_id}/what-if", response=ReadingOut, operation_id="what_if_formula")
def what_if(request: HttpRequest, row_id: UUID, data: FormulaIn) -> Any:
    """The same of a formula as it is drawn up and not yet saved; nothing is changed."""
    require(request.auth, Act.READ)
    return assemble.what_if(request.auth, str(row_id), draft(request.auth, row_id, data))


def draft(member: Member, row_id: UUID, data: FormulaIn) -> dict[str, Any]:
    """An entry of a row as it is drawn up, refused where it could not be saved."""
    row = actions.find(member, FORMULA, row_id)
    _known(member, data.lines)
    _refuse_itself(member, row, [str(line.formula) for line in data.lines if line.formula])
    return data.model_dump(mode="json")


def _refuse_itself(member: Member, row: Row, nested: list[str]) -> None:
    """Refuse a draft one of whose nested formulas holds the row."""
    book = book_for(member.kitchen_id, nested) if nested else Book()
    if str(row.pk) in {formula.key for formula in book.formulas}:
        raise FormulaCircle(
            (row.name, *(formula.name for formula in book.formulas if formula.key in nested))
        )


@router.get("/{uuid:row_id}/scaled", response=list[SheetOut], operation_id="scale_formula")
def scaled(
    request: HttpRequest, row_id: UUID, mass_g: float | None = None, volume_ml: float | None = None
) -> Any:
    """Sheets for a finished mass or a volume; one of the two."""
    require(request.auth, Act.READ)
    if (mass_g is None) == (volume_ml is None):
        raise Invalid.field("mass_g", "Give a mass in g or a volume in ml, one of the two.")
    row = actions.find(request.auth, FORMULA, row_id)
    return assemble.scaled(request.auth, row, mass_g, volume_ml)
