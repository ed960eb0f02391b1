"""How long an ingredient keeps, and where: as bought, once opened, once thawed."""

from collections.abc import Iterable
from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import CoreError, check_range


class Store(StrEnum):
    """Where it is kept."""

    DRY = "dry"
    COLD = "cold"
    FROZEN = "frozen"


class Condition(StrEnum):
    """What was done to it."""

    CLOSED = "closed"
    OPENED = "opened"
    THAWED = "thawed"


@dataclass(frozen=True, slots=True)
class Keeping:
    """Where it is kept and how many days in one condition; the pack's date wins."""

    condition: Condition
    store: Store
    days: float | None = None

    def __post_init__(self) -> None:
        if self.days is not None:
            check_range("days", self.days, most=3650, open_least=True)
        if self.condition is Condition.THAWED and self.store is Store.FROZEN:
            raise CoreError("store", self.store.value, "cold or dry for what is thawed")


def check_keeping(keepings: Iterable[Keeping]) -> tuple[Keeping, ...]:
    """What is said of keeping, each condition once.

    Args:
        keepings: as entered, shape (n,) [Keeping].
    Returns:
        the same, as bought first [Keeping].
    Raises:
        CoreError: a condition that is told twice.
    Source:
        definition.
    """
    told = tuple(keepings)
    once = {one.condition: one for one in told}
    if len(once) < len(told):
        raise CoreError("keeping", "a condition told twice", "each condition once at most")
    return tuple(once[one] for one in Condition if one in once)
