"""Portions weighed one by one: they add up to the dessert, differ by their coats, and serve."""

from dataclasses import replace
from itertools import pairwise

import pytest

from fernbell.core.desserts import (
    ByThickness,
    Coat,
    Dessert,
    Fill,
    Grid,
    Slices,
    Wedges,
    formulas_used,
    refit,
)
from fernbell.core.desserts.kinds import KINDS, DessertKind
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.core.desserts.shares import cut_for, share_out
from fernbell.core.desserts.solve import Size, measured, size_of
from fernbell.core.errors import CoreError, Lacking, OutOfRange
from fernbell.core.formulas import read_formulas
from fernbell.core.molds import Frame, Ring
from fernbell.demo.desserts import FOGHORN, HEDGEROW, REEDBED
from tests.core.test_kinds import BOOK, begun


def worked(dessert: Dessert, count: int = 1) -> tuple[MeasuredDessert, Readings]:
    readings = read_formulas(BOOK, list(formulas_used(dessert)))
    return measured(dessert, readings, count), readings


def solved(dessert: Dessert) -> Size:
    return size_of(worked(dessert)[0], ())


@pytest.mark.parametrize("kind", KINDS, ids=lambda one: one.kind)
def test_portions_add_up_to_the_dessert(kind: DessertKind) -> None:
    dessert = begun(kind)
    made, _ = worked(dessert)
    true = share_out(made, 0, 0)
    finished = solved(dessert).finished
    assert finished is not None
    assert sum(grams for _, grams in true.portions) == pytest.approx(finished.value, rel=1e-3)
    assert len(true.portions) == made.division.count
    assert true.lost.value == pytest.approx(0, abs=0.002 * finished.value)
    assert all(grams > 0 for _, grams in true.portions)
    # A knife takes along what it cuts, never more than its share of the outline.
    cut = share_out(made, 2, 0)
    assert cut.mean.value <= true.mean.value + 1e-9
    assert (cut.lost.value > 1) == (made.division.count > 1)


def test_wedges_of_what_is_round_weigh_the_same_and_a_hand_is_off_by_both_cuts() -> None:
    made, _ = worked(replace(REEDBED, portions=Wedges(12)))
    assert share_out(made, 0, 0).spread.value < 0.05
    shaky = share_out(made, 0, 1)
    # By hand: an edge of 628 mm in twelve is 52.4 mm; 1 mm off at each side is 3.8 % either way.
    edge = 3.141592653589793 * 200 / 12
    assert shaky.spread.value == pytest.approx(4 / edge * shaky.mean.value, rel=0.01)


def test_what_the_knife_takes_along_is_its_strokes() -> None:
    # Twelve strokes of 100 mm, 2 mm wide, of a disc of 31 416 mm²; less where they meet.
    made, _ = worked(replace(REEDBED, portions=Wedges(12)))
    whole = share_out(made, 0, 0).mean.value * 12
    strokes = 12 * 100 * 2 / (3.141592653589793 * 100**2)
    assert share_out(made, 2, 0).lost.value == pytest.approx(whole * strokes, rel=0.06)


GLAZED = Dessert(
    "Slab",
    Frame(300, 200, 40),
    (
        Coat(key="glaze", formula="amber-glaze", thickness_mm=2),
        Fill(key="mousse", formula="barley-mousse"),
    ),
    Grid(3, 2),
)


def test_corners_of_a_glazed_frame_carry_the_coat_of_two_sides() -> None:
    made, readings = worked(replace(GLAZED, portions=Grid(4, 3)))
    grams = [grams for _, grams in share_out(made, 0, 0).portions]
    rows = [grams[at : at + 4] for at in (0, 4, 8)]
    corner, edge, middle = rows[0][0], rows[0][1], rows[1][1]
    assert corner > edge > middle
    # By hand: a piece of 75 × 66.7 mm; along its outer sides 2 mm of glaze, 40 mm high. What the
    # edges add to a coat, 2 %, is shared by the surface.
    density = readings["amber-glaze"].density_g_ml
    assert density is not None
    along, across = (side * 40 * 2 / 1000 * density for side in (75, 200 / 3))
    assert edge - middle == pytest.approx(along, rel=0.02)
    assert corner - edge == pytest.approx(across, rel=0.02)


