"""What a family of formulas knows: its jobs, dials, windows, order of method, failures, rescue."""

import math
from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from enum import StrEnum
from typing import Any

from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.formulas import (
    FIGURES,
    USUAL_LOSSES,
    Figure,
    Losses,
    Step,
    Until,
    Window,
)
from fernbell.core.pantry import LIQUIDS, ChocolateKind, LineRole
from fernbell.core.working import COMMON_PRACTICE, Working


@dataclass(frozen=True, slots=True)
class DialBand:
    """A stretch of a dial, in words: 'slices' from 1.12 to 1.32."""

    name: str
    least: float
    most: float


_STEPS = 250

Lever = tuple[LineRole, ...] | Until
"""What a dial turns: the lines of some roles, or how far it is cooked."""


@dataclass(frozen=True, slots=True)
class Dial:
    """A figure that sets a formula for its job: its bands end to end, and what turning it moves."""

    figure: Figure
    says: str
    bands: tuple[DialBand, ...]
    lever: Lever
    source: str = COMMON_PRACTICE

    def __post_init__(self) -> None:
        for low, high in zip(self.bands, self.bands[1:], strict=False):
            if low.most != high.least:
                raise CoreError("bands", f"{low.name} and {high.name}", "end to end")

    @property
    def step(self) -> float:
        """The finest step a hand means [its unit]: a 250th of its length, as one of 1, 2 or 5."""
        rough = (self.bands[-1].most - self.bands[0].least) / _STEPS
        power = 10.0 ** math.floor(math.log10(rough))
        return next(one for one in (1, 2, 5, 10) if one * power >= rough) * power

    @property
    def moves(self) -> str:
        """What turning it moves, in words."""
        if isinstance(self.lever, Until):
            return (
                "how hot it is cooked"
                if self.lever is Until.TEMPERATURE
                else "how far it is cooked"
            )
        return "the liquid" if self.lever == LIQUIDS else f"the {' or '.join(self.lever)}"

    def band_at(self, value: float) -> DialBand | None:
        """The band a value [its unit] lies in; None off the dial."""
        return next((band for band in self.bands if band.least <= value <= band.most), None)

    def band(self, name: str) -> DialBand:
        """The band of that name."""
        for band in self.bands:
            if band.name == name:
                return band
        raise UnknownKey("band", name, f"one of {', '.join(band.name for band in self.bands)}")


@dataclass(frozen=True, slots=True)
class Admits:
    """What may stand in the place of a starter's line: of which roles, and how it is made up.

    What is not `sour` curdles nothing that holds egg or starch; `least` and `most` are of some
    components, `most_solids` all that is not water or alcohol at most [g in 100 g]; `chocolates`
    are the kinds it may be of.
    """

    roles: tuple[LineRole, ...]
    sour: bool = True
    least: Mapping[str, float] = field(default_factory=dict)
    most: Mapping[str, float] = field(default_factory=dict)
    most_solids: float = 100.0
    chocolates: tuple[ChocolateKind, ...] = ()


@dataclass(frozen=True, slots=True)
class StarterLine:
    """One line of a starter: so much of a stuff (see `STUFFS`) for its size, and why.

    `slot` names it as a choice of the sentence ('with', 'on'), `admits` what may be chosen there
    where not anything of a slot may; what is `optional` may be left out.
    """

    stuff: str
    mass_g: float
    stage: str = ""
    why: str = ""
    slot: str = ""
    optional: bool = False
    overrun_percent: float = 0.0
    strained_percent: float = 0.0
    admits: Admits | None = None


@dataclass(frozen=True, slots=True)
class Way:
    """One of several schools of making the same: steps in place of those of their stage, what
    it takes beside the starter, and what it loses where that is something else.
    """

    name: str
    steps: tuple[Step, ...]
    parts: tuple[StarterLine, ...] = ()
    losses: Losses | None = None


class Tool(StrEnum):
    """What there is to work out beside a job."""

    OTHER_CHOCOLATES = "other chocolates"
    HOLDS_AT = "holds at"
    DRIPS = "drips"
    KEEPS = "keeps"


@dataclass(frozen=True, slots=True)
class Setting:
    """How a job is made with one kind of chocolate: what is given stands for the job's own."""

    band: str = ""
    aim: float | None = None
    dial: Dial | None = None
    parts: tuple[StarterLine, ...] = ()
    steps: tuple[Step, ...] = ()
    windows: Mapping[str, Window] = field(default_factory=dict)

    def of(self, job: "Job") -> "Job":
        """The job made so."""
        return replace(
            job,
            band=self.band or job.band,
            aim=job.aim if self.aim is None else self.aim,
            dial=self.dial or job.dial,
            parts=self.parts or job.parts,
            steps=self.steps or job.steps,
            windows={**job.windows, **self.windows},
            by_kind={},
        )


@dataclass(frozen=True, slots=True)
class Own:
    """What a kitchen moved a dial by, said and worked out."""

    says: str
    working: Working


