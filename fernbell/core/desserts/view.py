"""Further drawings a maker needs: from the side, flat before it is rolled, a template to cut by."""

from dataclasses import dataclass

from fernbell.core.desserts.division import Stroke
from fernbell.core.desserts.regions import Shape
from fernbell.core.desserts.sight import Dimension
from fernbell.core.molds import Loop


@dataclass(frozen=True, slots=True)
class View:
    """One further drawing, x to the right and y upwards or away from the cook [mm].

    `cuts` is where the knife goes, `portion` one portion, `dimensions` what is measured on it;
    of a `part` it is shown with that part alone.
    """

    title: str
    shapes: tuple[Shape, ...]
    cuts: tuple[Stroke, ...] = ()
    portion: Loop = ()
    dimensions: tuple[Dimension, ...] = ()
    part: str | None = None


def lengthwise(part: str, start_mm: float, end_mm: float, y_mm: float) -> Dimension:
    """A length along the foot of a drawing.

    Args:
        part: whose it is [key].
        start_mm: its left end [mm].
        end_mm: its right end [mm].
        y_mm: where it is drawn [mm].
    Returns:
        the dimension [mm].
    Source:
        definition.
    """
    start, end = (start_mm, y_mm), (end_mm, y_mm)
    return Dimension(part, None, "length", start, end, end_mm - start_mm)
