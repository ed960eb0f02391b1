"""What the working of a figure looks like: a result that can be checked by hand."""

import math
from dataclasses import dataclass

from fernbell.core.errors import OutOfRange

COMMON_PRACTICE = "common practice"
GEOMETRY = "geometry, exact"
MASS_BALANCE = "mass balance, exact"
VOLUME_BALANCE = "volume and mass balance; the shares of air are common practice"


@dataclass(frozen=True, slots=True)
class Given:
    """One input of a working."""

    name: str
    value: float
    unit: str


@dataclass(frozen=True, slots=True)
class Working:
    """How one figure came about: inputs, law, arithmetic, source.

    `steps` hold the workings of inputs that were themselves computed.
    """

    figure: str
    value: float
    unit: str
    given: tuple[Given, ...]
    law: str
    arithmetic: str
    source: str
    steps: tuple["Working", ...] = ()

    def __post_init__(self) -> None:
        if not math.isfinite(self.value):
            raise OutOfRange(self.figure, self.value, "a finite number")


def counted(number: float, one: str) -> str:
    """A number of things in words.

    Args:
        number: how many [1].
        one: what one of them is called [text].
    Returns:
        '1 mound', '19 mounds' [text].
    Source:
        English.
    """
    return f"{figure_text(number)} {one}" if number == 1 else f"{figure_text(number)} {one}s"


def figure_text(value: float) -> str:
    """Print a number for a working, to four significant figures, or whole above a thousand.

    Args:
        value: the number [any unit].
    Returns:
        text such as '1 145', '35.37' or '0.7524' [same unit].
    Source:
        definition.
    """
    if -1000 < value < 1000:
        return f"{value:.4g}"
    return f"{value:,.0f}".replace(",", " ")
