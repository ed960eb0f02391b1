"""Formulas set for their job, fitted and swapped: from rows to core and back."""

import math
from collections.abc import Iterator
from dataclasses import replace
from typing import Any
from uuid import UUID

from fernbell.core.errors import CoreError, MissingDensity, check_range
from fernbell.core.families import (
    FAMILIES,
    STUFFS,
    Dial,
    Drips,
    Family,
    Job,
    Proposal,
    Wish,
    drips,
    job_named,
    propose,
    slot_choices,
    swap,
    turn,
    weighable,
)
from fernbell.core.fitting import FIT_SOURCE, fit
from fernbell.core.formulas import (
    FIGURES,
    Book,
    Character,
    Formula,
    Gauge,
    Mix,
    Section,
    Until,
    Verdict,
    read_formulas,
    settled,
)
from fernbell.core.pantry import LIQUIDS, Ingredient, Role
from fernbell.core.working import Working
from fernbell.server.formulas import models
from fernbell.server.formulas.assemble import (
    DRAFT,
    book_for,
    character_of,
    drafted,
    reading_with,
)
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.formulas.setting_schemas import (
    AskedOut,
    Choice,
    DemandIn,
    DialOut,
    FamilyOut,
    FiguresOut,
    FitGauge,
    FitOut,
    JobOut,
    LineGrams,
    MovedLine,
    OptionOut,
    OtherOut,
    ProposalOut,
    SlotOut,
    SwapGauge,
    SwapLine,
    SwapOut,
    TurnOut,
    VocabularyOut,
    WishIn,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.kitchens.policy import rows
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.problems import Invalid


def vocabulary() -> VocabularyOut:
    """Families and figures as they are; no row is asked."""
    figures = [FiguresOut(code=one.code, name=one.name, unit=one.unit) for one in FIGURES.values()]
    return VocabularyOut(families=[_family(one) for one in FAMILIES], figures=figures)


def _family(family: Family) -> FamilyOut:
    return FamilyOut(
        key=family.key,
        name=family.name,
        kind=family.kind,
        flavor=family.flavor,
        jobs=[_job(family, one) for one in family.jobs],
        failures=list(family.failures),
        cautions=list(family.cautions),
    )


def _job(family: Family, job: Job) -> JobOut:
    slots = {one.slot: STUFFS[one.stuff].name for one in job.parts if one.slot}
    return JobOut(
        key=f"{family.key}.{job.key}",
        name=job.name,
        kind=job.kind or family.kind,
        dial=_dial(job.dial),
        band=job.band,
        aim=job.aim,
        notes=list(job.notes),
        slots=[SlotOut(slot=slot, usual=usual) for slot, usual in slots.items()],
        options=[
            OptionOut(stuff=one.stuff, name=STUFFS[one.stuff].name, why=one.why)
            for one in job.parts
            if one.optional
        ],
    )


def _dial(dial: Dial) -> DialOut:
    by_cooking = {Until.TEMPERATURE: "how hot it is cooked", Until.BRIX: "how far it is cooked"}
    moves = (
        by_cooking.get(dial.lever, "how far it is cooked")
        if isinstance(dial.lever, Until)
        else f"the {_either(dial.lever)}"
    )
    figure = dial.figure
    return DialOut(
        code=figure.code,
        name=figure.name,
        unit=figure.unit,
        says=dial.says,
        bands=list(dial.bands),
        moves=moves,
        source=dial.source,
    )


def _either(lever: tuple[Role, ...]) -> str:
    return "liquid" if lever == LIQUIDS else " or ".join(dict.fromkeys(lever))


def pantry_of(member: Member) -> tuple[Ingredient, ...]:
    """What the kitchen has on its shelves. One query."""
    return tuple(map(as_core, rows(member, pantry.Ingredient).filter(archived_at=None)))


def propose_formula(member: Member, asked: WishIn) -> ProposalOut:
    """A formula for a job from what the kitchen has; nothing is saved."""
    family, job = job_named(asked.job)
    shelf = pantry_of(member)
    picks = {slot: str(key) for slot, key in asked.picks.items()}
    wish = Wish(picks, tuple(asked.without), asked.finished_g, asked.dial)
    made = propose(family, job, wish, shelf, member.kitchen.altitude_m)
    entry = _entry(family, made, asked.job)
    book = _settled(member, shelf, (made.formula,))
    told = (entry.kind, entry.model_dump(mode="json")["method"], entry.job)
    own = character_of(member, book, DRAFT, *told)
    parts = [one for one in job.parts if not (one.optional and one.stuff in asked.without)]
    lines = zip(parts, made.formula.lines, strict=True)
    return ProposalOut(
        entry=entry,
        names={line.key: book.line_name(line) for line in made.formula.lines},
        why=dict(made.why),
        choices={
            slot: [Choice(id=UUID(one.key), name=one.name) for one in found]
            for slot, found in slot_choices(job, shelf).items()
        },
        picked={part.slot: UUID(line.ingredient) for part, line in lines if part.slot},
        reading=reading_with(member, own, DRAFT, *told),
    )


def _entry(family: Family, made: Proposal, job: str) -> FormulaIn:
    formula = made.formula
    return FormulaIn.model_validate(
        {
            "name": formula.name,
            "kind": made.kind,
            "flavor": family.flavor,
            "lines": [
                {
                    "key": line.key,
                    "mass_g": line.mass_g,
                    "ingredient": line.ingredient,
                    "overrun_percent": line.overrun_percent,
                    "stage": line.stage,
                    "strained": line.strained,
                }
                for line in formula.lines
            ],
            "base_lines": formula.base_lines,
            "losses": formula.losses,
            "measured_density_g_ml": formula.measured_density_g_ml,
            "method": [_plain(step) for step in made.steps],
            "job": job,
        }
    )


def _plain(step: Any) -> dict[str, Any]:
    return {
        "text": step.text,
        "wait": step.wait,
        "stage": step.stage,
        "temperature_c": step.temperature_c,
        "minutes": step.minutes,
        "tool": step.tool,
        "sign": step.sign,
        "caution": step.caution,
    }


def dial_of(entry: dict[str, Any]) -> Dial:
    """The dial of an entry's job; refused where its job is not said."""
    if not entry["job"]:
        raise Invalid.field("job", "Say first what it is for.")
    return job_named(entry["job"])[1].dial


def turn_dial(member: Member, key: str, entry: dict[str, Any], value: float) -> TurnOut:
    """Turn the dial of a formula as it is drawn up; nothing is saved."""
    _, _, own = drafted(member, entry)
    turned = weighable(own.lines, turn(dial_of(entry), own.lines, value))
    return _turned(member, key, entry, own, turned)


def _turned(
    member: Member, key: str, entry: dict[str, Any], own: Character, turned: Formula
) -> TurnOut:
    told = (entry["kind"], entry["method"], entry["job"])
    now = _character(member, own, turned, entry)
    return TurnOut(
        lines=[LineGrams(key=line.key, mass_g=line.mass_g) for line in turned.lines],
        losses=turned.losses,
        reading=reading_with(member, now, key, *told),
    )


def _character(
    member: Member,
    own: Character,
    formula: Formula,
    entry: dict[str, Any],
    book: Book | None = None,
) -> Character:
    """The character of the draft as another formula."""
    old = book or own.lines.book
    others = tuple(one for one in old.formulas if one.key != DRAFT)
    told = (entry["kind"], entry["method"], entry["job"])
    return character_of(member, _settled(member, old.ingredients, (*others, formula)), DRAFT, *told)


def _settled(
    member: Member, ingredients: tuple[Ingredient, ...], formulas: tuple[Formula, ...]
) -> Book:
    return settled(Book(ingredients, formulas), [DRAFT], altitude_m=member.kitchen.altitude_m)


def fit_formula(member: Member, entry: dict[str, Any], demands: list[DemandIn]) -> FitOut:
    """Fit a formula as it is drawn up to what is asked; nothing is saved."""
    _, formula, own = drafted(member, entry)
    dial = dial_of(entry).figure if any(one.figure == "dial" for one in demands) else None
    found = fit(own.lines, tuple(one.demand(dial) for one in demands))
    now = _character(member, own, found.formula, entry)
    because = {one.line: list(one.because) for one in found.moves}
    pairs = zip(formula.lines, found.formula.lines, strict=True)
    return FitOut(
        lines=[
            MovedLine(
                key=old.key,
                name=own.lines.book.line_name(old),
                before_g=old.mass_g,
                after_g=new.mass_g,
                because=because.get(old.key, []),
            )
            for old, new in pairs
        ],
        asked=[AskedOut(says=one.says, missed=one.missed) for one in found.asked],
        conflict=list(found.conflict),
        kept_g=found.kept_g,
        gauges=[
            FitGauge(
                code=one.code,
                decides=_decides(one),
                name=one.name,
                before=_working(was),
                after=_working(then),
                fits=_fits(then),
            )
            for one, (was, then) in _side_by_side(own, now)
        ],
        solves=found.solves,
        source=FIT_SOURCE,
    )


def swap_ingredient(member: Member, entry: dict[str, Any], old: UUID, new: UUID) -> SwapOut:
    """One ingredient for another in a formula as it is drawn up; nothing is saved."""
    comes = rows(member, pantry.Ingredient).filter(pk=new, archived_at=None).first()
    if comes is None:
        raise Invalid.field("new", "This ingredient is not on your shelf.")
    _, formula, own = drafted(member, entry)
    if str(old) not in {line.ingredient for line in formula.lines}:
        raise Invalid.field("old", "This ingredient is in none of its lines.")
    dial = dial_of(entry) if entry["job"] else None
    found = swap(own.lines, str(old), as_core(comes), dial, entry["kind"])
    straight, rebalanced = (
        _character(member, own, one, entry, found.book)
        for one in (found.straight, found.rebalanced)
    )
    trios = zip(formula.lines, found.straight.lines, found.rebalanced.lines, strict=True)
    return SwapOut(
        lines=[
            SwapLine(
                key=was.key,
                before=own.lines.book.line_name(was),
                after=found.book.line_name(now),
                before_g=was.mass_g,
                straight_g=plain.mass_g,
                rebalanced_g=now.mass_g,
            )
            for was, plain, now in trios
        ],
        gauges=[
            SwapGauge(
                code=one.code,
                decides=_decides(one),
                name=one.name,
                before=_working(was),
                straight=_working(plain),
                rebalanced=_working(now),
                straight_fits=_fits(plain),
                rebalanced_fits=_fits(now),
            )
            for one, (was, plain, now) in _side_by_side(own, straight, rebalanced)
        ],
        kept=list(found.kept),
        notes=list(found.notes),
    )


def _side_by_side(*states: Character) -> Iterator[tuple[Gauge, list[Gauge | None]]]:
    """Each reading any of the states has: one that names it, and that of every state."""
    by_code = [{one.code: one for one in own.gauges} for own in states]
    for code in dict.fromkeys(code for one in by_code for code in one):
        gauges = [one.get(code) for one in by_code]
        yield next(one for one in gauges if one), gauges


def _decides(gauge: Gauge) -> bool:
    return gauge.window is not None or gauge.section is Section.DOES


def _working(gauge: Gauge | None) -> Working | None:
    return gauge.working if gauge else None


def _fits(gauge: Gauge | None) -> bool:
    return gauge is None or gauge.verdict in (None, Verdict.WITHIN)


def drips_of(
    member: Member, row: models.Formula, diameter_mm: float, length_mm: float, spacing_mm: float
) -> Drips:
    """Drips of a formula down a round cake."""
    check_range("diameter_mm", diameter_mm, least=30, most=3000)
    key = str(row.pk)
    density = read_formulas(book_for(member.kitchen_id, [key]), [key])[key].density_g_ml
    if density is None:
        raise MissingDensity(row.name)
    return drips(math.pi * diameter_mm, length_mm, density, spacing_mm)


def other_chocolates(member: Member, entry: dict[str, Any]) -> list[OtherOut]:
    """The same job with every other chocolate of the kitchen, its dial kept."""
    _, formula, own = drafted(member, entry)
    dial = dial_of(entry)
    at = [i for i, role in enumerate(own.lines.roles) if role is Role.CHOCOLATE]
    value = dial.figure.value(own.lines.mix())
    if len(at) != 1 or dial.lever != LIQUIDS:
        return []
    out = []
    for other in pantry_of(member):
        if other.make_up is not None and other.chocolate is not None:
            try:
                mix = _with(own, formula, dial, at[0], other, value)
            except CoreError:
                continue
            out.append(
                OtherOut(
                    id=UUID(other.key),
                    name=other.name,
                    kind=other.chocolate.kind,
                    liquid_g=100 * mix.of(LIQUIDS) / mix.masses_g[at[0]],
                    sweetness=FIGURES["sweetness"].value(mix),
                    now=formula.lines[at[0]].ingredient == other.key,
                )
            )
    return out


def _with(
    own: Character, formula: Formula, dial: Dial, at: int, other: Ingredient, value: float
) -> Mix:
    """The formula with another chocolate, its dial turned to where it was."""
    lines = list(formula.lines)
    lines[at] = replace(lines[at], ingredient=other.key)
    kept = tuple(one for one in own.lines.book.ingredients if one.key != other.key)
    book = Book((*kept, other), own.lines.book.formulas)
    ready = replace(own.lines, book=book, formula=replace(formula, lines=tuple(lines)))
    return replace(ready, formula=turn(dial, ready, value)).mix()
