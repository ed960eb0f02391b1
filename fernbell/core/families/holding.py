"""Whether the set of a mousse holds a slice, the freezer, and an hour at 20 °C."""

from collections.abc import Iterator

from fernbell.core.families.aside import Aside
from fernbell.core.formulas import FIGURES, HOLD_SOURCE, Lines, Step, hold_parts
from fernbell.core.pantry import PALE
from fernbell.core.working import Given, Working, figure_text
from fernbell.starter.practice import practice

SLICES_FROM = practice("holds a slice from")
THAWS_FROM = practice("holds its water from")
WARM_GELATIN = practice("gelatin left at 20 °C")
WARM_COCOA = practice("dark set left at 20 °C")
WARM_PALE = practice("pale set left at 20 °C")
"""What of the set is left after an hour at 20 °C: gelatin, dark chocolate, milk and white
chocolate, whose butter is softer for its milk fat; common practice put in numbers by us."""


def holding(lines: Lines, steps: tuple[Step, ...]) -> Iterator[Aside]:
    """Whether the set holds a slice, the freezer, and an hour at 20 °C.

    Args:
        lines: the formula [Lines].
        steps: not asked [Step].
    Returns:
        three asides [Aside].
    Raises:
        CoreError: the hold number cannot be read.
    Source:
        the hold number and its limits are this project's own, from common practice.
    """
    held, warm = FIGURES["hold"].working(lines.mix()), _warm(lines)
    yield _aside("A clean slice", held, SLICES_FROM, "holds", "too soft: more set")
    yield _aside(
        "Freezing and thawing",
        held,
        THAWS_FROM,
        "holds its water",
        "weeps: more set",
    )
    yield _aside("An hour at 20 °C", warm, SLICES_FROM, "stands", "sinks: keep it cold")


def _aside(name: str, working: Working, least: float, yes: str, no: str) -> Aside:
    holds = working.value >= least
    return Aside(name, yes if holds else no, working, holds, HOLD_SOURCE)


def _warm(lines: Lines) -> Working:
    mix = lines.mix()
    held, (gelatin, cocoa) = FIGURES["hold"].working(mix), hold_parts(mix)
    share = WARM_PALE if lines.chocolates & PALE else WARM_COCOA
    warm = WARM_GELATIN * gelatin + share * cocoa
    return Working(
        "Hold number after an hour at 20 °C",
        warm,
        "",
        (Given("by gelatin", gelatin, ""), Given("by cocoa", cocoa, "")),
        f"{WARM_GELATIN:g} of the gelatin's and {share:g} of the cocoa's part is left",
        f"{WARM_GELATIN:g} × {figure_text(gelatin)} + {share:g} × {figure_text(cocoa)} = "
        f"{figure_text(warm)}",
        HOLD_SOURCE,
        (held,),
    )
