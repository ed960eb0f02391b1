"""Logs that survive a start and never fill the disk: the last few are kept beside it."""

import os
import shutil
from pathlib import Path

KEPT = 5
MOST_BYTES = 10 * 2**20


def put_by(log: Path) -> None:
    """Keep a log as NAME.1 and the ones before as NAME.2 and on; the oldest goes."""
    if not log.exists():
        return
    _make_room(log)
    log.rename(_kept(log, 1))


def shorten(log: Path, most_bytes: int = MOST_BYTES) -> None:
    """Put by what a program has written so far where it is much; the program goes on writing.

    It appends to the file it opened, so that is emptied and not replaced.
    """
    if not log.exists() or log.stat().st_size <= most_bytes:
        return
    _make_room(log)
    shutil.copyfile(log, _kept(log, 1))
    os.truncate(log, 0)


def _make_room(log: Path) -> None:
    for place in range(KEPT - 1, 0, -1):
        if _kept(log, place).exists():
            _kept(log, place).replace(_kept(log, place + 1))


def _kept(log: Path, place: int) -> Path:
    return log.with_name(f"{log.name}.{place}")
