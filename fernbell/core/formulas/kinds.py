"""Kinds of formulas, and what each usually does in a dessert."""

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
