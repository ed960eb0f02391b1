"""Outlines of the cut where walls are not upright: what is left around solids, what lies over."""

from collections.abc import Iterable, Iterator
from functools import lru_cache

from shapely import difference, symmetric_difference, union_all
from shapely.geometry import MultiPolygon, Polygon, box
from shapely.geometry.base import BaseGeometry

from fernbell.core.molds import Loop, Solid

_FINEST_MM, _GRID_MM, _SLIVER_MM = 0.01, 1e-4, 0.12
_FAR_MM = 1e4
_STEPS = 40
_OVER_BOARD = box(-_FAR_MM, 0.0, _FAR_MM, _FAR_MM)


def around(loops: Iterable[Loop], holes: Iterable[Iterable[Loop]]) -> tuple[Loop, ...]:
    """Outlines less what stands in them.

    Args:
        loops: closed polygons, shape (n, m, 2) [mm].
        holes: of each thing closed polygons, one inside another a hole of it; things may overlap
            and reach out, shape (k, n, m, 2) [mm].
    Returns:
        closed polygons; one inside another is a hole [mm].
    Source:
        geometry.
    """
    return _around(tuple(loops), tuple(tuple(one) for one in holes))


# What stands still while something else is dragged is outlined once.
@lru_cache(maxsize=512)
def _around(loops: tuple[Loop, ...], holes: tuple[tuple[Loop, ...], ...]) -> tuple[Loop, ...]:
    taken = union_all([_filled(one) for one in holes])
    left = difference(_filled(loops), taken, grid_size=_GRID_MM)
    # Two drawings of one arc leave slivers between them: what is thinner than this is none.
    firm = left.buffer(-_SLIVER_MM, join_style="mitre").buffer(_SLIVER_MM, join_style="mitre")
    return tuple(loops_of(firm))


def skin(
    solid: Solid, under_mm: float, thick_mm: float, *, on_board: bool = True
) -> tuple[Loop, ...]:
    """A film over top and sides of what stands on a board, others under it; or all round it.

    Args:
        solid: what is covered [Solid].
        under_mm: how thick is what lies under it [mm].
        thick_mm: how thick it is [mm].
        on_board: whether nothing of it is below the floor [bool].
    Returns:
        closed polygons [mm].
    Source:
        geometry.
    """
    return _skin(solid.section(0.0, solid.height_mm), under_mm, thick_mm, on_board)


@lru_cache(maxsize=256)
def _skin(
    section: tuple[Loop, ...], under_mm: float, thick_mm: float, on_board: bool
) -> tuple[Loop, ...]:
    covered = _filled(section)
    inner = covered.buffer(under_mm) if under_mm else covered
    film = covered.buffer(under_mm + thick_mm).difference(inner)
    return tuple(loops_of(film & _OVER_BOARD if on_board else film))


def top_at(solid: Solid, x_mm: float) -> float:
    """How high a solid is so far from its middle.

    Args:
        solid: the solid [Solid].
        x_mm: to the right, or to the left if negative [mm].
    Returns:
        the height of its surface there, to a fortieth of its height [mm].
    Source:
        geometry.
    """
    top = solid.height_mm
    if solid.is_upright:
        return top
    heights = (min(top, top * step / _STEPS) for step in range(_STEPS, 0, -1))
    return next((z for z in heights if solid.plan_at(z).length_mm / 2 >= abs(x_mm)), 0.0)


@lru_cache(maxsize=512)
def _filled(loops: tuple[Loop, ...]) -> BaseGeometry:
    """By the even-odd rule."""
    found: BaseGeometry = Polygon()
    for loop in loops:
        if len(loop) > 2:
            # Of no width: points and lines that touching outlines leave are dropped.
            whole = Polygon(loop).buffer(0)
            if not found.is_empty:
                whole = symmetric_difference(found, whole, grid_size=_GRID_MM).buffer(0)
            found = whole
    return found


def loops_of(shape: BaseGeometry) -> Iterator[Loop]:
    """Outlines of a shape, then its holes, body by body.

    Args:
        shape: polygons [mm].
    Returns:
        closed polygons, to 0.01 mm [mm].
    Source:
        definition.
    """
    shape = shape.buffer(0)
    bodies = shape.geoms if isinstance(shape, MultiPolygon) else (shape,)
    for body in bodies:
        if isinstance(body, Polygon) and not body.is_empty:
            thin = body.simplify(_FINEST_MM)
            for ring in (thin.exterior, *thin.interiors):
                yield tuple((round(x, 2), round(z, 2)) for x, z in ring.coords[:-1])
