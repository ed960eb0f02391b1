"""What every region answers: everything that is measured, drawn, built or said goes over these."""

from abc import ABC, abstractmethod
from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace
from typing import TYPE_CHECKING, ClassVar

from fernbell.core.desserts.cells import Cells, Shares
from fernbell.core.desserts.division import Division
from fernbell.core.desserts.regions.flat import FromSheet
from fernbell.core.formulas import FormulaReading
from fernbell.core.molds import Loop, Solid
from fernbell.core.working import Working

if TYPE_CHECKING:
    from fernbell.core.desserts.regions.rest import Pour

ShapeKey = tuple[str, str | None, int]
"""Part, layer, and the number of the shape among those of its region."""


@dataclass(frozen=True, slots=True)
class DrawnLayer:
    """A layer of the drawing: whether it stands in the mold, and whether its pieces overlap."""

    name: str
    in_mold: bool
    overlaps: bool = False


REST, SOLID = DrawnLayer(name="rest", in_mold=True), DrawnLayer(name="solid", in_mold=True)
COAT, BAND = DrawnLayer(name="coat", in_mold=False), DrawnLayer(name="band", in_mold=False)
GARNISH = DrawnLayer(name="garnish", in_mold=False, overlaps=True)
UNDER, HELD = DrawnLayer(name="under", in_mold=False), DrawnLayer(name="held", in_mold=False)
DRAWN = (REST, SOLID, COAT, UNDER, BAND, HELD, GARNISH)
"""Layers of the drawing from the back to the front."""


@dataclass(frozen=True, slots=True)
class Shape:
    """Outline of one region, or of one pour of it [mm]; `drawn` is its layer of the drawing."""

    part: str
    layer: str | None
    number: int
    drawn: str
    formula: str
    loops: tuple[Loop, ...]

    @property
    def key(self) -> ShapeKey:
        """By which a stage names it."""
        return self.part, self.layer, self.number

    def moved(self, right_mm: float, up_mm: float) -> "Shape":
        """The same elsewhere [mm]."""
        if not (right_mm or up_mm):
            return self
        return replace(self, loops=tuple(shifted(loop, right_mm, up_mm) for loop in self.loops))


def shifted(loop: Loop, right_mm: float, up_mm: float) -> Loop:
    """An outline elsewhere.

    Args:
        loop: a closed polygon, shape (n, 2) [mm].
        right_mm: how far to the right [mm].
        up_mm: how far up [mm].
    Returns:
        the polygon there [mm].
    Source:
        definition.
    """
    if not (right_mm or up_mm):
        return loop
    return tuple((x + right_mm, z + up_mm) for x, z in loop)


@dataclass(frozen=True, slots=True)
class Surroundings:
    """What a region has to know beside itself to be measured and drawn.

    `solids` take room; `outer` is the dessert before it is coated; `division` is None until it is
    divided.
    """

    readings: Mapping[str, FormulaReading]
    solids: tuple["Region", ...]
    outer: Solid
    division: Division | None = None

    def name(self, region: "Region") -> str:
        """A region's own name, or that of its formula."""
        return region.name or self.readings[region.formula].formula.name

    def density_g_ml(self, region: "Region") -> float | None:
        """The density of its formula [g/ml]; None where unknown, as in a picture of a kind."""
        reading = self.readings.get(region.formula)
        return reading.density_g_ml if reading else None


@dataclass(frozen=True, slots=True)
class Takes:
    """How much a region takes in one dessert.

    `measure` is what it goes by, called `what`; by `volume` grams follow from density, and `mass`
    is there where it is weighed without one.
    """

    what: str
    measure: Working
    volume: Working | None = None
    mass: Working | None = None


class Region(ABC):
    """One formula's room in one dessert."""

    __slots__ = ()

    goes_by: ClassVar[str]
    """What it is scaled by, in words: 'by volume'."""
    drawn: ClassVar[DrawnLayer]
    takes_room: ClassVar[bool] = False
    """Whether what is filled in later goes around it."""
    is_of_the_mold: ClassVar[bool] = False
    """Whether it is measured by the room of the mold."""
    by_portion: ClassVar[bool] = False
    """Whether it is known only when the dessert is divided."""

    if TYPE_CHECKING:

        @property
        @abstractmethod
        def part(self) -> str:
            """Key of its part."""

        @property
        @abstractmethod
        def layer(self) -> str | None:
            """Key of its layer, where its part has several."""

        @property
        @abstractmethod
        def name(self) -> str:
            """Its own name; empty where it is called like its formula."""

        @property
        @abstractmethod
        def formula(self) -> str:
            """Key of what it is made of."""

        @property
        @abstractmethod
        def thick_mm(self) -> float | None:
            """How thick it is made; None where it has no thickness of its own [mm]."""

    @abstractmethod
    def amount(self, name: str, near: Surroundings) -> Takes:
        """How much it takes, with the working."""

    @abstractmethod
    def outlines(self, near: Surroundings) -> Iterator[tuple[Loop, ...]]:
        """Its outlines in the section, one a shape [mm]."""

    @abstractmethod
    def reach(self, near: Surroundings) -> tuple[float, float]:
        """How wide and how high a drawing has to be for it [mm]."""

    @property
    def is_apart(self) -> bool:
        """Whether the hole it leaves touches no other and no wall by its making."""
        return False

    @property
    def across_mm(self) -> float | None:
        """How wide it is made; None where it has no width of its own [mm]."""
        return None

    @property
    def floor_mm(self) -> float:
        """How high the next one stands that is put on the board [mm]."""
        return 0.0

    @property
    def raises_mm(self) -> float:
        """How much higher everything else stands by it [mm]."""
        return 0.0

    @property
    def served_share(self) -> float:
        """How much of it comes to the table; the rest is trimmed off [0 to 1]."""
        return 1.0

    @property
    def stands(self) -> Solid | None:
        """What the dessert becomes by it, where it is not as its mold is."""
        return None

    def volume_between(self, low_mm: float, high_mm: float) -> float:
        """Room it takes inside, between two heights above the board [ml]."""
        del low_mm, high_mm
        return 0.0

    def holes(self, low_mm: float, high_mm: float, half_mm: float) -> tuple[Loop, ...]:
        """What it leaves out of a filling of a section, between two heights [mm]."""
        del low_mm, high_mm, half_mm
        return ()

    def pours(self, name: str, near: Surroundings) -> tuple["Pour", ...]:
        """Its pours, where it is poured in turns."""
        del name, near
        return ()

    def over(self, cells: Cells, near: Surroundings) -> Shares:
        """What each portion has of it; unless it is known better, as of the whole dessert [1]."""
        return cells.by_volume(near.outer)

    def from_sheet(self) -> FromSheet | None:
        """What of it is cut from a sheet; None where it is poured, piped or set on."""
        return None

    def hidden_edge(self) -> Loop | None:
        """Its edge from above, where it is drawn though something covers it [mm]."""
        return None

    def on_top(self, near: Surroundings) -> tuple[Loop, ...]:
        """What is seen of it lying on top, from above [mm]."""
        del near
        return ()

    def shapes(self, near: Surroundings) -> Iterator[Shape]:
        """Its shapes in the section, from the board up or from the back."""
        for number, loops in enumerate(self.outlines(near)):
            yield Shape(self.part, self.layer, number, self.drawn.name, self.formula, loops)
