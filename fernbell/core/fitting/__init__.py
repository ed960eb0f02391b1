"""Fitting: the nearest formula that meets what is asked of it."""

from fernbell.core.fitting.demands import (
    DEMANDS,
    MOVED,
    Demand,
    DemandKind,
    DemandWords,
    EggsWhole,
    Finished,
    Locked,
    Proportion,
    Reads,
    Uses,
    figure_named,
    says,
)
from fernbell.core.fitting.fit import FIT_SOURCE, Asked, Fit, Move, fit
from fernbell.core.fitting.solve import Begin, Unsettled, change_of

__all__ = [
    "DEMANDS",
    "FIT_SOURCE",
    "MOVED",
    "Asked",
    "Begin",
    "Demand",
    "DemandKind",
    "DemandWords",
    "EggsWhole",
    "Finished",
    "Fit",
    "Locked",
    "Move",
    "Proportion",
    "Reads",
    "Unsettled",
    "Uses",
    "change_of",
    "figure_named",
    "fit",
    "says",
]
