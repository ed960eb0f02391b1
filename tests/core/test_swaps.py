"""Swaps: straight keeps the grams, rebalanced keeps the job; there and back is where it was."""

import pytest

from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.families import Swap, job_named, swap
from fernbell.core.formulas import FIGURES, Book, Formula, Line, Lines, compose, lines_of
from fernbell.core.pantry import Ingredient
from fernbell.demo.book import demo_book

DEMO = demo_book()
MADE = compose(DEMO, [formula.key for formula in DEMO.formulas])
BY_KEY = {ingredient.key: ingredient for ingredient in DEMO.ingredients}
SET = FIGURES["set-number"]


def demo(slug: str) -> Lines:
    return Lines(DEMO, DEMO.formula(slug), MADE)


GANACHE = demo("dark-ganache")
DIAL = job_named("ganache.slice")[1].dial


def swapped(slug: str, old: str, new: str, job: str = "", kind: str = "") -> tuple[Lines, Swap]:
    lines = demo(slug)
    dial = job_named(job)[1].dial if job else None
    return lines, swap(lines, old, BY_KEY[new], dial, kind)


def read(code: str, found: Swap, formula: Formula) -> float:
    return FIGURES[code].value(Lines(found.book, formula, MADE).mix())


@pytest.mark.parametrize(
    ("slug", "old", "new", "job", "code"),
    [
        ("dark-ganache", "dark-66", "dark-55", "ganache.slice", "set-number"),
        ("dark-ganache", "dark-66", "milk-38", "ganache.slice", "set-number"),
        ("dark-ganache", "dark-66", "white-32", "ganache.slice", "set-number"),
        ("dark-ganache", "dark-66", "compound-dark", "ganache.slice", "set-number"),
        ("dark-ganache", "cream-35", "cream-30", "ganache.slice", "set-number"),
        ("dark-ganache", "cream-35", "raspberry", "ganache.slice", "set-number"),
        ("barley-mousse", "gelatin", "leaf-gelatin", "mousse.white", "gelatin-water"),
        ("barley-mousse", "gelatin", "gelatin-160", "mousse.white", "hold"),
        ("barley-mousse", "white-32", "milk-38", "mousse.white", "hold"),
        ("honey-caramel", "sugar", "acacia-honey", "caramel.fill", "boils"),
    ],
)
def test_the_straight_swap_keeps_grams_and_the_rebalanced_one_the_job(
    slug: str, old: str, new: str, job: str, code: str
) -> None:
    lines, found = swapped(slug, old, new, job)
    before = [line.mass_g for line in lines.formula.lines]
    assert [line.mass_g for line in found.straight.lines] == before
    assert {line.ingredient for line in found.straight.lines} >= {new}
    assert old not in {line.ingredient for line in found.rebalanced.lines}
    was = FIGURES[code].value(lines.mix())
    assert read(code, found, found.rebalanced) == pytest.approx(was, rel=0.02)
    arrives = Lines(found.book, found.rebalanced, MADE).mix().finished_g
    assert arrives == pytest.approx(lines.mix().finished_g, abs=2)


def test_a_straight_swap_of_the_chocolate_makes_soup_and_says_what_no_swap_keeps() -> None:
    lines, found = swapped("dark-ganache", "dark-66", "milk-38", "ganache.slice")
    # It pours only: 0.92 is where dark begins to coat.
    assert read("set-number", found, found.straight) < 0.92
    assert read("set-number", found, found.rebalanced) == pytest.approx(
        SET.value(lines.mix()), 0.01
    )
    kept = {one.name: one.kept for one in found.kept}
    assert kept == {"Set number": True, "Fat": True, "Sweetness": False}


@pytest.mark.parametrize(
    ("old", "new"), [("dark-66", "dark-70"), ("dark-66", "white-32"), ("cream-35", "cream-30")]
)
def test_swapping_there_and_back_is_where_it_was(old: str, new: str) -> None:
    there = swap(GANACHE, old, BY_KEY[new], DIAL, "ganache")
    back = swap(Lines(there.book, there.rebalanced, MADE), new, BY_KEY[old], DIAL, "ganache")
    before = [line.mass_g for line in GANACHE.formula.lines]
    after = [line.mass_g for line in back.rebalanced.lines]
    assert [line.ingredient for line in back.rebalanced.lines] == [
        line.ingredient for line in GANACHE.formula.lines
    ]
    assert after == pytest.approx(before, rel=0.06, abs=2)
    assert read("set-number", back, back.rebalanced) == pytest.approx(
        SET.value(GANACHE.mix()), rel=0.01
    )


