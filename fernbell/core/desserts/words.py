"""The cut in sentences, from the board up, for whoever cannot see it."""

from collections.abc import Iterator

from fernbell.core.desserts.measure import MeasuredDessert
from fernbell.core.working import figure_text


def cut_words(made: MeasuredDessert) -> tuple[str, ...]:
    """Read the cut aloud.

    Args:
        made: the dessert, measured and divided [MeasuredDessert].
    Returns:
        sentences, from the board up [text].
    Source:
        definition.
    """
    return tuple(_sentences(made))


def _sentences(made: MeasuredDessert) -> Iterator[str]:
    size, top = made.body.shape.size_words(), figure_text(made.body.top_mm)
    yield f"{made.dessert.name}, cut through the middle: {size}, {top} mm high before coating."
    for part in made.body.parts:
        yield from part.sentences(made)
    for one in made.holds:
        inside = one.held.inside_mm
        where = "on it" if inside is None else f"inside, {figure_text(inside)} mm above the board"
        size = one.held.dessert.mold.size_words()
        yield f"It holds {one.held.each} × {one.name}, {size}, {where}."
