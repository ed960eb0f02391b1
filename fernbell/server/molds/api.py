"""Routes of the molds."""

from typing import Annotated
from uuid import UUID

from ninja import Query

from fernbell.core.desserts import Fittings, fittings, water_bath
from fernbell.core.errors import CoreError
from fernbell.core.molds import MOST_BYTES, Outlined, depth_working, outline_of_path, read_stl
from fernbell.core.working import Working
from fernbell.server.kitchens.auth import MemberRequest
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.rows import MOLD
from fernbell.server.molds.schemas import (
    BathIn,
    FillIn,
    MoldBrief,
    MoldOut,
    PathIn,
    PathOut,
    ScanOut,
)
from fernbell.server.rows.policy import Act, require
from fernbell.server.rows.routes import routes_of
from fernbell.server.rows.shelf import find

router = routes_of(MOLD, MoldBrief, MoldOut)


@router.post("/{uuid:row_id}/fill", response=Working, operation_id="fill_mold")
def fill_mold(request: MemberRequest, row_id: UUID, data: FillIn) -> Working:
    """How high a volume stands in a mold; nothing is changed."""
    require(request.auth, Act.READ)
    return depth_working(mold_of(find(request.auth, MOLD, row_id)), data.volume_ml)


@router.get("/{uuid:row_id}/fittings", response=Fittings, operation_id="mold_fittings")
def mold_fittings(request: MemberRequest, row_id: UUID) -> Fittings:
    """What a mold is lined with, and what fits into it."""
    require(request.auth, Act.READ)
    return fittings(mold_of(find(request.auth, MOLD, row_id)))


@router.post("/{uuid:row_id}/bath", response=Working, operation_id="bathe_mold")
def bathe_mold(request: MemberRequest, row_id: UUID, data: BathIn) -> Working:
    """How much water stands around so many of a mold on a tray; nothing is changed."""
    require(request.auth, Act.READ)
    mold, tray = (mold_of(find(request.auth, MOLD, one)) for one in (row_id, data.tray))
    return water_bath(mold, tray, data.count)


@router.post("/outline", response=PathOut, operation_id="outline_mold")
def outline_mold(request: MemberRequest, data: PathIn) -> PathOut:
    """The mold of an outline drawn elsewhere; nothing is kept."""
    require(request.auth, Act.READ)
    corners = outline_of_path(data.path, data.length_mm)
    return PathOut(shape=Outlined(corners, data.height_mm))


@router.post("/scan", response=ScanOut, operation_id="scan_mold")
def scan_mold(request: MemberRequest, unit: Annotated[str, Query(max_length=10)] = "mm") -> ScanOut:
    """The mold of an STL file, the body of the request; nothing is kept.

    What is too large is refused by its announced length, before it is read.
    """
    require(request.auth, Act.READ)
    announced = int(request.META.get("CONTENT_LENGTH") or 0)
    if announced > MOST_BYTES:
        allowed = f"at most {MOST_BYTES / 1e6:.0f} MB; save it coarser"
        raise CoreError("file", f"{announced / 1e6:.0f} MB", allowed)
    scan = read_stl(request.read(MOST_BYTES + 1), unit)
    return ScanOut(
        shape=scan.mold,
        faces=scan.faces,
        volume_ml=scan.volume_ml,
        says=scan.mold.words_in_full(),
    )
