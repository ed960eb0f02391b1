"""Exact conversions into grams, millilitres, millimetres and degrees Celsius."""

from dataclasses import dataclass
from functools import cache

import pint

from fernbell.core.errors import UnknownUnit

# Kitchen measures pint does not define; all exact by definition.
KITCHEN_UNITS = (
    "metric_cup = 250 * milliliter",
    "metric_tablespoon = 15 * milliliter",
    "metric_teaspoon = 5 * milliliter",
    "au_tablespoon = 20 * milliliter",
    "butter_stick = 4 * ounce",
    "dessertspoon = 10 * milliliter",
)

# Common practice, not defined anywhere: an espresso or a small measure, what two or three fingers
# take (of fine salt 0.3 to 0.5 g), a shake of the bottle, a drop, what a knife takes of butter.
KITCHEN_HABITS = (
    "kitchen_shot = 30 * milliliter",
    "kitchen_pinch = 0.3 * milliliter",
    "kitchen_dash = 0.6 * milliliter",
    "kitchen_drop = 0.05 * milliliter",
    "kitchen_knob = 15 * gram",
)


# What is written in a kitchen, and the unit meant. US spoons and cups where no country is named.
def _all(names: str, unit: str) -> dict[str, str]:
    return dict.fromkeys(names.split(", "), unit)


_SPOONS = (
    "tbsp, tbsps, tbs, tbl, tbls, tblsp, tablespoon, tablespoons, tablespoonful, tablespoonfuls, "
    "us tbsp"
)
_TEAS = "tsp, tsps, teaspoon, teaspoons, teaspoonful, teaspoonfuls, us tsp"
WRITTEN = {
    **_all("g, gr, gm, gms, gram, grams, gramme, grammes", "gram"),
    **_all("kg, kgs, kilo, kilos, kilogram, kilograms", "kilogram"),
    **_all("mg, milligram, milligrams", "milligram"),
    **_all("oz, ounce, ounces", "ounce"),
    **_all("lb, lbs, pound, pounds", "pound"),
    **_all("ml, mls, cc, milliliter, milliliters, millilitre, millilitres", "milliliter"),
    **_all("cl, centiliter, centiliters, centilitre, centilitres", "centiliter"),
    **_all("dl, deciliter, deciliters, decilitre, decilitres", "deciliter"),
    **_all("l, lt, ltr, liter, liters, litre, litres", "liter"),
    **_all("cup, cups, cupful, cupfuls, us cup, us cups", "cup"),
    **_all(_SPOONS, "tablespoon"),
    **_all(_TEAS, "teaspoon"),
    **_all("fl oz, floz, fluid oz, fluid ounce, fluid ounces, us fl oz", "fluid_ounce"),
    **_all("pt, pint, pints, us pint, us pints", "pint"),
    **_all("qt, qts, quart, quarts, us quart, us quarts", "quart"),
    **_all("gal, gallon, gallons, us gallon", "gallon"),
    **_all("metric cup, metric cups, au cup, australian cup", "metric_cup"),
    **_all("metric tbsp", "metric_tablespoon"),
    **_all("metric tsp", "metric_teaspoon"),
    **_all("imperial cup, imperial cups, uk cup", "imperial_cup"),
    **_all("imperial pint, imperial pints, uk pint, uk pints", "imperial_pint"),
    **_all("imperial quart, uk quart", "imperial_quart"),
    **_all("imperial gallon, uk gallon", "imperial_gallon"),
    **_all("imperial fl oz, uk fl oz", "imperial_fluid_ounce"),
    **_all("australian tbsp, au tbsp", "au_tablespoon"),
    **_all("dessertspoon, dessertspoons", "dessertspoon"),
    **_all("stick, sticks", "butter_stick"),
    **_all("shot, shots", "kitchen_shot"),
    **_all("pinch, pinches", "kitchen_pinch"),
    **_all("dash, dashes", "kitchen_dash"),
    **_all("drop, drops", "kitchen_drop"),
    **_all("knob, knobs", "kitchen_knob"),
    **_all("mm, millimeter, millimeters, millimetre, millimetres", "millimeter"),
    **_all("cm, centimeter, centimeters, centimetre, centimetres", "centimeter"),
    **_all("m, meter, meters, metre, metres", "meter"),
    **_all('in, inch, inches, ", ″', "inch"),
    **_all("ft, foot, feet", "foot"),
}


@cache
def _registry() -> pint.UnitRegistry[float]:
    registry: pint.UnitRegistry[float] = pint.UnitRegistry()
    for definition in (*KITCHEN_UNITS, *KITCHEN_HABITS):
        registry.define(definition)
    return registry


