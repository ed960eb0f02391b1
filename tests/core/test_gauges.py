"""Readings of a formula: by hand, unchanged by scale, with remedies that mend."""

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.families import judge_steps
from fernbell.core.findings import Severity
from fernbell.core.formulas import (
    Book,
    Character,
    CookedTo,
    Formula,
    Gauge,
    Line,
    Losses,
    Step,
    Until,
    brought_by,
    characterize,
    compare,
    compose,
    read_formulas,
    settled,
)
from fernbell.core.formulas.windows import WINDOWS
from fernbell.core.heat import water_left
from fernbell.core.heat.solutions import solution
from fernbell.core.pantry import (
    Chocolate,
    ChocolateKind,
    EggPart,
    Ingredient,
    MakeUp,
    Piece,
    completed,
)
from fernbell.demo.book import demo_book
from fernbell.demo.formulas import FORMULAS
from fernbell.starter.pantry import STOCKS
from tests.core.test_arithmetic import check


def of(**known: object) -> MakeUp:
    return completed(MakeUp(**known))


COMPOUND = Chocolate(ChocolateKind.COMPOUND, 18)
DARK = Chocolate(ChocolateKind.DARK, 66)
PANTRY = (
    Ingredient("water", "Water", 1, make_up=of(water=100), price_per_kg=0, allergens=()),
    Ingredient("sugar", "Sugar", 1.59, make_up=of(sucrose=100), price_per_kg=1.2, allergens=()),
    Ingredient(
        "cream",
        "Cream",
        1,
        make_up=of(water=59, milk_fat=35, lactose=3.5, protein=2.5),
        price_per_kg=5,
        allergens=("milk",),
    ),
    Ingredient(
        "dark",
        "Dark couverture",
        1.28,
        make_up=of(water=1, sucrose=33, cocoa_butter=39, cocoa_solids=27),
        price_per_kg=14,
        allergens=("soybeans",),
        chocolate=DARK,
    ),
    Ingredient(
        "coating", "Compound", 1.26, make_up=of(sucrose=60, other_fat=40), chocolate=COMPOUND
    ),
    Ingredient(
        "gelatin",
        "Gelatin",
        1.35,
        weigh_step_g=0.1,
        make_up=of(water=12.5, gelatin=87.5, bloom=160),
    ),
    Ingredient("nameless", "Nameless gelatin", make_up=of(water=12.5, gelatin=87.5)),
    Ingredient("mystery", "Mystery"),
    Ingredient(
        "yolk",
        "Yolk",
        1.03,
        pieces=(Piece("yolk", 18),),
        make_up=of(water=50, other_fat=34, protein=16),
        allergens=("eggs",),
        egg=EggPart.YOLK,
    ),
)


def formula(*lines: tuple[str, float], **rest: object) -> Formula:
    return Formula("f", "F", tuple(Line(key, grams, key) for key, grams in lines), **rest)


def read(own: Formula, kind: str = "", steps: tuple[Step, ...] = (), **rest: object) -> Character:
    return characterize(settled(Book(PANTRY, (own,)), ["f"]), "f", kind, steps, **rest)


def gauge(own: Character, code: str) -> Gauge:
    return next(one for one in own.gauges if one.code == code)


# By hand: 100 g couverture and 100 g cream: (39 + 27) / (1 + 59) = 1.1; a usual dark holds 65 of
# cocoa, and of what is more 0.4 counts: 1.1 x (65 / 66)^0.6 = 1.09; fat (39 + 35) / 60.
def test_set_number_and_fat_to_water_of_a_ganache() -> None:
    own = read(formula(("dark", 100), ("cream", 100)))
    assert gauge(own, "set-number").working.value == pytest.approx(1.1 * (65 / 66) ** 0.6)
    assert gauge(own, "fat-water").working.value == pytest.approx(74 / 60)


# By hand: 20 g sugar and 3.5 g lactose at 0.2 in 120 g: 20.7 / 120.
def test_sweetness_beside_sucrose() -> None:
    own = read(formula(("sugar", 20), ("cream", 100)))
    assert gauge(own, "sweetness").working.value == pytest.approx(100 * 20.7 / 120)


