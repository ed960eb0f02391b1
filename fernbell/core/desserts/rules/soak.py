"""A syrup brushed on what lies below: the sheet of a roll, the highest base, or the floor."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Wash
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

WORDS = RuleWords(
    rule="soak",
    title="A syrup brushed on",
    text="by the area of the sheet or base below",
    usual_kind="syrup",
    seen=4,
    fields=(Field("on_100_cm2_g", "On 100 cm²", most=100, open_least=True, step=0.5),),
)


@dataclass(frozen=True, slots=True)
class Soak(Part):
    """So many grams on 100 cm² of what lies below."""

    key: str
    formula: str
    on_100_cm2_g: float
    name: str = ""
    rule: Literal["soak"] = "soak"

    words = WORDS

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As a sponge is moistened."""
        del body
        return cls(key, formula, practice.SOAK.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Wash]:
        """On all of the sheet or base."""
        return (Wash(self.key, self.name, self.formula, self.on_100_cm2_g, _area(body)),)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Brushed on while it lies open."""
        result = made.result(self.key)
        mass = f"{figure_text(result.mass.value)} g, " if result.mass else ""
        when = Moment.BESIDE if made.body.roll else Moment.BOARD
        says = f"{mass}brushed on evenly"
        yield BuildStep(
            when, "soak", made.name(self.key), says, formulas=(self.formula,), working=result.mass
        )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How much."""
        yield f"{made.name(self.key)}: {figure_text(self.on_100_cm2_g)} g on every 100 cm²."

    def says(self) -> str:
        """How much."""
        return f"brushed · {self.on_100_cm2_g:g} g on 100 cm²"


def _area(body: Body) -> Working:
    """The area that is brushed [cm²]."""
    if body.roll:
        length, width = body.roll.length_mm, body.roll.width_mm
        area = length * width / 100
        return Working(
            figure="Sheet, brushed",
            value=area,
            unit="cm²",
            given=(Given("length", length, "mm"), Given("width", width, "mm")),
            law="area = length × width",
            arithmetic=f"{figure_text(length)} × {figure_text(width)} / 100 = "
            f"{figure_text(area)} cm²",
            source=GEOMETRY,
        )
    boards = [block for block in body.blocks if block.on_board]
    solid = boards[-1].solid if boards else body.mold
    top = solid.height_mm if boards else 0.0
    area = solid.area_at(top) / 100
    return Working(
        figure="Base, brushed" if boards else "Floor, brushed",
        value=area,
        unit="cm²",
        given=solid.measures(),
        law="area of its upper side",
        arithmetic=f"{solid.area_text(top)} / 100 = {figure_text(area)} cm²",
        source=GEOMETRY,
    )
