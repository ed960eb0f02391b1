"""Grams from volumes and pieces."""

import math

import pytest

from fernbell.core.errors import MissingDensity, NotCounted, OutOfRange
from fernbell.core.measures import System, read_amount
from fernbell.core.pantry import EGG_GRADES, EggPart, Ingredient, Piece, egg_mass, mass_of_amount

EGG = Ingredient("egg", "Egg", 1.03, pieces=(Piece("egg, M", 52),))
FLOUR = Ingredient("flour", "Flour", 1.45, cup_density_g_ml=0.53)


def test_a_cup_goes_by_the_density_of_a_level_cup() -> None:
    # 236.588 ml x 0.53 g/ml, by hand 125.39 g.
    assert mass_of_amount(FLOUR, read_amount("1 cup flour"), System.US) == pytest.approx(
        125.39, abs=0.01
    )


def test_weight_needs_no_density_and_volume_does() -> None:
    powder = Ingredient("powder", "Powder")
    assert mass_of_amount(powder, read_amount("12 g powder")) == 12
    with pytest.raises(MissingDensity, match="Powder"):
        mass_of_amount(powder, read_amount("1 cup powder"))


def test_pieces_are_counted_only_where_one_has_a_weight() -> None:
    assert mass_of_amount(EGG, read_amount("3 eggs")) == 156
    with pytest.raises(NotCounted, match="not counted"):
        mass_of_amount(FLOUR, read_amount("3 flour"))


@pytest.mark.parametrize("grade", EGG_GRADES, ids=lambda grade: grade.name)
def test_yolk_and_white_make_the_egg_and_the_shell_is_left(grade) -> None:
    whole = egg_mass(grade, EggPart.WHOLE)
    assert egg_mass(grade, EggPart.YOLK) + egg_mass(grade, EggPart.WHITE) == pytest.approx(whole)
    # Shell 9-12 % of the egg: common practice.
    assert 0.09 <= 1 - whole / grade.in_shell_g <= 0.12


@pytest.mark.parametrize("density", [0, -1, math.nan, math.inf, 1e9])
def test_impossible_densities_are_refused(density: float) -> None:
    with pytest.raises(OutOfRange) as refusal:
        Ingredient("x", "X", density)
    assert refusal.value.field == "density_g_ml"
