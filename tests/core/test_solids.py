"""Every form a mold can have answers the same questions, and the answers agree with each other."""

import math
from collections.abc import Callable
from dataclasses import fields, replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import quad

from fernbell.core.errors import CoreError, MoldOverflow, OutOfRange
from fernbell.core.molds import (
    FORMS,
    Frame,
    Gutter,
    Prism,
    Ring,
    Solid,
    Turned,
    WallPoint,
    coating_of,
    depth_working,
    disc,
    lying,
    trued,
    turned_over,
)
from fernbell.core.molds.profile import Piece, Straight
from tests.core.outside.test_second_opinion import polygon_area
from tests.core.solids import DOME, EVERY, GLASS, HALF_ROUND, PAN, PIECES, SOLIDS, TRIANGLE, U_LOG

SHARES = [0.0, 0.137, 0.5, 0.93, 1.0]


def test_every_form_is_tried() -> None:
    assert {type(solid) for solid in SOLIDS} == set(FORMS)


@EVERY
@pytest.mark.parametrize("share", SHARES)
def test_depth_is_the_inverse_of_volume(solid: Solid, share: float) -> None:
    depth = share * solid.height_mm
    assert solid.depth_of(solid.volume_between(0, depth)) == pytest.approx(depth, abs=1e-6)


@EVERY
def test_the_brim_and_nothing_are_exact_and_more_is_refused(solid: Solid) -> None:
    assert solid.depth_of(0) == 0
    assert solid.depth_of(solid.capacity_ml) == solid.height_mm
    with pytest.raises(MoldOverflow) as refusal:
        solid.depth_of(solid.capacity_ml + 7)
    assert refusal.value.overflow_ml == pytest.approx(7)


@EVERY
@pytest.mark.parametrize("ends", [(0, 1), (0.2, 0.55), (0.4, 0.4)])
def test_volume_is_the_area_summed_over_the_height(solid: Solid, ends: tuple) -> None:
    low, high = (share * solid.height_mm for share in ends)
    steps = [share * solid.height_mm for share in (i / 100 for i in range(101))]
    between = [step for step in steps if low < step < high]
    summed, _ = quad(solid.area_at, low, high, points=between or None, limit=400)
    assert solid.volume_between(low, high) == pytest.approx(summed / 1000, rel=1e-6, abs=1e-9)


# Checked by quadrature of the wall itself, from where it is drawn.
@pytest.mark.parametrize("piece", PIECES, ids=lambda piece: type(piece).__name__)
@pytest.mark.parametrize("ends", [(0, 0.999), (0.02, 0.4), (0.3, 0.9)])
def test_the_integrals_of_a_piece_are_those_of_its_wall(piece: Piece, ends: tuple) -> None:
    low, high = (piece.z0 + share * (piece.z1 - piece.z0) for share in ends)

    def slant(z: float) -> float:
        by = 1e-6
        return math.hypot(1, (piece.x_at(z + by) - piece.x_at(z - by)) / (2 * by))

    def summed(of: Callable[[float], float]) -> float:
        return quad(of, low, high, limit=400)[0]

    assert piece.area(low, high) == pytest.approx(summed(piece.x_at), rel=1e-7)
    assert piece.square(low, high) == pytest.approx(summed(lambda z: piece.x_at(z) ** 2), rel=1e-7)
    if low > piece.z0:
        assert piece.length(low, high) == pytest.approx(summed(slant), rel=1e-5)
        turned = summed(lambda z: piece.x_at(z) * slant(z))
        assert piece.turned(low, high) == pytest.approx(turned, rel=1e-5)
    drawn = [(piece.x_at(low), low), *piece.points(low, high, 50)]
    assert drawn[-1] == pytest.approx((piece.x_at(high), high))
    for x, z in drawn:
        assert x == pytest.approx(piece.x_at(z), abs=1e-6)


@EVERY
def test_a_volume_is_the_sum_of_its_parts(solid: Solid) -> None:
    third = solid.height_mm / 3
    parts = solid.volume_between(0, third) + solid.volume_between(third, solid.height_mm)
    assert parts == pytest.approx(solid.capacity_ml)
    walls = solid.wall_between(0, third) + solid.wall_between(third, solid.height_mm)
    assert walls == pytest.approx(solid.wall_between(0, solid.height_mm))


@EVERY
def test_what_is_seen_from_above_has_the_area_and_edge_of_the_level(solid: Solid) -> None:
    for share in (0.3, 1.0):
        level = share * solid.height_mm
        plan = solid.plan_at(level)
        assert plan.area_mm2 == pytest.approx(solid.area_at(level))
        assert plan.perimeter_mm == pytest.approx(solid.perimeter_at(level), abs=1e-5)
        assert solid.free_surface_at(level) == pytest.approx(plan.area_mm2 / 100)


