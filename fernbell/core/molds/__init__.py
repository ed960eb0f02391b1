"""Rings and frames: volumes, partial fills, surfaces and outlines."""

from fernbell.core.molds.plan import Plan, Point, clearance, disc, moved, outline
from fernbell.core.molds.straight import Frame, Mold, Ring
from fernbell.core.molds.water import size_words, trued, water_working
from fernbell.core.molds.workings import (
    area_arithmetic,
    depth_working,
    edge_arithmetic,
    mold_workings,
    plan_given,
)

__all__ = [
    "Frame",
    "Mold",
    "Plan",
    "Point",
    "Ring",
    "area_arithmetic",
    "clearance",
    "depth_working",
    "disc",
    "edge_arithmetic",
    "mold_workings",
    "moved",
    "outline",
    "plan_given",
    "size_words",
    "trued",
    "water_working",
]
