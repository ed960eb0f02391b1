"""What a formula is made of, from what goes into it: mass is conserved component by component."""

from collections.abc import Iterable, Mapping
from dataclasses import dataclass

from fernbell.core.formulas.book import Book, Formula, Line
from fernbell.core.formulas.readings import building_order
from fernbell.core.pantry import COMPONENTS, FATS, SUGARS
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text


@dataclass(frozen=True, slots=True)
class Composition:
    """Grams of each component in what is left of a formula after cooking.

    A component is missing where one of the ingredients leaves it unknown; `unknown` names, by
    component, whose make-up would have to be known. `overcooked` names the formulas in which
    more cooks off than there is water, which leaves the water unknown.
    """

    name: str
    mass_g: float
    grams: Mapping[str, float]
    unknown: Mapping[str, tuple[str, ...]]
    overcooked: tuple[str, ...] = ()


def compose(book: Book, keys: Iterable[str]) -> dict[str, Composition]:
    """Compose formulas and everything nested in them.

    What cooks off is counted as water; what stays in the pan or is tasted has the same make-up.

    Args:
        book: where formulas and ingredients are looked up [Book].
        keys: the formulas wanted [keys].
    Returns:
        compositions by key, in building order [g].
    Raises:
        FormulaCircle: one of them contains itself.
        UnknownKey: a line points at nothing.
    Source:
        mass balance, exact.
    """
    made: dict[str, Composition] = {}
    for key in building_order(book, keys):
        made[key] = _compose(book, book.formula(key), made)
    return made


def _compose(book: Book, formula: Formula, made: Mapping[str, Composition]) -> Composition:
    batch = sum(line.mass_g for line in formula.lines)
    boiled_off = batch * formula.losses.cooking_percent / 100
    grams = dict.fromkeys(COMPONENTS, 0.0)
    unknown: dict[str, dict[str, None]] = {}
    overcooked: dict[str, None] = {}
    for line in formula.lines:
        if not line.mass_g:
            continue
        shares, lacking, burnt = _shares(book, line, made)
        overcooked.update(dict.fromkeys(burnt))
        for name in COMPONENTS:
            if name in shares:
                grams[name] += line.mass_g * shares[name]
            else:
                unknown.setdefault(name, {}).update(dict.fromkeys(lacking.get(name, ())))
    grams["water"] -= boiled_off
    if grams["water"] < 0 and "water" not in unknown:
        overcooked[formula.name] = None
    if overcooked:
        unknown.setdefault("water", {})
    return Composition(
        formula.name,
        batch - boiled_off,
        {name: own for name, own in grams.items() if name not in unknown},
        {name: tuple(whose) for name, whose in unknown.items()},
        tuple(overcooked),
    )


def _shares(
    book: Book, line: Line, made: Mapping[str, Composition]
) -> tuple[Mapping[str, float], Mapping[str, tuple[str, ...]], tuple[str, ...]]:
    """Shares of a line that are known [1], whose make-up the others want, what overcooks."""
    if line.formula is not None:
        nested = made[line.formula]
        if nested.mass_g <= 0:
            return {}, dict.fromkeys(COMPONENTS, (nested.name,)), ()
        shares = {name: grams / nested.mass_g for name, grams in nested.grams.items()}
        return shares, nested.unknown, nested.overcooked
    ingredient = book.ingredient(line.ingredient or "")
    known = ingredient.make_up.known if ingredient.make_up else {}
    shares = {name: grams / 100 for name, grams in known.items()}
    return shares, dict.fromkeys(COMPONENTS, (ingredient.name,)), ()


@dataclass(frozen=True, slots=True)
class Content:
    """One reading of what a formula contains.

    Without a working it is unknown: `needs` names the ingredients whose make-up it wants, and
    `overcooked` the formulas that cook off more than they have water.
    """

    name: str
    working: Working | None
    needs: tuple[str, ...] = ()
    overcooked: tuple[str, ...] = ()


_READINGS: Mapping[str, tuple[str, ...]] = {
    "Water": ("water",),
    "Fat": FATS,
    "Sugars": SUGARS,
    "Milk fat": ("milk_fat",),
    "Cocoa butter": ("cocoa_butter",),
    "Cocoa solids, fat-free": ("cocoa_solids",),
    "Glucose-syrup solids": ("glucose_syrup_solids",),
    "Protein": ("protein",),
    "Alcohol": ("alcohol",),
    "Salt": ("salt",),
}
_ALWAYS = {"Water", "Fat", "Sugars"}
"""Readings shown even where there is nothing of it. Sugars are those told apart: what glucose
syrup holds of them depends on its DE, so its solids are a reading of their own."""


def contents(composition: Composition) -> tuple[Content, ...]:
    """Read a composition: how much of what matters is in it, in per cent of its mass.

    Args:
        composition: grams of each component [g].
    Returns:
        readings; those of which there is nothing are left out, but for water, fat, sugars [%].
    Source:
        mass balance, exact; solids are all that is neither water nor alcohol.
    """
    read = [_content(composition, name, parts) for name, parts in _READINGS.items()]
    shown = [
        one for one in read if one.name in _ALWAYS or one.working is None or one.working.value > 0
    ]
    return (*shown[:1], _solids(composition), *shown[1:])


def _content(composition: Composition, name: str, parts: tuple[str, ...]) -> Content:
    if not _known(composition, parts):
        return _unknown(composition, name, parts)
    grams = tuple((COMPONENTS[part], composition.grams[part]) for part in parts)
    present = tuple((word, own) for word, own in grams if own) or grams[:1]
    total = sum(own for _, own in grams)
    percent = 100 * total / composition.mass_g
    terms = " + ".join(figure_text(own) for _, own in present)
    return Content(
        name,
        Working(
            figure=f"{name} in {composition.name}",
            value=percent,
            unit="%",
            given=(
                *(Given(word, own, "g") for word, own in present),
                Given("left after cooking", composition.mass_g, "g"),
            ),
            rule="grams of it, summed over the lines / what is left after cooking",
            arithmetic=f"100 × ({terms}) / {figure_text(composition.mass_g)} = "
            f"{figure_text(percent)} %",
            source=MASS_BALANCE + "; the make-ups are the pantry's",
        ),
    )


def _solids(composition: Composition) -> Content:
    parts = ("water", "alcohol")
    if not _known(composition, parts):
        return _unknown(composition, "Solids", parts)
    water, alcohol, mass = (*(composition.grams[one] for one in parts), composition.mass_g)
    percent = 100 * (mass - water - alcohol) / mass
    return Content(
        "Solids",
        Working(
            figure=f"Solids in {composition.name}",
            value=percent,
            unit="%",
            given=(
                Given("left after cooking", mass, "g"),
                Given("water", water, "g"),
                Given("alcohol", alcohol, "g"),
            ),
            rule="solids = what is left after cooking − water − alcohol",
            arithmetic=f"100 × ({figure_text(mass)} − {figure_text(water)} − "
            f"{figure_text(alcohol)}) / {figure_text(mass)} = {figure_text(percent)} %",
            source=MASS_BALANCE + "; the make-ups are the pantry's",
        ),
    )


def _known(composition: Composition, parts: tuple[str, ...]) -> bool:
    return composition.mass_g > 0 and all(part in composition.grams for part in parts)


def _unknown(composition: Composition, name: str, parts: tuple[str, ...]) -> Content:
    whose = [one for part in parts for one in composition.unknown.get(part, ())]
    burnt = composition.overcooked if "water" in parts else ()
    return Content(name, None, tuple(dict.fromkeys(whose)), burnt)
