"""What goes over the wire for desserts; parts and portions are core's own types."""

from typing import Annotated, Any
from uuid import UUID

from ninja import Schema
from pydantic import Field, TypeAdapter

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Fill,
    Garnish,
    Grid,
    Insert,
    Solved,
    Wedges,
)
from fernbell.server.kitchens.schemas import Entry, Key, Name, RowOut
from fernbell.server.molds.schemas import Shape

MOST_PARTS = 40

Part = Annotated[Base | Insert | Fill | Coat | Band | Garnish, Field(discriminator="rule")]
Portions = Annotated[Wedges | Grid, Field(discriminator="cut")]

PARTS: TypeAdapter[list[Any]] = TypeAdapter(list[Part])
PORTIONS: TypeAdapter[Any] = TypeAdapter(Portions)
SOLVED = TypeAdapter(Solved)


class DessertIn(Entry):
    """A dessert as entered: parts from the top down, in one of the kitchen's molds.

    Without portions it is divided as is usual for the mold.
    """

    name: Name
    mold: UUID
    parts: list[Part] = Field(default=[], max_length=MOST_PARTS)
    portions: Portions | None = None
    count: int = Field(default=1, ge=1, le=5000)


class DessertBrief(RowOut):
    """A dessert in the list."""

    count: int


class DessertOut(DessertBrief):
    """A dessert alone."""

    mold: UUID
    mold_name: str
    shape: Shape
    parts: list[Part]
    portions: Portions

    @staticmethod
    def resolve_mold(row: Any) -> UUID:
        """Key of the mold."""
        return row.mold_id

    @staticmethod
    def resolve_mold_name(row: Any) -> str:
        """Name of the mold."""
        return row.mold.name

    @staticmethod
    def resolve_shape(row: Any) -> Any:
        """Shape of the mold."""
        return row.mold.shape


class ProposeIn(Entry):
    """A part wanted for a dessert as it is drawn: what it does, of which formula.

    With `into`, the key of an insert, it is a layer of that insert.
    """

    dessert: DessertIn
    rule: str = "insert"
    into: Key | None = None
    key: Key
    formula: UUID


class Proposed(Schema):
    """A part measured for this dessert."""

    part: Part


class RefitIn(Entry):
    """Another mold for a dessert as it is drawn."""

    dessert: DessertIn
    mold: UUID


class Refitted(Schema):
    """The dessert's parts and portions in that mold, not yet saved."""

    mold: UUID
    parts: list[Part]
    portions: Portions
