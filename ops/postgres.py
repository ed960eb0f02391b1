"""A PostgreSQL cluster of our own on a free loopback port, beside whatever else runs."""

import contextlib
import os
import secrets
import shutil
import socket
import subprocess
import tempfile
from collections.abc import Iterator
from pathlib import Path

from ops.home import is_root
from ops.install import POSTGRES
from ops.run import answer
from ops.say import Stop

SUPERUSER = "fern"
# The server refuses to run as root, so root lends it to the account Debian made for it.
_AS_POSTGRES = ["runuser", "-u", "postgres", "--"]


def free_port() -> int:
    """A loopback port nobody listens on."""
    with socket.socket() as probe:
        probe.bind(("127.0.0.1", 0))
        return int(probe.getsockname()[1])


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
            "FERNBELL_SECRET": self._word("secret"),
        }

    @property
    def version(self) -> int | None:
        """Major version of PostgreSQL whose data this is; None before it is made."""
        noted = self.data / "PG_VERSION"
        return int(noted.read_text()) if noted.exists() else None

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
        self._word("password")
        self._pg(
            "initdb",
            *("-D", making, "-U", SUPERUSER, "-E", "UTF8", "--locale=C.UTF-8"),
            *("--auth=scram-sha-256", f"--pwfile={self.home / 'password'}", "--data-checksums"),
            *(() if self.durable else ("--no-sync",)),
        )
        making.rename(self.data)

    def _word(self, name: str) -> str:
        """A word of chance that is kept beside the data, made when it is first asked for."""
        path = self.home / name
        if not path.exists():
            path.touch(mode=0o600)
            path.write_text(secrets.token_urlsafe(40))
            self._own(path)
        return path.read_text()

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
            options += (
                " -c fsync=off -c synchronous_commit=off -c full_page_writes=off -c autovacuum=off"
            )
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

    def cpu_s(self) -> float:
        """What the server has used of the processors, with those it has served [s]."""
        process = self._note.read_text().split()[0]
        told = Path(f"/proc/{process}/stat").read_text().rpartition(")")[2].split()
        return sum(int(ticks) for ticks in told[11:15]) / os.sysconf("SC_CLK_TCK")

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

    def databases(self) -> list[str]:
        """Databases that somebody made."""
        listing = "SELECT datname FROM pg_database WHERE NOT datistemplate ORDER BY 1"
        return [name for name in self.sql("postgres", listing) if name != "postgres"]

    def ensure_database(self, name: str) -> None:
        """Create a database unless it is there."""
        if name not in self.databases():
            self.client("createdb", name)

    def drop_database(self, name: str) -> None:
        """Drop a database if it is there."""
        self.client("dropdb", "--if-exists", name)

    def sql(self, database: str, script: str) -> list[str]:
        """Lines that a script of psql answers; Stop where it is refused."""
        quiet = ("-qAtX", "-v", "ON_ERROR_STOP=1", "-d", database)
        return self.client("psql", *quiet, said=script).splitlines()

    def client(self, program: str, *arguments: str | Path, said: str | None = None) -> str:
        """What a client program of PostgreSQL answers; Stop with what it complains about."""
        return answer(self.asking(program, *arguments), self.signing, said)

    def asking(self, program: str, *arguments: str | Path) -> list[str | Path]:
        """How a client program is called for this server."""
        where = ("-h", "127.0.0.1", "-p", str(self.port), "-U", SUPERUSER)
        return [self._program(program), *where, *arguments]

    @property
    def signing(self) -> dict[str, str]:
        """What a client program signs in with."""
        return {"PGPASSWORD": self._word("password")}

    def _program(self, name: str) -> Path:
        """A program of the version whose data this is; of the newest for what is yet to be made."""
        return installed(self.version) / name

    def _pg(self, program: str, *arguments: str | Path) -> None:
        command = [*(_AS_POSTGRES if is_root() else []), self._program(program), *arguments]
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


def majors() -> list[int]:
    """Major versions of PostgreSQL that are installed, the oldest first."""
    return sorted(int(path.parts[-3]) for path in POSTGRES.glob("*/bin/initdb"))


def installed(major: int | None) -> Path:
    """Programs of a major version, of the newest where none is named; Stop where it is missing."""
    there = majors()
    if not there:
        raise Stop("PostgreSQL is not installed: apt-get install postgresql")
    if major is not None and major not in there:
        raise Stop(
            f"The data is PostgreSQL {major}'s and only {', '.join(map(str, there))} is installed. "
            f"Have root run: apt-get install postgresql-{major} (./fern start then offers to "
            "upgrade), or bring a backup back: ./fern restore FILE"
        )
    return POSTGRES / str(major or there[-1]) / "bin"


@contextlib.contextmanager
def throwaway(*, durable: bool = False) -> Iterator[Cluster]:
    """A running cluster for tests and pictures, gone afterwards."""
    with tempfile.TemporaryDirectory(prefix="fernbell-") as folder:
        Path(folder).chmod(0o755)
        cluster = Cluster(Path(folder) / "pg", durable=durable)
        cluster.prepare()
        cluster.start()
        try:
            yield cluster
        finally:
            cluster.erase()
