"""What is in a formula: water, solids, fats, sugars, in per cent of what is left after cooking."""

from collections.abc import Iterable, Mapping
from functools import partial

from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.figures.figure import Figure, Ways, always, whole
from fernbell.core.formulas.gauge import Section, Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import COMPONENTS, FATS, SUGARS
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

_EXACT = "any make-up; as good as the make-ups are"
_SOURCE = MASS_BALANCE + "; the make-ups are the pantry's"
SWEETENS = (*SUGARS, "polyols", "glucose_syrup_solids")
"""What is moved to make a formula sweeter or drier."""


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


def content(
    code: str,
    name: str,
    parts: tuple[str, ...],
    *,
    everywhere: bool = False,
    asked: bool = False,
    moves: Mapping[Verdict, Ways] | None = None,
    by_cooking: bool = False,
) -> Figure:
    """How much of some components is in what is left of a formula after cooking.

    Args:
        code: what it is called by programs [text].
        name: what they are called together [text].
        parts: the components, shape (n,) [names].
        everywhere: whether it is shown where there is nothing of it [bool].
        asked: whether a fit can be asked for it [bool].
        moves: what mends it, by where it lies [components].
        by_cooking: whether cooking further mends it [bool].
    Returns:
        the figure [%].
    Source:
        mass balance, exact.
    """
    return Figure(
        code,
        name,
        "%",
        partial(_grams, parts),
        whole,
        name.lower(),
        "the whole",
        100,
        section=Section.CONTAINS,
        parts=parts,
        valid=_EXACT,
        shown=always if everywhere else partial(_there, parts),
        asked=asked,
        explain=partial(_worked, name, parts),
        moves=moves or {},
        by_cooking=by_cooking,
    )


def _grams(parts: tuple[str, ...], mix: Mix) -> float:
    return mix.grams(*parts)


def _there(parts: tuple[str, ...], mix: Mix, kind: str) -> bool:
    """Where there is something of it, or nobody knows."""
    del kind
    return not mix.own.known(*parts) or percent_of(mix.own, parts) > 0


def _worked(name: str, parts: tuple[str, ...], mix: Mix) -> Working:
    mix.grams(*parts)
    made = mix.own
    grams = tuple((COMPONENTS[part], made.grams[part]) for part in parts)
    present = tuple((word, own) for word, own in grams if own) or grams[:1]
    percent = percent_of(made, parts)
    terms = " + ".join(figure_text(own) for _, own in present)
    return Working(
        figure=f"{name} in {made.name}",
        value=percent,
        unit="%",
        given=(
            *(Given(word, own, "g") for word, own in present),
            Given("left after cooking", made.mass_g, "g"),
        ),
        law="grams of it, summed over the lines / what is left after cooking",
        arithmetic=f"100 × ({terms}) / {figure_text(made.mass_g)} = {figure_text(percent)} %",
        source=_SOURCE,
    )


def _explain_solids(mix: Mix) -> Working:
    mix.grams("water", "alcohol")
    made = mix.own
    water, alcohol, mass = made.grams["water"], made.grams["alcohol"], made.mass_g
    percent = 100 - percent_of(made, ("water", "alcohol"))
    return Working(
        figure=f"Solids in {made.name}",
        value=percent,
        unit="%",
        given=(
            Given("left after cooking", mass, "g"),
            Given("water", water, "g"),
            Given("alcohol", alcohol, "g"),
        ),
        law="solids = what is left after cooking − water − alcohol",
        arithmetic=f"100 × ({figure_text(mass)} − {figure_text(water)} − "
        f"{figure_text(alcohol)}) / {figure_text(mass)} = {figure_text(percent)} %",
        source=_SOURCE,
    )


_BOTH_SIDES: tuple[Verdict, Verdict] = (Verdict.BELOW, Verdict.ABOVE)

WATER = content(
    "water",
    "Water",
    ("water",),
    everywhere=True,
    asked=True,
    moves={Verdict.BELOW: (("water",),), Verdict.ABOVE: (SWEETENS,)},
    by_cooking=True,
)
SOLIDS = Figure(
    "solids",
    "Solids",
    "%",
    lambda mix: mix.own.mass_g - mix.grams("water", "alcohol"),
    whole,
    "all but water and alcohol",
    "the whole",
    100,
    section=Section.CONTAINS,
    parts=("water", "alcohol"),
    valid=_EXACT,
    shown=always,
    asked=True,
    explain=_explain_solids,
    moves={Verdict.BELOW: (SWEETENS,), Verdict.ABOVE: (("water",),)},
    by_cooking=True,
)
FAT = content(
    "fat", "Fat", FATS, everywhere=True, asked=True, moves=dict.fromkeys(_BOTH_SIDES, (FATS,))
)
SUGAR = content(
    "sugars",
    "Sugars",
    SUGARS,
    everywhere=True,
    asked=True,
    moves=dict.fromkeys(_BOTH_SIDES, (SUGARS,)),
)
"""Those told apart: what glucose syrup holds of them depends on its DE, so its solids are a
reading of their own."""

CONTENTS = (
    WATER,
    SOLIDS,
    FAT,
    SUGAR,
    content("milk-fat", "Milk fat", ("milk_fat",), asked=True),
    content("cocoa-butter", "Cocoa butter", ("cocoa_butter",), asked=True),
    content("other-fat", "Other fat", ("other_fat",)),
    content("cocoa-solids", "Cocoa solids, fat-free", ("cocoa_solids",)),
    content("glucose-syrup-solids", "Glucose-syrup solids", ("glucose_syrup_solids",)),
    content("protein", "Protein", ("protein",)),
    content("alcohol", "Alcohol", ("alcohol",)),
    content("salt", "Salt", ("salt",)),
)
ACIDS = content("acids", "Acids", ("acids",))
"""Tasted in a bite; no reading of a formula."""
