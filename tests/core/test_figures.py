"""Each figure is defined once: its bare value, its working and its gauge say the same."""

import pytest

from fernbell.core.families import FAMILIES, Tool, job_named
from fernbell.core.fitting import DEMANDS, figure_named
from fernbell.core.formulas import (
    FIGURES,
    Book,
    Formula,
    Line,
    Lines,
    Section,
    Verdict,
    gauges_of,
    lines_of,
    moved,
)
from fernbell.core.pantry import COMPONENTS, TOLD_BY, Ingredient
from fernbell.core.working import Working
from fernbell.demo.book import demo_book
from fernbell.demo.formulas import FORMULAS

BOOK = demo_book()
DEMO = {formula.slug: lines_of(BOOK, formula.slug) for formula in FORMULAS}


@pytest.mark.parametrize("code", FIGURES)
def test_a_figure_is_the_same_bare_worked_out_and_as_a_reading(code: str) -> None:
    figure, seen = FIGURES[code], 0
    for lines in DEMO.values():
        gauge = figure.gauge(lines.as_is)
        if gauge.working is None:
            assert (
                gauge.needs or gauge.overcooked or gauge.refusal or not lines.as_is.grams("water")
            )
            continue
        seen += 1
        assert gauge.working.value == pytest.approx(figure.value(lines.as_is), rel=1e-9)
        assert figure.working(lines.as_is) == gauge.working
        assert (gauge.code, gauge.name) == (code, figure.name)
    assert seen, "some demo formula has it"


@pytest.mark.parametrize("code", FIGURES)
def test_a_figure_needs_components_there_are(code: str) -> None:
    known = {*COMPONENTS, *TOLD_BY.values()}
    assert set(FIGURES[code].parts) <= known
    for ways in FIGURES[code].moves.values():
        assert {part for parts in ways for part in parts} <= known


def bare(*keys: str) -> Lines:
    """A formula of ingredients nobody entered anything about."""
    own = tuple(Ingredient(key, key.capitalize()) for key in keys)
    formula = Formula("f", "F", tuple(Line(key, 100, key) for key in keys))
    return lines_of(Book(own, (formula,)), "f")


@pytest.mark.parametrize("code", FIGURES)
def test_what_is_unknown_names_whose_make_up_is_wanted(code: str) -> None:
    gauge = FIGURES[code].gauge(bare("mystery", "riddle").as_is)
    assert gauge.working is None
    assert gauge.needs == ("Mystery", "Riddle")


def test_every_reading_of_a_formula_comes_from_the_list_and_in_its_order() -> None:
    order = list(FIGURES)
    for lines in DEMO.values():
        codes = [gauge.code for gauge in gauges_of(lines, "mousse", {})]
        assert codes == sorted(codes, key=order.index)
        assert {"water", "solids", "fat", "sugars", "sweetness", "cost"} <= set(codes)


def test_what_mends_a_reading_is_said_for_both_of_its_sides_or_for_none() -> None:
    for figure in FIGURES.values():
        assert set(figure.moves) in (set(), {Verdict.BELOW, Verdict.ABOVE}), figure.code


def test_only_what_makes_sense_is_asked_of_a_fit() -> None:
    for figure in FIGURES.values():
        if figure.asked:
            assert figure_named(figure.code) is figure
    assert not FIGURES["protein"].asked
    assert {demand.kind for demand in DEMANDS if "figure" in demand.asks} == {"reads"}


def test_a_gauge_decides_by_its_window_or_by_what_it_tells() -> None:
    lines = DEMO["barley-mousse"]
    by_code = {gauge.code: gauge for gauge in gauges_of(lines, "mousse", {})}
    assert by_code["sweetness"].decides
    assert not by_code["fat"].decides
    assert by_code["fat"].section is Section.CONTAINS


@pytest.mark.parametrize(
    ("was", "now", "share", "so"),
    [
        (100, 100.9, 0.01, False),
        (100, 101.2, 0.01, True),
        (100, 98.7, 0.01, True),
        (0, 0, 0.01, False),
        (0, 1e-3, 0.01, True),
        (-18, -18.1, 0.02, False),
        (None, 5, 0.01, True),
        (5, None, 0.01, True),
        (None, None, 0.01, False),
    ],
)
def test_a_reading_has_moved_by_more_than_rounding(
    was: float | None, now: float | None, share: float, so: bool
) -> None:
    def working(value: float | None) -> Working | None:
        return None if value is None else Working("x", value, "", (), "", "", "")

    assert moved(working(was), working(now), share) is so


def test_jobs_carry_their_tools_as_data() -> None:
    assert Tool.DRIPS in job_named("ganache.drip")[1].tools
    for family in FAMILIES:
        for job in family.jobs:
            # How warm it may stand is asked of what has to stand: no sauce, pour or foam.
            stands = job.key in ("slice", "drip", "coat", "pipe", "roll")
            assert (Tool.HOLDS_AT in job.tools) == (family.key == "ganache" and stands), job.key
            if Tool.DRIPS in job.tools:
                assert job.key == "drip"


@pytest.mark.parametrize("family", FAMILIES, ids=lambda one: one.key)
def test_a_dial_steps_by_something_a_hand_means(family: object) -> None:
    for job in family.jobs:
        step, bands = job.dial.step, job.dial.bands
        digit = f"{step:e}".split("e")[0].rstrip("0").rstrip(".")
        assert digit in ("1", "2", "5")
        assert 100 <= (bands[-1].most - bands[0].least) / step <= 250
