"""`python -m fernbell.server.prepare`: tables as the code has them; in demo mode, the demo."""

import os

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from django.conf import settings  # noqa: E402 - needs the apps loaded
from django.core.management import call_command  # noqa: E402
from django.db import connection  # noqa: E402

from fernbell.server.demo import load_demo  # noqa: E402

with connection.cursor() as cursor:
    # What a migration rewrites takes as long as it takes.
    cursor.execute("SET statement_timeout = 0; SET lock_timeout = 0")
call_command("migrate", interactive=False, verbosity=0)
if settings.DEMO:
    load_demo()
