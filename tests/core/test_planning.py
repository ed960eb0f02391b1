"""Orders: merged once, split into batches that vessels hold, set out and bought."""

import math
from collections import Counter
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.optimize import LinearConstraint, milp

from fernbell.core.desserts import refit, solve_order
from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.formulas import read_formulas
from fernbell.core.molds import Ring
from fernbell.core.pantry import Pack, Store
from fernbell.core.planning import (
    VESSELS,
    MadeFormula,
    Ordered,
    PlannedOrder,
    Vessel,
    limits,
    mise_en_place,
    plan_order,
    split,
)
from fernbell.core.planning.mise import SetOut, Stocked
from fernbell.core.planning.needs import Need, needs
from fernbell.core.planning.splitting import Filled
from fernbell.demo.desserts import BEEKEEPER, DESSERTS, FOGHORN, REEDBED
from fernbell.demo.formulas import FORMULAS
from tests.core.test_kinds import BOOK

SMALL = refit(REEDBED, Ring(160, 45))
LINES = (
    Ordered("Reedbed, Ø 20 cm", REEDBED, 8),
    Ordered("Reedbed, Ø 16 cm", SMALL, 12),
    Ordered("Foghorn domes", FOGHORN, 72),
)
KITCHEN = (
    Vessel("20 l mixer", "mixer", 12_000, 1500),
    Vessel("5 l mixer", "mixer", 3500, 250),
    Vessel("large bowl", "bowl", 6000),
    Vessel("pot", "pot", 8000),
)


def made(planned: PlannedOrder, name: str) -> MadeFormula:
    return next(one for one in planned.made if one.sheet.name == name)


def test_every_formula_is_made_once_for_all_that_take_it() -> None:
    planned = plan_order(LINES, BOOK)
    names = [one.sheet.name for one in planned.made]
    assert len(set(names)) == len(names)
    order = solve_order([(one.dessert, one.count) for one in LINES], BOOK)
    assert [one.sheet for one in planned.made] == list(order.sheets)
    # Losses are counted once, on the sum: what is weighed is what arrives and what stays behind.
    mousse = made(planned, "Toasted barley mousse").sheet
    readings = read_formulas(BOOK, [mousse.formula])
    losses = readings[mousse.formula].formula.losses
    kept = 1 - (losses.pan_percent + losses.tasting_percent) / 100
    kept *= 1 - losses.cooking_percent / 100
    assert mousse.finished_g / mousse.batch_g == pytest.approx(kept, rel=0.01)
    by_hand = sum(
        part.make.value
        for size in order.sizes
        for part in size.parts
        if part.formula == mousse.formula and part.make
    )
    assert mousse.finished_g == pytest.approx(by_hand)


def test_a_mousse_too_large_for_the_bowl_is_made_for_whole_desserts_in_their_order() -> None:
    planned = plan_order(LINES, BOOK, KITCHEN)
    mousse = made(planned, "Toasted barley mousse")
    assert len(mousse.batches) == 2
    assert "large bowl takes 6 000 ml" in mousse.limit
    fed = [(one.name, one.count, one.first) for b in mousse.batches for one in b.batch.feeds]
    assert fed == [("Reedbed, Ø 20 cm", 8, 1), ("Reedbed, Ø 16 cm", 12, 1)]
    domes = made(planned, "White chocolate mousse")
    assert [(one.batch.feeds[0].count, one.batch.feeds[0].first) for one in domes.batches] == [
        (36, 1),
        (36, 37),
    ]
    # The smaller mixer is taken where it holds what is whipped.
    assert domes.batches[0].batch.vessels == ("5 l mixer", "large bowl")
    assert mousse.batches[0].batch.vessels == ("20 l mixer", "large bowl")


def test_batches_of_a_formula_weigh_what_its_sheet_weighs() -> None:
    planned = plan_order(LINES, BOOK, (Vessel("small bowl", "bowl", 1500), *KITCHEN[1:2]))
    several = 0
    for one in planned.made:
        several += len(one.batches) > 1
        for at, line in enumerate(one.sheet.lines):
            assert sum(batch.masses_g[at] for batch in one.batches) == pytest.approx(
                line.mass_g, abs=1e-6
            )
    assert several >= 3


