"""Answers to cases on syrups, water activity, gelatin and composition, by calling core."""

import re
from collections.abc import Iterator
from typing import Any

from fernbell.core.formulas import Book, Character, Formula, Line, characterize
from fernbell.core.heat import (
    air_pressure,
    baume_of,
    boiling_point,
    brix_of,
    freezing_point,
    gravity_of,
    ideal_activity,
    solution,
    steam_temperature,
    sucrose_at,
    syrup_density,
    water_activity,
    water_left,
)
from fernbell.core.pantry import Ingredient, MakeUp, School, completed, gelatin_as
from tests.core.outside.ifct import Food, as_told, foods

Case = dict[str, Any]
Rows = Iterator[tuple[str, float | str]]


def norrish_rows(case: Case) -> Rows:
    """Water activity and boiling point by Norrish, at the altitude the case is named for."""
    inputs = case["inputs"]
    named = re.search(r"at (\d+) m$", case["name"])
    pressure = air_pressure(float(named[1])) if named else inputs["pressure_Pa"]
    yield "air pressure (standard atmosphere)", pressure / 100
    yield "pure water boils at", steam_temperature(pressure)
    for percent in inputs["sucrose_percent"]:
        activity = water_activity(solution(100 - percent, {"sucrose": percent}))
        yield f"water activity at {percent} % (K=6.47)", activity
        yield f"boiling point at {percent} % with Norrish", steam_temperature(pressure / activity)


def thermometer_rows(inputs: Case) -> Rows:
    """Strength of sucrose syrups by their boiling temperature."""
    for t in inputs["t_C"]:
        yield f"sucrose for a thermometer reading of {t} C", sucrose_at(t, inputs["altitude_m"])


def altitude_rows(inputs: Case) -> Rows:
    """Boiling points above the sea, and how much lower they are."""
    for percent, altitude in inputs["sucrose_percent_and_altitude_m"]:
        there, here = boiling_point(percent, altitude), boiling_point(percent)
        yield f"boiling point at {percent} %, {altitude} m", there
        yield f"   lowering against sea level, {percent} %, {altitude} m", here - there


def hydrometer_rows(inputs: Case) -> Rows:
    """Density, Baumé and Brix."""
    for brix in inputs.get("brix", []):
        yield f"density 20 C at {brix} Bx", syrup_density(brix)
        yield f"Baume (modulus 145, SG 20/20) at {brix} Bx", baume_of(brix)
    for degrees in inputs.get("baume", []):
        yield f"SG at {degrees} Be (145)", gravity_of(degrees)
        yield f"Brix at {degrees} Be (145)", brix_of(degrees)


def curve_rows(inputs: Case) -> Rows:
    """Boiling points at the sea where a pressure is named, else freezing points."""
    for percent in inputs["sucrose_percent"]:
        if "pressure_Pa" in inputs:
            yield f"boiling point at {percent} %", boiling_point(percent)
        else:
            syrup = solution(100 - percent, {"sucrose": percent})
            yield f"freezing point at {percent} %", freezing_point(syrup)


def boiled_rows(inputs: Case) -> Rows:
    """A syrup boiled down to a temperature."""
    sugar, water = inputs["sugar_g"], inputs["water_g"]
    left = water_left(
        solution(water, {"sucrose": sugar}), inputs["final_t_C"], inputs["altitude_m"]
    )
    yield "final concentration", 100 * sugar / (sugar + left)
    yield "final mass", sugar + left
    yield "water evaporated", water - left
    yield "water left", left


def activity_rows(inputs: Case) -> Rows:
    """Water activity of several solutes; glucose-syrup solids are named with their DE."""
    named = {
        name.replace("syrup_solids_DE", "DE "): mass for name, mass in inputs["dissolved_g"].items()
    }
    own = solution(inputs["water_g"], named)
    yield "aw, Norrish several solutes", water_activity(own)
    yield "aw, any of the three", water_activity(own)
    yield "ideal (Raoult), must be higher than the above", ideal_activity(own)


