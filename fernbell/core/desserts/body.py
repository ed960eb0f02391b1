"""A mold with regions in it and around it: what stands where."""

from dataclasses import dataclass, replace
from functools import cached_property
from itertools import groupby, pairwise
from typing import Literal

from fernbell.core.desserts.part import Part
from fernbell.core.desserts.practice import THINNEST_POUR, is_individual
from fernbell.core.desserts.regions import (
    Bar,
    Block,
    Enclosed,
    Film,
    Hollow,
    Lined,
    Region,
    Rest,
    Strip,
    Winding,
    Wound,
)
from fernbell.core.errors import OutOfRange
from fernbell.core.molds import Plan, Prism, Solid, clearance

_WALL_STEPS = 12
"""Heights at which a wall that is not upright is asked how near it comes."""

Built = Literal["upright", "upside down"]
"""In a ring on a board, base first; or in a mold whose floor makes the top, base last."""


@dataclass(frozen=True)
class Body:
    """A mold, how it is built in, and the parts placed so far with their regions, bottom first.

    The mold stands as the dessert will: on its rim where it is built upside down.
    """

    mold: Solid
    built: Built
    parts: tuple[Part, ...] = ()
    regions: tuple[Region, ...] = ()
    core_mm: float = 0.0
    """Across what is laid at the start of a roll, if there is a core [mm]."""
    enclosed: tuple[Enclosed, ...] = ()
    """Other desserts inside it."""

    def with_part(self, part: Part) -> "Body":
        """The body with one more part placed."""
        regions = (*self.regions, *part.place(self))
        return replace(self, parts=(*self.parts, part), regions=regions)

    @property
    def is_upright(self) -> bool:
        """Whether it is built from the base up."""
        return self.built == "upright"

    @cached_property
    def blocks(self) -> tuple[Block, ...]:
        """Every solid, those on the board first."""
        return tuple(region for region in self.regions if isinstance(region, Block))

    @cached_property
    def solids(self) -> tuple[Region, ...]:
        """Everything that what is filled in goes around."""
        own = (region for region in self.regions if region.takes_room)
        return (*own, *self.enclosed)

    @cached_property
    def lining(self) -> Lined | None:
        """What floor and wall are lined with."""
        return next((region for region in self.regions if isinstance(region, Lined)), None)

    @cached_property
    def roll(self) -> Winding | None:
        """What is rolled up."""
        return next((region.roll for region in self.regions if isinstance(region, Wound)), None)

    @cached_property
    def cores(self) -> tuple[Bar, ...]:
        """What is laid at the start of a roll."""
        return tuple(region for region in self.regions if isinstance(region, Bar))

    @cached_property
    def formed(self) -> Solid | None:
        """What the dessert becomes where it is not as its mold is."""
        return next((region.stands for region in self.regions if region.stands), None)

    @property
    def is_hollow(self) -> bool:
        """Whether it is baked hollow and filled then."""
        return isinstance(self.lining, Hollow)

    @property
    def served_in_it(self) -> bool:
        """Whether it stays in what it is made in: a glass, a ramekin; common practice."""
        mold = self.mold
        open_ = not (mold.is_upright or mold.stands_on_rim or self.lining or self.formed)
        return self.is_upright and open_ and mold.symmetry == "round"

    @property
    def shape(self) -> Solid:
        """What it is divided as: what its parts make of it, or its mold."""
        return self.formed or self.mold

    @cached_property
    def stacks(self) -> tuple[tuple[Block, ...], ...]:
        """Solids set into what is poured, part by part, each from the bottom up."""
        hung = (block for block in self.blocks if not block.on_board)
        return tuple(tuple(own) for _, own in groupby(hung, key=lambda block: block.part))

    @cached_property
    def rest(self) -> Rest | None:
        """What fills the room that is left."""
        return next((region for region in self.regions if isinstance(region, Rest)), None)

    @cached_property
    def films(self) -> tuple[Film, ...]:
        """What coats it, the innermost first."""
        return tuple(region for region in self.regions if isinstance(region, Film))

    @cached_property
    def strips(self) -> tuple[Strip, ...]:
        """What goes around its foot, the innermost first."""
        return tuple(region for region in self.regions if isinstance(region, Strip))

    @cached_property
    def board_top_mm(self) -> float:
        """How high it stands on the board before anything is poured [mm]."""
        return max((region.floor_mm for region in self.regions), default=0.0)

    @cached_property
    def blocks_top_mm(self) -> float:
        """Top of the highest of what stands in it [mm]."""
        stacked = max((block.high_mm for block in self.blocks), default=0.0)
        return max(stacked, self.board_top_mm)

    @cached_property
    def level_mm(self) -> float:
        """How high it is filled; the rim where nothing fills it [mm]."""
        return self.rest.level_mm if self.rest else self.mold.height_mm

    @cached_property
    def top_mm(self) -> float:
        """Height before coating: where the fill stands, or the highest solid [mm]."""
        if self.formed:
            return self.formed.height_mm
        inside = self.rest.baked_mm if self.rest else self.blocks_top_mm
        # A shell that is turned out or joined stands as high as it is, however it is filled.
        stands = not self.is_upright or self.mold.in_halves or self.rest is None
        return max(inside, self.lining.high_mm) if self.lining and stands else inside

    @cached_property
    def raised_mm(self) -> float:
        """How much higher it stands by what is under it [mm]."""
        return sum(region.raises_mm for region in self.regions)

    @cached_property
    def outer(self) -> Solid:
        """The dessert before it is coated."""
        return self.formed or self.mold.to_height(self.top_mm)

    @cached_property
    def is_individual(self) -> bool:
        """Whether it is so small that one is one portion."""
        return is_individual(self.mold.longest_mm)

    def of(self, part: str) -> tuple[Region, ...]:
        """The regions of a part, from the bottom up."""
        return tuple(region for region in self.regions if region.part == part)

    def blocks_of(self, part: str) -> tuple[Block, ...]:
        """The solids of a part, from the bottom up."""
        return tuple(block for block in self.blocks if block.part == part)

    def below(self, part: str) -> tuple[float, str | None]:
        """Top of what a stack is set over [mm], and its part where that is a stack too."""
        own = next(stack for stack in self.stacks if stack[0].part == part)
        lower = self.stacks[: self.stacks.index(own)]
        under = (stack for stack in reversed(lower) if _overlap(stack[0], own[0]))
        before = next(under, ())
        return (before[-1].high_mm, before[0].part) if before else (self.board_top_mm, None)

    def solid_within(self, across_mm: float, height_mm: float) -> Prism:
        """A solid that keeps the same gap to the wall all round.

        OutOfRange where nothing is left across the width of what is longer than wide; common
        practice in a frame.
        """
        return Prism(plan_within(self.mold, across_mm), height_mm)

    def gap(self, block: Block) -> float:
        """Least distance of a solid to the wall, negative where it stands out [mm]."""
        if block not in self._gaps:
            self._gaps[block] = self._gap(block)
        return self._gaps[block]

    @cached_property
    def _gaps(self) -> dict[Block, float]:
        """Those that were asked for: they are drawn, judged and said."""
        return {}

    def _gap(self, block: Block) -> float:
        if block.solid.is_upright:
            plans = [(block.plan, wall) for wall in self.walls(block.low_mm, block.high_mm)]
        else:
            rim = self.mold.height_mm
            levels = _steps(block.low_mm, min(rim, block.high_mm))
            top = block.solid.height_mm
            inner = (block.solid.plan_at(min(top, z - block.low_mm)) for z in levels)
            plans = list(zip(inner, map(self._wall_at, levels), strict=True))
        ends = {min(block.middles_mm), max(block.middles_mm)}
        return min(clearance(own, wall, x) for own, wall in plans for x in ends)

    def gap_inside(self, held: Enclosed) -> float:
        """Least distance of another dessert inside to the wall, negative where it stands out [mm].

        Above the rim it stands out as far as it is higher.
        """
        rim = self.mold.height_mm
        levels = _steps(held.low_mm, min(rim, held.high_mm))
        top = held.solid.height_mm
        plans = ((held.solid.plan_at(min(top, z - held.low_mm)), self._wall_at(z)) for z in levels)
        gap = min(clearance(own, wall) for own, wall in plans)
        return min(gap, rim - held.high_mm) if held.high_mm > rim else gap

    def walls(self, low_mm: float, high_mm: float) -> list[Plan]:
        """The wall as it is seen from above between two heights, at enough of them [mm]."""
        low, high = (min(z, self.mold.height_mm) for z in (low_mm, high_mm))
        if self.mold.is_upright and not self.lining:
            return [self._wall_at(low)]
        # A straight wall is nearest at one of its ends.
        levels = [low, high] if self.mold.is_straight and not self.lining else _steps(low, high)
        return [self._wall_at(z) for z in levels]

    def _wall_at(self, z_mm: float) -> Plan:
        return self.lining.plan_at(z_mm) if self.lining else self.mold.plan_at(z_mm)

    def narrowest_mm(self, low_mm: float, high_mm: float) -> float:
        """How wide it is in the cut where it is narrowest between two heights [mm]."""
        return min(wall.length_mm for wall in self.walls(low_mm, high_mm))

    def stops(self, level_mm: float) -> tuple[tuple[str, float, float], ...]:
        """Pours up to a level in their order, each with its name and between which heights [mm].

        Upright each stack is laid on the pour beneath it; upside down on the one that will be
        above it.
        """
        ends = (stack[0].low_mm if self.is_upright else stack[-1].high_mm for stack in self.stacks)
        thin = THINNEST_POUR.value
        inside = sorted({end for end in ends if thin <= end <= level_mm - thin})
        edges = (0.0, *inside, level_mm)
        pours = list(pairwise(edges))
        names = _pour_names(len(pours), upright=self.is_upright)
        in_order = pours if self.is_upright else pours[::-1]
        return tuple((name, *ends) for name, ends in zip(names, in_order, strict=True))


