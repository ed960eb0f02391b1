"""The cut as geometry: outlines in millimetres of every region, in section and from above.

Section: x from the dessert's axis, y upwards from the board. From above: x along the length,
y away from the cook. Loops are closed polygons; a loop inside another is a hole (even-odd).
"""

from dataclasses import dataclass, replace

from fernbell.core.desserts.body import Body
from fernbell.core.desserts.division import Stroke
from fernbell.core.desserts.holding import held_from_above, held_shapes
from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.desserts.regions import DRAWN, UNDER, Shape, shifted
from fernbell.core.desserts.sight import Dimension, heights
from fernbell.core.desserts.view import View
from fernbell.core.molds import Loop, Point

_FROM_THE_BACK = {one: place for place, one in enumerate(DRAWN)}


@dataclass(frozen=True, slots=True)
class TopView:
    """The dessert from above: its edge, hidden edges, cuts, one portion and what lies on it.

    `skin` is the formula that is seen from above; what is sliced lies along x.
    """

    edge: Loop
    skin: str
    hidden: tuple[Shape, ...]
    cuts: tuple[Stroke, ...]
    portion: Loop
    garnish: tuple[Shape, ...]
    holes: tuple[Loop, ...] = ()


@dataclass(frozen=True, slots=True)
class Cut:
    """The section through the middle and the view from above, with the room they need [mm].

    `level_mm` is the height above the board before coating: turned over, the floor of the mold.
    `mold` is the room the mold has, as it is cut and as the dessert stands; nothing where it is
    out of it.
    `views` are the further drawings that the parts need.
    """

    width_mm: float
    height_mm: float
    mold_width_mm: float
    rim_mm: float
    level_mm: float
    mold: tuple[Loop, ...]
    section: tuple[Shape, ...]
    dimensions: tuple[Dimension, ...]
    top: TopView
    views: tuple[View, ...] = ()


@dataclass(frozen=True, slots=True)
class Through:
    """The section alone, and the room it needs [mm]; `mold` as in a cut."""

    width_mm: float
    height_mm: float
    mold: tuple[Loop, ...]
    section: tuple[Shape, ...]


def cut_through(made: MeasuredDessert) -> Through:
    """Outline every region in the section through the middle.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
    Returns:
        outlines from the back to the front [mm].
    Source:
        geometry; a garnish piece is drawn as a half ball of its volume.
    """
    held = tuple(held_shapes(made, {one.held.key: cut_through(one.made) for one in made.holds}))
    return _section(made, held)


def _section(made: MeasuredDessert, held: tuple[Shape, ...]) -> Through:
    body, near, raised = made.body, made.near, made.body.raised_mm
    section = tuple(
        shape.moved(0.0, 0.0 if region.drawn is UNDER else raised)
        for region in sorted(body.regions, key=lambda one: _FROM_THE_BACK[one.drawn])
        for shape in region.shapes(near)
    )
    reaches = [region.reach(near) for region in body.regions]
    # A piece none of which lies in the cut has no outline there.
    reaches += [_reach(shape) for shape in held if shape.loops]
    mold = body.shape
    room = () if body.formed else mold.section(0.0, mold.height_mm)
    wide = [*(2 * x for loop in room for x, _ in loop), *(wide for wide, _ in reaches)]
    return Through(
        max(wide, default=mold.across_mm),
        raised + max([mold.height_mm, body.top_mm, *(high for _, high in reaches)]),
        tuple(shifted(loop, 0.0, raised) for loop in room),
        (*section, *(shape.moved(0.0, raised) for shape in held)),
    )


def draw(made: MeasuredDessert) -> Cut:
    """Outline every region, in the section and from above.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
    Returns:
        outlines from the back to the front [mm].
    Source:
        geometry; a garnish piece is drawn as a half ball of its volume.
    """
    body, raised = made.body, made.body.raised_mm
    cuts = {one.held.key: draw(one.made) for one in made.holds}
    held = tuple(held_shapes(made, cuts))
    through = _section(made, held)
    own = through.section[: len(through.section) - len(held)]
    dimensions = (
        *heights(body),
        *(dimension for part in body.parts for dimension in part.dimensions(body)),
    )
    return Cut(
        width_mm=through.width_mm,
        height_mm=through.height_mm,
        mold_width_mm=body.shape.across_mm,
        rim_mm=body.shape.height_mm,
        level_mm=raised + body.top_mm,
        mold=through.mold,
        section=through.section,
        dimensions=tuple(one.raised(raised) for one in dimensions) if raised else dimensions,
        top=_top_view(made, own, tuple(held_from_above(made, cuts))),
        views=tuple(view for part in body.parts for view in part.views(made)),
    )


def _reach(shape: Shape) -> tuple[float, float]:
    points = [point for loop in shape.loops for point in loop]
    return 2 * max(abs(x) for x, _ in points), max(z for _, z in points)


def _top_view(
    made: MeasuredDessert, section: tuple[Shape, ...], held: tuple[Shape, ...]
) -> TopView:
    body, near = made.body, made.near
    coated = sum(film.side_mm for film in body.films)
    edge = near.outer.from_above.grown(coated)
    hole = edge.hole()
    cuts, portion = made.division.knife(edge)
    hidden = tuple(
        Shape(region.part, region.layer, 0, "hidden", region.formula, (loop,))
        for region in body.regions
        if (loop := region.hidden_edge())
    )
    behind = sorted(body.regions, key=lambda one: _FROM_THE_BACK[one.drawn])
    lying = tuple(
        Shape(region.part, region.layer, 0, region.drawn.name, region.formula, loops)
        for region in behind
        if (loops := region.on_top(near))
    )
    seen = body.films[-1].formula if body.films else _uppermost(body, section)
    on_it = (*lying, *held)
    view = TopView(edge.outline(), seen, hidden, cuts, portion, on_it, (hole,) if hole else ())
    return _lengthwise(view) if body.shape.symmetry == "long" else view


def _uppermost(body: Body, section: tuple[Shape, ...]) -> str:
    """The formula seen from above: a hollow shell, what fills it, or what reaches highest."""
    if body.is_hollow and body.lining:
        return body.lining.formula
    if body.rest:
        return body.rest.formula
    in_mold = {layer.name for layer in DRAWN if layer.in_mold}
    tops = [
        (max(z for loop in shape.loops for _, z in loop), shape.formula)
        for shape in section
        if shape.drawn in in_mold and shape.loops
    ]
    return max(tops, key=lambda one: one[0])[1] if tops else ""


def _lengthwise(view: TopView) -> TopView:
    """What is longer than wide lies along the paper."""
    return replace(
        view,
        edge=_turned(view.edge),
        hidden=_all_turned(view.hidden),
        cuts=tuple((_quarter(start), _quarter(end)) for start, end in view.cuts),
        portion=_turned(view.portion),
        garnish=_all_turned(view.garnish),
        holes=tuple(_turned(loop) for loop in view.holes),
    )


def _all_turned(shapes: tuple[Shape, ...]) -> tuple[Shape, ...]:
    return tuple(replace(one, loops=tuple(map(_turned, one.loops))) for one in shapes)


def _turned(loop: Loop) -> Loop:
    return tuple(map(_quarter, loop))


def _quarter(point: Point) -> Point:
    x, y = point
    return y, -x
