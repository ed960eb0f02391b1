"""The app server: what it runs with, how it is started, and when it answers."""

import contextlib
import json
import os
import secrets
import ssl
import time
import urllib.error
import urllib.request
from collections.abc import Iterator, Mapping
from dataclasses import dataclass
from pathlib import Path

from ops import install
from ops.home import data_home
from ops.pace import patience_s
from ops.postgres import Cluster
from ops.run import answer, quietly
from ops.say import ROOT, Stop, say
from ops.supervise import Child, supervised

DEMO_DATABASE = "fernbell_demo"
OWN_DATABASE = "fernbell"
_PATIENCE_S = 60


@dataclass(frozen=True)
class Door:
    """Where the app server listens and what it is called there; plain on this machine, or TLS."""

    port: int
    bind: str = "127.0.0.1"
    urls: tuple[str, ...] = ()
    qr: str = ""
    cert: str = ""
    key: str = ""
    authority: str = ""
    hosts: tuple[str, ...] = ()
    hsts: bool = False

    @property
    def local(self) -> str:
        """Its address on this machine."""
        return f"{'https' if self.cert else 'http'}://127.0.0.1:{self.port}"

    @property
    def env(self) -> dict[str, str]:
        """What the application must know of it."""
        if not self.cert:
            return {}
        said = os.environ.get("FERNBELL_HOSTS")
        return {
            "FERNBELL_HTTPS": "1",
            "FERNBELL_HOSTS": ",".join([*self.hosts, *([said] if said else [])]),
            "FERNBELL_AUTHORITY": self.authority,
            **({"FERNBELL_HSTS": "31536000"} if self.hsts else {}),
        }


def lan_door(port: int, cert: Path | None, key: Path | None, *, hsts: bool) -> Door:
    """The door to the kitchen's own network, with a certificate of our own or one brought."""
    asked: list[str | Path] = [install.PYTHON, "-m", "ops.lan", data_home() / "lan", str(port)]
    if cert and key:
        asked += ["--cert", cert.absolute(), "--key", key.absolute()]
    reached = json.loads(answer(asked, {"PYTHONPATH": str(ROOT)}))
    if "refused" in reached:
        raise Stop(reached["refused"])
    return Door(
        port,
        bind="0.0.0.0",  # noqa: S104 - that is what --lan asks for
        urls=tuple(reached["urls"]),
        qr=reached["qr"],
        cert=reached["cert"],
        key=reached["key"],
        authority=reached["authority"],
        hosts=tuple(reached["hosts"]),
        hsts=hsts,
    )


def environment(cluster: Cluster, database: str, *, demo: bool) -> dict[str, str]:
    """What the application runs with."""
    return {
        **cluster.env,
        "FERNBELL_DB_NAME": database,
        "FERNBELL_DEMO": "1" if demo else "0",
        "FERNBELL_BUILD": secrets.token_hex(6),
        "DJANGO_SETTINGS_MODULE": "fernbell.server.settings",
    }


def prepare_database(env: Mapping[str, str], *, demo: bool) -> None:
    """Tables as the code has them, and the demo kitchen."""
    quietly("prepare", [install.PYTHON, "-m", "fernbell.server.prepare"], cwd=ROOT, env=env)
    if demo:
        say("The demo kitchen, Wrenmoor Hall, is loaded.")


@contextlib.contextmanager
def application(env: Mapping[str, str], door: Door, home: Path) -> Iterator[Child]:
    """The app server as a child that is watched, answering; its process is noted in a folder."""
    workers = max(2, min(8, os.cpu_count() or 2))
    command = [install.PYTHON, "-m", "gunicorn", "fernbell.server.wsgi", "--chdir", ROOT]
    command += ["--bind", f"{door.bind}:{door.port}", "--workers", str(workers), "--threads", "4"]
    command += ["--preload", "--no-control-socket", "--graceful-timeout", "5"]
    command += ["--pid", home / f"app-{door.port}.pid"]
    if door.cert:
        command += ["--certfile", door.cert, "--keyfile", door.key]
    server = Child("server", command, {**env, **door.env})
    with supervised(server):
        _wait_for(server, door)
        yield server


@contextlib.contextmanager
def workers(env: Mapping[str, str]) -> Iterator[tuple[Child, ...]]:
    """What does long work: as many as there are cores, two at least and four at most."""
    number = max(2, min(4, os.cpu_count() or 2))
    command = [install.PYTHON, "-m", "fernbell.server.worker"]
    own = {**env, "PYTHONPATH": str(ROOT)}
    children = tuple(Child(f"worker-{at + 1}", command, own) for at in range(number))
    with supervised(*children):
        yield children


def _wait_for(server: Child, door: Door) -> None:
    until = time.monotonic() + patience_s(_PATIENCE_S)
    while time.monotonic() < until and not server.deaths:
        if answers(door.local):
            return
        time.sleep(0.1)
    raise Stop(f"The app server did not start: see {server.log}")


def answers(url: str) -> bool:
    """Whether an app server answers on this machine, whatever it says and whoever vouches."""
    # It is our own process that is asked, by an address its certificate need not name.
    anyone = ssl.create_default_context()
    anyone.check_hostname, anyone.verify_mode = False, ssl.CERT_NONE
    try:
        with urllib.request.urlopen(f"{url}/health/ready", timeout=2, context=anyone):
            return True
    except urllib.error.HTTPError:
        return True
    except OSError:
        return False
