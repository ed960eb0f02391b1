"""Formulas of the demo kitchen, invented and balanced for it, one file a dessert."""

from fernbell.demo.formulas.beekeeper import BEEKEEPER
from fernbell.demo.formulas.cups import CUPS
from fernbell.demo.formulas.entry import DemoFormula, DemoLine
from fernbell.demo.formulas.foghorn import FOGHORN
from fernbell.demo.formulas.hedgerow import HEDGEROW
from fernbell.demo.formulas.lanterns import LANTERNS
from fernbell.demo.formulas.reedbed import REEDBED

FORMULAS: tuple[DemoFormula, ...] = (
    *REEDBED,
    *HEDGEROW,
    *BEEKEEPER,
    *FOGHORN,
    *LANTERNS,
    *CUPS,
)

__all__ = ["FORMULAS", "DemoFormula", "DemoLine"]
