"""What goes over the wire when a formula is set, fitted or swapped."""

from typing import Annotated, Self
from uuid import UUID

from ninja import Schema
from pydantic import Field, StringConstraints, model_validator

from fernbell.core.families import USUAL_FINISHED_G, Failure, Kept, Note, Tool, Wish
from fernbell.core.fitting import (
    Demand,
    DemandKind,
    EggsWhole,
    Finished,
    Locked,
    Proportion,
    Reads,
    Uses,
    figure_named,
)
from fernbell.core.formulas import FIGURES, Figure, Losses
from fernbell.core.working import Working
from fernbell.server.formulas.schemas import DialOut, FormulaIn, ReadingOut
from fernbell.server.rows.schemas import Entry, Key

MOST_DEMANDS = 40


class SlotOut(Schema):
    """A choice of a job's sentence: 'with' dark couverture."""

    slot: str
    says: str
    usual: str


class OptionOut(Schema):
    """A line of a starter that may be left out."""

    stuff: str
    name: str
    why: str


class JobOut(Schema):
    """A job: its dial, the band it asks for, what can be chosen, what is said when it was done."""

    key: str
    name: str
    kind: str
    dial: DialOut
    band: str
    aim: float
    notes: list[str]
    slots: list[SlotOut]
    options: list[OptionOut]
    ways: list[str]
    tools: list[Tool]
    did: str


class FamilyOut(Schema):
    """A family of formulas: its jobs, what goes wrong and how it is saved, cautions."""

    key: str
    name: str
    kind: str
    flavor: str
    jobs: list[JobOut]
    failures: list[Failure]
    cautions: list[str]


class FiguresOut(Schema):
    """Figures that can be asked of a fit."""

    code: str
    name: str
    unit: str


class VocabularyOut(Schema):
    """Families and figures; the same for every kitchen."""

    families: list[FamilyOut]
    figures: list[FiguresOut]


class WishIn(Entry):
    """A job, and what is chosen beside it: ingredients by slot, options left out, size, dial."""

    job: Annotated[str, StringConstraints(max_length=60)]
    picks: dict[str, UUID] = Field(default={}, max_length=20)
    without: list[str] = Field(default=[], max_length=40)
    finished_g: float = USUAL_FINISHED_G
    dial: float | None = None
    holds_at_c: float | None = None
    way: Annotated[str, StringConstraints(max_length=60)] = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        Wish({}, finished_g=self.finished_g, holds_at_c=self.holds_at_c)
        return self


class StuffChoice(Schema):
    """Something of the pantry."""

    id: UUID
    name: str


class ProposalOut(Schema):
    """A proposed formula that is not saved, why each line stands in it, what it reads."""

    entry: FormulaIn
    names: dict[str, str]
    why: dict[str, str]
    choices: dict[str, list[StuffChoice]]
    picked: dict[str, UUID]
    reading: ReadingOut


class TurnIn(Entry):
    """A formula as it is drawn up, and where its dial should stand."""

    entry: FormulaIn
    value: float


class LineGrams(Schema):
    """Grams of one line."""

    key: str
    mass_g: float


class TurnOut(Schema):
    """What a turned dial changes, and what it then reads."""

    lines: list[LineGrams]
    losses: Losses
    reading: ReadingOut


class DemandIn(Entry):
    """One demand; which fields count goes by its kind.

    reads: figure (or 'dial'), least, most; finished: mass_g; proportion: line, on, least, most;
    uses: line, mass_g; locked: line; eggs whole: nothing more.
    """

    kind: DemandKind
    figure: Annotated[str, StringConstraints(max_length=60)] = ""
    line: Key | None = None
    on: Key | None = None
    mass_g: float | None = None
    least: float | None = None
    most: float | None = None

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range; of which dial is not known here."""
        self.demand(FIGURES["fat"] if self.figure == "dial" else None)
        return self

    def demand(self, dial: Figure | None = None) -> Demand:
        """The demand for core."""
        match self.kind:
            case "reads":
                of_dial = dial if self.figure == "dial" else None
                return Reads(of_dial or figure_named(self.figure), self.least, self.most)
            case "finished":
                return Finished(self.mass_g or 0.0)
            case "proportion":
                return Proportion(self.line or "", self.on or "", self.least, self.most)
            case "uses":
                return Uses(self.line or "", self.mass_g or 0.0)
            case "locked":
                return Locked(self.line or "")
            case "eggs whole":
                return EggsWhole()


class FitIn(Entry):
    """A formula as it is drawn up, and what is asked of it."""

    entry: FormulaIn
    demands: list[DemandIn] = Field(max_length=MOST_DEMANDS)


class MovedLine(Schema):
    """A line before and after, and the demands that moved it."""

    key: str
    name: str
    before_g: float
    after_g: float
    because: list[str]


class AskedOut(Schema):
    """A demand in words and by how much it is missed, as a share."""

    says: str
    missed: float


class FitGauge(Schema):
    """A reading that decides, before and after: whether it moved, and lies in its window then."""

    code: str
    name: str
    beside: str | None
    moved: bool
    before: Working | None
    after: Working | None
    fits: bool


class FitOut(Schema):
    """The nearest formula, what moved and why; or what conflicts, and the nearest there is.

    `told_apart` is false where fewer may conflict, as finding out would have taken too long.
    `kept_g` is what arrives where nothing was asked about the size.
    """

    lines: list[MovedLine]
    asked: list[AskedOut]
    conflict: list[str]
    told_apart: bool
    kept_g: float | None
    gauges: list[FitGauge]
    solves: int
    source: str


class SwapIn(Entry):
    """A formula as it is drawn up, the ingredient that goes and the one that comes."""

    entry: FormulaIn
    old: UUID
    new: UUID


class SwapLine(Schema):
    """A line before, with the other ingredient straight, and rebalanced.

    `added` is the ingredient of a line that only the rebalanced formula has, `soaked` how many
    times its weight of water it brings then.
    """

    key: str
    before: str
    after: str
    added: UUID | None
    before_g: float
    straight_g: float
    rebalanced_g: float
    soaked: float


class SwapGauge(Schema):
    """A reading that decides, before, straight and rebalanced; whether it moved in either."""

    code: str
    name: str
    beside: str | None
    moved: bool
    before: Working | None
    straight: Working | None
    rebalanced: Working | None
    straight_fits: bool
    rebalanced_fits: bool


class SwapOut(Schema):
    """A swap side by side: lines, readings, what is kept, what the method changes."""

    lines: list[SwapLine]
    gauges: list[SwapGauge]
    kept: list[Kept]
    notes: list[Note]


class DripsOut(Schema):
    """Drips along an edge: how many, and the grams of one and of all."""

    count: Working
    one: Working
    all: Working
