"""A frozen bar laid at the start of a roll."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Bar
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import COMMON_PRACTICE, figure_text

WORDS = RuleWords(
    rule="core",
    title="A core in the roll",
    text="a frozen bar laid at the start",
    usual_kind="fruit",
    seen=4,
    fields=(Field("across_mm", "Across", least=2, most=200, grows="up"),),
    once="one core at most",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Core(Part):
    """A round bar as long as the sheet is wide."""

    key: str
    formula: str
    across_mm: float
    name: str = ""
    rule: Literal["core"] = "core"

    words = WORDS
    builds = ("core",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As thick as is usual."""
        del body
        return cls(key=key, formula=formula, across_mm=practice.CORE_ACROSS.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Bar]:
        """In the middle of the roll, which is wound around it."""
        roll = body.roll
        middle = roll.diameter_mm / 2 if roll else self.across_mm / 2
        long_ = roll.width_mm if roll else body.mold.longest_mm
        return (
            Bar(
                part=self.key,
                name=self.name,
                formula=self.formula,
                thick_mm=self.across_mm,
                length_mm=long_,
                middle_mm=middle,
                served_share=roll.served_share if roll else 1.0,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Frozen first."""
        (bar,) = made.body.of(self.key)
        yield BuildStep(
            Moment.BESIDE,
            "core",
            f"Freeze {made.name(self.key)}",
            f"a bar {figure_text(self.across_mm)} mm across, rolled in film",
            (made.shape(bar),),
            (self.formula,),
            practice.INSERT_FREEZE,
        )
        if made.body.roll is None:
            says = "there is nothing to roll it in"
            yield BuildStep(Moment.BOARD, "core", made.name(self.key), says, (made.shape(bar),))

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Without anything rolled around it."""
        if made.body.roll is None:
            yield Finding(
                code="core-alone",
                severity=Severity.WRONG,
                message=f"Nothing is rolled around {made.name(self.key)}.",
                why="A core is laid at the start of a roll.",
                remedy="Add a sheet that is rolled up, or make it an insert.",
                source=COMMON_PRACTICE,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How thick."""
        yield f"{made.name(self.key)}: a core of {figure_text(self.across_mm)} mm in the middle."

    def says(self) -> str:
        """How thick."""
        return f"core · {self.across_mm:g} mm"
