"""Water held by what is baked dry: no syrup any more, but starch, protein and glassy sugar."""

from scipy.optimize import brentq

from fernbell.core.errors import check_range

MONOLAYER, GUGGENHEIM, MULTILAYER = 0.055, 12.0, 0.9
"""M0 [g water on g of dry, fat-free], C and K of the GAB isotherm of biscuits and crusts at 20 to
25 °C; from memory, published fits scatter by a quarter. Baked goods of 2 to 6 % water lie at an
activity of 0.1 to 0.5, which agrees with common practice."""
SORPTION_SOURCE = (
    "GAB isotherm of biscuits and crusts, constants from memory, published fits scatter by a "
    "quarter; fat holds no water"
)
DRIEST, WETTEST = 0.001, 0.94


def held(activity: float) -> float:
    """Water held at an activity; m = M0 C K a / ((1 - K a)(1 - K a + C K a)).

    Args:
        activity: 0 to 0.94 [1].
    Returns:
        water on dry, fat-free solids [g/g].
    Raises:
        OutOfRange: outside that range.
    Source:
        Guggenheim, Anderson and de Boer; constants from memory.
    """
    check_range("activity", activity, most=WETTEST)
    bound = MULTILAYER * activity
    return MONOLAYER * GUGGENHEIM * bound / ((1 - bound) * (1 - bound + GUGGENHEIM * bound))


def baked_activity(water_g: float, dry_g: float) -> float:
    """Water activity of something baked dry; the inverse of `held`.

    Args:
        water_g: water in it [g].
        dry_g: solids in it without fat [g].
    Returns:
        activity [1].
    Raises:
        OutOfRange: nothing dry in it, or more water than the isotherm tells of.
    Source:
        inverse by a bracketing root finder (scipy brentq).
    """
    check_range("dry_g", dry_g, most=1e12, open_least=True)
    share = water_g / dry_g
    check_range("water", share, most=held(WETTEST))
    if share <= held(DRIEST):
        return DRIEST
    return float(brentq(lambda a: held(a) - share, DRIEST, WETTEST, xtol=1e-9))
