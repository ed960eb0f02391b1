"""How much lies within a thickness of a solid: what coats it, corners and curves counted."""

import math
from dataclasses import dataclass
from functools import lru_cache
from itertools import pairwise

from fernbell.core.molds.gutter import Extrusion
from fernbell.core.molds.solid import MM2_PER_CM2, MM3_PER_ML, Solid

_LEVELS = 96


@dataclass(frozen=True, slots=True)
class Coating:
    """What lies within d of a solid: S d + M d² + K d³.

    `surface_mm2` is S, `bend_mm` M, what its curves and edges add, and `corner` K.
    """

    surface_mm2: float
    bend_mm: float
    corner: float

    def over(self, under_mm: float) -> "Coating":
        """The same over what is coated so thick already [mm]."""
        surface = self.surface_mm2 + under_mm * (2 * self.bend_mm + 3 * self.corner * under_mm)
        return Coating(surface, self.bend_mm + 3 * self.corner * under_mm, self.corner)

    def volume_ml(self, thick_mm: float) -> float:
        """What is that thick all over [mm] → [ml]."""
        bent = self.surface_mm2 + thick_mm * (self.bend_mm + self.corner * thick_mm)
        return bent * thick_mm / MM3_PER_ML


@lru_cache(maxsize=512)
def coating_of(solid: Solid, *, all_round: bool = False) -> Coating:
    """What coats the top and the wall of a solid on a board, and the underside of what is dipped.

    S is the surface. M = π H χ + 1/2 ∫ P dβ and K = 2/3 π χ, where H is the height, P the edge of a
    level, β how far the surface leans from upright (0 at the board, π/2 on top), and χ 1, or 0
    where the solid has a hole from top to bottom. Under a dipped one the edge turns once more.

    Args:
        solid: what is coated, up to its top [Solid].
        all_round: whether its underside is coated too [bool].
    Returns:
        the terms [mm², mm, 1].
    Source:
        Steiner's formula for parallel bodies (1840), the mean curvature summed level by level;
        exact for a ball and a cylinder.
    """
    height = solid.height_mm
    wall = solid.wall_between(0.0, height) * MM2_PER_CM2
    if isinstance(solid, Extrusion) and solid.bare_ends:
        # A log on its side: round all over, and its cut ends stay bare.
        return Coating(wall, math.pi * solid.length_mm, 0.0)
    surface = solid.area_at(height) + wall
    whole = 0.0 if solid.from_above.hole() else 1.0
    bend = math.pi * height * whole + _leaning(solid) / 2
    corner = 2 / 3 * math.pi * whole
    if all_round:
        surface += solid.area_at(0.0)
        bend += math.pi / 4 * solid.perimeter_at(0.0)
        corner *= 2
    return Coating(surface, bend, corner)


def _leaning(solid: Solid) -> float:
    """∫ P dβ from the board to the middle of the top [mm]."""
    height = solid.height_mm
    if solid.is_upright:
        return solid.perimeter_at(height) * math.pi / 2
    step = height / _LEVELS
    ends = [step * place for place in range(_LEVELS + 1)]
    edges = [solid.perimeter_at(z) for z in ends]
    areas = [solid.area_at(z) for z in ends]
    between = zip(pairwise(areas), pairwise(edges), strict=True)
    leans = [
        math.atan2(2 * (below - above), (edge + other) * step)
        for (below, above), (edge, other) in between
    ]
    upright, flat = 0.0, math.pi / 2
    turns = pairwise([upright, *leans, flat])
    return sum(edge * (after - before) for edge, (before, after) in zip(edges, turns, strict=True))
