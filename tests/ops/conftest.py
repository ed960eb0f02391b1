"""A copy of the commands in a folder of their own, so that tests touch nobody's state."""

import os
import shutil
import subprocess
import sys
import tempfile
from collections.abc import Callable, Iterator
from pathlib import Path

import pytest

from ops.pace import patience_s
from tests.conftest import ROOT

Run = Callable[..., subprocess.CompletedProcess[str]]


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


@pytest.fixture
def checkout(open_folder: Path) -> Path:
    """A folder with ./fern and ops, and nothing installed."""
    folder = open_folder / "kitchen"
    folder.mkdir()
    shutil.copy(ROOT / "fern", folder / "fern")
    shutil.copytree(ROOT / "ops", folder / "ops", ignore=shutil.ignore_patterns("__pycache__"))
    return folder


@pytest.fixture
def fern(checkout: Path) -> Run:
    """Run ./fern there."""

    def run(
        *arguments: str, env: dict[str, str] | None = None, **options: object
    ) -> subprocess.CompletedProcess[str]:
        return subprocess.run(
            [sys.executable, str(checkout / "fern"), *arguments],
            env={**(os.environ if env is None else env), "FERNBELL_DATA": str(checkout / "data")},
            cwd=checkout,
            capture_output=True,
            text=True,
            timeout=patience_s(60),
            check=False,
            **options,
        )

    return run
