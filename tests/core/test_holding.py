"""A dessert that holds others: a dome on a tart, a small puff in a large one, all of a box."""

from dataclasses import replace

import pytest
from shapely.geometry import box as rectangle

from fernbell.core.desserts import (
    ByCount,
    Dessert,
    Fill,
    Foot,
    Garnish,
    Held,
    Solved,
    Wedges,
    lay_out,
    solve,
    solve_order,
    take_bite,
)
from fernbell.core.desserts.holding import set_on
from fernbell.core.desserts.solve import measured
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.findings import Severity
from fernbell.core.formulas import lines_of, read_formulas
from fernbell.core.molds import Frame, Halves, Ring, Solid
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import BEEKEEPER, CUPS, FOGHORN, LANTERNS
from tests.core.solids import EVERY

BOOK = demo_book()


def with_(dessert: Dessert, *holds: Held) -> Dessert:
    return replace(dessert, holds=holds)


def grams(solved: Solved) -> float:
    assert solved.finished is not None
    return solved.finished.value


def alone(dessert: Dessert) -> float:
    return grams(solve(dessert, BOOK)[0])


@pytest.mark.parametrize("each", [1, 2, 7])
@pytest.mark.parametrize("count", [1, 5])
def test_what_it_holds_is_weighed_and_made_with_it(each: int, count: int) -> None:
    both = with_(BEEKEEPER, Held("h", FOGHORN, each))
    solved, sheets = solve(both, BOOK, count)
    assert grams(solved) == pytest.approx(alone(BEEKEEPER) + each * alone(FOGHORN))
    (held,) = solved.holds
    assert held.mass is not None
    assert held.mass.value == pytest.approx(each * alone(FOGHORN))
    # The sheets are those of both, made as often.
    apart = solve_order([(BEEKEEPER, count), (FOGHORN, count * each)], BOOK)
    assert {sheet.formula for sheet in sheets} == {sheet.formula for sheet in apart.sheets}
    made = {take.formula: take.make.value for take in solve_order([(both, count)], BOOK).takes}
    assert made == {take.formula: pytest.approx(take.make.value) for take in apart.takes}


def test_a_box_of_three_kinds_and_loose_pieces() -> None:
    tray = Dessert(
        "Box",
        Frame(300, 200, 60),
        (Garnish(key="g", formula="honeycomb", piece_g=5, pieces_per_portion=4),),
        ByCount(1),
    )
    box = with_(tray, Held("d", FOGHORN, 2), Held("l", LANTERNS, 2), Held("c", CUPS, 1))
    solved, _ = solve(box, BOOK)
    expected = 20 + 2 * alone(FOGHORN) + 2 * alone(LANTERNS) + alone(CUPS)
    assert grams(solved) == pytest.approx(expected)
    assert [stage.title for stage in solved.stages if stage.code == "hold"] == [
        "Set on Foghorn domes",
        "Set on Rhubarb lanterns",
        "Set on Interval cups",
    ]
    assert sorted(solved.stages[-1].shows) == list(range(len(solved.cut.section)))


def test_desserts_that_hold_each_other_are_all_weighed() -> None:
    tart = with_(BEEKEEPER, Held("h", FOGHORN, 2))
    box = with_(
        Dessert(
            "Box",
            Frame(400, 300, 60),
            (Garnish(key="g", formula="honeycomb", piece_g=5),),
            ByCount(1),
        ),
        Held("t", tart, 1),
    )
    solved, _ = solve(box, BOOK)
    assert grams(solved) == pytest.approx(5 + alone(BEEKEEPER) + 2 * alone(FOGHORN))


def test_they_stand_on_its_top_and_are_drawn_there() -> None:
    solved, _ = solve(with_(BEEKEEPER, Held("h", FOGHORN, 1)), BOOK)
    held = [shape for shape in solved.cut.section if shape.part == "h"]
    low = min(z for shape in held for loop in shape.loops for _, z in loop)
    high = max(z for shape in held for loop in shape.loops for _, z in loop)
    assert low == pytest.approx(22)
    assert high == pytest.approx(22 + solve(FOGHORN, BOOK)[0].height.value, abs=0.1)
    assert solved.cut.height_mm >= high - 1e-6
    seen = [shape for shape in solved.cut.top.garnish if shape.part == "h"]
    assert seen


def test_on_a_dessert_with_a_foot_they_stand_higher_by_it_once() -> None:
    raised = replace(
        BEEKEEPER,
        parts=(
            *BEEKEEPER.parts,
            Foot(key="foot", formula="honeycomb", height_mm=15, across_mm=200),
        ),
    )
    solved, _ = solve(with_(raised, Held("h", FOGHORN, 1)), BOOK)
    points = [
        z
        for shape in solved.cut.section
        if shape.part == "h"
        for loop in shape.loops
        for _, z in loop
    ]
    assert min(points) == pytest.approx(15 + 22)
    assert solved.cut.height_mm == pytest.approx(max(points))


