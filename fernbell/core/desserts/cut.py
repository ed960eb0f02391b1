"""The cut as geometry: outlines in millimetres of every part, in section and from above.

Section: x from the dessert's axis, y upwards from the board. From above: x along the length,
y away from the cook. Loops are closed polygons; a loop inside another is a hole (even-odd).
"""

import math
from collections.abc import Iterator, Mapping
from dataclasses import dataclass

from fernbell.core.desserts.layout import Block, Layout
from fernbell.core.desserts.parts import Dessert, Garnish
from fernbell.core.desserts.portions import Division, Wedges
from fernbell.core.desserts.practice import COVER_CLEARANCE, is_short, side_clearance
from fernbell.core.formulas import FormulaReading
from fernbell.core.molds import Point, clearance, moved, outline
from fernbell.core.molds.straight import MM3_PER_ML

Loop = tuple[Point, ...]

_CIRCLE_STEPS = 96
_CIRCLE = tuple((math.cos(math.pi * i / 9), math.sin(math.pi * i / 9)) for i in range(18))
_HALF_CIRCLE = tuple((math.cos(math.pi * i / 12), math.sin(math.pi * i / 12)) for i in range(13))


@dataclass(frozen=True, slots=True)
class Shape:
    """Outline of one part, or of one layer or pour of it [mm]."""

    part: str
    layer: str | None
    rule: str
    formula: str
    loops: tuple[Loop, ...]


@dataclass(frozen=True, slots=True)
class Dimension:
    """A measured distance in the section; `short` where it ought to be more."""

    part: str
    layer: str | None
    what: str
    start: Point
    end: Point
    value_mm: float
    short: bool = False


@dataclass(frozen=True, slots=True)
class TopView:
    """The dessert from above: its edge, hidden edges, cuts, one portion and the garnish."""

    edge: Loop
    hidden: tuple[Shape, ...]
    cuts: tuple[tuple[Point, Point], ...]
    portion: Loop
    garnish: tuple[Shape, ...]


@dataclass(frozen=True, slots=True)
class Cut:
    """The section through the middle and the view from above, with the room they need [mm].

    `level_mm` is the height before coating: turned over, the floor of the mold.
    """

    width_mm: float
    height_mm: float
    mold_width_mm: float
    rim_mm: float
    level_mm: float
    section: tuple[Shape, ...]
    dimensions: tuple[Dimension, ...]
    top: TopView


def draw(
    dessert: Dessert,
    layout: Layout,
    readings: Mapping[str, FormulaReading],
    division: Division,
) -> Cut:
    """Outline every part.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        readings: formulas, whose density sizes the garnish [g/ml].
        division: where the knife goes [Division].
    Returns:
        outlines, from the back to the front: fill, solids, coats, bands, garnish [mm].
    Source:
        geometry; a garnish piece is drawn as a half ball of its volume.
    """
    half, top = dessert.mold.plan.length_mm / 2, layout.top_mm
    coat = sum(one.thickness_mm for one in layout.coats)
    side_coat = sum(one.thickness_mm for one in layout.coats if not one.top_only)
    band = sum(one.thickness_mm for one in layout.bands)
    centers = _portion_centers(dessert, division)
    pieces = tuple(
        (garnish, centers, _half_ball_radius(garnish, readings[garnish.formula].density_g_ml))
        for garnish in layout.garnishes
    )
    tallest = max((radius for _, _, radius in pieces), default=0.0)
    highest = max((block.high_mm for block in layout.blocks), default=0.0)
    widest = max(
        (block.plan.length_mm + 2 * abs(block.x_mm) for block in layout.blocks), default=0.0
    )
    return Cut(
        width_mm=max(2 * (half + side_coat + band), widest),
        height_mm=max(top + coat + tallest, dessert.mold.height_mm, highest),
        mold_width_mm=2 * half,
        rim_mm=dessert.mold.height_mm,
        level_mm=top,
        section=(
            *_fill_shapes(layout, half),
            *(_block_shape(block) for block in layout.blocks),
            *_coat_shapes(layout, half, top),
            *_band_shapes(layout, half + side_coat),
            *_standing_garnish(pieces, top + coat),
        ),
        dimensions=tuple(_dimensions(dessert, layout, half)),
        top=_top_view(dessert, layout, side_coat, pieces, division),
    )


