"""What goes over the wire for molds."""

from typing import TYPE_CHECKING, Annotated, Any, Self, Union

from ninja import Schema
from pydantic import Field, TypeAdapter, model_validator

from fernbell.core.molds import FORMS, Mold, Solid, outline, trued, water_working
from fernbell.core.working import Working
from fernbell.server.rows.schemas import Entry, Name, RowOut, Text

if TYPE_CHECKING:
    Shape = Mold
else:
    Shape = Annotated[Union[FORMS], Field(discriminator="form")]  # noqa: UP007 - made of a list
SHAPE: TypeAdapter[Mold] = TypeAdapter(Shape)


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


class MoldSketch(Schema):
    """How a mold looks and is called: its rim from above, and the cut through its middle.

    `composes` says that desserts are composed in it.
    """

    says: str
    says_in_full: str
    composes: bool
    capacity_ml: float
    outline: list[tuple[float, float]]
    section: list[tuple[float, float]]

    @classmethod
    def of(cls, printed: Mold, water_g: float | None) -> Self:
        """The sketch of a core mold."""
        mold = trued(printed, water_g)
        return cls(**_sketch(printed, mold))


class MoldFigures(MoldSketch):
    """What a mold holds: capacity, edge, open surface and wall with their workings; its looks.

    `water` is the difference that water makes to the printed size.
    """

    capacity: Working
    perimeter: Working
    free_surface: Working
    wall: Working
    water: Working | None

    @classmethod
    def of(cls, printed: Mold, water_g: float | None) -> Self:
        """The figures of a core mold."""
        mold = trued(printed, water_g)
        capacity, perimeter, surface, wall = mold.workings()
        return cls(
            **_sketch(printed, mold),
            capacity=capacity,
            perimeter=perimeter,
            free_surface=surface,
            wall=wall,
            water=None if water_g is None else water_working(printed, water_g),
        )


def _sketch(printed: Mold, mold: Solid) -> dict[str, Any]:
    return {
        "says": printed.size_words(),
        "says_in_full": printed.words_in_full(),
        "composes": mold.is_upright,
        "capacity_ml": mold.capacity_ml,
        "outline": list(outline(mold.plan_at(mold.height_mm))),
        "section": [(round(x, 2), round(z, 2)) for x, z in mold.section(0.0, mold.height_mm)],
    }


class MoldBrief(RowOut):
    """A mold in the list."""

    form: str
    figures: MoldSketch


class MoldOut(RowOut):
    """A mold with its figures."""

    form: str
    shape: Shape
    water_g: float | None
    note: str
    figures: MoldFigures

    @staticmethod
    def resolve_form(row: Any) -> str:
        """What its shape is."""
        return str(row.shape["form"])

    @staticmethod
    def resolve_figures(row: Any) -> MoldFigures:
        """Worked out by core."""
        return MoldFigures.of(SHAPE.validate_python(row.shape), row.water_g)


class FillIn(Entry):
    """A volume poured into a mold."""

    volume_ml: float
