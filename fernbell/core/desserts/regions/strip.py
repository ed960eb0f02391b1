"""A strip along the edge, standing on the board around the dessert."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from itertools import pairwise

from fernbell.core.cutting import RectBlank
from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.desserts.regions.region import BAND, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop, Solid, box
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

OVERLAP_SOURCE = GEOMETRY + "; the overlap is common practice"


@dataclass(frozen=True, slots=True, kw_only=True)
class Strip(Region):
    """An edge × a height × a thickness; what is under it stands out from the wall [mm]."""

    part: str
    name: str
    formula: str
    edge_mm: float
    height_mm: float
    film_mm: float
    overlap_mm: float
    out_mm: float

    layer = None
    goes_by = "by edge"
    drawn = BAND

    @property
    def thick_mm(self) -> float:
        """How high the strip is cut: that is how a sheet of it is told [mm]."""
        return self.height_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its length, and its volume."""
        del near
        strip = strip_length(f"Strip of {name}", self.edge_mm, self.overlap_mm)
        return Takes(strip.figure, strip, self._volume(name, strip))

    def _volume(self, name: str, strip: Working) -> Working:
        volume = strip.value * self.height_mm * self.film_mm / MM3_PER_ML
        return Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("strip", strip.value, "mm"),
                Given("height", self.height_mm, "mm"),
                Given("thickness", self.film_mm, "mm"),
            ),
            law="volume = strip × height × thickness",
            arithmetic=f"{figure_text(strip.value)} × {figure_text(self.height_mm)} × "
            f"{figure_text(self.film_mm)} / 1 000 = {figure_text(volume)} ml",
            source=OVERLAP_SOURCE,
            steps=(strip,),
        )

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By the edge [1]."""
        return cells.by_edge(near.outer.plan_at(0.0))

    def from_sheet(self) -> FromSheet:
        """As long as it goes round and overlaps."""
        return FromSheet(RectBlank(self.edge_mm + self.overlap_mm, self.height_mm), 1, self.film_mm)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Cut on both sides."""
        half = near.outer.plan_at(0.0).length_mm / 2 + self.out_mm
        out = half + self.film_mm
        yield box(-out, -half, 0.0, self.height_mm), box(half, out, 0.0, self.height_mm)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its outside and its upper edge."""
        return near.outer.across_mm + 2 * (self.out_mm + self.film_mm), self.height_mm


def strip_length(figure: str, edge_mm: float, overlap_mm: float) -> Working:
    """Length of a strip around an edge; L = P + overlap.

    Args:
        figure: what the strip is [text].
        edge_mm: the edge it goes round [mm].
        overlap_mm: how far its ends overlap [mm].
    Returns:
        the working [mm].
    Source:
        geometry; the overlap is common practice.
    """
    length = edge_mm + overlap_mm
    return Working(
        figure=figure,
        value=length,
        unit="mm",
        given=(Given("edge all round", edge_mm, "mm"), Given("overlap", overlap_mm, "mm")),
        law="strip = edge all round + overlap",
        arithmetic=f"{figure_text(edge_mm)} + {figure_text(overlap_mm)} = {figure_text(length)} mm",
        source=OVERLAP_SOURCE,
    )


def liner_sheet(mold: Solid) -> Working:
    """How wide a sheet lines a gutter from rim to rim.

    Args:
        mold: a long mold [Solid].
    Returns:
        the working [mm].
    Source:
        geometry, exact: the way along its section.
    """
    (loop,) = mold.section(0.0, mold.height_mm)
    half = len(loop) // 2
    way = sum(math.dist(*ends) for ends in pairwise(loop[:half]))
    return Working(
        figure="Liner sheet, from rim to rim",
        value=2 * way,
        unit="mm",
        given=(Given("from the floor to the rim along the wall", way, "mm"),),
        law="width = twice the way from the middle of the floor to the rim",
        arithmetic=f"2 × {figure_text(way)} = {figure_text(2 * way)} mm",
        source=GEOMETRY,
    )