# By hand: 5 g of 160 bloom, as sold, on 100.625 g water: linear 5 x 0.8 = 4; root 5 x 0.8944.
def test_gelatin_by_both_schools_on_water_and_whole() -> None:
    own = read(formula(("gelatin", 5), ("water", 100), ("sugar", 45)))
    water = gauge(own, "gelatin-water")
    assert water.working.value == pytest.approx(100 * 4.4721 / 100.625, rel=1e-3)
    assert water.other.value == pytest.approx(100 * 4 / 100.625, rel=1e-3)
    assert gauge(own, "gelatin-whole").other.value == pytest.approx(100 * 4 / 150, rel=1e-3)


# By hand: 20 x 4 + 35 x 9 + 3.5 x 4 + 2.5 x 4 kcal; 20 x 17 + 35 x 37 + 6 x 17 kJ, in 120 g.
def test_energy_in_kcal_and_kj_each_from_the_components() -> None:
    energy = gauge(read(formula(("sugar", 20), ("cream", 100))), "energy")
    assert energy.working.value == pytest.approx(100 * 419 / 120)
    assert energy.other.value == pytest.approx(100 * 1737 / 120)


# By hand: 0.1 kg x 5 + 0.02 kg x 1.2 = 0.524 for 120 g weighed, of which 60 % arrive.
def test_cost_counts_what_is_lost() -> None:
    own = formula(("sugar", 20), ("cream", 100), losses=Losses(20, pan_percent=25))
    cost = gauge(read(own, currency="EUR"), "cost")
    assert cost.other.value == pytest.approx(0.524)
    assert cost.working.value == pytest.approx(100 * 0.524 / 72)
    assert cost.working.unit == "EUR in 100 g"


def test_every_working_says_its_arithmetic() -> None:
    own = read(formula(("dark", 100), ("cream", 100), ("gelatin", 2), ("sugar", 10)))
    for one in own.gauges:
        if one.working:
            assert one.valid
            assert one.working.source
            if one.code in ("set-number", "fat-water", "energy", "sweetness", "ice"):
                check(one.working)


def test_an_unknown_make_up_price_or_kind_is_unknown_and_says_whose() -> None:
    own = read(formula(("cream", 100), ("mystery", 5), ("nameless", 2)))
    for code in ("water-activity", "sweetness", "energy", "freezes"):
        assert gauge(own, code).working is None
        assert "Mystery" in gauge(own, code).needs
    assert gauge(own, "gelatin-whole").needs == ("Mystery", "Nameless gelatin")
    assert gauge(own, "cost").needs == ("Mystery", "Nameless gelatin")
    assert own.declared.unknown == ("Mystery", "Nameless gelatin")


def test_allergens_come_in_the_order_of_the_annex_with_their_ingredients() -> None:
    own = read(formula(("dark", 10), ("cream", 10), ("yolk", 10)))
    assert list(own.declared.contains) == ["eggs", "soybeans", "milk"]
    assert own.declared.contains["milk"] == ("Cream",)


GRAMS = st.floats(1, 2000)


@settings(deadline=None)
@given(GRAMS, GRAMS, GRAMS, st.floats(0.05, 50))
def test_readings_do_not_change_with_scale(a: float, b: float, c: float, factor: float) -> None:
    lines = (("sugar", a), ("cream", b), ("dark", c))
    small = read(formula(*lines))
    large = read(formula(*((key, grams * factor) for key, grams in lines)))
    for one, other in zip(small.gauges, large.gauges, strict=True):
        assert (one.working is None) == (other.working is None)
        if one.working:
            assert other.working.value == pytest.approx(one.working.value, rel=1e-6, abs=1e-6)


@settings(deadline=None)
@given(GRAMS, GRAMS, GRAMS)
def test_nested_equals_flattened(a: float, b: float, c: float) -> None:
    inner = Formula("inner", "Inner", (Line("x", a, "cream"), Line("y", b, "dark")))
    outer = Formula("f", "F", (Line("n", a + b, formula="inner"), Line("s", c, "sugar")))
    nested = characterize(Book(PANTRY, (inner, outer)), "f")
    flat = read(formula(("cream", a), ("dark", b), ("sugar", c)))
    for one in flat.gauges:
        if one.working:
            own = gauge(nested, one.code).working.value
            assert own == pytest.approx(one.working.value, rel=1e-6, abs=1e-6)


