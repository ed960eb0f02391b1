"""How thick and how wide each formula is drawn, for the words of its method."""

from collections.abc import Iterable

from fernbell.core.desserts.dessert import Dessert, from_the_top, lay_out
from fernbell.core.formulas import Drawn


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
        regions = {(region.part, region.layer): region for region in lay_out(dessert).regions}
        for key in from_the_top(dessert):
            thick, across = regions[key].thick_mm, regions[key].across_mm
            if thick is not None:
                before = found.get(regions[key].formula, Drawn())
                wide = (across,) if across is not None else ()
                found[regions[key].formula] = Drawn(
                    (*before.thickness_mm, thick), (*before.across_mm, *wide)
                )
    return found
