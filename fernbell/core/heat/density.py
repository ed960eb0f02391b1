"""Sucrose syrups by the hydrometer: Brix, density at 20 °C and Baumé."""

from scipy.optimize import brentq

from fernbell.core.errors import check_range

WATER_20_KG_M3 = 998.2023
BAUME_MODULUS = 145.0
_POLYNOMIAL = (WATER_20_KG_M3, 385.1761, 135.3705, 40.9299, -3.9643, 13.4853, -17.2890)


def syrup_density(brix: float) -> float:
    """Density of a sucrose solution at 20 °C, by a polynomial in the mass fraction.

    Args:
        brix: sucrose in the solution, 0 to 85 [% by mass].
    Returns:
        density [kg/m3].
    Raises:
        OutOfRange: a Brix outside that range.
    Source:
        ICUMSA SPS-4 (PTB, Emmerich 1994), coefficients from memory.
    """
    check_range("brix", brix, most=85)
    share = brix / 100
    return float(sum(one * share**power for power, one in enumerate(_POLYNOMIAL)))


def baume_of(brix: float) -> float:
    """Degrees Baumé of a sucrose syrup; Bé = 145 - 145 / SG(20/20).

    Args:
        brix: sucrose in the solution, 0 to 85 [% by mass].
    Returns:
        degrees Baumé, modulus 145 [°Bé].
    Raises:
        OutOfRange: a Brix outside that range.
    Source:
        definition of the modern scale; ICUMSA density.
    """
    return BAUME_MODULUS - BAUME_MODULUS * WATER_20_KG_M3 / syrup_density(brix)


def gravity_of(baume: float) -> float:
    """Specific gravity 20/20; SG = 145 / (145 - Bé).

    Args:
        baume: degrees Baumé, modulus 145, 0 to 45 [°Bé].
    Returns:
        specific gravity [1].
    Raises:
        OutOfRange: degrees outside that range.
    Source:
        definition of the modern scale.
    """
    check_range("baume", baume, most=45)
    return BAUME_MODULUS / (BAUME_MODULUS - baume)


def brix_of(baume: float) -> float:
    """Brix of a syrup of a degree Baumé.

    Args:
        baume: degrees Baumé, modulus 145, 0 to 44 [°Bé].
    Returns:
        sucrose in the solution [% by mass].
    Raises:
        OutOfRange: degrees outside that range.
    Source:
        inverse of the ICUMSA density, by a bracketing root finder (scipy brentq).
    """
    check_range("baume", baume, most=baume_of(85))
    if baume == 0:
        return 0.0
    return float(brentq(lambda brix: baume_of(brix) - baume, 0.0, 85.0, xtol=1e-8))
