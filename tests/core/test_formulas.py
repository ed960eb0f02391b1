"""Percentages, losses, air, nesting, scaling and merged sheets."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import CoreError, FormulaCircle, MissingDensity, OutOfRange, UnknownKey
from fernbell.core.formulas import (
    Book,
    Formula,
    Line,
    Losses,
    Wanted,
    batch_working,
    factor_to_mass,
    factor_to_volume,
    line_working,
    percent_workings,
    read_formulas,
    refuse_circle,
    sheets,
    volume_working,
)
from fernbell.core.pantry import Ingredient, Piece
from tests.core.kitchen import BOOK

READ = read_formulas(BOOK, ["mousse", "glaze", "jelly", "riddle"])


def with_formulas(*formulas: Formula) -> Book:
    return Book(BOOK.ingredients, formulas)


class TestReadings:
    def test_percentages_refer_to_the_whole_or_to_the_base_line(self) -> None:
        lines = (Line("a", 50, "water"), Line("b", 150, "sugar"))
        whole = read_formulas(with_formulas(Formula("f", "F", lines)), ["f"])["f"]
        based = read_formulas(with_formulas(Formula("f", "F", lines, base_lines=("a",))), ["f"])[
            "f"
        ]
        assert whole.percents == (25, 75)
        assert based.percents == (100, 300)

    def test_losses_follow_one_another(self) -> None:
        # 200 g weighed, a tenth boils off, 5 % of the rest stays in the pan: 171 g.
        assert READ["glaze"].finished_g == pytest.approx(171)

    def test_volumes_add_and_air_is_kept_in_part(self) -> None:
        # Syrup 130 g in 50 + 50 = 100 ml. 100 g of it: 76.92 ml. Cream 200 ml + 200 ml gas,
        # of which 80 % stay: 160. 300 g / 436.92 ml = 0.68662.
        assert READ["syrup"].density_g_ml == pytest.approx(1.3)
        assert READ["mousse"].density_g_ml == pytest.approx(0.68662, abs=1e-5)

    def test_what_boils_off_is_water(self) -> None:
        # 200 g in 76.92 + 100 ml; 20 g boil off as 20 ml: 180 / 156.92.
        assert READ["glaze"].density_g_ml == pytest.approx(1.14706, abs=1e-5)

    def test_a_weighed_cup_replaces_the_computed_density(self) -> None:
        lines = (Line("a", 50, "mystery"),)
        known = Formula("f", "F", lines, measured_density_g_ml=0.5)
        outer = Formula("g", "G", (Line("a", 100, formula="f"), Line("b", 100, "water")))
        read = read_formulas(with_formulas(known, outer), ["g"])
        assert read["f"].density_g_ml == 0.5
        # 200 g in 200 + 100 ml, all of the lightness counted as substance, none as gas.
        assert read["g"].density_g_ml == pytest.approx(200 / 300)

    def test_an_unknown_density_stays_unknown_and_names_its_cause(self) -> None:
        assert READ["riddle"].density_g_ml is None
        assert READ["riddle"].without_density == ("Mystery powder",)

    def test_nested_equals_flattened(self) -> None:
        flat = Formula(
            "flat",
            "Flat",
            (
                Line("a", 100 * 50 / 130, "water"),
                Line("b", 100 * 80 / 130, "sugar"),
                Line("c", 200, "cream", overrun_percent=100),
            ),
        )
        read = read_formulas(with_formulas(flat), ["flat"])["flat"]
        assert read.density_g_ml == pytest.approx(READ["mousse"].density_g_ml)


def test_percentages_and_volume_tell_how_they_come_about() -> None:
    based = Formula("f", "F", (Line("a", 50, "water"), Line("b", 80, "sugar")), base_lines=("a",))
    book = with_formulas(based)
    reading = read_formulas(book, ["f"])["f"]
    water, sugar = percent_workings(book, reading)
    assert water.value == 100
    assert sugar.arithmetic == "100 × 80 / 50 = 160 %"
    # 130 g in 50 + 50 ml.
    assert volume_working(reading).value == pytest.approx(100)
    assert volume_working(READ["riddle"]) is None
    empty = read_formulas(with_formulas(Formula("f", "F", (Line("a", 0, "water"),))), ["f"])["f"]
    assert percent_workings(book, empty) == (None,)


class TestScaling:
    @given(st.floats(1, 1e6))
    def test_to_a_mass_and_to_a_volume(self, wanted: float) -> None:
        mousse = READ["mousse"]
        assert factor_to_mass(mousse, wanted) * mousse.finished_g == pytest.approx(wanted)
        assert mousse.density_g_ml is not None
        made = factor_to_volume(mousse, wanted) * mousse.finished_g / mousse.density_g_ml
        assert made == pytest.approx(wanted)

    def test_a_volume_needs_a_density(self) -> None:
        with pytest.raises(MissingDensity, match="Riddle"):
            factor_to_volume(READ["riddle"], 100)

    @pytest.mark.parametrize("wanted", [-1, math.nan, math.inf])
    def test_refuses_impossible_sizes(self, wanted: float) -> None:
        with pytest.raises(OutOfRange):
            factor_to_mass(READ["mousse"], wanted)

    def test_nothing_cannot_be_scaled(self) -> None:
        empty = read_formulas(with_formulas(Formula("f", "F")), ["f"])["f"]
        with pytest.raises(OutOfRange):
            factor_to_mass(empty, 100)


class TestCircles:
    def test_a_circle_is_refused_naming_the_way_round(self) -> None:
        book = with_formulas(
            Formula("a", "Anglaise", (Line("1", 1, formula="b"),)),
            Formula("b", "Base", (Line("1", 1, formula="c"),)),
            Formula("c", "Cream", (Line("1", 1, formula="a"),)),
        )
        with pytest.raises(FormulaCircle) as refusal:
            refuse_circle(book, "a")
        assert refusal.value.path == ("Anglaise", "Base", "Cream", "Anglaise")

    def test_the_same_formula_twice_is_no_circle(self) -> None:
        twice = Formula("t", "T", (Line("1", 1, formula="syrup"), Line("2", 2, formula="glaze")))
        refuse_circle(Book(BOOK.ingredients, (*BOOK.formulas, twice)), "t")

    def test_deep_nesting_is_read(self) -> None:
        chain = [Formula("f0", "F0", (Line("a", 1, "water"),))]
        chain += [
            Formula(f"f{i}", f"F{i}", (Line("a", 1, formula=f"f{i - 1}"),)) for i in range(1, 60)
        ]
        assert read_formulas(with_formulas(*chain), ["f59"])["f59"].density_g_ml == pytest.approx(1)

    def test_a_line_that_points_nowhere_is_refused(self) -> None:
        with pytest.raises(UnknownKey, match="gone"):
            read_formulas(with_formulas(Formula("f", "F", (Line("a", 1, formula="gone"),))), ["f"])


class TestEntries:
    def test_a_line_is_of_one_thing(self) -> None:
        with pytest.raises(CoreError):
            Line("a", 1)
        with pytest.raises(CoreError):
            Line("a", 1, "water", "syrup")

    @pytest.mark.parametrize("mass", [-0.1, math.nan, math.inf, 1e9])
    def test_impossible_grams_are_refused(self, mass: float) -> None:
        with pytest.raises(OutOfRange) as refusal:
            Line("a", mass, "water")
        assert refusal.value.field == "mass_g"

    @pytest.mark.parametrize("loss", [{"cooking_percent": 100}, {"pan_percent": -1}])
    def test_impossible_losses_are_refused(self, loss: dict) -> None:
        with pytest.raises(OutOfRange):
            Losses(**loss)

    def test_the_base_line_is_one_of_its_own(self) -> None:
        with pytest.raises(UnknownKey):
            Formula("f", "F", (Line("a", 1, "water"),), base_lines=("z",))


class TestSheets:
    def test_one_sheet_a_formula_in_the_order_of_making(self) -> None:
        readings = read_formulas(BOOK, ["mousse", "glaze"])
        made = sheets(BOOK, readings, [Wanted("mousse", 600, "fill"), Wanted("glaze", 171, "coat")])
        assert [sheet.name for sheet in made] == ["Syrup", "Mousse", "Glaze"]
        syrup = made[0]
        # 200 g for 600 g of mousse, 100 g for one batch of glaze.
        assert {use.purpose: round(use.mass_g, 6) for use in syrup.uses} == {
            "Mousse": 200,
            "Glaze": 100,
        }
        assert syrup.finished_g == pytest.approx(300)

    def test_demands_for_one_formula_are_merged(self) -> None:
        readings = read_formulas(BOOK, ["jelly"])
        made = sheets(BOOK, readings, [Wanted("jelly", 100, "a"), Wanted("jelly", 103, "b")])
        assert len(made) == 1
        assert made[0].factor == pytest.approx(2)
        assert [line.mass_g for line in made[0].lines] == [200, 3.0]

    def test_a_formula_that_weighs_nothing_has_no_sheet(self) -> None:
        book = with_formulas(Formula("f", "F", (Line("a", 0, "water"),)))
        assert sheets(book, read_formulas(book, ["f"]), [Wanted("f", 10, "x")]) == ()

    def test_a_line_tells_how_it_came_about(self) -> None:
        made = sheets(BOOK, read_formulas(BOOK, ["jelly"]), [Wanted("jelly", 203, "a")])[0]
        working = line_working(made, made.lines[1])
        assert working.value == 3.0
        assert "1.5 × 2 = 3" in working.arithmetic
        assert working.steps[0].value == pytest.approx(2)


def test_pieces_are_counted_beside_the_grams() -> None:
    egg = Ingredient("egg", "Egg", 1.03, pieces=(Piece("egg", 50),))
    book = Book((egg,), (Formula("f", "F", (Line("a", 100, "egg"),)),))
    made = sheets(book, read_formulas(book, ["f"]), [Wanted("f", 250, "x")])[0]
    assert made.lines[0].pieces == (("egg", 5.0),)


def test_a_weighed_line_counts_its_pieces_in_the_working() -> None:
    egg = Ingredient("egg", "Egg", 1.03, pieces=(Piece("egg", 50),))
    book = Book((egg,), (Formula("f", "F", (Line("a", 100, "egg"),)),))
    made = sheets(book, read_formulas(book, ["f"]), [Wanted("f", 250, "x")])[0]
    assert "250 / 50 = 5 × egg" in line_working(made, made.lines[0]).arithmetic


def test_the_batch_tells_how_far_rounding_moved_it() -> None:
    made = sheets(BOOK, read_formulas(BOOK, ["jelly"]), [Wanted("jelly", 150.3, "a")])[0]
    # 148.07 + 2.22: weighed as 148 and 2.2.
    working = batch_working(made)
    assert working.arithmetic == "148 + 2.2 = 150.2 g"
    assert working.given[0].value == pytest.approx(150.3)
    assert working.given[1].value == pytest.approx(-0.1)


class TestLightness:
    """A weighed cup lighter than the sum of its parts: air, where air was beaten in."""

    def fold_into_water(self, *, whipped: bool) -> float:
        foam = Formula(
            "foam",
            "Foam",
            (Line("a", 100, "cream", overrun_percent=100 if whipped else 0),),
            measured_density_g_ml=0.5,
        )
        outer = Formula("o", "O", (Line("a", 100, formula="foam"), Line("b", 100, "water")))
        density = read_formulas(with_formulas(foam, outer), ["o"])["o"].density_g_ml
        assert density is not None
        return density

    def test_a_foam_loses_air_when_it_is_folded(self) -> None:
        # 100 ml of substance and 100 of gas, 80 kept: 200 g in 280 ml.
        assert self.fold_into_water(whipped=True) == pytest.approx(200 / 280)

    def test_a_porous_thing_keeps_its_volume(self) -> None:
        assert self.fold_into_water(whipped=False) == pytest.approx(200 / 300)