def test_a_formula_within_another_is_made_for_its_batches() -> None:
    planned = plan_order(LINES, BOOK, KITCHEN)
    milk = made(planned, "Toasted barley milk")
    (fed,) = milk.batches[0].batch.feeds
    assert (fed.name, fed.count) == ("Toasted barley mousse", 2)


def test_a_mousse_is_never_larger_than_what_is_filled_before_it_sets() -> None:
    hands = Vessel("two pairs of hands", "hands", 400, number=2)
    key = made(plan_order(LINES, BOOK), "Toasted barley mousse").sheet.formula
    planned = plan_order(LINES, BOOK, (hands,), sets_min={key: 4})
    mousse = made(planned, "Toasted barley mousse")
    # By hand: 4 min x 2 x 400 g = 3 200 g.
    assert all(one.batch.wanted_g <= 3200 for one in mousse.batches)
    assert len(mousse.batches) == math.ceil(mousse.sheet.finished_g / 3200)
    assert "it sets in 4 min; 800 g are filled in one" in mousse.limit
    assert len(made(planned, "Quince, set").batches) == 1


def test_less_than_a_vessel_takes_is_made_up_to_it_and_named() -> None:
    mixer = Vessel("mixer", "mixer", 12_000, 3000)
    planned = plan_order((Ordered("Reedbed", REEDBED, 1),), BOOK, (mixer,))
    mousse = made(planned, "Toasted barley mousse")
    (one,) = mousse.batches
    reading = read_formulas(BOOK, [mousse.sheet.formula])[mousse.sheet.formula]
    (need,) = (need for need in needs(BOOK, reading) if need.kind == "mixer")
    assert one.batch.made_g * need.room_per_g == pytest.approx(3000)
    assert mousse.left_g == pytest.approx(one.batch.made_g - one.batch.wanted_g)
    left = mise_en_place(planned, BOOK, {}, {}).left
    assert [(use.name, use.mass_g) for use in left if use.name == "Toasted barley mousse"] == [
        ("Toasted barley mousse", mousse.left_g)
    ]


def test_what_goes_into_a_formula_that_is_made_up_is_made_up_too() -> None:
    mixer = Vessel("mixer", "mixer", 12_000, 3000)
    planned = plan_order((Ordered("Reedbed", REEDBED, 1),), BOOK, (mixer,))
    mousse, milk = (made(planned, f"Toasted barley {what}") for what in ("mousse", "milk"))
    assert mousse.left_g > 500
    takes = sum(
        batch.masses_g[at]
        for at, line in enumerate(mousse.sheet.lines)
        for batch in mousse.batches
        if line.formula == milk.sheet.formula
    )
    assert milk.sheet.finished_g == pytest.approx(takes, abs=1)
    # The sheet says why it is so large.
    assert any("takes no less" in use.purpose for use in mousse.sheet.uses)


def test_what_one_dessert_takes_more_of_than_a_vessel_holds_names_what_is_in_the_way() -> None:
    cup = Vessel("cup", "bowl", 400)
    mousse = made(plan_order(LINES, BOOK, (cup,)), "Toasted barley mousse")
    assert "Reedbed, Ø 20 cm takes" in mousse.way
    assert "cup takes 400 ml" in mousse.way
    assert sum(one.batch.wanted_g for one in mousse.batches) == pytest.approx(
        mousse.sheet.finished_g
    )


UNITS = st.lists(
    st.builds(Filled, st.just("x"), st.integers(1, 40), st.floats(1, 900)), min_size=1, max_size=4
)