@cache
def _factor(unit: str, into: str) -> float:
    try:
        named = getattr(_registry(), WRITTEN.get(unit, unit))
        return float((1.0 * named).to(into).magnitude)
    except (AttributeError, pint.PintError) as error:
        raise UnknownUnit("unit", unit, f"a unit that converts to {into}") from error


def _converts(unit: str, into: str) -> bool:
    try:
        return _factor(unit, into) > 0
    except UnknownUnit:
        return False


def is_mass(unit: str) -> bool:
    """Tell whether a unit measures mass.

    Args:
        unit: as written in a kitchen, or by its full name [text].
    Returns:
        true for g, oz, stick ... [bool].
    Source:
        definition.
    """
    return _converts(unit, "gram")


def is_metric(unit: str) -> bool:
    """Tell whether a unit is metric.

    Args:
        unit: as written in a kitchen [text].
    Returns:
        true for g, ml, dl ...; false for cups, spoons, ounces [bool].
    Source:
        definition.
    """
    return WRITTEN.get(unit, unit).endswith(("gram", "liter"))


def is_volume(unit: str) -> bool:
    """Tell whether a unit measures volume.

    Args:
        unit: as written in a kitchen, or by its full name [text].
    Returns:
        true for ml, cup, tbsp ... [bool].
    Source:
        definition.
    """
    return _converts(unit, "milliliter")


def is_length(unit: str) -> bool:
    """Tell whether a unit measures length.

    Args:
        unit: as written in a kitchen, or by its full name [text].
    Returns:
        true for mm, cm, in ... [bool].
    Source:
        definition.
    """
    return _converts(unit, "millimeter")


def grams(value: float, unit: str) -> float:
    """Convert a mass to grams.

    Args:
        value: how many [unit].
        unit: a unit of mass [text].
    Returns:
        mass [g].
    Raises:
        UnknownUnit: not a unit of mass.
    Source:
        exact definitions (international pound 453.59237 g), by pint.
    """
    return value * _factor(unit, "gram")


def millilitres(value: float, unit: str) -> float:
    """Convert a volume to millilitres.

    Args:
        value: how many [unit].
        unit: a unit of volume [text].
    Returns:
        volume [ml].
    Raises:
        UnknownUnit: not a unit of volume.
    Source:
        exact definitions (US gallon 231 cubic inches, imperial gallon 4.54609 l, metric cup
        250 ml, Australian tablespoon 20 ml), by pint.
    """
    return value * _factor(unit, "milliliter")


def millimetres(value: float, unit: str) -> float:
    """Convert a length to millimetres.

    Args:
        value: how many [unit].
        unit: a unit of length [text].
    Returns:
        length [mm].
    Raises:
        UnknownUnit: not a unit of length.
    Source:
        exact definition (inch 25.4 mm), by pint.
    """
    return value * _factor(unit, "millimeter")


def celsius_from_fahrenheit(temperature_f: float) -> float:
    """Convert a temperature; t_C = (t_F - 32) / 1.8.

    Args:
        temperature_f: temperature [°F].
    Returns:
        temperature [°C].
    Source:
        definition, exact.
    """
    return (temperature_f - 32.0) / 1.8


def fahrenheit_from_celsius(temperature_c: float) -> float:
    """Convert a temperature; t_F = 1.8 t_C + 32.

    Args:
        temperature_c: temperature [°C].
    Returns:
        temperature [°F].
    Source:
        definition, exact.
    """
    return temperature_c * 1.8 + 32.0


@dataclass(frozen=True, slots=True)
class Scale:
    """A unit some people read otherwise than it is kept: shown = kept x times + plus, exact."""

    kept: str
    shown: str
    times: float
    plus: float = 0.0


@dataclass(frozen=True, slots=True)
class ShortScale:
    """How an amount is said in passing: shown = kept × times, to so many decimals."""

    kept: str
    shown: str
    times: float
    decimals: int


SHORT_SCALES = (
    ShortScale("mm", "m", 0.001, 2),
    ShortScale("pieces", "pieces", 1.0, 1),
    ShortScale("ml", "ml", 1.0, 0),
    ShortScale("cm²", "cm²", 1.0, 0),
    ShortScale("g", "g", 1.0, 0),
)
"""Strips are long, and said in meters; volumes and surfaces are said whole."""

SCALES = (Scale("°C", "°F", 1.8, 32.0), Scale("mm", "in", 1 / 25.4))
