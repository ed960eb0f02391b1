"""What a formula's water does: how active it is, where it boils and freezes, how much is ice."""

from fernbell.core.errors import CoreError
from fernbell.core.formulas.cooking import SOLUBLE, SOLUBLE_KINDS
from fernbell.core.formulas.figures.figure import Figure, always, one
from fernbell.core.formulas.kinds import BAKED
from fernbell.core.formulas.mix import Mix
from fernbell.core.heat import (
    FREEZING_SOURCE,
    SORPTION_SOURCE,
    SYRUP_SOURCE,
    WATER_G_MOL,
    Solution,
    baked_activity,
    boils_at,
    crystallizing,
    freezing_point,
    ice_share,
    sucrose_equivalent,
    water_activity,
)
from fernbell.core.heat.sorption import GUGGENHEIM, MONOLAYER, MULTILAYER
from fernbell.core.pantry import FATS
from fernbell.core.working import Given, Working, figure_text

FREEZER_C = -18.0
STRONGEST_PERCENT = 80.0
"""Above this share of what is dissolved Norrish fails."""

_NORRISH = (
    "Norrish 1966 for several solutes, constants of Chirife et al. 1980, from memory; acids as "
    "citric, salt as two ions, alcohol ideal; fat, starch, protein and cocoa count as inert"
)
_ACTIVE = "up to 80 % dissolved; within 0.01 at 0.90 and 0.03 at 0.80; no promise of shelf life"
_BOILS = "0 to 98 % sugar; mixed sugars and alcohol by approximation"
_FREEZES = "up to 80 % dissolved"
_PARTS = ("water", *SOLUBLE, *SOLUBLE_KINDS)


BAKED_DRY = ("crumble", "crisp", "meringue", "paste", "sponge")
DRY_BELOW = 0.12
"""Kinds that may be baked until nothing in them is a syrup any more, and with how much water on
what is dry and no fat they are [g/g]; common practice."""


def _dissolved_percent(mix: Mix) -> float:
    own = mix.solution
    solids = own.solids_g
    return 100 * solids / (solids + own.water_g) if solids + own.water_g else 100.0


def _is_baked_dry(mix: Mix) -> bool:
    formula = mix.lines.formula
    baked = formula.kind in BAKED_DRY and formula.losses.cooking_percent > 0
    return baked and mix.grams("water") < DRY_BELOW * _dry_g(mix)


def _dry_g(mix: Mix) -> float:
    return mix.own.mass_g - mix.grams("water", "alcohol", *FATS)


def _active(mix: Mix) -> float:
    if _is_baked_dry(mix):
        return baked_activity(mix.grams("water"), _dry_g(mix))
    return water_activity(mix.solution)


def _can_be_told(mix: Mix) -> None:
    if not _is_baked_dry(mix):
        _not_too_dry(mix)


def _not_too_dry(mix: Mix) -> None:
    percent = _dissolved_percent(mix)
    if percent > STRONGEST_PERCENT:
        allowed = f"at most {STRONGEST_PERCENT:g} % of it and its water together"
        raise CoreError("dissolved", f"{percent:.3g} %", allowed)


def _caveat(mix: Mix) -> str:
    names = crystallizing(mix.solution)
    if not names:
        return ""
    return f"More {' and '.join(names)} than its water dissolves at 20 °C: part may crystallize."


def _given(own: Solution) -> tuple[Given, ...]:
    return (
        Given("water", own.water_g, "g"),
        *(Given(solute.name, mass, "g") for solute, mass in own.dissolved),
    )


def _without_alcohol(own: Solution) -> Solution:
    """A solution as it boils: alcohol leaves first; common practice."""
    return Solution(own.water_g, tuple(one for one in own.dissolved if one[0].name != "alcohol"))


def _baked(mix: Mix) -> Working:
    water, dry, value = mix.grams("water"), _dry_g(mix), _active(mix)
    return Working(
        figure=f"Water activity of {mix.own.name}, baked dry",
        value=value,
        unit="",
        given=(Given("water", water, "g"), Given("dry, without fat", dry, "g")),
        law="water on what is dry = M0 C K a / ((1 − K a)(1 − K a + C K a)), M0 "
        f"{MONOLAYER:g}, C {GUGGENHEIM:g}, K {MULTILAYER:g}",
        arithmetic=f"{figure_text(water)} / {figure_text(dry)} = {figure_text(water / dry)} → "
        f"a = {figure_text(value)}",
        source=SORPTION_SOURCE,
    )


