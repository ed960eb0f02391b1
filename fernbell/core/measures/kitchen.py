"""Cups and spoons of four countries: what a word means in each, and a volume said in them."""

from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from enum import StrEnum
from fractions import Fraction
from functools import lru_cache

from fernbell.core.errors import check_range
from fernbell.core.measures.units import WRITTEN, millilitres


class System(StrEnum):
    """Whose cups and spoons are meant where no country is named."""

    METRIC = "metric"
    US = "US"
    IMPERIAL = "imperial"
    AUSTRALIAN = "Australian"


_CUPS = ("cup", "cups", "cupful", "cupfuls")
_SPOONS = tuple(word for word, unit in WRITTEN.items() if unit == "tablespoon" and " " not in word)
_TEAS = tuple(word for word, unit in WRITTEN.items() if unit == "teaspoon" and " " not in word)
_OUNCES = ("fl oz", "floz", "fluid oz", "fluid ounce", "fluid ounces")
PINTS = ("pt", "pint", "pints")
METRIC_PINTS = {"US": "us pint", "imperial": "imperial pint"}
"""A metric kitchen has no pint of its own: which one is meant is asked."""
_QUARTS = ("qt", "qts", "quart", "quarts")
_GALLONS = ("gal", "gallon", "gallons")


def _words(cup: str, spoon: str, tea: str, empire: str) -> Mapping[str, str]:
    return {
        **dict.fromkeys(_CUPS, cup),
        **dict.fromkeys(_SPOONS, spoon),
        **dict.fromkeys(_TEAS, tea),
        **dict.fromkeys(_OUNCES, f"{empire}fluid_ounce"),
        **dict.fromkeys(PINTS, f"{empire}pint"),
        **dict.fromkeys(_QUARTS, f"{empire}quart"),
        **dict.fromkeys(_GALLONS, f"{empire}gallon"),
    }


_METRIC = _words("metric_cup", "metric_tablespoon", "metric_teaspoon", "imperial_")
# Quarts are not made outside the United States any more.
_NO_QUARTS = dict.fromkeys(_QUARTS, "quart")

MEANS: Mapping[System, Mapping[str, str]] = {
    System.METRIC: {**_METRIC, **_NO_QUARTS},
    System.US: _words("cup", "tablespoon", "teaspoon", ""),
    System.IMPERIAL: _words("imperial_cup", "metric_tablespoon", "metric_teaspoon", "imperial_"),
    System.AUSTRALIAN: {
        **_METRIC,
        **_NO_QUARTS,
        **dict.fromkeys(_SPOONS, "au_tablespoon"),
    },
}
"""What the words of a kitchen mean. British spoons are the metric ones: common practice."""

_CUP_PARTS = tuple(Fraction(one) for one in ("0", "1/4", "1/3", "1/2", "2/3", "3/4"))
_LEAST_TSP = Fraction(1, 8)
_MOST_CUPS = 400
_MOST_SPOONS = 4
_NEAR = 0.015
"""A measure this near is as good as a nearer one of more spoons."""

_SIGNS = {
    Fraction(1, 8): "⅛",
    Fraction(1, 4): "¼",
    Fraction(1, 3): "⅓",
    Fraction(1, 2): "½",
    Fraction(2, 3): "⅔",
    Fraction(3, 4): "¾",
}


@dataclass(frozen=True, slots=True)
class Measure:
    """So many cups, tablespoons and teaspoons of a system."""

    system: System
    cups: Fraction = Fraction(0)
    tablespoons: Fraction = Fraction(0)
    teaspoons: Fraction = Fraction(0)

    @property
    def terms(self) -> tuple[tuple[Fraction, str], ...]:
        """Counts and words, those of nothing left out."""
        every = ((self.cups, "cup"), (self.tablespoons, "tbsp"), (self.teaspoons, "tsp"))
        return tuple((count, word) for count, word in every if count)

    @property
    def volume_ml(self) -> float:
        """What they hold [ml]."""
        means = MEANS[self.system]
        return sum(float(count) * millilitres(1, means[word]) for count, word in self.terms)

    @property
    def text(self) -> str:
        """Such as '1½ cups + 2 tbsp'."""
        return " + ".join(
            f"{count_text(count)} {word}{'s' if word == 'cup' and count > 1 else ''}"
            for count, word in self.terms
        )


def count_text(count: Fraction) -> str:
    """A count as it is written: '1½', '¾', '12'.

    Args:
        count: whole, or with a part of eighths, quarters or thirds [1].
    Returns:
        text [text].
    Source:
        common practice.
    """
    whole, part = divmod(count, 1)
    return f"{whole or ''}{_SIGNS[part] if part else ''}" or "0"


def count_words(count: float) -> str:
    """A number as it is written: '½' where it is a part cooks use, '0.4' elsewhere.

    Args:
        count: any number [1].
    Returns:
        text [text].
    Source:
        common practice.
    """
    near = Fraction(count).limit_denominator(8)
    written = abs(float(near) - count) < 1e-6 and (near % 1 in _SIGNS or near.denominator == 1)
    return count_text(near) if written else f"{count:.4g}"


@lru_cache(maxsize=4096)
def measured(volume_ml: float, system: System) -> Measure | None:
    """A volume in cups and spoons, as near as they come.

    Args:
        volume_ml: the volume [ml].
        system: whose cups [System].
    Returns:
        the measure; None below an eighth of a teaspoon or above 400 cups [Measure].
    Raises:
        OutOfRange: a negative volume.
    Source:
        nearest combination; quarters and thirds of cups, halves of tablespoons, quarters of
        teaspoons: common practice.
    """
    check_range("volume_ml", volume_ml, most=1e9)
    means = MEANS[system]
    cup, tea = (millilitres(1, means[word]) for word in ("cup", "tsp"))
    if volume_ml < 0.75 * float(_LEAST_TSP) * tea or volume_ml > _MOST_CUPS * cup:
        return None
    every = list(_candidates(volume_ml, system))

    def rank(one: Measure) -> tuple[float, int, float, float]:
        off = abs(one.volume_ml - volume_ml) / volume_ml
        return (0.0 if off < _NEAR else off, len(one.terms), -float(one.cups), off)

    return min(every, key=rank)


def _candidates(volume_ml: float, system: System) -> Iterator[Measure]:
    means = MEANS[system]
    cup, spoon, tea = (millilitres(1, means[word]) for word in ("cup", "tbsp", "tsp"))
    whole = int(volume_ml / cup)
    for parts in (*(whole + part for part in _CUP_PARTS), Fraction(whole + 1)):
        rest = volume_ml - float(parts) * cup
        if rest < -0.05 * volume_ml or (not whole and parts == 0 and rest > 5 * spoon):
            continue
        halves = max(0, int(2 * rest / spoon))
        for spoons in {Fraction(halves, 2), Fraction(halves + 1, 2), Fraction(halves // 2)}:
            left = rest - float(spoons) * spoon
            quarters = max(0, round(4 * left / tea))
            for teas in {Fraction(0), Fraction(quarters, 4)}:
                if (parts or spoons or teas) and teas < 4 and spoons <= _MOST_SPOONS:
                    yield Measure(system, parts, spoons, teas)
    if volume_ml < tea:
        yield Measure(system, teaspoons=_LEAST_TSP)
