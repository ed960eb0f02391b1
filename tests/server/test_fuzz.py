"""Requests drawn from the OpenAPI document, as every role: none breaks it, none takes long.

Every other one is as the document asks for, the others are not; half of those that name a row name
one that is there. `./fern test --long` sends ten thousand, `./fern test` two hundred.
"""

import functools
import itertools
import json
from collections.abc import Iterator

import pytest
from hypothesis import HealthCheck, Phase, given, seed, settings
from hypothesis.errors import Unsatisfiable
from hypothesis.strategies import SearchStrategy
from schemathesis import Case, openapi
from schemathesis.checks import not_a_server_error
from schemathesis.generation import GenerationMode
from schemathesis.schemas import APIOperation

from fernbell.demo.people import PEOPLE
from fernbell.server.openapi import document
from ops.pace import patience_s
from ops.postgres import Cluster
from tests.served import DATABASE, Visitor, demo_cluster, served

OPERATIONS = [
    found.ok() for found in openapi.from_dict(json.loads(document())).get_all_operations()
]
LONGEST_S = patience_s(6.0)
"""What hangs takes longer, even where a password is hashed while all other tests run; how fast
answers are is measured by the benches.
"""
EACH, EACH_LONG = 1, 16
"""Requests an operation, a role and a mode: 3 roles x 2 modes x 108 operations x 16 > 10 000."""
ROLES = [role for *_, role in PEOPLE]
SHELVES = ("ingredients", "molds", "formulas", "desserts", "stacks", "orders", "vessels", "hands")


@pytest.fixture(scope="module")
def kitchen() -> Iterator[tuple[Cluster, str]]:
    """The demo kitchen, served."""
    with demo_cluster() as cluster, served(cluster) as (site, _):
        yield cluster, site


class Fuzzer(Visitor):
    """A member who comes in again whenever a request put them out."""

    def __init__(self, site: str, cluster: Cluster, person: str, role: str) -> None:
        self.cluster, self.person, self.role = cluster, person, role
        super().__init__(site, person)
        self.rows_there = {shelf: [one["id"] for one in self.rows(shelf)] for shelf in SHELVES}
        self.sent, self.slowest_s = 0, 0.0

    def here(self) -> None:
        """Be signed in and in one's role, whatever was done to it."""
        if self.ask("get", "/api/session").json()["person"] is None:
            who = f"SELECT id FROM auth_user WHERE username = '{self.person}'"
            where = "SELECT id FROM kitchens_kitchen WHERE name = 'Wrenmoor Hall'"
            self.cluster.sql(
                DATABASE,
                "INSERT INTO kitchens_member (kitchen_id, user_id, role, measures, fahrenheit, "
                f"inches) SELECT ({where}), ({who}), '{self.role}', 'metric', false, false "
                "ON CONFLICT DO NOTHING",
            )
            self.come_in(self.person)


@pytest.mark.sampled(3)
@pytest.mark.parametrize(("person", "role"), [(who, role) for who, _, _, role in PEOPLE])
def test_no_request_breaks_it_or_takes_long(
    kitchen: tuple[Cluster, str], person: str, role: str, request: pytest.FixtureRequest
) -> None:
    cluster, site = kitchen
    long = request.config.getoption("--long")
    visitor = Fuzzer(site, cluster, person, role)
    drawn = list(itertools.product(OPERATIONS, GenerationMode))
    # In short every role sends a third of them, and together they send all.
    for operation, mode in drawn if long else drawn[ROLES.index(role) :: 3]:
        visitor.here()
        fuzz(visitor, operation, mode, EACH_LONG if long else EACH)
    assert visitor.sent >= (EACH_LONG if long else 0.3) * len(OPERATIONS)


@functools.cache
def cases(operation: APIOperation, mode: GenerationMode) -> SearchStrategy[Case]:
    """What is drawn for an operation; putting that together costs more than drawing."""
    return operation.as_strategy(generation_mode=mode)


def fuzz(visitor: Fuzzer, operation: APIOperation, mode: GenerationMode, each: int) -> None:
    """Send so many requests of one operation."""
    ids = visitor.rows_there.get(operation.path.split("/")[2], [])
    turn = itertools.count()

    @seed(8615)
    @settings(
        max_examples=each,
        phases=[Phase.generate],
        suppress_health_check=list(HealthCheck),
        database=None,
    )
    @given(case=cases(operation, mode))
    def send(case: Case) -> None:
        number = next(turn)
        if ids and number % 2 == 0 and "row_id" in (case.path_parameters or {}):
            case.path_parameters["row_id"] = ids[number % len(ids)]
        headers = {"X-CSRFToken": visitor.cookies.get("csrftoken", ""), "Referer": visitor.site}
        answer = case.call(visitor.site, session=visitor, headers=headers)
        visitor.sent += 1
        case.validate_response(answer, checks=[not_a_server_error])
        assert answer.elapsed < LONGEST_S, (case.as_curl_command(), answer.elapsed)

    try:
        send()
    except Unsatisfiable:
        # There is nothing wrong to send where nothing is asked for.
        assert mode is GenerationMode.NEGATIVE


def test_everything_is_drawn_from() -> None:
    named = {f"{one.method} {one.path}" for one in OPERATIONS}
    told = json.loads(document())["paths"]
    assert named == {f"{method} {path}" for path, methods in told.items() for method in methods}
