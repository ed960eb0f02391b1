"""Kinds of formulas, and what each usually does in a dessert."""

from collections.abc import Mapping

USUAL_RULE = {
    "crumble": "base",
    "paste": "base",
    "sponge": "base",
    "mousse": "fill",
    "meringue": "garnish",
    "cream": "insert",
    "ganache": "insert",
    "custard": "insert",
    "fruit": "insert",
    "caramel": "insert",
    "glaze": "coat",
    "chocolate": "band",
    "crisp": "garnish",
}
"""Common practice; the chef says otherwise."""


FITS: Mapping[str, tuple[str, ...]] = {
    "crumble": ("base", "insert", "garnish"),
    "paste": ("base", "insert", "garnish"),
    "sponge": ("base", "insert", "band", "garnish"),
    "mousse": ("fill", "insert", "garnish"),
    "meringue": ("garnish", "base", "insert", "fill"),
    "cream": ("insert", "fill", "garnish", "coat"),
    "ganache": ("insert", "fill", "coat", "garnish"),
    "custard": ("insert", "fill", "garnish"),
    "fruit": ("insert", "fill", "coat", "garnish"),
    "caramel": ("insert", "fill", "coat", "garnish"),
    "glaze": ("coat", "insert", "garnish"),
    "chocolate": ("band", "coat", "garnish", "base", "insert"),
    "crisp": ("garnish", "base", "insert"),
}
"""What each kind can do in a dessert at all; common practice. Other kinds do anything."""


TEXTURES: Mapping[str, str] = {
    "crumble": "crumb",
    "paste": "crumb",
    "sponge": "sponge",
    "mousse": "airy",
    "meringue": "airy",
    "cream": "smooth",
    "ganache": "smooth",
    "custard": "smooth",
    "chocolate": "smooth",
    "fruit": "set",
    "glaze": "liquid",
    "caramel": "liquid",
    "crisp": "crisp",
    "syrup": "liquid",
    "preparation": "smooth",
}
"""Every kind of formula, and how it is drawn in a cut."""

BAKED = ("sponge", "paste", "crumble", "crisp", "meringue", "chocolate")
"""Kinds that do not stand in a pot, and that need no heating for their eggs; common practice."""


def usual_rule(kind: str) -> str:
    """What a formula of a kind usually does in a dessert.

    Args:
        kind: such as 'mousse' [text].
    Returns:
        base, insert, fill, coat, band or garnish; nothing where there is no usual [text].
    Source:
        common practice.
    """
    return USUAL_RULE.get(kind, "")


USUAL_KIND = {
    "base": "sponge",
    "insert": "fruit",
    "fill": "mousse",
    "coat": "glaze",
    "band": "chocolate",
    "garnish": "crisp",
}
"""What a new formula is taken for, by what it is to do; common practice."""


def usual_kind(rule: str) -> str:
    """The kind a new formula is taken for, by what it is to do in a dessert.

    Args:
        rule: base, insert, fill, coat, band or garnish [text].
    Returns:
        a kind; nothing where there is no usual [text].
    Source:
        common practice.
    """
    return USUAL_KIND.get(rule, "")
