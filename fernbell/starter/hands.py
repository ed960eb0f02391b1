"""What work takes of hands where nobody said: minutes, who is trusted with it, how long it keeps.

Common practice, all of it; a method that names its minutes and waits is believed before this.
"""

from collections.abc import Mapping

APPRENTICE, COOK, CHEF = 1, 2, 3
"""What somebody is trusted with; each may do what those below may."""

SKILLS: Mapping[int, str] = {APPRENTICE: "apprentice", COOK: "cook", CHEF: "chef"}

MAKING: Mapping[str, int] = {
    "sponge": COOK,
    "mousse": COOK,
    "meringue": COOK,
    "cream": COOK,
    "ganache": COOK,
    "custard": COOK,
    "chocolate": COOK,
    "glaze": COOK,
    "caramel": COOK,
    "crisp": COOK,
}
"""Who makes a formula, by its kind; an apprentice whatever is not here."""

KEEPS_MIN: Mapping[str, int] = {
    "mousse": 15,
    "meringue": 30,
    "chocolate": 60,
    "cream": 240,
    "sponge": 1440,
    "paste": 2880,
    "crumble": 2880,
    "crisp": 2880,
    "fruit": 2880,
    "custard": 1440,
    "ganache": 1440,
    "glaze": 2880,
    "caramel": 2880,
    "syrup": 4320,
    "preparation": 1440,
}
"""How long a formula may wait until it is used where no method says, by its kind [min]."""

CHILLED = ("cream", "fruit", "custard", "ganache", "glaze", "caramel", "syrup", "preparation")
"""Kinds that stand in the fridge until they are used."""

PUT_IN_PLACE = frozenset(
    ("pour", "fill", "spray", "press", "freeze", "coat", "glaze", "wrap", "spread", "pipe")
)
"""Last steps of a method that are the building of the dessert itself."""

BUILDING: Mapping[str, tuple[float, int]] = {
    "line": (1.5, APPRENTICE),
    "lining": (6, COOK),
    "base": (1, APPRENTICE),
    "insert": (1, APPRENTICE),
    "pour": (1, COOK),
    "tier": (1, APPRENTICE),
    "set": (1, APPRENTICE),
    "core": (1.5, COOK),
    "sheet": (3, COOK),
    "spread": (2, COOK),
    "roll": (5, COOK),
    "trim": (2, APPRENTICE),
    "join": (1, COOK),
    "unmold": (2, APPRENTICE),
    "coat": (3, COOK),
    "drip": (3, COOK),
    "band": (3, COOK),
    "soak": (1, APPRENTICE),
    "strew": (1, APPRENTICE),
    "torch": (2, COOK),
    "pipe": (3, COOK),
    "disc": (0.5, APPRENTICE),
    "leaf": (2, COOK),
    "foot": (1, APPRENTICE),
    "puff": (0.5, COOK),
    "garnish": (1, APPRENTICE),
    "sauce": (1, APPRENTICE),
    "hold": (2, COOK),
    "thaw": (1, APPRENTICE),
}
"""Minutes for one whole dessert, and who does it, by what is done in the building."""
