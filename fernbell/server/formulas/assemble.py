"""From formula rows to core and back, with a fixed number of queries."""

import json
from collections.abc import Iterable, Mapping
from functools import lru_cache
from typing import Any
from uuid import UUID

from django.db import connection
from pydantic import TypeAdapter

from fernbell.core.families import (
    asides,
    job_named,
    judge_fold,
    read_dial,
    sentence,
    windows_for,
)
from fernbell.core.formulas import (
    Book,
    Character,
    Demand,
    Drawn,
    EggAccount,
    Formula,
    Line,
    Losses,
    Sheet,
    Step,
    Wait,
    WaitKind,
    as_drawn,
    batch_working,
    characterize,
    factor_to_volume,
    line_working,
    percent_workings,
    read_formulas,
    settled,
    sheet_working,
    sheets,
    volume_working,
    wait_words,
)
from fernbell.core.measures import System
from fernbell.core.pantry import Ingredient, MakeUp, Measured, said_in_kitchen
from fernbell.server.formulas import models
from fernbell.server.formulas.schemas import (
    GaugeOut,
    LeftoverOut,
    ReadingOut,
    SheetOut,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import rows
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core, ingredient_of

# Every formula reachable from the ones asked for, one row a line; one query however deep.
# Make-ups only where they are asked for or something is cooked until a sign: a dessert is solved
# often and mostly needs none.
_BOOK_SQL = """
WITH RECURSIVE needed(id) AS (
    SELECT id FROM formulas_formula WHERE kitchen_id = %s AND id = ANY(%s)
    UNION
    SELECT line.nested_id FROM formulas_formulaline line
    JOIN needed ON line.formula_id = needed.id WHERE line.nested_id IS NOT NULL
), asked AS (
    SELECT %s OR EXISTS (
        SELECT FROM needed JOIN formulas_formula f USING (id)
        WHERE jsonb_typeof(f.losses->'cooked_to') = 'object'
    ) AS made_up
)
SELECT f.id::text, f.name, f.base_lines, f.losses, f.gas_kept, f.measured_density_g_ml,
       f.whole_eggs, f.kind, jsonb_path_query_array(f.method, '$[*].wait ? (@ != null)'),
       l.key, l.mass_g, l.overrun_percent, l.stage, l.strained, l.note, l.nested_id::text,
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
"""
_LINE, _INGREDIENT, _ALTITUDE = 9, 16, 24


def book_for(kitchen: UUID, formulas: Iterable[str], *, whole: bool = False) -> Book:
    """The formulas asked for, everything nested in them, and their ingredients. One query.

    What is cooked until a sign is settled at the kitchen's altitude. `whole` brings all the
    pantry knows of the ingredients; else only what a sheet asks.
    """
    keys = list(formulas)
    with connection.cursor() as cursor:
        asked = [kitchen, [UUID(key) for key in keys], *[whole] * 5]
        cursor.execute(_BOOK_SQL, asked)
        found = cursor.fetchall()
    heads: dict[str, tuple] = {}
    lines: dict[str, list[Line]] = {}
    ingredients: dict[str, Ingredient] = {}
    for row in found:
        key, ingredient = row[0], row[_INGREDIENT]
        heads[key] = row
        own = lines.setdefault(key, [])
        if row[_LINE] is not None:
            line_key, mass, overrun, stage, strained, note, nested = row[_LINE:_INGREDIENT]
            own.append(Line(line_key, mass, ingredient, nested, overrun, stage, strained, note))
        if ingredient is not None and ingredient not in ingredients:
            ingredients[ingredient] = _ingredient(row[_INGREDIENT:])
    book = Book(
        tuple(ingredients.values()),
        tuple(_formula(head, tuple(lines[key])) for key, head in heads.items()),
    )
    altitude = found[0][_ALTITUDE] if found else 0.0
    return settled(book, heads, altitude_m=altitude)


def _ingredient(columns: tuple) -> Ingredient:
    key, name, density, cup, step, pieces, egg, make_up, _, *rest = columns
    told = (json.loads(one) if one else None for one in rest)
    fields = ("states", "allergens", "chocolate", "packs")
    return ingredient_of(
        *(key, name, density, cup, step),
        pieces=json.loads(pieces),
        egg=egg,
        make_up=_make_up(make_up),
        **dict(zip(fields, told, strict=True)),
    )


# A dessert is solved over and over while it is drawn, and make-ups rarely change meanwhile.
@lru_cache(maxsize=4096)
def _make_up(text: str | None) -> MakeUp | None:
    return MakeUp(**json.loads(text)) if text else None


def _formula(head: tuple, lines: tuple[Line, ...]) -> Formula:
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
        waits=tuple(_wait(**one) for one in json.loads(waits)),
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


STEPS = TypeAdapter(tuple[Step, ...])


def character_of(
    member: Member, book: Book, key: str, kind: str, method: Any, job: str
) -> Character:
    """Everything there is to read of a formula, where the member's kitchen stands."""
    own = job_named(job)[1] if job else None
    return characterize(
        book,
        key,
        kind,
        STEPS.validate_python(method),
        windows=windows_for(kind, own),
        figures=(own.dial.figure,) if own else (),
        altitude_m=member.kitchen.altitude_m,
        currency=member.kitchen.currency,
    )


DRAFT = "draft"
"""Key of what is read without being a row, or not as the row is now."""


def drafted(member: Member, then: dict[str, Any]) -> tuple[Book, Formula, Character]:
    """An entry, saved or not, read with the pantry and the nested formulas as they are today."""
    lines = tuple(
        Line(
            one["key"],
            one["mass_g"],
            one["ingredient"],
            one["formula"],
            one["overrun_percent"],
            one.get("stage", ""),
            one.get("strained", False),
            one.get("note", ""),
        )
        for one in then["lines"]
    )
    nested = book_for(member.kitchen_id, {one.formula for one in lines if one.formula}, whole=True)
    own = rows(member, pantry.Ingredient).filter(pk__in={one.ingredient for one in lines})
    formula = Formula(
        *(DRAFT, then["name"], lines, tuple(then["base_lines"]), losses_of(then["losses"])),
        gas_kept=then["gas_kept"],
        whole_eggs=then.get("whole_eggs", False),
        measured_density_g_ml=then["measured_density_g_ml"],
        kind=then["kind"],
    )
    known = {one.key: one for one in (*nested.ingredients, *map(as_core, own))}
    book = settled(
        Book(tuple(known.values()), (*nested.formulas, formula)),
        [DRAFT],
        altitude_m=member.kitchen.altitude_m,
    )
    told = (then["kind"], then["method"], then.get("job", ""))
    return book, formula, character_of(member, book, DRAFT, *told)


def reading_of(member: Member, row: models.Formula) -> ReadingOut:
    """What a formula is at its own size, in the member's measures."""
    key = str(row.pk)
    book = book_for(row.kitchen_id, [key], whole=True)
    told = (row.kind, row.method, row.job)
    return reading_with(member, character_of(member, book, key, *told), key, *told)


def what_if(member: Member, key: str, entry: dict[str, Any]) -> ReadingOut:
    """What a formula would be, as it is drawn up and not yet saved."""
    _, _, own = drafted(member, entry)
    return reading_with(member, own, key, entry["kind"], entry["method"], entry["job"])


def reading_with(
    member: Member, own: Character, key: str, kind: str, method: Any, job: str
) -> ReadingOut:
    """A formula's character as it goes out, with where it stands for its job."""
    reading, book, steps = own.reading, own.lines.book, STEPS.validate_python(method)
    job_ = job_named(job)[1] if job else None
    return ReadingOut(
        waits=[wait_words(step.wait) if step.wait else "" for step in steps],
        method=[as_drawn(step.text) for step in steps],
        landing=read_dial(job_.dial, own.lines) if job_ else None,
        sentence=list(sentence(job_, own.lines)) if job_ else [],
        asides=list(asides(kind, own.lines, steps, job_)),
        gauges=[GaugeOut(gauge=one, verdict=one.verdict) for one in own.gauges],
        judged=[*own.judged, *judge_fold(kind, own.lines, steps)],
        declared=own.declared,
        cooking=own.composition.cooking.working,
        eggs=own.eggs.working if own.eggs else None,
        leftovers=_leftovers(member, own.eggs, key),
        brings=list(own.brings),
        kitchen=[_said(book, line, System(member.measures)) for line in reading.formula.lines],
        batch_g=reading.batch_g,
        finished_g=reading.finished_g,
        percents=list(percent_workings(book, reading)),
        without_density=list(reading.without_density),
        finished=reading.finished_working,
        density=reading.density_working,
        volume=volume_working(reading),
    )


def _said(book: Book, line: Line, system: System) -> Measured | None:
    if line.ingredient is None:
        return None
    return said_in_kitchen(book.ingredient(line.ingredient), line.mass_g, system)


def _leftovers(member: Member, eggs: EggAccount | None, key: str) -> list[LeftoverOut]:
    """What is left of the eggs, and which other formulas of the kitchen take it."""
    out = []
    for one in eggs.left if eggs else ():
        takers = rows(member, models.Formula).filter(
            archived_at=None, lines__ingredient__egg=one.part.value
        )
        others = takers if key == DRAFT else takers.exclude(pk=key)
        names = others.order_by("name").values_list("name", flat=True).distinct()
        left = LeftoverOut(
            part=one.part, count=one.count, working=one.working, takers=list(names[:6])
        )
        out.append(left)
    return out


def scaled(
    member: Member, row: models.Formula, mass_g: float | None, volume_ml: float | None
) -> list[SheetOut]:
    """The formula's sheets for a finished mass, or for a volume with its air."""
    key = str(row.pk)
    book = book_for(row.kitchen_id, [key])
    readings = read_formulas(book, [key])
    if mass_g is None:
        mass_g = factor_to_volume(readings[key], volume_ml or 0) * readings[key].finished_g
    return with_methods(member, sheets(book, readings, [Demand(key, mass_g, "this size")]))


def with_methods(
    member: Member, made: Iterable[Sheet], drawn: Mapping[str, Drawn] | None = None
) -> list[SheetOut]:
    """Sheets with methods, workings of their lines, kitchen measures, notes. Three queries."""
    made = list(made)
    found = rows(member, models.Formula).in_bulk([one.formula for one in made])
    heads = {str(key): row for key, row in found.items()}
    wanted = {line.ingredient for one in made for line in one.lines if line.ingredient}
    known = {str(key): row for key, row in rows(member, pantry.Ingredient).in_bulk(wanted).items()}
    weighed = {key: as_core(row) for key, row in known.items()}
    noted = models.FormulaLine.objects.filter(formula__in=found).exclude(note="")
    notes: dict[str, dict[str, str]] = {}
    for formula, key, note in noted.values_list("formula_id", "key", "note"):
        notes.setdefault(str(formula), {})[key] = note
    system = System(member.measures)
    return [
        SheetOut(
            sheet=sheet,
            size=sheet_working(sheet),
            batch=batch_working(sheet),
            method=[
                {**step, "text": as_drawn(step["text"], (drawn or {}).get(sheet.formula, Drawn()))}
                for step in heads[sheet.formula].method
            ],
            kind=heads[sheet.formula].kind,
            flavor=heads[sheet.formula].flavor,
            workings={line.key: line_working(sheet, line) for line in sheet.lines},
            kitchen=_in_kitchen(sheet, weighed, system),
            notes=notes.get(sheet.formula, {}),
        )
        for sheet in made
    ]


def _in_kitchen(
    sheet: Sheet, weighed: dict[str, Ingredient], system: System
) -> dict[str, Measured]:
    said = {
        line.key: said_in_kitchen(weighed[line.ingredient], line.mass_g, system)
        for line in sheet.lines
        if line.ingredient
    }
    return {key: one for key, one in said.items() if one}
