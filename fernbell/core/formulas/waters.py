"""What a formula's water does: how active it is, where it boils and freezes, how much is ice."""

from collections.abc import Callable

from fernbell.core.errors import CoreError
from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.cooking import SOLUBLE, SOLUBLE_KINDS, dissolved
from fernbell.core.formulas.gauge import Gauge, Section
from fernbell.core.heat import (
    FREEZING_SOURCE,
    SYRUP_SOURCE,
    WATER_G_MOL,
    Solution,
    boils_at,
    crystallizing,
    freezing_point,
    ice_share,
    sucrose_equivalent,
    water_activity,
)
from fernbell.core.working import Given, Working, figure_text

FREEZER_C = -18.0
STRONGEST_PERCENT = 80.0
"""Above this share of what is dissolved Norrish fails."""

_NORRISH = (
    "Norrish 1966 for several solutes, constants of Chirife et al. 1980, from memory; acids as "
    "citric, salt as two ions, alcohol ideal; fat, starch, protein and cocoa count as inert"
)


def waters(made: Composition, altitude_m: float, *, boiled: bool = True) -> tuple[Gauge, ...]:
    """The readings of a formula's water.

    Args:
        made: grams of each component [g].
        altitude_m: height of the kitchen above the sea [m].
        boiled: whether it may stand in a pot at all, unlike a sponge [bool].
    Returns:
        activity, boiling point, initial freezing point, ice at -18 °C [1, °C, °C, %].
    Source:
        see each working.
    """
    active = _gauge(made, "water-activity", "Water activity", _ACTIVE, activity)
    cold = (
        _gauge(made, "freezes", "Begins to freeze", _FREEZES, _freezes),
        _gauge(made, "ice", "Ice at −18 °C", _FREEZES, _ice),
    )
    if not boiled:
        return (active, *cold)
    return (
        active,
        _gauge(
            made, "boils", "Boils at, here", _BOILS, lambda one, own: boiling(one, own, altitude_m)
        ),
        *cold,
    )


_ACTIVE = "up to 80 % dissolved; within 0.01 at 0.90 and 0.03 at 0.80; no promise of shelf life"
_BOILS = "0 to 98 % sugar; mixed sugars and alcohol by approximation"
_FREEZES = "up to 80 % dissolved"

Read = Callable[[Composition, Solution], Working]


def _gauge(made: Composition, code: str, name: str, valid: str, read: Read) -> Gauge:
    parts = ("water", *SOLUBLE, *SOLUBLE_KINDS)
    if not made.known(*parts):
        needs = made.needs(*parts)
        return Gauge(code, name, Section.DOES, None, valid, needs, made.overcooked)
    own = Solution(made.grams["water"], dissolved(made.grams, made.kinds))
    try:
        if code != "boils":
            _refuse_dry(own)
        working = read(made, own)
    except CoreError as error:
        return Gauge(code, name, Section.DOES, None, valid, refusal=str(error))
    return Gauge(code, name, Section.DOES, working, valid, caveat=_caveat(own))


def _refuse_dry(own: Solution) -> None:
    solids = own.solids_g
    percent = 100 * solids / (solids + own.water_g) if solids + own.water_g else 100.0
    if percent > STRONGEST_PERCENT:
        allowed = f"at most {STRONGEST_PERCENT:g} % of it and its water together"
        raise CoreError("dissolved", f"{percent:.3g} %", allowed)


def _caveat(own: Solution) -> str:
    names = crystallizing(own)
    if not names:
        return ""
    return f"More {' and '.join(names)} than its water dissolves at 20 °C: part may crystallize."


def _given(own: Solution) -> tuple[Given, ...]:
    return (
        Given("water", own.water_g, "g"),
        *(Given(solute.name, mass, "g") for solute, mass in own.dissolved),
    )


def without_alcohol(own: Solution) -> Solution:
    """A solution as it boils: alcohol leaves before a syrup is at its boiling point.

    Args:
        own: the solution [Solution].
    Returns:
        the same without its alcohol [Solution].
    Source:
        common practice.
    """
    return Solution(own.water_g, tuple(one for one in own.dissolved if one[0].name != "alcohol"))


def activity(made: Composition, own: Solution) -> Working:
    """The working of a water activity.

    Args:
        made: whose water it is [Composition].
        own: its water and what is dissolved [Solution].
    Returns:
        water activity [1].
    Source:
        Norrish 1966, constants of Chirife et al. 1980, from memory.
    """
    value = water_activity(own)
    water, moles = own.water_g / WATER_G_MOL, own.moles
    total = water + moles
    return Working(
        figure=f"Water activity of {made.name}",
        value=value,
        unit="",
        given=(*_given(own), Given("water", water, "mol"), Given("dissolved", moles, "mol")),
        rule="ln a = ln Xw − (sum of √K × X)²",
        arithmetic=f"Xw = {figure_text(water)} / {figure_text(total)} = "
        f"{figure_text(water / total)}; sum of √K × X = {figure_text(own.pull)} / "
        f"{figure_text(total)} = {figure_text(own.pull / total)}; a = {figure_text(value)}",
        source=_NORRISH,
    )


def boiling(made: Composition, own: Solution, altitude_m: float) -> Working:
    """The working of a boiling point.

    Args:
        made: what boils [Composition].
        own: its water and what is dissolved [Solution].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        boiling point [°C].
    Source:
        boiling curve of syrups; mixed sugars as sucrose of the same water activity.
    """
    sugars = without_alcohol(own)
    value, equivalent = boils_at(sugars, altitude_m), sucrose_equivalent(sugars)
    percent = 100 * equivalent / (equivalent + own.water_g)
    return Working(
        figure=f"Boiling point of {made.name}",
        value=value,
        unit="°C",
        given=(
            *_given(sugars),
            Given("as much as sucrose of", equivalent, "g"),
            Given("altitude", altitude_m, "m"),
        ),
        rule="boiling point of a sucrose syrup of the same strength, at this air pressure",
        arithmetic=f"100 × {figure_text(equivalent)} / ({figure_text(equivalent)} + "
        f"{figure_text(own.water_g)}) = {figure_text(percent)} % sucrose → {value:.1f} °C",
        source=SYRUP_SOURCE,
    )


def _freezes(made: Composition, own: Solution) -> Working:
    value, active = freezing_point(own), water_activity(own)
    return Working(
        figure=f"Initial freezing point of {made.name}",
        value=value,
        unit="°C",
        given=_given(own),
        rule="the temperature at which ice is in balance with the solution",
        arithmetic=f"water activity {active:.4f} = p(ice) / p(water) at {value:.2f} °C",
        source=FREEZING_SOURCE,
    )


def _ice(made: Composition, own: Solution) -> Working:
    share = ice_share(own, FREEZER_C)
    ice = share * own.water_g
    value = 100 * ice / made.mass_g
    return Working(
        figure=f"Ice in {made.name} at −18 °C",
        value=value,
        unit="%",
        given=(*_given(own), Given("frozen share of the water", 100 * share, "%")),
        rule="water left liquid holds what is dissolved in balance with ice; the rest is frozen",
        arithmetic=f"100 × {figure_text(share)} × {figure_text(own.water_g)} / "
        f"{figure_text(made.mass_g)} = {figure_text(value)} % of its weight",
        source=FREEZING_SOURCE,
    )
