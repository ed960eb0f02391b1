"""The formulas and ingredients a computation refers to, with a fixed number of queries."""

import json
from collections.abc import Iterable
from functools import lru_cache
from typing import Any
from uuid import UUID

from django.db import connection
from pydantic import TypeAdapter

from fernbell.core.formulas import Book, Formula, Line, Losses, Wait, WaitKind, settled
from fernbell.core.pantry import Ingredient, MakeUp
from fernbell.server.formulas.lines import PLAIN, line_of
from fernbell.server.pantry.assemble import ingredient_of
from fernbell.server.rows.kept import kept
from fernbell.server.rows.policy import Keeper

# Every formula reachable from the ones asked for, one row a line; one query however deep.
# Make-ups only where they are asked for, something is cooked until a sign, or its air is told by
# what is folded: a dessert is solved often and mostly needs none.
_BOOK_SQL = f"""
WITH RECURSIVE needed(id) AS (
    SELECT id FROM formulas_formula WHERE kitchen_id = %s AND id = ANY(%s)
    UNION
    SELECT line.nested_id FROM formulas_formulaline line
    JOIN needed ON line.formula_id = needed.id WHERE line.nested_id IS NOT NULL
), asked AS (
    SELECT %s OR EXISTS (
        SELECT FROM needed JOIN formulas_formula f USING (id)
        WHERE jsonb_typeof(f.losses->'cooked_to') = 'object' OR (
            f.gas_kept IS NULL AND EXISTS (
                SELECT FROM formulas_formulaline l WHERE l.formula_id = f.id AND overrun_percent > 0
            )
        )
    ) AS made_up
)
SELECT f.id::text, f.name, f.base_lines, f.losses, f.gas_kept, f.measured_density_g_ml,
       f.whole_eggs, f.kind, jsonb_path_query_array(f.method, '$[*].wait ? (@ != null)'),
       {", ".join(f"l.{name}" for name in PLAIN)}, l.nested_id::text,
       i.id::text, i.name, i.density_g_ml, i.cup_density_g_ml, i.weigh_step_g, i.pieces, i.egg,
       CASE WHEN asked.made_up THEN i.make_up END, k.altitude_m,
       CASE WHEN %s THEN i.states END, CASE WHEN %s THEN i.allergens END,
       CASE WHEN %s THEN i.chocolate END, CASE WHEN %s THEN i.packs END
FROM needed
JOIN formulas_formula f ON f.id = needed.id
JOIN kitchens_kitchen k ON k.id = f.kitchen_id
CROSS JOIN asked
LEFT JOIN formulas_formulaline l ON l.formula_id = f.id
LEFT JOIN pantry_ingredient i ON i.id = l.ingredient_id
ORDER BY f.id, l.position
"""  # noqa: S608 - the columns are ours
_LINE = 9
_INGREDIENT = _LINE + len(PLAIN) + 1
_ALTITUDE = _INGREDIENT + 8


def book_for(member: Keeper, formulas: Iterable[str], *, whole: bool = False) -> Book:
    """The formulas asked for, everything nested in them, and their ingredients.

    What is cooked until a sign is settled at the kitchen's altitude. `whole` brings all the
    pantry knows of the ingredients; else only what a sheet asks. One query, none where it was
    read before at the same version of the kitchen.
    """
    return _read(member, frozenset(formulas), whole=whole)


# While a dessert is drawn its book is asked for at every move. Prices are those of the day.
@kept(128)
def _read(kitchen: UUID, keys: frozenset[str], *, whole: bool) -> Book:
    with connection.cursor() as cursor:
        asked: list[Any] = [kitchen, [UUID(key) for key in keys], *[whole] * 5]
        cursor.execute(_BOOK_SQL, asked)
        found = cursor.fetchall()
    heads: dict[str, tuple[Any, ...]] = {}
    lines: dict[str, list[Line]] = {}
    ingredients: dict[str, Ingredient] = {}
    for row in found:
        key, ingredient = row[0], row[_INGREDIENT]
        heads[key] = row
        own = lines.setdefault(key, [])
        if row[_LINE] is not None:
            *plain, nested = row[_LINE:_INGREDIENT]
            told = dict(zip(PLAIN, plain, strict=True))
            own.append(line_of({**told, "ingredient": ingredient, "formula": nested}))
        if ingredient is not None and ingredient not in ingredients:
            ingredients[ingredient] = _ingredient(row[_INGREDIENT:])
    book = Book(
        tuple(ingredients.values()),
        tuple(_formula(head, tuple(lines[key])) for key, head in heads.items()),
    )
    altitude = found[0][_ALTITUDE] if found else 0.0
    return settled(book, heads, altitude_m=altitude)


def _ingredient(columns: tuple[Any, ...]) -> Ingredient:
    key, name, density, cup, step, pieces, egg, make_up, _, *rest = columns
    told = (json.loads(one) if one else None for one in rest)
    fields = ("states", "allergens", "chocolate", "packs")
    more: dict[str, Any] = dict(zip(fields, told, strict=True))
    return ingredient_of(
        *(key, name, density, cup, step),
        pieces=json.loads(pieces),
        egg=egg,
        make_up=_make_up(make_up),
        **more,
    )


# A dessert is solved over and over while it is drawn, and make-ups rarely change meanwhile.
@lru_cache(maxsize=4096)
def _make_up(text: str | None) -> MakeUp | None:
    return MakeUp(**json.loads(text)) if text else None


def _formula(head: tuple[Any, ...], lines: tuple[Line, ...]) -> Formula:
    key, name, base, losses, gas_kept, measured, whole_eggs, kind, waits = head[:_LINE]
    return Formula(
        *(
            key,
            name,
            lines,
            tuple(json.loads(base)),
            losses_of(json.loads(losses)),
            gas_kept,
            measured,
        ),
        waits=tuple(_wait(**load) for load in json.loads(waits)),
        whole_eggs=whole_eggs,
        kind=kind,
    )


_LOSSES = TypeAdapter(Losses)


def losses_of(kept: dict[str, Any]) -> Losses:
    """Losses as they are kept in a row."""
    return _LOSSES.validate_python(kept)


def losses_as_json(losses: Losses) -> Any:
    """Losses as they are kept in a row."""
    return _LOSSES.dump_python(losses, mode="json")


def _wait(kind: str, **rest: Any) -> Wait:
    return Wait(WaitKind(kind), **rest)
