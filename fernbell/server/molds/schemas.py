"""What goes over the wire for molds."""

from typing import Annotated, Any, Self

from ninja import Schema
from pydantic import Field, TypeAdapter, model_validator

from fernbell.core.molds import Frame, Ring, mold_workings, outline, trued, water_working
from fernbell.core.working import Working
from fernbell.server.kitchens.schemas import Entry, Name, RowOut, Text

Shape = Annotated[Ring | Frame, Field(discriminator="kind")]
SHAPE: TypeAdapter[Ring | Frame] = TypeAdapter(Shape)


class MoldIn(Entry):
    """A mold as entered, by its inner measures, and the water it holds where it was weighed."""

    name: Name
    shape: Shape
    water_g: float | None = None
    note: Text = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse water that cannot be in a mold of these sizes."""
        trued(self.shape, self.water_g)
        return self


class MoldFigures(Schema):
    """What a mold holds: capacity, edge, open surface and wall with their workings; its outline.

    `water` is the difference that water makes to the printed size.
    """

    capacity: Working
    perimeter: Working
    free_surface: Working
    wall: Working
    outline: list[tuple[float, float]]
    water: Working | None

    @classmethod
    def of(cls, printed: Ring | Frame, water_g: float | None) -> Self:
        """The figures of a core mold."""
        mold = trued(printed, water_g)
        capacity, perimeter, surface, wall = mold_workings(mold)
        return cls(
            capacity=capacity,
            perimeter=perimeter,
            free_surface=surface,
            wall=wall,
            outline=list(outline(mold.plan)),
            water=None if water_g is None else water_working(printed, water_g),
        )


class MoldOut(RowOut):
    """A mold with its figures."""

    shape: Shape
    water_g: float | None
    note: str
    figures: MoldFigures

    @staticmethod
    def resolve_figures(row: Any) -> MoldFigures:
        """Worked out by core."""
        return MoldFigures.of(SHAPE.validate_python(row.shape), row.water_g)


class FillIn(Entry):
    """A volume poured into a mold."""

    volume_ml: float
