"""Routes of the formulas."""

from typing import Any
from uuid import UUID

from fernbell.core.errors import FormulaCircle
from fernbell.core.formulas import (
    Book,
)
from fernbell.server.formulas import assemble, entering
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.entering import PastedLine
from fernbell.server.formulas.names import ReadLine
from fernbell.server.formulas.rows import FORMULA, known_lines
from fernbell.server.formulas.schemas import (
    FormulaBrief,
    FormulaIn,
    FormulaOut,
    PastedIn,
    ReadingOut,
    SheetOut,
    TypedLine,
)
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.problems import Invalid
from fernbell.server.rows.models import Row
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.shelf import find

router = routes_of(FORMULA, FormulaBrief, FormulaOut)


@router.post("/read-line", response=ReadLine, operation_id="read_line")
def read_line(request: MemberRequest, data: TypedLine) -> Any:
    """What '250 g cream' means in this kitchen; nothing is changed."""
    require(request.auth, Act.READ)
    return entering.read_line(request.auth, data)


@router.post("/read-list", response=list[PastedLine], operation_id="read_list")
def read_pasted(request: MemberRequest, data: PastedIn) -> Any:
    """What a pasted list means in this kitchen, line by line; nothing is changed."""
    require(request.auth, Act.READ)
    return entering.read_pasted(request.auth, data)


@router.get("/{uuid:row_id}/reading", response=ReadingOut, operation_id="read_formula_figures")
def reading(request: MemberRequest, row_id: UUID) -> Any:
    """Batch, finished mass, percents, density, with their workings."""
    require(request.auth, Act.READ)
    return assemble.reading_of(request.auth, find(request.auth, FORMULA, row_id))


@router.post("/{uuid:row_id}/what-if", response=ReadingOut, operation_id="what_if_formula")
def what_if(request: MemberRequest, row_id: UUID, data: FormulaIn) -> Any:
    """The same of a formula as it is drawn up and not yet saved; nothing is changed."""
    require(request.auth, Act.READ)
    return assemble.what_if(request.auth, str(row_id), draft(request.auth, row_id, data))


def draft(member: Member, row_id: UUID, data: FormulaIn) -> FormulaIn:
    """An entry of a row as it is drawn up, refused where it could not be saved."""
    row = find(member, FORMULA, row_id)
    known_lines(member, data.lines)
    _refuse_itself(member, row, [str(line.formula) for line in data.lines if line.formula])
    return data


def _refuse_itself(member: Member, row: Row, nested: list[str]) -> None:
    """Refuse a draft one of whose nested formulas holds the row."""
    book = book_for(member, nested) if nested else Book()
    if str(row.pk) in {formula.key for formula in book.formulas}:
        raise FormulaCircle(
            (row.name, *(formula.name for formula in book.formulas if formula.key in nested))
        )


@router.get("/{uuid:row_id}/scaled", response=list[SheetOut], operation_id="scale_formula")
def scaled(
    request: MemberRequest,
    row_id: UUID,
    mass_g: float | None = None,
    volume_ml: float | None = None,
) -> Any:
    """Sheets for a finished mass or a volume; one of the two."""
    require(request.auth, Act.READ)
    if (mass_g is None) == (volume_ml is None):
        raise Invalid.field("mass_g", "Give a mass in g or a volume in ml, one of the two.")
    row = find(request.auth, FORMULA, row_id)
    return assemble.scaled(request.auth, row, mass_g, volume_ml)
