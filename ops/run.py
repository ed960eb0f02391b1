"""Running other programs with their output kept in a log."""

import os
import subprocess
from collections.abc import Mapping, Sequence
from pathlib import Path

from ops.say import STATE, Stop

LOGS = STATE / "log"


def quietly(
    name: str,
    command: Sequence[str | Path],
    *,
    cwd: Path | None = None,
    env: Mapping[str, str] | None = None,
) -> None:
    """Run a command, its output in .fern/log/NAME.log; stop with its last line if it fails."""
    LOGS.mkdir(parents=True, exist_ok=True)
    log = LOGS / f"{name}.log"
    with log.open("wb") as out:
        done = subprocess.run(
            [str(part) for part in command],
            cwd=cwd,
            env={**os.environ, **(env or {})},
            stdout=out,
            stderr=subprocess.STDOUT,
            stdin=subprocess.DEVNULL,
            check=False,
        )
    if done.returncode:
        lines = [line for line in log.read_text(errors="replace").splitlines() if line.strip()]
        last = lines[-1].strip() if lines else "it said nothing"
        raise Stop(f"{name} failed: {last} (all of it is in {log})")


def answer(
    command: Sequence[str | Path],
    env: Mapping[str, str] | None = None,
    said: str | None = None,
) -> str:
    """What a command prints; stop with what it complains about if it fails."""
    done = subprocess.run(
        [str(part) for part in command],
        env={**os.environ, **(env or {})},
        capture_output=True,
        input=said,
        text=True,
        check=False,
        cwd="/",
    )
    if done.returncode:
        complaint = (done.stderr.strip() or "it said nothing").splitlines()[-1]
        raise Stop(f"{Path(command[0]).name} failed: {complaint}")
    return done.stdout.strip()
