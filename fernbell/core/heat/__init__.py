"""Heat and water: syrups that boil, solutions that freeze, and the water they hold."""

from fernbell.core.heat.boiling import (
    CARAMEL_FROM_C,
    SYRUP_SOURCE,
    boiling_point,
    boils_at,
    sucrose_at,
    sucrose_equivalent,
    water_left,
)
from fernbell.core.heat.density import baume_of, brix_of, gravity_of, syrup_density
from fernbell.core.heat.freezing import FREEZING_SOURCE, freezing_point, ice_share
from fernbell.core.heat.solutions import (
    POLYOLS,
    SATURATION_G,
    SOLUTES,
    Solute,
    Solution,
    crystallizing,
    ideal_activity,
    merged,
    solution,
    syrup_solids,
    water_activity,
    water_at,
)
from fernbell.core.heat.steam import (
    MOST_ALTITUDE_M,
    air_pressure,
    ice_activity,
    steam_pressure,
    steam_temperature,
)

__all__ = [
    "CARAMEL_FROM_C",
    "FREEZING_SOURCE",
    "MOST_ALTITUDE_M",
    "POLYOLS",
    "SATURATION_G",
    "SOLUTES",
    "SYRUP_SOURCE",
    "Solute",
    "Solution",
    "air_pressure",
    "baume_of",
    "boiling_point",
    "boils_at",
    "brix_of",
    "crystallizing",
    "freezing_point",
    "gravity_of",
    "ice_activity",
    "ice_share",
    "ideal_activity",
    "merged",
    "solution",
    "steam_pressure",
    "steam_temperature",
    "sucrose_at",
    "sucrose_equivalent",
    "syrup_density",
    "syrup_solids",
    "water_activity",
    "water_at",
    "water_left",
]
