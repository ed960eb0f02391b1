"""A solid turned over: what comes out of a mold stands on its rim, the mold's floor on top."""

from dataclasses import dataclass

from fernbell.core.molds.plan import Loop, Plan
from fernbell.core.molds.solid import Solid, Symmetry
from fernbell.core.working import Given


@dataclass(frozen=True, slots=True)
class TurnedOver(Solid):
    """Heights are from the rim, on which it stands, up to the mold's floor [mm]."""

    mold: Solid

    @property
    def height_mm(self) -> float:
        """That of the mold."""
        return self.mold.height_mm

    @property
    def symmetry(self) -> Symmetry:
        """That of the mold."""
        return self.mold.symmetry

    @property
    def seen_at_mm(self) -> float:
        """Where the mold's is."""
        return self.height_mm - self.mold.seen_at_mm

    def _in_mold(self, low_mm: float, high_mm: float) -> tuple[float, float]:
        self._inside(low_mm, high_mm)
        top = self.height_mm
        return max(0.0, top - high_mm), min(top, top - low_mm)

    def area_at(self, z_mm: float) -> float:
        """The mold's, from its rim down."""
        return self.mold.area_at(self._in_mold(z_mm, z_mm)[0])

    def perimeter_at(self, z_mm: float) -> float:
        """The mold's, from its rim down."""
        return self.mold.perimeter_at(self._in_mold(z_mm, z_mm)[0])

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """The mold's, from its rim down."""
        return self.mold.volume_between(*self._in_mold(low_mm, high_mm))

    def wall_between(self, low_mm: float, high_mm: float) -> float:
        """The mold's, from its rim down."""
        return self.mold.wall_between(*self._in_mold(low_mm, high_mm))

    def plan_at(self, z_mm: float) -> Plan:
        """The mold's, from its rim down."""
        return self.mold.plan_at(self._in_mold(z_mm, z_mm)[0])

    def section(self, low_mm: float, high_mm: float) -> tuple[Loop, ...]:
        """The mold's, mirrored."""
        top = self.height_mm
        loops = self.mold.section(*self._in_mold(low_mm, high_mm))
        return tuple(tuple((x, top - z) for x, z in reversed(loop)) for loop in loops)

    def to_height(self, height_mm: float) -> "TurnedOver":
        """Out of the mold filled so high."""
        return TurnedOver(self.mold.to_height(height_mm))

    def inset(self, by_mm: float) -> "TurnedOver":
        """Inside a shell on the mold's wall and floor."""
        return TurnedOver(self.mold.inset(by_mm))

    def stretched(self, share: float) -> "TurnedOver":
        """The mold stretched."""
        return TurnedOver(self.mold.stretched(share))

    def size_words(self) -> str:
        """The mold's."""
        return self.mold.size_words()

    def words_in_full(self) -> str:
        """The mold's."""
        return self.mold.words_in_full()

    def measures(self) -> tuple[Given, ...]:
        """The mold's."""
        return self.mold.measures()

    def volume_law(self, height: str) -> str:
        """The mold's."""
        return self.mold.volume_law(height)

    def volume_text(self, low_mm: float, high_mm: float) -> str:
        """The mold's, from its rim down."""
        return self.mold.volume_text(*self._in_mold(low_mm, high_mm))

    def area_text(self, z_mm: float) -> str:
        """The mold's, from its rim down."""
        return self.mold.area_text(self._in_mold(z_mm, z_mm)[0])

    def wall_law(self) -> str:
        """The mold's."""
        return self.mold.wall_law()

    def wall_text(self, low_mm: float, high_mm: float) -> str:
        """The mold's, from its rim down."""
        return self.mold.wall_text(*self._in_mold(low_mm, high_mm))

    def edge_text(self) -> str:
        """The mold's."""
        return self.mold.edge_text()


def turned_over(mold: Solid) -> Solid:
    """What stands on a mold's rim; what has upright walls is the same either way up.

    Args:
        mold: the mold [Solid].
    Returns:
        the solid on its rim [mm].
    Source:
        geometry.
    """
    return mold if mold.is_upright else TurnedOver(mold)
