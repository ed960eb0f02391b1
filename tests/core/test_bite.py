"""A bite through the cut: shares of the whole, sweetness weighted by them."""

import pytest

from fernbell.core.desserts import Base, Dessert, Fill, Wedges, solve, take_bite
from fernbell.core.formulas import Book, Formula, Line, Mix, lines_of
from fernbell.core.molds import Ring
from fernbell.core.pantry import Ingredient, MakeUp, completed
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.core.test_arithmetic import check


def book(cream: MakeUp | None) -> Book:
    return Book(
        (
            Ingredient("sugar", "Sugar", 1.0, make_up=completed(MakeUp(sucrose=100))),
            Ingredient("cream", "Cream", 1.0, make_up=cream),
        ),
        (
            Formula("sweet", "Sweet", (Line("s", 40, "sugar"), Line("c", 60, "cream"))),
            Formula("plain", "Plain", (Line("c", 100, "cream"),)),
        ),
    )


CREAM = completed(MakeUp(water=60, milk_fat=38, salt=2))
# A quarter of the ring's height is base, the rest is filled; both weigh 1 g/ml.
DESSERT = Dessert(
    "D",
    Ring(160, 40),
    (
        Fill(key="fill", formula="plain"),
        Base(key="base", formula="sweet", height_mm=10, across_mm=160),
    ),
    Wedges(8),
)


def mixes(book: Book, keys: list[str]) -> dict[str, Mix]:
    return {key: lines_of(book, key).as_is for key in keys}


def test_a_bite_is_the_sum_of_its_shares() -> None:
    own = book(CREAM)
    solved, _ = solve(DESSERT, own)
    bite = take_bite(solved.parts, mixes(own, ["sweet", "plain"]))
    shares = {part.name: part.share.value for part in bite.parts}
    assert shares == {"Plain": pytest.approx(75), "Sweet": pytest.approx(25)}
    # By hand: 0.25 x 40 = 10; fat 0.75 x 38 + 0.25 x 22.8; salt 0.75 x 2 + 0.25 x 1.2.
    assert bite.tastes["Sweetness"].value == pytest.approx(10)
    assert bite.tastes["Fat"].value == pytest.approx(34.2)
    assert bite.tastes["Salt"].value == pytest.approx(1.8)
    assert "sweetest by itself is Sweet" in bite.says
    for working in (*bite.tastes.values(), bite.parts[0].share):
        check(working)


def test_an_unknown_make_up_leaves_the_bite_unknown_and_says_whose() -> None:
    own = book(None)
    solved, _ = solve(DESSERT, own)
    bite = take_bite(solved.parts, mixes(own, ["sweet", "plain"]))
    assert bite.tastes["Sweetness"] is None
    assert bite.needs == ("Cream",)
    assert bite.says == ""


def test_nothing_weighed_is_no_bite() -> None:
    empty = Dessert("E", Ring(160, 40), (), Wedges(8))
    solved, _ = solve(empty, book(CREAM))
    assert take_bite(solved.parts, {}) is None


def test_reedbed_is_neither_flat_nor_cloying() -> None:
    own = demo_book()
    solved, _ = solve(REEDBED, own)
    keys = {part.formula for part in solved.parts}
    bite = take_bite(solved.parts, mixes(own, keys))
    assert 10 < bite.tastes["Sweetness"].value < 30
    assert sum(part.share.value for part in bite.parts) == pytest.approx(100)
