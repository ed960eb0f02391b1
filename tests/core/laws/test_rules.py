"""Every place that has something for each rule has it for all of them."""

import ast
from dataclasses import replace

import pytest

from fernbell.core.desserts import RULES, Part
from fernbell.core.desserts.kinds import KINDS, picture
from fernbell.core.desserts.kinds.kind import KindPart
from fernbell.core.desserts.stages import OF_THE_BODY
from fernbell.core.formulas import Wait, WaitKind
from fernbell.core.planning.timeline import work_of
from fernbell.core.planning.timeline.hands import check_hands
from fernbell.starter.hands import BUILDING
from tests.conftest import ROOT
from tests.core.timelines import asked

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


def test_a_step_without_its_hands_is_refused_when_it_is_imported() -> None:
    with pytest.raises(LookupError, match="spray"):
        check_hands(("coat", "spray"), BUILDING)


def test_every_step_that_is_built_is_named_by_a_rule_or_by_the_body() -> None:
    """Read from the code itself: the second argument of every BuildStep."""
    named = {code for rule in RULES for code in rule.builds} | set(OF_THE_BODY)
    built = {
        ast.literal_eval(call.args[1])
        for path in (ROOT / "fernbell" / "core" / "desserts").rglob("*.py")
        for call in ast.walk(ast.parse(path.read_text()))
        if isinstance(call, ast.Call) and ast.unparse(call.func) == "BuildStep"
    }
    assert built == named


def test_what_thaws_after_a_wait_of_its_own_is_planned() -> None:
    """A strip that is chilled once it is laid around: then the whole of it thaws."""
    order = asked((("reedbed", 1, None),))
    chilled = replace(
        order.book.formula("reed-strip"), waits=(Wait(WaitKind.CHILL, 30, 60, placed=True),)
    )
    others = (one for one in order.book.formulas if one.key != chilled.key)
    book = replace(order.book, formulas=(*others, chilled))
    titles = [one.title for one in work_of(replace(order, book=book)).tasks]
    assert any("thaw" in one for one in titles), titles
