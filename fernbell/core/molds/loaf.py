"""A pan whose floor is smaller than its rim: loaf pans, tapered frames, pyramids cut off."""

from dataclasses import dataclass
from functools import cached_property
from typing import Literal

from fernbell.core.errors import check_range
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.plan import RoundedBox
from fernbell.core.molds.solid import HEIGHT
from fernbell.core.molds.tapered import Level, Tapered
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import figure_text

_FIELDS = (
    Field("length_mm", "Length at the rim", least=20, most=1000),
    Field("width_mm", "Width at the rim", least=20, most=1000),
    Field("floor_length_mm", "Length of the floor", least=5, most=1000),
    Field("floor_width_mm", "Width of the floor", least=5, most=1000),
    HEIGHT,
    Field("corner_radius_mm", "Corner radius", most=500),
)


@dataclass(frozen=True)
class Loaf(Tapered):
    """By the inner measures of rim and floor [mm]; its corners are as round all the way up."""

    length_mm: float
    width_mm: float
    floor_length_mm: float
    floor_width_mm: float
    height_mm: float
    corner_radius_mm: float = 0.0
    form: Literal["loaf"] = "loaf"

    is_straight = True

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)
        sides = (self.length_mm, self.width_mm, self.floor_length_mm, self.floor_width_mm)
        check_range("corner_radius_mm", self.corner_radius_mm, most=min(sides) / 2)

    @classmethod
    def words(cls) -> FormWords:
        """A loaf pan of 25 cm to begin with."""
        starts = (
            Start("Loaf pan", cls(250, 110, 230, 80, 70)),
            Start("Tapered square", cls(200, 200, 180, 180, 50, 10)),
            Start("Cut pyramid", cls(70, 70, 40, 40, 40)),
        )
        return FormWords("loaf", "Tapered pan", starts, _FIELDS)

    @cached_property
    def levels(self) -> tuple[Level, ...]:
        """Floor and rim."""
        radius = self.corner_radius_mm
        floor = RoundedBox(self.floor_length_mm, self.floor_width_mm, radius)
        rim = RoundedBox(self.length_mm, self.width_mm, radius)
        return Level(0.0, floor), Level(self.height_mm, rim)

    def words_in_full(self) -> str:
        """'Tapered pan 250 × 110 over 230 × 80, 70 mm high'."""
        rim = f"{figure_text(self.length_mm)} × {figure_text(self.width_mm)}"
        floor = f"{figure_text(self.floor_length_mm)} × {figure_text(self.floor_width_mm)}"
        return f"Tapered pan {rim} over {floor}, {figure_text(self.height_mm)} mm high"
