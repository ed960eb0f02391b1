"""What is piped, dripped, cut, strewn, poured, dipped, and what a dessert stands on."""

import math
from collections.abc import Iterator
from dataclasses import replace
from itertools import combinations, pairwise

import pytest
from shapely.geometry import Point, Polygon

from fernbell.core.desserts import (
    Base,
    ByCount,
    Coat,
    Dessert,
    Drip,
    Fill,
    Foot,
    Insert,
    Layer,
    Leaf,
    Part,
    PartResult,
    Piped,
    Sauce,
    Soak,
    Solved,
    Strewn,
    Wedges,
    lay_out,
    portions_for,
    solve,
    usual_build,
)
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.families import drips
from fernbell.core.formulas import read_formulas
from fernbell.core.molds import (
    Between,
    Frame,
    Gutter,
    Outlined,
    Ring,
    Solid,
    Turned,
    WallPoint,
    turned_over,
)
from fernbell.core.molds.outlined import heart
from tests.core.kitchen import BOOK
from tests.core.solids import DOME, EVERY, SOLIDS


def named(solid: Solid) -> str:
    return solid.words_in_full()


RING, LOG = Ring(180, 45), Gutter(250, 80, 40)
FILL = Fill(key="fill", formula="mousse")


def solved(mold: Solid, *parts: Part, count: int = 1) -> Solved:
    portions = portions_for(mold)
    return solve(Dessert("One", mold, parts, portions, usual_build(mold)), BOOK, count)[0]


def taken(mold: Solid, *parts: Part) -> PartResult:
    return solved(mold, *parts).parts[0]


def density(key: str) -> float:
    found = read_formulas(BOOK, [key])[key].density_g_ml
    assert found is not None
    return found


def test_a_border_is_as_many_half_ellipsoids_as_have_room() -> None:
    # By hand: centers on a circle of 155 mm; 19 of 25 mm, 25.6 mm apart along it.
    border = taken(RING, Piped(key="p", formula="mousse", across_mm=25, height_mm=20), FILL)
    assert border.measure.value == 19
    assert border.volume is not None
    assert border.volume.value == pytest.approx(19 * math.pi / 6 * 25**2 * 20 / 1000)


@pytest.mark.parametrize("over_all", [False, True], ids=["edge", "over all"])
@pytest.mark.parametrize("across", [8.0, 17.0, 31.0])
@EVERY
def test_mounds_never_overlap_and_stay_on_the_top(
    solid: Solid, across: float, over_all: bool
) -> None:
    dessert = Dessert(
        "One",
        solid,
        (Piped(key="p", formula="mousse", across_mm=across, height_mm=10, over_all=over_all), FILL),
        ByCount(1),
        usual_build(solid),
    )
    body = lay_out(dessert)
    (mounds,) = body.of("p")
    places = mounds.places  # type: ignore[attr-defined]
    assert places
    if len(places) == 1:
        return
    # Own distance test, apart from how they were set.
    nearest = min(math.dist(a, b) for a, b in combinations(places, 2))
    assert nearest >= across - 0.01
    plan = body.outer.from_above
    hole = plan.hole()
    outline = Polygon(plan.outline(), [hole] if hole else [])
    assert all(
        outline.buffer(0.1).covers(Point(place).buffer(across / 2 - 0.1)) for place in places
    )


def test_what_is_wider_than_the_top_is_said() -> None:
    codes = {
        one.code
        for one in solved(
            Ring(60, 40), Piped(key="p", formula="mousse", across_mm=70, height_mm=20), FILL
        ).findings
    }
    assert "piped-too-wide" in codes


@pytest.mark.parametrize(
    "part",
    [
        Piped(key="p", formula="mousse", across_mm=25, height_mm=20, torched=True),
        Strewn(key="p", formula="syrup", on_100_cm2_g=9, torched=True),
    ],
)
def test_the_torch_is_a_step_of_its_own_with_its_caution(part: Part) -> None:
    stages = solved(RING, part, FILL).stages
    torch = next(stage for stage in stages if stage.code == "torch")
    for word in ("gas", "paper", "local code"):
        assert word in torch.says
    plain = solved(RING, replace(part, torched=False), FILL).stages  # type: ignore[call-arg]
    assert "torch" not in {stage.code for stage in plain}


@pytest.mark.parametrize(("across", "runs", "every"), [(180, 40, 25), (240, 30, 31), (80, 15, 12)])
def test_drips_weigh_what_the_drips_of_a_ganache_do(
    across: float, runs: float, every: float
) -> None:
    told = drips(across, runs, density("glaze"), every)
    on_it = taken(
        Ring(across, 60), Drip(key="d", formula="glaze", runs_mm=runs, every_mm=every), FILL
    )
    assert on_it.measure.value == told.count.value
    assert on_it.mass is not None
    assert on_it.mass.value == pytest.approx(told.all.value)


