"""The equipment of a kitchen as places that take so much at once."""

import math
from collections.abc import Iterator, Sequence

from fernbell.core.planning.equipment import Vessel
from fernbell.core.planning.timeline.work import Hold, Point, Station
from fernbell.starter.practice import practice

EACH_APART = ("oven", "freezer", "blast", "fridge", "mixer")
"""Of these each has a lane of its own; of others so many are used at once."""
_CHANGE_MIN = int(practice("oven changes"))


def places_of(vessels: Sequence[Vessel]) -> tuple[Station, ...]:
    """What of the equipment is held while something is made.

    Args:
        vessels: what the kitchen has [Vessel].
    Returns:
        ovens by trays, stoves by rings, stores by liters, mixers one by one [1].
    Source:
        counting.
    """
    found = []
    for one in vessels:
        if one.kind == "stove":
            found.append(Station(one.name, one.name, one.kind, int(one.most) * one.number))
        if one.kind in EACH_APART:
            takes = 1 if one.kind == "mixer" else max(1, int(one.most))
            change = _CHANGE_MIN if one.kind == "oven" else 0
            for number in range(1, one.number + 1):
                title = _numbered(one.name, number) if one.number > 1 else one.name
                found.append(Station(title, title, one.kind, takes, change, vessel=one.name))
    return tuple(found)


def _numbered(name: str, number: int) -> str:
    """Such as 'Oven 2, 6 trays'."""
    what, comma, more = name.partition(",")
    return f"{what} {number}{comma}{more}"


class Rooms:
    """Places by what they are for, and how something is put into them."""

    def __init__(self, places: Sequence[Station]) -> None:
        self.places = tuple(places)

    def hold(
        self,
        key: str,
        kinds: Sequence[str],
        since: Point,
        until: Point,
        amount: int = 1,
        *,
        at_c: int | None = None,
        named: Sequence[str] = (),
    ) -> Iterator[Hold]:
        """So much in a place of one of these kinds; in several at once where one is too small.

        Nothing where the kitchen has none of them: then it says nothing of them. Where all are
        out it is held in what is not there, and nothing fits.

        Args:
            key: what is held [key].
            kinds: of places [key].
            since: from when [Point].
            until: until when [Point].
            amount: rings, trays or liters [1].
            at_c: heat of an oven [°C].
            named: rather in those the kitchen calls so [text].
        Returns:
            holds that are that amount together [Hold].
        Source:
            counting.
        """
        known = [one for one in self.places if one.kind in kinds]
        every = [one for one in known if not one.out] or known
        every = [one for one in every if one.vessel in named] or every
        if not every:
            return
        sizes = [one.capacity for one in every]
        number = 1 if amount <= max(sizes) else math.ceil(amount / min(sizes))
        for at in range(number):
            part = amount * (at + 1) // number - amount * at // number
            takes = tuple(one.key for one in every if one.capacity >= part)
            yield Hold(f"{key} {at}" if number > 1 else key, takes, since, until, part, at_c)
