"""One at a time: a lock file that names who holds it."""

import contextlib
import fcntl
import os
from collections.abc import Iterator
from pathlib import Path

from ops.say import Stop, say


@contextlib.contextmanager
def only_one(path: Path, taken: str) -> Iterator[None]:
    """Hold a lock, or stop with a sentence; `{}` in it becomes what the holder wrote."""
    with path.open("a+") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            file.seek(0)
            raise Stop(taken.format(file.read().strip() or "another process")) from None
        file.truncate(0)
        file.write(str(os.getpid()))
        file.flush()
        yield
        file.truncate(0)


@contextlib.contextmanager
def in_turn(path: Path) -> Iterator[None]:
    """Hold a lock, waiting for whoever has it."""
    path.parent.mkdir(exist_ok=True)
    with path.open("a+") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            say("Another ./fern is installing; waiting for it …")
            fcntl.flock(file, fcntl.LOCK_EX)
        yield


def holder(path: Path) -> int | None:
    """Process that holds a lock, if any."""
    if not path.exists():
        return None
    with path.open("a+") as file:
        try:
            fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)
        except BlockingIOError:
            file.seek(0)
            return int(file.read().strip() or 0) or None
        return None
