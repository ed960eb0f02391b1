"""Every figure of a formula, in the order in which they are read: one definition each."""

from collections.abc import Mapping

from fernbell.core.formulas.figures.chocolate import FAT_ON_WATER, SET_NUMBER
from fernbell.core.formulas.figures.contents import ACIDS, CONTENTS, FAT
from fernbell.core.formulas.figures.cost import COST
from fernbell.core.formulas.figures.energy import ENERGY_IN_100_G
from fernbell.core.formulas.figures.figure import Figure
from fernbell.core.formulas.figures.gelatin import GELATIN_ON_WATER, GELATIN_ON_WHOLE
from fernbell.core.formulas.figures.hold import HOLD, HOLD_SOURCE, hold_parts
from fernbell.core.formulas.figures.ratio import ratio
from fernbell.core.formulas.figures.sweet import SWEETNESS
from fernbell.core.formulas.figures.waters import ACTIVITY, BOILS, BRIX, FREEZES, ICE

_READ = (
    *CONTENTS,
    SWEETNESS,
    GELATIN_ON_WATER,
    GELATIN_ON_WHOLE,
    SET_NUMBER,
    FAT_ON_WATER,
    ACTIVITY,
    BOILS,
    FREEZES,
    ICE,
    ENERGY_IN_100_G,
    COST,
    HOLD,
    BRIX,
)
FIGURES: Mapping[str, Figure] = {one.code: one for one in _READ}
"""By code, in the order in which they are read."""

__all__ = [
    "ACIDS",
    "FAT",
    "FIGURES",
    "HOLD_SOURCE",
    "SWEETNESS",
    "Figure",
    "hold_parts",
    "ratio",
]
