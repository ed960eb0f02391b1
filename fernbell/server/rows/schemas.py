"""What goes over the wire for every row."""

from datetime import datetime
from typing import Annotated, Any, Generic, TypeVar
from uuid import UUID

from ninja import Query, Schema
from pydantic import ConfigDict, Field, StringConstraints

Name = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
Text = Annotated[str, StringConstraints(strip_whitespace=True, max_length=2000)]
Key = Annotated[str, StringConstraints(min_length=1, max_length=60)]
MOST_ROWS = 200
PAGE, EARLIER, MOST_OFFSET = 100, 20, 1_000_000


class Entry(Schema):
    """Root of what comes in: finite numbers, no unknown fields."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)


class RowOut(Schema):
    """What every row shows."""

    id: UUID
    name: str
    revision: int
    archived: bool
    changed_at: datetime
    changed_by: str | None

    @staticmethod
    def resolve_archived(row: Any) -> bool:
        """Whether it is off the shelf."""
        return row.archived_at is not None

    @staticmethod
    def resolve_changed_by(row: Any) -> str | None:
        """Who touched it last."""
        return row.changed_by.get_full_name() if row.changed_by else None


Item = TypeVar("Item")
Data = TypeVar("Data")


class Page(Schema, Generic[Item]):
    """Part of a list, and how many there are in all."""

    items: list[Item]
    total: int


class Revised(Entry, Generic[Data]):
    """A change, with the revision it was read at."""

    revision: int = Field(ge=1)
    data: Data


Plain = str | float | bool | None


class ChangeOut(Schema):
    """One entry of a row's history; a field that is no plain value says only that it changed."""

    at: datetime
    who: str | None
    action: str
    revision: int
    fields: dict[str, tuple[Plain, Plain] | None]

    @staticmethod
    def resolve_who(change: Any) -> str | None:
        """Full name of who did it."""
        return change.user.get_full_name() if change.user else None

    @staticmethod
    def resolve_fields(change: Any) -> dict[str, tuple[Plain, Plain] | None]:
        """What changed, [before, after] where that can be said."""
        return {field: _said(*pair) for field, pair in change.fields.items()}


def _said(before: Any, after: Any) -> tuple[Plain, Plain] | None:
    return (before, after) if isinstance(before, Plain) and isinstance(after, Plain) else None


Limit = Annotated[int, Query(ge=1, le=MOST_ROWS)]
Offset = Annotated[int, Query(ge=0, le=MOST_OFFSET)]