@settings(max_examples=150)
@given(UNITS, st.floats(100, 6000), st.floats(0, 400))
def test_batches_sum_to_the_order_each_within_its_limits_or_the_limit_is_named(
    filled: list[Filled], most: float, least: float
) -> None:
    bowl = Vessel("bowl", "bowl", most, min(least, most))
    total = sum(one.count * one.each_g for one in filled)
    if total > 500 * most:
        with pytest.raises(CoreError, match="at most 500; bowl takes"):
            split(filled, [Need("bowl", 1.0, "mixed")], [bowl])
        return
    found = split(filled, [Need("bowl", 1.0, "mixed")], [bowl])
    assert sum(one.wanted_g for one in found.batches) == pytest.approx(total)
    for one in found.batches:
        assert one.wanted_g <= most * (1 + 1e-6)
        assert bowl.least - 1e-6 <= one.made_g <= max(bowl.least, one.wanted_g) + 1e-6
    largest = max(one.each_g for one in filled)
    assert bool(found.way) == (largest > most * (1 + 1e-9))
    if found.way:
        return
    fed = 0
    for one in found.batches:
        assert sum(f.count for f in one.feeds) > 0
        fed += sum(f.count for f in one.feeds)
    assert fed == sum(one.count for one in filled)


def test_five_thousand_of_each_are_split_at_once() -> None:
    filled = [Filled(f"x{at}", 5000, 10.0 + at) for at in range(40)]
    found = split(filled, [Need("bowl", 1.0, "mixed")], [Vessel("bowl", "bowl", 30_000)])
    assert sum(fed.count for one in found.batches for fed in one.feeds) == 200_000
    assert max(one.wanted_g for one in found.batches) <= 30_000


def fewest_by_program(units: list[float], most: float) -> int:
    """A second opinion: the fewest batches, by a mixed-integer program (HiGHS)."""
    n = len(units)
    # x[i, b]: unit i in batch b; y[b]: batch b is made.
    cost = np.concatenate([np.zeros(n * n), np.ones(n)])
    once = np.zeros((n, n * n + n))
    room = np.zeros((n, n * n + n))
    for i in range(n):
        once[i, i * n : (i + 1) * n] = 1
        for b in range(n):
            room[b, i * n + b] = units[i]
    room[:, n * n :] = -most * np.eye(n)
    done = milp(
        cost,
        constraints=[LinearConstraint(once, 1, 1), LinearConstraint(room, -np.inf, 1e-9)],
        integrality=np.ones(n * n + n),
        bounds=(0, 1),
    )
    return round(done.fun)


@settings(max_examples=20, deadline=None)
@given(st.integers(1, 9), st.floats(50, 400), st.floats(400, 1500))
def test_no_program_finds_fewer_batches_of_what_is_alike(
    count: int, each: float, most: float
) -> None:
    found = split(
        [Filled("x", count, each)], [Need("bowl", 1.0, "mixed")], [Vessel("b", "bowl", most)]
    )
    assert len(found.batches) == fewest_by_program([each] * count, most)
    sizes = [one.feeds[0].count for one in found.batches]
    assert max(sizes) - min(sizes) <= 1


def test_needs_of_the_demo_formulas_are_told_for_every_one() -> None:
    readings = read_formulas(BOOK, [one.slug for one in FORMULAS])
    for one in FORMULAS:
        found = needs(BOOK, readings[one.slug], one.job)
        assert all(need.room_per_g > 0 and need.why and need.kind in VESSELS for need in found)
        if readings[one.slug].body:
            assert found
        if one.kind == "caramel":
            (pot,) = (need for need in found if need.kind == "pot")
            # A pot at least four times the volume: a gram of caramel is some 0.7 to 1 ml.
            assert 2.5 < pot.room_per_g < 6


def test_a_siphon_is_filled_to_its_line_and_nothing_is_whipped_for_it() -> None:
    readings = read_formulas(BOOK, [one.slug for one in FORMULAS])
    reading = next(iter(readings.values()))
    assert [one.kind for one in needs(BOOK, reading, "mousse.siphon")] == ["siphon"]


def test_a_siphon_takes_a_charger_for_every_half_liter() -> None:
    siphon = Vessel("siphon", "siphon", 1000, 250)
    for ml, says in ((400, "1 charger;"), (500, "1 charger;"), (900, "2 chargers;")):
        found = split([Filled("x", 1, ml)], [Need("siphon", 1.0, "to its line")], [siphon])
        (name,) = found.batches[0].vessels
        assert says in name
        assert "never opened under pressure" in name


