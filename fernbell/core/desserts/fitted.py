"""What stands in a mold: the strip, the sheet or the paper it is lined with, the insert that fits,
the line it is filled to.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace
from functools import lru_cache
from itertools import pairwise

from fernbell.core.desserts import practice
from fernbell.core.desserts.regions import Shape, liner_sheet, strip_length
from fernbell.core.desserts.view import View, lengthwise
from fernbell.core.errors import CoreError, check_range
from fernbell.core.molds import Loop, Solid, clearance, depth_working, turned_over
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text

_CIRCLE_STEPS = 120
_DENSEST = math.pi / math.sqrt(12)
"""Share of a floor that circles of one size cover at most (Thue, from memory)."""
_HEIGHTS = 4
"""Heights at which a wall that is not upright is asked how wide an insert may be."""


@dataclass(frozen=True, slots=True)
class Fittings:
    """What stands in a mold: its figures, and the templates it is lined by [mm, ml].

    `bathed` says that it may stand in a water bath: a small vessel on a floor.
    """

    figures: tuple[Working, ...]
    views: tuple[View, ...]
    bathed: bool


def fittings(mold: Solid) -> Fittings:
    """What a mold is lined with and what fits into it.

    Args:
        mold: as it lies while it is filled [Solid].
    Returns:
        figures with their workings, and templates [mm].
    Source:
        geometry; clearances and overhangs are common practice.
    """
    paper = paper_for(mold)
    view = (blind_paper("", "", mold),) if paper else ()
    vessel = not (mold.is_upright or mold.stands_on_rim) and mold.symmetry == "round"
    bathed = vessel and practice.is_individual(mold.longest_mm) and mold.plan_at(0.0).length_mm > 1
    return Fittings(tuple(_figures(mold, paper)), view, bathed)


def _figures(mold: Solid, paper: Working | None) -> Iterator[Working]:
    if mold.is_upright:
        edge = mold.perimeter_at(mold.height_mm)
        yield strip_length("Liner strip", edge, practice.LINER_OVERLAP.value)
    elif mold.symmetry == "long":
        yield liner_sheet(mold)
    if paper:
        yield paper
    if insert := insert_fitting(mold):
        yield insert
    if not mold.stands_on_rim:
        yield fill_line(mold)


def paper_for(mold: Solid) -> Working | None:
    """How wide a circle of paper lines a round pan for blind baking.

    Args:
        mold: the pan [Solid].
    Returns:
        its radius, from the tip of the folded cone to its cut; None where nothing is lined so,
        because it is not round or has no floor [mm].
    Source:
        common practice: the way from the middle of the floor to the rim, and a finger over it.
    """
    floor = mold.plan_at(0.0)
    # A fluted floor is as good as round.
    is_pan = 2 * floor.room_mm > 0.9 * floor.length_mm and 2 * mold.height_mm <= floor.length_mm
    if (
        mold.symmetry != "round"
        or not is_pan
        or mold.plan_at(mold.height_mm).length_mm < floor.length_mm
    ):
        return None
    (loop,) = mold.section(0.0, mold.height_mm)
    wall = _way_up(loop)
    half, over = floor.length_mm / 2, practice.PAPER_OVER.value
    radius = half + wall + over
    return Working(
        figure="Paper for blind baking: folded to a cone, cut from its tip at",
        value=radius,
        unit="mm",
        given=(
            Given("middle of the floor to its edge", half, "mm"),
            Given("wall, along its slope", wall, "mm"),
            Given("over the rim", over, "mm"),
        ),
        law="radius = half the floor + the wall along its slope + what stands over the rim; "
        "snipped down to the floor, so that it stands up the wall without a fold",
        arithmetic=f"{figure_text(half)} + {figure_text(wall)} + {figure_text(over)} = "
        f"{figure_text(radius)} mm; snips {figure_text(wall + over)} mm deep",
        source=COMMON_PRACTICE,
    )


def _way_up(loop: Loop) -> float:
    """Along the right wall of a section, from the floor's edge to the rim [mm]."""
    rim = max(z for _, z in loop)
    ends = [
        (a, b)
        for a, b in pairwise([*loop, loop[0]])
        # Neither the floor nor the open rim is wall.
        if min(a[0], b[0]) > 0 and not (a[1] == b[1] and a[1] in (0.0, rim))
    ]
    return sum(math.dist(a, b) for a, b in ends)


def blind_paper(part: str, formula: str, mold: Solid) -> View:
    """The template of the paper: the circle, the floor in it and its snips.

    Args:
        part: whose view it is [key].
        formula: in whose color it is drawn [key].
        mold: a round pan with a floor [Solid].
    Returns:
        the template [mm].
    Source:
        common practice.
    """
    paper = paper_for(mold)
    assert paper is not None
    radius, floor = paper.value, mold.plan_at(0.0).length_mm / 2
    snips = int(practice.PAPER_SNIPS.value)
    turns = [2 * math.pi * snip / snips for snip in range(snips)]
    return View(
        f"Paper for blind baking: a circle folded in {snips}, cut {figure_text(radius)} mm from "
        f"the tip, snipped {figure_text(radius - floor)} mm deep",
        (
            Shape(part, None, 0, "paper", formula, (_circle(radius),)),
            Shape(part, None, 1, "hidden", formula, (_circle(floor),)),
        ),
        tuple((_around(floor, turn), _around(radius, turn)) for turn in turns),
        dimensions=(lengthwise(part, -radius, radius, -radius),),
        part=part,
    )


