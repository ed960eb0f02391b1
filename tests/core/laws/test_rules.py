"""Every place that has something for each rule has it for all of them."""

from dataclasses import replace

import pytest

from fernbell.core.desserts import RULES, Part
from fernbell.core.desserts.kinds import KINDS, picture
from fernbell.core.desserts.kinds.kind import KindPart
from fernbell.core.planning.timeline.hands import check_hands
from fernbell.starter.hands import BUILDING
from tests.conftest import SEED
from tests.core.laws.grid import tried

OF_THE_BODY = {"line", "unmold", "join", "trim", "hold"}
"""Steps that no part makes: the mold, its halves, the ends of a log, what is set on it."""
EVERY_RULE = pytest.mark.parametrize("rule", RULES, ids=lambda one: one.words.rule)


@EVERY_RULE
def test_a_kind_with_a_part_of_any_rule_has_its_picture(rule: type[Part]) -> None:
    plain = next(one for one in KINDS if one.kind == "entremet")
    kind = replace(plain, parts=(*plain.parts[:1], KindPart(rule.words.rule, "cream")))
    drawn = picture(kind)
    assert drawn
    assert {one.formula for one in drawn} <= {"cream", *(one.made_of for one in kind.parts)}


@EVERY_RULE
def test_every_build_step_of_a_rule_has_its_minutes_of_hands(rule: type[Part]) -> None:
    assert rule.builds
    for code in rule.builds:
        minutes, skill = BUILDING[code]
        assert minutes > 0
        assert skill in (1, 2, 3)


def test_a_rule_without_its_hands_is_refused_when_it_is_imported() -> None:
    class Sprayed(RULES[0]):  # type: ignore[misc,valid-type]
        builds = ("spray",)

    with pytest.raises(LookupError, match="spray"):
        check_hands((*RULES, Sprayed), BUILDING)


def test_no_dessert_is_built_by_a_step_that_no_rule_names() -> None:
    cases, _ = tried(8, SEED)
    named = {code for rule in RULES for code in rule.builds} | OF_THE_BODY
    seen = {stage.code for case in cases for stage in case.answer.stages}
    assert seen <= named
    assert len(seen) > 15
