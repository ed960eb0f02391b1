"""From formula rows to core and back: readings and sheets."""

from collections.abc import Callable, Iterable, Mapping
from dataclasses import replace

from fernbell.core.families import Job, asides, judge_steps, read_dial, sentence
from fernbell.core.formulas import (
    Book,
    Drawn,
    EggAccount,
    Judged,
    Line,
    Sheet,
    Wanted,
    as_drawn,
    batch_working,
    factor_to_volume,
    line_working,
    percent_workings,
    read_formulas,
    sheet_working,
    sheets,
    step_figures,
    volume_working,
    wait_words,
)
from fernbell.core.measures import System, in_fahrenheit
from fernbell.core.pantry import Ingredient, InMeasures, said_in_kitchen
from fernbell.server.formulas import models
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.drafts import DRAFT, STEPS, Draft, drafted, saved
from fernbell.server.formulas.schemas import (
    DialOut,
    FormulaIn,
    GaugeOut,
    JobHere,
    LeftoverOut,
    ReadingOut,
    SheetOut,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.rows.policy import rows


def reading_of(member: Member, row: models.Formula) -> ReadingOut:
    """What a formula is at its own size, in the member's measures."""
    return reading_with(member, saved(member, row), str(row.pk))


def what_if(member: Member, key: str, entry: FormulaIn) -> ReadingOut:
    """What a formula would be, as it is drawn up and not yet saved."""
    return reading_with(member, drafted(member, entry), key)


def reading_with(member: Member, draft: Draft, key: str) -> ReadingOut:
    """What a draft is, as it goes out; `key` is the row it is a draft of."""
    own, steps, job = draft.character(), draft.steps, draft.job_set
    reading, book = own.reading, own.lines.book
    said = _said_to(member)
    found = (*own.judged, *judge_steps(draft.kind, own.lines, steps))
    return ReadingOut(
        waits=[wait_words(step.wait) if step.wait else "" for step in steps],
        method=[said(as_drawn(step.text)) for step in steps],
        told=[step_figures(step, fahrenheit=member.fahrenheit) for step in steps],
        here=_here(job, said) if job else None,
        landing=read_dial(job.dial, own.lines) if job else None,
        sentence=list(sentence(job, own.lines)) if job else [],
        asides=list(asides(draft.kind, own.lines, steps, job)),
        gauges=[GaugeOut(gauge=gauge, verdict=gauge.verdict) for gauge in own.gauges],
        judged=[_judged(one, said) for one in found],
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
        gas_kept=reading.gas_kept,
        finished=reading.finished_working,
        density=reading.density_working,
        volume=volume_working(reading),
    )


Said = Callable[[str], str]
"""A text as the person reads it."""


def _said_to(member: Member) -> Said:
    return in_fahrenheit if member.fahrenheit else str


def _judged(one: Judged, said: Said) -> Judged:
    """A finding in the person's degrees."""
    own = one.finding
    finding = replace(own, message=said(own.message), why=said(own.why), remedy=said(own.remedy))
    ways = (way and replace(way, says=said(way.says)) for way in (one.mend, one.other))
    return Judged(finding, *ways)


def _here(job: Job, said: Said) -> JobHere:
    return JobHere(
        dial=DialOut.of(job.dial),
        band=job.band,
        aim=job.aim,
        notes=[said(note) for note in job.notes],
        own=job.own,
    )


def _said(book: Book, line: Line, system: System) -> InMeasures | None:
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
    book = book_for(member, [key])
    readings = read_formulas(book, [key])
    if mass_g is None:
        mass_g = factor_to_volume(readings[key], volume_ml or 0) * readings[key].finished_g
    return with_methods(member, sheets(book, readings, [Wanted(key, mass_g, "this size")]))


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
    return [
        _page(
            member,
            sheet,
            heads[sheet.formula],
            (drawn or {}).get(sheet.formula, Drawn()),
            _in_kitchen(sheet, weighed, System(member.measures)),
            notes.get(sheet.formula, {}),
        )
        for sheet in made
    ]


def _page(
    member: Member,
    sheet: Sheet,
    head: models.Formula,
    drawn: Drawn,
    kitchen: dict[str, InMeasures],
    notes: dict[str, str],
) -> SheetOut:
    """Steps as they are kept, what follows the drawing in words, in the person's degrees."""
    steps, said = STEPS.validate_python(head.method), _said_to(member)
    return SheetOut(
        sheet=sheet,
        size=sheet_working(sheet),
        batch=batch_working(sheet),
        kind=head.kind,
        flavor=head.flavor,
        color=head.color,
        method=[replace(step, text=said(as_drawn(step.text, drawn))) for step in steps],
        told=[step_figures(step, fahrenheit=member.fahrenheit) for step in steps],
        waits=[wait_words(step.wait) if step.wait else "" for step in steps],
        workings={line.key: line_working(sheet, line) for line in sheet.lines},
        kitchen=kitchen,
        notes=notes,
    )


def _in_kitchen(
    sheet: Sheet, weighed: dict[str, Ingredient], system: System
) -> dict[str, InMeasures]:
    said = {
        line.key: said_in_kitchen(weighed[line.ingredient], line.mass_g, system)
        for line in sheet.lines
        if line.ingredient
    }
    return {key: one for key, one in said.items() if one}
