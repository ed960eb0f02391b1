"""What goes over the wire for formulas."""

from typing import Annotated, Any, Self
from uuid import UUID

from ninja import Schema
from pydantic import Field, StringConstraints, model_validator

from fernbell.core.errors import OutOfRange
from fernbell.core.families import Aside, Dial, DialBand, Landing, Own, Slot, job_named
from fernbell.core.formulas import (
    SETS,
    USUAL_LOSSES,
    Brings,
    Declared,
    Formula,
    Gauge,
    Judged,
    LegKind,
    Line,
    Losses,
    OvenLeg,
    Sheet,
    Step,
    Verdict,
    Wait,
    usual_rule,
)
from fernbell.core.pantry import EggPart, InMeasures
from fernbell.core.working import Working
from fernbell.server.formulas.models import FormulaLine
from fernbell.server.rows.schemas import Entry, Key, Name, RowOut, Text

MOST_LINES = 300

Short = Annotated[str, StringConstraints(strip_whitespace=True, max_length=40)]
Phrase = Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)]


class LineIn(Entry):
    """One line as entered: grams of an ingredient or of a formula."""

    key: Key
    mass_g: float
    overrun_percent: float = 0
    stage: Short = ""
    strained_percent: float = 0
    soaked: float = 0
    note: Annotated[str, StringConstraints(strip_whitespace=True, max_length=80)] = ""
    ingredient: UUID | None = None
    formula: UUID | None = None

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range, and a line of both or neither."""
        ingredient, formula = (str(one) if one else None for one in (self.ingredient, self.formula))
        Line(
            self.key,
            self.mass_g,
            ingredient,
            formula,
            self.overrun_percent,
            strained_percent=self.strained_percent,
            soaked=self.soaked,
        )
        return self


class LegIn(Entry):
    """How the oven goes on after what it was set to."""

    how: LegKind
    temperature_c: float | None = None
    minutes: float | None = None

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        OvenLeg(self.how, self.temperature_c, self.minutes)
        return self


class StepIn(Entry):
    """One step of a method as entered, and the wait it ends with."""

    text: Text
    wait: Wait | None = None
    stage: Short = ""
    temperature_c: float | None = None
    minutes: float | None = None
    tool: Short = ""
    sign: Phrase = ""
    caution: Phrase = ""
    temperature_to_c: float | None = None
    minutes_to: float | None = None
    then: list[LegIn] = Field(default=[], max_length=6)
    bursts_s: float | None = None
    bursts_to_s: float | None = None
    alike: Short = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range."""
        Step(
            self.text,
            temperature_c=self.temperature_c,
            minutes=self.minutes,
            temperature_to_c=self.temperature_to_c,
            minutes_to=self.minutes_to,
            bursts_s=self.bursts_s,
            bursts_to_s=self.bursts_to_s,
        )
        return self


class FormulaIn(Entry):
    """A formula as entered; without a kind it gets the usual one of what it is to do (`does`)."""

    name: Name
    kind: Annotated[str, StringConstraints(max_length=40)] = ""
    does: Annotated[str, StringConstraints(max_length=20)] = ""
    flavor: Annotated[str, StringConstraints(max_length=40)] = ""
    lines: list[LineIn] = Field(default=[], max_length=MOST_LINES)
    base_lines: list[Key] = Field(default=[], max_length=MOST_LINES)
    losses: Losses = USUAL_LOSSES
    gas_kept: float | None = None
    measured_density_g_ml: float | None = None
    sets_min: float | None = None
    method: list[StepIn] = Field(default=[], max_length=60)
    whole_eggs: bool = False
    job: Short = ""

    @model_validator(mode="after")
    def in_range(self) -> Self:
        """Let core refuse what is out of range; line keys are used once."""
        if self.job:
            job_named(self.job)
        SETS.check(self.sets_min)
        keys = [line.key for line in self.lines]
        if len(set(keys)) < len(keys):
            raise OutOfRange("lines", "a key used twice", "lines with keys of their own")
        lines = tuple(Line(key, 0, ingredient="-") for key in keys)
        Formula(
            "",
            self.name,
            lines,
            tuple(self.base_lines),
            gas_kept=self.gas_kept,
            measured_density_g_ml=self.measured_density_g_ml,
        )
        return self


class LineOut(Schema):
    """One line, with the name of what it weighs."""

    key: str
    mass_g: float
    overrun_percent: float
    stage: str
    strained_percent: float
    soaked: float
    note: str
    ingredient: UUID | None
    formula: UUID | None
    name: str

    @staticmethod
    def resolve_ingredient(line: FormulaLine) -> UUID | None:
        """Key of the ingredient."""
        return line.ingredient_id

    @staticmethod
    def resolve_formula(line: FormulaLine) -> UUID | None:
        """Key of the nested formula."""
        return line.nested_id

    @staticmethod
    def resolve_name(line: FormulaLine) -> str:
        """Name of what is weighed."""
        return str(line.ingredient or line.nested)


