"""A thickness on the exposed surface, with run-off that is saved and a least pour."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Film
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text

WORDS = RuleWords(
    rule="coat",
    title="A coat over it",
    text="glaze or spray on the exposed surface",
    usual_kind="glaze",
    seen=1,
    fields=(
        Field("thickness_mm", "Thickness", most=50, open_least=True, step=0.5),
        Field("runoff_percent", "Run-off, saved", most=300, step=5),
        Field("least_pour_g", "Least that pours", most=100_000, step=50),
    ),
    switches=(
        Switch("top_only", "Top only; the sides stay bare"),
        Switch("dipped", "Dipped: the underside too"),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Coat(Part):
    """A thickness on the exposed surface, with run-off that is saved and a least pour."""

    key: str
    formula: str
    thickness_mm: float
    runoff_percent: float = 0.0
    least_pour_g: float = 0.0
    top_only: bool = False
    dipped: bool = False
    name: str = ""
    rule: Literal["coat"] = "coat"

    words = WORDS
    builds = ("coat",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)
        if self.top_only and self.dipped:
            raise CoreError("dipped", "top only", "dipped all over, or a coat on the top only")

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As a mirror glaze is poured."""
        del body
        return cls(
            key=key,
            formula=formula,
            thickness_mm=practice.COAT_THICKNESS.value,
            runoff_percent=practice.COAT_RUNOFF.value,
            least_pour_g=practice.COAT_LEAST_POUR.value,
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Film]:
        """Over the films there are."""
        out = sum(film.side_mm for film in body.films)
        over = sum(film.thick_mm for film in body.films)
        return (
            Film(
                part=self.key,
                name=self.name,
                formula=self.formula,
                thick_mm=self.thickness_mm,
                top_only=self.top_only,
                out_mm=out,
                over_mm=over,
                all_round=self.dipped,
                under_it=self.dipped or body.roll is not None,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Poured over, or dipped."""
        says = f"{figure_text(self.thickness_mm)} mm" + (" on top" if self.top_only else "")
        if self.dipped:
            says = f"dipped frozen hard, on a fork: {says} all round"
        (film,) = made.body.of(self.key)
        shape, name = made.shape(film), made.name(self.key)
        yield BuildStep(Moment.OVER, "coat", name, says, (shape,), (self.formula,))

    def poured_g(self, one_g: float, count: int) -> float:
        """What has to be poured so that enough clings; clinging × count × (1 + run-off) [g]."""
        return one_g * count * (1 + self.runoff_percent / 100)

    def make(self, name: str, one: Working, count: int, others_g: float = 0.0) -> Working:
        """What is poured, and no less than pours well; common practice.

        What other sizes of the order take from the same jug counts towards the least; this size
        brings its share of what is missing.
        """
        poured = self.poured_g(one.value, count)
        jug = poured + others_g
        least = self.least_pour_g * (poured / jug if others_g else 1.0)
        raised = jug < self.least_pour_g
        shared = f"; {figure_text(others_g)} g more for other sizes" if others_g else ""
        floor = f", raised to the {figure_text(least)} g that pour well{shared}"
        return Working(
            figure=f"{name} to make",
            value=least if raised else poured,
            unit="g",
            given=(
                Given("clings to one dessert", one.value, "g"),
                Given("desserts", count, ""),
                Given("run-off, saved", self.runoff_percent, "%"),
                Given("least that pours well", self.least_pour_g, "g"),
            ),
            law="to make = clinging × desserts × (1 + run-off), and no less than pours well",
            arithmetic=f"{figure_text(one.value)} × {count} × "
            f"{figure_text(1 + self.runoff_percent / 100)} = {figure_text(poured)} g"
            f"{floor if raised else shared}",
            source=COMMON_PRACTICE,
            steps=(one,),
        )

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Less than pours well."""
        result = made.result(self.key)
        if result.mass is None:
            return
        others = made.others_g.get(self.key, 0.0)
        poured = self.poured_g(result.mass.value, made.count) + others
        if poured < self.least_pour_g:
            yield Finding(
                code="short-pour",
                severity=Severity.NOTE,
                message=f"{result.name}: {figure_text(poured)} g would cover, but less than "
                f"{figure_text(self.least_pour_g)} g does not pour well.",
                why="A thin stream leaves laps; the coat has to be flooded on in one go. The "
                "sheet is raised to the least pour.",
                remedy=f"Keep the {figure_text(self.least_pour_g - poured)} g that are over for "
                "the next service, or coat more desserts at once.",
                source=COMMON_PRACTICE,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How thick, and where."""
        where = "on top" if self.top_only else "over top and sides"
        where = "all round" if self.dipped else where
        yield f"{made.name(self.key)}: {figure_text(self.thickness_mm)} mm {where}."

    def says(self) -> str:
        """Where."""
        if self.dipped:
            return "dipped · all round"
        return "coat · top only" if self.top_only else "coat · surface"
