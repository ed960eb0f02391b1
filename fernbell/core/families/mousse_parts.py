"""What mousses have in common: their dials, their cream, and how it is folded in."""

from fernbell.core.families.family import Dial, StarterLine, bands, reading, window
from fernbell.core.families.making import EGG, freeze, step
from fernbell.core.formulas import HOLD_SOURCE, Step
from fernbell.core.pantry import LineRole

_BANDS = bands(0.1, "flows", 0.35, "spoons", 0.7, "slices", 1.35, "firm", 1.9, "rubber", 3)
_SAYS = "gelatin on the water and cocoa on the whole, as much as holds a clean slice is 1"
GELATIN = Dial(reading("hold"), _SAYS, _BANDS, (LineRole.GELATIN,), HOLD_SOURCE)
COCOA = Dial(
    reading("hold"), _SAYS, _BANDS, (LineRole.CHOCOLATE, LineRole.COCOA_BUTTER), HOLD_SOURCE
)
SWEET = window(8, 26, "Below it tastes flat, above it cloys.")
CHOCOLATE_FAT = window(14, 38, "Below it is thin, above it is heavy and splits when folded.")

GELATIN_LINE = StarterLine("gelatin", 8, "bloom", "the dial sets it", slot="set")
BLOOM_WATER = StarterLine("water", 44, "bloom", "blooms the gelatin")
COOK = step(
    "anglaise",
    "Yolks whisked with what sugar there is; half the hot milk to temper; cook stirring, never "
    "boiling; strain.",
    (82, 85),
    tool="spatula",
    sign="coats the spoon",
    caution=EGG,
)


def cream(grams: float, overrun_percent: float = 90) -> StarterLine:
    """Cream beaten to the soft peak, to be folded in.

    Args:
        grams: how much [g].
        overrun_percent: air beaten in [%].
    Returns:
        the line [StarterLine].
    Source:
        overrun by common practice.
    """
    return StarterLine(
        "cream",
        grams,
        "fold",
        "air; soft peak",
        slot="cream",
        overrun_percent=overrun_percent,
    )


def fold(celsius: float | tuple[float, float], base: str) -> tuple[Step, ...]:
    """Folded, and frozen in its ring.

    Args:
        celsius: at which temperature the base is [°C].
        base: what it is called [text].
    Returns:
        two steps [Step].
    Source:
        windows of common practice.
    """
    return (
        step(
            "fold",
            f"{base} at its temperature: a little cream to loosen, then the rest in two turns.",
            celsius,
            tool="spatula",
            sign="streaks are better than a flat mousse",
        ),
        step(
            "set",
            "Into the ring; freeze hard. Thawed in the fridge it has its true texture.",
            -18,
            wait=freeze(360, 1440),
        ),
    )
