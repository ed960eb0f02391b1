"""What long work needs goes to another process and comes back the same."""

import pickle
from typing import Any

import pytest

from fernbell.core.desserts import solve
from fernbell.core.families import catalog, turn
from fernbell.core.fitting import Demand, Finished, Locked, Proportion, Reads, fit
from fernbell.core.formulas import FIGURES, Lines, compose
from fernbell.demo.book import demo_book
from fernbell.demo.desserts import DESSERTS
from fernbell.starter.molds import MOLDS

BOOK = demo_book()
MADE = compose(BOOK, [formula.key for formula in BOOK.formulas])
JOBS = [(family, job) for family in catalog.FAMILIES for job in family.jobs]


def sent(value: Any) -> Any:
    return pickle.loads(pickle.dumps(value))  # noqa: S301 - our own


@pytest.mark.parametrize("code", FIGURES)
def test_a_figure_that_is_read_is_itself_again(code: str) -> None:
    assert sent(FIGURES[code]) is FIGURES[code]


@pytest.mark.parametrize("family", catalog.FAMILIES, ids=lambda family: family.key)
def test_a_family_is_itself_again(family: Any) -> None:
    assert sent(family) is family


@pytest.mark.parametrize(("family", "job"), JOBS, ids=lambda one: getattr(one, "key", ""))
def test_a_job_comes_back_with_a_dial_that_says_the_same(family: Any, job: Any) -> None:
    back = sent(job)
    assert (back.key, back.band, back.parts, back.steps) == (
        job.key,
        job.band,
        job.parts,
        job.steps,
    )
    assert (back.dial.figure.code, back.dial.bands) == (job.dial.figure.code, job.dial.bands)


def test_a_dial_that_was_sent_turns_a_formula_the_same() -> None:
    dial = next(job for family, job in JOBS if (family.key, job.key) == ("ganache", "slice")).dial
    lines = Lines(BOOK, BOOK.formula("dark-ganache"), MADE)
    there, back = turn(dial, lines, 1.3), turn(sent(dial), sent(lines), 1.3)
    assert back == there


@pytest.mark.parametrize("one", DESSERTS, ids=lambda one: one.dessert.name)
def test_a_dessert_is_solved_the_same_elsewhere(one: Any) -> None:
    dessert, book = sent(one.dessert), sent(BOOK)
    assert (dessert, book) == (one.dessert, BOOK)
    here = solve(one.dessert, BOOK, one.count)
    assert sent(here) == here
    assert solve(dessert, book, one.count) == here


@pytest.mark.parametrize("mold", MOLDS, ids=lambda mold: mold.slug)
def test_a_mold_comes_back_the_same(mold: Any) -> None:
    assert sent(mold.mold) == mold.mold


DEMANDS: list[Demand] = [
    Reads(FIGURES["fat"], None, 29),
    Finished(1000),
    Locked(BOOK.formula("dark-ganache").lines[0].key),
    Proportion(*(line.key for line in BOOK.formula("dark-ganache").lines[:2]), most=2.0),
]


@pytest.mark.parametrize("demand", DEMANDS, ids=lambda demand: type(demand).__name__)
def test_a_demand_asks_the_same_elsewhere(demand: Demand) -> None:
    lines = Lines(BOOK, BOOK.formula("dark-ganache"), MADE)
    assert sent(demand) == demand
    assert fit(sent(lines), (sent(demand),)) == fit(lines, (demand,))
