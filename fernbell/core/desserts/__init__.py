"""Desserts: parts placed in a mold, what each takes, what will go wrong, and the cut."""

from fernbell.core.desserts.cut import Cut, Dimension, Shape, TopView, draw
from fernbell.core.desserts.parts import (
    Band,
    Base,
    Coat,
    Dessert,
    Fill,
    Garnish,
    Grid,
    Insert,
    Layer,
    Part,
    Portions,
    Wedges,
)
from fernbell.core.desserts.proposals import portions_for, propose, propose_layer, refit
from fernbell.core.desserts.solve import PartResult, Pour, Solved, solve

__all__ = [
    "Band",
    "Base",
    "Coat",
    "Cut",
    "Dessert",
    "Dimension",
    "Fill",
    "Garnish",
    "Grid",
    "Insert",
    "Layer",
    "Part",
    "PartResult",
    "Portions",
    "Pour",
    "Shape",
    "Solved",
    "TopView",
    "Wedges",
    "draw",
    "portions_for",
    "propose",
    "propose_layer",
    "refit",
    "solve",
]
