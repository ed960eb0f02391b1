"""Figures of the trade that judge and propose; each with its unit and where it comes from."""

from dataclasses import dataclass

from fernbell.core.formulas import Wait, WaitKind
from fernbell.core.working import COMMON_PRACTICE


@dataclass(frozen=True, slots=True)
class Practice:
    """A figure of the trade."""

    value: float
    unit: str
    source: str = COMMON_PRACTICE


TOUCHING_MM = 1e-6
"""Distances closer than this are the same; floats, not millimetres."""

SIDE_CLEARANCE = Practice(10, "mm", "an insert ring about 2 cm narrower: common practice")
SIDE_CLEARANCE_SMALL = Practice(5, "mm", "half of it in individual rings: common practice")
INDIVIDUAL_BELOW = Practice(120, "mm")
COVER_CLEARANCE = Practice(3, "mm", "mousse over and under an insert: common practice")
PORTION_LEAST = Practice(70, "g")
PORTION_MOST = Practice(160, "g")
PORTION_ABOUT = Practice(100, "g")
DRIFT_MOST = Practice(0.5, "%")
LINE_DRIFT_MOST = Practice(5, "%")
LAYER_HEIGHT = Practice(5, "mm")
LINER_OVERLAP = Practice(10, "mm")

BASE_GAP = Practice(8, "mm")
BASE_HEIGHT = Practice(8, "mm")
INSERT_HEIGHT = Practice(10, "mm")
SEAL_DEPTH = Practice(4, "mm")
THINNEST_POUR = Practice(0.1, "mm", "less is no pour: common practice")
COAT_THICKNESS = Practice(2, "mm")
COAT_RUNOFF = Practice(30, "%")
COAT_LEAST_POUR = Practice(600, "g")
BAND_HEIGHT = Practice(15, "mm")
BAND_THICKNESS = Practice(2, "mm")
BAND_OVERLAP = Practice(10, "mm")
GARNISH_PIECE = Practice(4, "g")

INSERT_FREEZE = Wait(WaitKind.FREEZE, 60, 240, placed=True)
SEAL_FREEZE = Wait(WaitKind.FREEZE, 20, 40, placed=True)
WHOLE_FREEZE = Wait(WaitKind.FREEZE, 360, 840, placed=True)
THAW = Wait(WaitKind.THAW, 240, 480)
AHEAD_FROM = Practice(60, "min", "shorter waits are part of the making: common practice")
THAW_SMALL = Wait(WaitKind.THAW, 120, 180)
"""Waits where no method names one; common practice, until freezing and thawing are computed."""


def is_individual(across_mm: float) -> bool:
    """Whether a dessert of this size is one portion.

    Args:
        across_mm: the mold's length or diameter [mm].
    Returns:
        true below 120 mm [bool].
    Source:
        common practice.
    """
    return across_mm < INDIVIDUAL_BELOW.value


def side_clearance(across_mm: float) -> Practice:
    """Clearance to keep beside an insert.

    Args:
        across_mm: the mold's length or diameter [mm].
    Returns:
        10 mm, or 5 mm in molds less than 120 mm across [mm].
    Source:
        common practice.
    """
    return SIDE_CLEARANCE_SMALL if is_individual(across_mm) else SIDE_CLEARANCE


def is_short(gap_mm: float, least_mm: float) -> bool:
    """Whether a distance is less than it ought to be, by more than floats are off.

    Args:
        gap_mm: the distance [mm].
        least_mm: what it ought to be at least [mm].
    Returns:
        true if it is short [bool].
    Source:
        definition.
    """
    return gap_mm < least_mm - TOUCHING_MM
