"""Syrups on the stove: how hot they boil, and how much water is left at a temperature."""

from functools import lru_cache

from scipy.interpolate import PchipInterpolator
from scipy.optimize import brentq

from fernbell.core.errors import OutOfRange, check_range
from fernbell.core.heat.solutions import SOLUTES, Solution, water_activity
from fernbell.core.heat.steam import SEA_LEVEL_PA, air_pressure, steam_pressure, steam_temperature

CURVE = (
    *((0.0, 100.0), (10.0, 100.15), (20.0, 100.4), (30.0, 100.7), (40.0, 101.15), (50.0, 101.85)),
    *((60.0, 103.0), (65.0, 103.9), (70.0, 105.3), (75.0, 107.3), (80.0, 110.4), (85.0, 115.0)),
    *((88.0, 119.5), (90.0, 123.0), (92.0, 128.2), (94.0, 135.3), (95.0, 139.8), (96.0, 145.0)),
    *((97.0, 150.5), (98.0, 157.0)),
)
"""Boiling point of sucrose syrups at the sea [% sucrose, °C]: a reconciliation of Norrish,
Starzak and Peacock 1997 and confectioners' tables, all from memory; they scatter 1-3 K above 80 %.
"""

MOST_SUCROSE_PERCENT = 98.0
CARAMEL_FROM_C = 157.0
"""Above the curve's last point the water is gone: it is caramel, not syrup."""

MODERATE_PERCENT = 40.0
"""Strength at which mixed sugars are turned into sucrose of the same water activity."""

SYRUP_SOURCE = (
    "curve of sucrose boiling points, reconciled from Norrish, Starzak and Peacock 1997 and "
    "confectioners' tables, from memory; equal activity at the kitchen's air pressure"
)

_curve = PchipInterpolator(*zip(*CURVE, strict=True))


def boiling_point(sucrose_percent: float, altitude_m: float = 0.0) -> float:
    """Boiling point of a sucrose syrup; at equal activity, psat(T) = P / a.

    Args:
        sucrose_percent: sucrose in the syrup, 0 to 98 [%].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        temperature [°C].
    Raises:
        OutOfRange: more than 98 %, where it is caramel, or an altitude that is none.
    Source:
        monotone curve at the sea (see CURVE), activity kept at the lower pressure.
    """
    check_range("sucrose_percent", sucrose_percent, most=MOST_SUCROSE_PERCENT)
    at_sea = float(_curve(sucrose_percent))
    if altitude_m == 0:
        return at_sea
    activity = SEA_LEVEL_PA / steam_pressure(at_sea)
    return steam_temperature(air_pressure(altitude_m) / activity)


def sucrose_at(temperature_c: float, altitude_m: float = 0.0) -> float:
    """Strength of a sucrose syrup that boils at a temperature; the inverse of `boiling_point`.

    Args:
        temperature_c: reading of the thermometer in the pan [°C].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        sucrose in the syrup [%].
    Raises:
        OutOfRange: cooler than boiling water there, or so hot that the water is gone.
    Source:
        inverse of the curve, by a bracketing root finder (scipy brentq).
    """
    least = boiling_point(0.0, altitude_m)
    most = boiling_point(MOST_SUCROSE_PERCENT, altitude_m)
    check_range("temperature_c", temperature_c, least=least - 1e-9, most=most + 1e-9)

    def off(percent: float) -> float:
        return boiling_point(percent, altitude_m) - temperature_c

    if temperature_c <= least:
        return 0.0
    if temperature_c >= most:
        return MOST_SUCROSE_PERCENT
    return float(brentq(off, 0.0, MOST_SUCROSE_PERCENT, xtol=1e-6))


@lru_cache(maxsize=4096)
def sucrose_equivalent(own: Solution) -> float:
    """Sucrose that lowers the water's activity as much as what is dissolved.

    Both are compared in the water in which what is dissolved is 40 %; the factor is then kept
    at any strength, which is an approximation.

    Args:
        own: what is dissolved; its water is not used [Solution].
    Returns:
        sucrose [g].
    Source:
        Norrish at moderate strength; approximation of this project.
    """
    solids = own.solids_g
    if solids == 0:
        return 0.0
    water = solids * (100 / MODERATE_PERCENT - 1)
    wanted = water_activity(Solution(water, own.dissolved))
    sucrose = SOLUTES["sucrose"]

    def off(grams: float) -> float:
        return water_activity(Solution(water, ((sucrose, grams),))) - wanted

    return float(brentq(off, 0.0, 40 * solids, xtol=1e-9 * solids, rtol=1e-12))


def water_left(own: Solution, temperature_c: float, altitude_m: float = 0.0) -> float:
    """Water left when what is dissolved is boiled to a temperature.

    w = E (100 / x - 1), for E sucrose-equivalent and x per cent sucrose at the temperature

    Args:
        own: what is dissolved; its water is not used [Solution].
        temperature_c: final temperature in the pan [°C].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        water [g].
    Raises:
        OutOfRange: nothing is dissolved, the temperature is cooler than boiling water there, or
            so hot that the water is gone.
    Source:
        boiling curve of sucrose at equal activity; mass balance.
    """
    equivalent = sucrose_equivalent(own)
    if equivalent == 0:
        raise OutOfRange("temperature_c", temperature_c, "left out: nothing is dissolved in it")
    percent = sucrose_at(temperature_c, altitude_m)
    if percent == 0:
        raise OutOfRange("temperature_c", temperature_c, "above what water boils at there")
    return equivalent * (100 / percent - 1)


def boils_at(own: Solution, altitude_m: float = 0.0) -> float:
    """Temperature at which a solution boils.

    Args:
        own: water and what is dissolved [Solution].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        temperature [°C].
    Raises:
        OutOfRange: neither water nor anything dissolved, or stronger than 98 %.
    Source:
        boiling curve of sucrose at equal activity.
    """
    equivalent = sucrose_equivalent(own)
    check_range("water_g", own.water_g + equivalent, most=1e12, open_least=True)
    return boiling_point(100 * equivalent / (equivalent + own.water_g), altitude_m)
