"""Formulas: lines, percentages, losses, air, scaling and the sheets they end up on."""

from fernbell.core.formulas.air import Body, fold, overrun_percent, whipped_density
from fernbell.core.formulas.airy import USUAL_DENSITY, lacks_air
from fernbell.core.formulas.book import (
    USUAL_LOSSES,
    USUAL_SIGNS,
    Book,
    CookedTo,
    Formula,
    Line,
    Losses,
    Until,
    refuse_circle,
)
from fernbell.core.formulas.bringing import GROUPS, Brings, brings, brought_by
from fernbell.core.formulas.character import Character, characterize, gauges_of
from fernbell.core.formulas.comparing import Comparison, GaugePair, LinePair, compare
from fernbell.core.formulas.composition import Composition, compose, settled
from fernbell.core.formulas.cooking import Cooking, dissolved
from fernbell.core.formulas.eggs import EggAccount, Leftover, egg_account, whole_factor
from fernbell.core.formulas.figures import (
    ACIDS,
    FAT,
    FIGURES,
    HOLD_SOURCE,
    SWEETNESS,
    Figure,
    hold_parts,
    ratio,
)
from fernbell.core.formulas.gauge import Gauge, Section, Verdict, Window
from fernbell.core.formulas.judging import Judged
from fernbell.core.formulas.kinds import FITS, usual_kind, usual_rule
from fernbell.core.formulas.labels import Declared
from fernbell.core.formulas.looks import FORMULA_SHOWS, color_of, flavor_by
from fernbell.core.formulas.mending import Mend
from fernbell.core.formulas.method import Drawn, Step, Wait, WaitKind, as_drawn, wait_words
from fernbell.core.formulas.mix import Lines, Mix, lines_of
from fernbell.core.formulas.readings import (
    FormulaReading,
    building_order,
    factor_to_mass,
    factor_to_volume,
    finished_share,
    percent_workings,
    read_formulas,
    volume_working,
)
from fernbell.core.formulas.sheets import (
    FORMULA_STEP_G,
    Demand,
    Sheet,
    SheetLine,
    Use,
    batch_working,
    line_working,
    sheet_working,
    sheets,
)
from fernbell.core.formulas.windows import windows_of

__all__ = [
    "ACIDS",
    "FAT",
    "FIGURES",
    "FITS",
    "FORMULA_SHOWS",
    "FORMULA_STEP_G",
    "GROUPS",
    "HOLD_SOURCE",
    "SWEETNESS",
    "USUAL_DENSITY",
    "USUAL_LOSSES",
    "USUAL_SIGNS",
    "Body",
    "Book",
    "Brings",
    "Character",
    "Comparison",
    "Composition",
    "CookedTo",
    "Cooking",
    "Declared",
    "Demand",
    "Drawn",
    "EggAccount",
    "Figure",
    "Formula",
    "FormulaReading",
    "Gauge",
    "GaugePair",
    "Judged",
    "Leftover",
    "Line",
    "LinePair",
    "Lines",
    "Losses",
    "Mend",
    "Mix",
    "Section",
    "Sheet",
    "SheetLine",
    "Step",
    "Until",
    "Use",
    "Verdict",
    "Wait",
    "WaitKind",
    "Window",
    "as_drawn",
    "batch_working",
    "brings",
    "brought_by",
    "building_order",
    "characterize",
    "color_of",
    "compare",
    "compose",
    "dissolved",
    "egg_account",
    "factor_to_mass",
    "factor_to_volume",
    "finished_share",
    "flavor_by",
    "fold",
    "gauges_of",
    "hold_parts",
    "lacks_air",
    "line_working",
    "lines_of",
    "overrun_percent",
    "percent_workings",
    "ratio",
    "read_formulas",
    "refuse_circle",
    "settled",
    "sheet_working",
    "sheets",
    "usual_kind",
    "usual_rule",
    "volume_working",
    "wait_words",
    "whipped_density",
    "whole_factor",
    "windows_of",
]
