"""Rectangles parted by straight cuts from side to side: the most that can be had of one size."""

from bisect import bisect_right
from functools import cache

Laid = tuple[tuple[int, int, bool], ...]
"""Lower left corners, and whether each lies crosswise [µm]."""

_MANY = 48
"""With more places for a cut than this along a side, only one cut is tried."""


def parted(room_um: tuple[int, int], piece_um: tuple[int, int]) -> Laid:
    """Lay as many rectangles of one size as straight cuts can part.

    A room is cut in two wherever pieces end, each half is laid in blocks or cut again; halves of
    a size are worked out once.

    Args:
        room_um: long and wide, with one cut more each way, shape (2,) [µm].
        piece_um: long and wide, each with its cut, shape (2,) [µm].
    Returns:
        where each lies [µm].
    Source:
        dynamic programming over guillotine cuts (Gilmore and Gomory 1966, from memory).
    """
    return _Parting(room_um, piece_um).laid()


class _Parting:
    """One room and one piece: where cuts may go, and the best of every part of the room."""

    def __init__(self, room_um: tuple[int, int], piece_um: tuple[int, int]) -> None:
        self.long, self.wide = piece_um
        self.ends = [_ends(side, *piece_um) for side in room_um]
        self.again = max(map(len, self.ends)) <= _MANY
        self.room = self._used(*room_um)
        self.best = cache(self._best)

    def laid(self) -> Laid:
        """Where each piece lies."""
        return self._laid(*self.room, 0, 0, cut=True)

    def _used(self, x: int, y: int) -> tuple[int, int]:
        """What of a room pieces can take: halves that hold the same are the same."""
        return _last(self.ends[0], x), _last(self.ends[1], y)

    def _count(self, x: int, y: int) -> int:
        """How many in rows that all lie the same way."""
        lengthwise = (x // self.long) * (y // self.wide)
        return max(lengthwise, (x // self.wide) * (y // self.long))

    def _best(self, x: int, y: int) -> tuple[int, int, int]:
        """How many, and the cut that gives them: 1 + its axis and where; 0 for none."""
        found = (self._count(x, y), 0, 0)
        for axis, side in enumerate((x, y)):
            ends = self.ends[axis]
            for at in ends[: bisect_right(ends, side // 2)]:
                halves = [self._used(*half) for half in _halves(x, y, axis, at)]
                total = sum(
                    self.best(*one)[0] if self.again else self._count(*one) for one in halves
                )
                if total > found[0]:
                    found = (total, axis + 1, at)
        return found

    def _laid(self, x: int, y: int, left: int, low: int, *, cut: bool) -> Laid:
        total, axis, at = self.best(x, y) if cut else (self._count(x, y), 0, 0)
        if axis:
            one, other = (self._used(*half) for half in _halves(x, y, axis - 1, at))
            right, up = (left + at, low) if axis == 1 else (left, low + at)
            first = self._laid(*one, left, low, cut=self.again)
            return (*first, *self._laid(*other, right, up, cut=self.again))
        crosswise = (x // self.long) * (y // self.wide) < total
        across, high = (self.wide, self.long) if crosswise else (self.long, self.wide)
        return tuple(
            (left + i * across, low + j * high, crosswise)
            for j in range(y // high)
            for i in range(x // across)
        )


def _halves(x: int, y: int, axis: int, at: int) -> tuple[tuple[int, int], tuple[int, int]]:
    return ((at, y), (x - at, y)) if axis == 0 else ((x, at), (x, y - at))


def _last(ends: list[int], side: int) -> int:
    at = bisect_right(ends, side)
    return ends[at - 1] if at else 0


def _ends(side: int, long_: int, wide: int) -> list[int]:
    """Where pieces laid one after another may end along a side, from its start [µm]."""
    found = {
        a * long_ + b * wide
        for a in range(side // long_ + 1)
        for b in range((side - a * long_) // wide + 1)
    }
    return sorted(found - {0})
