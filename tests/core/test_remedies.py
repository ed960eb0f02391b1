"""Every figure that a family judges has a remedy that works, or a reason why there is none."""

import re
from collections.abc import Iterator
from dataclasses import replace

import pytest

from fernbell.core.families import (
    FAMILIES,
    Family,
    Job,
    Wish,
    job_for,
    propose,
    windows_for,
)
from fernbell.core.formulas import (
    Book,
    Judged,
    Lines,
    Mend,
    character_of,
    gauges_of,
    lines_of,
    settled,
)
from fernbell.starter.pantry import STOCKS

PANTRY = tuple(stock.ingredient for stock in STOCKS)
JOBS = [(family, job) for family in FAMILIES for job in family.jobs]
IDS = [f"{family.key}.{job.key}" for family, job in JOBS]


def spoiled(lines: Lines) -> Iterator[Lines]:
    """The formula with one line after the other far too much, or far too little."""
    for at, line in enumerate(lines.formula.lines):
        for factor in (0.25, 3.0):
            masses = list(lines.mix().masses_g)
            masses[at] = factor * line.mass_g
            yield read_again(lines, lines.weighed(masses))


def read_again(lines: Lines, formula: object) -> Lines:
    book = settled(Book(PANTRY, (formula,)), ["draft"])  # type: ignore[arg-type]
    return lines_of(book, "draft")


def mended(lines: Lines, mend: Mend) -> Lines:
    formula, losses = lines.formula, lines.formula.losses
    if mend.line is not None:
        own = tuple(
            replace(one, mass_g=mend.mass_g) if one.key == mend.line else one
            for one in formula.lines
        )
        return read_again(lines, replace(formula, lines=own))
    if mend.cooked_to is not None:
        losses = replace(losses, cooked_to=mend.cooked_to)
    elif mend.cooking_percent is not None:
        losses = replace(losses, cooking_percent=mend.cooking_percent, cooked_to=None)
    return read_again(lines, replace(formula, losses=losses))


def judged(lines: Lines, kind: str, job: Job) -> Iterator[Judged]:
    own = character_of(lines, kind, (), windows_for(kind, job), (job.dial.figure,))
    yield from (one for one in own.judged if one.finding.code.startswith("reading-"))


@pytest.mark.parametrize(("family", "job"), JOBS, ids=IDS)
def test_a_spoiled_formula_is_mended_or_told_why_not(family: Family, job: Job) -> None:
    made = propose(family, job, Wish({}), PANTRY)
    lines = lines_of(settled(Book(PANTRY, (made.formula,)), ["draft"]), "draft")
    for bad in spoiled(lines):
        set_as = job_for(job, bad)
        windows = windows_for(made.kind, set_as)
        for one in judged(bad, made.kind, set_as):
            code = one.finding.code.removeprefix("reading-")
            if one.mend is None:
                assert re.search("together|another formula", one.finding.remedy), code
                continue
            after = mended(bad, one.mend)
            gauges = {
                gauge.code: gauge
                for gauge in gauges_of(after, made.kind, windows, (set_as.dial.figure,))
            }
            now, window = gauges[code].working, windows[code]
            assert now is not None, one.mend.says
            # A scale's step may leave it a hair outside.
            slack = 0.02 * max(abs(window.most or 0), abs(window.least or 0))
            assert window.least is None or now.value >= window.least - slack, one.mend.says
            assert window.most is None or now.value <= window.most + slack, one.mend.says
            moved = abs(after.raw.batch_g - bad.raw.batch_g) / bad.raw.batch_g
            assert moved <= 0.6 + 1e-6, one.mend.says


@pytest.mark.parametrize(("family", "job"), JOBS, ids=IDS)
def test_a_finding_shows_the_digits_of_its_reading_and_words_round_numbers(
    family: Family, job: Job
) -> None:
    made = propose(family, job, Wish({}), PANTRY)
    lines = lines_of(settled(Book(PANTRY, (made.formula,)), ["draft"]), "draft")
    # Grams no scale shows: what is said is what can be weighed all the same.
    odd = lines.weighed(1.0371 * g for g in lines.mix().masses_g)
    for bad in spoiled(read_again(lines, odd)):
        for one in judged(bad, made.kind, job_for(job, bad)):
            for word in re.findall(r"(\d+(?:\.\d+)?) g ", one.finding.remedy):
                assert len(word.partition(".")[2]) <= 1, one.finding.remedy
            for word in re.findall(r": ([\d.]+)", one.finding.message):
                assert len(word.partition(".")[2]) <= 3, one.finding.message
