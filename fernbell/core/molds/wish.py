"""A mold asked for in words: 'holds 1.2 to 1.5 l', 'dome 8 cm', 'over 500 ml, 20 cm across'."""

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import TYPE_CHECKING, Literal

if TYPE_CHECKING:
    from fernbell.core.molds.solid import Solid

Measure = Literal["volume", "any", "across", "width", "height"]

_ABOUT_VOLUME, _ABOUT_LENGTH = 0.15, 0.04
"""How far off a mold may be where one figure is asked for; common practice."""

_ML = {"ml": 1.0, "cl": 10.0, "dl": 100.0, "l": 1000.0, "cc": 1.0}
_MM = {"mm": 1.0, "cm": 10.0, "in": 25.4, "inch": 25.4, '"': 25.4, "m": 1000.0}
_UNIT = re.compile(
    r"(?P<volume>milliliters?|millilitres?|ml|cl|dl|liters?|litres?|l|cc)(?![a-z])|"
    r'(?P<length>mm|cm|inch(?:es)?|in|"|m)(?![a-z])'
)
_NUMBER = r"\d+(?:[.,]\d+)?"
_FIGURES = re.compile(
    rf"(?P<how>[a-z~<>≥≤ ]*?)(?P<first>{_NUMBER})"
    rf"(?:\s*(?P<unit>{_UNIT.pattern.replace('?P<volume>', '').replace('?P<length>', '')})?"
    rf"\s*(?P<between>to|and|-|–|x|×)\s*(?P<second>{_NUMBER})"
    rf"(?:\s*[x×]\s*(?P<third>{_NUMBER}))?)?"
    rf"\s*(?P<last>{_UNIT.pattern.replace('?P<volume>', '').replace('?P<length>', '')})"
    r"(?:\s*(?P<which>across|wide|long|diameter|high|deep|tall))?"
)
_LEAST = ("over", "more than", "at least", "from", "above", ">", "≥", "min")
_MOST = ("under", "less than", "at most", "up to", "below", "<", "≤", "max", "no more than")
_WHICH: Mapping[str, Measure] = {
    "across": "across",
    "long": "across",
    "diameter": "across",
    "wide": "width",
    "high": "height",
    "deep": "height",
    "tall": "height",
}
_FILLER = re.compile(
    "an?|the|of|or|and|that|which|with|for|about|around|ca|circa|some|mou?lds?|hold(?:s|ing)?|takes|"
    "volumes?|sized?|between|from|to|over|under|than|more|less|at|least|most|up|above|below|min|"
    "max|no|one|pans?|tins?"
)


@dataclass(frozen=True, slots=True)
class WishedMeasure:
    """A measure, and between which figures it is wanted [ml or mm]."""

    measure: Measure
    least: float
    most: float

    def holds(self, solid: "Solid") -> bool:
        """Whether a mold is so."""
        return any(self.least <= value <= self.most for value in _measured(solid, self.measure))


def called(solid: "Solid", name: str) -> str:
    """All that a mold is called by: its name, its size and its form.

    Args:
        solid: the mold [Solid].
        name: its own name [text].
    Returns:
        words [text].
    Source:
        definition.
    """
    looks = ["dome"] if solid.stands_on_rim else []
    looks += ["straight"] if solid.is_upright else []
    looks += ["log", "gutter"] if solid.symmetry == "long" else [solid.symmetry]
    return " ".join((name, solid.size_words(), *looks))


@dataclass(frozen=True, slots=True)
class MoldWish:
    """What is asked of a mold: measures, and words that its name or its form is to have."""

    bounds: tuple[WishedMeasure, ...]
    words: tuple[str, ...]

    def fits(self, solid: "Solid", called: str) -> bool:
        """Whether a mold of this name is what is asked for.

        Args:
            solid: the mold [Solid].
            called: all that it is called by, its form too [text].
        Returns:
            true if every measure and every word fits [bool].
        Source:
            definition.
        """
        spoken = re.findall(r"[^\W_]+", called.lower())
        worded = all(any(one.startswith(word) for one in spoken) for word in self.words)
        return worded and all(bound.holds(solid) for bound in self.bounds)


def read_wish(text: str) -> MoldWish:
    """Read what is asked of a mold; figures without a unit are no measures.

    Args:
        text: as typed [text].
    Returns:
        measures and words [MoldWish].
    Source:
        definition; one figure means so much and a little more or less, common practice.
    """
    said = text.lower().replace("\N{RIGHT DOUBLE QUOTATION MARK}", '"')
    bounds: list[WishedMeasure] = []
    left = said
    for found in _FIGURES.finditer(said):
        bounds.extend(_bounds(found))
        left = left.replace(found.group(0)[len(found["how"]) :], " ", 1)
    spoken = re.findall(r"[^\W_]+", left)
    words = (one.removesuffix("s") if len(one) > 4 else one for one in spoken)
    return MoldWish(tuple(bounds), tuple(one for one in words if not _FILLER.fullmatch(one)))


def _bounds(found: re.Match[str]) -> Iterator[WishedMeasure]:
    last = _unit(found["last"])
    first, second = _figure(found["first"]), found["second"]
    begins = _unit(found["unit"]) if found["unit"] else last
    if begins[0] != last[0]:
        begins = last
    measure: Measure = "volume" if last[0] == "volume" else _WHICH.get(found["which"] or "", "any")
    slack = _ABOUT_VOLUME if measure == "volume" else _ABOUT_LENGTH
    low = first * begins[1]
    if second and found["between"] in ("x", "×"):
        for one in (found["first"], second, found["third"]):
            if one:
                size = _figure(one) * last[1]
                yield WishedMeasure("any", size * (1 - slack), size * (1 + slack))
    elif second:
        high = _figure(second) * last[1]
        yield WishedMeasure(measure, *sorted((low, high)))
    elif found["how"].strip().endswith(_MOST):
        yield WishedMeasure(measure, 0.0, low)
    elif found["how"].strip().endswith(_LEAST):
        yield WishedMeasure(measure, low, float("inf"))
    else:
        yield WishedMeasure(measure, low * (1 - slack), low * (1 + slack))


def _figure(text: str) -> float:
    return float(text.replace(",", "."))


def _unit(text: str) -> tuple[str, float]:
    """Whether of volume or length, and how many milliliters or millimeters."""
    if text in _MM or text.startswith("inch"):
        return "length", _MM[text.removesuffix("es")]
    short = {"m": "ml", "l": "l"}[text[0]] if len(text) > 2 else text
    return "volume", _ML[short]


def _measured(solid: "Solid", measure: Measure) -> tuple[float, ...]:
    plan = solid.from_above
    if measure == "volume":
        return (solid.capacity_ml,)
    if measure == "height":
        return (solid.height_mm,)
    if measure == "width":
        return plan.width_mm, solid.across_mm
    across = (plan.length_mm, plan.width_mm, solid.across_mm)
    return across if measure == "across" else (*across, solid.height_mm)
