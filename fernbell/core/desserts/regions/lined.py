"""A thickness on floor and wall: paste in a pan, crumb pressed in, a chocolate shell."""

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from fernbell.core.cutting import RoundBlank
from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.block import solid_volume
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.desserts.regions.outlines import around
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import Loop, Plan, Solid
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text
from fernbell.starter.practice import practice as figure


@dataclass(frozen=True, slots=True)
class Lined(Region):
    """What is between a mold and the room inside the lining, which stands so high in it [mm].

    It ends at a height; above it the mold is bare.
    """

    part: str
    name: str
    formula: str
    thick_mm: float
    high_mm: float
    mold: Solid
    inner: Solid
    stands_mm: float

    layer = None
    goes_by = "by surface"
    drawn = SOLID
    takes_room = True
    is_of_the_mold = True

    @property
    def floor_mm(self) -> float:
        """How high what is put into it stands [mm]."""
        return self.stands_mm

    def plan_at(self, z_mm: float) -> Plan:
        """The wall as it is seen from inside, at a height in the mold [mm]."""
        if z_mm > self.high_mm:
            return self.mold.plan_at(z_mm)
        return self.inner.plan_at(self._in_it(z_mm))

    def _in_it(self, z_mm: float) -> float:
        return min(max(z_mm - self.stands_mm, 0.0), self.inner.height_mm)

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The part of it between two heights [ml]."""
        low, high = (min(z, self.high_mm, self.mold.height_mm) for z in (low_mm, high_mm))
        if high <= low:
            return 0.0
        inside = self.inner.volume_between(self._in_it(low), self._in_it(high))
        return self.mold.volume_between(low, high) - inside

    def amount(self, name: str, near: Surroundings) -> Takes:
        """Its volume: the mold so far up, less the room inside."""
        del near
        whole = self.mold.volume_between(0.0, self.high_mm)
        inside = self.inner.volume_between(0.0, self._in_it(self.high_mm))
        volume = whole - inside
        working = Working(
            figure=f"Volume of {name}",
            value=volume,
            unit="ml",
            given=(
                Given("thickness", self.thick_mm, "mm"),
                Given("up to", self.high_mm, "mm"),
                Given("the mold to there", whole, "ml"),
                Given("the room inside", inside, "ml"),
            ),
            law="volume = the mold up to the lining's edge − the room inside the lining",
            arithmetic=f"{figure_text(whole)} − {figure_text(inside)} = {figure_text(volume)} ml",
            source=GEOMETRY,
        )
        return Takes(working.figure, working, working)

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """The mold less the room inside [1]."""
        del near
        whole = self.mold.volume_between(0.0, self.high_mm)
        inside = self.inner.volume_between(0.0, self._in_it(self.high_mm))
        own = cells.by_volume(self.mold) * whole - cells.by_volume(self.inner) * inside
        return np.asarray(own / (whole - inside))

    def from_sheet(self) -> FromSheet | None:
        """What a round pan is lined with, rolled out; pressed in where it is not round."""
        wide = roll_out(self.mold)
        return FromSheet(RoundBlank(wide.value), 1, self.thick_mm) if wide else None

    def _loops(self) -> tuple[Loop, ...]:
        inner = self.inner.section(0.0, self._in_it(self.high_mm))
        raised = (tuple((x, z + self.stands_mm) for x, z in loop) for loop in inner)
        return around(self.mold.section(0.0, self.high_mm), [raised])

    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Floor and wall, cut."""
        del near
        yield self._loops()

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """All of it: what is filled lies inside."""
        del half_mm
        return self._loops() if min(high_mm, self.high_mm) > low_mm else ()

    def reach(self, near: Surroundings) -> tuple[float, float]:
        """To the wall and its edge."""
        del near
        return self.mold.across_mm, self.high_mm


def roll_out(mold: Solid) -> Working | None:
    """How wide paste is rolled to line a round pan; d + 2 h + overhang.

    Args:
        mold: the pan [Solid].
    Returns:
        the working [mm]; None where it is not round.
    Source:
        common practice.
    """
    if mold.symmetry != "round":
        return None
    across, height, over = mold.across_mm, mold.height_mm, figure("paste overhang")
    wide = across + 2 * height + over
    return Working(
        figure="Rolled out",
        value=wide,
        unit="mm",
        given=(
            Given("pan across", across, "mm"),
            Given("depth", height, "mm"),
            Given("overhang in all", over, "mm"),
        ),
        law="across = the pan + 2 × its depth + what hangs over",
        arithmetic=f"{figure_text(across)} + 2 × {figure_text(height)} + {figure_text(over)} = "
        f"{figure_text(wide)} mm",
        source=COMMON_PRACTICE,
    )


@dataclass(frozen=True, slots=True)
class Hollow(Lined):
    """A shell that bakes hollow: it is piped as one mound, and weighed by all of what it becomes.

    The density of what is baked counts its hollow.
    """

    goes_by = "by volume"

    def amount(self, name: str, near: Surroundings) -> Takes:
        """The whole of it when baked, its hollow too."""
        del near
        mold = self.mold
        working = solid_volume(f"Volume of {name}, baked, with its hollow", mold)
        return Takes(working.figure, working, working)

    def from_sheet(self) -> FromSheet | None:
        """It is piped."""
        return None
