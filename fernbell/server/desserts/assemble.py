"""From dessert rows to core and back, with a fixed number of queries."""

from collections.abc import Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from types import MappingProxyType
from typing import Any, cast
from uuid import UUID

from fernbell.core.desserts import (
    Bite,
    Dessert,
    Held,
    Portions,
    Solved,
    SolvedOrder,
    formulas_used,
    portions_for,
    refit,
    said_each_way,
    shape_of,
    solve_order,
    take_bite,
    usual_build,
)
from fernbell.core.desserts.kinds import expected_rules
from fernbell.core.desserts.measure import MeasuredDessert, Readings
from fernbell.core.desserts.solve import measured
from fernbell.core.findings import Severity
from fernbell.core.formulas import lines_of, read_formulas
from fernbell.core.molds import trays
from fernbell.server.desserts.schemas import (
    PARTS,
    PORTIONS,
    WORKED_OUT,
    DessertIn,
    SizeIn,
    SizeOut,
    WorkedOut,
)
from fernbell.server.formulas.books import book_for
from fernbell.server.kitchens.models import Member
from fernbell.server.molds.assemble import mold_of
from fernbell.server.molds.models import Mold
from fernbell.server.molds.schemas import Shape

Molds = Mapping[UUID, Mold]
Others = Mapping[UUID, Dessert]

FIRST = ""
"""Key of a dessert's own size; the others have keys of their own."""


@dataclass(frozen=True)
class Sized:
    """One size of an entry as a core value."""

    key: str
    mold: Mold
    dessert: Dessert
    count: int


def formulas_of(parts: Sequence[Any]) -> Iterator[tuple[str, str]]:
    """Where each formula is named, and its key: ('2.layers.0', '…')."""
    for place, part in enumerate(parts):
        for use in part.uses():
            yield ".".join(filter(None, (str(place), use.field))), use.formula


def molds_of(entry: DessertIn) -> Iterator[tuple[str, UUID]]:
    """Where each mold is named, and its key."""
    yield "mold", entry.mold
    for place, size in enumerate(entry.sizes):
        yield f"sizes.{place}.mold", size.mold


def drawn(entry: DessertIn, mold: Mold, others: Others = MappingProxyType({})) -> Dessert:
    """An entry's own size as a core value; without portions it is divided as is usual.

    `others` are the desserts it holds. Core refuses what cannot be: two fills, wedges of a
    frame, a key used twice.
    """
    shape = mold_of(mold)
    own = entry.portions or portions_for(shape)
    built = entry.built or usual_build(shape)
    holds = tuple(
        Held(one.key, others[one.dessert], one.each, one.inside_mm) for one in entry.holds
    )
    dessert = Dessert(entry.name, shape, tuple(entry.parts), own, built, holds)
    return dessert if entry.portions else replace(dessert, portions=portions_for(shape_of(dessert)))


def sized(entry: DessertIn, molds: Molds, others: Others = MappingProxyType({})) -> list[Sized]:
    """Every size of an entry as a core value, its own first; what follows it is refitted."""
    first = drawn(entry, molds[entry.mold], others)
    more = [_size(first, size, molds[size.mold]) for size in entry.sizes]
    return [Sized(FIRST, molds[entry.mold], first, entry.count), *more]


def _size(first: Dessert, size: SizeIn, mold: Mold) -> Sized:
    fitted = refit(first, mold_of(mold))
    parts = fitted.parts if size.parts is None else tuple(size.parts)
    portions = size.portions or fitted.portions
    dessert = replace(fitted, parts=parts, portions=portions)
    return Sized(size.key, mold, dessert, size.count)


def solved(member: Member, sizes: Sequence[Sized]) -> SolvedOrder:
    """Every size worked out with the kitchen's formulas. One query."""
    keys = {key for size in sizes for key in formulas_used(size.dessert) if is_uuid(key)}
    return solve_order([(size.dessert, size.count) for size in sizes], book_for(member, keys))


def measured_all(member: Member, sizes: Sequence[Sized]) -> tuple[list[MeasuredDessert], Readings]:
    """Every size measured, and the formulas they are made of. One query."""
    used = [key for size in sizes for key in formulas_used(size.dessert)]
    readings = read_formulas(book_for(member, set(filter(is_uuid, used))), used)
    return [measured(size.dessert, readings, size.count) for size in sizes], readings


def bite_of(member: Member, sizes: Sequence[Sized], key: str) -> Bite | None:
    """A bite through the cut of the size asked for."""
    keys = {one for each in sizes for one in formulas_used(each.dessert) if is_uuid(one)}
    book = book_for(member, keys, whole=True)
    order = solve_order([(size.dessert, size.count) for size in sizes], book)
    at = next((place for place, size in enumerate(sizes) if size.key == key), 0)
    altitude = member.kitchen.altitude_m
    mixes = {one: lines_of(book, one, altitude_m=altitude).as_is for one in keys}
    return take_bite(order.sizes[at].all_parts, mixes)


def worked_out(member: Member, sizes: Sequence[Sized], key: str) -> bytes:
    """The size asked for (the first if there is no such) and the whole order, as JSON.

    Straight from core's values; core lets no NaN into a figure.
    """
    order = solved(member, sizes)
    at = next((place for place, size in enumerate(sizes) if size.key == key), 0)
    shown, found = sizes[at], order.sizes[at].solved()
    answer = WorkedOut.model_construct(
        key=shown.key,
        shape=cast(Shape, shown.dessert.mold),
        parts=list(shown.dessert.parts),
        portions=shown.dessert.portions,
        mold_says=shown.dessert.mold.words_in_full(),
        expects=list(expected_rules(shown.dessert.mold)),
        ways=list(_ways(shown.dessert, found)),
        solved=found,
        sizes=[
            SizeOut.model_construct(
                key=size.key,
                mold_name=size.mold.name,
                says=size.dessert.mold.size_words(),
                count=size.count,
                trays=trays(size.count, size.mold.cavities) if size.mold.cavities > 1 else None,
                wrong=any(finding.severity == Severity.WRONG for finding in result.findings),
            )
            for size, result in zip(sizes, order.sizes, strict=True)
        ],
        takes=list(order.takes),
    )
    return WORKED_OUT.dump_json(answer)


def _ways(dessert: Dessert, found: Solved) -> tuple[Portions, ...]:
    portion = found.portion.value if found.portion else None
    return said_each_way(found.division, shape_of(dessert), portion)


def is_uuid(key: str) -> bool:
    """Whether a key can be a row's."""
    try:
        UUID(key)
    except ValueError:
        return False
    return True


def parts_as_json(parts: Sequence[Any]) -> Any:
    """Parts as they are kept in a row."""
    return PARTS.dump_python(list(parts), mode="json")


def portions_as_json(portions: Any) -> Any:
    """Portions as they are kept in a row."""
    return PORTIONS.dump_python(portions, mode="json")
