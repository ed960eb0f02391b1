"""Formulas: lines, percentages, losses, air, scaling and the sheets they end up on."""

from fernbell.core.formulas.air import Body, fold, overrun_percent, whipped_density
from fernbell.core.formulas.book import USUAL_LOSSES, Book, Formula, Line, Losses, refuse_circle
from fernbell.core.formulas.composition import Composition, Content, compose, contents
from fernbell.core.formulas.kinds import usual_kind, usual_rule
from fernbell.core.formulas.method import Step, Wait, WaitKind, wait_words
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
    Demand,
    Sheet,
    SheetLine,
    Use,
    batch_working,
    line_working,
    sheet_working,
    sheets,
)

__all__ = [
    "USUAL_LOSSES",
    "Body",
    "Book",
    "Composition",
    "Content",
    "Demand",
    "Formula",
    "FormulaReading",
    "Line",
    "Losses",
    "Sheet",
    "SheetLine",
    "Step",
    "Use",
    "Wait",
    "WaitKind",
    "batch_working",
    "building_order",
    "compose",
    "contents",
    "factor_to_mass",
    "factor_to_volume",
    "finished_share",
    "fold",
    "line_working",
    "overrun_percent",
    "percent_workings",
    "read_formulas",
    "refuse_circle",
    "sheet_working",
    "sheets",
    "usual_kind",
    "usual_rule",
    "volume_working",
    "wait_words",
    "whipped_density",
]
