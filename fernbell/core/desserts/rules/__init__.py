"""Every rule by which a part is scaled, in the order of building: one file each."""

from fernbell.core.desserts.part import Part
from fernbell.core.desserts.rules.band import Band
from fernbell.core.desserts.rules.base import Base
from fernbell.core.desserts.rules.coat import Coat
from fernbell.core.desserts.rules.core import Core
from fernbell.core.desserts.rules.crust import Strewn
from fernbell.core.desserts.rules.disc import Disc
from fernbell.core.desserts.rules.drip import Drip
from fernbell.core.desserts.rules.fill import Fill
from fernbell.core.desserts.rules.foot import Foot
from fernbell.core.desserts.rules.garnish import Garnish
from fernbell.core.desserts.rules.insert import Insert, Layer
from fernbell.core.desserts.rules.leaf import Leaf
from fernbell.core.desserts.rules.lining import Lining
from fernbell.core.desserts.rules.piped import Piped
from fernbell.core.desserts.rules.puff import PuffShell
from fernbell.core.desserts.rules.roll import Roll
from fernbell.core.desserts.rules.sauce import Sauce
from fernbell.core.desserts.rules.soak import Soak
from fernbell.core.desserts.rules.tier import Tier

RULES: tuple[type[Part], ...] = (
    Lining,
    PuffShell,
    Disc,
    Base,
    Roll,
    Core,
    Tier,
    Insert,
    Soak,
    Fill,
    Coat,
    Drip,
    Strewn,
    Band,
    Foot,
    Piped,
    Leaf,
    Garnish,
    Sauce,
)

BY_NAME = {rule.words.rule: rule for rule in RULES}
BUILT_AS = {rule.words.rule: place for place, rule in enumerate(RULES)}

__all__ = [
    "BUILT_AS",
    "BY_NAME",
    "RULES",
    "Band",
    "Base",
    "Coat",
    "Core",
    "Disc",
    "Drip",
    "Fill",
    "Foot",
    "Garnish",
    "Insert",
    "Layer",
    "Leaf",
    "Lining",
    "Piped",
    "PuffShell",
    "Roll",
    "Sauce",
    "Soak",
    "Strewn",
    "Tier",
]
