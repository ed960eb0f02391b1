"""What is in a formula: water, solids, fats, sugars, in per cent of what is left after cooking."""

from collections.abc import Iterable, Mapping

from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.gauge import Gauge, Section
from fernbell.core.pantry import COMPONENTS, FATS, SUGARS
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

_EXACT = "any make-up; as good as the make-ups are"

READINGS: Mapping[str, tuple[str, ...]] = {
    "Water": ("water",),
    "Fat": FATS,
    "Sugars": SUGARS,
    "Milk fat": ("milk_fat",),
    "Cocoa butter": ("cocoa_butter",),
    "Other fat": ("other_fat",),
    "Cocoa solids, fat-free": ("cocoa_solids",),
    "Glucose-syrup solids": ("glucose_syrup_solids",),
    "Protein": ("protein",),
    "Alcohol": ("alcohol",),
    "Salt": ("salt",),
}
_ALWAYS = {"Water", "Fat", "Sugars"}
"""Readings shown even where there is nothing of it. Sugars are those told apart: what glucose
syrup holds of them depends on its DE, so its solids are a reading of their own."""


def contents(composition: Composition) -> tuple[Gauge, ...]:
    """Read a composition: how much of what matters is in it, in per cent of its mass.

    Args:
        composition: grams of each component [g].
    Returns:
        readings; those of which there is nothing are left out, but for water, fat, sugars [%].
    Source:
        mass balance, exact; solids are all that is neither water nor alcohol.
    """
    read = [content(composition, name, parts) for name, parts in READINGS.items()]
    shown = [
        one for one in read if one.name in _ALWAYS or one.working is None or one.working.value > 0
    ]
    return (*shown[:1], _solids(composition), *shown[1:])


def percent_of(composition: Composition, parts: Iterable[str]) -> float:
    """Share of components in what is left after cooking.

    Args:
        composition: grams of each component, these known [g].
        parts: components, shape (n,) [names].
    Returns:
        share [%].
    Source:
        mass balance, exact.
    """
    return 100 * sum(composition.grams[part] for part in parts) / composition.mass_g


def content(composition: Composition, name: str, parts: tuple[str, ...]) -> Gauge:
    """How much of some components is in what is left of a formula after cooking.

    Args:
        composition: grams of each component [g].
        name: what they are called together [text].
        parts: the components, shape (n,) [names].
    Returns:
        the reading; without a working while one of them is unknown [%].
    Source:
        mass balance, exact.
    """
    if not composition.known(*parts):
        return _unknown(composition, name, parts)
    grams = tuple((COMPONENTS[part], composition.grams[part]) for part in parts)
    present = tuple((word, own) for word, own in grams if own) or grams[:1]
    percent = percent_of(composition, parts)
    terms = " + ".join(figure_text(own) for _, own in present)
    return Gauge(
        _code(name),
        name,
        Section.CONTAINS,
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
        _EXACT,
    )


def _solids(composition: Composition) -> Gauge:
    parts = ("water", "alcohol")
    if not composition.known(*parts):
        return _unknown(composition, "Solids", parts)
    water, alcohol, mass = (*(composition.grams[one] for one in parts), composition.mass_g)
    percent = 100 - percent_of(composition, parts)
    return Gauge(
        "solids",
        "Solids",
        Section.CONTAINS,
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
        _EXACT,
    )


def _unknown(composition: Composition, name: str, parts: tuple[str, ...]) -> Gauge:
    burnt = composition.overcooked if "water" in parts else ()
    needs = composition.needs(*parts)
    return Gauge(_code(name), name, Section.CONTAINS, None, _EXACT, needs, burnt)


def _code(name: str) -> str:
    return name.split(",")[0].lower().replace(" ", "-")