def gelatin_rows(inputs: Case) -> Rows:
    """Gelatin of one bloom as another, by both schools."""
    for mass, bloom, other in inputs["m_b1_b2"]:
        for school in School:
            key = f"{mass} g of {bloom} bloom as {other} bloom, {school}"
            yield key, gelatin_as(mass, bloom, other, school)


def _mixed(parts: list[tuple[float, str, MakeUp]]) -> Character:
    pantry = tuple(Ingredient(key, key, make_up=make_up) for _, key, make_up in parts)
    lines = tuple(Line(key, mass, key) for mass, key, _ in parts)
    return characterize(Book(pantry, (Formula("mix", "Mix", lines),)), "mix")


def _energy(own: Character) -> tuple[float, float]:
    gauge = next(one for one in own.gauges if one.code == "energy")
    assert gauge.working
    assert gauge.other
    return gauge.working.value, gauge.other.value


def food_rows(inputs: Case) -> Rows:
    """Foods of a composition table, and their energy by the EU factors."""
    table = foods()
    words = {"carb": "carbohydrate", "fibre": "fiber"}
    for code in inputs["codes"]:
        food: Food = table[code]
        told = as_told(food.make_up) if food.total > 98.5 else food.grams
        for name in ("water", "protein", "fat", "carb", "fibre", "ash"):
            yield f"{code} {food.name}: {name}", told[words.get(name, name)]
        yield f"{code} {food.name}: table energy column", food.energy_kj
        # A row that lacks something is filled up with water, which has no energy.
        lacking = max(0.0, 100 - food.total)
        filled = {**food.grams, "water": food.grams["water"] + lacking}
        own = Food(code, food.name, (), filled, 0)
        kcal, kj = _energy(_mixed([(100, code, own.make_up)]))
        yield f"{code} {food.name}: EU label energy", kcal
        yield f"{code} {food.name}: EU label energy (kJ)", kj


PURE = {
    "carb": {"sucrose": 100},
    "erythritol": {"polyols": 100, "polyol": "erythritol"},
    "fat": {"other_fat": 100},
}


def batter_rows(inputs: Case) -> Rows:
    """A batter of table foods and pure substances: composition and energy."""
    table = foods()
    parts = [(mass, code, table[code].make_up) for mass, code in inputs["parts"]]
    parts += [
        (mass, name, completed(MakeUp(**PURE[name])))
        for name, mass in inputs["added_pure_g"].items()
    ]
    own = _mixed(parts)
    mass, grams = own.composition.mass_g, own.composition.grams
    kcal, kj = _energy(own)
    yield "mass", mass
    yield "energy total", kcal * mass / 100
    yield "energy total (kJ)", kj * mass / 100
    yield "energy per 100 g", kcal
    yield "energy per 100 g (kJ)", kj
    told = as_told(completed(MakeUp(**{name: 100 * gram / mass for name, gram in grams.items()})))
    for name, word in (("water", "water"), ("protein", "protein"), ("fat", "fat")):
        yield f"{name} per 100 g", told[word]
    yield "carb per 100 g", told["carbohydrate"]
    yield "fibre per 100 g", told["fiber"]


ANSWERS = (
    ({"sugar_g", "water_g", "final_t_C"}, boiled_rows),
    ({"dissolved_g"}, activity_rows),
    ({"m_b1_b2"}, gelatin_rows),
    ({"codes"}, food_rows),
    ({"parts", "added_pure_g"}, batter_rows),
    ({"t_C", "altitude_m"}, thermometer_rows),
    ({"sucrose_percent_and_altitude_m"}, altitude_rows),
    ({"brix"}, hydrometer_rows),
    ({"baume"}, hydrometer_rows),
    ({"sucrose_percent"}, curve_rows),
)


def mixture_rows(case: Case) -> Rows:
    """Syrups, solutions, gelatin and composition, by the shape of the inputs."""
    inputs = case["inputs"]
    if {"sucrose_percent", "K"} <= set(inputs):
        return norrish_rows(case)
    fitting = (answer(inputs) for keys, answer in ANSWERS if keys <= set(inputs))
    return next(fitting, iter(()))