def _overlap(one: Block, other: Block) -> bool:
    """Whether one stands over the other, and not beside it."""
    reach = (one.across_mm + other.across_mm) / 2
    return any(abs(x - y) < reach for x in one.middles_mm for y in other.middles_mm)


def _steps(low_mm: float, high_mm: float) -> list[float]:
    """Heights from one to another, at which a wall is asked [mm]."""
    shares = (step / _WALL_STEPS for step in range(_WALL_STEPS + 1))
    return [max(low_mm, min(high_mm, low_mm + (high_mm - low_mm) * share)) for share in shares]


def _pour_names(count: int, *, upright: bool) -> list[str]:
    """Upright the last pour is the main one; upside down the first."""
    if count == 1:
        return ["Main pour"]
    between = [f"Pour {number}" for number in range(2, count)]
    return ["Seal", *between, "Main pour"] if upright else ["Main pour", *between, "Cover"]


def plan_within(mold: Solid, across_mm: float) -> Plan:
    """Plan of a part that keeps the same gap to a mold's wall all round.

    Args:
        mold: the mold around it [Solid].
        across_mm: the part's diameter, or its length in a frame [mm].
    Returns:
        the plan [mm].
    Raises:
        OutOfRange: so short that nothing is left across the frame's width.
    Source:
        geometry; in a frame the gap is the same on all four sides (common practice).
    """
    whole = mold.from_above
    least = whole.length_mm - 2 * whole.room_mm
    if across_mm <= least:
        raise OutOfRange("across_mm", across_mm, f"more than {least:g} in this frame")
    return whole.grown((across_mm - whole.length_mm) / 2)
