"""What bases and inserts have in common: their gap to the wall, and what is wrong without it."""

from fernbell.core.desserts.body import Body
from fernbell.core.desserts.regions import Block
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Plan
from fernbell.core.working import GEOMETRY, figure_text


def inside(body: Body, gap_mm: float, low_mm: float, high_mm: float) -> float:
    """How wide a part is that keeps a gap to the wall, or less of one in what is narrow.

    Args:
        body: the mold and what stands in it [Body].
        gap_mm: the gap wanted [mm].
        low_mm: its underside [mm].
        high_mm: its top [mm].
    Returns:
        its diameter, or its length in a frame [mm].
    Source:
        common practice.
    """
    plan, narrowest = body.mold.from_above, body.narrowest_mm(low_mm, high_mm)
    shorter = min(plan.length_mm, plan.width_mm) - (plan.length_mm - narrowest)
    least = plan.length_mm - 2 * plan.room_mm + 1
    return max(1.0, least, narrowest - 2 * min(gap_mm, max(0, round(shorter / 8))))


def across_refitted(across_mm: float, was: Plan, now: Plan) -> tuple[float, bool]:
    """How wide a part is in another mold, and whether its gap could be kept.

    Where a gap would leave less than half of the part, the part keeps its share of the mold's
    length instead.

    Args:
        across_mm: how wide it is [mm].
        was: the plan of the mold it is in [mm].
        now: the plan of the mold it goes into [mm].
    Returns:
        how wide it is there, and true where the gap is as it was [mm, bool].
    Source:
        common practice: the gap is what the chef chose.
    """
    shortest = now.length_mm - 2 * now.room_mm
    kept = across_mm + now.length_mm - was.length_mm
    share = across_mm * now.length_mm / was.length_mm
    if kept > max(share / 2, shortest):
        return kept, True
    return max(share, shortest + 10), False


def outside(block: Block, gap_mm: float, name: str) -> Finding:
    """A solid that stands outside the wall.

    Args:
        block: the solid [Block].
        gap_mm: its gap to the wall, below 0 [mm].
        name: what it is called [text].
    Returns:
        the finding [Finding].
    Source:
        geometry.
    """
    across = f"Make it at most {figure_text(block.across_mm + 2 * gap_mm)} mm across"
    aside = block.x_mm != 0
    return Finding(
        code="part-outside",
        severity=Severity.WRONG,
        message=f"{name} stands {figure_text(-gap_mm)} mm outside the mold's wall."
        if aside
        else f"{name} is wider than the mold by {figure_text(-2 * gap_mm)} mm.",
        why="What stands outside the wall cannot be lined, filled or lifted off.",
        remedy=f"{across}, move it towards the middle, or choose a larger mold."
        if aside
        else f"{across}, or choose a larger mold.",
        source=GEOMETRY,
        part=block.part,
    )


def above_rim(part: str, name: str, top_mm: float, rim_mm: float) -> Finding:
    """A solid that stands above the rim.

    Args:
        part: whose it is [key].
        name: what it is called [text].
        top_mm: its top [mm].
        rim_mm: the rim [mm].
    Returns:
        the finding [Finding].
    Source:
        geometry.
    """
    return Finding(
        code="above-rim",
        severity=Severity.WRONG,
        message=f"{name} stands {figure_text(top_mm - rim_mm)} mm above the rim.",
        why=f"Its top is at {figure_text(top_mm)} mm and the mold is {figure_text(rim_mm)} mm "
        "high.",
        remedy=f"Take {figure_text(top_mm - rim_mm)} mm off the layers below or off it, "
        "or use a higher mold.",
        source=GEOMETRY,
        part=part,
    )


def from_to(low_mm: float, high_mm: float) -> str:
    """Between which heights, in words.

    Args:
        low_mm: the lower [mm].
        high_mm: the upper [mm].
    Returns:
        'from 0 to 7 mm' [text].
    Source:
        definition.
    """
    return f"from {figure_text(low_mm)} to {figure_text(high_mm)} mm"


def cm(length_mm: float) -> str:
    """A width for a list.

    Args:
        length_mm: the width [mm].
    Returns:
        '18.4 cm' [text].
    Source:
        definition.
    """
    return f"{round(length_mm / 10, 1):g} cm"