# Syrups cooked until a sign: the thermometer, the refractometer, the scale.
def test_a_syrup_cooked_to_a_temperature_keeps_its_sugar_and_loses_water() -> None:
    losses = Losses(50, cooked_to=CookedTo(Until.TEMPERATURE, 118))
    own = read(formula(("sugar", 1000), ("water", 350), losses=losses))
    # 118 °C is 87.1 % sucrose on the curve: 148.4 g water are left, 201.6 of 1350 g cook off.
    assert own.composition.grams["sucrose"] == 1000
    assert own.composition.grams["water"] == pytest.approx(148.4, abs=0.5)
    assert own.reading.finished_g == pytest.approx(1148.4, abs=0.5)
    assert own.composition.cooking.working.value == pytest.approx(100 * 201.6 / 1350, abs=0.05)
    check(own.composition.cooking.working)


def test_higher_up_the_same_temperature_leaves_less_water() -> None:
    losses = Losses(cooked_to=CookedTo(Until.TEMPERATURE, 110))
    book = Book(PANTRY, (formula(("sugar", 500), ("water", 400), losses=losses),))
    water = [
        compose(book, ["f"], altitude_m=altitude)["f"].grams["water"] for altitude in (0, 1500)
    ]
    assert water[0] == pytest.approx(water_left(solution(0, {"sucrose": 500}), 110))
    assert water[1] < 0.75 * water[0]


def test_brix_and_weight_are_mass_balances() -> None:
    by_brix = read(
        formula(("sugar", 300), ("water", 700), losses=Losses(cooked_to=CookedTo(Until.BRIX, 60)))
    )
    assert by_brix.composition.mass_g == pytest.approx(500)
    by_weight = read(
        formula(
            ("sugar", 300), ("water", 700), losses=Losses(cooked_to=CookedTo(Until.WEIGHT, 640))
        )
    )
    assert by_weight.composition.grams["water"] == pytest.approx(340)
    for own in (by_brix, by_weight):
        check(own.composition.cooking.working)


@pytest.mark.parametrize(
    ("lines", "sign", "says"),
    [
        ((("sugar", 900), ("water", 100)), CookedTo(Until.BRIX, 60), "stronger than 60 °Bx"),
        ((("cream", 100), ("mystery", 5)), CookedTo(Until.TEMPERATURE, 106), "make-up"),
        ((("sugar", 10), ("water", 90)), CookedTo(Until.TEMPERATURE, 90), "at least"),
        ((("water", 90),), CookedTo(Until.TEMPERATURE, 110), "nothing is dissolved"),
    ],
)
def test_a_sign_that_cannot_be_followed_is_said(lines, sign: CookedTo, says: str) -> None:
    own = read(formula(*lines, losses=Losses(5, cooked_to=sign)))
    assert says in own.composition.cooking.refusal
    assert "cooking-sign" in {one.finding.code for one in own.judged}


def test_what_a_dessert_weighs_follows_the_thermometer() -> None:
    losses = Losses(cooked_to=CookedTo(Until.TEMPERATURE, 118), pan_percent=10)
    plain = Book(PANTRY, (formula(("sugar", 1000), ("water", 350), losses=losses),))
    finished = read_formulas(settled(plain, ["f"]), ["f"])["f"].finished_g
    assert finished == pytest.approx(0.9 * 1148.4, abs=0.5)


@pytest.mark.parametrize(
    ("kind", "own", "code"),
    [
        ("mousse", formula(("cream", 300), ("sugar", 60), ("gelatin", 1)), "gelatin-water"),
        ("mousse", formula(("cream", 300), ("sugar", 60), ("gelatin", 9)), "gelatin-water"),
        ("ganache", formula(("dark", 100), ("cream", 200)), "set-number"),
        ("ganache", formula(("dark", 400), ("cream", 100)), "set-number"),
        ("custard", formula(("cream", 100), ("sugar", 50)), "sweetness"),
        ("glaze", formula(("sugar", 100), ("water", 120), losses=Losses(5)), "solids"),
        (
            "caramel",
            formula(
                *(("sugar", 200), ("cream", 200), ("water", 50)),
                losses=Losses(cooked_to=CookedTo(Until.TEMPERATURE, 101.5)),
            ),
            "water",
        ),
    ],
)
def test_a_remedy_brings_the_reading_into_its_window(kind: str, own: Formula, code: str) -> None:
    before = read(own, kind)
    found = next(one for one in before.judged if one.finding.code == f"reading-{code}")
    assert found.mend is not None
    assert found.mend.says in found.finding.remedy
    if found.mend.line:
        lines = tuple(
            replace(line, mass_g=found.mend.mass_g) if line.key == found.mend.line else line
            for line in own.lines
        )
        mended = replace(own, lines=lines)
    elif found.mend.cooked_to:
        mended = replace(own, losses=replace(own.losses, cooked_to=found.mend.cooked_to))
    else:
        share = found.mend.cooking_percent
        mended = replace(own, losses=replace(own.losses, cooking_percent=share))
    assert gauge(read(mended, kind), code).verdict == "within"