class FormulaLook(Schema):
    """How a formula is called and drawn; `does` is what its kind usually does in a dessert.

    `flavor` is the color chosen for it, `color` that of what it is mostly made of.
    """

    id: UUID
    name: str
    kind: str
    flavor: str
    color: str
    does: str

    @staticmethod
    def resolve_does(row: Any) -> str:
        """The usual rule of its kind."""
        return usual_rule(row.kind)


class FormulaHead(FormulaLook, RowOut):
    """What every formula shows."""


class FormulaBrief(FormulaHead):
    """A formula in the list: what is weighed of it, the desserts it is a part of.

    `within` says that another formula has it as a line.
    """

    batch_g: float
    desserts: list[str]
    within: bool


class FormulaOut(FormulaHead):
    """A formula alone."""

    batch_g: float
    lines: list[LineOut]
    base_lines: list[str]
    losses: Losses
    gas_kept: float | None
    measured_density_g_ml: float | None
    sets_min: float | None
    method: list[Step]
    whole_eggs: bool
    job: str
    used_by: list[str]

    @staticmethod
    def resolve_batch_g(row: Any) -> float:
        """Grams of all lines."""
        return float(sum(row.lines.values_list("mass_g", flat=True)))

    @staticmethod
    def resolve_lines(row: Any) -> Any:
        """Lines in order."""
        return row.lines.select_related("ingredient", "nested")

    @staticmethod
    def resolve_used_by(row: Any) -> list[str]:
        """Names of the formulas and desserts it is in."""
        return sorted(row.users())


class GaugeOut(Schema):
    """One reading, where it lies in its window."""

    gauge: Gauge
    verdict: Verdict | None


class LeftoverOut(Schema):
    """Yolks or whites left over, and this kitchen's formulas that could take them."""

    part: EggPart
    count: float
    working: Working
    takers: list[str]


class DialOut(Schema):
    """A dial: its figure, its bands end to end, what turning it moves."""

    code: str
    name: str
    unit: str
    says: str
    bands: list[DialBand]
    moves: str
    step: float
    source: str

    @classmethod
    def of(cls, dial: Dial) -> Self:
        """A dial as it goes out."""
        figure = dial.figure
        return cls(
            code=figure.code,
            name=figure.name,
            unit=figure.unit,
            says=dial.says,
            bands=list(dial.bands),
            moves=dial.moves,
            step=dial.step,
            source=dial.source,
        )


class JobHere(Schema):
    """How a job is set with what is in a formula, where the kitchen stands.

    `own` is what the kitchen itself moved its dial by.
    """

    dial: DialOut
    band: str
    aim: float
    notes: list[str]
    own: Own | None


class ReadingOut(Schema):
    """What a formula is: batch, what arrives, percents, density, readings, what to say of it.

    `method` says its steps, what follows the drawing in words; `told` how hot, how long and with
    what each is done, `waits` the wait each ends with, '' for none.
    `kitchen` and `brings` stand beside the lines: each said in the person's own measures, and
    the grams it brings of water, fats, sugars and the rest. `here` is how its job is set with
    its chocolate in this kitchen, `landing` where it stands on that dial, `sentence` which lines
    its choices are, `asides` what else to know of its kind, `gas_kept` what is left of its air.
    """

    here: JobHere | None
    landing: Landing | None
    sentence: list[Slot]
    asides: list[Aside]

    method: list[str]
    told: list[str]
    waits: list[str]
    batch_g: float
    finished_g: float
    percents: list[Working | None]
    kitchen: list[InMeasures | None]
    brings: list[Brings]
    without_density: list[str]
    gas_kept: float
    gauges: list[GaugeOut]
    judged: list[Judged]
    declared: Declared
    cooking: Working | None
    eggs: Working | None
    leftovers: list[LeftoverOut]
    finished: Working
    density: Working | None
    volume: Working | None


class SheetOut(Schema):
    """A scaled sheet with its method, and the workings of size, batch and every line by key.

    `kitchen` says lines in the person's own measures, by key; `notes` what else is said of them;
    `told` how hot, how long and with what each step is done, `waits` what it ends with.
    """

    sheet: Sheet
    size: Working
    batch: Working
    kind: str
    flavor: str
    color: str
    method: list[Step]
    told: list[str]
    waits: list[str]
    workings: dict[str, Working]
    kitchen: dict[str, InMeasures]
    notes: dict[str, str]


class PastedIn(Entry):
    """A pasted list, and the formula it is pasted into."""

    within: UUID | None = None
    text: Annotated[str, StringConstraints(max_length=60_000)]


class TypedLine(Entry):
    """A line as typed, '250 g cream', and the formula it is typed into.

    `begun` while it is still being typed: then everything that may be meant is offered.
    """

    within: UUID | None = None
    begun: bool = False
    text: Annotated[str, StringConstraints(strip_whitespace=True, max_length=200)]
