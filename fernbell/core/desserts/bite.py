"""A bite through the cut: each part's share of it, and how sweet, fat, sour and salt it is."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from fernbell.core.desserts.measure import PartResult
from fernbell.core.formulas import Composition, sweetness
from fernbell.core.pantry import FATS
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE, Given, Working, figure_text

SWEETEST, FLATTEST = 30.0, 10.0
"""Where a whole dessert cloys, and where it tastes of little; sugar = 100, common practice."""

TASTES: Mapping[str, tuple[str, ...]] = {"fat": FATS, "acids": ("acids",), "salt": ("salt",)}


@dataclass(frozen=True, slots=True)
class BitePart:
    """One part of the bite: its share [%], and its readings, None where unknown.

    `tastes` are per cent of fat, acids and salt in the part.
    """

    part: str
    layer: str | None
    name: str
    share_percent: float
    sweetness: Working | None
    tastes: Mapping[str, float | None]


@dataclass(frozen=True, slots=True)
class Bite:
    """The bite part by part, and as a whole; `says` is what the whole is like."""

    parts: tuple[BitePart, ...]
    sweetness: Working | None
    tastes: Mapping[str, float | None]
    needs: tuple[str, ...]
    says: str


def take_bite(parts: Sequence[PartResult], compositions: Mapping[str, Composition]) -> Bite | None:
    """Weigh the parts of a bite that goes through the cut from top to bottom.

    A portion is cut so that each part is in it by its share of the whole; so is the bite.

    Args:
        parts: the parts of one dessert, from the top [g].
        compositions: what their formulas are made of [g].
    Returns:
        the bite; None while a part's mass is unknown or there is none [%, sugar = 100].
    Source:
        mass balance; sweetness from memory, see the workings.
    """
    masses = [part.mass.value for part in parts if part.mass]
    whole = sum(masses)
    if not whole or len(masses) < len(parts):
        return None
    bites = tuple(
        _part(part, 100 * mass / whole, compositions[part.formula])
        for part, mass in zip(parts, masses, strict=True)
    )
    made = [compositions[part.formula] for part in parts]
    needs = tuple(dict.fromkeys(name for one in made for name in sweetness(one).needs))
    sweet = _sweetness(bites)
    tastes = {
        name: _weighted([(one.share_percent, one.tastes[name]) for one in bites]) for name in TASTES
    }
    return Bite(bites, sweet, tastes, needs, _says(bites, sweet))


def _part(part: PartResult, share: float, made: Composition) -> BitePart:
    tastes = {
        name: 100 * sum(made.grams[one] for one in parts) / made.mass_g
        if made.known(*parts)
        else None
        for name, parts in TASTES.items()
    }
    return BitePart(part.part, part.layer, part.name, share, sweetness(made).working, tastes)


def _weighted(terms: list[tuple[float, float | None]]) -> float | None:
    known = [(share, value) for share, value in terms if value is not None]
    if len(known) < len(terms):
        return None
    return sum(share * value for share, value in known) / 100


def _sweetness(bites: tuple[BitePart, ...]) -> Working | None:
    terms = [(one.name, one.share_percent, one.sweetness) for one in bites]
    known = [(name, share, working) for name, share, working in terms if working is not None]
    if len(known) < len(terms):
        return None
    value = sum(share * working.value for _, share, working in known) / 100
    sum_ = " + ".join(
        f"{figure_text(share)} × {figure_text(working.value)}" for _, share, working in known
    )
    return Working(
        figure="Sweetness of a bite through the cut",
        value=value,
        unit="sugar = 100",
        given=tuple(Given(name, share, "% of the bite") for name, share, _ in known),
        rule="share of the bite × sweetness of the part, summed",
        arithmetic=f"({sum_}) / 100 = {figure_text(value)}",
        source=f"{MASS_BALANCE}; sweetness from memory",
        steps=tuple(working for _, _, working in known),
    )


def _says(bites: tuple[BitePart, ...], sweet: Working | None) -> str:
    if sweet is None:
        return ""
    most = max(
        bites, key=lambda one: one.share_percent * one.sweetness.value if one.sweetness else 0
    )
    sweetest = max(bites, key=lambda one: one.sweetness.value if one.sweetness else 0)
    where = f"most of it from {most.name}; sweetest by itself is {sweetest.name}"
    if sweet.value > SWEETEST:
        return f"Cloying above {SWEETEST:g} ({COMMON_PRACTICE}): {where}."
    if sweet.value < FLATTEST:
        return f"Flat below {FLATTEST:g} ({COMMON_PRACTICE}): {where}."
    return f"Between {FLATTEST:g} and {SWEETEST:g}, as desserts are ({COMMON_PRACTICE}): {where}."
