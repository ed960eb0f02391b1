"""Migrations run forward on a kitchen of every schema there has been, and lose nothing of it.

`./fern test --long` takes every one; `./fern test` the first and the newest.
"""

import json
import os
import subprocess
import sys
from pathlib import Path

import pytest

from ops.application import environment
from ops.postgres import throwaway
from tests.conftest import ROOT
from tests.server.migrate_each import SHELVES
from tests.server.old_schemas import fixtures, script, word

Found = dict[str, dict]


@pytest.fixture(scope="module")
def migrated(request: pytest.FixtureRequest) -> tuple[Found, Found]:
    """By fixture, its rows before, and what could be read after."""
    names = {one: f"schema_{one.name.split('-')[0]}" for one in taken(request.config)}
    with throwaway() as cluster:
        before = {}
        for fixture, name in names.items():
            cluster.ensure_database(name)
            cluster.sql(name, script(fixture))
            tables = "SELECT relname FROM pg_class WHERE relkind = 'r' ORDER BY 1"
            there = set(cluster.sql(name, tables))
            before[name] = {
                shelf: int(cluster.sql(name, f"SELECT count(*) FROM {shelf}")[0])
                for shelf in sorted(there)
                if shelf in TABLES.values()
            }
        done = subprocess.run(
            [sys.executable, "-m", "tests.server.migrate_each", *names.values()],
            env={**os.environ, **environment(cluster, "postgres", demo=False)},
            cwd=ROOT,
            capture_output=True,
            text=True,
            check=False,
        )
        assert done.returncode == 0, done.stderr[-3000:]
        return before, json.loads(done.stdout)


TABLES = {
    "ingredients": "pantry_ingredient",
    "molds": "molds_mold",
    "formulas": "formulas_formula",
    "desserts": "desserts_dessert",
    "stacks": "desserts_stack",
    "orders": "planning_order",
    "vessels": "planning_vessel",
    "hands": "planning_hand",
}


def taken(config: pytest.Config) -> list[Path]:
    """The fixtures that are migrated."""
    every = fixtures()
    return every if config.getoption("--long") else [every[0], every[-1]]


def pytest_generate_tests(metafunc: pytest.Metafunc) -> None:
    """One test a fixture."""
    if "fixture" in metafunc.fixturenames:
        metafunc.parametrize("fixture", taken(metafunc.config), ids=lambda one: one.name[:12])


def test_all_of_it_is_there_and_can_be_read(migrated: tuple[Found, Found], fixture: Path) -> None:
    before, after = migrated
    name = f"schema_{fixture.name.split('-')[0]}"
    assert after[name]["failed"] == []
    was = {shelf: before[name].get(TABLES[shelf], 0) for shelf in SHELVES}
    assert after[name]["counts"] == was
    assert was["desserts"] > 0


def test_the_schema_of_now_is_among_them() -> None:
    """A migration was added: run python -m tests.server.old_schemas."""
    assert word() in fixtures()[-1].name
