"""`python -m fernbell.server.openapi`: write the OpenAPI document, whence the front end's types."""

import json
import os
from pathlib import Path

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from fernbell.server.api import api  # noqa: E402 - needs the apps loaded

DOCUMENT = Path(__file__).resolve().parent.parent.parent / "docs" / "openapi.json"


def document() -> str:
    """The document as text."""
    return json.dumps(api.get_openapi_schema(path_prefix="/api/"), indent=1, sort_keys=True) + "\n"


if __name__ == "__main__":
    DOCUMENT.write_text(document())
