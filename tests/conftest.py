"""What all tests share."""

import tempfile
from collections.abc import Iterator
from pathlib import Path

import pytest
from hypothesis import settings

# The same examples on every run, and no clock that a slow machine could fail.
settings.register_profile("steady", derandomize=True, deadline=None)
settings.load_profile("steady")


def pytest_addoption(parser: pytest.Parser) -> None:
    """`--long`: the tests that hold for long, in full."""
    parser.addoption("--long", action="store_true", help="hours of a kitchen, not minutes")


ROOT = Path(__file__).parents[1]
_TURN = ("ops", "browser", "server", "core")
_LONG = ("ops/test_served", "server/test_fuzz", "server/test_timelines", "core/test_timeline")


@pytest.hookimpl(trylast=True)
def pytest_collection_modifyitems(items: list[pytest.Item]) -> None:
    """Files whose tests take long come first: whoever is done then finds many short ones left."""

    def turn(item: pytest.Item) -> tuple[int, bool]:
        file = item.path.relative_to(ROOT / "tests").with_suffix("")
        return _TURN.index(file.parts[0]), file.as_posix() not in _LONG

    items.sort(key=turn)


@pytest.fixture
def open_folder() -> Iterator[Path]:
    """A folder the account `postgres` can reach."""
    with tempfile.TemporaryDirectory(prefix="fernbell-test-") as folder:
        Path(folder).chmod(0o755)
        yield Path(folder)


@pytest.fixture
def data(open_folder: Path, monkeypatch: pytest.MonkeyPatch) -> Path:
    """The data folder, the test's own."""
    monkeypatch.setenv("FERNBELL_DATA", str(open_folder / "data"))
    (open_folder / "data").mkdir()
    return open_folder / "data"
