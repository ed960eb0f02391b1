"""A backup every night while Fern Bell runs, kept for some days."""

import contextlib
import threading
from collections.abc import Iterator
from datetime import datetime

from ops.backup import automatic, days_kept, prune, write
from ops.home import backups
from ops.postgres import Cluster
from ops.say import Stop, complain, say

NIGHT_HOUR = 3
LOOKS_EVERY_S = 600.0


def is_due(now: datetime) -> bool:
    """Whether it is past three and nothing was backed up this night yet."""
    made = backups().glob(f"{now:%Y-%m-%d}-*-nightly.tar")
    return now.hour >= NIGHT_HOUR and not any(made)


@contextlib.contextmanager
def nightly(cluster: Cluster, looks_every_s: float = LOOKS_EVERY_S) -> Iterator[None]:
    """While this lasts, a backup is made once a night; one that fails is tried again."""
    stopping = threading.Event()

    def watch() -> None:
        while not stopping.wait(looks_every_s):
            if not is_due(datetime.now().astimezone()):
                continue
            try:
                say(f"Backed up to {write(cluster, automatic('nightly'))}.")
                prune(days_kept())
            except (Stop, OSError) as failed:
                complain(f"The nightly backup failed: {failed} It is tried again.")

    watching = threading.Thread(target=watch, name="nightly backup", daemon=True)
    watching.start()
    try:
        yield
    finally:
        stopping.set()
        watching.join()
