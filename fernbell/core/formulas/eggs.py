"""Eggs kept whole, yolks and whites from the same eggs, and what is left over."""

import math
from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from fernbell.core.errors import check_range
from fernbell.core.pantry import EggPart, Ingredient, other_part
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text

ALMOST = 0.02
"""An egg that is short by no more than this share of all counts as whole; common practice."""


@dataclass(frozen=True, slots=True)
class Leftover:
    """Yolks or whites that are left of the eggs cracked for the other."""

    part: EggPart
    count: float
    working: Working


@dataclass(frozen=True, slots=True)
class EggAccount:
    """Eggs to crack for what the lines take, and what is left of them."""

    cracked: int
    left: tuple[Leftover, ...]
    working: Working


def whole_factor(factor: float, pieces: float) -> float:
    """The factor at which eggs become whole ones, and never too few.

    f' = f ceil(n - 0.02 n) / n

    Args:
        factor: factor that gives what was asked for [1].
        pieces: eggs at that factor [eggs].
    Returns:
        a factor a little larger, or at most 2 % smaller where an egg is all but whole [1].
    Raises:
        OutOfRange: no eggs.
    Source:
        common practice: round up, the rest is spare.
    """
    check_range("pieces", pieces, open_least=True)
    return factor * max(1, math.ceil(pieces * (1 - ALMOST))) / pieces


def egg_account(eggs: Iterable[tuple[Ingredient, float]]) -> EggAccount | None:
    """Count the eggs that lines take; yolks and whites come from the same eggs.

    cracked = ceil(whole) + ceil(max(yolks, whites))

    Args:
        eggs: ingredients that are of an egg, and grams of them, shape (n,) [g].
    Returns:
        the account; None where nothing counted is of an egg [EggAccount].
    Source:
        common practice; the mass of one is the pantry's.
    """
    counts, one_g = dict.fromkeys(EggPart, 0.0), dict.fromkeys(EggPart, 0.0)
    for ingredient, mass in eggs:
        if ingredient.egg is not None and ingredient.pieces:
            one_g[ingredient.egg] = ingredient.pieces[0].mass_g
            counts[ingredient.egg] += mass / ingredient.pieces[0].mass_g
    whole, yolks, whites = (counts[part] for part in (EggPart.WHOLE, EggPart.YOLK, EggPart.WHITE))
    if not whole + yolks + whites:
        return None
    parted = _up(max(yolks, whites))
    cracked = _up(whole) + parted
    left = tuple(
        _leftover(part, parted, counts[part], _one(part, one_g))
        for part in (EggPart.YOLK, EggPart.WHITE)
        if parted - counts[part] > ALMOST * parted
    )
    most = figure_text(max(yolks, whites))
    return EggAccount(
        cracked,
        left,
        Working(
            figure="Eggs to crack",
            value=cracked,
            unit="eggs",
            given=(
                Given("whole eggs", whole, "×"),
                Given("yolks", yolks, "×"),
                Given("whites", whites, "×"),
            ),
            law="whole eggs, and as many more as there are yolks or whites, both rounded up",
            arithmetic=f"{figure_text(whole)} → {_up(whole)}; {most} → {parted}; in all {cracked}",
            source=COMMON_PRACTICE + "; the mass of one is the pantry's",
        ),
    )


def _leftover(part: EggPart, parted: int, used: float, one_g: float) -> Leftover:
    count = parted - used
    return Leftover(
        part,
        count,
        Working(
            figure=f"Left of the eggs cracked, {part}",
            value=count * one_g,
            unit="g",
            given=(
                Given("eggs parted", parted, "×"),
                Given(f"{part} used", used, "×"),
                Given(f"one {part}", one_g, "g"),
            ),
            law="(eggs parted − used) × mass of one",
            arithmetic=f"({parted} − {figure_text(used)}) × {figure_text(one_g)} = "
            f"{figure_text(count * one_g)} g",
            source=COMMON_PRACTICE + "; the mass of one is the pantry's",
        ),
    )


def _one(part: EggPart, one_g: Mapping[EggPart, float]) -> float:
    """What one weighs; where the formula holds none of it, by the share of the same egg."""
    known = next(one for one in (part, *EggPart) if one_g[one])
    return other_part(known, one_g[known], part)


def _up(count: float) -> int:
    return math.ceil(count * (1 - ALMOST))
