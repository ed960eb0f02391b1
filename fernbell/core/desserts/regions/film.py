"""A thickness on the exposed surface: glaze, spray, anything that coats."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.outlines import skin
from fernbell.core.desserts.regions.region import COAT, Region, Surroundings, Takes
from fernbell.core.molds import MM2_PER_CM2, Loop, Solid, box
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text


@dataclass(frozen=True, slots=True)
class Film(Region):
    """A film over a solid, or on its top only; others under it stand out and stand over [mm]."""

    part: str
    name: str
    formula: str
    thick_mm: float
    top_only: bool
    out_mm: float
    over_mm: float
    all_round: bool = False

    layer = None
    goes_by = "by surface"
    drawn = COAT

    @property
    def side_mm(self) -> float:
        """How far it moves the wall outwards [mm]."""
        return 0.0 if self.top_only else self.thick_mm

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its surface, and the volume of the film."""
        covers = {"top_only": self.top_only, "all_round": self.all_round}
        surface = exposed_surface(near.outer, **covers)
        return Takes(surface.figure, surface, self._volume(name, surface))

    def _volume(self, name: str, surface: Working) -> Working:
        volume = surface.value * self.thick_mm / 10
        return Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("surface", surface.value, "cm²"),
                Given("thickness", self.thick_mm, "mm"),
            ),
            law="volume = surface × thickness",
            arithmetic=f"{figure_text(surface.value)} × {figure_text(self.thick_mm)} / 10 = "
            f"{figure_text(volume)} ml",
            source=COMMON_PRACTICE + "; a film thin against the dessert, corners not counted",
            steps=(surface,),
        )

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By what each portion has of the surface [1]."""
        return cells.by_surface(near.outer, top_only=self.top_only)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """A strip on top, or over top and sides."""
        outer, top = near.outer, near.outer.height_mm + self.over_mm
        if not outer.is_upright and not self.top_only:
            yield skin(outer, self.out_mm, self.thick_mm)
            return
        half = outer.plan_at(outer.height_mm).length_mm / 2 + self.out_mm
        out, high = half + self.thick_mm, top + self.thick_mm
        if self.top_only:
            yield (box(-half, half, top, high),)
        else:
            yield (
                (
                    *((-out, 0.0), (-out, high), (out, high), (out, 0.0)),
                    *((half, 0.0), (half, top), (-half, top), (-half, 0.0)),
                ),
            )

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its outside."""
        wide = near.outer.across_mm + 2 * (self.out_mm + self.side_mm)
        return wide, near.outer.height_mm + self.over_mm + self.thick_mm


def exposed_surface(solid: Solid, *, top_only: bool, all_round: bool = False) -> Working:
    """Surface a film covers: the top and the wall, and the underside of what is dipped.

    Args:
        solid: what is covered, up to its top [Solid].
        top_only: whether the wall stays bare too [bool].
        all_round: whether the underside is covered too [bool].
    Returns:
        the working [cm²].
    Source:
        geometry, exact.
    """
    height = solid.height_mm
    wall = 0.0 if top_only else solid.wall_between(0.0, height)
    under = solid.area_at(0.0) / MM2_PER_CM2 if all_round else 0.0
    surface = solid.area_at(height) / MM2_PER_CM2 + wall + under
    walls = "" if top_only else f" + {solid.wall_text(0.0, height)}"
    walls += f" + {solid.area_text(0.0)}" if all_round else ""
    foot = " + underside" if all_round else "; the underside is bare"
    sides = f"surface = top + {solid.wall_law()}{foot}"
    return Working(
        figure="Exposed surface",
        value=surface,
        unit="cm²",
        given=(
            *solid.measures(),
            Given("edge all round", solid.perimeter_at(height), "mm"),
            Given("height before coating", height, "mm"),
        ),
        law="surface = top" if top_only else sides,
        arithmetic=f"({solid.area_text(height)}{walls}) / 100 = {figure_text(surface)} cm²",
        source=GEOMETRY,
    )
