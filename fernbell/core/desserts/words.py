"""The cut in sentences, from the board up, for whoever cannot see it."""

from collections.abc import Iterator, Mapping

from fernbell.core.desserts.layout import Layout
from fernbell.core.desserts.parts import Dessert
from fernbell.core.molds import clearance, size_words
from fernbell.core.working import figure_text

Names = Mapping[tuple[str, str | None], str]


def cut_words(dessert: Dessert, layout: Layout, names: Names, portions: int) -> tuple[str, ...]:
    """Read the cut aloud.

    Args:
        dessert: parts in a mold [Dessert].
        layout: where they stand [mm].
        names: of every part and layer [text].
        portions: into how many one is cut [1].
    Returns:
        sentences, from the board up [text].
    Source:
        definition.
    """
    return tuple(_sentences(dessert, layout, names, portions))


def _sentences(dessert: Dessert, layout: Layout, names: Names, portions: int) -> Iterator[str]:
    size, top = size_words(dessert.mold), figure_text(layout.top_mm)
    yield f"{dessert.name}, cut through the middle: {size}, {top} mm high before coating."
    for base in layout.bases:
        gap = figure_text(clearance(base.plan, dessert.mold.plan))
        yield (
            f"{names[base.part, None]}: base, {_from_to(base.low_mm, base.high_mm)}, "
            f"{figure_text(base.plan.length_mm)} mm across, {gap} mm from the wall."
        )
    floor = layout.base_top_mm
    for insert, stack in layout.inserts:
        gap = figure_text(clearance(stack[0].plan, dessert.mold.plan, insert.offset_mm))
        layers = ", then ".join(
            f"{names[block.part, block.layer]} {_from_to(block.low_mm, block.high_mm)}"
            for block in stack
        )
        yield (
            f"Inside: {layers}; {figure_text(insert.across_mm)} mm across, {gap} mm from the "
            f"wall{_off_center(insert.offset_mm)}, {figure_text(insert.lift_mm - floor)} mm over "
            "what is below it."
        )
        floor = stack[-1].high_mm
    if layout.fill:
        level = figure_text(layout.level_mm)
        yield f"{names[layout.fill.key, None]} fills the rest up to {level} mm."
    for coat in layout.coats:
        where = "on top" if coat.top_only else "over top and sides"
        yield f"{names[coat.key, None]}: {figure_text(coat.thickness_mm)} mm {where}."
    for band in layout.bands:
        high = figure_text(band.height_mm)
        yield f"{names[band.key, None]}: a strip around the foot, {high} mm high."
    for garnish in layout.garnishes:
        each = figure_text(garnish.pieces_per_portion)
        yield f"{names[garnish.key, None]}: {each} on each of {portions} portions."


def _from_to(low_mm: float, high_mm: float) -> str:
    return f"from {figure_text(low_mm)} to {figure_text(high_mm)} mm"


def _off_center(offset_mm: float) -> str:
    if not offset_mm:
        return ""
    side = "right" if offset_mm > 0 else "left"
    return f", {figure_text(abs(offset_mm))} mm off center to the {side}"
