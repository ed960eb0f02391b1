"""Rings and frames of a kitchen."""
