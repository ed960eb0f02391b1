"""How much cooks off: a share as it was weighed, or until a thermometer, refractometer or scale."""

from collections.abc import Collection, Mapping
from dataclasses import dataclass

from fernbell.core.errors import CoreError
from fernbell.core.formulas.book import CookedTo, Formula, Until
from fernbell.core.heat import (
    SOLUTES,
    SYRUP_SOURCE,
    Solute,
    Solution,
    merged,
    sucrose_at,
    sucrose_equivalent,
    syrup_solids,
    water_left,
)
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

DISSOLVED: Mapping[str, str] = {
    "sucrose": "sucrose",
    "glucose": "glucose",
    "fructose": "fructose",
    "lactose": "lactose",
    "maltose": "maltose",
    "acids": "citric acid",
    "salt": "salt",
    "alcohol": "alcohol",
}
"""Components that dissolve, and as what each counts; polyols and syrup go by their kind."""

SALTS, REST = "salts", "soluble rest"
"""What is dissolved and no component of its own: salts that came with milk and egg, counted as so
much salt; what else of a fruit is dissolved, counted as sucrose."""
_BESIDE = {SALTS: "salt", REST: "sucrose"}

SOLUBLE = (*DISSOLVED, "polyols", "glucose_syrup_solids")
SOLUBLE_KINDS = ("polyol", "dextrose_equivalent")


@dataclass(frozen=True, slots=True)
class Cooking:
    """What cooked off [g, % of what was weighed], with its working where a sign is cooked to.

    `refusal` says why the sign could not be followed; the share on the formula then stands in.
    """

    lost_g: float = 0.0
    percent: float = 0.0
    working: Working | None = None
    refusal: str = ""


def dissolved(
    grams: Mapping[str, float], kinds: Mapping[tuple[str, str | float], float]
) -> tuple[tuple[Solute, float], ...]:
    """What of a composition is dissolved in its water.

    Args:
        grams: grams of each component [g].
        kinds: grams of those that are of a kind [g].
    Returns:
        solutes and grams, each once, shape (n,) [g].
    Source:
        convention: acids count as citric acid, salt as two ions, alcohol as ideal; the salts of
        milk and egg as so much salt as makes them freeze where they do; what else of a fruit is
        dissolved as sucrose.
    """
    plain = ((SOLUTES[name], grams.get(part, 0.0)) for part, name in DISSOLVED.items())
    told = (
        (syrup_solids(float(kind)) if part == "glucose_syrup_solids" else SOLUTES[str(kind)], own)
        for (part, kind), own in kinds.items()
        if part in ("glucose_syrup_solids", "polyols")
    )
    beside = ((SOLUTES[_BESIDE[part]], own) for (part, _), own in kinds.items() if part in _BESIDE)
    return merged((*plain, *told, *beside))


def cook(
    formula: Formula,
    batch_g: float,
    grams: Mapping[str, float],
    kinds: Mapping[tuple[str, str | float], float],
    unknown: Collection[str],
    altitude_m: float,
) -> Cooking:
    """How much water leaves a batch when it is cooked as the formula says.

    Args:
        formula: whose losses are followed [Formula].
        batch_g: what was weighed [g].
        grams: grams of each component before cooking [g].
        kinds: grams of those that are of a kind [g].
        unknown: components and kinds that are not known [names].
        altitude_m: height of the kitchen above the sea [m].
    Returns:
        what cooked off, never less than nothing [Cooking].
    Source:
        mass balance; temperatures by the boiling curve of syrups.
    """
    stands_in = formula.losses.cooking_percent
    plain = Cooking(batch_g * stands_in / 100, stands_in)
    sign = formula.losses.cooked_to
    if sign is None or batch_g == 0:
        return plain
    wanted = () if sign.until is Until.WEIGHT else ("water", *SOLUBLE, *SOLUBLE_KINDS)
    if any(part in unknown for part in wanted):
        refusal = "Not every make-up is known."
        return Cooking(plain.lost_g, plain.percent, refusal=refusal)
    try:
        return _to_sign(
            formula.name, sign, batch_g, grams["water"], dissolved(grams, kinds), altitude_m
        )
    except CoreError as error:
        return Cooking(plain.lost_g, plain.percent, refusal=str(error))


