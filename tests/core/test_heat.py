"""Syrups and solutions: both directions agree, and what cannot be is refused."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from fernbell.core.errors import CoreError, OutOfRange
from fernbell.core.heat import (
    SOLUTES,
    boiling_point,
    boils_at,
    crystallizing,
    freezing_point,
    ice_share,
    ideal_activity,
    solution,
    sucrose_at,
    sucrose_equivalent,
    syrup_solids,
    water_activity,
    water_at,
    water_left,
)

ALTITUDE = st.floats(-400, 4500)
NAMES = sorted(SOLUTES)


@given(st.floats(0.1, 97.5), st.sampled_from([0.0, 300.0, 1500.0, 4000.0]))
def test_strength_and_temperature_are_inverse(percent: float, altitude: float) -> None:
    there = boiling_point(percent, altitude)
    assert sucrose_at(there, altitude) == pytest.approx(percent, abs=1e-3)


@given(st.floats(0, 97), st.floats(0.01, 1), ALTITUDE)
def test_stronger_boils_hotter_and_higher_boils_cooler(
    percent: float, more: float, altitude: float
) -> None:
    assert boiling_point(percent + more, altitude) > boiling_point(percent, altitude)
    assert boiling_point(percent, altitude + 100) < boiling_point(percent, altitude)


@given(
    st.floats(50, 1000),
    st.dictionaries(st.sampled_from(NAMES), st.floats(1, 300), min_size=1),
    st.sampled_from(NAMES),
    st.floats(1, 200),
)
def test_activity_falls_with_anything_dissolved_and_stays_below_raoult(
    water: float, held: dict[str, float], more: str, grams: float
) -> None:
    own = solution(water, held)
    stronger = solution(water, {**held, more: held.get(more, 0) + grams})
    assert water_activity(stronger) < water_activity(own) < 1
    assert water_activity(own) <= ideal_activity(own) + 1e-12


@given(st.floats(20, 500), st.floats(20, 300))
def test_water_at_an_activity_gives_that_activity(water: float, sugar: float) -> None:
    own = solution(water, {"sucrose": sugar})
    activity = water_activity(own)
    if activity > 0.35:
        assert water_at(own, activity) == pytest.approx(water, rel=1e-6)


def test_sucrose_is_its_own_equivalent_and_glucose_weighs_nearly_double() -> None:
    assert sucrose_equivalent(solution(0, {"sucrose": 250})) == pytest.approx(250, rel=1e-6)
    # Half the molar mass: near twice as many molecules, less what sucrose binds more.
    factor = sucrose_equivalent(solution(0, {"glucose": 100})) / 100
    assert 1.4 < factor < 1.9


def test_boiling_a_mixture_down_and_reading_it_again_agree() -> None:
    held = {"sucrose": 300, "DE 42": 100, "lactose": 10}
    left = water_left(solution(500, held), 108)
    assert boils_at(solution(left, held)) == pytest.approx(108, abs=0.01)


def test_ice_grows_as_it_gets_colder_and_begins_at_the_freezing_point() -> None:
    own = solution(100, {"sucrose": 25})
    begins = freezing_point(own)
    assert ice_share(own, begins + 0.01) == 0
    shares = [ice_share(own, t) for t in (begins - 0.1, -4, -10, -18, -30)]
    assert shares == sorted(shares)
    assert 0.7 < shares[3] < 0.9


def test_more_sugar_than_its_water_dissolves_is_named() -> None:
    assert crystallizing(solution(100, {"sucrose": 190, "lactose": 10})) == ()
    assert crystallizing(solution(100, {"sucrose": 210, "lactose": 25})) == ("sucrose", "lactose")


@pytest.mark.parametrize(
    ("ask", "field"),
    [
        (lambda: boiling_point(98.5), "sucrose_percent"),
        (lambda: boiling_point(-1), "sucrose_percent"),
        (lambda: boiling_point(60, 9000), "altitude_m"),
        (lambda: sucrose_at(95), "temperature_c"),
        (lambda: sucrose_at(160), "temperature_c"),
        (lambda: sucrose_at(float("nan")), "temperature_c"),
        (lambda: water_activity(solution(0, {"sucrose": 1})), "water_g"),
        (lambda: solution(-1, {}), "water_g"),
        (lambda: syrup_solids(5), "dextrose_equivalent"),
        (lambda: water_left(solution(100, {}), 110), "temperature_c"),
        (lambda: ice_share(solution(10, {"salt": 1}), 3), "temperature_c"),
    ],
)
def test_what_cannot_be_is_refused_by_name(ask, field: str) -> None:
    with pytest.raises(OutOfRange) as refusal:
        ask()
    assert refusal.value.field == field


def test_an_unknown_solute_is_refused_with_what_there_is() -> None:
    with pytest.raises(CoreError, match="sucrose"):
        solution(10, {"sugr": 1})


# Robinson and Stokes 1959, water activity of sodium chloride at 25 °C: 1 molal 0.9669, 3 molal
# 0.8932; from memory. Two ideal ions are within 0.015 of it up to 3 molal, one ion is not.
@pytest.mark.parametrize(("molal", "published"), [(0.5, 0.9835), (1, 0.9669), (3, 0.8932)])
def test_salt_binds_water_as_two_ions(molal: float, published: float) -> None:
    own = solution(1000, {"salt": 58.44 * molal})
    assert water_activity(own) == pytest.approx(published, abs=0.016)
    assert abs(water_activity(own) - published) < abs((1 + published) / 2 - published)