def test_a_drip_longer_than_the_side_reaches_the_board_and_it_is_said() -> None:
    codes = {
        one.code
        for one in solved(
            RING, Drip(key="d", formula="glaze", runs_mm=60, every_mm=25), FILL
        ).findings
    }
    assert "drip-to-board" in codes


def test_as_wide_as_long_they_are_discs() -> None:
    petals = taken(
        RING,
        Leaf(key="l", formula="jelly", pieces=12, long_mm=60, wide_mm=60, thickness_mm=1.5),
        FILL,
    )
    assert petals.measure.value == pytest.approx(12 * math.pi / 4 * 6**2)


@pytest.mark.parametrize(("long_", "wide"), [(60, 30), (120, 10), (45, 44), (30, 60)])
def test_a_petal_is_two_arcs_that_meet_in_its_tips(long_: float, wide: float) -> None:
    # Against the outline itself, measured by another library.
    part = Leaf(key="l", formula="jelly", pieces=1, long_mm=long_, wide_mm=wide, thickness_mm=1.5)
    (leaves,) = lay_out(Dessert("One", RING, (part, FILL), ByCount(1))).of("l")
    outline = Polygon(leaves.template())  # type: ignore[attr-defined]
    assert taken(RING, part, FILL).measure.value == pytest.approx(outline.area / 100, rel=0.01)
    low_x, low_y, high_x, high_y = outline.bounds
    assert sorted((high_x - low_x, high_y - low_y)) == pytest.approx(
        sorted((long_, wide)), abs=0.05
    )


def test_what_stays_between_cavities_is_made_and_not_eaten() -> None:
    plain, waste = (
        solved(RING, Fill(key="f", formula="mousse", waste_percent=lost)) for lost in (0, 4)
    )
    made, more = plain.parts[0].make, waste.parts[0].make
    assert made is not None
    assert more is not None
    assert more.value == pytest.approx(1.04 * made.value)
    assert "what stays on the tray" in str(more.given)
    assert plain.finished is not None
    assert waste.finished is not None
    assert waste.finished.value == pytest.approx(plain.finished.value)


def test_the_spare_that_breaks_is_made_and_the_template_is_drawn() -> None:
    plain = solved(
        RING,
        Leaf(key="l", formula="jelly", pieces=5, long_mm=60, wide_mm=30, thickness_mm=1.5),
        FILL,
    )
    spare = solved(
        RING,
        Leaf(
            key="l",
            formula="jelly",
            pieces=5,
            long_mm=60,
            wide_mm=30,
            thickness_mm=1.5,
            spare_percent=20,
        ),
        FILL,
    )
    assert plain.parts[0].make is not None
    assert spare.parts[0].make is not None
    assert spare.parts[0].make.value == pytest.approx(1.2 * plain.parts[0].make.value)
    assert plain.finished is not None
    assert spare.finished is not None
    assert spare.finished.value == pytest.approx(plain.finished.value)
    (template,) = plain.cut.views
    assert template.part == "l"
    assert {one.value_mm for one in template.dimensions} == {60, 30}


@pytest.mark.parametrize(
    "mold", [RING, Frame(200, 100, 40), Turned((WallPoint(0, 60), WallPoint(40, 80)))]
)
def test_what_is_strewn_goes_by_the_area_of_the_top(mold: Solid) -> None:
    crust = taken(mold, Strewn(key="s", formula="syrup", on_100_cm2_g=12), FILL)
    assert crust.mass is not None
    assert crust.mass.value == pytest.approx(12 * mold.area_at(mold.height_mm) / 1e4)


def test_on_a_point_nothing_can_be_strewn() -> None:
    codes = {
        one.code
        for one in solved(DOME, Strewn(key="s", formula="syrup", on_100_cm2_g=12), FILL).findings
    }
    assert "nothing-to-strew-on" in codes


@pytest.mark.parametrize("count", [1, 6, 11])
def test_a_sauce_is_on_every_portion(count: int) -> None:
    dessert = Dessert(
        "One", RING, (Sauce(key="s", formula="syrup", portion_g=30, hot=True), FILL), ByCount(count)
    )
    found, _ = solve(dessert, BOOK)
    assert found.parts[0].mass is not None
    assert found.parts[0].mass.value == 30 * count
    assert "local code" in next(one for one in found.stages if one.code == "sauce").says