@EVERY
def test_the_drawn_section_stands_between_its_heights_as_wide_as_the_level(solid: Solid) -> None:
    low, high = 0.25 * solid.height_mm, 0.75 * solid.height_mm
    loops = solid.section(low, high)
    for loop in loops:
        assert min(z for _, z in loop) == pytest.approx(low)
        assert max(z for _, z in loop) == pytest.approx(high)
    top = [x for loop in loops for x, z in loop if z == pytest.approx(high)]
    assert max(top) - min(top) == pytest.approx(solid.plan_at(high).length_mm)


@pytest.mark.parametrize("solid", [HALF_ROUND, U_LOG, TRIANGLE])
def test_a_gutter_holds_its_drawn_section_times_its_length(solid: Gutter) -> None:
    drawn = abs(polygon_area(*solid.section(0, solid.height_mm)))
    assert drawn * solid.length_mm / 1000 == pytest.approx(solid.capacity_ml, rel=0.002)


# Pappus: turned, the section's half sweeps 2 pi times its centroid's distance.
@pytest.mark.parametrize("solid", [DOME, PAN, GLASS])
def test_a_turned_mold_holds_what_its_section_sweeps(solid: Turned) -> None:
    (loop,) = solid.section(0, solid.height_mm)
    half = [*loop[: len(loop) // 2], (0.0, solid.height_mm), (0.0, 0.0)]
    moment = 0.0
    for (x1, z1), (x2, z2) in zip(half, half[1:] + half[:1], strict=True):
        moment += (x1 + x2) * (x1 * z2 - x2 * z1) / 6
    assert 2 * math.pi * abs(moment) / 1000 == pytest.approx(solid.capacity_ml, rel=0.003)


@EVERY
def test_the_workings_are_the_figures_and_can_be_followed(solid: Solid) -> None:
    holds, edge, surface, wall = solid.workings()
    assert holds.value == solid.capacity_ml
    assert edge.value == solid.perimeter_at(solid.seen_at_mm)
    assert surface.value == solid.free_surface_at(solid.seen_at_mm)
    assert wall.value == solid.wall_between(0, solid.height_mm)
    for working in (holds, edge, surface, wall):
        assert working.given
        assert working.law
        assert working.source
        assert " = " in working.arithmetic
    assert depth_working(solid, holds.value / 2).value == solid.depth_of(holds.value / 2)


def test_the_arithmetic_of_a_dome_and_a_pan_by_hand() -> None:
    # 2/3 pi 60³ = 452.4 ml; pi/3 x 25 x (110² + 110 x 120 + 120²) = 1039 ml.
    assert DOME.workings()[0].arithmetic == (
        "π × (60² × 60 − (0³ − (-60)³) / 3) / 1 000 = 452.4 ml"
    )
    assert PAN.workings()[0].arithmetic == (
        "π × ((110² + 110 × 120 + 120²) / 3 × 25) / 1 000 = 1 039 ml"
    )


@EVERY
@pytest.mark.parametrize("share", [0.7, 1.0, 1.25])
def test_weighed_with_water_a_mold_holds_just_that_and_keeps_its_height(
    solid: Solid, share: float
) -> None:
    water = share * solid.capacity_ml
    true = trued(solid, water)
    assert true.capacity_ml == pytest.approx(water)
    assert true.height_mm == solid.height_mm
    assert true.across_mm == pytest.approx(math.sqrt(share) * solid.across_mm, rel=1e-4)
    third = solid.depth_of(solid.capacity_ml / 3)
    assert true.depth_of(water / 3) == pytest.approx(third, rel=2e-3)


@EVERY
def test_carried_up_above_the_rim_the_walls_go_straight(solid: Solid) -> None:
    over = solid.to_height(solid.height_mm + 10)
    rim = solid.area_at(solid.height_mm)
    assert over.volume_between(0, solid.height_mm) == pytest.approx(solid.capacity_ml)
    assert over.capacity_ml - solid.capacity_ml == pytest.approx(rim * 10 / 1000)
    low = solid.to_height(0.4 * solid.height_mm)
    assert low.capacity_ml == pytest.approx(solid.volume_between(0, 0.4 * solid.height_mm))


# A shell of 5 mm in a half ball of 60 leaves one of 55, in a box one smaller by 10 and 5.
def test_inside_a_shell_is_the_solid_that_is_left() -> None:
    assert DOME.inset(5).capacity_ml == pytest.approx(2 / 3 * math.pi * 55**3 / 1000, rel=1e-4)
    assert DOME.inset(5).height_mm == pytest.approx(55, abs=0.001)
    assert Frame(300, 200, 40).inset(5).capacity_ml == pytest.approx(290 * 190 * 35 / 1000)
    assert HALF_ROUND.inset(4).capacity_ml == pytest.approx(242 * math.pi * 36**2 / 2000, rel=1e-4)
    # Outside: what a coat of 2 mm makes of it.
    assert Ring(180, 45).inset(-2) == Prism(disc(184), 47)
    # A cone's wall of 3 mm stands 3 / cos(slant) further in at the same height.
    slant = math.atan(10 / 25)
    left = PAN.inset(3)
    assert left.height_mm == pytest.approx(22)
    assert left.plan_at(22).length_mm == pytest.approx(240 - 2 * 3 / math.cos(slant))


@EVERY
def test_a_shell_that_fills_it_leaves_nothing_and_says_so(solid: Solid) -> None:
    with pytest.raises(CoreError, match="nothing is left inside"):
        solid.inset(solid.height_mm + 1)


def test_a_gutter_shorter_than_two_ends_of_its_shell_is_refused() -> None:
    short = replace(HALF_ROUND, length_mm=50)
    assert short.inset(24).length_mm == 2
    with pytest.raises(CoreError, match="less than 25 mm"):
        short.inset(25)


def test_a_wall_that_stands_upright_is_written_as_a_cylinder() -> None:
    assert Straight(40, 0, 40, 30).square_text(0, 30) == "40² × 30"
    assert Straight(0, 0, 40, 30).square_text(0, 30) == "(0² + 0 × 40 + 40²) / 3 × 30"


@EVERY
@settings(max_examples=25)
@given(by=st.floats(0.5, 3))
def test_a_shell_and_what_is_inside_make_the_whole(solid: Solid, by: float) -> None:
    left = solid.inset(by)
    assert 0 < left.capacity_ml < solid.capacity_ml
    assert left.height_mm <= solid.height_mm - by + 0.01


@pytest.mark.parametrize(
    ("points", "says"),
    [
        (((0, 100),), "2 to 40 points"),
        (((5, 100), (20, 120)), "0 mm high at the floor"),
        (((0, 100), (0, 120), (20, 130)), "heights that rise"),
        (((0, 100), (20, 120), (10, 130)), "heights that rise"),
        (((0, 0), (60, 120, 10)), "0, or at least 60 mm"),
        (((0, 100), (20, 60, 15)), "0, or at least 20 mm"),
        (((0, 2), (40, 10)), "at least 20"),
        (((0, 120), (60, 0, 60)), "at least 5"),
        (((0, 100), (20, 0), (40, 100)), "at least 5"),
        (((0, 100), (2, 120)), "at least 5"),
        (((0, 100), (400, 120)), "at most 300"),
        (((0, -1), (40, 120)), "at least 0"),
        (((0, math.nan), (40, 120)), "at least 0"),
    ],
)
def test_a_wall_that_cannot_be_turned_is_refused(points: tuple, says: str) -> None:
    with pytest.raises(CoreError, match=says):
        Turned(tuple(WallPoint(*point) for point in points))


@pytest.mark.parametrize("field", ["length_mm", "width_mm", "height_mm"])
@pytest.mark.parametrize("value", [0, -5, 1e9, math.nan, math.inf])
def test_a_gutter_that_cannot_be_is_refused_by_its_field(field: str, value: float) -> None:
    with pytest.raises(OutOfRange) as refusal:
        replace(U_LOG, **{field: value})
    assert refusal.value.field == field


@EVERY
def test_heights_outside_are_refused(solid: Solid) -> None:
    for low, high in ((-1, 5), (0, solid.height_mm + 1), (10, 5)):
        with pytest.raises(OutOfRange):
            solid.volume_between(low, high)
        with pytest.raises(OutOfRange):
            solid.wall_between(low, high)


@pytest.mark.parametrize("form", FORMS, ids=lambda one: one.words().form)
def test_a_new_mold_of_every_form_can_be_made_and_has_words(form: type) -> None:
    words = form.words()
    assert words.title
    assert bool(words.starts) != words.from_file
    for start in words.starts:
        assert isinstance(start.shape, form)
        assert start.name
        assert start.shape.form == words.form
        assert start.shape.capacity_ml > 0
    named = {*(field.name for field in words.fields), *(choice.name for choice in words.choices)}
    named |= {table.name for table in words.tables}
    assert words.from_file or named == {one.name for one in fields(form)} - {"form"}


# Steiner 1840, exact: 2/3 pi ((R + t)³ − R³) over half a ball, and round a log on its side
# pi/4 ((D + 2 t)² − D²) × its length, its cut ends bare.
@pytest.mark.parametrize("thick", [0.5, 1, 3, 6])
def test_what_coats_a_half_ball_and_a_log_is_a_shell_of_them(thick: float) -> None:
    dome = coating_of(turned_over(DOME)).volume_ml(thick)
    assert dome == pytest.approx(2 / 3 * math.pi * ((60 + thick) ** 3 - 60**3) / 1000, rel=2e-5)
    log = coating_of(lying(86, 300)).volume_ml(thick)
    assert log == pytest.approx(
        math.pi / 4 * ((86 + 2 * thick) ** 2 - 86**2) * 300 / 1000, rel=1e-9
    )


@EVERY
def test_a_coat_over_a_coat_is_what_both_are_less_the_first(solid: Solid) -> None:
    terms = coating_of(solid)
    both = terms.volume_ml(2) + terms.over(2).volume_ml(3)
    assert both == pytest.approx(terms.volume_ml(5))
    assert terms.volume_ml(1) >= terms.surface_mm2 / 1000 * (1 if solid.is_upright else 0.97)
