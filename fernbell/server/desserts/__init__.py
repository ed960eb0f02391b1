"""Desserts of a kitchen."""
