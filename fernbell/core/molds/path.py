"""An outline written as an SVG path, the d of a drawing saved elsewhere."""

from collections.abc import Iterator
from typing import Any

from fontTools.pens.basePen import BasePen
from fontTools.svgLib.path import parse_path
from shapely.geometry import Polygon

from fernbell.core.errors import CoreError, check_range
from fernbell.core.molds.freehand import corners_of, drawn_round
from fernbell.core.molds.outlined import MOST_CORNERS, Corner
from fernbell.core.molds.plan import Point

MOST_LETTERS = 100_000
_CURVE_STEPS = 16
_ALLOWED = "one closed outline as an SVG path: M, L, C, Q, A … Z"


class _Walk(BasePen):  # type: ignore[misc]  # the library has no types
    """Follows a path; curves in straight pieces."""

    def __init__(self) -> None:
        super().__init__(None)
        self.walks: list[list[Point]] = []

    def _moveTo(self, pt: Point) -> None:  # noqa: N802 - the pen's own name
        self.walks.append([pt])

    def _lineTo(self, pt: Point) -> None:  # noqa: N802
        self.walks[-1].append(pt)

    def _curveToOne(self, pt1: Point, pt2: Point, pt3: Point) -> None:  # noqa: N802
        self.walks[-1].extend(_curve(self.walks[-1][-1], pt1, pt2, pt3))


def _curve(*points: Point) -> Iterator[Point]:
    """A cubic in straight pieces, after its first point."""
    for step in range(1, _CURVE_STEPS + 1):
        t = step / _CURVE_STEPS
        weights = ((1 - t) ** 3, 3 * t * (1 - t) ** 2, 3 * t * t * (1 - t), t**3)
        yield (
            sum(w * x for w, (x, _) in zip(weights, points, strict=True)),
            sum(w * y for w, (_, y) in zip(weights, points, strict=True)),
        )


def outline_of_path(path: str, length_mm: float) -> tuple[Corner, ...]:
    """The outline of an SVG path, as long as it is to be made.

    Args:
        path: the d of one closed path, y downwards [text].
        length_mm: how far it is to reach from left to right [mm].
    Returns:
        its corners, to 0.1 mm, y away from the cook, shape (n,) [mm].
    Raises:
        CoreError: no path, more than one outline, one that crosses itself, or too many corners.
        OutOfRange: a length no mold has.
    Source:
        SVG 1.1, paths.
    """
    check_range("length_mm", length_mm, least=10, most=1000)
    walks = [walk for walk in _walks(path) if len(walk) > 2]
    if len(walks) != 1:
        raise CoreError("path", f"{len(walks)} outlines", _ALLOWED)
    plan = drawn_round([(x, -y) for x, y in walks[0]])
    polygon = Polygon(plan.scaled(length_mm / plan.length_mm).corners)
    finest = 0.05
    while len(polygon.exterior.coords) > MOST_CORNERS:
        polygon, finest = polygon.simplify(finest), 2 * finest
    return tuple(Corner(round(x, 1), round(y, 1)) for x, y in corners_of(polygon))


def _walks(path: str) -> list[list[Point]]:
    if len(path) > MOST_LETTERS:
        raise CoreError("path", f"{len(path)} letters", f"at most {MOST_LETTERS}")
    pen: Any = _Walk()
    try:
        parse_path(path.strip(), pen)
    except (ValueError, IndexError, TypeError, AssertionError, KeyError) as error:
        raise CoreError("path", "no path", _ALLOWED) from error
    return list(pen.walks)
