"""Pasted lists, line by line; molds by the water they hold."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.desserts import RULES, usual_kind
from fernbell.core.errors import NotUnderstood, OutOfRange
from fernbell.core.formulas import KINDS, usual_rule
from fernbell.core.measures import folded, read_amount, read_list
from fernbell.core.molds import Frame, Gutter, Ring, trued, water_working
from fernbell.core.pantry import read_densities
from tests.core.solids import DOME


@pytest.mark.parametrize(
    ("line", "value", "unit", "name"),
    [
        ("250 g cream", 250, "g", "cream"),
        ("- 250 g cream", 250, "g", "cream"),
        ("3. 1 1/2 cups milk", 1.5, "cups", "milk"),
        ("½ tsp vanilla", 0.5, "tsp", "vanilla"),
        ("Cream: 250 g", 250, "g", "Cream"),
        ("Butter, cold 80 g", 80, "g", "Butter, cold"),
        ("Cream 30: 250 g", 250, "g", "Cream 30"),
        ("Cream 30 % 250 g", 250, "g", "Cream 30 %"),
        ("Cream\t250", 250, "grams", "Cream"),
        ("Cream 35 %\t1 250\t41.0", 1250, "grams", "Cream 35 %"),
        ("Cream;1.5;kg", 1.5, "kg", "Cream"),
        ("250\tg\tCream", 250, "g", "Cream"),
        ("Cream | 250 g", 250, "g", "Cream"),
        ("2;leaves;gelatin", 2, "", "leaves gelatin"),
        ("3 eggs", 3, "", "eggs"),
    ],
)
def test_lines_of_many_hands_are_understood(line: str, value: float, unit: str, name: str) -> None:
    (read,) = read_list(line)
    assert read.amount is not None, read.refusal
    assert (read.amount.value, read.amount.name) == (value, name)
    assert read.amount.unit in {unit, "g"} if unit == "grams" else read.amount.unit == unit


def test_headings_and_sums_are_passed_over_and_what_is_missing_is_said() -> None:
    read = read_list("Barley mousse\nIngredient\tkg\nMilk\t1.2\nFor the syrup:\nsalt\nTotal\t3")
    assert [line.heading for line in read] == [True, True, False, True, False, True]
    assert (read[2].amount.value, read[2].amount.unit) == (1.2, "kg")
    assert read[4].refusal == "no amount"


def test_a_number_that_may_be_a_thousand_is_not_guessed() -> None:
    (read,) = read_list("1,200 g flour")
    assert read.amount is None
    assert "1200 or as 1.200" in read.refusal
    (read,) = read_list("Milk 1 250 g")
    assert read.amount is None
    assert "written as 1250, or apart by a colon" in read.refusal
    with pytest.raises(NotUnderstood):
        read_amount("12,500 g flour")
    assert read_amount("0,125 g salt").value == 0.125


def test_a_list_longer_than_any_formula_is_refused() -> None:
    with pytest.raises(NotUnderstood, match="at most 300 lines"):
        read_list("1 g salt\n" * 301)
    with pytest.raises(NotUnderstood, match="at most 300 lines"):
        read_densities("salt\n" * 301)


@given(st.text(max_size=200))
def test_whatever_is_pasted_is_answered_line_by_line(text: str) -> None:
    read = read_list(text)
    assert len(read) == len([line for line in text.splitlines() if line.strip()])
    for line in read:
        assert (line.amount is None) == bool(line.refusal)


@given(st.integers(1, 9999), st.sampled_from(["Cream", "Milk, whole", "Brown sugar"]))
def test_a_table_reads_the_same_whichever_column_comes_first(grams: int, name: str) -> None:
    (first,), (second,) = read_list(f"{name}\t{grams}\tg"), read_list(f"{grams}\tg\t{name}")
    assert first.amount == second.amount


@pytest.mark.parametrize(
    ("line", "name", "density"),
    [
        ("Medlar pulp\t1.06", "Medlar pulp", 1.06),
        ("Medlar pulp, 1,06", "Medlar pulp", 1.06),
        ("Medlar pulp: 1.06 g/ml", "Medlar pulp", 1.06),
        ("Cream, 35 %", "Cream, 35 %", None),
        ("Wild thyme", "Wild thyme", None),
    ],
)
def test_ingredients_are_read_with_their_density(
    line: str, name: str, density: float | None
) -> None:
    (read,) = read_densities(line)
    assert (read.name, read.density_g_ml, read.refusal) == (name, density, "")


def test_what_is_no_ingredient_is_said() -> None:
    read = read_densities("Lead, 99\n12\nThyme\nthyme\n" + "x" * 130)
    assert "at most 25 g/ml" in read[0].refusal
    assert "needs a name" in read[1].refusal
    assert read[2].refusal == ""
    assert "already" in read[3].refusal
    assert "120 letters" in read[4].refusal


def test_names_are_compared_without_accents_and_case() -> None:
    assert folded("Crème FRAÎCHE") == "creme fraiche"


# By hand: pi/4 x 20² x 4.5 = 1413.7 ml. 1343 g of water is 5.0 % less, so across 200 x sqrt(0.95).
def test_the_water_gives_the_true_width_and_the_height_is_kept() -> None:
    ring = trued(Ring(200, 45), 1343)
    assert ring.capacity_ml == pytest.approx(1343)
    assert ring.height_mm == 45
    assert ring.diameter_mm == pytest.approx(194.93, abs=0.01)
    assert water_working(Ring(200, 45), 1343).value == pytest.approx(-5.0, abs=0.01)


@given(st.floats(60, 400), st.floats(60, 400), st.floats(20, 100), st.floats(0, 1))
def test_a_frame_holds_its_water_and_keeps_its_proportions(
    length: float, width: float, height: float, share: float
) -> None:
    frame = Frame(length, width, height, min(length, width) / 4)
    water = frame.capacity_ml * (0.65 + 0.7 * share)
    true = trued(frame, water)
    assert true.capacity_ml == pytest.approx(water)
    assert true.length_mm / true.width_mm == pytest.approx(length / width)


def test_a_mold_nobody_weighed_is_as_printed() -> None:
    assert trued(Ring(200, 45), None) == Ring(200, 45)


@pytest.mark.parametrize("water", [0, 200, 5000, float("nan")])
def test_water_that_cannot_be_in_it_is_refused(water: float) -> None:
    with pytest.raises(OutOfRange, match=r"between 848\.2 and 1 979") as refusal:
        trued(Ring(200, 45), water)
    assert refusal.value.field == "water_g"


def test_molds_are_called_by_their_size() -> None:
    assert Ring(200, 45).size_words() == "Ø 20 cm"
    assert Frame(570, 370, 40).size_words() == "57 × 37 cm"
    assert Gutter(500, 80, 60).size_words() == "50 × 8 cm"
    assert DOME.size_words() == "Ø 12 cm"


def test_every_kind_does_something_a_dessert_knows() -> None:
    known = {rule.words.rule for rule in RULES}
    assert {rule for kind in KINDS.values() for rule in kind.does} == known
    assert usual_rule("mousse") == "fill"
    assert usual_rule("soup") == ""
    assert all(rule in KINDS[usual_kind(rule)].does for rule in known)
    assert usual_kind("soup") == ""
