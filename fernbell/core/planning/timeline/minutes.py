"""What work takes of hands, in the fives a kitchen plans in, and how that comes about."""

import math
from collections.abc import Sequence

from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text

GRID_MIN = 5


def on_grid(minutes: float) -> int:
    """Minutes as they are planned.

    Args:
        minutes: any [min].
    Returns:
        up to the next five [min].
    Source:
        a kitchen plans in five minutes, common practice.
    """
    return GRID_MIN * math.ceil(minutes / GRID_MIN - 1e-9)


def by_hand(title: str, parts: Sequence[tuple[str, float]]) -> Working:
    """How long a task takes of hands.

    Args:
        title: what it is called [text].
        parts: what of it takes how long, shape (n,) [min].
    Returns:
        their sum, up to the next five and five at least [min].
    Source:
        a method's own minutes; common practice where it names none.
    """
    total = sum(minutes for _, minutes in parts)
    value = max(GRID_MIN, on_grid(total))
    return Working(
        figure=f"{title}, by hand",
        value=value,
        unit="min",
        given=tuple(Given(name, minutes, "min") for name, minutes in parts),
        law="the sum of what each takes, up to the next five minutes",
        arithmetic=f"{' + '.join(figure_text(one) for _, one in parts)} = {figure_text(total)} "
        f"→ {value} min",
        source=f"the method's own minutes; else {COMMON_PRACTICE}",
    )
