"""A dessert: parts in a mold, how it is built and how it is divided."""

from collections.abc import Iterable, Iterator
from dataclasses import dataclass

from fernbell.core.desserts.body import Body, Built
from fernbell.core.desserts.division import DIVISIONS
from fernbell.core.desserts.part import LARGEST_MM, Part
from fernbell.core.desserts.portions import Portions, division_in
from fernbell.core.desserts.regions import Enclosed
from fernbell.core.desserts.rules import BUILT_AS, RULES, Core
from fernbell.core.errors import CoreError
from fernbell.core.field import Field, check_fields
from fernbell.core.molds import Solid, turned_over

MOST_HELD = 100
HELD_FIELDS = (
    Field("each", "How many", least=1, most=MOST_HELD, first=1),
    Field("inside_mm", "Inside, above the board", most=LARGEST_MM, empty="set on it"),
)


@dataclass(frozen=True, slots=True)
class Held:
    """Another dessert set on this one, so many of it; or inside, so far above the board [mm]."""

    key: str
    dessert: "Dessert"
    each: int = 1
    inside_mm: float | None = None

    def __post_init__(self) -> None:
        check_fields(self, HELD_FIELDS)
        if self.inside_mm is not None and self.each > 1:
            raise CoreError("each", self.each, "one inside another: the rest is set on it")


@dataclass(frozen=True, slots=True)
class Dessert:
    """Parts in a mold, listed from the top down as they are seen in the cut.

    It `holds` other desserts: a dome on a tart, a small puff in a large one, all of a box.
    """

    name: str
    mold: Solid
    parts: tuple[Part, ...]
    portions: Portions
    built: Built = "upright"
    holds: tuple[Held, ...] = ()

    def __post_init__(self) -> None:
        for rule in RULES:
            own = sum(isinstance(part, rule) for part in self.parts)
            if rule.words.once and own > 1:
                raise CoreError("parts", f"two {rule.words.rule}s", rule.words.once)
        keys = [*(part.key for part in self.parts), *(held.key for held in self.holds)]
        if len(set(keys)) < len(keys):
            raise CoreError("parts", "a key used twice", "parts with keys of their own")
        own_cut = division_in(self.mold)
        # Divided as its mold asks, it may take another shape later: it is cut into as many then.
        cuts = (own_cut, division_in(shape_of(self)))
        if isinstance(self.portions, DIVISIONS) and not isinstance(self.portions, cuts):
            allowed = f"{own_cut.called}, a count or a weight"
            raise CoreError("portions", self.portions.cut, allowed)


def shape_of(dessert: Dessert) -> Solid:
    """What a dessert is divided as: its mold, or what its parts make of it.

    Args:
        dessert: parts in a mold [Dessert].
    Returns:
        the solid [mm].
    Source:
        definition.
    """
    formed = any(part.forms for part in dessert.parts)
    return (lay_out(dessert).formed if formed else None) or dessert.mold


def usual_build(mold: Solid) -> Built:
    """How a dessert is built in a mold until the chef says otherwise.

    Args:
        mold: the mold [Solid].
    Returns:
        upside down where its floor makes the top, otherwise upright [Built].
    Source:
        common practice.
    """
    return "upside down" if mold.stands_on_rim else "upright"


def lay_out(dessert: Dessert) -> Body:
    """Place the parts of a dessert, in the order of building, the lowest of each rule first.

    Args:
        dessert: parts from the top down in a mold [Dessert].
    Returns:
        the mold with every region [mm].
    Raises:
        OutOfRange: a part too short for a frame's width.
    Source:
        geometry.
    """
    stands = dessert.mold if dessert.built == "upright" else turned_over(dessert.mold)
    core = next((part.across_mm for part in dessert.parts if isinstance(part, Core)), 0.0)
    inside = tuple(
        Enclosed(
            part=held.key,
            name=held.dessert.name,
            solid=lay_out(held.dessert).outer,
            low_mm=held.inside_mm,
        )
        for held in dessert.holds
        if held.inside_mm is not None
    )
    body = Body(stands, dessert.built, core_mm=core, enclosed=inside)
    for part in sorted(_upwards(dessert), key=lambda one: (BUILT_AS[one.rule], one.stands_mm)):
        body = body.with_part(part)
    return body


def formulas_used(dessert: Dessert) -> Iterable[str]:
    """Keys of the formulas a dessert names, bottom first.

    Args:
        dessert: parts in a mold [Dessert].
    Returns:
        keys, perhaps more than once [key].
    Source:
        definition.
    """
    for part in sorted(_upwards(dessert), key=lambda one: BUILT_AS[one.rule]):
        yield from (use.formula for use in reversed(part.uses()))
    for held in dessert.holds:
        yield from formulas_used(held.dessert)


def _upwards(dessert: Dessert) -> tuple[Part, ...]:
    return dessert.parts[::-1]


def from_the_top(dessert: Dessert) -> Iterator[tuple[str, str | None]]:
    """Part and layer of every formula in a dessert, as they are listed.

    Args:
        dessert: parts in a mold [Dessert].
    Returns:
        keys from the top down [key].
    Source:
        definition.
    """
    return ((part.key, use.layer) for part in dessert.parts for use in part.uses())