def _around(radius: float, turn: float) -> tuple[float, float]:
    return round(radius * math.sin(turn), 2), round(radius * math.cos(turn), 2)


@lru_cache(maxsize=64)
def _circle(radius: float) -> Loop:
    return tuple(
        _around(radius, 2 * math.pi * step / _CIRCLE_STEPS) for step in range(_CIRCLE_STEPS)
    )


def insert_fitting(mold: Solid) -> Working | None:
    """How wide an insert may be that stands clear of the wall over a base and a seal.

    Args:
        mold: as it lies while it is filled [Solid].
    Returns:
        the width, of what is longer than wide the length [mm]; None where nothing is left.
    Source:
        geometry, asked at five heights; the clearance is common practice.
    """
    stands = turned_over(mold) if mold.stands_on_rim else mold
    clear = practice.side_clearance(mold.longest_mm).value
    low = practice.BASE_HEIGHT.value + practice.SEAL_DEPTH.value
    high = min(low + practice.INSERT_HEIGHT.value, mold.height_mm - practice.COVER_CLEARANCE.value)
    if high <= low:
        return None
    walls = [stands.plan_at(low + (high - low) * step / _HEIGHTS) for step in range(_HEIGHTS + 1)]
    whole = stands.from_above

    least = max(1, math.floor(whole.length_mm - 2 * whole.room_mm) + 1)
    value, gap = math.floor(whole.length_mm - 2 * clear), clear
    while value >= least:
        insert = whole.grown((value - whole.length_mm) / 2)
        gap = min(clearance(insert, wall) for wall in walls)
        if not practice.is_short(gap, clear):
            break
        # By what it lacks, and at least a millimeter.
        value -= max(1, math.floor(2 * (clear - gap)))
    else:
        return None
    return Working(
        figure="Insert that fits, across",
        value=float(value),
        unit="mm",
        given=(
            Given("the mold, across", whole.length_mm, "mm"),
            Given("clear all round", clear, "mm"),
            Given("from", low, "mm above the board"),
            Given("to", high, "mm"),
        ),
        law="the widest, to a millimeter, that stays clear of the wall all the way up",
        arithmetic=f"{value} mm across, {figure_text(gap)} mm stay clear where it is nearest",
        source=f"{GEOMETRY}; the clearance is {COMMON_PRACTICE}",
    )


def fill_line(mold: Solid) -> Working:
    """How high three quarters of a mold stand in it.

    Args:
        mold: as it lies while it is filled [Solid].
    Returns:
        the depth above the floor [mm].
    Source:
        geometry; three quarters are common practice for what is baked or set in it.
    """
    depth = depth_working(mold, practice.FILL_SHARE.value * mold.capacity_ml)
    return replace(depth, figure="Three quarters full, it stands high")


def water_bath(mold: Solid, tray: Solid, count: int) -> Working:
    """Water that stands around ramekins in a tray.

    Args:
        mold: one ramekin [Solid].
        tray: what they stand in [Solid].
        count: how many [1].
    Returns:
        the water [ml].
    Raises:
        OutOfRange: fewer than one, or more than have room on the tray's floor.
        CoreError: a tray lower than the water is to stand.
    Source:
        common practice: to half their height. A ramekin's own wall is not known; what it pushes
        aside is counted by its inside, so a little less is needed.
    """
    depth = practice.BATH_SHARE.value * mold.height_mm
    if depth > tray.height_mm:
        allowed = f"a tray at least {figure_text(depth)} mm high: half of a ramekin"
        raise CoreError("tray", f"{figure_text(tray.height_mm)} mm high", allowed)
    widest = max(mold.area_at(z) for z in (0.0, depth, mold.height_mm))
    most = int(_DENSEST * tray.area_at(0.0) / widest)
    check_range("count", count, least=1, most=max(1, most))
    whole, aside = tray.volume_between(0.0, depth), mold.volume_between(0.0, depth)
    value = whole - count * aside
    return Working(
        figure="Water for the bath",
        value=value,
        unit="ml",
        given=(
            Given("half of a ramekin", depth, "mm"),
            Given("the tray to there", whole, "ml"),
            Given("one ramekin pushes aside", aside, "ml"),
            Given("ramekins", count, ""),
        ),
        law="water = the tray to half the ramekins' height − what they push aside",
        arithmetic=f"{figure_text(whole)} − {count} × {figure_text(aside)} = "
        f"{figure_text(value)} ml",
        source=f"{COMMON_PRACTICE}; the walls of the ramekins are not counted",
    )
