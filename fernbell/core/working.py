"""What the working of a figure looks like: a result that can be checked by hand."""

from dataclasses import dataclass

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
    """How one figure came about: inputs, rule, arithmetic, source.

    `steps` hold the workings of inputs that were themselves computed.
    """

    figure: str
    value: float
    unit: str
    given: tuple[Given, ...]
    rule: str
    arithmetic: str
    source: str
    steps: tuple["Working", ...] = ()


def figure_text(value: float) -> str:
    """Print a number for a working, to four significant figures and no fewer than its grams.

    Args:
        value: the number [any unit].
    Returns:
        text such as '1 145', '35.37' or '0.7524' [same unit].
    Source:
        definition.
    """
    size = abs(value)
    if size >= 1000:
        return f"{value:,.0f}".replace(",", " ")
    decimals = 1 if size >= 100 else 2 if size >= 10 else 3 if size >= 1 else 4
    text = f"{value:.{decimals}f}"
    return text.rstrip("0").rstrip(".") if "." in text else text
