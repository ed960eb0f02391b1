"""The starter pantry is made from an open table, reproducibly, and says so row by row."""

import pytest

from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.pantry import (
    COMPONENTS,
    ChocolateKind,
    Condition,
    Keeping,
    LineRole,
    Store,
    check_keeping,
    mass_of_volume,
    role_of,
    temper_of,
)
from fernbell.starter.pantry import STOCKS, Stock
from fernbell.starter.sourcing import FIGURES, Row, make_up, sourced, tables

PANTRY, USDA = tables()
BY_SLUG = {row["slug"]: row for row in PANTRY}
BY_KEY = {one.ingredient.key: one for one in STOCKS}


def kept(slug: str, condition: Condition) -> Keeping:
    """How a row keeps in one condition."""
    return next(one for one in BY_KEY[slug].keeping if one.condition is condition)


def test_the_table_made_again_is_the_table() -> None:
    assert sourced(PANTRY, USDA) == PANTRY


def test_at_least_a_hundred_and_twenty_rows_have_a_source() -> None:
    published = [one for one in STOCKS if one.status == "published"]
    assert len(published) >= 120
    assert all("USDA" in one.source or "by definition" in one.source for one in published)
    assert {one.status for one in STOCKS} == {"published", "from memory"}


@pytest.mark.parametrize("row", [row for row in USDA if row["cup_g"]], ids=lambda row: row["slug"])
def test_a_cup_weighs_what_the_open_table_tells(row: Row) -> None:
    """USDA FoodData Central: grams of a cup of 236.588 ml; that the portion is one, from memory."""
    own = BY_KEY[row["slug"]]
    cup = mass_of_volume(own.ingredient, 236.588)
    assert cup == pytest.approx(float(row["cup_g"]), rel=0.015)
    assert f"a cup of {float(row['cup_g']):g} g" in own.source


@pytest.mark.parametrize("row", USDA, ids=lambda row: row["slug"])
def test_a_sourced_row_holds_what_the_open_table_tells(row: Row) -> None:
    """USDA FoodData Central, public domain: fat, protein, fiber and sugars of the named food."""
    own = make_up(BY_SLUG[row["slug"]]["make_up"])
    assert set(own) <= set(COMPONENTS)
    assert sum(own.values()) == pytest.approx(100, abs=0.3)
    assert own.get("water", 0) >= 0
    fat = sum(own.get(part, 0) for part in ("milk_fat", "cocoa_butter", "other_fat"))
    assert fat == pytest.approx(float(row["fat"]), abs=0.06)
    assert own.get("protein", 0) == pytest.approx(float(row["protein"]), abs=0.06)
    if row["fiber"]:
        assert own.get("fiber", 0) == pytest.approx(float(row["fiber"]), abs=0.06)
    if row["sugars"]:
        names = ("sucrose", "glucose", "fructose", "lactose", "maltose")
        sugars = sum(own.get(part, 0) for part in names)
        assert sugars == pytest.approx(float(row["sugars"]), abs=0.11)
    assert row["name"] in BY_SLUG[row["slug"]]["source"]
    assert set(FIGURES) <= set(row)


@pytest.mark.parametrize(
    ("slug", "role"),
    [
        ("cider", LineRole.ALCOHOL),
        ("sweet-wine", LineRole.ALCOHOL),
        ("trehalose", LineRole.SUGAR),
        ("yolk-sugared", LineRole.YOLK),
        ("yeast-fresh", LineRole.OTHER),
        ("cider-vinegar", LineRole.OTHER),
        ("lemon-zest", LineRole.OTHER),
        ("orange-zest", LineRole.OTHER),
        ("bay", LineRole.OTHER),
        ("ginger", LineRole.OTHER),
        ("sponge-finger", LineRole.CRUMB),
        ("plain-biscuit", LineRole.CRUMB),
        ("cake-flour", LineRole.FLOUR),
        ("raspberry", LineRole.FRUIT),
        ("rhubarb", LineRole.FRUIT),
        ("pumpkin", LineRole.FRUIT),
        ("chestnut-puree", LineRole.FRUIT),
        ("almond-roasted", LineRole.NUT),
        ("fat-color", LineRole.COCOA_BUTTER),
    ],
)
def test_what_a_thing_is_for_is_told_rightly(slug: str, role: LineRole) -> None:
    assert role_of(BY_KEY[slug].ingredient) is role


def test_wines_declare_sulphites_and_opened_drinks_keep_days() -> None:
    for slug in ("cider", "sweet-wine"):
        assert "sulphites" in (BY_KEY[slug].ingredient.allergens or ())
    for slug in ("soy-drink", "oat-drink", "almond-drink", "coconut-milk", "evaporated-milk"):
        opened = kept(slug, Condition.OPENED)
        assert opened.store is Store.COLD
        assert opened.days is not None
        assert opened.days <= 5


@pytest.mark.parametrize(
    "one", [one for one in STOCKS if one.keeping], ids=lambda o: o.ingredient.key
)
def test_nothing_keeps_longer_once_it_is_opened_or_thawed(one: Stock) -> None:
    """Common practice; and what was frozen does not go back into the freezer."""
    days = [keeping.days for keeping in one.keeping]
    assert days == sorted(days, reverse=True)
    assert check_keeping(one.keeping) == one.keeping
    if kept(one.ingredient.key, Condition.CLOSED).store is Store.FROZEN:
        assert one.keeping[-1].store is not Store.DRY


def test_frozen_fruit_is_kept_cold_for_days_once_thawed() -> None:
    thawed = kept("raspberry", Condition.THAWED)
    assert (thawed.store, thawed.days) == (Store.COLD, 3)


def test_a_condition_is_told_once_and_what_is_thawed_is_not_frozen() -> None:
    closed = Keeping(Condition.CLOSED, Store.DRY, 90)
    with pytest.raises(CoreError, match="each condition once"):
        check_keeping((closed, closed))
    with pytest.raises(CoreError, match="cold or dry"):
        Keeping(Condition.THAWED, Store.FROZEN)
    with pytest.raises(OutOfRange, match="3 650"):
        Keeping(Condition.OPENED, Store.COLD, 4000)


@pytest.mark.parametrize("key", [one.ingredient.key for one in STOCKS])
def test_a_cup_holds_no_more_than_the_substance_itself(key: str) -> None:
    own = BY_KEY[key].ingredient
    if own.cup_density_g_ml and own.density_g_ml:
        assert own.cup_density_g_ml <= own.density_g_ml + 1e-9


def test_the_more_cocoa_the_warmer_a_dark_couverture_is_worked() -> None:
    """31 to 32 °C for dark couverture, common practice; white and milk as they are."""
    worked = [temper_of(ChocolateKind.DARK, cocoa).work_c for cocoa in (50, 55, 60, 66, 70, 80)]
    assert worked == sorted(worked)
    assert (worked[0], worked[-1]) == (31, 32)
    assert temper_of(ChocolateKind.COMPOUND, 30) is None
