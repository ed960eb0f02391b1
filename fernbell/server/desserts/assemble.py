"""From dessert rows to core and back, with a fixed number of queries."""

from collections.abc import Iterator, Sequence
from typing import Any
from uuid import UUID

from fernbell.core.desserts import Dessert, Insert, Solved, portions_for, solve
from fernbell.core.formulas import Sheet
from fernbell.core.molds import Frame, Ring
from fernbell.server.desserts import models
from fernbell.server.desserts.schemas import PARTS, PORTIONS, SOLVED, DessertIn
from fernbell.server.formulas.assemble import book_for
from fernbell.server.molds.assemble import mold_of


def formulas_of(parts: Sequence[Any]) -> Iterator[tuple[str, str]]:
    """Where each formula is named, and its key: ('2.layers.0', '…')."""
    for place, part in enumerate(parts):
        if isinstance(part, Insert):
            for inner, layer in enumerate(part.layers):
                yield f"{place}.layers.{inner}", layer.formula
        else:
            yield str(place), part.formula


def dessert_of(row: models.Dessert) -> Dessert:
    """The row as a core value."""
    parts = tuple(PARTS.validate_python(row.parts))
    return Dessert(row.name, mold_of(row.mold), parts, PORTIONS.validate_python(row.portions))


def drawn(entry: DessertIn, mold: Ring | Frame) -> Dessert:
    """An entry as a core value; without portions it is divided as is usual for the mold.

    Core refuses what cannot be: two fills, wedges of a frame, a key used twice.
    """
    return Dessert(entry.name, mold, tuple(entry.parts), entry.portions or portions_for(mold))


def solved(kitchen: UUID, dessert: Dessert, count: int) -> tuple[Solved, tuple[Sheet, ...]]:
    """The dessert worked out for a count, with the kitchen's formulas. One query."""
    keys = {key for _, key in formulas_of(dessert.parts) if is_uuid(key)}
    return solve(dessert, book_for(kitchen, keys), count)


def is_uuid(key: str) -> bool:
    """Whether a key can be a row's."""
    try:
        UUID(key)
    except ValueError:
        return False
    return True


def as_json(answer: Solved) -> bytes:
    """A solved dessert as JSON, straight from core; core lets no NaN into a figure."""
    return SOLVED.dump_json(answer)
