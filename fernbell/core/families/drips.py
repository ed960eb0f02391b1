"""Drips down the edge of a cake, counted and weighed."""

import math
from dataclasses import dataclass

from fernbell.core.errors import check_range
from fernbell.core.field import Field
from fernbell.core.working import COMMON_PRACTICE, Given, Working, figure_text
from fernbell.starter.practice import practice

SPACING_MM = practice("drip spacing")
DRIP_FIELDS = (
    Field("diameter_mm", "Cake across", least=30, most=3000, first=180),
    Field("length_mm", "One runs", least=5, most=300, first=40),
    Field("spacing_mm", "One every", least=10, most=200, first=SPACING_MM),
)
"""What is asked of drips, and what is usual."""
WIDTH_MM, THICK_MM = practice("drip width"), practice("drip thickness")
"""A drip of ganache as it stands; common practice."""


@dataclass(frozen=True, slots=True)
class Drips:
    """How many, and what they weigh."""

    count: Working
    one: Working
    all: Working


def drips(
    diameter_mm: float, length_mm: float, density_g_ml: float, spacing_mm: float = SPACING_MM
) -> Drips:
    """Count drips down a round cake and weigh them: half an ellipse wide, a half ball at its foot.

    n = pi diameter / spacing; one = (pi/4 width thickness length + pi/12 width^2 thickness) density

    Args:
        diameter_mm: of the cake, 30 to 3 000 [mm].
        length_mm: how far a drip runs, 5 to 300 [mm].
        density_g_ml: of the ganache [g/ml].
        spacing_mm: from drip to drip, 10 to 200 [mm].
    Returns:
        count, grams of one and of all [1, g].
    Raises:
        OutOfRange: a length outside its range.
    Source:
        common practice: one about every 2.5 cm; the shape is a model.
    """
    for field, value in zip(DRIP_FIELDS, (diameter_mm, length_mm, spacing_mm), strict=True):
        field.check(value)
    check_range("density_g_ml", density_g_ml, 0.2, 3)
    count, one = _count(diameter_mm, spacing_mm), _one(length_mm, density_g_ml)
    total = Working(
        "All drips",
        count.value * one.value,
        "g",
        (Given("drips", count.value, ""), Given("one drip", one.value, "g")),
        "count × grams of one",
        f"{count.value:g} × {figure_text(one.value)} = {figure_text(count.value * one.value)} g",
        COMMON_PRACTICE,
        (count, one),
    )
    return Drips(count, one, total)


def _count(diameter_mm: float, spacing_mm: float) -> Working:
    edge = math.pi * diameter_mm
    number = max(1, round(edge / spacing_mm))
    return Working(
        "Drips",
        number,
        "",
        (Given("across", diameter_mm, "mm"), Given("one every", spacing_mm, "mm")),
        "π × across / spacing, to the nearest whole",
        f"π × {figure_text(diameter_mm)} / {figure_text(spacing_mm)} = "
        f"{figure_text(edge / spacing_mm)} → {number}",
        COMMON_PRACTICE,
    )


def _one(length_mm: float, density_g_ml: float) -> Working:
    stem = math.pi / 4 * WIDTH_MM * THICK_MM * length_mm / 1000
    foot = math.pi / 12 * WIDTH_MM**2 * THICK_MM / 1000
    grams = (stem + foot) * density_g_ml
    return Working(
        "One drip",
        grams,
        "g",
        (
            Given("runs", length_mm, "mm"),
            Given("wide", WIDTH_MM, "mm"),
            Given("thick", THICK_MM, "mm"),
            Given("density", density_g_ml, "g/ml"),
        ),
        "(π/4 × wide × thick × length + π/12 × wide² × thick) × density",
        f"({figure_text(stem)} + {figure_text(foot)}) ml × {figure_text(density_g_ml)} = "
        f"{figure_text(grams)} g",
        COMMON_PRACTICE,
    )
