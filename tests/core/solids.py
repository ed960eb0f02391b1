"""Molds of every form, and pieces of a wall, to try things on."""

import pytest
import trimesh

from fernbell.core.molds import (
    Fluted,
    Frame,
    Gutter,
    Halves,
    Loaf,
    Outlined,
    Puff,
    Ring,
    Savarin,
    Turned,
    WallPoint,
    read_stl,
)
from fernbell.core.molds.outlined import heart, leaf
from fernbell.core.molds.profile import Straight, arc_between


def stl_of(mesh: trimesh.Trimesh) -> bytes:
    """A mesh as a binary STL file."""
    data = mesh.export(file_type="stl")
    assert isinstance(data, bytes)
    return data


DOME = Turned((WallPoint(0, 0), WallPoint(60, 120, 60)))
PAN = Turned((WallPoint(0, 220), WallPoint(25, 240)))
GLASS = Turned((WallPoint(0, 50), WallPoint(10, 66, 12), WallPoint(70, 74), WallPoint(80, 60)))
HALF_ROUND, U_LOG = Gutter(250, 80, 40), Gutter(300, 80, 70)
TRIANGLE = Gutter(500, 80, 60, "pointed")
FLUTED, LOAF = Fluted(240, 220, 25, 36, 3), Loaf(250, 110, 230, 80, 70)
ROUND_LOAF, PYRAMID = Loaf(200, 180, 190, 120, 50, 15), Loaf(70, 70, 40, 40, 40)
SAVARIN, HIGH_SAVARIN = Savarin(180, 60, 30), Savarin(75, 25, 22)
PUFF = Puff(45, 18)
SPHERE, EGG = Halves(80, 40, 40), Halves(90, 50, 75)
SCAN = read_stl(stl_of(trimesh.creation.icosphere(4, 40)), "mm").mold
SOLIDS = [
    *(Ring(180, 45), Frame(300, 200, 40, 12), DOME, PAN, GLASS, HALF_ROUND, U_LOG, TRIANGLE),
    *(Outlined(heart(180), 45), Outlined(leaf(200, 90), 40), FLUTED, LOAF, ROUND_LOAF, PYRAMID),
    *(SAVARIN, HIGH_SAVARIN, SPHERE, EGG, PUFF, SCAN),
]
EVERY = pytest.mark.parametrize("solid", SOLIDS, ids=lambda one: one.words_in_full())
# Pieces of a wall that stand off the floor and off the axis, and the two that meet the axis.
PIECES = [
    Straight(30, 10, 42, 35),
    Straight(40, 12, 40, 30),
    arc_between(31, 10, 44, 38, 40),
    arc_between(44, 20, 33, 45, 30),
    arc_between(0, 0, 60, 60, 60),
]
