"""Where the kitchen's data lies: apart from the code, in a folder that outlives the clone."""

import contextlib
import hashlib
import os
import shutil
from datetime import datetime
from pathlib import Path

from ops.say import ROOT, STATE, Stop, say

_SHARED = Path("/var/lib/fernbell")


def is_root() -> bool:
    """Whether this runs as root."""
    return os.geteuid() == 0


def data_home() -> Path:
    """FERNBELL_DATA; else what the system calls the place of data, for root and for others."""
    named = os.environ.get("FERNBELL_DATA")
    if named:
        return Path(named).expanduser().absolute()
    if is_root():
        return _SHARED
    shared = os.environ.get("XDG_DATA_HOME") or Path.home() / ".local" / "share"
    return Path(shared) / "fernbell"


def kept() -> Path:
    """Home of the cluster that is kept between starts."""
    return data_home() / "postgres"


def backups() -> Path:
    """Where backups lie that nobody named a place for."""
    return data_home() / "backups"


def restored() -> Path:
    """Home of a cluster that a backup was brought back to, until it takes its place."""
    return data_home() / "postgres.restored"


def found_home() -> Path:
    """The data folder; Stop where it cannot be made, or the database's account cannot reach it."""
    home = data_home()
    try:
        home.mkdir(parents=True, exist_ok=True)
    except OSError as error:
        raise Stop(
            f"The data folder {home} cannot be made ({error.strerror}). "
            "Name another: FERNBELL_DATA=/a/folder ./fern …"
        ) from None
    closed = unreachable(home)
    if closed:
        raise Stop(
            f"The account postgres, which runs the database for root, cannot pass {closed}. "
            f"Allow it (chmod o+x {closed}) or name another data folder: FERNBELL_DATA=…"
        )
    return home


def make_home() -> None:
    """The data folder, with what older versions kept elsewhere, and what waits to take its place.

    Raises Stop where it cannot be made, or somebody still works on what is to be moved.
    """
    found_home()
    _take_over()
    take_place()


def unreachable(home: Path) -> Path | None:
    """The first folder on the way that the account postgres cannot pass, where it has to."""
    if not is_root():
        return None
    way = [*reversed(home.parents), home]
    return next((step for step in way if step.exists() and not step.stat().st_mode & 0o001), None)


def older_places() -> list[Path]:
    """Clusters where older versions kept them; the clone's own first, then the last used."""
    if not is_root():
        places = [STATE / "postgres"]
    else:
        own = _SHARED / hashlib.sha256(str(ROOT).encode()).hexdigest()[:12]
        others = [one for one in _SHARED.glob("?" * 12) if one != own and one.is_dir()]
        places = [own, *sorted(others, key=_last_used, reverse=True)]
    return [place for place in places if (place / "data" / "PG_VERSION").exists()]


def _last_used(place: Path) -> float:
    noted = place / "data" / "postmaster.opts"
    return noted.stat().st_mtime if noted.exists() else 0.0


def _take_over() -> None:
    """Move the data of an older version here; what a named folder holds is not mixed with it."""
    if kept().exists() or os.environ.get("FERNBELL_DATA"):
        return
    found = older_places()
    if not found:
        return
    if (found[0] / "data" / "postmaster.pid").exists():
        _refuse_running(found[0])
    shutil.move(found[0], kept())
    with contextlib.suppress(FileNotFoundError):
        shutil.move(STATE / "secret", kept() / "secret")
    say(f"The data of an older version was moved from {found[0]} to {kept()}.")


def _refuse_running(place: Path) -> None:
    noted = (place / "data" / "postmaster.pid").read_text().split()[0]
    with contextlib.suppress(OSError):
        if Path(f"/proc/{noted}/cwd").resolve(strict=True) == (place / "data").resolve():
            raise Stop(f"An older Fern Bell still runs on {place}: stop it first, then try again.")


def take_place() -> None:
    """Let a restored cluster take its place; the one before is put aside, not erased."""
    if not restored().exists():
        return
    if kept().exists():
        aside = data_home() / f"postgres.before-{datetime.now().astimezone():%Y%m%d-%H%M%S}"
        kept().rename(aside)
        say(f"What was there before lies in {aside}; delete it once it is not needed.")
    restored().rename(kept())
    say("The restored data took its place.")
