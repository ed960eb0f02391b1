"""The set number of every kind of chocolate on one scale: that of dark, by what practice asks."""

from collections.abc import Mapping
from itertools import pairwise

from fernbell.core.pantry import COATINGS_FIRM
from fernbell.starter.ranges import GANACHE_RATIOS, RATIO_USES

_CREAM_WATER = 0.59
"""Water in cream of 35 %, as the ratios of practice are told [share]."""

_DAMPED = 0.6
"""How much of a difference in cocoa within a kind practice leaves out [power]; this project's
own, by the ranges of practice.
"""

FIRMS: Mapping[str, float] = {
    "dark": 0.65,
    "milk": 0.375,
    "white": 0.31,
    **{f"compound {coating}": firms for coating, firms in COATINGS_FIRM.items()},
}
"""Cocoa butter and dry cocoa of a usual chocolate of its kind, and what counts as it [share]."""


def as_dark(number: float, kinds: Mapping[str, float], firms_g: float) -> float:
    """Where a set number stands on the scale of dark chocolate.

    The ratios of practice are told for each kind; a number between two uses of its kind stands
    between the same two of dark, a blend between its kinds by their shares.

    Args:
        number: cocoa butter and dry cocoa for each part of water [1].
        kinds: grams of chocolate by kind; none is dark [g].
        firms_g: cocoa butter and dry cocoa in that chocolate [g].
    Returns:
        the number [1].
    Source:
        common practice: the table of ratios; straight from one use to the next.
    """
    whole = sum(kinds.values())
    shares = {kind: grams / whole for kind, grams in kinds.items() if grams > 0} or {"dark": 1.0}
    if whole > 0 and firms_g > 0:
        # Practice moves less within a kind than cocoa does.
        usual = sum(share * FIRMS[kind] for kind, share in shares.items())
        number *= (usual * whole / firms_g) ** _DAMPED
    if shares == {"dark": 1.0}:
        return number
    told = ((share * _number(kind, use) for kind, share in shares.items()) for use in RATIO_USES)
    own = [0.0, *map(sum, told)]
    dark = [0.0, *(_number("dark", use) for use in RATIO_USES)]
    for (low, high), (begin, end) in zip(pairwise(own), pairwise(dark), strict=True):
        if number <= high:
            return begin + (number - low) / (high - low) * (end - begin)
    # Firmer than anything told: on as steep as at the end.
    steep = (dark[-1] - dark[-2]) / (own[-1] - own[-2])
    return dark[-1] + (number - own[-1]) * steep


def _number(kind: str, use: str) -> float:
    return GANACHE_RATIOS[kind][use] * FIRMS[kind] / _CREAM_WATER
