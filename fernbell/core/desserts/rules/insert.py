"""Layers frozen in a smaller ring and set into what is poured."""

from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal, Self

from fernbell.core.desserts import practice
from fernbell.core.desserts.body import Body
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.part import (
    LARGEST_MM,
    Carried,
    Handle,
    Part,
    RuleWords,
    Switch,
    Use,
)
from fernbell.core.desserts.practice import is_short
from fernbell.core.desserts.regions import Block
from fernbell.core.desserts.rules.inside import (
    above_rim,
    across_refitted,
    cm,
    from_to,
    inside,
    outside,
)
from fernbell.core.desserts.sight import Dimension, beside, upright
from fernbell.core.desserts.step import BuildStep, Moment
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Between, Plan, Prism, RoundedBox, Solid
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, figure_text

LAYER_FIELDS = (Field("height_mm", "Thickness", most=LARGEST_MM, open_least=True, grows="up"),)

WORDS = RuleWords(
    rule="insert",
    title="An insert inside",
    text="layers frozen in a smaller ring",
    usual_kind="fruit",
    seen=4,
    fields=(
        Field("across_mm", "Across", most=LARGEST_MM, open_least=True, grows="across"),
        Field("lift_mm", "Above the board", most=LARGEST_MM, grows="up"),
        Field("offset_mm", "Off center", least=-LARGEST_MM, most=LARGEST_MM, grows="across"),
        Field("abreast", "Side by side", least=1, most=20, first=1),
    ),
    switches=(Switch("alike", "The mold's own shape, a size smaller"),),
    layer_fields=LAYER_FIELDS,
    handles=(
        Handle("height", "height_mm", "thickness", "up", "top", of_layer=True),
        Handle("across", "across_mm", "width", "out", "side", times=2.0),
        Handle("lift", "lift_mm", "height above the board", "up", "bottom"),
    ),
    carried=Carried(up="lift_mm", aside="offset_mm", caught_mm=1.5),
)


@dataclass(frozen=True, slots=True, kw_only=True)
class Layer:
    """One layer of an insert."""

    key: str
    formula: str
    height_mm: float
    name: str = ""

    def __post_init__(self) -> None:
        check_fields(self, LAYER_FIELDS)


