"""Pieces cut from a sheet: petals, leaves, feathers, discs and strips, with spare that breaks."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.masses import spared
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Part, RuleWords, Switch, Use
from fernbell.core.desserts.regions import Leaves, Shape, along_edge
from fernbell.core.desserts.sight import Dimension
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.desserts.view import View, lengthwise
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan
from fernbell.core.working import GEOMETRY, Working, counted, figure_text

MOST_PIECES = 500

WORDS = RuleWords(
    rule="leaf",
    title="Cut from a sheet",
    text="petals, feathers, discs, strips by a template",
    usual_kind="chocolate",
    seen=0,
    fields=(
        Field("pieces", "Pieces", least=1, most=MOST_PIECES),
        Field("long_mm", "Long", least=2, most=LARGEST_MM, grows="across"),
        Field("wide_mm", "Wide", least=1, most=LARGEST_MM, grows="across"),
        Field("thickness_mm", "Thickness", most=50, open_least=True, step=0.5),
        Field("spare_percent", "Spare for what breaks", most=100, step=5),
    ),
    switches=(
        Switch("square", "Square at the ends: a strip, a sheet"),
        Switch("standing", "Standing around it, not lying on top"),
    ),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Leaf(Part):
    """So many pieces on one dessert, pointed at both ends; as wide as long they are discs."""

    key: str
    formula: str
    pieces: int
    long_mm: float
    wide_mm: float
    thickness_mm: float
    spare_percent: float = 0.0
    square: bool = False
    standing: bool = False
    name: str = ""
    rule: Literal["leaf"] = "leaf"

    words = WORDS
    builds = ("leaf",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """Six petals as long as two thirds of its height."""
        long_ = float(max(10, round(body.top_mm * 2 / 3)))
        thin, spare = practice.LEAF_THICKNESS.value, practice.DISC_SPARE.value
        return cls(
            key=key,
            formula=formula,
            pieces=6,
            long_mm=long_,
            wide_mm=max(1.0, round(long_ / 2)),
            thickness_mm=thin,
            spare_percent=spare,
        )

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Leaves]:
        """Around it, or on top of the coats."""
        out = sum(film.side_mm for film in body.films)
        over = sum(film.thick_mm for film in body.films)
        long_, wide = sorted((self.long_mm, self.wide_mm), reverse=True)
        plan = body.outer.from_above
        in_mm = -out if self.standing else min(long_ / 2, plan.room_mm / 2)
        places = along_edge(plan, in_mm, self.pieces)
        return (
            Leaves(
                part=self.key,
                name=self.name,
                formula=self.formula,
                long_mm=long_,
                wide_mm=wide,
                thick_mm=self.thickness_mm,
                square=self.square,
                standing=self.standing,
                places=places,
                out_mm=out,
                over_mm=over,
            ),
        )

    def make(self, name: str, one: Working, count: int, others_g: float = 0.0) -> Working:
        """With spare for what breaks."""
        del others_g
        return spared(name, one, count, self.spare_percent)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Cut by the template; set on at the end."""
        (leaves,) = made.body.of(self.key)
        name = made.name(self.key)
        size = f"{figure_text(self.long_mm)} × {figure_text(self.wide_mm)} mm"
        where = "around it" if self.standing else "on top"
        yield BuildStep(
            Moment.OVER,
            "leaf",
            name,
            f"{counted(self.pieces, 'piece')} of {size}, {figure_text(self.thickness_mm)} mm thin, "
            f"cut by the template; {where}",
            (made.shape(leaves),),
            (self.formula,),
        )

    def views(self, made: MeasuredDessert) -> Iterator[View]:
        """The template."""
        (leaves,) = (one for one in made.body.of(self.key) if isinstance(one, Leaves))
        loop, half, side = leaves.template(), leaves.long_mm / 2, leaves.wide_mm / 2
        upright = Dimension(self.key, None, "height", (half, -side), (half, side), 2 * side)
        yield View(
            f"Template, {self.pieces} a dessert",
            (Shape(self.key, None, 0, "solid", self.formula, (loop,)),),
            dimensions=(lengthwise(self.key, -half, half, -side), upright),
            part=self.key,
        )

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """More, standing, than have room side by side."""
        edge = made.body.outer.from_above.perimeter_mm
        wide = self.pieces * min(self.long_mm, self.wide_mm)
        if self.standing and practice.is_short(2 * edge, wide):
            yield Finding(
                code="leaves-crowded",
                severity=Severity.NOTE,
                message=f"{made.name(self.key)}: {self.pieces} pieces are "
                f"{figure_text(wide)} mm side by side, twice round an edge of "
                f"{figure_text(edge)} mm and more.",
                why="They stand in three layers and do not hold.",
                remedy=f"Take at most {int(2 * edge // min(self.long_mm, self.wide_mm))}.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How many, how large."""
        size = f"{figure_text(self.long_mm)} × {figure_text(self.wide_mm)} mm"
        where = "standing around it" if self.standing else "on top"
        yield f"{made.name(self.key)}: {counted(self.pieces, 'piece')} of {size}, {where}."

    def says(self) -> str:
        """How large."""
        return f"{self.pieces} × {self.long_mm:g} × {self.wide_mm:g} mm"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As large; where they stand, by their share of the edge."""
        if not self.standing:
            return self
        share = now.perimeter_mm / was.perimeter_mm
        return replace(self, pieces=min(MOST_PIECES, max(1, round(self.pieces * share))))
