"""Drips counted along the edge of a dessert."""

from collections.abc import Iterator
from dataclasses import dataclass
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Use
from fernbell.core.desserts.regions import Drops, along_edge
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.working import COMMON_PRACTICE, counted, figure_text

WORDS = RuleWords(
    rule="drip",
    title="Drips down the edge",
    text="counted along the edge, so long each",
    usual_kind="ganache",
    seen=1,
    fields=(
        Field("runs_mm", "One runs", least=5, most=300, grows="up"),
        Field("every_mm", "One every", least=10, most=200),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Drip(Part):
    """Drips that run so far, so far from each other."""

    key: str
    formula: str
    runs_mm: float
    every_mm: float
    name: str = ""
    rule: Literal["drip"] = "drip"

    words = WORDS
    builds = ("drip",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As far apart as is usual, over two thirds of the side at most."""
        runs = float(max(5, min(practice.DRIP_RUNS.value, round(body.top_mm * 2 / 3))))
        return cls(key=key, formula=formula, runs_mm=runs, every_mm=practice.DRIP_SPACING.value)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Drops]:
        """Over the edge of what is coated."""
        out = sum(film.side_mm for film in body.films)
        over = sum(film.thick_mm for film in body.films)
        plan = body.outer.from_above
        edge = plan.grown(out).perimeter_mm
        # To the nearest whole: the spacing is an eye's measure.
        places = along_edge(plan, -out, max(1, round(edge / self.every_mm)))
        return (
            Drops(
                part=self.key,
                name=self.name,
                formula=self.formula,
                every_mm=self.every_mm,
                runs_mm=self.runs_mm,
                edge_mm=edge,
                places=places,
                out_mm=out,
                over_mm=over,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Let run over the cold edge."""
        (drops,) = made.body.of(self.key)
        count = counted(made.number(self.key), "drip")
        says = (
            f"{count} over the cold edge, one every {figure_text(self.every_mm)} mm; "
            f"{figure_text(self.runs_mm)} mm long"
        )
        shapes = (made.shape(drops),)
        yield BuildStep(Moment.OVER, "drip", made.name(self.key), says, shapes, (self.formula,))

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Longer than the side is high."""
        high = made.body.top_mm
        if practice.is_short(high, self.runs_mm):
            yield Finding(
                code="drip-to-board",
                severity=Severity.CAUTION,
                message=f"{made.name(self.key)} runs {figure_text(self.runs_mm)} mm on a side of "
                f"{figure_text(high)} mm.",
                why="It reaches the board and makes a foot there.",
                remedy=f"Let it run less than {figure_text(high)} mm: cooler, or a firmer ganache.",
                source=COMMON_PRACTICE,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How many, how long."""
        count = counted(made.number(self.key), "drip")
        yield f"{made.name(self.key)}: {count} {figure_text(self.runs_mm)} mm long."

    def says(self) -> str:
        """How long."""
        return f"drips · {self.runs_mm:g} mm"
