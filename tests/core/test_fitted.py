"""What stands in a mold: strips, papers, inserts, the fill line and a water bath."""

import math

import pytest

from fernbell.core.desserts import (
    ByCount,
    Dessert,
    Fill,
    Insert,
    Layer,
    fittings,
    solve,
    usual_build,
    water_bath,
)
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.molds import Frame, Ring, Turned, WallPoint
from fernbell.starter.molds import MOLDS, NamedMold
from tests.core.kitchen import BOOK

PAN = Turned((WallPoint(0, 220), WallPoint(25, 240)))
RAMEKIN = Turned((WallPoint(0, 70), WallPoint(40, 90)))


def figure(mold: object, begins: str) -> float:
    return next(
        one.value
        for one in fittings(mold).figures  # type: ignore[arg-type]
        if one.figure.startswith(begins)
    )


def test_a_ring_of_18_cm_takes_a_strip_of_56_and_a_half_and_what_overlaps() -> None:
    # Common practice; the circumference is pi x 180 = 565.5 mm.
    assert figure(Ring(180, 45), "Liner strip") == pytest.approx(math.pi * 180 + 10)


def test_the_paper_of_a_pan_is_its_floor_and_its_slanting_wall() -> None:
    # By hand: 110 + sqrt(10² + 25²) + 10 over the rim.
    assert figure(PAN, "Paper") == pytest.approx(110 + math.hypot(10, 25) + 10, rel=1e-6)
    (paper,) = fittings(PAN).views
    assert len(paper.cuts) == 16
    for start, end in paper.cuts:
        assert math.hypot(*start) == pytest.approx(110, abs=0.02)
        assert math.hypot(*end) == pytest.approx(figure(PAN, "Paper"), abs=0.02)


def test_three_quarters_of_a_straight_mold_stand_at_three_quarters_of_its_height() -> None:
    assert figure(Ring(180, 40), "Three quarters") == pytest.approx(30)
    depth = figure(RAMEKIN, "Three quarters")
    assert RAMEKIN.volume_between(0, depth) == pytest.approx(0.75 * RAMEKIN.capacity_ml)


@pytest.mark.parametrize("one", MOLDS, ids=lambda one: one.slug)
def test_the_insert_that_fits_does_fit(one: NamedMold) -> None:
    found = [w for w in fittings(one.mold).figures if w.figure.startswith("Insert")]
    if not found:
        return
    high = min(10.0, one.mold.height_mm - 15.0)
    insert = Insert(
        key="i",
        layers=(Layer(key="l", formula="jelly", height_mm=high),),
        across_mm=found[0].value,
        lift_mm=12.0,
    )
    dessert = Dessert(
        "One",
        one.mold,
        (Fill(key="f", formula="mousse"), insert),
        ByCount(1),
        usual_build(one.mold),
    )
    codes = {finding.code for finding in solve(dessert, BOOK)[0].findings}
    assert not codes & {"insert-near-wall", "part-outside", "above-rim"}


def test_a_water_bath_is_the_tray_less_what_the_ramekins_push_aside() -> None:
    # By hand: 600 x 400 x 20 mm = 4 800 ml; half a ramekin, a frustum 70 to 80 mm wide, 20 high:
    # pi x 20 / 12 x (70² + 70 x 80 + 80²) / 1 000 = 88.5 ml.
    aside = math.pi * 20 / 12 * (70**2 + 70 * 80 + 80**2) / 1000
    bath = water_bath(RAMEKIN, Frame(600, 400, 60), 12)
    assert bath.value == pytest.approx(4800 - 12 * aside)


def test_a_bath_for_more_than_the_tray_holds_is_refused() -> None:
    with pytest.raises(OutOfRange, match="Count"):
        water_bath(RAMEKIN, Frame(600, 400, 60), 200)
    with pytest.raises(CoreError, match="20"):
        water_bath(RAMEKIN, Frame(600, 400, 15), 6)
    with pytest.raises(OutOfRange, match="Count"):
        water_bath(RAMEKIN, Frame(600, 400, 60), 0)
