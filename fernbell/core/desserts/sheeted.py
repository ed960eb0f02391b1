"""What of an order is cut from sheets: pieces of the same formula and thickness together."""

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace
from typing import Literal

from fernbell.core.cutting import CutPlan, RawSheet, RectBlank, ToCut, plan_cut
from fernbell.core.desserts.measure import MeasuredDessert, PartResult, Readings
from fernbell.core.formulas import KINDS
from fernbell.core.working import COMMON_PRACTICE, GEOMETRY, Given, Working, figure_text

_SAME_MM = 0.05
"""Sheets that differ less in thickness are the same."""


@dataclass(frozen=True, slots=True)
class Sheeted:
    """Pieces of one formula in one thickness; `usual` says that such a formula is made flat."""

    formula: str
    name: str
    thick_mm: float
    pieces: tuple[ToCut, ...]
    usual: bool


Trim = Literal["thrown", "crumb", "rolled"]


@dataclass(frozen=True, slots=True)
class TrimUse:
    """What is done with what is left around the pieces."""

    use: Trim
    title: str
    says: str


TRIM_USES = (
    TrimUse("thrown", "thrown away", "counted as lost"),
    TrimUse("crumb", "crumbled", "dried and ground, for a crumb base"),
    TrimUse("rolled", "rolled out again", "once more, to the same thickness; it toughens"),
)


@dataclass(frozen=True, slots=True)
class CutWeights:
    """A cut plan by weight: what the sheets take, what of it is pieces, whole and trim [g].

    `again` is how many pieces a second rolling of the trim gives; `first` how many sheets are
    then rolled the first time. None where the density or that is unknown.
    """

    sheet: Working | None
    sheets: Working | None
    pieces: Working | None
    offcut: Working | None
    trim: Working | None
    share: Working
    again: Working | None
    first: int


@dataclass(frozen=True, slots=True)
class CutOut:
    """Where every piece lies, and what that weighs."""

    plan: CutPlan
    weighed: CutWeights


def sheeted(sizes: Sequence[MeasuredDessert]) -> tuple[Sheeted, ...]:
    """Everything in an order that is cut from a sheet, what is usually made flat first.

    Args:
        sizes: desserts, measured, shape (n,) [MeasuredDessert].
    Returns:
        pieces, by formula and thickness [mm].
    Source:
        geometry; spare for what breaks as it is set on the part.
    """
    found: dict[tuple[str, float], Sheeted] = {}
    for made in sizes:
        said = f", {made.dessert.mold.size_words()}" if len(sizes) > 1 else ""
        for one in _of(made, said):
            key = (one.formula, round(one.thick_mm / _SAME_MM))
            known = found.get(key)
            pieces = _together(known.pieces, one.pieces) if known else one.pieces
            found[key] = replace(known or one, pieces=pieces)
    return tuple(sorted(found.values(), key=lambda one: not one.usual))


def _of(made: MeasuredDessert, said: str) -> Iterator[Sheeted]:
    for region in made.body.regions:
        flat = region.from_sheet()
        if not flat or not flat.is_cut_of(made.kind(region)):
            continue
        reading = made.near.readings[region.formula].formula
        result = made.result(region.part, region.layer)
        spare = 1.0 if flat.lines else _spare(result, made.count)
        number = math.ceil(flat.each * made.count * spare - 1e-9)
        wanted = ToCut(f"{result.name}{said}", flat.piece, number)
        usual = reading.kind in KINDS and KINDS[reading.kind].baked
        yield Sheeted(region.formula, reading.name, flat.thick_mm, (wanted,), usual)
    for held in made.holds:
        yield from _of(held.made, f", {held.name}{said}")


def _spare(result: PartResult, count: int) -> float:
    """How many times what is needed is made [1]."""
    if not result.make or not result.mass or not result.mass.value:
        return 1.0
    return max(1.0, result.make.value / (result.mass.value * count))


def _together(known: tuple[ToCut, ...], more: tuple[ToCut, ...]) -> tuple[ToCut, ...]:
    """The same pieces counted together."""
    found = list(known)
    for one in more:
        at = next((i for i, other in enumerate(found) if other.piece == one.piece), None)
        if at is None:
            found.append(one)
        else:
            other = found[at]
            names = other.name if one.name in other.name else f"{other.name} and {one.name}"
            found[at] = ToCut(names, one.piece, other.count + one.count)
    return tuple(found)


