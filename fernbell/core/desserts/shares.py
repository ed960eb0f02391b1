"""What each portion weighs, how far portions differ, and how to cut for so many guests."""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace

import numpy as np

from fernbell.core.desserts import practice
from fernbell.core.desserts.cells import Cells, Shares, cells_of
from fernbell.core.desserts.division import MOST_SIDE, MOST_WEDGES, Division, Grid, Slices, Wedges
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.core.desserts.solve import MOST_DESSERTS, finished_weight, measured
from fernbell.core.errors import CoreError, Lacking
from fernbell.core.field import Field
from fernbell.core.molds import Loop, Plan
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text
from fernbell.starter.practice import practice as figure

KNIFE = Field("knife_mm", "Knife", most=10, step=0.5, first=figure("knife"))
HAND = Field("hand_mm", "A cut is off by", most=10, step=0.5, first=figure("hand"))
COVERS = Field("covers", "Covers", least=1, most=20_000, first=96)
SPREAD = Field("spread_g", "Spread at most", most=500, first=10)
_NEAR = 0.25
"""A portion so far from the weight that is wanted is not proposed; ours."""
_LEAST_MM2 = 1.0
"""A portion smaller than this is none."""
_MOST_TRIED = 30
_MOST_WAYS = 6
"""Ways of cutting proposed at once."""


@dataclass(frozen=True, slots=True)
class Shared:
    """A dessert cut: each portion's edge from above and weight, and how far they differ [mm, g].

    `spread` is as wide as an unsteady hand makes it; `lost` is what the knife takes along and what
    is trimmed off.
    """

    portions: tuple[tuple[Loop, float], ...]
    mean: Working
    spread: Working
    lost: Working


def share_out(made: MeasuredDessert, knife_mm: float, hand_mm: float) -> Shared:
    """Weigh every portion of a dessert.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        knife_mm: how wide a cut is [mm].
        hand_mm: how far off a cut may lie [mm].
    Returns:
        portions, their spread and what is lost [g].
    Raises:
        OutOfRange: a knife or a hand beyond its limits.
        CoreError: a knife that leaves nothing of a portion.
        Lacking: the weight of a part is not known.
    Source:
        geometry: every region shared out by its own volume, surface or edge.
    """
    KNIFE.check(knife_mm)
    HAND.check(hand_mm)
    shape = made.body.outer.from_above
    cells = cells_of(made.division, shape, knife_mm)
    if min(one.area for one in cells.clipped) < _LEAST_MM2:
        widest = figure_text(_width(made.division, made))
        raise CoreError("knife_mm", f"{knife_mm:g} mm", f"thinner than a portion, {widest} mm")
    grams = _weigh(made, cells)
    return Shared(
        tuple(zip(cells.outlines(), map(float, grams), strict=True)),
        _mean(grams),
        _spread(grams, hand_mm, _width(made.division, made)),
        _lost(made, float(grams.sum()), knife_mm),
    )


def _weigh(made: MeasuredDessert, cells: Cells) -> Shares:
    """Grams of each portion."""
    grams = np.zeros(cells.count)
    for region in made.body.regions:
        result = made.result(region.part, region.layer)
        if result.mass is None:
            raise Lacking("parts", f"What {result.name} weighs is not known: its density is not.")
        grams += region.over(cells, made.near) * result.mass.value * result.served_share
    for held in made.holds:
        weighs = finished_weight(held.made.parts, held.made.holds)
        grams += cells.evenly() * held.held.each * (weighs.value if weighs else 0.0)
    return grams


def _width(division: Division, made: MeasuredDessert) -> float:
    """Of a portion where it is narrowest between two cuts: at the edge of a wedge [mm]."""
    plan = made.body.outer.from_above
    if isinstance(division, Wedges):
        return plan.perimeter_mm / division.count
    if isinstance(division, Slices):
        low, high = division.ends(plan.width_mm)[0]
        return high - low
    return min(plan.length_mm / division.columns, plan.width_mm / division.rows)


def _mean(grams: Shares) -> Working:
    total, count = float(grams.sum()), len(grams)
    return Working(
        "A portion, on average",
        total / count,
        "g",
        (Given("all portions", total, "g"), Given("portions", count, "")),
        "all portions / their number",
        f"{figure_text(total)} / {count} = {figure_text(total / count)} g",
        GEOMETRY,
    )


def _spread(grams: Shares, hand_mm: float, width_mm: float) -> Working:
    """From the lightest to the heaviest, both cuts of each lying off the other way."""
    low, high = float(grams.min()), float(grams.max())
    off = 2 * hand_mm / width_mm if len(grams) > 1 else 0.0
    value = high * (1 + off) - low * max(0.0, 1 - off)
    return Working(
        "Spread, heaviest to lightest",
        value,
        "g",
        (
            Given("heaviest cut true", high, "g"),
            Given("lightest cut true", low, "g"),
            Given("a cut is off by", hand_mm, "mm"),
            Given("a portion is wide", width_mm, "mm"),
        ),
        "heaviest × (1 + 2 × off / width) − lightest × (1 − 2 × off / width)",
        f"{figure_text(high)} × (1 + {figure_text(off)}) − {figure_text(low)} × "
        f"(1 − {figure_text(off)}) = {figure_text(value)} g",
        f"{GEOMETRY}; how far a hand is off is {COMMON_PRACTICE}",
    )


