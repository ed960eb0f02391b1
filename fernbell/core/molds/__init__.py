"""Molds as solids: volumes, partial fills, surfaces and outlines of every form there is."""

from fernbell.core.molds.forms import FORMS, Mold
from fernbell.core.molds.gutter import Gutter
from fernbell.core.molds.plan import Loop, Plan, Point, box, clearance, disc, moved, outline
from fernbell.core.molds.solid import MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.turned import Turned, WallPoint
from fernbell.core.molds.upright import Frame, Prism, Ring
from fernbell.core.molds.water import trued, water_working
from fernbell.core.molds.words import Alternative, Alternatives, FormWords, Table
from fernbell.core.molds.workings import depth_working

__all__ = [
    "FORMS",
    "MM2_PER_CM2",
    "MM3_PER_ML",
    "Alternative",
    "Alternatives",
    "FormWords",
    "Frame",
    "Gutter",
    "Loop",
    "Mold",
    "Plan",
    "Point",
    "Prism",
    "Ring",
    "Solid",
    "Symmetry",
    "Table",
    "Turned",
    "WallPoint",
    "box",
    "clearance",
    "depth_working",
    "disc",
    "moved",
    "outline",
    "trued",
    "water_working",
]
