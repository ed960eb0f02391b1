"""Formulas side by side, in the order in which they are asked for."""

from typing import Annotated, Any
from uuid import UUID

from ninja import Query, Router, Schema
from pydantic import Field

from fernbell.core.families import Aside, asides
from fernbell.core.formulas import SideBySide, side_by_side
from fernbell.server.formulas.drafts import saved
from fernbell.server.formulas.rows import FORMULA
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.shelf import find

Ids = Annotated[list[UUID], Field(min_length=2, max_length=6)]


class BesideIn(Schema):
    """The formulas, in the order in which they are to stand."""

    formula: Ids


class KnownBeside(Schema):
    """What else is known of each: how it keeps, how warm it may stand; None for nothing."""

    name: str
    of: list[Aside | None]


class BesideOut(Schema):
    """Formulas side by side."""

    formulas: list[UUID]
    table: SideBySide
    known: list[KnownBeside]


router = Router(tags=["formula"])


@router.get("/beside", response=BesideOut, operation_id="formulas_beside")
def beside(request: MemberRequest, asked: Annotated[BesideIn, Query()]) -> Any:
    """Two to six formulas beside each other: lines on 100 g, readings, cost, keeping."""
    require(request.auth, Act.READ)
    keys = asked.formula
    drafts = [saved(request.auth, find(request.auth, FORMULA, key)) for key in keys]
    told = [
        {own.name: own for own in asides(one.kind, one.lines, one.steps, one.job_set)}
        for one in drafts
    ]
    names = dict.fromkeys(name for own in told for name in own)
    return {
        "formulas": keys,
        "table": side_by_side([one.character() for one in drafts]),
        "known": [{"name": name, "of": [own.get(name) for own in told]} for name in names],
    }
