"""Many of one: how many trays of cavities a number of desserts takes."""

import math

from fernbell.core.field import Field
from fernbell.core.working import Given, Working

CAVITIES = Field("cavities", "Cavities a tray", least=1, most=200)
OWNED = Field("owned", "How many there are", least=1, most=2000, empty="enough")
"""How many of a mold hang together; 1 where it stands alone."""


def trays(count: int, cavities: int) -> Working:
    """How many trays so many desserts take; n / cavities, rounded up.

    Args:
        count: how many desserts [1].
        cavities: of one tray [1].
    Returns:
        the working [trays].
    Raises:
        OutOfRange: fewer than 1 or more than 200 cavities.
    Source:
        counting.
    """
    CAVITIES.check(cavities)
    number = math.ceil(count / cavities)
    empty = number * cavities - count
    left = f"; {empty} cavities stay empty" if empty else ""
    return Working(
        figure="Trays",
        value=number,
        unit="trays",
        given=(Given("desserts", count, ""), Given("cavities a tray", cavities, "")),
        law="desserts / cavities, rounded up",
        arithmetic=f"{count} / {cavities}, rounded up: {number} trays{left}",
        source="counting",
    )
