"""Mounds piped side by side on a dessert: rosettes, kisses, a border of cream or meringue."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.regions.outlines import top_at
from fernbell.core.desserts.regions.pieces import disc_at, half_oval_at
from fernbell.core.desserts.regions.region import GARNISH, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True, kw_only=True)
class Mounds(Region):
    """Half ellipsoids so wide and high at places on what is coated [mm]."""

    part: str
    name: str
    formula: str
    wide_mm: float
    high_mm: float
    places: Loop
    over_mm: float

    layer = None
    goes_by = "by pieces"
    drawn = GARNISH

    @property
    def thick_mm(self) -> float:
        """As high as they are piped [mm]."""
        return self.high_mm

    @property
    def across_mm(self) -> float:
        """One of them [mm]."""
        return self.wide_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Their number, and π/6 d² h each."""
        del near
        count, wide, high = len(self.places), self.wide_mm, self.high_mm
        pieces = Working(
            figure=f"Mounds of {name}",
            value=count,
            unit="pieces",
            given=(Given("across", wide, "mm"),),
            law="as many as have room side by side",
            arithmetic=f"{count}, counted where they sit",
            source=GEOMETRY,
        )
        value = count * math.pi / 6 * wide**2 * high / MM3_PER_ML
        volume = Working(
            figure=f"Volume of {name}",
            value=value,
            unit="ml",
            given=(
                Given("mounds", count, ""),
                Given("across", wide, "mm"),
                Given("high", high, "mm"),
            ),
            law="volume = mounds × π/6 × across² × high: half an ellipsoid each",
            arithmetic=f"{count} × π/6 × {figure_text(wide)}² × {figure_text(high)} / 1 000 = "
            f"{figure_text(value)} ml",
            source=f"{COMMON_PRACTICE}; the shape is a model",
            steps=(pieces,),
        )
        return Takes(pieces.figure, pieces, volume)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Those on the far half, seen behind the cut."""
        yield tuple(
            half_oval_at(x, top_at(near.outer, x) + self.over_mm, self.wide_mm / 2, self.high_mm)
            for x, y in self.places
            if y >= -self.wide_mm / 2
        )

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """A disc each."""
        del near
        return tuple(disc_at(x, y, self.wide_mm / 2) for x, y in self.places)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To the tops of them."""
        out = max((abs(x) for x, _ in self.places), default=0.0) + self.wide_mm / 2
        return 2 * out, near.outer.height_mm + self.over_mm + self.high_mm
