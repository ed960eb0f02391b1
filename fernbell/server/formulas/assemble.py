"""From formula rows to core and back, with a fixed number of queries."""

import json
from collections.abc import Iterable
from typing import Any
from uuid import UUID

from django.db import connection

from fernbell.core.errors import CoreError
from fernbell.core.formulas import (
    Book,
    Demand,
    Formula,
    Line,
    Losses,
    Sheet,
    Wait,
    WaitKind,
    batch_working,
    compose,
    contents,
    factor_to_volume,
    line_working,
    percent_workings,
    read_formulas,
    sheet_working,
    sheets,
    volume_working,
)
from fernbell.core.measures import Pasted, folded, read_amount, read_list
from fernbell.core.pantry import Ingredient, MakeUp, Piece, mass_of_amount
from fernbell.server.formulas import models
from fernbell.server.formulas.schemas import (
    Match,
    PastedIn,
    PastedLine,
    ReadingOut,
    ReadLine,
    SheetOut,
    TypedLine,
)
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
       jsonb_path_query_array(f.method, '$[*].wait ? (@ != null)'),
       l.key, l.mass_g, l.overrun_percent, l.nested_id::text,
       i.id::text, i.name, i.density_g_ml, i.cup_density_g_ml, i.weigh_step_g, i.pieces,
       CASE WHEN %s THEN i.make_up END
FROM needed
JOIN formulas_formula f ON f.id = needed.id
LEFT JOIN formulas_formulaline l ON l.formula_id = f.id
LEFT JOIN pantry_ingredient i ON i.id = l.ingredient_id
ORDER BY f.id, l.position
"""


def book_for(kitchen: UUID, formulas: Iterable[str], *, make_ups: bool = False) -> Book:
    """The formulas asked for, everything nested in them, and their ingredients. One query.

    Make-ups only where they are asked for: a dessert is solved often and needs none.
    """
    with connection.cursor() as cursor:
        cursor.execute(_BOOK_SQL, [kitchen, [UUID(key) for key in formulas], make_ups])
        found = cursor.fetchall()
    heads: dict[str, tuple] = {}
    lines: dict[str, list[Line]] = {}
    ingredients: dict[str, Ingredient] = {}
    for row in found:
        key, line_key, ingredient = row[0], row[7], row[11]
        heads[key] = row
        own = lines.setdefault(key, [])
        if line_key is not None:
            own.append(Line(line_key, row[8], ingredient, row[10], row[9]))
        if ingredient is not None and ingredient not in ingredients:
            ingredients[ingredient] = _ingredient(row[11:])
    return Book(
        tuple(ingredients.values()),
        tuple(_formula(head, tuple(lines[key])) for key, head in heads.items()),
    )


def _ingredient(columns: tuple) -> Ingredient:
    key, name, density, cup, step, pieces, make_up = columns
    counted = tuple(Piece(**one) for one in json.loads(pieces))
    known = MakeUp(**json.loads(make_up)) if make_up else None
    return Ingredient(key, name, density, cup, step, counted, known)


def _formula(head: tuple, lines: tuple[Line, ...]) -> Formula:
    key, name, base, losses, gas_kept, measured, waits = head[:7]
    return Formula(
        *(key, name, lines, base or None, Losses(**json.loads(losses)), gas_kept, measured),
        waits=tuple(_wait(**one) for one in json.loads(waits)),
    )


def _wait(kind: str, **rest: Any) -> Wait:
    return Wait(WaitKind(kind), **rest)


def reading_of(row: models.Formula) -> ReadingOut:
    """What a formula is at its own size."""
    key = str(row.pk)
    book = book_for(row.kitchen_id, [key], make_ups=True)
    reading = read_formulas(book, [key])[key]
    return ReadingOut(
        contents=list(contents(compose(book, [key])[key])),
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
    matches = _matches(_names(member, typed.within), amount.name)
    if not matches:
        return ReadLine(name=amount.name, mass_g=None, understood=typed.text, matches=[])
    best = matches[0]
    mass = mass_of_amount(_weighed(member, [best])[best.id], amount)
    understood = f"{mass:.4g} g {best.name}"
    return ReadLine(name=amount.name, mass_g=mass, understood=understood, matches=matches)


def read_pasted(member: Member, pasted: PastedIn) -> list[PastedLine]:
    """Understand a pasted list line by line, with a fixed number of queries a formula named."""
    names = _names(member, pasted.within)
    read = [
        (line, _matches(names, line.amount.name) if line.amount else [])
        for line in read_list(pasted.text)
    ]
    weighed = _weighed(member, [matches[0] for _, matches in read if matches])
    return [_pasted(line, matches, weighed) for line, matches in read]


def _pasted(line: Pasted, matches: list[Match], weighed: dict[UUID, Ingredient]) -> PastedLine:
    amount, mass, refusal = line.amount, None, line.refusal
    if amount:
        # What the pantry does not know yet has no density and no pieces, only a weight.
        of = weighed[matches[0].id] if matches else Ingredient("", amount.name)
        try:
            mass = mass_of_amount(of, amount)
        except CoreError as error:
            refusal = str(error)
    return PastedLine(
        text=line.text,
        heading=line.heading,
        refusal=refusal,
        name=amount.name if amount else "",
        mass_g=mass,
        matches=matches,
    )


def _names(member: Member, within: UUID | None) -> list[Match]:
    """Everything on the shelves that can be a line."""
    return [
        Match(id=pk, name=own, is_formula=is_formula)
        for model, is_formula in ((pantry.Ingredient, False), (models.Formula, True))
        for pk, own in rows(member, model).filter(archived_at=None).values_list("pk", "name")
        if pk != within
    ]


def _matches(names: list[Match], wanted: str) -> list[Match]:
    """Those whose name holds every word wanted, the nearest first."""
    whole = folded(wanted)
    # Yolks are found as yolk.
    words = [word.removesuffix("s") for word in whole.replace(",", " ").split()]

    def rank(match: Match) -> tuple[bool, bool, int, str]:
        own = folded(match.name)
        return own != whole, not own.startswith(whole), len(own), own

    fitting = (one for one in names if all(word in folded(one.name) for word in words))
    return sorted(fitting, key=rank)[:8]


def _weighed(member: Member, wanted: list[Match]) -> dict[UUID, Ingredient]:
    """What amounts are of, by key; a formula is measured through its density with air."""
    found = {}
    for row in rows(member, pantry.Ingredient).filter(pk__in={one.id for one in wanted}):
        pieces = tuple(Piece(**one) for one in row.pieces)
        found[row.pk] = Ingredient(
            *(str(row.pk), row.name, row.density_g_ml, row.cup_density_g_ml, row.weigh_step_g),
            pieces=pieces,
        )
    formulas = {one.id for one in wanted if one.is_formula}
    for row in rows(member, models.Formula).filter(pk__in=formulas):
        density = reading_of(row).density
        found[row.pk] = Ingredient(str(row.pk), row.name, density.value if density else None)
    return found