def test_compound_is_told_apart_from_couverture() -> None:
    def says(kind: str, *lines: tuple[str, float], stage: str = "temper") -> set[str]:
        judged = read(formula(*lines), kind, (Step("Warm it.", stage=stage),)).judged
        return {one.finding.message for one in judged}

    assert "Compound is not tempered." in says("chocolate", ("coating", 100))
    assert says("chocolate", ("coating", 100), stage="melt") == set()
    assert "Compound and couverture in one pot." in says("", ("coating", 100), ("dark", 100))
    assert not {say for say in says("chocolate", ("dark", 100)) if "Compound" in say}


def test_what_is_not_cooked_is_not_mended_by_cooking() -> None:
    judged = read(formula(("sugar", 600), ("water", 400)), "caramel").judged
    mends = [found.mend for found in judged if found.mend]
    assert mends
    assert all(mend.cooking_percent is None and mend.cooked_to is None for mend in mends)


def test_revisions_set_the_same_thing_beside_itself_bought_or_made() -> None:
    base, glaze = (Formula(key, key, (Line("l", 9, "sugar"),)) for key in ("base", "glaze"))
    before = Formula("f", "F", (Line("a", 10, formula="base"), Line("b", 20, formula="glaze")))
    after = replace(before, lines=(*before.lines[1:], Line("c", 5, "sugar"), Line("d", 6, "sugar")))
    states = [characterize(Book(PANTRY, (base, glaze, own)), "f") for own in (before, after)]
    lines = {(pair.name, pair.before_g, pair.after_g) for pair in compare(*states).lines}
    assert lines == {
        ("base", 10, None),
        ("glaze", 20, 20),
        ("Sugar", None, 5),
        ("Sugar", None, 6),
    }


def test_revisions_set_each_reading_beside_itself() -> None:
    dark, thin = (formula(("dark", 100), ("cream", cream)) for cream in (100, 200))
    before, after = read(dark, "ganache"), read(thin, "ganache")
    pairs = {pair.name: pair for pair in compare(before, after).gauges}
    water = pairs["Water"]
    assert water.before == gauge(before, "water").working
    assert water.after == gauge(after, "water").working
    assert water.moved
    assert {pair.name for pair in compare(before, before).gauges if pair.moved} == set()
    # A gelatin reading stands on one side only, and is told all the same.
    set_with = read(formula(("dark", 100), ("cream", 100), ("gelatin", 2)), "ganache")
    only = {p.name for p in compare(before, set_with).gauges if p.before is None and p.moved}
    assert only


def test_compound_in_a_ganache_is_judged_by_its_figures_and_beside_couverture_cautioned() -> None:
    def said(*lines: tuple[str, float]) -> dict[str, Severity]:
        judged = read(formula(*lines), "ganache").judged
        return {one.finding.code: one.finding.severity for one in judged}

    assert "compound" not in said(("coating", 100), ("cream", 30))
    assert said(("coating", 100), ("dark", 100), ("cream", 60))["compound"] is Severity.CAUTION


def test_what_a_thing_brings_are_shares_of_its_mass() -> None:
    assert brought_by(of(water=100)).shares == {"water": 1}
    cream = brought_by(of(water=59, milk_fat=35, lactose=3.5, protein=2.5))
    assert sum(cream.shares.values()) == pytest.approx(1)
    assert cream.unknown == 0
    half = brought_by(MakeUp(water=50))
    assert half.shares == {"water": 0.5}
    assert half.unknown == pytest.approx(0.5)


