"""Where every part stands: blocks on the board and in the fill, and the room left around them."""

from dataclasses import dataclass
from itertools import pairwise

from fernbell.core.desserts.parts import (
    Band,
    Base,
    Built,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    plan_in,
)
from fernbell.core.desserts.practice import THINNEST_POUR
from fernbell.core.molds import Plan
from fernbell.core.molds.straight import MM3_PER_ML


@dataclass(frozen=True, slots=True)
class Block:
    """A solid of one formula: a base or a layer of an insert, from `low_mm` to `high_mm`."""

    part: str
    layer: str | None
    name: str
    formula: str
    plan: Plan
    low_mm: float
    high_mm: float
    x_mm: float = 0.0

    @property
    def height_mm(self) -> float:
        """Its thickness [mm]."""
        return self.high_mm - self.low_mm

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """Its volume between two heights above the board [ml]."""
        inside = min(self.high_mm, high_mm) - max(self.low_mm, low_mm)
        return self.plan.area_mm2 * max(0.0, inside) / MM3_PER_ML


@dataclass(frozen=True, slots=True)
class Layout:
    """Blocks from the bottom up, and how high the dessert stands before coating."""

    bases: tuple[Block, ...]
    inserts: tuple[tuple[Insert, tuple[Block, ...]], ...]
    fill: Fill | None
    coats: tuple[Coat, ...]
    bands: tuple[Band, ...]
    garnishes: tuple[Garnish, ...]
    base_top_mm: float
    level_mm: float
    built: Built

    @property
    def blocks(self) -> tuple[Block, ...]:
        """Every solid, bases first."""
        return self.bases + tuple(block for _, stack in self.inserts for block in stack)

    @property
    def pours(self) -> tuple[tuple[float, float], ...]:
        """Low and high end of each pour of the fill, in the order of pouring [mm].

        Upright each insert is laid on the pour beneath it; upside down on the one that will be
        above it.
        """
        if self.built == "upright":
            stops = (one.lift_mm for one, _ in self.inserts)
        else:
            stops = (stack[-1].high_mm for _, stack in self.inserts)
        thin = THINNEST_POUR.value
        inside = sorted({stop for stop in stops if thin <= stop <= self.level_mm - thin})
        upwards = tuple(pairwise((0.0, *inside, self.level_mm)))
        return upwards if self.built == "upright" else upwards[::-1]

    @property
    def top_mm(self) -> float:
        """Height before coating: the fill's level, or the highest block [mm]."""
        highest = max((block.high_mm for block in self.blocks), default=0.0)
        return self.level_mm if self.fill else highest


def lay_out(dessert: Dessert) -> Layout:
    """Place the parts of a dessert.

    Args:
        dessert: parts from the top down in a mold [Dessert].
    Returns:
        blocks with their heights above the board [mm].
    Raises:
        OutOfRange: a part too short for a frame's width.
    Source:
        geometry.
    """
    upwards = tuple(reversed(dessert.parts))
    bases, height = [], 0.0
    for part in upwards:
        if isinstance(part, Base):
            plan = plan_in(dessert.mold, part.across_mm)
            top = height + part.height_mm
            bases.append(Block(part.key, None, part.name, part.formula, plan, height, top))
            height = top
    inserts = sorted(
        (part for part in upwards if isinstance(part, Insert)), key=lambda one: one.lift_mm
    )
    fill = next((part for part in upwards if isinstance(part, Fill)), None)
    level = fill.level_mm if fill and fill.level_mm is not None else dessert.mold.height_mm
    return Layout(
        bases=tuple(bases),
        inserts=tuple((insert, _stack(dessert, insert)) for insert in inserts),
        fill=fill,
        coats=tuple(part for part in upwards if isinstance(part, Coat)),
        bands=tuple(part for part in upwards if isinstance(part, Band)),
        garnishes=tuple(part for part in upwards if isinstance(part, Garnish)),
        base_top_mm=height,
        level_mm=level,
        built=dessert.built,
    )


def _stack(dessert: Dessert, insert: Insert) -> tuple[Block, ...]:
    plan, height, stack = plan_in(dessert.mold, insert.across_mm), insert.lift_mm, []
    for layer in reversed(insert.layers):
        top = height + layer.height_mm
        stack.append(
            Block(
                *(insert.key, layer.key, layer.name, layer.formula),
                *(plan, height, top, insert.offset_mm),
            )
        )
        height = top
    return tuple(stack)