def _activity(mix: Mix) -> Working:
    if _is_baked_dry(mix):
        return _baked(mix)
    made, own = mix.own, mix.solution
    value = water_activity(own)
    water, moles = own.water_g / WATER_G_MOL, own.moles
    total = water + moles
    return Working(
        figure=f"Water activity of {made.name}",
        value=value,
        unit="",
        given=(*_given(own), Given("water", water, "mol"), Given("dissolved", moles, "mol")),
        law="ln a = ln Xw − (sum of √K × X)²",
        arithmetic=f"Xw = {figure_text(water)} / {figure_text(total)} = "
        f"{figure_text(water / total)}; sum of √K × X = {figure_text(own.pull)} / "
        f"{figure_text(total)} = {figure_text(own.pull / total)}; a = {figure_text(value)}",
        source=_NORRISH,
    )


def _boiling(mix: Mix) -> Working:
    made, own, altitude_m = mix.own, mix.solution, mix.lines.altitude_m
    sugars = _without_alcohol(own)
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
        law="boiling point of a sucrose syrup of the same strength, at this air pressure",
        arithmetic=f"100 × {figure_text(equivalent)} / ({figure_text(equivalent)} + "
        f"{figure_text(own.water_g)}) = {figure_text(percent)} % sucrose → {value:.1f} °C",
        source=SYRUP_SOURCE,
    )


def _freezing(mix: Mix) -> Working:
    made, own = mix.own, mix.solution
    value, active = freezing_point(own), water_activity(own)
    return Working(
        figure=f"Initial freezing point of {made.name}",
        value=value,
        unit="°C",
        given=_given(own),
        law="the temperature at which ice is in balance with the solution",
        arithmetic=f"water activity {active:.4f} = p(ice) / p(water) at {value:.2f} °C",
        source=FREEZING_SOURCE,
    )


def _frozen(mix: Mix) -> Working:
    made, own = mix.own, mix.solution
    share = ice_share(own, FREEZER_C)
    ice = share * own.water_g
    value = 100 * ice / made.mass_g
    return Working(
        figure=f"Ice in {made.name} at −18 °C",
        value=value,
        unit="%",
        given=(*_given(own), Given("frozen share of the water", 100 * share, "%")),
        law="water left liquid holds what is dissolved in balance with ice; the rest is frozen",
        arithmetic=f"100 × {figure_text(share)} × {figure_text(own.water_g)} / "
        f"{figure_text(made.mass_g)} = {figure_text(value)} % of its weight",
        source=FREEZING_SOURCE,
    )


ACTIVITY = Figure(
    "water-activity",
    "Water activity",
    "",
    _active,
    one,
    "water activity, of what is baked dry by its isotherm, else by Norrish",
    "",
    source=_NORRISH,
    parts=(*_PARTS, *FATS),
    valid=_ACTIVE,
    shown=always,
    asked=True,
    explain=_activity,
    decimals=3,
    holds=_can_be_told,
    caveat=_caveat,
    by_cooking=True,
)
BOILS = Figure(
    "boils",
    "Boils at, here",
    "°C",
    lambda mix: boils_at(_without_alcohol(mix.solution), mix.lines.altitude_m),
    one,
    "boiling point of a sucrose syrup of the same strength",
    "",
    source=SYRUP_SOURCE,
    parts=_PARTS,
    valid=_BOILS,
    shown=lambda mix, kind: kind not in BAKED,
    asked=True,
    explain=_boiling,
    caveat=_caveat,
)
FREEZES = Figure(
    "freezes",
    "Begins to freeze",
    "°C",
    lambda mix: freezing_point(mix.solution),
    one,
    "initial freezing point",
    "",
    source=FREEZING_SOURCE,
    parts=_PARTS,
    valid=_FREEZES,
    shown=always,
    explain=_freezing,
    holds=_not_too_dry,
    caveat=_caveat,
)
ICE = Figure(
    "ice",
    "Ice at −18 °C",
    "%",
    lambda mix: ice_share(mix.solution, FREEZER_C) * mix.solution.water_g,
    lambda mix: mix.own.mass_g,
    "ice",
    "the whole",
    100,
    FREEZING_SOURCE,
    parts=_PARTS,
    valid=_FREEZES,
    shown=always,
    explain=_frozen,
    holds=_not_too_dry,
    caveat=_caveat,
)
BRIX = Figure(
    "brix",
    "Brix",
    "°Bx",
    lambda mix: mix.solution.solids_g,
    lambda mix: mix.solution.solids_g + mix.grams("water"),
    "what is dissolved",
    "it and the water",
    100,
    parts=_PARTS,
    asked=True,
)
