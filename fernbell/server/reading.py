"""What comes in, before anything looks at it: only text that can be kept."""

import re
from collections.abc import Iterator
from typing import Any

from django.http import HttpRequest
from django.utils.datastructures import MultiValueDict
from ninja.parser import Parser

from fernbell.core.errors import field_words
from fernbell.server.problems import Invalid

_NO_TEXT = re.compile("[\x00\ud800-\udfff]")
"""NUL, which no database keeps, and halves of a character that is none by itself."""


class StrictParser(Parser):
    """Reads bodies and queries; text that cannot be kept is refused at its field."""

    def parse_body(self, request: HttpRequest) -> dict[str, Any]:
        """The body as JSON."""
        return refuse_no_text(super().parse_body(request))

    def parse_querydict(
        self, data: MultiValueDict[str, Any], list_fields: list[str], request: HttpRequest
    ) -> dict[str, Any]:
        """The query, or a form."""
        return refuse_no_text(super().parse_querydict(data, list_fields, request))


def refuse_no_text(data: dict[str, Any]) -> dict[str, Any]:
    """What came in, unless some text of it is none."""
    place = next(_no_texts(data), None)
    if place is None:
        return data
    field = _NO_TEXT.sub("?", ".".join(step for step in place if step != "data"))
    name = field_words(field.rpartition(".")[2]) if field else "The entry"
    message = f"{name} holds a character that is none (NUL, or half of one): write it otherwise."
    raise Invalid.field(field, message)


def _no_texts(data: Any) -> Iterator[tuple[str, ...]]:
    """Where text stands that is none; without recursion, however deep it is nested."""
    waiting: list[tuple[tuple[str, ...], Any]] = [((), data)]
    while waiting:
        place, one = waiting.pop()
        if isinstance(one, str):
            if _NO_TEXT.search(one):
                yield place
        elif isinstance(one, dict):
            for key, value in one.items():
                if _NO_TEXT.search(key):
                    yield (*place, key)
                waiting.append(((*place, key), value))
        elif isinstance(one, list):
            waiting += [((*place, str(at)), value) for at, value in enumerate(one)]
