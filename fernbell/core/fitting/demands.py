"""What can be asked of a formula that is to be fitted."""

from dataclasses import dataclass
from typing import Literal

from fernbell.core.errors import CoreError, UnknownKey, check_range
from fernbell.core.formulas import FIGURES, Book, Figure, Formula, Line
from fernbell.core.working import figure_text


@dataclass(frozen=True, slots=True)
class Reads:
    """A figure between two ends, an open end is None; both the same asks for exactly that."""

    figure: Figure
    least: float | None = None
    most: float | None = None

    def __post_init__(self) -> None:
        _check_ends(self.least, self.most)


@dataclass(frozen=True, slots=True)
class Finished:
    """So much arrives, after all losses [g]."""

    mass_g: float

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g, open_least=True)


@dataclass(frozen=True, slots=True)
class Proportion:
    """Grams of one line for each gram of another [1]."""

    line: str
    on: str
    least: float | None = None
    most: float | None = None

    def __post_init__(self) -> None:
        _check_ends(self.least, self.most)
        if self.line == self.on:
            raise CoreError("on", "the same line", "another line")


@dataclass(frozen=True, slots=True)
class Uses:
    """Exactly so much of a line: what is left of a carton [g]."""

    line: str
    mass_g: float

    def __post_init__(self) -> None:
        check_range("mass_g", self.mass_g)


@dataclass(frozen=True, slots=True)
class Locked:
    """A line that stays as it is."""

    line: str


@dataclass(frozen=True, slots=True)
class EggsWhole:
    """Eggs, yolks and whites in whole ones."""


Demand = Reads | Finished | Proportion | Uses | Locked | EggsWhole


DemandKind = Literal["reads", "finished", "uses", "locked", "proportion", "eggs whole"]


@dataclass(frozen=True, slots=True)
class DemandWords:
    """A way of asking: how it is called, how it is offered, and what has to be said of it."""

    kind: DemandKind
    title: str
    says: str
    asks: tuple[Literal["figure", "line", "on", "mass_g", "ends"], ...] = ()
    of_eggs: bool = False


DEMANDS = (
    DemandWords("reads", "Reading", "a reading", ("figure", "ends")),
    DemandWords("finished", "Arrives", "what is finished", ("mass_g",)),
    DemandWords("uses", "Use up", "use up", ("line", "mass_g")),
    DemandWords("locked", "Stays", "a line that stays", ("line",)),
    DemandWords("proportion", "Proportion", "one line to another", ("line", "on", "ends")),
    DemandWords("eggs whole", "Eggs whole", "eggs whole", of_eggs=True),
)
"""In the order in which they are offered."""

MOVED = 0.01
"""Share of itself from which a reading has moved by a fit; less is rounding to the scale."""


def figure_named(code: str) -> Figure:
    """The figure of a code that can be demanded.

    Args:
        code: such as 'set-number' [text].
    Returns:
        the figure [Figure].
    Raises:
        CoreError: no such figure; names those there are.
    Source:
        definition.
    """
    known = [figure.code for figure in FIGURES.values() if figure.asked]
    if code not in known:
        raise CoreError("figure", code, f"one of {', '.join(known)}")
    return FIGURES[code]


def says(demand: Demand, book: Book, formula: Formula) -> str:
    """A demand in kitchen words.

    Args:
        demand: the demand [Demand].
        book: where names of lines are looked up [Book].
        formula: whose lines it is about [Formula].
    Returns:
        words such as 'set number at least 1.1' [text].
    Raises:
        UnknownKey: it is about a line that is not there.
    Source:
        definition.
    """
    match demand:
        case Reads(figure, least, most):
            unit = f" {figure.unit}" if figure.unit in ("%", "°C", "°Bx") else ""
            return f"{figure.name.lower()} {_ends(least, most)}{unit}"
        case Finished(mass_g):
            return f"{figure_text(mass_g)} g finished"
        case Proportion(line, on, least, most):
            names = (book.line_name(line_at(formula, key)) for key in (line, on))
            first, second = names
            return f"{first} {_ends(least, most)} for each 1 of {second}"
        case Uses(line, mass_g):
            return f"{figure_text(mass_g)} g of {book.line_name(line_at(formula, line))}"
        case Locked(line):
            return f"{book.line_name(line_at(formula, line))} as it is"
        case EggsWhole():
            return "eggs whole"


def line_at(formula: Formula, key: str) -> Line:
    """The line of that key.

    Args:
        formula: whose lines [Formula].
        key: key of the line [key].
    Returns:
        the line [Line].
    Raises:
        UnknownKey: there is none.
    Source:
        definition.
    """
    for line in formula.lines:
        if line.key == key:
            return line
    raise UnknownKey("line", key, "one of the formula's own lines")


def _ends(least: float | None, most: float | None) -> str:
    if least == most:
        return f"{least:g}"
    if least is None:
        return f"at most {most:g}"
    if most is None:
        return f"at least {least:g}"
    return f"{least:g} to {most:g}"


def _check_ends(least: float | None, most: float | None) -> None:
    if least is None and most is None:
        raise CoreError("least", "two open ends", "closed on one side at least")
    for field, value in (("least", least), ("most", most)):
        if value is not None:
            check_range(field, value, least=-1e6)
    if least is not None and most is not None:
        check_range("most", most, least=least)
