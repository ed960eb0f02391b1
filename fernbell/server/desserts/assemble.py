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
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.assemble import mold_of


def formulas_of(parts: Sequence[Any]) -> Iterator[tuple[str, str]]:
    """Where each formula is named, and its key: ('2.layers.0', '…')."""
    for place, part in enumerate(parts):
        if isinstance(part, Insert):
            for inner, layer in enumerate(part.layers):
                yield f"{place}.layers.{inner}", layer.formula
        else:
            yield str(place), part.formula


def dessert_of(row: models.Dessert, mold: Ring | Frame | None = None) -> Dessert:
    """The row as a core value, in its own mold or another."""
    parts = tuple(PARTS.validate_python(row.parts))
    portions = PORTIONS.validate_python(row.portions)
    return Dessert(row.name, mold or mold_of(row.mold), parts, portions)


def solved(row: models.Dessert, count: int) -> tuple[Solved, tuple[Sheet, ...]]:
    """The dessert worked out for a count. One query beside the row's own."""
    dessert = dessert_of(row)
    book = book_for(row.kitchen_id, {key for _, key in formulas_of(dessert.parts)})
    return solve(dessert, book, count)


def what_if(member: Member, entry: DessertIn, mold: Ring | Frame) -> Solved:
    """A dessert as it would be, not saved. One query beside the mold's."""
    parts, portions = tuple(entry.parts), entry.portions or portions_for(mold)
    dessert = Dessert(entry.name, mold, parts, portions)
    wanted = [key for _, key in formulas_of(parts) if is_uuid(key)]
    return solve(dessert, book_for(member.kitchen_id, wanted), entry.count)[0]


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
