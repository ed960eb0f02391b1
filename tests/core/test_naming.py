"""What is typed is what was meant: everyday lines, and everything a pantry calls its own."""

import csv
from pathlib import Path

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import CoreError
from fernbell.core.measures import MEANS, STATES, System, holds_amount, measured
from fernbell.core.pantry import Ingredient, LineRole, Piece, role_of, said_in_kitchen
from fernbell.core.pantry.naming import (
    MOST_CHOICES,
    Named,
    Names,
    Understood,
    shared_names,
    understand,
)
from fernbell.starter.pantry import STOCKS, USUAL
from tests.core.names import EVERY, NAMES

with Path(__file__).with_name("lines.csv").open(encoding="utf-8", newline="") as file:
    LINES = list(csv.DictReader(file))
SLUGS = {one.key for one in EVERY}


def certain(line: str, names: Names = NAMES) -> tuple[str, float | None] | None:
    read = understand(line, names)
    return (read.certain.named.key, read.certain.mass_g) if read.certain else None


def asked(line: str, names: Names = NAMES) -> Understood:
    read = understand(line, names)
    assert read.certain is None, f"{line} was taken as {read.certain}"
    return read


# What each is in a starter pantry, and its grams by the definitions of the measures (metric cup
# 250 ml, spoons 15 and 5 ml), the pantry's densities and pieces: worked out beside the reader.
@pytest.mark.parametrize("row", LINES, ids=[row["line"] for row in LINES])
def test_an_everyday_line_is_understood(row: dict[str, str]) -> None:
    read = certain(row["line"])
    assert read is not None
    assert read[0] == row["ingredient"]
    assert read[1] == pytest.approx(float(row["grams"]), rel=1e-3, abs=1e-6)


def test_the_everyday_lines_are_many() -> None:
    assert len(LINES) >= 250


@pytest.mark.parametrize(
    ("line", "offered"),
    [
        ("1 lemon", {"lemon-juice", "lemon-zest"}),
        ("zest and juice of 1 lemon", {"lemon-juice", "lemon-zest"}),
        ("200 g orange", {"orange-juice", "orange-zest"}),
        ("250 g butter or margarine", {"butter", "margarine"}),
        ("100 g corn flour", {"cornstarch", "maize-flour"}),
        ("200 g buter", {"butter"}),
        ("200 g whte chocolate", {"white-32"}),
        ("100 g walnut butter", {"butter"}),
        ("100 g saffron yeast", {"yeast-fresh"}),
        ("100 g chocolate milk", {"milk-38"}),
        ("100 g hot chocolate", {"dark-50"}),
        ("100 g chocolate, ruby", {"dark-66"}),
        ("100 g caramel", {"gold-30"}),
        ("1 tin", {"condensed-milk", "evaporated-milk"}),
        ("250 cream", {"cream-35"}),
        ("1 handful almonds", {"almond"}),
        ("cream", {"cream-35"}),
    ],
)
def test_what_is_not_certain_is_asked_and_never_taken(line: str, offered: set[str]) -> None:
    read = asked(line)
    assert offered <= {choice.named.key for choice in read.choices}
    assert read.asks
    assert len(read.choices) <= 2 * MOST_CHOICES


@pytest.mark.parametrize(
    "line",
    [
        *("100 g brown butter", "100 g dulce de leche", "100 g ice cream", "100 g lemon curd"),
        *("100 g butter cream", "100 g salted caramel", "1 cup rum raisins", "1 cup nuts"),
        *("100 g vanilla sugar", "100 g coconut", "100 g ruby chocolate", "100 g tofu"),
        *("100 g cream or milk", "100 g dark chocolate 72%", "250 g milk or cream cheese"),
        *("100 g almond and hazelnut", "100 g goat cheese", "1 clove garlic", "100 g egg nog"),
        *("100 g butter beans", "100 g creamed corn", "100 g sugar snap peas", "2 rice cakes"),
        *("100 g salt cod", "100 g oil paint", "100 g milk bread", "100 g honey roast ham"),
    ],
)
def test_a_name_within_another_is_not_taken(line: str) -> None:
    asked(line)


def test_which_pint_is_asked_in_a_metric_kitchen_only() -> None:
    read = asked("1 pint cream")
    assert [choice.measure for choice in read.choices] == ["US", "imperial"]
    # US liquid pint 473.176 ml, imperial 568.261 ml: definitions.
    assert [choice.mass_g for choice in read.choices] == pytest.approx([473.176, 568.261], rel=1e-5)
    for system, ml in ((System.US, 473.176), (System.IMPERIAL, 568.261)):
        sure = understand("1 pint cream", NAMES, system).certain
        assert sure is not None
        assert sure.mass_g == pytest.approx(ml, rel=1e-5)


