"""What goes over the wire for molds."""

from typing import Annotated, Any, Self

from ninja import Schema
from pydantic import Field, TypeAdapter

from fernbell.core.molds import Frame, Ring, mold_workings, outline
from fernbell.core.working import Working
from fernbell.server.kitchens.schemas import Entry, Name, RowOut, Text

Shape = Annotated[Ring | Frame, Field(discriminator="kind")]
SHAPE: TypeAdapter[Ring | Frame] = TypeAdapter(Shape)


class MoldIn(Entry):
    """A mold as entered, by its inner measures."""

    name: Name
    shape: Shape
    note: Text = ""


class MoldFigures(Schema):
    """What a mold holds: capacity, edge, open surface and wall with their workings; its outline."""

    capacity: Working
    perimeter: Working
    free_surface: Working
    wall: Working
    outline: list[tuple[float, float]]

    @classmethod
    def of(cls, mold: Ring | Frame) -> Self:
        """The figures of a core mold."""
        capacity, perimeter, surface, wall = mold_workings(mold)
        return cls(
            capacity=capacity,
            perimeter=perimeter,
            free_surface=surface,
            wall=wall,
            outline=list(outline(mold.plan)),
        )


class MoldOut(RowOut):
    """A mold with its figures."""

    shape: Shape
    note: str
    figures: MoldFigures

    @staticmethod
    def resolve_figures(row: Any) -> MoldFigures:
        """Worked out by core."""
        return MoldFigures.of(SHAPE.validate_python(row.shape))


class FillIn(Entry):
    """A volume poured into a mold."""

    volume_ml: float
