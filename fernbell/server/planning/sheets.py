"""What is pinned up: a dessert in its sizes, or a whole order, with every formula in batches."""

from collections.abc import Sequence
from uuid import UUID

from ninja import Router

from fernbell.core.desserts import formulas_used
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.solve import size_of
from fernbell.core.formulas import declared, read_formulas
from fernbell.server.desserts.api import Count, saved_sizes
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.kitchens.models import Member
from fernbell.server.planning.assemble import LineMade, Making, line_made, lines_of, making
from fernbell.server.planning.rows import ORDER, snapshot_order
from fernbell.server.planning.schemas import DessertSheetOut, OrderIn, SheetsOut, SizeSheetOut
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.shelf import find

dessert_router, order_router = Router(), Router()


@dessert_router.get("/{uuid:row_id}/sheets", response=SheetsOut, operation_id="dessert_sheets")
def of_dessert(request: MemberRequest, row_id: UUID, count: Count = None) -> SheetsOut:
    """A dessert in all its sizes, as saved; `count` is how many of its own."""
    sizes = saved_sizes(request, row_id, count)
    lines = [
        line_made(one.key, row_id, one.dessert.name, one.dessert, one.count, one.mold)
        for one in sizes
    ]
    return _sheets(request.auth, lines)


@order_router.get("/{uuid:row_id}/sheets", response=SheetsOut, operation_id="order_sheets")
def of_order(request: MemberRequest, row_id: UUID) -> SheetsOut:
    """Every dessert of an order as saved; nothing where it has none."""
    require(request.auth, Act.READ)
    row = find(request.auth, ORDER, row_id)
    order = OrderIn.model_validate(snapshot_order(row))
    return _sheets(request.auth, lines_of(request.auth, order))


def _sheets(member: Member, lines: Sequence[LineMade]) -> SheetsOut:
    if not lines:
        return SheetsOut(desserts=[], made=[])
    found = making(member, [one.ordered for one in lines])
    sizes = list(zip(lines, found.planned.order.each, strict=True))
    return SheetsOut(
        desserts=[
            _dessert([one for one in sizes if one[0].row == row], found)
            for row in dict.fromkeys(one.row for one in lines)
        ],
        made=found.made,
    )


def _dessert(sizes: Sequence[tuple[LineMade, MeasuredDessert]], found: Making) -> DessertSheetOut:
    used = [key for one, _ in sizes for key in formulas_used(one.ordered.dessert)]
    return DessertSheetOut(
        name=sizes[0][0].name,
        sizes=[
            SizeSheetOut(
                says=one.says,
                count=one.ordered.count,
                trays=one.trays,
                solved=size_of(made, ()).solved(),
            )
            for one, made in sizes
        ],
        declared=declared(found.book, tuple(read_formulas(found.book, used))),
    )
