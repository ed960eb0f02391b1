"""Waiting for what another process or thread does, as long as this machine may need."""

import time
from collections.abc import Callable

from ops.pace import patience_s


def until(holds: Callable[[], bool], usual_s: float = 30.0) -> bool:
    """Wait until something holds; whether it ever did in the time this machine may need."""
    end = time.monotonic() + patience_s(usual_s)
    while not holds():
        if time.monotonic() > end:
            return False
        time.sleep(0.02)
    return True
