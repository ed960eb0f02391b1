"""./fern backup: everything the kitchens hold in one file, while they work.

A backup is a tar of `manifest.json` and one dump a database. The manifest says how many rows each
table has and a checksum of them, of the very moment that was dumped, so that whoever brings it back
can compare.
"""

import argparse
import contextlib
import hashlib
import io
import json
import os
import subprocess
import tarfile
import tempfile
import time
from collections.abc import Iterator
from dataclasses import asdict, dataclass
from datetime import datetime
from pathlib import Path

from ops.home import backups, kept
from ops.postgres import Cluster
from ops.run import answer
from ops.say import Stop, say

FORMAT = "Fern Bell backup 1"
DAYS_KEPT, ALWAYS_KEPT = 14, 3

Sums = dict[str, list[str]]
"""By table, how many rows it has and the checksum of them."""

# Every row as text, hashed; the hashes in order, hashed: the same rows give the same sum.
_SUMS = """
SET TimeZone = 'UTC'; SET DateStyle = 'ISO'; SET extra_float_digits = 1;
SELECT format(
  'SELECT %L, count(*), md5(coalesce(string_agg(h, '''' ORDER BY h COLLATE "C"), ''''))'
  ' FROM (SELECT md5(t::text) AS h FROM %I.%I AS t) AS hashed',
  n.nspname || '.' || c.relname, n.nspname, c.relname)
FROM pg_class AS c JOIN pg_namespace AS n ON n.oid = c.relnamespace
WHERE c.relkind IN ('r', 'p') AND n.nspname !~ '^(pg_|information_schema)'
ORDER BY 1 \\gexec
"""


@dataclass(frozen=True)
class Dumped:
    """One database in a backup: its tables' sums, and the checksum of its dump."""

    sums: Sums
    sha256: str


@dataclass(frozen=True)
class Manifest:
    """What a backup holds."""

    format: str
    made: str
    postgresql: int
    databases: dict[str, Dumped]

    @property
    def rows(self) -> int:
        """How many rows there are in all."""
        return sum(int(count) for one in self.databases.values() for count, _ in one.sums.values())


def backup(arguments: list[str]) -> int:
    """Write a backup, whether Fern Bell runs or not."""
    parser = argparse.ArgumentParser(prog="./fern backup")
    parser.add_argument("file", nargs="?", type=Path, help=f"where to ({backups()})")
    file: Path | None = parser.parse_args(arguments).file
    cluster = Cluster(kept())
    if cluster.version is None:
        raise Stop(f"There is no kitchen in {kept().parent} yet: ./fern start begins one.")
    with cluster.at_hand():
        made = write(cluster, file.absolute() if file else automatic("by-hand"))
    say(f"Backed up {read(made).rows} rows to {made} ({made.stat().st_size / 1e6:.1f} MB).")
    return 0


def automatic(why: str) -> Path:
    """Where a backup lies that is made by itself."""
    return backups() / f"{datetime.now().astimezone():%Y-%m-%d-%H%M%S}-{why}.tar"


def write(cluster: Cluster, file: Path) -> Path:
    """Dump every database of a running cluster to a file that is whole or not there.

    Raises Stop where it cannot be written; a file of that name is replaced only at the end.
    """
    if file.parent == backups():
        file.parent.mkdir(mode=0o700, parents=True, exist_ok=True)
    if not file.parent.is_dir():
        raise Stop(f"There is no folder {file.parent} to back up to.")
    with tempfile.TemporaryDirectory(prefix=".backup-", dir=file.parent) as folder:
        dumped = {
            name: _dump(cluster, name, Path(folder) / f"{name}.dump")
            for name in cluster.databases()
        }
        now = datetime.now().astimezone().isoformat(timespec="seconds")
        manifest = Manifest(FORMAT, now, cluster.version or 0, dumped)
        whole = Path(folder) / "whole.tar"
        with tarfile.open(whole, "w") as tar:
            _add(tar, "manifest.json", json.dumps(asdict(manifest), indent=1).encode())
            for name in dumped:
                tar.add(Path(folder) / f"{name}.dump", f"{name}.dump")
        with whole.open("rb") as written:
            os.fsync(written.fileno())
        whole.chmod(0o600)
        whole.replace(file)
    return file