@EVERY
def test_dipped_also_the_underside_is_covered(solid: Solid) -> None:
    def surface(**how: bool) -> float:
        return taken(
            solid, Coat(key="c", formula="glaze", thickness_mm=1.0, **how), FILL
        ).measure.value  # type: ignore[arg-type]

    stands = turned_over(solid) if solid.stands_on_rim else solid
    under = stands.area_at(0.0) / 100
    assert surface(dipped=True) == pytest.approx(surface() + under, abs=1e-6)


def test_dipped_and_on_the_top_only_is_refused() -> None:
    with pytest.raises(CoreError, match="dipped"):
        Coat(key="c", formula="glaze", thickness_mm=1.0, top_only=True, dipped=True)


def test_a_foot_raises_the_dessert_and_stands_out() -> None:
    without = solved(RING, FILL, Base(key="b", formula="sponge", height_mm=8, across_mm=170))
    with_ = solved(
        RING,
        FILL,
        Base(key="b", formula="sponge", height_mm=8, across_mm=170),
        Foot(key="foot", formula="jelly", height_mm=5, across_mm=190),
    )
    assert with_.height.value == pytest.approx(without.height.value + 5)
    foot = next(one for one in with_.parts if one.part == "foot")
    assert foot.volume is not None
    assert foot.volume.value == pytest.approx(math.pi / 4 * 190**2 * 5 / 1000)
    assert "part-outside" not in {one.code for one in with_.findings}
    for shape in with_.cut.section:
        low = min(z for loop in shape.loops for _, z in loop)
        high = max(z for loop in shape.loops for _, z in loop)
        assert (low, high) == (0, 5) if shape.part == "foot" else low >= 5
    # In the mold it stands on the board yet.
    assert [stage.lowered_mm for stage in with_.stages if stage.in_mold] == [5] * sum(
        stage.in_mold for stage in with_.stages
    )
    assert with_.stages[-1].lowered_mm == 0


def pieces_and_rest(mold: Solid, insert: Insert) -> Iterator[float]:
    for part in solved(mold, insert, FILL).parts:
        assert part.volume is not None
        yield part.volume.value


@pytest.mark.parametrize("mold", [one for one in SOLIDS if not one.is_upright], ids=named)
def test_an_insert_of_the_molds_own_shape_keeps_its_gap_all_over(mold: Solid) -> None:
    stands = turned_over(mold) if mold.stands_on_rim else mold
    gap = 6.0
    try:
        smaller = stands.inset(gap)
    except CoreError:
        return
    high = smaller.height_mm / 2
    insert = Insert(
        key="i",
        layers=(Layer(key="a", formula="jelly", height_mm=high),),
        across_mm=stands.across_mm - 2 * gap,
        lift_mm=6.0,
        alike=True,
    )
    volumes = list(pieces_and_rest(mold, insert))
    assert volumes[0] == pytest.approx(smaller.volume_between(0, high))
    assert sum(volumes) == pytest.approx(mold.capacity_ml, rel=1e-6)


def test_its_layers_are_slices_of_the_one_shape_and_more_than_it_holds_is_refused() -> None:
    two = Insert(
        key="i",
        layers=(
            Layer(key="a", formula="jelly", height_mm=12),
            Layer(key="b", formula="mousse", height_mm=8),
        ),
        across_mm=100,
        lift_mm=6.0,
        alike=True,
    )
    inner = turned_over(DOME).inset(10)
    volumes = list(pieces_and_rest(DOME, two))
    assert volumes[:2] == pytest.approx([inner.volume_between(8, 20), inner.volume_between(0, 8)])
    with pytest.raises(OutOfRange, match="shape"):
        solved(DOME, replace(two, layers=(Layer(key="a", formula="jelly", height_mm=90),)), FILL)


@pytest.mark.parametrize("abreast", [2, 3, 5])
@pytest.mark.parametrize(
    "mold", [Frame(300, 200, 40), Gutter(250, 80, 40), Ring(240, 45)], ids=named
)
def test_side_by_side_there_are_so_many_and_the_rest_fills_the_room(
    mold: Solid, abreast: int
) -> None:
    plan = mold.from_above
    across = plan.length_mm / abreast / 3
    one = Insert(
        key="i",
        layers=(Layer(key="a", formula="jelly", height_mm=8),),
        across_mm=across,
        lift_mm=8.0,
        abreast=abreast,
    )
    # A third of its share, and a third clear on both sides and at both ends.
    long_ = plan.width_mm - 2 * across
    area = math.pi / 4 * across**2 if mold.symmetry == "round" else across * long_
    several = list(pieces_and_rest(mold, one))
    assert several[0] == pytest.approx(abreast * area * 8 / 1000)
    assert sum(several) == pytest.approx(mold.capacity_ml)
    (shape,) = (
        s for s in solved(mold, replace(one, abreast=abreast), FILL).cut.section if s.part == "i"
    )
    assert len(shape.loops) == abreast


