"""Desserts: parts placed in a mold, what each takes, what will go wrong, the cut, the building."""

from fernbell.core.desserts.bite import Bite, BitePart, take_bite
from fernbell.core.desserts.body import Body, Built
from fernbell.core.desserts.cut import Cut, TopView, draw
from fernbell.core.desserts.dessert import Dessert, lay_out, shape_of, usual_build
from fernbell.core.desserts.division import Grid, Slices, WayWords, Wedges
from fernbell.core.desserts.drawn import drawn_in
from fernbell.core.desserts.fitted import Fittings, fittings, water_bath
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
    Fill,
    Garnish,
    Insert,
    Layer,
    Lining,
    PuffShell,
    Roll,
    Soak,
    Tier,
)
from fernbell.core.desserts.sight import Dimension
from fernbell.core.desserts.solve import Size, Solved
from fernbell.core.desserts.stages import Stage
from fernbell.core.desserts.view import View

__all__ = [
    "DRAWN",
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
    "Fill",
    "Fittings",
    "Garnish",
    "Grid",
    "Handle",
    "Insert",
    "Layer",
    "Lining",
    "Order",
    "Part",
    "PartResult",
    "Portions",
    "Pour",
    "PuffShell",
    "Roll",
    "RuleWords",
    "Shape",
    "Size",
    "Slices",
    "Soak",
    "Solved",
    "Stage",
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
