"""What makes a formula firm: gelatin by two schools, and the set number of a ganache."""

from fernbell.core.formulas.book import Book, Line
from fernbell.core.formulas.composition import Composition
from fernbell.core.formulas.gauge import Gauge, Section
from fernbell.core.pantry import (
    AS_SOLD_DRY,
    COATINGS_FIRM,
    COMPONENTS,
    FATS,
    REFERENCE_BLOOM,
    SCHOOL_SOURCE,
    WHY_TWO,
    School,
    coating_of,
    gelatin_as,
)
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

_STRENGTH = "0.3 to 8 %; acid, sugar, boiling and raw pineapple or kiwi weaken it"
_SET = "chocolate with cream, milk, purée; compound counts as its cream in practice"
LEAST_COCOA = 0.08
"""Below this share of cocoa butter and dry cocoa something else sets it."""

SET_SOURCE = "set number, an index of this project: what firms / what softens; not published"


def setting(made: Composition, coating_g: float = 0.0) -> tuple[Gauge, ...]:
    """Gelatin on the water and on the whole, and the set number, where there is what sets.

    Args:
        made: grams of each component [g].
        coating_g: what compound coating firms beside its cocoa, see `coating_share` [g].
    Returns:
        readings; none where nothing of it sets [%, 1].
    Source:
        see each working.
    """
    gauges: tuple[Gauge, ...] = ()
    if made.grams.get("gelatin") or "gelatin" in made.unknown:
        gauges += _gelatin(made)
    cocoa = made.grams.get("cocoa_butter", 0) + made.grams.get("cocoa_solids", 0) + coating_g
    wet = made.grams.get("water", made.mass_g)
    if cocoa > LEAST_COCOA * made.mass_g and wet > 0.05 * made.mass_g:
        gauges += (_set_number(made, coating_g), _fat_water(made))
    return gauges


def gelatin_of(made: Composition, on: str, school: School) -> float:
    """Gelatin of 200 bloom on the water or on the whole.

    Args:
        made: grams of each component, gelatin and its bloom known [g].
        on: 'water' or 'whole' [text].
        school: how bloom counts [School].
    Returns:
        gelatin as sold [%].
    Source:
        see the schools.
    """
    base = made.grams["water"] if on == "water" else made.mass_g
    return 100 * gelatin_g(made, school) / base


def gelatin_g(made: Composition, school: School) -> float:
    """Gelatin as if all of it were of 200 bloom.

    Args:
        made: grams of each component, gelatin and its bloom known [g].
        school: how bloom counts [School].
    Returns:
        gelatin as sold [g].
    Source:
        see the schools.
    """
    return sum(gelatin_as(own, bloom, REFERENCE_BLOOM, school) for bloom, own in _sold(made))


def coating_share(book: Book, line: Line) -> float:
    """What a gram of a line firms as compound coating, beside the cocoa in it.

    Args:
        book: where it is looked up [Book].
        line: the line; what is nested is not looked through [Line].
    Returns:
        grams that count like cocoa butter and dry cocoa; 0 for anything else [1].
    Source:
        common practice: the cream compound takes for a drip, beside couverture.
    """
    if line.ingredient is None or line.strained:
        return 0.0
    ingredient = book.ingredient(line.ingredient)
    coating = coating_of(ingredient)
    if coating is None or ingredient.make_up is None:
        return 0.0
    cocoa = (ingredient.make_up.cocoa_butter or 0) + (ingredient.make_up.cocoa_solids or 0)
    return COATINGS_FIRM[coating] - cocoa / 100


def _sold(made: Composition) -> list[tuple[float, float]]:
    """Bloom and grams as sold of each gelatin."""
    return [
        (float(bloom), grams / AS_SOLD_DRY)
        for (component, bloom), grams in made.kinds.items()
        if component == "gelatin"
    ]


def _gelatin(made: Composition) -> tuple[Gauge, Gauge]:
    names = {"water": "Gelatin on the water", "whole": "Gelatin on the whole"}
    parts = {"water": ("gelatin", "bloom", "water"), "whole": ("gelatin", "bloom")}

    def gauge(on: str) -> Gauge:
        code, name = f"gelatin-{on}", names[on]
        if not made.known(*parts[on]) or (on == "water" and not made.grams.get("water")):
            needs, burnt = made.needs(*parts[on]), made.overcooked if on == "water" else ()
            return Gauge(code, name, Section.DOES, None, _STRENGTH, needs, burnt)
        root, linear = (
            _strength(made, on, school) for school in (School.SQUARE_ROOT, School.LINEAR)
        )
        return Gauge(code, name, Section.DOES, root, _STRENGTH, other=linear)

    return gauge("water"), gauge("whole")


def _strength(made: Composition, on: str, school: School) -> Working:
    base = made.grams["water"] if on == "water" else made.mass_g
    sold = _sold(made)
    terms = [gelatin_as(grams, bloom, REFERENCE_BLOOM, school) for bloom, grams in sold]
    value = gelatin_of(made, on, school)
    share = "bloom / 200" if school is School.LINEAR else "√(bloom / 200)"
    return Working(
        figure=f"Gelatin of 200 bloom on the {on} of {made.name}, {school}",
        value=value,
        unit="%",
        given=(
            *(Given(f"gelatin, {bloom:g} bloom", grams, "g") for bloom, grams in sold),
            Given("water" if on == "water" else "left after cooking", base, "g"),
        ),
        rule=f"gelatin as sold × {share}, on the {on}",
        arithmetic=f"100 × ({' + '.join(figure_text(one) for one in terms)}) / "
        f"{figure_text(base)} = {figure_text(value)} %",
        source=f"{SCHOOL_SOURCE[school]}. {WHY_TWO}",
    )


def _set_number(made: Composition, coating_g: float) -> Gauge:
    parts = ("cocoa_butter", "cocoa_solids", "water")
    code, name = "set-number", "Set number"
    if not made.known(*parts) or not made.grams["water"]:
        return Gauge(code, name, Section.DOES, None, _SET, made.needs(*parts), made.overcooked)
    grams = {COMPONENTS[part]: made.grams[part] for part in parts[:2]}
    if coating_g:
        grams["more by compound, as its cream in practice"] = coating_g
    water, terms = made.grams["water"], " + ".join(figure_text(own) for own in grams.values())
    value = sum(grams.values()) / water
    working = Working(
        figure=f"Set number of {made.name}",
        value=value,
        unit="",
        given=(*(Given(word, own, "g") for word, own in grams.items()), Given("water", water, "g")),
        rule="(cocoa butter + dry cocoa) / water: what firms for each part of what softens",
        arithmetic=f"({terms}) / {figure_text(water)} = {figure_text(value)}",
        source=SET_SOURCE,
    )
    return Gauge(code, name, Section.DOES, working, _SET)


def _fat_water(made: Composition) -> Gauge:
    parts = (*FATS, "water")
    code, name = "fat-water", "Fat for each part of water"
    valid = "emulsions of chocolate; common practice"
    if not made.known(*parts) or not made.grams["water"]:
        return Gauge(code, name, Section.DOES, None, valid, made.needs(*parts), made.overcooked)
    fat, water = sum(made.grams[part] for part in FATS), made.grams["water"]
    working = Working(
        figure=f"Fat to water in {made.name}",
        value=fat / water,
        unit="",
        given=(Given("fat", fat, "g"), Given("water", water, "g")),
        rule="fat / water; the more fat, the easier it splits",
        arithmetic=f"{figure_text(fat)} / {figure_text(water)} = {figure_text(fat / water)}",
        source=MASS_BALANCE,
    )
    return Gauge(code, name, Section.DOES, working, valid)
