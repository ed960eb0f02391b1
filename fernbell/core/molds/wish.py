"""A mold asked for in words: 'holds 1.2 to 1.5 l', 'dome 8 cm', 'over 500 ml, 20 cm across'."""

import re
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from typing import TYPE_CHECKING, Literal

from fernbell.core.errors import NotUnderstood
from fernbell.core.measures import (
    DIGITS,
    WRITTEN,
    is_length,
    is_volume,
    millilitres,
    millimetres,
    number_of,
    plain_fractions,
)

if TYPE_CHECKING:
    from fernbell.core.molds.solid import Solid

Measure = Literal["volume", "any", "across", "width", "height"]

_ABOUT_VOLUME, _ABOUT_LENGTH = 0.15, 0.04
"""How far off a mold may be where one figure is asked for; common practice."""

_UNITS = sorted((one for one in WRITTEN if is_volume(one) or is_length(one)), key=len, reverse=True)
_UNIT = rf"[\s-]*(?:{'|'.join(map(re.escape, _UNITS))})(?![a-z])"
_FIGURES = re.compile(
    rf"(?P<how>[a-z~<>≥≤ ]*?)(?P<first>{DIGITS})"
    rf"(?:(?P<unit>{_UNIT})?"
    rf"\s*(?P<between>to|and|by|-|–|x|×)\s*(?P<second>{DIGITS})"
    rf"(?:\s*(?:by|x|×)\s*(?P<third>{DIGITS}))?)?"
    rf"(?P<last>{_UNIT})"
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
    said = plain_fractions(text.lower().replace("\N{RIGHT DOUBLE QUOTATION MARK}", '"'))
    bounds: list[WishedMeasure] = []
    left = said
    for found in _FIGURES.finditer(said):
        try:
            bounds.extend(_bounds(found))
        except NotUnderstood:
            # '1,200 ml' may be a thousand or a little more than one: it stays a word.
            continue
        left = left.replace(found.group(0)[len(found["how"]) :], " ", 1)
    spoken = re.findall(r"[^\W_]+", left)
    words = (one.removesuffix("s") if len(one) > 4 else one for one in spoken)
    return MoldWish(tuple(bounds), tuple(one for one in words if not _FILLER.fullmatch(one)))


def _bounds(found: re.Match[str]) -> Iterator[WishedMeasure]:
    last = found["last"].strip(" -")
    begins = (found["unit"] or last).strip(" -")
    is_of_volume = is_volume(last)
    into = millilitres if is_of_volume else millimetres
    if is_volume(begins) != is_of_volume:
        begins = last
    measure: Measure = "volume" if is_of_volume else _WHICH.get(found["which"] or "", "any")
    slack = _ABOUT_VOLUME if is_of_volume else _ABOUT_LENGTH
    low, second = into(number_of(found["first"]), begins), found["second"]
    if second and found["between"] in ("x", "×", "by"):
        for one in (found["first"], second, found["third"]):
            if one:
                size = into(number_of(one), last)
                yield WishedMeasure("any", size * (1 - slack), size * (1 + slack))
    elif second:
        yield WishedMeasure(measure, *sorted((low, into(number_of(second), last))))
    elif found["how"].strip().endswith(_MOST):
        yield WishedMeasure(measure, 0.0, low)
    elif found["how"].strip().endswith(_LEAST):
        yield WishedMeasure(measure, low, float("inf"))
    else:
        yield WishedMeasure(measure, low * (1 - slack), low * (1 + slack))


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