def test_a_size_is_the_size_of_the_country() -> None:
    us = understand("3 large eggs", NAMES, System.US).certain
    assert us is not None
    assert us.mass_g == pytest.approx(3 * 50.5)
    assert certain("3 US large eggs") == ("egg", pytest.approx(3 * 50.5))
    assert certain("3 large eggs") == ("egg", pytest.approx(3 * 60.5))


@pytest.mark.parametrize(
    ("line", "note"),
    [
        ("salt to taste", "to taste"),
        ("icing sugar, for dusting", "for dusting"),
        ("2-3 tbsp honey", "2–3 tbsp"),
        ("2 to 3 tbsp honey", "2–3 tbsp"),
        ("4 or 5 eggs", "4–5"),
        ("½ cup (120 ml) milk", "½ cup"),
        ("8 oz/225 g butter", "8 oz"),
        ("250 g cream", ""),
    ],
)
def test_what_is_said_and_not_weighed_stays_beside(line: str, note: str) -> None:
    assert understand(line, NAMES).note == note


@pytest.mark.parametrize(
    ("line", "says"),
    [
        ("1,200 g flour", "1200 or as 1.200"),
        ("1/0 cup milk", "fraction"),
        ("3-2 eggs", "from the least to the most"),
        ("0 g salt", "more than 0"),
        ("-3 g salt", "more than 0"),
        ("250 g", "of what"),
        ("2 cupps of cream", "such as 'cups'"),
        ("2 eggs + 1 yolk", "a line for each"),
        ("100 g sugar 50 g butter", "a line for each"),
        ("9999999 g salt", "at most 1 000 000"),
        pytest.param("9" * 400 + " g salt", "not so much", id="a number without end"),
        ("2 cups of", "of what"),
    ],
)
def test_a_line_nobody_can_read_says_why(line: str, says: str) -> None:
    with pytest.raises(CoreError, match=says):
        understand(line, NAMES)


@pytest.mark.parametrize(
    ("line", "says"),
    [
        ("cream", "How much"),
        ("1 packet gelatin", "enter a packet"),
        ("3 mangoes", "not counted in pieces"),
        ("100 g tofu", "‘tofu’ is not in the pantry"),
        ("250 buter", "Did you mean butter"),
        ("200 g buter", "Did you mean butter"),
        ("1 lemon", "Which lemon"),
    ],
)
def test_a_line_that_cannot_be_weighed_says_what_is_missing(line: str, says: str) -> None:
    assert says in asked(line).asks


@pytest.mark.parametrize("one", EVERY, ids=[one.key for one in EVERY])
def test_no_name_of_the_pantry_reads_as_another_row(one: Named) -> None:
    shared = shared_names(EVERY)
    for name in (one.name, one.name.upper(), *one.other_names):
        if name not in shared:
            assert certain(f"100 g {name}") == (one.key, 100)
            assert certain(f"{name} 100 g") == (one.key, 100)


def test_the_starter_pantry_comes_with_many_other_names() -> None:
    assert sum(len(stock.other_names) for stock in STOCKS) >= 600
    assert all(stock.other_names for stock in STOCKS)


def test_a_name_has_one_owner_unless_it_says_so() -> None:
    assert set(shared_names(EVERY)) == {"vanilla", "ginger", "corn flour", "lemon", "orange"}


def test_a_bare_word_means_what_the_kitchen_says() -> None:
    for word in (
        *("butter", "cream", "egg", "flour", "sugar", "salt", "chocolate", "dark chocolate"),
        *("milk chocolate", "white chocolate", "gelatin", "milk", "oil", "honey"),
    ):
        assert certain(f"100 g {word}") == (USUAL[word], 100)
    elsewhere = Names(EVERY, {**USUAL, "butter": "butter-salted", "cream": "cream-40"})
    assert certain("100 g butter", elsewhere) == ("butter-salted", 100)
    assert certain("100 g soft butter", elsewhere) == ("butter-salted", 100)
    assert certain("100 g unsalted butter", elsewhere) == ("butter", 100)
    assert certain("100 g double cream", elsewhere) == ("cream-40", 100)


def test_an_ingredient_comes_before_a_formula_unless_its_own_name_was_typed() -> None:
    syrup = Named(Ingredient("f", "Honey syrup", 1.3), is_formula=True, uses=40)
    names = Names((*EVERY, syrup), USUAL)
    assert certain("100 g honey syrup", names) == ("f", 100)
    assert certain("100 g honey", names) == ("honey", 100)
    offered = understand("100 g hone", names, begun=True).choices
    assert offered[0].named.key == "honey"
    assert offered[-1].named.key == "f"
    same = Names((*EVERY, Named(Ingredient("f", "Praline"), is_formula=True)), USUAL)
    assert [choice.named.key for choice in asked("100 g praline", same).choices] == [
        "f",
        "praline-50",
    ]


def test_among_equals_what_is_used_most_comes_first() -> None:
    every = tuple(Named(one.of, one.other_names, uses=9 * (one.key == "pecan")) for one in EVERY)
    assert asked("1 cup nuts", Names(every, USUAL)).choices[0].named.key == "pecan"


