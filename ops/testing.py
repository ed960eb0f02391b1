"""./fern test: what the tests need, then every check and every test."""

import contextlib
import os
import random
import resource
import subprocess
import tempfile
import time
from collections.abc import Iterator, Sequence
from concurrent.futures import ThreadPoolExecutor
from dataclasses import dataclass
from pathlib import Path

from ops import install
from ops.application import environment
from ops.install import PYTHON, WEB
from ops.pace import VARIABLE, measured
from ops.postgres import Cluster, throwaway
from ops.say import ROOT, complain, say
from ops.serve import install_all

BIN = PYTHON.parent


@dataclass(frozen=True)
class Check:
    """A program that says whether something is right.

    `of_web`: it reads the front end alone; `tells`: its errors are news that is shown at once.
    """

    name: str
    command: Sequence[str | Path]
    folder: Path
    of_web: bool = False
    tells: bool = False


CHECKS = (
    Check("ruff", (BIN / "ruff", "check", "."), ROOT),
    Check("ruff format", (BIN / "ruff", "format", "--check", "."), ROOT),
    Check("mypy", (BIN / "mypy",), ROOT),
    Check("import rules", (BIN / "lint-imports", "--no-cache"), ROOT),
    Check("eslint, prettier, vue-tsc", ("npm", "run", "--silent", "lint"), WEB, of_web=True),
    Check("vitest", ("npm", "run", "--silent", "test"), WEB, of_web=True),
)

LANES = (os.cpu_count() or 1) + 1
"""Tests in the browser wait as much as they work: one more at once than there are cores."""
_FOLDERS = ("ops", "browser", "server", "core")
_LONGEST = ("ops/test_served", "browser/test_timeline", "server/test_timelines", "server/test_fuzz")


def test(arguments: list[str]) -> int:
    """All checks and tests, the long ones in full with --long; else only pytest as asked."""
    install_all(browser=True, dev=True)
    os.environ[VARIABLE] = str(round(measured(), 2))
    begun = time.monotonic()
    with throwaway() as cluster:
        if arguments in ([], ["--long"]):
            failed = _everything(cluster, arguments)
        else:
            command = (BIN / "python", "-m", "pytest", *arguments)
            env = environment(cluster, "fernbell", demo=False)
            failed = [] if _ok(Check("pytest", command, ROOT), env) else ["pytest"]
        used = _cpu_s(cluster)
    say(f"{time.monotonic() - begun:.0f} s, of the processors {used:.0f} s.")
    if failed:
        complain(f"Failed: {', '.join(failed)}")
        return 1
    return 0


def _everything(cluster: Cluster, arguments: list[str]) -> list[str]:
    """Every check beside the tests, which wait as much as they work; the names of what failed."""
    os.environ.setdefault("FERNBELL_SEED", str(random.SystemRandom().randrange(10_000)))
    say(
        f"This machine takes {os.environ[VARIABLE]} times as long as usual. What is sampled is "
        f"drawn by FERNBELL_SEED={os.environ['FERNBELL_SEED']}; --long leaves nothing out."
    )
    with ThreadPoolExecutor(1) as meanwhile, _shared_list() as listed:
        checking = meanwhile.submit(_checked)
        with ThreadPoolExecutor(LANES) as lanes:
            running = [lanes.submit(_lane, n, cluster, listed, arguments) for n in range(LANES)]
            passed = all(one.result() for one in running)
        return [*checking.result(), *([] if passed else ["pytest"])]


@contextlib.contextmanager
def _shared_list() -> Iterator[Path]:
    """The test files, those that take longest first, for the lanes to take from."""
    tests = ROOT / "tests"
    names = [path.relative_to(tests).as_posix() for path in sorted(tests.rglob("test_*.py"))]

    def turn(name: str) -> tuple[bool, int]:
        return name.removesuffix(".py") not in _LONGEST, _FOLDERS.index(name.split("/")[0])

    with tempfile.TemporaryDirectory(prefix="fernbell-lanes-") as folder:
        listed = Path(folder) / "files"
        listed.write_text("\n".join(f"tests/{name}" for name in sorted(names, key=turn)))
        yield listed


def _lane(number: int, cluster: Cluster, listed: Path, arguments: list[str]) -> bool:
    """Run test files off the shared list in a database of their own; what went wrong is shown."""
    env = environment(cluster, f"fernbell{number}", demo=False) | {"FERNBELL_LANES": str(listed)}
    command = (BIN / "python", "-m", "pytest", "-q", "-p", "tests.lanes", *arguments)
    return _ok(Check(f"pytest, lane {number + 1}", command, ROOT, tells=True), env, aside=True)


def _checked() -> list[str]:
    """Run all checks, one after another beside the tests; the names of those that failed."""
    return [one.name for one in CHECKS if not _passes(one)]


def _passes(check: Check) -> bool:
    """Whether a check passes; one of the front end is not repeated while that stays as it is."""
    stamp = f"passed {check.name}".replace(", ", "-").replace(" ", "-")
    sources = install.web_digest() if check.of_web else None
    if sources and install.noted(stamp) == sources:
        say(f"  {check.name}: passed before, and nothing of it has changed")
        return True
    passed = _ok(check, aside=True)
    if passed and sources:
        install.note(stamp, sources)
    return passed


def _ok(check: Check, env: dict[str, str] | None = None, *, aside: bool = False) -> bool:
    """Run a command; what it prints comes at once, or where `aside` at the end, if it fails."""
    if not aside:
        say(f"— {check.name}")
    begun = time.monotonic()
    done = subprocess.run(
        [str(part) for part in check.command],
        cwd=check.folder,
        env={**os.environ, **(env or {})},
        stdout=subprocess.PIPE if aside else None,
        stderr=subprocess.STDOUT if aside and not check.tells else None,
        text=True,
        check=False,
    )
    if aside and done.returncode:
        say(f"— {check.name}\n{done.stdout}")
    verdict = "ok" if done.returncode == 0 else "FAILED"
    say(f"  {check.name}: {verdict}, {time.monotonic() - begun:.0f} s{_last(done.stdout)}")
    return done.returncode == 0


def _last(said: str | None) -> str:
    """The last line of what was said aside."""
    lines = [line for line in (said or "").splitlines() if line.strip()]
    return f" · {lines[-1].strip('= ')}" if lines else ""


def _cpu_s(cluster: Cluster) -> float:
    """What all programs begun here have used, and the database server with its own [s]."""
    own = resource.getrusage(resource.RUSAGE_CHILDREN)
    return own.ru_utime + own.ru_stime + cluster.cpu_s()