@dataclass(frozen=True, slots=True, kw_only=True)
class Insert(Part):
    """Layers frozen in a smaller ring, given from the top down, its underside above the board.

    `offset_mm` is how far its middle lies from the dessert's, to the right in the cut; `abreast`
    are side by side there; `alike` it has the mold's own shape, a size smaller.
    """

    key: str
    layers: tuple[Layer, ...]
    across_mm: float
    lift_mm: float
    offset_mm: float = 0.0
    abreast: int = 1
    alike: bool = False
    name: str = ""
    rule: Literal["insert"] = "insert"

    words = WORDS
    builds = ("insert", "set")

    def __post_init__(self) -> None:
        check_fields(self, self.words.fields)
        if not self.layers:
            raise CoreError("layers", "empty", "at least one layer")

    @classmethod
    def propose(cls, body: Body, key: str, formula: str) -> Self:
        """As wide as the clearance allows, over the highest part, as high as leaves it covered."""
        gap = 2 * practice.side_clearance(body.mold.longest_mm).value
        lift = body.blocks_top_mm + practice.SEAL_DEPTH.value
        room = body.level_mm - lift - practice.COVER_CLEARANCE.value
        height = max(1.0, min(practice.INSERT_HEIGHT.value, round(room)))
        layer = Layer(key=f"{key}-1", formula=formula, height_mm=height)
        return cls(
            key=key, layers=(layer,), across_mm=inside(body, gap, lift, lift + height), lift_mm=lift
        )

    def with_layer(self, body: Body, key: str, formula: str) -> Self:
        """With one more layer on top, no higher than leaves it covered."""
        top = body.blocks_of(self.key)[-1].high_mm
        room = body.level_mm - top - practice.COVER_CLEARANCE.value
        height = max(1.0, min(practice.LAYER_HEIGHT.value, round(room)))
        return replace(
            self, layers=(Layer(key=key, formula=formula, height_mm=height), *self.layers)
        )

    @property
    def stands_mm(self) -> float:
        """The lowest first."""
        return self.lift_mm

    def uses(self) -> tuple[Use, ...]:
        """The formula of each layer."""
        return tuple(
            Use(f"layers.{place}", layer.key, layer.formula)
            for place, layer in enumerate(self.layers)
        )

    def place(self, body: Body) -> tuple[Block, ...]:
        """One solid a layer, from its underside up."""
        stack: list[Block] = []
        # Outlines nearer than this cannot be told apart.
        lift = self.lift_mm if self.lift_mm > practice.TOUCHING_MM else 0.0
        height, (first, *others) = lift, self._middles(body)
        for layer in reversed(self.layers):
            solid = self._solid(body, layer, height - lift)
            stack.append(
                Block(
                    part=self.key,
                    layer=layer.key,
                    name=layer.name,
                    formula=layer.formula,
                    solid=solid,
                    low_mm=height,
                    x_mm=first,
                    edge_shown=not stack,
                    others_mm=tuple(others),
                )
            )
            height += layer.height_mm
        return tuple(stack)

    def _solid(self, body: Body, layer: Layer, from_mm: float) -> Solid:
        """A layer as it is frozen, so far above its underside."""
        plan = body.mold.from_above
        if self.abreast > 1 and body.mold.symmetry != "round":
            # As far from the wall at its ends as from its neighbors.
            gap = max(0.0, (plan.length_mm / self.abreast - self.across_mm) / 2)
            bar = RoundedBox(self.across_mm, max(1.0, plan.width_mm - 2 * gap))
            return Prism(bar, layer.height_mm)
        if not self.alike or body.mold.is_upright:
            return body.solid_within(self.across_mm, layer.height_mm)
        smaller = body.mold.inset((body.mold.across_mm - self.across_mm) / 2)
        return Between(smaller, from_mm, from_mm + layer.height_mm)

    def _middles(self, body: Body) -> tuple[float, ...]:
        """Where each of those side by side stands, sharing the mold's width [mm]."""
        each = body.mold.from_above.length_mm / self.abreast
        shifts = (each * (place - (self.abreast - 1) / 2) for place in range(self.abreast))
        return tuple(self.offset_mm + shift for shift in shifts)

    def called(self, made: MeasuredDessert) -> str:
        """Its own name, or that of its top layer."""
        return self.name or made.name(self.key, self.layers[0].key)

    def dimensions(self, body: Body) -> Iterator[Dimension]:
        """Its gaps to the wall, to what is below it and to what covers it."""
        bottom, *_ = stack = body.blocks_of(self.key)
        top, cover = stack[-1].high_mm, practice.COVER_CLEARANCE.value
        floor, _ = body.below(self.key)
        edge = max(bottom.middles_mm) + bottom.across_mm / 2
        yield beside(body, bottom, practice.side_clearance(body.mold.longest_mm).value)
        # On the bare board an insert needs no mousse beneath it.
        yield upright(self.key, "below", edge, floor, self.lift_mm, cover if floor else 0.0)
        if body.rest:
            yield upright(self.key, "above", edge, top, body.level_mm, cover)

    def steps(self, made: MeasuredDessert) -> Iterator[BuildStep]:
        """Frozen in its own ring; set when the pour it rests on has been made."""
        stack, name = made.body.blocks_of(self.key), self.called(made)
        layers = ", ".join(
            f"{made.name(self.key, block.layer)} {figure_text(block.thick_mm)} mm"
            for block in stack
        )
        shapes = tuple(made.shape(block) for block in stack)
        yield BuildStep(
            Moment.BESIDE,
            "insert",
            f"Freeze {name}",
            f"{layers}; {self._frozen_in()} {figure_text(self.across_mm)} mm across",
            shapes,
            tuple(block.formula for block in stack),
            practice.INSERT_FREEZE,
        )
        top = stack[-1].high_mm
        where = (
            f"its underside {figure_text(self.lift_mm)} mm above the board"
            if made.body.is_upright
            else f"its top {figure_text(made.body.level_mm - top)} mm deep"
        )
        gauged = " off center" if self.offset_mm else " in the middle"
        says = f"frozen hard,{gauged}, {where}; check with a gauge stick"
        yield BuildStep(
            Moment.SET, "set", f"Set {name}", says, shapes, low_mm=self.lift_mm, high_mm=top
        )

    def _frozen_in(self) -> str:
        ring = "in its mold's shape, a size smaller:" if self.alike else "in a ring"
        return f"{self.abreast} of them, {ring}" if self.abreast > 1 else ring

    def judge(self, made: MeasuredDessert) -> Iterator[Finding]:
        """Too near to the wall, to what is below, to the top."""
        name = self.called(made)
        yield from self._beside(made.body, name)
        yield from self._crowded(made.body, name)
        yield from self._below(made, name)
        yield from self._above(made.body, name)

    def _beside(self, body: Body, name: str) -> Iterator[Finding]:
        block = body.blocks_of(self.key)[0]
        gap, least = body.gap(block), practice.side_clearance(body.mold.longest_mm)
        if is_short(gap, 0):
            yield outside(block, gap, name)
        elif is_short(gap, least.value):
            across = block.across_mm - 2 * (least.value - gap)
            yield Finding(
                code="insert-near-wall",
                severity=Severity.CAUTION,
                message=f"{name} is {figure_text(gap)} mm from the wall; "
                f"{figure_text(least.value)} mm keeps it covered.",
                why="An insert that slips a few millimetres shows through, and thin mousse tears "
                "off with the liner.",
                remedy=f"Center it, or freeze it {figure_text(across)} mm across."
                if self.offset_mm
                else f"Freeze it {figure_text(across)} mm across.",
                source=least.source,
                part=self.key,
            )

    def _crowded(self, body: Body, name: str) -> Iterator[Finding]:
        """Side by side, and into each other."""
        each = body.mold.from_above.length_mm / self.abreast
        if self.abreast > 1 and practice.is_short(each, self.across_mm):
            yield Finding(
                code="inserts-crowded",
                severity=Severity.WRONG,
                message=f"{self.abreast} of {name} side by side are "
                f"{figure_text(self.abreast * self.across_mm)} mm wide; the mold is "
                f"{figure_text(body.mold.from_above.length_mm)} mm.",
                why="Two solids cannot share the room; the mousse is counted short by the overlap.",
                remedy=f"Freeze them at most {figure_text(each)} mm across, or set fewer.",
                source=GEOMETRY,
                part=self.key,
            )

    def _below(self, made: MeasuredDessert, name: str) -> Iterator[Finding]:
        floor, part = made.body.below(self.key)
        under = made.called(part) if part else "the base"
        gap, least = self.lift_mm - floor, practice.COVER_CLEARANCE
        wanted = f"Set its underside {figure_text(floor + least.value)} mm above the board."
        if is_short(gap, 0):
            yield Finding(
                code="insert-in-base",
                severity=Severity.WRONG,
                message=f"{name} is {figure_text(-gap)} mm inside {under}.",
                why="Two solids cannot share the room; the mousse is counted short by the overlap.",
                remedy=wanted,
                source=GEOMETRY,
                part=self.key,
            )
        elif is_short(gap, least.value) and floor > 0:
            yield Finding(
                code="insert-near-base",
                severity=Severity.NOTE,
                message=f"Only {figure_text(gap)} mm of mousse between {under} and {name}.",
                why="A thin seal sets unevenly and the insert tilts when it is pressed in.",
                remedy=wanted,
                source=least.source,
                part=self.key,
            )

    def _above(self, body: Body, name: str) -> Iterator[Finding]:
        top, rim = body.blocks_of(self.key)[-1].high_mm, body.mold.height_mm
        least = practice.COVER_CLEARANCE
        over = body.level_mm - top
        if is_short(rim, top):
            yield above_rim(self.key, name, top, rim)
        elif body.rest is None:
            yield Finding(
                code="nothing-around",
                severity=Severity.WRONG,
                message=f"Nothing holds {name}: no part fills the rest.",
                why="An insert is frozen to stand in something poured around it.",
                remedy="Add a mousse that fills the rest.",
                source=COMMON_PRACTICE,
                part=self.key,
            )
        elif is_short(over, least.value):
            yield Finding(
                code="insert-near-top",
                severity=Severity.CAUTION,
                message=f"{figure_text(over)} mm of mousse over {name}; "
                f"{figure_text(least.value)} mm keeps it from showing.",
                why="The glaze draws every edge beneath it, and a bare insert sheds it.",
                remedy=f"Lower it, or thin it, by {figure_text(least.value - over)} mm.",
                source=least.source,
                part=self.key,
            )

    def sentences(self, made: MeasuredDessert) -> Iterator[str]:
        """Layer by layer, how wide, how far from the wall, how far over what is below."""
        body, stack = made.body, made.body.blocks_of(self.key)
        gap = figure_text(body.gap(stack[0]))
        layers = ", then ".join(
            f"{made.name(self.key, block.layer)} {from_to(block.low_mm, block.high_mm)}"
            for block in stack
        )
        floor, _ = body.below(self.key)
        yield (
            f"Inside: {layers}; {figure_text(self.across_mm)} mm across, {gap} mm from the "
            f"wall{self._off_center()}, {figure_text(self.lift_mm - floor)} mm over "
            "what is below it."
        )

    def _off_center(self) -> str:
        if not self.offset_mm:
            return ""
        side = "right" if self.offset_mm > 0 else "left"
        return f", {figure_text(abs(self.offset_mm))} mm off center to the {side}"

    def says(self) -> str:
        """How wide."""
        several = f"{self.abreast} × " if self.abreast > 1 else ""
        return f"insert · {several}{cm(self.across_mm)}"

    def refitted(self, was: Plan, now: Plan) -> Self:
        """As far from the wall as it was; by its share of the width, also off the middle."""
        across, kept = across_refitted(self.across_mm, was, now)
        share = 1.0 if kept else now.length_mm / was.length_mm
        return replace(self, across_mm=across, offset_mm=self.offset_mm * share)

    def kept_as(self, key: str, lifted_mm: float) -> Self:
        """The same, its layers under keys of its own, so much higher."""
        layers = tuple(
            replace(layer, key=f"{key}-{place}") for place, layer in enumerate(self.layers, start=1)
        )
        return replace(self, key=key, layers=layers, lift_mm=self.lift_mm + lifted_mm)