def test_while_typing_what_is_begun_is_offered_the_usual_first() -> None:
    for typed, first in (("250 g bu", "butter"), ("250 g cre", "cream-35"), ("2 eg", "egg")):
        assert understand(typed, NAMES, begun=True).choices[0].named.key == first
    assert "cream-35" in {
        choice.named.key for choice in understand("heav", NAMES, begun=True).choices
    }


def test_two_things_of_one_make_up_are_told_by_how_they_are_measured() -> None:
    assert certain("1 tsp vanilla") == ("vanilla-extract", pytest.approx(4.75))
    assert certain("1 vanilla") == ("vanilla", 3)
    tin = Named(Ingredient("a", "Lychees", pieces=(Piece("tin", 565),)), ("lychees in syrup",))
    assert certain("2 tins lychees in syrup", Names((tin,))) == ("a", 1130)


# Common practice: three fingers of fine salt are 0.3 to 0.5 g.
def test_a_pinch_is_what_three_fingers_take() -> None:
    read = certain("a pinch of salt")
    assert read is not None
    assert 0.3 <= (read[1] or 0) <= 0.5


SOLD = [one for one in EVERY if said_in_kitchen(one.of, 100, System.METRIC)]


@given(st.sampled_from(SOLD), st.floats(0.5, 20_000), st.sampled_from(System))
def test_any_printed_measure_reads_back(one: Named, mass_g: float, system: System) -> None:
    printed = said_in_kitchen(one.of, mass_g, system)
    if printed is None or printed.text.startswith("0 "):
        return
    state = next((word for word in STATES if printed.text.endswith(f", {word}")), "")
    plain = printed.text.removesuffix(f", {state}") if state else printed.text
    counted = plain.partition(" × ")
    line = f"{plain}, {state} {one.name}" if state else f"{plain} {one.name}"
    if counted[1]:
        line = f"{counted[0]} × {one.name}"
    read = understand(line, NAMES, system).certain
    assert read is not None, line
    assert read.named.key == one.key
    expected = float(counted[0]) * one.of.pieces[0].mass_g if counted[1] else None
    if expected is None:
        density = mass_g / printed.working.given[0].value * printed.working.given[1].value
        expected = printed.working.value * density
    assert read.mass_g == pytest.approx(expected, rel=2e-3)


@given(st.floats(1, 90_000), st.sampled_from(System))
def test_cups_and_spoons_are_read_as_they_are_said(volume_ml: float, system: System) -> None:
    said = measured(volume_ml, system)
    if said:
        read = understand(f"{said.text} water", NAMES, system).certain
        assert read is not None
        assert read.mass_g == pytest.approx(said.volume_ml, rel=1e-6)
    assert set(MEANS[system]) >= {"cup", "tbsp", "tsp", "pint", "qt"}


WORDS = st.sampled_from(
    [
        *("250", "g", "cream", "½", "1/2", "-", "to", "(", ")", "of", "juice", "2", "cup", "+"),
        *("and", "a", "dozen", "leaves", "1,200", "35 %", "×", "x", "to taste", ",", "butter"),
        *("tin", "large", "eggs", "half", "or", "/", "=", ".", "tbsp", "kg", "each", "²", "٣"),
    ]
)


@given(st.one_of(st.text(max_size=60), st.lists(WORDS, max_size=9).map(" ".join)), st.booleans())
def test_reading_never_fails_but_with_a_plain_sentence(line: str, begun: bool) -> None:
    try:
        read = understand(line, NAMES, begun=begun)
    except CoreError:
        return
    assert read.certain or read.asks
    if read.certain and not begun:
        assert read.certain.named.key in SLUGS
        assert read.certain.mass_g is not None
    holds_amount(line)


@given(st.integers(1, 5000), st.sampled_from([one for one in EVERY if one.of.density_g_ml]))
def test_ten_times_as_much_is_ten_times_as_heavy(grams: int, one: Named) -> None:
    for unit in ("g", "oz", "ml", "cups"):
        small, large = certain(f"{grams} {unit} {one.name}"), certain(f"{grams}0 {unit} {one.name}")
        assert small is not None
        assert large is not None
        assert large[1] == pytest.approx(10 * (small[1] or 0))


def test_a_role_is_found_whatever_it_is_called() -> None:
    milks = {"plant milk", "soya milk", "oat milk", "almond milk"}
    for name in milks:
        read = understand(f"100 g {name}", NAMES).certain
        assert read is not None
        assert role_of(read.named.of) is LineRole.MILK


def test_a_bare_number_of_what_is_not_counted_may_be_grams_and_is_asked() -> None:
    read = asked("250 cream")
    (only,) = read.choices
    assert (only.mass_g, only.measure) == (250, "g")
    assert "not counted in pieces" in read.asks
    (few,) = asked("3 mangoes").choices
    assert few.mass_g is None
