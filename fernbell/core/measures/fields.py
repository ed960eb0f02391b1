"""Reading a measure typed into a field: '1/2"', '12 mm', '1 h 30 min', '1 lb 3 oz', '104 °F'."""

import re
from collections.abc import Callable, Mapping

from fernbell.core.errors import NotUnderstood
from fernbell.core.measures.numbers import plain_fractions, take_number
from fernbell.core.measures.units import (
    WRITTEN,
    celsius_from_fahrenheit,
    grams,
    millilitres,
    millimetres,
)

_MINUTES = {
    **dict.fromkeys(("min", "mins", "minute", "minutes", "m", "'"), 1.0),
    **dict.fromkeys(("h", "hr", "hrs", "hour", "hours"), 60.0),
    **dict.fromkeys(("s", "sec", "secs", "second", "seconds"), 1 / 60),
    **dict.fromkeys(("d", "day", "days"), 1440.0),
}
_CELSIUS = ("°c", "c", "celsius", "degc", "degrees c", "º c", "ºc")
_FAHRENHEIT = ("°f", "f", "fahrenheit", "degf", "degrees f", "ºf")
_UNIT = re.compile(r"\s*([^\d+-]*[^\d\s+-])?\s*")
_SAID: Mapping[str, str] = {
    "mm": "a length, such as 12 mm, 1.2 cm or 1/2 in",
    "g": "a weight, such as 250 g, 1.5 kg or 8 oz",
    "ml": "a volume, such as 250 ml, 1/2 l or 1 cup",
    "°C": "a temperature, such as 83 °C or 181 °F",
    "min": "a time, such as 90 min or 1 h 30 min",
}

_INCH_MARKS = str.maketrans("″”“", '"""')

Convert = Callable[[float, str], float]


def _length(value: float, unit: str) -> float:
    return millimetres(value, _written(unit.translate(_INCH_MARKS)))


def _mass(value: float, unit: str) -> float:
    return grams(value, _written(unit))


def _volume(value: float, unit: str) -> float:
    return millilitres(value, _written(unit))


def _written(unit: str) -> str:
    """Only what a kitchen writes: nothing else is handed on to be read as a unit."""
    if unit not in WRITTEN:
        raise KeyError(unit)
    return unit


def _temperature(value: float, unit: str) -> float:
    if unit in _FAHRENHEIT:
        return celsius_from_fahrenheit(value)
    if unit in _CELSIUS:
        return value
    raise KeyError(unit)


def _time(value: float, unit: str) -> float:
    return value * _MINUTES[unit]


_BY_UNIT: Mapping[str, Convert] = {
    "mm": _length,
    "g": _mass,
    "ml": _volume,
    "°C": _temperature,
    "min": _time,
}


def read_measure(text: str, kept: str, shown: str = "") -> float:
    """The value of a measure in the unit it is kept in.

    Args:
        text: as typed: a number or a fraction, with a unit or without [text].
        kept: the unit the field is kept in: mm, g, ml, °C, min, or any other [text].
        shown: the unit a bare number is meant in; the kept one where nothing is said [text].
    Returns:
        the value [kept].
    Raises:
        NotUnderstood: no number, a range, a unit of something else, thousands that may be decimals.
    Source:
        exact definitions of the units.
    """
    plain = plain_fractions(" ".join(text.split())).strip()
    sign = -1.0 if plain[:1] in ("-", "−") else 1.0
    rest, total, read = plain.lstrip("+-−"), 0.0, 0
    while rest:
        taken = take_number(rest)
        if taken is None or taken[0].is_range:
            raise _refused(text, kept)
        unit = _UNIT.match(taken[1])
        assert unit is not None
        total += _converted(taken[0].value, unit.group(1) or "", text, kept, shown or kept)
        rest = taken[1][unit.end() :]
        read += 1
    if not read:
        raise _refused(text, kept)
    return sign * total


def _converted(value: float, unit: str, text: str, kept: str, shown: str) -> float:
    plain = (unit or shown).strip(" .").lower()
    convert = _BY_UNIT.get(kept)
    if plain == kept.lower():
        return value
    if convert is None:
        raise _refused(text, kept)
    try:
        return convert(value, plain)
    except (KeyError, ValueError):
        raise _refused(text, kept) from None


def _refused(text: str, kept: str) -> NotUnderstood:
    said = _SAID.get(kept, f"one number{f' of {kept}' if kept else ''}")
    return NotUnderstood("value", f"‘{text.strip()}’", said)
