"""Where the readings of each kind of formula should lie. All common practice; the chef decides."""

from collections.abc import Mapping

from fernbell.core.formulas.gauge import Window
from fernbell.core.working import COMMON_PRACTICE


def _w(least: float | None, most: float | None, why: str) -> Window:
    return Window(least, most, why, COMMON_PRACTICE)


_SWEET = "Below it tastes flat, above it cloys and hides the flavor."
_GELATIN = "Below it does not hold a clean cut, above it turns to rubber."

WINDOWS: Mapping[str, Mapping[str, Window]] = {
    "mousse": {
        "gelatin-water": _w(0.7, 2.2, _GELATIN),
        "fat": _w(8, 28, "Below it is icy and thin, above it is heavy and splits when folded."),
        "sweetness": _w(9, 24, _SWEET),
    },
    "cream": {
        "gelatin-water": _w(0.3, 1.6, _GELATIN),
        "fat": _w(8, 45, "Below it does not hold, above it coats the tongue."),
        "sweetness": _w(6, 28, _SWEET),
    },
    "custard": {
        "fat": _w(3, 35, "Below it is thin, above it coats the tongue."),
        "sweetness": _w(7, 26, _SWEET),
    },
    "ganache": {
        "set-number": _w(
            0.7, 2.3, "Below it stays a sauce at room temperature, above it cracks when cut."
        ),
        "fat-water": _w(0.6, 2.4, "Above it there is too little water for the fat: it splits."),
        "sweetness": _w(10, 42, _SWEET),
    },
    "caramel": {
        "water": _w(6, 30, "Below it is hard when cold, above it runs out of the slice."),
        "sweetness": _w(25, 75, _SWEET),
    },
    "glaze": {
        "solids": _w(52, 78, "Below it runs off and freezes hard, above it drags and stays thick."),
        "gelatin-water": _w(1.8, 6.5, "Below it slides off the wall, above it sets before it ran."),
    },
    "fruit": {
        "solids": _w(14, 72, "Below it is icy when frozen and weeps, above it is jam."),
        "sweetness": _w(8, 48, _SWEET),
    },
    "sponge": {
        "sugars": _w(12, 36, "Below it is dry and tight, above it sticks and falls."),
        "fat": _w(2, 32, "Below it cracks when rolled, above it is greasy."),
    },
    "crumble": {"fat": _w(15, 38, "Below it is sandy and falls apart, above it melts flat.")},
    "paste": {"fat": _w(14, 36, "Below it is tough, above it cannot be rolled.")},
    "meringue": {"sugars": _w(42, 72, "Below it weeps and falls, above it stays soft and grainy.")},
    "chocolate": {
        "water": _w(None, 2, "Any water seizes chocolate."),
    },
}
"""By kind of formula and code of the reading; a kind that is not here has no windows."""


def windows_of(kind: str) -> Mapping[str, Window]:
    """The windows of a kind of formula.

    Args:
        kind: such as 'mousse' [text].
    Returns:
        windows by the code of the reading, in its unit; none for another kind [Window].
    Source:
        common practice.
    """
    return WINDOWS.get(kind, {})
