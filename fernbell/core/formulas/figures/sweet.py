"""How sweet: each sugar by its sweetness beside sucrose."""

from collections.abc import Iterator
from itertools import pairwise

from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.cooking import SOLUBLE_KINDS
from fernbell.core.formulas.figures.contents import SWEETENS
from fernbell.core.formulas.figures.figure import Figure, always, whole
from fernbell.core.formulas.gauge import Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import COMPONENTS
from fernbell.core.working import Given, Working, figure_text

SWEET_OF = {"sucrose": 1.0, "glucose": 0.7, "fructose": 1.2, "lactose": 0.2, "maltose": 0.4}
POLYOL_SWEETNESS = {
    "sorbitol": 0.6,
    "mannitol": 0.5,
    "erythritol": 0.65,
    "glycerol": 0.6,
    "xylitol": 1.0,
    "maltitol": 0.9,
    "isomalt": 0.5,
}
_SYRUP = ((10.0, 0.1), (28.0, 0.3), (42.0, 0.5), (60.0, 0.65), (100.0, 0.7))
"""Glucose-syrup solids: DE and sweetness, straight between."""

SWEET_SOURCE = (
    "sweetness beside sucrose, middles of published ranges, from memory; acid, salt, cold and "
    "bitterness are not counted"
)
SWEET_PARTS = (*SWEET_OF, "polyols", "polyol", "glucose_syrup_solids", "dextrose_equivalent")


def syrup_sweetness(dextrose_equivalent: float) -> float:
    """Sweetness of glucose-syrup solids beside sucrose; linear between the points of a table.

    Args:
        dextrose_equivalent: DE, 10 to 100 [%].
    Returns:
        sweetness [1].
    Source:
        middles of ranges for DE 28, 42, 60, from memory.
    """
    for (low, at_low), (high, at_high) in pairwise(_SYRUP):
        if dextrose_equivalent <= high:
            share = max(0.0, (dextrose_equivalent - low) / (high - low))
            return at_low + share * (at_high - at_low)
    return _SYRUP[-1][1]


def _terms(made: Composition) -> Iterator[tuple[str, float, float]]:
    """Name, grams and sweetness beside sucrose of each sugar."""
    for part, sweet in SWEET_OF.items():
        if made.grams.get(part):
            yield COMPONENTS[part], made.grams[part], sweet
    for (component, kind), grams in made.kinds.items():
        if component == "polyols":
            yield str(kind), grams, POLYOL_SWEETNESS[str(kind)]
        elif component == "glucose_syrup_solids":
            yield f"syrup solids DE {kind:g}", grams, syrup_sweetness(float(kind))


def _sweet(mix: Mix) -> float:
    mix.grams(*(part for part in SWEET_PARTS if part not in SOLUBLE_KINDS))
    if not mix.own.known(*SWEET_PARTS):
        mix.grams(*SWEET_PARTS)
    return sum(g * sweet for _, g, sweet in _terms(mix.own))


def _worked(mix: Mix) -> Working:
    _sweet(mix)
    made, terms = mix.own, tuple(_terms(mix.own))
    value = 100 * sum(grams * sweet for _, grams, sweet in terms) / made.mass_g
    sum_ = " + ".join(f"{figure_text(grams)} × {sweet:g}" for _, grams, sweet in terms) or "0"
    return Working(
        figure=f"Sweetness of {made.name}",
        value=value,
        unit="sugar = 100",
        given=(
            *(Given(name, grams, "g") for name, grams, _ in terms),
            Given("left after cooking", made.mass_g, "g"),
        ),
        law="grams of each sugar × its sweetness beside sucrose / what is left after cooking",
        arithmetic=f"100 × ({sum_}) / {figure_text(made.mass_g)} = {figure_text(value)}",
        source=SWEET_SOURCE,
    )


SWEETNESS = Figure(
    "sweetness",
    "Sweetness",
    "sugar = 100",
    _sweet,
    whole,
    "sugars, each by its sweetness",
    "the whole",
    100,
    SWEET_SOURCE,
    parts=SWEET_PARTS,
    valid="up to about 60 % sugars; beyond that the tongue tells no difference",
    shown=always,
    asked=True,
    explain=_worked,
    beside="",
    moves={Verdict.BELOW: (SWEETENS,), Verdict.ABOVE: (SWEETENS,)},
)
