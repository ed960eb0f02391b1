"""`python -m fernbell.server.prepare`: tables as the code has them; in demo mode, the demo."""

import os

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from django.conf import settings  # noqa: E402 - needs the apps loaded
from django.core.management import call_command  # noqa: E402

from fernbell.server.demo import load_demo  # noqa: E402

call_command("migrate", interactive=False, verbosity=0)
if settings.DEMO:
    load_demo()
