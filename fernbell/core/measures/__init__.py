"""Units, kitchen measures and rounding to a scale."""

from fernbell.core.measures.amounts import Amount, read_amount
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
    "Amount",
    "Rounded",
    "celsius_from_fahrenheit",
    "fahrenheit_from_celsius",
    "grams",
    "is_mass",
    "is_volume",
    "millilitres",
    "millimetres",
    "read_amount",
    "round_to_scale",
]
