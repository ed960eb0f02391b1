"""The method of a formula: steps, and the waits the planner has to respect."""

from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import CoreError, check_range
from fernbell.starter.practice import practice

LONGEST_WAIT_MIN = 14 * 24 * 60.0
_HOUR_FROM_MIN = 90


class WaitKind(StrEnum):
    """What happens while nobody works on it."""

    REST = "rest"
    SET = "set"
    CHILL = "chill"
    FREEZE = "freeze"
    THAW = "thaw"
    BLOOM = "bloom"
    STAND = "stand out"
    DRY = "dry"
    CRYSTALLIZE = "crystallize"


@dataclass(frozen=True, slots=True)
class Wait:
    """A time that has to pass, at least and at most (None: no harm in longer).

    `placed` says that it begins once the preparation is in the dessert; otherwise it is over
    before the preparation is used.
    """

    kind: WaitKind
    least_min: float
    most_min: float | None = None
    placed: bool = False

    def __post_init__(self) -> None:
        check_range("least_min", self.least_min, most=LONGEST_WAIT_MIN, open_least=True)
        if self.most_min is not None:
            check_range("most_min", self.most_min, least=self.least_min, most=LONGEST_WAIT_MIN)


FIRST_WAIT = Wait(WaitKind.CHILL, practice("first wait"))
"""A wait until somebody says which; common practice."""


class LegKind(StrEnum):
    """How an oven goes on after what it was first set to."""

    THEN = "then"
    FALLING = "falling to"
    OFF = "off, door shut"


@dataclass(frozen=True, slots=True)
class OvenLeg:
    """How it goes on in the oven: then 180 °C for 15 min, falling to 90 °C, off overnight."""

    how: LegKind
    temperature_c: float | None = None
    minutes: float | None = None

    def __post_init__(self) -> None:
        if self.how is LegKind.OFF and self.temperature_c is not None:
            raise CoreError("temperature_c", f"{self.temperature_c:g}", "left out: the oven is off")
        if self.how is not LegKind.OFF and self.temperature_c is None:
            raise CoreError("temperature_c", "nothing", "told: to which heat it goes on")
        _check_range("temperature", "_c", self.temperature_c, None, 20, 300)
        if self.minutes is not None:
            check_range("minutes", self.minutes, most=48 * 60, open_least=True)


@dataclass(frozen=True, slots=True)
class Step:
    """One step of a method: what to do, to which temperature, how long, with what, until when.

    `stage` is its short name ('boil', 'fold'), `sign` what to stop at, `wait` what it ends with.
    A temperature or time with a second figure is a range: 28 to 30 °C, 25 to 30 min. `then` is
    how the oven goes on, `bursts_s` how long each burst is where it is repeated until the sign,
    `alike` what else is brought to the same temperature.
    """

    text: str
    wait: Wait | None = None
    stage: str = ""
    temperature_c: float | None = None
    minutes: float | None = None
    tool: str = ""
    sign: str = ""
    caution: str = ""
    temperature_to_c: float | None = None
    minutes_to: float | None = None
    then: tuple[OvenLeg, ...] = ()
    bursts_s: float | None = None
    bursts_to_s: float | None = None
    alike: str = ""

    def __post_init__(self) -> None:
        _check_range("bursts", "_s", self.bursts_s, self.bursts_to_s, 1, 600)
        _check_range("temperature", "_c", self.temperature_c, self.temperature_to_c, -60, 300)
        _check_range("minutes", "", self.minutes, self.minutes_to, 0, 48 * 60)
        if self.minutes == 0:
            check_range("minutes", self.minutes, open_least=True)

    @property
    def in_the_oven(self) -> bool:
        """Whether it takes room in an oven."""
        return bool(self.then) or "oven" in self.tool.lower()

    @property
    def warmest_c(self) -> float | None:
        """The upper end of its temperature [°C]; None where none is told."""
        return self.temperature_c if self.temperature_to_c is None else self.temperature_to_c


def _check_range(
    name: str, unit: str, least: float | None, most: float | None, lowest: float, highest: float
) -> None:
    """A figure or a range of it, in bounds and the right way round."""
    if least is not None:
        check_range(f"{name}{unit}", least, least=lowest, most=highest)
    if most is None:
        return
    if least is None:
        raise CoreError(f"{name}_to{unit}", f"{most:g}", "left out where there is no lower end")
    check_range(f"{name}_to{unit}", most, least=least, most=highest)


THICKNESS, ACROSS = "{thickness}", "{across}"
"""Written into a step, they follow the drawing: 'Pour {thickness} into a ring of {across}.'"""


@dataclass(frozen=True, slots=True)
class Drawn:
    """How thick and how wide a formula is drawn, wherever it is used [mm]."""

    thickness_mm: tuple[float, ...] = ()
    across_mm: tuple[float, ...] = ()


def as_drawn(text: str, drawn: Drawn = Drawn()) -> str:
    """A step's text with the measures of the drawing in place of {thickness} and {across}.

    Args:
        text: as written [text].
        drawn: how thick and wide it is drawn [mm].
    Returns:
        such as 'Pour 14 mm into a ring of 16 cm.'; 'as drawn' where nothing is drawn [text].
    Source:
        definition.
    """
    thick = [f"{fromkey:g} mm" for fromkey in dict.fromkeys(drawn.thickness_mm)]
    wide = [f"{fromkey / 10:g} cm" for fromkey in dict.fromkeys(drawn.across_mm)]
    return text.replace(THICKNESS, _listed(thick)).replace(ACROSS, _listed(wide))


def _listed(measures: list[str]) -> str:
    return " and ".join(measures) or "as drawn"


def wait_words(wait: Wait) -> str:
    """A wait as it is said in the kitchen.

    Args:
        wait: the wait [min].
    Returns:
        text such as 'freeze 1-4 h' or 'chill 30 min or longer' [text].
    Source:
        definition.
    """
    least, most = wait.least_min, wait.most_min
    if most is None:
        return f"{wait.kind} {_duration(least)} or longer"
    if most == least:
        return f"{wait.kind} {_duration(least)}"
    if least >= 60 and most >= _HOUR_FROM_MIN:
        return f"{wait.kind} {_hours(least)}–{_duration(most)}"
    if most < _HOUR_FROM_MIN:
        return f"{wait.kind} {least:g}–{most:g} min"
    return f"{wait.kind} {_duration(least)} to {_duration(most)}"


def _hours(minutes: float) -> str:
    return f"{round(minutes / 60, 1):g}"


def _duration(minutes: float) -> str:
    return f"{minutes:g} min" if minutes < _HOUR_FROM_MIN else f"{_hours(minutes)} h"
