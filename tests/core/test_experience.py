"""What a kitchen finds out itself moves the band of its job, and is undone with its mark."""

import pytest

from fernbell.core.families import (
    Experience,
    Wish,
    is_learned,
    job_for,
    job_named,
    main_chocolate,
    propose,
)
from fernbell.core.formulas import Book, lines_of
from fernbell.starter.pantry import STOCKS
from tests.core.test_arithmetic import check

PANTRY = tuple(stock.ingredient for stock in STOCKS)
DRIP = job_named("ganache.drip")
FIRMER = (Experience(1.2, "Winter drip, revision 3"), Experience(1.1, "Winter drip, revision 5"))


def test_the_band_moves_to_where_the_good_batches_stood() -> None:
    family, job = DRIP
    made = propose(family, job, Wish({"with": "dark-66"}), PANTRY, 0.0, {"dark-66": FIRMER})
    lines = lines_of(Book(PANTRY, (made.formula,)), "draft")
    assert main_chocolate(lines) == "dark-66"
    own = job_for(job, lines, FIRMER)
    assert own.aim == pytest.approx(1.15)
    assert own.dial.figure.value(lines.mix()) == pytest.approx(1.15, rel=0.01)
    before, after = job.dial.band("coats"), own.dial.band("coats")
    assert after.least / before.least == pytest.approx(1.15 / job.aim)
    assert after.most / before.most == pytest.approx(1.15 / job.aim)
    assert own.own is not None
    assert "This kitchen's own" in own.own.says
    assert "Winter drip, revision 3" in own.own.says
    assert own.own.says in own.notes
    # By hand: (1.2 + 1.1) / 2.
    assert own.own.working.value == own.aim
    assert own.own.working.arithmetic == "(1.2 + 1.1) / 2 = 1.15"
    check(own.own.working)


def test_another_chocolate_stays_where_practice_has_it() -> None:
    family, job = DRIP
    milk = propose(family, job, Wish({"with": "milk-38"}), PANTRY, 0.0, {"dark-66": FIRMER})
    plain = propose(family, job, Wish({"with": "milk-38"}), PANTRY)
    assert milk == plain


def test_without_a_good_batch_nothing_moves_and_a_wild_one_moves_it_only_so_far() -> None:
    family, job = DRIP
    lines = lines_of(Book(PANTRY, (propose(family, job, Wish({}), PANTRY).formula,)), "draft")
    assert job_for(job, lines, ()) == job
    wild = job_for(job, lines, (Experience(40, "A slip"),))
    assert wild.aim == pytest.approx(2 * job.aim)
    assert wild.own is not None
    assert "held at 2 times practice" in wild.own.working.arithmetic
    thin = job_for(job, lines, (Experience(0.001, "Water"),))
    assert thin.aim == pytest.approx(job.aim / 2)
    assert thin.own is not None
    assert "held at 0.5 times practice" in thin.own.working.arithmetic


def test_only_ganaches_are_learned() -> None:
    assert is_learned(DRIP[1])
    assert not is_learned(job_named("caramel.sauce")[1])
    assert not is_learned(job_named("mousse.chocolate")[1])


def test_the_note_names_three_batches_and_counts_the_rest() -> None:
    lines = lines_of(Book(PANTRY, (propose(*DRIP, Wish({}), PANTRY).formula,)), "draft")
    many = tuple(Experience(1.2, f"Drip, revision {n}") for n in range(1, 41))
    named = "by Drip, revision 1, Drip, revision 2, Drip, revision 3"
    assert job_for(DRIP[1], lines, many).notes[0].endswith(f"{named} and 37 more.")
    assert job_for(DRIP[1], lines, many).own.working.arithmetic == "(48) / 40 = 1.2"
    assert job_for(DRIP[1], lines, many[:3]).notes[0].endswith(f"{named}.")