def test_gelatin_of_another_bloom_goes_by_its_root() -> None:
    """10 g of 200 bloom are 11.18 g of 160 bloom, square root; gelatin makers, from memory."""
    lines, found = swapped("barley-mousse", "gelatin", "gelatin-160", "mousse.white")
    at = next(i for i, line in enumerate(lines.formula.lines) if line.ingredient == "gelatin")
    grams = found.rebalanced.lines[at].mass_g / lines.formula.lines[at].mass_g
    assert grams == pytest.approx(1.118, abs=0.015)


def test_gelatin_for_pectin_goes_by_dose_and_a_gum_that_does_not_set_is_refused() -> None:
    lines, found = swapped("barley-mousse", "gelatin", "pectin-nh", "mousse.white")
    at = next(i for i, line in enumerate(lines.formula.lines) if line.ingredient == "gelatin")
    assert found.rebalanced.lines[at].mass_g == pytest.approx(9 * 1.2, abs=0.1)
    assert any("boil a full minute" in note.says for note in found.notes)
    with pytest.raises(CoreError, match="something that sets"):
        swapped("barley-mousse", "gelatin", "xanthan", "mousse.white")


def notes_of(old: str, new: str, slug: str = "dark-ganache", kind: str = "ganache") -> str:
    lines = demo(slug)
    found = swap(lines, old, BY_KEY[new], None, kind)
    return " ".join(note.says for note in found.notes)


# 0.45 g of agar for 1 g of 200 bloom; 160 bloom counts as its square root of 160 / 200: 0.894.
@pytest.mark.parametrize(
    ("new", "soaked"), [("leaf-silver", 5), ("gelatin", 5), ("pectin-nh", 0), ("agar", 0)]
)
def test_the_water_of_leaves_goes_with_them_but_for_other_gelatin(new: str, soaked: float) -> None:
    lines = (Line("w", 500, "water"), Line("g", 20, "leaf-gelatin", soaked=5))
    own = (BY_KEY["water"], BY_KEY["leaf-gelatin"])
    found = swap(lines_of(Book(own, (Formula("f", "F", lines),)), "f"), "leaf-gelatin", BY_KEY[new])
    for one in found.both:
        assert [line.soaked for line in one.lines] == [0, soaked]


def test_weak_gelatin_takes_less_agar_by_the_root_of_its_bloom() -> None:
    weak, agar = BY_KEY["gelatin-160"], BY_KEY["agar"]
    water = BY_KEY["water"]
    formula = Formula("f", "F", (Line("w", 500, "water"), Line("g", 20, "gelatin-160")))
    found = swap(lines_of(Book((water, weak), (formula,)), "f"), "gelatin-160", agar)
    assert found.rebalanced.lines[1].mass_g == pytest.approx(20 * 0.45 * 0.894, abs=0.06)


def test_the_method_changes_with_the_chocolate() -> None:
    compound = notes_of("dark-66", "compound-dark")
    assert "not tempered" in compound
    assert "one pot" in compound
    milk = notes_of("dark-66", "milk-38")
    assert "work at 29.5" in milk
    assert "scorch" in milk
    # The cream held milk before: nothing new is declared.
    assert "It brings in" not in milk
    assert "Fold the cream in at 35-40" in notes_of(
        "white-32", "dark-66", "barley-mousse", "mousse"
    )


def test_an_allergen_is_said_where_the_formula_did_not_hold_it_before() -> None:
    assert "It brings in nuts" in notes_of("oats", "almond-flour", "rye-crumble", "crumble")
    # Rye and wheat hold gluten too: taking the oats out takes none away.
    assert "It holds no" not in notes_of("oats", "almond-flour", "rye-crumble", "crumble")
    assert "It holds no milk any more" in notes_of("butter", "margarine", "rye-crumble", "crumble")


