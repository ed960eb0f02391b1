"""A PostgreSQL cluster of our own on a free loopback port, beside whatever else runs."""

import contextlib
import hashlib
import os
import secrets
import shutil
import socket
import subprocess
import tempfile
from collections.abc import Iterator
from pathlib import Path

from ops.install import POSTGRES
from ops.run import answer
from ops.say import ROOT, STATE, Stop

SUPERUSER = "fern"
_AS_POSTGRES = ["runuser", "-u", "postgres", "--"]
# The server refuses to run as root, so root lends it to the account Debian made for it, in a
# folder which that account can reach wherever the project lies.
_SHARED = Path("/var/lib/fernbell")


def is_root() -> bool:
    """Whether this runs as root."""
    return os.geteuid() == 0


def free_port() -> int:
    """A loopback port nobody listens on."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


def kept_home() -> Path:
    """Where this project's data is kept between starts."""
    if not is_root():
        return STATE / "postgres"
    return _SHARED / hashlib.sha256(str(ROOT).encode()).hexdigest()[:12]


class Cluster:
    """One data folder and its server."""

    def __init__(self, home: Path, *, durable: bool = True) -> None:
        self.home = home
        self.data = home / "data"
        self.durable = durable
        self.port = 0

    @property
    def env(self) -> dict[str, str]:
        """What the application needs to reach the server."""
        return {
            "FERNBELL_DB_PORT": str(self.port),
            "FERNBELL_DB_PASSWORD": (self.home / "password").read_text(),
        }

    def prepare(self) -> None:
        """Make the cluster unless it is there; a half-made one is made anew."""
        if (self.data / "PG_VERSION").exists():
            return
        if self.data.exists():
            raise Stop(
                f"The database folder {self.data} is damaged (PG_VERSION is missing). Nothing was "
                "changed: move it away to keep it, or run ./fern start --fresh for a new one."
            )
        making = self.home / "data.making"
        self.home.mkdir(parents=True, exist_ok=True)
        self._own(self.home)
        shutil.rmtree(making, ignore_errors=True)
        password = self.home / "password"
        password.write_text(secrets.token_urlsafe(24))
        password.chmod(0o600)
        self._own(password)
        self._pg(
            "initdb",
            *("-D", making, "-U", SUPERUSER, "-E", "UTF8", "--locale=C.UTF-8"),
            *("--auth=scram-sha-256", f"--pwfile={password}"),
            *(() if self.durable else ("--no-sync",)),
        )
        making.rename(self.data)

    def start(self) -> None:
        """Start the server; one left over from a killed start is stopped first."""
        if self.running():
            self.stop()
        if self._noted_works_in() is not None:
            # It names a stranger by now, who would keep the server from starting.
            self._note.unlink()
        self.port = self.port or free_port()
        options = f"-p {self.port} -c listen_addresses=127.0.0.1 -c unix_socket_directories="
        if not self.durable:
            options += " -c fsync=off -c synchronous_commit=off -c full_page_writes=off"
        log = self.home / "server.log"
        self._pg("pg_ctl", "-D", self.data, "-w", "-t", "60", "-l", log, "-o", options, "start")

    def stop(self) -> None:
        """Stop the server if it runs."""
        if self.running():
            self._pg("pg_ctl", "-D", self.data, "-w", "-m", "fast", "stop")

    def running(self) -> bool:
        """Whether the server runs: the process it noted, where that works in our data folder.

        A note that was left behind may name anybody's process by now; that one is let be.
        """
        return self._noted_works_in() == self.data.resolve()

    @property
    def _note(self) -> Path:
        """Where the server notes its process, and on its fourth line its port."""
        return self.data / "postmaster.pid"

    def _noted_works_in(self) -> Path | None:
        """The folder in which the noted process works; None where there is none to be seen."""
        try:
            noted = int(self._note.read_text().split()[0])
            return Path(f"/proc/{noted}/cwd").resolve(strict=True)
        except (OSError, ValueError, IndexError):
            return None

    @contextlib.contextmanager
    def at_hand(self) -> Iterator[None]:
        """The server for a moment: the one that runs, or one started for it."""
        if self.running():
            self.port = int(self._note.read_text().splitlines()[3])
            yield
            return
        self.start()
        try:
            yield
        finally:
            self.stop()

    def erase(self) -> None:
        """Remove the cluster."""
        self.stop()
        shutil.rmtree(self.home, ignore_errors=True)

    def ensure_database(self, name: str) -> None:
        """Create a database unless it is there."""
        listing = self._client("psql", "-tAc", "SELECT datname FROM pg_database", "postgres")
        if name not in listing.split():
            self._client("createdb", name)

    def drop_database(self, name: str) -> None:
        """Drop a database if it is there."""
        self._client("dropdb", "--if-exists", name)

    def _client(self, program: str, *arguments: str) -> str:
        where = ["-h", "127.0.0.1", "-p", str(self.port), "-U", SUPERUSER]
        password = {"PGPASSWORD": self.env["FERNBELL_DB_PASSWORD"]}
        return answer([_bin() / program, *where, *arguments], password)

    def _pg(self, program: str, *arguments: str | Path) -> None:
        command = [*(_AS_POSTGRES if is_root() else []), _bin() / program, *arguments]
        # pg_ctl leaves a server behind that would keep a pipe open: its output goes to a file.
        with tempfile.TemporaryFile() as out:
            done = subprocess.run(
                [str(part) for part in command],
                stdout=out,
                stderr=subprocess.STDOUT,
                stdin=subprocess.DEVNULL,
                check=False,
                cwd="/",
            )
            out.seek(0)
            said = out.read().decode(errors="replace").strip().splitlines()
        if done.returncode:
            last = said[-1] if said else "it said nothing"
            raise Stop(f"PostgreSQL's {program} failed: {last} (see {self.home / 'server.log'})")

    def _own(self, path: Path) -> None:
        if is_root():
            shutil.chown(path, "postgres", "postgres")


def _bin() -> Path:
    found = sorted(POSTGRES.glob("*/bin/initdb"), key=lambda path: int(path.parts[-3]))
    if not found:
        raise Stop("PostgreSQL is not installed: apt-get install postgresql")
    return found[-1].parent


@contextlib.contextmanager
def throwaway() -> Iterator[Cluster]:
    """A running cluster for tests and pictures, gone afterwards."""
    with tempfile.TemporaryDirectory(prefix="fernbell-") as folder:
        Path(folder).chmod(0o755)
        cluster = Cluster(Path(folder) / "pg", durable=False)
        cluster.prepare()
        cluster.start()
        try:
            yield cluster
        finally:
            cluster.erase()
