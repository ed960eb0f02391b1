"""Gelatin as of 200 bloom, on the water and on the whole, by two schools."""

from functools import partial
from typing import Literal

from fernbell.core.formulas.composition import GELATIN_LEAF, Composition
from fernbell.core.formulas.figures.figure import Figure, whole
from fernbell.core.formulas.gauge import Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import (
    AS_SOLD_DRY,
    REFERENCE_BLOOM,
    SCHOOL_SOURCE,
    WHY_TWO,
    School,
    gelatin_as,
)
from fernbell.core.working import Given, Working, figure_text

_STRENGTH = "0.3 to 8 %; acid, sugar, boiling and raw pineapple or kiwi weaken it"

Base = Literal["water", "whole"]


def gelatin_g(mix: Mix) -> float:
    """Gelatin as if all of it were of 200 bloom, by the square root.

    Args:
        mix: the formula [Mix].
    Returns:
        gelatin as sold; leaves count leaf for leaf, powder by the root of its bloom [g].
    Raises:
        Lacking: its grams or its bloom are unknown.
    Source:
        see the schools.
    """
    if not mix.own.known("gelatin", "bloom"):
        mix.grams("bloom")
    return sum(_as_reference(mix.own, None))


def _as_reference(made: Composition, school: School | None) -> list[float]:
    """Each as of 200 bloom [g]; without a school by its own."""
    return [
        gelatin_as(grams, bloom, REFERENCE_BLOOM, school or SCHOOL_OF[component])
        for component, bloom, grams in _sold(made)
    ]


SCHOOL_OF = {"gelatin": School.SQUARE_ROOT, GELATIN_LEAF: School.LINEAR}
_SHARE = {School.LINEAR: "bloom / 200", School.SQUARE_ROOT: "√(bloom / 200)"}


def _sold(made: Composition) -> list[tuple[str, float, float]]:
    """Powder or leaf, bloom and grams as sold of each gelatin."""
    return [
        (component, float(bloom), grams / AS_SOLD_DRY)
        for (component, bloom), grams in made.kinds.items()
        if component in SCHOOL_OF
    ]


def _worked(on: Base, school: School | None, mix: Mix) -> Working:
    gelatin_g(mix)
    made = mix.own
    base = mix.grams("water") if on == "water" else made.mass_g
    sold, terms = _sold(made), _as_reference(made, school)
    value = 100 * sum(terms) / base
    used = dict.fromkeys(school or SCHOOL_OF[component] for component, _, _ in sold)
    schools = " and ".join(used)
    return Working(
        figure=f"Gelatin of 200 bloom on the {on} of {made.name}, {schools}",
        value=value,
        unit="%",
        given=(
            *(Given(f"{word}, {bloom:g} bloom", grams, "g") for word, bloom, grams in sold),
            Given("water" if on == "water" else "left after cooking", base, "g"),
        ),
        law=f"gelatin as sold × {' or '.join(_SHARE[one] for one in used)}, on the {on}",
        arithmetic=f"100 × ({' + '.join(figure_text(term) for term in terms)}) / "
        f"{figure_text(base)} = {figure_text(value)} %",
        source=f"{'; '.join(SCHOOL_SOURCE[one] for one in used)}. {WHY_TWO}",
    )


def _there(mix: Mix, kind: str) -> bool:
    """Where there is gelatin, or nobody knows."""
    del kind
    return bool(mix.own.grams.get("gelatin")) or "gelatin" in mix.own.unknown


def _gelatin_on(base: Base) -> Figure:
    water = base == "water"
    mended = ("gelatin",)
    return Figure(
        f"gelatin-{base}",
        f"Gelatin on the {base}",
        "%",
        gelatin_g,
        (lambda mix: mix.grams("water")) if water else whole,
        "gelatin as of 200 bloom",
        "water" if water else "the whole",
        100,
        parts=("gelatin", "bloom", "water") if water else ("gelatin", "bloom"),
        on="water" if water else "",
        valid=_STRENGTH,
        shown=_there,
        asked=water,
        explain=partial(_worked, base, None),
        other=partial(_worked, base, School.LINEAR),
        decimals=2,
        other_says="leaf for leaf",
        moves={Verdict.BELOW: (mended,), Verdict.ABOVE: (mended,)} if water else {},
    )


GELATIN_ON_WATER, GELATIN_ON_WHOLE = _gelatin_on("water"), _gelatin_on("whole")
