"""Routes of vessels and orders."""

from typing import Any
from uuid import UUID

from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.planning.assemble import planned
from fernbell.server.planning.rows import HAND, ORDER, VESSEL, on_shelf, snapshot_order
from fernbell.server.planning.schemas import (
    OrderBrief,
    OrderIn,
    OrderOut,
    PlannedOut,
    VesselOut,
)
from fernbell.server.planning.timing_schemas import HandOut
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.shelf import find

router = routes_of(ORDER, OrderBrief, OrderOut)
vessel_router = routes_of(VESSEL, VesselOut, VesselOut)
hand_router = routes_of(HAND, HandOut, HandOut)


@router.post("/what-if", response=PlannedOut, operation_id="order_what_if")
def what_if(request: MemberRequest, data: OrderIn) -> Any:
    """What an entry would take, in batches, set out and bought; nothing is saved."""
    require(request.auth, Act.READ)
    on_shelf(request.auth, data)
    return planned(request.auth, data)


@router.get("/{uuid:row_id}/planned", response=PlannedOut, operation_id="plan_order")
def plan(request: MemberRequest, row_id: UUID) -> Any:
    """What an order takes as saved, in batches, set out and bought."""
    require(request.auth, Act.READ)
    row = find(request.auth, ORDER, row_id)
    return planned(request.auth, OrderIn.model_validate(snapshot_order(row)))
