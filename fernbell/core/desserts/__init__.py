"""Desserts: parts placed in a mold, what each takes, what will go wrong, the cut, the building."""

from fernbell.core.desserts.bite import Bite, BitePart, take_bite
from fernbell.core.desserts.body import Body, Built
from fernbell.core.desserts.cut import Cut, TopView, draw
from fernbell.core.desserts.dessert import (
    HELD_FIELDS,
    Dessert,
    Held,
    formulas_used,
    lay_out,
    shape_of,
    usual_build,
)
from fernbell.core.desserts.division import Grid, Slices, WayWords, Wedges
from fernbell.core.desserts.drawn import drawn_in
from fernbell.core.desserts.fitted import Fittings, fittings, water_bath
from fernbell.core.desserts.holding import HeldResult
from fernbell.core.desserts.measure import PartResult
from fernbell.core.desserts.order import Order, Take, solve, solve_order
from fernbell.core.desserts.part import Carried, Handle, Part, RuleWords, Switch
from fernbell.core.desserts.portions import (
    WAYS,
    ByCount,
    ByWeight,
    Portions,
    divide,
    portions_for,
    said_each_way,
)
from fernbell.core.desserts.proposals import place_stack, propose, propose_layer, refit, usual_kind
from fernbell.core.desserts.regions import DRAWN, DrawnLayer, Pour, Shape
from fernbell.core.desserts.rules import (
    RULES,
    Band,
    Base,
    Coat,
    Core,
    Disc,
    Drip,
    Fill,
    Foot,
    Garnish,
    Insert,
    Layer,
    Leaf,
    Lining,
    Piped,
    PuffShell,
    Roll,
    Sauce,
    Soak,
    Strewn,
    Tier,
)
from fernbell.core.desserts.sight import Dimension
from fernbell.core.desserts.solve import Size, Solved
from fernbell.core.desserts.stages import Stage
from fernbell.core.desserts.view import View

__all__ = [
    "DRAWN",
    "HELD_FIELDS",
    "RULES",
    "WAYS",
    "Band",
    "Base",
    "Bite",
    "BitePart",
    "Body",
    "Built",
    "ByCount",
    "ByWeight",
    "Carried",
    "Coat",
    "Core",
    "Cut",
    "Dessert",
    "Dimension",
    "Disc",
    "DrawnLayer",
    "Drip",
    "Fill",
    "Fittings",
    "Foot",
    "Garnish",
    "Grid",
    "Handle",
    "Held",
    "HeldResult",
    "Insert",
    "Layer",
    "Leaf",
    "Lining",
    "Order",
    "Part",
    "PartResult",
    "Piped",
    "Portions",
    "Pour",
    "PuffShell",
    "Roll",
    "RuleWords",
    "Sauce",
    "Shape",
    "Size",
    "Slices",
    "Soak",
    "Solved",
    "Stage",
    "Strewn",
    "Switch",
    "Take",
    "Tier",
    "TopView",
    "View",
    "WayWords",
    "Wedges",
    "divide",
    "draw",
    "drawn_in",
    "fittings",
    "formulas_used",
    "lay_out",
    "place_stack",
    "portions_for",
    "propose",
    "propose_layer",
    "refit",
    "said_each_way",
    "shape_of",
    "solve",
    "solve_order",
    "take_bite",
    "usual_build",
    "usual_kind",
    "water_bath",
]
