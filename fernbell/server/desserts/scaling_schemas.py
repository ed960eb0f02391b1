"""What goes over the wire where a dessert is resized, cut from sheets and cut by templates."""

from typing import Annotated
from uuid import UUID

from ninja import Schema
from pydantic import Field, TypeAdapter

from fernbell.core.cutting import RAW_FIELDS, RawSheet
from fernbell.core.cutting import Template as Drawn
from fernbell.core.desserts.resize import Keep, Resized
from fernbell.core.desserts.sheeted import CutWeights, Trim
from fernbell.core.molds import Loop
from fernbell.core.working import Working
from fernbell.server.desserts.schemas import Part
from fernbell.server.rows.schemas import Entry

_FIRST = {field.name: field.first or 0.0 for field in RAW_FIELDS}


class SmallShape(Schema):
    """An outline of one formula; `drawn` is its layer of the drawing [mm]."""

    formula: str
    drawn: str
    loops: list[Loop]


class PartThere(Schema):
    """A part in another mold, in grams; `over_g` is what one factor for all would leave of it."""

    part: str
    layer: str | None
    name: str
    goes_by: str
    mass_g: float | None
    factor: float | None
    over_g: float | None


class SmallCut(Schema):
    """A cut to be drawn small: outlines from the back, and the room they need [mm]."""

    width_mm: float
    height_mm: float
    mold: list[Loop]
    shapes: list[SmallShape]


class MoldResized(Schema):
    """A mold of the kitchen, and the dessert in it; `refused` says why there is none."""

    mold: UUID
    name: str
    says: str
    own: bool
    refused: str
    factor: float | None
    parts: list[PartThere]
    finished_g: float | None
    portion_g: float | None
    portions: int
    count: int
    short: list[str]
    fills: Working | None
    cut: SmallCut | None


class ResizedOut(Schema):
    """Some molds of the kitchen, the most alike first, and how many there are."""

    keep: Keep
    molds: list[MoldResized]
    of: int


class ResizedInto(Schema):
    """A dessert in one mold with the working of every figure, and its parts as they are there.

    The parts are left out where that is what a size of it becomes by itself.
    """

    there: Resized
    parts: list[Part] | None


RESIZED_OUT: TypeAdapter[ResizedOut] = TypeAdapter(ResizedOut)


class PieceOut(Schema):
    """So many pieces of one size."""

    name: str
    says: str
    count: int


class SheetedOut(Schema):
    """What is cut from sheets of one formula in one thickness."""

    formula: str
    name: str
    thick_mm: float
    usual: bool
    pieces: list[PieceOut]


class CutPlanIn(Entry):
    """Which sheets are cut: formula and thickness, the sheet, how far to search, what of trim."""

    formula: Annotated[str, Field(max_length=60)]
    thick_mm: float
    count: Annotated[int | None, Field(ge=1, le=5000)] = None
    length_mm: float = _FIRST["length_mm"]
    width_mm: float = _FIRST["width_mm"]
    edge_mm: float = _FIRST["edge_mm"]
    kerf_mm: float = _FIRST["kerf_mm"]
    turns: Annotated[int, Field(ge=0, le=100)] = 0
    trim: Trim = "thrown"

    @property
    def raw(self) -> RawSheet:
        """The sheet; OutOfRange names what is wrong with it."""
        return RawSheet(self.length_mm, self.width_mm, self.edge_mm, self.kerf_mm)


class CutSheetOut(Schema):
    """One sheet as it is cut, and so many alike: the edge of each piece in the order of cutting."""

    alike: int
    offcut_mm: float | None
    wanted: list[int]
    loops: list[Loop]


class CutPlanOut(Schema):
    """A cut plan, drawn and weighed; `on_one` and `bounds` are by form of piece."""

    raw: RawSheet
    pieces: list[PieceOut]
    ways: list[str]
    on_one: list[int]
    bounds: list[int]
    bound_sources: list[str]
    sheets: list[CutSheetOut]
    number: int
    turn: int
    turns: int
    done: bool
    weighed: CutWeights


class TemplateOut(Schema):
    """A template at full size: what it is, and on how many pages of each paper."""

    drawn: Drawn
    pages: dict[str, int]
