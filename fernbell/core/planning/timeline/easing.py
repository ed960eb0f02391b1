"""Ways out of a conflict: what would ease each demand in it, the cheapest first."""

from collections.abc import Iterator
from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.planning.timeline.conflict import Conflict, Demand, DemandKind


class EasingKind(StrEnum):
    """What a chef can do about it, the cheapest first."""

    LET_GO = "let go"
    EARLIER = "a day earlier"
    HOURS = "an hour earlier"
    LONGER = "an hour longer"
    PLACE = "another"
    MOLDS = "more molds"
    HANDS = "another pair of hands"
    LATER = "an hour later"
    FEWER = "half as many"


@dataclass(frozen=True, slots=True)
class Easing:
    """One way out, and of what: a kind of place, a line, a task."""

    kind: EasingKind
    key: str = ""


_EASES = {
    DemandKind.HELD: (EasingKind.LET_GO,),
    DemandKind.OPENS: (EasingKind.EARLIER,),
    DemandKind.HOURS: (EasingKind.HOURS, EasingKind.LONGER),
    DemandKind.HANDS: (EasingKind.HANDS,),
    DemandKind.SERVICE: (EasingKind.LATER,),
    DemandKind.LINE: (EasingKind.FEWER,),
}
_COST = list(EasingKind)


def ways_out(conflict: Conflict) -> tuple[Easing, ...]:
    """What is worth trying: of each demand what eases it, the cheapest first.

    Args:
        conflict: demands that cannot be met together [Conflict].
    Returns:
        changes; whether any of them is enough has still to be tried [Easing].
    Source:
        common practice; which is cheaper than which is ours.
    """
    found = dict.fromkeys(_of(conflict.demands))
    return tuple(sorted(found, key=lambda one: _COST.index(one.kind)))


def _of(demands: tuple[Demand, ...]) -> Iterator[Easing]:
    for one in demands:
        if one.kind is DemandKind.PLACE:
            kind = EasingKind.MOLDS if one.key.startswith("mold ") else EasingKind.PLACE
            yield Easing(kind, one.key)
        for kind in _EASES.get(one.kind, ()):
            yield Easing(kind, one.key)
