"""./fern test: what the tests need, then every check and every test."""

import os
import subprocess
import time
from collections.abc import Sequence
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from ops.install import PYTHON, WEB
from ops.postgres import throwaway
from ops.say import ROOT, complain, say
from ops.serve import environment, install_all

BIN = PYTHON.parent

CHECKS: tuple[tuple[str, Sequence[str | Path], Path], ...] = (
    ("ruff", (BIN / "ruff", "check", "."), ROOT),
    ("ruff format", (BIN / "ruff", "format", "--check", "."), ROOT),
    ("mypy", (BIN / "mypy",), ROOT),
    ("import rules", (BIN / "lint-imports", "--no-cache"), ROOT),
    ("eslint, prettier, vue-tsc", ("npm", "run", "--silent", "lint"), WEB),
    ("vitest", ("npm", "run", "--silent", "test"), WEB),
)


# Files go to as many workers as there are cores, each with a database of its own.
AT_ONCE = ("-n", str(os.cpu_count() or 1), "--dist", "loadfile", "--durations", "20")


def test(arguments: list[str]) -> int:
    """All checks and tests; with arguments, only pytest with them."""
    install_all(browser=True, dev=True)
    failed = [] if arguments else _checked()
    with throwaway() as cluster:
        env = environment(cluster, "fernbell", demo=False)
        command = [BIN / "python", "-m", "pytest", *(arguments or AT_ONCE)]
        if not _ok("pytest", command, ROOT, env):
            failed.append("pytest")
    if failed:
        complain(f"Failed: {', '.join(failed)}")
        return 1
    return 0


def _checked() -> list[str]:
    """Run all checks, as many at once as there are cores; the names of those that failed."""

    def check(one: tuple[str, Sequence[str | Path], Path]) -> bool:
        name, command, cwd = one
        begun = time.monotonic()
        done = subprocess.run(
            [str(part) for part in command],
            cwd=cwd,
            stdout=subprocess.PIPE,
            stderr=subprocess.STDOUT,
            text=True,
            check=False,
        )
        _tell(f"— {name}\n{done.stdout}", name, done.returncode, begun)
        return done.returncode == 0

    with ThreadPoolExecutor(os.cpu_count()) as pool:
        passed = list(pool.map(check, CHECKS))
    return [name for (name, _, _), fine in zip(CHECKS, passed, strict=True) if not fine]


def _ok(
    name: str, command: Sequence[str | Path], cwd: Path, env: dict[str, str] | None = None
) -> bool:
    say(f"— {name}")
    begun = time.monotonic()
    done = subprocess.run(
        [str(part) for part in command], cwd=cwd, env={**os.environ, **(env or {})}, check=False
    )
    _tell("", name, done.returncode, begun)
    return done.returncode == 0


def _tell(output: str, name: str, code: int, begun: float) -> None:
    took = time.monotonic() - begun
    say(f"{output}  {name}: {'ok' if code == 0 else 'FAILED'}, {took:.0f} s")
