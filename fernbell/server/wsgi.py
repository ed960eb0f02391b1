"""Entry point of the app server."""

import os

from django.core.wsgi import get_wsgi_application

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")

application = get_wsgi_application()
