"""A small cut of a kind, drawn by the rules themselves, in its own mold."""

from fernbell.core.desserts.dessert import lay_out
from fernbell.core.desserts.kinds.kind import DessertKind, compose
from fernbell.core.desserts.regions import DRAWN, Shape, Surroundings

_BEHIND = {one: place for place, one in enumerate(DRAWN)}


def picture(kind: DessertKind) -> tuple[Shape, ...]:
    """Outlines of a kind as it is cut; what is counted by portions is left out.

    Args:
        kind: what is drawn [DessertKind].
    Returns:
        shapes from the back to the front, each `formula` a kind of formula [mm].
    Source:
        geometry.
    """
    body = lay_out(compose(kind, kind.title, kind.mold, lambda made_of, _: made_of).dessert)
    near = Surroundings({}, body.solids, body.outer)
    drawn = sorted(body.regions, key=lambda one: _BEHIND[one.drawn])
    return tuple(shape for one in drawn if not one.by_portion for shape in one.shapes(near))
