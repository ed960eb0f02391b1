"""What of a dessert is cut from sheets, by weight; and templates at full size."""

import math
from itertools import pairwise

import pytest

from fernbell.core.cutting import (
    BAR_MM,
    FOOT_MM,
    MARGIN_MM,
    OVERLAP_MM,
    PAPERS,
    Paper,
    RawSheet,
    RectBlank,
    RoundBlank,
    Template,
    cut_plan_template,
    tile,
)
from fernbell.core.desserts import Dessert, formulas_used
from fernbell.core.desserts.kinds import KINDS, DessertKind
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.core.desserts.sheeted import cut_out, sheeted
from fernbell.core.desserts.solve import measured
from fernbell.core.desserts.templates import template_named, templates
from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.formulas import read_formulas
from fernbell.demo.desserts import BEEKEEPER, FOGHORN, HEDGEROW, LANTERNS, REEDBED
from tests.core.test_kinds import BOOK, begun

SHEET = RawSheet(600, 400, 10, 2)


def worked(dessert: Dessert, count: int = 1) -> tuple[MeasuredDessert, Readings]:
    readings = read_formulas(BOOK, list(formulas_used(dessert)))
    return measured(dessert, readings, count), readings


@pytest.mark.parametrize("kind", KINDS, ids=lambda one: one.kind)
def test_what_is_cut_weighs_what_the_dessert_takes_of_it(kind: DessertKind) -> None:
    made, readings = worked(begun(kind), 3)
    for group in sheeted([made]):
        widest = max(max(one.piece.bounds()) for one in group.pieces)
        out = cut_out(group, RawSheet(*((2000, 2000) if widest > 140 else (400, 300))), readings)
        assert out.weighed.pieces is not None
        takes = sum(
            one.make.value
            for one in made.parts
            if one.formula == group.formula and one.make and one.thick_mm
        )
        lined = any(part.rule == "lining" for part in made.dessert.parts)
        if lined or len([one for one in made.parts if one.formula == group.formula]) > 1:
            continue
        # Whole pieces, their corners cut straight: never less, never a piece more than spare asks.
        assert takes * 0.999 <= out.weighed.pieces.value <= takes * 1.35 + 10


def test_a_base_is_weighed_by_hand() -> None:
    made, readings = worked(REEDBED, 6)
    group = next(one for one in sheeted([made]) if one.name == "Rye crumble base")
    assert [(one.piece, one.count) for one in group.pieces] == [(RoundBlank(184), 6)]
    out = cut_out(group, SHEET, readings)
    density = readings[group.formula].density_g_ml
    assert density is not None
    # 60 x 40 x 0.7 cm; six discs of 18.4 cm.
    assert out.weighed.sheet is not None
    assert out.weighed.sheet.value == pytest.approx(60 * 40 * 0.7 * density)
    assert out.weighed.pieces is not None
    assert out.weighed.trim is not None
    assert out.weighed.pieces.value == pytest.approx(6 * math.pi * 9.2**2 * 0.7 * density)
    assert out.weighed.share.value == pytest.approx(100 * (1 - 6 * math.pi * 9.2**2 / 2400))
    whole = out.weighed.pieces.value + out.weighed.trim.value
    assert whole == pytest.approx(out.weighed.sheet.value)


def test_spare_is_cut_too_and_sizes_of_one_formula_come_from_the_same_sheet() -> None:
    small = worked(LANTERNS, 100)[0]
    (group,) = sheeted([small, small])
    # 100 discs with 5 % spare, twice the same size.
    assert [one.count for one in group.pieces] == [210]


def test_a_strip_longer_than_the_sheet_is_cut_in_lengths() -> None:
    made, readings = worked(REEDBED, 6)
    group = next(one for one in sheeted([made]) if "strip" in one.name)
    plan = cut_out(group, SHEET, readings).plan
    (strip,) = plan.wanted
    around = math.pi * 200 + 10
    assert strip.piece == RectBlank(around / 2, 15)
    assert (strip.count, "in 2 lengths" in strip.name) == (12, True)


