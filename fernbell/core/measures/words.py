"""The words of a name: whole words, one spelling, no plurals."""

import re
import unicodedata
from functools import lru_cache

_PERCENT = re.compile(r"(\d+(?:[.,]\d+)?)\s*(?:%|per\s?cent\b)")
_POSSESSIVE = re.compile(r"['’`]s?\b|['’`]")
_WORD = re.compile(r"\d+(?:\.\d+)?%?|[^\W\d_]+")

_IRREGULAR = {"leaves": "leaf", "halves": "half", "loaves": "loaf", "cookies": "cookie"}
_AS_THEY_ARE = frozenset({"molasses", "couscous", "swiss", "hummus", "leaf", "half", "cookie"})
_ONE_SPELLING = {
    "gelatine": "gelatin",
    "yoghurt": "yogurt",
    "yogourt": "yogurt",
    "whiskey": "whisky",
    "soya": "soy",
    "sheet": "leaf",
    "choc": "chocolate",
    "desicated": "desiccated",
    "dessicated": "desiccated",
    "flavour": "flavor",
    "colour": "color",
    "fibre": "fiber",
    "centre": "center",
}


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


@lru_cache(maxsize=32_768)
def singular(word: str) -> str:
    """A word without its plural, in one spelling.

    Args:
        word: one word in small letters without accents [text].
    Returns:
        its usual form [text].
    Source:
        English plurals; American spelling.
    """
    word = _IRREGULAR.get(word, word)
    if len(word) > 3 and word not in _AS_THEY_ARE:
        if word.endswith("ies") and len(word) > 4:
            word = f"{word[:-3]}y"
        elif word.endswith(("ches", "shes", "sses", "xes", "zzes", "oes")):
            word = word[:-2]
        elif word.endswith("s") and not word.endswith(("ss", "us", "is")):
            word = word[:-1]
    if word.endswith(("ised", "ise")) and len(word) > 6:
        word = re.sub(r"is(ed?)$", r"iz\1", word)
    return _ONE_SPELLING.get(word, word)


@lru_cache(maxsize=32_768)
def words_of(text: str) -> tuple[str, ...]:
    """The words of a text as they are compared; a per cent is a word of its own, '35%'.

    Args:
        text: a name, or what was typed for one [text].
    Returns:
        words without case, accents, plurals, shape (n,) [text].
    Source:
        definition.
    """
    plain = _POSSESSIVE.sub("", folded(text))
    plain = _PERCENT.sub(lambda found: f" {found.group(1).replace(',', '.')}% ", plain)
    return tuple(singular(word) for word in _WORD.findall(plain))


def name_key(name: str) -> tuple[str, ...]:
    """What two names have in common that are the same: their words, in whatever order.

    Args:
        name: as written [text].
    Returns:
        its words in alphabetical order, each once, shape (n,) [text].
    Source:
        definition.
    """
    return ordered(words_of(name))


def ordered(words: tuple[str, ...]) -> tuple[str, ...]:
    """Words in an order of their own, so that 'dark couverture' is 'couverture, dark'.

    Args:
        words: in the order they were written, shape (n,) [text].
    Returns:
        the same in alphabetical order, each once, shape (m,) [text].
    Source:
        definition.
    """
    return tuple(sorted(set(words)))
