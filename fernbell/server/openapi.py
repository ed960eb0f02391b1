"""`python -m fernbell.server.openapi`: write what the front end is built and tested with.

The OpenAPI document, whence its types; and the vocabulary, which its tests read.
"""

import json
import os
from functools import cache
from pathlib import Path

import django

os.environ.setdefault("DJANGO_SETTINGS_MODULE", "fernbell.server.settings")
django.setup()

from fernbell.server.api import api  # noqa: E402 - needs the apps loaded
from fernbell.server.vocabulary import HOUSE  # noqa: E402

ROOT = Path(__file__).resolve().parent.parent.parent
DOCUMENT = ROOT / "docs" / "openapi.json"
WORDS = ROOT / "web" / "src" / "testing" / "house.json"


@cache
def document() -> str:
    """The document as text."""
    return json.dumps(api.get_openapi_schema(path_prefix="/api/"), indent=1, sort_keys=True) + "\n"


def words() -> str:
    """The vocabulary as text."""
    return json.dumps(HOUSE.model_dump(mode="json"), indent=1, ensure_ascii=False) + "\n"


if __name__ == "__main__":
    DOCUMENT.write_text(document())
    WORDS.write_text(words())
