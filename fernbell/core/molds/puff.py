"""A mound piped by hand, as it comes out of the oven: wider and higher than it was piped."""

import math
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal, Self

from fernbell.core.field import Field, check_fields
from fernbell.core.molds.oval import Oval
from fernbell.core.molds.profile import Profile
from fernbell.core.molds.solid import MM3_PER_ML
from fernbell.core.molds.turned import Revolved
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import figure_text
from fernbell.starter.practice import practice

_FIELDS = (
    Field("piped_mm", "Piped across", least=10, most=200),
    Field("piped_height_mm", "Piped high", least=5, most=100),
    Field("widens_percent", "Widens in the oven", most=200, step=5),
    Field("rises_percent", "Rises in the oven", most=400, step=5),
)
_WIDENS, _RISES = practice("puff widens"), practice("puff rises")


@dataclass(frozen=True, slots=True)
class Puff(Revolved):
    """A mound by what it is piped to, and by how much the oven makes it wider and higher [mm]."""

    piped_mm: float
    piped_height_mm: float
    widens_percent: float = _WIDENS
    rises_percent: float = _RISES
    form: Literal["puff"] = "puff"

    seen = "foot"

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)

    @classmethod
    def words(cls) -> FormWords:
        """A puff piped to 45 mm to begin with."""
        starts = (Start("Puff", cls(45, 18)), Start("Small puff", cls(25, 12)))
        return FormWords("puff", "Piped by hand", starts, _FIELDS)

    @property
    def piped_ml(self) -> float:
        """The mound as it is piped, half an ellipsoid: pi/6 d² h [ml]."""
        return math.pi / 6 * self.piped_mm**2 * self.piped_height_mm / MM3_PER_ML

    @property
    def across_baked_mm(self) -> float:
        """Its foot when it is baked [mm]."""
        return self.piped_mm * (1 + self.widens_percent / 100)

    @property
    def shaped_mm(self) -> float:
        """As it is piped."""
        return self.piped_mm

    @property
    def seen_at_mm(self) -> float:
        """Its foot."""
        return 0.0

    @property
    def stands_on_rim(self) -> bool:
        """It stands as it was piped."""
        return False

    @property
    def profile(self) -> Profile:
        """A cap, its foot on the tray."""
        return _profile(self)

    def stretched(self, share: float) -> Self:
        """Nobody weighs water in it: it is piped wider by the root of the share."""
        by = share**0.5
        sizes = (self.piped_mm * by, self.piped_height_mm)
        return type(self)(*sizes, self.widens_percent, self.rises_percent)

    def size_words(self) -> str:
        """'Ø 6 cm', baked."""
        return f"Ø {self.across_baked_mm / 10:.3g} cm"

    def words_in_full(self) -> str:
        """'Puff piped Ø 45, baked Ø 60 × 40 mm'."""
        across, high = figure_text(self.across_baked_mm), figure_text(self.height_mm)
        return f"Puff piped Ø {figure_text(self.piped_mm)}, baked Ø {across} × {high} mm"


@lru_cache(maxsize=256)
def _profile(puff: Puff) -> Profile:
    half = puff.across_baked_mm / 2
    high = puff.piped_height_mm * (1 + puff.rises_percent / 100)
    return Profile(half, (Oval(0.0, half, high, 0.0, high),))