def _to_sign(
    name: str,
    sign: CookedTo,
    batch_g: float,
    water_g: float,
    parts: tuple[tuple[Solute, float], ...],
    altitude_m: float,
) -> Cooking:
    # Alcohol is gone before a syrup boils at its temperature; it is not counted here.
    sugars = tuple((one, mass) for one, mass in parts if one.name != "alcohol")
    own = Solution(water_g, sugars)
    left = _water_left(own, sign, batch_g, altitude_m)
    lost = water_g - left.value
    if lost < 0:
        return Cooking(refusal=_too_strong(sign))
    percent = 100 * lost / batch_g
    working = Working(
        figure=f"Cooks off from {name}",
        value=percent,
        unit="%",
        given=(Given("weighed", batch_g, "g"), Given("water before", water_g, "g")),
        law="(water before − water left) / what was weighed",
        arithmetic=f"100 × ({figure_text(water_g)} − {figure_text(left.value)}) / "
        f"{figure_text(batch_g)} = {figure_text(percent)} %",
        source=MASS_BALANCE,
        steps=(left,),
    )
    return Cooking(lost, percent, working)


def _water_left(own: Solution, sign: CookedTo, batch_g: float, altitude_m: float) -> Working:
    if sign.until is Until.WEIGHT:
        return _by_scale(own, sign.value, batch_g)
    if sign.until is Until.BRIX:
        return _by_refractometer(own, sign.value)
    return _by_thermometer(own, sign.value, altitude_m)


def _by_scale(own: Solution, cooked_g: float, batch_g: float) -> Working:
    left = own.water_g - batch_g + cooked_g
    return Working(
        figure="Water left at that weight",
        value=left,
        unit="g",
        given=(Given("weighed", batch_g, "g"), Given("cooked to", cooked_g, "g")),
        law="water before − (what was weighed − what the pan holds at the end)",
        arithmetic=f"{figure_text(own.water_g)} − ({figure_text(batch_g)} − "
        f"{figure_text(cooked_g)}) = {figure_text(left)} g",
        source=MASS_BALANCE,
    )


def _by_refractometer(own: Solution, brix: float) -> Working:
    left = own.solids_g * (100 / brix - 1)
    return Working(
        figure=f"Water left at {brix:g} °Bx",
        value=left,
        unit="g",
        given=(Given("dissolved", own.solids_g, "g"), Given("cooked to", brix, "°Bx")),
        law="dissolved × (100 / Brix − 1); a refractometer sees what is dissolved",
        arithmetic=f"{figure_text(own.solids_g)} × (100 / {brix:g} − 1) = {figure_text(left)} g",
        source=MASS_BALANCE,
    )


def _by_thermometer(own: Solution, temperature_c: float, altitude_m: float) -> Working:
    left = water_left(own, temperature_c, altitude_m)
    equivalent, percent = sucrose_equivalent(own), sucrose_at(temperature_c, altitude_m)
    return Working(
        figure=f"Water left at {temperature_c:g} °C",
        value=left,
        unit="g",
        given=(
            Given("dissolved", own.solids_g, "g"),
            Given("as much as sucrose of", equivalent, "g"),
            Given("altitude", altitude_m, "m"),
            Given(f"sucrose in a syrup that boils at {temperature_c:g} °C", percent, "%"),
        ),
        law="sucrose-equivalent × (100 / sucrose % − 1)",
        arithmetic=f"{figure_text(equivalent)} × (100 / {figure_text(percent)} − 1) = "
        f"{figure_text(left)} g",
        source=SYRUP_SOURCE + "; mixed sugars as sucrose of the same water activity, an "
        "approximation",
    )


def _too_strong(sign: CookedTo) -> str:
    unit = {Until.TEMPERATURE: "°C", Until.BRIX: "°Bx", Until.WEIGHT: "g"}[sign.until]
    return (
        f"It is stronger than {sign.value:g} {unit} before it is cooked: nothing has to cook off."
    )
