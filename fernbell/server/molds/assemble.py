"""From mold rows to core and back."""

from fernbell.core.molds import Frame, Ring
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import SHAPE, FillOut


def mold_of(row: Mold) -> Ring | Frame:
    """The row as a core value."""
    return SHAPE.validate_python(row.shape)


def filled(row: Mold, volume_ml: float) -> FillOut:
    """The mold filled with a volume; core refuses more than the brim."""
    mold = mold_of(row)
    depth = mold.depth_of(volume_ml)
    return FillOut(
        depth_mm=depth,
        free_surface_cm2=mold.free_surface_at(depth),
        wall_cm2=mold.wall_at(depth),
    )
