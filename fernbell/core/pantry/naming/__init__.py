"""What things are called in a kitchen, and what a typed line means there."""

from fernbell.core.pantry.naming.lines import (
    ASKED_IN,
    Choice,
    Understood,
    of_amount,
    refused,
    understand,
)
from fernbell.core.pantry.naming.lookup import Finder, Lookup
from fernbell.core.pantry.naming.names import (
    MOST_CHOICES,
    Found,
    Named,
    Names,
    called,
    shared_names,
)
from fernbell.core.pantry.naming.spelling import Sought, all_names, spelled
from fernbell.core.pantry.naming.words import DESCRIPTIONS

__all__ = [
    "ASKED_IN",
    "DESCRIPTIONS",
    "MOST_CHOICES",
    "Choice",
    "Finder",
    "Found",
    "Lookup",
    "Named",
    "Names",
    "Sought",
    "Understood",
    "all_names",
    "called",
    "of_amount",
    "refused",
    "shared_names",
    "spelled",
    "understand",
]
