"""A plan as it is drawn: lanes of people and equipment, bars of work, stays in between."""

from dataclasses import dataclass

from fernbell.core.planning.timeline.edits import Mark
from fernbell.core.planning.timeline.work import Climate, Sort
from fernbell.core.working import Working


@dataclass(frozen=True, slots=True)
class Lane:
    """Somebody, or something that takes so much at once; `tracks` lie side by side in it."""

    key: str
    title: str
    says: str
    kind: str
    tracks: int = 1


@dataclass(frozen=True, slots=True)
class WorkBar:
    """Work in a lane [min]; `track` where it lies beside others.

    Of one task there is a bar for whoever does it, and one for each station it holds.
    """

    task: str
    lane: str
    track: int
    since_min: int
    until_min: int
    title: str
    says: str
    hours: str
    sort: Sort
    formula: str
    line: str
    heat_c: int | None = None
    amount: int = 1
    latest: str = ""
    held: bool = False
    mark: Mark | None = None
    steps: tuple[str, ...] = ()
    why: Working | None = None


@dataclass(frozen=True, slots=True)
class Stay:
    """Something that stands somewhere between two tasks [min]."""

    key: str
    lane: str
    track: int
    since_min: int
    until_min: int
    title: str
    says: str
    hours: str
    climate: Climate
    amount: int
    formula: str
    task: str


@dataclass(frozen=True, slots=True)
class Elsewhere:
    """What another order has of a lane [min]; it is moved on that order's own board."""

    lane: str
    track: int
    since_min: int
    until_min: int
    title: str
    order: str
    hours: str


@dataclass(frozen=True, slots=True)
class Stretch:
    """A piece of the time of a board [min]; a night nobody is in is folded, and says what waits."""

    since_min: int
    until_min: int
    folded: bool
    says: str = ""


@dataclass(frozen=True, slots=True)
class Tick:
    """An hour on the wall, where it lies [min]; `day` where a day begins on the board."""

    at_min: int
    says: str
    day: str = ""


@dataclass(frozen=True, slots=True)
class Pull:
    """What is taken out of a store, when and for what."""

    at_min: int
    hour: str
    title: str
    out_of: str
    says: str


@dataclass(frozen=True, slots=True)
class Served:
    """A service on the floor of the board [min]."""

    at_min: int
    title: str
    hour: str


@dataclass(frozen=True, slots=True)
class Tight:
    """What has little room left in a plan, and what would give it some."""

    says: str
    remedy: str


@dataclass(frozen=True)
class Board:
    """A plan, drawn."""

    stretches: tuple[Stretch, ...]
    ticks: tuple[Tick, ...]
    lanes: tuple[Lane, ...]
    bars: tuple[WorkBar, ...]
    stays: tuple[Stay, ...]
    others: tuple[Elsewhere, ...]
    services: tuple[Served, ...]
    pulls: tuple[Pull, ...]
    first: str
    hands: str
    hands_why: Working
    last_hour: str
    tight: tuple[Tight, ...]
