"""A dessert in other molds: each part by its own rule, beside what one factor would have made."""

import math
from dataclasses import fields, is_dataclass, replace
from typing import Any

import pytest

from fernbell.core.desserts import formulas_used
from fernbell.core.desserts.kinds import KINDS, DessertKind
from fernbell.core.desserts.resize import KEEPS, Keep, as_drawn, fills, resize
from fernbell.core.desserts.solve import Size, measured
from fernbell.core.errors import OutOfRange
from fernbell.core.formulas import read_formulas
from fernbell.core.molds import Ring
from fernbell.core.working import figure_text
from fernbell.demo.desserts import DESSERTS, REEDBED
from fernbell.starter.molds import MOLDS
from tests.core.test_kinds import BOOK, begun


def similar(solid: Any, by: float) -> Any:
    """The same form, every length of it so many times as long."""
    if is_dataclass(solid):
        changed = {
            one.name: similar(getattr(solid, one.name), by)
            for one in fields(solid)
            if one.name.endswith("_mm") or not isinstance(getattr(solid, one.name), int | float)
        }
        return replace(solid, **changed)
    if isinstance(solid, tuple):
        return tuple(similar(one, by) for one in solid)
    return solid * by if isinstance(solid, float | int) else solid


def worked(dessert: Any, count: int = 1) -> tuple[Size, Any]:
    readings = read_formulas(BOOK, list(formulas_used(dessert)))
    return as_drawn(measured(dessert, readings, count)), readings


# By the law of similar figures: what has a volume by the cube, what is spread by the square, what
# is counted on a portion not at all.
POWER = {"base": 3, "insert": 3, "tier": 3, "core": 3, "roll": 3, "puff": 3, "piped": 3, "fill": 3,
         "coat": 2, "soak": 2, "disc": 2, "leaf": 2, "garnish": 0, "sauce": 0}  # fmt: skip


@pytest.mark.parametrize("kind", KINDS, ids=lambda one: one.kind)
@pytest.mark.parametrize("by", [0.9, 1.25])
def test_keeping_proportions_is_a_similar_figure(kind: DessertKind, by: float) -> None:
    dessert = begun(kind)
    made, readings = worked(dessert)
    there = resize(made, readings, similar(dessert.mold, by), "proportions")
    assert there.refused == ""
    assert there.one_factor is not None
    assert there.one_factor.value == pytest.approx(by**3)
    rules = {part.key: part.rule for part in dessert.parts}
    # A shell stays as thick, so that what is in it has more room than a similar figure.
    in_shell = bool({"lining", "puff"} & set(rules.values()))
    checked = 0
    for part in there.parts:
        power = POWER.get(rules[part.part])
        if power is None or (in_shell and power == 3):
            continue
        # A coat stays as thick, and a finger of a sheet bare: what they add or lack does not grow.
        rel = 0.03 if rules[part.part] in ("coat", "roll") else 1e-6
        assert part.factor == pytest.approx(by**power, rel=rel), part.name
        checked += 1
    assert checked or in_shell


def test_each_part_goes_by_its_own_rule_and_one_factor_is_weighed() -> None:
    made, readings = worked(REEDBED, 6)
    there = resize(made, readings, Ring(160, 45), "heights")
    moved = {part.name: part for part in there.parts}
    # By hand: discs of 184 and 144 mm, inserts of 160 and 120 mm; rings of 200 and 160 mm.
    assert moved["Rye crumble base"].factor == pytest.approx((144 / 184) ** 2)
    assert moved["Quince, set"].factor == pytest.approx((120 / 160) ** 2)
    # A coat of 2 mm by Steiner: t (A + P h) + t² (pi h + pi/4 P) + 2/3 pi t³.
    wide, narrow = (
        2 * math.pi * (d**2 / 4 + 45 * d) + 4 * math.pi * (45 + math.pi * d / 4) + 16 / 3 * math.pi
        for d in (200, 160)
    )
    assert moved["Amber glaze"].factor == pytest.approx(narrow / wide, rel=1e-6)
    assert moved["Milk couverture strip"].factor == pytest.approx(
        (3.141592653589793 * 160 + 10) / (3.141592653589793 * 200 + 10)
    )
    assert there.one_factor is not None
    assert there.one_factor.value == pytest.approx(0.64)
    for part in there.parts:
        was = next(one for one in made.parts if (one.part, one.layer) == (part.part, part.layer))
        assert part.over is not None
        assert part.mass is not None
        assert was.mass is not None
        assert part.over.value == pytest.approx(was.mass.value * 0.64 - part.mass.value)
    # The classic: mousse runs out, and there is insert left over.
    assert moved["Toasted barley mousse"].over.value < -20  # type: ignore[union-attr]
    assert moved["Quince, set"].over.value > 10  # type: ignore[union-attr]