@pytest.mark.parametrize("front", [60, 200, 340])
@pytest.mark.parametrize("back", [60, 200, 340])
def test_of_several_rows_one_is_in_the_cut_however_deep_they_are(back: int, front: int) -> None:
    rows = [
        Held(
            key,
            Dessert(
                key, Frame(300, deep, 20), (Fill(key="f", formula="white-mousse"),), ByCount(1)
            ),
        )
        for key, deep in (("b", back), ("m", 100), ("v", front))
    ]
    tray = Dessert("Tray", Frame(400, 900, 20), (), ByCount(1))
    made = measured(with_(tray, *rows), read_formulas(BOOK, ["white-mousse"]), 1)
    distance = {one.held.key: abs(y) for one, (_, y) in set_on(made).places}
    solved, _ = solve(with_(tray, *rows), BOOK)
    (seen,) = {shape.part for shape in solved.cut.section}
    assert distance[seen] == pytest.approx(min(distance.values()))


@pytest.mark.parametrize("each", [1, 2, 3, 5, 12, 40])
@EVERY
def test_what_is_set_on_it_never_overlaps(solid: Solid, each: int) -> None:
    """By an own test of distance, on every mold."""
    small = Dessert("Small", solid, (Fill(key="f", formula="white-mousse"),), ByCount(1))
    tray = Dessert("Tray", Frame(600, 400, 20), (), ByCount(1))
    both = with_(tray, Held("h", small, each))
    made = measured(both, read_formulas(BOOK, ["white-mousse"]), 1)
    standing = set_on(made)
    assert len(standing.places) == each
    boxes = [
        rectangle(
            x - one.size[0] / 2, y - one.size[1] / 2, x + one.size[0] / 2, y + one.size[1] / 2
        )
        for one, (x, y) in standing.places
    ]
    for place, one in enumerate(boxes):
        assert all(one.intersection(other).area < 1e-6 for other in boxes[place + 1 :])
    codes = {finding.code for finding in solve(both, BOOK)[0].findings}
    fits = standing.length_mm <= 600 + 1e-6 and standing.width_mm <= 400 + 1e-6
    assert ("held-over-edge" in codes) == (not fits)


BALL = Dessert("Ball", Halves(40, 20, 20), (Fill(key="f", formula="white-mousse"),), ByCount(1))
CAKE = Dessert("Cake", Ring(120, 60), (Fill(key="f", formula="barley-mousse"),), Wedges(4))


def test_one_inside_takes_the_room_that_is_filled_around_it() -> None:
    plain, _ = solve(CAKE, BOOK)
    filled, _ = solve(with_(CAKE, Held("h", BALL, 1, 10)), BOOK)
    assert plain.parts[0].volume is not None
    assert filled.parts[0].volume is not None
    room = plain.parts[0].volume.value - filled.parts[0].volume.value
    assert room == pytest.approx(BALL.mold.capacity_ml)
    assert not [one for one in filled.findings if one.severity is Severity.WRONG]
    assert [stage.code for stage in filled.stages].index("hold") < len(filled.stages) - 1


@pytest.mark.parametrize(
    ("inside", "wrong"), [(0.0, False), (20.0, False), (21.0, True), (50.0, True)]
)
def test_what_stands_out_of_it_is_said(inside: float, wrong: bool) -> None:
    solved, _ = solve(with_(CAKE, Held("h", BALL, 1, inside)), BOOK)
    assert ("held-outside" in {one.code for one in solved.findings}) == wrong


def test_what_is_wider_than_the_room_is_said() -> None:
    wide = replace(BALL, mold=Halves(130, 20, 20))
    solved, _ = solve(with_(CAKE, Held("h", wide, 1, 10)), BOOK)
    assert "held-outside" in {one.code for one in solved.findings}


def test_several_inside_keys_used_twice_and_orders_nobody_makes_are_refused() -> None:
    with pytest.raises(CoreError):
        Held("h", BALL, 2, 10)
    with pytest.raises(CoreError, match="key"):
        with_(CAKE, Held("h", BALL), Held("h", BALL))
    with pytest.raises(CoreError, match="key"):
        with_(CAKE, Held("f", BALL))
    with pytest.raises(OutOfRange):
        Held("h", BALL, 101)
    with pytest.raises(OutOfRange, match="50 on each of 100"):
        solve(with_(CAKE, Held("h", BALL, 60)), BOOK, 100)


def test_a_bite_is_of_all_of_it() -> None:
    both = with_(BEEKEEPER, Held("h", FOGHORN, 2))
    parts = solve_order([(both, 1)], BOOK).sizes[0].all_parts
    assert sum(part.mass.value for part in parts if part.mass) == pytest.approx(
        alone(BEEKEEPER) + 2 * alone(FOGHORN)
    )
    bite = take_bite(parts, {one.formula: lines_of(BOOK, one.formula).as_is for one in parts})
    assert bite is not None
    assert sum(one.share.value for one in bite.parts) == pytest.approx(100)


def test_it_is_read_aloud_and_laid_out_as_before() -> None:
    both = with_(BEEKEEPER, Held("h", FOGHORN, 2))
    solved, _ = solve(both, BOOK)
    assert "It holds 2 × Foghorn domes, Ø 8 cm, on it." in solved.words
    assert lay_out(both).regions == lay_out(BEEKEEPER).regions
