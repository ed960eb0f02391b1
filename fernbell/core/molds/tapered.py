"""The outline goes straight from level to level: loaf pans, cut pyramids, fluted pans, scans.

Between two levels the area is a quadratic of the height, and the prismoidal rule exact; such a
belt is a pyramid's frustum only where its ends are similar.
"""

import math
from abc import abstractmethod
from collections.abc import Iterator
from dataclasses import dataclass, replace
from functools import cached_property, lru_cache
from itertools import pairwise
from typing import TYPE_CHECKING

from fernbell.core.errors import CoreError
from fernbell.core.molds.plan import Loop, Plan
from fernbell.core.molds.solid import MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.working import Given, figure_text

_SAME_MM = 1e-9
_MOST_WRITTEN = 3


@dataclass(frozen=True, slots=True)
class Level:
    """An outline at a height above the floor [mm]."""

    z_mm: float
    plan: Plan


@dataclass(frozen=True)
class Belt:
    """What lies between two levels that follow each other; shares are of its height [0 to 1]."""

    low: Level
    high: Level

    @property
    def height_mm(self) -> float:
        """Between its levels [mm]."""
        return self.high.z_mm - self.low.z_mm

    def share(self, z_mm: float) -> float:
        """How far up a height is [0 to 1]."""
        return (z_mm - self.low.z_mm) / self.height_mm

    def plan(self, z_mm: float) -> Plan:
        """The outline at a height [mm]."""
        return self.low.plan.towards(self.high.plan, self.share(z_mm))

    @cached_property
    def _areas(self) -> tuple[float, float, float]:
        half_way = self.low.plan.towards(self.high.plan, 0.5)
        return self.low.plan.area_mm2, half_way.area_mm2, self.high.plan.area_mm2

    def areas(self, low_mm: float, high_mm: float) -> tuple[float, float, float]:
        """Below, half way up and above, between two heights [mm²]."""
        first, middle, last = self._areas
        bend, slope = 2 * (first + last - 2 * middle), 4 * middle - last - 3 * first

        def area(z: float) -> float:
            share = self.share(z)
            return first + share * (slope + share * bend)

        return area(low_mm), area((low_mm + high_mm) / 2), area(high_mm)

    def volume(self, low_mm: float, high_mm: float) -> float:
        """h (A0 + 4 Am + A1) / 6 [mm³]."""
        first, middle, last = self.areas(low_mm, high_mm)
        return (high_mm - low_mm) * (first + 4 * middle + last) / 6

    def wall(self, low_mm: float, high_mm: float) -> float:
        """As it slants, between two heights [mm²]."""
        if (low_mm, high_mm) == (self.low.z_mm, self.high.z_mm):
            return _wall(self.low.plan, self.high.plan, self.height_mm)
        return self.plan(low_mm).wall_to(self.plan(high_mm), high_mm - low_mm)


# A scan has many of them, and all but the uppermost stay while something is dragged.
@lru_cache(maxsize=4096)
def _wall(below: Plan, above: Plan, height_mm: float) -> float:
    return below.wall_to(above, height_mm)


