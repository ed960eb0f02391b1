"""Routes of the molds."""

from dataclasses import asdict
from uuid import UUID

from django.http import HttpRequest

from fernbell.core.molds import depth_working
from fernbell.core.working import Working
from fernbell.server.kitchens import actions
from fernbell.server.kitchens.actions import Shelf, Snapshot
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import Act, require
from fernbell.server.kitchens.shelf import routes_of
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import FillIn, MoldIn, MoldOut


def write(member: Member, row: Mold, data: MoldIn) -> None:
    """Put an entry on a row."""
    row.name, row.shape = data.name, asdict(data.shape)
    row.water_g, row.note = data.water_g, data.note
    row.save()


def snapshot(row: Mold) -> Snapshot:
    """The row as an entry."""
    return {"name": row.name, "shape": row.shape, "water_g": row.water_g, "note": row.note}


MOLD = Shelf("mold", Mold, MoldIn, write, snapshot)


router = routes_of(MOLD, MoldOut, MoldOut)


@router.post("/{uuid:row_id}/fill", response=Working, operation_id="fill_mold")
def fill_mold(request: HttpRequest, row_id: UUID, data: FillIn) -> Working:
    """How high a volume stands in a mold; nothing is changed."""
    require(request.auth, Act.READ)
    return depth_working(mold_of(actions.find(request.auth, MOLD, row_id)), data.volume_ml)
