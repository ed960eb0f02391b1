"""Molds measured by the water they hold; printed sizes are nominal."""

import math
from dataclasses import replace

from fernbell.core.errors import OutOfRange
from fernbell.core.molds.straight import Mold, Ring
from fernbell.core.working import Given, Working, figure_text

WATER_SOURCE = "1 g of water is taken as 1 ml (0.2 % more at 20 °C): common practice"

_LEAST_SHARE, _MOST_SHARE = 0.6, 1.4
"""Water outside these shares of the printed volume is a slip of the scale or of the ruler."""


def trued(mold: Mold, water_g: float | None) -> Mold:
    """The mold as wide as the water it holds makes it; k = sqrt(V / A H).

    The height is kept, since a ruler reaches it; length, width and corners are scaled.

    Args:
        mold: the mold by its printed or measured sizes [mm].
        water_g: grams of water to the brim, None where nobody weighed it [g].
    Returns:
        a mold that holds as many millilitres [mm].
    Raises:
        OutOfRange: less than 60 or more than 140 % of what the sizes give.
    Source:
        1 g of water is taken as 1 ml: common practice.
    """
    if water_g is None:
        return mold
    share = water_g / mold.capacity_ml
    if not _LEAST_SHARE <= share <= _MOST_SHARE:
        least, most = (mold.capacity_ml * end for end in (_LEAST_SHARE, _MOST_SHARE))
        allowed = f"between {figure_text(least)} and {figure_text(most)}, near the measures entered"
        raise OutOfRange("water_g", water_g, allowed)
    by = math.sqrt(share)
    if isinstance(mold, Ring):
        return replace(mold, diameter_mm=mold.diameter_mm * by)
    return replace(
        mold,
        length_mm=mold.length_mm * by,
        width_mm=mold.width_mm * by,
        corner_radius_mm=mold.corner_radius_mm * by,
    )


def water_working(mold: Mold, water_g: float) -> Working:
    """How much the water says against the printed size; 100 (V - A H) / A H.

    Args:
        mold: the mold by its printed sizes [mm].
        water_g: grams of water to the brim [g].
    Returns:
        working of the difference [%].
    Source:
        1 g of water is taken as 1 ml: common practice.
    """
    printed = mold.capacity_ml
    difference = 100 * (water_g - printed) / printed
    return Working(
        figure="Water against the printed size",
        value=difference,
        unit="%",
        given=(Given("water it holds", water_g, "g"), Given("by its sizes", printed, "ml")),
        rule="difference = (water − volume by the sizes) / volume by the sizes; the true volume "
        "is used, the height kept",
        arithmetic=f"100 × ({figure_text(water_g)} − {figure_text(printed)}) / "
        f"{figure_text(printed)} = {figure_text(difference)} %",
        source=WATER_SOURCE,
    )


def size_words(mold: Mold) -> str:
    """A mold's size as it is called in the kitchen.

    Args:
        mold: the mold [mm].
    Returns:
        text such as 'Ø 20 cm' or '57 × 37 cm' [text].
    Source:
        common practice.
    """
    if isinstance(mold, Ring):
        return f"Ø {mold.diameter_mm / 10:.3g} cm"
    return f"{mold.length_mm / 10:.3g} × {mold.width_mm / 10:.3g} cm"
