"""Ingredients of a kitchen."""
