"""A sauce poured on every portion at service."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Puddle
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.working import counted, figure_text

WORDS = RuleWords(
    rule="sauce",
    title="A sauce at service",
    text="grams on every portion, cold or hot",
    usual_kind="fruit",
    seen=0,
    fields=(Field("portion_g", "On a portion", most=1000, open_least=True, step=5),),
    switches=(Switch("hot", "Poured hot"),),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Sauce(Part):
    """So many grams on every portion."""

    key: str
    formula: str
    portion_g: float
    hot: bool = False
    name: str = ""
    rule: Literal["sauce"] = "sauce"

    words = WORDS
    builds = ("sauce",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As much as is usual."""
        del body
        return cls(key=key, formula=formula, portion_g=practice.SAUCE.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Puddle]:
        """Around its foot."""
        del body
        return (
            Puddle(
                part=self.key,
                name=self.name,
                formula=self.formula,
                piece_g=self.portion_g,
                each=1.0,
                over_mm=0.0,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Poured when it is served."""
        says = f"{figure_text(self.portion_g)} g on each portion, at the table"
        if self.hot:
            says += "; kept hot until then by the local code, never warmed up and cooled again"
        (puddle,) = made.body.of(self.key)
        shapes = (made.shape(puddle),)
        name = f"Pour {made.name(self.key)}"
        yield BuildStep(Moment.SERVICE, "sauce", name, says, shapes, (self.formula,))

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How much on each."""
        grams, hot = figure_text(self.portion_g), ", hot" if self.hot else ""
        portions = counted(made.division.count, "portion")
        yield f"{made.name(self.key)}: {grams} g on each of {portions}{hot}."

    def says(self) -> str:
        """How much."""
        return f"{self.portion_g:g} g a portion" + (", hot" if self.hot else "")
