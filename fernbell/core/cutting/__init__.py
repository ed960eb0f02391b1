"""Cutting: how many pieces a sheet gives, where each lies, what is left over."""

from fernbell.core.cutting.apart import check_apart, nearest_mm, out_mm
from fernbell.core.cutting.blank import Blank, Layout, Place, turned
from fernbell.core.cutting.discs import RoundBlank
from fernbell.core.cutting.full_size import (
    BAR_MM,
    FOOT_MM,
    MARGIN_MM,
    OVERLAP_MM,
    PAPERS,
    Paper,
    Template,
    Tile,
    Tiling,
    cut_plan_template,
    tile,
)
from fernbell.core.cutting.outlines import FreeBlank
from fernbell.core.cutting.plan import (
    MOST_PIECES,
    ROUNDS,
    CutPlan,
    CutSheet,
    Laid,
    ToCut,
    fits_on_one,
    plan_cut,
)
from fernbell.core.cutting.raw import RAW_FIELDS, RawSheet, Room
from fernbell.core.cutting.rects import RectBlank

__all__ = [
    "BAR_MM",
    "FOOT_MM",
    "MARGIN_MM",
    "MOST_PIECES",
    "OVERLAP_MM",
    "PAPERS",
    "RAW_FIELDS",
    "ROUNDS",
    "Blank",
    "CutPlan",
    "CutSheet",
    "FreeBlank",
    "Laid",
    "Layout",
    "Paper",
    "Place",
    "RawSheet",
    "RectBlank",
    "Room",
    "RoundBlank",
    "Template",
    "Tile",
    "Tiling",
    "ToCut",
    "check_apart",
    "cut_plan_template",
    "fits_on_one",
    "nearest_mm",
    "out_mm",
    "plan_cut",
    "tile",
    "turned",
]
