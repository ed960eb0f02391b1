"""Sensible measures to start from: a new part in this mold, the same dessert in another mold."""

from collections.abc import Sequence
from dataclasses import replace

from fernbell.core.desserts import practice
from fernbell.core.desserts.dessert import Dessert, lay_out, shape_of
from fernbell.core.desserts.part import Part
from fernbell.core.desserts.portions import (
    ByThickness,
    ByWeight,
    Portions,
    division_in,
    portions_for,
)
from fernbell.core.desserts.rules import BY_NAME
from fernbell.core.errors import CoreError, UnknownKey
from fernbell.core.molds import Solid


def propose(dessert: Dessert, rule: str, key: str, formula: str) -> Part:
    """A part of the given rule, measured for this dessert's mold and what already stands in it.

    Args:
        dessert: the dessert it joins [Dessert].
        rule: name of the rule [text].
        key: key of the new part [key].
        formula: key of its formula [key].
    Returns:
        the part, to be changed at will [mm, g].
    Raises:
        CoreError: an unknown rule, or a second part of what there is one of.
    Source:
        common practice.
    """
    if rule not in BY_NAME:
        *first, last = BY_NAME
        raise CoreError("rule", rule, f"{', '.join(first)} or {last}")
    return BY_NAME[rule].propose(lay_out(dessert), key, formula)


def propose_layer(dessert: Dessert, insert: str, key: str, formula: str) -> Part:
    """A part of the dessert with one more layer on top, no higher than leaves it covered.

    Args:
        dessert: the dessert as it is [Dessert].
        insert: key of the part [key].
        key: key of the new layer [key].
        formula: key of its formula [key].
    Returns:
        the part with the layer [mm].
    Raises:
        UnknownKey: the dessert has no such part, or it has no layers.
    Source:
        common practice.
    """
    for part in dessert.parts:
        if part.key == insert and (grown := part.with_layer(lay_out(dessert), key, formula)):
            return grown
    raise UnknownKey("insert", insert, "a part of this dessert that has layers")


def refit(dessert: Dessert, mold: Solid) -> Dessert:
    """The same dessert in another mold: parts keep their gap to the wall and their heights.

    Wedges and grids are exchanged for as many portions as are near.

    Args:
        dessert: the dessert as it is [Dessert].
        mold: the mold it goes into [Solid].
    Returns:
        the dessert in that mold [mm].
    Source:
        common practice: the gap is what the chef chose.
    """
    was, now = (one.from_above for one in (dessert.mold, mold))
    parts = tuple(part.refitted(was, now) for part in dessert.parts)
    fitted = replace(dessert, mold=mold, parts=parts, portions=portions_for(mold))
    return replace(fitted, portions=_portions(dessert.portions, shape_of(fitted)))


def _portions(portions: Portions, shape: Solid) -> Portions:
    """Kept from cake to cake; an individual is one portion, and what was one is divided anew."""
    if isinstance(portions, ByWeight | ByThickness):
        return portions
    foreign = portions.cut != "by count" and not isinstance(portions, division_in(shape))
    whole = portions.cut != "grid" and portions.count == 1
    individual = practice.is_individual(shape.longest_mm)
    return portions_for(shape) if foreign or individual or whole else portions


def place_stack(
    dessert: Dessert, stack: Sequence[Part], drawn_in: Solid, keys: Sequence[str]
) -> tuple[Part, ...]:
    """Parts kept from another dessert, measured for this one.

    They keep their gap to the wall and their heights, and stand on what is already there:
    bases on the bases, inserts as far above the highest part as they were above their bases.

    Args:
        dessert: the dessert they join [Dessert].
        stack: the parts, from the top down, shape (n,) [Part].
        drawn_in: the mold they were kept from [Solid].
        keys: a new key for every part, shape (n,) [key].
    Returns:
        the parts, to be changed at will, shape (n,) [mm].
    Raises:
        CoreError: a second part that fills the rest.
    Source:
        common practice.
    """
    body = lay_out(dessert)
    kept = Dessert("", drawn_in, tuple(stack), portions_for(drawn_in))
    own = lay_out(kept)
    if body.rest and own.rest:
        raise CoreError("stack", "with a fill", "without one: this dessert already fills the rest")
    fitted = refit(kept, dessert.mold).parts
    based = any(block.on_board for block in own.blocks)
    by = body.blocks_top_mm if based else max(0.0, body.blocks_top_mm - own.board_top_mm)
    return tuple(part.kept_as(key, by) for part, key in zip(fitted, keys, strict=True))


def usual_kind(rule: str) -> str:
    """The kind a new formula is taken for, by what it is to do in a dessert.

    Args:
        rule: the rule of a part [text].
    Returns:
        a kind; nothing where no part has such a rule [text].
    Source:
        common practice.
    """
    return BY_NAME[rule].words.usual_kind if rule in BY_NAME else ""
