"""Formulas of a kitchen."""
