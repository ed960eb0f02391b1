"""A thickness on floor and wall: paste in a pan, crumb pressed in, a chocolate shell."""

import math
from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from fernbell.core.cutting import RoundBlank
from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.regions.block import solid_volume
from fernbell.core.desserts.regions.flat import ROLLED, FromSheet
from fernbell.core.desserts.regions.outlines import around
from fernbell.core.desserts.regions.region import SOLID, Region, Surroundings, Takes
from fernbell.core.molds import MM3_PER_ML, Loop, Plan, Puff, Solid
from fernbell.core.working import (
    COMMON_PRACTICE,
    GEOMETRY,
    MASS_BALANCE,
    Given,
    Working,
    figure_text,
)
from fernbell.starter.practice import practice as figure


@dataclass(frozen=True, slots=True, kw_only=True)
class Lined(Region):
    """What is between a mold and the room inside the lining, which stands so high in it [mm].

    It ends at a height; above it the mold is bare. Built `upright` it may be rolled and laid in.
    """

    part: str
    name: str
    formula: str
    thick_mm: float
    high_mm: float
    mold: Solid
    inner: Solid
    stands_mm: float
    upright: bool = False

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
        wide = roll_out(self.mold, self.high_mm)
        return FromSheet(RoundBlank(wide.value), 1, self.thick_mm, lines=True) if wide else None

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


def is_rolled(lined: Lined, kind: str) -> bool:
    """Whether a lining is rolled out and laid in.

    Args:
        lined: the lining [Lined].
        kind: of the formula it is made of [text].
    Returns:
        whether it is paste, in a pan that stands upright [bool].
    Source:
        common practice.
    """
    return lined.upright and kind == ROLLED


def roll_out(mold: Solid, high_mm: float) -> Working | None:
    """How wide paste is rolled to line a round pan; d + 2 h + overhang.

    Args:
        mold: the pan [Solid].
        high_mm: where the lining ends [mm].
    Returns:
        the working [mm]; None where it is not round.
    Source:
        common practice.
    """
    if mold.symmetry != "round":
        return None
    across, height, over = mold.plan_at(high_mm).length_mm, high_mm, figure("paste overhang")
    wide = across + 2 * height + over
    return Working(
        figure="Rolled out",
        value=wide,
        unit="mm",
        given=(
            Given("pan across, where the lining ends", across, "mm"),
            Given("lined up to", height, "mm"),
            Given("overhang in all", over, "mm"),
        ),
        law="across = the pan + 2 × how high it is lined + what hangs over",
        arithmetic=f"{figure_text(across)} + 2 × {figure_text(height)} + {figure_text(over)} = "
        f"{figure_text(wide)} mm",
        source=COMMON_PRACTICE,
    )


def circles_to_make(name: str, one: Working, count: int, circle: Working, lined: Lined) -> Working:
    """What is made of a paste so that every pan gets its circle.

    What is trimmed off the pans is rolled out once more: k circles and ⌊k (1 − s)⌋ of their trim
    line n pans, where s is how much of a circle stays in its pan.

    Args:
        name: of the paste [text].
        one: what lines one pan [g].
        count: n, how many pans [1].
        circle: how wide it is rolled [mm].
        lined: the lining [Lined].
    Returns:
        the working of what is made [g].
    Source:
        common practice: trim is rolled out once more, not twice.
    """
    volume = lined.volume_between(0.0, lined.high_mm)
    whole_ml = math.pi / 4 * circle.value**2 * lined.thick_mm / MM3_PER_ML
    # A circle narrower than what it lines cannot be; a thick wall is pressed up.
    share = min(1.0, volume / whole_ml)
    fewest = math.ceil(count / (2 - share))
    first = next(k for k in range(fewest, count + 1) if k + math.floor(k * (1 - share)) >= count)
    value = first * one.value / share
    again = count - first
    return Working(
        figure=f"{name} to make",
        value=value,
        unit="g",
        given=(
            Given("lines one pan", one.value, "g"),
            Given("of its circle", 100 * share, "%"),
            Given("circles rolled first", first, ""),
            Given("circles of their trim", again, ""),
        ),
        law="to make = circles rolled first × what a circle weighs; their trim is rolled once more",
        arithmetic=f"{first} × {figure_text(one.value)} / {figure_text(share)} = "
        f"{figure_text(value)} g",
        source=COMMON_PRACTICE,
        steps=(one, circle),
    )


def _piped(name: str, mound: Puff) -> Working:
    across, high, value = mound.piped_mm, mound.piped_height_mm, mound.piped_ml
    return Working(
        figure=f"{name}, piped",
        value=value,
        unit="ml",
        given=(Given("piped across", across, "mm"), Given("piped high", high, "mm")),
        law="volume = π/6 × across² × high: half an ellipsoid",
        arithmetic=f"π/6 × {figure_text(across)}² × {figure_text(high)} / 1 000 = "
        f"{figure_text(value)} ml",
        source=f"{COMMON_PRACTICE}; the shape is a model",
    )


def _baked_mass(name: str, piped: Working, raw_g_ml: float, lost_percent: float) -> Working:
    kept = 1 - lost_percent / 100
    value = piped.value * raw_g_ml * kept
    return Working(
        figure=f"{name} in one dessert",
        value=value,
        unit="g",
        given=(
            Given("piped", piped.value, "ml"),
            Given("density, raw", raw_g_ml, "g/ml"),
            Given("lost in the oven", lost_percent, "%"),
        ),
        law="mass = what is piped × its raw density × (1 − what the oven takes)",
        arithmetic=f"{figure_text(piped.value)} × {figure_text(raw_g_ml)} × {figure_text(kept)} = "
        f"{figure_text(value)} g",
        source=MASS_BALANCE,
        steps=(piped,),
    )


@dataclass(frozen=True, slots=True, kw_only=True)
class Hollow(Lined):
    """A shell that bakes hollow: it is piped as one mound and weighed by that.

    In any other mold it is weighed by all of what it becomes; the density of what is baked counts
    its hollow.
    """

    goes_by = "by volume"

    def amount(self, name: str, near: Surroundings) -> Takes:
        """The mound as it is piped, less what the oven takes; baked, its hollow too."""
        baked = solid_volume(f"Volume of {name}, baked, with its hollow", self.mold)
        reading = near.readings[self.formula]
        if not isinstance(self.mold, Puff) or reading.raw_g_ml is None:
            return Takes(baked.figure, baked, baked)
        piped = _piped(name, self.mold)
        lost = reading.formula.losses.cooking_percent
        return Takes(piped.figure, piped, baked, _baked_mass(name, piped, reading.raw_g_ml, lost))

    def from_sheet(self) -> FromSheet | None:
        """It is piped."""
        return None
