"""What of a region is cut from a sheet, where it is."""

from dataclasses import dataclass

from fernbell.core.cutting import Blank, FreeBlank, RectBlank, RoundBlank
from fernbell.core.molds import Plan, RoundedBox


@dataclass(frozen=True, slots=True)
class FromSheet:
    """So many pieces for one dessert, cut from a sheet so thick [mm].

    Of what `breaks` spare pieces are cut too.
    """

    piece: Blank
    each: int
    thick_mm: float
    breaks: bool = True


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