class Tapered(Solid):
    """What is the same for all of them; they have room to keep what a large one is asked often."""

    __slots__ = ()

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def levels(self) -> tuple[Level, ...]:
            """Their outlines from the floor up."""

    @property
    def symmetry(self) -> Symmetry:
        """Two sides."""
        return "rectangular"

    @cached_property
    def _belts(self) -> tuple[Belt, ...]:
        return tuple(Belt(low, high) for low, high in pairwise(self.levels))

    @cached_property
    def _widest_mm(self) -> float:
        return max(self.levels, key=lambda level: (level.plan.area_mm2, level.z_mm)).z_mm

    @property
    def seen_at_mm(self) -> float:
        """Where it is widest."""
        return self._widest_mm

    @property
    def rim(self) -> Plan:
        """The outline of the rim."""
        return self.levels[-1].plan

    def belts(self, low_mm: float, high_mm: float) -> Iterator[tuple[Belt, float, float]]:
        """The belts between two heights, and from where to where each of them [mm]."""
        for belt in self._belts:
            start, end = max(low_mm, belt.low.z_mm), min(high_mm, belt.high.z_mm)
            if end > start:
                yield belt, start, end

    def plan_at(self, z_mm: float) -> Plan:
        """Between those of the levels around it."""
        self._inside(z_mm, z_mm)
        return self._belt(z_mm).plan(z_mm) if self._belts else self.rim

    def _belt(self, z_mm: float) -> Belt:
        belts = self._belts
        return next((belt for belt in belts if z_mm <= belt.high.z_mm), belts[-1])

    def area_at(self, z_mm: float) -> float:
        """That of the plan."""
        self._inside(z_mm, z_mm)
        return self._belt(z_mm).areas(z_mm, z_mm)[0] if self._belts else self.rim.area_mm2

    def perimeter_at(self, z_mm: float) -> float:
        """That of the plan."""
        return self.plan_at(z_mm).perimeter_mm

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The prismoidal rule, belt by belt."""
        self._inside(low_mm, high_mm)
        belts = self.belts(low_mm, high_mm)
        return sum(belt.volume(*ends) for belt, *ends in belts) / MM3_PER_ML

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """Side by side as they lean."""
        self._inside(low_mm, high_mm)
        return sum(belt.wall(*ends) for belt, *ends in self.belts(low_mm, high_mm)) / MM2_PER_CM2

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """From level to level, along its length."""
        self._inside(low_mm, high_mm)
        inside = (level.z_mm for level in self.levels if low_mm < level.z_mm < high_mm)
        ends = [(self.plan_at(z).length_mm / 2, z) for z in (low_mm, *inside, high_mm)]
        return ((*ends, *((-x, z) for x, z in reversed(ends))),)

    def to_height(self, height_mm: float) -> "Prismatoid":
        """Cut off between two levels, or carried straight up."""
        kept = [level for level in self.levels if level.z_mm < height_mm - _SAME_MM]
        top = self.plan_at(height_mm) if height_mm < self.height_mm else self.rim
        return Prismatoid((*kept, Level(height_mm, top)))

    def inset(self, by_mm: float) -> "Prismatoid":
        """Every outline moved in by what the thickness measures level; the floor stands higher."""
        if by_mm >= self.height_mm - _SAME_MM:
            allowed = f"less than {figure_text(self.height_mm)} mm: nothing is left inside"
            raise CoreError("thickness_mm", f"{by_mm:g} mm", allowed)
        kept = (by_mm, *(level.z_mm for level in self.levels[1:] if level.z_mm > by_mm))
        return Prismatoid(tuple(Level(z - by_mm, self._moved_in(z, by_mm)) for z in kept))

    def _moved_in(self, z_mm: float, by_mm: float) -> Plan:
        """The outline at a height, moved in by what a thickness on the wall measures level."""
        belt = self._belt(z_mm)
        below, above = belt.low.plan, belt.high.plan
        return belt.plan(z_mm).moved_in(by_mm, below, above, belt.height_mm)

    def stretched(self, share: float) -> "Prismatoid":
        """Every outline by the root of the share."""
        by = math.sqrt(share)
        return Prismatoid(tuple(Level(one.z_mm, one.plan.scaled(by)) for one in self.levels))

    def measures(self) -> tuple[Given, ...]:
        """Those of floor and rim."""
        floor = (replace(one, name=f"floor: {one.name}") for one in self.levels[0].plan.measures)
        return (*self.from_above.measures, *floor)

    def volume_law(self, height: str) -> str:
        """The prismoidal rule."""
        rule = f"{height} × (area below + 4 × area half way up + area above) / 6"
        return rule if len(self._belts) == 1 else f"{rule}, summed over {len(self._belts)} slices"

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """h × (A0 + 4 × Am + A1) / 6 / 1 000, belt by belt; of many only their sum."""
        parts = list(self.belts(low_mm, high_mm))
        if len(parts) > _MOST_WRITTEN:
            return figure_text(self.volume_between(low_mm, high_mm))
        return " + ".join(_volume_text(*part) for part in parts) or "0"

    def area_text(self, z_mm: float) -> str:
        """That of the plan."""
        return self.plan_at(z_mm).area_text

    def wall_law(self) -> str:
        """What it is the sum of."""
        return "mean edge × mean slant of the sides, all round"

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """Mean edge × mean slant, belt by belt; of many only their sum."""
        parts = list(self.belts(low_mm, high_mm))
        if len(parts) > _MOST_WRITTEN:
            return figure_text(self.wall_between(low_mm, high_mm) * MM2_PER_CM2)
        return " + ".join(self._slant_text(*part) for part in parts) or "0"

    def _slant_text(self, belt: Belt, low_mm: float, high_mm: float) -> str:
        edge = (belt.plan(low_mm).perimeter_mm + belt.plan(high_mm).perimeter_mm) / 2
        slant = belt.wall(low_mm, high_mm) / edge
        return f"{figure_text(edge)} × {figure_text(slant)}"

    def edge_text(self) -> str:
        """That of the plan at the rim."""
        return self.from_above.perimeter_text

    def size_words(self) -> str:
        """At the rim."""
        return self.from_above.size_words

    def words_in_full(self) -> str:
        """'Tapered 25 × 11 cm, 70 mm high'."""
        return f"Tapered {self.size_words()}, {figure_text(self.height_mm)} mm high"


def _volume_text(belt: Belt, low_mm: float, high_mm: float) -> str:
    first, middle, last = (figure_text(area) for area in belt.areas(low_mm, high_mm))
    return f"{figure_text(high_mm - low_mm)} × ({first} + 4 × {middle} + {last}) / 6 / 1 000"


@dataclass(frozen=True)
class Prismatoid(Tapered):
    """Any outlines of one kind, from the floor up [mm]."""

    levels: tuple[Level, ...]

    @property
    def height_mm(self) -> float:
        """That of the last level."""
        return self.levels[-1].z_mm
