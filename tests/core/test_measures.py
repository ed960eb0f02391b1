"""Amounts as typed, and rounding to a scale."""

import math

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import NotUnderstood, OutOfRange, UnknownUnit
from fernbell.core.measures import Amount, grams, millilitres, read_amount, round_to_scale

MASSES = st.lists(st.floats(0, 50_000), min_size=1, max_size=30)


class TestReadingAmounts:
    @pytest.mark.parametrize(
        ("text", "amount"),
        [
            ("250 g cream", Amount(250, "g", "cream")),
            ("2,5 kg wheat flour", Amount(2.5, "kg", "wheat flour")),
            ("1 1/2 cups of milk", Amount(1.5, "cups", "milk")),
            ("¾ tsp salt", Amount(0.75, "tsp", "salt")),
            ("2 fl. oz rum", Amount(2, "fl oz", "rum")),
            ("3 egg yolks", Amount(3, "", "egg yolks")),
            ("100g sugar", Amount(100, "g", "sugar")),
        ],
    )
    def test_reads_amount_unit_and_name(self, text: str, amount: Amount) -> None:
        assert read_amount(text) == amount

    @pytest.mark.parametrize("text", ["", "cream", "-3 g cream", "nan g cream", "250", "1/0 cup x"])
    def test_refuses_what_is_no_amount_of_something(self, text: str) -> None:
        with pytest.raises(NotUnderstood):
            read_amount(text)

    @pytest.mark.parametrize("text", ["0 g cream", "99999999 g cream"])
    def test_refuses_nothing_and_too_much(self, text: str) -> None:
        with pytest.raises(OutOfRange) as refusal:
            read_amount(text)
        assert refusal.value.field == "amount"

    def test_a_volume_is_no_mass(self) -> None:
        with pytest.raises(UnknownUnit):
            grams(1, "cup")
        with pytest.raises(UnknownUnit):
            millilitres(1, "furlong")


class TestRoundingToAScale:
    @given(MASSES, st.sampled_from([0.1, 0.5, 1, 5]))
    def test_rounded_lines_sum_to_the_rounded_batch(self, masses: list[float], step: float) -> None:
        rounded = round_to_scale(masses, [step] * len(masses))
        assert math.fsum(rounded.masses_g) == pytest.approx(rounded.batch_g, abs=1e-6)
        assert abs(rounded.batch_g - math.fsum(masses)) <= step / 2 + 1e-6

    @given(MASSES)
    def test_no_line_moves_by_a_whole_step(self, masses: list[float]) -> None:
        steps = [1.0 if i % 2 else 0.1 for i in range(len(masses))]
        rounded = round_to_scale(masses, steps)
        for exact, mass, step in zip(masses, rounded.masses_g, steps, strict=True):
            assert abs(mass - exact) < step + 1e-6
            assert mass / step == pytest.approx(round(mass / step), abs=1e-4)

    def test_the_step_that_is_missing_goes_to_the_line_that_lost_most(self) -> None:
        # By hand: 33.3 + 33.3 + 33.4 = 100; floors give 99; the last lost 0.4, the others 0.3.
        assert round_to_scale([33.3, 33.3, 33.4], [1, 1, 1]).masses_g == (33, 33, 34)

    def test_drift_is_shown(self) -> None:
        rounded = round_to_scale([10.4, 20.3], [1, 1])
        assert rounded.batch_g == 31
        assert rounded.drift_g == pytest.approx(0.3)
        assert rounded.drift_percent == pytest.approx(100 * 0.3 / 30.7)

    @pytest.mark.parametrize("mass", [-1, math.nan, math.inf])
    def test_refuses_impossible_masses(self, mass: float) -> None:
        with pytest.raises(OutOfRange):
            round_to_scale([mass], [1])
