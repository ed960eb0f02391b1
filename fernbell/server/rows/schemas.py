"""What goes over the wire for every row."""

from datetime import datetime
from typing import Annotated, Any, Generic, TypeVar
from uuid import UUID

from ninja import Schema
from pydantic import ConfigDict, Field, StringConstraints

Name = Annotated[str, StringConstraints(strip_whitespace=True, min_length=1, max_length=120)]
Text = Annotated[str, StringConstraints(strip_whitespace=True, max_length=2000)]
Key = Annotated[str, StringConstraints(min_length=1, max_length=60)]
MOST_ROWS = 5000


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


class ChangeOut(Schema):
    """One entry of a row's history."""

    at: datetime
    who: str | None
    action: str
    revision: int
    fields: dict[str, tuple[Any, Any]]

    @staticmethod
    def resolve_who(change: Any) -> str | None:
        """Full name of who did it."""
        return change.user.get_full_name() if change.user else None
