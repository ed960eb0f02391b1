"""Regions: what a part takes of the room in and around a mold, each kind measured by its own."""

from fernbell.core.desserts.regions.block import Block
from fernbell.core.desserts.regions.course import Course
from fernbell.core.desserts.regions.crust import Crust
from fernbell.core.desserts.regions.cutout import Cutout
from fernbell.core.desserts.regions.drops import Drops
from fernbell.core.desserts.regions.enclosed import Enclosed
from fernbell.core.desserts.regions.film import Film, exposed_surface
from fernbell.core.desserts.regions.flat import FromSheet, piece_of
from fernbell.core.desserts.regions.leaves import Leaves
from fernbell.core.desserts.regions.lined import Hollow, Lined, circles_to_make, is_rolled, roll_out
from fernbell.core.desserts.regions.mounds import Mounds
from fernbell.core.desserts.regions.pieces import Pieces
from fernbell.core.desserts.regions.places import all_over, along_edge, side_by_side
from fernbell.core.desserts.regions.puddle import Puddle
from fernbell.core.desserts.regions.region import (
    DRAWN,
    HELD,
    UNDER,
    DrawnLayer,
    Region,
    Shape,
    ShapeKey,
    Surroundings,
    Takes,
    shifted,
)
from fernbell.core.desserts.regions.rest import Pour, Rest
from fernbell.core.desserts.regions.strip import Strip, liner_sheet, strip_length
from fernbell.core.desserts.regions.under import Under
from fernbell.core.desserts.regions.wash import Wash
from fernbell.core.desserts.regions.wound import Bar, Winding, Wound, left_bare, sheet_length

__all__ = [
    "DRAWN",
    "HELD",
    "UNDER",
    "Bar",
    "Block",
    "Course",
    "Crust",
    "Cutout",
    "DrawnLayer",
    "Drops",
    "Enclosed",
    "Film",
    "FromSheet",
    "Hollow",
    "Leaves",
    "Lined",
    "Mounds",
    "Pieces",
    "Pour",
    "Puddle",
    "Region",
    "Rest",
    "Shape",
    "ShapeKey",
    "Strip",
    "Surroundings",
    "Takes",
    "Under",
    "Wash",
    "Winding",
    "Wound",
    "all_over",
    "along_edge",
    "circles_to_make",
    "exposed_surface",
    "is_rolled",
    "left_bare",
    "liner_sheet",
    "piece_of",
    "roll_out",
    "sheet_length",
    "shifted",
    "side_by_side",
    "strip_length",
]
