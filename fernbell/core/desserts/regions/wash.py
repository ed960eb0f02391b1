"""What is brushed on an area: syrup on a sheet or a base, weighed by so many grams on an area."""

from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import Loop
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text


@dataclass(frozen=True, slots=True, kw_only=True)
class Wash(Region):
    """So many grams on 100 cm² of what it soaks; it takes no room of its own.

    It is served by as much as what it soaks is [0 to 1].
    """

    part: str
    name: str
    formula: str
    on_100_cm2_g: float
    area: Working
    served_share: float = 1.0

    layer = None
    goes_by = "by area"
    drawn = SOLID

    @property
    def thick_mm(self) -> float | None:
        """None: it soaks in."""
        return None

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its area, and what it weighs."""
        del near
        area, each = self.area.value, self.on_100_cm2_g
        mass = area / 100 * each
        working = Working(
            figure=f"{name} in one dessert",
            value=mass,
            unit="g",
            given=(Given("area", area, "cm²"), Given("on 100 cm²", each, "g")),
            law="mass = area / 100 cm² × what is brushed on them",
            arithmetic=f"{figure_text(area)} / 100 × {figure_text(each)} = {figure_text(mass)} g",
            source=COMMON_PRACTICE,
            steps=(self.area,),
        )
        return Takes(self.area.figure, self.area, mass=working)

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """By area, from above [1]."""
        return cells.by_plan(near.outer.plan_at(0.0))

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """None: what it soaks is drawn."""
        del near
        return iter(())

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """No further than what it soaks."""
        del near
        return 0.0, 0.0
