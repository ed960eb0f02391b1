"""Every law over the grid of forms, rules and ways to stand; --long has all of it."""

import pytest

from tests.conftest import SEED
from tests.core.laws.grid import Case, LeftOut, tried
from tests.core.laws.laws import LAWS, Law

ONE_IN = 8
"""Of the combinations, ./fern test solves one in so many."""


@pytest.fixture(scope="module")
def solved(request: pytest.FixtureRequest) -> tuple[tuple[Case, ...], tuple[LeftOut, ...]]:
    return tried(1 if request.config.getoption("--long") else ONE_IN, SEED)


@pytest.mark.parametrize("law", LAWS, ids=lambda one: one.__name__)
def test_the_law_holds(law: Law, solved: tuple[tuple[Case, ...], tuple[LeftOut, ...]]) -> None:
    cases, _ = solved
    assert len(cases) > 2500 / ONE_IN / 2
    broken = [f"{case.called}: {words}" for case in cases for words in law(case)]
    assert broken[:10] == [], f"{len(broken)} in all"


def test_nothing_that_core_proposes_is_refused_by_it(
    solved: tuple[tuple[Case, ...], tuple[LeftOut, ...]],
) -> None:
    _, left = solved
    assert left == ()
