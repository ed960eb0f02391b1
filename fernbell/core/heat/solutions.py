"""What is dissolved, and how much of the water it holds: water activity by Norrish."""

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass
from itertools import pairwise

from scipy.optimize import brentq

from fernbell.core.errors import CoreError, OutOfRange, check_range

WATER_G_MOL = 18.015


@dataclass(frozen=True, slots=True)
class Solute:
    """A dissolved substance: molar mass, Norrish constant (natural log), particles a molecule."""

    name: str
    molar_g: float
    norrish_k: float
    source: str
    particles: int = 1


_CHIRIFE = "Norrish 1966, Chirife et al. 1980, from memory"
_ASSUMED = "assumed, from memory"

SOLUTES: Mapping[str, Solute] = {
    one.name: one
    for one in (
        Solute("sucrose", 342.30, 6.47, _CHIRIFE),
        Solute("glucose", 180.16, 2.25, _CHIRIFE),
        Solute("fructose", 180.16, 2.25, _CHIRIFE),
        Solute("maltose", 342.30, 4.54, _CHIRIFE),
        Solute("lactose", 342.30, 10.2, _CHIRIFE),
        Solute("sorbitol", 182.17, 1.65, _CHIRIFE),
        Solute("mannitol", 182.17, 0.91, _CHIRIFE),
        Solute("erythritol", 122.12, 1.34, _CHIRIFE),
        Solute("glycerol", 92.09, 1.16, _CHIRIFE),
        Solute("xylitol", 152.15, 1.66, "from memory, weak"),
        Solute("maltitol", 344.31, 4.54, "assumed as for maltose"),
        Solute("isomalt", 344.31, 6.47, "assumed as for sucrose"),
        Solute("citric acid", 192.12, 6.17, _CHIRIFE),
        Solute("salt", 58.44, 0.0, "two ions, ideal", particles=2),
        Solute("alcohol", 46.07, 0.0, "ideal"),
    )
}
"""Every solute by name. Acids are counted as citric, salt as two ions, alcohol as ideal."""

POLYOLS = ("sorbitol", "mannitol", "erythritol", "glycerol", "xylitol", "maltitol", "isomalt")

_SYRUP_K = ((42.0, 4.54), (60.0, 3.0), (100.0, 2.25))


def syrup_solids(dextrose_equivalent: float) -> Solute:
    """Glucose-syrup solids of a dextrose equivalent; molar mass = 18016 / DE.

    Args:
        dextrose_equivalent: DE, 10 to 100 [%].
    Returns:
        the solute [Solute].
    Raises:
        OutOfRange: a DE outside that range.
    Source:
        molar mass by definition of DE; K 4.54 at DE 42 and below, 3.0 at 60, 2.25 at 100, linear
        between: assumed.
    """
    check_range("dextrose_equivalent", dextrose_equivalent, least=10, most=100)
    k = _SYRUP_K[0][1]
    for (low, at_low), (high, at_high) in pairwise(_SYRUP_K):
        if dextrose_equivalent >= low:
            share = min(1.0, (dextrose_equivalent - low) / (high - low))
            k = at_low + share * (at_high - at_low)
    name = f"glucose-syrup solids, DE {dextrose_equivalent:g}"
    return Solute(name, 18016 / dextrose_equivalent, k, _ASSUMED)


@dataclass(frozen=True, slots=True)
class Solution:
    """Water and what is dissolved in it [g]; all else, fat and starch, counts as inert."""

    water_g: float
    dissolved: tuple[tuple[Solute, float], ...]

    def __post_init__(self) -> None:
        check_range("water_g", self.water_g, most=1e9)
        for _, mass in self.dissolved:
            check_range("dissolved_g", mass, most=1e9)

    @property
    def solids_g(self) -> float:
        """What is dissolved [g]."""
        return sum(mass for _, mass in self.dissolved)

    @property
    def moles(self) -> float:
        """Particles of what is dissolved [mol]."""
        return sum(mass / one.molar_g * one.particles for one, mass in self.dissolved)

    @property
    def pull(self) -> float:
        """Sum of the moles, each times the root of its Norrish constant [mol]."""
        return sum(mass / one.molar_g * math.sqrt(one.norrish_k) for one, mass in self.dissolved)


