"""Cut plans: everything that is wanted is cut, nothing overlaps, what is left is weighed."""

import math
from itertools import pairwise

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from shapely import STRtree
from shapely.geometry import Polygon
from shapely.geometry import box as rectangle

from fernbell.core.cutting import (
    MOST_PIECES,
    ROUNDS,
    Blank,
    CutPlan,
    FreeBlank,
    Place,
    RawSheet,
    RectBlank,
    RoundBlank,
    ToCut,
    check_apart,
    fits_on_one,
    plan_cut,
)
from fernbell.core.errors import CoreError
from fernbell.core.molds import heart

PETAL = tuple(
    (30 * math.cos(turn), 9 * math.sin(turn) ** 3 + 6 * math.sin(turn))
    for turn in (2 * math.pi * step / 40 for step in range(40))
)
TRIANGLE = ((0.0, 0.0), (60.0, 0.0), (30.0, 52.0))
CRESCENT = tuple(
    (radius * math.cos(turn), radius * math.sin(turn))
    for radius, turns in ((40, range(11)), (25, range(10, -1, -1)))
    for turn in (math.pi * step / 10 for step in turns)
)
HEART = tuple((one.x_mm, one.y_mm) for one in heart(60))

BLANKS = st.one_of(
    st.builds(RoundBlank, st.floats(20, 260)),
    st.builds(RectBlank, st.floats(15, 300), st.floats(15, 300)),
    st.sampled_from([FreeBlank(one) for one in (PETAL, TRIANGLE, CRESCENT, HEART)]),
)
SHEETS = st.builds(
    RawSheet, st.floats(300, 800), st.floats(300, 600), st.floats(0, 20), st.floats(0, 6)
)


def polygon(blank: Blank, place: Place) -> Polygon:
    return Polygon([(x + place.x_mm, y + place.y_mm) for x, y in blank.outline(place.turn_deg)])


def assert_cut(plan: CutPlan) -> None:
    """Every piece is there, inside the edge, and clear of the others by shapely's measure."""
    sheet = plan.raw
    inner = rectangle(
        sheet.edge_mm,
        sheet.edge_mm,
        sheet.length_mm - sheet.edge_mm,
        sheet.width_mm - sheet.edge_mm,
    ).buffer(0.02)
    counted = dict.fromkeys(range(len(plan.wanted)), 0)
    for one in plan.sheets:
        shapes = [polygon(plan.wanted[laid.wanted].piece, laid.place) for laid in one.pieces]
        assert all(inner.contains(shape) for shape in shapes)
        for first, second in STRtree(shapes).query(shapes, "dwithin", 20).T:
            if first < second:
                # Outlines of discs are polygons, rounded to a hundredth of a millimeter.
                assert shapes[first].distance(shapes[second]) >= sheet.kerf_mm - 0.02
                assert shapes[first].intersection(shapes[second]).area < 0.5
        for laid in one.pieces:
            counted[laid.wanted] += one.alike
        if one.offcut_mm is not None:
            assert all(shape.bounds[2] <= one.offcut_mm + 0.02 for shape in shapes)
    assert [counted[at] for at in range(len(plan.wanted))] == [one.count for one in plan.wanted]
    for at, wanted in enumerate(plan.wanted):
        assert plan.on_one[at] <= plan.bounds[at] == wanted.piece.most(sheet.room, sheet.kerf_mm)
    whole = plan.number * sheet.area_mm2
    assert plan.pieces_mm2 + plan.offcut_mm2 + plan.trim_mm2 == pytest.approx(whole)
    assert plan.trim_mm2 > -1e-6


@settings(max_examples=40, deadline=None)
@given(st.lists(st.tuples(BLANKS, st.integers(1, 70)), min_size=1, max_size=3), SHEETS)
def test_whatever_is_wanted_is_cut_and_nothing_overlaps(
    wanted: list[tuple[Blank, int]], sheet: RawSheet
) -> None:
    listed = [ToCut(f"piece {at}", blank, count) for at, (blank, count) in enumerate(wanted)]
    if all(fits(blank, sheet) for blank, _ in wanted):
        assert_cut(plan_cut(listed, sheet))
        return
    with pytest.raises(CoreError, match="small enough for what the edge leaves"):
        plan_cut(listed, sheet)


def fits(blank: Blank, sheet: RawSheet) -> bool:
    """Whether it lies on the sheet straight or turned a quarter, by its box."""
    room = sorted((sheet.room.long_mm, sheet.room.wide_mm))
    left, low, right, high = blank.bounds()
    return all(
        side <= most for side, most in zip(sorted((right - left, high - low)), room, strict=True)
    )


def test_sixty_bases_from_sheets_in_the_order_of_cutting() -> None:
    plan = plan_cut([ToCut("base", RoundBlank(120), 60)], RawSheet(600, 400), ROUNDS)
    assert_cut(plan)
    # 15 lie on one as a grid, 18 is the bound: 4 sheets, and 3 are out of reach.
    assert (plan.on_one, plan.bounds, plan.number, plan.done) == ((15,), (18,), 4, True)
    (sheet,) = plan.sheets
    assert sheet.alike == 4
    xs = [one.place.x_mm for one in sheet.pieces]
    assert xs == sorted(xs)
    assert all(a != b for a, b in pairwise(one.place for one in sheet.pieces))


def test_a_search_saves_a_sheet_where_a_lattice_cannot() -> None:
    wanted = [ToCut("base", RoundBlank(75), 38)]
    plain, searched = (plan_cut(wanted, RawSheet(385, 285), turns) for turns in (0, ROUNDS))
    assert (plain.number, plain.done) == (3, False)
    assert (searched.number, searched.ways, searched.done) == (2, ("searched",), True)
    assert_cut(searched)


