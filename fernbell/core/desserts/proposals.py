"""Sensible measures to start from: a new part in this mold, the same dessert in another mold."""

from collections.abc import Sequence
from dataclasses import replace

from fernbell.core.desserts import practice
from fernbell.core.desserts.layout import Layout, lay_out
from fernbell.core.desserts.parts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    Layer,
    Part,
)
from fernbell.core.desserts.portions import ByCount, ByWeight, Grid, Portions, Wedges, portions_for
from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.molds import Mold, Ring


def propose(dessert: Dessert, rule: str, key: str, formula: str) -> Part:
    """A part of the given rule, measured for this dessert's mold and what already stands in it.

    Args:
        dessert: the dessert it joins [Dessert].
        rule: base, insert, fill, coat, band or garnish [text].
        key: key of the new part [key].
        formula: key of its formula [key].
    Returns:
        the part, to be changed at will [mm, g].
    Raises:
        CoreError: an unknown rule, or a second part that fills the rest.
    Source:
        common practice.
    """
    mold, layout = dessert.mold, lay_out(dessert)
    match rule:
        case "base":
            height = min(practice.BASE_HEIGHT.value, round(mold.height_mm / 5))
            return Base(key, formula, max(1.0, height), _inside(mold, practice.BASE_GAP.value))
        case "insert":
            return _insert(mold, layout, key, formula)
        case "fill":
            if layout.fill:
                raise CoreError("rule", "fill", "used once: this dessert already fills the rest")
            return Fill(key, formula)
        case "coat":
            return Coat(
                key,
                formula,
                practice.COAT_THICKNESS.value,
                practice.COAT_RUNOFF.value,
                practice.COAT_LEAST_POUR.value,
            )
        case "band":
            height = min(practice.BAND_HEIGHT.value, mold.height_mm)
            return Band(
                key,
                formula,
                height,
                practice.BAND_THICKNESS.value,
                practice.BAND_OVERLAP.value,
            )
        case "garnish":
            return Garnish(key, formula, practice.GARNISH_PIECE.value)
        case _:
            raise CoreError("rule", rule, "base, insert, fill, coat, band or garnish")


def propose_layer(dessert: Dessert, insert: str, key: str, formula: str) -> Insert:
    """An insert of the dessert with one more layer on top, no higher than leaves it covered.

    Args:
        dessert: the dessert as it is [Dessert].
        insert: key of the insert [key].
        key: key of the new layer [key].
        formula: key of its formula [key].
    Returns:
        the insert with the layer [mm].
    Raises:
        UnknownKey: the dessert has no such insert.
    Source:
        common practice.
    """
    layout = lay_out(dessert)
    for own, stack in layout.inserts:
        if own.key == insert:
            room = layout.level_mm - stack[-1].high_mm - practice.COVER_CLEARANCE.value
            height = max(1.0, min(practice.LAYER_HEIGHT.value, round(room)))
            return replace(own, layers=(Layer(key, formula, height), *own.layers))
    raise UnknownKey("insert", insert, "an insert of this dessert")


def _inside(mold: Mold, gap_mm: float) -> float:
    plan = mold.plan
    shorter = min(plan.length_mm, plan.width_mm)
    return plan.length_mm - 2 * min(gap_mm, round(shorter / 8))


def _insert(mold: Mold, layout: Layout, key: str, formula: str) -> Insert:
    """As wide as the clearance allows, over the highest part, no higher than leaves it covered."""
    gap = 2 * practice.side_clearance(mold.plan.length_mm).value
    floor = max((block.high_mm for block in layout.blocks), default=0.0)
    lift = floor + practice.SEAL_DEPTH.value
    room = layout.level_mm - lift - practice.COVER_CLEARANCE.value
    height = max(1.0, min(practice.INSERT_HEIGHT.value, round(room)))
    layer = Layer(f"{key}-1", formula, height)
    return Insert(key, (layer,), _inside(mold, gap), lift)


def refit(dessert: Dessert, mold: Mold) -> Dessert:
    """The same dessert in another mold: parts keep their gap to the wall and their heights.

    Where a gap would leave less than half of the part, the part keeps its share of the
    diameter instead, and of its way off the middle. Wedges and grids are exchanged for as
    many portions as are near.
    Args:
        dessert: the dessert as it is [Dessert].
        mold: the mold it goes into [Mold].
    Returns:
        the dessert in that mold [mm].
    Source:
        common practice: the gap is what the chef chose.
    """
    was, now = dessert.mold.plan, mold.plan
    shortest = now.length_mm - min(now.length_mm, now.width_mm)

    def fitted(part: Part) -> Part:
        if not isinstance(part, Base | Insert):
            return part
        kept = part.across_mm + now.length_mm - was.length_mm
        share = part.across_mm * now.length_mm / was.length_mm
        if kept > max(share / 2, shortest):
            return replace(part, across_mm=kept)
        by_share = replace(part, across_mm=max(share, shortest + 10))
        if isinstance(by_share, Insert):
            return replace(by_share, offset_mm=by_share.offset_mm * now.length_mm / was.length_mm)
        return by_share

    parts = tuple(fitted(part) for part in dessert.parts)
    return replace(dessert, mold=mold, parts=parts, portions=_portions(dessert.portions, mold))


def _portions(portions: Portions, mold: Mold) -> Portions:
    """Kept from cake to cake; an individual is one portion, and what was one is divided anew."""
    if isinstance(portions, ByWeight):
        return portions
    foreign = Grid if isinstance(mold, Ring) else Wedges
    individual = mold.plan.length_mm < practice.INDIVIDUAL_BELOW.value
    whole = isinstance(portions, Wedges | ByCount) and portions.count == 1
    return portions_for(mold) if isinstance(portions, foreign) or individual or whole else portions


def place_stack(
    dessert: Dessert, stack: Sequence[Part], drawn_in: Mold, keys: Sequence[str]
) -> tuple[Part, ...]:
    """Parts kept from another dessert, measured for this one.

    They keep their gap to the wall and their heights, and stand on what is already there:
    bases on the bases, inserts as far above the highest part as they were above their bases.

    Args:
        dessert: the dessert they join [Dessert].
        stack: the parts, from the top down, shape (n,) [Part].
        drawn_in: the mold they were kept from [Mold].
        keys: a new key for every part, shape (n,) [key].
    Returns:
        the parts, to be changed at will, shape (n,) [mm].
    Raises:
        CoreError: a second part that fills the rest.
    Source:
        common practice.
    """
    layout = lay_out(dessert)
    if layout.fill and any(isinstance(part, Fill) for part in stack):
        raise CoreError("stack", "with a fill", "without one: this dessert already fills the rest")
    kept = Dessert("", drawn_in, tuple(stack), portions_for(drawn_in))
    fitted = refit(kept, dessert.mold).parts
    own = lay_out(kept).base_top_mm
    under = max((block.high_mm for block in layout.blocks), default=0.0)
    by = under if any(isinstance(part, Base) for part in stack) else max(0.0, under - own)
    return tuple(
        _lifted(replace(part, key=key), by) for part, key in zip(fitted, keys, strict=True)
    )


def _lifted(part: Part, by_mm: float) -> Part:
    if not isinstance(part, Insert):
        return part
    layers = tuple(
        replace(layer, key=f"{part.key}-{place}")
        for place, layer in enumerate(part.layers, start=1)
    )
    return replace(part, layers=layers, lift_mm=part.lift_mm + by_mm)
