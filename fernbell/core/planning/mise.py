"""Mise en place: everything an order is made of, as it is set out and as it is bought."""

import math
import re
from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from enum import StrEnum

from fernbell.core.formulas import Book, Step
from fernbell.core.pantry import Ingredient, LineRole, Pack, Store, is_leaf, pieces_in, role_of
from fernbell.core.planning.order import MadeFormula, PlannedOrder
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

_SOFT = re.compile(r"\bsoft(en\w*)?\b(?! peak)", re.IGNORECASE)
"""A method that says so wants its butter soft."""


class SetOut(StrEnum):
    """What is done with an ingredient before the making begins."""

    WEIGH = "weigh"
    COUNT = "count"
    BLOOM = "bloom"
    SOFTEN = "soften"


@dataclass(frozen=True, slots=True)
class Stocked:
    """How an ingredient is kept and bought: where, in which packs, what one costs today."""

    store: Store | None = None
    packs: tuple[Pack, ...] = ()
    prices: tuple[float | None, ...] = ()


@dataclass(frozen=True, slots=True)
class UsedIn:
    """So much of it for one formula [g]."""

    formula: str
    name: str
    mass_g: float


@dataclass(frozen=True, slots=True)
class Bought:
    """So many packs of it, what is left of them [g], and what they cost [currency]."""

    pack: str
    number: int
    left_g: float
    price: float | None


@dataclass(frozen=True, slots=True)
class MiseLine:
    """One ingredient for the whole order: how it is set out, where it is kept, what for.

    `counted` is how many pieces that is, of those that are counted whole.
    """

    ingredient: str
    name: str
    mass: Working
    how: SetOut
    store: Store | None
    uses: tuple[UsedIn, ...]
    piece: str = ""
    counted: float | None = None
    bought: Bought | None = None


@dataclass(frozen=True, slots=True)
class MiseEnPlace:
    """Every ingredient once, by name; what each formula leaves that nobody asked for; what the
    packs cost, as far as prices are known, None where none is.
    """

    lines: tuple[MiseLine, ...]
    left: tuple[UsedIn, ...]
    cost: Working | None


def mise_en_place(
    planned: PlannedOrder,
    book: Book,
    stock: Mapping[str, Stocked],
    methods: Mapping[str, Sequence[Step]],
) -> MiseEnPlace:
    """Sum an order by ingredient.

    Args:
        planned: the order in its batches [PlannedOrder].
        book: the ingredients it refers to [Book].
        stock: how each is kept and bought, by its key [Stocked].
        methods: steps of each formula, by its key [Step].
    Returns:
        one line an ingredient: what all batches weigh of it [g].
    Source:
        mass balance.
    """
    uses: dict[str, list[UsedIn]] = {}
    how: dict[str, SetOut] = {}
    for made in planned.made:
        for at, line in enumerate(made.sheet.lines):
            grams = _grams(made, at)
            if line.ingredient is None or not grams:
                continue
            used = UsedIn(made.sheet.formula, made.sheet.name, grams)
            uses.setdefault(line.ingredient, []).append(used)
            ingredient = book.ingredient(line.ingredient)
            stage = [one for one in methods.get(made.sheet.formula, ()) if one.stage == line.stage]
            own = _how(ingredient, stage)
            # What is softened for one formula is softened, though another takes it cold.
            how[line.ingredient] = max(own, how.get(line.ingredient, own), key=_CARE.index)
    lines = [
        _line(book.ingredient(key), tuple(used), how[key], stock.get(key, Stocked()))
        for key, used in uses.items()
    ]
    left = tuple(
        UsedIn(one.sheet.formula, one.sheet.name, one.left_g)
        for one in planned.made
        if one.left_g >= 0.5
    )
    named = tuple(sorted(lines, key=lambda one: one.name.casefold()))
    return MiseEnPlace(named, left, _cost(named))


def _cost(lines: Sequence[MiseLine]) -> Working | None:
    """The packs bought, where their prices are known."""
    known = [(one.name, one.bought.price) for one in lines if one.bought and one.bought.price]
    if not known:
        return None
    value = sum(price for _, price in known)
    return Working(
        figure="The packs, as far as prices are known",
        value=value,
        unit="",
        given=tuple(Given(name, price, "") for name, price in known),
        law="the sum of the packs",
        arithmetic=f"{' + '.join(f'{price:.2f}' for _, price in known)} = {value:.2f}",
        source=MASS_BALANCE,
    )


_CARE = (SetOut.WEIGH, SetOut.COUNT, SetOut.SOFTEN, SetOut.BLOOM)


def _grams(made: MadeFormula, at: int) -> float:
    """What all batches weigh of a line of the sheet [g]."""
    return sum(one.masses_g[at] for one in made.batches)


def _how(ingredient: Ingredient, steps: Sequence[Step]) -> SetOut:
    role = role_of(ingredient)
    if role is LineRole.GELATIN:
        return SetOut.BLOOM
    if role is LineRole.BUTTER and any(_SOFT.search(step.text) for step in steps):
        return SetOut.SOFTEN
    return SetOut.COUNT if ingredient.egg or is_leaf(ingredient) else SetOut.WEIGH


def _line(
    ingredient: Ingredient, uses: tuple[UsedIn, ...], how: SetOut, stock: Stocked
) -> MiseLine:
    mass = _sum(ingredient.name, uses)
    counted = ingredient.egg is not None or is_leaf(ingredient)
    piece = ingredient.pieces[0] if ingredient.pieces and counted else None
    return MiseLine(
        ingredient=ingredient.key,
        name=ingredient.name,
        mass=mass,
        how=how,
        store=stock.store,
        uses=uses,
        piece=piece.name if piece else "",
        counted=pieces_in(piece, mass.value) if piece else None,
        bought=_bought(mass.value, stock),
    )


def _sum(name: str, uses: Sequence[UsedIn]) -> Working:
    value = sum(one.mass_g for one in uses)
    return Working(
        figure=f"{name}, whole order",
        value=value,
        unit="g",
        given=tuple(Given(one.name, one.mass_g, "g") for one in uses),
        law="the sum of what every sheet weighs",
        arithmetic=f"{' + '.join(figure_text(one.mass_g) for one in uses)} = "
        f"{figure_text(value)} g",
        source=MASS_BALANCE,
    )


def _bought(mass_g: float, stock: Stocked) -> Bought | None:
    """The pack of which least is left over; of those alike the one told first."""
    ways = []
    for pack, price in zip(stock.packs, stock.prices, strict=True):
        number = math.ceil(mass_g / pack.mass_g - 1e-9)
        cost = None if price is None else number * price
        ways.append(Bought(pack.name, number, number * pack.mass_g - mass_g, cost))
    return min(ways, key=lambda one: round(one.left_g, 6), default=None)
