"""Every question with its answer, in full and as it is kept."""

import json
from collections.abc import Iterator
from pathlib import Path
from typing import Any

from fernbell.demo.book import demo_book
from fernbell.demo.formulas import FORMULAS
from fernbell.starter.molds import MOLDS
from tests.core.answers.answers import digest, digits, of_dessert, of_formula, of_jobs, of_mold
from tests.core.answers.given import HUNG_FIRST, demo_desserts, drawn_desserts
from tests.core.kitchen import BOOK

KEPT = Path(__file__).with_name("kept.json")

Answers = Iterator[tuple[str, dict[str, Any]]]


def desserts() -> Answers:
    """What every demo dessert and every drawn one answers."""
    book = demo_book()
    for name, dessert, count in demo_desserts():
        yield f"dessert {name}", of_dessert(dessert, book, count)
    for name, dessert, count in drawn_desserts():
        yield f"dessert {name}", of_dessert(dessert, BOOK, count)


def formulas() -> Answers:
    """What every demo formula answers."""
    book = demo_book()
    for formula in FORMULAS:
        yield f"formula {formula.slug}", of_formula(formula, book)


def proposals() -> Answers:
    """What the demo's molds answer, and what every job proposes."""
    yield "molds", {mold.slug: of_mold(mold.mold) for mold in MOLDS[:HUNG_FIRST]}
    yield "jobs", dict(of_jobs())


def everything() -> Answers:
    """Every answer."""
    yield from desserts()
    yield from formulas()
    yield from proposals()


def in_brief(answer: dict[str, Any]) -> dict[str, Any]:
    """An answer as it is kept: what is long by its digest."""
    return {key: _short(value) for key, value in answer.items()}


def _short(value: Any) -> Any:
    plain = digits(value)
    return plain if len(json.dumps(plain)) < SHORT else digest(value)


SHORT = 300
"""Longer answers are kept as a digest [characters]."""


def kept() -> dict[str, dict[str, Any]]:
    """The answers as they were written down."""
    found: dict[str, dict[str, Any]] = json.loads(KEPT.read_text())
    return found
