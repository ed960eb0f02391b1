"""What a chef asks: desserts in sizes, services in waves, and the kitchen that makes them."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass, field

from fernbell.core.errors import CoreError
from fernbell.core.formulas import Book, Step
from fernbell.core.planning.equipment import Vessel
from fernbell.core.planning.order import Ordered
from fernbell.core.planning.timeline.work import Aims, Person


@dataclass(frozen=True, slots=True)
class AskedLine:
    """So many of a dessert, and in which molds: how many there are, None where there are enough.

    Of several services it is for one, or for all where none is named. `title` is what its tasks
    are called by, where that is not the name of what is ordered.
    """

    key: str
    ordered: Ordered
    mold: str
    cavities: int = 1
    owned: int | None = None
    service: str = ""
    title: str = ""


@dataclass(frozen=True, slots=True)
class Wave:
    """When so large a share of everything is served [min, 1], and on which day that is."""

    at_min: int
    share: float
    day: int = 0
    title: str = "Service"
    service: str = ""


@dataclass(frozen=True)
class Commission:
    """An order with its services, and the kitchen as it is on those days.

    `out` names stations that are not there; `together` says that waves are finished at once where
    what is cut keeps so long.

    Raises:
        CoreError: no service, or nobody who works.
    """

    lines: Sequence[AskedLine]
    waves: Sequence[Wave]
    book: Book
    people: Sequence[Person]
    vessels: Sequence[Vessel] = ()
    methods: Mapping[str, Sequence[Step]] = field(default_factory=dict)
    jobs: Mapping[str, str] = field(default_factory=dict)
    sets_min: Mapping[str, float] = field(default_factory=dict)
    aims: Aims = field(default_factory=Aims)
    opens_min: int = 0
    out: frozenset[str] = frozenset()
    together: bool = False

    def __post_init__(self) -> None:
        if not self.waves:
            raise CoreError("services", "none", "one at least: when is it served?")
        if not any(one.shifts for one in self.people):
            raise CoreError("people", "nobody", "one at least who is in before the service")
        if self.waves[-1].at_min <= self.opens_min:
            raise CoreError("services", "over", "later than now")
