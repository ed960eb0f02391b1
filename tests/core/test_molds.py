"""Rings and frames, filled and overfilled."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import MoldOverflow, OutOfRange
from fernbell.core.molds import (
    Frame,
    Mold,
    Ring,
    RoundedBox,
    clearance,
    depth_working,
    disc,
)

SIZE = st.floats(20, 1000)
HEIGHT = st.floats(5, 300)
SHARE = st.floats(0, 1)


@st.composite
def molds(draw: st.DrawFn) -> Mold:
    height = draw(HEIGHT)
    if draw(st.booleans()):
        return Ring(draw(SIZE), height)
    length, width = draw(SIZE), draw(SIZE)
    return Frame(length, width, height, draw(SHARE) * min(length, width) / 2)


@given(molds(), SHARE)
def test_depth_is_the_inverse_of_volume(mold: Mold, share: float) -> None:
    depth = share * mold.height_mm
    assert mold.depth_of(mold.volume_between(0, depth)) == pytest.approx(depth, abs=1e-9)


@given(molds())
def test_the_brim_and_nothing_are_exact(mold: Mold) -> None:
    assert mold.depth_of(0) == 0
    assert mold.depth_of(mold.capacity_ml) == mold.height_mm


@given(molds(), st.floats(0.001, 1000))
def test_more_than_the_brim_is_refused_with_what_runs_over(mold: Mold, over: float) -> None:
    volume = mold.capacity_ml + over
    if volume > mold.capacity_ml * (1 + 1e-9):
        with pytest.raises(MoldOverflow) as refusal:
            mold.depth_of(volume)
        assert refusal.value.overflow_ml == pytest.approx(over, rel=1e-3)


@pytest.mark.parametrize("size", [0, -5, math.nan, math.inf, 1e9, 19])
def test_impossible_sizes_are_refused(size: float) -> None:
    with pytest.raises(OutOfRange) as refusal:
        Ring(size, 45)
    assert refusal.value.field == "diameter_mm"
    with pytest.raises(OutOfRange):
        Frame(100, size, 45)


def test_a_corner_rounder_than_the_frame_is_refused() -> None:
    with pytest.raises(OutOfRange) as refusal:
        Frame(100, 60, 40, 31)
    assert refusal.value.field == "corner_radius_mm"


def test_a_liner_goes_once_round_an_18_cm_ring_in_56_5_cm() -> None:
    # 56.5 cm: common practice, and pi x 18.
    assert Ring(180, 45).perimeter_at(0) == pytest.approx(565, abs=0.6)


def test_depths_outside_the_mold_are_refused() -> None:
    with pytest.raises(OutOfRange):
        Ring(180, 45).volume_between(0, 46)
    with pytest.raises(OutOfRange):
        Ring(180, 45).wall_between(-1, 10)


def test_a_sharp_corner_comes_nearer_to_a_round_wall_than_the_sides_do() -> None:
    square = RoundedBox(100, 100)
    assert clearance(square, disc(160)) == pytest.approx(80 - 50 * math.sqrt(2))
    assert clearance(square, RoundedBox(160, 160)) == pytest.approx(30)


@given(molds())
def test_the_workings_of_a_mold_are_its_figures(mold: Mold) -> None:
    capacity, edge, surface, wall = mold.workings()
    assert capacity.value == mold.capacity_ml
    assert edge.value == mold.perimeter_at(0)
    assert surface.value * mold.height_mm / 10 == pytest.approx(capacity.value)
    assert wall.value == pytest.approx(edge.value * mold.height_mm / 100)
    assert depth_working(mold, capacity.value / 2).value == pytest.approx(mold.height_mm / 2)


def test_the_workings_of_a_mold_can_be_followed_by_hand() -> None:
    frame = Frame(160, 160, 45, 12).workings()
    assert frame[0].arithmetic == "(160 × 160 − (4 − π) × 12²) × 45 / 1 000 = 1 146 ml"
    assert frame[1].arithmetic == "2 × (160 + 160) − (8 − 2π) × 12 = 619.4 mm"
    assert Ring(180, 45).workings()[3].arithmetic == "(π × 180) × 45 / 100 = 254.5 cm²"
