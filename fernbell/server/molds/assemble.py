"""From mold rows to core and back."""

from fernbell.core.molds import Frame, Ring
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import SHAPE


def mold_of(row: Mold) -> Ring | Frame:
    """The row as a core value."""
    return SHAPE.validate_python(row.shape)
