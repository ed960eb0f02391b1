"""Talking to the terminal, and stopping with one clear sentence."""

import sys
from pathlib import Path

ROOT = Path(__file__).resolve().parent.parent
STATE = ROOT / ".fern"


class Stop(Exception):
    """Something that cannot go on; its text is the sentence shown."""


def say(text: str) -> None:
    """One line of progress."""
    print(text, flush=True)


def complain(text: str) -> None:
    """One line on what went wrong."""
    print(text, file=sys.stderr, flush=True)
