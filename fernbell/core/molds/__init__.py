"""Molds as solids: volumes, partial fills, surfaces and outlines of every form there is."""

from fernbell.core.molds.between import Between
from fernbell.core.molds.coating import Coating, coating_of
from fernbell.core.molds.fluted import Fluted
from fernbell.core.molds.forms import FORMS, Mold
from fernbell.core.molds.freehand import Freehand, drawn_round, spaced
from fernbell.core.molds.gutter import Extrusion, Gutter, lying
from fernbell.core.molds.halves import Halves
from fernbell.core.molds.loaf import Loaf
from fernbell.core.molds.mesh import MOST_BYTES, UNITS, ReadMesh, read_stl
from fernbell.core.molds.outlined import Corner, Outlined, heart
from fernbell.core.molds.over import turned_over
from fernbell.core.molds.path import MOST_LETTERS, outline_of_path
from fernbell.core.molds.plan import Loop, Plan, Point, RoundedBox, box, clearance, disc, moved
from fernbell.core.molds.puff import Puff
from fernbell.core.molds.savarin import Savarin
from fernbell.core.molds.scanned import Scanned, Slice
from fernbell.core.molds.solid import MM2_PER_CM2, MM3_PER_ML, Solid, Symmetry
from fernbell.core.molds.tray import CAVITIES, OWNED, trays
from fernbell.core.molds.turned import Turned, WallPoint
from fernbell.core.molds.upright import Frame, Prism, Ring
from fernbell.core.molds.water import trued, water_working
from fernbell.core.molds.wish import MoldWish, WishedMeasure, called, read_wish
from fernbell.core.molds.words import Alternative, Alternatives, FormWords, Start, Table
from fernbell.core.molds.workings import depth_working

__all__ = [
    "CAVITIES",
    "FORMS",
    "MM2_PER_CM2",
    "MM3_PER_ML",
    "MOST_BYTES",
    "MOST_LETTERS",
    "OWNED",
    "UNITS",
    "Alternative",
    "Alternatives",
    "Between",
    "Coating",
    "Corner",
    "Extrusion",
    "Fluted",
    "FormWords",
    "Frame",
    "Freehand",
    "Gutter",
    "Halves",
    "Loaf",
    "Loop",
    "Mold",
    "MoldWish",
    "Outlined",
    "Plan",
    "Point",
    "Prism",
    "Puff",
    "ReadMesh",
    "Ring",
    "RoundedBox",
    "Savarin",
    "Scanned",
    "Slice",
    "Solid",
    "Start",
    "Symmetry",
    "Table",
    "Turned",
    "WallPoint",
    "WishedMeasure",
    "box",
    "called",
    "clearance",
    "coating_of",
    "depth_working",
    "disc",
    "drawn_round",
    "heart",
    "lying",
    "moved",
    "outline_of_path",
    "read_stl",
    "read_wish",
    "spaced",
    "trays",
    "trued",
    "turned_over",
    "water_working",
]