def _at(x: float, y: float) -> Point:
    """A point as it is drawn, to 0.01 mm."""
    return round(x, 2), round(y, 2)


def _box(x0: float, x1: float, y0: float, y1: float) -> Loop:
    return ((x0, y0), (x1, y0), (x1, y1), (x0, y1))


def _block_shape(block: Block) -> Shape:
    half = block.plan.length_mm / 2
    loop = _box(block.x_mm - half, block.x_mm + half, block.low_mm, block.high_mm)
    return Shape(
        block.part, block.layer, "insert" if block.layer else "base", block.formula, (loop,)
    )


def _fill_shapes(layout: Layout, half: float) -> Iterator[Shape]:
    """The fill, one shape a pour, with holes where blocks stand in it."""
    if layout.fill is None:
        return
    for low, high in layout.pours:
        holes = []
        for block in layout.blocks:
            x0 = max(block.x_mm - block.plan.length_mm / 2, -half)
            x1 = min(block.x_mm + block.plan.length_mm / 2, half)
            y0, y1 = max(block.low_mm, low), min(block.high_mm, high)
            if y1 > y0 and x1 > x0:
                holes.append(_box(x0, x1, y0, y1))
        loops = (_box(-half, half, low, high), *holes)
        yield Shape(layout.fill.key, None, "fill", layout.fill.formula, loops)


def _coat_shapes(layout: Layout, half: float, top: float) -> Iterator[Shape]:
    for coat in layout.coats:
        t = coat.thickness_mm
        if coat.top_only:
            loop = _box(-half, half, top, top + t)
        else:
            out, high = half + t, top + t
            loop = (
                *((-out, 0.0), (-out, high), (out, high), (out, 0.0)),
                *((half, 0.0), (half, top), (-half, top), (-half, 0.0)),
            )
            half = out
        yield Shape(coat.key, None, "coat", coat.formula, (loop,))
        top += t


def _band_shapes(layout: Layout, half: float) -> Iterator[Shape]:
    for band in layout.bands:
        out = half + band.thickness_mm
        loops = (_box(-out, -half, 0.0, band.height_mm), _box(half, out, 0.0, band.height_mm))
        yield Shape(band.key, None, "band", band.formula, loops)
        half = out


def _half_ball_radius(garnish: Garnish, density_g_ml: float | None) -> float:
    volume_mm3 = garnish.piece_g / (density_g_ml or 1.0) * MM3_PER_ML
    return float((3 * volume_mm3 / (2 * math.pi)) ** (1 / 3))


Pieces = tuple[tuple[Garnish, tuple[Point, ...], float], ...]


def _standing_garnish(pieces: Pieces, board: float) -> Iterator[Shape]:
    """Pieces on the far half, seen behind the cut."""
    for garnish, centers, radius in pieces:
        loops = tuple(
            tuple(_at(x + radius * dx, board + radius * dy) for dx, dy in _HALF_CIRCLE)
            for x, y in centers
            if y >= 0
        )
        yield Shape(garnish.key, None, "garnish", garnish.formula, loops)


def _portion_centers(dessert: Dessert, portions: Division) -> tuple[Point, ...]:
    plan = dessert.mold.plan
    if isinstance(portions, Wedges):
        # One portion is the whole: its garnish sits in the middle.
        reach = 0.0 if portions.count == 1 else 0.68 * plan.length_mm / 2
        turns = ((i + 0.5) / portions.count for i in range(portions.count))
        return tuple(
            (reach * math.sin(2 * math.pi * turn), reach * math.cos(2 * math.pi * turn))
            for turn in turns
        )
    return tuple(
        (
            plan.length_mm * ((column + 0.5) / portions.columns - 0.5),
            plan.width_mm * ((row + 0.5) / portions.rows - 0.5),
        )
        for row in range(portions.rows)
        for column in range(portions.columns)
    )


