"""Kitchens as every schema so far has kept them, for migrations to run forward on.

`python -m tests.server.old_schemas` writes the demo kitchen as the schema of now keeps it; run it
whenever a migration was added. The files are plain dumps of PostgreSQL, in the order of the house.
"""

import hashlib
import lzma
import sys
from pathlib import Path

from ops.application import DEMO_DATABASE, environment, prepare_database
from ops.postgres import throwaway
from tests.conftest import ROOT

FOLDER = Path(__file__).parent / "schemas"


def word() -> str:
    """A word for the migrations of now."""
    steps = sorted(ROOT.glob("fernbell/server/*/migrations/0*.py"))
    told = "\n".join(f"{step.parts[-3]} {step.stem}" for step in steps)
    return hashlib.sha256(told.encode()).hexdigest()[:8]


def fixtures() -> list[Path]:
    """Every schema that was kept, the oldest first."""
    return sorted(FOLDER.glob("*.sql.xz"))


def script(fixture: Path) -> str:
    """What makes the database of a fixture."""
    return lzma.decompress(fixture.read_bytes()).decode()


def main() -> None:
    """Keep the schema of now, unless it is kept."""
    if any(word() in one.name for one in fixtures()):
        sys.stdout.write("The schema of now is kept already.\n")
        return
    with throwaway() as cluster:
        cluster.ensure_database(DEMO_DATABASE)
        prepare_database(environment(cluster, DEMO_DATABASE, demo=True), demo=True)
        dump = cluster.client("pg_dump", "--no-owner", "--no-comments", DEMO_DATABASE)
    file = FOLDER / f"{len(fixtures()) + 1:03d}-{word()}.sql.xz"
    file.write_bytes(lzma.compress(dump.encode(), preset=9))
    sys.stdout.write(f"Kept {file.name}.\n")


if __name__ == "__main__":
    main()
