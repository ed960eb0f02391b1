"""Molds asked for in words, by volume, size and shape."""

import pytest

from fernbell.core.measures import WRITTEN, is_length, is_volume, millilitres, millimetres
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


@pytest.mark.parametrize("unit", sorted(one for one in WRITTEN if is_volume(one)))
@pytest.mark.parametrize(
    ("many", "times"), [("2", 2.0), ("½", 0.5), ("1 1/2", 1.5), ("1-1/2", 1.5)]
)
def test_a_volume_may_be_said_in_every_unit_of_a_kitchen(
    unit: str, many: str, times: float
) -> None:
    (bound,) = read_wish(f"holds {many} {unit}").bounds
    assert bound.measure == "volume"
    assert (bound.least + bound.most) / 2 == pytest.approx(millilitres(times, unit))


@pytest.mark.parametrize("unit", sorted(one for one in WRITTEN if is_length(one)))
@pytest.mark.parametrize("joined", [" ", "", "-"])
def test_a_length_may_be_said_in_every_unit(unit: str, joined: str) -> None:
    (bound,) = read_wish(f"at least 6{joined}{unit} across").bounds
    assert (bound.measure, bound.least) == ("across", pytest.approx(millimetres(6, unit)))


@pytest.mark.parametrize("text", ["57 by 37 cm", "57x37cm", "57 × 37 cm", "570 by 370 mm"])
def test_sides_are_said_in_any_way(text: str) -> None:
    assert "frame-57" in fitting(text)


@pytest.mark.parametrize(
    "text", ["ring 20", "tart", "", "x" * 120, "12", "9999999999", "l", "1.2", "1,200 ml", "8 oz"]
)
def test_without_a_unit_it_is_a_name(text: str) -> None:
    assert read_wish(text).bounds == ()
