"""Kinds of formulas: how each is drawn, and what it does in a dessert."""

from collections.abc import Mapping
from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Kind:
    """What goes for every formula of a kind; common practice.

    `texture` is how it is drawn in a cut; `does` the rules a part made of it may have, the usual
    one first, and nothing where it may have any; what is `baked` does not stand in a pot, and
    needs no other heating for its eggs; what is made `in_a_pot` takes its room there.
    """

    texture: str
    does: tuple[str, ...] = ()
    baked: bool = False
    in_a_pot: bool = False


KINDS: Mapping[str, Kind] = {
    "crumble": Kind(
        "crumb",
        ("base", "insert", "garnish", "lining", "tier", "disc", "leaf", "crust", "foot"),
        baked=True,
    ),
    "paste": Kind(
        "crumb",
        ("base", "insert", "garnish", "lining", "tier", "puff", "disc", "leaf", "foot"),
        baked=True,
    ),
    "sponge": Kind(
        "sponge",
        ("base", "insert", "band", "garnish", "tier", "roll", "leaf", "foot"),
        baked=True,
    ),
    "mousse": Kind("airy", ("fill", "insert", "garnish", "tier", "core", "roll", "piped")),
    "meringue": Kind(
        "airy",
        ("garnish", "base", "insert", "fill", "tier", "piped", "leaf", "foot"),
        baked=True,
    ),
    "cream": Kind(
        "smooth", ("insert", "fill", "garnish", "coat", "tier", "core", "roll", "piped", "sauce")
    ),
    "ganache": Kind(
        "smooth",
        ("insert", "fill", "coat", "garnish", "tier", "core", "roll", "piped", "drip", "sauce"),
    ),
    "custard": Kind(
        "smooth",
        ("insert", "fill", "garnish", "tier", "core", "roll", "piped", "sauce"),
        in_a_pot=True,
    ),
    "chocolate": Kind(
        "smooth",
        (
            "band",
            "coat",
            "garnish",
            "base",
            "insert",
            "lining",
            "disc",
            "leaf",
            "drip",
            "crust",
            "foot",
        ),
        baked=True,
    ),
    "fruit": Kind(
        "set",
        ("insert", "fill", "coat", "garnish", "tier", "core", "roll", "sauce", "leaf"),
        in_a_pot=True,
    ),
    "glaze": Kind("liquid", ("coat", "insert", "garnish", "drip", "sauce"), in_a_pot=True),
    "caramel": Kind(
        "liquid",
        ("insert", "fill", "coat", "garnish", "tier", "core", "roll", "drip", "sauce", "leaf"),
        in_a_pot=True,
    ),
    "crisp": Kind(
        "crisp",
        ("garnish", "base", "insert", "lining", "tier", "leaf", "crust", "foot"),
        baked=True,
    ),
    "syrup": Kind(
        "liquid",
        ("soak", "coat", "fill", "insert", "garnish", "tier", "sauce", "crust"),
        in_a_pot=True,
    ),
    "preparation": Kind("smooth"),
}

BAKED = tuple(name for name, kind in KINDS.items() if kind.baked)
_UNKNOWN = Kind("smooth")


def usual_rule(kind: str) -> str:
    """What a formula of a kind usually does in a dessert.

    Args:
        kind: such as 'mousse' [text].
    Returns:
        the rule of a part; nothing where there is no usual [text].
    Source:
        common practice.
    """
    return next(iter(KINDS.get(kind, _UNKNOWN).does), "")


def may_do(kind: str, rule: str) -> bool:
    """Whether a formula of a kind can do something in a dessert at all.

    Args:
        kind: such as 'mousse' [text].
        rule: the rule of a part [text].
    Returns:
        whether; of an unknown kind anything goes [truth].
    Source:
        common practice.
    """
    does = KINDS.get(kind, _UNKNOWN).does
    return not does or rule in does
