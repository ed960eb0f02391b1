"""./fern restore: a backup brought back to a fresh cluster, compared before it takes its place."""

import argparse
import contextlib
import io
import shutil
import tarfile
import tempfile
from collections.abc import Iterator
from pathlib import Path

from ops.backup import Dumped, checksum, read, sums
from ops.home import data_home, found_home, kept, restored, take_place
from ops.lock import holder
from ops.postgres import Cluster
from ops.say import Stop, say


def restore(arguments: list[str]) -> int:
    """Bring a backup back; what is there now works on meanwhile and is put aside, not erased."""
    parser = argparse.ArgumentParser(prog="./fern restore")
    parser.add_argument("file", type=Path, help="a backup")
    file: Path = parser.parse_args(arguments).file.absolute()
    manifest = read(file)
    found_home()
    say(f"Bringing back what was backed up on {manifest.made} …")
    bring_back(file)
    say(f"{manifest.rows} rows are back; every table has the count and the checksum of the backup.")
    if holder(data_home() / "start.lock") or Cluster(kept()).running():
        say("Fern Bell is running: after ./fern stop, the next ./fern start works with it.")
    else:
        take_place()
    return 0


def bring_back(file: Path) -> None:
    """Put a backup into a fresh cluster, which waits to take its place.

    Raises Stop, with nothing changed, where the file is damaged or a table is not what it was.
    """
    manifest = read(file)
    fresh = Cluster(data_home() / "postgres.restoring")
    fresh.erase()
    with _unpacked(file, manifest.databases) as dumps, _erased_if_it_fails(fresh):
        fresh.prepare()
        fresh.start()
        for name, dumped in manifest.databases.items():
            fresh.ensure_database(name)
            fresh.client("pg_restore", "--exit-on-error", "--no-owner", "-d", name, dumps / name)
            _compare(name, dumped, fresh)
        fresh.stop()
    shutil.rmtree(restored(), ignore_errors=True)
    fresh.home.rename(restored())


def _compare(name: str, dumped: Dumped, fresh: Cluster) -> None:
    now = sums(fresh, name)
    differ = sorted(
        table for table in {*dumped.sums, *now} if dumped.sums.get(table) != now.get(table)
    )
    if differ:
        raise Stop(f"After restoring, {name} is not what was backed up: {', '.join(differ)}.")


@contextlib.contextmanager
def _unpacked(file: Path, databases: dict[str, Dumped]) -> Iterator[Path]:
    """The dumps of a backup, each as it was written."""
    with tempfile.TemporaryDirectory(prefix="fernbell-") as folder, tarfile.open(file) as tar:
        for name, dumped in databases.items():
            out = Path(folder) / name
            with contextlib.suppress(KeyError, tarfile.TarError, EOFError):
                packed = tar.extractfile(f"{name}.dump")
                with out.open("wb") as unpacked:
                    shutil.copyfileobj(packed or io.BytesIO(), unpacked)
            if not out.exists() or checksum(out) != dumped.sha256:
                raise Stop(f"{file} is damaged: {name} is not what was written. Take another one.")
        yield Path(folder)


@contextlib.contextmanager
def _erased_if_it_fails(cluster: Cluster) -> Iterator[None]:
    try:
        yield
    except BaseException:
        cluster.erase()
        raise
