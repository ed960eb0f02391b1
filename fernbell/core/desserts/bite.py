"""A bite through the cut: each part's share of it, and how sweet, fat, sour and salt it is."""

from collections.abc import Mapping, Sequence
from dataclasses import dataclass

from fernbell.core.desserts.measure import PartResult
from fernbell.core.formulas import ACIDS, FAT, FIGURES, SWEETNESS, Mix
from fernbell.core.working import COMMON_PRACTICE, MASS_BALANCE, Given, Working, figure_text
from fernbell.starter.practice import practice

SWEETEST, FLATTEST = practice("sweetest bite"), practice("flattest bite")
"""Where a whole dessert cloys, and where it tastes of little; sugar = 100, common practice."""

_TASTED = (SWEETNESS, FAT, ACIDS, FIGURES["salt"])

Tastes = Mapping[str, Working | None]
"""Sweetness, fat, acids and salt by name; None where a make-up leaves it unknown."""


@dataclass(frozen=True, slots=True)
class BitePart:
    """One part of the bite: its share of it [%], and how it tastes by itself."""

    part: str
    layer: str | None
    name: str
    share: Working
    tastes: Tastes


@dataclass(frozen=True, slots=True)
class Bite:
    """The bite part by part, and as a whole; `says` is what the whole is like."""

    parts: tuple[BitePart, ...]
    tastes: Tastes
    needs: tuple[str, ...]
    says: str


def take_bite(parts: Sequence[PartResult], mixes: Mapping[str, Mix]) -> Bite | None:
    """Weigh the parts of a bite that goes through the cut from top to bottom.

    A portion is cut so that each part is in it by its share of the whole; so is the bite.

    Args:
        parts: the parts of one dessert, from the top [g].
        mixes: what their formulas are made of [Mix].
    Returns:
        the bite; None while a part's mass is unknown or there is none [%, sugar = 100].
    Source:
        mass balance; sweetness from memory, see the workings.
    """
    masses = [part.mass for part in parts if part.mass]
    whole = sum(one.value for one in masses)
    if not whole or len(masses) < len(parts):
        return None
    bites, needs = [], dict[str, None]()
    for part, mass in zip(parts, masses, strict=True):
        gauges = [one.gauge(mixes[part.formula]) for one in _TASTED]
        needs.update(dict.fromkeys(need for gauge in gauges for need in gauge.needs))
        tastes = {gauge.name: gauge.working for gauge in gauges}
        share = _share(part.name, mass, whole)
        bites.append(BitePart(part.part, part.layer, part.name, share, tastes))
    tastes = {one.name: _weighted(one.name, bites) for one in _TASTED}
    return Bite(tuple(bites), tastes, tuple(needs), _says(bites, tastes[SWEETNESS.name]))


def _share(name: str, mass: Working, whole_g: float) -> Working:
    value = 100 * mass.value / whole_g
    return Working(
        figure=f"{name} in a bite",
        value=value,
        unit="%",
        given=(Given(name, mass.value, "g"), Given("the whole dessert", whole_g, "g")),
        law="mass of the part / mass of the whole dessert",
        arithmetic=f"100 × {figure_text(mass.value)} / {figure_text(whole_g)} = "
        f"{figure_text(value)} %",
        source=MASS_BALANCE,
        steps=(mass,),
    )


def _weighted(name: str, bites: Sequence[BitePart]) -> Working | None:
    """A taste of the whole: that of each part by its share."""
    own = [(bite, working) for bite in bites if (working := bite.tastes[name]) is not None]
    if len(own) < len(bites):
        return None
    value = sum(one.share.value * working.value for one, working in own) / 100
    sum_ = " + ".join(
        f"{figure_text(one.share.value)} × {figure_text(working.value)}" for one, working in own
    )
    return Working(
        figure=f"{name} of a bite through the cut",
        value=value,
        unit=own[0][1].unit,
        given=tuple(Given(one.name, one.share.value, "% of the bite") for one, _ in own),
        law=f"share of the bite × {name.lower()} of the part, summed",
        arithmetic=f"({sum_}) / 100 = {figure_text(value)}",
        source=MASS_BALANCE + ("; sweetness from memory" if name == SWEETNESS.name else ""),
        steps=tuple(working for _, working in own),
    )


def _says(bites: Sequence[BitePart], sweet: Working | None) -> str:
    if sweet is None:
        return ""

    def brings(one: BitePart) -> float:
        return one.share.value * _sweet(one)

    where = (
        f"most of it from {max(bites, key=brings).name}; sweetest by itself is "
        f"{max(bites, key=_sweet).name}"
    )
    if sweet.value > SWEETEST:
        return f"Cloying above {SWEETEST:g} ({COMMON_PRACTICE}): {where}."
    if sweet.value < FLATTEST:
        return f"Flat below {FLATTEST:g} ({COMMON_PRACTICE}): {where}."
    return f"Between {FLATTEST:g} and {SWEETEST:g}, as desserts are ({COMMON_PRACTICE}): {where}."


def _sweet(one: BitePart) -> float:
    working = one.tastes[SWEETNESS.name]
    return working.value if working else 0.0