def cut_out(
    one: Sheeted, raw: RawSheet, readings: Readings, *, turns: int = 0, trim: Trim = "thrown"
) -> CutOut:
    """Cut pieces from sheets and weigh what is cut.

    Args:
        one: what is cut [Sheeted].
        raw: the sheet [RawSheet].
        readings: the formulas, for their density [g/ml].
        turns: how many turns are searched [1].
        trim: what is done with the trim, by name [text].
    Returns:
        the plan and its weights [mm, g].
    Raises:
        CoreError: a piece does not fit, or too many are wanted.
    Source:
        geometry and mass balance.
    """
    plan = plan_cut([part for wanted in one.pieces for part in joined(wanted, raw)], raw, turns)
    dense = readings[one.formula].density_working
    density = dense.value if dense else None
    again = _rolled_again(plan) if trim == "rolled" else None
    weighed = CutWeights(
        sheet=_weight("One sheet", raw.area_mm2, one.thick_mm, density),
        sheets=_weight("All sheets", plan.number * raw.area_mm2, one.thick_mm, density),
        pieces=_weight("Pieces", plan.pieces_mm2, one.thick_mm, density),
        offcut=_weight("Left whole", plan.offcut_mm2, one.thick_mm, density),
        trim=_weight("Trim", plan.trim_mm2, one.thick_mm, density),
        share=_share(plan),
        again=again,
        first=_first(plan, again),
    )
    return CutOut(plan, weighed)


def joined(wanted: ToCut, raw: RawSheet) -> Iterator[ToCut]:
    """A band longer than the sheet, in as many lengths as it takes.

    Args:
        wanted: pieces [ToCut].
        raw: the sheet [RawSheet].
    Returns:
        the pieces, or their lengths [ToCut].
    Source:
        counting.
    """
    piece, longest = wanted.piece, max(raw.room.long_mm, raw.room.wide_mm)
    if not isinstance(piece, RectBlank) or max(piece.long_mm, piece.wide_mm) <= longest:
        yield wanted
        return
    long_, wide = max(piece.long_mm, piece.wide_mm), piece.least_mm
    lengths = math.ceil(long_ / longest)
    name = f"{wanted.name}, in {lengths} lengths"
    yield ToCut(name, RectBlank(long_ / lengths, wide), wanted.count * lengths)


def _weight(figure: str, area_mm2: float, thick_mm: float, density: float | None) -> Working | None:
    if density is None:
        return None
    value = area_mm2 / 100 * thick_mm / 10 * density
    return Working(
        figure=figure,
        value=value,
        unit="g",
        given=(
            Given("area", area_mm2 / 100, "cm²"),
            Given("thickness", thick_mm, "mm"),
            Given("density", density, "g/ml"),
        ),
        law="mass = area × thickness × density",
        arithmetic=f"{figure_text(area_mm2 / 100)} × {figure_text(thick_mm)} / 10 × "
        f"{figure_text(density)} = {figure_text(value)} g",
        source=GEOMETRY,
    )


def _share(plan: CutPlan) -> Working:
    whole = plan.number * plan.raw.area_mm2 - plan.offcut_mm2
    value = 100 * plan.trim_mm2 / whole
    return Working(
        figure="Trim, of what is cut",
        value=value,
        unit="%",
        given=(
            Given("trim", plan.trim_mm2 / 100, "cm²"),
            Given("sheets without what stays whole", whole / 100, "cm²"),
        ),
        law="share = trim / sheets without what stays whole",
        arithmetic=f"{figure_text(plan.trim_mm2 / 100)} / {figure_text(whole / 100)} = "
        f"{figure_text(value)} %",
        source=GEOMETRY,
    )


def _rolled_again(plan: CutPlan) -> Working | None:
    """Pieces from the trim of full sheets, rolled out once more; of one form only."""
    if len(plan.wanted) != 1:
        return None
    one, on_one, area = plan.wanted[0].piece, plan.on_one[0], plan.raw.area_mm2
    trim = area - on_one * one.area_mm2
    value = float(math.floor(on_one * trim / area + 1e-9))
    return Working(
        figure="Pieces from the trim of one sheet, rolled again",
        value=value,
        unit="pieces",
        given=(
            Given("pieces from a sheet", on_one, ""),
            Given("trim of a sheet", trim / 100, "cm²"),
            Given("sheet", area / 100, "cm²"),
        ),
        law="pieces from a sheet × trim / sheet, whole ones",
        arithmetic=f"{on_one} × {figure_text(trim / 100)} / {figure_text(area / 100)} = "
        f"{figure_text(on_one * trim / area)}, so {value:g}",
        source=COMMON_PRACTICE + ": rolled once more, to the same thickness",
    )


def _first(plan: CutPlan, again: Working | None) -> int:
    """How many sheets are rolled the first time."""
    if not again:
        return plan.number
    each = plan.on_one[0] + again.value
    return min(plan.number, math.ceil(plan.wanted[0].count / each - 1e-9))
