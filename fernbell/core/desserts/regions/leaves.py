"""Pieces cut from a sheet by a template: petals, leaves, feathers, discs, strips."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.cutting import Blank, FreeBlank, RectBlank, RoundBlank
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.desserts.regions.outlines import top_at
from fernbell.core.desserts.regions.region import GARNISH, Region, Surroundings, Takes
from fernbell.core.molds import Loop, box
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

_ARC_STEPS = 16


@dataclass(frozen=True, slots=True, kw_only=True)
class Leaves(Region):
    """So many pieces of a sheet so thin, standing around the dessert or lying on it [mm].

    Each is as wide as long at most: between two arcs that meet in its tips, which makes a disc of
    what is as wide as long; or square at its ends.
    """

    part: str
    name: str
    formula: str
    long_mm: float
    wide_mm: float
    thick_mm: float
    square: bool
    standing: bool
    places: Loop
    out_mm: float
    over_mm: float

    layer = None
    goes_by = "by area"
    drawn = GARNISH

    @property
    def across_mm(self) -> float:
        """As long as it is cut [mm]."""
        return self.long_mm

    def area(self, name: str) -> Working:
        """One piece [cm²]."""
        long_, wide = self.long_mm, self.wide_mm
        given = (Given("long", long_, "mm"), Given("wide", wide, "mm"))
        figure = f"One piece of {name}"
        if self.square:
            value = long_ * wide / 100
            text = f"{figure_text(long_)} × {figure_text(wide)} / 100 = {figure_text(value)} cm²"
            return Working(figure, value, "cm²", given, "area = long × wide", text, GEOMETRY)
        radius, half = lens(long_, wide)
        value = (radius**2 * 2 * half - long_ * (radius - wide / 2)) / 100
        said = figure_text(radius)
        return Working(
            figure,
            value,
            "cm²",
            (*given, Given("radius of its sides", radius, "mm"), Given("angle", 2 * half, "rad")),
            "area = radius² × angle − long × (radius − wide / 2): two arcs that meet in the tips, "
            "radius = (long² + wide²) / (4 × wide)",
            f"({said}² × {figure_text(2 * half)} rad − {figure_text(long_)} × "
            f"({said} − {figure_text(wide)} / 2)) / 100 = {figure_text(value)} cm²",
            GEOMETRY,
        )

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Their area, and the volume of the sheet they are cut from."""
        del near
        one, count = self.area(name), len(self.places)
        area = Working(
            figure=f"Area of {name}",
            value=count * one.value,
            unit="cm²",
            given=(Given("pieces", count, ""), Given("one piece", one.value, "cm²")),
            law="area = pieces × one piece",
            arithmetic=f"{count} × {figure_text(one.value)} = {figure_text(count * one.value)} cm²",
            source=GEOMETRY,
            steps=(one,),
        )
        volume = area.value * self.thick_mm / 10
        working = Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(Given("area", area.value, "cm²"), Given("thickness", self.thick_mm, "mm")),
            law="volume = area × thickness",
            arithmetic=f"{figure_text(area.value)} × {figure_text(self.thick_mm)} / 10 = "
            f"{figure_text(volume)} ml",
            source=GEOMETRY,
            steps=(area,),
        )
        return Takes(area.figure, area, working)

    def template(self) -> Loop:
        """One piece as it is cut, lying along x [mm]."""
        if self.square:
            return box(-self.long_mm / 2, self.long_mm / 2, -self.wide_mm / 2, self.wide_mm / 2)
        radius, half = lens(self.long_mm, self.wide_mm)
        turns = [half * (2 * step / _ARC_STEPS - 1) for step in range(_ARC_STEPS + 1)]
        upper = [
            (radius * math.sin(turn), radius * math.cos(turn) - radius * math.cos(half))
            for turn in turns
        ]
        lower = [(x, -y) for x, y in upper[-2:0:-1]]
        return tuple((round(x, 2), round(y, 2)) for x, y in (*upper, *lower))

    def from_sheet(self) -> FromSheet:
        """By its template; a disc is a disc."""
        piece: Blank = FreeBlank(self.template())
        if self.square:
            piece = RectBlank(self.long_mm, self.wide_mm)
        elif self.long_mm == self.wide_mm:
            piece = RoundBlank(self.long_mm)
        return FromSheet(piece, len(self.places), self.thick_mm)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Leaning against the sides, or lying on the far half."""
        outer = near.outer
        if self.standing:
            half = outer.across_mm / 2 + self.out_mm
            out = half + self.thick_mm
            sides = (box(half, out, 0.0, self.long_mm), box(-out, -half, 0.0, self.long_mm))
            yield sides[: len(self.places)]
            return
        reach = self.long_mm / 2
        yield tuple(
            box(x - reach, x + reach, low, low + self.thick_mm)
            for x, y in self.places
            if y >= -reach
            for low in (top_at(outer, x) + self.over_mm,)
        )

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """Each where it is, pointing outwards; of what stands its foot."""
        del near
        wide = self.wide_mm
        piece = box(0.0, self.thick_mm, -wide / 2, wide / 2) if self.standing else self.template()
        return tuple(_turned_out(piece, x, y) for x, y in self.places)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To what reaches furthest."""
        outer = near.outer
        if self.standing:
            return outer.across_mm + 2 * (self.out_mm + self.thick_mm), self.long_mm
        out = max((abs(x) for x, _ in self.places), default=0.0) + self.long_mm / 2
        return 2 * out, outer.height_mm + self.over_mm + self.thick_mm


def lens(long_mm: float, wide_mm: float) -> tuple[float, float]:
    """The arcs of a leaf that meet in its tips.

    Args:
        long_mm: from tip to tip [mm].
        wide_mm: at most as wide as long [mm].
    Returns:
        their radius, and half the angle of each [mm, rad].
    Source:
        geometry.
    """
    radius = (long_mm**2 + wide_mm**2) / (4 * wide_mm)
    return radius, math.asin(min(1.0, long_mm / (2 * radius)))


def _turned_out(piece: Loop, x: float, y: float) -> Loop:
    """Placed there, its length pointing away from the middle."""
    away = math.hypot(x, y)
    cos, sin = (x / away, y / away) if away else (1.0, 0.0)
    turned = ((x + px * cos - py * sin, y + px * sin + py * cos) for px, py in piece)
    return tuple((round(px, 2), round(py, 2)) for px, py in turned)
