"""Steam and ice against CoolProp 8 (IAPWS-95), and syrups against what that implies."""

import pytest
from CoolProp.CoolProp import PropsSI

from fernbell.core.heat import (
    boiling_point,
    freezing_point,
    ice_activity,
    solution,
    steam_pressure,
    steam_temperature,
    water_activity,
)


def saturation(temperature_c: float) -> float:
    """Saturation pressure of water [Pa]."""
    return PropsSI("P", "T", temperature_c + 273.15, "Q", 0, "Water")


@pytest.mark.parametrize("t", [5, 20, 60, 82, 100, 118, 145, 157])
def test_steam_pressure_agrees_with_iapws_95(t: float) -> None:
    assert steam_pressure(t) == pytest.approx(saturation(t), rel=2e-4)
    assert steam_temperature(saturation(t)) == pytest.approx(t, abs=0.01)


def test_a_syrup_keeps_its_activity_at_altitude() -> None:
    # At 2000 m the standard atmosphere is 79 495 Pa (ISO 2533, from memory).
    for percent in (60, 80, 95):
        at_sea = 101_325 / saturation(boiling_point(percent))
        assert 79_495 / saturation(boiling_point(percent, 2000)) == pytest.approx(at_sea, rel=2e-3)


# Vapor pressure of ice at -10 and -20 °C: 259.9 and 103.3 Pa (published tables, from memory);
# supercooled water 286.5 and 125.4 Pa.
@pytest.mark.parametrize(("t", "ice", "water"), [(-10, 259.9, 286.5), (-20, 103.3, 125.4)])
def test_ice_activity_agrees_with_vapor_pressure_tables(t: float, ice: float, water: float) -> None:
    assert ice_activity(t) == pytest.approx(ice / water, rel=2e-3)


# Raoult in the limit: 1.858 K lower for a mole in a kilogram of water (cryoscopic constant).
def test_a_dilute_solution_freezes_by_the_cryoscopic_constant() -> None:
    a_tenth = solution(1000, {"glucose": 18.016})
    assert freezing_point(a_tenth) == pytest.approx(-0.1858, abs=0.003)


def test_a_saturated_sugar_solution_is_near_its_measured_activity() -> None:
    # 0.843 at 25 °C, standard salt-solution tables, from memory; Norrish is 0.004 high.
    saturated = solution(32.53, {"sucrose": 67.47})
    assert water_activity(saturated) == pytest.approx(0.843, abs=0.005)
