"""A round pan with a fluted wall, straight or tapered: r(θ) = R − depth × (1 − cos nθ) / 2."""

import math
from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from fernbell.core.errors import check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.freehand import Freehand
from fernbell.core.molds.solid import HEIGHT, Symmetry
from fernbell.core.molds.tapered import Level, Tapered
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import figure_text

_FIELDS = (
    Field("diameter_mm", "Diameter at the rim, widest", least=30, most=1000),
    Field("floor_diameter_mm", "Diameter of the floor, widest", least=20, most=1000),
    HEIGHT,
    Field("flutes", "Flutes all round", least=6, most=80),
    Field("depth_mm", "Depth of a flute at the rim", least=0.5, most=50, step=0.5),
)
_STEPS = 12
"""Straight pieces of a flute; within 0.1 % of the wave's area."""


@dataclass(frozen=True)
class Fluted(Tapered):
    """By its inner diameters to the bottom of the flutes, and how many and how deep they are [mm].

    At the floor flutes are less deep by as much as it is narrower.
    """

    diameter_mm: float
    floor_diameter_mm: float
    height_mm: float
    flutes: int
    depth_mm: float
    form: Literal["fluted"] = "fluted"

    is_straight = True

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)
        # A wave deeper than a quarter of the radius is no pan any more; common practice.
        check_range("depth_mm", self.depth_mm, most=self.diameter_mm / 8)

    @classmethod
    def words(cls) -> FormWords:
        """A tart pan of 24 cm to begin with."""
        starts = (
            Start("Fluted tart pan", cls(240, 220, 25, 36, 3)),
            Start("Small fluted pan", cls(80, 65, 20, 18, 3)),
        )
        return FormWords("fluted", "Fluted pan", starts, _FIELDS)

    @property
    def symmetry(self) -> Symmetry:
        """Round."""
        return "round"

    @cached_property
    def levels(self) -> tuple[Level, ...]:
        """Floor and rim."""
        rim = _wave(self, self.diameter_mm)
        return Level(0.0, _wave(self, self.floor_diameter_mm)), Level(self.height_mm, rim)

    def size_words(self) -> str:
        """'Ø 24 cm', at the rim."""
        return f"Ø {self.diameter_mm / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Fluted Ø 240 over 220 × 25 mm'."""
        rim, floor = figure_text(self.diameter_mm), figure_text(self.floor_diameter_mm)
        return f"Fluted Ø {rim} over {floor} × {figure_text(self.height_mm)} mm"


def _wave(pan: Fluted, across_mm: float) -> Freehand:
    """Corners of a wavy circle [mm]."""
    steps, depth = pan.flutes * _STEPS, pan.depth_mm * across_mm / pan.diameter_mm
    turns = [2 * math.pi * step / steps for step in range(steps)]
    radii = [across_mm / 2 - depth * (1 - math.cos(pan.flutes * at)) / 2 for at in turns]
    return Freehand(
        tuple((r * math.cos(at), r * math.sin(at)) for r, at in zip(radii, turns, strict=True))
    )
