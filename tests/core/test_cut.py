"""The cut as geometry agrees with the volumes, and proposals fit what they are proposed for."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.desserts import (
    Band,
    Base,
    Coat,
    Cut,
    Dessert,
    Fill,
    Garnish,
    Grid,
    Insert,
    Wedges,
    propose,
    propose_layer,
    refit,
    solve,
)
from fernbell.core.desserts.proposals import portions_for
from fernbell.core.errors import CoreError
from fernbell.core.molds import Frame, Mold, Ring, RoundedBox, disc
from tests.core.kitchen import BOOK, entremet
from tests.core.outside.test_second_opinion import polygon_area


def cut_of(dessert: Dessert) -> Cut:
    return solve(dessert, BOOK)[0].cut


def section_area(cut: Cut, drawn: str) -> float:
    """Area of all shapes of a layer of the drawing; holes count against."""
    area = 0.0
    for shape in cut.section:
        if shape.drawn == drawn:
            outer, *holes = (abs(polygon_area(loop)) for loop in shape.loops)
            area += outer - sum(holes) if drawn == "rest" else outer + sum(holes)
    return area


def test_a_second_band_goes_around_the_first_and_the_coat() -> None:
    bands = (
        Band(key="outer", formula="sponge", height_mm=20, thickness_mm=3, overlap_mm=0),
        Band(key="inner", formula="sponge", height_mm=20, thickness_mm=2, overlap_mm=0),
    )
    coat = Coat(key="coat", formula="glaze", thickness_mm=1.5)
    dessert = Dessert(
        "D", Ring(200, 45), (*bands, coat, Fill(key="f", formula="mousse")), Wedges(12)
    )
    widest = {
        shape.part: max(x for loop in shape.loops for x, _ in loop)
        for shape in solve(dessert, BOOK)[0].cut.section
    }
    assert widest["inner"] == pytest.approx(100 + 1.5 + 2)
    assert widest["outer"] == pytest.approx(100 + 1.5 + 2 + 3)


def test_the_section_is_full() -> None:
    cut = cut_of(entremet())
    inside = sum(section_area(cut, drawn) for drawn in ("rest", "solid"))
    assert inside == pytest.approx(180 * 45)


def test_the_coat_covers_top_and_sides() -> None:
    # 184 x 47 less 180 x 45, its two corners round: each 2² less a quarter of a circle.
    by_hand = 184 * 47 - 180 * 45 - 2 * (4 - math.pi)
    assert section_area(cut_of(entremet()), "coat") == pytest.approx(by_hand, abs=0.1)


def test_the_drawing_leaves_room_for_everything() -> None:
    wide = cut_of(entremet(base=Base(key="base", formula="sponge", height_mm=10, across_mm=240)))
    assert wide.width_mm == 240
    xs = [x for shape in wide.section for loop in shape.loops for x, _ in loop]
    assert max(xs) == 120


@pytest.mark.parametrize("wedges", [2, 7, 12])
def test_wedges_divide_the_top_equally(wedges: int) -> None:
    dessert = Dessert("x", Ring(180, 45), entremet().parts, Wedges(wedges))
    top = cut_of(dessert).top
    assert len(top.cuts) == wedges
    share = abs(polygon_area(top.portion)) / abs(polygon_area(top.edge))
    assert share == pytest.approx(1 / wedges, rel=0.01)


# Where the knife goes, by hand: from twelve o'clock on, and in the middle between the garnish.
def test_the_knife_begins_at_twelve_and_passes_between_the_garnish() -> None:
    cuts, _ = Wedges(4).knife(disc(200))
    assert [end for _, end in cuts] == [(0, 100), (100, 0), (0, -100), (-100, 0)]
    for count in (2, 5, 12):
        cuts, _ = Wedges(count).knife(disc(200))
        for x, y in Wedges(count).centers(disc(200)):
            turned = math.atan2(x, y)
            away = [abs(math.remainder(turned - math.atan2(*end), 2 * math.pi)) for _, end in cuts]
            assert min(away) == pytest.approx(math.pi / count, abs=1e-3)
    lines, _ = Grid(2, 2).knife(RoundedBox(300, 200))
    assert lines == (((0, -100), (0, 100)), ((-150, 0), (150, 0)))


def test_a_grid_divides_a_frame_into_columns_and_rows() -> None:
    dessert = Dessert("x", Frame(300, 200, 40), (), Grid(5, 3))
    top = cut_of(dessert).top
    assert len(top.cuts) == 4 + 2
    assert abs(polygon_area(top.portion)) == pytest.approx(300 * 200 / 15)


def test_a_piece_of_garnish_sits_in_every_portion() -> None:
    dessert = entremet(nut=Garnish(key="nut", formula="sponge", piece_g=2))
    garnish = cut_of(dessert).top.garnish[0]
    assert len(garnish.loops) == 10
    for loop in garnish.loops:
        x, y = (sum(axis) / len(loop) for axis in zip(*loop, strict=True))
        assert math.hypot(x, y) < 90


def test_clearances_are_measured() -> None:
    gaps = {
        (dimension.part, dimension.what): dimension.value_mm
        for dimension in cut_of(entremet()).dimensions
    }
    assert gaps["heart", "side"] == 15
    assert gaps["heart", "below"] == 4
    assert gaps["heart", "above"] == 45 - 25


RINGS = st.builds(Ring, st.floats(60, 400), st.floats(30, 80))
FRAMES = st.builds(Frame, st.floats(100, 600), st.floats(100, 400), st.floats(30, 80))


@given(st.one_of(RINGS, FRAMES))
def test_what_is_proposed_for_a_mold_can_be_made_in_it(mold: Mold) -> None:
    dessert = Dessert("New", mold, (), portions_for(mold))
    for rule, formula in (
        ("base", "sponge"),
        ("fill", "mousse"),
        ("insert", "jelly"),
        ("coat", "glaze"),
    ):
        part = propose(dessert, rule, rule, formula)
        dessert = Dessert("New", mold, (*dessert.parts, part), dessert.portions)
    solved, _ = solve(dessert, BOOK)
    assert [finding.code for finding in solved.findings if finding.severity == "wrong"] == []


def test_a_second_fill_and_an_unknown_rule_are_not_proposed() -> None:
    with pytest.raises(CoreError, match="already fills"):
        propose(entremet(), "fill", "k", "mousse")
    with pytest.raises(CoreError, match="garnish"):
        propose(entremet(), "sprinkle", "k", "mousse")


@pytest.mark.parametrize("mold", [Ring(160, 45), Ring(240, 45), Ring(80, 50), Frame(300, 200, 45)])
def test_in_another_mold_the_gap_to_the_wall_is_kept(mold: Mold) -> None:
    there = refit(entremet(), mold)
    assert solve(there, BOOK)[0].portions == there.portions.count
    gaps = [
        (mold.from_above.length_mm - part.across_mm) / 2
        for part in there.parts
        if isinstance(part, Base | Insert)
    ]
    if mold.from_above.length_mm >= 160:
        assert gaps == [15, 5]
    assert all(gap > 0 for gap in gaps)


def test_in_its_own_mold_nothing_changes() -> None:
    assert refit(entremet(), Ring(180, 45)) == entremet()


def test_a_layer_is_proposed_on_top_and_stays_covered() -> None:
    insert = propose_layer(entremet(), "heart", "new", "jelly")
    assert [layer.key for layer in insert.layers] == ["new", "jelly", "crumb"]
    assert insert.layers[0].height_mm == 5
    # Between 25 and 45 mm two more of 5 leave 10; asked again and again it gets thin.
    dessert = entremet(heart=insert)
    for number in range(4):
        dessert = entremet(heart=propose_layer(dessert, "heart", f"n{number}", "jelly"))
    top = next(part for part in dessert.parts if isinstance(part, Insert)).layers[0]
    assert top.height_mm == 1
    with pytest.raises(CoreError, match="part of this dessert that has layers"):
        propose_layer(entremet(), "base", "new", "jelly")