def test_trim_rolled_again_saves_sheets_where_it_makes_whole_pieces() -> None:
    made, readings = worked(LANTERNS, 300)
    (group,) = sheeted([made])
    out = cut_out(group, RawSheet(300, 200, 0, 2), readings, trim="rolled")
    on_one, disc = out.plan.on_one[0], math.pi * 22.5**2
    trim = 1 - on_one * disc / (300 * 200)
    assert out.weighed.again is not None
    assert out.weighed.again.value == math.floor(on_one * trim)
    assert out.weighed.first == math.ceil(315 / (on_one + out.weighed.again.value))
    assert out.weighed.first < out.plan.number
    assert cut_out(group, RawSheet(300, 200, 0, 2), readings).weighed.again is None


def test_what_a_round_pan_is_lined_with_is_rolled_out_wider() -> None:
    made, _ = worked(BEEKEEPER, 2)
    (group,) = sheeted([made])
    pan = BEEKEEPER.mold
    wide = pan.across_mm + 2 * pan.height_mm + 20
    assert [(one.piece, one.count) for one in group.pieces] == [(RoundBlank(wide), 2)]


def test_a_tray_smaller_than_the_disc_is_refused_by_name() -> None:
    made, readings = worked(REEDBED)
    with pytest.raises(CoreError, match=r"13 × 13 cm, not Ø 18\.4 cm"):
        cut_out(sheeted([made])[0], RawSheet(150, 150, 10), readings)


@pytest.mark.parametrize("kind", KINDS, ids=lambda one: one.kind)
def test_every_template_is_as_large_as_what_it_is_for(kind: DessertKind) -> None:
    made, _ = worked(begun(kind))
    found = templates(made)
    assert len({one.key for one in found}) == len(found)
    for one in found:
        assert template_named(made, one.key) == one
        assert one.title
        assert one.says
        left, low, right, high = one.bounds
        assert right - left > 1
        assert high - low > 1
    flat = [(region.from_sheet(), made.kind(region)) for region in made.body.regions]
    sizes = {one.piece.size_words for one, kind in flat if one and one.is_cut_of(kind)}
    assert all(any(size in one.says for one in found) for size in sizes)


def test_templates_of_a_ring_a_pan_and_a_log_by_hand() -> None:
    ring = {one.key: one for one in templates(worked(REEDBED)[0])}
    left, _, right, high = ring["liner"].bounds
    assert (right - left, high) == (pytest.approx(math.pi * 200 + 10), 45)
    assert ring["liner"].strokes[0][0][0] == pytest.approx(math.pi * 200)
    assert len(ring["slices"].strokes) == 12
    assert "paper" not in ring
    pan = {one.key: one for one in templates(worked(BEEKEEPER)[0])}
    assert len(pan["paper"].strokes) == 16
    log = {one.key: one for one in templates(worked(HEDGEROW)[0])}
    ticks = [start[0] for start, _ in log["slices"].strokes]
    steps = {round(b - a, 3) for a, b in pairwise(ticks)}
    assert len(steps) == 1
    domes = templates(worked(FOGHORN)[0])
    assert [one.key for one in domes] == ["piece-crisp", "piece-curd-buckthorn"]
    with pytest.raises(UnknownKey, match="template"):
        template_named(worked(FOGHORN)[0], "liner")


def square(side: float) -> Template:
    loop = ((0.0, 0.0), (side, 0.0), (side, side), (0.0, side))
    return Template("x", "Square", "by hand", (loop,))