@dataclass(frozen=True, slots=True)
class Job:
    """What a formula is for: where its dial should stand, a starter, and what decides.

    `windows` are the readings that decide beside the dial, by code; `notes` what to know about
    its use, such as how it is rewarmed; `ways` the schools there are, the first the usual one;
    `tools` what there is to work out beside it; `by_kind` how it is made where the kind of
    chocolate asks for something else; `gas_kept` what is left of its air, where that is not as
    usual; `boils` the stages whose step is at what their lines boil at;
    `own` says what the kitchen itself moved its dial by, `did` what is said of a batch that did
    its job.
    """

    key: str
    name: str
    dial: Dial
    band: str
    aim: float
    parts: tuple[StarterLine, ...]
    steps: tuple[Step, ...]
    losses: Losses = USUAL_LOSSES
    windows: Mapping[str, Window] = field(default_factory=dict)
    notes: tuple[str, ...] = ()
    kind: str = ""
    measured_density_g_ml: float | None = None
    base: str = ""
    ways: tuple[Way, ...] = ()
    tools: tuple[Tool, ...] = ()
    by_kind: Mapping[str, Setting] = field(default_factory=dict)
    boils: tuple[str, ...] = ()
    own: Own | None = None
    did: str = "made a good batch"
    gas_kept: float | None = None

    def __post_init__(self) -> None:
        band = self.dial.band(self.band)
        if not band.least <= self.aim <= band.most:
            raise CoreError("aim", f"{self.aim:g}", f"in the band it is for, {band.name}")
        for setting in self.by_kind.values():
            setting.of(self)

    @property
    def slots(self) -> tuple[str, ...]:
        """Every choice there is in it, whatever it is made with and by whichever way."""
        kinds = (part for one in self.by_kind.values() for part in one.parts)
        ways = (part for one in self.ways for part in one.parts)
        every = (part.slot for part in (*self.parts, *kinds, *ways) if part.slot)
        return tuple(dict.fromkeys(every))

    def of_kind(self, kind: str) -> "Job":
        """The same, made as a kind of chocolate asks."""
        return self.by_kind[kind].of(self) if kind in self.by_kind else self

    def made(self, way: str) -> "Job":
        """The job by the way of that name; by the usual one where none is said."""
        if not self.ways and not way:
            return self
        own = next((one for one in self.ways if one.name == (way or self.ways[0].name)), None)
        if own is None:
            allowed = ", ".join(one.name for one in self.ways) or "nothing: there is one way"
            raise UnknownKey("way", way, f"one of {allowed}")
        other = {step.stage: step for step in own.steps}
        return replace(
            self,
            parts=(*self.parts, *own.parts),
            steps=tuple(other.get(step.stage, step) for step in self.steps),
            losses=own.losses or self.losses,
        )


@dataclass(frozen=True, slots=True)
class Failure:
    """A sign of something gone wrong, why, and how it is saved or prevented."""

    sign: str
    why: str
    rescue: str


@dataclass(frozen=True, slots=True)
class Family:
    """A family of formulas of one kind."""

    key: str
    name: str
    kind: str
    jobs: tuple[Job, ...]
    failures: tuple[Failure, ...]
    cautions: tuple[str, ...] = ()
    flavor: str = ""

    def __reduce__(self) -> Any:
        """It travels as its key: how its figures are worked out cannot be written down."""
        return _named, (self.key,)

    def job(self, key: str) -> Job:
        """The job of that key."""
        for job in self.jobs:
            if job.key == key:
                return job
        raise UnknownKey(
            "job", f"{self.key}.{key}", f"one of {', '.join(j.key for j in self.jobs)}"
        )


def _named(key: str) -> Family:
    from fernbell.core.families.catalog import FAMILIES

    return next(family for family in FAMILIES if family.key == key)


def window(least: float | None, most: float | None, why: str) -> Window:
    """A window of common practice.

    Args:
        least: lower end [unit of the reading], None is open.
        most: upper end [unit of the reading], None is open.
        why: what happens outside it [text].
    Returns:
        the window [Window].
    Source:
        common practice.
    """
    return Window(least, most, why, COMMON_PRACTICE)


def bands(*edges: float | str) -> tuple[DialBand, ...]:
    """Bands end to end from edges with names between: 0.6, 'pours', 0.92, 'coats', 1.12.

    Args:
        edges: numbers and names in turn, beginning and ending with a number [unit of the dial].
    Returns:
        bands, shape (n,) [DialBand].
    Source:
        definition.
    """
    ends = [float(edge) for edge in edges[::2]]
    names = [str(edge) for edge in edges[1::2]]
    return tuple(
        DialBand(name, low, high) for name, low, high in zip(names, ends, ends[1:], strict=False)
    )


def reading(code: str) -> Figure:
    """The figure of a reading every formula has.

    Args:
        code: such as 'set-number' [text].
    Returns:
        the figure [Figure].
    Raises:
        KeyError: there is none; a family is data and this is found by importing it [KeyError].
    Source:
        definition.
    """
    return FIGURES[code]
