"""What a label and a bill ask: energy, cost, allergens."""

from collections.abc import Mapping
from dataclasses import dataclass

from fernbell.core.formulas.book import Book, Line
from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.gauge import Gauge, Section
from fernbell.core.formulas.readings import FormulaReading
from fernbell.core.pantry import COMPONENTS, check_allergens
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

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


def energy(made: Composition) -> Gauge:
    """Energy in 100 g; sum of grams times the factors, kcal and kJ each from the components.

    Args:
        made: grams of each component [g].
    Returns:
        the reading, kJ beside it [kcal in 100 g].
    Source:
        Regulation (EU) 1169/2011, Annex XIV, from memory.
    """
    valid = "any make-up; rounded for a label only at the end"
    parts = (*ENERGY, "polyol")
    if not made.known(*parts):
        return Gauge("energy", "Energy", Section.COSTS, None, valid, made.needs(*parts))
    kcal, kj = (_energy(made, place) for place in (0, 1))
    return Gauge("energy", "Energy", Section.COSTS, kcal, valid, other=kj)


def _energy(made: Composition, place: int) -> Working:
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
        rule="grams of each component × its energy / what is left after cooking",
        arithmetic=f"100 × ({sum_}) / {figure_text(made.mass_g)} = {figure_text(value)}",
        source=ENERGY_SOURCE,
    )


def costs(
    book: Book, readings: Mapping[str, FormulaReading], currency: str = ""
) -> dict[str, Gauge]:
    """What 100 g of each formula cost, as finished: what is lost is paid for too.

    Args:
        book: where prices are looked up [Book].
        readings: formulas in building order [FormulaReading].
        currency: what prices are in [text].
    Returns:
        readings by key, the whole formula beside it [currency in 100 g].
    Source:
        sum of the lines; prices are the pantry's.
    """
    made: dict[str, Gauge] = {}
    for key, reading in readings.items():
        made[key] = _cost(book, reading, made, currency)
    return made


def _cost(book: Book, reading: FormulaReading, made: Mapping[str, Gauge], currency: str) -> Gauge:
    valid = "ingredients only; no work, no oven"
    terms: list[tuple[str, float, float]] = []
    needs: dict[str, None] = {}
    for line in reading.formula.lines:
        price, wanted = _price(book, line, made)
        needs.update(dict.fromkeys(wanted if line.mass_g else ()))
        if price is not None:
            terms.append((book.line_name(line), line.mass_g, price))
    if needs or not reading.finished_g:
        return Gauge("cost", "Cost", Section.COSTS, None, valid, tuple(needs))
    whole = sum(mass * price for _, mass, price in terms)
    sum_ = " + ".join(f"{figure_text(mass)} × {1000 * price:.2f}" for _, mass, price in terms)
    batch = Working(
        figure=f"Cost of {reading.formula.name}",
        value=whole,
        unit=f"{currency} the batch".strip(),
        given=tuple(Given(name, 1000 * price, f"{currency}/kg") for name, _, price in terms),
        rule="sum of grams × price of a kilogram / 1000",
        arithmetic=f"({sum_}) / 1000 = {whole:.2f}",
        source="prices are the pantry's",
    )
    value = 100 * whole / reading.finished_g
    working = Working(
        figure=f"Cost of 100 g of {reading.formula.name}, finished",
        value=value,
        unit=f"{currency} in 100 g".strip(),
        given=(Given("the batch", whole, currency), Given("finished", reading.finished_g, "g")),
        rule="cost of the batch / what is finished of it",
        arithmetic=f"100 × {whole:.2f} / {figure_text(reading.finished_g)} = {value:.2f}",
        source=MASS_BALANCE + "; prices are the pantry's",
        steps=(batch, reading.finished_working),
    )
    return Gauge("cost", "Cost", Section.COSTS, working, valid, other=batch)


def _price(
    book: Book, line: Line, made: Mapping[str, Gauge]
) -> tuple[float | None, tuple[str, ...]]:
    """Price of a gram of a line, and whose price is wanted where it is unknown."""
    if line.formula is not None:
        nested = made[line.formula]
        return (nested.working.value / 100, ()) if nested.working else (None, nested.needs)
    ingredient = book.ingredient(line.ingredient or "")
    if ingredient.price_per_kg is None:
        return None, (ingredient.name,)
    return ingredient.price_per_kg / 1000, ()


@dataclass(frozen=True, slots=True)
class Declared:
    """Allergens a formula contains, each with the ingredients it comes from.

    `unknown` names the ingredients for which nobody entered whether they hold any.
    """

    contains: Mapping[str, tuple[str, ...]]
    unknown: tuple[str, ...]


def declared(book: Book, keys: tuple[str, ...]) -> Declared:
    """Allergens of formulas in building order, everything nested in them included.

    Args:
        book: where allergens are looked up [Book].
        keys: formulas, the nested ones included, shape (n,) [keys].
    Returns:
        allergens and what is unknown [Declared].
    Source:
        Regulation (EU) 1169/2011, Annex II, from memory; traces are not covered.
    """
    found: dict[str, dict[str, None]] = {}
    unknown: dict[str, None] = {}
    for key in keys:
        for line in book.formula(key).lines:
            if line.ingredient is None or not line.mass_g:
                continue
            ingredient = book.ingredient(line.ingredient)
            if ingredient.allergens is None:
                unknown[ingredient.name] = None
            for allergen in ingredient.allergens or ():
                found.setdefault(allergen, {})[ingredient.name] = None
    in_order = check_allergens(tuple(found))
    return Declared({key: tuple(found[key]) for key in in_order}, tuple(unknown))
