"""A sauce on every portion; drawn around the foot of what is one portion."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.pieces import Pieces
from fernbell.core.desserts.regions.region import UNDER, Surroundings
from fernbell.core.molds import MM3_PER_ML, Loop, box

_CIRCLE_STEPS = 72
_DEEP_MM = 2.5
"""How deep a sauce stands on a plate; common practice."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Puddle(Pieces):
    """So many grams on every portion."""

    goes_by = "by portion"
    drawn = UNDER

    def _ring(self, near: Surroundings) -> tuple[float, float] | None:
        """Inner and outer radius on the plate [mm]; None where it is not one portion."""
        if near.division is None or near.division.count > 1:
            return None
        inner = near.outer.plan_at(0.0).length_mm / 2
        volume = self.on_a_portion_g / (near.density_g_ml(self) or 1.0) * MM3_PER_ML
        return inner, math.sqrt(inner**2 + volume / _DEEP_MM / math.pi)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """On both sides of the foot."""
        ring = self._ring(near)
        if ring is None:
            yield ()
            return
        inner, outer = ring
        yield box(-outer, -inner, 0.0, _DEEP_MM), box(inner, outer, 0.0, _DEEP_MM)

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """A ring around it."""
        ring = self._ring(near)
        return () if ring is None else (_circle(ring[1]), _circle(ring[0])[::-1])

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its edge."""
        ring = self._ring(near)
        return (0.0, 0.0) if ring is None else (2 * ring[1], _DEEP_MM)


def _circle(radius: float) -> Loop:
    turns = (2 * math.pi * step / _CIRCLE_STEPS for step in range(_CIRCLE_STEPS))
    return tuple(
        (round(radius * math.cos(turn), 2), round(radius * math.sin(turn), 2)) for turn in turns
    )
