"""Any outline with upright walls: hearts, leaves, numbers, cutters; drawn point by point."""

import math
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal, Self

from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.molds.freehand import Freehand, drawn_round
from fernbell.core.molds.solid import HEIGHT, Symmetry
from fernbell.core.molds.upright import Upright
from fernbell.core.molds.words import FormWords, Start, Table
from fernbell.core.working import figure_text

MOST_CORNERS = 400
_CORNER = (
    Field("x_mm", "To the right", least=-1000, most=1000),
    Field("y_mm", "Away from you", least=-1000, most=1000),
)
_HEART_STEPS = 64


@dataclass(frozen=True, slots=True)
class Corner:
    """A corner of an outline seen from above [mm]."""

    x_mm: float
    y_mm: float

    def __post_init__(self) -> None:
        check_fields(self, _CORNER)


@dataclass(frozen=True, slots=True)
class Outlined(Upright):
    """Corners in their order, on either hand round, and a height [mm]."""

    corners: tuple[Corner, ...]
    height_mm: float
    form: Literal["outline"] = "outline"

    def __post_init__(self) -> None:
        check_fields(self, (HEIGHT,))
        if not 3 <= len(self.corners) <= MOST_CORNERS:
            allowed = f"3 to {MOST_CORNERS} corners"
            raise CoreError("corners", f"{len(self.corners)} corners", allowed)
        if min(self.plan.length_mm, self.plan.width_mm) < 10:
            raise CoreError("corners", self.plan.size_words, "at least 10 mm each way")

    @classmethod
    def words(cls) -> FormWords:
        """A heart of 18 cm to begin with."""
        corners = Table("corners", "Corners seen from above", _CORNER, 3, MOST_CORNERS, rises=False)
        starts = (
            Start("Heart", cls(heart(180), 45)),
            Start("Hexagon", cls(regular(180, 6), 45)),
            Start("Leaf", cls(leaf(200, 90), 40)),
        )
        return FormWords("outline", "Free outline", starts, (HEIGHT,), tables=(corners,))

    @property
    def plan(self) -> Freehand:
        """Around the middle of its box."""
        return _plan(self.corners)

    @property
    def symmetry(self) -> Symmetry:
        """Divided from the middle."""
        return "round"

    def stretched(self, share: float) -> Self:
        """Every corner by the root of the share."""
        by = math.sqrt(share)
        corners = tuple(Corner(one.x_mm * by, one.y_mm * by) for one in self.corners)
        return type(self)(corners, self.height_mm)

    def size_words(self) -> str:
        """'18 × 16.5 cm', its box."""
        return self.plan.size_words

    def words_in_full(self) -> str:
        """'Outline 180 × 165 × 45 mm'."""
        sides = (self.plan.length_mm, self.plan.width_mm, self.height_mm)
        return f"Outline {' × '.join(figure_text(side) for side in sides)} mm"


@lru_cache(maxsize=256)
def _plan(corners: tuple[Corner, ...]) -> Freehand:
    return drawn_round([(one.x_mm, one.y_mm) for one in corners])


def heart(across_mm: float) -> tuple[Corner, ...]:
    """A heart, its tip towards you; x = 16 sin³ t, y = 13 cos t - 5 cos 2t - 2 cos 3t - cos 4t.

    Args:
        across_mm: how wide it is [mm].
    Returns:
        its corners, to 0.1 mm, shape (n,) [mm].
    Source:
        a well-known curve, from memory.
    """
    scale = across_mm / 32
    turns = (2 * math.pi * step / _HEART_STEPS for step in range(_HEART_STEPS))
    points = [(scale * 16 * math.sin(at) ** 3, scale * _heart_y(at)) for at in turns]
    # In cleft and tip points lie closer than a tenth of a millimeter: the middle ones are enough.
    middle = (0, _HEART_STEPS // 2)
    return tuple(
        Corner(round(x, 1), round(y, 1))
        for step, (x, y) in enumerate(points)
        if step in middle or abs(x) > 0.02 * across_mm
    )


def _heart_y(at: float) -> float:
    return sum(k * math.cos(n * at) for n, k in _HEART.items())


_HEART = {1: 13, 2: -5, 3: -2, 4: -1}


def regular(across_mm: float, sides: int) -> tuple[Corner, ...]:
    """A regular polygon.

    Args:
        across_mm: from corner to corner [mm].
        sides: how many [1].
    Returns:
        its corners, to 0.1 mm, shape (sides,) [mm].
    Source:
        geometry.
    """
    turns = (2 * math.pi * side / sides for side in range(sides))
    half = across_mm / 2
    return tuple(Corner(round(half * math.cos(a), 1), round(half * math.sin(a), 1)) for a in turns)


def leaf(length_mm: float, width_mm: float) -> tuple[Corner, ...]:
    """Two arcs that meet in points.

    Args:
        length_mm: from point to point [mm].
        width_mm: where it is widest [mm].
    Returns:
        its corners, to 0.1 mm, shape (n,) [mm].
    Source:
        geometry.
    """
    half, rise = length_mm / 2, width_mm / 2
    radius = (half**2 + rise**2) / (2 * rise)
    xs = [half - length_mm * step / 24 for step in range(25)]
    upper = [
        Corner(round(x, 1), round(math.sqrt(radius**2 - x * x) - radius + rise, 1)) for x in xs
    ]
    return (*upper, *(Corner(one.x_mm, -one.y_mm) for one in upper[-2:0:-1]))
