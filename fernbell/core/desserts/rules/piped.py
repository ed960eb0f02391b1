"""Mounds piped along the edge or all over the top, browned with the torch if wanted."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Mounds, all_over, side_by_side
from fernbell.core.desserts.step import BuildStep, Moment, torch_step
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan
from fernbell.core.working import GEOMETRY, counted, figure_text

WORDS = RuleWords(
    rule="piped",
    title="Piped on it",
    text="mounds of cream or meringue side by side",
    usual_kind="meringue",
    seen=0,
    fields=(
        Field("across_mm", "One across", least=3, most=300, grows="across"),
        Field("height_mm", "One high", most=300, open_least=True, grows="up"),
        Field("every_mm", "One every", least=3, most=500, empty="side by side", grows="across"),
    ),
    switches=(
        Switch("over_all", "All over the top, not only along the edge"),
        Switch("torched", "Browned with the torch"),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Piped(Part):
    """Mounds so wide and high, side by side unless they are further apart."""

    key: str
    formula: str
    across_mm: float
    height_mm: float
    every_mm: float | None = None
    over_all: bool = False
    torched: bool = False
    name: str = ""
    rule: Literal["piped"] = "piped"

    words = WORDS
    builds = ("pipe", "torch")

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As a border is piped, smaller on what is small."""
        usual = practice.MOUND_ACROSS.value
        across = float(max(3, min(usual, round(body.shape.shaped_mm / 4))))
        return cls(key=key, formula=formula, across_mm=across, height_mm=across)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    @property
    def apart_mm(self) -> float:
        """From the middle of one to the next [mm]."""
        return max(self.across_mm, self.every_mm or 0.0)

    def place(self, body: Body) -> tuple[Mounds]:
        """On the coats."""
        where = all_over if self.over_all else side_by_side
        places = where(body.outer.from_above, self.across_mm / 2, self.apart_mm)
        over = sum(film.thick_mm for film in body.films)
        return (
            Mounds(
                part=self.key,
                name=self.name,
                formula=self.formula,
                wide_mm=self.across_mm,
                high_mm=self.height_mm,
                places=places,
                over_mm=over,
            ),
        )

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Piped, then browned."""
        (mounds,) = made.body.of(self.key)
        name, count = made.name(self.key), counted(made.number(self.key), "mound")
        where = "all over the top" if self.over_all else "along the edge"
        across, high = figure_text(self.across_mm), figure_text(self.height_mm)
        says = f"{count} {where}, {across} mm across, {high} mm high"
        shapes = (made.shape(mounds),)
        yield BuildStep(Moment.OVER, "pipe", f"Pipe {name}", says, shapes, (self.formula,))
        if self.torched:
            yield torch_step(name)

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Wider than what it is piped on."""
        room = 2 * made.body.outer.from_above.room_mm
        if practice.is_short(room, self.across_mm):
            yield Finding(
                code="piped-too-wide",
                severity=Severity.CAUTION,
                message=f"{made.name(self.key)} is piped {figure_text(self.across_mm)} mm wide "
                f"on a top of {figure_text(room)} mm.",
                why="What stands over the edge sinks down the side.",
                remedy=f"Pipe it at most {figure_text(room)} mm across.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How many, how large."""
        count = counted(made.number(self.key), "mound")
        across, high = figure_text(self.across_mm), figure_text(self.height_mm)
        where = "all over the top" if self.over_all else "along the edge"
        yield f"{made.name(self.key)}: {count} {across} mm across, {high} mm high, {where}."

    def says(self) -> str:
        """How large."""
        return f"piped · {self.across_mm:g} × {self.height_mm:g} mm"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As large, where that has room."""
        del was
        return replace(self, across_mm=max(3.0, min(self.across_mm, round(2 * now.room_mm))))
