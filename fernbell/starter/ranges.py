"""Ranges of practice that proposals are held against: by job, and by kind of chocolate.

Common practice throughout, no published source; where a job stands in none of them, the band of
its dial is the range.
"""

from collections.abc import Mapping
from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Range:
    """Between which figures a job is made: what is compared, and the range by kind.

    The kind is that of the chocolate chosen for it, '' where there is none.
    """

    figure: str
    by_kind: Mapping[str, tuple[float, float]]


RATIO_USES = ("pour", "coat", "slice", "pipe", "roll")
"""Uses of a ganache from the softest to the firmest of dark chocolate."""

GANACHE_RATIOS: Mapping[str, Mapping[str, float]] = {
    kind: dict(zip(RATIO_USES, ratios, strict=True))
    for kind, ratios in {
        "dark": (0.75, 1.0, 1.1, 1.35, 2.0),
        "milk": (1.0, 1.7, 1.75, 2.25, 2.75),
        "white": (1.75, 2.1, 2.25, 3.0, 3.25),
        "compound dark or milk": (2.6, 3.3, 3.5, 3.9, 4.4),
        "compound white": (4.2, 5.5, 5.8, 6.2, 6.8),
    }.items()
}
"""Chocolate for one of cream of 35 % in the middle of what practice asks; of compound only the
drip is told, the rest is this project's own.
"""

CHOCOLATE_CREAM = "chocolate for one of liquid"
COLD_WARM = "cold cream for one of warm base"
DENSITY = "density, g/ml"
RAW_DENSITY = "density as rolled, g/ml"
GELATIN = "gelatin of 200 bloom, % of the whole"

RANGES: Mapping[str, Range] = {
    "ganache.pour": Range(
        CHOCOLATE_CREAM, {"dark": (0.67, 0.83), "milk": (1, 1), "white": (1.5, 2)}
    ),
    "ganache.drip": Range(
        CHOCOLATE_CREAM,
        {
            "dark": (1, 1),
            "milk": (1.4, 2),
            "white": (2.5, 4),
            "compound dark": (3.3, 3.3),
            "compound milk": (3.3, 3.3),
            "compound white": (4.5, 6.5),
        },
    ),
    "ganache.coat": Range(CHOCOLATE_CREAM, {"dark": (1, 1), "milk": (1.4, 2), "white": (2.5, 4)}),
    "ganache.slice": Range(
        CHOCOLATE_CREAM, {"dark": (1, 1.2), "milk": (1.5, 2), "white": (2, 2.5)}
    ),
    "ganache.pipe": Range(CHOCOLATE_CREAM, {"dark": (1.2, 1.5), "milk": (2, 2.5), "white": (3, 3)}),
    "ganache.roll": Range(CHOCOLATE_CREAM, {"dark": (2, 2), "milk": (2.5, 3), "white": (3, 3.5)}),
    "ganache.sauce": Range(
        CHOCOLATE_CREAM, {"dark": (0.67, 0.83), "milk": (0.9, 1), "white": (0.9, 1)}
    ),
    "ganache.bake": Range(CHOCOLATE_CREAM, {"dark": (1, 1)}),
    "ganache.whip": Range(COLD_WARM, {"dark": (1, 1), "milk": (1, 1), "white": (1, 1)}),
    "mousse.siphon": Range(DENSITY, {"": (0.3, 0.45)}),
    "custard.sabayon": Range(DENSITY, {"": (0.35, 0.45)}),
    "meringue.italian": Range(DENSITY, {"": (0.25, 0.35)}),
    "meringue.swiss": Range(DENSITY, {"": (0.25, 0.35)}),
    "cream.chantilly": Range(DENSITY, {"": (0.5, 0.5)}),
    "mousse.fruit": Range(DENSITY, {"": (0.65, 0.75)}),
    "mousse.anglaise": Range(DENSITY, {"": (0.7, 0.85)}),
    "mousse.chocolate": Range(DENSITY, {"": (0.6, 0.8)}),
    "mousse.classic": Range(DENSITY, {"": (0.6, 0.8)}),
    "sponge.genoise": Range(DENSITY, {"": (0.2, 0.35)}),
    "sponge.roulade": Range(DENSITY, {"": (0.2, 0.35)}),
    "paste.crumb": Range(DENSITY, {"": (0.9, 1.0)}),
    "paste.short": Range(RAW_DENSITY, {"": (1.15, 1.25)}),
    "glaze.mirror": Range(GELATIN, {"": (1.4, 1.75)}),
    "custard.bavarois": Range(GELATIN, {"": (0.9, 1.2)}),
}
