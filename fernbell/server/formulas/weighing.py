"""Fits and swaps of a draft, from rows to core and back."""

from collections.abc import Iterator
from uuid import UUID

from fernbell.core.families import STUFFS, SWAP_MOVED, choices, swap
from fernbell.core.fitting import FIT_SOURCE, MOVED, fit
from fernbell.core.formulas import Gauge, moved
from fernbell.core.pantry import Ingredient
from fernbell.core.working import Working
from fernbell.server.formulas.drafts import drafted
from fernbell.server.formulas.schemas import FormulaIn
from fernbell.server.formulas.setting_schemas import (
    AskedOut,
    DemandIn,
    FitGauge,
    FitOut,
    MovedLine,
    SwapGauge,
    SwapLine,
    SwapOut,
)
from fernbell.server.kitchens.models import Member
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.problems import Invalid
from fernbell.server.rows.policy import rows

Gauges = tuple[Gauge, ...]


def fit_formula(member: Member, entry: FormulaIn, demands: list[DemandIn]) -> FitOut:
    """Fit a formula as it is drawn up to what is asked; nothing is saved."""
    draft = drafted(member, entry)
    dial = draft.dial.figure if any(demand.figure == "dial" for demand in demands) else None
    found = fit(draft.lines, tuple(demand.demand(dial) for demand in demands))
    now = draft.as_formula(found.formula)
    because = {move.line: list(move.because) for move in found.moves}
    pairs = zip(draft.lines.formula.lines, found.formula.lines, strict=True)
    return FitOut(
        lines=[
            MovedLine(
                key=old.key,
                name=draft.lines.book.line_name(old),
                before_g=old.mass_g,
                after_g=new.mass_g,
                because=because.get(old.key, []),
            )
            for old, new in pairs
        ],
        asked=[AskedOut(says=one.says, missed=one.missed) for one in found.asked],
        conflict=list(found.conflict),
        told_apart=found.told_apart,
        kept_g=found.kept_g,
        gauges=[
            FitGauge(
                code=one.code,
                name=one.name,
                beside=one.beside,
                moved=moved(_working(was), _working(then), MOVED),
                before=_working(was),
                after=_working(then),
                fits=_fits(then),
            )
            for one, (was, then) in _deciding(draft.gauges(), now.gauges())
        ],
        solves=found.solves,
        source=FIT_SOURCE,
    )


def swap_ingredient(member: Member, entry: FormulaIn, old: UUID, new: UUID) -> SwapOut:
    """One ingredient for another in a formula as it is drawn up; nothing is saved."""
    comes = rows(member, pantry.Ingredient).filter(pk=new, archived_at=None).first()
    if comes is None:
        raise Invalid.field("new", "This ingredient is not on your shelf.")
    draft = drafted(member, entry)
    lines = draft.lines
    if str(old) not in {line.ingredient for line in lines.formula.lines}:
        raise Invalid.field("old", "This ingredient is in none of its lines.")
    dial = draft.dial if draft.job else None
    sugar = _sugar(member)
    found = swap(lines, str(old), as_core(comes), dial, draft.kind, sugar=sugar)
    states = [draft, *(draft.as_formula(one, found.book) for one in found.both)]
    before = {line.key: line for line in lines.formula.lines}
    pairs = zip(found.straight.lines, found.rebalanced.lines, strict=True)
    return SwapOut(
        lines=[
            SwapLine(
                key=now.key,
                before=lines.book.line_name(before[now.key]) if now.key in before else "",
                after=found.book.line_name(now),
                added=None if now.key in before else UUID(now.ingredient),
                before_g=before[now.key].mass_g if now.key in before else 0.0,
                straight_g=plain.mass_g,
                rebalanced_g=now.mass_g,
                soaked=now.soaked,
            )
            for plain, now in pairs
        ],
        gauges=[
            SwapGauge(
                code=one.code,
                name=one.name,
                beside=one.beside,
                moved=any(
                    moved(_working(was), _working(then), SWAP_MOVED) for then in (plain, now)
                ),
                before=_working(was),
                straight=_working(plain),
                rebalanced=_working(now),
                straight_fits=_fits(plain),
                rebalanced_fits=_fits(now),
            )
            for one, (was, plain, now) in _deciding(*(state.gauges() for state in states))
        ],
        kept=list(found.kept),
        notes=list(found.notes),
    )


def _sugar(member: Member) -> Ingredient | None:
    """The sugar of the kitchen that brings back what a swap takes away, if it has one."""
    shelf = rows(member, pantry.Ingredient).filter(archived_at=None, make_up__sucrose__gte=95)
    found = choices(STUFFS["sugar"], map(as_core, shelf))
    return found[0] if found else None


def _deciding(*states: Gauges) -> Iterator[tuple[Gauge, list[Gauge | None]]]:
    """Each reading that decides: one that names it, and that of every state."""
    by_code = [{gauge.code: gauge for gauge in gauges} for gauges in states]
    for code in dict.fromkeys(code for one in by_code for code in one):
        gauges = [one.get(code) for one in by_code]
        first = next(gauge for gauge in gauges if gauge)
        if first.decides:
            yield first, gauges


def _working(gauge: Gauge | None) -> Working | None:
    return gauge.working if gauge else None


def _fits(gauge: Gauge | None) -> bool:
    return gauge is None or gauge.fits
