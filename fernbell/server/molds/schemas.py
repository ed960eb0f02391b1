"""What goes over the wire for molds."""

from typing import TYPE_CHECKING, Annotated, Any, Self, Union
from uuid import UUID

from ninja import Schema
from pydantic import Field, StringConstraints, TypeAdapter, model_validator

from fernbell.core.molds import (
    CAVITIES,
    FORMS,
    MOST_LETTERS,
    OWNED,
    Loop,
    Mold,
    Outlined,
    Scanned,
    Solid,
    trued,
    water_working,
)
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
    cavities: int = 1
    owned: int | None = None
    note: Text = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse water that cannot be in a mold of these sizes, and trays of none."""
        CAVITIES.check(self.cavities)
        if self.owned is not None:
            OWNED.check(self.owned)
        trued(self.shape, self.water_g)
        return self


class MoldSketch(Schema):
    """How a mold looks and is called: from above, and the cut through its middle.

    What is sliced lies along x from above; `upright` says that the cut shows nothing new. Of the
    cut loops are closed, also over an open rim.
    """

    says: str
    says_in_full: str
    upright: bool
    capacity_ml: float
    above: list[list[tuple[float, float]]]
    section: list[list[tuple[float, float]]]

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
    plan = mold.from_above
    hole = plan.hole()
    loops = [plan.outline(), *([hole] if hole else [])]
    lying = mold.symmetry == "long"
    return {
        "says": printed.size_words(),
        "says_in_full": printed.words_in_full(),
        "upright": mold.is_upright,
        "capacity_ml": mold.capacity_ml,
        "above": [[(y, -x) if lying else (x, y) for x, y in loop] for loop in loops],
        "section": [_rounded(loop) for loop in mold.section(0.0, mold.height_mm)],
    }


def _rounded(loop: Loop) -> list[tuple[float, float]]:
    return [(round(x, 2), round(z, 2)) for x, z in loop]


class MoldBrief(RowOut):
    """A mold in the list."""

    form: str
    cavities: int
    figures: MoldSketch


class MoldOut(RowOut):
    """A mold with its figures."""

    form: str
    shape: Shape
    water_g: float | None
    cavities: int
    owned: int | None
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


class BathIn(Entry):
    """So many of a mold in a water bath on a tray."""

    tray: UUID
    count: int


class PathIn(Entry):
    """An outline as an SVG path, and how long it is to be made."""

    path: Annotated[str, StringConstraints(max_length=MOST_LETTERS)]
    length_mm: float
    height_mm: float


class PathOut(Schema):
    """The mold an outline makes."""

    shape: Outlined


class ScanOut(Schema):
    """The mold a mesh makes, and what the mesh itself holds [ml]."""

    shape: Scanned
    faces: int
    volume_ml: float
    says: str
