"""Regions: what a part takes of the room in and around a mold, each kind measured by its own."""

from fernbell.core.desserts.regions.block import Block
from fernbell.core.desserts.regions.course import Course
from fernbell.core.desserts.regions.cutout import Cutout
from fernbell.core.desserts.regions.film import Film, exposed_surface
from fernbell.core.desserts.regions.lined import Hollow, Lined
from fernbell.core.desserts.regions.pieces import Pieces
from fernbell.core.desserts.regions.region import (
    DRAWN,
    DrawnLayer,
    Region,
    Shape,
    ShapeKey,
    Surroundings,
    Takes,
)
from fernbell.core.desserts.regions.rest import Pour, Rest
from fernbell.core.desserts.regions.strip import Strip, liner_sheet, strip_length
from fernbell.core.desserts.regions.wash import Wash
from fernbell.core.desserts.regions.wound import Bar, Winding, Wound, sheet_length

__all__ = [
    "DRAWN",
    "Bar",
    "Block",
    "Course",
    "Cutout",
    "DrawnLayer",
    "Film",
    "Hollow",
    "Lined",
    "Pieces",
    "Pour",
    "Region",
    "Rest",
    "Shape",
    "ShapeKey",
    "Strip",
    "Surroundings",
    "Takes",
    "Wash",
    "Winding",
    "Wound",
    "exposed_surface",
    "liner_sheet",
    "sheet_length",
    "strip_length",
]
