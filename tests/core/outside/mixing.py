"""Answers to cases on mixing temperatures, by calling core."""

import re
from collections.abc import Iterator
from typing import Any

from fernbell.core.heat import Portion, mixed_at, seed_for, specific_heat

Rows = Iterator[tuple[str, float | str]]
GROUPS = {"carb": "carbohydrate", "fibre": "fiber"}


def shares_of(fractions: dict[str, float]) -> dict[str, float]:
    return {GROUPS.get(name, name): share for name, share in fractions.items()}


def mixing_rows(case: dict[str, Any]) -> Rows:
    """Where a warm part and a cold one end, and what seed brings chocolate to a temperature."""
    inputs = case["inputs"]
    if "parts" in inputs:
        yield from _folded(inputs["parts"])
    elif "X_g" in inputs:
        keys = [row["key"] for row in case["expect"]]
        yield from _seeded(inputs, keys)


def _folded(parts: list[dict[str, Any]]) -> Rows:
    portions = [
        Portion(part["g"], part["T_C"], shares_of(part["mass_fractions"])) for part in parts
    ]
    yield "mix temperature, cp(T) integrated", mixed_at(portions)
    for part, portion in zip(parts, portions, strict=True):
        heat = specific_heat(portion.shares, portion.temperature_c)
        yield f"cp of {part['what']} at {part['T_C']} C", heat


def _seeded(inputs: dict[str, Any], keys: list[str]) -> Rows:
    shares = shares_of(inputs["mass_fractions"])
    melted = Portion(inputs["X_g"], inputs["TX_C"], shares)
    for key in keys:
        melting = float(re.search(r"fraction ([\d.]+)", key)[1])
        latent = melting * shares["fat"] * inputs["latent_kJ_per_kg_fat"] * inputs["Y_g"] / 1000
        seed = Portion(inputs["Y_g"], inputs["TY_C"], shares, latent)
        if key.startswith("seed"):
            yield (
                key,
                seed_for(
                    melted,
                    seed,
                    inputs["T_final_C"],
                    melting_share=melting,
                    fat_share=shares["fat"],
                ),
            )
        else:
            yield key, mixed_at((melted, seed))
