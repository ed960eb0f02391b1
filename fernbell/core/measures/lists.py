"""Reading a pasted list, one line at a time, from a spreadsheet or from plain text."""

import re
from collections.abc import Iterator
from dataclasses import dataclass

from fernbell.core.errors import CoreError, NotUnderstood
from fernbell.core.measures.amounts import Amount, read_amount
from fernbell.core.measures.units import WRITTEN, is_mass, is_volume

MOST_PASTED = 300

_CELLS = re.compile(r"\t|;|\||\s{3,}")
_BULLET = re.compile(r"^\s*(?:[-•*–·]\s+|\d{1,3}[.)]\s+)")
_NUMBER_CELL = re.compile(r"^\d[\d\s]*(?:[.,]\d+)?(?:\s+\d+/\d+)?$|^\d+/\d+$")
_AMOUNT_CELL = re.compile(r"^(\d[\d\s.,/]*)\s*([a-zA-Z. ]*)$")
_NAME_FIRST = re.compile(r"^(\D.*)[\s:,=]+(\d+ \d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?)\s*([a-zA-Z.]*)\.?$")
_SUMS = {"total", "sum", "subtotal", "batch"}


@dataclass(frozen=True, slots=True)
class Pasted:
    """One line as pasted: what it says, or why it says nothing.

    `heading` marks what is rightly passed over: a title, the names of the columns, a sum.
    """

    text: str
    amount: Amount | None = None
    refusal: str = ""
    heading: bool = False


def read_list(text: str) -> tuple[Pasted, ...]:
    """Read amounts and names, line by line; a number alone in its cell is in grams.

    Args:
        text: lines such as '250 g cream' or 'Cream: 250 g', or cells of a table [text].
    Returns:
        one result a line that is not blank, shape (n,) [Pasted].
    Raises:
        NotUnderstood: more than 300 lines.
    Source:
        common practice in writing recipes.
    """
    lines = [line for line in text.splitlines() if line.strip()]
    if len(lines) > MOST_PASTED:
        raise NotUnderstood("text", f"{len(lines)} lines", f"at most {MOST_PASTED} lines")
    return tuple(_read(lines))


def _read(lines: list[str]) -> Iterator[Pasted]:
    unit, begun = "g", False
    for line in lines:
        plain = _BULLET.sub("", line).strip()
        cells = [cell.strip() for cell in _CELLS.split(plain) if cell.strip()]
        if re.split(r"\W", plain.lower())[0] in _SUMS:
            yield Pasted(line.strip(), refusal="a sum", heading=True)
        elif _says_no_number(plain):
            unit = next((cell.lower() for cell in cells if _is_unit(cell)), unit)
            heading = not begun or plain.endswith(":")
            yield Pasted(line.strip(), refusal="no amount", heading=heading)
        else:
            begun = True
            yield _understood(line.strip(), plain, cells, unit)


def _says_no_number(plain: str) -> bool:
    """Whether a line is a heading: 'salt to taste' and 'a pinch of salt' are none."""
    if any(char.isdigit() or char in "½¼¾⅓⅔⅛" for char in plain):
        return False
    try:
        return read_amount(plain).name == ""
    except CoreError:
        return True


def _understood(text: str, plain: str, cells: list[str], unit: str) -> Pasted:
    try:
        return Pasted(text, amount=read_amount(_in_order(plain, cells, unit)))
    except CoreError as refusal:
        return Pasted(text, refusal=str(refusal))


def _in_order(plain: str, cells: list[str], unit: str) -> str:
    """The line with its amount and name; NotUnderstood where its number may be two."""
    if len(cells) > 1:
        return _from_cells(cells, unit)
    found = _NAME_FIRST.match(plain)
    if found and (not found.group(3) or _is_unit(found.group(3))):
        _refuse_thousands(found.group(1), found.group(2))
    return plain


def _refuse_thousands(name: str, number: str) -> None:
    """'Milk 1 250 g' is 1250 g of milk, or 250 g of a milk called 1: nobody can tell."""
    head = re.search(r"\s([1-9]\d{0,2})$", name)
    if head and re.fullmatch(r"\d{3}", number):
        allowed = f"written as {head.group(1)}{number}, or apart by a colon"
        raise NotUnderstood("amount", f"{head.group(1)} {number}", allowed)


def _from_cells(cells: list[str], unit: str) -> str:
    """Name, number and unit from a row of a table, whichever stands first; shares are left."""
    numbers = [cell for cell in cells if _NUMBER_CELL.match(cell)]
    names = [cell for cell in cells if not cell[0].isdigit() and not _is_unit(cell)]
    amounts = [cell for cell in cells if cell not in numbers and _AMOUNT_CELL.match(cell)]
    if amounts and names:
        return f"{amounts[0]} {names[0]}"
    if len(names) > 1 and cells[0] in numbers:
        return " ".join((cells[0], *names))
    own = next((cell for cell in cells if _is_unit(cell)), unit)
    if numbers and names:
        number = numbers[0] if "/" in numbers[0] else numbers[0].replace(" ", "")
        return f"{number} {own} {names[0]}"
    return " ".join(cells)


def _is_unit(text: str) -> bool:
    unit = text.lower().strip(".()")
    return unit in WRITTEN and (is_mass(unit) or is_volume(unit))
