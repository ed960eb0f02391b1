"""What one reading of a formula looks like: a figure beside the window it should lie in."""

from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import CoreError
from fernbell.core.working import Working


class Section(StrEnum):
    """What a reading tells."""

    CONTAINS = "contains"
    DOES = "does"
    COSTS = "costs"


class Verdict(StrEnum):
    """Where a reading lies."""

    BELOW = "below"
    WITHIN = "within"
    ABOVE = "above"


@dataclass(frozen=True, slots=True)
class Window:
    """Where a reading should lie, and why; an end that is None is open."""

    least: float | None
    most: float | None
    why: str
    source: str

    def __post_init__(self) -> None:
        if self.least is None and self.most is None:
            raise CoreError("window", "two open ends", "closed on one side at least")


@dataclass(frozen=True, slots=True)
class Gauge:
    """One reading, its working, where it holds, and its window where its kind has one.

    Without a working it is unknown: `needs` names the ingredients whose make-up or price it
    wants, `overcooked` the formulas that cook off more than they have water, and `refusal` says
    what else stands against it. `other` is the same by another school or unit; `caveat` what
    to bear in mind this time.
    """

    code: str
    name: str
    section: Section
    working: Working | None
    valid: str
    needs: tuple[str, ...] = ()
    overcooked: tuple[str, ...] = ()
    refusal: str = ""
    other: Working | None = None
    window: Window | None = None
    caveat: str = ""
    decimals: int | None = None
    other_says: str = ""
    beside: str | None = None
    headline: bool = False

    @property
    def places(self) -> int:
        """How many decimals it is shown with."""
        if self.decimals is not None:
            return self.decimals
        return 2 if self.working is not None and abs(self.working.value) < 1 else 1

    @property
    def decides(self) -> bool:
        """Whether it has a window, or tells what the formula will do."""
        return self.window is not None or self.section is Section.DOES

    @property
    def fits(self) -> bool:
        """Whether nothing is known to be wrong with it."""
        return self.verdict in (None, Verdict.WITHIN)

    @property
    def verdict(self) -> Verdict | None:
        """Where it lies; None without a figure or without a window."""
        if self.working is None or self.window is None:
            return None
        value, least, most = self.working.value, self.window.least, self.window.most
        if least is not None and value < least:
            return Verdict.BELOW
        if most is not None and value > most:
            return Verdict.ABOVE
        return Verdict.WITHIN
