"""Several sizes at once: each worked out by itself, what they take merged."""

from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from fernbell.core.desserts import Coat, Dessert, refit, solve, solve_order
from fernbell.core.errors import OutOfRange
from fernbell.core.molds import Frame, Ring
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import REEDBED
from tests.core.drawing import WITH_DENSITY, desserts
from tests.core.kitchen import BOOK, entremet

SMALL = refit(REEDBED, Ring(70, 40))


def makes(solved: object) -> dict[str, float]:
    return {part.name: part.make.value for part in solved.parts if part.make}


def test_each_size_takes_what_it_takes_alone_where_nothing_is_poured() -> None:
    dry = replace(REEDBED, parts=tuple(p for p in REEDBED.parts if not isinstance(p, Coat)))
    small, book = refit(dry, Ring(70, 40)), demo_book()
    order = solve_order([(dry, 6), (small, 12)], book)
    assert makes(order.sizes[0].solved()) == makes(solve(dry, book, 6)[0])
    assert makes(order.sizes[1].solved()) == makes(solve(small, book, 12)[0])


def test_the_order_takes_the_sum_of_its_sizes_and_its_sheets_say_for_which() -> None:
    order = solve_order([(REEDBED, 6), (SMALL, 12)], demo_book())
    takes = {take.formula: take.make.value for take in order.takes}
    for key, grams in takes.items():
        own = sum(
            part.make.value for size in order.sizes for part in size.parts if part.formula == key
        )
        assert grams == pytest.approx(own)
    quince = next(sheet for sheet in order.sheets if sheet.name == "Quince, set")
    assert [use.purpose for use in quince.uses] == [
        "Quince, set, Ø 20 cm",
        "Quince, set, Ø 7 cm",
    ]
    assert quince.finished_g == pytest.approx(takes["quince-set"])


def test_one_jug_is_raised_to_its_least_once_and_shared() -> None:
    glaze = Coat(key="glaze", formula="glaze", thickness_mm=1, least_pour_g=5000)
    dessert = entremet(glaze=glaze)
    order = solve_order([(dessert, 1), (refit(dessert, Ring(80, 45)), 2)], BOOK)
    poured = [
        part.make.value for size in order.sizes for part in size.parts if part.part == "glaze"
    ]
    assert sum(poured) == pytest.approx(5000)
    assert min(poured) > 0
    alone, _ = solve(dessert, BOOK, 1)
    assert next(part.make.value for part in alone.parts if part.part == "glaze") == 5000
    assert "short-pour" in {finding.code for finding in order.sizes[0].findings}


def test_a_jug_that_is_enough_together_is_not_raised() -> None:
    glaze = Coat(key="glaze", formula="glaze", thickness_mm=2, least_pour_g=300)
    dessert = entremet(glaze=glaze)
    alone, _ = solve(dessert, BOOK, 1)
    clings = next(part.mass.value for part in alone.parts if part.part == "glaze")
    assert clings < 300
    order = solve_order([(dessert, 1), (refit(dessert, Ring(160, 45)), 2)], BOOK)
    first = next(part for part in order.sizes[0].parts if part.part == "glaze")
    assert first.make.value == pytest.approx(clings)
    assert "short-pour" not in {finding.code for finding in order.sizes[0].findings}


@settings(max_examples=30)
@given(desserts(WITH_DENSITY), st.integers(1, 20), st.integers(1, 20))
def test_the_same_size_twice_is_that_size_in_the_sum_of_the_counts(
    dessert: Dessert, first: int, second: int
) -> None:
    dry = replace(dessert, parts=tuple(p for p in dessert.parts if not isinstance(p, Coat)))
    whole, made = solve(dry, BOOK, first + second)
    order = solve_order([(dry, first), (dry, second)], BOOK)
    for sheet, own in zip(order.sheets, made, strict=True):
        assert sheet.finished_g == pytest.approx(own.finished_g)
    for part, both in zip(whole.parts, order.sizes[0].parts, strict=True):
        assert (part.mass and part.mass.value) == (both.mass and both.mass.value)


def test_a_count_that_is_refused_is_refused_for_every_size() -> None:
    with pytest.raises(OutOfRange) as refusal:
        solve_order([(REEDBED, 6), (SMALL, 0)], demo_book())
    assert refusal.value.field == "count"


def test_an_individual_that_follows_a_cake_is_one_portion() -> None:
    assert SMALL.portions.count == 1
    assert refit(SMALL, Ring(200, 45)).portions.count == 12
    assert refit(REEDBED, Frame(300, 200, 45)).portions.count == 15
