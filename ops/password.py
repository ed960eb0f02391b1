"""./fern password NAME: another password for somebody, set at the machine."""

import argparse
import getpass
import os
import subprocess
import sys

from ops import install
from ops.application import DEMO_DATABASE, OWN_DATABASE, environment
from ops.home import kept
from ops.postgres import Cluster
from ops.say import ROOT, Stop, say
from ops.schema import current, noted


def password(arguments: list[str]) -> int:
    """Ask for it twice and set it, whether Fern Bell runs or not."""
    parser = argparse.ArgumentParser(prog="./fern password")
    parser.add_argument("name", help="name to sign in with")
    parser.add_argument("--demo", action="store_true", help="in the demo kitchen")
    options = parser.parse_args(arguments)
    cluster = Cluster(kept())
    if not (cluster.data / "PG_VERSION").exists() or not install.PYTHON.exists():
        raise Stop("There is no kitchen here yet: ./fern start --own founds one.")
    chosen = _asked()
    database = DEMO_DATABASE if options.demo else OWN_DATABASE
    with cluster.at_hand():
        if database not in cluster.databases() or noted(cluster, database) != current():
            raise Stop("The data is of another version, or not there yet: run ./fern start once.")
        env = environment(cluster, database, demo=options.demo)
        done = subprocess.run(
            [install.PYTHON, "-m", "fernbell.server.password", options.name],
            input=f"{chosen}\n",
            text=True,
            cwd=ROOT,
            env={**os.environ, **env},
            capture_output=True,
            check=False,
        )
    if done.returncode:
        raise Stop(done.stderr.strip().splitlines()[-1] if done.stderr.strip() else "It failed.")
    say(f"{options.name} has another password; whoever was signed in as them is not any more.")
    return 0


def _asked() -> str:
    if not sys.stdin.isatty():
        return sys.stdin.readline().rstrip("\n")
    first = getpass.getpass("New password, at least 10 characters: ")
    if getpass.getpass("The same again: ") != first:
        raise Stop("The two are not the same. Nothing was changed.")
    return first