def test_side_by_side_and_into_each_other_is_said() -> None:
    crowded = Insert(
        key="i",
        layers=(Layer(key="a", formula="jelly", height_mm=8),),
        across_mm=120,
        lift_mm=8.0,
        abreast=3,
    )
    codes = {one.code for one in solved(Frame(300, 200, 40), crowded, FILL).findings}
    assert "inserts-crowded" in codes


def test_two_inserts_beside_each_other_are_not_on_each_other() -> None:
    def pair(aside: float) -> set[str]:
        left = Insert(
            key="l",
            layers=(Layer(key="a", formula="jelly", height_mm=10),),
            across_mm=60,
            lift_mm=15.0,
            offset_mm=-aside,
        )
        right = Insert(
            key="r",
            layers=(Layer(key="b", formula="jelly", height_mm=10),),
            across_mm=60,
            lift_mm=15.0,
            offset_mm=aside,
        )
        return {one.code for one in solved(Ring(240, 45), left, right, FILL).findings}

    assert "insert-in-base" not in pair(45.0)
    assert "insert-in-base" in pair(10.0)


@pytest.mark.parametrize("solid", SOLIDS, ids=named)
def test_slices_of_a_solid_make_the_whole(solid: Solid) -> None:
    cuts = [0.0, solid.height_mm * 0.3, solid.height_mm * 0.8, solid.height_mm]
    slices = [Between(solid, low, high) for low, high in pairwise(cuts)]
    assert sum(one.capacity_ml for one in slices) == pytest.approx(solid.capacity_ml, rel=1e-6)
    for one in slices:
        middle = one.height_mm / 2
        assert one.area_at(middle) == pytest.approx(solid.area_at(one.low_mm + middle))
    with pytest.raises(OutOfRange):
        Between(solid, 0.0, solid.height_mm + 1)


def test_a_syrup_soaks_the_insert_where_there_is_no_base() -> None:
    insert = Insert(
        key="i",
        layers=(Layer(key="a", formula="sponge", height_mm=10),),
        across_mm=100,
        lift_mm=12.0,
    )
    found = next(
        one
        for one in solved(RING, insert, Soak(key="s", formula="syrup", on_100_cm2_g=8), FILL).parts
        if one.part == "s"
    )
    assert found.mass is not None
    assert found.mass.value == pytest.approx(8 * math.pi / 4 * 10**2 / 100)


def test_a_baked_filling_sinks_and_weighs_as_it_was_filled() -> None:
    pan = Turned((WallPoint(0, 220), WallPoint(25, 240)))
    raw, baked = (
        solved(pan, Fill(key="f", formula="mousse", level_mm=20, shrink_percent=shrink))
        for shrink in (0.0, 25.0)
    )
    assert baked.parts[0].mass == raw.parts[0].mass
    # By hand: a quarter of 20 mm.
    assert baked.height.value == pytest.approx(raw.height.value - 5)
    assert max(z for one in baked.cut.section for loop in one.loops for _, z in loop) == 15
    assert any("baked it stands at 15 mm" in sentence for sentence in baked.words)


def test_what_is_served_in_its_glass_is_drawn_in_it_to_the_end() -> None:
    glass = Turned((WallPoint(0, 44), WallPoint(80, 70)))
    stages = solved(
        glass,
        Fill(key="f", formula="mousse", level_mm=60),
        Strewn(key="s", formula="syrup", on_100_cm2_g=5),
    ).stages
    assert all(stage.in_mold for stage in stages if not stage.aside)


@pytest.mark.parametrize("count", [2, 5, 12])
def test_on_a_free_outline_each_portion_has_its_garnish(count: int) -> None:
    plan = Outlined(heart(180), 45).plan_at(0)
    wedges = Wedges(count)
    strokes, _ = wedges.knife(plan)
    ends = [end for _, end in strokes]
    turns = sorted(math.atan2(x, y) % (2 * math.pi) for x, y in ends)
    sits = [math.atan2(x, y) % (2 * math.pi) for x, y in wedges.centers(plan)]
    outline = Polygon(plan.outline())
    assert all(outline.contains(Point(place)) for place in wedges.centers(plan))
    # One between every two cuts.
    assert sorted(sum(turn > begin for begin in turns) % count for turn in sits) == list(
        range(count)
    )
