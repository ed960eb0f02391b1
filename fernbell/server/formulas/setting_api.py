"""Routes that set, fit and swap formulas; none of them saves anything."""

from typing import Any
from uuid import UUID

from ninja import Router

from fernbell.core.families import SPACING_MM, OtherChocolate
from fernbell.server.formulas import setting, weighing
from fernbell.server.formulas.api import draft
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.formulas.setting_schemas import (
    DripsOut,
    FitIn,
    FitOut,
    ProposalOut,
    SwapIn,
    SwapOut,
    TurnIn,
    TurnOut,
    VocabularyOut,
    WishIn,
)
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.shelf import find

router = Router()


@router.get("/families", response=VocabularyOut, operation_id="formula_families")
def families(request: MemberRequest) -> Any:
    """Families of formulas and the figures that can be asked; the same for every kitchen."""
    require(request.auth, Act.READ)
    return setting.vocabulary()


@router.post("/propose", response=ProposalOut, operation_id="propose_formula")
def propose(request: MemberRequest, data: WishIn) -> Any:
    """A formula for a job, from what this kitchen has."""
    require(request.auth, Act.READ)
    return setting.propose_formula(request.auth, data)


@router.post("/{uuid:row_id}/turn", response=TurnOut, operation_id="turn_formula")
def turn(request: MemberRequest, row_id: UUID, data: TurnIn) -> Any:
    """Turn the dial: the lines follow, what arrives stays."""
    require(request.auth, Act.READ)
    entry = draft(request.auth, row_id, data.entry)
    return setting.turn_dial(request.auth, str(row_id), entry, data.value)


@router.post("/{uuid:row_id}/fit", response=FitOut, operation_id="fit_formula")
def fit(request: MemberRequest, row_id: UUID, data: FitIn) -> Any:
    """The nearest formula that meets what is asked, or what conflicts."""
    require(request.auth, Act.READ)
    return weighing.fit_formula(request.auth, draft(request.auth, row_id, data.entry), data.demands)


@router.post("/{uuid:row_id}/swap", response=SwapOut, operation_id="swap_formula")
def swap(request: MemberRequest, row_id: UUID, data: SwapIn) -> Any:
    """One ingredient for another: straight and rebalanced, side by side."""
    require(request.auth, Act.READ)
    entry = draft(request.auth, row_id, data.entry)
    return weighing.swap_ingredient(request.auth, entry, data.old, data.new)


@router.get("/{uuid:row_id}/drips", response=DripsOut, operation_id="count_drips")
def count_drips(
    request: MemberRequest,
    row_id: UUID,
    diameter_mm: float,
    length_mm: float,
    spacing_mm: float = SPACING_MM,
) -> Any:
    """Drips of a saved formula down a round cake: how many, and what they weigh."""
    require(request.auth, Act.READ)
    row = find(request.auth, FORMULA, row_id)
    return setting.drips_of(request.auth, row, diameter_mm, length_mm, spacing_mm)


@router.post(
    "/{uuid:row_id}/others", response=list[OtherChocolate], operation_id="other_chocolates"
)
def others(request: MemberRequest, row_id: UUID, data: FormulaIn) -> Any:
    """The same job with every other chocolate of the kitchen."""
    require(request.auth, Act.READ)
    return setting.others_of(request.auth, draft(request.auth, row_id, data))
