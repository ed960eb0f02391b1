"""Units, kitchen measures and rounding to a scale."""

from fernbell.core.measures.amounts import STATES, Amount, folded, read_amount
from fernbell.core.measures.kitchen import MEANS, Measure, System, measured
from fernbell.core.measures.lists import MOST_PASTED, Pasted, read_list
from fernbell.core.measures.scale import Rounded, round_to_scale
from fernbell.core.measures.units import (
    celsius_from_fahrenheit,
    fahrenheit_from_celsius,
    grams,
    is_mass,
    is_volume,
    millilitres,
    millimetres,
)

__all__ = [
    "MEANS",
    "MOST_PASTED",
    "STATES",
    "Amount",
    "Measure",
    "Pasted",
    "Rounded",
    "System",
    "celsius_from_fahrenheit",
    "fahrenheit_from_celsius",
    "folded",
    "grams",
    "is_mass",
    "is_volume",
    "measured",
    "millilitres",
    "millimetres",
    "read_amount",
    "read_list",
    "round_to_scale",
]
