"""From mold rows to core and back."""

from fernbell.core.molds import Solid, trued
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import SHAPE


def mold_of(row: Mold) -> Solid:
    """The row as a core value, as wide as the water it holds makes it."""
    return trued(SHAPE.validate_python(row.shape), row.water_g)
