"""What core answers, in a shape that outlives how core is built: words, digits, outlines.

Figures are kept to nine digits, for a processor may round the last otherwise. Long answers are
kept as digests; `python -m tests.core.answers full FOLDER` writes them out in full, to be compared
with those of another commit.
"""

import hashlib
import json
from collections.abc import Callable, Iterator
from dataclasses import asdict
from functools import partial
from typing import Any

from fernbell.core.desserts import Dessert, Solved, propose_layer, solve
from fernbell.core.desserts import propose as propose_part
from fernbell.core.errors import CoreError
from fernbell.core.families import (
    FAMILIES,
    Dial,
    Family,
    Job,
    Wish,
    asides,
    job_named,
    judge_steps,
    other_chocolates,
    propose,
    read_dial,
    sentence,
    swap,
    turn,
    weighable,
    windows_for,
)
from fernbell.core.findings import Finding
from fernbell.core.fitting import Demand, Finished, Reads, fit
from fernbell.core.formulas import Book, Character, Formula, Lines, Sheet, characterize
from fernbell.core.molds import Solid
from fernbell.core.pantry import role_of
from fernbell.core.working import Working
from fernbell.demo.formulas import DemoFormula
from fernbell.starter.pantry import STOCKS

SHELF = tuple(stock.ingredient for stock in STOCKS)
RULES = ("base", "insert", "fill", "coat", "band", "garnish")


def digits(value: Any) -> Any:
    """Nine digits of every number in a nested answer, whole ones as whole."""
    if isinstance(value, float):
        short = float(f"{value:.9g}")
        return int(short) if short.is_integer() else short
    if isinstance(value, list | tuple):
        return [digits(one) for one in value]
    if isinstance(value, dict):
        return {str(key): digits(one) for key, one in value.items()}
    return value


def digest(value: Any) -> str:
    """Short name of an answer, equal for equal answers."""
    text = json.dumps(digits(value), ensure_ascii=False, sort_keys=True)
    return hashlib.sha256(text.encode()).hexdigest()[:12]


def worked(one: Working | None) -> Any:
    """A working, with all that stands behind it."""
    if one is None:
        return None
    given = [(given.name, given.value, given.unit) for given in one.given]
    own = [one.figure, one.value, one.unit, given, one.law, one.arithmetic, one.source]
    return [*own, [worked(step) for step in one.steps]]


def said(one: Finding) -> Any:
    """A finding."""
    words = [one.code, str(one.severity), one.message, one.why, one.remedy, one.source]
    return [*words, one.part, one.formula]


def sheet(one: Sheet) -> Any:
    """A sheet."""
    lines = [(line.key, line.name, line.exact_g, line.mass_g, line.step_g) for line in one.lines]
    uses = [(use.purpose, use.mass_g) for use in one.uses]
    return [one.formula, one.name, one.factor, one.batch_g, one.finished_g, lines, uses]


def of_dessert(dessert: Dessert, book: Book, count: int) -> dict[str, Any]:
    """Everything a dessert answers, by what it is about."""
    solved, made = solve(dessert, book, count)
    return {
        "parts": [_part(part) for part in solved.parts],
        "whole": [
            worked(one)
            for one in (
                *(solved.finished, solved.finished_all, solved.height, solved.surface),
                *(solved.liner, solved.division_working, solved.portion),
            )
        ],
        "portions": solved.portions,
        "findings": [said(finding) for finding in solved.findings],
        "cut": _cut(solved),
        "stages": [_stage(stage) for stage in solved.stages],
        "words": solved.words,
        "sheets": [sheet(one) for one in made],
        "proposals": list(_proposed(dessert)),
    }


def _part(one: Any) -> Any:
    pours = [
        (pour.name, pour.low_mm, pour.high_mm, worked(pour.volume), worked(pour.mass))
        for pour in one.pours
    ]
    told = [one.part, one.layer, one.name, one.formula, one.goes_by]
    return [*told, *map(worked, (one.measure, one.volume, one.mass, one.make)), pours]


def _shape(one: Any) -> Any:
    return [one.part, one.layer, one.formula, one.loops]


def _cut(solved: Solved) -> Any:
    cut, top = solved.cut, solved.cut.top
    dimensions = sorted(
        (
            dimension.part,
            dimension.layer or "",
            dimension.what,
            dimension.start,
            dimension.end,
            dimension.value_mm,
            dimension.short,
        )
        for dimension in cut.dimensions
    )
    room = [cut.width_mm, cut.height_mm, cut.mold_width_mm, cut.rim_mm, cut.level_mm]
    above = [top.edge, [_shape(one) for one in top.hidden], top.cuts, top.portion]
    seen = [_shape(one) for one in top.garnish]
    return [room, [_shape(one) for one in cut.section], dimensions, above, seen]


def _stage(one: Any) -> Any:
    words = [one.code, one.title, one.says, one.shows, one.fresh, one.in_mold, one.turned]
    wait = (one.wait_says, one.wait_source, one.cold)
    return [*words, worked(one.working), one.ahead, wait]


def _proposed(dessert: Dessert) -> Iterator[Any]:
    """What core proposes for a new part by each rule, and for one more layer of each insert."""
    for rule in RULES:
        try:
            yield asdict(propose_part(dessert, rule, "new", "sponge"))
        except CoreError as refusal:
            yield str(refusal)
    for part in dessert.parts:
        if part.rule == "insert":
            yield asdict(propose_layer(dessert, part.key, "new", "sponge"))


