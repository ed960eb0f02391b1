"""Rings and frames: volumes, partial fills, surfaces and outlines."""

from fernbell.core.molds.plan import Plan, Point, clearance, disc, outline
from fernbell.core.molds.straight import Frame, Mold, Ring

__all__ = ["Frame", "Mold", "Plan", "Point", "Ring", "clearance", "disc", "outline"]
