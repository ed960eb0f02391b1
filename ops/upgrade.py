"""A newer PostgreSQL takes the data over by dump and restore, if whoever starts it agrees."""

from ops.backup import automatic, write
from ops.home import take_place
from ops.postgres import Cluster, majors
from ops.restore import bring_back
from ops.say import say


def offer(cluster: Cluster, *, agreed: bool = False) -> None:
    """Ask whether the newest PostgreSQL shall take the data over; without a yes all stays."""
    now, newest = cluster.version, majors()[-1]
    if now is None or now == newest or now not in majors():
        return
    if not agreed and not _asked(now, newest):
        say(f"It stays with PostgreSQL {now}.")
        return
    with cluster.at_hand():
        file = write(cluster, automatic(f"before-postgresql-{newest}"))
    bring_back(file)
    take_place()
    say(f"PostgreSQL {newest} has the data; the backup it came by is {file}.")


def _asked(now: int, newest: int) -> bool:
    question = (
        f"The data is PostgreSQL {now}'s and {newest} is installed. It can take the data over, by "
        "dump and restore; the old folder stays. Type yes to do it now: "
    )
    try:
        return input(question).strip() == "yes"
    except EOFError:
        return False
