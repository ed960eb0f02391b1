"""Every proposal held against practice: what one would put into the bowl, counted."""

import pytest

from bench.proposals import Row, rows

EVERY = list(rows())
GANACHE = [one for one in EVERY if one.job.startswith("ganache.")]
COUVERTURES = [one for one in GANACHE if "ouverture" in one.pick]


def test_most_proposals_lie_in_the_range_of_practice() -> None:
    """Not yet nineteen of twenty: what is off is listed by `bench.proposals`."""
    near = sum(one.is_near for one in EVERY)
    assert near >= 0.88 * len(EVERY)
    assert sum(bool(one.refusal) for one in EVERY) <= 0.04 * len(EVERY)
    assert len(EVERY) >= 1300


@pytest.mark.parametrize(
    "one",
    [one for one in COUVERTURES if one.job not in ("ganache.whip", "ganache.roll")],
    ids=lambda one: f"{one.job} {one.pick}",
)
def test_a_ganache_of_any_couverture_is_mixed_as_practice_mixes_it(one: Row) -> None:
    # Cocoa at the ends of its kind goes a little further: dark of 50 and of 80 %.
    ends = any(f" {cocoa} %" in one.pick for cocoa in (50, 75, 80))
    assert abs(one.beside) <= (0.2 if ends else 0.1) + 1e-9
    assert one.refusal == ""


@pytest.mark.parametrize("job", ["custard.anglaise", "custard.pastry", "custard.brulee"])
def test_nothing_that_curdles_is_offered_for_a_custard(job: str) -> None:
    picks = {one.pick for one in EVERY if one.job == job}
    assert "Milk, whole" in picks
    sour = ("juice", "vinegar", "wine", "yogurt", "liqueur", "yeast", "purée", "Buttermilk")
    assert [pick for pick in picks if any(word.lower() in pick.lower() for word in sour)] == []
