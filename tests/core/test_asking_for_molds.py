"""Molds asked for in words, by volume, size and shape."""

import pytest

from fernbell.core.molds import called, read_wish
from fernbell.starter.molds import MOLDS

HUNG = {one.slug: one for one in MOLDS}


def fitting(text: str) -> set[str]:
    wish = read_wish(text)
    return {
        one.slug for one in MOLDS if wish.bounds and wish.fits(one.mold, called(one.mold, one.name))
    }


@pytest.mark.parametrize(
    "text",
    [
        "holds 1.2 to 1.5 l",
        "1.2-1.5 l",
        "between 1.2 and 1.5 liters",
        "1200 to 1500 ml",
        "1,2 – 1,5 l",
        "a mold that holds 12 to 15 dl",
        "from 1.2 l to 1.5 l",
        "1200 ml to 1.5 litres",
        "1.5 to 1.2 l",
    ],
)
def test_a_volume_is_understood_however_it_is_said(text: str) -> None:
    within = {one.slug for one in MOLDS if 1200 <= one.mold.capacity_ml <= 1500}
    assert within
    assert fitting(text) == within


@pytest.mark.parametrize(
    ("text", "least", "most"),
    [
        ("over 2 l", 2000, float("inf")),
        ("at least 2 liters", 2000, float("inf")),
        ("under 100 ml", 0, 100),
        ("up to 10 cl", 0, 100),
        ("no more than 0.1 l", 0, 100),
        ("about 1 l", 850, 1150),
        ("1 l", 850, 1150),
    ],
)
def test_a_bound_is_kept(text: str, least: float, most: float) -> None:
    found = fitting(text)
    assert found == {one.slug for one in MOLDS if least <= one.mold.capacity_ml <= most}
    assert found


@pytest.mark.parametrize(
    ("text", "slug"),
    [
        ("ring 20 cm", "ring-20"),
        ("round 20 cm across", "ring-20"),
        ("200 mm ring, 4.5 cm high", "ring-20"),
        ("8 in ring", "ring-20"),
        ("tart 24 cm", "tart-24"),
        ("heart about 18 cm", "heart-18"),
        ("dome 8 cm", "dome-8"),
        ("domes 100 to 200 ml", "dome-8"),
        ("gutter 50 cm", "gutter-50"),
        ("frame 57 x 37 cm", "frame-57"),
    ],
)
def test_size_and_shape_are_asked_together(text: str, slug: str) -> None:
    assert slug in fitting(text)
    word = text.split()[0].removesuffix("s") if text[0].isalpha() else "ring"
    assert all(word in called(HUNG[one].mold, HUNG[one].name).lower() for one in fitting(text))


@pytest.mark.parametrize("text", ["ring 20", "tart", "", "x" * 120, "12", "9999999999", "l", "1.2"])
def test_without_a_unit_it_is_a_name(text: str) -> None:
    assert read_wish(text).bounds == ()
