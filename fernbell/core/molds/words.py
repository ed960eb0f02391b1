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
    """A field of several rows, each with the same numbers, the first of them rising.

    `kept` names what a new row has from the one before.
    """

    name: str
    label: str
    fields: tuple[Field, ...]
    fewest: int
    most: int
    kept: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class FormWords:
    """A form of mold; `first` is what a new one is until it is measured."""

    form: str
    title: str
    first: "Solid"
    fields: tuple[Field, ...]
    choices: tuple[Alternatives, ...] = ()
    tables: tuple[Table, ...] = ()
