"""Finding rows by their names: PostgreSQL narrows, core says what is meant."""

import json
from collections.abc import Mapping, Sequence
from itertools import chain
from typing import Any
from uuid import UUID

from django.db import connection
from django.db.models import QuerySet

from fernbell.core.pantry.naming import Lookup, Names, Sought
from fernbell.server.rows.kept import kept
from fernbell.server.rows.policy import Keeper
from fernbell.server.rows.shelf import Shelf

LOOKED_AT = 100
"""Rows at least that are read for each thing asked, those that begin so and the short first."""

# One of the keys, or all words of one of those asked: the first word leads into the index.
_HAVING = """
(SELECT {place}, id FROM {table} WHERE kitchen_id = %s AND {shelved} AND keys && %s
UNION
SELECT {place}, one.id FROM jsonb_array_elements(%s::jsonb) AS asked CROSS JOIN LATERAL (
    SELECT id FROM {table}
    WHERE kitchen_id = %s AND {shelved} AND words LIKE (asked->>0)
    AND words LIKE ALL (ARRAY(SELECT jsonb_array_elements_text(asked->1)))
    ORDER BY words NOT LIKE (asked->>2), length(name), name LIMIT %s
) AS one)
"""
_VOCABULARY = """
(SELECT string_agg(words, ' ') FROM {table} WHERE kitchen_id = %s AND {shelved})
"""


def lookup(member: Keeper, *shelves: Shelf[Any], archived: bool = False) -> Lookup:
    """What stands on some shelves of the member's kitchen, found by name."""
    kitchen = member.kitchen_id
    usual = [_usual(member, shelf) for shelf in shelves]
    means = {word: str(key) for own in usual for word, key in own.items()}

    def having(asked: Sought, most: int) -> Names:
        holding = json.dumps([_patterns(words, asked) for words in asked.holding])
        given = (kitchen, list(asked.keys), holding, kitchen, max(most, LOOKED_AT))
        keys = [_meant(own, asked) for own in usual]
        for place, key in _of_all(_HAVING, shelves, given, archived=archived):
            keys[place].add(key)
        found = (
            shelf.named(_own(kitchen, shelf).filter(pk__in=own))
            for shelf, own in zip(shelves, keys, strict=True)
            if own
        )
        return Names(tuple(chain.from_iterable(found)), means)

    def vocabulary() -> Sequence[str]:
        return _vocabulary(member, shelves, archived=archived)

    def held(container: str) -> Names:
        own = ((shelf, _own(kitchen, shelf).filter(archived_at=None)) for shelf in shelves)
        every = (shelf.named(shelf.held(found, container)) for shelf, found in own)
        return Names(tuple(chain.from_iterable(every)))

    return Lookup(having, vocabulary, held)


@kept(64)
def _usual(kitchen: UUID, shelf: Shelf[Any]) -> dict[str, UUID]:
    return shelf.usual(kitchen)


@kept(32)
def _vocabulary(kitchen: UUID, shelves: tuple[Shelf[Any], ...], *, archived: bool) -> list[str]:
    told = _of_all(_VOCABULARY, shelves, (kitchen,), archived=archived)
    return sorted({word for (words,) in told for word in (words or "").split()} - {"|"})


def _own(kitchen: UUID, shelf: Shelf[Any]) -> QuerySet[Any]:
    every: QuerySet[Any] = shelf.model._default_manager.filter(kitchen_id=kitchen)
    return every


def _of_all(
    sql: str, shelves: Sequence[Shelf[Any]], given: tuple[Any, ...], *, archived: bool
) -> list[tuple[Any, ...]]:
    """The answers of one query over all shelves."""
    shelved = f"archived_at IS {'NOT ' if archived else ''}NULL"
    each = (
        sql.format(place=place, table=shelf.model._meta.db_table, shelved=shelved)
        for place, shelf in enumerate(shelves)
    )
    with connection.cursor() as cursor:
        cursor.execute(" UNION ALL ".join(each), given * len(shelves))
        found: list[tuple[Any, ...]] = cursor.fetchall()
        return found


def _patterns(words: tuple[str, ...], asked: Sought) -> list[Any]:
    """The pattern of its longest word, those of the others, and how a name begins with them."""
    plain = [word.replace("%", r"\%") for word in words]
    ends = [" "] * (len(plain) - 1) + ["" if asked.begun else " "]
    each = [f"% {word}{end}%" for word, end in zip(plain, ends, strict=True)]
    first = max(each, key=len)
    return [first, [one for one in each if one != first], f"| {' '.join(plain)}%"]


def _meant(usual: Mapping[str, UUID], asked: Sought) -> set[UUID]:
    typed = {word for words in asked.holding for word in words}
    return {
        key
        for said, key in usual.items()
        if said in asked.keys or any(word.startswith(tuple(typed)) for word in said.split())
    }
