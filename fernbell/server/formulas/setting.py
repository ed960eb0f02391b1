"""Formulas set for their job, fitted and swapped: from rows to core and back."""

from dataclasses import asdict
from uuid import UUID

from fernbell.core.errors import MissingDensity
from fernbell.core.families import (
    FAMILIES,
    SAID,
    STUFFS,
    Drips,
    Family,
    Job,
    OtherChocolate,
    Proposal,
    Wish,
    drips,
    job_named,
    other_chocolates,
    propose,
    slot_choices,
    turn,
    weighable,
)
from fernbell.core.formulas import (
    FIGURES,
    read_formulas,
)
from fernbell.core.pantry import Ingredient
from fernbell.server.formulas import models
from fernbell.server.formulas.assemble import reading_with
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.drafts import DRAFT, Draft, drafted, drawn_up
from fernbell.server.formulas.learned import learned
from fernbell.server.formulas.lines import as_json
from fernbell.server.formulas.schemas import DialOut, FormulaIn
from fernbell.server.formulas.setting_schemas import (
    FamilyOut,
    FiguresOut,
    JobOut,
    LineGrams,
    OptionOut,
    ProposalOut,
    SlotOut,
    StuffChoice,
    TurnOut,
    VocabularyOut,
    WishIn,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.rows.policy import rows


def vocabulary() -> VocabularyOut:
    """Families and figures as they are; no row is asked."""
    figures = [
        FiguresOut(code=figure.code, name=figure.name, unit=figure.unit)
        for figure in FIGURES.values()
        if figure.asked
    ]
    return VocabularyOut(families=[_family(family) for family in FAMILIES], figures=figures)


def _family(family: Family) -> FamilyOut:
    return FamilyOut(
        key=family.key,
        name=family.name,
        kind=family.kind,
        flavor=family.flavor,
        jobs=[_job(family, job) for job in family.jobs],
        failures=list(family.failures),
        cautions=list(family.cautions),
    )


def _job(family: Family, job: Job) -> JobOut:
    slots = {part.slot: STUFFS[part.stuff].name for part in job.parts if part.slot}
    return JobOut(
        key=f"{family.key}.{job.key}",
        name=job.name,
        kind=job.kind or family.kind,
        dial=DialOut.of(job.dial),
        band=job.band,
        aim=job.aim,
        notes=list(job.notes),
        slots=[SlotOut(slot=slot, says=SAID[slot], usual=usual) for slot, usual in slots.items()],
        options=[
            OptionOut(stuff=part.stuff, name=STUFFS[part.stuff].name, why=part.why)
            for part in job.parts
            if part.optional
        ],
        ways=[way.name for way in job.ways],
        tools=list(job.tools),
        did=job.did,
    )


def pantry_of(member: Member) -> tuple[Ingredient, ...]:
    """What the kitchen has on its shelves. One query."""
    return tuple(map(as_core, rows(member, pantry.Ingredient).filter(archived_at=None)))


def propose_formula(member: Member, asked: WishIn) -> ProposalOut:
    """A formula for a job from what the kitchen has; nothing is saved."""
    family, job = job_named(asked.job)
    shelf = pantry_of(member)
    picks = {slot: str(key) for slot, key in asked.picks.items()}
    wish = Wish(
        picks, tuple(asked.without), asked.finished_g, asked.dial, asked.holds_at_c, asked.way
    )
    known = learned(member, asked.job)
    made = propose(family, job, wish, shelf, member.kitchen.altitude_m, known)
    entry = _entry(family, made, asked.job)
    book = drawn_up(member, shelf, (made.formula,))
    draft = Draft.of(member, book, DRAFT, entry.kind, made.steps, entry.job)
    return ProposalOut(
        entry=entry,
        names={line.key: book.line_name(line) for line in made.formula.lines},
        why=dict(made.why),
        choices={
            slot: [StuffChoice(id=UUID(one.key), name=one.name) for one in found]
            for slot, found in slot_choices(job, shelf).items()
        },
        picked={slot: UUID(key) for slot, key in made.picked.items()},
        reading=reading_with(member, draft, DRAFT),
    )


def _entry(family: Family, made: Proposal, job: str) -> FormulaIn:
    formula = made.formula
    return FormulaIn.model_validate(
        {
            "name": formula.name,
            "kind": made.kind,
            "flavor": family.flavor,
            "lines": [as_json(line) for line in formula.lines],
            "base_lines": formula.base_lines,
            "losses": formula.losses,
            "gas_kept": formula.gas_kept,
            "measured_density_g_ml": formula.measured_density_g_ml,
            "method": [asdict(step) for step in made.steps],
            "job": job,
        }
    )


def turn_dial(member: Member, key: str, entry: FormulaIn, value: float) -> TurnOut:
    """Turn the dial of a formula as it is drawn up; nothing is saved."""
    draft = drafted(member, entry)
    turned = weighable(draft.lines, turn(draft.dial, draft.lines, value))
    return TurnOut(
        lines=[LineGrams(key=line.key, mass_g=line.mass_g) for line in turned.lines],
        losses=turned.losses,
        reading=reading_with(member, draft.as_formula(turned), key),
    )


def drips_of(
    member: Member, row: models.Formula, diameter_mm: float, length_mm: float, spacing_mm: float
) -> Drips:
    """Drips of a formula down a round cake."""
    key = str(row.pk)
    density = read_formulas(book_for(member, [key]), [key])[key].density_g_ml
    if density is None:
        raise MissingDensity(row.name)
    return drips(diameter_mm, length_mm, density, spacing_mm)


def others_of(member: Member, entry: FormulaIn) -> tuple[OtherChocolate, ...]:
    """The same job with every chocolate of the kitchen."""
    draft = drafted(member, entry)
    return other_chocolates(draft.dial, draft.lines, pantry_of(member))
