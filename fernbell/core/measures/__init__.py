"""Units, kitchen measures and rounding to a scale."""

from fernbell.core.measures.amounts import CONTAINERS, STATES, Amount, holds_amount, read_amount
from fernbell.core.measures.degrees import in_fahrenheit
from fernbell.core.measures.fields import read_measure
from fernbell.core.measures.kitchen import (
    MEANS,
    METRIC_PINTS,
    PINTS,
    Measure,
    System,
    measured,
)
from fernbell.core.measures.lists import MOST_PASTED, Pasted, read_list
from fernbell.core.measures.numbers import DIGITS, number_of, plain_fractions
from fernbell.core.measures.scale import Rounded, round_to_scale
from fernbell.core.measures.units import (
    SCALES,
    SHORT_SCALES,
    WRITTEN,
    Scale,
    celsius_from_fahrenheit,
    fahrenheit_from_celsius,
    grams,
    is_length,
    is_mass,
    is_volume,
    millilitres,
    millimetres,
)
from fernbell.core.measures.words import folded, name_key, ordered, singular, words_of

__all__ = [
    "CONTAINERS",
    "DIGITS",
    "MEANS",
    "METRIC_PINTS",
    "MOST_PASTED",
    "PINTS",
    "SCALES",
    "SHORT_SCALES",
    "STATES",
    "WRITTEN",
    "Amount",
    "Measure",
    "Pasted",
    "Rounded",
    "Scale",
    "System",
    "celsius_from_fahrenheit",
    "fahrenheit_from_celsius",
    "folded",
    "grams",
    "holds_amount",
    "in_fahrenheit",
    "is_length",
    "is_mass",
    "is_volume",
    "measured",
    "millilitres",
    "millimetres",
    "name_key",
    "number_of",
    "ordered",
    "plain_fractions",
    "read_amount",
    "read_list",
    "read_measure",
    "round_to_scale",
    "singular",
    "words_of",
]
