"""Discs cut from a rolled sheet and laid on top: craquelin, chocolate, joconde."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.masses import spared
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Part, RuleWords, Use
from fernbell.core.desserts.regions import Cutout
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Plan
from fernbell.core.working import Working, figure_text

WORDS = RuleWords(
    rule="disc",
    title="A disc on top",
    text="cut from a sheet: craquelin, chocolate",
    usual_kind="crumble",
    seen=1,
    fields=(
        Field("across_mm", "Across", most=LARGEST_MM, open_least=True, grows="across"),
        Field("thickness_mm", "Thickness", most=50, open_least=True, step=0.5),
        Field("spare_percent", "Spare for what breaks", most=100, step=5),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Disc(Part):
    """A disc of a sheet rolled so thin, with spare for what breaks."""

    key: str
    formula: str
    across_mm: float
    thickness_mm: float
    spare_percent: float = 0.0
    name: str = ""
    rule: Literal["disc"] = "disc"

    words = WORDS
    builds = ("disc",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As wide as what it lies on, or what was piped."""
        across = round(body.mold.shaped_mm)
        return cls(
            key=key,
            formula=formula,
            across_mm=across,
            thickness_mm=practice.DISC_THICKNESS.value,
            spare_percent=practice.DISC_SPARE.value,
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Cutout]:
        """On what is there."""
        under = sum(film.thick_mm for film in body.films)
        return (
            Cutout(
                part=self.key,
                name=self.name,
                formula=self.formula,
                wide_mm=self.across_mm,
                thick_mm=self.thickness_mm,
                under_mm=under,
            ),
        )

    def make(self, name: str, one: Working, count: int, others_g: float = 0.0) -> Working:
        """With spare for what breaks; it is made, and not on the dessert."""
        del others_g
        return spared(name, one, count, self.spare_percent)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Rolled, cut and laid on."""
        (disc,) = made.body.of(self.key)
        thin, across = figure_text(self.thickness_mm), figure_text(self.across_mm)
        says = f"rolled {thin} mm thin, cut {across} mm across"
        # On what is piped it goes before the oven.
        when = Moment.BOARD if made.body.is_hollow else Moment.OVER
        yield BuildStep(
            when, "disc", made.name(self.key), says, (made.shape(disc),), (self.formula,)
        )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How wide, how thin."""
        across, thin = figure_text(self.across_mm), figure_text(self.thickness_mm)
        yield f"{made.name(self.key)}: a disc {across} mm across, {thin} mm thin, on top."

    def says(self) -> str:
        """How wide."""
        return f"disc · {self.across_mm / 10:.3g} cm"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """By its share of the width."""
        return replace(self, across_mm=self.across_mm * now.length_mm / was.length_mm)
