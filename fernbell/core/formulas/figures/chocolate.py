"""What chocolate does to its water: the set number of a ganache, and its fat on the water."""

from fernbell.core.formulas.figures.figure import Figure
from fernbell.core.formulas.figures.set_scale import as_dark
from fernbell.core.formulas.gauge import Verdict
from fernbell.core.formulas.mix import Mix
from fernbell.core.pantry import COMPONENTS, FATS
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text
from fernbell.starter.practice import practice

LEAST_COCOA, LEAST_WATER = practice("set by cocoa from"), practice("set of water from")
"""Below this share of cocoa butter and dry cocoa something else sets it; below this share of
water there is nothing to set."""

SET_SOURCE = "set number, an index of this project: what firms / what softens; not published"
COCOA = ("cocoa_butter", "cocoa_solids")


def cocoa_g(mix: Mix) -> float:
    """Cocoa butter and dry cocoa, compound by what cream it takes.

    Args:
        mix: the formula [Mix].
    Returns:
        what firms [g].
    Raises:
        Lacking: a make-up is unknown.
    Source:
        an index of this project.
    """
    return mix.grams(*COCOA) + mix.coating_g


def _set_g(mix: Mix) -> float:
    """What firms, as much of it as dark chocolate would be: its number times the water [g]."""
    water = _softens_g(mix)
    if water <= 0:
        return cocoa_g(mix)
    return as_dark(cocoa_g(mix) / water, mix.chocolate_g, mix.chocolate_firms_g) * water


def _softens_g(mix: Mix) -> float:
    """Its water and alcohol, but for the water of butter, syrup, sugar and egg [g]."""
    return max(0.0, mix.grams("water", "alcohol") - mix.bound_water_g)


def _explain_set(mix: Mix) -> Working:
    mix.grams(*COCOA, "water", "alcohol")
    grams = {COMPONENTS[part]: mix.own.grams[part] for part in COCOA}
    if mix.coating_g:
        grams["more by compound, as its cream in practice"] = mix.coating_g
    value = SET_NUMBER.value(mix)
    own = cocoa_g(mix) / _softens_g(mix)
    told = "" if abs(own - value) < 1e-9 else f" → {figure_text(value)} as dark, by practice"
    water, terms = _softens_g(mix), " + ".join(figure_text(gram) for gram in grams.values())
    return Working(
        figure=f"Set number of {mix.own.name}",
        value=value,
        unit="",
        given=(
            *(Given(word, gram, "g") for word, gram in grams.items()),
            Given("water and alcohol that soften", water, "g"),
        ),
        law="(cocoa butter + dry cocoa) / (water + alcohol): what firms for each part of what "
        "softens; milk, white and compound told as dark, by the ratios of practice",
        arithmetic=f"({terms}) / {figure_text(water)} = {figure_text(own)}{told}",
        source=SET_SOURCE,
    )


def _explain_fat(mix: Mix) -> Working:
    fat, water, value = mix.grams(*FATS), mix.grams("water"), FAT_ON_WATER.value(mix)
    return Working(
        figure=f"Fat to water in {mix.own.name}",
        value=value,
        unit="",
        given=(Given("fat", fat, "g"), Given("water", water, "g")),
        law="fat / water; the more fat, the easier it splits",
        arithmetic=f"{figure_text(fat)} / {figure_text(water)} = {figure_text(value)}",
        source=MASS_BALANCE,
    )


def _sets(mix: Mix, kind: str) -> bool:
    """Where there is cocoa enough to set it, and water to be set."""
    del kind
    made = mix.own
    cocoa = sum(made.grams.get(part, 0.0) for part in COCOA) + mix.coating_g
    wet = made.grams.get("water", made.mass_g)
    return cocoa > LEAST_COCOA * made.mass_g and wet > LEAST_WATER * made.mass_g


SET_NUMBER = Figure(
    "set-number",
    "Set number",
    "",
    _set_g,
    _softens_g,
    "cocoa butter and dry cocoa, as of dark chocolate",
    "water and alcohol of liquids",
    source=SET_SOURCE,
    parts=(*COCOA, "water", "alcohol"),
    on="water",
    valid="chocolate with cream, milk, purée; compound counts as its cream in practice",
    shown=_sets,
    asked=True,
    explain=_explain_set,
    decimals=2,
    moves={Verdict.BELOW: (COCOA, ("water",)), Verdict.ABOVE: (("water",), COCOA)},
)
FAT_ON_WATER = Figure(
    "fat-water",
    "Fat for each part of water",
    "",
    lambda mix: mix.grams(*FATS),
    lambda mix: mix.grams("water"),
    "fat",
    "water",
    parts=(*FATS, "water"),
    on="water",
    valid="emulsions of chocolate; common practice",
    shown=_sets,
    asked=True,
    explain=_explain_fat,
    decimals=2,
    moves={Verdict.BELOW: (FATS, ("water",)), Verdict.ABOVE: (("water",), FATS)},
)