def test_what_does_not_whip_splits_or_browns_is_said() -> None:
    assert "does not whip: 18" in notes_of("cream-35", "cream-18", "barley-mousse", "mousse")
    oat = notes_of("milk", "oat-drink", "pastry-cream", "custard")
    assert "thin starch" in oat
    assert "gluten" in oat
    # The custard's butter holds milk still.
    assert "no milk" not in oat
    assert "browns sooner" in notes_of("sugar", "acacia-honey", "honey-caramel", "caramel")
    leaf = notes_of("gelatin", "leaf-gelatin", "barley-mousse", "mousse")
    assert "squeeze" in leaf
    assert "by its root" in leaf


def test_unknown_allergens_of_what_comes_are_said() -> None:
    strange = Ingredient("strange", "Strange cream", make_up=BY_KEY["cream-35"].make_up)
    found = swap(GANACHE, "cream-35", strange, DIAL)
    assert any("Nobody entered the allergens of Strange cream" in note.says for note in found.notes)


def test_a_locked_line_is_not_moved_by_a_swap() -> None:
    found = swap(GANACHE, "dark-66", BY_KEY["milk-38"], DIAL, "ganache", ("dark-ganache-3",))
    assert found.rebalanced.lines[3].mass_g == 40


def test_what_is_in_no_line_cannot_be_swapped() -> None:
    with pytest.raises(UnknownKey):
        swap(GANACHE, "milk", BY_KEY["cream-30"], DIAL)
    with pytest.raises(UnknownKey):
        swap(GANACHE, "nobody", BY_KEY["cream-30"], DIAL)


SUGAR = BY_KEY["sugar"]


@pytest.mark.parametrize("new", ["cocoa-mass", "dark-80"])
@pytest.mark.parametrize("slug", ["dark-ganache"])
def test_a_less_sweet_chocolate_brings_its_sugar_back(slug: str, new: str) -> None:
    """Unsweetened for sweet: the formula is rebalanced, not just exchanged; common practice."""
    lines = demo(slug)
    sweet = FIGURES["sweetness"]
    found = swap(lines, "dark-66", BY_KEY[new], DIAL, "ganache", sugar=SUGAR)
    before, straight = sweet.value(lines.mix()), read("sweetness", found, found.straight)
    after = read("sweetness", found, found.rebalanced)
    assert straight < 0.75 * before
    assert after == pytest.approx(before, rel=0.06)
    assert read("set-number", found, found.rebalanced) == pytest.approx(
        SET.value(lines.mix()), rel=0.02
    )
    back = [line for line in found.rebalanced.lines if line.ingredient == "sugar"]
    assert [line.mass_g for line in found.straight.lines if line.ingredient == "sugar"] == [0]
    # By hand: what sugar the couverture held, less what the other holds, on its grams.
    chocolate = next(one.mass_g for one in lines.formula.lines if one.ingredient == "dark-66")
    held = (BY_KEY["dark-66"].make_up.sucrose or 0) - (BY_KEY[new].make_up.sucrose or 0)
    assert back[0].mass_g == pytest.approx(chocolate * held / 100, rel=0.35)
    assert {one.name: one.kept for one in found.kept}["Sweetness"]
    assert "rebalance" in " ".join(note.says for note in found.notes)


def test_no_sugar_is_added_where_a_line_can_bring_it_or_none_went() -> None:
    alike = swap(GANACHE, "dark-66", BY_KEY["dark-64"], DIAL, "ganache", sugar=SUGAR)
    assert len(alike.rebalanced.lines) == len(GANACHE.formula.lines)
    assert "rebalance" not in " ".join(note.says for note in alike.notes)
    cream = swap(GANACHE, "cream-35", BY_KEY["cream-30"], DIAL, "ganache", sugar=SUGAR)
    assert len(cream.rebalanced.lines) == len(GANACHE.formula.lines)


@pytest.mark.parametrize(
    ("old", "new"), [("dark-66", "milk-38"), ("dark-66", "white-32"), ("dark-66", "dark-75")]
)
def test_what_sugar_moves_by_a_swap_is_warned_of(old: str, new: str) -> None:
    assert "sugar in 100 g" in notes_of(old, new)
