"""From formula rows to core and back, with a fixed number of queries."""

import json
from collections.abc import Iterable
from uuid import UUID

from django.db import connection

from fernbell.core.formulas import (
    Book,
    Demand,
    Formula,
    Line,
    Losses,
    Sheet,
    batch_working,
    factor_to_volume,
    line_working,
    percent_workings,
    read_formulas,
    sheet_working,
    sheets,
    volume_working,
)
from fernbell.core.measures import read_amount
from fernbell.core.pantry import Ingredient, Piece, mass_of_amount
from fernbell.server.formulas import models
from fernbell.server.formulas.schemas import Match, ReadingOut, ReadLine, SheetOut, TypedLine
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import rows
from fernbell.server.pantry import models as pantry

# Every formula reachable from the ones asked for, one row a line; one query however deep.
_BOOK_SQL = """
WITH RECURSIVE needed(id) AS (
    SELECT id FROM formulas_formula WHERE kitchen_id = %s AND id = ANY(%s)
    UNION
    SELECT line.nested_id FROM formulas_formulaline line
    JOIN needed ON line.formula_id = needed.id WHERE line.nested_id IS NOT NULL
)
SELECT f.id::text, f.name, f.base_line, f.losses, f.gas_kept, f.measured_density_g_ml,
       l.key, l.mass_g, l.overrun_percent, l.nested_id::text,
       i.id::text, i.name, i.density_g_ml, i.cup_density_g_ml, i.weigh_step_g, i.pieces
FROM needed
JOIN formulas_formula f ON f.id = needed.id
LEFT JOIN formulas_formulaline l ON l.formula_id = f.id
LEFT JOIN pantry_ingredient i ON i.id = l.ingredient_id
ORDER BY f.id, l.position
"""


def book_for(kitchen: UUID, formulas: Iterable[str]) -> Book:
    """The formulas asked for, everything nested in them, and their ingredients. One query."""
    with connection.cursor() as cursor:
        cursor.execute(_BOOK_SQL, [kitchen, [UUID(key) for key in formulas]])
        found = cursor.fetchall()
    heads: dict[str, tuple] = {}
    lines: dict[str, list[Line]] = {}
    ingredients: dict[str, Ingredient] = {}
    for row in found:
        key, line_key, ingredient = row[0], row[6], row[10]
        heads[key] = row
        own = lines.setdefault(key, [])
        if line_key is not None:
            own.append(Line(line_key, row[7], ingredient, row[9], row[8]))
        if ingredient is not None and ingredient not in ingredients:
            ingredients[ingredient] = _ingredient(row[10:])
    return Book(
        tuple(ingredients.values()),
        tuple(_formula(head, tuple(lines[key])) for key, head in heads.items()),
    )


def _ingredient(columns: tuple) -> Ingredient:
    key, name, density, cup, step, pieces = columns
    counted = tuple(Piece(**one) for one in json.loads(pieces))
    return Ingredient(key, name, density, cup, step, counted)


def _formula(head: tuple, lines: tuple[Line, ...]) -> Formula:
    key, name, base, losses, gas_kept, measured = head[:6]
    return Formula(key, name, lines, base or None, Losses(**json.loads(losses)), gas_kept, measured)


def reading_of(row: models.Formula) -> ReadingOut:
    """What a formula is at its own size."""
    key = str(row.pk)
    book = book_for(row.kitchen_id, [key])
    reading = read_formulas(book, [key])[key]
    return ReadingOut(
        batch_g=reading.batch_g,
        finished_g=reading.finished_g,
        percents=list(percent_workings(book, reading)),
        without_density=list(reading.without_density),
        finished=reading.finished_working,
        density=reading.density_working,
        volume=volume_working(reading),
    )


def scaled(row: models.Formula, mass_g: float | None, volume_ml: float | None) -> list[SheetOut]:
    """The formula's sheets for a finished mass, or for a volume with its air."""
    key = str(row.pk)
    book = book_for(row.kitchen_id, [key])
    readings = read_formulas(book, [key])
    if mass_g is None:
        mass_g = factor_to_volume(readings[key], volume_ml or 0) * readings[key].finished_g
    return with_methods(row.kitchen_id, sheets(book, readings, [Demand(key, mass_g, "this size")]))


def with_methods(kitchen: UUID, made: Iterable[Sheet]) -> list[SheetOut]:
    """Sheets with their methods and the workings of their lines. One query."""
    made = list(made)
    found = models.Formula.objects.filter(kitchen_id=kitchen).in_bulk([one.formula for one in made])
    heads = {str(key): row for key, row in found.items()}
    return [
        SheetOut(
            sheet=sheet,
            size=sheet_working(sheet),
            batch=batch_working(sheet),
            method=heads[sheet.formula].method,
            kind=heads[sheet.formula].kind,
            flavor=heads[sheet.formula].flavor,
            workings={line.key: line_working(sheet, line) for line in sheet.lines},
        )
        for sheet in made
    ]


def read_line(member: Member, typed: TypedLine) -> ReadLine:
    """Understand a typed line: the amount in grams, and which names of the kitchen fit."""
    amount = read_amount(typed.text)
    matches = [one for one in _matches(member, amount.name) if one.id != typed.within]
    if not matches:
        return ReadLine(name=amount.name, mass_g=None, understood=typed.text, matches=[])
    best = matches[0]
    mass = mass_of_amount(_weighed(member, best), amount)
    understood = f"{mass:.4g} g {best.name}"
    return ReadLine(name=amount.name, mass_g=mass, understood=understood, matches=matches)


def _matches(member: Member, name: str) -> list[Match]:
    found = []
    for model, is_formula in ((pantry.Ingredient, False), (models.Formula, True)):
        fitting = rows(member, model).filter(archived_at=None)
        for word in name.split():
            fitting = fitting.filter(name__icontains=word.strip(","))
        found += [
            Match(id=pk, name=own, is_formula=is_formula)
            for pk, own in fitting.values_list("pk", "name")[:20]
        ]
    wanted = name.lower()

    def rank(match: Match) -> tuple[bool, bool, int, str]:
        own = match.name.lower()
        return own != wanted, not own.startswith(wanted), len(own), own

    return sorted(found, key=rank)[:8]


def _weighed(member: Member, match: Match) -> Ingredient:
    """What the amount is of; a formula is measured through its density with air."""
    if match.is_formula:
        row = rows(member, models.Formula).get(pk=match.id)
        density = reading_of(row).density
        return Ingredient(str(row.pk), row.name, density.value if density else None)
    row = rows(member, pantry.Ingredient).get(pk=match.id)
    pieces = tuple(Piece(**one) for one in row.pieces)
    return Ingredient(
        str(row.pk), row.name, row.density_g_ml, row.cup_density_g_ml, row.weigh_step_g, pieces
    )
