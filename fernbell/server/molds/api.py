"""Routes of the molds."""

from uuid import UUID

from fernbell.core.molds import depth_working
from fernbell.core.working import Working
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.rows import MOLD
from fernbell.server.molds.schemas import FillIn, MoldBrief, MoldOut
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.shelf import find

router = routes_of(MOLD, MoldBrief, MoldOut)


@router.post("/{uuid:row_id}/fill", response=Working, operation_id="fill_mold")
def fill_mold(request: MemberRequest, row_id: UUID, data: FillIn) -> Working:
    """How high a volume stands in a mold; nothing is changed."""
    require(request.auth, Act.READ)
    return depth_working(mold_of(find(request.auth, MOLD, row_id)), data.volume_ml)