def test_limits_are_told_the_tightest_first() -> None:
    found = limits(
        [Need("mixer", 2.0, "whipped"), Need("bowl", 1.5, "mixed")], KITCHEN, sets_min=None
    )
    assert [one.most_g for one in found] == pytest.approx([4000, 6000])
    assert limits([Need("siphon", 1.0, "")], KITCHEN) == ()


def test_mise_en_place_is_the_sum_of_all_sheets() -> None:
    planned = plan_order((*LINES, Ordered("Tart", BEEKEEPER, 6)), BOOK, KITCHEN)
    found = mise_en_place(planned, BOOK, {}, {})
    weighed: Counter[str] = Counter()
    for one in planned.made:
        for line in one.sheet.lines:
            if line.ingredient:
                weighed[line.ingredient] += line.mass_g  # type: ignore[assignment]
    assert {one.ingredient: one.mass.value for one in found.lines} == pytest.approx(
        {key: grams for key, grams in weighed.items() if grams}
    )
    for one in found.lines:
        assert sum(use.mass_g for use in one.uses) == pytest.approx(one.mass.value)
    how = {one.name: one.how for one in found.lines}
    assert how["Gelatin powder, 200 bloom"] is SetOut.BLOOM
    assert how["Egg, whole"] is SetOut.COUNT
    assert how["Sugar"] is SetOut.WEIGH


def test_butter_is_softened_where_a_method_says_so() -> None:
    methods = {one.slug: one.method for one in FORMULAS}
    lantern = next(one for one in DESSERTS if one.slug == "lanterns")
    planned = plan_order((Ordered("Lanterns", lantern.dessert, 100),), BOOK)
    soft = mise_en_place(planned, BOOK, {}, methods)
    assert next(one.how for one in soft.lines if "Butter" in one.name) is SetOut.SOFTEN
    # 'To a soft peak' is said of cream.
    reed = plan_order(LINES[:1], BOOK)
    firm = mise_en_place(reed, BOOK, {}, methods)
    assert next(one.how for one in firm.lines if "Butter" in one.name) is SetOut.WEIGH


def test_it_is_bought_in_the_packs_that_leave_least() -> None:
    planned = plan_order(LINES[:1], BOOK)
    sugar = next(one for one in mise_en_place(planned, BOOK, {}, {}).lines if one.name == "Sugar")
    grams = sugar.mass.value
    stock = Stocked(Store.DRY, (Pack("sack", 10_000), Pack("bag", 500)), (12.0, 1.5))
    bought = next(
        one
        for one in mise_en_place(planned, BOOK, {sugar.ingredient: stock}, {}).lines
        if one.name == "Sugar"
    )
    assert bought.store is Store.DRY
    assert bought.bought is not None
    number = math.ceil(grams / 500)
    assert (bought.bought.pack, bought.bought.number) == ("bag", number)
    assert bought.bought.left_g == pytest.approx(number * 500 - grams)
    assert bought.bought.price == pytest.approx(number * 1.5)
    assert sugar.bought is None


@pytest.mark.parametrize(
    ("make", "error", "says"),
    [
        (lambda: Vessel("b", "bowl", 300, 400), CoreError, "Least must be at most 300, its most"),
        (lambda: Vessel("b", "bowl", 0), OutOfRange, "Most must be more than 0"),
        (lambda: Vessel("b", "bowl", 300, number=0), OutOfRange, "Number must be at least 1"),
        (lambda: Vessel("b", "bowl", math.nan), OutOfRange, "Most must be"),
        (lambda: plan_order((), BOOK), OutOfRange, "Lines must be at least 1"),
        (lambda: plan_order((replace(LINES[0], count=0),), BOOK), OutOfRange, "Count must be"),
        (lambda: plan_order((replace(LINES[0], count=9999),), BOOK), OutOfRange, "Count must be"),
    ],
)
def test_what_cannot_be_is_refused_by_its_field(
    make: object, error: type[CoreError], says: str
) -> None:
    with pytest.raises(error, match=says):
        make()  # type: ignore[operator]


METHODS = {one.slug: one.method for one in FORMULAS}


