"""Every proposal held against practice: what one would put into the bowl, counted."""

import pytest

from bench.proposals import Choice, Row, choices, row, rows
from fernbell.core.families import FAMILIES

GANACHE = [one for one in FAMILIES if one.key == "ganache"]
COUVERTURES = [one for one in choices(GANACHE) if one[3] and "ouverture" in one[3].name]


@pytest.fixture(scope="module")
def every() -> list[Row]:
    """All proposals, worked out once, and only where they are asked for."""
    return list(rows())


@pytest.mark.sampled(3)
def test_most_proposals_lie_in_the_range_of_practice(every: list[Row]) -> None:
    """At least nineteen of twenty; what is off is named by `bench.proposals`."""
    assert len(every) >= 2500
    assert sum(one.is_near for one in every) >= 0.99 * len(every)


def test_nothing_on_a_list_is_refused_and_no_proposal_speaks_against_itself(
    every: list[Row],
) -> None:
    assert [(one.job, one.pick, one.refusal) for one in every if one.refusal] == []
    assert [(one.job, one.pick, one.findings) for one in every if one.findings] == []


def named(choice: Choice) -> str:
    family, job, _, pick = choice
    return f"{family.key}.{job.key} {pick.name if pick else ''}"


def test_every_family_of_couverture_is_there() -> None:
    assert len(COUVERTURES) > 100


@pytest.mark.parametrize("choice", COUVERTURES, ids=named)
def test_a_ganache_of_any_couverture_is_mixed_as_practice_mixes_it(choice: Choice) -> None:
    one = row(*choice)
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
def test_nothing_that_curdles_is_offered_for_a_custard(
    every: list[Row], job: str, usual: str
) -> None:
    picks = {one.pick for one in every if one.job == job and one.slot == "on"}
    assert usual in picks
    sour = ("juice", "vinegar", "wine", "yogurt", "liqueur", "yeast", "purée", "Buttermilk")
    assert [pick for pick in picks if any(word.lower() in pick.lower() for word in sour)] == []
