"""What one formula of the demo kitchen says, and short ways to say it."""

from dataclasses import dataclass, field

from fernbell.core.families.making import (
    BURNS,
    COOLING,
    EGG,
    by_brix,
    chill,
    cooked_to,
    freeze,
    losses,
    rest,
    step,
)
from fernbell.core.formulas import Losses, Step


@dataclass(frozen=True, slots=True)
class DemoLine:
    """Grams of an ingredient, or of another formula when `nested`; `stage` is where it goes in."""

    of: str
    mass_g: float
    overrun_percent: float = 0.0
    nested: bool = False
    stage: str = ""
    strained_percent: float = 0.0
    soaked: float = 0.0


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
    job: str = ""


def line(of: str, mass_g: float, stage: str = "", *, overrun: float = 0.0) -> DemoLine:
    """A line of an ingredient."""
    return DemoLine(of, mass_g, overrun, stage=stage)


def infused(of: str, mass_g: float, stage: str = "") -> DemoLine:
    """A line that is strained out again."""
    return DemoLine(of, mass_g, stage=stage, strained_percent=100)


def leaves(mass_g: float) -> DemoLine:
    """Leaves of gelatin, soaked and squeezed."""
    return DemoLine("leaf-gelatin", mass_g, stage="soak", soaked=5)


def nested(of: str, mass_g: float, stage: str = "", *, overrun: float = 0.0) -> DemoLine:
    """A line of another formula."""
    return DemoLine(of, mass_g, overrun, nested=True, stage=stage)


BLOOM = step("bloom", "Bloom the gelatin in the water.", 4, wait=rest(10, 30))
SOAK = step("soak", "Soak the leaves in cold water; squeeze.", 8, wait=rest(5, 15))

__all__ = [
    "BLOOM",
    "BURNS",
    "COOLING",
    "EGG",
    "SOAK",
    "DemoFormula",
    "DemoLine",
    "by_brix",
    "chill",
    "cooked_to",
    "freeze",
    "infused",
    "leaves",
    "line",
    "losses",
    "nested",
    "rest",
    "step",
]
