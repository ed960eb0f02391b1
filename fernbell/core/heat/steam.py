"""Water, steam and ice: vapor pressures, and the air pressure of a kitchen above the sea."""

import math

from scipy.optimize import brentq

from fernbell.core.errors import check_range

SEA_LEVEL_PA = 101_325.0
ZERO_C_K = 273.15
TRIPLE_K = 273.16
MOST_ALTITUDE_M = 5000.0

_CRITICAL_K, _CRITICAL_PA = 647.096, 22.064e6
_WAGNER = (
    (-7.85951783, 1.0),
    (1.84408259, 1.5),
    (-11.7866497, 3.0),
    (22.6807411, 3.5),
    (-15.9618719, 4.0),
    (1.80122502, 7.5),
)


def air_pressure(altitude_m: float) -> float:
    """Air pressure of the standard atmosphere; p = 101325 (1 - 2.25577e-5 h)^5.25588.

    Args:
        altitude_m: height above the sea, -430 to 5000 [m].
    Returns:
        pressure [Pa].
    Raises:
        OutOfRange: an altitude outside that range.
    Source:
        International Standard Atmosphere (ISO 2533), from memory.
    """
    check_range("altitude_m", altitude_m, least=-430, most=MOST_ALTITUDE_M)
    return float(SEA_LEVEL_PA * (1 - 2.25577e-5 * altitude_m) ** 5.25588)


def steam_pressure(temperature_c: float) -> float:
    """Saturation pressure over liquid water, 0 to 370 °C.

    Args:
        temperature_c: temperature [°C].
    Returns:
        pressure [Pa].
    Raises:
        OutOfRange: a temperature outside 0 to 370 °C.
    Source:
        Wagner and Pruß 2002 (IAPWS), from memory; within 0.02 % of IAPWS-95 in the tests.
    """
    check_range("temperature_c", temperature_c, most=370)
    kelvin = temperature_c + ZERO_C_K
    tau = 1 - kelvin / _CRITICAL_K
    total = sum(a * tau**power for a, power in _WAGNER)
    return _CRITICAL_PA * math.exp(_CRITICAL_K / kelvin * total)


def steam_temperature(pressure_pa: float) -> float:
    """Temperature at which water boils under a pressure; the inverse of `steam_pressure`.

    Args:
        pressure_pa: pressure, 700 Pa to 20 MPa [Pa].
    Returns:
        temperature [°C].
    Raises:
        OutOfRange: a pressure outside that range.
    Source:
        inverse of Wagner and Pruß 2002, by a bracketing root finder (scipy brentq).
    """
    check_range("pressure_pa", pressure_pa, least=700, most=20e6)
    return float(brentq(lambda t: steam_pressure(t) - pressure_pa, 0.0, 370.0, xtol=1e-9))


def ice_activity(temperature_c: float) -> float:
    """Water activity at which a solution and ice are in balance: p(ice) / p(supercooled water).

    Args:
        temperature_c: temperature, -60 to 0 [°C].
    Returns:
        water activity [0 to 1].
    Raises:
        OutOfRange: a temperature outside that range.
    Source:
        Murphy and Koop 2005, from memory; within 0.2 % of vapor pressure tables in the tests.
    """
    check_range("temperature_c", temperature_c, least=-60, most=0)
    # Under air ice and water are in balance at 0 °C, in the formulas at the triple point.
    t = temperature_c + TRIPLE_K
    ice = 9.550426 - 5723.265 / t + 3.53068 * math.log(t) - 0.00728332 * t
    liquid = (
        54.842763
        - 6763.22 / t
        - 4.21 * math.log(t)
        + 0.000367 * t
        + math.tanh(0.0415 * (t - 218.8))
        * (53.878 - 1331.22 / t - 9.44523 * math.log(t) + 0.014025 * t)
    )
    return math.exp(ice - liquid)
