"""A disc or plank on the board, with its own size; several bases stack."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import LARGEST_MM, Handle, Part, RuleWords, Use
from fernbell.core.desserts.regions import Block
from fernbell.core.desserts.rules.inside import (
    above_rim,
    across_refitted,
    cm,
    from_to,
    inside,
    outside,
)
from fernbell.core.desserts.sight import Dimension, beside
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding
from fernbell.core.molds import Plan
from fernbell.core.working import figure_text

WORDS = RuleWords(
    rule="base",
    title="A base on the board",
    text="a disc or plank with its own size",
    usual_kind="sponge",
    seen=5,
    fields=(
        Field("height_mm", "Thickness", most=LARGEST_MM, open_least=True, grows="up"),
        Field("across_mm", "Across", most=LARGEST_MM, open_least=True, grows="across"),
    ),
    handles=(
        Handle("height", "height_mm", "thickness", "up", "top"),
        Handle("across", "across_mm", "width", "out", "side", times=2.0),
    ),
    stacks=True,
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Base(Part):
    """A disc or plank on the board, with its own size; several bases stack."""

    key: str
    formula: str
    height_mm: float
    across_mm: float
    name: str = ""
    rule: Literal["base"] = "base"

    words = WORDS
    builds = ("base",)

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """A thin one, a little narrower than the mold."""
        height = min(practice.BASE_HEIGHT.value, round(body.mold.height_mm / 5))
        height, low = max(1.0, height), body.board_top_mm
        across = inside(body, practice.BASE_GAP.value, low, low + height)
        return cls(key=key, formula=formula, height_mm=height, across_mm=across)

    def uses(self) -> tuple[Use, ...]:
        """Its formula."""
        return (Use("", None, self.formula),)

    def place(self, body: Body) -> tuple[Block]:
        """On the board, or on the base below it."""
        low = body.board_top_mm
        solid = body.solid_within(self.across_mm, self.height_mm)
        return (
            Block(
                part=self.key,
                layer=None,
                name=self.name,
                formula=self.formula,
                solid=solid,
                low_mm=low,
                on_board=True,
                edge_shown=not body.blocks,
            ),
        )

    def dimensions(self, body: Body) -> Iterator[Dimension]:
        """Its gap to the wall."""
        for block in body.blocks_of(self.key):
            yield beside(body, block, 0.0)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Laid on the board; upside down pressed in last."""
        for block in made.body.blocks_of(self.key):
            says = f"{figure_text(block.thick_mm)} mm, {figure_text(block.across_mm)} across"
            yield BuildStep(
                Moment.BOARD,
                "base",
                made.name(self.key),
                says if made.body.is_upright else f"{says}, pressed in",
                (made.shape(block),),
                (self.formula,),
            )

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Wider than the mold, or above its rim."""
        rim, name = made.body.mold.height_mm, made.name(self.key)
        for block in made.body.blocks_of(self.key):
            gap = made.body.gap(block)
            if practice.is_short(gap, 0):
                yield outside(block, gap, name)
            if practice.is_short(rim, block.high_mm):
                yield above_rim(self.key, name, block.high_mm, rim)

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """From where to where, how wide, how far from the wall."""
        for block in made.body.blocks_of(self.key):
            gap = figure_text(made.body.gap(block))
            yield (
                f"{made.name(self.key)}: base, {from_to(block.low_mm, block.high_mm)}, "
                f"{figure_text(block.across_mm)} mm across, {gap} mm from the wall."
            )

    def says(self) -> str:
        """How wide."""
        return f"base · {cm(self.across_mm)}"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As far from the wall as it was."""
        return replace(self, across_mm=across_refitted(self.across_mm, was, now)[0])