def _lost(made: MeasuredDessert, served_g: float, knife_mm: float) -> Working:
    weighs = finished_weight(made.parts, made.holds)
    whole = weighs.value if weighs else served_g
    value = max(0.0, whole - served_g)
    return Working(
        "On the knife and off the ends",
        value,
        "g",
        (Given("one dessert", whole, "g"), Given("all portions", served_g, "g")),
        f"one dessert − its portions, cut by a knife of {figure_text(knife_mm)} mm",
        f"{figure_text(whole)} − {figure_text(served_g)} = {figure_text(value)} g",
        GEOMETRY,
    )


@dataclass(frozen=True, slots=True)
class CutFor:
    """A way of cutting for so many guests; `over` portions are left, `within` the spread or not."""

    division: Division
    desserts: int
    over: int
    portion_g: float
    spread_g: float
    within: bool


def cut_for(
    made: MeasuredDessert,
    readings: Readings,
    covers: int,
    spread_g: float,
    *,
    knife_mm: float = KNIFE.first or 0.0,
    hand_mm: float = HAND.first or 0.0,
) -> tuple[CutFor, ...]:
    """Ways of cutting a dessert for so many guests, the fewest desserts first.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
        readings: the formulas it is made of [g/ml].
        covers: how many guests [1].
        spread_g: how far portions may differ [g].
        knife_mm: how wide a cut is [mm].
        hand_mm: how far off a cut may lie [mm].
    Returns:
        those within the spread; where none is, those that come nearest, told apart by
        `within` [CutFor].
    Raises:
        OutOfRange: no guests, or more than anybody serves; a spread below 0.
        CoreError: more desserts than an order may have.
        Lacking: the weight of a part is not known.
    Source:
        portions of 70 to 160 g, common practice, or as heavy as they are now.
    """
    COVERS.check(covers)
    SPREAD.check(spread_g)
    found = []
    for division in _to_try(made, covers, knife_mm, hand_mm):
        way = _way(made, readings, division, covers, spread_g, knife_mm, hand_mm)
        found += [way] if way else []
        if sum(one.within for one in found) == _MOST_WAYS:
            break
    if not found:
        raise Lacking("covers", "No cut of this dessert gives portions that can be served.")
    right = [one for one in found if one.within]
    best = right or sorted(found, key=lambda one: (one.spread_g, one.desserts))[:_MOST_WAYS]
    if best[0].desserts > MOST_DESSERTS:
        most = MOST_DESSERTS * best[0].division.count
        raise CoreError("covers", covers, f"at most {most} of this dessert")
    return tuple(best)


def _to_try(made: MeasuredDessert, covers: int, knife_mm: float, hand_mm: float) -> list[Division]:
    """Cuts into portions as heavy as a plated slice or near to what they are now, the fewest
    desserts first.
    """
    now = share_out(made, knife_mm, hand_mm).mean.value
    low = max(practice.PORTION_LEAST.value, now * (1 - _NEAR))
    high = min(practice.PORTION_MOST.value, now * (1 + _NEAR))
    if low > high:
        low, high = now * (1 - _NEAR), now * (1 + _NEAR)
    whole = now * made.division.count
    shape = made.body.outer.from_above
    fit = [one for one in _divisions(made.division, shape) if low <= whole / one.count <= high]
    return sorted(fit, key=lambda one: (math.ceil(covers / one.count), -covers % one.count))[
        :_MOST_TRIED
    ]


def _way(
    made: MeasuredDessert,
    readings: Readings,
    division: Division,
    covers: int,
    spread_g: float,
    knife_mm: float,
    hand_mm: float,
) -> CutFor | None:
    """One way of cutting, weighed; None where nobody can cut so."""
    try:
        other = measured(replace(made.dessert, portions=division), readings, made.count)
        shared = share_out(other, knife_mm, hand_mm)
    except CoreError:
        return None
    desserts, spread = math.ceil(covers / division.count), shared.spread.value
    over = desserts * division.count - covers
    within = spread <= spread_g + 1e-9
    return CutFor(division, desserts, over, shared.mean.value, spread, within)


def _divisions(division: Division, plan: Plan) -> Iterator[Division]:
    """Every way of cutting that kind of dessert; no piece of a grid is a sliver."""
    if not isinstance(division, Grid):
        yield from (type(division)(count) for count in range(1, MOST_WEDGES + 1))
        return
    for columns in range(1, MOST_SIDE + 1):
        for rows in range(1, MOST_SIDE + 1):
            sides = plan.length_mm / columns, plan.width_mm / rows
            if max(sides) <= practice.LONGEST_TO_SHORTEST.value * min(sides):
                yield Grid(columns, rows)
