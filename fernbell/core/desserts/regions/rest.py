"""What is left to fill, in pours between the solids that stand in it."""

from collections.abc import Iterator
from dataclasses import dataclass
from itertools import chain

import numpy as np

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.masses import mass_of
from fernbell.core.desserts.regions.outlines import around
from fernbell.core.desserts.regions.region import REST, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Solid
from fernbell.core.working import GEOMETRY, Given, Working, figure_text

Taken = tuple[tuple[str, float], ...]
"""Names and volumes of what stands in it, shape (n,) [ml]."""


@dataclass(frozen=True, slots=True, kw_only=True)
class Pour:
    """One pour of the fill, between two heights above the board, in one dessert."""

    name: str
    low_mm: float
    high_mm: float
    volume: Working
    mass: Working | None


@dataclass(frozen=True, slots=True, kw_only=True)
class Rest(Region):
    """Whatever room is left below a level; `stops` are its pours in their order, each by name.

    Baked it sinks by `sunk_mm`, and is drawn so [mm].
    """

    part: str
    name: str
    formula: str
    solid: Solid
    stops: tuple[tuple[str, float, float], ...]
    sunk_mm: float = 0.0

    layer = None
    goes_by = "what is left"
    drawn = REST
    is_of_the_mold = True

    @property
    def level_mm(self) -> float:
        """How high it is filled [mm]."""
        return self.solid.height_mm

    @property
    def baked_mm(self) -> float:
        """How high it stands at last [mm]."""
        return self.level_mm - self.sunk_mm

    @property
    def thick_mm(self) -> float | None:
        """None: it takes what is left."""
        return None

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume: to the level, less what stands in it."""
        taken = tuple(
            (near.name(solid), solid.volume_between(0.0, self.level_mm)) for solid in near.solids
        )
        whole = self.solid.volume_between(0.0, self.level_mm)
        working = Working(
            figure=f"Volume of {name}",
            value=whole - sum(volume for _, volume in taken),
            unit="ml",
            given=(
                Given("filled to", self.level_mm, "mm"),
                Given("volume to there", whole, "ml"),
                *(Given(solid, volume, "ml") for solid, volume in taken),
            ),
            law="what is left = volume to the level − everything that stands in it",
            arithmetic=self._around(0.0, self.level_mm, taken),
            source=GEOMETRY,
        )
        return Takes(working.figure, working, working)

    def pours(self, name: str, near: Surroundings) -> tuple[Pour, ...]:
        """Its pours, each with what it takes."""
        density = near.readings[self.formula].density_working
        made = []
        for own, low, high in self.stops:
            called = f"{own}, {name}"
            volume = self._pour(called, low, high, near)
            mass = mass_of(called, volume, density) if density else None
            made.append(Pour(name=own, low_mm=low, high_mm=high, volume=volume, mass=mass))
        return tuple(made)

    def _pour(self, name: str, low: float, high: float, near: Surroundings) -> Working:
        taken = tuple(
            (near.name(solid), inside)
            for solid in near.solids
            if (inside := solid.volume_between(low, high))
        )
        return Working(
            figure=f"Volume of {name}",
            value=self.solid.volume_between(low, high) - sum(volume for _, volume in taken),
            unit="ml",
            given=(
                Given("from", low, "mm"),
                Given("to", high, "mm"),
                *(Given(solid, volume, "ml") for solid, volume in taken),
            ),
            law=f"one pour = {self.solid.volume_law('its height')} − what stands in it",
            arithmetic=self._around(low, high, taken),
            source=GEOMETRY,
        )

    def _around(self, low: float, high: float, taken: Taken) -> str:
        """Volume between two heights less what stands in it, written out."""
        rest = self.solid.volume_between(low, high) - sum(volume for _, volume in taken)
        less = "".join(f" − {figure_text(volume)}" for _, volume in taken)
        return f"{self.solid.volume_text(low, high)}{less} = {figure_text(rest)} ml"

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """The room to its level, less what each portion has of what stands in it [1]."""
        whole = self.solid.volume_between(0.0, self.level_mm)
        found, left = cells.by_volume(self.solid) * whole, whole
        for solid in near.solids:
            inside = solid.volume_between(0.0, self.level_mm)
            found = found - solid.over(cells, near) * inside
            left -= inside
        return np.asarray(found / left) if left > 0 else cells.evenly()

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """One shape a pour, with holes where solids stand in it."""
        half = self.solid.across_mm / 2
        for _, low, filled in self.stops:
            high = max(low, min(filled, self.baked_mm))
            holes = [one.holes(low, high, half) for one in near.solids]
            if self.solid.is_upright and all(one.is_apart for one in near.solids):
                yield (*self.solid.section(low, high), *chain.from_iterable(holes))
            else:
                yield around(self.solid.section(low, high), holes)

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """From wall to wall, up to its level."""
        del near
        return self.solid.across_mm, self.level_mm
