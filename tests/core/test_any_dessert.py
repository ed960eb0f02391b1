"""Laws that hold for whatever is drawn, sensible or not."""

import math

import pytest
from hypothesis import Phase, find, given, settings
from hypothesis import strategies as st

from fernbell.core.desserts import (
    RULES,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Part,
    refit,
    solve,
)
from fernbell.core.findings import Severity
from fernbell.core.molds import Mold
from tests.core.drawing import desserts, molds
from tests.core.kitchen import BOOK

COUNTS = st.integers(1, 60)


# A mold read from a mesh is long when it is written out.
@pytest.mark.filterwarnings("ignore::hypothesis.errors.HypothesisWarning")
@pytest.mark.parametrize("rule", RULES, ids=lambda rule: rule.words.rule)
def test_every_rule_is_drawn(rule: type[Part]) -> None:
    found = find(
        desserts(),
        lambda dessert: any(type(part) is rule for part in dessert.parts),
        settings=settings(max_examples=2000, phases=[Phase.generate]),
    )
    assert solve(found, BOOK)[0].parts


@settings(max_examples=50)
@given(desserts(), COUNTS)
def test_whatever_is_drawn_is_worked_out_and_judged(dessert: Dessert, count: int) -> None:
    solved, made = solve(dessert, BOOK, count)
    keys = {part.key for part in dessert.parts}
    for finding in solved.findings:
        assert all((finding.message, finding.why, finding.remedy, finding.source))
        assert finding.part is None or finding.part in keys
        assert finding.part or finding.formula or finding.code.startswith("portion")
    for sheet in made:
        assert math.isfinite(sheet.factor)
        assert all(line.mass_g >= 0 for line in sheet.lines)


@settings(max_examples=50)
@given(desserts())
def test_there_is_one_result_a_formula_in_the_order_of_the_shelf(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK)
    wanted = [
        (part.key, layer) for part in dessert.parts for layer in (use.layer for use in part.uses())
    ]
    assert [(part.part, part.layer) for part in solved.parts] == wanted


@settings(max_examples=50)
@given(desserts())
def test_unknown_stays_unknown_and_is_said(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK)
    by_volume = [one for one in solved.parts if one.formula == "riddle" and one.volume]
    for part in by_volume:
        assert part.make is None
    if by_volume:
        assert solved.finished is None
        assert solved.portion is None
        assert "no-density" in {finding.code for finding in solved.findings}


@settings(max_examples=50)
@given(desserts())
def test_what_is_counted_needs_no_density(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK)
    blamed = {finding.part for finding in solved.findings if finding.code == "no-density"}
    assert not blamed & {part.key for part in dessert.parts if isinstance(part, Garnish)}


@settings(max_examples=50)
@given(desserts(), COUNTS)
def test_more_desserts_change_amounts_and_never_the_cut(dessert: Dessert, count: int) -> None:
    one, many = solve(dessert, BOOK, 1)[0], solve(dessert, BOOK, count)[0]
    assert one.cut == many.cut
    assert one.finished == many.finished
    for single, several in zip(one.parts, many.parts, strict=True):
        assert single.mass == several.mass
        assert math.isclose(several.measure.value, count * single.measure.value, abs_tol=1e-9)


@settings(max_examples=50)
@given(desserts())
def test_a_level_above_the_rim_is_always_said(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK)
    fill = next((part for part in dessert.parts if isinstance(part, Fill)), None)
    over = fill is not None and (fill.level_mm or 0) > dessert.mold.height_mm + 1e-6
    said = any(
        finding.code == "above-rim" and fill and finding.part == fill.key
        for finding in solved.findings
    )
    assert said == over


@settings(max_examples=50)
@given(desserts())
def test_the_coat_to_make_covers_what_clings_and_pours_well(dessert: Dessert) -> None:
    solved, _ = solve(dessert, BOOK, 3)
    for part in dessert.parts:
        if isinstance(part, Coat):
            result = next(one for one in solved.parts if one.part == part.key)
            if result.mass and result.make:
                assert result.make.value >= 3 * result.mass.value
                assert result.make.value >= part.least_pour_g


@settings(max_examples=50)
@given(desserts())
def test_the_drawing_is_finite_and_inside_the_room_it_asks_for(dessert: Dessert) -> None:
    cut = solve(dessert, BOOK)[0].cut
    for shape in cut.section:
        for loop in shape.loops:
            for x, y in loop:
                assert abs(x) <= cut.width_mm / 2 + 20
                assert -1e-9 <= y <= cut.height_mm + 0.01  # points are drawn to 0.01 mm
    assert {one.part for one in cut.section} <= {part.key for part in dessert.parts}


@settings(max_examples=50)
@given(desserts(), molds())
def test_in_another_mold_a_dessert_has_the_same_parts_and_can_be_solved(
    dessert: Dessert, mold: Mold
) -> None:
    there = refit(dessert, mold)
    assert [part.key for part in there.parts] == [part.key for part in dessert.parts]
    heights = [part.height_mm for part in dessert.parts if isinstance(part, Base)]
    assert [part.height_mm for part in there.parts if isinstance(part, Base)] == heights
    solved, _ = solve(there, BOOK)
    # Going back never asks for what cannot be either.
    assert solve(refit(there, dessert.mold), BOOK)[0].portions >= 1
    assert solved.portions == there.portions.count


@settings(max_examples=50)
@given(desserts())
def test_what_cannot_be_made_comes_before_what_will_disappoint(dessert: Dessert) -> None:
    order = [finding.severity for finding in solve(dessert, BOOK)[0].findings]
    assert order == sorted(order, key=list(Severity).index)