def read(file: Path) -> Manifest:
    """What a backup says it holds; Stop where it is none."""
    try:
        with tarfile.open(file) as tar:
            member = tar.extractfile("manifest.json")
            said = json.load(member) if member else {}
        if said.get("format") != FORMAT:
            raise ValueError
        databases = {name: Dumped(**one) for name, one in said["databases"].items()}
        return Manifest(FORMAT, said["made"], said["postgresql"], databases)
    except FileNotFoundError:
        raise Stop(f"There is no file {file}.") from None
    except (tarfile.TarError, KeyError, TypeError, ValueError, AttributeError, EOFError):
        raise Stop(f"{file} is no backup of Fern Bell, or is damaged.") from None


def sums(cluster: Cluster, database: str, moment: str | None = None) -> Sums:
    """By table, rows and their checksum; of a moment that somebody holds still, where named."""
    at = f"SET TRANSACTION SNAPSHOT '{moment}';" if moment else ""
    begin = f"BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; {at}"
    lines = cluster.sql(database, begin + _SUMS)
    return {
        table: [count, checksum] for table, count, checksum in (one.split("|") for one in lines)
    }


def checksum(file: Path) -> str:
    """SHA-256 of a file."""
    with file.open("rb") as read_from:
        return hashlib.file_digest(read_from, "sha256").hexdigest()


def prune(days: int = DAYS_KEPT) -> None:
    """Let backups go that were made by themselves longer ago; the newest few always stay."""
    made = sorted(backups().glob("*.tar"), key=lambda file: file.stat().st_mtime, reverse=True)
    for file in made[ALWAYS_KEPT:]:
        if not file.stem.endswith("by-hand") and time.time() - file.stat().st_mtime > days * 86_400:
            file.unlink()


def days_kept() -> int:
    """How many days backups are kept: FERNBELL_BACKUP_DAYS, 14 unless it says otherwise."""
    said = os.environ.get("FERNBELL_BACKUP_DAYS", str(DAYS_KEPT))
    if not said.isdecimal() or not 1 <= int(said) <= 3650:
        raise Stop(f"FERNBELL_BACKUP_DAYS={said}: a number of days from 1 to 3650.")
    return int(said)


def _dump(cluster: Cluster, database: str, file: Path) -> Dumped:
    with _moment(cluster, database) as moment:
        counted = sums(cluster, database, moment)
        asked = cluster.asking("pg_dump", "-Fc", f"--snapshot={moment}", "-f", file, database)
        answer(asked, cluster.signing)
    return Dumped(counted, checksum(file))


@contextlib.contextmanager
def _moment(cluster: Cluster, database: str) -> Iterator[str]:
    """A moment of a database, held still for others to read while work goes on."""
    with subprocess.Popen(
        [str(part) for part in cluster.asking("psql", "-qAtX", "-d", database)],
        env={**os.environ, **cluster.signing},
        stdin=subprocess.PIPE,
        stdout=subprocess.PIPE,
        stderr=subprocess.DEVNULL,
        text=True,
        cwd="/",
    ) as holding:
        assert holding.stdin
        assert holding.stdout
        holding.stdin.write("BEGIN ISOLATION LEVEL REPEATABLE READ; SELECT pg_export_snapshot();\n")
        holding.stdin.flush()
        moment = holding.stdout.readline().strip()
        if not moment:
            raise Stop(f"The database {database} cannot be read.")
        yield moment
        holding.stdin.close()


def _add(tar: tarfile.TarFile, name: str, content: bytes) -> None:
    entry = tarfile.TarInfo(name)
    entry.size, entry.mtime = len(content), int(time.time())
    tar.addfile(entry, io.BytesIO(content))