def solution(water_g: float, dissolved_g: Mapping[str, float]) -> Solution:
    """A solution from solutes by name; 'glucose-syrup solids' are written with their DE.

    Args:
        water_g: the water [g].
        dissolved_g: grams by name, such as 'sucrose' or 'DE 42' [g].
    Returns:
        the solution [Solution].
    Raises:
        CoreError: a solute that is not in the table.
        OutOfRange: negative grams.
    Source:
        definition.
    """
    return Solution(water_g, tuple((_named(name), mass) for name, mass in dissolved_g.items()))


def _named(name: str) -> Solute:
    if name.startswith("DE "):
        return syrup_solids(float(name.removeprefix("DE ")))
    if name not in SOLUTES:
        raise CoreError("dissolved_g", name, f"one of {', '.join(SOLUTES)} or 'DE 42'")
    return SOLUTES[name]


def water_activity(own: Solution) -> float:
    """Water activity; ln a = ln Xw - (sum sqrt(Ki) Xi)^2, by mole fractions.

    Args:
        own: water and what is dissolved [Solution].
    Returns:
        water activity at 25 °C, good to 0.01 at 0.90 and 0.03 at 0.80 [0 to 1].
    Raises:
        OutOfRange: no water.
    Source:
        Norrish 1966 for several solutes, constants from memory; fails above 80 % solids.
    """
    check_range("water_g", own.water_g, most=1e9, open_least=True)
    return _activity(own.water_g, own.moles, own.pull)


def _activity(water_g: float, moles: float, pull: float) -> float:
    water = water_g / WATER_G_MOL
    total = water + moles
    return water / total * math.exp(-((pull / total) ** 2))


def water_at(own: Solution, activity: float) -> float:
    """Water in which what is dissolved has an activity; more water than that lowers nothing.

    Args:
        own: what is dissolved; its water is not used [Solution].
        activity: the water activity wanted, 0.3 to below 1 [0 to 1].
    Returns:
        water [g].
    Raises:
        OutOfRange: an activity outside that range.
    Source:
        inverse of Norrish, which falls steadily as water leaves (scipy brentq).
    """
    check_range("water_activity", activity, least=0.3, most=1 - 1e-9)
    moles, pull = own.moles, own.pull
    if moles == 0:
        return 0.0
    most = WATER_G_MOL * (moles + pull) * (2 / (1 - activity) + 2)
    return float(brentq(lambda w: _activity(w, moles, pull) - activity, 0.0, most, rtol=1e-12))


SATURATION_G = {"sucrose": 200.0, "lactose": 20.0}
"""Grams that dissolve in 100 g of water at 20 °C; sucrose 66.7 % of the solution; from memory."""


def crystallizing(own: Solution) -> tuple[str, ...]:
    """Names of sugars there is more of than their water dissolves at 20 °C.

    Args:
        own: water and what is dissolved [Solution].
    Returns:
        names; activity is then a little higher than computed [text].
    Source:
        saturation of each by itself: from memory.
    """
    held = {one.name: mass for one, mass in merged(own.dissolved)}
    most = own.water_g / 100
    return tuple(name for name, grams in SATURATION_G.items() if held.get(name, 0) > grams * most)


def merged(parts: Iterable[tuple[Solute, float]]) -> tuple[tuple[Solute, float], ...]:
    """The same with each solute once.

    Args:
        parts: solutes and grams, shape (n,) [g].
    Returns:
        solutes and grams; those of nothing are left out [g].
    Source:
        definition.
    """
    held: dict[Solute, float] = {}
    for one, mass in parts:
        held[one] = held.get(one, 0.0) + mass
    return tuple((one, mass) for one, mass in held.items() if mass)


def ideal_activity(own: Solution) -> float:
    """Water activity by Raoult's law, which is an upper bound; a = Xw.

    Args:
        own: water and what is dissolved [Solution].
    Returns:
        water activity [0 to 1].
    Raises:
        OutOfRange: neither water nor anything dissolved.
    Source:
        Raoult's law.
    """
    total = own.water_g / WATER_G_MOL + own.moles
    if total <= 0:
        raise OutOfRange("water_g", own.water_g, "more than 0")
    return own.water_g / WATER_G_MOL / total
