"""What all tests share; fixtures stand in the folders that use them (see tests/lanes.py)."""

import os
import zlib
from pathlib import Path

import pytest
from hypothesis import settings

# The same examples on every run, and no clock that a slow machine could fail.
settings.register_profile("steady", derandomize=True, deadline=None, max_examples=100)
settings.load_profile("steady")

SEED = os.environ.get("FERNBELL_SEED", "")
"""By which ./fern test draws what is sampled; a test that is asked for by itself is never left out.
"""


def pytest_addoption(parser: pytest.Parser) -> None:
    """`--long`: the tests that hold for long, in full."""
    parser.addoption("--long", action="store_true", help="hours of a kitchen, not minutes")


ROOT = Path(__file__).parents[1]


def pytest_configure(config: pytest.Config) -> None:
    """What a test may be marked with."""
    config.addinivalue_line(
        "markers", "sampled(n): one in n is drawn for ./fern test; all of them with --long"
    )


@pytest.hookimpl(trylast=True)
def pytest_collection_modifyitems(config: pytest.Config, items: list[pytest.Item]) -> None:
    """Leave out, of what costs much, all that the seed does not draw."""
    if not SEED or config.getoption("--long"):
        return
    left = [item for item in items if not drawn(item)]
    items[:] = [item for item in items if drawn(item)]
    if left:
        config.hook.pytest_deselected(items=left)


def drawn(item: pytest.Item) -> bool:
    """Whether a test is among those of this seed."""
    marker = item.get_closest_marker("sampled")
    return marker is None or zlib.crc32(f"{SEED} {item.nodeid}".encode()) % marker.args[0] == 0
