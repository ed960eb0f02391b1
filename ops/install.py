"""Installing what is missing and building what changed; nothing is done twice."""

import hashlib
import os
import shutil
import subprocess
import sys
from collections.abc import Iterable
from importlib.util import find_spec
from pathlib import Path

from ops.run import quietly
from ops.say import ROOT, STATE, Stop, say

VENV = ROOT / ".venv"
PYTHON = VENV / "bin" / "python"
WEB = ROOT / "web"
BROWSERS = (Path("/usr/bin/chromium-headless-shell"), Path("/usr/bin/chromium"))
"""Either will do for the tests; the one without a window takes half the time."""
POSTGRES = Path("/usr/lib/postgresql")

_ROOM_TO_INSTALL = 2_000_000_000
_ROOM_TO_RUN = 200_000_000


def check_room() -> None:
    """Stop before the disk is full."""
    installed = PYTHON.exists() and (WEB / "node_modules").exists()
    needed = _ROOM_TO_RUN if installed else _ROOM_TO_INSTALL
    free = shutil.disk_usage(ROOT).free
    if free < needed:
        raise Stop(
            f"Not enough disk: {free / 1e6:.0f} MB are free at {ROOT}, "
            f"{needed / 1e6:.0f} MB are needed."
        )


def debian_packages(*, browser: bool) -> None:
    """Install missing Debian packages as root; as anybody else, name them and stop."""
    missing = []
    if not any(POSTGRES.glob("*/bin/initdb")):
        missing.append("postgresql")
    if find_spec("ensurepip") is None:
        missing.append("python3-venv")
    # Whoever cannot install makes do with the slower one.
    wanted = BROWSERS[:1] if os.geteuid() == 0 else BROWSERS
    if browser and not any(one.exists() for one in wanted):
        missing.append(BROWSERS[0].name)
    if not missing:
        return
    names = " ".join(missing)
    if os.geteuid() != 0:
        raise Stop(f"Debian packages are missing: {names}. Have root run: apt-get install {names}")
    say(f"Installing Debian packages: {names} …")
    quiet = {"DEBIAN_FRONTEND": "noninteractive"}
    quietly("apt-update", ["apt-get", "update", "-q"], env=quiet)
    quietly("apt-install", ["apt-get", "install", "-yq", *missing], env=quiet)


def chromium() -> str:
    """The browser that is there, the quicker one first."""
    return str(next((one for one in BROWSERS if one.exists()), BROWSERS[0]))


def check_node() -> None:
    """Stop unless Node 20 or newer and npm are there."""
    node = shutil.which("node")
    if not node or not shutil.which("npm"):
        raise Stop("Node 20 with npm is needed and was not found on the PATH.")
    version = subprocess.run([node, "--version"], capture_output=True, text=True, check=True)
    if int(version.stdout.lstrip("v").split(".")[0]) < 20:
        raise Stop(f"Node 20 or newer is needed; this is {version.stdout.strip()}.")


def python_packages(*, dev: bool) -> None:
    """The virtual environment, with what the application (and its tests) need."""
    name = "requirements-dev.txt" if dev else "requirements.txt"
    wanted = _digest([ROOT / name], sys.version)
    if PYTHON.exists() and (noted(name) == wanted or (not dev and _covers())):
        return
    if not PYTHON.exists() or noted("python") != sys.version:
        say("Making the Python environment …")
        quietly("venv", [sys.executable, "-m", "venv", "--clear", VENV])
        note("python", sys.version)
    say(f"Installing Python packages ({name}) …")
    pip = [PYTHON, "-m", "pip", "install", "--disable-pip-version-check", "--require-hashes"]
    quietly("pip", [*pip, "-r", ROOT / name])
    note(name, wanted)


def _covers() -> bool:
    """Whether the packages for the tests, which include the application's, are installed."""
    dev = "requirements-dev.txt"
    return noted(dev) == _digest([ROOT / dev], sys.version)


def web() -> None:
    """The front end, built of its packages."""
    web_packages()
    build_web()


def web_packages() -> None:
    """node_modules, as the lock file has it."""
    wanted = _digest([WEB / "package-lock.json"])
    if (WEB / "node_modules").exists() and noted("npm") == wanted:
        return
    say("Installing front-end packages …")
    quietly("npm", ["npm", "ci", "--no-audit", "--no-fund"], cwd=WEB)
    note("npm", wanted)


def build_web() -> None:
    """The built front end, if any of its sources changed."""
    wanted = web_digest()
    if (WEB / "dist" / "index.html").exists() and noted("build") == wanted:
        return
    say("Building the front end …")
    quietly("build", ["npm", "run", "build"], cwd=WEB)
    note("build", wanted)


def web_digest() -> str:
    """Of all that the front end is made of."""
    return _digest(_web_sources())


def _web_sources() -> Iterable[Path]:
    for folder in ("src", "worker", "public"):
        yield from sorted(path for path in (WEB / folder).rglob("*") if path.is_file())
    yield from sorted(path for path in WEB.iterdir() if path.is_file())


def _digest(paths: Iterable[Path], *more: str) -> str:
    digest = hashlib.sha256("\0".join(more).encode())
    for path in paths:
        digest.update(str(path.relative_to(ROOT)).encode() + b"\0" + path.read_bytes())
    return digest.hexdigest()


def noted(name: str) -> str | None:
    """What was noted when something was last done; None where it never was."""
    stamp = STATE / "done" / name
    return stamp.read_text() if stamp.exists() else None


def note(name: str, digest: str) -> None:
    """Note of what something was done."""
    (STATE / "done").mkdir(parents=True, exist_ok=True)
    (STATE / "done" / name).write_text(digest)
