"""./fern test: what the tests need, then every check and every test."""

import os
import subprocess
import time
from collections.abc import Sequence
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from ops.application import environment
from ops.install import PYTHON, WEB
from ops.postgres import throwaway
from ops.say import ROOT, complain, say
from ops.serve import install_all

BIN = PYTHON.parent

CHECKS: tuple[tuple[str, Sequence[str | Path], Path], ...] = (
    ("ruff", (BIN / "ruff", "check", "."), ROOT),
    ("ruff format", (BIN / "ruff", "format", "--check", "."), ROOT),
    ("mypy", (BIN / "mypy",), ROOT),
    ("import rules", (BIN / "lint-imports", "--no-cache"), ROOT),
    ("eslint, prettier, vue-tsc", ("npm", "run", "--silent", "lint"), WEB),
    ("vitest", ("npm", "run", "--silent", "test"), WEB),
)


# Files go to a worker more than there are cores, as tests in the browser wait as much as they work;
# each has a database of its own. They go in the order of tests/conftest.py.
AT_ONCE = (
    *("-n", str((os.cpu_count() or 1) + 1), "--dist", "loadfile", "--no-loadscope-reorder"),
    *("--durations", "20"),
)


def test(arguments: list[str]) -> int:
    """All checks and tests, the long ones in full with --long; else only pytest as asked."""
    install_all(browser=True, dev=True)
    whole = arguments in ([], ["--long"])
    # The tests wait as much as they work: the checks run meanwhile.
    with ThreadPoolExecutor(1) as meanwhile, throwaway() as cluster:
        checking = meanwhile.submit(_checked if whole else list)
        env = environment(cluster, "fernbell", demo=False)
        command = [BIN / "python", "-m", "pytest", *(AT_ONCE if whole else ()), *arguments]
        passed = _ok("pytest", command, ROOT, env)
        failed = [*checking.result(), *([] if passed else ["pytest"])]
    if failed:
        complain(f"Failed: {', '.join(failed)}")
        return 1
    return 0


def _checked() -> list[str]:
    """Run all checks, one after another beside the tests; the names of those that failed."""
    return [one[0] for one in CHECKS if not _ok(*one, aside=True)]


def _ok(
    name: str,
    command: Sequence[str | Path],
    cwd: Path,
    env: dict[str, str] | None = None,
    *,
    aside: bool = False,
) -> bool:
    """Run a command; what it says comes as it is said, or all of it at the end where `aside`."""
    if not aside:
        say(f"— {name}")
    begun = time.monotonic()
    done = subprocess.run(
        [str(part) for part in command],
        cwd=cwd,
        env={**os.environ, **(env or {})},
        stdout=subprocess.PIPE if aside else None,
        stderr=subprocess.STDOUT if aside else None,
        text=True,
        check=False,
    )
    said = f"— {name}\n{done.stdout}" if aside else ""
    verdict = "ok" if done.returncode == 0 else "FAILED"
    say(f"{said}  {name}: {verdict}, {time.monotonic() - begun:.0f} s")
    return done.returncode == 0