@pytest.mark.parametrize("paper", PAPERS, ids=lambda one: one.name)
@pytest.mark.parametrize("side", [1.0, 100.0, 190.0, 191.0, 400.0, 777.7, 1500.0])
def test_tiles_cover_a_template_and_share_their_edges(paper: Paper, side: float) -> None:
    tiling = tile(square(side), paper)
    wide, high = (paper.high_mm, paper.wide_mm) if tiling.turned else (paper.wide_mm, paper.high_mm)
    at = {(one.row, one.column): one for one in tiling.tiles}
    assert len(at) == tiling.rows * tiling.columns == len(tiling.tiles)
    for one in tiling.tiles:
        assert one.wide_mm == pytest.approx(wide - 2 * MARGIN_MM)
        assert one.high_mm == pytest.approx(high - 2 * MARGIN_MM - FOOT_MM)
        if right := at.get((one.row, one.column + 1)):
            assert one.left_mm + one.wide_mm - right.left_mm == pytest.approx(OVERLAP_MM)
        if below := at.get((one.row + 1, one.column)):
            assert below.low_mm + below.high_mm - one.low_mm == pytest.approx(OVERLAP_MM)
    first, last = at[0, 0], at[tiling.rows - 1, tiling.columns - 1]
    assert first.left_mm <= 0
    assert first.low_mm + first.high_mm >= side
    assert last.left_mm + last.wide_mm >= side
    assert last.low_mm <= 0
    assert wide >= BAR_MM + 2 * MARGIN_MM
    # One page fewer either way would not do.
    if tiling.columns > 1:
        assert (tiling.columns - 1) * (one.wide_mm - OVERLAP_MM) + OVERLAP_MM < side


def test_a_cut_plan_is_a_template_of_its_sheet() -> None:
    made, readings = worked(REEDBED, 8)
    plan = cut_out(sheeted([made])[0], SHEET, readings).plan
    drawn = cut_plan_template(plan, 0, "Rye crumble base")
    assert drawn.bounds == (0, 0, 600, 400)
    assert len(drawn.cut) == 1 + 6
    with pytest.raises(UnknownKey):
        cut_plan_template(plan, 9, "Rye crumble base")


@pytest.mark.parametrize(("count", "first"), [(1, 1), (2, 2), (4, 4), (12, 10)])
def test_paste_covers_the_circle_of_every_pan_its_trim_rolled_once_more(
    count: int, first: int
) -> None:
    """By hand: of a circle of pan + 2 x height + 20 mm 73.4 % stay in the pan, the rest is trim.

    Of three circles that is no fourth; of ten it is two more.
    """
    made, readings = worked(BEEKEEPER, count)
    lining = next(one for one in made.parts if one.goes_by == "by surface")
    pan, part = BEEKEEPER.mold, next(one for one in BEEKEEPER.parts if one.rule == "lining")
    circle = math.pi / 4 * (pan.across_mm + 2 * pan.height_mm + 20) ** 2 * part.thickness_mm / 1000
    density = readings[lining.formula].density_g_ml
    assert lining.make is not None
    assert lining.mass is not None
    share = lining.mass.value / (circle * density)
    assert first + math.floor(first * (1 - share)) >= count
    assert (first - 1) + math.floor((first - 1) * (1 - share)) < count
    assert lining.make.value == pytest.approx(first * circle * density, rel=1e-6)


@pytest.mark.parametrize(("kind", "rolled"), [("tart", True), ("crumb crust", False)])
def test_only_paste_is_rolled_cut_and_baked_under_paper(kind: str, rolled: bool) -> None:
    """Crumb is pressed in: no circle is cut of it, and none is told to the cook."""
    made, _ = worked(begun(next(one for one in KINDS if one.kind == kind)), 4)
    lining = next(one for one in made.body.parts if one.rule == "lining")
    (step,) = lining.steps(made)
    named = made.name(lining.key)
    cut = [one for group in sheeted([made]) for one in group.pieces if one.name == named]
    paper = [one for one in templates(made) if one.key == "paper"]
    said = ("rolled" in step.says, "paper" in step.says)
    assert said == (rolled, rolled)
    assert [bool(one) for one in (cut, paper, list(lining.views(made)))] == [rolled] * 3
