"""A quarter of an ellipse, stretched from a circle: the wall of an egg's half.

x = a sqrt(1 - u²), u the distance from its middle over b; a is across, b upwards.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace

from scipy.special import ellipeinc

from fernbell.core.molds.plan import Point
from fernbell.core.working import figure_text


@dataclass(frozen=True, slots=True)
class Oval:
    """A piece of wall on an ellipse about the axis, from one height up to another; all in [mm]."""

    center_z: float
    across: float
    upwards: float
    z0: float
    z1: float

    def _u(self, z: float) -> float:
        return max(-1.0, min(1.0, (z - self.center_z) / self.upwards))

    def x_at(self, z: float) -> float:
        """Half the width at a height."""
        return self.across * math.sqrt(1 - self._u(z) ** 2)

    def area(self, low: float, high: float) -> float:
        """∫ x dz: the circle's segment, stretched."""

        def inner(u: float) -> float:
            return (u * math.sqrt(1 - u * u) + math.asin(u)) / 2

        return self.across * self.upwards * (inner(self._u(high)) - inner(self._u(low)))

    def square(self, low: float, high: float) -> float:
        """∫ x² dz = a² b (u - u³ / 3)."""
        u0, u1 = self._u(low), self._u(high)
        return self.across**2 * self.upwards * (u1 - u0 - (u1**3 - u0**3) / 3)

    def length(self, low: float, high: float) -> float:
        """∫ ds: an elliptic integral of the second kind."""
        # On the ellipse x = a cos t, z = b sin t: ds² = (b² + (a² - b²) sin² t) dt².
        flat = 1 - (self.across / self.upwards) ** 2
        first, last = (math.asin(self._u(z)) for z in (low, high))
        return float(self.upwards * (ellipeinc(last, flat) - ellipeinc(first, flat)))

    def turned(self, low: float, high: float) -> float:
        """∫ x ds = a b ∫ sqrt(1 + k u²) du, k = a² / b² - 1."""
        k = (self.across / self.upwards) ** 2 - 1

        def inner(u: float) -> float:
            root = math.sqrt(1 + k * u * u)
            if abs(k) < 1e-9:
                return u
            if k > 0:
                return (u * root + math.asinh(math.sqrt(k) * u) / math.sqrt(k)) / 2
            return (u * root + math.asin(math.sqrt(-k) * u) / math.sqrt(-k)) / 2

        return self.across * self.upwards * (inner(self._u(high)) - inner(self._u(low)))

    def points(self, low: float, high: float, steps: int) -> Iterator[Point]:
        """Where it is drawn through, after its lower end."""
        first, last = math.asin(self._u(low)), math.asin(self._u(high))
        for step in range(1, steps):
            angle = first + (last - first) * step / steps
            yield self.across * math.cos(angle), self.center_z + self.upwards * math.sin(angle)
        yield self.x_at(high), high

    def up_to(self, high: float) -> "Oval":
        """The same, cut off at a height."""
        return replace(self, z1=high)

    def area_text(self, low: float, high: float) -> str:
        """∫ x dz, its result."""
        return figure_text(self.area(low, high))

    def square_text(self, low: float, high: float) -> str:
        """∫ x² dz written out."""
        u0, u1 = figure_text(self._u(low)), figure_text(self._u(high))
        whole = f"{figure_text(self.across)}² × {figure_text(self.upwards)}"
        return f"{whole} × (({u1} − {u0}) − (({u1})³ − ({u0})³) / 3)"

    def turned_text(self, low: float, high: float) -> str:
        """∫ x ds, its result."""
        return figure_text(self.turned(low, high))
