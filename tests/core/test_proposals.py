"""Every proposal held against practice: what one would put into the bowl, counted."""

import pytest

from bench.proposals import Row, rows

EVERY = list(rows())
GANACHE = [one for one in EVERY if one.job.startswith("ganache.")]
COUVERTURES = [one for one in GANACHE if "ouverture" in one.pick]


def test_most_proposals_lie_in_the_range_of_practice() -> None:
    """At least nineteen of twenty; what is off is named by `bench.proposals`."""
    assert len(EVERY) >= 2500
    assert sum(one.is_near for one in EVERY) >= 0.99 * len(EVERY)


def test_nothing_on_a_list_is_refused_and_no_proposal_speaks_against_itself() -> None:
    assert [(one.job, one.pick, one.refusal) for one in EVERY if one.refusal] == []
    assert [(one.job, one.pick, one.findings) for one in EVERY if one.findings] == []


@pytest.mark.parametrize(
    "one",
    COUVERTURES,
    ids=lambda one: f"{one.job} {one.pick}",
)
def test_a_ganache_of_any_couverture_is_mixed_as_practice_mixes_it(one: Row) -> None:
    # Cocoa at the ends of its kind goes a little further: dark of 50 and of 80 %.
    ends = any(f" {cocoa} %" in one.pick for cocoa in (50, 75, 80))
    assert abs(one.beside) <= (0.2 if ends else 0.1) + 1e-9
    assert one.refusal == ""


@pytest.mark.parametrize(
    ("job", "usual"),
    [
        ("custard.anglaise", "Milk, whole"),
        ("custard.pastry", "Milk, whole"),
        ("custard.brulee", "Cream, 35 %"),
        ("mousse.anglaise", "Milk, whole"),
    ],
)
def test_nothing_that_curdles_is_offered_for_a_custard(job: str, usual: str) -> None:
    picks = {one.pick for one in EVERY if one.job == job and one.slot == "on"}
    assert usual in picks
    sour = ("juice", "vinegar", "wine", "yogurt", "liqueur", "yeast", "purée", "Buttermilk")
    assert [pick for pick in picks if any(word.lower() in pick.lower() for word in sour)] == []