def test_slices_so_thick_leave_ends_and_weigh_their_part_of_the_log() -> None:
    log = replace(HEDGEROW, portions=ByThickness(28.0))
    made, _ = worked(log)
    length = made.body.shape.from_above.width_mm
    count = int(length // 28)
    assert made.division == Slices(count, each_mm=28.0)
    size = solved(log)
    assert size.finished is not None
    assert size.portion is not None
    assert size.portion.value == pytest.approx(size.finished.value * 28 / length)
    assert size.portion.value * count < size.finished.value
    strokes, _ = made.division.knife(made.body.shape.from_above)
    assert len(strokes) == count + 1
    ys = [start[1] for start, _ in strokes]
    assert [round(b - a, 6) for a, b in pairwise(ys)] == [28.0] * count
    assert ys[0] == pytest.approx(-ys[-1])
    # With the glazed ends trimmed off, all slices weigh the same.
    assert share_out(made, 0, 0).spread.value < 0.5
    assert "off each end" in made.division_working.arithmetic  # type: ignore[union-attr]


def test_a_thickness_of_what_is_not_long_is_divided_as_is_usual() -> None:
    made, _ = worked(replace(REEDBED, portions=ByThickness(20.0)))
    assert isinstance(made.division, Wedges)


@pytest.mark.parametrize("covers", [1, 7, 96, 1000])
@pytest.mark.parametrize("dessert", [REEDBED, GLAZED, HEDGEROW, FOGHORN], ids=lambda one: one.name)
def test_what_is_proposed_serves_everybody_with_no_dessert_too_many(
    dessert: Dessert, covers: int
) -> None:
    made, readings = worked(dessert)
    found = cut_for(made, readings, covers, 60)
    assert found
    for one in found:
        served = one.desserts * one.division.count
        assert served - one.over == covers
        assert 0 <= one.over < one.division.count
        assert one.within == (one.spread_g <= 60)
        again = share_out(worked(replace(dessert, portions=one.division))[0], 1, 1)
        assert again.mean.value == pytest.approx(one.portion_g)
        assert again.spread.value == pytest.approx(one.spread_g)
    assert [one.desserts for one in found] == sorted(one.desserts for one in found)


def test_a_spread_no_cut_keeps_is_said_with_what_comes_nearest() -> None:
    made, readings = worked(HEDGEROW)
    found = cut_for(made, readings, 96, 5)
    assert not any(one.within for one in found)
    assert [one.spread_g for one in found] == sorted(one.spread_g for one in found)


def test_reedbed_for_ninety_six() -> None:
    made, readings = worked(REEDBED, 6)
    found = cut_for(made, readings, 96, 10)
    assert any((one.desserts, one.division.count, one.over) == (8, 12, 0) for one in found)
    assert all(one.within for one in found)
    assert all(70 <= one.portion_g <= 160 for one in found)


@pytest.mark.parametrize(
    ("ask", "says"),
    [
        (lambda made, own: share_out(made, 40, 1), "Knife must be at least 0 and at most 10 mm"),
        (lambda made, own: share_out(made, 1, -1), "Hand must be at least 0"),
        (lambda made, own: cut_for(made, own, 0, 10), "Covers must be at least 1"),
        (lambda made, own: cut_for(made, own, 96, -1), "Spread must be at least 0"),
        (lambda made, own: cut_for(made, own, 10**6, 10), "Covers must be at least 1 and at most"),
        (lambda made, own: cut_for(made, own, 96, float("nan")), "Spread must be"),
    ],
)
def test_what_cannot_be_cut_is_refused_by_its_field(ask: object, says: str) -> None:
    made, readings = worked(REEDBED)
    with pytest.raises(OutOfRange, match=says):
        ask(made, readings)  # type: ignore[operator]


def test_ten_thousand_covers_are_served_or_refused_by_number() -> None:
    made, readings = worked(REEDBED)
    assert cut_for(made, readings, 10_000, 10)[0].desserts == -(-10_000 // 16)
    small, own = worked(FOGHORN)
    with pytest.raises(CoreError, match="at most 5000 of this dessert"):
        cut_for(small, own, 10_000, 10)


def test_a_knife_as_wide_as_a_portion_is_refused_and_an_unknown_weight_said() -> None:
    thin = replace(refit(REEDBED, Ring(60, 45)), portions=Wedges(60))
    made, _ = worked(thin)
    with pytest.raises(CoreError, match="thinner than a portion"):
        share_out(made, 10, 0)
    made, _ = worked(GLAZED)
    unknown = tuple(replace(one, mass=None) for one in made.parts)
    with pytest.raises(Lacking, match="is not known"):
        share_out(replace(made, parts=unknown), 1, 1)
