"""The workings of what a mold holds."""

from fernbell.core.molds.solid import Solid
from fernbell.core.working import GEOMETRY, Given, Working


def depth_working(mold: Solid, volume_ml: float) -> Working:
    """How high a volume stands in a mold.

    Args:
        mold: the mold [Solid].
        volume_ml: what is poured in [ml].
    Returns:
        working of the depth [mm].
    Raises:
        MoldOverflow: more than the brim.
        OutOfRange: a negative volume.
    Source:
        geometry, exact; a root where the walls are not upright.
    """
    depth = mold.depth_of(volume_ml)
    return Working(
        figure="Stands high",
        value=depth,
        unit="mm",
        given=(Given("poured in", volume_ml, "ml"), Given("height", mold.height_mm, "mm")),
        law=mold.depth_law(),
        arithmetic=mold.depth_text(volume_ml, depth),
        source=GEOMETRY,
        steps=(mold.workings()[0],),
    )
