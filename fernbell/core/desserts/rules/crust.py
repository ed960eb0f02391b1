"""Strewn on the open top by its area: sugar to burn, cocoa, crumbs."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Crust
from fernbell.core.desserts.step import BuildStep, Moment, torch_step
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import GEOMETRY, Working, figure_text

WORDS = RuleWords(
    rule="crust",
    title="Strewn on top",
    text="sugar to burn, cocoa, crumbs, by the area",
    usual_kind="crisp",
    seen=1,
    fields=(Field("on_100_cm2_g", "On 100 cm²", most=200, open_least=True, step=0.5),),
    switches=(Switch("torched", "Burned with the torch"),),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Strewn(Part):
    """So many grams on 100 cm² of the top."""

    key: str
    formula: str
    on_100_cm2_g: float
    torched: bool = False
    name: str = ""
    rule: Literal["crust"] = "crust"

    words = WORDS
    builds = ("strew", "torch")

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As sugar is strewn to be burned."""
        del body
        return cls(key=key, formula=formula, on_100_cm2_g=practice.STREWN.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Crust]:
        """On the coats."""
        solid, over = body.outer, sum(film.thick_mm for film in body.films)
        top = solid.height_mm
        area = solid.area_at(top) / 100
        working = Working(
            figure="Open top",
            value=area,
            unit="cm²",
            given=solid.measures(),
            law="area of its upper side",
            arithmetic=f"{solid.area_text(top)} / 100 = {figure_text(area)} cm²",
            source=GEOMETRY,
        )
        return (
            Crust(
                part=self.key,
                name=self.name,
                formula=self.formula,
                on_100_cm2_g=self.on_100_cm2_g,
                area=working,
                over_mm=over,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Strewn evenly, then burned."""
        (crust,) = made.body.of(self.key)
        result, name = made.result(self.key), made.name(self.key)
        yield BuildStep(
            Moment.OVER,
            "strew",
            name,
            "strewn evenly",
            (made.shape(crust),),
            (self.formula,),
            working=result.mass,
        )
        if self.torched:
            yield torch_step(name)

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """A top that comes to a point takes nothing."""
        if made.body.outer.area_at(made.body.outer.height_mm) < 1:
            yield Finding(
                code="nothing-to-strew-on",
                severity=Severity.WRONG,
                message=f"{made.name(self.key)} has no flat top to lie on.",
                why="It goes by the area of the top, and this one comes to a point.",
                remedy="Coat it instead: a coat goes over all of the surface.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How much."""
        yield f"{made.name(self.key)}: {figure_text(self.on_100_cm2_g)} g on 100 cm² of the top."

    def says(self) -> str:
        """How much."""
        return f"strewn · {self.on_100_cm2_g:g} g on 100 cm²"
