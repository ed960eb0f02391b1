"""Where a solution begins to freeze, and how much of its water is ice at a temperature."""

from scipy.optimize import brentq

from fernbell.core.errors import check_range
from fernbell.core.heat.solutions import Solution, water_activity, water_at
from fernbell.core.heat.steam import ice_activity

COLDEST_C = -40.0

FREEZING_SOURCE = (
    "activity by Norrish (constants from memory) in balance with ice, Murphy and Koop 2005, from "
    "memory"
)


def freezing_point(own: Solution) -> float:
    """Initial freezing point: the temperature at which ice is in balance with the solution.

    Args:
        own: water and what is dissolved [Solution].
    Returns:
        temperature [°C].
    Raises:
        OutOfRange: no water, or so strong that it would not freeze above -40 °C.
    Source:
        Norrish activity = p(ice) / p(water), by a bracketing root finder (scipy brentq).
    """
    activity = water_activity(own)
    check_range("water_activity", activity, least=ice_activity(COLDEST_C), most=1)
    return float(brentq(lambda t: ice_activity(t) - activity, COLDEST_C, 0.0, xtol=1e-9))


def ice_share(own: Solution, temperature_c: float) -> float:
    """Share of the water that is ice: what is left liquid is in balance with it.

    Args:
        own: water and what is dissolved [Solution].
        temperature_c: temperature, -40 to 0 [°C].
    Returns:
        share of the water [0 to 1].
    Raises:
        OutOfRange: no water, or a temperature outside that range.
    Source:
        Norrish equilibrium; 6 to 8 % less ice than Miles's rule at -10 to -18 °C.
    """
    check_range("water_g", own.water_g, most=1e9, open_least=True)
    check_range("temperature_c", temperature_c, least=COLDEST_C, most=-1e-9)
    return max(0.0, 1 - water_at(own, ice_activity(temperature_c)) / own.water_g)
