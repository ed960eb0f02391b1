"""Figures of practice that judge and propose desserts, by name; the table is the starter's."""

from fernbell.core.formulas import Wait, WaitKind
from fernbell.starter.practice import PRACTICE, Practice, practice

TOUCHING_MM = 1e-6
"""Distances closer than this are the same; floats, not millimetres."""

SIDE_CLEARANCE = PRACTICE["side clearance"]
SIDE_CLEARANCE_SMALL = PRACTICE["side clearance, individual"]
INDIVIDUAL_BELOW = PRACTICE["individual below"]
COVER_CLEARANCE = PRACTICE["cover clearance"]
PORTION_LEAST = PRACTICE["portion, least"]
PORTION_MOST = PRACTICE["portion, most"]
PORTION_ABOUT = PRACTICE["portion, about"]
DRIFT_MOST = PRACTICE["drift, most"]
LINE_DRIFT_MOST = PRACTICE["line drift, most"]
LAYER_HEIGHT = PRACTICE["layer height"]
LINER_OVERLAP = PRACTICE["liner overlap"]

BASE_GAP = PRACTICE["base gap"]
BASE_HEIGHT = PRACTICE["base height"]
INSERT_HEIGHT = PRACTICE["insert height"]
SEAL_DEPTH = PRACTICE["seal depth"]
THINNEST_POUR = PRACTICE["thinnest pour"]
COAT_THICKNESS = PRACTICE["coat thickness"]
COAT_RUNOFF = PRACTICE["coat run-off"]
COAT_LEAST_POUR = PRACTICE["coat, least pour"]
BAND_HEIGHT = PRACTICE["band height"]
BAND_THICKNESS = PRACTICE["band thickness"]
BAND_OVERLAP = PRACTICE["band overlap"]
GARNISH_PIECE = PRACTICE["garnish piece"]
PETIT_FOUR_BELOW = PRACTICE["petit four below"]
LINING_THICKNESS = PRACTICE["lining thickness"]
PASTE_OVERHANG = PRACTICE["paste overhang"]
PAPER_OVER = PRACTICE["paper over the rim"]
PAPER_SNIPS = PRACTICE["paper snips"]
FILL_SHARE = PRACTICE["fill share"]
BATH_SHARE = PRACTICE["bath share"]
TIER_HEIGHT = PRACTICE["tier height"]
SHEET_THICKNESS = PRACTICE["sheet thickness"]
ROLL_FILLING = PRACTICE["roll filling"]
ROLL_BARE = PRACTICE["roll bare"]
ROLL_TRIM = PRACTICE["roll trim"]
ROLL_TURNS = PRACTICE["roll turns"]
CORE_ACROSS = PRACTICE["core across"]
PUFF_WALL = PRACTICE["puff wall"]
DISC_THICKNESS = PRACTICE["disc thickness"]
DISC_SPARE = PRACTICE["disc spare"]
FOOT_STANDS_OUT = PRACTICE["foot stands out"]
SPOON = PRACTICE["spoon"]
MOUND_ACROSS = PRACTICE["mound across"]
DRIP_RUNS = PRACTICE["drip runs"]
DRIP_SPACING = PRACTICE["drip spacing"]
LEAF_THICKNESS = PRACTICE["leaf thickness"]
STREWN = PRACTICE["strewn on 100 cm²"]
SAUCE = PRACTICE["sauce on a portion"]
SOAK = PRACTICE["soak on 100 cm²"]
LONGEST_TO_SHORTEST = PRACTICE["longest to shortest"]
AHEAD_FROM = PRACTICE["ahead from"]


def _wait(kind: WaitKind, name: str, *, placed: bool = False) -> Wait:
    return Wait(kind, practice(f"{name}, least"), practice(f"{name}, most"), placed)


INSERT_FREEZE = _wait(WaitKind.FREEZE, "insert freeze", placed=True)
SEAL_FREEZE = _wait(WaitKind.FREEZE, "seal freeze", placed=True)
WHOLE_FREEZE = _wait(WaitKind.FREEZE, "whole freeze", placed=True)
THAW = _wait(WaitKind.THAW, "thaw")
THAW_SMALL = _wait(WaitKind.THAW, "thaw, individual")
"""Waits where no method names one, until freezing and thawing are computed."""


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
