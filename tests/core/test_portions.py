"""Portions: by wedge, by grid, by count, by weight."""

from dataclasses import replace

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.desserts import (
    ByCount,
    ByWeight,
    Dessert,
    Garnish,
    Grid,
    Wedges,
    divide,
    solve,
)
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.molds import Frame, Ring
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.core.kitchen import BOOK, entremet

RING, FRAME = Ring(200, 45), Frame(570, 370, 40)


def test_a_count_of_a_ring_is_its_wedges() -> None:
    assert divide(ByCount(9), RING, None, 0) == (Wedges(9), None)


# Worked by hand: the sides of a piece of 570 x 370 as near to each other as the count allows.
@pytest.mark.parametrize(
    ("count", "grid"),
    [(1, (1, 1)), (6, (3, 2)), (24, (6, 4)), (54, (9, 6)), (7, (7, 1)), (100, (10, 10))],
)
def test_a_count_of_a_frame_is_cut_as_squarely_as_it_goes(
    count: int, grid: tuple[int, int]
) -> None:
    division, _ = divide(ByCount(count), FRAME, None, 0)
    assert division == Grid(*grid)


def test_a_count_no_grid_can_have_is_refused() -> None:
    with pytest.raises(OutOfRange, match="rows times columns") as refusal:
        divide(ByCount(47 * 2), FRAME, None, 0)
    assert refusal.value.field == "portions"
    with pytest.raises(OutOfRange, match="at most 60 wedges"):
        divide(ByCount(61), RING, None, 0)


# By hand: 1 335 g without garnish, every portion carrying 1.5 g: 1335 / 118.5 = 11.27.
def test_by_weight_counts_the_garnish_on_each_portion() -> None:
    solved, _ = solve(replace(REEDBED, portions=ByWeight(120)), demo_book(), 6)
    assert solved.portions == 11
    assert solved.division == Wedges(11)
    assert solved.division_working.value == pytest.approx(11.27, abs=0.01)
    garnish = next(part for part in solved.parts if part.part == "clusters")
    assert garnish.measure.value == 6 * 11


@given(st.floats(200, 20_000), st.floats(20, 500))
def test_pieces_of_a_frame_by_weight_are_near_it_and_never_slivers(
    plain: float, portion: float
) -> None:
    division, working = divide(ByWeight(portion), FRAME, plain, 0)
    assert isinstance(division, Grid)
    assert working.value == pytest.approx(plain / portion)
    sides = FRAME.length_mm / division.columns, FRAME.width_mm / division.rows
    assert max(sides) <= 2 * min(sides)
    if 4 <= working.value <= 200:
        assert division.count == pytest.approx(working.value, rel=0.26)


def test_a_portion_lighter_than_its_garnish_is_refused() -> None:
    heavy = entremet(top=Garnish(key="top", formula="sponge", piece_g=30))
    with pytest.raises(OutOfRange, match="more than 30, its garnish") as refusal:
        solve(replace(heavy, portions=ByWeight(25)), BOOK, 1)
    assert refusal.value.field == "portion_g"


def test_where_the_weight_is_unknown_it_is_cut_as_usual() -> None:
    assert divide(ByWeight(120), RING, None, 0)[0] == Wedges(12)


@pytest.mark.parametrize("mold", [RING, FRAME])
def test_wedges_and_grids_belong_to_their_molds(mold: Ring | Frame) -> None:
    foreign = Grid(2, 2) if mold is RING else Wedges(4)
    with pytest.raises(CoreError, match="a count or a weight"):
        Dessert("x", mold, (), foreign)


@pytest.mark.parametrize("portion", [0, 4.9, 5001, float("nan")])
def test_weights_no_portion_has_are_refused(portion: float) -> None:
    with pytest.raises(OutOfRange):
        ByWeight(portion)
