"""./fern check: what is wrong here, and how to mend it."""

import shutil
import time
from collections.abc import Callable, Iterator
from contextlib import suppress
from datetime import datetime

from ops import install
from ops.application import answers
from ops.backup import read
from ops.home import backups, data_home, kept, older_places, restored, unreachable
from ops.lock import holder
from ops.postgres import Cluster, installed, majors
from ops.say import STATE, Stop, say

LITTLE_ROOM, OLD_BACKUP_DAYS = 1_000_000_000, 2
Wrong = str


def check() -> int:
    """Look at everything in turn; a line each, and 1 where something is to be mended."""
    wrong = 0
    for name, look in LOOKS:
        found = list(_looked(look))
        for one in found:
            say(f"✗ {name}: {one}")
        if not found:
            say(f"✓ {name}")
        wrong += len(found)
    say(f"{wrong} to mend." if wrong else "Nothing is wrong.")
    return 1 if wrong else 0


def _looked(look: Callable[[], Iterator[Wrong] | None]) -> Iterator[Wrong]:
    try:
        yield from look() or ()
    except (Stop, OSError) as error:
        yield str(error)


def _programs() -> None:
    install.check_node()
    installed(Cluster(kept()).version)


def _installed() -> Iterator[Wrong]:
    if not install.PYTHON.exists() or not (install.WEB / "dist" / "index.html").exists():
        yield "not everything is installed and built: ./fern start does it."


def _room() -> Iterator[Wrong]:
    for place in {data_home(), install.WEB}:
        there = next(one for one in (place, *place.parents) if one.exists())
        free = shutil.disk_usage(there).free
        if free < LITTLE_ROOM:
            yield f"{free / 1e6:.0f} MB are free at {place}: make room, or move FERNBELL_DATA."


def _folder() -> Iterator[Wrong]:
    home = data_home()
    closed = unreachable(home)
    if closed:
        yield f"the account postgres cannot pass {closed}: chmod o+x {closed}"
    if restored().exists():
        yield f"{restored()} waits to take its place: ./fern stop, then ./fern start."
    for older in older_places():
        yield (
            f"{older} holds the data of an older version that is not used: delete it, or move it "
            f"to {kept()} while that is not there."
        )


def _database() -> Iterator[Wrong]:
    cluster = Cluster(kept())
    if cluster.data.exists() and cluster.version is None:
        yield f"{cluster.data} is damaged (PG_VERSION is missing): ./fern restore FILE"
    elif cluster.version is not None:
        if cluster.version != majors()[-1]:
            yield f"PostgreSQL {majors()[-1]} is installed: ./fern start offers to upgrade to it."
        with cluster.at_hand():
            for name in cluster.databases():
                _readable(cluster, name)


def _readable(cluster: Cluster, database: str) -> None:
    """Read every row; a page whose checksum is wrong is refused by PostgreSQL, which says so."""
    cluster.client("pg_dump", "-Fc", "--no-sync", "-f", "/dev/null", database)


def _running() -> Iterator[Wrong]:
    if holder(data_home() / "start.lock") is None:
        left = Cluster(kept()).running() or any(data_home().glob("app-*.pid"))
        if left:
            yield "a start that was killed left processes behind: ./fern stop"
        return
    ports = [file.stem.removeprefix("app-") for file in data_home().glob("app-*.pid")]
    for port in ports:
        if not any(answers(f"{scheme}://127.0.0.1:{port}") for scheme in ("http", "https")):
            yield f"it runs and does not answer on port {port}: see {STATE / 'log' / 'server.log'}"


def _backups() -> Iterator[Wrong]:
    if Cluster(kept()).version is None:
        return
    made = sorted(backups().glob("*.tar"), key=lambda file: file.stat().st_mtime)
    if not made:
        yield "there is none yet: ./fern backup"
        return
    days = (time.time() - made[-1].stat().st_mtime) / 86_400
    if days > OLD_BACKUP_DAYS:
        yield f"the newest is {days:.0f} days old ({made[-1]}): ./fern backup"
    with suppress(KeyError):
        when = datetime.fromisoformat(read(made[-1]).made)
        say(f"  newest backup {made[-1]}, of {when:%Y-%m-%d %H:%M}")


LOOKS: tuple[tuple[str, Callable[[], Iterator[Wrong] | None]], ...] = (
    ("Programs", _programs),
    ("Installed and built", _installed),
    ("Room on the disk", _room),
    ("Data folder", _folder),
    ("Database", _database),
    ("Running", _running),
    ("Backups", _backups),
)
