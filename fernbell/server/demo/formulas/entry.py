"""What one formula of the demo kitchen says, and short ways to say it."""

from dataclasses import dataclass, field
from typing import Any

from fernbell.core.formulas import CookedTo, Losses, Step, Until, Wait, WaitKind


@dataclass(frozen=True, slots=True)
class DemoLine:
    """Grams of an ingredient, or of another formula when `nested`; `stage` is where it goes in."""

    of: str
    mass_g: float
    overrun_percent: float = 0.0
    nested: bool = False
    stage: str = ""
    strained: bool = False


@dataclass(frozen=True, slots=True)
class DemoFormula:
    """One formula of the demo kitchen; `base` is the line percentages refer to."""

    slug: str
    name: str
    kind: str
    flavor: str
    lines: tuple[DemoLine, ...]
    method: tuple[Step, ...]
    losses: Losses = field(default_factory=Losses)
    base: str | None = None
    measured_density_g_ml: float | None = None
    whole_eggs: bool = False


def line(of: str, mass_g: float, stage: str = "", *, overrun: float = 0.0) -> DemoLine:
    """A line of an ingredient."""
    return DemoLine(of, mass_g, overrun, stage=stage)


def infused(of: str, mass_g: float, stage: str = "") -> DemoLine:
    """A line that is strained out again."""
    return DemoLine(of, mass_g, stage=stage, strained=True)


def nested(of: str, mass_g: float, stage: str = "") -> DemoLine:
    """A line of another formula."""
    return DemoLine(of, mass_g, nested=True, stage=stage)


def step(
    stage: str,
    text: str,
    temperature_c: float | None = None,
    minutes: float | None = None,
    **more: Any,
) -> Step:
    """A step of the method."""
    return Step(text, stage=stage, temperature_c=temperature_c, minutes=minutes, **more)


def losses(cooking: float = 0, pan: float = 2, tasting: float = 0) -> Losses:
    """Shares that are lost."""
    return Losses(cooking, pan, tasting)


def cooked_to(temperature_c: float, pan: float = 3, stands_in: float = 0) -> Losses:
    """Cooked until the thermometer says so; the share stands in while it cannot be worked out."""
    return Losses(stands_in, pan, cooked_to=CookedTo(Until.TEMPERATURE, temperature_c))


def by_brix(brix: float, pan: float = 3, stands_in: float = 0) -> Losses:
    """Cooked until the refractometer says so."""
    return Losses(stands_in, pan, cooked_to=CookedTo(Until.BRIX, brix))


def rest(least: float, most: float | None = None) -> Wait:
    """A rest before it is used [min]."""
    return Wait(WaitKind.REST, least, most)


def chill(least: float, most: float | None = None, *, placed: bool = False) -> Wait:
    """A chill [min]; `placed` once it stands in the dessert."""
    return Wait(WaitKind.CHILL, least, most, placed)


def freeze(least: float, most: float | None = None, *, placed: bool = True) -> Wait:
    """A freeze [min], usually once it stands in the dessert."""
    return Wait(WaitKind.FREEZE, least, most, placed)


BURNS = "Hot sugar: sleeves down, cold water at hand, nobody behind you."
EGG = "Lightly cooked egg: use pasteurized, or hold the temperature. Local codes go first."
COOLING = "Cool fast and thin: 57 to 21 °C within 2 h, to 5 °C within 6 h in all."
BLOOM = step("bloom", "Bloom the gelatin in the water.", 4, wait=rest(10, 30))
SOAK = step("soak", "Soak the leaves in cold water; squeeze.", 8, wait=rest(5, 15))
