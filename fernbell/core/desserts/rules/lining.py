"""A thickness on floor and wall: paste in a pan, a crumb crust, a molded chocolate shell."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.fitted import blind_paper, paper_for
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Handle, Part, RuleWords, Use
from fernbell.core.desserts.regions import Lined, Region, circles_to_make, is_rolled, roll_out
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.desserts.view import View
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan
from fernbell.core.working import GEOMETRY, Working, figure_text

WORDS = RuleWords(
    rule="lining",
    title="A lining in the mold",
    text="paste, crumb or chocolate on floor and wall",
    usual_kind="paste",
    seen=6,
    fields=(
        Field("thickness_mm", "Thickness", least=0.5, most=50, step=0.5),
        Field("height_mm", "Up to", most=LARGEST_MM, open_least=True, empty="the rim", grows="up"),
    ),
    handles=(Handle("height", "height_mm", "edge", "up", "top", empty_at_rim=True),),
    once="one lining at most",
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Lining(Part):
    """A thickness on floor and wall up to a height (None: to the rim)."""

    key: str
    formula: str
    thickness_mm: float
    height_mm: float | None = None
    name: str = ""
    rule: Literal["lining"] = "lining"

    words = WORDS
    builds = ("lining",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As thick as paste is rolled, thinner in what is small."""
        small = min(body.mold.longest_mm, body.mold.height_mm) / 8
        usual = practice.LINING_THICKNESS.value
        return cls(key=key, formula=formula, thickness_mm=max(0.5, min(usual, round(small, 1))))

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Lined]:
        """On the bare mold; CoreError where nothing is left inside."""
        rim = body.mold.height_mm
        high = rim if self.height_mm is None else min(self.height_mm, rim)
        inner = body.mold.inset(self.thickness_mm)
        # Turned over its floor is on top, and what it holds stands on the board.
        stands = self.thickness_mm if body.is_upright else 0.0
        return (
            Lined(
                part=self.key,
                name=self.name,
                formula=self.formula,
                thick_mm=self.thickness_mm,
                high_mm=high,
                mold=body.mold,
                inner=inner,
                stands_mm=stands,
                upright=body.is_upright,
            ),
        )

    def make_region(
        self, region: Region, name: str, one: Working, count: int, kind: str
    ) -> Working:
        """Circles of paste, their trim rolled out once more; whatever is pressed in, as it is."""
        assert isinstance(region, Lined)
        circle = roll_out(region.mold, region.high_mm) if is_rolled(region, kind) else None
        if circle is None:
            return self.make(name, one, count)
        return circles_to_make(name, one, count, circle, region)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Pressed in before anything else."""
        (lined,) = made.body.of(self.key)
        assert isinstance(lined, Lined)
        rolled = is_rolled(lined, made.kind(lined))
        roll = roll_out(lined.mold, lined.high_mm) if rolled else None
        says = f"{figure_text(self.thickness_mm)} mm on floor and wall"
        if roll:
            thin = figure_text(self.thickness_mm)
            says = f"rolled {thin} mm thin, {figure_text(roll.value)} mm across; docked and rested"
        if rolled and (paper := paper_for(lined.mold)):
            says += (
                f"; baked blind under a circle of paper {figure_text(2 * paper.value)} mm across"
            )
        yield BuildStep(
            Moment.BOARD,
            "lining",
            made.name(self.key),
            says,
            (made.shape(lined),),
            (self.formula,),
            working=roll,
        )

    def views(self, made: MeasuredDessert) -> Iterator[View]:
        """The paper that holds the wall while it bakes blind, for a round pan."""
        (lined,) = made.body.of(self.key)
        assert isinstance(lined, Lined)
        if is_rolled(lined, made.kind(lined)) and paper_for(lined.mold):
            yield blind_paper(self.key, self.formula, lined.mold)

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Higher than the mold."""
        rim = made.body.mold.height_mm
        if self.height_mm is not None and practice.is_short(rim, self.height_mm):
            yield Finding(
                code="lining-above-rim",
                severity=Severity.CAUTION,
                message=f"{made.name(self.key)} is to stand "
                f"{figure_text(self.height_mm - rim)} mm above the rim.",
                why="What nothing holds slumps in the oven; it is counted up to the rim.",
                remedy=f"Line it up to {figure_text(rim)} mm, the rim.",
                source=GEOMETRY,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """How thick, how high."""
        rim = made.body.mold.height_mm
        high = figure_text(rim if self.height_mm is None else min(self.height_mm, rim))
        thick = figure_text(self.thickness_mm)
        yield f"{made.name(self.key)}: a lining of {thick} mm, up to {high} mm."

    def says(self) -> str:
        """How thick."""
        return f"lining · {self.thickness_mm:g} mm"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As thick, unless that leaves nothing inside."""
        most = max(0.5, round(now.room_mm / 4, 1))
        return replace(self, thickness_mm=min(self.thickness_mm, most))
