"""Reading a pasted list of ingredients."""

import re
from dataclasses import dataclass

from fernbell.core.errors import CoreError, NotUnderstood
from fernbell.core.measures import MOST_PASTED
from fernbell.core.pantry.ingredient import Ingredient

_LONGEST_NAME = 120
_LINE = re.compile(
    r"^\s*(?P<name>.*?\D)(?:[\t;|,:]\s*|\s{2,})(?P<density>\d*[.,]?\d+)\s*(?:g/ml|kg/l)?\s*$",
    re.IGNORECASE,
)


@dataclass(frozen=True, slots=True)
class NamedDensity:
    """One line as pasted: a name, its density where one stands beside it, or why not."""

    text: str
    name: str = ""
    density_g_ml: float | None = None
    refusal: str = ""


def read_densities(text: str) -> tuple[NamedDensity, ...]:
    """Read names, and densities where they stand beside them.

    Args:
        text: a name a line, its density in g/ml after a tab, comma or semicolon [text].
    Returns:
        one result a line that is not blank, shape (n,) [g/ml].
    Raises:
        NotUnderstood: more than 300 lines.
    Source:
        definition.
    """
    lines = [line.strip() for line in text.splitlines() if line.strip()]
    if len(lines) > MOST_PASTED:
        raise NotUnderstood("text", f"{len(lines)} lines", f"at most {MOST_PASTED} lines")
    seen: set[str] = set()
    return tuple(_read(line, seen) for line in lines)


def _read(line: str, seen: set[str]) -> NamedDensity:
    found = _LINE.match(line)
    name = (found["name"] if found else line).strip(" \t;|,:")
    density = float(found["density"].replace(",", ".")) if found else None
    if not any(char.isalpha() for char in name):
        return NamedDensity(line, refusal="A line needs a name.")
    if len(name) > _LONGEST_NAME:
        return NamedDensity(line, refusal=f"A name has at most {_LONGEST_NAME} letters.")
    if name.casefold() in seen:
        return NamedDensity(line, refusal="This name stands in the list already.")
    seen.add(name.casefold())
    try:
        Ingredient("", name, density)
    except CoreError as error:
        return NamedDensity(line, name, refusal=str(error))
    return NamedDensity(line, name, density)
