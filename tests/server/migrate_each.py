"""`python -m tests.server.migrate_each NAME …`: migrate databases and read what they hold.

Answers as JSON: by name, what could not be read, and how many rows of each shelf there are.
"""

import json
import os
import sys

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from django.core.management import call_command  # noqa: E402 - needs the apps loaded
from django.db import connection  # noqa: E402
from django.test.utils import setup_test_environment  # noqa: E402

from fernbell.server.kitchens.models import Member  # noqa: E402
from tests.server.conftest import client_of  # noqa: E402

SHELVES = ("ingredients", "molds", "formulas", "desserts", "stacks", "orders", "vessels", "hands")


def read_all() -> tuple[dict[str, int], list[str]]:
    """Rows of each shelf, and what is not answered."""
    client = client_of(Member.objects.filter(role="chef").order_by("pk")[0])
    paths, counts = [], {}
    for shelf in SHELVES:
        page = client.get(f"/api/{shelf}?limit=200&order=name").json()
        counts[shelf] = page["total"]
        # Every dessert, and with it every formula it is made of; of the others each tenth.
        shown = page["items"] if shelf == "desserts" else page["items"][::10]
        paths += [f"/api/{shelf}/{one['id']}" for one in shown]
        paths += [f"/api/{shelf}/{one['id']}/history" for one in page["items"][:1]]
    desserts = [path for path in paths if path.startswith("/api/desserts/") and path[-1] != "y"]
    paths += [f"{path}/sheets" for path in desserts]
    bad = {path: client.get(path).status_code for path in paths}
    return counts, [f"{path}: {status}" for path, status in bad.items() if status != 200]


def main() -> None:
    """Do it for each."""
    setup_test_environment()
    told = {}
    for name in sys.argv[1:]:
        connection.close()
        connection.settings_dict["NAME"] = name
        call_command("migrate", interactive=False, verbosity=0)
        counts, failed = read_all()
        told[name] = {"counts": counts, "failed": failed}
    sys.stdout.write(json.dumps(told))


if __name__ == "__main__":
    main()
