"""What a number that can be entered looks like: how it is called, its unit, what is allowed."""

from collections.abc import Iterable
from dataclasses import dataclass
from typing import Literal

from fernbell.core.errors import check_range, unit_of


@dataclass(frozen=True, slots=True)
class Field:
    """A number of an entry; its unit is what its name ends in.

    `step` is what an arrow key adds; an `empty` one may be left out and then means what is said;
    `first` is what it is until somebody says otherwise; `grows` is which way it grows where all
    of a drawing is made larger, and nothing where it stays, as the thickness of a coat.
    """

    name: str
    label: str
    least: float = 0.0
    most: float = 1e6
    open_least: bool = False
    step: float = 1.0
    empty: str = ""
    first: float | None = None
    grows: Literal["", "across", "up"] = ""

    @property
    def unit(self) -> str:
        """Such as 'mm' for 'height_mm'."""
        return unit_of(self.name)

    def check(self, value: float | None) -> None:
        """Refuse a value [its unit] outside the limits; OutOfRange names the field."""
        if value is None and self.empty:
            return
        number = float("nan") if value is None else value
        check_range(self.name, number, self.least, self.most, open_least=self.open_least)


def check_fields(entry: object, fields: Iterable[Field]) -> None:
    """Refuse an entry one of whose numbers is outside its limits.

    Args:
        entry: what holds them by name [any].
        fields: its numbers, shape (n,) [Field].
    Returns:
        nothing [None].
    Raises:
        OutOfRange: the first that is outside, by name.
    Source:
        definition.
    """
    for field in fields:
        field.check(getattr(entry, field.name))