@pytest.mark.parametrize(
    ("steps", "raw"),
    [
        ((Step("Pasteurized yolks whisked in.", stage="mix"),), False),
        ((Step("Unpasteurized yolks whisked in.", stage="mix"),), True),
        ((Step("Yolks in.", stage="mix"), Step("Pasteurized whites in.", stage="fold")), True),
        ((Step("Yolks in.", stage="mix"), Step("Cook.", stage="cook", temperature_c=83)), False),
        ((Step("Cook.", stage="cook", temperature_c=83), Step("Yolks in.", stage="mix")), True),
    ],
)
def test_egg_is_pasteurized_only_where_the_step_it_goes_in_at_says_so(
    steps: tuple[Step, ...], *, raw: bool
) -> None:
    yolk = Formula("f", "F", (Line("y", 50, "yolk", stage="mix"), Line("c", 200, "cream")))
    said = {one.finding.code for one in read(yolk, "cream", steps).judged}
    assert ("raw-egg" in said) is raw


def test_raw_egg_is_said_until_a_step_heats_it() -> None:
    own = formula(("yolk", 50), ("cream", 200))
    raw = read(own, "cream", (Step("Whisk."),))
    cooked = read(own, "cream", (Step("Stir.", temperature_c=83),))
    said = {one.finding.code: one.finding for one in raw.judged}
    # The pair of USDA FSIS for sugared yolk, from memory.
    assert "63.3 °C held 3.5 min" in said["raw-egg"].remedy
    assert "raw-egg" not in {one.finding.code for one in cooked.judged}


def test_an_egg_that_goes_in_nobody_knows_when_is_heated_by_any_step() -> None:
    own = formula(("yolk", 50), ("cream", 200))
    steps = (Step("Cook.", temperature_c=83), Step("Pour."))
    assert "raw-egg" not in {one.finding.code for one in read(own, "cream", steps).judged}


def test_heat_before_the_egg_goes_in_does_not_count() -> None:
    lines = (Line("c", 200, "cream"), Line("y", 50, "yolk", stage="whisk"))
    own = Formula("f", "F", lines)
    toasted = Step("Toast the nuts.", stage="toast", temperature_c=160)
    whisked, cooked = Step("Whisk.", stage="whisk"), Step("Cook.", stage="cook", temperature_c=83)
    for steps, said in (((toasted, whisked), True), ((toasted, whisked, cooked), False)):
        codes = {one.finding.code for one in read(own, "cream", steps).judged}
        assert ("raw-egg" in codes) is said


def test_a_formula_of_water_only_and_an_empty_one_are_read() -> None:
    own = read(formula(("water", 100)), "glaze")
    assert gauge(own, "boils").working.value == pytest.approx(100)
    assert gauge(own, "freezes").working.value == pytest.approx(0, abs=0.01)
    assert gauge(own, "ice").working.value == pytest.approx(100)
    assert read(formula()).gauges == ()


def test_every_window_names_a_reading_that_exists_and_says_why() -> None:
    codes = {
        gauge.code
        for one in FORMULAS
        for gauge in characterize(demo_book(), one.slug, one.kind).gauges
    }
    for kind, windows in WINDOWS.items():
        for code, window in windows.items():
            assert code in codes, (kind, code)
            assert window.why.endswith(".")


def test_the_demo_formulas_are_free_of_findings_and_nothing_of_them_is_unknown() -> None:
    own = demo_book()
    for one in FORMULAS:
        made = characterize(own, one.slug, one.kind, one.method)
        judged = (*made.judged, *judge_steps(one.kind, made.lines, one.method))
        assert [found.finding.message for found in judged] == [], one.slug
        assert all(one.working or one.refusal for one in made.gauges), one.slug
        assert made.declared.unknown == ()


def test_one_card_a_fault_and_both_ways_where_there_are_two() -> None:
    lines = (Line("a", 248, "dark-66"), Line("b", 600, "cream-35"))
    book = Book(tuple(stock.ingredient for stock in STOCKS), (Formula("f", "F", lines),))
    judged = characterize(book, "f", "ganache").judged
    (soft,) = [one for one in judged if "Set number" in one.finding.message]
    assert soft.mend is not None
    assert soft.other is not None
    assert {soft.mend.line, soft.other.line} == {"a", "b"}
    assert "Couverture" in soft.mend.says
    assert soft.other.says.startswith("Take ")
    for way in (soft.mend, soft.other):
        mended = tuple(
            replace(line, mass_g=way.mass_g) if line.key == way.line else line for line in lines
        )
        after = characterize(
            Book(book.ingredients, (Formula("f", "F", mended),)), "f", "ganache"
        ).judged
        assert not [one for one in after if "Set number" in one.finding.message]
