"""What was read of a kitchen, kept for as long as its version and the day are the same."""

from collections.abc import Callable
from datetime import date
from functools import lru_cache, wraps
from typing import Concatenate, ParamSpec, TypeVar
from uuid import UUID

from fernbell.server.rows.clock import today
from fernbell.server.rows.policy import Keeper

Key = ParamSpec("Key")
Found = TypeVar("Found")
Reading = Callable[Concatenate[UUID, Key], Found]


def kept(most: int) -> Callable[[Reading[Key, Found]], Callable[Concatenate[Keeper, Key], Found]]:
    """Keep the last `most` of what a function reads by a kitchen's key and what else it is asked.

    What it returns is shared, so nobody may change it; its arguments have to be hashable. A
    request that writes reads anew, as what it has written may yet be undone.
    """

    def keeping(read: Reading[Key, Found]) -> Callable[Concatenate[Keeper, Key], Found]:
        @lru_cache(maxsize=most)
        def at(
            kitchen: UUID, _version: int, _day: date, *asked: Key.args, **named: Key.kwargs
        ) -> Found:
            return read(kitchen, *asked, **named)

        @wraps(read)
        def found(member: Keeper, /, *asked: Key.args, **named: Key.kwargs) -> Found:
            if member.kitchen.raised:
                return read(member.kitchen_id, *asked, **named)
            version, day = member.kitchen.version, today()
            # They have to be hashable, which no type of theirs says.
            return at(member.kitchen_id, version, day, *asked, **named)  # type: ignore[arg-type]

        return found

    return keeping
