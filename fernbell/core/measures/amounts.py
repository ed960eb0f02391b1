"""Reading an amount as it is typed: '250 g cream', '1 1/2 cups milk', '3 egg yolks'."""

import re
import unicodedata
from dataclasses import dataclass

from fernbell.core.errors import NotUnderstood, check_range
from fernbell.core.measures.units import WRITTEN, is_mass, is_volume

_VULGAR = {"¼": "1/4", "½": "1/2", "¾": "3/4", "⅓": "1/3", "⅔": "2/3", "⅛": "1/8"}
_NUMBER = re.compile(r"\s*(?:(\d+)\s+)?(\d+)\s*/\s*(\d+)|\s*(\d+(?:[.,]\d+)?|[.,]\d+)")

_THOUSANDS = re.compile(r"[1-9]\d{0,2},\d{3}")
"""Thousands or decimals? Nobody can tell, and the difference is a thousandfold."""


@dataclass(frozen=True, slots=True)
class Amount:
    """How many of what unit of what; `unit` is empty where pieces are counted."""

    value: float
    unit: str
    name: str


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
    for count in (2, 1):
        unit = " ".join(words[:count]).lower().replace(".", "")
        if len(words) > count and unit in WRITTEN and (is_mass(unit) or is_volume(unit)):
            name = words[count:]
            return unit, " ".join(name[1:] if name[0] == "of" and len(name) > 1 else name)
    return "", rest


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