def test_the_last_sheet_is_cut_from_one_end_and_the_rest_of_it_stays_whole() -> None:
    plan = plan_cut([ToCut("base", RoundBlank(120), 17)], RawSheet(600, 400))
    assert [(one.alike, len(one.pieces)) for one in plan.sheets] == [(1, 15), (1, 2)]
    assert plan.sheets[1].offcut_mm == pytest.approx(120)
    assert plan.offcut_mm2 == pytest.approx(480 * 400)


def test_small_pieces_take_what_large_ones_leave_of_a_sheet() -> None:
    both = [ToCut("large", RoundBlank(180), 4), ToCut("small", RoundBlank(60), 12)]
    plan = plan_cut(both, RawSheet(600, 400, 0, 2))
    assert plan.number == 1
    assert_cut(plan)


def test_planks_lie_both_ways_where_that_gives_more() -> None:
    plank = RectBlank(240, 70)
    found, _ = fits_on_one(plank, RawSheet(600, 400, 10, 2))
    # All lengthwise 10 (2 x 5), all crosswise 8 (8 x 1): by hand.
    ways = {one.way: len(one.places) for one in plank.layouts(RawSheet(580, 380).room, 2)}
    assert (ways["all lengthwise"], ways["all crosswise"]) == (10, 8)
    assert len(found.places) == 11


@settings(max_examples=60)
@given(st.integers(30, 200), st.integers(30, 200), st.integers(200, 600), st.integers(200, 600))
def test_both_ways_are_parted_by_cuts_from_side_to_side(
    long_mm: int, wide_mm: int, room_long: int, room_wide: int
) -> None:
    plank, room = RectBlank(long_mm, wide_mm), RawSheet(room_long, room_wide).room
    layouts = {one.way: one.places for one in plank.layouts(room, 0)}
    both = layouts["lengthwise and crosswise"]
    assert len(both) >= max(map(len, layouts.values()))
    boxes = [polygon(plank, place).bounds for place in both]
    assert straight_through(boxes)


def straight_through(boxes: list[tuple[float, ...]]) -> bool:
    """Whether a cut from side to side parts them, and so on down to single pieces."""
    if len(boxes) < 2:
        return True
    for low, high in ((0, 2), (1, 3)):
        for cut in {box[high] for box in boxes}:
            before = [box for box in boxes if box[high] <= cut + 1e-6]
            after = [box for box in boxes if box[low] >= cut - 1e-6]
            if before and after and len(before) + len(after) == len(boxes):
                return straight_through(before) and straight_through(after)
    return False


def test_outlines_turned_head_to_tail_take_fewer_sheets() -> None:
    triangle = FreeBlank(TRIANGLE)
    ways: dict[str, int] = {}
    for one in triangle.layouts(RawSheet(580, 380).room, 0):
        ways[one.way] = max(ways.get(one.way, 0), len(one.places))
    assert ways["head to tail"] > 1.3 * ways["rows of them"]


def test_what_overlaps_or_lies_over_the_edge_is_measured() -> None:
    room, disc = RawSheet(300, 200).room, RoundBlank(100)
    good = [(disc, Place(50, 50)), (disc, Place(150, 50))]
    check_apart(good, room, 0)
    with pytest.raises(CoreError, match="0 mm apart"):
        check_apart(good, room, 2)
    with pytest.raises(CoreError, match="-5 mm apart"):
        check_apart([good[0], (disc, Place(145, 50))], room, 0)
    with pytest.raises(CoreError, match="1 mm over the edge"):
        check_apart([(disc, Place(49, 50))], room, 0)
    plank = RectBlank(100, 40)
    with pytest.raises(CoreError, match="apart"):
        check_apart([(plank, Place(60, 50)), (plank, Place(100, 50, 45))], room, 0)


@pytest.mark.parametrize(
    ("make", "says"),
    [
        (lambda: RawSheet(10, 400), "Length must be at least 20"),
        (lambda: RawSheet(600, 400, edge_mm=200), "Edge must be less than 200 mm, half"),
        (lambda: RawSheet(600, 400, kerf_mm=40), "Kerf must be at least 0 and at most 20 mm"),
        (lambda: RoundBlank(float("nan")), "Across must be"),
        (lambda: plan_cut([], RawSheet(600, 400)), "Count must be 1 to 10 000, not 0"),
        (lambda: plan_cut([ToCut("x", RoundBlank(50), 0)], RawSheet(600, 400)), "not 0"),
        (
            lambda: plan_cut([ToCut("x", RoundBlank(50), MOST_PIECES + 1)], RawSheet(600, 400)),
            "at most 10 000, not 10001",
        ),
        (lambda: fits_on_one(RoundBlank(2), RawSheet(2000, 2000)), "at most 4000 lie on one"),
        (lambda: RoundBlank(0), "Across must be more than 0"),
        (lambda: FreeBlank(((0, 0), (10, 10), (10, 0), (0, 10))), "does not cross itself"),
    ],
)
def test_what_cannot_be_cut_is_refused_by_its_field(make: object, says: str) -> None:
    with pytest.raises(CoreError, match=says):
        make()  # type: ignore[operator]


def test_ten_thousand_pieces_are_planned() -> None:
    plan = plan_cut([ToCut("small", RoundBlank(60), MOST_PIECES)], RawSheet(600, 400, 10, 2))
    assert sum(one.alike * len(one.pieces) for one in plan.sheets) == MOST_PIECES
    assert len(plan.sheets) <= 2