# By hand: 580 x 380 mm are left of a tray; 184 + 2 goes into them 3 x 2 times, 30 bases on 5.
def test_what_is_cut_from_trays_takes_as_many_as_its_pieces_need() -> None:
    tray, oven = Vessel("tray", "tray", 600, 400, number=20), Vessel("oven", "oven", 2, number=1)
    line = Ordered("Reedbed", REEDBED, 30)
    whole = plan_order([line], BOOK, [tray], methods=METHODS)
    assert made(whole, "Brown-butter sponge").batches[0].batch.vessels == ("5 × tray",)
    two = plan_order([line], BOOK, [tray, oven], methods=METHODS)
    sponge = made(two, "Brown-butter sponge")
    # Two trays at once: 12 bases a batch.
    assert [one.batch.feeds[0].count for one in sponge.batches] == [10, 10, 10]
    assert sponge.limit == "1 × oven takes 2 trays at once: made flat and cut"
    assert all(one.batch.vessels == ("2 × tray", "oven") for one in sponge.batches)
    # Pressed and chilled, not baked.
    assert len(made(two, "Rye crumble base").batches) == 1
    assert made(two, "Rye crumble base").batches[0].batch.vessels == ("5 × tray",)


def test_a_kitchen_of_three_trays_makes_no_more_at_once() -> None:
    few = [Vessel("tray", "tray", 600, 400, number=3)]
    found = made(plan_order([Ordered("Reedbed", REEDBED, 30)], BOOK, few), "Brown-butter sponge")
    assert [one.batch.feeds[0].count for one in found.batches] == [15, 15]
    assert found.limit.startswith("there are 3 × tray")


def test_ovens_of_two_sizes_are_named_as_many_as_there_are() -> None:
    kitchen = [
        Vessel("tray", "tray", 600, 400, number=20),
        Vessel("small oven", "oven", 2),
        Vessel("large oven", "oven", 6),
    ]
    line = Ordered("Reedbed", REEDBED, 48)
    found = made(plan_order([line], BOOK, kitchen, methods=METHODS), "Brown-butter sponge")
    # 48 bases lie on 8 trays.
    assert found.batches[0].batch.vessels == ("8 × tray", "large oven", "small oven")


def test_the_largest_tray_is_the_one_of_most_area() -> None:
    trays = [Vessel("long", "tray", 650, 300, number=9), Vessel("wide", "tray", 600, 400, number=9)]
    found = made(plan_order([Ordered("Reedbed", REEDBED, 30)], BOOK, trays), "Brown-butter sponge")
    assert found.batches[0].batch.vessels == ("5 × wide",)


@pytest.mark.parametrize("sides", [(600, 0), (30_000, 400), (600, 700), (10, 10)])
def test_a_tray_nothing_can_be_cut_from_is_refused_where_it_is_entered(
    sides: tuple[float, float],
) -> None:
    with pytest.raises((CoreError, OutOfRange)):
        Vessel("tray", "tray", *sides)


def test_a_tray_smaller_than_the_base_is_left_to_where_it_is_cut() -> None:
    small = [Vessel("tray", "tray", 150, 100)]
    found = made(plan_order([Ordered("Reedbed", REEDBED, 3)], BOOK, small), "Brown-butter sponge")
    assert found.batches[0].batch.vessels == ()


# Of n lines that do not come out even each changes once: no more than n + 1 ways to weigh.
def test_batches_that_are_alike_weigh_the_same_but_for_a_step() -> None:
    bowl = [Vessel("small bowl", "bowl", 1000)]
    found = made(
        plan_order([Ordered("domes", FOGHORN, 1000)], BOOK, bowl), "White chocolate mousse"
    )
    assert len(found.batches) > 50
    for size in {round(one.batch.made_g, 6) for one in found.batches}:
        alike = [one for one in found.batches if round(one.batch.made_g, 6) == size]
        ways = [one.masses_g for one in alike]
        assert len(set(ways)) <= len(found.sheet.lines) + 1
        for at, line in enumerate(found.sheet.lines):
            grams = sorted(one[at] for one in ways)
            assert grams[-1] - grams[0] <= line.step_g + 1e-9
    for at, line in enumerate(found.sheet.lines):
        assert sum(one.masses_g[at] for one in found.batches) == pytest.approx(line.mass_g)
