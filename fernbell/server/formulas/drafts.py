"""A formula as it is drawn up or saved: what a dial, a swap, a fit and a reading are asked of."""

from collections.abc import Mapping
from dataclasses import dataclass, field, replace
from typing import Self

from pydantic import TypeAdapter

from fernbell.core.families import (
    Dial,
    Experience,
    Job,
    job_for,
    job_named,
    main_chocolate,
    windows_for,
)
from fernbell.core.formulas import (
    Book,
    Character,
    Figure,
    Formula,
    Gauge,
    Lines,
    Step,
    Window,
    character_of,
    gauges_of,
    lines_of,
    settled,
)
from fernbell.core.pantry import Ingredient
from fernbell.server.formulas import models
from fernbell.server.formulas.books import book_for
from fernbell.server.formulas.learned import learned
from fernbell.server.formulas.lines import line_of
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import rows

DRAFT = "draft"
"""Key of what is read without being a row, or not as the row is now."""

STEPS = TypeAdapter(tuple[Step, ...])


@dataclass(frozen=True)
class Draft:
    """The lines of a formula with its kind, its method and the name of its job.

    `learned` are the kitchen's own good batches of that job, by key of their chocolate.
    """

    lines: Lines
    kind: str
    steps: tuple[Step, ...]
    job: str
    learned: Mapping[str, tuple[Experience, ...]] = field(default_factory=dict)

    @classmethod
    def of(
        cls, member: Member, book: Book, key: str, kind: str, steps: tuple[Step, ...], job: str
    ) -> Self:
        """A formula of a settled book, where the member's kitchen stands."""
        kitchen = member.kitchen
        lines = lines_of(book, key, altitude_m=kitchen.altitude_m, currency=kitchen.currency)
        return cls(lines, kind, steps, job, learned(member, job))

    @property
    def job_set(self) -> Job | None:
        """What it is set for, as its chocolate asks, if that is said."""
        if not self.job:
            return None
        own = self.learned.get(main_chocolate(self.lines) or "", ())
        return job_for(job_named(self.job)[1], self.lines, own)

    @property
    def dial(self) -> Dial:
        """The dial of its job; refused where its job is not said."""
        if self.job_set is None:
            raise Invalid.field("job", "Say first what it is for.")
        return self.job_set.dial

    def gauges(self) -> tuple[Gauge, ...]:
        """Its readings in their windows; nothing is judged."""
        return gauges_of(self.lines, self.kind, self._windows, self._figures)

    def character(self) -> Character:
        """Everything there is to read of it."""
        return character_of(self.lines, self.kind, self.steps, self._windows, self._figures)

    def as_formula(self, formula: Formula, book: Book | None = None) -> Self:
        """The same with other lines, perhaps of another book."""
        old = book or self.lines.book
        others = tuple(one for one in old.formulas if one.key != formula.key)
        altitude = self.lines.altitude_m
        now = settled(Book(old.ingredients, (*others, formula)), [formula.key], altitude_m=altitude)
        lines = lines_of(now, formula.key, altitude_m=altitude, currency=self.lines.currency)
        return replace(self, lines=lines)

    @property
    def _windows(self) -> Mapping[str, Window]:
        return windows_for(self.kind, self.job_set)

    @property
    def _figures(self) -> tuple[Figure, ...]:
        return (self.job_set.dial.figure,) if self.job_set else ()


def drafted(member: Member, entry: FormulaIn) -> Draft:
    """An entry, saved or not, read with the pantry and the nested formulas as they are today."""
    lines = tuple(line_of(dict(line)) for line in entry.lines)
    nested = book_for(member, {line.formula for line in lines if line.formula}, whole=True)
    own = rows(member, pantry.Ingredient).filter(pk__in={line.ingredient for line in lines})
    formula = Formula(
        DRAFT,
        entry.name,
        lines,
        tuple(entry.base_lines),
        entry.losses,
        gas_kept=entry.gas_kept,
        whole_eggs=entry.whole_eggs,
        measured_density_g_ml=entry.measured_density_g_ml,
        kind=entry.kind,
    )
    known = {ingredient.key: ingredient for ingredient in (*nested.ingredients, *map(as_core, own))}
    book = drawn_up(member, tuple(known.values()), (*nested.formulas, formula))
    return Draft.of(member, book, DRAFT, entry.kind, steps_of(entry), entry.job)


def steps_of(entry: FormulaIn) -> tuple[Step, ...]:
    """The method of an entry as core has it."""
    return STEPS.validate_python([step.model_dump() for step in entry.method])


def drawn_up(
    member: Member, ingredients: tuple[Ingredient, ...], formulas: tuple[Formula, ...]
) -> Book:
    """A book in which what the draft cooks off is worked out, where the kitchen stands."""
    return settled(Book(ingredients, formulas), [DRAFT], altitude_m=member.kitchen.altitude_m)


def saved(member: Member, row: models.Formula) -> Draft:
    """A formula as it is saved."""
    key = str(row.pk)
    book = book_for(member, [key], whole=True)
    steps = STEPS.validate_python(row.method)
    return Draft.of(member, book, key, row.kind, steps, row.job)
