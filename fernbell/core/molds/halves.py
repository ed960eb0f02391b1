"""Spheres and eggs: two halves filled apart and joined at their rims."""

from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

from fernbell.core.field import Field, check_fields
from fernbell.core.molds.oval import Oval
from fernbell.core.molds.profile import Profile
from fernbell.core.molds.turned import Revolved
from fernbell.core.molds.words import FormWords, Start
from fernbell.core.working import figure_text

_FIELDS = (
    Field("diameter_mm", "Diameter, inside", least=10, most=400),
    Field("lower_mm", "Depth of the lower half", least=5, most=300),
    Field("upper_mm", "Depth of the upper half", least=5, most=300),
)


@dataclass(frozen=True, slots=True)
class Halves(Revolved):
    """Half an ellipsoid on half another, of one diameter [mm]; a sphere where all are alike."""

    diameter_mm: float
    lower_mm: float
    upper_mm: float
    form: Literal["halves"] = "halves"

    seen = "widest level"
    in_halves = True

    def __post_init__(self) -> None:
        check_fields(self, _FIELDS)

    @classmethod
    def words(cls) -> FormWords:
        """A sphere of 8 cm to begin with."""
        starts = (Start("Sphere of two halves", cls(80, 40, 40)), Start("Egg", cls(90, 50, 75)))
        return FormWords("halves", "Two halves", starts, _FIELDS)

    @property
    def seen_at_mm(self) -> float:
        """Where the halves are joined."""
        return self.lower_mm

    @property
    def profile(self) -> Profile:
        """A quarter of an ellipse on another."""
        return _profile(self)

    def words_in_full(self) -> str:
        """'Halves Ø 80, 40 + 40 mm'."""
        depths = f"{figure_text(self.lower_mm)} + {figure_text(self.upper_mm)}"
        return f"Halves Ø {figure_text(self.diameter_mm)}, {depths} mm"

    def size_words(self) -> str:
        """'Ø 8 cm', where it is widest."""
        return f"Ø {self.diameter_mm / 10:.3g} cm"


@lru_cache(maxsize=256)
def _profile(one: Halves) -> Profile:
    half, middle = one.diameter_mm / 2, one.lower_mm
    top = middle + one.upper_mm
    lower = Oval(middle, half, one.lower_mm, 0.0, middle)
    return Profile(0.0, (lower, Oval(middle, half, one.upper_mm, middle, top)))
