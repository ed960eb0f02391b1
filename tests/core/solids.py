"""Molds of every form, and pieces of a wall, to try things on."""

import pytest

from fernbell.core.molds import Frame, Gutter, Ring, Turned, WallPoint
from fernbell.core.molds.profile import Straight, arc_between

DOME = Turned((WallPoint(0, 0), WallPoint(60, 120, 60)))
PAN = Turned((WallPoint(0, 220), WallPoint(25, 240)))
GLASS = Turned((WallPoint(0, 50), WallPoint(10, 66, 12), WallPoint(70, 74), WallPoint(80, 60)))
HALF_ROUND, U_LOG = Gutter(250, 80, 40), Gutter(300, 80, 70)
TRIANGLE = Gutter(500, 80, 60, "pointed")
SOLIDS = [Ring(180, 45), Frame(300, 200, 40, 12), DOME, PAN, GLASS, HALF_ROUND, U_LOG, TRIANGLE]
EVERY = pytest.mark.parametrize("solid", SOLIDS, ids=lambda one: one.words_in_full())
# Pieces of a wall that stand off the floor and off the axis, and the two that meet the axis.
PIECES = [
    Straight(30, 10, 42, 35),
    Straight(40, 12, 40, 30),
    arc_between(31, 10, 44, 38, 40),
    arc_between(44, 20, 33, 45, 30),
    arc_between(0, 0, 60, 60, 60),
]
