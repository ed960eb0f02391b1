"""The starter pantry, read from pantry.csv: generic ingredients, no brands.

Make-ups in g of 100 g are by an open table where it has a row (see sourcing.py), else, like
densities, keeping and temper figures, from memory, rounded as a kitchen would; carbohydrates
nobody told apart are by difference. Prices are invented, in euro.
What a pack, an analysis or a weighed cup says replaces any of them. Of the columns, `kind` is
the DE of syrup solids, the polyol, the bloom, or the kind of pectin, whichever there is.
names.csv holds what else each is called, usual.csv what a bare word such as 'butter' means.
"""

import csv
from dataclasses import dataclass
from datetime import date
from pathlib import Path
from typing import Any

from fernbell.core.pantry import (
    TOLD_BY,
    Chocolate,
    ChocolateKind,
    Condition,
    EggPart,
    Ingredient,
    Keeping,
    MakeUp,
    Pack,
    Piece,
    Price,
    State,
    Store,
    completed,
    price_per_kg,
    temper_of,
)

PRICED_ON = date(2026, 1, 1)
Row = dict[str, str]


@dataclass(frozen=True, slots=True)
class Stock:
    """One row of the starter pantry; `ingredient` is keyed by its slug."""

    ingredient: Ingredient
    other_names: tuple[str, ...]
    packs: tuple[Pack, ...]
    keeping: tuple[Keeping, ...]
    source: str
    status: str


def _number(text: str) -> float | None:
    return float(text) if text else None


def _pairs(text: str) -> list[tuple[str, float]]:
    """'leaf, gold 2; pod 3' as names and numbers."""
    split = (one.rsplit(" ", 1) for one in text.split("; ") if one)
    return [(name, float(number)) for name, number in split]


def _make_up(row: Row) -> MakeUp | None:
    if not row["make_up"]:
        return None
    known: dict[str, Any] = dict(_pairs(row["make_up"]))
    field = next((told for part, told in TOLD_BY.items() if known.get(part) and row["kind"]), None)
    if field:
        named = field in ("polyol", "pectin_kind")
        known[field] = row["kind"] if named else float(row["kind"])
    return completed(MakeUp(**known))


def _chocolate(row: Row) -> Chocolate | None:
    if not row["chocolate"]:
        return None
    kind = ChocolateKind(row["chocolate"])
    cocoa = float(row["cocoa_percent"])
    return Chocolate(kind, cocoa, temper_of(kind, cocoa))


def _keeping(text: str) -> tuple[Keeping, ...]:
    """'closed frozen 540; thawed cold 3' as where and how many days."""
    told = (one.split() for one in text.split("; ") if one)
    return tuple(
        Keeping(Condition(condition), Store(store), float(days)) for condition, store, days in told
    )


def _stock(row: Row, other_names: tuple[str, ...]) -> Stock:
    packs: tuple[Pack, ...] = ()
    if row["pack"]:
        packs = (Pack(row["pack"], float(row["pack_g"]), (Price(PRICED_ON, float(row["price"])),)),)
    return Stock(
        Ingredient(
            *(row["slug"], row["name"]),
            density_g_ml=_number(row["density_g_ml"]),
            cup_density_g_ml=_number(row["cup_density_g_ml"]),
            weigh_step_g=float(row["weigh_step_g"]),
            pieces=tuple(Piece(*pair) for pair in _pairs(row["pieces"])),
            make_up=_make_up(row),
            price_per_kg=price_per_kg(packs, PRICED_ON),
            allergens=tuple(row["allergens"].split()),
            chocolate=_chocolate(row),
            states=tuple(State(*pair) for pair in _pairs(row["states"])),
            egg=EggPart(row["egg"]) if row["egg"] else None,
            bought=tuple(Piece(pack.name, pack.mass_g) for pack in packs),
        ),
        other_names,
        packs,
        _keeping(row["keeping"]),
        row["source"],
        row["status"],
    )


def _table(name: str) -> list[Row]:
    with Path(__file__).with_name(name).open(encoding="utf-8", newline="") as file:
        return list(csv.DictReader(file))


def _other_names() -> dict[str, tuple[str, ...]]:
    return {row["slug"]: tuple(row["names"].split("; ")) for row in _table("names.csv")}


def _read() -> tuple[Stock, ...]:
    others = _other_names()
    return tuple(_stock(row, others.get(row["slug"], ())) for row in _table("pantry.csv"))


STOCKS = _read()
USUAL = {row["word"]: row["slug"] for row in _table("usual.csv")}
"""What a bare word means in a new kitchen, by slug."""