def _top_view(
    dessert: Dessert, layout: Layout, side_coat: float, pieces: Pieces, division: Division
) -> TopView:
    edge = dessert.mold.plan.grown(side_coat)
    hidden = [
        Shape(
            *(block.part, block.layer, "hidden", block.formula),
            (moved(outline(block.plan), block.x_mm),),
        )
        for block in (*layout.bases[:1], *(stack[0] for _, stack in layout.inserts))
    ]
    cuts, portion = _portion_lines(division, edge.length_mm, edge.width_mm)
    garnish = tuple(
        Shape(
            one.key,
            None,
            "garnish",
            one.formula,
            tuple(
                tuple(_at(x + radius * dx, y + radius * dy) for dx, dy in _CIRCLE)
                for x, y in centers
            ),
        )
        for one, centers, radius in pieces
    )
    return TopView(outline(edge), tuple(hidden), cuts, portion, garnish)


def _portion_lines(
    portions: Division, length: float, width: float
) -> tuple[tuple[tuple[Point, Point], ...], Loop]:
    """Where the knife goes, and the outline of the first portion."""
    if isinstance(portions, Wedges):
        radius, count = length / 2, portions.count
        if count == 1:
            return (), ()

        def rim(turn: float) -> Point:
            return _at(radius * math.sin(2 * math.pi * turn), radius * math.cos(2 * math.pi * turn))

        steps = max(4, _CIRCLE_STEPS // count)
        arc = tuple(rim(step / steps / count) for step in range(steps + 1))
        return tuple(((0.0, 0.0), rim(i / count)) for i in range(count)), ((0.0, 0.0), *arc)
    columns, rows = portions.columns, portions.rows
    xs = [length * (i / columns - 0.5) for i in range(columns + 1)]
    ys = [width * (i / rows - 0.5) for i in range(rows + 1)]
    lines = (
        *(((x, ys[0]), (x, ys[-1])) for x in xs[1:-1]),
        *(((xs[0], y), (xs[-1], y)) for y in ys[1:-1]),
    )
    return lines, _box(xs[0], xs[1], ys[-2], ys[-1])


def _dimensions(dessert: Dessert, layout: Layout, half: float) -> Iterator[Dimension]:
    for block in layout.blocks:
        edge = block.x_mm + block.plan.length_mm / 2
        start, end = (edge, block.low_mm), (edge, block.high_mm)
        yield Dimension(block.part, block.layer, "height", start, end, block.height_mm)
    for base in layout.bases:
        yield _side(dessert, base, half, 0.0)
    floor, cover = layout.base_top_mm, COVER_CLEARANCE.value
    for insert, stack in layout.inserts:
        yield _side(dessert, stack[0], half, side_clearance(dessert.mold.plan.length_mm).value)
        edge = insert.offset_mm + stack[0].plan.length_mm / 2
        top = stack[-1].high_mm
        # On the bare board an insert needs no mousse beneath it.
        least = cover if floor else 0.0
        yield _upright(insert.key, "below", edge, floor, insert.lift_mm, least)
        if layout.fill:
            yield _upright(insert.key, "above", edge, top, layout.level_mm, cover)
        floor = top


def _upright(
    part: str, what: str, x: float, low_mm: float, high_mm: float, least_mm: float
) -> Dimension:
    gap = high_mm - low_mm
    return Dimension(part, None, what, (x, low_mm), (x, high_mm), gap, is_short(gap, least_mm))


def _side(dessert: Dessert, block: Block, half: float, least_mm: float) -> Dimension:
    """The gap to the wall, drawn on the side where it is least."""
    gap = clearance(block.plan, dessert.mold.plan, block.x_mm)
    middle, reach = (block.low_mm + block.high_mm) / 2, block.plan.length_mm / 2
    wall, edge = (half, block.x_mm + reach) if block.x_mm > 0 else (-half, block.x_mm - reach)
    short = is_short(gap, least_mm)
    return Dimension(block.part, block.layer, "side", (wall, middle), (edge, middle), gap, short)
