"""What goes over the wire for desserts; parts and portions are core's own types."""

from functools import reduce
from operator import or_
from typing import TYPE_CHECKING, Annotated, Any, Self, Union
from uuid import UUID

from django.db.models import Q
from ninja import Schema
from pydantic import Field, TypeAdapter, model_validator

from fernbell.core.desserts import HELD_FIELDS, RULES, WAYS, Built, Solved, Take
from fernbell.core.desserts import Shape as Outline
from fernbell.core.errors import OutOfRange
from fernbell.core.field import check_fields
from fernbell.core.working import Working
from fernbell.server.desserts.models import Dessert
from fernbell.server.formulas.models import Formula
from fernbell.server.formulas.schemas import FormulaLook
from fernbell.server.molds.schemas import Shape
from fernbell.server.rows.schemas import Entry, Key, Name, RowOut

MOST_PARTS = 40
MOST_SIZES = 7
MOST_HOLDS = 12
DEEPEST = 4
"""Desserts that hold each other, a box the first."""

if TYPE_CHECKING:
    Part = Any
    Portions = Any
else:
    Part = Annotated[Union[RULES], Field(discriminator="rule")]  # noqa: UP007 - made of a list
    Portions = Annotated[Union[WAYS], Field(discriminator="cut")]  # noqa: UP007 - made of a list

PARTS: TypeAdapter[list[Any]] = TypeAdapter(list[Part])
PORTIONS: TypeAdapter[Any] = TypeAdapter(Portions)


Parts = Annotated[list[Part], Field(max_length=MOST_PARTS)]
HowMany = Annotated[int, Field(ge=1, le=5000)]


class SizeIn(Entry):
    """Another size of a dessert; without parts of its own it follows the first size."""

    key: Key
    mold: UUID
    count: HowMany = 1
    parts: Parts | None = None
    portions: Portions | None = None


class HeldIn(Entry):
    """Another dessert of the kitchen that stands on this one, or inside it at a height [mm]."""

    key: Key
    dessert: UUID
    each: int = 1
    inside_mm: float | None = None

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """As core allows it."""
        check_fields(self, HELD_FIELDS)
        return self


class DessertIn(Entry):
    """A dessert as entered: parts from the top down, in one of the kitchen's molds.

    Without portions it is divided, and built, as is usual for the mold; `sizes` are made beside
    it, and every one of them `holds` the same other desserts.
    """

    name: Name
    mold: UUID
    built: Built | None = None
    parts: Parts = Field(default=[])
    portions: Portions | None = None
    count: HowMany = 1
    sizes: list[SizeIn] = Field(default=[], max_length=MOST_SIZES)
    holds: list[HeldIn] = Field(default=[], max_length=MOST_HOLDS)

    @model_validator(mode="after")
    def told_apart(self) -> Self:
        """Sizes have keys of their own."""
        if len({size.key for size in self.sizes}) < len(self.sizes):
            raise OutOfRange("sizes", "a key used twice", "sizes with keys of their own")
        return self


class DessertBrief(RowOut):
    """A dessert in the list."""

    count: int


class DessertOut(DessertBrief):
    """A dessert alone, with the formulas its parts are made of."""

    mold: UUID
    mold_name: str
    shape: Shape
    built: Built
    parts: list[Part]
    portions: Portions
    sizes: list[SizeIn]
    holds: list[HeldIn]
    made_of: list[FormulaLook]

    @staticmethod
    def resolve_made_of(row: Any) -> Any:
        """Formulas of its parts, in all sizes, and of what it holds."""
        if not row.holds:
            return row.formulas.order_by("name")
        ways = ("desserts" + depth * "__held_by" for depth in range(DEEPEST))
        used = reduce(or_, (Q(**{way: row}) for way in ways))
        return Formula.objects.filter(used).distinct().order_by("name")

    @staticmethod
    def resolve_mold(row: Dessert) -> UUID:
        """Key of the mold."""
        return row.mold_id

    @staticmethod
    def resolve_mold_name(row: Dessert) -> str:
        """Name of the mold."""
        return row.mold.name

    @staticmethod
    def resolve_shape(row: Any) -> Any:
        """Shape of the mold."""
        return row.mold.shape


class DessertKindOut(Schema):
    """A kind of dessert with a small cut of it; a shape's `formula` is a kind of formula."""

    kind: str
    title: str
    text: str
    picture: list[Outline]


class DessertKindsOut(Schema):
    """Every kind there is, in the order they are offered."""

    kinds: list[DessertKindOut]


class BeginIn(Entry):
    """A dessert begun from a kind, in a mold of the kitchen or in what is nearest to the usual."""

    kind: Annotated[str, Field(max_length=40)]
    name: Name
    mold: UUID | None = None
    count: HowMany = 1


class BiteWith(Schema):
    """How sweet a whole bite is with another formula in it; nothing where that cannot be told."""

    formula: UUID
    sweetness: Working | None


class BegunOut(Schema):
    """The dessert that was begun, and what kinds of formula the kitchen has none of."""

    dessert: DessertOut
    lacking: list[str]


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


class PlaceIn(Entry):
    """A stack wanted in a dessert as it is drawn, and a new key for every part of it."""

    dessert: DessertIn
    stack: UUID
    keys: list[Key] = Field(min_length=1, max_length=MOST_PARTS)


class Placed(Schema):
    """The stack's parts measured for this dessert."""

    parts: list[Part]


class RefitIn(Entry):
    """Another mold for a dessert as it is drawn."""

    dessert: DessertIn
    mold: UUID


class Refitted(Schema):
    """The dessert's parts and portions in that mold, not yet saved."""

    mold: UUID
    parts: list[Part]
    portions: Portions


class SizeOut(Schema):
    """One size of an order in brief: '12 × Ø 8 cm', and whether something is wrong with it.

    `trays` are how many it takes where its mold hangs together with others.
    """

    key: str
    mold_name: str
    says: str
    count: int
    trays: Working | None
    wrong: bool


class WorkedOut(Schema):
    """One size worked out and drawn, with its parts as they are in it, and the whole order.

    `mold_says` names its mold, `expects` what its parts usually do in such a mold, `ways` say
    the same portions in every way that is of use.
    """

    key: str
    shape: Shape
    parts: list[Part]
    portions: Portions
    mold_says: str
    expects: list[str]
    ways: list[Portions]
    solved: Solved
    sizes: list[SizeOut]
    takes: list[Take]


WORKED_OUT = TypeAdapter(WorkedOut)


class StackIn(Entry):
    """Parts to keep, from the top down, and the shape of the mold they stood in."""

    name: Name
    shape: Shape
    parts: list[Part] = Field(min_length=1, max_length=MOST_PARTS)


class StackOut(RowOut):
    """A stack of parts."""

    shape: Shape
    parts: list[Part]
