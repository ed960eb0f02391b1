"""Every kind of dessert there is, in the order they are offered: one file of data each."""

from functools import lru_cache

from fernbell.core.desserts.kinds.bite import BITE
from fernbell.core.desserts.kinds.crust import CRUST
from fernbell.core.desserts.kinds.cup import CUP
from fernbell.core.desserts.kinds.custard import CUSTARD
from fernbell.core.desserts.kinds.dome import DOME
from fernbell.core.desserts.kinds.drip_cake import DRIP_CAKE
from fernbell.core.desserts.kinds.entremet import ENTREMET
from fernbell.core.desserts.kinds.kind import (
    Begun,
    DessertKind,
    KindPart,
    Pick,
    compose,
    formula_kinds,
    most_like,
    nearest,
)
from fernbell.core.desserts.kinds.molded_log import MOLDED_LOG
from fernbell.core.desserts.kinds.pair import PAIR
from fernbell.core.desserts.kinds.parfait import PARFAIT
from fernbell.core.desserts.kinds.picture import picture
from fernbell.core.desserts.kinds.plated_shell import PLATED_SHELL
from fernbell.core.desserts.kinds.puff import PUFF
from fernbell.core.desserts.kinds.rolled_log import ROLLED_LOG
from fernbell.core.desserts.kinds.sheet_cake import SHEET_CAKE
from fernbell.core.desserts.kinds.sphere import SPHERE
from fernbell.core.desserts.kinds.tart import TART
from fernbell.core.molds import Solid

KINDS: tuple[DessertKind, ...] = (
    ENTREMET,
    DOME,
    ROLLED_LOG,
    MOLDED_LOG,
    TART,
    CRUST,
    CUP,
    PUFF,
    CUSTARD,
    PARFAIT,
    SPHERE,
    PLATED_SHELL,
    BITE,
    SHEET_CAKE,
    DRIP_CAKE,
    PAIR,
)


@lru_cache(maxsize=256)
def expected_rules(mold: Solid) -> tuple[str, ...]:
    """What the parts of a dessert in a mold usually do, from the first that is made.

    Args:
        mold: what it is made in [Solid].
    Returns:
        rules, by the kind of dessert whose own mold is most like this one [text].
    Source:
        common practice.
    """
    return tuple(dict.fromkeys(part.rule for part in most_like(mold, KINDS).parts))


__all__ = [
    "KINDS",
    "Begun",
    "DessertKind",
    "KindPart",
    "Pick",
    "compose",
    "expected_rules",
    "formula_kinds",
    "nearest",
    "picture",
]
