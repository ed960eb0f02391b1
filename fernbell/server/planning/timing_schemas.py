"""What goes over the wire for when an order is served, by whom it is made, and its timeline."""

from datetime import datetime
from typing import Annotated, Any, Literal, Self
from uuid import UUID

from ninja import Schema
from pydantic import AwareDatetime, Field, NaiveDatetime, StringConstraints, model_validator

from fernbell.core.errors import OutOfRange
from fernbell.core.planning.timeline import USUAL_AIMS, Aim, Board, Clash, Happened, Mark
from fernbell.server.rows.schemas import Entry, Key, Name, RowOut

WallHour = Annotated[str, StringConstraints(pattern=r"^([01]\d|2[0-3]):[0-5]\d$")]
MOST_SERVICES = 12
Borrowed = Literal["stove", "oven", "mixer", "blast", "freezer", "fridge", "molds", "hands"]


class HandIn(Entry):
    """Somebody who works: what they are trusted with, when they are in, on which days of the week.

    Hours are by the wall; who leaves before they come stays past midnight. Monday is 0.
    """

    name: Name
    skill: Literal[1, 2, 3] = 2
    comes: WallHour = "08:00"
    leaves: WallHour = "17:00"
    weekdays: list[Annotated[int, Field(ge=0, le=6)]] = Field(
        default=[0, 1, 2, 3, 4, 5, 6], max_length=7
    )

    @model_validator(mode="after")
    def in_for_a_while(self) -> Self:
        """Refuse hours of no length."""
        if self.comes == self.leaves:
            raise OutOfRange("leaves", self.leaves, f"another hour than {self.comes}")
        return self


class HandOut(RowOut):
    """Somebody who works."""

    skill: int
    comes: str
    leaves: str
    weekdays: list[int]


class ServiceIn(Entry):
    """When it is served by the wall of the kitchen: in so many waves, so many minutes apart."""

    key: Key
    title: Name = "Service"
    at: NaiveDatetime
    waves: Annotated[int, Field(ge=1, le=MOST_SERVICES)] = 1
    every_min: Annotated[int, Field(ge=5, le=240)] = 10


class HeldTaskIn(Entry):
    """What is held of a task by hand: when it begins, by whom, how long it takes."""

    at: AwareDatetime | None = None
    by: UUID | None = None
    minutes: Annotated[int, Field(ge=5, le=1440)] | None = None


class MarkIn(Entry):
    """What has become of a task: since when, until when (of one under way: as expected)."""

    mark: Mark
    since: AwareDatetime
    until: AwareDatetime
    by: UUID | None = None

    @model_validator(mode="after")
    def right_way_round(self) -> Self:
        """Refuse an end before the beginning."""
        if self.until < self.since:
            raise OutOfRange("until", f"{self.until:%H:%M}", f"not before {self.since:%H:%M}")
        return self


TaskKey = Annotated[str, StringConstraints(min_length=1, max_length=200)]


class TimingIn(Entry):
    """When an order is served and how it is planned.

    `days_ahead` is how many days before the first service hands may begin, `out` what of the
    equipment is not there, `off` who is not, `borrowed` what there is one more of; everybody
    comes `hours_earlier` and stays `hours_later`. `held` and `marks` are by task.
    """

    services: list[ServiceIn] = Field(default=[], max_length=MOST_SERVICES)
    days_ahead: Annotated[int, Field(ge=0, le=14)] = 1
    aims: list[Aim] = Field(default=list(USUAL_AIMS), max_length=len(Aim))
    not_before: WallHour = "08:30"
    out: list[Name] = Field(default=[], max_length=60)
    off: list[UUID] = Field(default=[], max_length=60)
    borrowed: list[Borrowed] = Field(default=[], max_length=20)
    hours_earlier: Annotated[int, Field(ge=0, le=6)] = 0
    hours_later: Annotated[int, Field(ge=0, le=6)] = 0
    held: dict[TaskKey, HeldTaskIn] = Field(default={}, max_length=400)
    marks: dict[TaskKey, MarkIn] = Field(default={}, max_length=2000)

    @model_validator(mode="after")
    def once(self) -> Self:
        """Refuse services of one key, and an aim told twice."""
        keys = [one.key for one in self.services]
        if len(set(keys)) < len(keys):
            raise OutOfRange("services", "a key used twice", "services with keys of their own")
        if len(set(self.aims)) < len(self.aims):
            raise OutOfRange("aims", "an aim told twice", "each aim once")
        return self


class ReachedOut(Schema):
    """How far an aim is reached, in words, and how much might still be saved at most [1]."""

    aim: Aim | None
    says: str
    gap: float


class MovedOut(Schema):
    """A task that is elsewhere than in the plan before."""

    task: str
    title: str
    says: str


class DemandOut(Schema):
    """One of the demands that cannot be met together."""

    kind: str
    says: str


class EasedOut(Schema):
    """A way out that was tried and fits: what it is, what it leads to, the timing that takes it.

    `lines` are counts of lines that change with it, by key.
    """

    says: str
    first: str
    timing: TimingIn
    lines: dict[str, int]


class ConflictOut(Schema):
    """Why nothing fits; `least` where without any one of the demands it would.

    `tried` says in words which ways out do not help by themselves. `board` is drawn as if
    `left_out` were not asked, `clashes` are where that is broken; nothing where none was found.
    """

    demands: list[DemandOut]
    least: bool
    ways: list[EasedOut] = Field(default=[])
    tried: list[str] = Field(default=[])
    board: Board | None = None
    left_out: str = ""
    clashes: list[Clash] = Field(default=[])


class LookOut(Schema):
    """How a formula looks in a lane."""

    flavor: str
    kind: str


class ProgressOut(Schema):
    """What a search has found until now."""

    says: str
    answers: int
    seconds: float


class ResultOut(Schema):
    """A plan, drawn and told; or why there is none.

    `origin` is the moment of minute 0; `starts` says by line when its making begins; `plan` is
    what the next one can keep near to.
    """

    origin: datetime
    board: Board | None = None
    reached: list[ReachedOut] = Field(default=[])
    looks: dict[str, LookOut] = Field(default={})
    told: list[str] = Field(default=[])
    moved: list[MovedOut] = Field(default=[])
    conflict: ConflictOut | None = None
    starts: dict[str, str] = Field(default={})
    plan: dict[str, Any] = Field(default={})
    stopped: bool = False
    refused: str = ""


State = Literal["queued", "running", "done", "stopped", "failed"]


class TimelineOut(Schema):
    """A timeline of an order: how far its making is, and what there is of it.

    `fresh` says that it is of the order, the kitchen and the day's marks as they are now.
    """

    id: UUID
    order: UUID
    state: State
    fresh: bool
    progress: ProgressOut | None
    result: ResultOut | None
    now_min: int | None
    stations: list[str]


class PlanIn(Entry):
    """What is planned: an order's entry may be ahead of what is saved.

    `near` says that everything stays as near to the plan before as it can.
    """

    near: bool = False


class BecameIn(Entry):
    """What is said of a task of the plan; nothing takes back what was."""

    task: TaskKey
    what: Happened | None = None


class NextOut(Schema):
    """The next service, and when each of its desserts is begun."""

    order: UUID
    title: str
    name: str
    at: datetime
    hour: str
    left: str
    first: str


class StartByOut(Schema):
    """When the making of a dessert begins for its next service."""

    order: UUID
    name: str
    service: str
    start: str
