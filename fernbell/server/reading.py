"""What comes in, before anything looks at it: text that can be kept, numbers a scale can show."""

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
_TINY = re.compile(r"\s*[+-]?(0?\.0{6,}\d{1,40}|(\d{1,20}\.?\d{0,20}|\.\d{1,20})[eE]-\d{1,3})\s*")
LEAST = 1e-6
"""No scale, ruler or thermometer shows less; what is divided by less grows beyond all numbers."""


class StrictParser(Parser):
    """Reads bodies and queries; what cannot be kept or measured is refused at its field."""

    def parse_body(self, request: HttpRequest) -> dict[str, Any]:
        """The body as JSON."""
        return refuse_strange(super().parse_body(request))

    def parse_querydict(
        self, data: MultiValueDict[str, Any], list_fields: list[str], request: HttpRequest
    ) -> dict[str, Any]:
        """The query, or a form."""
        asked: dict[str, Any] = super().parse_querydict(data, list_fields, request)
        # There every number is text: what reads as a tiny one is refused like the number.
        refuse_strange({key: _tiny(value) for key, value in asked.items()})
        return asked


def _tiny(value: Any) -> Any:
    """A number that is too small to be measured, where a text reads as one; else what came in."""
    if isinstance(value, str) and _TINY.fullmatch(value):
        number = float(value)
        return number if number else value
    return value


def refuse_strange(data: dict[str, Any]) -> dict[str, Any]:
    """What came in, unless some text of it is none or some number too small to be measured."""
    found = next(_strange(data), None)
    if found is None:
        return data
    place, fault = found
    field = _NO_TEXT.sub("?", ".".join(step for step in place if step != "data"))
    name = field_words(field.rpartition(".")[2]) if field else "The entry"
    raise Invalid.field(field, f"{name} {fault}")


_NO_TEXT_SAYS = "holds a character that is none (NUL, or half of one): write it otherwise."
_TOO_SMALL_SAYS = "must be 0 or at least 0.000001: no scale shows less."


def _strange(data: Any) -> Iterator[tuple[tuple[str, ...], str]]:
    """Where something strange stands, and what; without recursion, however deep it is nested."""
    waiting: list[tuple[tuple[str, ...], Any]] = [((), data)]
    while waiting:
        place, one = waiting.pop()
        if isinstance(one, str):
            if _NO_TEXT.search(one):
                yield place, _NO_TEXT_SAYS
        elif isinstance(one, float):
            if 0 < abs(one) < LEAST:
                yield place, _TOO_SMALL_SAYS
        elif isinstance(one, dict):
            for key, value in one.items():
                if _NO_TEXT.search(key):
                    yield (*place, key), _NO_TEXT_SAYS
                waiting.append(((*place, key), value))
        elif isinstance(one, list):
            waiting += [((*place, str(at)), value) for at, value in enumerate(one)]
