"""How long an ingredient keeps, and where."""

from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.errors import check_range


class Store(StrEnum):
    """Where it is kept."""

    DRY = "dry"
    COLD = "cold"
    FROZEN = "frozen"


@dataclass(frozen=True, slots=True)
class Keeping:
    """Where it is kept and how many days, as bought and once opened; the pack's date wins."""

    store: Store
    days: float | None = None
    opened_days: float | None = None

    def __post_init__(self) -> None:
        for field in ("days", "opened_days"):
            if getattr(self, field) is not None:
                check_range(field, getattr(self, field), most=3650, open_least=True)
