"""A sheet rolled up: layers wound into a log about a core. Volume is conserved, so the section of
the roll is the sheet's length × its thickness; the spiral is Archimedean with that pitch.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from functools import lru_cache

from shapely import difference, intersection, union_all
from shapely.geometry import Point as ShapelyPoint
from shapely.geometry import Polygon

from fernbell.core.cutting import RectBlank
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.desserts.regions.outlines import loops_of
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Extrusion, Loop, Solid, lying
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

_TURN_STEPS = 90
_MOST_BARE = 0.25
"""Of a short sheet, what is left bare at most [1]."""
ROLL_SOURCE = GEOMETRY + "; the sheet is soft: its section is conserved, no crescent stays empty"


@dataclass(frozen=True, slots=True, kw_only=True)
class Winding:
    """A sheet so long, with layers so thick from the inside out, about a core [mm].

    `width_mm` is the length of the log, of which both ends are trimmed; so many `knots` of them
    are set on again. What is spread on the sheet ends `bare_mm` before its far end.
    """

    length_mm: float
    width_mm: float
    thick_mm: tuple[float, ...]
    core_mm: float
    trim_mm: float
    knots: int = 0
    bare_mm: float = 0.0

    @property
    def pitch_mm(self) -> float:
        """Of all layers together [mm]."""
        return sum(self.thick_mm)

    @property
    def spread_mm(self) -> float:
        """How far the sheet is spread with what lies on it [mm]."""
        return self.length_mm - self.bare_mm

    def length_of(self, place: int) -> float:
        """How long a layer lies, the sheet being the last [mm]."""
        return self.length_mm if place == len(self.thick_mm) - 1 else self.spread_mm

    @property
    def section_mm2(self) -> float:
        """Of all layers, without the core: the sum of length × thickness [mm²]."""
        return sum(self.length_of(place) * thick for place, thick in enumerate(self.thick_mm))

    @property
    def diameter_mm(self) -> float:
        """D = sqrt(d² + 4 A / pi) [mm]."""
        return math.sqrt(self.core_mm**2 + 4 * self.section_mm2 / math.pi)

    @property
    def turns(self) -> float:
        """How often it goes round its middle, its bare end last [1]."""
        filled = math.sqrt(self.core_mm**2 + 4 * self.spread_mm * self.pitch_mm / math.pi)
        wound = (filled - self.core_mm) / 2 / self.pitch_mm
        return wound + self.bare_mm / (math.pi * (filled + self.thick_mm[-1]))

    @property
    def log_mm(self) -> float:
        """What is left of its length when the ends are trimmed [mm]."""
        return max(1.0, self.width_mm - 2 * self.trim_mm)

    @property
    def served_share(self) -> float:
        """What comes to the table: not the ends, unless they are set on as knots [0 to 1]."""
        knots = self.knots * min(self.trim_mm, self.width_mm / 2)
        return min(1.0, (self.log_mm + knots) / self.width_mm)

    @property
    def solid(self) -> Extrusion:
        """The log on the board, its ends bare."""
        return lying(self.diameter_mm, self.log_mm)

    def diameter_working(self) -> Working:
        """The working of its diameter [mm]."""
        length, core = self.length_mm, self.core_mm
        sheet, filling = self.thick_mm[-1], sum(self.thick_mm[:-1])
        value = self.diameter_mm
        layers = f"{figure_text(length)} × {figure_text(sheet)}"
        if filling:
            layers = f"({layers} + {figure_text(self.spread_mm)} × {figure_text(filling)})"
        return Working(
            figure="Rolled, across",
            value=value,
            unit="mm",
            given=(
                Given("sheet, in the direction it is rolled", length, "mm"),
                Given("sheet thick", sheet, "mm"),
                *((Given("spread so far", self.spread_mm, "mm"),) if filling else ()),
                *((Given("spread thick", filling, "mm"),) if filling else ()),
                Given("core across", core, "mm"),
            ),
            law="across² = core² + 4 × (sheet length × thickness + spread length × thickness) / π"
            if filling
            else "across² = core² + 4 × sheet length × thickness / π",
            arithmetic=f"√({figure_text(core)}² + 4 × {layers} / π) = {figure_text(value)} mm; "
            f"{figure_text(self.turns)} turns",
            source=ROLL_SOURCE,
        )


def sheet_length(
    diameter_mm: float,
    sheet_mm: float,
    spread_mm: float = 0.0,
    core_mm: float = 0.0,
    finger_mm: float = 0.0,
) -> float:
    """How long a sheet has to be for a roll; L = (pi (D² - d²) / 4 + b s) / (t + s).

    Args:
        diameter_mm: D, of the roll [mm].
        sheet_mm: t, how thick the sheet is [mm].
        spread_mm: s, how thick what is spread on it is together [mm].
        core_mm: d, across the core, 0 for none [mm].
        finger_mm: b, left bare at the far end of a long sheet; see `left_bare` [mm].
    Returns:
        the length in the direction it is rolled [mm].
    Source:
        geometry: the section is conserved.
    """
    section = math.pi * (diameter_mm**2 - core_mm**2) / 4
    long_ = (section + finger_mm * spread_mm) / (sheet_mm + spread_mm)
    if left_bare(long_, finger_mm) == finger_mm:
        return long_
    return section / (sheet_mm + spread_mm * (1 - _MOST_BARE))


def left_bare(length_mm: float, finger_mm: float) -> float:
    """What is left bare at the far end of a sheet.

    Args:
        length_mm: of the sheet [mm].
        finger_mm: what is usual [mm].
    Returns:
        that, and no more than a quarter of a short sheet [mm].
    Source:
        common practice.
    """
    return min(finger_mm, _MOST_BARE * length_mm)


@lru_cache(maxsize=64)
def spiral(roll: Winding) -> tuple[tuple[Loop, ...], ...]:
    """The section of every layer, the innermost first, on the board.

    The outermost layer, the sheet, is what is left of the disc: it closes the roll.

    Args:
        roll: what is rolled [mm].
    Returns:
        closed polygons of each layer [mm].
    Source:
        geometry: r = r0 + t turn.
    """
    outer = roll.diameter_mm / 2
    middle = ShapelyPoint(0.0, outer)
    disc = middle.buffer(outer, quad_segs=32)
    core = middle.buffer(roll.core_mm / 2, quad_segs=32) if roll.core_mm else Polygon()
    bands, from_mm = [], 0.0
    for thick in roll.thick_mm[:-1]:
        band = _band(roll, from_mm, from_mm + thick, outer)
        bands.append(difference(intersection(band, disc), core))
        from_mm += thick
    sheet = difference(disc, union_all([core, *bands]))
    return tuple(tuple(loops_of(one)) for one in (*bands, sheet))


def _band(roll: Winding, inner_mm: float, outer_mm: float, middle_z: float) -> Polygon:
    """One layer, wound from the core outwards as far as it is spread: its middle line is as long.

    Of an Archimedean line, l = 2 pi (r0 turns + pitch turns² / 2).
    """
    pitch, begin = roll.pitch_mm, roll.core_mm / 2
    first = begin + (inner_mm + outer_mm) / 2
    turns = (math.sqrt(first**2 + pitch * roll.spread_mm / math.pi) - first) / pitch
    steps = max(8, math.ceil(turns * _TURN_STEPS))

    def side(offset_mm: float) -> list[tuple[float, float]]:
        found = []
        for step in range(steps + 1):
            turn = turns * step / steps
            radius, angle = begin + offset_mm + pitch * turn, 2 * math.pi * turn
            found.append((radius * math.sin(angle), middle_z - radius * math.cos(angle)))
        return found

    whole = Polygon([*side(inner_mm), *side(outer_mm)[::-1]])
    return whole if whole.is_valid else whole.buffer(0)


@dataclass(frozen=True, slots=True, kw_only=True)
class Wound(Region):
    """One layer of a roll, as long and wide as the sheet."""

    part: str
    layer: str | None
    name: str
    formula: str
    roll: Winding
    place: int

    goes_by = "by sheet"
    drawn = SOLID
    takes_room = True

    @property
    def thick_mm(self) -> float:
        """As it is spread [mm]."""
        return self.roll.thick_mm[self.place]

    @property
    def served_share(self) -> float:
        """Without the ends that are not set on again."""
        return self.roll.served_share

    @property
    def stands(self) -> Solid:
        """The log it is rolled into."""
        return self.roll.solid

    @property
    def floor_mm(self) -> float:
        """Nothing stands on a roll."""
        return 0.0

    def amount(self, name: str, near: Surroundings) -> Takes:
        """The sheet's area, and its volume."""
        del near
        roll, thick = self.roll, self.thick_mm
        length = roll.length_of(self.place)
        area = length * roll.width_mm / 100
        bare = roll.length_mm - length
        left = (Given("left bare at its far end", bare, "mm"),) if bare else ()
        along = f"({figure_text(roll.length_mm)} − {figure_text(bare)})"
        sheet = Working(
            figure=f"Sheet of {name}",
            value=area,
            unit="cm²",
            given=(
                Given("sheet, in the direction it is rolled", roll.length_mm, "mm"),
                *left,
                Given("sheet, across", roll.width_mm, "mm"),
            ),
            law="area = (length − what is left bare) × width" if bare else "area = length × width",
            arithmetic=f"{along if bare else figure_text(length)} × {figure_text(roll.width_mm)} "
            f"/ 100 = {figure_text(area)} cm²",
            source=GEOMETRY,
        )
        volume = Working(
            figure=f"Volume of {name}",
            value=area * thick / 10,
            unit="ml",
            given=(Given("area", area, "cm²"), Given("thickness", thick, "mm")),
            law="volume = area × thickness",
            arithmetic=f"{figure_text(area)} × {figure_text(thick)} / 10 = "
            f"{figure_text(area * thick / 10)} ml",
            source=GEOMETRY,
            steps=(sheet,),
        )
        return Takes(sheet.figure, sheet, volume)

    def from_sheet(self) -> FromSheet | None:
        """The sheet itself; what is spread on it is not cut."""
        if self.place < len(self.roll.thick_mm) - 1:
            return None
        return FromSheet(RectBlank(self.roll.length_mm, self.roll.width_mm), 1, self.thick_mm)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Its winding."""
        del near
        yield spiral(self.roll)[self.place]

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """As far as the roll."""
        del near
        return self.roll.diameter_mm, self.roll.diameter_mm


@dataclass(frozen=True, slots=True, kw_only=True)
class Bar(Region):
    """A round bar laid at the start of a roll, as long as the sheet is wide [mm]."""

    part: str
    name: str
    formula: str
    thick_mm: float
    length_mm: float
    middle_mm: float
    served_share: float

    layer = None
    goes_by = "by volume"
    drawn = SOLID
    takes_room = True

    @property
    def across_mm(self) -> float:
        """As thick as wide [mm]."""
        return self.thick_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """π/4 d² l."""
        del near
        across, length = self.thick_mm, self.length_mm
        volume = math.pi / 4 * across**2 * length / MM3_PER_ML
        working = Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(Given("across", across, "mm"), Given("length", length, "mm")),
            law="volume = π/4 × across² × length",
            arithmetic=f"π/4 × {figure_text(across)}² × {figure_text(length)} / 1 000 = "
            f"{figure_text(volume)} ml",
            source=GEOMETRY,
        )
        return Takes(working.figure, working, working)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """A disc in the middle of the roll."""
        del near
        disc = ShapelyPoint(0.0, self.middle_mm).buffer(self.thick_mm / 2, quad_segs=32)
        yield tuple(loops_of(disc))

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """Its further side."""
        del near
        return self.thick_mm, self.middle_mm + self.thick_mm / 2
