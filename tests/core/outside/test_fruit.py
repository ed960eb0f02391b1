"""Brix of fruit against what its juice must have at least.

Codex general standard for fruit juices and nectars, CXS 247-2005, annex: minimum Brix of juice
and purée; from memory.
"""

import pytest

from fernbell.core.formulas import FIGURES, Book, Formula, Line, lines_of
from fernbell.starter.pantry import STOCKS

PANTRY = tuple(one.ingredient for one in STOCKS)
LEAST_BRIX = {
    "apple": 11.5,
    "apple-juice": 11.5,
    "apricot": 11.5,
    "blackberry": 9.0,
    "blackcurrant": 11.0,
    "blueberry": 10.0,
    "fig": 18.2,
    "lemon-juice": 8.0,
    "lime-juice": 8.0,
    "lychee": 11.2,
    "mango": 13.5,
    "orange-juice": 11.8,
    "passion-fruit": 12.0,
    "peach": 10.5,
    "pear": 12.0,
    "pineapple": 12.8,
    "plum": 12.0,
    "quince": 11.2,
    "raspberry": 8.0,
    "redcurrant": 10.0,
    "sea-buckthorn": 6.0,
    "strawberry": 7.5,
}
# The open table's sour cherries hold 8.5 g of sugars, its bananas 12.2 g: less than the juice.
LEAN = {"cherry": 14.0, "banana": 20.0}


def brix(*lines: Line) -> float:
    own = Formula("f", "Plain", lines)
    return FIGURES["brix"].value(lines_of(Book(PANTRY, (own,)), "f").mix())


@pytest.mark.parametrize(("key", "least"), LEAST_BRIX.items())
def test_a_fruit_reads_what_its_juice_must_have(key: str, least: float) -> None:
    assert least <= brix(Line("a", 100, key)) <= least + 6


@pytest.mark.parametrize(("key", "least"), LEAN.items())
def test_a_lean_fruit_falls_short_by_a_tenth_at_most(key: str, least: float) -> None:
    assert 0.9 * least <= brix(Line("a", 100, key)) < least


# By hand: 100 g of raspberry hold 84.93 g of water and, of sugars 4.42, acids 1.7, protein 1.2,
# ash 0.6 and three tenths of 6.5 g fiber, 9.87 g that is dissolved: 9.87 / 94.80.
def test_what_is_dissolved_in_raspberry_is_counted_by_hand() -> None:
    assert brix(Line("a", 100, "raspberry")) == pytest.approx(100 * 9.87 / 94.80, abs=0.02)


def test_what_is_no_fruit_has_no_such_rest() -> None:
    """Milk: lactose and salts, as before; not its protein."""
    assert brix(Line("a", 100, "milk")) == pytest.approx(100 * (4.8 + 0.31) / (92.7), abs=0.1)
