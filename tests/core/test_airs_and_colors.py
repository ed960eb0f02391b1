"""Air nobody said is asked for; a formula has the color of what it is mostly made of."""

from dataclasses import replace

import pytest

from fernbell.core.desserts import RULES, Base, Coat, Dessert, Fill, Wedges, solve, usual_kind
from fernbell.core.formulas import (
    KINDS,
    USUAL_DENSITY,
    Book,
    Formula,
    Line,
    characterize,
    color_of,
    flavor_by,
    lacks_air,
    may_do,
    usual_rule,
)
from fernbell.core.molds import Ring
from tests.core.names import EVERY

PANTRY = {one.key: one.of for one in EVERY}
INGREDIENTS = tuple(PANTRY.values())
CREAM = Line("a", 100, "cream-35")


def lacking(formula: Formula, *nested: Formula) -> bool:
    return lacks_air(formula, {one.key: one for one in nested}.__getitem__)


@pytest.mark.parametrize("kind", USUAL_DENSITY)
def test_what_lives_by_its_air_asks_for_it_until_it_is_said(kind: str) -> None:
    bare = Formula("f", "F", (CREAM,), kind=kind)
    assert lacking(bare)
    assert not lacking(replace(bare, measured_density_g_ml=0.5))
    assert not lacking(replace(bare, lines=(replace(CREAM, overrun_percent=100),)))
    assert not lacking(replace(bare, lines=()))
    nested = Line("b", 100, formula="n")
    whipped = Formula("n", "N", (replace(CREAM, overrun_percent=100),))
    assert not lacking(replace(bare, lines=(nested,)), whipped)
    flat = replace(whipped, lines=(CREAM,))
    assert lacking(replace(bare, lines=(nested,)), flat)
    # A cup of the cream, weighed before it is whipped, is no air; a light one is.
    assert lacking(replace(bare, lines=(nested,)), replace(flat, measured_density_g_ml=1.0))
    assert not lacking(replace(bare, lines=(nested,)), replace(flat, measured_density_g_ml=0.5))


@pytest.mark.parametrize("kind", ["ganache", "glaze", "cream", "", "paste"])
def test_what_does_not_live_by_its_air_is_not_asked(kind: str) -> None:
    assert not lacking(Formula("f", "F", (CREAM,), kind=kind))


# Common practice: fruit, anglaise and chocolate mousses 0.6 to 0.85 g/ml, baked roulade or
# génoise 0.2 to 0.35, cooked meringues 0.25 to 0.35.
@pytest.mark.parametrize(
    ("kind", "least", "most"),
    [("mousse", 0.65, 0.75), ("sponge", 0.2, 0.35), ("meringue", 0.25, 0.35)],
)
def test_the_usual_air_lies_in_practice(kind: str, least: float, most: float) -> None:
    assert least <= USUAL_DENSITY[kind] <= most


def test_the_remedy_mends_it_and_the_dessert_says_so_too() -> None:
    mousse = Formula("m", "Cloud", (CREAM,), kind="mousse")
    book = Book(INGREDIENTS, (mousse,))
    told = characterize(book, "m", "mousse").judged
    (air,) = [one for one in told if one.finding.code == "air-unknown"]
    assert air.mend is not None
    assert air.mend.says == "Take 0.7 g/ml"
    mended = replace(mousse, measured_density_g_ml=air.mend.measured_density_g_ml)
    after = characterize(Book(INGREDIENTS, (mended,)), "m", "mousse").judged
    assert not [one for one in after if one.finding.code == "air-unknown"]
    dessert = Dessert("D", Ring(180, 45), (Fill(key="fill", formula="m"),), Wedges(8))
    for formula, codes in ((mousse, {"air-unknown"}), (mended, set())):
        solved, _ = solve(dessert, Book(INGREDIENTS, (formula,)))
        assert {finding.code for finding in solved.findings} & {"air-unknown"} == codes


def test_a_formula_whose_kind_does_not_fit_the_job_is_said_so() -> None:
    glaze = Formula("g", "Shine", (Line("a", 100, "glucose"),), kind="glaze")
    book = Book(INGREDIENTS, (glaze,))

    def found(part: object) -> list[str]:
        solved, _ = solve(Dessert("D", Ring(180, 45), (part,), Wedges(8)), book)
        return [finding.message for finding in solved.findings if finding.code == "kind-job"]

    assert found(Base(key="b", formula="g", height_mm=10, across_mm=160)) == [
        "Shine is a glaze; here it is to be a base."
    ]
    assert found(Coat(key="c", formula="g", thickness_mm=2, runoff_percent=25)) == []


def test_every_kind_fits_what_it_usually_does() -> None:
    for kind in KINDS:
        assert may_do(kind, usual_rule(kind))
    for rule in RULES:
        assert may_do(usual_kind(rule.words.rule), rule.words.rule)
    assert not may_do("glaze", "base")
    assert may_do("preparation", "base")


@pytest.mark.parametrize(
    ("lines", "flavor"),
    [
        ({"raspberry": 400, "sugar": 100, "pectin-nh": 5}, "red-fruit"),
        ({"blackcurrant": 300, "sugar": 300}, "berry"),
        ({"dark-66": 250, "cream-35": 300}, "dark-chocolate"),
        ({"milk-38": 250, "cream-35": 200}, "milk-chocolate"),
        ({"white-32": 200, "cream-35": 300, "gelatin": 5}, "white-chocolate"),
        ({"cream-35": 500, "sugar": 60, "gelatin": 8, "water": 48}, "cream"),
        ({"wheat-flour": 180, "butter": 120, "sugar": 60}, "brown-butter"),
        ({"hazelnut-flour": 200, "egg": 200, "sugar": 150, "wheat-flour": 40}, "nut"),
        ({"lemon-juice": 150, "egg": 200, "butter": 150, "sugar": 150}, "citrus"),
        ({"cocoa-powder": 40, "egg": 200, "sugar": 150, "wheat-flour": 60}, "dark-chocolate"),
        ({"quince": 400, "sugar": 60, "pectin-nh": 6}, "quince"),
        ({"rhubarb": 400, "sugar": 60}, "rhubarb"),
        ({"water": 100, "sugar": 100, "salt": 1}, ""),
        ({}, ""),
    ],
)
def test_a_formula_has_the_color_of_what_it_is_mostly_made_of(
    lines: dict[str, float], flavor: str
) -> None:
    assert flavor_by((*color_of(PANTRY[key]), grams) for key, grams in lines.items()) == flavor


def test_every_ingredient_gives_a_color_or_none_and_never_fails() -> None:
    for ingredient in INGREDIENTS:
        flavor, strength = color_of(ingredient)
        assert (flavor == "") == (strength == 0)
