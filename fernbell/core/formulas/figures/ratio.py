"""Grams of some lines against grams of others: baker's percentages."""

from functools import partial

from fernbell.core.formulas.figures.figure import Figure
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import LineRole
from fernbell.core.working import COMMON_PRACTICE


def ratio(
    code: str,
    name: str,
    top: tuple[LineRole, ...],
    bottom: tuple[LineRole, ...],
    *,
    percent: bool = True,
) -> Figure:
    """A figure that sets grams of some lines against grams of others, as weighed.

    Args:
        code: what it is called by programs [text].
        name: what it is called [text].
        top: roles of the lines above, shape (n,) [LineRole].
        bottom: roles of the lines below, shape (n,) [LineRole].
        percent: whether it counts in per cent, else in parts [bool].
    Returns:
        the figure [% or 1].
    Source:
        baker's percentages, common practice.
    """
    return Figure(
        code,
        name,
        "%" if percent else "",
        partial(_of, top),
        partial(_of, bottom),
        _words(top),
        _words(bottom),
        100 if percent else 1,
        COMMON_PRACTICE,
    )


def _of(roles: tuple[LineRole, ...], mix: Mix) -> float:
    return mix.of(roles)


def _words(roles: tuple[LineRole, ...]) -> str:
    return " and ".join(dict.fromkeys(roles))
