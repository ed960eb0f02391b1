"""Finding rows by their names: PostgreSQL narrows, core says what is meant."""

import json
from collections.abc import Collection, Mapping, Sequence
from typing import Any
from uuid import UUID

from django.db import connection
from django.db.models import QuerySet
from django.db.models.expressions import RawSQL

from fernbell.core.pantry.naming import Asked, Lookup, Named, Names, may_be_far
from fernbell.server.rows.shelf import Shelf

MOST_LOOKED_AT = 150
"""Rows that are read of a shelf for what is asked, those that begin so and the short ones first."""
_LONGEST_SLIP = 60

# One of the keys, or all words of one of those asked: the first word leads into the index.
_HAVING = """
SELECT id FROM {table} WHERE kitchen_id = %s AND {shelved} AND keys && %s
UNION
SELECT one.id FROM jsonb_array_elements(%s::jsonb) AS asked CROSS JOIN LATERAL (
    SELECT id FROM {table}
    WHERE kitchen_id = %s AND {shelved} AND words LIKE (asked->>0)
    AND words LIKE ALL (ARRAY(SELECT jsonb_array_elements_text(asked->1)))
    ORDER BY words NOT LIKE (asked->>2), length(name), name LIMIT %s
) AS one
"""
_NEAR = """
SELECT DISTINCT word FROM {table}, string_to_table(words, ' ') AS word,
    unnest(%s::text[], %s::int[]) AS typed(said, far)
WHERE kitchen_id = %s AND {shelved} AND (word = said OR CASE
    WHEN far > 0 AND abs(length(word) - length(said)) <= far
    THEN levenshtein_less_equal(word, said, 2 * far) <= 2 * far ELSE FALSE END)
"""


def lookup(kitchen: UUID, shelves: Sequence[Shelf], *, archived: bool = False) -> Lookup:
    """What stands on some shelves of a kitchen, found by name."""
    usual = {shelf.name: shelf.usual(kitchen) for shelf in shelves}
    means = {word: str(key) for own in usual.values() for word, key in own.items()}

    def having(asked: Asked) -> Names:
        every: list[Named] = []
        for shelf in shelves:
            found = _having(kitchen, shelf, asked, archived=archived)
            meant = _meant(usual[shelf.name], asked)
            every += shelf.named(found | _own(kitchen, shelf).filter(pk__in=meant))
        return Names(tuple(every), means)

    def near(words: tuple[str, ...]) -> Collection[str]:
        found = (_near(kitchen, shelf, words, archived=archived) for shelf in shelves)
        return set().union(*found)

    def held(container: str) -> Names:
        every = (
            one
            for shelf in shelves
            for one in shelf.named(
                shelf.held(_own(kitchen, shelf).filter(archived_at=None), container)
            )
        )
        return Names(tuple(every))

    return Lookup(having, near, held)


def _own(kitchen: UUID, shelf: Shelf) -> QuerySet:
    return shelf.model._default_manager.filter(kitchen_id=kitchen)


def _having(kitchen: UUID, shelf: Shelf, asked: Asked, *, archived: bool) -> QuerySet:
    holding = json.dumps([_patterns(words, asked) for words in asked.holding])
    given = (kitchen, list(asked.keys), holding, kitchen, MOST_LOOKED_AT)
    narrowed = RawSQL(_sql(_HAVING, shelf, archived=archived), given)  # noqa: S611 - our own
    return _own(kitchen, shelf).filter(pk__in=narrowed)


def _patterns(words: tuple[str, ...], asked: Asked) -> list[Any]:
    """The pattern of its longest word, those of the others, and how a name begins with them."""
    plain = [word.replace("%", r"\%") for word in words]
    ends = [" "] * (len(plain) - 1) + ["" if asked.begun else " "]
    each = [f"% {word}{end}%" for word, end in zip(plain, ends, strict=True)]
    first = max(each, key=len)
    return [first, [one for one in each if one != first], f"| {' '.join(plain)}%"]


def _meant(usual: Mapping[str, UUID], asked: Asked) -> set[UUID]:
    typed = {word for words in asked.holding for word in words}
    return {
        key
        for said, key in usual.items()
        if said in asked.keys or any(word.startswith(tuple(typed)) for word in said.split())
    }


def _near(kitchen: UUID, shelf: Shelf, words: tuple[str, ...], *, archived: bool) -> set[str]:
    far = [may_be_far(word) if len(word) <= _LONGEST_SLIP else 0 for word in words]
    with connection.cursor() as cursor:
        cursor.execute(_sql(_NEAR, shelf, archived=archived), (list(words), far, kitchen))
        return {word for (word,) in cursor.fetchall()}


def _sql(sql: str, shelf: Shelf, *, archived: bool) -> str:
    shelved = f"archived_at IS {'NOT ' if archived else ''}NULL"
    return sql.format(table=shelf.model._meta.db_table, shelved=shelved)
