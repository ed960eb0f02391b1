"""Processes that belong to one start: watched, and started again when one dies."""

import contextlib
import os
import subprocess
import threading
import time
from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, field
from pathlib import Path
from typing import Protocol

from ops.logs import put_by, shorten
from ops.run import LOGS
from ops.say import Stop, complain

FIRST_PAUSE_S, LONGEST_PAUSE_S = 1.0, 8.0
STEADY_S, LOOKS_AT_LOG_S = 60.0, 60.0
"""After so long a process counts as well again: its next pause is short."""


@dataclass
class Child:
    """A program that is to run as long as the start does; its output goes to a log.

    `deaths` counts how often it ended by itself.
    """

    name: str
    command: Sequence[str | Path]
    env: Mapping[str, str]
    first_pause_s: float = FIRST_PAUSE_S
    deaths: int = 0
    process: subprocess.Popen[bytes] | None = None
    _stopping: threading.Event = field(default_factory=threading.Event)
    _turn: threading.Lock = field(default_factory=threading.Lock)
    _watch: threading.Thread | None = None

    @property
    def log(self) -> Path:
        """Where its output is."""
        return LOGS / f"{self.name}.log"

    def start(self) -> None:
        """Start it, and from now on again whenever it ends by itself."""
        LOGS.mkdir(parents=True, exist_ok=True)
        put_by(self.log)
        self._launch()
        self._watch = threading.Thread(target=self._keep_up, name=self.name, daemon=True)
        self._watch.start()

    def stop(self) -> None:
        """End it, and what watches it."""
        with self._turn:
            self._stopping.set()
            if self.process:
                self.process.terminate()
        if self._watch:
            self._watch.join()

    def _launch(self) -> None:
        with self.log.open("ab") as log:
            self.process = subprocess.Popen(
                [str(part) for part in self.command],
                env={**os.environ, **self.env},
                stdout=log,
                stderr=subprocess.STDOUT,
                stdin=subprocess.DEVNULL,
                start_new_session=True,
            )

    def _ended(self, process: subprocess.Popen[bytes]) -> int:
        """How it ended, once it has; until then its log is kept short."""
        while True:
            try:
                return process.wait(timeout=LOOKS_AT_LOG_S)
            except subprocess.TimeoutExpired:
                shorten(self.log)

    def _keep_up(self) -> None:
        pause = self.first_pause_s
        while self.process:
            begun = time.monotonic()
            code = self._ended(self.process)
            if self._stopping.is_set():
                return
            self.deaths += 1
            if time.monotonic() - begun > STEADY_S:
                pause = self.first_pause_s
            complain(f"The {self.name} ended ({code}); it is started again. See {self.log}.")
            self._stopping.wait(pause)
            pause = min(2 * pause, LONGEST_PAUSE_S)
            # Whoever stops it meanwhile ends the one that runs, and no other is begun.
            with self._turn:
                if self._stopping.is_set():
                    return
                self._launch()


class Server(Protocol):
    """What is started by itself and goes on by itself, such as PostgreSQL."""

    def running(self) -> bool:
        """Whether it runs."""

    def start(self) -> None:
        """Start it."""


@contextlib.contextmanager
def kept_up(name: str, server: Server, looks_every_s: float = 1.0) -> Iterator[None]:
    """While this lasts, the server is started again whenever it is found to have ended."""
    stopping = threading.Event()

    def keep_up() -> None:
        pause = looks_every_s
        while not stopping.wait(pause):
            if server.running():
                pause = looks_every_s
                continue
            complain(f"{name} ended; it is started again.")
            try:
                server.start()
            except Stop as failed:
                pause = min(2 * pause, LONGEST_PAUSE_S)
                complain(f"{failed} It is tried again in {pause:.0f} s.")

    watch = threading.Thread(target=keep_up, name=name, daemon=True)
    watch.start()
    try:
        yield
    finally:
        stopping.set()
        watch.join()


@contextlib.contextmanager
def supervised(*children: Child) -> Iterator[None]:
    """All of them run, and are ended in turn at the end, the last started first."""
    with contextlib.ExitStack() as running:
        for child in children:
            child.start()
            running.callback(child.stop)
        yield
