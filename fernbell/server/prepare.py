"""`python -m fernbell.server.prepare`: tables as the code has them; in demo mode, the demo.

Data that a newer Fern Bell has changed is left alone.
"""

import os
import sys

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from django.conf import settings  # noqa: E402 - needs the apps loaded
from django.core.management import call_command  # noqa: E402
from django.db import connection  # noqa: E402
from django.db.migrations.loader import MigrationLoader  # noqa: E402

from fernbell.server.demo import load_demo  # noqa: E402

with connection.cursor() as cursor:
    # What a migration rewrites takes as long as it takes.
    cursor.execute("SET statement_timeout = 0; SET lock_timeout = 0")
loader = MigrationLoader(connection)
newer = sorted(
    f"{app} {name}"
    for app, name in loader.applied_migrations
    if app in loader.migrated_apps and (app, name) not in loader.disk_migrations
)
if newer:
    sys.exit(f"The data was changed by a newer Fern Bell ({newer[-1]}): bring that version back.")
call_command("migrate", interactive=False, verbosity=0)
if settings.DEMO:
    load_demo()
