"""A solid between two of its heights: one layer of what is frozen in a mold."""

from dataclasses import dataclass

from fernbell.core.errors import OutOfRange
from fernbell.core.molds.plan import Loop, Plan
from fernbell.core.molds.solid import Solid, Symmetry
from fernbell.core.working import Given, figure_text


@dataclass(frozen=True, slots=True)
class Between(Solid):
    """Part of another solid; heights are told from the lower of the two [mm]."""

    solid: Solid
    low_mm: float
    high_mm: float

    def __post_init__(self) -> None:
        whole = self.solid.height_mm
        if self.high_mm > whole + 1e-9:
            allowed = f"at most {figure_text(whole)} in all: so high is its shape at that width"
            raise OutOfRange("height_mm", self.high_mm, allowed)

    @property
    def height_mm(self) -> float:
        """From one to the other."""
        return self.high_mm - self.low_mm

    @property
    def symmetry(self) -> Symmetry:
        """That of the whole."""
        return self.solid.symmetry

    @property
    def seen_at_mm(self) -> float:
        """Its lower end or its upper one, where it is wider."""
        return max((0.0, self.height_mm), key=lambda z: self.plan_at(z).length_mm)

    def _in_it(self, z_mm: float) -> float:
        self._inside(0.0, z_mm)
        return min(z_mm + self.low_mm, self.solid.height_mm)

    def _ends(self, low_mm: float, high_mm: float) -> tuple[float, float]:
        return self._in_it(low_mm), self._in_it(high_mm)

    def area_at(self, z_mm: float) -> float:
        """The whole's, there."""
        return self.solid.area_at(self._in_it(z_mm))

    def perimeter_at(self, z_mm: float) -> float:
        """The whole's, there."""
        return self.solid.perimeter_at(self._in_it(z_mm))

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The whole's, there."""
        return self.solid.volume_between(*self._ends(low_mm, high_mm))

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """The whole's, there."""
        return self.solid.wall_between(*self._ends(low_mm, high_mm))

    def plan_at(self, z_mm: float) -> Plan:
        """The whole's, there."""
        return self.solid.plan_at(self._in_it(z_mm))

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """The whole's, lowered."""
        loops = self.solid.section(*self._ends(low_mm, high_mm))
        return tuple(tuple((x, z - self.low_mm) for x, z in loop) for loop in loops)

    def to_height(self, height_mm: float) -> "Between":
        """From the same height up; above the whole as its walls go on."""
        high = self.low_mm + height_mm
        whole = self.solid if high <= self.solid.height_mm else self.solid.to_height(high)
        return Between(whole, self.low_mm, high)

    def inset(self, by_mm: float) -> "Between":
        """As far inside the whole's wall, its own floor so thick."""
        return Between(self.solid.inset(by_mm), self.low_mm, self.high_mm - by_mm)

    def stretched(self, share: float) -> "Between":
        """The whole stretched."""
        return Between(self.solid.stretched(share), self.low_mm, self.high_mm)

    def size_words(self) -> str:
        """The whole's."""
        return self.solid.size_words()

    def words_in_full(self) -> str:
        """The whole's, and from where to where."""
        low, high = figure_text(self.low_mm), figure_text(self.high_mm)
        return f"{self.solid.words_in_full()}, from {low} to {high} mm"

    def measures(self) -> tuple[Given, ...]:
        """The whole's, and from where to where."""
        ends = (Given("from", self.low_mm, "mm"), Given("to", self.high_mm, "mm"))
        return (*self.solid.measures(), *ends)

    def volume_law(self, height: str) -> str:
        """The whole's."""
        return self.solid.volume_law(height)

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """The whole's, there."""
        return self.solid.volume_text(*self._ends(low_mm, high_mm))

    def area_text(self, z_mm: float) -> str:
        """The whole's, there."""
        return self.solid.area_text(self._in_it(z_mm))

    def wall_law(self) -> str:
        """The whole's."""
        return self.solid.wall_law()

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """The whole's, there."""
        return self.solid.wall_text(*self._ends(low_mm, high_mm))

    def edge_text(self) -> str:
        """Its edge as it is."""
        return figure_text(self.perimeter_at(self.seen_at_mm))
