"""Desserts: parts placed in a mold, what each takes, what will go wrong, the cut, the building."""

from fernbell.core.desserts.bite import Bite, BitePart, take_bite
from fernbell.core.desserts.cut import Cut, Dimension, Shape, TopView, draw
from fernbell.core.desserts.drawn import drawn_in
from fernbell.core.desserts.order import Order, Take, solve, solve_order
from fernbell.core.desserts.parts import (
    Band,
    Base,
    Built,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Insert,
    Layer,
    Part,
)
from fernbell.core.desserts.portions import (
    ByCount,
    ByWeight,
    Grid,
    Portions,
    Wedges,
    divide,
    portions_for,
)
from fernbell.core.desserts.proposals import place_stack, propose, propose_layer, refit
from fernbell.core.desserts.solve import PartResult, Pour, Solved
from fernbell.core.desserts.stages import Stage

__all__ = [
    "Band",
    "Base",
    "Bite",
    "BitePart",
    "Built",
    "ByCount",
    "ByWeight",
    "Coat",
    "Cut",
    "Dessert",
    "Dimension",
    "Fill",
    "Garnish",
    "Grid",
    "Insert",
    "Layer",
    "Order",
    "Part",
    "PartResult",
    "Portions",
    "Pour",
    "Shape",
    "Solved",
    "Stage",
    "Take",
    "TopView",
    "Wedges",
    "divide",
    "draw",
    "drawn_in",
    "place_stack",
    "portions_for",
    "propose",
    "propose_layer",
    "refit",
    "solve",
    "solve_order",
    "take_bite",
]
