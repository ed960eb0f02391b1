"""One dessert in other molds: what each part takes by its own rule, what gets short, and what one
factor for all of it would have cost.
"""

import math
from collections.abc import Iterator
from dataclasses import dataclass, replace
from typing import Literal

from fernbell.core.desserts.cut import Through, cut_through
from fernbell.core.desserts.dessert import Dessert
from fernbell.core.desserts.measure import MeasuredDessert, PartResult, Readings
from fernbell.core.desserts.portions import ByWeight
from fernbell.core.desserts.proposals import refit
from fernbell.core.desserts.solve import Size, measured, size_of
from fernbell.core.errors import CoreError
from fernbell.core.field import Field
from fernbell.core.findings import Finding, Severity
from fernbell.core.molds import Solid
from fernbell.core.working import MASS_BALANCE, Given, Working, figure_text

Keep = Literal["heights", "proportions", "portions"]


@dataclass(frozen=True, slots=True)
class KeepWords:
    """A way of resizing, and what it does."""

    keep: Keep
    title: str
    text: str


KEEPS = (
    KeepWords("heights", "Keep heights", "as thick and as far from the wall as now"),
    KeepWords("proportions", "Keep proportions", "the drawing made larger or smaller as a whole"),
    KeepWords("portions", "Keep portions", "heights as now, cut so that a portion weighs the same"),
)


@dataclass(frozen=True, slots=True)
class PartMoved:
    """A part in another mold: what it takes there, and what one factor would make of it.

    `factor` is by how much its own rule scales it, `over` what one factor would leave over of it
    in one dessert, negative where that would be short; None where a mass is unknown.
    """

    part: str
    layer: str | None
    name: str
    formula: str
    goes_by: str
    mass: Working | None
    factor: float | None
    over: Working | None


@dataclass(frozen=True, slots=True)
class Resized:
    """A dessert in another mold; `count` is how many make the portions that are wanted.

    `one_factor` is how many times the mold it was drawn in this one holds; by it `left_g` would be
    left over of some parts and `lack_g` be short of others, in each. `refused` says why there is
    no such dessert, and then nothing else is there.
    """

    parts: tuple[PartMoved, ...] = ()
    one_factor: Working | None = None
    left_g: float = 0.0
    lack_g: float = 0.0
    finished: Working | None = None
    portion: Working | None = None
    portions: int = 0
    count: int = 0
    short: tuple[Finding, ...] = ()
    cut: Through | None = None
    refused: str = ""


def in_mold(dessert: Dessert, mold: Solid, keep: Keep, portion_g: float | None) -> Dessert:
    """A dessert in another mold.

    Args:
        dessert: as it is drawn [Dessert].
        mold: what it goes into [Solid].
        keep: its heights, its proportions, or what a portion weighs [text].
        portion_g: what a portion weighs as it is drawn; None where unknown [g].
    Returns:
        the dessert there [mm].
    Raises:
        CoreError: a part that cannot be in that mold.
    Source:
        geometry: similar figures; gaps and heights are what the chef chose.
    """
    fitted = refit(dessert, mold)
    if keep == "proportions":
        across = mold.from_above.length_mm / dessert.mold.from_above.length_mm
        up = mold.height_mm / dessert.mold.height_mm
        parts = tuple(part.in_proportion(across, up) for part in dessert.parts)
        return replace(fitted, parts=parts)
    if keep == "portions" and portion_g:
        return replace(fitted, portions=ByWeight(min(5000.0, max(5.0, portion_g))))
    return fitted


