"""What of a region is cut from a sheet, where it is."""

from dataclasses import dataclass

from fernbell.core.cutting import Blank, FreeBlank, RectBlank, RoundBlank
from fernbell.core.molds import Plan, RoundedBox

ROLLED = "paste"
"""The kind of formula that is rolled out and laid in; crumb is pressed, chocolate poured."""


@dataclass(frozen=True, slots=True)
class FromSheet:
    """So many pieces for one dessert, cut from a sheet so thick [mm].

    What `lines` a pan is rolled out where it is paste, and no spare pieces of it are cut.
    """

    piece: Blank
    each: int
    thick_mm: float
    lines: bool = False

    def is_cut_of(self, kind: str) -> bool:
        """Whether it is cut from a sheet where it is made of such a kind of formula."""
        return not self.lines or kind == ROLLED


def piece_of(plan: Plan) -> Blank:
    """A plan as it is cut from a sheet.

    Args:
        plan: seen from above [mm].
    Returns:
        a disc, a rectangle (rounded corners are cut straight first), or its outline [mm].
    Source:
        common practice.
    """
    if plan.is_round:
        return RoundBlank(plan.length_mm)
    if isinstance(plan, RoundedBox):
        return RectBlank(plan.length_mm, plan.width_mm)
    return FreeBlank(plan.outline())
