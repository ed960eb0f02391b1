"""What goes over the wire for vessels and orders."""

from typing import Annotated, Self
from uuid import UUID

from ninja import Schema
from pydantic import Field, model_validator

from fernbell.core.desserts import Solved
from fernbell.core.errors import OutOfRange
from fernbell.core.formulas import Declared
from fernbell.core.planning import CountedBy, MiseLine, UsedIn, VesselKind
from fernbell.core.planning import Vessel as CoreVessel
from fernbell.core.working import Working
from fernbell.server.formulas.schemas import SheetOut
from fernbell.server.planning.timing_schemas import TimingIn
from fernbell.server.rows.schemas import Entry, Key, Name, RowOut

MOST_LINES = 60


class VesselIn(Entry):
    """A vessel as entered: what it takes least and most, and how many there are."""

    name: Name
    kind: VesselKind
    least: float = 0.0
    most: float
    number: int = 1

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        self.vessel()
        return self

    def vessel(self) -> CoreVessel:
        """As core has it."""
        return CoreVessel(self.name, self.kind, self.most, self.least, self.number)


class VesselOut(RowOut):
    """A vessel."""

    kind: VesselKind
    least: float
    most: float
    number: int


class OrderLineIn(Entry):
    """So many of a dessert, in its own mold or another; by desserts, by trays or by covers."""

    key: Key
    dessert: UUID
    mold: UUID | None = None
    count: Annotated[int, Field(ge=1, le=20_000)]
    by: CountedBy = "desserts"
    service: Key | None = None


class OrderIn(Entry):
    """An order as entered."""

    name: Name
    lines: list[OrderLineIn] = Field(default=[], max_length=MOST_LINES)
    timing: TimingIn = TimingIn()

    @model_validator(mode="after")
    def keys_once(self) -> Self:
        """Refuse lines of one key."""
        keys = [line.key for line in self.lines]
        if len(set(keys)) < len(keys):
            raise OutOfRange("lines", "a key used twice", "lines with keys of their own")
        served = {one.key for one in self.timing.services}
        for line in self.lines:
            if line.service is not None and line.service not in served:
                raise OutOfRange("lines", "a service that is not there", "one of the services")
        return self


class OrderBrief(RowOut):
    """An order in the list."""


class OrderOut(OrderBrief):
    """An order alone."""

    lines: list[OrderLineIn]
    timing: TimingIn


class OrderedOut(Schema):
    """A line worked out: how many desserts that is, their portions, the trays they take."""

    key: str
    name: str
    says: str
    desserts: int
    portions: int
    trays: Working | None


class FedOut(Schema):
    """What a batch is for: so many of these, from the first of them."""

    name: str
    count: int
    first: int


class BatchOut(Schema):
    """One batch, in which vessels, for what; by key of each line of its sheet its grams, and what
    that is in the kitchen's measures.
    """

    wanted_g: float
    made_g: float
    weighed_g: float
    vessels: list[str]
    feeds: list[FedOut]
    lines: dict[str, float]
    kitchen: dict[str, str]


class MadeOut(Schema):
    """A formula for the whole order, with its batches; `sets_min` is how long it can be filled."""

    page: SheetOut
    batches: list[BatchOut]
    limit: str
    way: str
    left_g: float
    sets_min: float | None


class PlannedOut(Schema):
    """Everything an order takes, formula by formula in the order of making, and set out."""

    lines: list[OrderedOut]
    made: list[MadeOut]
    mise: list[MiseLine]
    left: list[UsedIn]
    cost: Working | None


class SizeSheetOut(Schema):
    """One size of a dessert as its sheet shows it."""

    says: str
    count: int
    trays: Working | None
    solved: Solved


class DessertSheetOut(Schema):
    """A dessert on its sheet: its sizes, and the allergens of all it is made of."""

    name: str
    sizes: list[SizeSheetOut]
    declared: Declared


class SheetsOut(Schema):
    """What is pinned up: the desserts, then every formula with its batches."""

    desserts: list[DessertSheetOut]
    made: list[MadeOut]
