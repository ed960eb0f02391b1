"""`python -m fernbell.starter.methods`: docs/methods.md, its figures from the table of practice.

`docs/methods.in.md` is what a person writes. `[[side clearance]]` stands for the value of that
figure, `[[mended inside in %]]` for a share in per cent, `in cm` and `in h` for millimeters and
minutes; `[[the table]]` for all figures. Paragraphs are wrapped anew.
"""

import re
import textwrap
from itertools import groupby
from pathlib import Path

from fernbell.starter.practice import PRACTICE, Practice

DOCS = Path(__file__).parents[2] / "docs"
SOURCE, PAGE = DOCS / "methods.in.md", DOCS / "methods.md"
WIDTH = 100
_PER = {"": 1.0, " in %": 0.01, " in cm": 10.0, " in h": 60.0}
_FIGURE = re.compile(r"\[\[([^]]+?)( in (?:%|cm|h))?\]\]")
_AS_IT_IS = ("|", "#", "    ")


def page() -> str:
    """The page as it has to stand in docs."""
    blocks = SOURCE.read_text(encoding="utf-8").strip().split("\n\n")
    return "\n\n".join(_laid_out(block) for block in blocks) + "\n"


def _laid_out(block: str) -> str:
    if block == "[[the table]]":
        return "\n\n".join(_tables())
    if block.startswith(_AS_IT_IS):
        return _FIGURE.sub(_value, block)
    said = _FIGURE.sub(_value, " ".join(block.split()))
    return textwrap.fill(said, WIDTH, break_long_words=False, break_on_hyphens=False)


def _value(found: re.Match[str]) -> str:
    return f"{PRACTICE[found[1]].value / _PER[found[2] or '']:.6g}"


def _tables() -> list[str]:
    """A table of each status, in the order in which the table of practice first says it."""
    order = list(dict.fromkeys(one.status for one in PRACTICE.values()))
    sorted_by = sorted(PRACTICE.items(), key=lambda item: order.index(item[1].status))
    return [
        "\n".join([f"| {status} | | |", "|---|---|---|", *(_row(*one) for one in group)])
        for status, group in groupby(sorted_by, key=lambda item: item[1].status)
    ]


def _row(name: str, one: Practice) -> str:
    unit = "" if one.unit == "1" else f" {one.unit}"
    return f"| {name} | {one.value:g}{unit} | {one.says} |"


if __name__ == "__main__":
    PAGE.write_text(page(), encoding="utf-8")
