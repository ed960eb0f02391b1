"""./fern start: install, start PostgreSQL, load, serve, and stop it all again."""

import argparse
import contextlib
import os
import shutil
import signal
import socket
import time
from collections.abc import Iterator
from concurrent.futures import ThreadPoolExecutor
from pathlib import Path

from ops import install
from ops.application import (
    DEMO_DATABASE,
    OWN_DATABASE,
    Door,
    application,
    environment,
    lan_door,
    prepare_database,
    workers,
)
from ops.backup import automatic, days_kept, write
from ops.home import data_home, found_home, kept, make_home
from ops.lock import holder, in_turn, only_one
from ops.nightly import nightly
from ops.pace import patience_s
from ops.postgres import Cluster
from ops.say import STATE, Stop, say
from ops.schema import current, note, noted
from ops.supervise import kept_up
from ops.upgrade import offer

_PATIENCE_S = 60


def start(arguments: list[str]) -> int:
    """Everything up to an address to open; blocks until it is told to stop."""
    options = _options(arguments)
    taken = f"Fern Bell is already running on the data in {found_home()} (process {{}})."
    with only_one(_lock(), taken):
        if _stop_left_apps():
            time.sleep(1)
        _check_port(options)
        install_all(browser=False, dev=False)
        make_home()
        cluster = Cluster(kept())
        offer(cluster)
        database = OWN_DATABASE if options.own else DEMO_DATABASE
        if options.fresh and not _agreed(options, database):
            say("Nothing was changed.")
            return 1
        with _stopping(), _served(cluster, options, database):
            signal.pause()
    return 0


def _lock() -> Path:
    return data_home() / "start.lock"


def stop() -> int:
    """Stop a running ./fern start, or a database server one that was killed left behind."""
    process = holder(_lock())
    if process:
        os.kill(process, signal.SIGTERM)
        until = time.monotonic() + patience_s(_PATIENCE_S)
        while holder(_lock()) and time.monotonic() < until:
            time.sleep(0.1)
        say("Stopped.")
        return 0
    left = _stop_left_apps()
    cluster = Cluster(kept())
    if cluster.running():
        cluster.stop()
        left = True
    say("Stopped what a killed start had left running." if left else "Nothing was running.")
    return 0


def _stop_left_apps() -> bool:
    """Stop app servers whose ./fern start was killed; whether there were any."""
    found = False
    for file in data_home().glob("app-*.pid"):
        noted = file.read_text().strip()
        command = Path(f"/proc/{noted}/cmdline")
        # Ours was told to note its process right there; whoever has the number now was not.
        if noted.isdecimal() and command.exists() and bytes(file) in command.read_bytes():
            os.kill(int(noted), signal.SIGTERM)
            found = True
        file.unlink()
    return found


def install_all(*, browser: bool, dev: bool) -> None:
    """Whatever is missing, once."""
    install.check_room()
    with in_turn(STATE / "install.lock"):
        install.debian_packages(browser=browser)
        install.check_node()
        # The front end is fetched and built meanwhile.
        with ThreadPoolExecutor(1) as meanwhile:
            web = meanwhile.submit(install.web)
            install.python_packages(dev=dev)
            web.result()


def _options(arguments: list[str]) -> argparse.Namespace:
    parser = argparse.ArgumentParser(prog="./fern start")
    parser.add_argument("--port", type=int, default=8615, help="port to serve on (8615)")
    parser.add_argument("--own", action="store_true", help="your own kitchen, without the demo")
    parser.add_argument("--fresh", action="store_true", help="erase the data and begin anew")
    parser.add_argument("--yes", action="store_true", help="do not ask before erasing")
    lan = parser.add_argument_group("for tablets and others in the kitchen's own network")
    lan.add_argument("--lan", action="store_true", help="listen there too, by https")
    lan.add_argument("--cert", type=Path, help="certificate to use instead of one of our own")
    lan.add_argument("--key", type=Path, help="its private key")
    lan.add_argument("--hsts", action="store_true", help="browsers are to insist on https")
    options = parser.parse_args(arguments)
    if not 1 <= options.port <= 65535:
        raise Stop(f"--port {options.port}: a port is a number from 1 to 65535.")
    if bool(options.cert) != bool(options.key):
        raise Stop("--cert and --key go together: a certificate and its private key.")
    if not options.lan and (options.cert or options.hsts):
        raise Stop("--cert, --key and --hsts are for --lan: add it.")
    days_kept()
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


def _check_port(options: argparse.Namespace) -> None:
    port = options.port
    with socket.socket() as probe:
        probe.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
        try:
            probe.bind(("" if options.lan else "127.0.0.1", port))
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
        if options.fresh and database in cluster.databases():
            say(f"What is erased was backed up to {write(cluster, automatic('before-fresh'))}.")
            cluster.drop_database(database)
        env = environment(cluster, database, demo=not options.own)
        _bring_up_to_date(cluster, database, env, demo=not options.own)
        door = _door(options)
        with (
            kept_up("PostgreSQL", cluster),
            application(env, door, data_home()),
            workers(env),
            nightly(cluster),
        ):
            _tell(door)
            yield
    finally:
        say("Stopping …")
        cluster.stop()


def _bring_up_to_date(cluster: Cluster, database: str, env: dict[str, str], *, demo: bool) -> None:
    """The schema as the code has it; what an older one holds is backed up before it changes."""
    if database in cluster.databases() and noted(cluster, database) != current():
        say(f"Before the tables change: {write(cluster, automatic('before-migration'))}")
    cluster.ensure_database(database)
    prepare_database(env, demo=demo)
    note(cluster, database)


def _door(options: argparse.Namespace) -> Door:
    if options.lan:
        return lan_door(options.port, options.cert, options.key, hsts=options.hsts)
    return Door(options.port)


def _tell(door: Door) -> None:
    say(f"Fern Bell is ready: {door.local}  (Ctrl-C stops it)")
    if not door.cert:
        return
    if not door.urls:
        say("No address of a private network was found on this machine.")
    for url in door.urls:
        say(f"  in the kitchen's network: {url}")
    if door.qr:
        say(f"For the tablet's camera:\n{door.qr}")
    if door.authority:
        say(
            "The certificate is this machine's own: a tablet asks once, or trusts it for good with "
            f"{door.authority} (docs/deploy.md says how)."
        )


@contextlib.contextmanager
def _stopping() -> Iterator[None]:
    """Turn the signals that end a program into a way out that cleans up."""

    def leave(*_: object) -> None:
        raise KeyboardInterrupt

    for one in (signal.SIGINT, signal.SIGTERM, signal.SIGHUP):
        signal.signal(one, leave)
    with contextlib.suppress(KeyboardInterrupt):
        yield
