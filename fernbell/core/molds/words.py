"""What a screen has to know of a form of mold: how it is called, what is entered, the first one."""

from dataclasses import dataclass
from typing import TYPE_CHECKING

from fernbell.core.field import Field

if TYPE_CHECKING:
    from fernbell.core.molds.solid import Solid


@dataclass(frozen=True, slots=True)
class Alternative:
    """One of a few words to choose from: what is kept, and how it is called."""

    value: str
    label: str


@dataclass(frozen=True, slots=True)
class Alternatives:
    """A field that is one of a few words."""

    name: str
    label: str
    choices: tuple[Alternative, ...]


@dataclass(frozen=True, slots=True)
class Table:
    """A field of several rows, each with the same numbers; each row is a point of an outline.

    `rises` says that the first number rises from row to row; `kept` names what a new row has from
    the one before. `across` and `up` name the numbers that place it, the first divided by `per`.
    """

    name: str
    label: str
    fields: tuple[Field, ...]
    fewest: int
    most: int
    kept: tuple[str, ...] = ()
    rises: bool = True
    across: str = "x_mm"
    up: str = "y_mm"
    per: float = 1.0


@dataclass(frozen=True, slots=True)
class Start:
    """What a new mold is until it is measured, under the name it is asked for by."""

    name: str
    shape: "Solid"


@dataclass(frozen=True, slots=True)
class FormWords:
    """A form of mold, with the molds it is begun from; from a file where it is not entered."""

    form: str
    title: str
    starts: tuple[Start, ...]
    fields: tuple[Field, ...]
    choices: tuple[Alternatives, ...] = ()
    tables: tuple[Table, ...] = ()

    @property
    def from_file(self) -> bool:
        """Whether a file is read for it."""
        return not self.starts
