"""Exact conversions into grams, millilitres, millimetres and degrees Celsius."""

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
)

# What is written in a kitchen, and the unit meant. US spoons and cups where no country is named.
WRITTEN = {
    "g": "gram",
    "gram": "gram",
    "grams": "gram",
    "kg": "kilogram",
    "mg": "milligram",
    "oz": "ounce",
    "lb": "pound",
    "lbs": "pound",
    "ml": "milliliter",
    "cl": "centiliter",
    "dl": "deciliter",
    "l": "liter",
    "cup": "cup",
    "cups": "cup",
    "ounce": "ounce",
    "ounces": "ounce",
    "pound": "pound",
    "pounds": "pound",
    "litre": "liter",
    "litres": "liter",
    "liter": "liter",
    "liters": "liter",
    "us cup": "cup",
    "us cups": "cup",
    "us tbsp": "tablespoon",
    "us tsp": "teaspoon",
    "us fl oz": "fluid_ounce",
    "us pint": "pint",
    "metric cup": "metric_cup",
    "metric cups": "metric_cup",
    "metric tbsp": "metric_tablespoon",
    "metric tsp": "metric_teaspoon",
    "imperial cup": "imperial_cup",
    "imperial cups": "imperial_cup",
    "imperial pint": "imperial_pint",
    "imperial fl oz": "imperial_fluid_ounce",
    "uk cup": "imperial_cup",
    "uk pint": "imperial_pint",
    "uk fl oz": "imperial_fluid_ounce",
    "australian tbsp": "au_tablespoon",
    "au tbsp": "au_tablespoon",
    "au cup": "metric_cup",
    "tbsp": "tablespoon",
    "tablespoon": "tablespoon",
    "tablespoons": "tablespoon",
    "tsp": "teaspoon",
    "teaspoon": "teaspoon",
    "teaspoons": "teaspoon",
    "fl oz": "fluid_ounce",
    "pt": "pint",
    "pint": "pint",
    "pints": "pint",
    "stick": "butter_stick",
    "sticks": "butter_stick",
    "mm": "millimeter",
    "cm": "centimeter",
    "in": "inch",
}


@cache
def _registry() -> pint.UnitRegistry[float]:
    registry: pint.UnitRegistry[float] = pint.UnitRegistry()
    for definition in KITCHEN_UNITS:
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
