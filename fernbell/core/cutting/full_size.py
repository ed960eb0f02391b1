"""What is cut by a template, at full size, and how it is spread over pages of paper."""

import math
from dataclasses import dataclass

from fernbell.core.cutting.plan import CutPlan
from fernbell.core.errors import UnknownKey
from fernbell.core.molds import Loop, Point, box
from fernbell.core.working import figure_text

Line = tuple[Point, Point]
"""A straight mark, from a point to another [mm]."""


@dataclass(frozen=True, slots=True)
class Template:
    """Outlines to cut along and marks that are only drawn, x to the right, y upwards [mm].

    `says` is what it is and how large; `strokes` are straight marks, such as where a knife goes.
    """

    key: str
    title: str
    says: str
    cut: tuple[Loop, ...]
    marks: tuple[Loop, ...] = ()
    strokes: tuple[Line, ...] = ()

    @property
    def bounds(self) -> tuple[float, float, float, float]:
        """Left, lower, right and upper side of what is drawn [mm]."""
        points = [point for loop in (*self.cut, *self.marks) for point in loop]
        points += [point for stroke in self.strokes for point in stroke]
        xs, ys = zip(*points, strict=True)
        return min(xs), min(ys), max(xs), max(ys)


def cut_plan_template(plan: CutPlan, number: int, name: str) -> Template:
    """A sheet of a cut plan at full size.

    Args:
        plan: what is cut from sheets [CutPlan].
        number: which of its sheets, from 0 [1].
        name: what is cut [text].
    Returns:
        its outline, the edge that is trimmed off and every piece [mm].
    Raises:
        UnknownKey: there is no such sheet.
    Source:
        definition.
    """
    if not 0 <= number < len(plan.sheets):
        raise UnknownKey("sheet", str(number), "a sheet of this plan")
    sheet, raw = plan.sheets[number], plan.raw
    pieces = tuple(
        tuple((x + one.place.x_mm, y + one.place.y_mm) for x, y in plan.outline(one))
        for one in sheet.pieces
    )
    edge = raw.edge_mm
    inner = box(edge, raw.length_mm - edge, edge, raw.width_mm - edge)
    ends = sheet.offcut_mm
    return Template(
        f"sheet-{number}",
        f"{name}, sheet {number + 1}",
        f"{len(sheet.pieces)} pieces on {figure_text(raw.length_mm)} × "
        f"{figure_text(raw.width_mm)} mm",
        (box(0.0, raw.length_mm, 0.0, raw.width_mm), *pieces),
        (inner,) if edge else (),
        (((ends, 0.0), (ends, raw.width_mm)),) if ends is not None else (),
    )


@dataclass(frozen=True, slots=True)
class Paper:
    """A sheet of paper, upright, and what no printer prints on all round [mm]."""

    name: str
    wide_mm: float
    high_mm: float


PAPERS = (Paper("A4", 210.0, 297.0), Paper("Letter", 215.9, 279.4))
MARGIN_MM, OVERLAP_MM, BAR_MM, FOOT_MM = 10.0, 10.0, 50.0, 12.0
"""What stays free at the edge, what neighbors share, the bar to check the printer by, and the line
of text under a tile."""


@dataclass(frozen=True, slots=True)
class Tile:
    """A page of a template: its row and column from the top left, and what of it is seen [mm].

    `left_mm` and `low_mm` are the corner of what is drawn; `wide_mm` and `high_mm` its size.
    """

    row: int
    column: int
    left_mm: float
    low_mm: float
    wide_mm: float
    high_mm: float

    @property
    def name(self) -> str:
        """'A1' at the top left."""
        return f"{_letters(self.row)}{self.column + 1}"


@dataclass(frozen=True, slots=True)
class Tiling:
    """Pages that make up a template: turned or upright, how many in a row and a column [1]."""

    paper: Paper
    turned: bool
    columns: int
    rows: int
    tiles: tuple[Tile, ...]


def tile(template: Template, paper: Paper) -> Tiling:
    """Spread a template over as few pages as it takes, each sharing a strip with the next.

    Args:
        template: at full size [Template].
        paper: what is printed on [Paper].
    Returns:
        the pages, from the top left in rows [mm].
    Source:
        geometry.
    """
    return min(
        (_tiled(template, paper, turned=way) for way in (False, True)),
        key=lambda one: len(one.tiles),
    )


def _tiled(template: Template, paper: Paper, *, turned: bool) -> Tiling:
    wide, high = (paper.high_mm, paper.wide_mm) if turned else (paper.wide_mm, paper.high_mm)
    wide, high = wide - 2 * MARGIN_MM, high - 2 * MARGIN_MM - FOOT_MM
    left, low, right, top = template.bounds
    columns, rows = _pages(right - left, wide), _pages(top - low, high)
    # Spread evenly about its middle, so that no page holds a mere sliver.
    shared = (
        columns * wide - (columns - 1) * OVERLAP_MM,
        rows * high - (rows - 1) * OVERLAP_MM,
    )
    start = (left + right - shared[0]) / 2, (low + top + shared[1]) / 2
    tiles = tuple(
        Tile(
            row,
            column,
            start[0] + column * (wide - OVERLAP_MM),
            start[1] - row * (high - OVERLAP_MM) - high,
            wide,
            high,
        )
        for row in range(rows)
        for column in range(columns)
    )
    return Tiling(paper, turned, columns, rows, tiles)


def _pages(size_mm: float, page_mm: float) -> int:
    if size_mm <= page_mm + 1e-9:
        return 1
    return math.ceil((size_mm - OVERLAP_MM - 1e-9) / (page_mm - OVERLAP_MM))


def _letters(row: int) -> str:
    return chr(ord("A") + row) if row < 26 else f"{_letters(row // 26 - 1)}{_letters(row % 26)}"
