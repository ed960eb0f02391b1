"""How thick and how wide each formula is drawn, for the words of its method."""

from collections.abc import Iterable, Iterator

from fernbell.core.desserts.parts import Band, Base, Coat, Dessert, Insert
from fernbell.core.formulas import Drawn

Measures = tuple[str, float, float | None]


def drawn_in(desserts: Iterable[Dessert]) -> dict[str, Drawn]:
    """The measures of every formula in all sizes of a dessert.

    Args:
        desserts: the sizes, shape (n,) [Dessert].
    Returns:
        thickness and width by key of the formula [mm].
    Source:
        the drawing.
    """
    found: dict[str, Drawn] = {}
    for dessert in desserts:
        for formula, thick, across in _measures(dessert):
            before = found.get(formula, Drawn())
            wide = (across,) if across is not None else ()
            found[formula] = Drawn((*before.thickness_mm, thick), (*before.across_mm, *wide))
    return found


def _measures(dessert: Dessert) -> Iterator[Measures]:
    for part in dessert.parts:
        if isinstance(part, Insert):
            for layer in part.layers:
                yield layer.formula, layer.height_mm, part.across_mm
        elif isinstance(part, Base):
            yield part.formula, part.height_mm, part.across_mm
        elif isinstance(part, Band):
            yield part.formula, part.height_mm, None
        elif isinstance(part, Coat):
            yield part.formula, part.thickness_mm, None
