"""What goes over the wire for molds."""

from typing import Annotated, Any, Self

from ninja import Schema
from pydantic import Field, TypeAdapter

from fernbell.core.molds import Frame, Ring, outline
from fernbell.server.kitchens.schemas import Entry, Name, RowOut, Text

Shape = Annotated[Ring | Frame, Field(discriminator="kind")]
SHAPE: TypeAdapter[Ring | Frame] = TypeAdapter(Shape)


class MoldIn(Entry):
    """A mold as entered, by its inner measures."""

    name: Name
    shape: Shape
    note: Text = ""


class MoldFigures(Schema):
    """What a mold holds: capacity [ml], edge [mm], open surface and wall [cm²], liner [mm]."""

    capacity_ml: float
    perimeter_mm: float
    free_surface_cm2: float
    wall_cm2: float
    outline: list[tuple[float, float]]

    @classmethod
    def of(cls, mold: Ring | Frame) -> Self:
        """The figures of a core mold."""
        return cls(
            capacity_ml=mold.capacity_ml,
            perimeter_mm=mold.perimeter_mm,
            free_surface_cm2=mold.free_surface_at(mold.height_mm),
            wall_cm2=mold.wall_at(mold.height_mm),
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


class FillOut(Schema):
    """How high it stands."""

    depth_mm: float
    free_surface_cm2: float
    wall_cm2: float
