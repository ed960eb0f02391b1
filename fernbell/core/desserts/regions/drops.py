"""Drips down the edge of a dessert, so far from each other."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.outlines import top_at
from fernbell.core.desserts.regions.pieces import disc_at
from fernbell.core.desserts.regions.region import GARNISH, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text
from fernbell.starter.practice import practice

WIDE_MM, THICK_MM = practice("drip width"), practice("drip thickness")


@dataclass(frozen=True, slots=True, kw_only=True)
class Drops(Region):
    """Drips that run so far down at places along the edge [mm]."""

    part: str
    name: str
    formula: str
    every_mm: float
    runs_mm: float
    edge_mm: float
    places: Loop
    out_mm: float
    over_mm: float

    layer = None
    goes_by = "by edge"
    drawn = GARNISH

    @property
    def thick_mm(self) -> float | None:
        """None: it runs as thick as it runs."""
        return None

    def amount(self, name: str, near: Surroundings) -> Takes:
        """How many have room along the edge; half an ellipse wide with a half ball at the foot."""
        del near
        edge, every, runs, count = self.edge_mm, self.every_mm, self.runs_mm, len(self.places)
        drips = Working(
            figure=f"Drips of {name}",
            value=count,
            unit="drips",
            given=(Given("edge all round", edge, "mm"), Given("one every", every, "mm")),
            law="edge / spacing, to the nearest whole",
            arithmetic=f"{figure_text(edge)} / {figure_text(every)} = "
            f"{figure_text(edge / every)} → {count}",
            source=COMMON_PRACTICE,
        )
        one = (math.pi / 4 * runs + math.pi / 12 * WIDE_MM) * WIDE_MM * THICK_MM / MM3_PER_ML
        volume = Working(
            figure=f"Volume of {name}",
            value=count * one,
            unit="ml",
            given=(
                Given("drips", count, ""),
                Given("one runs", runs, "mm"),
                Given("wide", WIDE_MM, "mm"),
                Given("thick", THICK_MM, "mm"),
            ),
            law="volume = drips × (π/4 × runs + π/12 × wide) × wide × thick",
            arithmetic=f"{count} × (π/4 × {figure_text(runs)} + π/12 × {figure_text(WIDE_MM)}) × "
            f"{figure_text(WIDE_MM)} × {figure_text(THICK_MM)} / 1 000 = "
            f"{figure_text(count * one)} ml",
            source=f"{COMMON_PRACTICE}; the shape is a model",
            steps=(drips,),
        )
        return Takes(drips.figure, drips, volume)

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By the edge [1]."""
        return cells.by_edge(near.outer.plan_at(0.0))

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Those on the far half as they hang, one behind the other."""
        high = near.outer.height_mm
        yield tuple(
            _hanging(x, top_at(near.outer, x) + self.over_mm, min(self.runs_mm, high))
            for x, y in self.places
            if y >= 0
        )

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """Where each goes over the edge."""
        del near
        return tuple(disc_at(x, y, WIDE_MM / 2) for x, y in self.places)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """A little beyond the edge."""
        wide = near.outer.across_mm + 2 * self.out_mm + WIDE_MM
        return wide, near.outer.height_mm + self.over_mm


def _hanging(x: float, top: float, runs: float) -> Loop:
    """A drip from the side, round at its foot."""
    half, low = WIDE_MM / 2, max(0.0, top - runs)
    foot = min(top, low + half)
    turns = (math.pi * step / 8 for step in range(9))
    rounded = ((x + half * math.cos(turn), foot - (foot - low) * math.sin(turn)) for turn in turns)
    loop = ((x - half, top), (x + half, top), *rounded)
    return tuple((round(px, 2), round(pz, 2)) for px, pz in loop)