def resize(made: Size, readings: Readings, mold: Solid, keep: Keep) -> Resized:
    """A dessert worked out in another mold, beside what one factor would have made of it.

    Args:
        made: as it is drawn, worked out [Size].
        readings: the formulas it is made of [g/ml].
        mold: what it goes into [Solid].
        keep: its heights, its proportions, or what a portion weighs [text].
    Returns:
        each part there, what gets short, and the cut [g, mm].
    Source:
        geometry and mass balance; each working names its own.
    """
    dessert, portion = made.made.dessert, made.portion
    try:
        other = in_mold(dessert, mold, keep, portion.value if portion else None)
        there = size_of(measured(other, readings, made.made.count), ())
        cut = cut_through(there.made)
    except CoreError as refusal:
        return Resized(refused=refusal.sentence())
    factor = _holds(dessert.mold, mold)
    covers = made.made.count * made.made.division.count
    parts = tuple(_moved(made.parts, there.parts, factor))
    over = [one.over.value for one in parts if one.over]
    return Resized(
        parts=parts,
        one_factor=factor,
        left_g=sum(grams for grams in over if grams > 0),
        lack_g=-sum(grams for grams in over if grams < 0),
        finished=there.finished,
        portion=there.portion,
        portions=there.made.division.count,
        count=-(-covers // there.made.division.count),
        short=tuple(_short(made, there)),
        cut=cut,
    )


HAVE = Field("have_g", "There is", most=1e6, open_least=True)


def fills(there: Resized, formula: str, have_g: float) -> Working | None:
    """How many of a dessert there is enough of one formula for.

    Args:
        there: the dessert in a mold [Resized].
        formula: key of what there is [key].
        have_g: how much of it, finished [g].
    Returns:
        whole desserts and what is left [1]; None where the dessert takes none of it, or its mass
        is not known.
    Raises:
        OutOfRange: nothing, or more than a million grams.
    Source:
        mass balance.
    """
    HAVE.check(have_g)
    masses = [one.mass.value for one in there.parts if one.formula == formula and one.mass]
    each = sum(masses)
    if not each:
        return None
    value = float(math.floor(have_g / each + 1e-9))
    return Working(
        figure="Enough for",
        value=value,
        unit="desserts",
        given=(Given("there is", have_g, "g"), Given("one takes", each, "g")),
        law="what there is / what one takes, whole ones",
        arithmetic=f"{figure_text(have_g)} / {figure_text(each)} = "
        f"{figure_text(have_g / each)}; {value:g}, and {figure_text(have_g - value * each)} g left",
        source=MASS_BALANCE,
    )


def _holds(mold: Solid, other: Solid) -> Working:
    """How many times as much another mold holds."""
    own, its = (one.volume_between(0.0, one.height_mm) for one in (mold, other))
    return Working(
        figure="One factor for all",
        value=its / own,
        unit="times",
        given=(Given("this mold", its, "ml"), Given("the mold it is drawn in", own, "ml")),
        law="factor = what this mold holds / what the other holds",
        arithmetic=f"{figure_text(its)} / {figure_text(own)} = {figure_text(its / own)}",
        source="what is done where every part is scaled alike; common practice",
    )


def _moved(
    before: tuple[PartResult, ...], after: tuple[PartResult, ...], factor: Working
) -> Iterator[PartMoved]:
    was = {(one.part, one.layer): one for one in before}
    for now in after:
        then = was[now.part, now.layer].mass
        own = now.mass.value / then.value if now.mass and then and then.value else None
        over = _over(now.name, then, now.mass, factor) if now.mass and then else None
        yield PartMoved(
            now.part, now.layer, now.name, now.formula, now.goes_by, now.mass, own, over
        )


def _over(name: str, then: Working, now: Working, factor: Working) -> Working:
    """What one factor would make of a part, less what it takes."""
    made = then.value * factor.value
    value = made - now.value
    return Working(
        figure=f"{name}: {'left over' if value >= 0 else 'short'} by one factor",
        value=value,
        unit="g",
        given=(
            Given("in the mold it is drawn in", then.value, "g"),
            Given("factor", factor.value, ""),
            Given("takes here", now.value, "g"),
        ),
        law="left over = grams before × one factor − grams by its own rule",
        arithmetic=f"{figure_text(then.value)} × {figure_text(factor.value)} − "
        f"{figure_text(now.value)} = {figure_text(value)} g",
        source=MASS_BALANCE,
        steps=(factor, now),
    )


def _short(made: Size, there: Size) -> Iterator[Finding]:
    """What there is to say of it there and was not to be said where it was drawn."""
    known = {(one.code, one.part) for one in made.findings}
    for finding in there.findings:
        if finding.severity != Severity.NOTE and (finding.code, finding.part) not in known:
            yield finding


def as_drawn(made: MeasuredDessert) -> Size:
    """A dessert as it is drawn, to be compared with.

    Args:
        made: measured and divided [MeasuredDessert].
    Returns:
        the same, judged [Size].
    Source:
        definition.
    """
    return size_of(made, ())
