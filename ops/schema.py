"""Which schema a database was last brought to, noted on the database itself."""

import hashlib

from ops.postgres import Cluster
from ops.say import ROOT


def current() -> str:
    """A word for the schema of this code: its migrations, and the libraries that bring theirs."""
    steps = sorted(ROOT.glob("fernbell/server/*/migrations/0*.py"))
    told = "\n".join(str(step.relative_to(ROOT)) for step in steps)
    return hashlib.sha256(told.encode() + (ROOT / "requirements.txt").read_bytes()).hexdigest()


def noted(cluster: Cluster, database: str) -> str:
    """The word on a database; empty where there is none."""
    asked = "SELECT shobj_description(oid, 'pg_database') FROM pg_database WHERE datname"
    return "".join(cluster.sql("postgres", f"{asked} = '{database}'"))


def note(cluster: Cluster, database: str) -> None:
    """Put the word of this code on a database."""
    cluster.sql("postgres", f"COMMENT ON DATABASE {database} IS '{current()}'")
