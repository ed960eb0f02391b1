"""Fits and swaps of a draft, from rows to core and back."""

from collections.abc import Iterator
from typing import Any
from uuid import UUID

from fernbell.core.families import (
    swap,
)
from fernbell.core.fitting import FIT_SOURCE, fit
from fernbell.core.formulas import (
    Character,
    Gauge,
    Section,
    Verdict,
)
from fernbell.core.working import Working
from fernbell.server.formulas.assemble import (
    drafted,
)
from fernbell.server.formulas.redrawing import dial_of, redrawn
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
from fernbell.server.kitchens.policy import rows
from fernbell.server.pantry import models as pantry
from fernbell.server.pantry.assemble import as_core
from fernbell.server.problems import Invalid


def fit_formula(member: Member, entry: dict[str, Any], demands: list[DemandIn]) -> FitOut:
    """Fit a formula as it is drawn up to what is asked; nothing is saved."""
    _, formula, own = drafted(member, entry)
    dial = dial_of(entry).figure if any(one.figure == "dial" for one in demands) else None
    found = fit(own.lines, tuple(one.demand(dial) for one in demands))
    now = redrawn(member, own, found.formula, entry)
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
        redrawn(member, own, one, entry, found.book) for one in (found.straight, found.rebalanced)
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
