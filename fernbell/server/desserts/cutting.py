"""Routes of what a dessert is cut from: sheets, and templates at full size."""

from collections.abc import Sequence
from typing import Annotated, Any, Literal
from uuid import UUID

from django.http import HttpResponse
from ninja import Query, Router

from fernbell.core.cutting import (
    PAPERS,
    CutPlan,
    CutSheet,
    Template,
    ToCut,
    cut_plan_template,
    tile,
)
from fernbell.core.desserts.sheeted import CutOut, Sheeted, cut_out, sheeted
from fernbell.core.desserts.templates import template_named, templates
from fernbell.core.errors import UnknownKey
from fernbell.server.desserts.api import Count, SizeKey, one_size, saved_sizes
from fernbell.server.desserts.assemble import measured_all
from fernbell.server.desserts.scaling_schemas import (
    CutPlanIn,
    CutPlanOut,
    CutSheetOut,
    PieceOut,
    SheetedOut,
    TemplateOut,
)
from fernbell.server.formats.pdf import pdf_of
from fernbell.server.formats.svg import svg_of
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.problems import Invalid

router = Router()

PaperName = Annotated[str, Query(pattern="^(A4|Letter)$")]
_PAPERS = {one.name: one for one in PAPERS}


@router.get("/{uuid:row_id}/sheeted", response=list[SheetedOut], operation_id="dessert_sheeted")
def from_sheets(request: MemberRequest, row_id: UUID, count: Count = None) -> Any:
    """What of a dessert in all its sizes is cut from sheets."""
    made, _ = measured_all(request.auth, saved_sizes(request, row_id, count))
    return [
        SheetedOut(
            formula=one.formula,
            name=one.name,
            thick_mm=one.thick_mm,
            usual=one.usual,
            pieces=_pieces(one.pieces),
        )
        for one in sheeted(made)
    ]


def _pieces(wanted: Sequence[ToCut]) -> list[PieceOut]:
    return [PieceOut(name=one.name, says=one.piece.size_words, count=one.count) for one in wanted]


def _cut(request: MemberRequest, row_id: UUID, asked: CutPlanIn) -> tuple[Sheeted, CutOut]:
    made, readings = measured_all(request.auth, saved_sizes(request, row_id, asked.count))
    for one in sheeted(made):
        if one.formula == asked.formula and abs(one.thick_mm - asked.thick_mm) < 1e-6:
            return one, cut_out(one, asked.raw, readings, turns=asked.turns, trim=asked.trim)
    raise Invalid.field("formula", "Nothing of this dessert is cut from such a sheet.")


@router.get("/{uuid:row_id}/cut-plan", response=CutPlanOut, operation_id="cut_plan")
def cut_plan(request: MemberRequest, row_id: UUID, asked: Query[CutPlanIn]) -> Any:
    """How pieces are cut from sheets; asked again with more turns, the search goes on."""
    _, found = _cut(request, row_id, asked)
    plan = found.plan
    return CutPlanOut(
        raw=plan.raw,
        pieces=_pieces(plan.wanted),
        ways=list(plan.ways),
        on_one=list(plan.on_one),
        bounds=list(plan.bounds),
        bound_sources=[one.piece.bound_source for one in plan.wanted],
        sheets=[_sheet(plan, one) for one in plan.sheets],
        number=plan.number,
        turn=plan.turn,
        turns=plan.turns,
        done=plan.done,
        weighed=found.weighed,
    )


def _sheet(plan: CutPlan, sheet: CutSheet) -> CutSheetOut:
    loops = [
        tuple(
            (round(x + one.place.x_mm, 2), round(y + one.place.y_mm, 2))
            for x, y in plan.outline(one)
        )
        for one in sheet.pieces
    ]
    return CutSheetOut(
        alike=sheet.alike,
        offcut_mm=sheet.offcut_mm,
        wanted=[one.wanted for one in sheet.pieces],
        loops=loops,
    )


def _file(templates_: Sequence[Template], as_: str, paper: str, name: str) -> HttpResponse:
    """A download, named after what it is of."""
    if as_ == "svg":
        body, kind = svg_of(templates_[0]), "image/svg+xml"
    else:
        body, kind = pdf_of(templates_, _PAPERS[paper]), "application/pdf"
    answer = HttpResponse(body, content_type=kind)
    answer["Content-Disposition"] = f'inline; filename="{name}.{as_}"'
    return answer


@router.get("/{uuid:row_id}/cut-plan/{int:sheet}/full-size", operation_id="cut_plan_full_size")
def cut_plan_full_size(
    request: MemberRequest,
    row_id: UUID,
    sheet: int,
    asked: Query[CutPlanIn],
    as_: Annotated[Literal["pdf", "svg"], Query(alias="as")] = "pdf",
    paper: PaperName = "A4",
) -> HttpResponse:
    """A sheet of a cut plan at full size."""
    one, found = _cut(request, row_id, asked)
    try:
        drawn = cut_plan_template(found.plan, sheet, one.name)
    except UnknownKey as unknown:
        raise Invalid.field("sheet", unknown.sentence()) from None
    return _file([drawn], as_, paper, f"cut-plan-{sheet + 1}")


@router.get(
    "/{uuid:row_id}/templates", response=list[TemplateOut], operation_id="dessert_templates"
)
def all_templates(request: MemberRequest, row_id: UUID, size: SizeKey = "") -> Any:
    """What of a dessert is cut by a template, and on how many pages each prints."""
    return [
        TemplateOut(
            drawn=one, pages={name: len(tile(one, on).tiles) for name, on in _PAPERS.items()}
        )
        for one in templates(one_size(request, row_id, size)[0])
    ]


@router.get("/{uuid:row_id}/templates/{str:key}", operation_id="dessert_template")
def one_template(
    request: MemberRequest,
    row_id: UUID,
    key: str,
    size: SizeKey = "",
    as_: Annotated[Literal["pdf", "svg"], Query(alias="as")] = "pdf",
    paper: PaperName = "A4",
) -> HttpResponse:
    """A template at full size; 'all' is every one of them, as PDF."""
    made = one_size(request, row_id, size)[0]
    if key == "all":
        return _file(templates(made), "pdf", paper, "templates")
    try:
        drawn = template_named(made, key)
    except UnknownKey as unknown:
        raise Invalid.field("template", unknown.sentence()) from None
    return _file([drawn], as_, paper, key)
