"""Cups, spoons, eggs and leaves: read, said, and said back."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import CoreError, NotUnderstood
from fernbell.core.formulas import Book, Formula, Line, Wanted, egg_account, read_formulas, sheets
from fernbell.core.measures import Amount, System, measured, millilitres, read_amount
from fernbell.core.pantry import (
    EggPart,
    Ingredient,
    Piece,
    State,
    mass_of_amount,
    said_in_kitchen,
)
from tests.core.test_arithmetic import check

WATER = Ingredient("water", "Water", 1.0)
FLOUR = Ingredient("flour", "Flour", 1.45, 0.53, states=(State("sifted", 0.46),))
HONEY = Ingredient("honey", "Honey", 1.42)
LEAF = Ingredient(
    "leaf", "Leaf gelatin", pieces=(Piece("leaf, gold", 2.0), Piece("leaf, silver", 2.5))
)


def grams(text: str, own: Ingredient = WATER, system: System = System.METRIC) -> float:
    return mass_of_amount(own, read_amount(text), system)


# Definitions: US cup 236.588 ml, spoons 14.787 and 4.929; metric 250, 15, 5; imperial cup
# 284.131; Australian tablespoon 20.
@pytest.mark.parametrize(
    ("text", "system", "ml"),
    [
        ("1 cup water", System.US, 236.588),
        ("1 cup water", System.METRIC, 250),
        ("1 cup water", System.IMPERIAL, 284.131),
        ("1 cup water", System.AUSTRALIAN, 250),
        ("1 tbsp water", System.AUSTRALIAN, 20),
        ("1 tbsp water", System.METRIC, 15),
        ("1 fl oz water", System.US, 29.5735),
        ("1 fl oz water", System.IMPERIAL, 28.4131),
        ("1 us fl oz water", System.IMPERIAL, 29.5735),
        ("2 imperial fl oz water", System.US, 56.8261),
        ("1 us cup water", System.AUSTRALIAN, 236.588),
        ("1 imperial cup water", System.US, 284.131),
        ("1 1/2 cups + 2 tbsp + 1 tsp water", System.US, 389.385),
        ("1½ cups + 2 tbsp water", System.METRIC, 405),
    ],
)
def test_a_cup_is_the_cup_of_its_country(text: str, system: System, ml: float) -> None:
    assert grams(text, WATER, system) == pytest.approx(ml, rel=1e-4)


def test_a_sifted_cup_is_lighter_and_pieces_go_by_their_name() -> None:
    assert grams("1 cup flour", FLOUR) == pytest.approx(132.5)
    assert grams("1 cup sifted flour", FLOUR) == pytest.approx(115)
    assert grams("1 cup flour, sifted", FLOUR) == pytest.approx(115)
    assert grams("2 leaves gelatin, silver", LEAF) == 5.0
    assert grams("2 leaves gelatin", LEAF) == 4.0


@given(st.floats(0.7, 40_000), st.sampled_from(System))
def test_what_is_printed_reads_back_as_the_same_measure(volume: float, system: System) -> None:
    measure = measured(volume, system)
    assert measure is not None
    assert grams(f"{measure.text} water", WATER, system) == pytest.approx(measure.volume_ml)
    # Never further off than a quarter of a teaspoon or 5 %.
    assert abs(measure.volume_ml - volume) <= max(0.05 * volume, millilitres(0.13, "teaspoon"))


@pytest.mark.parametrize(
    ("volume", "system", "text"),
    [
        (250, System.METRIC, "1 cup"),
        (500, System.METRIC, "2 cups"),
        (59.15, System.US, "¼ cup"),
        (15, System.METRIC, "1 tbsp"),
        (1.25, System.METRIC, "¼ tsp"),
        (375, System.AUSTRALIAN, "1½ cups"),
    ],
)
def test_round_measures_are_said_roundly(volume: float, system: System, text: str) -> None:
    assert measured(volume, system).text == text


def test_nothing_is_said_of_less_than_a_pinch() -> None:
    assert measured(0.2, System.US) is None
    assert measured(0, System.US) is None


# K-P03 of the outside checks: 3/4 US cup of honey at 1.42 g/ml is 251.97 g.
def test_grams_are_said_in_cups_with_their_working() -> None:
    said = said_in_kitchen(HONEY, 251.97, System.US)
    assert said.text == "¾ cup"
    check(said.working)
    assert said_in_kitchen(FLOUR, 115, System.METRIC).text == "1 cup, sifted"
    assert said_in_kitchen(LEAF, 7.0, System.US).text == "3.5 × leaf, gold"
    assert said_in_kitchen(Ingredient("x", "X"), 10, System.US) is None


@pytest.mark.parametrize(
    ("text", "says"),
    [
        ("2 cupps of cream", "cup"),
        ("2 cupps cream", "cup"),
        ("1 tablespon of honey", "tablespoon"),
        ("-3 g cream", "more than 0"),
        ("1/0 cup cream", "fraction"),
        ("3 cups", "of what"),
    ],
)
def test_a_slip_is_refused_with_what_was_meant(text: str, says: str) -> None:
    with pytest.raises(NotUnderstood, match=says):
        read_amount(text)


def test_names_that_look_like_measures_are_names() -> None:
    assert read_amount("3 limes") == Amount(3, "", "limes")
    assert read_amount("100 g stock") == Amount(100, "g", "stock")
    assert read_amount("2 cups of coffee") == Amount(2, "cups", "coffee")


YOLK = Ingredient("yolk", "Yolk", 1, pieces=(Piece("yolk", 18),), egg=EggPart.YOLK)
WHITE = Ingredient("white", "White", 1, pieces=(Piece("white", 34),), egg=EggPart.WHITE)
EGG = Ingredient("egg", "Egg", 1, pieces=(Piece("egg", 52),), egg=EggPart.WHOLE)


def test_yolks_and_whites_come_from_the_same_eggs() -> None:
    # 5 yolks and 2 whites: five eggs, three whites of 34 g left.
    account = egg_account([(YOLK, 90), (WHITE, 68)])
    assert account.cracked == 5
    assert [(one.part, one.count, one.working.value) for one in account.left] == [("white", 3, 102)]
    assert egg_account([(EGG, 104), (YOLK, 90)]).cracked == 7
    # Yolks alone: five whites of 18 x 0.58 / 0.31 g are left (shares: common practice).
    (left,) = egg_account([(YOLK, 90)]).left
    check(left.working)
    assert left.working.value == pytest.approx(5 * 18 * 0.58 / 0.31)
    assert egg_account([(WATER, 100)]) is None


def sheet_of(whole: bool, wanted: float) -> object:
    own = Formula(
        "f",
        "F",
        (Line("e", 104, "egg"), Line("y", 36, "yolk"), Line("w", 200, "water")),
        whole_eggs=whole,
    )
    book = Book((WATER, EGG, YOLK), (own,))
    return sheets(book, read_formulas(book, ["f"]), [Wanted("f", wanted, "test")])[0]


@given(st.floats(100, 5000))
def test_eggs_kept_whole_are_whole_and_enough(wanted: float) -> None:
    sheet = sheet_of(True, wanted)
    eggs, yolks, water = sheet.lines
    assert eggs.mass_g / 52 == pytest.approx(round(eggs.mass_g / 52))
    assert yolks.mass_g / 18 == pytest.approx(round(yolks.mass_g / 18))
    assert sheet.spare_g >= -0.021 * wanted
    # What is not of an egg keeps its proportion to the eggs.
    assert water.mass_g == pytest.approx(200 * eggs.mass_g / 104, abs=0.6)


def test_less_than_an_egg_is_one_egg() -> None:
    # 20 g of 340 with two eggs are an eighth of one; of a yolk a whole one is cracked too.
    assert sheet_of(True, 20).lines[0].mass_g == 52


def test_weighed_eggs_follow_the_factor() -> None:
    sheet = sheet_of(False, 500)
    assert sheet.lines[0].mass_g == pytest.approx(104 * 500 / 340, abs=1)
    assert sheet.spare_g == 0


@pytest.mark.parametrize("value", [float("nan"), float("inf"), -1.0])
def test_a_volume_that_is_none_is_refused(value: float) -> None:
    with pytest.raises(CoreError):
        measured(value, System.US)
