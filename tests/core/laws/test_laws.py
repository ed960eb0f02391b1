"""Every law over the grid of forms, rules and ways to stand; --long has all of it."""

from collections import Counter

import pytest

from tests.conftest import SEED
from tests.core.laws.grid import Case, LeftOut, combinations, tried
from tests.core.laws.laws import LAWS, Law

ONE_IN = 8
"""Of the combinations, ./fern test solves one in so many."""
REFUSED = "Across must be more than"
"""A base that would have to be narrower than a long mold is narrow."""


@pytest.fixture(scope="module")
def solved(request: pytest.FixtureRequest) -> tuple[tuple[Case, ...], tuple[LeftOut, ...]]:
    return tried(1 if request.config.getoption("--long") else ONE_IN, SEED)


@pytest.mark.parametrize("law", LAWS, ids=lambda one: one.__name__)
def test_the_law_holds(law: Law, solved: tuple[tuple[Case, ...], tuple[LeftOut, ...]]) -> None:
    cases, _ = solved
    assert len(cases) > 2500 / ONE_IN / 2
    broken = [f"{case.called}: {words}" for case in cases for words in law(case)]
    assert broken[:10] == [], f"{len(broken)} in all"


def test_what_is_left_out_has_its_reason(
    solved: tuple[tuple[Case, ...], tuple[LeftOut, ...]],
) -> None:
    _, left = solved
    reasons = Counter(one.why.split(REFUSED)[0] for one in left)
    assert set(reasons) <= {""}, reasons
    assert len(left) <= 0.05 * sum(1 for _ in combinations())
