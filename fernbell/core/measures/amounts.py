"""Reading an amount as it is typed: '250 g cream', '1 1/2 cups milk', '3 egg yolks'."""

import re
import unicodedata
from dataclasses import dataclass
from difflib import get_close_matches

from fernbell.core.errors import NotUnderstood, check_range
from fernbell.core.measures.units import WRITTEN, is_mass, is_volume

_VULGAR = {"¼": "1/4", "½": "1/2", "¾": "3/4", "⅓": "1/3", "⅔": "2/3", "⅛": "1/8"}
_NUMBER = re.compile(r"\s*(?:(\d+)\s+)?(\d+)\s*/\s*(\d+)|\s*(\d+(?:[.,]\d+)?|[.,]\d+)")

_PLUS = re.compile(r"(?<=[a-zA-Z])\s*\+\s*(?=[\d.,])")

_THOUSANDS = re.compile(r"[1-9]\d{0,2},\d{3}")
"""Thousands or decimals? Nobody can tell, and the difference is a thousandfold."""


STATES = ("chopped", "sifted", "packed", "sliced", "ground", "grated", "melted")
"""How a cup of the same thing may be prepared; written before or behind its name."""


@dataclass(frozen=True, slots=True)
class Amount:
    """How many of what unit of what; `unit` is empty where pieces are counted.

    `also` are further amounts of it, as in '1 cup + 2 tbsp'.
    """

    value: float
    unit: str
    name: str
    also: tuple[tuple[float, str], ...] = ()

    @property
    def state(self) -> str:
        """'chopped', 'sifted' and the like, where it is said; else nothing."""
        words = folded(self.name).replace(",", " ").split()
        return next((word for word in words if word in STATES), "")

    @property
    def plain_name(self) -> str:
        """The name without its state."""
        words = [word for word in self.name.split() if folded(word).strip(",") not in STATES]
        return " ".join(words).strip(" ,")


def read_amount(text: str) -> Amount:
    """Read 'number unit name'.

    Args:
        text: what was typed, number first [text].
    Returns:
        the amount; its unit is '' when none was written [Amount].
    Raises:
        NotUnderstood: no number, a number of 0, or no name behind it.
        OutOfRange: a number above 1 000 000.
    Source:
        common practice in writing recipes.
    """
    for sign, plain in _VULGAR.items():
        text = text.replace(sign, f" {plain}")
    head, *more = _PLUS.split(text)
    also = []
    while more:
        also.append(_measure(head))
        head, *more = more
    read = _read(head)
    if not also:
        return read
    (value, unit), *rest = also
    return Amount(value, unit, read.name, (*rest, (read.value, read.unit)))


def _measure(text: str) -> tuple[float, str]:
    """A number and a unit, and nothing behind them."""
    amount = _read(f"{text} of it")
    if not amount.unit:
        raise NotUnderstood("line", repr(text.strip()), "a number and a measure on both sides of +")
    return amount.value, amount.unit


def _read(text: str) -> Amount:
    found = _NUMBER.match(text)
    if not found:
        raise NotUnderstood("line", repr(text), "an amount and a name, such as '250 g cream'")
    value = _number(found)
    check_range("amount", value, open_least=True)
    unit, name = _unit_and_name(text[found.end() :].strip())
    if not name:
        raise NotUnderstood("line", repr(text), "followed by the name of an ingredient or formula")
    return Amount(value, unit, name)


def _number(found: re.Match[str]) -> float:
    whole, over, under, plain = found.groups()
    if plain:
        if _THOUSANDS.fullmatch(plain):
            allowed = f"written as {plain.replace(',', '')} or as {plain.replace(',', '.')}"
            raise NotUnderstood("amount", plain, allowed)
        return float(plain.replace(",", "."))
    if int(under) == 0:
        raise NotUnderstood("line", repr(found.group().strip()), "a fraction not over 0")
    return int(whole or 0) + int(over) / int(under)


def _unit_and_name(rest: str) -> tuple[str, str]:
    words = rest.split()
    if rest.lower() in WRITTEN:
        return rest.lower(), ""
    for count in (3, 2, 1):
        unit = " ".join(words[:count]).lower().replace(".", "")
        if len(words) > count and unit in WRITTEN and (is_mass(unit) or is_volume(unit)):
            name = words[count:]
            return unit, " ".join(name[1:] if name[0] == "of" and len(name) > 1 else name)
    _refuse_slip(words)
    return "", rest


def _refuse_slip(words: list[str]) -> None:
    """'2 cupps of cream' is no count of cupps: a word that is nearly a measure is a slip."""
    if len(words) < 2 or words[0].lower() in WRITTEN:
        return
    volumes = [unit for unit in WRITTEN if len(unit) > 3 and is_volume(unit)]
    near = get_close_matches(words[0].lower(), volumes, n=1, cutoff=0.85)
    if near:
        raise NotUnderstood("measure", repr(words[0]), f"one that is known, such as {near[0]!r}")


def folded(name: str) -> str:
    """A name as it is compared: no accents, no case.

    Args:
        name: as written [text].
    Returns:
        the same in small letters without marks [text].
    Source:
        Unicode normalization form D (UAX #15).
    """
    apart = unicodedata.normalize("NFD", name)
    return "".join(one for one in apart if not unicodedata.combining(one)).casefold()
