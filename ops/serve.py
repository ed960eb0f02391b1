"""./fern start: install, start PostgreSQL, load, serve, and stop it all again."""

import argparse
import contextlib
import os
import secrets
import shutil
import signal
import socket
import time
import urllib.error
import urllib.request
from collections.abc import Iterator, Mapping
from pathlib import Path

from ops import install
from ops.lock import holder, in_turn, only_one
from ops.postgres import Cluster, kept_home
from ops.run import quietly
from ops.say import ROOT, STATE, Stop, say
from ops.supervise import Child, kept_up, supervised

DEMO_DATABASE = "fernbell_demo"
OWN_DATABASE = "fernbell"
_PATIENCE_S = 60


def start(arguments: list[str]) -> int:
    """Everything up to an address to open; blocks until it is told to stop."""
    options = _options(arguments)
    with only_one("start", "Fern Bell is already running from this folder (process {})."):
        if _stop_left_apps():
            time.sleep(1)
        _check_port(options.port)
        install_all(browser=False, dev=False)
        cluster = Cluster(kept_home())
        database = OWN_DATABASE if options.own else DEMO_DATABASE
        if options.fresh and not _agreed(options, database):
            say("Nothing was changed.")
            return 1
        with _stopping(), _served(cluster, options, database):
            signal.pause()
    return 0


def stop() -> int:
    """Stop a running ./fern start, or a database server one that was killed left behind."""
    process = holder("start")
    if process:
        os.kill(process, signal.SIGTERM)
        until = time.monotonic() + _PATIENCE_S
        while holder("start") and time.monotonic() < until:
            time.sleep(0.1)
        say("Stopped.")
        return 0
    left = _stop_left_apps()
    cluster = Cluster(kept_home())
    if cluster.running():
        cluster.stop()
        left = True
    say("Stopped what a killed start had left running." if left else "Nothing was running.")
    return 0


def _stop_left_apps() -> bool:
    """Stop app servers whose ./fern start was killed; whether there were any."""
    found = False
    for file in STATE.glob("app-*.pid"):
        process = int(file.read_text().strip() or 0)
        command = Path(f"/proc/{process}/cmdline")
        if process and command.exists() and b"fernbell.server.wsgi" in command.read_bytes():
            os.kill(process, signal.SIGTERM)
            found = True
        file.unlink()
    return found


def install_all(*, browser: bool, dev: bool) -> None:
    """Whatever is missing, once."""
    install.check_room()
    with in_turn("install"):
        install.debian_packages(browser=browser)
        install.check_node()
        install.python_packages(dev=dev)
        install.web_packages()
        install.build_web()


@contextlib.contextmanager
def application(env: Mapping[str, str], port: int) -> Iterator[None]:
    """The app server as a child that is watched, answering."""
    workers = max(2, min(4, os.cpu_count() or 2))
    command = [install.PYTHON, "-m", "gunicorn", "fernbell.server.wsgi", "--chdir", ROOT]
    command += ["--bind", f"127.0.0.1:{port}", "--workers", str(workers), "--threads", "4"]
    command += ["--preload", "--no-control-socket", "--graceful-timeout", "5"]
    command += ["--pid", STATE / f"app-{port}.pid"]
    server = Child("server", command, env)
    with supervised(server):
        _wait_for(server, port)
        yield


def prepare_database(env: Mapping[str, str], *, demo: bool) -> None:
    """Tables as the code has them, and the demo kitchen."""
    quietly("prepare", [install.PYTHON, "-m", "fernbell.server.prepare"], cwd=ROOT, env=env)
    if demo:
        say("The demo kitchen, Wrenmoor Hall, is loaded.")


def environment(cluster: Cluster, database: str, *, demo: bool) -> dict[str, str]:
    """What the application runs with."""
    return {
        **cluster.env,
        "FERNBELL_DB_NAME": database,
        "FERNBELL_DEMO": "1" if demo else "0",
        "FERNBELL_SECRET": _secret(),
        "FERNBELL_BUILD": secrets.token_hex(6),
        "DJANGO_SETTINGS_MODULE": "fernbell.server.settings",
    }


def _options(arguments: list[str]) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="./fern start")
    parser.add_argument("--port", type=int, default=8615, help="port to serve on (8615)")
    parser.add_argument("--own", action="store_true", help="your own kitchen, without the demo")
    parser.add_argument("--fresh", action="store_true", help="erase the data and begin anew")
    parser.add_argument("--yes", action="store_true", help="do not ask before erasing")
    options = parser.parse_args(arguments)
    if not 1 <= options.port <= 65535:
        raise Stop(f"--port {options.port}: a port is a number from 1 to 65535.")
    return options


def _agreed(options: argparse.Namespace, database: str) -> bool:
    if options.yes:
        return True
    what = (
        "the demo kitchen and loads it" if database == DEMO_DATABASE else "YOUR KITCHEN and begins"
    )
    try:
        return input(f"--fresh erases {what} anew. Type yes to go on: ").strip() == "yes"
    except EOFError:
        return False


def _check_port(port: int) -> None:
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("127.0.0.1", port))
        except OSError:
            other = port + 1 if port < 65535 else 8615
            raise Stop(
                f"Port {port} is taken or not allowed. Choose another: ./fern start --port {other}"
            ) from None


@contextlib.contextmanager
def _served(cluster: Cluster, options: argparse.Namespace, database: str) -> Iterator[None]:
    if options.fresh and cluster.data.exists() and not (cluster.data / "PG_VERSION").exists():
        shutil.rmtree(cluster.data)
    say("Starting PostgreSQL …")
    cluster.prepare()
    cluster.start()
    try:
        if options.fresh:
            cluster.drop_database(database)
        cluster.ensure_database(database)
        env = environment(cluster, database, demo=not options.own)
        prepare_database(env, demo=not options.own)
        with kept_up("PostgreSQL", cluster), application(env, options.port):
            say(f"Fern Bell is ready: http://127.0.0.1:{options.port}  (Ctrl-C stops it)")
            yield
    finally:
        say("Stopping …")
        cluster.stop()


@contextlib.contextmanager
def _stopping() -> Iterator[None]:
    """Turn the signals that end a program into a way out that cleans up."""

    def leave(*_: object) -> None:
        raise KeyboardInterrupt

    for one in (signal.SIGINT, signal.SIGTERM, signal.SIGHUP):
        signal.signal(one, leave)
    with contextlib.suppress(KeyboardInterrupt):
        yield


def _wait_for(server: Child, port: int) -> None:
    until = time.monotonic() + _PATIENCE_S
    while time.monotonic() < until and not server.deaths:
        try:
            with urllib.request.urlopen(f"http://127.0.0.1:{port}/health/ready", timeout=2):
                return
        except urllib.error.HTTPError:
            return
        except OSError:
            time.sleep(0.1)
    raise Stop(f"The app server did not start: see {server.log}")


def _secret() -> str:
    path = STATE / "secret"
    if not path.exists():
        path.parent.mkdir(parents=True, exist_ok=True)
        path.write_text(secrets.token_urlsafe(40))
        path.chmod(0o600)
    return path.read_text()
