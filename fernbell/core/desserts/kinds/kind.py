"""What a kind of dessert is: a file of data, composed into a dessert of any kitchen's formulas."""

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, field, replace

from fernbell.core.desserts.body import Built
from fernbell.core.desserts.dessert import Dessert, shape_of
from fernbell.core.desserts.part import Part
from fernbell.core.desserts.portions import ByCount, Portions, portions_for
from fernbell.core.desserts.proposals import propose, propose_layer
from fernbell.core.molds import Mold, Solid

_AS_LARGE = 2.5
"""A mold of the kitchen is taken for a kind's own where it holds no more than so many times as
much, or as little; common practice.
"""

Pick = Callable[[str, tuple[str, ...]], str | None]
"""Key of a formula of a kind, best set for one of the jobs; None where there is none."""


@dataclass(frozen=True, slots=True)
class KindPart:
    """A part as it is usual: its rule, the kind of formula it is made of, what is not as proposed.

    `jobs` are what its formula is best set for; `shares` fields told as a share of the mold's
    height; `spread` the kinds of formula laid on it as layers, from the bottom up.
    """

    rule: str
    made_of: str
    fields: Mapping[str, float | bool | None] = field(default_factory=dict)
    shares: Mapping[str, float] = field(default_factory=dict)
    spread: tuple[str, ...] = ()
    jobs: tuple[str, ...] = ()


@dataclass(frozen=True, slots=True)
class DessertKind:
    """A kind of dessert; `parts` in the order they are placed, the lowest first.

    `mold` is what it is begun in where the kitchen hangs nothing like it; `usual_in_it` says
    that in such a mold one expects this kind, and not another.
    """

    kind: str
    title: str
    text: str
    mold: Mold
    parts: tuple[KindPart, ...]
    built: Built = "upright"
    portions: Portions | None = None
    usual_in_it: bool = True


@dataclass(frozen=True, slots=True)
class Begun:
    """A dessert begun from a kind, and of what kind the formulas are that it had to do without."""

    dessert: Dessert
    lacking: tuple[str, ...]


def compose(kind: DessertKind, name: str, mold: Solid, pick: Pick) -> Begun:
    """A dessert of a kind in a mold, every part measured for it.

    Args:
        kind: what it is to be [DessertKind].
        name: what it is called [text].
        mold: what it is made in [Solid].
        pick: a formula of a kind, such as 'paste', best of one of some jobs [key].
    Returns:
        the dessert, and what the kitchen has no formula for [mm].
    Source:
        common practice.
    """
    dessert = Dessert(name, mold, (), ByCount(1), kind.built)
    lacking: list[str] = []
    for place, part in enumerate(kind.parts, start=1):
        first = pick(part.made_of, part.jobs)
        made_of = [first, *(pick(one, ()) for one in part.spread)]
        if None in made_of:
            named = zip((part.made_of, *part.spread), made_of, strict=True)
            lacking.extend(kind_ for kind_, found in named if found is None)
            continue
        dessert = _with(dessert, part, f"p{place}", [key for key in made_of if key])
    portions = kind.portions or portions_for(shape_of(dessert))
    return Begun(replace(dessert, portions=portions), tuple(dict.fromkeys(lacking)))


def _with(dessert: Dessert, part: KindPart, key: str, formulas: list[str]) -> Dessert:
    """One more part, over those there are; what is coated or strewn on comes first in the list."""
    first, *spread = formulas
    made = propose(dessert, part.rule, key, first)
    height = dessert.mold.height_mm
    shares = {name: round(share * height) for name, share in part.shares.items()}
    changed: Part = replace(made, **part.fields, **shares)  # type: ignore[type-var]
    grown = replace(dessert, parts=_over(dessert.parts, changed))
    for number, formula in enumerate(spread, start=2):
        layered = propose_layer(grown, key, f"{key}-{number}", formula)
        parts = tuple(layered if one.key == key else one for one in grown.parts)
        grown = replace(grown, parts=parts)
    return grown


def _over(parts: tuple[Part, ...], one: Part) -> tuple[Part, ...]:
    """Listed as they are seen from the top; of one rule what is placed last lies on top."""
    above = tuple(part for part in parts if part.words.seen < one.words.seen)
    return (*above, one, *parts[len(above) :])


def nearest(kind: DessertKind, hung: Mapping[str, Solid]) -> str | None:
    """The mold of a kitchen most like a kind's own.

    Args:
        kind: what is to be made [DessertKind].
        hung: the kitchen's molds by key [Solid].
    Returns:
        the key of one of the same form that holds about as much; None where there is none [key].
    Source:
        common practice.
    """
    wanted = kind.mold.capacity_ml
    alike = {
        key: abs(math.log(mold.capacity_ml / wanted))
        for key, mold in hung.items()
        if type(mold) is type(kind.mold) and mold.stands_on_rim == kind.mold.stands_on_rim
    }
    near = {key: off for key, off in alike.items() if off <= math.log(_AS_LARGE)}
    return min(near, key=lambda key: near[key], default=None)


def most_like(mold: Solid, kinds: Sequence[DessertKind]) -> DessertKind:
    """The kind of dessert whose own mold is most like a mold.

    Args:
        mold: any mold [Solid].
        kinds: what may be made in it, the most usual first [DessertKind].
    Returns:
        of those of one form, the nearest in height for its width, and in size [DessertKind].
    Source:
        common practice.
    """
    looks = _looks(mold)

    def unlike(kind: DessertKind) -> tuple[bool, float]:
        high, wide = kind.mold.height_mm / mold.height_mm, kind.mold.longest_mm / mold.longest_mm
        # How high it is for its width tells more than how large it is.
        return _looks(kind.mold) != looks, abs(math.log(high / wide)) + abs(math.log(wide)) / 4

    return min((kind for kind in kinds if kind.usual_in_it), key=unlike)


def _looks(mold: Solid) -> tuple[bool, bool, str]:
    """Upright walls or not, turned out onto its rim or not, and how it looks from above."""
    turned_out = mold.symmetry != "long" and mold.stands_on_rim
    return mold.is_upright, turned_out, mold.symmetry


def formula_kinds(kind: DessertKind) -> Iterator[str]:
    """The kinds of formula it is made of, from the bottom up.

    Args:
        kind: what is to be made [DessertKind].
    Returns:
        kinds, perhaps more than once [text].
    Source:
        definition.
    """
    for part in kind.parts:
        yield from (part.made_of, *part.spread)
