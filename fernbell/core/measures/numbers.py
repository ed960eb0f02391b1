"""A number as people write it: '1 1/2', '1-1/2', '½', '2-3', '2 to 3', 'half a dozen', '1 250'."""

import re
import unicodedata
from dataclasses import dataclass

from fernbell.core.errors import NotUnderstood

_THOUSANDS = re.compile(r"[1-9]\d{0,2}(,\d{3})+")
"""Thousands or decimals? Nobody can tell, and the difference is a thousandfold."""

_FRACTION = r"(?:\d+(?:\s*-\s*|\s+and\s+|\s+))?\d+\s*/\s*\d+"
_SPACED = r"[1-9]\d{0,2}(?:[ \u00a0\u2009\u202f]\d{3})+(?:[.,]\d+)?(?![\d/])"
_PLAIN = r"\d[\d,]*(?:\.[\d.,]*\d)?|[.,]\d+"
_COUNTED = "one two three four five six seven eight nine ten eleven twelve"
_WORDS = {word: place + 1 for place, word in enumerate(_COUNTED.split())}
_WORDS |= {"a": 1, "an": 1, "couple": 2}
_SHARES = {"half": 0.5, "quarter": 0.25, "third": 1 / 3, "quarters": 0.25, "thirds": 1 / 3}
_WORD = r"(?:{})\b".format("|".join(sorted({*_WORDS, *_SHARES}, key=len, reverse=True)))
_SPELLED = (
    rf"(?:(?:a|one|two|three)[\s-]+)?(?:half|quarters?|thirds?)\b(?:\s+(?:of\s+)?an?\b)?"
    rf"|a\s+couple\b|{_WORD}"
)
DIGITS = rf"(?:{_FRACTION}|{_PLAIN})"
"""One number in digits, as a pattern: '12', '1.5', '1 1/2'."""
_NUMBER = rf"(?:{_SPACED}|{_FRACTION}|{_PLAIN}|{_SPELLED})"
_HALF_MORE = r"(?:\s+and\s+a\s+half\b)?"
_ONE = re.compile(rf"\s*({_NUMBER}{_HALF_MORE})(\s*dozen\b)?", re.IGNORECASE)
_TO = re.compile(rf"\s*(?:-|–|—|\bto\b|\bor\b)\s*(?={_NUMBER})", re.IGNORECASE)
_TIMES = re.compile(r"\s*[x×]\s*(?=\d)", re.IGNORECASE)


@dataclass(frozen=True, slots=True)
class Quantity:
    """A number, or a range of two; its middle is what is weighed."""

    least: float
    most: float

    @property
    def value(self) -> float:
        """The number; of a range its middle [1]."""
        return (self.least + self.most) / 2

    @property
    def is_range(self) -> bool:
        """Whether it says from where to where."""
        return self.most > self.least

    def times(self, many: float) -> "Quantity":
        """So many of it [1]."""
        return Quantity(self.least * many, self.most * many)


def plain_fractions(text: str) -> str:
    """A text with '½' written as ' 1/2', so that '1½' is one and a half.

    Args:
        text: as typed [text].
    Returns:
        the same in plain signs [text].
    Source:
        Unicode compatibility decomposition (UAX #15).
    """
    plain = []
    for char in text:
        apart = unicodedata.normalize("NFKC", char) if unicodedata.category(char) == "No" else char
        plain.append(f" {apart.replace('⁄', '/')}" if "⁄" in apart else char)
    return "".join(plain).replace("⁄", "/")


def take_number(text: str) -> tuple[Quantity, str] | None:
    """The number a text begins with, and what stands behind it.

    Args:
        text: with plain fractions [text].
    Returns:
        the number and the rest; None where it begins with none [Quantity, text].
    Raises:
        NotUnderstood: a fraction over 0, thousands that may be decimals, a range that falls.
    Source:
        common practice in writing recipes.
    """
    first = _ONE.match(text)
    if not first:
        return None
    least, rest = _value(first), text[first.end() :]
    to = _TO.match(rest)
    second = _ONE.match(rest, to.end()) if to else None
    if second is None:
        times = _TIMES.match(rest)
        more = take_number(rest[times.end() :]) if times else None
        return (more[0].times(least), more[1]) if more else (Quantity(least, least), rest)
    most = _value(second)
    if most < least:
        said = text[: first.end()].strip() + rest[: second.end()]
        raise NotUnderstood("amount", repr(said), "a range from the least to the most")
    return Quantity(least, most), rest[second.end() :]


def _value(found: re.Match[str]) -> float:
    dozens = 12 if found.group(2) else 1
    return dozens * number_of(found.group(1))


def number_of(text: str) -> float:
    """One number as written.

    Args:
        text: such as '1 1/2', '0,5', '1 250', 'half a', 'two' [text].
    Returns:
        its value [1].
    Raises:
        NotUnderstood: a fraction over 0, or thousands that may be decimals.
    Source:
        definition; '1,200' is refused since it may be 1200 or 1.2.
    """
    plain = text.strip().lower()
    if plain.endswith("and a half"):
        return number_of(plain.removesuffix("and a half")) + 0.5
    if "/" in plain:
        return _fraction(plain)
    if plain[0].isdigit() or plain[0] in ".,":
        return _decimal(plain)
    words = re.split(r"[\s-]+", plain)
    share = next((_SHARES[word] for word in words if word in _SHARES), 1.0)
    many = _WORDS["couple"] if "couple" in words else _WORDS.get(words[0], 1)
    return many * share


def _fraction(text: str) -> float:
    *whole, over, under = (int(one) for one in re.findall(r"\d+", text))
    if under == 0:
        raise NotUnderstood("line", repr(text), "a fraction not over 0")
    return sum(whole) + over / under


def _decimal(text: str) -> float:
    if _THOUSANDS.fullmatch(text):
        allowed = f"written as {text.replace(',', '')} or as {text.replace(',', '.', 1)}"
        raise NotUnderstood("amount", text, allowed)
    plain = re.sub(r"\s", "", text).replace(",", ".")
    try:
        return float(plain)
    except ValueError:
        raise NotUnderstood("amount", repr(text), "one number, such as 1.5") from None