def of_mold(mold: Solid) -> Any:
    """What a mold answers."""
    return [worked(working) for working in mold.workings()]


def grams(formula: Formula) -> list[float]:
    """The grams of its lines."""
    return [round(line.mass_g, 4) for line in formula.lines]


def of_formula(one: DemoFormula, book: Book) -> dict[str, Any]:
    """Everything a demo formula answers: long answers by their digest, grams as they are."""
    own = character(one, book)
    answer: dict[str, Any] = {
        "batch_g": own.reading.batch_g,
        "density_g_ml": own.reading.density_g_ml,
        "readings": {gauge.code: digest(_gauge(gauge)) for gauge in own.gauges},
        "findings": [f"{found[0][0]} {digest(found)}" for found in _judged(own, one)],
        "swaps": dict(_swaps(one, own.lines)),
    }
    job = job_named(one.job)[1] if one.job else None
    told = asides(one.kind, own.lines, one.method, job)
    answer["asides"] = digest([(a.name, a.says, worked(a.working), a.holds) for a in told])
    if job:
        answer |= _set(job.dial, own.lines)
        answer["sentence"] = [(slot.slot, slot.line) for slot in sentence(job, own.lines)]
    return answer


def character(one: DemoFormula, book: Book) -> Character:
    """A demo formula read for its job."""
    job = job_named(one.job)[1] if one.job else None
    return characterize(
        book,
        one.slug,
        one.kind,
        one.method,
        windows=windows_for(one.kind, job),
        figures=(job.dial.figure,) if job else (),
    )


def _gauge(gauge: Any) -> Any:
    window = gauge.window and [gauge.window.least, gauge.window.most, gauge.window.why]
    told = [gauge.code, gauge.name, str(gauge.section), worked(gauge.working), gauge.valid]
    against = [gauge.needs, gauge.overcooked, gauge.refusal, worked(gauge.other), gauge.caveat]
    return [*told, *against, window, gauge.verdict and str(gauge.verdict)]


def _judged(own: Character, one: DemoFormula) -> Iterator[Any]:
    for judged in (*own.judged, *judge_steps(one.kind, own.lines, one.method)):
        ways = [
            way
            and [
                *(way.says, way.line, way.mass_g, way.cooking_percent),
                *(way.cooked_to and asdict(way.cooked_to), way.measured_density_g_ml),
            ]
            for way in (judged.mend, judged.other)
        ]
        yield [said(judged.finding), ways]


def _set(dial: Dial, lines: Lines) -> dict[str, Any]:
    """Where its dial stands, turned to the middle of each band; fitted; the other chocolates."""
    landing = read_dial(dial, lines)
    turned, fitted = {}, {}
    for band in dial.bands:
        middle = (band.least + band.most) / 2
        turned[band.name] = _tried(partial(_turned, dial, lines, middle))
        asked = (
            Reads(dial.figure, band.least, band.most),
            Finished(1.1 * lines.mix().finished_g),
        )
        fitted[band.name] = _tried(partial(_fitted, lines, asked))
    others = other_chocolates(dial, lines, SHELF)
    return {
        "stands": [landing.working and landing.working.value, landing.band and landing.band.name],
        "dial": digest(worked(landing.working)),
        "turned": turned,
        "fitted": fitted,
        "others": digest([plain(other) for other in others]),
    }


def _turned(dial: Dial, lines: Lines, value: float) -> list[float]:
    return grams(weighable(lines, turn(dial, lines, value)))


def _fitted(lines: Lines, asked: tuple[Demand, ...]) -> list[float]:
    return grams(fit(lines, asked).formula)


def plain(one: Any) -> list[Any]:
    """The fields of a small value of core, its workings written out."""
    own = [getattr(one, name) for name in one.__slots__]
    return [worked(value) if isinstance(value, Working) else value for value in own]


def _swaps(one: DemoFormula, lines: Lines) -> Iterator[tuple[str, Any]]:
    """Each of its ingredients for the next of its role on the shelf."""
    dial = job_named(one.job)[1].dial if one.job else None
    for line in lines.formula.lines:
        if line.ingredient is None:
            continue
        old = lines.book.ingredient(line.ingredient)
        alike = [other for other in SHELF if role_of(other) is role_of(old) and other != old]
        later = [other for other in alike if other.key > old.key] or alike
        if not later:
            continue
        named = f"{old.key} → {later[0].key}"
        yield named, _tried(partial(_swapped, lines, old.key, later[0], dial, one.kind))


def _swapped(lines: Lines, old: str, new: Any, dial: Dial | None, kind: str) -> Any:
    found = swap(lines, old, new, dial, kind)
    kept = [[kept.name, round(kept.after, 4), kept.kept] for kept in found.kept]
    return [grams(found.rebalanced), kept, digest([plain(note) for note in found.notes])]


def _tried(answer: Callable[[], Any]) -> Any:
    try:
        return answer()
    except CoreError as refusal:
        return str(refusal)


def of_jobs() -> Iterator[tuple[str, Any]]:
    """What is proposed for every job there is."""
    for family in FAMILIES:
        for job in family.jobs:
            yield f"{family.key}.{job.key}", _tried(partial(_proposal, family, job))


def _proposal(family: Family, job: Job) -> Any:
    made = propose(family, job, Wish({}), SHELF)
    lines = [(line.ingredient, round(line.mass_g, 4)) for line in made.formula.lines]
    told = [made.formula.name, made.kind, dict(made.why), [step.text for step in made.steps]]
    return [lines, digest(told)]
