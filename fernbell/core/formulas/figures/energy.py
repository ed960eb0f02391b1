"""Energy in 100 g, from the components."""

from collections.abc import Mapping
from functools import partial

from fernbell.core.formulas.figures.figure import Figure, always, whole
from fernbell.core.formulas.gauge import Section
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import COMPONENTS
from fernbell.core.working import Given, Working, figure_text

_EU = "Regulation (EU) 1169/2011, Annex XIV, from memory"
_CARBOHYDRATE = (
    *("sucrose", "glucose", "fructose", "lactose", "maltose"),
    *("glucose_syrup_solids", "starch", "other_carbohydrate"),
)
ENERGY: Mapping[str, tuple[float, float]] = {
    **dict.fromkeys(("milk_fat", "cocoa_butter", "other_fat"), (9.0, 37.0)),
    **dict.fromkeys(_CARBOHYDRATE, (4.0, 17.0)),
    **dict.fromkeys(("protein", "gelatin"), (4.0, 17.0)),
    **dict.fromkeys(("fiber", "pectin"), (2.0, 8.0)),
    "polyols": (2.4, 10.0),
    "acids": (3.0, 13.0),
    "alcohol": (7.0, 29.0),
    "cocoa_solids": (2.5, 10.4),
}
"""kcal and kJ in 1 g. Fat-free cocoa solids: about a quarter protein, two fifths fiber and a fifth
carbohydrate, from memory."""

NO_ENERGY_POLYOL = "erythritol"
ENERGY_SOURCE = _EU + "; fat-free cocoa solids 2.5 kcal a gram, from memory"


def _energy(place: int, mix: Mix) -> Working:
    mix.grams(*ENERGY)
    made = mix.own
    unit = ("kcal in 100 g", "kJ in 100 g")[place]
    bare = made.kinds.get(("polyols", NO_ENERGY_POLYOL), 0.0)
    terms = [
        (part, made.grams[part] - (bare if part == "polyols" else 0.0), factors[place])
        for part, factors in ENERGY.items()
        if made.grams[part]
    ]
    value = 100 * sum(grams * factor for _, grams, factor in terms) / made.mass_g
    sum_ = " + ".join(f"{figure_text(grams)} × {factor:g}" for _, grams, factor in terms) or "0"
    return Working(
        figure=f"Energy in 100 g of {made.name}",
        value=value,
        unit=unit,
        given=(
            *(Given(COMPONENTS[part], grams, "g") for part, grams, _ in terms),
            Given("left after cooking", made.mass_g, "g"),
        ),
        law="grams of each component × its energy / what is left after cooking",
        arithmetic=f"100 × ({sum_}) / {figure_text(made.mass_g)} = {figure_text(value)}",
        source=ENERGY_SOURCE,
    )


def _kcal(mix: Mix) -> float:
    return _energy(0, mix).value * mix.own.mass_g / 100


ENERGY_IN_100_G = Figure(
    "energy",
    "Energy",
    "kcal in 100 g",
    _kcal,
    whole,
    "energy of the components",
    "the whole",
    100,
    ENERGY_SOURCE,
    section=Section.COSTS,
    parts=(*ENERGY, "polyol"),
    valid="any make-up; rounded for a label only at the end",
    shown=always,
    explain=partial(_energy, 0),
    other=partial(_energy, 1),
    decimals=0,
)
