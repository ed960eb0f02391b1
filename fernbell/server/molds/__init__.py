"""Molds of a kitchen."""
