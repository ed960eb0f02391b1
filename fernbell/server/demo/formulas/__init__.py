"""Formulas of the demo kitchen, invented and balanced for it, one file a dessert."""

from fernbell.server.demo.formulas.beekeeper import BEEKEEPER
from fernbell.server.demo.formulas.cups import CUPS
from fernbell.server.demo.formulas.entry import DemoFormula, DemoLine
from fernbell.server.demo.formulas.foghorn import FOGHORN
from fernbell.server.demo.formulas.hedgerow import HEDGEROW
from fernbell.server.demo.formulas.lanterns import LANTERNS
from fernbell.server.demo.formulas.reedbed import REEDBED

FORMULAS: tuple[DemoFormula, ...] = (
    *REEDBED,
    *HEDGEROW,
    *BEEKEEPER,
    *FOGHORN,
    *LANTERNS,
    *CUPS,
)

__all__ = ["FORMULAS", "DemoFormula", "DemoLine"]
