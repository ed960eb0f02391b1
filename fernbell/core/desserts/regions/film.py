"""A thickness on the exposed surface: glaze, spray, anything that coats."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.outlines import skin
from fernbell.core.desserts.regions.region import COAT, Region, Surroundings, Takes
from fernbell.core.molds import MM2_PER_CM2, Coating, Loop, Solid, box, coating_of
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

STEINER = GEOMETRY + "; bodies at a distance, Steiner 1840: exact for a ball and a cylinder"


@dataclass(frozen=True, slots=True, kw_only=True)
class Film(Region):
    """A film over a solid, or on its top only; others under it stand out and stand over [mm].

    It goes `all_round` what is dipped; `under_it` it is also where a log is coated on its side.
    """

    part: str
    name: str
    formula: str
    thick_mm: float
    top_only: bool
    out_mm: float
    over_mm: float
    all_round: bool = False
    under_it: bool = False

    layer = None
    goes_by = "by surface"
    drawn = COAT

    @property
    def side_mm(self) -> float:
        """How far it moves the wall outwards [mm]."""
        return 0.0 if self.top_only else self.thick_mm

    @property
    def raises_mm(self) -> float:
        """By what of it is under the dessert."""
        return self.thick_mm if self.under_it else 0.0

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its surface, and the volume of the film."""
        if self.top_only:
            surface = _top(near.outer, self.out_mm)
            return Takes(surface.figure, surface, self._on_top(name, surface))
        bare = exposed_surface(near.outer, top_only=False, all_round=self.all_round)
        surface = self._coated(bare, near) if self.out_mm else bare
        return Takes(surface.figure, surface, self._around(name, surface, near))

    def _coating(self, near: Surroundings) -> Coating:
        return coating_of(near.outer, all_round=self.all_round)

    def _coated(self, bare: Working, near: Surroundings) -> Working:
        """The surface of what is coated already."""
        terms, under = self._coating(near), self.out_mm
        surface = terms.over(under).surface_mm2 / MM2_PER_CM2
        bend, corner = figure_text(2 * terms.bend_mm), figure_text(3 * terms.corner)
        return Working(
            figure="Coated surface",
            value=surface,
            unit="cm²",
            given=(Given("bare surface", bare.value, "cm²"), Given("under it", under, "mm")),
            law="coated surface = bare surface + what its edges and curves add",
            arithmetic=f"{figure_text(bare.value)} + ({bend} × {figure_text(under)} + "
            f"{corner} × {figure_text(under)}²) / 100 = {figure_text(surface)} cm²",
            source=STEINER,
            steps=(bare,),
        )

    def _on_top(self, name: str, surface: Working) -> Working:
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
            source=GEOMETRY,
            steps=(surface,),
        )

    def _around(self, name: str, surface: Working, near: Surroundings) -> Working:
        terms, thick = self._coating(near).over(self.out_mm), figure_text(self.thick_mm)
        volume = terms.volume_ml(self.thick_mm)
        cubed = f" + {figure_text(terms.corner)} × {thick}³" if terms.corner else ""
        return Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("surface", surface.value, "cm²"),
                Given("thickness", self.thick_mm, "mm"),
                Given("its edges and curves", terms.bend_mm, "mm"),
            ),
            law="volume = surface × thickness + edges and curves × thickness² + corners × "
            "thickness³",
            arithmetic=f"({figure_text(100 * surface.value)} × {thick} + "
            f"{figure_text(terms.bend_mm)} × {thick}²{cubed}) / 1 000 = {figure_text(volume)} ml",
            source=STEINER,
            steps=(surface,),
        )

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By what each portion has of the surface [1]."""
        return cells.by_surface(near.outer, top_only=self.top_only)

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """A strip on top, or over top and sides."""
        outer, top = near.outer, near.outer.height_mm + self.over_mm
        # Of an empty mold there is a floor, and nothing that has sides.
        if not self.top_only and outer.height_mm > 0:
            yield skin(outer, self.out_mm, self.thick_mm, on_board=not self.under_it)
            return
        half = outer.plan_at(outer.height_mm).length_mm / 2 + self.out_mm
        hole = outer.plan_at(outer.height_mm).hole()
        inner = max((x for x, _ in hole), default=0.0) if hole else 0.0
        high = top + self.thick_mm
        if inner:
            yield box(-half, -inner, top, high), box(inner, half, top, high)
        else:
            yield (box(-half, half, top, high),)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To its outside."""
        wide = near.outer.across_mm + 2 * (self.out_mm + self.side_mm)
        return wide, near.outer.height_mm + self.over_mm + self.thick_mm


def _top(solid: Solid, out_mm: float) -> Working:
    """The top of what is coated so thick at its sides already."""
    if not out_mm:
        return exposed_surface(solid, top_only=True)
    area = solid.plan_at(solid.height_mm).grown(out_mm).area_mm2 / MM2_PER_CM2
    return Working(
        figure="Coated top",
        value=area,
        unit="cm²",
        given=(*solid.measures(), Given("coated at its sides", out_mm, "mm")),
        law="area of its upper side with what coats the sides",
        arithmetic=f"{figure_text(area)} cm², from its outline so much wider",
        source=GEOMETRY,
    )


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
