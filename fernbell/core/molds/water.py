"""Molds measured by the water they hold; printed sizes are nominal."""

from fernbell.core.errors import OutOfRange
from fernbell.core.molds.solid import Solid
from fernbell.core.working import Given, Working, figure_text
from fernbell.starter.practice import practice

WATER_SOURCE = "1 g of water is taken as 1 ml (0.2 % more at 20 °C): common practice"

_LEAST_SHARE, _MOST_SHARE = practice("water, least"), practice("water, most")
"""Water outside these shares of the printed volume is a slip of the scale or of the ruler."""


def trued(mold: Solid, water_g: float | None) -> Solid:
    """The mold as wide as the water it holds makes it; its height, which a ruler reaches, is kept.

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
    return mold.stretched(share)


def water_working(mold: Solid, water_g: float) -> Working:
    """How much the water says against the printed size; 100 (V - V(sizes)) / V(sizes).

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
        law="difference = (water − volume by the sizes) / volume by the sizes; the true volume "
        "is used, the height kept",
        arithmetic=f"100 × ({figure_text(water_g)} − {figure_text(printed)}) / "
        f"{figure_text(printed)} = {figure_text(difference)} %",
        source=WATER_SOURCE,
    )
