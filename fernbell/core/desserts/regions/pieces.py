"""Pieces on every portion, counted."""

import math
from collections.abc import Iterator
from dataclasses import dataclass
from functools import lru_cache

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.outlines import top_at
from fernbell.core.desserts.regions.region import GARNISH, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop, Point
from fernbell.core.working import Given, Working, figure_text

_CIRCLE = tuple((math.cos(math.pi * i / 18), math.sin(math.pi * i / 18)) for i in range(36))
_HALF_CIRCLE = tuple((math.cos(math.pi * i / 12), math.sin(math.pi * i / 12)) for i in range(13))


@dataclass(frozen=True, slots=True, kw_only=True)
class Pieces(Region):
    """So many of a weight on every portion, over what coats the dessert [mm].

    One is drawn as a half ball of its volume.
    """

    part: str
    name: str
    formula: str
    piece_g: float
    each: float
    over_mm: float

    layer = None
    goes_by = "by pieces"
    drawn = GARNISH
    by_portion = True

    @property
    def thick_mm(self) -> float | None:
        """None: it is counted."""
        return None

    @property
    def on_a_portion_g(self) -> float:
        """What it weighs on one portion [g]."""
        return self.piece_g * self.each

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its pieces, and what they weigh."""
        assert near.division is not None
        pieces = self._pieces(name, near.division.count)
        return Takes(f"Pieces of {name}", pieces, mass=self._mass(name, pieces))

    def _pieces(self, name: str, portions: int) -> Working:
        pieces = portions * self.each
        return Working(
            figure=f"Pieces of {name} on one dessert",
            value=pieces,
            unit="pieces",
            given=(Given("portions", portions, ""), Given("pieces a portion", self.each, "")),
            law="pieces = portions × pieces a portion",
            arithmetic=f"{portions} × {figure_text(self.each)} = {figure_text(pieces)} pieces",
            source="counting",
        )

    def _mass(self, name: str, pieces: Working) -> Working:
        mass = pieces.value * self.piece_g
        return Working(
            figure=f"{name} on one dessert",
            value=mass,
            unit="g",
            given=(Given("pieces", pieces.value, ""), Given("one piece", self.piece_g, "g")),
            law="mass = pieces × one piece",
            arithmetic=f"{figure_text(pieces.value)} × {figure_text(self.piece_g)} = "
            f"{figure_text(mass)} g",
            source="counting",
            steps=(pieces,),
        )

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """As much on each [1]."""
        del near
        return cells.evenly()

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Those on the far half, seen behind the cut."""
        outer, radius = near.outer, self._radius(near)
        yield tuple(
            half_oval_at(x, top_at(outer, x) + self.over_mm, radius, radius)
            for x, y in self._centers(near)
            if y >= 0
        )

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """A disc in every portion."""
        radius = self._radius(near)
        return tuple(disc_at(x, y, radius) for x, y in self._centers(near))

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """Over what it lies on."""
        return near.outer.across_mm, near.outer.height_mm + self.over_mm + self._radius(near)

    def _centers(self, near: Surroundings) -> tuple[Point, ...]:
        assert near.division is not None
        return near.division.centers(near.outer.from_above)

    def _radius(self, near: Surroundings) -> float:
        volume_mm3 = self.piece_g / (near.density_g_ml(self) or 1.0) * MM3_PER_ML
        return float((3 * volume_mm3 / (2 * math.pi)) ** (1 / 3))


# Where pieces lie stays while anything else is dragged: they are outlined once.
@lru_cache(maxsize=4000)
def disc_at(x: float, y: float, radius: float) -> Loop:
    """A piece from above.

    Args:
        x: of its middle, to the right [mm].
        y: away from the cook [mm].
        radius: of it [mm].
    Returns:
        a closed polygon [mm].
    Source:
        definition.
    """
    return tuple(drawn_at(x + radius * dx, y + radius * dy) for dx, dy in _CIRCLE)


@lru_cache(maxsize=4000)
def half_oval_at(x: float, board: float, radius: float, height: float) -> Loop:
    """A piece from the side: a half ball, or higher or lower than that.

    Args:
        x: of its middle, to the right [mm].
        board: what it lies on [mm].
        radius: half of its width [mm].
        height: of its top above that [mm].
    Returns:
        a closed polygon [mm].
    Source:
        definition.
    """
    return tuple(drawn_at(x + radius * dx, board + height * dy) for dx, dy in _HALF_CIRCLE)


def drawn_at(x: float, y: float) -> Point:
    """A point as it is drawn.

    Args:
        x: to the right [mm].
        y: upwards, or away from the cook [mm].
    Returns:
        the point to 0.01 mm [mm].
    Source:
        definition.
    """
    return round(x, 2), round(y, 2)