@pytest.mark.parametrize("keep", [one.keep for one in KEEPS])
def test_the_mold_it_is_drawn_in_changes_nothing(keep: Keep) -> None:
    for one in DESSERTS:
        made, readings = worked(one.dessert, one.count)
        there = resize(made, readings, one.dessert.mold, keep)
        assert [part.factor for part in there.parts] == pytest.approx([1] * len(there.parts))
        assert [part.over.value for part in there.parts if part.over] == pytest.approx(
            [0] * len(there.parts), abs=1e-6
        )
        assert (there.portions, there.count) == (made.made.division.count, one.count)
        assert there.short == ()


def test_keeping_portions_cuts_pieces_that_weigh_the_same_for_as_many_guests() -> None:
    made, readings = worked(REEDBED, 6)
    assert made.portion is not None
    there = resize(made, readings, Ring(160, 45), "portions")
    assert there.portion is not None
    # One wedge more or less would be further off.
    assert there.finished is not None
    wanted = made.portion.value
    for other in (there.portions - 1, there.portions + 1):
        assert abs(there.portion.value - wanted) < abs(there.finished.value / other - wanted)
    guests = 6 * made.made.division.count
    assert (there.count - 1) * there.portions < guests <= there.count * there.portions
    assert resize(made, readings, Ring(160, 45), "heights").portions == 12


def test_what_gets_short_is_said_and_a_mold_that_cannot_be_is_refused() -> None:
    made, readings = worked(REEDBED)
    low = resize(made, readings, Ring(200, 30), "heights")
    assert {one.code for one in low.short} >= {"above-rim"}
    assert all(one.message and one.remedy for one in low.short)
    assert resize(made, readings, Ring(200, 30), "proportions").short == ()
    # Bases higher than the mold: what stands above its rim is named, with what to do.
    shell, own = worked(next(one.dessert for one in DESSERTS if one.slug == "beekeeper"))
    tiny = resize(shell, own, Ring(20, 5), "heights")
    assert "above-rim" in {one.code for one in tiny.short}


def test_every_dessert_goes_into_every_mold_or_says_why_not() -> None:
    for one in DESSERTS:
        made, readings = worked(one.dessert, one.count)
        for hung in MOLDS:
            for words in KEEPS:
                there = resize(made, readings, hung.mold, words.keep)
                assert bool(there.refused) != bool(there.cut)
                if there.cut:
                    assert there.cut.section
                    assert len(there.parts) == len(made.parts)


def test_what_there_is_fills_whole_desserts_and_leaves_the_rest() -> None:
    made, readings = worked(REEDBED, 6)
    for mold, across in ((Ring(200, 45), 160), (Ring(160, 45), 120)):
        there = resize(made, readings, mold, "heights")
        density = readings["quince-set"].density_g_ml
        assert density is not None
        # By hand: a disc 10 mm high.
        each = 3.141592653589793 * (across / 20) ** 2 * density
        found = fills(there, "quince-set", 1200)
        assert found is not None
        assert found.value == int(1200 / each)
        assert f"{figure_text(1200 - found.value * each)} g left" in found.arithmetic
    assert fills(there, "not-in-it", 1200) is None
    for wrong in (0, -1, float("nan"), 1e9):
        with pytest.raises(OutOfRange, match="Have must be"):
            fills(there, "quince-set", wrong)
