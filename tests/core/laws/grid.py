"""Every form with every rule that stands in it, upright and upside down, bare and coated, held."""

import zlib
from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from functools import cache, partial
from itertools import product

from fernbell.core.desserts import (
    RULES,
    Coat,
    Dessert,
    Held,
    Solved,
    portions_for,
    propose,
    propose_layer,
    solve,
)
from fernbell.core.desserts.dessert import shape_of
from fernbell.core.errors import CoreError
from fernbell.core.formulas import Sheet
from fernbell.core.molds import Ring, Solid
from tests.core.kitchen import BOOK
from tests.core.solids import SOLIDS

FORMULAS = ("sponge", "mousse", "jelly", "glaze", "syrup")
WITH = {
    "alone": (),
    "on a base, in a fill": ("base", "fill"),
    "coated": ("base", "fill", "coat"),
    "coated twice": ("base", "fill", "coat", "second coat"),
}


@dataclass(frozen=True, slots=True)
class Case:
    """A saved dessert, how it is called, and what core answers for so many."""

    called: str
    dessert: Dessert
    count: int
    answer: Solved
    sheets: tuple[Sheet, ...]


@dataclass(frozen=True, slots=True)
class LeftOut:
    """A combination that core refuses, with its reason."""

    called: str
    why: str


def _with(dessert: Dessert, rule: str, key: str) -> Dessert:
    """One more part as core proposes it, of a formula by its turn; a roll gets something spread."""
    formula = FORMULAS[len(dessert.parts) % len(FORMULAS)]
    part = propose(dessert, rule, key, formula)
    grown = replace(dessert, parts=(part, *dessert.parts))
    if rule == "roll":
        layered = propose_layer(grown, key, f"{key} spread", "mousse")
        grown = replace(grown, parts=(layered, *dessert.parts))
    return grown


def _second_coat(dessert: Dessert) -> Dessert:
    coat = Coat(key="second", formula="syrup", thickness_mm=3.0)
    return replace(dessert, parts=(coat, *dessert.parts))


def _composed(solid: Solid, rule: str, built: str, others: tuple[str, ...]) -> Dessert:
    """The others first, then the part of the rule; divided as its shape asks."""
    dessert = Dessert("Tried", solid, (), portions_for(solid), built)  # type: ignore[arg-type]
    for one in others:
        if one == "second coat":
            dessert = _second_coat(dessert)
        elif one != rule:
            dessert = _with(dessert, one, one)
    dessert = _with(dessert, rule, "tried")
    return replace(dessert, portions=portions_for(shape_of(dessert)))


def _holding(solid: Solid, each: int, inside_mm: float | None) -> Dessert:
    """A filled one with others set on it, or one inside."""
    small = _composed(Ring(60, 20), "fill", "upright", ("base",))
    holder = _composed(solid, "fill", "upright", ("base",))
    return replace(holder, holds=(Held("held", small, each, inside_mm),))


Combination = tuple[str, Callable[[], Dessert]]
"""How it is called, and what composes it."""

HOLDING = {"one": (1, None), "several": (3, None), "one inside": (1, 12.0)}


def combinations() -> Iterator[Combination]:
    """Every one there is, before anything is composed."""
    for solid in SOLIDS:
        words = solid.words_in_full()
        rules = (one.words.rule for one in RULES)
        for rule, built, way in product(rules, ("upright", "upside down"), WITH):
            named = f"{rule}, {way}, {built}, {words}"
            yield named, partial(_composed, solid, rule, built, WITH[way])
        for way, (each, inside_mm) in HOLDING.items():
            yield f"holds {way}, {words}", partial(_holding, solid, each, inside_mm)


@cache
def tried(one_in: int, seed: str) -> tuple[tuple[Case, ...], tuple[LeftOut, ...]]:
    """One in so many of the combinations, solved; and those that core refuses."""
    cases, left = [], []
    for called, compose in combinations():
        if zlib.crc32(f"{seed} {called}".encode()) % one_in:
            continue
        try:
            dessert = compose()
            answer, sheets = solve(dessert, BOOK, COUNT)
        except CoreError as refusal:
            left.append(LeftOut(called, str(refusal)))
        else:
            cases.append(Case(called, dessert, COUNT, answer, tuple(sheets)))
    return tuple(cases), tuple(left)


COUNT = 3
"""How many desserts are made of each."""
